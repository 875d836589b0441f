namespace Hepno.Core.Artwork;

/// <summary>What of a picture is painted.</summary>
/// <param name="Box">The box round everything painted; null when nothing is.</param>
/// <param name="PaintedPixels">Pixels painted, half-clear ones by their share.</param>
/// <param name="Clear">True when something of the picture is see-through.</param>
public sealed record Painted(PixelBox? Box, double PaintedPixels, bool Clear)
{
    /// <summary>Alpha under this is taken for nothing: dust that no eye and no printer sees.</summary>
    public const byte Dust = 13;

    /// <summary>Share of the box that is painted, 0 to 1 (docs/trade 4).</summary>
    public double Coverage => Box is { } b ? PaintedPixels / ((double)b.Width * b.Height) : 0;

    /// <summary>Measures it in one pass.</summary>
    public static Painted Measure(Raster raster)
    {
        var (w, h, rgba) = raster;
        var (left, top, right, bottom) = (w, h, -1, -1);
        var sum = 0L;
        var clear = false;
        for (var y = 0; y < h; y++)
        {
            var row = rgba.AsSpan(y * w * 4, w * 4);
            var (first, last) = (-1, -1);
            for (var x = 0; x < w; x++)
            {
                var a = row[(x * 4) + 3];
                clear |= a < 255;
                if (a >= Dust)
                {
                    sum += a;
                    first = first < 0 ? x : first;
                    last = x;
                }
            }
            if (first >= 0)
            {
                (left, right) = (Math.Min(left, first), Math.Max(right, last));
                (top, bottom) = (Math.Min(top, y), y);
            }
        }
        return new(right < 0 ? null : new(left, top, right - left + 1, bottom - top + 1), sum / 255.0, clear);
    }
}
