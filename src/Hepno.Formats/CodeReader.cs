using Hepno.Core.Artwork;
using ZXing;
using ZXing.Common;
using ZXing.QrCode;
using ZXing.QrCode.Internal;

namespace Hepno.Formats;

/// <summary>Finds square codes in pictures and reads them, so that what is printed says what it should.</summary>
public static class CodeReader
{
    // larger is not read better, only slower
    private const int Longest = 1600;
    private const double SurePx = 10;

    /// <summary>How far each way of printing spreads an edge, mm (assumed).</summary>
    public static IReadOnlyList<(string Way, double Mm)> Spreads { get; } =
    [("film", 0.1), ("dye", 0.15), ("screened transfers", 0.3)];

    /// <summary>What the code says when its edges are spread, or null when it is not read any more.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="modulePx">Side of one of its squares, px.</param>
    /// <param name="spreadPx">How far an edge spreads, px.</param>
    public static string? ReadsBlurred(Raster raster, double modulePx, double spreadPx)
    {
        // at a few pixels a square a reader is surest, whatever the file's own size
        var shrink = Math.Max(1, (int)Math.Round(modulePx / SurePx));
        var (w, h, grey) = Grey(raster, shrink);
        var radius = (int)Math.Round(spreadPx / shrink);
        // three boxes one after the other are as good as a bell
        for (var pass = 0; radius > 0 && pass < 3; pass++)
        {
            grey = Boxed(Boxed(grey, w, h, radius, 1, w), w, h, radius, w, 1);
        }
        return Decode(w, h, grey)?.Text;
    }

    private static byte[] Boxed(byte[] grey, int w, int h, int radius, int step, int across)
    {
        var (length, lines) = step == 1 ? (w, h) : (h, w);
        var blurred = new byte[grey.Length];
        for (var line = 0; line < lines; line++)
        {
            var start = line * across;
            for (var i = 0; i < length; i++)
            {
                var (from, to) = (Math.Max(0, i - radius), Math.Min(length - 1, i + radius));
                var sum = 0;
                for (var n = from; n <= to; n++)
                {
                    sum += grey[start + (n * step)];
                }
                blurred[start + (i * step)] = (byte)(sum / (to - from + 1));
            }
        }
        return blurred;
    }

    /// <summary>The code in a picture, or null; its clear parts are taken for white.</summary>
    public static FoundCode? Find(Raster raster)
    {
        var shrink = Math.Max(1, (Math.Max(raster.Width, raster.Height) + Longest - 1) / Longest);
        var (w, h, grey) = Grey(raster, shrink);
        var result = Decode(w, h, grey);
        var finders = result?.ResultPoints.OfType<FinderPattern>().ToList() ?? [];
        if (result is null || finders.Count < 3)
        {
            return null;
        }
        var module = finders.Average(f => f.EstimatedModuleSize);
        // the middles of the three marks lie three and a half squares inside the code
        var (left, top) = (finders.Min(f => f.X) - (3.5 * module), finders.Min(f => f.Y) - (3.5 * module));
        var (right, bottom) = (finders.Max(f => f.X) + (3.5 * module), finders.Max(f => f.Y) + (3.5 * module));
        PixelBox box = new(
            (int)Math.Max(0, left * shrink),
            (int)Math.Max(0, top * shrink),
            (int)((right - left) * shrink),
            (int)((bottom - top) * shrink)
        );
        return new(result.Text, module * shrink, box, FoundCode.IsOnGround(raster, module * shrink, box))
        {
            Mirrored = IsMirrored(result.ResultPoints),
        };
    }

    // the marks are said as bottom left, top left, top right of the code as it reads: round the other way where it had
    // to be turned over
    private static bool IsMirrored(ResultPoint[] marks)
    {
        var (bottom, corner, top) = (marks[0], marks[1], marks[2]);
        return ((top.X - corner.X) * (bottom.Y - corner.Y)) - ((top.Y - corner.Y) * (bottom.X - corner.X)) < 0;
    }

    // uneven light wants a threshold for each part, blurred edges one for the whole
    private static ZXing.Result? Decode(int w, int h, byte[] grey)
    {
        var source = new RGBLuminanceSource(grey, w, h, RGBLuminanceSource.BitmapFormat.Gray8);
        return new Binarizer[] { new HybridBinarizer(source), new GlobalHistogramBinarizer(source) }
            .Select(b =>
                new QRCodeReader().decode(
                    new BinaryBitmap(b),
                    new Dictionary<DecodeHintType, object> { [DecodeHintType.TRY_HARDER] = true }
                )
            )
            .FirstOrDefault(r => r is not null);
    }

    private static (int Width, int Height, byte[] Grey) Grey(Raster r, int shrink)
    {
        var (w, h) = (Math.Max(1, r.Width / shrink), Math.Max(1, r.Height / shrink));
        var grey = new byte[w * h];
        for (var y = 0; y < h; y++)
        {
            for (var x = 0; x < w; x++)
            {
                var sum = 0;
                for (var dy = 0; dy < shrink; dy++)
                {
                    for (var dx = 0; dx < shrink; dx++)
                    {
                        var i = ((((y * shrink) + dy) * r.Width) + (x * shrink) + dx) * 4;
                        var a = r.Rgba[i + 3];
                        sum +=
                            ((((r.Rgba[i] * 77) + (r.Rgba[i + 1] * 151) + (r.Rgba[i + 2] * 28)) >> 8) * a / 255)
                            + 255
                            - a;
                    }
                }
                grey[(y * w) + x] = (byte)(sum / (shrink * shrink));
            }
        }
        return (w, h, grey);
    }
}
