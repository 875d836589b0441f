using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>What a line is sold at: the price of a piece and what dearer sizes add.</summary>
/// <param name="Each">Price a piece; the base price where sizes are surcharged.</param>
/// <param name="Surcharges">By size; empty where sizes are averaged or the price is typed.</param>
/// <param name="How">How the price came about.</param>
public sealed record LinePrice(decimal Each, IReadOnlyList<SizeSurcharge> Surcharges, string How)
{
    /// <summary>All surcharges of the line.</summary>
    public decimal SurchargesInAll => Surcharges.Sum(s => s.Each * s.Pieces);

    /// <summary>What so many pieces come to, these surcharges with them.</summary>
    public decimal InAll(int pieces) => (Each * pieces) + SurchargesInAll;

    /// <summary>The line's price by the shop's rules, or as the owner typed it.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="cost">Its cost.</param>
    /// <param name="book">Rules.</param>
    /// <param name="typed">Money a piece as typed, which then holds for every size; or null.</param>
    public static LinePrice Reckon(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        PieceCostResult cost,
        ShopBook book,
        decimal? typed
    )
    {
        var n = book.Numbers;
        var fees = LineCost.Fees(ask, book);
        if (typed is { } said)
        {
            var (price, how) = UnitPrice.Typed(said, cost, ask.OrderPieces, n.Prices, fees, n.Format);
            return new(price, [], how);
        }
        var surcharges =
            n.Prices.SizePricing == SizePricing.Surcharged && !ask.Theirs && !decorations.Any(d => d.BringsBlank)
                ? SizeSurcharge.Reckon(ask.Style, ask.Sizes, n.Prices.PolicyFor(ask.Channel), fees)
                : [];
        // the base price is made as if every size cost the same: the surcharges bear the rest
        var basis = surcharges.Count == 0 ? cost : LineCost.Reckon(ask with { AsBaseSizes = true }, decorations, book);
        var (each, words) = UnitPrice.Reckon(basis, ask.OrderPieces, n.Prices, ask.Channel, fees, n.Format);
        if (ask.Theirs && n.Prices.TheirsPerPiece > 0)
        {
            (each, words) = (
                each + n.Prices.TheirsPerPiece,
                $"{words}, {Shown.Money(n.Prices.TheirsPerPiece, n.Format)} more for a garment of their own"
            );
        }
        return new(each, surcharges, surcharges.Count == 0 ? words : $"{words}, dearer sizes on top");
    }
}
