namespace Hepno.Core.Artwork;

/// <summary>A picture's pixels: 8-bit sRGB with straight alpha, rows from the top without padding, its orientation
/// turned.</summary>
/// <param name="Width">Pixels across, 1 or more.</param>
/// <param name="Height">Pixels down, 1 or more.</param>
/// <param name="Rgba">Red, green, blue, alpha of each pixel: 4 × Width × Height bytes. Read, never kept or
/// changed.</param>
public sealed record Raster(int Width, int Height, byte[] Rgba)
{
    /// <summary>How opaque a pixel is, 0 to 255.</summary>
    public byte Alpha(int x, int y) => Rgba[(((y * Width) + x) * 4) + 3];

    /// <summary>A part of it.</summary>
    public Raster Part(PixelBox box)
    {
        var part = new byte[box.Width * box.Height * 4];
        for (var y = 0; y < box.Height; y++)
        {
            Array.Copy(Rgba, (((box.Top + y) * Width) + box.Left) * 4, part, y * box.Width * 4, box.Width * 4);
        }
        return new(box.Width, box.Height, part);
    }

    /// <summary>Half as many pixels each way, each the mean of four weighed by how opaque they are; an odd last row or
    /// column falls away.</summary>
    public Raster Halved()
    {
        var (w, h) = (Math.Max(1, Width / 2), Math.Max(1, Height / 2));
        var (right, down) = (Width > 1 ? 4 : 0, Height > 1 ? Width * 4 : 0);
        var half = new byte[w * h * 4];
        for (var y = 0; y < h; y++)
        {
            var from = y * 2 * Width * 4;
            for (int x = 0, to = y * w * 4; x < w; x++, from += 8, to += 4)
            {
                Mean(Rgba, [from, from + right, from + down, from + right + down], half, to);
            }
        }
        return new(w, h, half);
    }

    private static void Mean(byte[] from, ReadOnlySpan<int> at, byte[] half, int to)
    {
        var (r, g, b, a) = (0, 0, 0, 0);
        foreach (var i in at)
        {
            var alpha = from[i + 3];
            (r, g, b, a) = (r + (from[i] * alpha), g + (from[i + 1] * alpha), b + (from[i + 2] * alpha), a + alpha);
        }
        if (a > 0)
        {
            (half[to], half[to + 1], half[to + 2]) = (
                (byte)((r + (a / 2)) / a),
                (byte)((g + (a / 2)) / a),
                (byte)((b + (a / 2)) / a)
            );
        }
        half[to + 3] = (byte)((a + 2) / 4);
    }
}

/// <summary>A box of pixels.</summary>
/// <param name="Left">First column.</param>
/// <param name="Top">First row.</param>
/// <param name="Width">Columns.</param>
/// <param name="Height">Rows.</param>
public sealed record PixelBox(int Left, int Top, int Width, int Height)
{
    /// <summary>The same box in a picture of twice as many pixels each way.</summary>
    public PixelBox Doubled() => new(Left * 2, Top * 2, Width * 2, Height * 2);
}
