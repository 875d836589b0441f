namespace Hepno.Core.PressFloor;

/// <summary>One step of work on a piece.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Label">What the operator does.</param>
/// <param name="Seconds">How long.</param>
/// <param name="Hands">True when the operator is busy; false for a wait.</param>
/// <param name="Press">True when it holds the press.</param>
/// <param name="ByItself">True when a machine does it for many pieces while the operator is elsewhere: such a wait is
/// never attended, however short its share.</param>
public sealed record WorkStep(string Code, string Label, double Seconds, bool Hands, bool Press, bool ByItself = false);

/// <summary>Sums over steps (docs/trade 6).</summary>
public static class WorkSteps
{
    /// <summary>Waits shorter than this are attended: nothing else can be done in them, s.</summary>
    public const double ShortWaitSeconds = 30;

    /// <summary>Hands-on time plus the short waits, s.</summary>
    public static double Attended(IEnumerable<WorkStep> steps) =>
        steps.Where(s => s.Hands || (s.Seconds < ShortWaitSeconds && !s.ByItself)).Sum(s => s.Seconds);

    /// <summary>Time the press is closed or occupied, s.</summary>
    public static double PressHeld(IEnumerable<WorkStep> steps) => steps.Where(s => s.Press).Sum(s => s.Seconds);

    /// <summary>The serial chain, one at a time, s.</summary>
    public static double Clock(IEnumerable<WorkStep> steps) => steps.Sum(s => s.Seconds);
}
