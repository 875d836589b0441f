namespace Hepno.Core.Gang;

/// <summary>What no layout can be shorter than: the larger of the area and of what horizontal bars need.</summary>
internal static class GangFloor
{
    /// <summary>
    /// A length no strip can be under. Cut every box into bars across the strip: bars side by side at one height may
    /// not be wider than the strip together. Any function f of
    /// widths that keeps f(a) + f(b) + ... at most f(strip) wherever a + b + ... is at most the strip gives a bound,
    /// the sum of f(width) × height over f(strip);
    /// a box that may turn counts the way that is less. Area is f(w) = w; the others round widths up to shares of the
    /// strip.
    /// </summary>
    /// <param name="width">Width of the strip, gap added.</param>
    /// <param name="boxes">What is laid, gap added.</param>
    public static double Length(double width, IReadOnlyList<Skyline.Box> boxes)
    {
        var kinds = Kinds(boxes);
        var best = kinds.Sum(k => k.Count * k.Box.W * k.Box.H) / width;
        // a layout may touch by the width of its rounding: what nearly goes side by side must not count as if it did
        // not
        var wide = width + Rounding;
        // no box is shorter than its shorter way that still goes on the strip
        best = Math.Max(best, kinds.Count == 0 ? 0 : kinds.Select(k => k.Box).Max(b => LeastHeight(b, wide)));
        foreach (var f in Functions(wide, [.. kinds.Select(k => k.Box)]))
        {
            var sum = 0.0;
            foreach (var (b, count) in kinds)
            {
                var upright = b.W > wide ? double.PositiveInfinity : f(b.W / wide) * b.H;
                var turned = !b.MayTurn || b.H > wide ? double.PositiveInfinity : f(b.H / wide) * b.W;
                sum += count * Math.Min(upright, turned);
            }
            best = Math.Max(best, sum);
        }
        return kinds is [var (one, copies)] ? Math.Max(best, OneKind(wide, one, copies)) : best;
    }

    /// <summary>
    /// A length under which copies of one box do not go. Lines across the strip are drawn a distance d apart, as few as
    /// may be: a box h long is met by floor(h / d) of them at least, and a line meets only
    /// what goes side by side, so there are ceil(copies / most a line pays for) lines. With d = h this is rows, and
    /// exact for boxes that may not turn.
    /// </summary>
    // a box that may turn stands as low as the width lets it
    private static double LeastHeight(Skyline.Box b, double wide)
    {
        if (!b.MayTurn || b.H > wide)
        {
            return b.H;
        }
        return b.W > wide ? b.W : Math.Min(b.W, b.H);
    }

    private static double OneKind(double wide, Skyline.Box box, int copies)
    {
        List<(int Upright, int Turned)> across =
        [
            .. Enumerable
                .Range(0, (int)(wide / box.W) + 1)
                .Select(n => (n, box.MayTurn ? (int)((wide - (n * box.W)) / box.H) : 0)),
        ];
        // what a line of whole boxes takes of the copies, where each counts as many lines as it is met by
        double Most(double upright, double turned) =>
            across.Max(a => (a.Upright == 0 ? 0 : a.Upright / upright) + (a.Turned == 0 ? 0 : a.Turned / turned));
        var best = copies / Most(box.H, box.W);
        foreach (var apart in Enumerable.Range(1, MostApart).SelectMany(n => new[] { box.H / n, box.W / n }))
        {
            var most = Most(Math.Floor((box.H / apart) + Eps), Math.Floor((box.W / apart) + Eps));
            best = double.IsInfinity(most) ? best : Math.Max(best, apart * Math.Ceiling((copies / most) - Eps));
        }
        return best;
    }

    /// <summary>
    /// Sheets no layout can be under. On one sheet, for any two of the functions above, the sum of f(width) × g(height)
    /// is at most one: what is wider than half a sheet and longer than half one stands alone, whatever room is left
    /// beside it. A box that may turn counts the way that is less.
    /// </summary>
    public static int Sheets(double width, double length, IReadOnlyList<Skyline.Box> boxes)
    {
        var (wide, tall) = (width + Rounding, length + Rounding);
        var kinds = Kinds(boxes);
        List<Skyline.Box> each = [.. kinds.Select(k => k.Box)];
        List<Func<double, double>> across = [x => x, .. Functions(wide, each)],
            along = [x => x, .. Functions(tall, each)];
        // what each way of each kind counts, by function: looked up, because every pair is tried
        double[][] Shares(List<Func<double, double>> functions, double whole, Func<Skyline.Box, double> side) =>
            [
                .. functions.Select(f =>
                    kinds.Select(k => side(k.Box) > whole ? double.PositiveInfinity : f(side(k.Box) / whole)).ToArray()
                ),
            ];
        var (wAcross, hAcross) = (Shares(across, wide, b => b.W), Shares(across, wide, b => b.H));
        var (wAlong, hAlong) = (Shares(along, tall, b => b.W), Shares(along, tall, b => b.H));
        var best = Length(width, boxes) / length;
        for (var i = 0; i < across.Count; i++)
        {
            for (var j = 0; j < along.Count; j++)
            {
                var sum = 0.0;
                for (var k = 0; k < kinds.Count; k++)
                {
                    var upright = Product(wAcross[i][k], hAlong[j][k]);
                    sum +=
                        kinds[k].Count
                        * (kinds[k].Box.MayTurn ? Math.Min(upright, Product(hAcross[i][k], wAlong[j][k])) : upright);
                }
                best = double.IsFinite(sum) ? Math.Max(best, sum) : best;
            }
        }
        return Math.Max(1, (int)Math.Ceiling(best - 1e-9));
    }

    private static List<(Skyline.Box Box, int Count)> Kinds(IReadOnlyList<Skyline.Box> boxes) =>
        [.. boxes.GroupBy(b => b.Kind).Select(g => (g.First(), g.Count()))];

    // a way that does not go on the sheet at all is no way, even where the other side counts nothing
    private static double Product(double a, double b) =>
        double.IsPositiveInfinity(a) || double.IsPositiveInfinity(b) ? double.PositiveInfinity : a * b;

    private const double Eps = 1e-9;

    // lines nearer than this part of a box find nothing more
    private const int MostApart = 4;

    // more than all roundings of a row of boxes together, in
    private const double Rounding = 1e-4;

    // shares of the strip to shares of one, none of which lets more than one whole side by side
    private static IEnumerable<Func<double, double>> Functions(double width, IReadOnlyList<Skyline.Box> boxes)
    {
        // what is wider than all but a little of the strip stands alone; what is narrower than that little goes beside
        // it for nothing
        foreach (
            var little in boxes
                .SelectMany(b => new[] { b.W / width, b.H / width, 1 - (b.W / width), 1 - (b.H / width) })
                .Where(x => x is > 0 and <= 0.5)
                .Distinct()
                .Order()
                .Take(200)
        )
        {
            yield return x =>
                (x > 1 - little + Eps, x < little - Eps) switch
                {
                    (true, _) => 1,
                    (_, true) => 0,
                    _ => x,
                };
        }
        // so many wholes of the strip at most: a third and a bit counts half
        for (var k = 1; k <= 12; k++)
        {
            var wholes = k;
            yield return x =>
            {
                var times = (wholes + 1) * x;
                return Math.Abs(times - Math.Round(times)) < 1e-7 ? x : Math.Floor(times) / wholes;
            };
        }
    }
}
