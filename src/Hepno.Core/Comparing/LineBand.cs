using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>A line's band by one method: cost, price, day and what each leaves out.</summary>
internal static class LineBand
{
    private const double GuessedSpoilage = 0.06;

    /// <summary>The band of a method that can do the line, with what it costs.</summary>
    /// <param name="method">The method.</param>
    /// <param name="answer">What it answered to the line.</param>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="mark">The most the customer would pay a piece.</param>
    /// <param name="dueAt">When it is wanted, wall clock.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <param name="floor">What is already planned.</param>
    /// <param name="typed">The price the owner typed; null for the policy's.</param>
    public static (Band Band, PieceCostResult Cost) Reckon(
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
        var promise = PromiseOf(ask, answer.Decorations, dueAt, book, floor);
        var failure = 1 - answer.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var ordered = cost
            .Sequence.Select(a => answer.Decorations.First(d => d.Placement.Id == new PlacementId(a.Id)))
            .ToList();
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
            Clock(ask, answer.Decorations, n.Floor.Standards()),
            ordered,
            promise,
            mark is { } m && price > m ? price - m : 0,
            dueAt is { } due && promise is not null ? Math.Max(0, promise.At.MinutesSince(due)) : 0,
            BlankChance: Overage.ChanceOf(ask.Pieces, needed: ask.Pieces, failure),
            LeavesOut.Sentences(ask, answer.Decorations, book),
            []
        )
        {
            Cliff = cliff,
            Surcharges = surcharges,
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

    // what is bought has come, what machines make is made, what hands prepare is prepared
    private static Promise? PromiseOf(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        LocalDateTime? dueAt,
        ShopBook book,
        FloorPlan floor
    )
    {
        var (readyAt, cause) = floor.Arrival(
            ask.Theirs ? null : ask.Style,
            [.. decorations.SelectMany(d => d.Purchases)],
            decorations.Any(d => d.BringsBlank)
        );
        var (_, printedAt, machine) = floor.Machines.With(
            [.. decorations.Select(d => d.MachineWork(ask.Pieces)).OfType<MachineWork>()],
            readyAt
        );
        (readyAt, cause) = printedAt > readyAt ? (printedAt, machine) : (readyAt, cause);
        var preparing = WorkSteps.Attended(book.Numbers.Floor.Habits.Apart(decorations.SelectMany(d => d.Preparation)));
        readyAt = floor
            .Hours.Add(readyAt, preparing * ask.Pieces / 60)
            .PlusMinutes(decorations.Max(d => d.WaitMinutes));
        return PressPlanner.PromiseFor(LineWork.Of("", "", "", ask, decorations, readyAt, cause, dueAt, book), floor);
    }

    private static double Clock(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, StepStandards standards) =>
        WorkSteps.Clock(
            LineFloor
                .Before(ask.Style.Kind, decorations, standards)
                .Concat(standards.After)
                .Concat(decorations.SelectMany(d => d.Steps.Concat(d.Preparation)))
        );
}
