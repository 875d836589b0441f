using Hepno.Core.Costing;
using Hepno.Core.PressFloor;
using Hepno.Web.Deeds;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Text to read a size run from.</summary>
internal sealed record SizeRunBody(StyleId StyleId, string Text);

/// <summary>Text of a table of names and numbers, as pasted or as a file holds it.</summary>
internal sealed record NamesBody(StyleId StyleId, string Text);

/// <summary>Equal boxes to lay in rows on a roll; lengths in inches.</summary>
internal sealed record RowsBody(double WidthIn, double HeightIn, double MarginIn, double RollWidthIn, int Count);

/// <summary>An ask to be quoted without being kept.</summary>
/// <param name="Ask">What is asked.</param>
/// <param name="Ways">How each line is made.</param>
internal sealed record QuoteBody(AskBody Ask, IReadOnlyList<SaidWay> Ways);

/// <summary>One step of work on a piece; a step that holds the press and needs no hands is a dwell, between one that
/// closes and one called "open".</summary>
internal sealed record StepBody(
    string Code,
    double Seconds,
    bool Hands,
    bool Press,
    string? Label = null,
    bool ByItself = false
);

/// <summary>One decoration of a piece: heat in °F, slack and peel window in seconds; no window for a cold
/// peel.</summary>
internal sealed record FloorPassBody(
    string Name,
    double TemperatureF,
    double SlackSeconds,
    double? PeelWindowSeconds,
    IReadOnlyList<StepBody> Steps
);

/// <summary>A press of the floor; atF is the heat it stands at, null for the first pass's.</summary>
internal sealed record FloorPressBody(
    string Name,
    bool OpensItself = false,
    bool LoadsBeside = false,
    double RiseFPerMinute = 20,
    double DropFPerMinute = 5,
    double? AtF = null
);

/// <summary>Pieces to press on a floor. searchSteps: runs a search may make for a better order, at most
/// 20,000.</summary>
internal sealed record PressFloorBody(
    int Pieces,
    IReadOnlyList<StepBody> Before,
    IReadOnlyList<FloorPassBody> Passes,
    IReadOnlyList<StepBody> After,
    IReadOnlyList<FloorPressBody> Presses,
    int Operators = 1,
    int RackPlaces = 8,
    FloorPolicy Policy = FloorPolicy.Stream,
    bool FirstPiece = true,
    int? MaxInWork = null,
    int SearchSteps = 0,
    bool Trace = false
);

/// <summary>How the pieces go over the floor.</summary>
/// <param name="Found">Everything found, with the trace where it was asked for.</param>
/// <param name="SteadySeconds">Seconds a further piece takes once the floor runs evenly.</param>
/// <param name="HandsSecondsAPiece">Hands busy, s a piece.</param>
/// <param name="AttendedSecondsAPiece">Hands and short waits, s a piece.</param>
/// <param name="HeldSecondsAPiece">Presses held, s a piece.</param>
/// <param name="Narrow">The narrow place.</param>
/// <param name="ZeroOverDwellCosts">Seconds more in all if nothing were pressed a second too long.</param>
/// <param name="Changes">What would help, most first.</param>
internal sealed record PressFloorView(
    FloorResult Found,
    double SteadySeconds,
    double HandsSecondsAPiece,
    double AttendedSecondsAPiece,
    double HeldSecondsAPiece,
    NarrowPlace Narrow,
    double ZeroOverDwellCosts,
    IReadOnlyList<FloorChange> Changes
);

/// <summary>Work to place on the shop's presses.</summary>
internal sealed record WorkBody(
    string Id,
    int Pieces,
    double MinutesPerPiece,
    double TemperatureF,
    LocalDateTime ReadyAt,
    LocalDateTime? DueAt,
    double TailMinutes,
    double WidthIn,
    double HeightIn
);

/// <summary>Work to place from a moment on; times are the shop's wall clock. Overlap: hands set a press up while it
/// heats.</summary>
internal sealed record ScheduleBody(
    LocalDateTime From,
    IReadOnlyList<DayHours> Week,
    IReadOnlyList<WorkBody> Works,
    bool Overlap = true
);
