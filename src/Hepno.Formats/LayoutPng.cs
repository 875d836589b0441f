using System.Runtime.InteropServices;
using Hepno.Core.Artwork;
using SkiaSharp;

namespace Hepno.Formats;

/// <summary>A layout as it is printed: every copy's picture in its place, at 300 pixels an inch, clear
/// between.</summary>
public static class LayoutPng
{
    /// <summary>Pixels an inch.</summary>
    public const double Dpi = 300;

    private const int Band = 256;

    /// <summary>Writes a sheet band by band.</summary>
    /// <param name="to">Where it is written.</param>
    /// <param name="sheet">The sheet; each of its designs has a picture.</param>
    /// <param name="pictures">The pictures.</param>
    /// <param name="stop">Ends the writing between two bands.</param>
    public static void Write(Stream to, LaidSheet sheet, LaidPictures pictures, CancellationToken stop)
    {
        var (width, height) = (Pixels(sheet.WidthIn), Pixels(sheet.LengthIn));
        using var png = new PngBands(to, width, height, Dpi);
        using var colours = SKColorSpace.CreateSrgb();
        // drawn with the alpha in, written with it out: what is opaque is the same in both
        using var band = SKSurface.Create(
            new SKImageInfo(width, Band, SKColorType.Rgba8888, SKAlphaType.Premul, colours)
        );
        var straight = new byte[width * Band * 4];
        using var images = new Images(pictures);
        for (var top = 0; top < height; top += Band)
        {
            stop.ThrowIfCancellationRequested();
            band.Canvas.Clear(SKColors.Transparent);
            foreach (var c in sheet.Copies.Where(c => Pixels(c.Y) < top + Band && Pixels(c.Y + c.HeightIn) > top))
            {
                Draw(band.Canvas, c, top, images[c.Key]);
            }
            var held = GCHandle.Alloc(straight, GCHandleType.Pinned);
            try
            {
                band.ReadPixels(
                    new SKImageInfo(width, Band, SKColorType.Rgba8888, SKAlphaType.Unpremul, colours),
                    held.AddrOfPinnedObject(),
                    width * 4,
                    0,
                    0
                );
            }
            finally
            {
                held.Free();
            }
            png.Write(straight.AsSpan(0, width * 4 * Math.Min(Band, height - top)));
        }
    }

    private static int Pixels(double inches) => (int)Math.Round(inches * Dpi);

    private static void Draw(SKCanvas canvas, LaidBox c, int top, SKImage? image)
    {
        if (image is null)
        {
            return;
        }
        var (x, y) = (Pixels(c.X), Pixels(c.Y) - top);
        var (w, h) = (Pixels(c.X + c.WidthIn) - x, Pixels(c.Y + c.HeightIn) - top - y);
        canvas.Save();
        canvas.Translate(x, y);
        if (c.Turned)
        {
            canvas.Translate(w, 0);
            canvas.RotateDegrees(90);
            (w, h) = (h, w);
        }
        canvas.DrawImage(
            image,
            new SKRect(0, 0, w, h),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        canvas.Restore();
    }

    private sealed class Images(LaidPictures pictures) : IDisposable
    {
        private readonly Dictionary<string, SKImage?> made = [];

        public SKImage? this[string key] =>
            made.TryGetValue(key, out var image) ? image : made[key] = pictures[key] is { } raster ? Of(raster) : null;

        public void Dispose()
        {
            foreach (var image in made.Values)
            {
                image?.Dispose();
            }
        }

        private static SKImage Of(Raster raster)
        {
            using var colours = SKColorSpace.CreateSrgb();
            return SKImage.FromPixelCopy(
                new SKImageInfo(raster.Width, raster.Height, SKColorType.Rgba8888, SKAlphaType.Unpremul, colours),
                raster.Rgba,
                raster.Width * 4
            );
        }
    }
}
