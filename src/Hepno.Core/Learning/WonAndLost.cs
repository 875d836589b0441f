using Hepno.Core.Orders;

namespace Hepno.Core.Learning;

/// <summary>A quoted line and what became of its order.</summary>
/// <param name="MethodId">The way it was quoted by.</param>
/// <param name="Each">The quoted price of a piece.</param>
/// <param name="Ended">How it ended, or null where the customer said yes.</param>
public sealed record QuotedOutcome(MethodId MethodId, decimal Each, EndKind? Ended);

/// <summary>How quotes by one way fared.</summary>
/// <param name="MethodId">Key of the way.</param>
/// <param name="Won">Quoted lines the customer said yes to; one that was cancelled later was won.</param>
/// <param name="Lost">Quoted lines that were lost.</param>
/// <param name="Declined">Quoted lines the shop itself declined.</param>
/// <param name="WonEach">The middle price of a piece of the won ones; null for none.</param>
/// <param name="LostEach">The middle price of a piece of the lost ones; null for none.</param>
public sealed record WonAndLost(MethodId MethodId, int Won, int Lost, int Declined, decimal? WonEach, decimal? LostEach)
{
    /// <summary>Of those that were won or lost, the share that was won, 0 to 1; null for none.</summary>
    public double? WonShare => Won + Lost == 0 ? null : Won / (double)(Won + Lost);

    /// <summary>Counts by way, the way quoted most often first.</summary>
    public static IReadOnlyList<WonAndLost> Count(IEnumerable<QuotedOutcome> outcomes) =>
        [
            .. outcomes
                .GroupBy(o => o.MethodId)
                .Select(g => new WonAndLost(
                    g.Key,
                    g.Count(IsWon),
                    Lost: g.Count(o => o.Ended == EndKind.Lost),
                    g.Count(o => o.Ended == EndKind.Declined),
                    Middle(g.Where(IsWon)),
                    LostEach: Middle(g.Where(o => o.Ended == EndKind.Lost))
                ))
                .OrderByDescending(w => w.Won + w.Lost + w.Declined)
                .ThenBy(w => w.MethodId.Text, StringComparer.Ordinal),
        ];

    private static bool IsWon(QuotedOutcome o) => o.Ended is null or EndKind.Cancelled;

    // of an even count the mean of the two in the middle
    private static decimal? Middle(IEnumerable<QuotedOutcome> some)
    {
        var prices = some.Select(o => o.Each).Order().ToList();
        return prices.Count == 0 ? null : (prices[(prices.Count - 1) / 2] + prices[prices.Count / 2]) / 2;
    }
}
