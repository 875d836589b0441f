using Hepno.Core.Materials;

namespace Hepno.Core.Orders;

/// <summary>One decoration's place on the garment and its artwork described by numbers.</summary>
/// <param name="Id">Identity, made on the screen.</param>
/// <param name="Place">Which place, a key of <see cref="PlaceBook"/>.</param>
/// <param name="WidthIn">Width of the artwork, in.</param>
/// <param name="HeightIn">Height of the artwork, in.</param>
/// <param name="CoveragePercent">Share of the bounding box that is painted, 1 to 100.</param>
/// <param name="Colours">Flat colours, 1 to 20; with a gradient it is a guess.</param>
/// <param name="Gradient">True for gradients, photographs and glows.</param>
/// <param name="ThinnestLinePt">Thinnest line, pt.</param>
public sealed record Placement(
    PlacementId Id,
    string Place,
    double WidthIn,
    double HeightIn,
    double CoveragePercent,
    int Colours,
    bool Gradient,
    double ThinnestLinePt
)
{
    /// <summary>The artwork its figures were measured on; null where they were typed.</summary>
    public DesignId? DesignId { get; init; }

    /// <summary>True when it is made smaller on sizes that do not take it as large as asked.</summary>
    public bool BySize { get; init; }

    /// <summary>What each piece has of its own there instead of the same artwork on all; its box is then as large
    /// as the widest may be.</summary>
    public OwnText Own { get; init; } = OwnText.None;

    /// <summary>Its colours as they were measured on its artwork; null where the figures were typed.</summary>
    public ColourCuts? Cuts { get; init; }

    /// <summary>Stitches of its stitch file; null while there is none and they are guessed from the painted
    /// area.</summary>
    public int? Stitches { get; init; }

    /// <summary>The placement of the line that it is laid over, centred on it; null where it lies on the
    /// cloth.</summary>
    public PlacementId? OnTopOf { get; init; }

    /// <summary>The finish of vinyl it is to have; plain where nothing is said, and by any way then.</summary>
    public VinylFinish Finish { get; init; } = VinylFinish.Plain;

    /// <summary>Its place as the shop keeps it; null where that is the usual one.</summary>
    public Place? ShopPlace { get; init; }

    /// <summary>Area of the bounding box, in².</summary>
    public double AreaIn2 => WidthIn * HeightIn;

    /// <summary>Where it lies: the shop's own figures of the place, or the usual ones.</summary>
    public Place At() => ShopPlace ?? Places.Find(Place)!;

    /// <summary>The usual place at whose seam it lies.</summary>
    public string Seam() => At().Seam().Id;
}
