namespace Hepno.Core.Artwork;

/// <summary>Connected parts of a mask, from its runs of columns row by row: two runs that touch, corners too, are one
/// part.</summary>
internal sealed class Regions
{
    private readonly List<int> parent = [];
    private readonly List<(int Left, int Top, int Right, int Bottom, int Pixels)> parts = [];
    private List<(int From, int To, int Part)> above = [];
    private List<(int From, int To, int Part)> row = [];
    private int y = -1;
    private int behind;

    /// <summary>Begins the next row.</summary>
    public void NextRow()
    {
        (above, row) = (row, above);
        row.Clear();
        behind = 0;
        y++;
    }

    /// <summary>Adds a run of the row, left to right.</summary>
    /// <param name="from">First column.</param>
    /// <param name="to">Last column.</param>
    public void Add(int from, int to)
    {
        var part = parent.Count;
        parent.Add(part);
        parts.Add((from, y, to, y, to - from + 1));
        // runs above end in rising order: those that end before this one begins are behind for the next ones too
        while (behind < above.Count && above[behind].To < from - 1)
        {
            behind++;
        }
        for (var i = behind; i < above.Count && above[i].From <= to + 1; i++)
        {
            part = Join(Root(above[i].Part), Root(part));
        }
        row.Add((from, to, part));
    }

    /// <summary>All parts, largest first.</summary>
    public List<(PixelBox Box, int Pixels)> Parts() =>
        [
            .. Enumerable
                .Range(0, parent.Count)
                .Where(i => parent[i] == i)
                .Select(i => parts[i])
                .OrderByDescending(p => p.Pixels)
                .Select(p => (new PixelBox(p.Left, p.Top, p.Right - p.Left + 1, p.Bottom - p.Top + 1), p.Pixels)),
        ];

    private int Root(int i)
    {
        while (parent[i] != i)
        {
            parent[i] = parent[parent[i]];
            i = parent[i];
        }
        return i;
    }

    private int Join(int a, int b)
    {
        if (a == b)
        {
            return a;
        }
        var (keep, gone) = a < b ? (a, b) : (b, a);
        parent[gone] = keep;
        var (k, g) = (parts[keep], parts[gone]);
        parts[keep] = (
            Math.Min(k.Left, g.Left),
            Math.Min(k.Top, g.Top),
            Math.Max(k.Right, g.Right),
            Math.Max(k.Bottom, g.Bottom),
            k.Pixels + g.Pixels
        );
        return keep;
    }
}
