using System.Collections.Concurrent;

namespace Hepno.Core.Gang;

/// <summary>
/// What no layout on sheets can be under, from what really goes on one sheet. Of the largest boxes only a few go on a
/// sheet, in few patterns, and each pattern is tried out; a linear programme over the
/// patterns that go, or are not proved not to, says how many sheets hold all of them and leave enough room for the
/// rest.
/// </summary>
internal static class SheetPatterns
{
    private const int MostSizes = 6;
    private const int MostKept = 100;

    // a second look tries so many patterns hard, then as the first does
    private const int MostHard = 1000;

    private static readonly Look First = new(0.12, 600, Trials: 20_000);
    private static readonly Look Second = new(0.07, 1500, Trials: 100_000);

    // more than all roundings of a layout together, in: what nearly goes must not count as if it did not
    private const double Rounding = 1e-4;

    private static readonly ConcurrentDictionary<string, IReadOnlyList<int[]>?> Kept = new();

    /// <summary>Sheets no layout can be under; at least the floor given. A layout of more than one over it is worth a
    /// second look: smaller boxes too, each pattern tried longer, some seconds.</summary>
    /// <param name="width">Width of a sheet.</param>
    /// <param name="length">Its length.</param>
    /// <param name="boxes">What is laid, gap added; each fits.</param>
    /// <param name="floor">What is known already.</param>
    /// <param name="sheets">Sheets of the layout that is held against it.</param>
    public static int Floor(double width, double length, IReadOnlyList<Skyline.Box> boxes, int floor, int sheets)
    {
        floor = Floor(width, length, boxes, floor, First);
        return sheets > floor + 1 ? Floor(width, length, boxes, floor, Second) : floor;
    }

    private static int Floor(double width, double length, IReadOnlyList<Skyline.Box> boxes, int floor, Look look)
    {
        (width, length) = (width + Rounding, length + Rounding);
        var sheet = width * length;
        // a size that may turn is the same either way round
        var sizes = boxes
            .GroupBy(b => b.MayTurn ? (W: Math.Max(b.W, b.H), H: Math.Min(b.W, b.H), b.MayTurn) : (b.W, b.H, b.MayTurn))
            .Where(g => g.Key.W * g.Key.H >= look.Large * sheet)
            .OrderByDescending(g => g.Key.W * g.Key.H * g.Count())
            .Take(MostSizes)
            .Select(g => (Box: new Skyline.Box(g.Key.W, g.Key.H, g.Key.MayTurn, 0), Count: g.Count()))
            .ToList();
        if (sizes.Count == 0 || Patterns(width, length, [.. sizes.Select(s => s.Box)], look) is not { } patterns)
        {
            return floor;
        }
        double Share(Skyline.Box b) => b.W * b.H / sheet;
        var rest = boxes.Sum(Share) - sizes.Sum(s => s.Count * Share(s.Box));
        // a sheet's worth of money is shared among what lies on it: a size is worth so much, and so is the room that is
        // left
        double[] wanted = [.. sizes.Select(s => (double)s.Count), Math.Max(0, rest)];
        double[][] rows =
        [
            .. patterns.Select(p =>
                (double[])[.. p.Select(n => (double)n), 1 - p.Select((n, i) => n * Share(sizes[i].Box)).Sum()]
            ),
        ];
        return Math.Max(
            floor,
            (int)Math.Ceiling(LinearProgramme.Most(wanted, rows, [.. rows.Select(_ => 1.0)]) - 1e-6)
        );
    }

    private static IReadOnlyList<int[]>? Patterns(
        double width,
        double length,
        IReadOnlyList<Skyline.Box> sizes,
        Look look
    )
    {
        var each = sizes.Select(s => FormattableString.Invariant($"{s.W:0.0000}x{s.H:0.0000}{(s.MayTurn ? "t" : "")}"));
        var key = FormattableString.Invariant($"{look.Trials} {width:0.0000}x{length:0.0000}|{string.Join('|', each)}");
        if (Kept.TryGetValue(key, out var known))
        {
            return known;
        }
        if (Kept.Count >= MostKept)
        {
            Kept.Clear();
        }
        return Kept[key] = Enumerated(new(width, length, 0, 0), sizes, look);
    }

    // pattern by pattern, each one box more than one that goes: what does not go with less does not go with more. Null
    // where there are too many: without all of them nothing is known
    private static List<int[]>? Enumerated(GangGround sheet, IReadOnlyList<Skyline.Box> sizes, Look look)
    {
        var undecided = 0;
        List<int[]> found = [new int[sizes.Count]];
        for (var i = 0; i < found.Count; i++)
        {
            // only its last size or a later one is added, so none comes twice
            for (var s = Math.Max(0, Array.FindLastIndex(found[i], n => n > 0)); s < sizes.Count; s++)
            {
                var more = (int[])found[i].Clone();
                more[s]++;
                GangDesign[] designs =
                [
                    .. more.Select((n, k) => new GangDesign($"{k}", sizes[k].W, sizes[k].H, n, sizes[k].MayTurn))
                        .Where(d => d.Copies > 0),
                ];
                var answer = SheetFit.Answer(sheet, designs, undecided < MostHard ? look.Trials : First.Trials).Answer;
                if (answer == Fits.No)
                {
                    continue;
                }
                undecided += answer == Fits.Yes ? 0 : 1;
                if (found.Count >= look.MostPatterns)
                {
                    return null;
                }
                found.Add(more);
            }
        }
        return found;
    }

    /// <summary>How closely it is looked.</summary>
    /// <param name="Large">A box that covers less of a sheet has too many patterns.</param>
    /// <param name="MostPatterns">With more patterns nothing is known.</param>
    /// <param name="Trials">Things tried for one pattern; one that stays undecided counts as one that goes.</param>
    private sealed record Look(double Large, int MostPatterns, int Trials);
}
