namespace Hepno.Core.Artwork;

/// <summary>How much of each ink a picture takes, as shares of full cover of its painted area, 0 to 1: a naive split
/// from the pixels, good enough once the printer is measured against it (docs/trade 4).</summary>
/// <param name="Cyan">Cyan.</param>
/// <param name="Magenta">Magenta.</param>
/// <param name="Yellow">Yellow.</param>
/// <param name="Black">Black.</param>
public sealed record InkSplit(double Cyan, double Magenta, double Yellow, double Black)
{
    /// <summary>All colour ink together.</summary>
    public double Colour() => Cyan + Magenta + Yellow + Black;

    /// <summary>Splits every painted pixel: black takes what the three have in common; half-clear ones count by their
    /// share.</summary>
    /// <param name="raster">The picture.</param>
    public static InkSplit Measure(Raster raster)
    {
        double c = 0,
            m = 0,
            y = 0,
            k = 0,
            painted = 0;
        var rgba = raster.Rgba;
        for (var i = 0; i < rgba.Length; i += 4)
        {
            var alpha = rgba[i + 3];
            if (alpha < Painted.Dust)
            {
                continue;
            }
            var (r, g, b) = (rgba[i], rgba[i + 1], rgba[i + 2]);
            var black = 255 - Math.Max(r, Math.Max(g, b));
            c += (255 - r - black) * alpha;
            m += (255 - g - black) * alpha;
            y += (255 - b - black) * alpha;
            k += black * alpha;
            painted += alpha;
        }
        return painted == 0
            ? new(0, Magenta: 0, 0, Black: 0)
            : new(c / painted / 255, Magenta: m / painted / 255, y / painted / 255, Black: k / painted / 255);
    }
}

/// <summary>Ink of one print, ml.</summary>
/// <param name="Cyan">Cyan.</param>
/// <param name="Magenta">Magenta.</param>
/// <param name="Yellow">Yellow.</param>
/// <param name="Black">Black.</param>
/// <param name="White">White laid under it; 0 on light cloth.</param>
public sealed record InkUse(double Cyan, double Magenta, double Yellow, double Black, double White)
{
    /// <summary>The printer's ml for a painted in², told apart by the picture's own split.</summary>
    /// <param name="split">The picture's split.</param>
    /// <param name="paintedIn2">Painted area at print size, in².</param>
    /// <param name="whiteIn2">Area that wants white, in².</param>
    /// <param name="colourMlPerIn2">The printer's colour ink, ml an in².</param>
    /// <param name="whiteMlPerIn2">Its white, ml an in².</param>
    public static InkUse Reckon(
        InkSplit split,
        double paintedIn2,
        double whiteIn2,
        double colourMlPerIn2,
        double whiteMlPerIn2
    )
    {
        var each = split.Colour() == 0 ? 0 : paintedIn2 * colourMlPerIn2 / split.Colour();
        return new(
            split.Cyan * each,
            Magenta: split.Magenta * each,
            split.Yellow * each,
            Black: split.Black * each,
            whiteIn2 * whiteMlPerIn2
        );
    }
}
