using Hepno.Core.Gang;

namespace Hepno.Core.Artwork;

/// <summary>A design's own outline, from alpha, simplified to a few boxes that cover everything painted (docs/trade 7):
/// scissors go round them, other prints may lie in the corners they leave.</summary>
public static class PrintOutline
{
    /// <summary>Squares along the longer side: what is left free is at least one of them.</summary>
    public const int Squares = 16;

    // a print that fills its box as far as this leaves no corner worth cutting round
    private const double FullShare = 0.9;

    /// <summary>The parts of a picture's outline; null where it fills its box. A hole that is enclosed counts as
    /// filled: scissors do not get in.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="box">The box round everything painted.</param>
    public static IReadOnlyList<OutlinePart>? Trace(Raster raster, PixelBox box)
    {
        var longer = Math.Max(box.Width, box.Height);
        int Along(int side) => Math.Clamp((int)Math.Round((double)Squares * side / longer), 1, side);
        var (across, down) = (Along(box.Width), Along(box.Height));
        var filled = Painted(raster, box, across, down);
        Enclosed(filled, across, down);
        var parts = Boxes(filled, across, down)
            .Select(b => new OutlinePart(
                (double)b.X / across,
                (double)b.Y / down,
                (double)b.Across / across,
                (double)b.Down / down
            ))
            .ToList();
        return Share(parts) >= FullShare ? null : parts;
    }

    /// <summary>Share of its box that an outline encloses, 0 to 1; all of it for a box.</summary>
    public static double Share(IReadOnlyList<OutlinePart>? parts) => parts?.Sum(p => p.Width * p.Height) ?? 1;

    // a square is painted where any part of a painted pixel lies in it
    private static bool[,] Painted(Raster raster, PixelBox box, int across, int down)
    {
        var painted = new bool[across, down];
        (int First, int Last)[] columns =
        [
            .. Enumerable.Range(0, box.Width).Select(x => Squared(x, across, box.Width)),
        ];
        for (var y = 0; y < box.Height; y++)
        {
            var (top, bottom) = Squared(y, down, box.Height);
            for (var x = 0; x < box.Width; x++)
            {
                if (raster.Alpha(box.Left + x, box.Top + y) >= Artwork.Painted.Dust)
                {
                    var (left, right) = columns[x];
                    painted[left, top] = painted[right, top] = painted[left, bottom] = painted[right, bottom] = true;
                }
            }
        }
        return painted;
    }

    // the squares a pixel begins and ends in: no pixel is larger than one
    private static (int First, int Last) Squared(int pixel, int squares, int pixels) =>
        ((int)((long)pixel * squares / pixels), (int)((((long)(pixel + 1) * squares) - 1) / pixels));

    // what no way leads to from outside the box counts as painted
    private static void Enclosed(bool[,] filled, int across, int down)
    {
        var outside = new bool[across, down];
        FromEdges.Spread(across, down, (x, y) => outside[x, y] = !filled[x, y]);
        for (var x = 0; x < across; x++)
        {
            for (var y = 0; y < down; y++)
            {
                filled[x, y] = !outside[x, y];
            }
        }
    }

    // runs of each row; a run that is the same in the next row goes on there
    private static IEnumerable<(int X, int Y, int Across, int Down)> Boxes(bool[,] filled, int across, int down)
    {
        var open = new Dictionary<(int X, int Across), int>();
        for (var y = 0; y <= down; y++)
        {
            var runs = y == down ? [] : Runs(filled, across, y).ToHashSet();
            foreach (var (run, top) in open.Where(o => !runs.Contains(o.Key)).ToList())
            {
                open.Remove(run);
                yield return (run.X, top, run.Across, y - top);
            }
            foreach (var run in runs)
            {
                open.TryAdd(run, y);
            }
        }
    }

    private static IEnumerable<(int X, int Across)> Runs(bool[,] filled, int across, int y)
    {
        for (var x = 0; x < across; x++)
        {
            var from = x;
            while (x < across && filled[x, y])
            {
                x++;
            }
            if (x > from)
            {
                yield return (from, x - from);
            }
        }
    }
}
