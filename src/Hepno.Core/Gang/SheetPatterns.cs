using System.Collections.Concurrent;

namespace Hepno.Core.Gang;

/// <summary>
/// What no layout on sheets can be under, from what really goes on one sheet. Of the largest boxes only a few go on a sheet, in few patterns, and each pattern is tried out; a linear programme over the
/// patterns that go, or are not proved not to, says how many sheets hold all of them and leave enough room for the rest.
/// </summary>
internal static class SheetPatterns
{
    // a box that covers less of a sheet has too many patterns
    private const double Large = 0.12;
    private const int MostSizes = 6;
    private const int MostPatterns = 600;

    // things tried for one pattern; one that stays undecided counts as one that goes
    private const int Trials = 20_000;
    private const int MostKept = 100;

    // more than all roundings of a layout together, in: what nearly goes must not count as if it did not
    private const double Rounding = 1e-4;

    private static readonly ConcurrentDictionary<string, IReadOnlyList<int[]>?> Kept = new();

    /// <summary>Sheets no layout can be under; at least the floor given.</summary>
    /// <param name="width">Width of a sheet.</param>
    /// <param name="length">Its length.</param>
    /// <param name="boxes">What is laid, gap added; each fits.</param>
    /// <param name="floor">What is known already.</param>
    public static int Floor(double width, double length, IReadOnlyList<Skyline.Box> boxes, int floor)
    {
        (width, length) = (width + Rounding, length + Rounding);
        var sheet = width * length;
        // a size that may turn is the same either way round
        var sizes = boxes.GroupBy(b => b.MayTurn ? (W: Math.Max(b.W, b.H), H: Math.Min(b.W, b.H), b.MayTurn) : (b.W, b.H, b.MayTurn))
            .Where(g => g.Key.W * g.Key.H >= Large * sheet).OrderByDescending(g => g.Key.W * g.Key.H * g.Count()).Take(MostSizes)
            .Select(g => (Box: new Skyline.Box(g.Key.W, g.Key.H, g.Key.MayTurn, 0), Count: g.Count())).ToList();
        if (sizes.Count == 0 || Patterns(width, length, [.. sizes.Select(s => s.Box)]) is not { } patterns)
        {
            return floor;
        }
        double Share(Skyline.Box b) => b.W * b.H / sheet;
        var rest = boxes.Sum(Share) - sizes.Sum(s => s.Count * Share(s.Box));
        // a sheet's worth of money is shared among what lies on it: a size is worth so much, and so is the room that is left
        double[] wanted = [.. sizes.Select(s => (double)s.Count), Math.Max(0, rest)];
        double[][] rows = [.. patterns.Select(p => (double[])[.. p.Select(n => (double)n), 1 - p.Select((n, i) => n * Share(sizes[i].Box)).Sum()])];
        return Math.Max(floor, (int)Math.Ceiling(LinearProgramme.Most(wanted, rows, [.. rows.Select(_ => 1.0)]) - 1e-6));
    }

    private static IReadOnlyList<int[]>? Patterns(double width, double length, IReadOnlyList<Skyline.Box> sizes)
    {
        var key = FormattableString.Invariant($"{width:0.0000}x{length:0.0000}|{string.Join('|', sizes.Select(s => FormattableString.Invariant($"{s.W:0.0000}x{s.H:0.0000}{(s.MayTurn ? "t" : "")}")))}");
        if (Kept.TryGetValue(key, out var known))
        {
            return known;
        }
        if (Kept.Count >= MostKept)
        {
            Kept.Clear();
        }
        return Kept[key] = Enumerated(new(width, length, 0, 0), sizes);
    }

    // pattern by pattern, each one box more than one that goes: what does not go with less does not go with more. Null where there are too many: without all of them nothing is known
    private static List<int[]>? Enumerated(GangGround sheet, IReadOnlyList<Skyline.Box> sizes)
    {
        List<int[]> found = [new int[sizes.Count]];
        for (var i = 0; i < found.Count; i++)
        {
            // only its last size or a later one is added, so none comes twice
            for (var s = Math.Max(0, Array.FindLastIndex(found[i], n => n > 0)); s < sizes.Count; s++)
            {
                var more = (int[])found[i].Clone();
                more[s]++;
                GangDesign[] designs = [.. more.Select((n, k) => new GangDesign($"{k}", sizes[k].W, sizes[k].H, n, sizes[k].MayTurn)).Where(d => d.Copies > 0)];
                if (SheetFit.Of(sheet, designs, Trials).Answer == Fits.No)
                {
                    continue;
                }
                if (found.Count >= MostPatterns)
                {
                    return null;
                }
                found.Add(more);
            }
        }
        return found;
    }
}
