using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>How a vinyl looks and feels, beside its colour.</summary>
public enum VinylFinish
{
    /// <summary>Smooth: what is meant where nothing is said.</summary>
    Plain,

    /// <summary>Smooth too, pressed cooler, and goes along with cloth that stretches.</summary>
    Stretch,

    /// <summary>Like felt.</summary>
    Flock,

    /// <summary>Rough, with glitter in it.</summary>
    Glitter,

    /// <summary>Rises under the heat.</summary>
    Puff,

    /// <summary>Throws light back.</summary>
    Reflective,

    /// <summary>Like metal.</summary>
    Metallic,

    /// <summary>Glows in the dark.</summary>
    Glowing,
}

/// <summary>What finishes are called and which stands in for which.</summary>
public static class VinylFinishes
{
    /// <summary>The finish in words.</summary>
    public static string Named(this VinylFinish finish) =>
        finish switch
        {
            VinylFinish.Stretch => "low-heat stretch",
            VinylFinish.Glowing => "glowing in the dark",
            _ => finish.ToString().ToLowerInvariant(),
        };

    /// <summary>True where nobody takes it for plain.</summary>
    public static bool IsSpecial(this VinylFinish finish) => finish is not (VinylFinish.Plain or VinylFinish.Stretch);

    /// <summary>True where a roll of this finish does what is wanted: smooth ones stand in for each other, a special
    /// one only for itself.</summary>
    public static bool Serves(this VinylFinish finish, VinylFinish wanted) =>
        finish == wanted || (!finish.IsSpecial() && wanted == VinylFinish.Plain);

    /// <summary>True where it is too thick to be cut as fine as smooth vinyl.</summary>
    public static bool IsCoarse(this VinylFinish finish) =>
        finish is VinylFinish.Flock or VinylFinish.Glitter or VinylFinish.Puff;
}

/// <summary>Heat-transfer vinyl by the roll.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Product">Which vinyl.</param>
/// <param name="UsableWidthIn">Width the cutter can use, in.</param>
/// <param name="PricePerFoot">Money for a foot of length.</param>
/// <param name="WeedingMarginIn">Margin left on every side of a cut box, in.</param>
/// <param name="FreightPerOrder">Freight for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
public sealed record VinylFilm(
    ThingId Id,
    string Supplier,
    string Product,
    double UsableWidthIn,
    decimal PricePerFoot,
    double WeedingMarginIn,
    decimal FreightPerOrder,
    int LeadDays
) : IThing
{
    /// <summary>True when neighbours share one weeding margin instead of standing two apart.</summary>
    public bool SharedMargin { get; init; }

    /// <summary>True when its maker says that it keeps a cloth's own dye back.</summary>
    public bool Blocks { get; init; }

    /// <summary>How it looks: a plain ask never gets a special one because it is cheap.</summary>
    public VinylFinish Finish { get; init; } = VinylFinish.Plain;

    /// <summary>What the owner must put right before the vinyl can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Supplier) || string.IsNullOrWhiteSpace(Product))
        {
            yield return new(
                "empty",
                "The vinyl has no supplier or no name.",
                Where: "product",
                "Name both: they are on the list of what to buy."
            );
        }
        if (UsableWidthIn is <= 0 or > 64)
        {
            yield return new(
                "range",
                $"A usable width of {UsableWidthIn:0.##} in is outside 0 to 64.",
                Where: "usableWidthIn",
                "Type the width your cutter can cut."
            );
        }
        if (PricePerFoot <= 0)
        {
            yield return new(
                "price",
                $"The price {PricePerFoot:0.00} a foot is not above 0.",
                Where: "pricePerFoot",
                "Type what one foot costs."
            );
        }
        if (WeedingMarginIn is < 0 or > 3)
        {
            yield return new(
                "range",
                $"A weeding margin of {WeedingMarginIn:0.##} in is outside 0 to 3.",
                Where: "weedingMarginIn",
                "A quarter inch is usual."
            );
        }
        if (FreightPerOrder < 0 || LeadDays is < 0 or > 120)
        {
            yield return new(
                "range",
                $"Freight {FreightPerOrder:0.00} or {LeadDays} days of delivery is out of range.",
                Where: "freightPerOrder",
                "Freight is 0 or more, days are 0 to 120."
            );
        }
    }
}
