namespace Hepno.Core.Stock;

/// <summary>Pieces needed of something that cannot stand in for another (a size, a design) and what one
/// costs.</summary>
/// <param name="Needed">Good ones needed.</param>
/// <param name="Price">Money each.</param>
public sealed record SpareNeed(int Needed, decimal Price);

/// <summary>Spares against spoilage (docs/trade 8): a spare M does not replace a spoiled 2XL, transfers of one design
/// are pooled.</summary>
public static class Overage
{
    private const int MostSpares = 400;

    /// <summary>Chance that at least <paramref name="needed"/> of <paramref name="started"/> come out good.</summary>
    /// <param name="started">Attempts possible.</param>
    /// <param name="needed">Good ones needed.</param>
    /// <param name="failure">Chance that one fails, 0 to 1.</param>
    public static double ChanceOf(int started, int needed, double failure)
    {
        if (started < needed)
        {
            return 0;
        }
        if (failure <= 0)
        {
            return 1;
        }
        // sum the chances of 0..(started - needed) failures
        var term = Math.Pow(1 - failure, started);
        var sum = term;
        for (var k = 1; k <= started - needed; k++)
        {
            term *= (started - k + 1.0) / k * failure / (1 - failure);
            sum += term;
        }
        return Math.Min(1, sum);
    }

    /// <summary>Least number to have so that <paramref name="needed"/> come out good with the wanted chance; the pool
    /// is one.</summary>
    public static int Pooled(int needed, double failure, double chance)
    {
        var have = needed;
        while (have < needed + MostSpares && ChanceOf(have, needed, failure) < chance)
        {
            have++;
        }
        return have;
    }

    /// <summary>Chance that every size completes with the given spares.</summary>
    public static double ChanceToComplete(IReadOnlyList<SpareNeed> needs, IReadOnlyList<int> spares, double failure) =>
        needs.Select((n, i) => ChanceOf(n.Needed + spares[i], n.Needed, failure)).Aggregate(1.0, (a, b) => a * b);

    /// <summary>The best spares when exactly so many are bought, prices aside.</summary>
    /// <param name="needs">Sizes.</param>
    /// <param name="count">Spares in all.</param>
    /// <param name="failure">Chance that one piece fails.</param>
    public static IReadOnlyList<int> Best(IReadOnlyList<SpareNeed> needs, int count, double failure)
    {
        // each size's log-chance is concave in its spares, so the greatest gain first is exact
        var spares = new int[needs.Count];
        for (var i = 0; i < count; i++)
        {
            spares[BestNext(needs, spares, failure, byPrice: false)]++;
        }
        return spares;
    }

    /// <summary>Whole spares of least cost that complete every size with the wanted chance: exact for equal prices,
    /// close for different ones.</summary>
    /// <param name="needs">Sizes with their prices.</param>
    /// <param name="failure">Chance that one piece fails.</param>
    /// <param name="chance">Wanted chance, below 1.</param>
    public static IReadOnlyList<int> Cheapest(IReadOnlyList<SpareNeed> needs, double failure, double chance)
    {
        var spares = new int[needs.Count];
        while (ChanceToComplete(needs, spares, failure) < chance && spares.Sum() < MostSpares)
        {
            spares[BestNext(needs, spares, failure, byPrice: true)]++;
        }
        // the last greedy step may overshoot: take back what the chance does not need, dearest first
        foreach (var i in Enumerable.Range(0, needs.Count).OrderByDescending(i => needs[i].Price))
        {
            while (spares[i] > 0)
            {
                spares[i]--;
                if (ChanceToComplete(needs, spares, failure) < chance)
                {
                    spares[i]++;
                    break;
                }
            }
        }
        return spares;
    }

    private static int BestNext(IReadOnlyList<SpareNeed> needs, int[] spares, double failure, bool byPrice)
    {
        double Gain(int i)
        {
            var now = Math.Log(ChanceOf(needs[i].Needed + spares[i], needs[i].Needed, failure));
            var then = Math.Log(ChanceOf(needs[i].Needed + spares[i] + 1, needs[i].Needed, failure));
            return (then - now) / (byPrice ? (double)needs[i].Price : 1);
        }
        return Enumerable.Range(0, needs.Count).MaxBy(Gain);
    }
}
