using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>How sizes that cost more are charged.</summary>
public enum SizePricing
{
    /// <summary>One price for all sizes, the dearer blanks averaged into it.</summary>
    Averaged,

    /// <summary>A base price, and a surcharge line for each dearer size.</summary>
    Surcharged,
}

/// <summary>What is charged on top of the base price for a dearer size.</summary>
/// <param name="Size">Size.</param>
/// <param name="Pieces">Pieces of it.</param>
/// <param name="Each">Money on top, a piece.</param>
public sealed record SizeSurcharge(string Size, int Pieces, decimal Each)
{
    private const decimal Step = 0.50m;

    /// <summary>Surcharges of a size run: what the channel's policy makes of the landed difference, rounded up to 0.50
    /// (docs/trade 8).</summary>
    /// <param name="style">The blank with its surcharges.</param>
    /// <param name="sizes">Pieces by size.</param>
    /// <param name="policy">The channel's policy: its margin or multiple is taken of the difference as of every cost;
    /// by the hour a dearer size takes no more hands.</param>
    /// <param name="fees">f.</param>
    public static IReadOnlyList<SizeSurcharge> Reckon(
        Style style,
        IReadOnlyList<SizeCount> sizes,
        PricePolicy policy,
        FeeTerms fees
    ) =>
        [
            .. sizes
                .Where(s => s.Pieces > 0)
                .Select(s => (s, More: style.SurchargeOf(s.Size)))
                .Where(s => s.More > 0)
                .Select(s => new SizeSurcharge(
                    s.s.Size,
                    s.s.Pieces,
                    Money.UpTo(policy.OnTop(s.More, fees with { PostagePerPiece = 0 }), Step)
                )),
        ];
}
