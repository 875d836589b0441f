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

    /// <summary>The code in a picture, or null; its clear parts are taken for white.</summary>
    public static FoundCode? Find(Raster raster)
    {
        var shrink = Math.Max(1, (Math.Max(raster.Width, raster.Height) + Longest - 1) / Longest);
        var (w, h, grey) = Grey(raster, shrink);
        var bitmap = new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(grey, w, h, RGBLuminanceSource.BitmapFormat.Gray8)));
        var result = new QRCodeReader().decode(bitmap, new Dictionary<DecodeHintType, object> { [DecodeHintType.TRY_HARDER] = true });
        var finders = result?.ResultPoints.OfType<FinderPattern>().ToList() ?? [];
        if (result is null || finders.Count < 3)
        {
            return null;
        }
        var module = finders.Average(f => f.EstimatedModuleSize);
        // the middles of the three marks lie three and a half squares inside the code
        var (left, top) = (finders.Min(f => f.X) - (3.5 * module), finders.Min(f => f.Y) - (3.5 * module));
        var (right, bottom) = (finders.Max(f => f.X) + (3.5 * module), finders.Max(f => f.Y) + (3.5 * module));
        return new(result.Text, module * shrink, new((int)Math.Max(0, left * shrink), (int)Math.Max(0, top * shrink), (int)((right - left) * shrink), (int)((bottom - top) * shrink)));
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
                        sum += ((((r.Rgba[i] * 77) + (r.Rgba[i + 1] * 151) + (r.Rgba[i + 2] * 28)) >> 8) * a / 255) + 255 - a;
                    }
                }
                grey[(y * w) + x] = (byte)(sum / (shrink * shrink));
            }
        }
        return (w, h, grey);
    }
}
