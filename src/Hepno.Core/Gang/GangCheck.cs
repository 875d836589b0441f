using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>Looks a layout over by itself, knowing nothing of how it was made: overlap, gap, margin, copies,
/// turning.</summary>
public static class GangCheck
{
    /// <summary>Nearer than this is touching: rounding of a thousandth of a thousandth, in.</summary>
    private const double Eps = 1e-6;

    /// <summary>What is wrong with it; empty for a sound layout.</summary>
    /// <param name="ground">What it lies on.</param>
    /// <param name="designs">What was asked.</param>
    /// <param name="placed">Where every copy lies.</param>
    /// <param name="nameOf">What a design is called in a sentence; null for its id.</param>
    /// <param name="shapes">Outlines that count instead of boxes; null for boxes.</param>
    public static IEnumerable<Problem> Faults(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyList<GangPlaced> placed,
        Func<string, string>? nameOf = null,
        GangShapes? shapes = null
    )
    {
        nameOf ??= id => id;
        foreach (var (p, i) in placed.Select((p, i) => (p, i)))
        {
            if (designs.FirstOrDefault(d => d.Id == p.DesignId) is not { } design)
            {
                yield return new(
                    "unknown",
                    $"\"{p.DesignId}\" was not asked for.",
                    Where: $"placed[{i}]",
                    "Take it off."
                );
                continue;
            }
            var (width, height) = p.Turned ? (design.HeightIn, design.WidthIn) : (design.WidthIn, design.HeightIn);
            if (Math.Abs(width - p.WidthIn) > Eps || Math.Abs(height - p.HeightIn) > Eps)
            {
                yield return new(
                    "size",
                    $"{nameOf(p.DesignId)} lies {p.WidthIn:0.###} × {p.HeightIn:0.###} in and is {width:0.###} × "
                        + $"{height:0.###}.",
                    Where: $"placed[{i}]",
                    "Lay it at its own size."
                );
            }
            if (p.Turned && !design.MayTurn)
            {
                yield return new(
                    "turned",
                    $"{nameOf(p.DesignId)} lies turned and must not.",
                    Where: $"placed[{i}]",
                    "Lay it upright."
                );
            }
            var over = new[]
            {
                ground.MarginIn - p.X,
                ground.MarginIn - p.Y,
                p.X + p.WidthIn + ground.MarginIn - ground.WidthIn,
                ground.LengthIn is { } length ? p.Y + p.HeightIn + ground.MarginIn - length : 0,
            }.Max();
            if (over > Eps)
            {
                yield return new(
                    "margin",
                    $"{nameOf(p.DesignId)} at {p.X:0.##}, {p.Y:0.##} in leaves the printable part by {over:0.##} in.",
                    Where: $"placed[{i}]",
                    $"{ground.MarginIn:0.###} in stay free on all sides."
                );
            }
        }
        foreach (var design in designs)
        {
            var count = placed.Count(p => p.DesignId == design.Id);
            if (count != design.Copies)
            {
                yield return new(
                    "copies",
                    $"{count} of {nameOf(design.Id)} are laid, {design.Copies} were asked for.",
                    Where: "designs",
                    "Lay each copy once."
                );
            }
        }
        foreach (var problem in Near(ground.GapIn, placed, nameOf, shapes ?? GangShapes.Boxes))
        {
            yield return problem;
        }
    }

    /// <summary>By how much two boxes on one sheet lie nearer than a gap, across and along, in; 0 or less where they do
    /// not.</summary>
    internal static double Lack(double gap, GangPlaced a, GangPlaced b) =>
        Math.Min(
            Math.Min(a.Y + a.HeightIn + gap - b.Y, b.Y + b.HeightIn + gap - a.Y),
            Math.Min(a.X + a.WidthIn + gap - b.X, b.X + b.WidthIn + gap - a.X)
        );

    /// <summary>True when two boxes on one sheet lie nearer than a gap by more than rounding.</summary>
    internal static bool AreNear(double gap, GangPlaced a, GangPlaced b) => Lack(gap, a, b) > Eps;

    // sweeps along the sheet: only what overlaps along can be too near across
    private static IEnumerable<Problem> Near(
        double gap,
        IReadOnlyList<GangPlaced> placed,
        Func<string, string> nameOf,
        GangShapes shapes
    )
    {
        foreach (var sheet in placed.Select((p, i) => (P: p, I: i)).GroupBy(x => x.P.Sheet))
        {
            var along = sheet.OrderBy(x => x.P.Y).ToList();
            for (var i = 0; i < along.Count; i++)
            {
                var a = along[i].P;
                for (var j = i + 1; j < along.Count && along[j].P.Y < a.Y + a.HeightIn + gap - Eps; j++)
                {
                    var b = along[j].P;
                    if (AreNear(gap, a, b) && shapes.Lack(gap, a, b) is > Eps and var lack)
                    {
                        yield return new(
                            "near",
                            $"{nameOf(a.DesignId)} and {nameOf(b.DesignId)} lie {lack:0.##} in too near: "
                                + $"{gap:0.###} in stay free between prints.",
                            Where: $"placed[{along[j].I}]",
                            "Move one of them."
                        );
                    }
                }
            }
        }
    }
}
