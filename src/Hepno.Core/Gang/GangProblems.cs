using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>What speaks against laying anything at all.</summary>
public static class GangProblems
{
    /// <summary>What cannot be laid at all.</summary>
    /// <param name="ground">What it would lie on.</param>
    /// <param name="designs">What is to be laid.</param>
    /// <param name="most">Most copies; up to <see cref="GangNest.MostInAll"/> where a pattern may be repeated.</param>
    public static IEnumerable<Problem> Of(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int most = GangNest.MostCopies
    )
    {
        if (ground.WidthIn is not (> 0 and <= 200) || ground.LengthIn is not (null or (> 0 and <= 10_000)))
        {
            yield return new(
                "range",
                $"A width of {ground.WidthIn:0.##} in is outside 0 to 200, or a length outside 0 to 10,000.",
                Where: "widthIn",
                "Type what the film or sheet measures."
            );
        }
        if (
            ground.GapIn is not (>= 0)
            || ground.MarginIn is not (>= 0)
            || ground.GapIn >= ground.WidthIn
            || 2 * ground.MarginIn >= ground.WidthIn
            || (ground.LengthIn is { } l && (2 * ground.MarginIn >= l || ground.GapIn >= l))
        )
        {
            yield return new(
                "gap",
                $"A gap of {ground.GapIn:0.###} in and a margin of {ground.MarginIn:0.###} in leave nothing of "
                    + $"{ground.WidthIn:0.##} in.",
                Where: "gapIn",
                "A quarter of an inch is usual for both."
            );
        }
        if (designs.Count == 0)
        {
            yield return new("empty", "There is nothing to lay.", Where: "designs", "Add a design.");
        }
        foreach (var (d, i) in designs.Select((d, i) => (d, i)))
        {
            if (d.WidthIn is not (> 0 and <= 200) || d.HeightIn is not (> 0 and <= 200))
            {
                yield return new(
                    "range",
                    $"{d.Id} of {d.WidthIn:0.##} × {d.HeightIn:0.##} in is outside 0 to 200.",
                    Where: $"designs[{i}]",
                    "Type its printed size."
                );
            }
            if (d.Copies < 1 || d.Copies > most)
            {
                yield return new(
                    "range",
                    $"{d.Copies} copies of {d.Id} is outside 1 to {most}.",
                    Where: $"designs[{i}].copies",
                    "Lay large numbers as several layouts."
                );
            }
            if (designs.Take(i).Any(o => o.Id == d.Id))
            {
                yield return new(
                    "twice",
                    $"\"{d.Id}\" stands twice.",
                    Where: $"designs[{i}].id",
                    "Give each design a name of its own, with its copies."
                );
            }
        }
        var copies = designs.Sum(d => (long)Math.Max(0, d.Copies));
        if (copies > most)
        {
            yield return new("many", $"{copies} copies in one layout.", Where: "designs", $"At most {most}.");
        }
        else if (copies > GangNest.MostCopies && designs.Any(d => d.Group.Length > 0))
        {
            yield return new(
                "many",
                $"{copies} copies in one layout, with groups in it.",
                Where: "designs",
                $"At most {GangNest.MostCopies} with groups: lay the groups by themselves."
            );
        }
    }
}
