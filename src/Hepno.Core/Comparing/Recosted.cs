using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>A sent line at the prices of today: its own price never moves (docs/trade 8).</summary>
/// <param name="CostNow">Cost a piece now; null where its way cannot do it any more.</param>
/// <param name="MarginThen">Profit as a share of the price when it was sent, today's fees taken.</param>
/// <param name="MarginNow">Profit as a share of the price now.</param>
/// <param name="FellUnder">True where it was over the floor and is no more, or its way cannot.</param>
public sealed record Recosted(decimal? CostNow, Share MarginThen, Share MarginNow, bool FellUnder)
{
    /// <summary>One line. Layouts that are settled stay; others, and minutes, are found as for a comparison over
    /// quantities.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="methodId">Its way.</param>
    /// <param name="price">Sold at, a piece, above 0.</param>
    /// <param name="costThen">Cost a piece when it was sent.</param>
    /// <param name="book">Shelf, floor and numbers of today.</param>
    /// <param name="sketch">Shared by all that are re-costed: the same print on the same film is laid once.</param>
    public static Recosted Reckon(
        AskInHand ask,
        MethodId methodId,
        decimal price,
        decimal costThen,
        ShopBook book,
        LayoutSketch sketch
    )
    {
        var floor = book.Numbers.Prices.LeastMarginShare;
        var fees = LineCost.Fees(ask, book).On(price);
        Share Margin(decimal cost) => new((price - fees - cost) / price);
        var at = ask.Laid is null ? ask with { Sketch = sketch } : ask;
        var then = Margin(costThen);
        if (DecorationMethods.Find(methodId)?.Answer(at, book).Decorations is not { Count: > 0 } plans)
        {
            return new(null, then, default, true);
        }
        var cost = LineCost.Reckon(at, plans, book).Cost.Value;
        return new(cost, then, Margin(cost), then.Part >= floor.Part && Margin(cost).Part < floor.Part);
    }
}
