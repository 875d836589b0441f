namespace Hepno.Core.Gang;

/// <summary>
/// Lays designs round copies that stay where they are, and by their own outlines. Each copy in its turn goes to the
/// first room for it; what is varied is the order: the best of a few usual ones, then
/// two copies change places as long as there are steps, and what is no worse is gone on from. The same designs, seed
/// and steps give the same layout.
/// </summary>
public static class PinnedSearch
{
    // laying by outlines once is as much work as so many layings of as many boxes
    private const int OutlineWork = 1000;

    /// <summary>Lays everything; what goes on no sheet is left out.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="pinned">Copies that stay; they count among the copies asked for.</param>
    /// <param name="designs">What is laid.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried, each as much work as one without pinned copies.</param>
    /// <param name="go">Told the length or the sheets so far after each laying; false ends it, the best is
    /// kept.</param>
    /// <param name="shapes">Outlines that count instead of boxes; null for boxes.</param>
    /// <param name="before">A layout of the same copies whose order is tried too; null for none.</param>
    public static (IReadOnlyList<GangPlaced> Placed, int Steps) Around(
        GangGround ground,
        IReadOnlyList<GangPlaced> pinned,
        IReadOnlyList<GangDesign> designs,
        int seed = 1,
        int steps = 0,
        Func<int, double, bool>? go = null,
        GangShapes? shapes = null,
        IReadOnlyList<GangPlaced>? before = null
    )
    {
        var rest = designs
            .Select(d => d with { Copies = Math.Max(0, d.Copies - pinned.Count(p => p.DesignId == d.Id)) })
            .Where(d => d.Copies > 0)
            .ToList();
        Func<GangDesign, double>[] usual =
        [
            d => d.AreaIn2,
            d => d.HeightIn,
            d => d.WidthIn,
            d => Math.Max(d.WidthIn, d.HeightIn),
        ];
        var orders = usual
            .Select(by => rest.OrderByDescending(by).SelectMany(d => Enumerable.Repeat(d, d.Copies)).ToArray())
            .ToList();
        if (before is not null)
        {
            var byId = rest.ToDictionary(d => d.Id);
            orders.Add([
                .. before
                    .OrderBy(p => p.Sheet)
                    .ThenBy(p => p.Y)
                    .ThenBy(p => p.X)
                    .Where(p => byId.ContainsKey(p.DesignId))
                    .Select(p => byId[p.DesignId]),
            ]);
        }
        // where all that is laid is alike they are one and the same
        orders = [.. orders.DistinctBy(o => string.Join('|', o.Select(d => d.Id)))];
        var best = orders
            .Select(order => (Order: order, Placed: Laid(ground, pinned, order, shapes)))
            .MinBy(x => Worth.Of(x.Placed))!;
        var (order, value, chance, used) = (best.Order, Worth.Of(best.Placed), new Chance(seed), orders.Count);
        var now = value;
        // looking for room goes through what lies there once more than laying a skyline does
        var cost = shapes is null ? Math.Max(1, order.Length) : OutlineWork;
        while (
            used + cost <= steps
            && rest.Count > 1
            && (go?.Invoke(used, ground.LengthIn is null ? value.Length + ground.MarginIn : value.Sheet + 1) ?? true)
        )
        {
            var (i, j) = (chance.Below(order.Length), chance.Below(order.Length));
            if (order[i].Id == order[j].Id)
            {
                // equal copies that change places change nothing
                used++;
                continue;
            }
            used += cost;
            (order[i], order[j]) = (order[j], order[i]);
            var placed = Laid(ground, pinned, order, shapes);
            if (Worth.Of(placed) is var found && found.CompareTo(now) > 0)
            {
                (order[i], order[j]) = (order[j], order[i]);
                continue;
            }
            now = found;
            (best.Placed, value) = now.CompareTo(value) < 0 ? (placed, now) : (best.Placed, value);
        }
        return (best.Placed, used);
    }

    /// <summary>True when one layout of the same designs is better than another: more is laid, on fewer sheets,
    /// shorter.</summary>
    internal static bool IsBetter(IReadOnlyList<GangPlaced> a, IReadOnlyList<GangPlaced> b) =>
        Worth.Of(a).CompareTo(Worth.Of(b)) < 0;

    private static List<GangPlaced> Laid(
        GangGround ground,
        IReadOnlyList<GangPlaced> pinned,
        GangDesign[] order,
        GangShapes? shapes
    )
    {
        var all = pinned.ToList();
        // where the last copy of each design lies: the next of the same goes no earlier, or that one would have
        var last = new Dictionary<string, (int Sheet, double From)>();
        foreach (var d in order)
        {
            var (sheet, from) = last.GetValueOrDefault(d.Id);
            var found = GangRoom.For(ground, sheet, all, d, ground.LengthIn ?? double.PositiveInfinity, from, shapes);
            while (
                found is null
                && ground.LengthIn is not null
                && sheet <= all.Select(p => p.Sheet).DefaultIfEmpty(-1).Max()
            )
            {
                (sheet, from) = (sheet + 1, 0);
                found = GangRoom.For(ground, sheet, all, d, ground.LengthIn.Value, from, shapes);
            }
            if (found is not null)
            {
                all.Add(found);
                last[d.Id] = (found.Sheet, found.Y - Math.Max(d.WidthIn, d.HeightIn));
            }
        }
        return all;
    }

    /// <summary>How good a layout is: everything laid first, then few sheets, then short.</summary>
    private readonly record struct Worth(int Missing, int Sheet, double Length) : IComparable<Worth>
    {
        public static Worth Of(IReadOnlyList<GangPlaced> all)
        {
            var sheet = all.Count == 0 ? 0 : all.Max(p => p.Sheet);
            return new(
                -all.Count,
                sheet,
                all.Where(p => p.Sheet == sheet).Select(p => p.Y + p.HeightIn).DefaultIfEmpty(0).Max()
            );
        }

        public int CompareTo(Worth other) =>
            (Missing, Sheet, Length).CompareTo((other.Missing, other.Sheet, other.Length));
    }
}
