using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>One decoration's place on the garment and its artwork described by numbers.</summary>
/// <param name="Id">Identity, made on the screen.</param>
/// <param name="Place">Which place, a key of <see cref="Places"/>.</param>
/// <param name="WidthIn">Width of the artwork, in.</param>
/// <param name="HeightIn">Height of the artwork, in.</param>
/// <param name="CoveragePercent">Share of the bounding box that is painted, 1 to 100.</param>
/// <param name="Colours">Flat colours, 1 to 20; with a gradient it is a guess.</param>
/// <param name="Gradient">True for gradients, photographs and glows.</param>
/// <param name="ThinnestLinePt">Thinnest line, pt.</param>
/// <param name="DesignId">The artwork its figures were measured on; null where they were typed.</param>
public sealed record Placement(string Id, string Place, double WidthIn, double HeightIn, double CoveragePercent, int Colours, bool Gradient, double ThinnestLinePt, string? DesignId = null)
{
    /// <summary>Area of the bounding box, in².</summary>
    public double AreaIn2 => WidthIn * HeightIn;
}

/// <summary>A place with its customary limits (assumed, DOMAIN 22).</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Where">Distance from a seam, in words without unit.</param>
/// <param name="FromSeamIn">That distance, in.</param>
/// <param name="HeightLimitIn">Tallest artwork, in.</param>
/// <param name="WidthSmall">Widest on S and M and below, in.</param>
/// <param name="WidthLarge">Widest on L and XL, in.</param>
/// <param name="WidthExtended">Widest on 2XL and up, in.</param>
/// <param name="OpeningIn">Width of the part that goes over a lower platen, in; null where the whole garment does.</param>
public sealed record Place(string Id, string Name, string Where, double FromSeamIn, double HeightLimitIn, double WidthSmall, double WidthLarge, double WidthExtended, double? OpeningIn = null);

/// <summary>The places Hepno knows, with width and height limits by size group.</summary>
public static class Places
{
    /// <summary>Largest width or height of any artwork, in: more is never a garment.</summary>
    public const double Absurd = 40;

    /// <summary>All places, in the order they are offered.</summary>
    public static IReadOnlyList<Place> All { get; } =
    [
        new("front", "Front", "below the collar seam", 3, 14, 10.5, 11.5, 12.5),
        new("left-chest", "Left chest", "below the collar seam", 3.5, 4.5, 3.5, 3.5, 3.5),
        new("back", "Back", "below the collar seam", 4, 15, 12, 12, 12),
        new("left-sleeve", "Left sleeve", "above the hem", 1, 3, 3, 3, 3, 6.5),
        new("right-sleeve", "Right sleeve", "above the hem", 1, 3, 3, 3, 3, 6.5),
        new("nape", "Nape", "below the collar seam", 1.5, 1.5, 3, 3, 3),
        new("cap-front", "Cap front", "above the brim", 0.5, 2.25, 4.5, 4.5, 4.5),
        new("bag-face", "Bag face", "below the top edge", 3, 10, 9, 9, 9),
    ];

    /// <summary>A place by its key, or null.</summary>
    public static Place? Find(string id) => All.FirstOrDefault(p => p.Id == id);

    /// <summary>Widest artwork the place takes on a size, in.</summary>
    public static double WidthLimit(Place place, string size) => size switch
    {
        "L" or "XL" => place.WidthLarge,
        _ when size.Length >= 3 && char.IsAsciiDigit(size[0]) && size.EndsWith("XL", StringComparison.Ordinal) => place.WidthExtended,
        "One size" => place.WidthExtended,
        _ => place.WidthSmall,
    };

    /// <summary>What is wrong with a placement by itself; such a one is never kept.</summary>
    /// <param name="p">The placement.</param>
    /// <param name="where">Where it stands in the ask, for the problem's field: "lines[0].placements[1]".</param>
    public static IEnumerable<Problem> Refusals(Placement p, string where)
    {
        string At(string field) => $"{where}.{field}";
        if (Find(p.Place) is not { } place)
        {
            yield return new("unknown-place", $"\"{p.Place}\" is not a place on a garment.", At("place"), $"Use one of {string.Join(", ", All.Select(a => a.Id))}.");
            yield break;
        }
        foreach (var (value, name, field) in new[] { (p.WidthIn, "width", "widthIn"), (p.HeightIn, "height", "heightIn") })
        {
            if (value <= 0)
            {
                yield return new("not-positive", $"{place.Name}: a {name} of {value:0.###} in is not above 0.", At(field), $"Type the {name} of the artwork.");
            }
            else if (value > Absurd)
            {
                yield return new("larger-than-garment", $"{place.Name}: a {name} of {value:0.##} in is larger than the garment.", At(field), $"The largest print there is {(field == "widthIn" ? place.WidthExtended : place.HeightLimitIn):0.##} in.");
            }
        }
        if (p.CoveragePercent is <= 0 or > 100)
        {
            yield return new("range", $"{place.Name}: {p.CoveragePercent:0.##}% coverage is outside 1 to 100.", At("coveragePercent"), "Type the share of the box that is painted.");
        }
        if (p.Colours is < 1 or > 20)
        {
            yield return new("range", $"{place.Name}: {p.Colours} colours is outside 1 to 20.", At("colours"), "Count the flat colours; say gradient for photographs.");
        }
        if (p.ThinnestLinePt is <= 0 or > 100)
        {
            yield return new("range", $"{place.Name}: a thinnest line of {p.ThinnestLinePt:0.##} pt is outside 0 to 100.", At("thinnestLinePt"), "Type the thinnest line at print size, in points.");
        }
    }

    /// <summary>The print against what the sizes of the run take: it blocks the next station until the owner makes it smaller.</summary>
    public static IEnumerable<Problem> Oversize(Placement p, string where, IReadOnlyList<SizeCount> sizes, GarmentKind kind)
    {
        var place = Find(p.Place)!;
        var only = kind switch { GarmentKind.Tote => "bag-face", GarmentKind.Cap => "cap-front", _ => null };
        if (only is null ? p.Place is "bag-face" or "cap-front" : p.Place != only)
        {
            yield return new("no-such-place", $"{place.Name} is not a place on a {kind.ToString().ToLowerInvariant()}.", $"{where}.place", only is null ? "Choose front, back, chest, sleeve or nape." : $"Use the {Find(only)!.Name.ToLowerInvariant()}.");
            yield break;
        }
        var tightest = sizes.Where(s => s.Pieces > 0).MinBy(s => WidthLimit(place, s.Size));
        if (tightest is not null && p.WidthIn > WidthLimit(place, tightest.Size) + 1e-9)
        {
            yield return new("too-wide", $"{place.Name} {p.WidthIn:0.##} in is wider than the {WidthLimit(place, tightest.Size):0.##} in that {tightest.Size} takes.", $"{where}.widthIn", $"Make it {WidthLimit(place, tightest.Size):0.##} in or less.");
        }
        if (p.HeightIn > place.HeightLimitIn + 1e-9)
        {
            yield return new("too-tall", $"{place.Name} {p.HeightIn:0.##} in is taller than the {place.HeightLimitIn:0.##} in that fit.", $"{where}.heightIn", $"Make it {place.HeightLimitIn:0.##} in or less.");
        }
    }
}
