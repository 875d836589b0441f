using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>A line's price with the inversion guard held against it (docs/trade 8).</summary>
/// <param name="Line">The price as it is charged.</param>
/// <param name="Cliff">A larger quantity that comes to less in all, or null.</param>
public sealed record GuardedPrice(LinePrice Line, Cliff? Cliff)
{
    private const int SparesAtBreak = 3;

    /// <summary>The price by the shop's rules and its guard, or as the owner typed it.</summary>
    /// <param name="method">The line's method.</param>
    /// <param name="ask">The line.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="cost">Its cost.</param>
    /// <param name="book">Rules.</param>
    /// <param name="typed">Money a piece as typed: no guard touches it; or null.</param>
    public static GuardedPrice Reckon(
        IDecorationMethod method,
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        PieceCostResult cost,
        ShopBook book,
        decimal? typed
    )
    {
        var n = book.Numbers;
        var line = LinePrice.Reckon(ask, decorations, cost, book, typed);
        if (typed is not null)
        {
            return new(line, null);
        }
        // what dearer sizes add stays as it is: the price of a piece bears all of the guard
        var (total, onTop) = (line.InAll(ask.Pieces), line.SurchargesInAll);
        if (n.Prices.Inversion == InversionRule.RaiseBreak)
        {
            return
                Inversion.LookBack(ask.Pieces, total, Totals(method, ask, Smaller(decorations, ask), book))
                    is not { } less
                ? new(line, null)
                : new(
                    line with
                    {
                        Each = Inversion.NoCheaper(less.Total - onTop, ask.Pieces, n.Format.MinorDigits),
                        How = $"{line.How}, no cheaper than {less.Pieces} pieces",
                    },
                    null
                );
        }
        var cliff = Inversion.Look(ask.Pieces, total, Totals(method, ask, Larger(decorations, ask), book));
        return cliff is null || n.Prices.Inversion == InversionRule.OfferLarger
            ? new(line, cliff)
            : new(
                line with
                {
                    Each = Inversion.NoDearer(cliff.Total - onTop, ask.Pieces, n.Format.MinorDigits),
                    How = $"{line.How}, no dearer than {cliff.Pieces} pieces",
                },
                cliff
            );
    }

    private static IEnumerable<(int Pieces, decimal Total)> Totals(
        IDecorationMethod method,
        AskInHand ask,
        IEnumerable<int> quantities,
        ShopBook book
    )
    {
        foreach (var at in quantities.Select(ask.At))
        {
            if (method.Answer(at, book).Decorations is { Count: > 0 } decorations)
            {
                yield return (
                    at.Pieces,
                    LinePrice
                        .Reckon(at, decorations, LineCost.Reckon(at, decorations, book), book, null)
                        .InAll(at.Pieces)
                );
            }
        }
    }

    // the quantities at which a next price break of something bought is reached: only there can more come to less.
    // spares grow with the pieces: the break is reached a little before
    private static IEnumerable<int> Larger(IReadOnlyList<DecorationPlan> decorations, AskInHand ask) =>
        Near(decorations, (d, breaks) =>
                breaks.Where(b => b.From > d.Bought).Take(1).Select(b => ask.Pieces + b.From - d.Bought)
            )
            .Where(q => q > ask.Pieces && q <= SizeRun.MostPieces && q <= (ask.Pieces * 2) + 12);

    // and the last quantities before the break that was reached
    private static IEnumerable<int> Smaller(IReadOnlyList<DecorationPlan> decorations, AskInHand ask) =>
        Near(decorations, (d, breaks) =>
                breaks
                    .Where(b => b.From > 1 && b.From <= d.Bought)
                    .TakeLast(1)
                    .Select(b => ask.Pieces + b.From - d.Bought - 1)
            )
            .Where(q => q >= 1 && q < ask.Pieces);

    private static IEnumerable<int> Near(
        IReadOnlyList<DecorationPlan> decorations,
        Func<DecorationPlan, IReadOnlyList<PriceBreak>, IEnumerable<int>> at
    ) =>
        decorations
            .SelectMany(d => d.Purchases.SelectMany(p => at(d, p.SizeClass?.Breaks ?? p.Breaks ?? InPrints(d, p))))
            .SelectMany(q => Enumerable.Range(q - SparesAtBreak, SparesAtBreak + 1))
            .Distinct();

    // breaks of a layout are by steps or sheets: about so many prints reach them
    private static IReadOnlyList<PriceBreak> InPrints(DecorationPlan d, Purchase p) =>
        p.Laid is not { } laid || laid.Units is not (> 0 and var units)
            ? []
            : [.. laid.Breaks.Select(b => b with { From = (int)Math.Ceiling((double)b.From * d.Bought / units) })];
}
