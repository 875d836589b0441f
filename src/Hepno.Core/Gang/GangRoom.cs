namespace Hepno.Core.Gang;

/// <summary>Finds room on a layout without moving what lies on it: for one copy more, or for as many as go.</summary>
public static class GangRoom
{
    private const double Eps = 1e-7;

    /// <summary>The first room for a copy, nearest the beginning, then leftmost; the way round that ends sooner. Null
    /// where there is none.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="sheet">On which sheet.</param>
    /// <param name="placed">What lies there.</param>
    /// <param name="design">What is to be laid.</param>
    /// <param name="length">The copy ends before this, margin in it, in.</param>
    /// <param name="from">Not looked for before this, in.</param>
    /// <param name="shapes">Outlines that count instead of boxes; null for boxes.</param>
    public static GangPlaced? For(
        GangGround ground,
        int sheet,
        IReadOnlyList<GangPlaced> placed,
        GangDesign design,
        double length,
        double from = 0,
        GangShapes? shapes = null
    )
    {
        var on = placed.Where(p => p.Sheet == sheet).ToList();
        var ways =
            design.MayTurn && (shapes is not null || Math.Abs(design.WidthIn - design.HeightIn) > Eps)
                ? new[] { false, true }
                : [false];
        return ways.Select(turned =>
                shapes is null
                    ? Way(ground, sheet, on, design, turned, length, from)
                    : OutlineRoom.Way(ground, sheet, on, design, turned, length, from, shapes)
            )
            .Where(p => p is not null)
            .OrderBy(p => p!.Y + p.HeightIn)
            .ThenBy(p => p!.X)
            .FirstOrDefault();
    }

    /// <summary>Adds as many copies as go within a length, none moved: what "fill the rest" lays.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="placed">What lies there.</param>
    /// <param name="design">What fills; its own copies are not looked at.</param>
    /// <param name="sheets">On so many sheets.</param>
    /// <param name="length">Within this length of each, margin in it, in.</param>
    /// <param name="most">At most so many.</param>
    /// <param name="shapes">Outlines that count instead of boxes; null for boxes.</param>
    public static IReadOnlyList<GangPlaced> Fill(
        GangGround ground,
        IReadOnlyList<GangPlaced> placed,
        GangDesign design,
        int sheets,
        double length,
        int most,
        GangShapes? shapes = null
    )
    {
        var (added, all) = (new List<GangPlaced>(), placed.ToList());
        for (var sheet = 0; sheet < sheets; sheet++)
        {
            var from = 0.0;
            while (added.Count < most && For(ground, sheet, all, design, length, from, shapes) is { } found)
            {
                added.Add(found);
                all.Add(found);
                // the next copy of the same goes no earlier, or this one would have
                from = found.Y - Math.Max(design.WidthIn, design.HeightIn);
            }
        }
        return added;
    }

    private static GangPlaced? Way(
        GangGround ground,
        int sheet,
        List<GangPlaced> on,
        GangDesign design,
        bool turned,
        double length,
        double from
    )
    {
        var (w, h) = turned ? (design.HeightIn, design.WidthIn) : (design.WidthIn, design.HeightIn);
        var (left, right, last) = (ground.MarginIn, ground.WidthIn - ground.MarginIn - w, length - ground.MarginIn - h);
        if (right < left - Eps || last < ground.MarginIn - Eps)
        {
            return null;
        }
        // a copy pushed towards the beginning touches the margin or something's end
        var ends = on.Select(p => p.Y + p.HeightIn + ground.GapIn)
            .Append(ground.MarginIn)
            .Where(y => y >= Math.Max(ground.MarginIn, from) - Eps && y <= last + Eps)
            .Order();
        foreach (var y in ends)
        {
            var x = left;
            foreach (
                var p in on.Where(p => p.Y < y + h + ground.GapIn - Eps && y < p.Y + p.HeightIn + ground.GapIn - Eps)
                    .OrderBy(p => p.X)
            )
            {
                if (x + w + ground.GapIn <= p.X + Eps)
                {
                    break;
                }
                x = Math.Max(x, p.X + p.WidthIn + ground.GapIn);
            }
            if (x <= right + Eps)
            {
                return new(design.Id, sheet, x, y, w, h, turned);
            }
        }
        return null;
    }
}
