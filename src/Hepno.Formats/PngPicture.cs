using System.Runtime.InteropServices;
using Hepno.Core.Artwork;
using SkiaSharp;

namespace Hepno.Formats;

/// <summary>Writes pictures as PNG.</summary>
public static class PngPicture
{
    /// <summary>The picture in its own size.</summary>
    public static byte[] Write(Raster raster) => Write(raster, int.MaxValue);

    /// <summary>The picture, its longer side no longer than some pixels.</summary>
    public static byte[] Write(Raster raster, int longest)
    {
        var held = GCHandle.Alloc(raster.Rgba, GCHandleType.Pinned);
        try
        {
            using var bitmap = new SKBitmap();
            bitmap.InstallPixels(
                new SKImageInfo(raster.Width, raster.Height, SKColorType.Rgba8888, SKAlphaType.Unpremul),
                held.AddrOfPinnedObject()
            );
            var side = Math.Max(raster.Width, raster.Height);
            if (side <= longest)
            {
                return Encoded(bitmap);
            }
            var (w, h) = (
                Math.Max(1, (int)((long)raster.Width * longest / side)),
                Math.Max(1, (int)((long)raster.Height * longest / side))
            );
            using var small = bitmap.Resize(
                new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Unpremul),
                new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            );
            return Encoded(small);
        }
        finally
        {
            held.Free();
        }
    }

    private static byte[] Encoded(SKBitmap bitmap)
    {
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
