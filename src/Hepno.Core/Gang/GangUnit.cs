using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>What is laid as one: a copy of a design, or a whole group in a block of its own.</summary>
/// <param name="Name">The design or group, as said in a refusal.</param>
/// <param name="WidthIn">Width upright, in.</param>
/// <param name="HeightIn">Height upright, in.</param>
/// <param name="MayTurn">True when it may lie turned.</param>
/// <param name="Kind">Equal units have the same.</param>
/// <param name="Parts">Its copies as they lie in it.</param>
internal sealed record GangUnit(
    string Name,
    double WidthIn,
    double HeightIn,
    bool MayTurn,
    int Kind,
    IReadOnlyList<GangPlaced> Parts
)
{
    private const double Eps = 1e-7;

    // widths tried for the block of a group
    private const int Shapes = 32;

    /// <summary>The units of designs; copies of a design without a group are units of their own.</summary>
    /// <param name="designs">What is laid.</param>
    /// <param name="block">The block of a group.</param>
    public static IEnumerable<GangUnit> Units(IReadOnlyList<GangDesign> designs, Func<string, GangUnit> block)
    {
        var kind = 0;
        foreach (var d in designs.Where(d => d.Group.Length == 0))
        {
            for (var i = 0; i < d.Copies; i++)
            {
                yield return new(
                    d.Id,
                    d.WidthIn,
                    d.HeightIn,
                    d.MayTurn,
                    kind,
                    [new(d.Id, 0, 0, 0, d.WidthIn, d.HeightIn, false)]
                );
            }
            kind++;
        }
        foreach (var group in designs.Where(d => d.Group.Length > 0).GroupBy(d => d.Group))
        {
            yield return block(group.Key) with
            {
                Kind = kind++,
            };
        }
    }

    /// <summary>Every copy by itself, whatever group it is in: what no layout can be under is known of these.</summary>
    public static IEnumerable<GangUnit> Alone(IReadOnlyList<GangDesign> designs) =>
        Units([.. designs.Select(d => d with { Group = "" })], _ => throw new InvalidOperationException());

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
    public Problem TooLarge(GangGround ground) =>
        new(
            "too-large",
            $"{Name} of {WidthIn:0.##} × {HeightIn:0.##} in does not go on "
                + $"{ground.WidthIn:0.##}{(ground.LengthIn is { } l ? $" × {l:0.##}" : "")} in with its "
                + $"margins{(MayTurn ? ", either way round" : " without turning")}.",
            Where: Name,
            "A smaller print, wider film, or leave to turn it."
        );

    /// <summary>Its copies where they lie on the ground.</summary>
    public IEnumerable<GangPlaced> Placed(Skyline.Spot at, GangGround ground) =>
        Parts.Select(p =>
            at.Turned
                ? new GangPlaced(
                    p.DesignId,
                    at.Sheet,
                    ground.MarginIn + at.X + (HeightIn - p.Y - p.HeightIn),
                    ground.MarginIn + at.Y + p.X,
                    p.HeightIn,
                    p.WidthIn,
                    !p.Turned
                )
                : p with
                {
                    Sheet = at.Sheet,
                    X = ground.MarginIn + at.X + p.X,
                    Y = ground.MarginIn + at.Y + p.Y,
                }
        );

    /// <summary>Blocks a group may be laid in, none of which is both as narrow and as short as another: from one copy
    /// wide to the whole ground.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="name">The group.</param>
    /// <param name="designs">What is in it.</param>
    public static IReadOnlyList<GangUnit> Blocks(GangGround ground, string name, IReadOnlyList<GangDesign> designs)
    {
        var gap = ground.GapIn;
        var copies = designs.SelectMany((d, i) => Enumerable.Repeat((Design: d, Kind: i), d.Copies)).ToList();
        Skyline.Box[] boxes =
        [
            .. copies.Select(c => new Skyline.Box(
                c.Design.WidthIn + gap,
                c.Design.HeightIn + gap,
                c.Design.MayTurn,
                c.Kind
            )),
        ];
        var most = ground.WidthIn - (2 * ground.MarginIn) + gap;
        var narrowest = boxes.Max(b => b.MayTurn ? Math.Min(b.W, b.H) : b.W);
        var widest = Math.Max(narrowest, Math.Min(most, boxes.Sum(b => Math.Max(b.W, b.H))));
        var found = Enumerable
            .Range(0, Shapes)
            .Select(i => narrowest + ((widest - narrowest) * i / (Shapes - 1)))
            .Distinct()
            .Where(w => boxes.All(b => b.W <= w + Eps || (b.MayTurn && b.H <= w + Eps)))
            .Select(w => StripSearch.Roll(w, boxes, 1, steps: 0, 0))
            .Select(f => (Found: f, Width: f.At.Select((a, i) => a.X + (a.Turned ? boxes[i].H : boxes[i].W)).Max()))
            .ToList();
        return
        [
            .. found
                .Where(x =>
                    !found.Any(o =>
                        (o.Width < x.Width - Eps && o.Found.Length <= x.Found.Length + Eps)
                        || (o.Width <= x.Width + Eps && o.Found.Length < x.Found.Length - Eps)
                    )
                )
                .DistinctBy(x => (Math.Round(x.Width, 6), Math.Round(x.Found.Length, 6)))
                .OrderBy(x => x.Width * x.Found.Length)
                .Select(x => new GangUnit(
                    name,
                    x.Width - gap,
                    x.Found.Length - gap,
                    designs.All(d => d.MayTurn),
                    0,
                    [.. copies.Select((c, i) => Part(c.Design, x.Found.At[i]))]
                )),
        ];
    }

    private static GangPlaced Part(GangDesign d, Skyline.Spot at) =>
        at.Turned
            ? new(d.Id, 0, at.X, at.Y, d.HeightIn, d.WidthIn, true)
            : new(d.Id, 0, at.X, at.Y, d.WidthIn, d.HeightIn, false);
}
