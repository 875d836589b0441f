using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Runs;
using Hepno.Core.Shop;

namespace Hepno.Core.Learning;

/// <summary>A stratum as it was quoted and as it came out, a piece, rounded for show.</summary>
/// <param name="Code">Code of the stratum.</param>
/// <param name="Label">Its screen word.</param>
/// <param name="Planned">As quoted.</param>
/// <param name="Recorded">As it came out.</param>
public sealed record StratumHeld(string Code, string Label, decimal Planned, decimal Recorded);

/// <summary>Minutes of hands of the order as planned and as recorded.</summary>
/// <param name="Label">Kind of work.</param>
/// <param name="PlannedMinutes">As quoted.</param>
/// <param name="RecordedMinutes">As recorded; equal to the plan where nothing records it.</param>
/// <param name="Recorded">False where nothing records it yet.</param>
public sealed record MinutesHeld(string Label, double PlannedMinutes, double RecordedMinutes, bool Recorded);

/// <summary>Spoiled pieces of one reason.</summary>
/// <param name="Reason">Reason, "not said" when none.</param>
/// <param name="Pieces">How many.</param>
public sealed record SpoiledFor(string Reason, int Pieces);

/// <summary>What a line came to against what it was quoted at.</summary>
/// <param name="Strata">Strata a piece.</param>
/// <param name="PlannedCost">Cost a piece as quoted, rounded once.</param>
/// <param name="RecordedCost">Cost a piece as it came out, rounded once.</param>
/// <param name="Minutes">Minutes by kind of work.</param>
/// <param name="Spoiled">Spoiled pieces by reason.</param>
/// <param name="Pressed">Blanks started.</param>
/// <param name="PlannedAnHour">Profit an hour as quoted.</param>
/// <param name="RecordedAnHour">Profit an hour as it came out, opened to its parts.</param>
/// <param name="Earned">Profit of the whole line as it came out, opened to its parts.</param>
/// <param name="HandsSeconds">Hands of the whole line as recorded, s.</param>
/// <param name="LeftOver">What bought prints that were not used would cost to buy again, opened to its parts: the shop
/// still has them, so they are not charged. Null where none is left.</param>
public sealed record Held(
    IReadOnlyList<StratumHeld> Strata,
    decimal PlannedCost,
    decimal RecordedCost,
    IReadOnlyList<MinutesHeld> Minutes,
    IReadOnlyList<SpoiledFor> Spoiled,
    int Pressed,
    Figure PlannedAnHour,
    Figure RecordedAnHour,
    Figure Earned,
    double HandsSeconds,
    Figure? LeftOver
);

/// <summary>Holds a quote's figures against what the run recorded: what was used is charged, what is left over is not
/// (docs/trade 14).</summary>
public static class QuotedAgainstReal
{
    private const double LongestObservation = 3;

    /// <summary>Holds them against each other.</summary>
    /// <param name="quoted">The band the quote was made of, as frozen.</param>
    /// <param name="pieces">Good pieces of the line delivered, 1 or more.</param>
    /// <param name="events">The run's events of this line's pieces.</param>
    /// <param name="numbers">Rates as frozen with the quote.</param>
    /// <param name="plannedPressingSeconds">Seconds of hands at the press for one start, as planned.</param>
    public static Held Of(
        Band quoted,
        int pieces,
        IReadOnlyList<RunEvent> events,
        ShopNumbers numbers,
        double plannedPressingSeconds
    )
    {
        var run = Recorded(quoted, events, plannedPressingSeconds);
        // the quote's hands hold its expected ruined pieces; so does the pressing it is compared with
        var plannedPressing =
            plannedPressingSeconds * pieces / quoted.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var rest = ((double)quoted.Hands.Value * pieces) - plannedPressing;
        var recordedHands = rest + run.GoodSeconds + run.RuinedSeconds;

        // labour of the quote is that of good pieces alone, and so is what it is held against
        var shift = (run.GoodSeconds / pieces) - plannedPressingSeconds;
        var spoilage = SpoilageOf(quoted, pieces, run, numbers);
        var exact = Strata(quoted, shift, spoilage, numbers);
        var cost = exact.Sum();
        var digits = numbers.Format.MinorDigits;
        var sold = quoted.Outcome.Price + quoted.Outcome.Surcharges;
        var profit = sold - quoted.Outcome.Fees.Value - cost;
        var hours = (decimal)(recordedHands / pieces / 3600);
        Figure[] figures =
        [
            Figure.Input("price", "Price", sold, FigureUnit.Money, "the quote"),
            Figure.Input("fees", "Fees", quoted.Outcome.Fees.Value, FigureUnit.Money, "the quote"),
            RecordedCost(quoted, exact, spoilage),
        ];
        var earned = Figure.Of(
            "earned",
            "Earned",
            profit * pieces,
            "(price − fees − recorded cost) × pieces",
            [.. figures, Figure.Input("pieces", "Pieces", pieces, FigureUnit.Count, "handed over")]
        );
        var anHour = new Figure(
            "recorded-an-hour",
            "Profit an hour, recorded",
            hours == 0 ? 0 : profit / hours,
            FigureUnit.MoneyAnHour,
            "(price − fees − recorded cost) ÷ recorded hours of hands",
            Source: "",
            [
                .. figures,
                Figure.Input(
                    "hands",
                    "Hands a piece",
                    recordedHands / pieces,
                    FigureUnit.Seconds,
                    $"{run.Timings} timings of the run, and order time as planned"
                ),
            ]
        );
        return new(
            Shown(quoted, exact, digits),
            Money.Charged(quoted.Cost.Value, digits),
            RecordedCost: Money.Charged(cost, digits),
            [
                new(
                    "At the press",
                    plannedPressing / 60,
                    RecordedMinutes: (run.GoodSeconds + run.RuinedSeconds) / 60,
                    true
                ),
                new("Order, preparing and packing", rest / 60, RecordedMinutes: rest / 60, false),
            ],
            Reasons(run.Spoiled),
            pieces + run.Spoiled.Count,
            quoted.Outcome.ProfitAnHour,
            anHour,
            earned,
            recordedHands,
            LeftOverOf(quoted, pieces, run)
        );
    }

    private static IReadOnlyList<SpoiledFor> Reasons(IReadOnlyList<RunEvent> spoiled) =>
        [
            .. spoiled
                .GroupBy(e => e.Reason ?? "not said")
                .Select(g => new SpoiledFor(g.Key, g.Count()))
                .OrderByDescending(s => s.Pieces),
        ];

    private static List<decimal> Strata(Band quoted, double shiftSeconds, Figure spoilage, ShopNumbers numbers)
    {
        var planned = quoted.Cost.Parts.ToDictionary(p => p.Code, p => p.Value);
        decimal Real(string code) =>
            code switch
            {
                "labour" => planned[code] + Money.Times(shiftSeconds / 3600, numbers.Rates.Wage),
                "press" => planned[code] + Money.Times(shiftSeconds / 3600, numbers.Rates.OverheadPerHour),
                "spoilage" => spoilage.Value,
                _ => planned[code],
            };
        return [.. PieceCost.Strata.Select(Real)];
    }

    private static Figure RecordedCost(Band quoted, List<decimal> exact, Figure spoilage) =>
        Figure.Sum(
            "recorded-cost",
            "Recorded cost",
            [
                .. PieceCost.Strata.Select(
                    (c, i) =>
                        c == "spoilage"
                            ? spoilage
                            : Figure.Input(
                                c,
                                quoted.Cost.Parts[i].Label,
                                exact[i],
                                FigureUnit.Money,
                                c is "labour" or "press" ? "recorded minutes" : "as quoted"
                            )
                ),
            ]
        );

    private static IReadOnlyList<StratumHeld> Shown(Band quoted, List<decimal> exact, int digits)
    {
        var planned = quoted.Cost.Parts.ToDictionary(p => p.Code, p => p.Value);
        var plannedShown = Money.Shown([.. PieceCost.Strata.Select(c => planned[c])], digits);
        var recordedShown = Money.Shown(exact, digits);
        return
        [
            .. PieceCost.Strata.Select(
                (c, i) => new StratumHeld(c, quoted.Cost.Parts[i].Label, plannedShown[i], Recorded: recordedShown[i])
            ),
        ];
    }

    private static RunRecorded Recorded(Band quoted, IReadOnlyList<RunEvent> events, double plannedPressingSeconds)
    {
        var takenBack = events.Where(e => e.TakesBack is not null).Select(e => e.TakesBack).ToHashSet();
        var verdicts = events.Where(e => e.Verdict != RunVerdict.TakenBack && !takenBack.Contains(e.EventId)).ToList();
        // a wait that nobody marked as a hold must not become a standard: one observation counts at most three times
        // its plan
        var cap = LongestObservation * plannedPressingSeconds / Math.Max(1, quoted.Decorations.Count);
        var spoiled = verdicts.Where(e => e.Verdict == RunVerdict.Spoiled).ToList();
        // a piece ruined at its second print took the time of its first with it
        var ruined = spoiled.Select(e => (e.PieceNo, e.Attempt)).ToHashSet();
        double Seconds(bool lost) =>
            verdicts
                .Where(e => ruined.Contains((e.PieceNo, e.Attempt)) == lost)
                .Sum(e => Math.Clamp(e.SecondsOnPiece, 0, cap));
        return new(spoiled, Seconds(lost: false), RuinedSeconds: Seconds(lost: true), verdicts.Count);
    }

    // what ruined pieces took: blank, sundries, prints, what was prepared for them, the press, and the hands that were
    // recorded
    private static Figure SpoilageOf(Band quoted, int pieces, RunRecorded run, ShopNumbers numbers)
    {
        var (start, rate) = (
            quoted.Cost.Parts.Where(p => p.Code is "blank" or "consumables").Sum(p => p.Value),
            numbers.Rates.Wage + numbers.Rates.OverheadPerHour
        );
        var held = quoted.Cost.Parts.First(p => p.Code == "press").Parts.FirstOrDefault(p => p.Code == "held")?.Parts
            ?? [];
        decimal Held(string code, int nth) => held.Where(p => p.Code == code).Skip(nth).FirstOrDefault()?.Value ?? 0;
        decimal Attempt(DecorationPlan d, int pass) =>
            d.Material.Value
            + Money.Times(WorkSteps.Attended(numbers.Floor.Habits.Apart(d.Preparation)) / 3600, rate)
            + Held(d.Placement.Id.Text, quoted.Decorations.Take(pass).Count(b => b.Placement.Id == d.Placement.Id));
        var things = run.Spoiled.Sum(e =>
            start + Held("prep", 0) + quoted.Decorations.Take(e.Pass).Select(Attempt).Sum()
        );
        List<Figure> parts =
        [
            Figure.Of(
                "ruined",
                "Cloth, prints and press of ruined pieces",
                things / pieces,
                "of each ruined piece, as far as it came ÷ pieces",
                Figure.Input("spoiled", "Ruined", run.Spoiled.Count, FigureUnit.Count, "the run"),
                Figure.Input("pieces", "Pieces", pieces, FigureUnit.Count, "handed over")
            ),
            Figure.Of(
                "ruined-hands",
                "Hands of ruined pieces",
                Money.Times(run.RuinedSeconds / 3600, rate) / pieces,
                "recorded time × wage and overhead ÷ pieces",
                Figure.Input("time", "Hands", run.RuinedSeconds, FigureUnit.Seconds, "the run"),
                Figure.Input("rate", "Wage and overhead", rate, FigureUnit.MoneyAnHour, "Numbers: wage and overhead")
            ),
            .. quoted.Decorations.Where(d => d.BlanksSent > pieces).Select(d => Beyond(d, quoted, pieces, run)),
        ];
        return Figure.Sum("spoilage", "Spoilage", parts);
    }

    // a printed piece beyond the need cannot go back: it was used, whoever has it
    private static Figure Beyond(DecorationPlan d, Band quoted, int pieces, RunRecorded run)
    {
        var left = Math.Max(0, d.BlanksSent - pieces - run.Spoiled.Count);
        // the blank is one, however many prints were sent out with it
        var blank =
            quoted.Decorations.First(x => x.BlanksSent > pieces) == d
                ? quoted.Cost.Parts.First(p => p.Code == "blank").Value
                : 0;
        return Figure.Of(
            $"beyond-{d.Placement.Id}",
            label: "Printed beyond the need",
            left * (OneMore(d, quoted).Value + blank) / pieces,
            "pieces left × (a print + its blank) ÷ pieces",
            Figure.Input("left", "Left", left, FigureUnit.Count, $"{d.BlanksSent} sent out"),
            OneMore(d, quoted),
            Figure.Input("blank", "Blank", blank, FigureUnit.Money, "the quote")
        );
    }

    private static Figure? LeftOverOf(Band quoted, int pieces, RunRecorded run)
    {
        var left = quoted
            .Decorations.Select((d, i) => (d, Left: d.Bought - pieces - run.Spoiled.Count(e => e.Pass > i)))
            .Where(x => x is { d: { Bought: > 0, BlanksSent: 0 }, Left: > 0 })
            .Select(x =>
                Figure.Of(
                    $"left-{x.d.Placement.Id}",
                    label: x.d.Placement.At().Name,
                    x.Left * OneMore(x.d, quoted).Value,
                    "left × one more",
                    Figure.Input("left", "Left", x.Left, FigureUnit.Count, $"{x.d.Bought} bought or made"),
                    OneMore(x.d, quoted)
                )
            )
            .ToList();
        return left.Count == 0 ? null : Figure.Sum("left-over", "Left over", left);
    }

    // as the quote reckoned a spare; what a plan says of it is not kept with the quote
    private static Figure OneMore(DecorationPlan d, Band quoted) =>
        quoted
            .Cost.Parts.First(p => p.Code == "spoilage")
            .Parts.FirstOrDefault(p => p.Code == $"left-{d.Placement.Id}")
            ?.Parts[1]
        ?? d.OneMore;

    /// <summary>What a run says of a line.</summary>
    /// <param name="Spoiled">Verdicts that ruined a piece.</param>
    /// <param name="GoodSeconds">Hands on pieces that became good, s.</param>
    /// <param name="RuinedSeconds">Hands on pieces that were ruined, s.</param>
    /// <param name="Timings">Verdicts that count.</param>
    private sealed record RunRecorded(
        IReadOnlyList<RunEvent> Spoiled,
        double GoodSeconds,
        double RuinedSeconds,
        int Timings
    );
}
