using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Views;

namespace Hepno.Web.Endpoints;

/// <summary>Text to read a size run from.</summary>
internal sealed record SizeRunBody(string StyleId, string Text);

/// <summary>Equal boxes to lay in rows on a roll; lengths in inches.</summary>
internal sealed record RowsBody(double WidthIn, double HeightIn, double MarginIn, double RollWidthIn, int Count);

/// <summary>One step of work on a piece.</summary>
internal sealed record StepBody(string Label, double Seconds, bool Hands, bool Press);

/// <summary>Steps of one piece, and how many pieces.</summary>
internal sealed record PressFloorBody(IReadOnlyList<StepBody> Steps, int Pieces);

/// <summary>What the pieces take, one at a time.</summary>
/// <param name="AttendedSeconds">Hands for one piece, short waits included, s.</param>
/// <param name="PressSeconds">The press held for one piece, s.</param>
/// <param name="ClockSeconds">From first touch to last for one piece, s.</param>
/// <param name="AllMinutes">Clock for all pieces, one after the other, min.</param>
internal sealed record PressFloorView(double AttendedSeconds, double PressSeconds, double ClockSeconds, double AllMinutes);

/// <summary>Work to place on the shop's presses.</summary>
internal sealed record WorkBody(string Id, int Pieces, double MinutesPerPiece, double TemperatureF, DateTime ReadyAt, DateTime? DueAt, double TailMinutes, double WidthIn, double HeightIn);

/// <summary>Work to place from a moment on; times are the shop's wall clock. Overlap: hands set a press up while it heats.</summary>
internal sealed record ScheduleBody(DateTime From, IReadOnlyList<DayBody> Week, IReadOnlyList<WorkBody> Works, bool Overlap = true);

/// <summary>Pure computations: nothing is kept and nothing changes.</summary>
internal static class ComputeEndpoints
{
    private const int LongestText = 2000;
    private const int MostSteps = 100;
    private const int MostWorks = 200;
    private const double LongestIn = 10_000;
    private const double DaySeconds = 86_400;
    private const double HottestF = 1000;

    public static void MapCompute(this IEndpointRouteBuilder api)
    {
        var compute = api.MapGroup("/compute").WithTags("compute");
        compute.MapPost("size-run", SizeRunOf).WithName("readSizeRun");
        compute.MapPost("compare", Compare).WithName("computeCompare");
        compute.MapPost("layout", Rows).WithName("computeLayout");
        compute.MapPost("press-floor", PressFloor).WithName("computePressFloor");
        compute.MapPost("schedule", Schedule).WithName("computeSchedule");
    }

    /// <summary>Reads a size run as typed or pasted.</summary>
    internal static SizeRunView SizeRunOf(SizeRunBody body, Desk desk) => desk.Db.Read(connection =>
    {
        var style = Aggregates.Styles.Get(connection, body.StyleId)?.Value ?? throw RefusedException.NoSuch("style", body.StyleId);
        var reading = SizeRun.Parse(body.Text.Length > LongestText ? body.Text[..LongestText] : body.Text, [.. style.Sizes.Select(s => s.Name)]);
        RefusedException.IfAny(reading.Problem is { } problem ? [problem] : []);
        return new SizeRunView(reading.Sizes, SizeRun.Total(reading.Sizes));
    });

    /// <summary>Compares the first line of an ask that is kept nowhere, at the shop's own prices and with its other lines beside it.</summary>
    internal static Comparison Compare(AskBody body, Desk desk) => desk.Db.Read(connection =>
    {
        var book = desk.Book(connection);
        var ask = body.ToCore();
        var wall = desk.Clock.Wall(book.Numbers.TimeZone);
        RefusedException.IfAny(SaveAsk.Problems(ask, null, book, connection, wall));
        var line = AsksInHand.Of(ask, book)[0];
        if (line.InHand is null || book.Presses.Count == 0)
        {
            throw new RefusedException(400, "incomplete", book.Presses.Count == 0 ? "There is no press on the Floor." : line.Problems.Count > 0 ? line.Problems[0].Sentence : "A style, a colour, sizes and a placement are needed.", "Say them in the body.");
        }
        return Comparer.Compare(line.InHand, ask.Lines[0].Mark, ask.DueAt, null, book, Desk.Floor(desk.Open(connection, book), book, wall));
    });

    /// <summary>Equal boxes in rows across a roll, the shorter way round.</summary>
    internal static RollRows Rows(RowsBody b)
    {
        RefusedException.IfAny([
            .. Within(b.WidthIn, 0.05, Places.Absurd, "widthIn", "in"), .. Within(b.HeightIn, 0.05, Places.Absurd, "heightIn", "in"), .. Within(b.MarginIn, 0, 5, "marginIn", "in"),
            .. Within(b.RollWidthIn, 1, LongestIn, "rollWidthIn", "in"), .. Within(b.Count, 1, 100_000, "count", "boxes")]);
        return RollRows.Lay(b.WidthIn, b.HeightIn, b.MarginIn, b.RollWidthIn, b.Count)
            ?? throw new RefusedException(400, "too-wide", $"{b.WidthIn:0.##} × {b.HeightIn:0.##} in with its margin is wider than the roll's {b.RollWidthIn:0.##} in, either way round.", "A smaller box or a wider roll.", "rollWidthIn");
    }

    /// <summary>Hands, press and clock of steps done one piece at a time.</summary>
    internal static PressFloorView PressFloor(PressFloorBody b)
    {
        RefusedException.IfAny([
            .. Within(b.Pieces, 1, SizeRun.MostPieces, "pieces", "pieces"), .. Within(b.Steps.Count, 1, MostSteps, "steps", "steps"),
            .. b.Steps.SelectMany((s, i) => Within(s.Seconds, 0, DaySeconds, $"steps[{i}].seconds", "s"))]);
        List<WorkStep> steps = [.. b.Steps.Select((s, i) => new WorkStep($"step-{i + 1}", s.Label, s.Seconds, s.Hands, s.Press))];
        return new(WorkSteps.Attended(steps), WorkSteps.PressHeld(steps), WorkSteps.Clock(steps), WorkSteps.Clock(steps) * b.Pieces / 60);
    }

    /// <summary>Places work on the shop's presses from a moment on, as if nothing else stood there.</summary>
    internal static IReadOnlyList<PlacedWork> Schedule(ScheduleBody b, Desk desk)
    {
        RefusedException.IfAny([
            .. b.Week.Count == 7 && b.Week.Any(d => d.Open is not null) ? [] : new[] { new Problem("week", $"{b.Week.Count} days are not a week with an open day.", "week", "Send seven days, Sunday first; null when closed.") },
            .. b.Week.SelectMany((d, i) => d.Open is null == d.Close is null && !(d.Close <= d.Open) ? [] : new[] { new Problem("hours", $"Day {i}: {d.Open} to {d.Close} is not a day.", $"week[{i}]", "Opening before closing, or both null.") }),
            .. Within(b.Works.Count, 0, MostWorks, "works", "works"),
            .. b.Works.SelectMany((w, i) => Within(w.Pieces, 1, SizeRun.MostPieces, $"works[{i}].pieces", "pieces").Concat(Within(w.MinutesPerPiece, 0.01, 600, $"works[{i}].minutesPerPiece", "min"))
                .Concat(Within(w.TemperatureF, 0, HottestF, $"works[{i}].temperatureF", "°F")).Concat(Within(w.TailMinutes, 0, 10_000, $"works[{i}].tailMinutes", "min"))
                .Concat(Within(w.WidthIn, 0, Places.Absurd, $"works[{i}].widthIn", "in")).Concat(Within(w.HeightIn, 0, Places.Absurd, $"works[{i}].heightIn", "in")))]);
        var presses = desk.Db.Read(desk.Book).Presses;
        if (presses.Count == 0)
        {
            throw new RefusedException(409, "no-press", "There is no press on the Floor.", "Add a press on the Floor.");
        }
        return PressPlanner.Plan([.. b.Works.Select(w => new PressWork(w.Id, "", w.Id, w.Pieces, w.MinutesPerPiece, w.TemperatureF, w.ReadyAt, "as sent", w.DueAt, w.TailMinutes, 0, null, w.WidthIn, w.HeightIn))],
            new FloorPlan(b.From, new OpenHours([.. b.Week.Select(d => new DayHours(d.Open, d.Close))]), presses, [], null, new(WhileHeating: b.Overlap)));
    }

    private static IEnumerable<Problem> Within(double value, double least, double most, string field, string unit) =>
        value >= least && value <= most ? [] : [new("range", $"{value:0.###} {unit} is outside {least:0.##} to {most:0.##}.", field, "Send a value between.")];
}
