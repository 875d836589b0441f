using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>Holds every method against an ask: verdict, cost, price, promise.</summary>
public static class Comparer
{
    private static readonly int[] CurveAt = [1, 2, 3, 6, 12, 18, 24, 36, 48, 72, 96, 144, 216, 288];
    private const double GuessedSpoilage = 0.06;

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
                folds.Add(
                    new(
                        method.Id,
                        method.Name,
                        [.. answer.Verdict.Reasons.Where(r => r.Kind == VerdictKind.No), .. answer.NotUsed]
                    )
                );
                return;
            }
            var (band, cost) = BandOf(
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
        foreach (
            var mix in best.Append(own)
                .Append(decision is null ? null : Mixed.Find(decision.MethodId))
                .OfType<Mixed>()
                .DistinctBy(m => m.Id)
        )
        {
            Hold(mix);
        }
        var onePrice = OnePrice(mark, [.. found.Select(x => x.Band)]);
        var worth = WorthOfHands.Reckon(at, dueAt, book, floor);
        var bands = Ranked([
            .. found.Select(x =>
                x.Band with
                {
                    LeftInAll = worth.Left(
                        at.Pieces,
                        Outcome.At(onePrice, x.Cost, LineCost.Fees(at, book), book.Numbers.Rates.Wage).Profit,
                        x.Cost.HandsSeconds
                    ),
                }
            ),
        ]);
        return new(
            at.Pieces,
            ask.Pieces,
            mark,
            dueAt,
            [.. bands.Select(b => b with { Mixing = Mixes.Mixing(b, bands, book.Numbers.Format) })],
            folds,
            onePrice,
            Advice.Give(bands, onePrice, worth, book.Numbers.Format),
            ways
        );
    }

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
            ? (null, new(method.Id, method.Name, [.. answer.Verdict.Reasons.Where(r => r.Kind == VerdictKind.No)]))
            : (BandOf(method, answer, ask, mark, dueAt, book, floor, decision.TypedPrice).Band, null);
    }

    /// <summary>Seconds of hands at the press for one start by the press floor, at the shop's own pace; packing left
    /// out.</summary>
    public static double PressingSeconds(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book) =>
        LineFloor.MinutesOf(ask, decorations, book).AttendedInAll;

    /// <summary>The work an order puts on the press by one method's plan.</summary>
    /// <param name="id">Order.</param>
    /// <param name="lineId">Its line.</param>
    /// <param name="code">Its number as written.</param>
    /// <param name="ask">The ask.</param>
    /// <param name="decorations">The method's plan.</param>
    /// <param name="readyAt">When everything is here, wall clock.</param>
    /// <param name="readyCause">What comes last.</param>
    /// <param name="dueAt">When it is wanted.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static PressWork WorkOf(
        OrderId id,
        LineId lineId,
        string code,
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        LocalDateTime readyAt,
        string readyCause,
        LocalDateTime? dueAt,
        ShopBook book
    )
    {
        var starts = (int)
            Math.Ceiling(ask.Pieces / decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance)) - 1e-9);
        var packing = book.Numbers.Floor.Standards().After[1].Seconds * book.Numbers.Floor.HandsFactor * ask.Pieces;
        // film cured under the hovering press takes the press too
        var perPiece =
            LineFloor.MinutesOf(ask, decorations, book, starts).SecondsAPiece
            + WorkSteps.PressHeld(decorations.SelectMany(d => d.Preparation));
        return new(
            id,
            lineId,
            code,
            starts,
            perPiece / 60,
            TemperatureF: decorations.Max(d => d.Recipe.TemperatureF),
            readyAt,
            readyCause,
            dueAt,
            packing / 60,
            SlowTenthMinutes: book.Numbers.Floor.SlowTenthShare * starts * perPiece / 60,
            null,
            decorations.Max(d => Pressed(d).WidthIn),
            decorations.Max(d => Pressed(d).HeightIn),
            ask.Style.Kind,
            null,
            [
                .. decorations.Select(d => new PressPass(
                    Pressed(d).WidthIn,
                    Pressed(d).HeightIn,
                    d.Placement.At().OpeningIn,
                    d.Recipe.Pressure
                )),
            ],
            ask.Style.HeatCeilingF
        )
        {
            BenchId = LineFloor.BenchOf(decorations),
        };
    }

    private static PlatenBox Pressed(DecorationPlan d) => d.OnPlaten ?? new(d.Placement.WidthIn, d.Placement.HeightIn);

    private static (Band Band, PieceCostResult Cost) BandOf(
        IDecorationMethod method,
        MethodAnswer answer,
        AskInHand ask,
        decimal? mark,
        LocalDateTime? dueAt,
        ShopBook book,
        FloorPlan floor,
        decimal? typed
    )
    {
        var n = book.Numbers;
        var inputs = LineCost.Inputs(ask, answer.Decorations, book);
        var cost = LineCost.Reckon(inputs, null);
        var (line, cliff) = GuardedPrice.Reckon(method, ask, answer.Decorations, cost, book, typed);
        var (price, surcharges, how) = line;
        var more = line.SurchargesInAll;
        var outcome = Outcome.At(price, cost, LineCost.Fees(ask, book), n.Rates.Wage, more / ask.Pieces);
        var shown = Money.Shown([.. cost.Cost.Parts.Select(p => p.Value)], n.Format.MinorDigits);
        var purchases = answer.Decorations.SelectMany(d => d.Purchases).ToList();
        var (readyAt, cause) = floor.Arrival(
            ask.Theirs ? null : ask.Style,
            purchases,
            answer.Decorations.Any(d => d.BringsBlank)
        );
        var (_, printedAt, machine) = floor.Machines.With(
            [.. answer.Decorations.Select(d => d.MachineWork(ask.Pieces)).OfType<MachineWork>()],
            readyAt
        );
        (readyAt, cause) = printedAt > readyAt ? (printedAt, machine) : (readyAt, cause);
        readyAt = floor
            .Hours.Add(
                readyAt,
                WorkSteps.Attended(n.Floor.Habits.Apart(answer.Decorations.SelectMany(d => d.Preparation)))
                    * ask.Pieces
                    / 60
            )
            .PlusMinutes(answer.Decorations.Max(d => d.WaitMinutes));
        var promise = PressPlanner.PromiseFor(
            WorkOf("", "", "", ask, answer.Decorations, readyAt, cause, dueAt, book),
            floor
        );
        var clock = WorkSteps.Clock(
            LineFloor
                .Before(ask.Style.Kind, answer.Decorations, n.Floor.Standards())
                .Concat(n.Floor.Standards().After)
                .Concat(answer.Decorations.SelectMany(d => d.Steps.Concat(d.Preparation)))
        );
        var failure = 1 - answer.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var ordered = cost.Sequence.Select(a => answer.Decorations.First(d => d.Placement.Id == a.Id)).ToList();
        Band band = new(
            method.Id,
            method.Name,
            answer.Made,
            answer.Verdict,
            cost.Cost,
            Money.Charged(cost.Cost.Value, n.Format.MinorDigits),
            [.. cost.Cost.Parts.Select((p, i) => new StratumShown(p.Code, p.Label, shown[i]))],
            LineCost.Reckon(inputs, 0).Cost.Value,
            CostHigh: LineCost.Reckon(inputs, GuessedSpoilage).Cost.Value,
            outcome,
            (price * ask.Pieces) + more,
            how,
            cost.HandsSeconds,
            clock,
            ordered,
            promise,
            mark is { } m && price > m ? price - m : 0,
            dueAt is { } due && promise is not null ? Math.Max(0, promise.At.MinutesSince(due)) : 0,
            BlankChance: Overage.ChanceOf(ask.Pieces, needed: ask.Pieces, failure),
            LeavesOut.Sentences(ask, answer.Decorations, book),
            [],
            cliff,
            surcharges
        )
        {
            Thumb = RuleOfThumb.Reckon(
                outcome.Price + outcome.Surcharges,
                cost,
                LineCost.Fees(ask, book),
                n.Prices.RuleOfThumb,
                n.Rates.Wage,
                n.Format
            ),
            NotUsed = [.. answer.NotUsed.Select(r => r.Sentence)],
        };
        return (band, cost);
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
