namespace Hepno.Core.Gang;

/// <summary>A design of a layout with how many the line needs.</summary>
/// <param name="Key">Identity within the layout: the placement, and the sizes it is for where it is smaller on
/// some.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
/// <param name="Needed">Prints the line needs, spares in it.</param>
public sealed record LaidDesign(string Key, double WidthIn, double HeightIn, int Needed)
{
    /// <summary>Laid on top of that, for the shop's stock.</summary>
    public int Extra { get; init; }

    /// <summary>True when it may lie turned by a quarter.</summary>
    public bool MayTurn { get; init; } = true;

    /// <summary>The other order it is for, whose film is bought with this one's; empty for the line's own.</summary>
    public OrderId For { get; init; }

    /// <summary>Share of its box that its own outline encloses, where it is laid by it; 1 for a box.</summary>
    public double Cover { get; init; } = 1;

    /// <summary>As it is laid: needed and extra together.</summary>
    public GangDesign Laid() => new(Key, WidthIn, HeightIn, Needed + Extra, MayTurn, Cover: Cover);

    /// <summary>True when the other is the same print in the same number.</summary>
    public bool IsNeededAs(LaidDesign other) =>
        Key == other.Key
        && Needed == other.Needed
        && Math.Abs(WidthIn - other.WidthIn) < 1e-6
        && Math.Abs(HeightIn - other.HeightIn) < 1e-6;
}

/// <summary>A copy as it was left lying.</summary>
/// <param name="Key">Which design.</param>
/// <param name="Sheet">On which sheet, from 0.</param>
/// <param name="X">Left edge, in.</param>
/// <param name="Y">Top edge, in.</param>
/// <param name="Turned">True when it lies turned by a quarter.</param>
/// <param name="Pinned">True when a search leaves it where it is.</param>
public sealed record LaidCopy(string Key, int Sheet, double X, double Y, bool Turned, bool Pinned = false);

/// <summary>The layout settled for a line: estimate, quote and what is bought use it as long as the line needs the same
/// prints (docs/trade 7).</summary>
/// <param name="LineId">Which line.</param>
/// <param name="FilmId">On whose film.</param>
/// <param name="On">The roll or which sheet of it.</param>
/// <param name="Designs">What is laid.</param>
/// <param name="Copies">Where every copy lies.</param>
/// <param name="Seed">Where the search's chance began; 0 for one brought in.</param>
/// <param name="Steps">Layings tried.</param>
public sealed record LineLayout(
    LineId LineId,
    ThingId FilmId,
    string On,
    IReadOnlyList<LaidDesign> Designs,
    IReadOnlyList<LaidCopy> Copies,
    int Seed,
    int Steps
)
{
    /// <summary>True while the line needs just these prints.</summary>
    public bool IsFor(IReadOnlyList<LaidDesign> needed) =>
        Designs.Count(d => d.Needed > 0 && d.For.IsNone) == needed.Count
        && needed.All(n => Designs.Any(d => d.IsNeededAs(n)));

    /// <summary>True when prints are laid by their own outlines: some may lie in the empty corners of others.</summary>
    public bool IsByOutline => Designs.Any(d => d.Cover < 1);

    /// <summary>How many copies of each design another's box reaches into: those are cut out round their outline, the
    /// others straight. Empty for a layout of boxes.</summary>
    /// <param name="gapIn">Kept between boxes, in.</param>
    public IReadOnlyDictionary<string, int> CutRound(double gapIn)
    {
        var placed = IsByOutline ? Placed() : [];
        return placed
            .Where(p => placed.Any(o => !ReferenceEquals(o, p) && o.Sheet == p.Sheet && GangCheck.AreNear(gapIn, o, p)))
            .GroupBy(p => p.DesignId)
            .ToDictionary(g => g.Key, g => g.Count());
    }

    /// <summary>Every copy with its extent as it lies.</summary>
    public IReadOnlyList<GangPlaced> Placed()
    {
        var sizes = Designs.ToDictionary(d => d.Key);
        return
        [
            .. Copies
                .Where(c => sizes.ContainsKey(c.Key))
                .Select(c =>
                    sizes[c.Key] is var d && c.Turned
                        ? new GangPlaced(c.Key, c.Sheet, c.X, c.Y, d.HeightIn, d.WidthIn, true)
                        : new GangPlaced(c.Key, c.Sheet, c.X, c.Y, d.WidthIn, d.HeightIn, false)
                ),
        ];
    }

    /// <summary>The layout with its length, floor and use worked out.</summary>
    public GangFound Found(GangGround ground) =>
        GangNest.Found(ground, [.. Designs.Select(d => d.Laid())], Placed(), Steps);

    /// <summary>The layout as if its extra copies were not there: what the order alone would be billed for
    /// it.</summary>
    public GangFound FoundNeeded(GangGround ground)
    {
        // the copies that lie nearest the beginning are the order's
        var needed = Designs.ToDictionary(d => d.Key, d => d.Needed);
        return GangNest.Found(
            ground,
            [.. Designs.Where(d => d.Needed > 0).Select(d => d.Laid() with { Copies = d.Needed })],
            [
                .. Placed()
                    .GroupBy(p => p.DesignId)
                    .SelectMany(g => g.OrderBy(p => p.Sheet).ThenBy(p => p.Y).Take(needed[g.Key])),
            ],
            Steps
        );
    }
}
