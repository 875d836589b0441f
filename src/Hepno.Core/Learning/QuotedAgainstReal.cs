using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Runs;

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
public sealed record Held(IReadOnlyList<StratumHeld> Strata, decimal PlannedCost, decimal RecordedCost, IReadOnlyList<MinutesHeld> Minutes, IReadOnlyList<SpoiledFor> Spoiled, int Pressed, Figure PlannedAnHour, Figure RecordedAnHour, Figure Earned, double HandsSeconds);

/// <summary>Holds a quote's figures against what the run recorded (docs/trade.md 14).</summary>
public static class QuotedAgainstReal
{
    private const double LongestObservation = 3;

    /// <summary>Holds them against each other.</summary>
    /// <param name="quoted">The band the quote was made of, as frozen.</param>
    /// <param name="pieces">Good pieces of the line delivered, 1 or more.</param>
    /// <param name="events">The run's events of this line's pieces.</param>
    /// <param name="numbers">Rates as frozen with the quote.</param>
    /// <param name="plannedPressingSeconds">Seconds of hands at the press for one start, as planned.</param>
    public static Held Of(Band quoted, int pieces, IReadOnlyList<RunEvent> events, ShopNumbers numbers, double plannedPressingSeconds)
    {
        var takenBack = events.Where(e => e.TakesBack is not null).Select(e => e.TakesBack).ToHashSet();
        var verdicts = events.Where(e => e.Verdict != RunVerdict.TakenBack && !takenBack.Contains(e.EventId)).ToList();
        // a wait that nobody marked as a hold must not become a standard: one observation counts at most three times its plan
        var passes = Math.Max(1, quoted.Decorations.Count);
        var cap = LongestObservation * plannedPressingSeconds / passes;
        var recordedPressing = verdicts.Sum(e => Math.Clamp(e.SecondsOnPiece, 0, cap));
        var plannedHands = (double)quoted.Hands.Value * pieces;
        // the quote's hands hold its expected ruined pieces; so does the pressing it is compared with
        var plannedPressing = plannedPressingSeconds * pieces / quoted.Decorations.Aggregate(1.0, (a, d) => a * (1 - d.FailureChance));
        var rest = plannedHands - plannedPressing;
        var recordedHands = rest + recordedPressing;
        var shift = (recordedHands - plannedHands) / pieces;

        var spoiled = verdicts.Where(e => e.Verdict == RunVerdict.Spoiled).ToList();
        var planned = quoted.Cost.Parts.ToDictionary(p => p.Code, p => p.Value);
        var lost = spoiled.Sum(e => planned["blank"] + planned["consumables"] + quoted.Decorations.Take(e.Pass).Sum(d => d.Material.Value)) / pieces;
        var leftovers = quoted.Cost.Parts.First(p => p.Code == "spoilage").Parts.Where(p => p.Code.StartsWith("left-", StringComparison.Ordinal)).Sum(p => p.Value);
        decimal Recorded(string code) => code switch
        {
            "labour" => planned[code] + Money.Times(shift / 3600, numbers.Wage),
            "press" => planned[code] + Money.Times(shift / 3600, numbers.OverheadPerHour),
            "spoilage" => lost + leftovers,
            _ => planned[code],
        };
        var digits = numbers.Format.MinorDigits;
        var exact = PieceCost.Strata.Select(Recorded).ToList();
        var plannedShown = Money.Shown([.. PieceCost.Strata.Select(c => planned[c])], digits);
        var recordedShown = Money.Shown(exact, digits);
        var cost = exact.Sum();
        var sold = quoted.Outcome.Price + quoted.Outcome.Surcharges;
        var profit = sold - quoted.Outcome.Fees.Value - cost;
        var hours = (decimal)(recordedHands / pieces / 3600);
        Figure[] figures =
        [
            Figure.Input("price", "Price", sold, FigureUnit.Money, "the quote"), Figure.Input("fees", "Fees", quoted.Outcome.Fees.Value, FigureUnit.Money, "the quote"),
            Figure.Sum("recorded-cost", "Recorded cost", [.. PieceCost.Strata.Select((c, i) => Figure.Input(c, quoted.Cost.Parts[i].Label, exact[i], FigureUnit.Money, c is "labour" or "press" ? "recorded minutes" : c == "spoilage" ? $"{spoiled.Count} spoiled" : "as quoted"))]),
        ];
        var earned = Figure.Of("earned", "Earned", profit * pieces, "(price − fees − recorded cost) × pieces", [.. figures, Figure.Input("pieces", "Pieces", pieces, FigureUnit.Count, "handed over")]);
        var anHour = new Figure("recorded-an-hour", "Profit an hour, recorded", hours == 0 ? 0 : profit / hours, FigureUnit.MoneyAnHour, "(price − fees − recorded cost) ÷ recorded hours of hands", "",
            [.. figures, Figure.Input("hands", "Hands a piece", recordedHands / pieces, FigureUnit.Seconds, $"{verdicts.Count} timings of the run, and order time as planned")]);
        return new([.. PieceCost.Strata.Select((c, i) => new StratumHeld(c, quoted.Cost.Parts[i].Label, plannedShown[i], recordedShown[i]))], Money.Charged(quoted.Cost.Value, digits), Money.Charged(cost, digits),
            [new("At the press", plannedPressing / 60, recordedPressing / 60, true), new("Order, preparing and packing", rest / 60, rest / 60, false)],
            [.. spoiled.GroupBy(e => e.Reason ?? "not said").Select(g => new SpoiledFor(g.Key, g.Count())).OrderByDescending(s => s.Pieces)], pieces + spoiled.Count, quoted.Outcome.ProfitAnHour, anHour, earned, recordedHands);
    }
}
