using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>What is laid as one: a copy of a design, or a whole group in a block of its own.</summary>
/// <param name="Name">The design or group, as said in a refusal.</param>
/// <param name="WidthIn">Width upright, in.</param>
/// <param name="HeightIn">Height upright, in.</param>
/// <param name="MayTurn">True when it may lie turned.</param>
/// <param name="Kind">Equal units have the same.</param>
/// <param name="Parts">Its copies as they lie in it, upright.</param>
internal sealed record GangUnit(string Name, double WidthIn, double HeightIn, bool MayTurn, int Kind, IReadOnlyList<GangPlaced> Parts)
{
    private const double Eps = 1e-7;

    /// <summary>The units of designs; copies of a design without a group are units of their own.</summary>
    public static IEnumerable<GangUnit> Of(GangGround ground, IReadOnlyList<GangDesign> designs)
    {
        var kind = 0;
        foreach (var d in designs.Where(d => d.Group.Length == 0))
        {
            for (var i = 0; i < d.Copies; i++)
            {
                yield return new(d.Id, d.WidthIn, d.HeightIn, d.MayTurn, kind, [new(d.Id, 0, 0, 0, d.WidthIn, d.HeightIn, false)]);
            }
            kind++;
        }
        foreach (var group in designs.Where(d => d.Group.Length > 0).GroupBy(d => d.Group))
        {
            yield return Block(ground, group.Key, [.. group], kind++);
        }
    }

    /// <summary>True when it goes on an empty ground.</summary>
    /// <param name="width">Width of the ground, gap added, margins off.</param>
    /// <param name="length">Its length likewise.</param>
    /// <param name="gap">The gap, which the unit's own size does not have.</param>
    public bool Fits(double width, double length, double gap)
    {
        bool Goes(double w, double h) => w + gap <= width + Eps && h + gap <= length + Eps;
        return Goes(WidthIn, HeightIn) || (MayTurn && Goes(HeightIn, WidthIn));
    }

    /// <summary>Why it does not go on a ground.</summary>
    public Problem TooLarge(GangGround ground) => new("too-large", $"{Name} of {WidthIn:0.##} × {HeightIn:0.##} in does not go on {ground.WidthIn:0.##}{(ground.LengthIn is { } l ? $" × {l:0.##}" : "")} in with its margins{(MayTurn ? ", either way round" : " without turning")}.", Name, "A smaller print, wider film, or leave to turn it.");

    /// <summary>Its copies where they lie on the ground.</summary>
    public IEnumerable<GangPlaced> Placed(Skyline.Spot at, GangGround ground) => Parts.Select(p => at.Turned
        ? new GangPlaced(p.DesignId, at.Sheet, ground.MarginIn + at.X + (HeightIn - p.Y - p.HeightIn), ground.MarginIn + at.Y + p.X, p.HeightIn, p.WidthIn, true)
        : p with { Sheet = at.Sheet, X = ground.MarginIn + at.X + p.X, Y = ground.MarginIn + at.Y + p.Y });

    // the block of a group: all upright, as near to a full rectangle as some widths give
    private static GangUnit Block(GangGround ground, string name, List<GangDesign> designs, int kind)
    {
        var gap = ground.GapIn;
        var copies = designs.SelectMany((d, i) => Enumerable.Repeat((Design: d, Kind: i), d.Copies)).ToList();
        Skyline.Box[] boxes = [.. copies.Select(c => new Skyline.Box(c.Design.WidthIn + gap, c.Design.HeightIn + gap, false, c.Kind))];
        var most = ground.WidthIn - (2 * ground.MarginIn) + gap;
        var (widest, all) = (boxes.Max(b => b.W), boxes.Sum(b => b.W));
        var widths = Enumerable.Range(0, 16).Select(i => widest + ((Math.Min(Math.Max(widest, most), all) - widest) * i / 15)).Distinct();
        var best = widths.Select(w => StripSearch.Roll(w, boxes, 1, 0, 0)).Select(f => (Found: f, Width: f.At.Select((a, i) => a.X + boxes[i].W).Max())).MinBy(x => x.Width * x.Found.Length);
        return new(name, best.Width - gap, best.Found.Length - gap, designs.All(d => d.MayTurn), kind,
            [.. copies.Select((c, i) => new GangPlaced(c.Design.Id, 0, best.Found.At[i].X, best.Found.At[i].Y, c.Design.WidthIn, c.Design.HeightIn, false))]);
    }
}
