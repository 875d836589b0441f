using Hepno.Core.Measures;
using Hepno.Core.Things;

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

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<FloorRules> Fields { get; } =
        new FieldList<FloorRules>()
            .Part(x => x.Habits, FloorHabits.Fields, new())
            .Number(
                x => x.HandsFactor,
                "Hands against the standard",
                Unit.Share,
                1,
                (0.2, 5),
                "100 is the standards as they are."
            )
            .Number(x => x.SlowTenthShare, "Slow tenth", Unit.Share, 0.15, (0, 2), "15 is usual.")
            .Number(x => x.SwapMinutes, "Change a lower platen, min", Unit.None, 3, (0, 60), "3 is usual.")
            .Number(x => x.DialMinutes, "Set the dial, min", Unit.None, 2, (0, 60), "2 is usual.")
            .Number(
                x => x.TestMinutes,
                "A test piece, min",
                Unit.None,
                20,
                (1, 480),
                "20 is usual: pressed, cooled, looked at."
            )
            .Flag(x => x.SetUpWhileHeating, "Presses are set up", true, "while they heat", no: "after they heat");

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() =>
        Fields
            .Problems(this, "shop")
            .Concat(Habits.Problems().Select(p => p with { Where = $"habits.{p.Where}" }))
            .Concat(MachineProblems());

    private IEnumerable<Problem> MachineProblems()
    {
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
