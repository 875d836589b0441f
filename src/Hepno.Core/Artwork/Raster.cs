namespace Hepno.Core.Artwork;

/// <summary>A picture's pixels: 8-bit sRGB with straight alpha, rows from the top without padding, its orientation turned.</summary>
/// <param name="Width">Pixels across, 1 or more.</param>
/// <param name="Height">Pixels down, 1 or more.</param>
/// <param name="Rgba">Red, green, blue, alpha of each pixel: 4 × Width × Height bytes. Read, never kept or changed.</param>
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
}

/// <summary>A box of pixels.</summary>
/// <param name="Left">First column.</param>
/// <param name="Top">First row.</param>
/// <param name="Width">Columns.</param>
/// <param name="Height">Rows.</param>
public sealed record PixelBox(int Left, int Top, int Width, int Height);
