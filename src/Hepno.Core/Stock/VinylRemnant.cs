using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Stock;

/// <summary>A piece of vinyl that was left over and lies on the Shelf; the order that left it has paid for
/// it.</summary>
/// <param name="Id">Identity.</param>
/// <param name="VinylId">Of which vinyl.</param>
/// <param name="Colour">Its colour, as the shop says it.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="LengthIn">Length, in.</param>
/// <param name="Since">Since when it lies there.</param>
/// <param name="From">The order that left it; empty for none.</param>
/// <param name="IsGone">True when it was thrown away or used otherwise.</param>
public sealed record VinylRemnant(
    RemnantId Id,
    ThingId VinylId,
    string Colour,
    double WidthIn,
    double LengthIn,
    LocalDate Since,
    string From = "",
    bool IsGone = false
) : IKept<VinylRemnant>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<VinylRemnant> Described { get; } =
        new("remnant", noun: "remnants", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            Order = ListedBy.Text<VinylRemnant>(x => x.Colour).Then((a, b) => a.Since.CompareTo(b.Since)),
        };

    /// <summary>What is narrower is waste, in (assumed).</summary>
    public const double LeastIn = 2;

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (VinylId.IsNone)
        {
            yield return new(
                "empty",
                "The piece is of no vinyl.",
                Where: "vinylId",
                "Choose the roll it was cut from."
            );
        }
        if (Colour.Trim().Length is 0 or > 60)
        {
            yield return new(
                "empty",
                Colour.Trim().Length == 0 ? "The piece has no colour." : $"A colour of {Colour.Length} letters.",
                Where: "colour",
                "Say its colour in at most 60 letters."
            );
        }
        if (WidthIn is not (> 0 and <= 64) || LengthIn is not (> 0 and <= 2000))
        {
            yield return new(
                "range",
                $"A piece of {WidthIn:0.##} × {LengthIn:0.##} in is outside 0 to 64 by 0 to 2,000.",
                Where: "widthIn",
                "Type what it measures."
            );
        }
    }
}
