namespace Hepno.Core.Artwork;

/// <summary>How much of a print needs white under it on mid and dark cloth (docs/trade 4).</summary>
public static class WhiteNeeded
{
    /// <summary>Colours this near to the cloth show through where that is wanted, ΔE.</summary>
    public const double Matches = 3;

    /// <summary>Painted pixels that need white: all of them, less those like the cloth where the shirt shows
    /// through.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="clothHex">Colour of the blank, "#rrggbb".</param>
    /// <param name="letThrough">True when what is like the cloth is left unprinted.</param>
    public static double Pixels(Raster raster, string clothHex, bool letThrough)
    {
        var cloth = Lab.Of(clothHex);
        var known = new Dictionary<int, bool>();
        var sum = 0L;
        for (var i = 0; i < raster.Rgba.Length; i += 4)
        {
            var a = raster.Rgba[i + 3];
            if (a < Painted.Dust)
            {
                continue;
            }
            if (letThrough)
            {
                var key = (raster.Rgba[i] << 16) | (raster.Rgba[i + 1] << 8) | raster.Rgba[i + 2];
                if (!known.TryGetValue(key, out var like))
                {
                    known[key] = like =
                        Lab.Of(raster.Rgba[i], raster.Rgba[i + 1], raster.Rgba[i + 2]).DistanceTo(cloth) <= Matches;
                }
                if (like)
                {
                    continue;
                }
            }
            sum += a;
        }
        return sum / 255.0;
    }
}
