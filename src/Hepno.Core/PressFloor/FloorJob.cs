using Hepno.Core.Measures;

namespace Hepno.Core.PressFloor;

/// <summary>A press as the floor is simulated with it.</summary>
/// <param name="Name">What the shop calls it.</param>
/// <param name="OpensItself">True for an auto-open press: nobody is needed at the opening, and nothing is pressed too
/// long.</param>
/// <param name="LoadsBeside">True when the next piece is laid on a second lower platen, a shuttle or a stand while one
/// is under the heat.</param>
/// <param name="RiseFPerMinute">How fast it heats, °F a minute.</param>
/// <param name="DropFPerMinute">How fast it cools, °F a minute.</param>
/// <param name="AtF">Heat it stands at when the work begins, °F; null when it is at the first pass's heat.</param>
public sealed record FloorPress(
    string Name,
    bool OpensItself = false,
    bool LoadsBeside = false,
    double RiseFPerMinute = 20,
    double DropFPerMinute = 5,
    double? AtF = null
);

/// <summary>One decoration of a piece as it is pressed.</summary>
/// <param name="Name">Where it sits, on screen.</param>
/// <param name="TemperatureF">Heat it wants, °F.</param>
/// <param name="SlackSeconds">How much longer than its dwell does no harm, s.</param>
/// <param name="PeelWindowSeconds">How long after it may be peeled a hot or warm carrier must be off, s; null for
/// cold.</param>
/// <param name="Steps">Its steps in order; a step that holds the press and needs no hands is a dwell, between a step
/// that closes and one that opens.</param>
public sealed record FloorPass(
    string Name,
    double TemperatureF,
    double SlackSeconds,
    double? PeelWindowSeconds,
    IReadOnlyList<WorkStep> Steps
);

/// <summary>How pieces follow one another.</summary>
public enum FloorPolicy
{
    /// <summary>Press, set aside, press the next, peel what is cold.</summary>
    Stream,

    /// <summary>Each piece is finished before the next is begun.</summary>
    OneAtATime,
}

/// <summary>When a piece's second press is done.</summary>
public enum SecondPress
{
    /// <summary>As soon as it is peeled and a press is free.</summary>
    AsItComes,

    /// <summary>All of them when the last piece had its first.</summary>
    Batch,
}

/// <summary>Pieces to press on a floor (docs/trade 6).</summary>
/// <param name="Pieces">How many, 1 or more.</param>
/// <param name="Before">Steps before the first decoration of a piece: preparation away from the press first, then
/// threading, lint-rolling, pre-pressing.</param>
/// <param name="Passes">Its decorations in order, at least one.</param>
/// <param name="After">Steps after the last one.</param>
/// <param name="Presses">Presses that may be used, at least one.</param>
public sealed record FloorJob(
    int Pieces,
    IReadOnlyList<WorkStep> Before,
    IReadOnlyList<FloorPass> Passes,
    IReadOnlyList<WorkStep> After,
    IReadOnlyList<FloorPress> Presses
)
{
    /// <summary>Pairs of hands that may be used, 1 or more.</summary>
    public int Operators { get; init; } = 1;

    /// <summary>Pieces that may cool at once.</summary>
    public int RackPlaces { get; init; } = 8;

    /// <summary>One at a time, or a stream.</summary>
    public FloorPolicy Policy { get; init; } = FloorPolicy.Stream;

    /// <summary>True when the first piece goes through alone and is judged before the others.</summary>
    public bool FirstPiece { get; init; } = true;

    /// <summary>Most pieces started and not yet through; null for no limit.</summary>
    public int? MaxInWork { get; init; }

    /// <summary>Hands to judge the first piece of a pass, s.</summary>
    public const double JudgeSeconds = 60;

    /// <summary>All steps of one piece, the judging of the first left out.</summary>
    public IEnumerable<WorkStep> Chain => [.. Before, .. Passes.SelectMany(p => p.Steps), .. After];

    /// <summary>Hands-on seconds of one piece.</summary>
    public double HandsSeconds => Chain.Where(s => s.Hands).Sum(s => s.Seconds);

    /// <summary>Seconds one piece holds a press.</summary>
    public double PressSeconds => WorkSteps.PressHeld(Chain);

    /// <summary>Seconds of one piece alone, one step after the other.</summary>
    public double ChainSeconds => WorkSteps.Clock(Chain);

    /// <summary>What cannot be simulated.</summary>
    public IEnumerable<Problem> Problems() => [.. OfCounts(), .. OfPasses(), .. OfPresses(), .. OfSteps()];

    private IEnumerable<Problem> OfCounts()
    {
        foreach (
            var (value, least, most, field, what) in new[]
            {
                (Pieces, 1, 10_000, "pieces", "pieces"),
                (Presses.Count, 1, 6, "presses", "presses"),
                (Operators, 1, 6, "operators", "pairs of hands"),
                (Passes.Count, 1, 12, "passes", "passes"),
                (RackPlaces, 1, 1000, "rackPlaces", "places on the rack"),
                (MaxInWork ?? 1, 1, 10_000, "maxInWork", "pieces in work"),
            }
        )
        {
            if (value < least || value > most)
            {
                yield return new(
                    "range",
                    $"{value} {what} is outside {least} to {most}.",
                    Where: field,
                    "Send a value between."
                );
            }
        }
    }

    private IEnumerable<Problem> OfPasses()
    {
        foreach (var (pass, i) in Passes.Select((p, i) => (p, i)))
        {
            if (pass.TemperatureF is not (>= 60 and <= 500))
            {
                yield return new(
                    "range",
                    $"{pass.Name}: {pass.TemperatureF:0} °F is outside 60 to 500.",
                    Where: $"passes[{i}].temperatureF",
                    "Send what the cloth should get."
                );
            }
            if (pass.SlackSeconds is not (>= 0 and <= 60) || pass.PeelWindowSeconds is not (null or (>= 0 and <= 600)))
            {
                yield return new(
                    "range",
                    $"{pass.Name}: a slack of {pass.SlackSeconds:0.#} s and a window of "
                        + $"{pass.PeelWindowSeconds:0.#} s are outside 0 to 60 and 0 to 600.",
                    Where: $"passes[{i}]",
                    "3 s of slack is usual."
                );
            }
            if (!pass.Steps.Any(s => s.Press))
            {
                yield return new(
                    "no-press",
                    $"{pass.Name} has no step at a press.",
                    Where: $"passes[{i}].steps",
                    "Send at least one step that holds the press."
                );
            }
        }
    }

    private IEnumerable<Problem> OfPresses()
    {
        foreach (
            var (press, i) in Presses
                .Select((p, i) => (p, i))
                .Where(x =>
                    x.p.RiseFPerMinute is not (> 0 and <= 1000)
                    || x.p.DropFPerMinute is not (> 0 and <= 1000)
                    || x.p.AtF is not (null or (>= -40 and <= 600))
                )
        )
        {
            yield return new(
                "range",
                $"{press.Name} heats {press.RiseFPerMinute:0.#} and cools {press.DropFPerMinute:0.#} °F a minute.",
                Where: $"presses[{i}]",
                "20 and 5 are usual."
            );
        }
    }

    private IEnumerable<Problem> OfSteps()
    {
        foreach (var step in Chain.Where(s => s.Seconds is not (>= 0 and <= 86_400)))
        {
            yield return new(
                "range",
                $"{step.Label}: {step.Seconds:0.#} s is outside 0 to a day.",
                Where: "steps",
                "Send seconds."
            );
        }
        var chain = Chain.ToList();
        for (var i = 0; i < chain.Count; i++)
        {
            if (
                FloorChain.IsDwell(chain[i])
                && !(
                    i > 0
                    && i < chain.Count - 1
                    && chain[i - 1] is { Hands: true, Press: true }
                    && chain[i + 1] is { Hands: true, Press: true }
                )
            )
            {
                yield return new(
                    "dwell",
                    $"{chain[i].Label} stands between no closing and opening.",
                    Where: "steps",
                    "A dwell follows a step of hands that closes and comes before one that opens."
                );
            }
        }
    }
}
