using Hepno.Core.Blanks;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>A line of an ask on the press floor.</summary>
public static class LineFloor
{
    /// <summary>The press a line is priced and planned on: the first that takes its garment, is not set aside, covers
    /// every print and has no cold spot under one; an iron held by hand only where nothing else does.</summary>
    public static Press PressOf(AskInHand ask, ShopBook book)
    {
        var able = book.PressesFor(ask.Style.Kind);
        if (able.Count < 2)
        {
            return able.Count == 0 ? book.Presses[0] : able[0];
        }
        var prints = ask.Prints;
        return able.OrderBy(p => p.HeldByHand())
            .ThenBy(p => p.IsSetAside())
            .ThenBy(p => !prints.All(print => p.Covers(print.WidthIn, print.HeightIn)))
            .ThenBy(p => prints.Any(print => p.ColdUnder(print.WidthIn, print.HeightIn).Count > 0))
            .First();
    }

    /// <summary>Where a line is done by a method's plan: the press it is priced on, or a place of work without heat. Of
    /// several places it is the press, else the machine.</summary>
    public static Press WorkplaceOf(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book) =>
        BenchOf(decorations) is var bench && bench.IsNone ? PressOf(ask, book) : Bench(bench, book);

    /// <summary>The place of work without heat that a line is done at; empty where it is pressed.</summary>
    public static PressId BenchOf(IReadOnlyList<DecorationPlan> decorations) => decorations.MaxBy(Mixed.Stage)!.BenchId;

    /// <summary>The first decoration that is pressed, before which the garment is pre-pressed; the first of all where
    /// none is.</summary>
    public static int FirstPressed(IReadOnlyList<DecorationPlan> decorations) =>
        Math.Max(0, decorations.ToList().FindIndex(d => d.Recipe.IsPressed()));

    /// <summary>A place of work without heat.</summary>
    public static Press Bench(PressId id, ShopBook book) =>
        book.Benches().FirstOrDefault(b => b.Id == id) ?? Workbench.Table;

    /// <summary>Steps of a piece before its first decoration; none where it is not pressed.</summary>
    public static IReadOnlyList<WorkStep> Before(
        GarmentKind kind,
        IReadOnlyList<DecorationPlan> decorations,
        StepStandards standards
    ) =>
        decorations.Any(d => d.Recipe.IsPressed())
            ? standards.Before(kind, decorations.Max(d => d.Recipe.PrePressSeconds))
            : [];

    /// <summary>Its pieces as a job for one press and one pair of hands, by the shop's habits; steps of hands at the
    /// shop's own pace. Folding and bagging come after the press and are no part of it.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="decorations">How it is done.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <param name="pieces">Pieces; null for the line's own.</param>
    /// <remarks>Decorations done elsewhere than at its press or machine are no part of it: see
    /// <see cref="MinutesOf"/>.</remarks>
    public static FloorJob JobOf(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book,
        int? pieces = null
    )
    {
        decorations = [.. decorations.Where(d => d.BenchId == BenchOf(decorations))];
        var (n, habits, standards, press) = (
            book.Numbers,
            book.Numbers.Floor.Habits,
            book.Numbers.Floor.Standards(),
            WorkplaceOf(ask, decorations, book)
        );
        IReadOnlyList<WorkStep> Paced(IEnumerable<WorkStep> steps) =>
            [.. steps.Select(s => s.Hands ? s with { Seconds = s.Seconds * n.Floor.HandsFactor } : s)];
        // an iron binds the hands as long as it presses: nothing streams beside it
        IReadOnlyList<WorkStep> Pressed(IEnumerable<WorkStep> steps) =>
            Paced(press.HeldByHand() ? steps.Select(s => s.Press ? s with { Hands = true } : s) : steps);
        return new(
            pieces ?? ask.Pieces,
            [
                .. Paced(decorations.SelectMany(d => habits.Beside(d.Preparation))),
                .. Pressed(Before(ask.Style.Kind, decorations, standards)),
            ],
            [
                .. decorations.Select(d => new FloorPass(
                    d.Placement.At().Name,
                    d.Recipe.TemperatureF,
                    d.Recipe.DwellSlackSeconds,
                    d.Recipe.Window(),
                    Pressed(d.Steps)
                )),
            ],
            Paced([standards.After[0]]),
            [
                new FloorPress(
                    press.Name,
                    press.OpensItself(),
                    press.LoadsBeside,
                    press.RiseFPerMinute,
                    press.DropFPerMinute
                ),
            ]
        )
        {
            RackPlaces = habits.RackPlaces,
            Policy = press.HeldByHand() ? FloorPolicy.OneAtATime : habits.Policy,
            FirstPiece = habits.FirstPiece && press.Id != Workbench.Table.Id,
        };
    }

    /// <summary>The same job begun with its press cold: it heats first, and what needs no press is done
    /// meanwhile.</summary>
    public static FloorJob FromCold(AskInHand ask, ShopBook book, FloorJob job)
    {
        var press = PressOf(ask, book);
        var first = job.Passes[0].TemperatureF;
        // the floor heats at one rate; warming up from cold is slower, so the press begins that much lower
        return job with
        {
            Presses =
            [
                .. job.Presses.Select(p =>
                    p with
                    {
                        AtF = first - (press.HeatMinutes(null, first) * press.RiseFPerMinute),
                    }
                ),
            ],
        };
    }

    /// <summary>What weeding, trimming and cutting apart at the press, in the gaps, would save against doing them
    /// before; null where it is done so already or there is nothing of it.</summary>
    public static FloorChange? PreparedBeside(AskInHand ask, IReadOnlyList<DecorationPlan> decorations, ShopBook book)
    {
        var habits = book.Numbers.Floor.Habits;
        var floor = book.Numbers.Floor with { Habits = habits with { PrepareBeside = true } };
        var beside = book with { Numbers = book.Numbers with { Floor = floor } };
        var job = JobOf(ask, decorations, beside);
        var hands =
            decorations.SelectMany(d => beside.Numbers.Floor.Habits.Beside(d.Preparation)).Sum(s => s.Seconds)
            * book.Numbers.Floor.HandsFactor
            * job.Pieces;
        if (habits.PrepareBeside || hands == 0)
        {
            return null;
        }
        var saved =
            hands
            + PressFloorSimulation.Run(JobOf(ask, decorations, book)).MakespanSeconds
            - PressFloorSimulation.Run(job).MakespanSeconds;
        return saved / job.Pieces < 0.05
            ? new(
                "prepare-beside",
                "prepare at the press, in the gaps",
                0,
                SecondsInAll: 0,
                "the gaps are too short for it"
            )
            : new("prepare-beside", "prepare at the press, in the gaps", saved / job.Pieces, SecondsInAll: saved, "");
    }

    /// <summary>What a piece of the line takes: at its press, and before that at every other place it is decorated at,
    /// one place after the other.</summary>
    public static FloorMinutes MinutesOf(
        AskInHand ask,
        IReadOnlyList<DecorationPlan> decorations,
        ShopBook book,
        int? pieces = null
    )
    {
        FloorMinutes At(IReadOnlyList<DecorationPlan> there) =>
            (book.Memo ?? new FloorMemo()).Of(JobOf(ask, there, book, pieces), book.Numbers.Floor.Habits.HandsOnOnly);
        var places = decorations.GroupBy(d => d.BenchId).Select(g => (IReadOnlyList<DecorationPlan>)[.. g]).ToList();
        if (places.Count == 1)
        {
            return At(decorations);
        }
        var ran = places.Select(p => (Plans: p, Took: At(p))).ToList();
        double Of(DecorationPlan d, Func<FloorMinutes, IReadOnlyList<double>> each) =>
            ran.First(r => r.Plans.Contains(d)) is var (plans, took) ? each(took)[plans.ToList().IndexOf(d)] : 0;
        return new(
            ran[0].Took.Pieces,
            ran.Sum(r => r.Took.PrepAttended),
            PrepHeld: ran.Sum(r => r.Took.PrepHeld),
            [.. decorations.Select(d => Of(d, t => t.Attended))],
            [.. decorations.Select(d => Of(d, t => t.Held))],
            ran.Sum(r => r.Took.MakespanSeconds),
            $"{ran.MaxBy(r => r.Plans.Max(Mixed.Stage)).Took.Source}, after {Shared(ran.Count - 1)}"
        );
    }

    private static string Shared(int before) =>
        before == 1 ? "another place of work" : $"{before} other places of work";
}
