using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Recipes;

/// <summary>How a strip of paper under the closed platen answers a pull.</summary>
public enum PullFeel
{
    /// <summary>It slides out as if nothing lay on it.</summary>
    Slides,

    /// <summary>It comes, with a drag.</summary>
    Drags,

    /// <summary>It comes only when pulled hard.</summary>
    Stiff,

    /// <summary>It does not come.</summary>
    Holds,

    /// <summary>It tears before it comes.</summary>
    Tears,
}

/// <summary>A paper-pull test: four strips of paper on the cloth, one under each corner, the press closed cold, each
/// pulled (docs/trade 5: what a dial means on this press; the feel is assumed until a readout says better).</summary>
/// <param name="Dial">What the dial said.</param>
/// <param name="Thickness">How thick the cloth on it lies.</param>
/// <param name="Lower">Name of the lower platen; empty for the press's own.</param>
/// <param name="Corners">Far left, far right, near left, near right.</param>
/// <param name="Pillow">Name of the pillow or foam under the print; empty for none.</param>
public sealed record PaperPull(
    double Dial,
    Thickness Thickness,
    string Lower,
    IReadOnlyList<PullFeel> Corners,
    string Pillow = ""
)
{
    private const int CornerCount = 4;

    /// <summary>Names of the corners, in their order.</summary>
    public static IReadOnlyList<string> Names { get; } = ["far left", "far right", "near left", "near right"];

    /// <summary>The pressure it comes to: that of the corner with the least, since a print is only as well pressed as
    /// there; null when even that one slides.</summary>
    public string? Word() =>
        Corners.Min() switch
        {
            PullFeel.Slides => null,
            PullFeel.Drags => "light",
            PullFeel.Stiff => "medium",
            PullFeel.Holds => "firm",
            _ => "heavy",
        };

    /// <summary>What cannot be noted: a dial that presses nothing, a platen that stands askew.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Corners.Count != CornerCount)
        {
            yield return new(
                "corners",
                $"{Corners.Count} corners.",
                Where: "corners",
                "Four strips, one under each corner."
            );
            yield break;
        }
        var (least, most) = (Corners.Min(), Corners.Max());
        if (most - least > 1)
        {
            yield return new(
                "uneven",
                $"{Names[Corners.ToList().IndexOf(least)]} {Said(least)} while "
                    + $"{Names[Corners.ToList().IndexOf(most)]} {Said(most)}: the platen stands askew.",
                Where: "corners",
                "Level it by its manual, cold and unplugged, then pull again."
            );
        }
        else if (least == PullFeel.Slides)
        {
            yield return new(
                "loose",
                $"At {Dial:0.#} the paper slides: that presses nothing.",
                Where: "dial",
                "Turn it up and pull again."
            );
        }
    }

    /// <summary>The press with this noted, in place of what was noted for the same.</summary>
    public Press Noted(Press press)
    {
        var reading = new DialReading(Word()!, Thickness, Lower, Dial, Pillow);
        return press with { Dials = [.. press.Dials.Where(d => d with { Dial = Dial } != reading), reading] };
    }

    private static string Said(PullFeel feel) =>
        feel switch
        {
            PullFeel.Slides => "slides",
            PullFeel.Drags => "drags",
            PullFeel.Stiff => "comes hard",
            PullFeel.Holds => "holds",
            _ => "tears",
        };
}
