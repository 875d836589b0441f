namespace Hepno.Core.Methods;

/// <summary>Can it be done?</summary>
public enum VerdictKind
{
    /// <summary>Yes.</summary>
    Yes,

    /// <summary>Yes, with the care that the reasons name.</summary>
    WithCare,

    /// <summary>No.</summary>
    No,
}

/// <summary>One reason of a verdict.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Kind">What it makes of the verdict.</param>
/// <param name="Sentence">The reason; names the input that decided.</param>
/// <param name="WouldWork">What would make it work, or the care to take.</param>
public sealed record Reason(string Code, VerdictKind Kind, string Sentence, string WouldWork);

/// <summary>A verdict with its reasons, the deciding one first.</summary>
/// <param name="Kind">The verdict.</param>
/// <param name="Reasons">Why; empty for a plain yes.</param>
public sealed record Verdict(VerdictKind Kind, IReadOnlyList<Reason> Reasons)
{
    /// <summary>The verdict that a list of reasons makes: the worst of them, worst first.</summary>
    public static Verdict From(IReadOnlyList<Reason> reasons) =>
        new(
            reasons.Count == 0 ? VerdictKind.Yes : reasons.Max(r => r.Kind),
            [.. reasons.OrderByDescending(r => r.Kind)]
        );
}
