namespace Hepno.Core.Artwork;

/// <summary>A flat ground under a picture that has no see-through parts, as a photograph format leaves it.</summary>
public static class FlatGround
{
    private const double Same = 6;
    private const double BorderShare = 0.9;

    /// <summary>Colour of the ground, "#rrggbb", or null when the border is not of one colour.</summary>
    public static string? Find(Raster raster)
    {
        var (w, h, rgba) = raster;
        var at = Lab.Of(rgba[0], rgba[1], rgba[2]);
        var (same, all) = (0, 0);
        foreach (
            var (x, y) in Enumerable
                .Range(0, w)
                .SelectMany(x => new[] { (x, 0), (x, h - 1) })
                .Concat(Enumerable.Range(0, h).SelectMany(y => new[] { (0, y), (w - 1, y) }))
        )
        {
            var i = ((y * w) + x) * 4;
            same += rgba[i + 3] == 255 && Lab.Of(rgba[i], rgba[i + 1], rgba[i + 2]).DistanceTo(at) < Same ? 1 : 0;
            all++;
        }
        return same >= all * BorderShare ? $"#{rgba[0]:x2}{rgba[1]:x2}{rgba[2]:x2}" : null;
    }

    /// <summary>The picture with the ground that is joined to its border made clear; parts of the ground's colour
    /// inside it stay.</summary>
    /// <param name="raster">The picture; it is not changed.</param>
    /// <param name="ground">Colour of the ground, "#rrggbb".</param>
    /// <param name="reach">How different a pixel may be and still belong to it, ΔE.</param>
    public static Raster KnockedOut(Raster raster, string ground, double reach = 12)
    {
        var (w, h, rgba) = raster;
        var (seed, result) = (Lab.Of(ground), rgba.ToArray());
        FromEdges.Spread(w, h, (x, y) =>
        {
            var i = ((y * w) + x) * 4;
            var far = Lab.Of(rgba[i], rgba[i + 1], rgba[i + 2]).DistanceTo(seed);
            if (far <= reach * 2)
            {
                // between one and two reaches lies the edge: it is made as clear as it is like the ground
                result[i + 3] = far <= reach ? (byte)0 : (byte)Math.Round((far - reach) / reach * 255);
            }
            return far <= reach;
        });
        return new(w, h, result);
    }
}
