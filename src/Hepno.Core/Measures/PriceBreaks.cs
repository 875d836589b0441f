namespace Hepno.Core.Measures;

/// <summary>From this many pieces on, each costs this much.</summary>
/// <param name="From">Least count, 1 or more.</param>
/// <param name="Price">Money each.</param>
public sealed record PriceBreak(int From, decimal Price);

/// <summary>All-units price breaks: the price of the highest break reached holds for every piece.</summary>
public static class PriceBreaks
{
    /// <summary>The break that holds for a count; below the first break the first one holds.</summary>
    /// <param name="breaks">At least one, in any order.</param>
    /// <param name="count">Pieces bought together.</param>
    public static PriceBreak At(IReadOnlyList<PriceBreak> breaks, int count) =>
        breaks.Where(b => b.From <= count).MaxBy(b => b.From) ?? breaks.MinBy(b => b.From)!;

    /// <summary>How many to buy so that at least <paramref name="least"/> are here for the least money: a higher break
    /// may cost less in all than the need itself.</summary>
    /// <param name="breaks">At least one, in any order.</param>
    /// <param name="least">Needed, 1 or more.</param>
    public static (int Count, PriceBreak Break) Cheapest(IReadOnlyList<PriceBreak> breaks, int least) =>
        breaks
            .Select(b => b.From)
            .Where(f => f > least)
            .Append(least)
            .Select(n => (Count: n, Break: At(breaks, n)))
            .OrderBy(c => c.Count * c.Break.Price)
            .ThenBy(c => c.Count)
            .First();

    /// <summary>The same with every price so many times as much.</summary>
    public static IReadOnlyList<PriceBreak> Times(this IReadOnlyList<PriceBreak> breaks, decimal factor) =>
        [.. breaks.Select(b => b with { Price = b.Price * factor })];
}
