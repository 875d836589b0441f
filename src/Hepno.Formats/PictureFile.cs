using System.Runtime.InteropServices;
using System.Text;
using Hepno.Core.Artwork;
using SkiaSharp;

namespace Hepno.Formats;

/// <summary>A file that cannot be taken as a picture, and what would help, for the owner.</summary>
public sealed class NotAPictureException(string sentence, string remedy) : Exception(sentence)
{
    /// <summary>What would help.</summary>
    public string Remedy { get; } = remedy;
}

/// <summary>What kind of picture a file is, by its first bytes and its header alone.</summary>
/// <param name="Kind">png, jpeg or svg.</param>
/// <param name="Width">Pixels across, as it stands upright; 0 for a drawing in lines, which has none of its
/// own.</param>
/// <param name="Height">Pixels down.</param>
public sealed record PictureFacts(string Kind, int Width, int Height);

/// <summary>Reads pictures from outside: nothing is decoded before its declared size is known to be bearable.</summary>
public static class PictureFile
{
    /// <summary>Largest file, bytes.</summary>
    public const long LargestBytes = 64L * 1024 * 1024;

    private const long MostPixels = 100_000_000;
    private const int LongestSide = 30_000;

    private static readonly byte[] Png = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];

    // a large one may take half a gigabyte while it is read: one at a time, and the small ones do not wait for it
    private const long Large = 20_000_000;
    private static readonly Lock LargeOnes = new();
    private static readonly Lock SmallOnes = new();

    private static readonly (byte[] Begins, string What)[] Others =
    [
        ("GIF8"u8.ToArray(), "a GIF"),
        ("%PDF"u8.ToArray(), "a PDF"),
        ("PK"u8.ToArray(), "a ZIP or office document"),
        ("RIFF"u8.ToArray(), "a WebP or sound"),
        ("II*\0"u8.ToArray(), "a TIFF"),
        ("MM\0*"u8.ToArray(), "a TIFF"),
        ("BM"u8.ToArray(), "a BMP"),
        ("8BPS"u8.ToArray(), "a layered document of a drawing program"),
        ("%!PS"u8.ToArray(), "PostScript"),
    ];

    /// <summary>Reads the header.</summary>
    /// <exception cref="NotAPictureException">It is no picture, or one too large to take.</exception>
    public static PictureFacts Look(byte[] file)
    {
        var kind = KindOf(file);
        if (kind == "svg")
        {
            SvgRebuilt.Of(file);
            return new(kind, 0, 0);
        }
        if (kind == "png" && IsAnimated(file))
        {
            throw new NotAPictureException("The PNG is animated.", remedy: "Save the one picture that is printed.");
        }
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null)
        {
            throw Broken(kind);
        }
        var (w, h) = (codec.Info.Width, codec.Info.Height);
        if (w <= 0 || h <= 0)
        {
            throw new NotAPictureException(
                $"The picture is {w} × {h} pixels.",
                remedy: "Send one with something in it."
            );
        }
        if (w > LongestSide || h > LongestSide || (long)w * h > MostPixels)
        {
            throw TooLarge("The picture", w, h);
        }
        return IsTurned(codec.EncodedOrigin) ? new(kind, h, w) : new(kind, w, h);
    }

    /// <summary>Decodes it to straight-alpha sRGB, upright; a drawing in lines is drawn with its longer side in so many
    /// pixels.</summary>
    public static Raster Read(byte[] file, int longest) =>
        KindOf(file) == "svg" ? SvgDrawing.Read(file, longest) : Read(file);

    /// <summary>True when a file is a drawing in lines by how it begins.</summary>
    /// <exception cref="NotAPictureException">It is no picture at all.</exception>
    public static bool IsDrawing(byte[] file) => KindOf(file) == "svg";

    /// <summary>Decodes it as it is printed: a drawing in lines is drawn for a print of some width.</summary>
    public static Raster Read(byte[] file, double widthIn) =>
        KindOf(file) == "svg" ? SvgDrawing.Read(file, widthIn) : Read(file);

    /// <summary>Decodes it to straight-alpha sRGB, upright.</summary>
    /// <exception cref="NotAPictureException">It is broken, or ends early.</exception>
    private static Raster Read(byte[] file)
    {
        var facts = Look(file);
        lock ((long)facts.Width * facts.Height > Large ? LargeOnes : SmallOnes)
        {
            using var data = SKData.CreateCopy(file);
            using var codec = SKCodec.Create(data) ?? throw Broken(facts.Kind);
            var (w, h) = (codec.Info.Width, codec.Info.Height);
            var pixels = new byte[w * h * 4];
            using var colours = SKColorSpace.CreateSrgb();
            var held = GCHandle.Alloc(pixels, GCHandleType.Pinned);
            SKCodecResult result;
            try
            {
                result = codec.GetPixels(
                    new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Unpremul, colours),
                    held.AddrOfPinnedObject()
                );
            }
            finally
            {
                held.Free();
            }
            return result switch
            {
                SKCodecResult.Success => Upright(new(w, h, pixels), codec.EncodedOrigin),
                SKCodecResult.IncompleteInput => throw new NotAPictureException(
                    "The picture ends before all of it is there.",
                    remedy: "Fetch the file again: it was cut off on its way."
                ),
                _ => throw Broken(facts.Kind),
            };
        }
    }

    private static string KindOf(byte[] file)
    {
        var first = file.AsSpan(0, Math.Min(file.Length, 512));
        if (first.StartsWith(Png))
        {
            return "png";
        }
        if (first is [0xff, 0xd8, 0xff, ..])
        {
            return "jpeg";
        }
        if (SvgDrawing.Begins(first))
        {
            return "svg";
        }
        if (file.Length == 0)
        {
            throw new NotAPictureException("The file is empty.", remedy: "Send the picture again.");
        }
        foreach (var (begins, what) in Others)
        {
            if (first.StartsWith(begins))
            {
                throw new NotAPictureException(
                    $"The file is {what}, whatever it is called.",
                    remedy: "Save it as PNG with a clear ground, at print size."
                );
            }
        }
        throw new NotAPictureException(
            "The file is no PNG, JPEG or SVG, whatever it is called.",
            remedy: "Save it as PNG with a clear ground, at print size."
        );
    }

    // the control chunk of an animation stands before the first picture data
    private static bool IsAnimated(byte[] file)
    {
        for (var at = Png.Length; at + 8 <= file.Length; )
        {
            var length = (file[at] << 24) | (file[at + 1] << 16) | (file[at + 2] << 8) | file[at + 3];
            var name = Encoding.ASCII.GetString(file, at + 4, 4);
            if (name == "acTL")
            {
                return true;
            }
            if (name is "IDAT" or "IEND" || length < 0 || at > file.Length - 12 - length)
            {
                return false;
            }
            at += 12 + length;
        }
        return false;
    }

    /// <summary>How many pixels a picture inside a drawing says it has; 0 where it is none that can be read, and so is
    /// not drawn.</summary>
    /// <exception cref="NotAPictureException">More than a picture may have.</exception>
    internal static long PixelsInside(byte[] file)
    {
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        var (w, h) = (codec?.Info.Width ?? 0, codec?.Info.Height ?? 0);
        return w > LongestSide || h > LongestSide || (long)w * h > MostPixels
            ? throw TooLarge("A picture inside the drawing", w, h)
            : (long)w * h;
    }

    private static NotAPictureException TooLarge(string what, int w, int h) =>
        new(
            $"{what} says it is {w} × {h} pixels: more than 100 million, or a side over {LongestSide}.",
            remedy: "Save it at print size with 300 to 600 pixels an inch."
        );

    private static NotAPictureException Broken(string kind) =>
        new($"The {kind.ToUpperInvariant()} is damaged.", remedy: "Fetch the file again, or save it anew.");

    private static bool IsTurned(SKEncodedOrigin origin) =>
        origin
            is SKEncodedOrigin.LeftTop
                or SKEncodedOrigin.RightTop
                or SKEncodedOrigin.RightBottom
                or SKEncodedOrigin.LeftBottom;

    // where a camera lay on its side, the picture says so and is turned here
    private static Raster Upright(Raster r, SKEncodedOrigin origin)
    {
        if (origin is SKEncodedOrigin.TopLeft or SKEncodedOrigin.Default)
        {
            return r;
        }
        var (w, h) = IsTurned(origin) ? (r.Height, r.Width) : (r.Width, r.Height);
        var turned = new byte[r.Rgba.Length];
        for (var y = 0; y < h; y++)
        {
            for (var x = 0; x < w; x++)
            {
                var (sx, sy) = origin switch
                {
                    SKEncodedOrigin.TopRight => (r.Width - 1 - x, y),
                    SKEncodedOrigin.BottomRight => (r.Width - 1 - x, r.Height - 1 - y),
                    SKEncodedOrigin.BottomLeft => (x, r.Height - 1 - y),
                    SKEncodedOrigin.LeftTop => (y, x),
                    SKEncodedOrigin.RightTop => (y, r.Height - 1 - x),
                    SKEncodedOrigin.RightBottom => (r.Width - 1 - y, r.Height - 1 - x),
                    _ => (r.Width - 1 - y, x),
                };
                r.Rgba.AsSpan(((sy * r.Width) + sx) * 4, 4).CopyTo(turned.AsSpan(((y * w) + x) * 4, 4));
            }
        }
        return new(w, h, turned);
    }
}
