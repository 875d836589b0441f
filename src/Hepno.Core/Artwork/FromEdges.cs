namespace Hepno.Core.Artwork;

/// <summary>Spreads from the edges of a field inwards, square to square, as far as it is let: what is reached from
/// outside.</summary>
internal static class FromEdges
{
    /// <summary>Looks at every square that is reached, once.</summary>
    /// <param name="width">Squares across.</param>
    /// <param name="height">Squares down.</param>
    /// <param name="goesOn">Told a square's column and row; true where it spreads on from there.</param>
    public static void Spread(int width, int height, Func<int, int, bool> goesOn)
    {
        var seen = new bool[width * height];
        var open = new Stack<int>();
        void Look(int x, int y)
        {
            if (x >= 0 && y >= 0 && x < width && y < height && !seen[(y * width) + x])
            {
                seen[(y * width) + x] = true;
                open.Push((y * width) + x);
            }
        }
        for (var x = 0; x < width; x++)
        {
            Look(x, 0);
            Look(x, height - 1);
        }
        for (var y = 0; y < height; y++)
        {
            Look(0, y);
            Look(width - 1, y);
        }
        while (open.TryPop(out var p))
        {
            var (x, y) = (p % width, p / width);
            if (goesOn(x, y))
            {
                Look(x - 1, y);
                Look(x + 1, y);
                Look(x, y - 1);
                Look(x, y + 1);
            }
        }
    }
}
