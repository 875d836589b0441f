namespace Hepno.Core.Artwork;

/// <summary>Soft edges, glows and shadows: film prints them as a grainy pale rim (docs/trade 4).</summary>
/// <param name="Share">Soft pixels ÷ painted pixels, 0 to 1.</param>
/// <param name="Largest">Box of the largest soft region, or null.</param>
/// <param name="LargestPixels">Its pixels.</param>
/// <param name="Marks">The largest regions, to be marked on the picture.</param>
public sealed record SoftAlpha(double Share, PixelBox? Largest, int LargestPixels, IReadOnlyList<PixelBox> Marks)
{
    private const byte Solid = 243;
    private const int MostMarks = 12;
    private const int LeastMarked = 12;

    /// <summary>Finds pixels of 5 to 95% alpha farther than 1.5 px from both a solid and a clear one: ordinary
    /// anti-aliasing has one of them beside it.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="paintedPixels">Its painted pixels.</param>
    public static SoftAlpha Measure(Raster raster, double paintedPixels)
    {
        var (w, h, rgba) = raster;
        var regions = new Regions();
        var total = 0L;
        for (var y = 0; y < h; y++)
        {
            regions.NextRow();
            var start = -1;
            for (var x = 0; x < w; x++)
            {
                var a = rgba[(((y * w) + x) * 4) + 3];
                var soft = a is >= Painted.Dust and < Solid && IsInside(raster, x, y);
                if (soft)
                {
                    total++;
                    start = start < 0 ? x : start;
                }
                else if (start >= 0)
                {
                    regions.Add(start, x - 1);
                    start = -1;
                }
            }
            if (start >= 0)
            {
                regions.Add(start, w - 1);
            }
        }
        var parts = total == 0 ? [] : regions.Parts();
        return new(
            paintedPixels == 0 ? 0 : total / paintedPixels,
            parts.Count > 0 ? parts[0].Box : null,
            parts.Count > 0 ? parts[0].Pixels : 0,
            [.. parts.Where(p => p.Pixels >= LeastMarked).Take(MostMarks).Select(p => p.Box)]
        );
    }

    // neither a solid nor a clear pixel among the eight round it; beyond the picture's edge nothing is known
    private static bool IsInside(Raster raster, int x, int y)
    {
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                var (nx, ny) = (x + dx, y + dy);
                if (
                    nx >= 0
                    && ny >= 0
                    && nx < raster.Width
                    && ny < raster.Height
                    && raster.Alpha(nx, ny) is < Painted.Dust or >= Solid
                )
                {
                    return false;
                }
            }
        }
        return true;
    }
}
