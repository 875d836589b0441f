namespace Hepno.Core.Runs;

/// <summary>What one step of pressing took.</summary>
/// <param name="Step">lay, press, peel or again, as <see cref="Steps"/> has them.</param>
/// <param name="Seconds">Seconds, holds left out.</param>
public sealed record StepLap(string Step, double Seconds)
{
    /// <summary>Thread, lint-roll, position: until the platen closes.</summary>
    public const string Lay = "lay";

    /// <summary>From closing to opening.</summary>
    public const string Press = "press";

    /// <summary>From opening, or from the rack, to the verdict: peel, look, lay away.</summary>
    public const string Peel = "peel";

    /// <summary>The second press, closing to opening.</summary>
    public const string Again = "again";

    /// <summary>All steps a lap can be of.</summary>
    public static IReadOnlyList<string> Steps { get; } = [Lay, Press, Peel, Again];
}
