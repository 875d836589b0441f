using Hepno.Core.Blanks;
using Hepno.Core.Shop;

namespace Hepno.Core.Purchasing;

/// <summary>What a supplier's goods in an order come to: what its price tiers by value and its free freight look at
/// (docs/trade 10).</summary>
public static class SupplierInvoice
{
    /// <summary>What tiers by value look at: list prices with the surcharges of sizes, or without them where the
    /// supplier counts at list.</summary>
    /// <param name="ask">A line; its supplier's goods of the whole order count.</param>
    public static decimal BeforeTiers(AskInHand ask) => Lines(ask).Sum(l => Goods(l, l.Style.UnitPrice, AtList(ask)));

    /// <summary>What free freight looks at: the prices the order really has, surcharges in; or list prices where the
    /// supplier counts at list.</summary>
    /// <param name="ask">A line; its supplier's goods of the whole order count.</param>
    public static decimal AfterTiers(AskInHand ask) =>
        Lines(ask).Sum(l => Goods(l, AtList(ask) ? l.Style.UnitPrice : Price(l).Price, AtList(ask)));

    /// <summary>The price of a piece of a line's style before surcharges, with why.</summary>
    public static (decimal Price, string Why) Price(AskInHand line)
    {
        var buying = line.Style.Buying ?? Buying.Plain;
        // the whole order is added up only where a tier asks for it: a ribbon asks this thousands of times
        return buying.At(
            line.Style.UnitPrice,
            line.PiecesOfStyle,
            buying.Tiers.Any(t => t.FromValue > 0) ? BeforeTiers(line) : 0,
            line.BuyBy
        );
    }

    /// <summary>Whether the supplier counts at list prices, as said on the line's style.</summary>
    public static bool AtList(AskInHand ask) => ask.Style.Buying?.ValueAtList ?? false;

    /// <summary>A line of the order with all its others.</summary>
    /// <param name="ask">Any line of the order.</param>
    /// <param name="line">Its place there; 0 is the line itself.</param>
    public static AskInHand Whole(AskInHand ask, int line) =>
        line == 0 ? ask : ask.Order[line] with { Others = [.. ask.Order.Where((_, i) => i != line)] };

    private static IEnumerable<AskInHand> Lines(AskInHand ask) =>
        Enumerable
            .Range(0, ask.Order.Count)
            .Select(i => Whole(ask, i))
            .Where(l => !l.Theirs && l.Style.Supplier == ask.Style.Supplier);

    private static decimal Goods(AskInHand line, decimal price, bool atList) =>
        line.Sizes.Sum(s => s.Pieces * (price + (atList ? 0 : line.Style.SurchargeOf(s.Size))));
}
