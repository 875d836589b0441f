using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>Heat-transfer vinyl by the roll.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Product">Which vinyl.</param>
/// <param name="UsableWidthIn">Width the cutter can use, in.</param>
/// <param name="PricePerFoot">Money for a foot of length.</param>
/// <param name="WeedingMarginIn">Margin left on every side of a cut box, in.</param>
/// <param name="FreightPerOrder">Freight for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
/// <param name="SharedMargin">True when neighbours share one weeding margin instead of standing two apart.</param>
/// <param name="Blocks">True when its maker says that it keeps a cloth's own dye back.</param>
public sealed record VinylFilm(string Id, string Supplier, string Product, double UsableWidthIn, decimal PricePerFoot, double WeedingMarginIn, decimal FreightPerOrder, int LeadDays, bool SharedMargin = false, bool Blocks = false)
{
    /// <summary>What the owner must put right before the vinyl can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Supplier) || string.IsNullOrWhiteSpace(Product))
        {
            yield return new("empty", "The vinyl has no supplier or no name.", "product", "Name both: they are on the list of what to buy.");
        }
        if (UsableWidthIn is <= 0 or > 64)
        {
            yield return new("range", $"A usable width of {UsableWidthIn:0.##} in is outside 0 to 64.", "usableWidthIn", "Type the width your cutter can cut.");
        }
        if (PricePerFoot <= 0)
        {
            yield return new("price", $"The price {PricePerFoot:0.00} a foot is not above 0.", "pricePerFoot", "Type what one foot costs.");
        }
        if (WeedingMarginIn is < 0 or > 3)
        {
            yield return new("range", $"A weeding margin of {WeedingMarginIn:0.##} in is outside 0 to 3.", "weedingMarginIn", "A quarter inch is usual.");
        }
        if (FreightPerOrder < 0 || LeadDays is < 0 or > 120)
        {
            yield return new("range", $"Freight {FreightPerOrder:0.00} or {LeadDays} days of delivery is out of range.", "freightPerOrder", "Freight is 0 or more, days are 0 to 120.");
        }
    }
}
