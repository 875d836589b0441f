namespace Hepno.Core.Gang;

/// <summary>
/// Lays designs by their own outlines. Half of the search lays small prints into the empty corners of large ones and
/// everything else as boxes, which are laid best; the other half lets every copy down
/// among the outlines of the others, in one order after another. The shorter is kept. The same designs, seed and steps
/// give the same layout.
/// </summary>
public static class OutlineSearch
{
    /// <summary>Lays them; each fits the ground.</summary>
    /// <param name="ground">What they are laid on.</param>
    /// <param name="designs">What is laid.</param>
    /// <param name="shapes">Their outlines.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried, each as much work as one of boxes.</param>
    /// <param name="go">Told the length or the sheets so far after some steps; false ends it, the best is kept.</param>
    public static (IReadOnlyList<GangPlaced> Placed, int Steps) Lay(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        GangShapes shapes,
        int seed,
        int steps,
        Func<int, double, bool>? go = null
    )
    {
        var guests = Guests(ground, designs, shapes);
        var boxes = GangNest.Lay(
            ground,
            [.. designs.Select(d => d with { Copies = d.Copies - guests[d.Id], Cover = 1 }).Where(d => d.Copies > 0)],
            seed,
            steps / 2,
            go
        );
        // those left out go into the first room there is: the corners that were counted
        var nested = PinnedSearch.Around(ground, boxes.Placed, designs, shapes: shapes).Placed;
        var (free, took) = PinnedSearch.Around(
            ground,
            [],
            designs,
            seed,
            steps - (steps / 2),
            go is null ? null : (s, best) => go(boxes.Steps + s, best),
            shapes,
            nested
        );
        return (PinnedSearch.IsBetter(free, nested) ? free : nested, boxes.Steps + took);
    }

    // how many of each design go into corners inside the boxes of larger ones
    private static Dictionary<string, int> Guests(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        GangShapes shapes
    )
    {
        var inside = designs.ToDictionary(d => d.Id, _ => 0);
        List<GangDesign> bySize = [.. designs.OrderByDescending(d => d.AreaIn2)];
        foreach (var host in bySize.Where(d => shapes.HasOutline(d.Id)))
        {
            GangGround box = new(host.WidthIn, host.HeightIn, ground.GapIn, 0);
            for (var copy = inside[host.Id]; copy < host.Copies; copy++)
            {
                List<GangPlaced> placed = [new(host.Id, 0, 0, 0, host.WidthIn, host.HeightIn, false)];
                foreach (var guest in bySize.Where(d => d.AreaIn2 < host.AreaIn2))
                {
                    var more = GangRoom.Fill(
                        box,
                        placed,
                        guest,
                        1,
                        host.HeightIn,
                        guest.Copies - inside[guest.Id],
                        shapes
                    );
                    placed.AddRange(more);
                    inside[guest.Id] += more.Count;
                }
                if (placed.Count == 1)
                {
                    break;
                }
            }
        }
        return inside;
    }
}
