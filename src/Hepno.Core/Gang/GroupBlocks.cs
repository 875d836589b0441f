namespace Hepno.Core.Gang;

/// <summary>Chooses the block each group is laid in: the one with which the whole layout comes out shortest.</summary>
internal static class GroupBlocks
{
    /// <summary>A block for each group; empty where there is none.</summary>
    /// <param name="ground">What is laid on.</param>
    /// <param name="designs">What is laid.</param>
    /// <param name="lay">Lays everything with the blocks chosen so far.</param>
    public static IReadOnlyDictionary<string, GangUnit> Best(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        Func<IReadOnlyDictionary<string, GangUnit>, GangFound> lay
    )
    {
        var offered = designs
            .Where(d => d.Group.Length > 0)
            .GroupBy(d => d.Group)
            .ToDictionary(
                g => g.Key,
                g =>
                    GangUnit.Blocks(ground, g.Key, [.. g]) is { Count: > 0 } blocks
                        ? blocks
                        : [Row(ground, g.Key, [.. g])]
            );
        var chosen = offered.ToDictionary(o => o.Key, o => o.Value[0]);
        // one group after the other, the others as they stand
        foreach (var (name, blocks) in offered.Where(o => o.Value.Count > 1))
        {
            chosen[name] = blocks.MinBy(block =>
                Worth(lay(new Dictionary<string, GangUnit>(chosen) { [name] = block }))
            )!;
        }
        return chosen;
    }

    // what is left out is worse than any length
    private static (int LeftOut, int Sheets, double Length) Worth(GangFound found) =>
        (found.LeftOut.Count, found.Sheets, Math.Round(found.UsedLengthIn, 6));

    // a copy is wider than the ground: the block is only there to be refused
    private static GangUnit Row(GangGround ground, string name, IReadOnlyList<GangDesign> designs) =>
        new(
            name,
            designs.Sum(d => (d.WidthIn + ground.GapIn) * d.Copies) - ground.GapIn,
            designs.Max(d => d.HeightIn),
            false,
            0,
            [
                .. designs.SelectMany(d =>
                    Enumerable.Repeat(new GangPlaced(d.Id, 0, 0, 0, d.WidthIn, d.HeightIn, false), d.Copies)
                ),
            ]
        );
}
