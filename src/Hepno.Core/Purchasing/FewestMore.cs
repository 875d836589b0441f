namespace Hepno.Core.Purchasing;

/// <summary>A piece that may be bought beyond the need to reach a value.</summary>
/// <param name="Line">Which line of the order it is like, by its place there.</param>
/// <param name="Size">Its size.</param>
/// <param name="Counts">Money it counts for towards the value.</param>
/// <param name="Costs">Money it costs.</param>
public sealed record FurtherPiece(int Line, string Size, decimal Counts, decimal Costs);

/// <summary>Finds the cheapest pieces to buy beyond the need so that an order reaches a value: a few of a dear size may
/// be it.</summary>
public static class FewestMore
{
    private const int Cents = 100;

    // beyond this gap the piece that counts most for its cost is taken first; only the rest is searched
    private const int Searched = 20_000;

    /// <summary>The pieces of least cost that count for a gap together, and of those the fewest; empty where none are
    /// offered or more than a limit would be needed.</summary>
    /// <param name="gap">Money still missing, above 0.</param>
    /// <param name="pieces">What may be bought, each as often as wanted; costs above 0.</param>
    /// <param name="most">Most pieces.</param>
    public static IReadOnlyList<FurtherPiece> Find(decimal gap, IReadOnlyList<FurtherPiece> pieces, int most)
    {
        var counting = pieces.Where(p => p.Counts * Cents >= 1).ToList();
        if (counting.Count == 0 || gap > most * counting.Max(p => p.Counts))
        {
            return [];
        }
        var bulk = counting.MinBy(p => p.Costs / p.Counts)!;
        var first = Math.Max(0, (int)Math.Ceiling((gap - (Searched / Cents)) / bulk.Counts));
        IReadOnlyList<FurtherPiece> found =
        [
            .. Enumerable.Repeat(bulk, first),
            .. Least((int)Math.Ceiling((gap - (first * bulk.Counts)) * Cents), counting),
        ];
        return found.Count <= most ? found : [];
    }

    private static List<FurtherPiece> Least(int missing, List<FurtherPiece> pieces)
    {
        int Counts(int piece) => (int)Math.Min(Searched, Math.Floor(pieces[piece].Counts * Cents));
        // the cheapest way to count for each amount up to the gap, from the last piece bought
        var best = new (decimal Cost, int Count, int Last)[Math.Max(0, missing) + 1];
        for (var amount = 1; amount <= missing; amount++)
        {
            best[amount] = Enumerable
                .Range(0, pieces.Count)
                .Select(i => (Piece: i, Before: best[Math.Max(0, amount - Counts(i))]))
                .Select(x => (x.Before.Cost + pieces[x.Piece].Costs, x.Before.Count + 1, x.Piece))
                .Min();
        }
        var found = new List<FurtherPiece>();
        for (var amount = missing; amount > 0; amount = Math.Max(0, amount - Counts(best[amount].Last)))
        {
            found.Add(pieces[best[amount].Last]);
        }
        return found;
    }
}
