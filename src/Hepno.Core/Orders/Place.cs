using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>The widest a place takes, by group of sizes, in.</summary>
/// <param name="Small">XS to M.</param>
/// <param name="Large">L and XL, and one size.</param>
/// <param name="Extended">2XL and up.</param>
/// <param name="Youth">YXS to YXL.</param>
/// <param name="Toddler">2T to 6T.</param>
/// <param name="Infant">Months.</param>
public sealed record PlaceWidths(double Small, double Large, double Extended, double Youth, double Toddler, double Infant)
{
    /// <summary>A place of garments that come in one size.</summary>
    public static PlaceWidths Same(double width) => new(width, width, width, width, width, width);

    /// <summary>The widest for a group.</summary>
    public double For(SizeGroup group) => group switch
    {
        SizeGroup.Infant => Infant,
        SizeGroup.Toddler => Toddler,
        SizeGroup.Youth => Youth,
        SizeGroup.Large or SizeGroup.One => Large,
        SizeGroup.Extended => Extended,
        _ => Small,
    };
}

/// <summary>A place with its customary limits (assumed, docs/trade.md 16; youth and smaller where it is silent: in proportion).</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Where">Distance from a seam, in words without unit.</param>
/// <param name="FromSeamIn">That distance on adult sizes, in.</param>
/// <param name="HeightLimitIn">Tallest artwork on adult sizes, in.</param>
/// <param name="Widths">Widest by group of sizes.</param>
/// <param name="OpeningIn">Width of the part that goes over a lower platen, in; null where the whole garment does.</param>
/// <param name="FromSeamYouthIn">The distance on youth and toddler sizes, in; null for the same.</param>
/// <param name="FromSeamInfantIn">The distance on infant sizes, in; null for the same.</param>
/// <param name="AsideIn">From the garment's middle line to the print's, towards the wearer's left, in.</param>
public sealed record Place(string Id, string Name, string Where, double FromSeamIn, double HeightLimitIn, PlaceWidths Widths, double? OpeningIn = null, double? FromSeamYouthIn = null, double? FromSeamInfantIn = null, double AsideIn = 0)
{
    /// <summary>Distance from the seam on a size, in.</summary>
    public double FromSeam(string size) => SizeGroups.Of(size) switch
    {
        SizeGroup.Infant => FromSeamInfantIn ?? FromSeamIn,
        SizeGroup.Toddler or SizeGroup.Youth => FromSeamYouthIn ?? FromSeamIn,
        _ => FromSeamIn,
    };

    /// <summary>True where the print stands above its seam, false where it hangs below.</summary>
    public bool IsAbove => Where.StartsWith("above", StringComparison.Ordinal);

    /// <summary>From which seam, in words, on a kind of garment: a hood hangs over the collar seam, a bib has none.</summary>
    public string WhereOn(GarmentKind kind) => (Id, kind) switch
    {
        ("back", GarmentKind.Hoodie or GarmentKind.ZipHoodie) => "below the hood's drop",
        ("front" or "left-chest", GarmentKind.Apron) => "below the top edge",
        _ => Where,
    };

    /// <summary>Tallest artwork on a size, in: on youth and smaller sizes less in the same proportion as the width.</summary>
    public double HeightOn(string size) => SizeGroups.Of(size) is SizeGroup.Youth or SizeGroup.Toddler or SizeGroup.Infant ? HeightLimitIn * WidthOn(size) / Widths.Small : HeightLimitIn;

    /// <summary>Widest artwork on a size, in.</summary>
    public double WidthOn(string size) => Widths.For(SizeGroups.Of(size));
}
