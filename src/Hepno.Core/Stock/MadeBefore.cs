using NodaTime;

namespace Hepno.Core.Stock;

/// <summary>A design that was made before by a way that keeps what it was set up with: screens at a printer, a stitch
/// file.</summary>
/// <param name="DesignId">Which artwork, with the picture it has now.</param>
/// <param name="MakerId">By whom: a screen printer, an embroidery machine.</param>
/// <param name="WidthIn">How wide, in.</param>
/// <param name="HeightIn">How tall, in.</param>
/// <param name="Screens">Screens it took; 0 for stitches.</param>
/// <param name="On">The last day it was made.</param>
public sealed record MadeBefore(
    DesignId DesignId,
    ThingId MakerId,
    double WidthIn,
    double HeightIn,
    int Screens,
    LocalDate On
)
{
    // a screen is one size; a stitch file is stitched a tenth larger or smaller without being drawn anew (assumed)
    private const double SameScreenIn = 0.01;
    private const double FileScales = 0.10;

    /// <summary>True where a screen of that size can be used again.</summary>
    public bool SameScreen(double widthIn, double heightIn) =>
        Math.Abs(widthIn - WidthIn) <= SameScreenIn && Math.Abs(heightIn - HeightIn) <= SameScreenIn;

    /// <summary>True where its stitch file serves for that size.</summary>
    public bool SameFile(double widthIn, double heightIn) => Scales(widthIn, WidthIn) && Scales(heightIn, HeightIn);

    private static bool Scales(double now, double then) => Math.Abs((now / then) - 1) <= FileScales + 1e-9;
}
