using Hepno.Core.Measures;

namespace Hepno.Core.PressFloor;

/// <summary>How the shop works at its presses, and how fast.</summary>
/// <param name="Habits">How pieces go through the press.</param>
/// <param name="HandsFactor">The shop's own seconds at the press ÷ the standards; 1 until it is learned.</param>
/// <param name="SwapMinutes">Hands to change a press's lower platen.</param>
/// <param name="DialMinutes">Hands to set a press's dial for another batch.</param>
/// <param name="SetUpWhileHeating">True when hands set a press up while it heats; false when one waits for the
/// other.</param>
/// <param name="SlowTenthShare">Time added to pressing so that nine runs in ten finish, a share.</param>
/// <param name="Unattended">Machines, by their identity, that run day and night: the others run in the open
/// hours.</param>
/// <param name="TestMinutes">From asking for a test piece to having looked at it, min.</param>
public sealed record FloorRules(
    FloorHabits Habits,
    double HandsFactor,
    double SwapMinutes,
    double DialMinutes,
    bool SetUpWhileHeating,
    double SlowTenthShare,
    IReadOnlyList<ThingId> Unattended,
    double TestMinutes
)
{
    /// <summary>Starting values of a new shop (assumed); each is the owner's to change.</summary>
    public static FloorRules Default { get; } = new(new(), 1, SwapMinutes: 3, 2, true, 0.15, [], 20);

    /// <summary>Seconds of its steps.</summary>
    public StepStandards Standards() => new(Habits);

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() => PaceProblems().Concat(MachineProblems()).Concat(Habits.Problems());

    private IEnumerable<Problem> PaceProblems()
    {
        if (HandsFactor is not (>= 0.2 and <= 5))
        {
            yield return new(
                "range",
                $"Hands at {HandsFactor:0.##} times the standards is outside 0.2 to 5.",
                Where: "handsFactor",
                "1 is the standards as they are."
            );
        }
        if (SlowTenthShare is < 0 or > 2)
        {
            yield return new(
                "range",
                "The slow tenth is 0 to 2 times the pressing.",
                Where: "slowTenthShare",
                "0.15 is usual."
            );
        }
        if (SwapMinutes is not (>= 0 and <= 60) || DialMinutes is not (>= 0 and <= 60))
        {
            yield return new(
                "range",
                $"{SwapMinutes:0.##} and {DialMinutes:0.##} minutes to change a lower platen and to set the dial "
                    + "are outside 0 to 60.",
                Where: "swapMinutes",
                "3 and 2 are usual."
            );
        }
    }

    private IEnumerable<Problem> MachineProblems()
    {
        if (TestMinutes is not (>= 1 and <= 480))
        {
            yield return new(
                "range",
                $"{TestMinutes:0.##} minutes for a test piece is outside 1 to 480.",
                Where: "testMinutes",
                "20 is usual: pressed, cooled, looked at."
            );
        }
        if (Unattended.Count > 100 || Unattended.Any(m => m.Text.Length is 0 or > 100 || m.Text.Contains('\n')))
        {
            yield return new(
                "range",
                "The machines that run day and night cannot be kept.",
                Where: "unattended",
                "Name each by its identity, at most 100 of them."
            );
        }
    }
}
