namespace Hepno.Core.Artwork;

/// <summary>The thinnest line or gap of a picture.</summary>
/// <param name="WidthPx">Its width, px.</param>
/// <param name="Marks">Where it is and others as thin are, to be marked on the picture.</param>
public sealed record ThinFeature(double WidthPx, IReadOnlyList<PixelBox> Marks)
{
    /// <summary>Wider than this is nothing to look for, pt: a quarter as wide, it is still more than any way of
    /// printing needs.</summary>
    public const double WidestPt = 28;

    /// <summary>The thinnest painted line, or null when none is thinner than <see cref="WidestPt"/>.</summary>
    /// <param name="raster">The picture.</param>
    /// <param name="box">Its painted box.</param>
    /// <param name="dpi">Pixels an inch at print size.</param>
    public static ThinFeature? Line(Raster raster, PixelBox box, double dpi) =>
        new ThinSearch(raster, box, dpi, gaps: false).Find();

    /// <summary>The thinnest gap between painted parts, or null.</summary>
    /// <inheritdoc cref="Line"/>
    public static ThinFeature? Gap(Raster raster, PixelBox box, double dpi) =>
        new ThinSearch(raster, box, dpi, gaps: true).Find();
}
