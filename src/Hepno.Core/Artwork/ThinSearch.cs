using Hepno.Core.Measures;

namespace Hepno.Core.Artwork;

/// <summary>
/// Finds the smallest t such that what a disc of diameter t cannot reach has a connected part at least 3 t and 1 mm
/// long (docs/trade 4).
/// What a disc cannot reach lies along the middle line of a shape where it is narrower than t, so the middle line alone
/// is looked at:
/// the middles of short runs in rows and columns, each with the width measured across it on the alpha values, which
/// tells fractions of a pixel. Corners go (their narrow part is half a t long); hairlines and needle tips stay.
/// </summary>
internal sealed class ThinSearch
{
    private const byte Inside = 64;
    private const double LeastMm = 1;
    private const double Tolerance = 1.12;
    private const double Beside = 3.6;
    private const int CellPx = 3;
    private const int Dense = 8;
    private const int MostMarks = 60;

    private readonly int width;
    private readonly int height;
    private readonly byte[] level;
    private readonly double widestPx;
    private readonly double leastPx;
    private readonly bool gaps;
    private readonly PixelBox box;

    private readonly List<int>[] rows;
    private readonly List<int>[] columns;
    private readonly int[] cells;
    private readonly int across;
    private readonly List<Middle> middles = [];

    /// <summary>Takes the alpha of the box, or its opposite to look for gaps.</summary>
    public ThinSearch(Raster raster, PixelBox box, double dpi, bool gaps)
    {
        (width, height, this.gaps, this.box) = (box.Width, box.Height, gaps, box);
        widestPx = ThinFeature.WidestPt / 72 * dpi;
        leastPx = LeastMm / Units.MmPerInch * dpi;
        level = new byte[width * height];
        for (var y = 0; y < height; y++)
        {
            var from = ((((box.Top + y) * raster.Width) + box.Left) * 4) + 3;
            for (var x = 0; x < width; x++)
            {
                var a = raster.Rgba[from + (x * 4)];
                level[(y * width) + x] = gaps ? (byte)(255 - a) : a;
            }
        }
        var longest = (int)Math.Ceiling(widestPx * Math.Sqrt(2)) + 2;
        rows = [.. Enumerable.Range(0, longest + 1).Select(_ => new List<int>())];
        columns = [.. Enumerable.Range(0, longest + 1).Select(_ => new List<int>())];
        across = (width / CellPx) + 3;
        cells = new int[across * ((height / CellPx) + 3)];
    }

    /// <summary>The thinnest feature, or null.</summary>
    public ThinFeature? Find()
    {
        Runs();
        var waiting = new PriorityQueue<Middle, double>();
        double? found = null;
        for (var length = 1; length < rows.Length; length++)
        {
            // middles of longer runs than these are wider than this: a run is at most √2 times as long as what it
            // crosses is wide
            var known = (length / Math.Sqrt(2)) - 1.5;
            found = Settle(waiting, known, found);
            if (found is { } t && known > t * Tolerance)
            {
                break;
            }
            foreach (var (list, isRow) in new[] { (rows[length], true), (columns[length], false) })
            {
                foreach (var start in list)
                {
                    var middle = Measure(start, length, isRow);
                    if (middle.Width <= widestPx)
                    {
                        waiting.Enqueue(middle, middle.Width);
                    }
                }
            }
        }
        found = Settle(waiting, double.MaxValue, found);
        return found is not { } thinnest
            ? null
            : new(
                thinnest,
                [
                    .. middles
                        .Select((m, i) => (m, i))
                        .Where(x => x.m.Parent == x.i && x.m.Length + thinnest >= Math.Max(3 * thinnest, leastPx))
                        .Select(x => x.m.Box(box, thinnest))
                        .OrderByDescending(b => Math.Max(b.Width, b.Height))
                        .Take(MostMarks),
                ]
            );
    }

    // takes middles in the order of their width: the first part that is long enough is the thinnest feature, and what
    // is hardly wider is taken with it
    private double? Settle(PriorityQueue<Middle, double> waiting, double known, double? found)
    {
        while (waiting.TryPeek(out var next, out var w) && w <= known && (found is not { } t || w <= t * Tolerance))
        {
            waiting.Dequeue();
            var part = Join(next);
            found ??= part.Length + w >= Math.Max(3 * w, leastPx) ? w : null;
        }
        return found;
    }

    private void Runs()
    {
        var open = new int[width];
        Array.Fill(open, -1);
        for (var y = 0; y <= height; y++)
        {
            var start = -1;
            for (var x = 0; x < width; x++)
            {
                var inside = y < height && level[(y * width) + x] >= Inside;
                if (inside)
                {
                    start = start < 0 ? x : start;
                    open[x] = open[x] < 0 ? y : open[x];
                    continue;
                }
                if (start >= 0)
                {
                    Keep(rows, x - start, (y * width) + start, start, gaps && start == 0, y);
                    start = -1;
                }
                if (open[x] >= 0)
                {
                    // a gap ends at paint on both sides; what runs out of the box is open ground
                    Keep(
                        columns,
                        y - open[x],
                        (open[x] * width) + x,
                        open[x],
                        gaps && (open[x] == 0 || y == height),
                        x
                    );
                    open[x] = -1;
                }
            }
            if (start >= 0 && y < height)
            {
                Keep(rows, width - start, (y * width) + start, start, gaps, y);
            }
        }
    }

    // where runs are longer, every second line is enough to follow them
    private static void Keep(List<int>[] lists, int length, int at, int start, bool open, int line)
    {
        if (!open && length < lists.Length && (length < Dense || (line & 1) == 0) && start >= 0)
        {
            lists[length].Add(at);
        }
    }

    private Middle Measure(int start, int length, bool isRow)
    {
        var (sx, sy) = (start % width, start / width);
        var half = (length - 1) / 2.0;
        var (x, y) = isRow ? (sx + half, (double)sy) : (sx, sy + half);
        // across is where the level rises on one side and falls on the other
        var (ex, ey) = isRow ? (sx + length - 1, sy) : (sx, sy + length - 1);
        var (ox, oy) = isRow ? (1, 0) : (0, 1);
        var (ax, ay) = Add(Slope(sx, sy), Slope(sx - ox, sy - oy));
        var (bx, by) = Add(Slope(ex, ey), Slope(ex + ox, ey + oy));
        var (nx, ny) = (ax - bx, ay - by);
        var size = Math.Sqrt((nx * nx) + (ny * ny));
        (nx, ny) = size < 1e-6 ? (ox, oy) : (nx / size, ny / size);
        return new(x, y, Side(x, y, nx, ny) + Side(x, y, -nx, -ny));
    }

    private static (double X, double Y) Add((double X, double Y) a, (double X, double Y) b) => (a.X + b.X, a.Y + b.Y);

    // what the level adds up to on one side of a middle, px, until it ends or another shape begins
    private double Side(double x, double y, double nx, double ny)
    {
        const double Step = 0.5;
        var (sum, last) = (0.0, At(x, y));
        for (var d = Step; d <= widestPx; d += Step)
        {
            var here = At(x + (d * nx), y + (d * ny));
            if (last < 0.5 && here > last + 0.02)
            {
                break;
            }
            sum += (here + last) / 2 * Step;
            if (here < 0.02)
            {
                break;
            }
            last = here;
        }
        return sum;
    }

    // how steeply the level rises at a pixel
    private (double X, double Y) Slope(int x, int y)
    {
        double P(int dx, int dy) => Level(x + dx, y + dy);
        return (
            P(1, -1) + (2 * P(1, 0)) + P(1, 1) - P(-1, -1) - (2 * P(-1, 0)) - P(-1, 1),
            P(-1, 1) + (2 * P(0, 1)) + P(1, 1) - P(-1, -1) - (2 * P(0, -1)) - P(1, -1)
        );
    }

    // the level between pixels, 0 to 1
    private double At(double x, double y)
    {
        var (fx, fy) = ((int)Math.Floor(x), (int)Math.Floor(y));
        var (dx, dy) = (x - fx, y - fy);
        return (
                (((Level(fx, fy) * (1 - dx)) + (Level(fx + 1, fy) * dx)) * (1 - dy))
                + (((Level(fx, fy + 1) * (1 - dx)) + (Level(fx + 1, fy + 1) * dx)) * dy)
            ) / 255;
    }

    // beyond the box all is ground
    private double Level(int x, int y)
    {
        if (x < 0 || y < 0 || x >= width || y >= height)
        {
            return gaps ? 255 : 0;
        }
        return level[(y * width) + x];
    }

    private Middle Join(Middle m)
    {
        var at = middles.Count;
        m.Parent = at;
        middles.Add(m);
        var (cx, cy) = ((int)(m.X / CellPx) + 1, (int)(m.Y / CellPx) + 1);
        var part = at;
        for (var y = cy - 1; y <= cy + 1; y++)
        {
            for (var x = cx - 1; x <= cx + 1; x++)
            {
                for (var other = cells[(y * across) + x] - 1; other >= 0; other = middles[other].Under)
                {
                    if (Math.Abs(middles[other].X - m.X) <= Beside && Math.Abs(middles[other].Y - m.Y) <= Beside)
                    {
                        part = Join(Root(other), part);
                    }
                }
            }
        }
        m.Under = cells[(cy * across) + cx] - 1;
        cells[(cy * across) + cx] = at + 1;
        return middles[part];
    }

    private int Root(int i)
    {
        while (middles[i].Parent != i)
        {
            i = middles[i].Parent = middles[middles[i].Parent].Parent;
        }
        return i;
    }

    private int Join(int a, int b)
    {
        if (a != b)
        {
            middles[b].Parent = a;
            middles[a].Take(middles[b]);
        }
        return a;
    }

    /// <summary>A point of a middle line, or the part it is the root of.</summary>
    private sealed class Middle(double x, double y, double width)
    {
        private double left = x,
            right = x,
            top = y,
            bottom = y,
            upLeft = x + y,
            downRight = x + y,
            upRight = x - y,
            downLeft = x - y;

        public double X { get; } = x;

        public double Y { get; } = y;

        public double Width { get; } = width;

        public int Parent { get; set; }

        /// <summary>The point before it in the same cell; -1 for none.</summary>
        public int Under { get; set; }

        /// <summary>How long the part is, px: its longest of four directions.</summary>
        public double Length =>
            Math.Max(
                Math.Max(right - left, bottom - top),
                Math.Max(downRight - upLeft, upRight - downLeft) / Math.Sqrt(2)
            );

        public void Take(Middle m)
        {
            (left, right, top, bottom) = (
                Math.Min(left, m.left),
                Math.Max(right, m.right),
                Math.Min(top, m.top),
                Math.Max(bottom, m.bottom)
            );
            (upLeft, downRight, downLeft, upRight) = (
                Math.Min(upLeft, m.upLeft),
                Math.Max(downRight, m.downRight),
                Math.Min(downLeft, m.downLeft),
                Math.Max(upRight, m.upRight)
            );
        }

        /// <summary>Its box on the whole picture, the width of the feature round it.</summary>
        public PixelBox Box(PixelBox within, double around)
        {
            var (x0, y0) = ((int)Math.Floor(left - around), (int)Math.Floor(top - around));
            return new(
                within.Left + Math.Max(0, x0),
                within.Top + Math.Max(0, y0),
                (int)Math.Ceiling(right + around) - x0 + 1,
                (int)Math.Ceiling(bottom + around) - y0 + 1
            );
        }
    }
}
