using Hepno.Core.Artwork;

namespace Hepno.Core.Tests;

/// <summary>Pictures of known truth, drawn with exact area coverage: each pixel is looked at in 8 × 8 points.</summary>
internal sealed class Drawn(int width, int height)
{
    private const int Points = 8;

    private readonly byte[] rgba = new byte[width * height * 4];

    public Raster Raster => new(width, height, rgba);

    /// <summary>Paints what a shape holds, over what is there.</summary>
    public Drawn Fill(
        Func<double, double, bool> holds,
        (byte R, byte G, byte B)? colour = null,
        PixelBox? within = null
    )
    {
        var b = within ?? new(0, 0, width, height);
        var (r, g, bl) = colour ?? (0, 0, 0);
        for (var y = Math.Max(0, b.Top); y < Math.Min(height, b.Top + b.Height); y++)
        {
            for (var x = Math.Max(0, b.Left); x < Math.Min(width, b.Left + b.Width); x++)
            {
                var n = 0;
                for (var p = 0; p < Points * Points; p++)
                {
                    n += holds(x + (((p % Points) + 0.5) / Points), y + (((p / Points) + 0.5) / Points)) ? 1 : 0;
                }
                if (n > 0)
                {
                    Over((y * width) + x, n / (double)(Points * Points), r, g, bl);
                }
            }
        }
        return this;
    }

    /// <summary>A straight stroke with square ends.</summary>
    public Drawn Stroke(
        double x0,
        double y0,
        double lengthPx,
        double widthPx,
        double degrees,
        (byte R, byte G, byte B)? colour = null
    )
    {
        var (c, s) = (Math.Cos(degrees * Math.PI / 180), Math.Sin(degrees * Math.PI / 180));
        var reach = (int)(lengthPx + widthPx) + 2;
        return Fill(
            (x, y) =>
            {
                var (u, v) = (((x - x0) * c) + ((y - y0) * s), ((y - y0) * c) - ((x - x0) * s));
                return u >= 0 && u <= lengthPx && Math.Abs(v) <= widthPx / 2;
            },
            colour,
            new(
                (int)(x0 + (Math.Min(0, lengthPx * c))) - (int)widthPx - 2,
                (int)(y0 + Math.Min(0, lengthPx * s)) - (int)widthPx - 2,
                (int)(Math.Abs(lengthPx * c) + (2 * widthPx)) + 6,
                Math.Min(reach, (int)(Math.Abs(lengthPx * s) + (2 * widthPx)) + 6)
            )
        );
    }

    /// <summary>A filled rectangle.</summary>
    public Drawn Box(double left, double top, double w, double h, (byte R, byte G, byte B)? colour = null) =>
        Fill(
            (x, y) => x >= left && x < left + w && y >= top && y < top + h,
            colour,
            new((int)left - 1, (int)top - 1, (int)w + 3, (int)h + 3)
        );

    /// <summary>A disc whose edge fades out over some pixels: a glow.</summary>
    public Drawn Glow(double cx, double cy, double radius, double fade)
    {
        for (var y = 0; y < height; y++)
        {
            for (var x = 0; x < width; x++)
            {
                var d = Math.Sqrt(((x + 0.5 - cx) * (x + 0.5 - cx)) + ((y + 0.5 - cy) * (y + 0.5 - cy)));
                if (d < radius + fade)
                {
                    Over((y * width) + x, d <= radius ? 1 : 1 - ((d - radius) / fade), 200, 60, 40);
                }
            }
        }
        return this;
    }

    /// <summary>Cuts a shape out again.</summary>
    public Drawn Cut(Func<double, double, bool> holds)
    {
        for (var i = 0; i < width * height; i++)
        {
            var n = 0;
            for (var p = 0; p < Points * Points; p++)
            {
                n += holds((i % width) + (((p % Points) + 0.5) / Points), (i / width) + (((p / Points) + 0.5) / Points))
                    ? 1
                    : 0;
            }
            rgba[(i * 4) + 3] = (byte)Math.Round(rgba[(i * 4) + 3] * (1 - (n / (double)(Points * Points))));
        }
        return this;
    }

    private void Over(int pixel, double alpha, byte r, byte g, byte b)
    {
        var i = pixel * 4;
        var under = rgba[i + 3] / 255.0;
        var all = alpha + (under * (1 - alpha));
        byte Mix(byte over, byte beneath) => (byte)Math.Round(((over * alpha) + (beneath * under * (1 - alpha))) / all);
        (rgba[i], rgba[i + 1], rgba[i + 2], rgba[i + 3]) = (
            Mix(r, rgba[i]),
            Mix(g, rgba[i + 1]),
            Mix(b, rgba[i + 2]),
            (byte)Math.Round(all * 255)
        );
    }
}
