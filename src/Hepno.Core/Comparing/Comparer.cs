using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>Holds every method against an ask: verdict, cost, price, promise.</summary>
public static class Comparer
{
    private static readonly int[] CurveAt = [1, 2, 3, 6, 12, 18, 24, 36, 48, 72, 96, 144, 216, 288];

    /// <summary>Compares at the line's own quantity, or at another with the same mix of sizes.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="mark">The most the customer would pay a piece.</param>
    /// <param name="dueAt">When it is wanted, wall clock.</param>
    /// <param name="quantity">Pieces to compare at, or null for the line's own.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <param name="floor">What is already planned.</param>
    /// <param name="decision">The method chosen, with the price the owner typed for it; null before.</param>
    /// <param name="curve">False leaves the figures at other quantities out.</param>
    /// <param name="curves">The same line's figures at other quantities from before, or null.</param>
    /// <param name="own">A mix of ways the owner wants to see beside the rest, or null.</param>
    public static Comparison Compare(
        AskInHand ask,
        decimal? mark,
        LocalDateTime? dueAt,
        int? quantity,
        ShopBook book,
        FloorPlan floor,
        Decision? decision = null,
        bool curve = true,
        Mixed? own = null,
        CurveMemo? curves = null
    )
    {
        var at = quantity is { } q ? ask.At(q) : ask;
        var found = new List<(Band Band, PieceCostResult Cost)>();
        var folds = new List<Fold>();
        // away from the count in hand a layout is about as long as it would be
        var sketch = new LayoutSketch(book.Layouts);
        var others = new Lazy<IReadOnlyList<AskInHand>>(() =>
            [.. CurveAt.Select(n => ask.At(n) with { Sketch = sketch, Laid = null })]
        );
        curves ??= new();
        var answers = new PartAnswers(book);
        void Hold(IDecorationMethod method)
        {
            var answer = answers.Answer(method, at);
            if (answer.Decorations.Count == 0)
            {
                folds.Add(Folded(method, answer, answer.NotUsed));
                return;
            }
            var (band, cost) = LineBand.Reckon(
                method,
                answer,
                at,
                mark,
                dueAt,
                book,
                floor,
                quantity is null && decision?.MethodId == method.Id ? decision.TypedPrice : null
            );
            found.Add(
                (
                    curve ? band with { Curve = curves.Of(method.Id, () => Curve(method, others.Value, book)) } : band,
                    cost
                )
            );
        }
        foreach (var method in DecorationMethods.All)
        {
            Hold(method);
        }
        var ways = Mixes.Ways(at, answers, book);
        var best = Mixes.Best(
            at,
            ways,
            [.. found.Select(x => (x.Band.Verdict.Kind, x.Band.Cost.Value))],
            answers,
            book
        );
        var chosen = decision is null ? null : Mixed.Find(decision.MethodId);
        foreach (var mix in best.Append(own).Append(chosen).OfType<Mixed>().DistinctBy(m => m.Id))
        {
            Hold(mix);
        }
        var onePrice = OnePrice(mark, [.. found.Select(x => x.Band)]);
        var worth = WorthOfHands.Reckon(at, dueAt, book, floor);
        var bands = Ranked([.. found.Select(x => x.Band with { LeftInAll = Left(at, x.Cost, onePrice, worth, book) })]);
        return new(
            at.Pieces,
            ask.Pieces,
            mark,
            dueAt,
            [.. bands.Select(b => b with { Mixing = Mixes.Mixing(b, bands, book.Numbers.Format) })],
            folds
        )
        {
            OnePrice = onePrice,
            Advice = Advice.Give(bands, onePrice, worth, book.Numbers.Format),
            Ways = ways,
        };
    }

    private static Fold Folded(IDecorationMethod method, MethodAnswer answer, IEnumerable<Reason> notUsed) =>
        new(method.Id, method.Name, [.. answer.Verdict.Reasons.Where(r => r.Kind == VerdictKind.No), .. notUsed]);

    private static LeftInAll Left(
        AskInHand at,
        PieceCostResult cost,
        decimal price,
        WorthOfHands worth,
        ShopBook book
    ) =>
        worth.Left(
            at.Pieces,
            Outcome.At(price, cost, LineCost.Fees(at, book), book.Numbers.Rates.Wage).Profit,
            cost.HandsSeconds
        );

    private static List<Band> Ranked(IReadOnlyList<Band> bands)
    {
        var fitting = bands.Where(b => b.Fits).ToList();
        var best = fitting.Count == 0 ? null : Leading.Best(fitting, b => b.Weighed());
        return
        [
            .. bands
                .OrderByDescending(b => b == best)
                .ThenByDescending(b => b.Fits)
                .ThenBy(b => b.Fits ? 0 : Miss(b))
                .ThenBy(b => b.Verdict.Kind)
                .ThenByDescending(b => b.LeftInAll!.Left.Value),
        ];
    }

    // what the customer would pay, or could have it for here
    private static decimal OnePrice(decimal? mark, IReadOnlyList<Band> bands) =>
        mark
        ?? new[] { bands.Where(b => b.Fits && b.Verdict.Kind == VerdictKind.Yes), bands.Where(b => b.Fits), bands }
            .Select(of => of.Select(b => b.Outcome.Price).Order().ToList())
            .FirstOrDefault(of => of.Count > 0)
            ?[0]
        ?? 0;

    /// <summary>The chosen method alone, or why it cannot.</summary>
    public static (Band? Band, Fold? Fold) Chosen(
        AskInHand ask,
        decimal? mark,
        LocalDateTime? dueAt,
        ShopBook book,
        FloorPlan floor,
        Decision decision
    )
    {
        var method = DecorationMethods.Find(decision.MethodId)!;
        var answer = method.Answer(ask, book);
        return answer.Decorations.Count == 0
            ? (null, Folded(method, answer, []))
            : (LineBand.Reckon(method, answer, ask, mark, dueAt, book, floor, decision.TypedPrice).Band, null);
    }

    // by how far it misses, as a share of what was wanted: money over the mark and days late weigh alike
    private static double Miss(Band b) =>
        (double)(b.OverMark / Math.Max(1, b.Outcome.Price)) + (b.LateMinutes / (7 * 24 * 60));

    private static List<CurvePoint> Curve(IDecorationMethod method, IReadOnlyList<AskInHand> asks, ShopBook book)
    {
        var points = new List<CurvePoint>();
        foreach (var at in asks)
        {
            var answer = method.Answer(at, book);
            if (answer.Decorations.Count > 0)
            {
                var cost = LineCost.Reckon(at, answer.Decorations, book);
                points.Add(
                    new(
                        at.Pieces,
                        Money.Charged(cost.Cost.Value, book.Numbers.Format.MinorDigits),
                        Price: LinePrice.Reckon(at, answer.Decorations, cost, book, null).Each
                    )
                );
            }
        }
        return points;
    }
}
