using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What spares are reckoned by (docs/trade 8).</summary>
/// <param name="Failure">Chance that one attempt fails, 0 to 1.</param>
/// <param name="Complete">Share of runs that are to come out whole of what was bought for them, 0 to 1.</param>
public readonly record struct SpareChance(double Failure, double Complete)
{
    /// <summary>A chance to fail, and how sure this shop wants to be.</summary>
    public static SpareChance In(ShopBook book, double failure) => new(failure, book.Numbers.Rates.CompleteShare);
}
