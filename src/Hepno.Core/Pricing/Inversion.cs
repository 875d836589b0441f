namespace Hepno.Core.Pricing;

/// <summary>A larger quantity that costs the customer less in all.</summary>
/// <param name="Pieces">How many.</param>
/// <param name="Total">What they come to.</param>
/// <param name="Saves">How much less than the pieces asked for.</param>
public sealed record Cliff(int Pieces, decimal Total, decimal Saves);

/// <summary>What is done when a larger quantity would be charged less in total.</summary>
public enum InversionRule
{
    /// <summary>Say so, and offer the larger quantity.</summary>
    OfferLarger,

    /// <summary>Charge no more than the larger quantity comes to.</summary>
    ChargeSmaller,

    /// <summary>Charge the larger quantity no less than the smaller one comes to: the lower price begins
    /// later.</summary>
    RaiseBreak,

    /// <summary>Make the larger quantity at its own total and give the pieces nobody asked for; until they are, charge
    /// no dearer.</summary>
    GivePiece,
}

/// <summary>The inversion guard: more pieces are never charged less in total unseen (docs/trade 8).</summary>
public static class Inversion
{
    /// <summary>The quantity among some larger ones that comes to least in all, when that is less than the asked pieces
    /// come to.</summary>
    /// <param name="pieces">Asked.</param>
    /// <param name="total">What they come to.</param>
    /// <param name="larger">Larger quantities worth a look, with what they come to.</param>
    public static Cliff? Look(int pieces, decimal total, IEnumerable<(int Pieces, decimal Total)> larger) =>
        larger
            .Where(l => l.Pieces > pieces && l.Total < total)
            .Select(l => new Cliff(l.Pieces, l.Total, total - l.Total))
            .OrderBy(c => c.Total)
            .ThenBy(c => c.Pieces)
            .FirstOrDefault();

    /// <summary>The most that any of some smaller quantities comes to, when that is more than the asked pieces come to;
    /// else null.</summary>
    /// <param name="pieces">Asked.</param>
    /// <param name="total">What they come to.</param>
    /// <param name="smaller">Smaller quantities worth a look, with what they come to.</param>
    public static (int Pieces, decimal Total)? LookBack(
        int pieces,
        decimal total,
        IEnumerable<(int Pieces, decimal Total)> smaller
    ) =>
        smaller
            .Where(s => s.Pieces < pieces && s.Total > total)
            .Select(s => ((int, decimal)?)s)
            .OrderByDescending(s => s!.Value.Item2)
            .FirstOrDefault();

    /// <summary>The price a piece that charges no more than a larger quantity comes to, rounded down to the minor
    /// unit.</summary>
    public static decimal NoDearer(decimal total, int pieces, int minorDigits) =>
        Math.Floor(total / pieces / Unit(minorDigits)) * Unit(minorDigits);

    /// <summary>The price a piece that charges no less than a smaller quantity comes to, rounded up to the minor
    /// unit.</summary>
    public static decimal NoCheaper(decimal total, int pieces, int minorDigits) =>
        Math.Ceiling(total / pieces / Unit(minorDigits)) * Unit(minorDigits);

    private static decimal Unit(int minorDigits) =>
        minorDigits switch
        {
            0 => 1,
            1 => 0.1m,
            2 => 0.01m,
            _ => 0.001m,
        };
}
