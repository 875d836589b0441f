using System.Collections.Frozen;

namespace Hepno.Core.PressFloor;

/// <summary>Seconds of one step as the shop timed it.</summary>
/// <param name="Code">Stable word of the step.</param>
/// <param name="Seconds">How long, s.</param>
public sealed record StepTime(string Code, double Seconds);

/// <summary>A step with its starting time.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Seconds">How long until the shop times it, s.</param>
/// <param name="Label">What is done.</param>
public sealed record KnownStep(string Code, double Seconds, string Label)
{
    /// <summary>Every step there is (docs/trade 6: assumed until learned).</summary>
    public static IReadOnlyList<KnownStep> All { get; } =
    [
        new("thread-tee", 10, "Thread a tee or crew"),
        new("thread-hooded", 20, "Thread a hooded or zipped one"),
        new("thread-narrow", 15, "Thread a sleeve, leg or cap"),
        new("thread-bag", 8, "Thread a bag"),
        new("lint", 5, "Lint-roll"),
        new("position-eye", 12, "Position by eye"),
        new("position-measured", 20, "Position by fold-line or ruler"),
        new("further-layer", 8, "A further layer, on top"),
        new("close-layer", 12, "A layer cut close, on top of that"),
        new("find-name", 10, "Find a name"),
        new("close", 2, "Close"),
        new("open", 2, "Open"),
        new("peel", 4, "Peel"),
        new("cover", 3, "Cover"),
        new("unload", 4, "Lift off"),
        new("reload", 7, "Re-load"),
        new("inspect", 6, "Inspect"),
        new("fold", 20, "Fold and bag"),
        new("cold-plate", 20, "Cool on a cold plate"),
        new("tape", 15, "Tape down a side"),
        new("cut-apart", 6, "Cut a print out of its sheet"),
        new("weed", 20, "Weed a layer"),
        new("weed-in2", 0.8, "Weed, an in² more"),
        new("powder", 20, "Powder a sheet"),
        new("cure-oven", 60, "Cure in the oven"),
        new("cure-press", 180, "Cure under the hovering press"),
        new("re-set", 300, "Set the press for curing, or back"),
        new("set-name", 45, "Set and check a name"),
        new("trim-in", 1, "Trim paper, an in of outline"),
        new("trim-least", 20, "Trim paper, at least"),
        new("dry-spray", 45, "Dry pretreatment under the press"),
        new("spray", 30, "Spray pretreatment"),
        new("jig", 20, "Jig in and out"),
        new("join", 45, "Join two tiles"),
        new("hoop", 50, "Hoop a piece"),
        new("frame", 6, "Frame onto the machine, or off"),
        new("trim-threads", 15, "Trim threads, tear the backing off"),
        new("untag-tear", 8, "Tear a label out"),
        new("untag-cut", 30, "Unpick a sewn label"),
        new("count-out", 4, "Count a blank out to be sent"),
        new("count-in", 4, "Count a piece in that came back"),
        new("lay-film", 10, "Lay an applique film"),
        new("cut-out-in", 0.5, "Cut cloth out, an in of outline"),
        new("sew", 720, "Sew a garment"),
    ];

    /// <summary>The same by their codes.</summary>
    internal static FrozenDictionary<string, KnownStep> ByCode { get; } = All.ToFrozenDictionary(k => k.Code);
}
