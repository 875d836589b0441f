using System.Runtime.InteropServices;
using System.Text;
using Hepno.Core.Artwork;
using SkiaSharp;
using Svg.Skia;

namespace Hepno.Formats;

/// <summary>A drawing in lines (SVG): rebuilt from what is allowed, then drawn in the size it is printed in.</summary>
public static class SvgDrawing
{
    /// <summary>Pixels an inch it is drawn at to be measured.</summary>
    public const double Dpi = 600;

    private const double MostPixels = 100_000_000;
    private const double LongestSide = 30_000;

    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(10);

    /// <summary>Draws it for a print of some width.</summary>
    /// <param name="file">The file as it came.</param>
    /// <param name="widthIn">Print width, in.</param>
    /// <exception cref="NotAPictureException">It is no drawing that can be taken.</exception>
    public static Raster Read(byte[] file, double widthIn) =>
        Drawn(file, (w, h) =>
            Math.Min(Math.Min(widthIn * Dpi / w, LongestSide / Math.Max(w, h)), Math.Sqrt(MostPixels / ((double)w * h)))
        );

    /// <summary>Draws it with its longer side in so many pixels.</summary>
    /// <inheritdoc cref="Read(byte[], double)"/>
    public static Raster Read(byte[] file, int longest) => Drawn(file, (w, h) => longest / Math.Max(w, h));

    private static Raster Drawn(byte[] file, Func<float, float, double> scaleFor)
    {
        var text = SvgRebuilt.Of(file);
        var drawing = Task.Run(() => Draw(text, scaleFor));
        try
        {
            return drawing.Wait(Longest)
                ? drawing.Result
                : throw new NotAPictureException(
                    $"The drawing takes longer than {Longest.TotalSeconds:0} seconds to draw.",
                    remedy: "Simplify it, or save it as PNG at print size."
                );
        }
        catch (AggregateException failed) when (failed.InnerException is NotAPictureException not)
        {
            throw not;
        }
        catch (AggregateException)
        {
            // whatever the drawing library stumbles over is the drawing's fault to the owner
            throw new NotAPictureException(
                "The drawing cannot be drawn.",
                remedy: "Save it again as plain SVG, or as PNG at print size."
            );
        }
    }

    private static Raster Draw(string text, Func<float, float, double> scaleFor)
    {
        using var svg = new SKSvg();
        var picture = svg.FromSvg(text);
        if (
            picture is null
            || picture.CullRect.Width <= 0
            || picture.CullRect.Height <= 0
            || !float.IsFinite(picture.CullRect.Width * picture.CullRect.Height)
        )
        {
            throw new NotAPictureException(
                "The drawing has no size, or nothing in it.",
                remedy: "Give it a width, a height and something to print."
            );
        }
        var box = picture.CullRect;
        var scale = (float)scaleFor(box.Width, box.Height);
        var (w, h) = (
            Math.Max(1, (int)Math.Round(box.Width * scale)),
            Math.Max(1, (int)Math.Round(box.Height * scale))
        );
        using var colours = SKColorSpace.CreateSrgb();
        using var surface = SKSurface.Create(new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Premul, colours));
        surface.Canvas.Clear(SKColors.Transparent);
        surface.Canvas.Scale(scale);
        surface.Canvas.Translate(-box.Left, -box.Top);
        surface.Canvas.DrawPicture(picture);
        var pixels = new byte[w * h * 4];
        var held = GCHandle.Alloc(pixels, GCHandleType.Pinned);
        try
        {
            using var image = surface.Snapshot();
            return image.ReadPixels(
                new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Unpremul, colours),
                held.AddrOfPinnedObject(),
                w * 4,
                0,
                0
            )
                ? new(w, h, pixels)
                : throw new NotAPictureException(
                    "The drawing cannot be drawn.",
                    remedy: "Save it as PNG at print size."
                );
        }
        finally
        {
            held.Free();
        }
    }

    /// <summary>True when a file begins like one.</summary>
    internal static bool Begins(ReadOnlySpan<byte> first)
    {
        var text = Encoding.UTF8.GetString(first).TrimStart('\ufeff', ' ', '\r', '\n', '\t');
        return text.StartsWith('<')
            && (
                text.Contains("<svg", StringComparison.OrdinalIgnoreCase)
                || text.StartsWith("<?xml", StringComparison.Ordinal)
                || text.StartsWith("<!--", StringComparison.Ordinal)
                || text.StartsWith("<!DOCTYPE svg", StringComparison.OrdinalIgnoreCase)
            );
    }
}
