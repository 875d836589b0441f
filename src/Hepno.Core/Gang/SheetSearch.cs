namespace Hepno.Core.Gang;

/// <summary>
/// Looks for one sheet fewer: everything is laid on so many sheets, and what is left over is tried again and again with
/// what lies on a few of them, until nothing is left over. Counted in steps: the same boxes, seed and steps give the
/// same layout on any machine.
/// </summary>
internal sealed class SheetSearch
{
    // so much more may be left over at first and at last, as a share of a mean box
    private const double Warm = 0.05;
    private const double Cold = 0.001;

    // steps it cools over at first, and how many times as many each time after: a longer search does all that a shorter
    // one did and goes on
    private const double FirstCooling = 200;
    private const double Longer = 1.5;

    // sheets taken apart at once
    private const int Most = 3;

    // how far from falling area an order goes
    private const double Noise = 1.5;

    // what a laying costs beside its comparisons of boxes, counted in boxes
    private const int Beside = 40;

    private readonly Skyline _skyline;
    private readonly Skyline.Box[] _boxes;
    private readonly double _length;
    private readonly Chance _chance;

    // of each kind what it is sorted by and the way round, drawn anew for each laying
    private readonly double[] _key;
    private readonly bool[] _turned;
    private readonly double[] _keys;
    private double _planned = FirstCooling;
    private double _cooled;

    private SheetSearch(double width, double length, Skyline.Box[] boxes, int seed)
    {
        (_skyline, _boxes, _length, _chance) = (new(width, boxes), boxes, length, new(seed));
        var kinds = boxes.Max(b => b.Kind) + 1;
        (_key, _turned, _keys) = (new double[kinds], new bool[kinds], new double[boxes.Length]);
    }

    /// <summary>The fewest sheets found.</summary>
    /// <param name="width">Width of a sheet.</param>
    /// <param name="length">Length of a sheet.</param>
    /// <param name="boxes">What is laid; each fits.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried, each of all boxes or as much work on a few sheets.</param>
    /// <param name="floor">Fewer sheets cannot be: found, it ends.</param>
    /// <param name="go">Told the sheets after some steps; false ends it, the best is kept.</param>
    public static StripSearch.Found Sheets(
        double width,
        double length,
        Skyline.Box[] boxes,
        int seed,
        int steps,
        int floor,
        Func<int, double, bool>? go = null
    )
    {
        var (best, _) = StripSearch.Begin(new(width, boxes), boxes, int.MaxValue, length);
        var used = StripSearch.Begun;
        var search = new SheetSearch(width, length, boxes, seed);
        while (used < steps && best.Sheets > floor)
        {
            var (took, found) = search.OneFewer(best, steps - used, step =>
                go?.Invoke(used + step, best.Sheets) ?? true
            );
            used += took;
            if (found is null)
            {
                break;
            }
            best = found;
        }
        return best with { Steps = used };
    }

    private (int Took, StripSearch.Found? Found) OneFewer(StripSearch.Found best, int steps, Func<int, bool> go)
    {
        var at = (Skyline.Spot[])best.At.Clone();
        // the emptiest sheet is given up
        var sheets = Enumerable
            .Range(0, at.Length)
            .GroupBy(i => at[i].Sheet)
            .OrderBy(g => g.Sum(Area))
            .Select(g => g.ToArray())
            .ToList();
        var left = sheets[0];
        sheets.RemoveAt(0);
        for (var s = 0; s < sheets.Count; s++)
        {
            foreach (var box in sheets[s])
            {
                at[box] = at[box] with { Sheet = s };
            }
        }
        var (mean, spent, told) = (_boxes.Average(b => b.W * b.H), 0.0, 0);
        while (left.Length > 0)
        {
            if (spent >= steps)
            {
                return (steps, null);
            }
            var parts = Drawn(sheets.Count);
            var tried = Shuffled(left, parts.Select(p => sheets[p]));
            _skyline.Lay(tried, parts.Length, _length, limit: double.PositiveInfinity);
            var took = tried.Length * (tried.Length + Beside) / ((double)_boxes.Length * _boxes.Length);
            (spent, _cooled) = (spent + took, _cooled + took);
            int[] rest = [.. _skyline.Rest(tried).Select(e => e >> 1)];
            var laid = tried.Select(e => e >> 1).Except(rest).ToLookup(box => _skyline.At[box].Sheet);
            var over = rest.Sum(Area) - left.Sum(Area);
            var heat = mean * Warm * Math.Pow(Cold / Warm, Math.Min(1, _cooled / _planned));
            if (_cooled >= _planned)
            {
                (_cooled, _planned) = (0, _planned * Longer);
            }
            if (over <= -heat * Math.Log(1 - _chance.Share()))
            {
                left = rest;
                for (var p = 0; p < parts.Length; p++)
                {
                    sheets[parts[p]] = [.. laid[p]];
                    foreach (var box in laid[p])
                    {
                        at[box] = _skyline.At[box] with { Sheet = parts[p] };
                    }
                }
            }
            if ((int)spent / 4 > told)
            {
                told = (int)spent / 4;
                if (!go((int)spent))
                {
                    return ((int)spent, null);
                }
            }
        }
        var last = sheets.Count - 1;
        return (
            (int)Math.Ceiling(spent),
            new(
                sheets[last].Max(box => at[box].Y + (at[box].Turned ? _boxes[box].W : _boxes[box].H)),
                sheets.Count,
                at,
                0
            )
        );
    }

    private double Area(int box) => _boxes[box].W * _boxes[box].H;

    private int[] Drawn(int sheets)
    {
        var count = Math.Min(sheets, 1 + _chance.Below(Most));
        var drawn = new int[count];
        for (var i = 0; i < count; i++)
        {
            do
            {
                drawn[i] = _chance.Below(sheets);
            } while (drawn.AsSpan(0, i).Contains(drawn[i]));
        }
        return drawn;
    }

    // large ones first, more or less; of each kind together, one way round
    private int[] Shuffled(int[] left, IEnumerable<int[]> laid)
    {
        int[] tried = [.. left, .. laid.SelectMany(boxes => boxes)];
        var keys = _keys.AsSpan(0, tried.Length);
        Array.Clear(_key);
        for (var i = 0; i < tried.Length; i++)
        {
            var box = _boxes[tried[i]];
            if (_key[box.Kind] == 0)
            {
                (_key[box.Kind], _turned[box.Kind]) = (
                    -box.W * box.H * Math.Exp(Noise * (_chance.Share() - 0.5)),
                    box.MayTurn && _chance.Below(2) == 1
                );
            }
            (tried[i], keys[i]) = (Skyline.Entry(tried[i], _turned[box.Kind]), _key[box.Kind]);
        }
        keys.Sort(tried.AsSpan());
        return tried;
    }
}
