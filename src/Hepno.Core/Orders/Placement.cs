using Hepno.Core.Blanks;
using Hepno.Core.Materials;
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
/// <param name="BySize">True when it is made smaller on sizes that do not take it as large as asked.</param>
/// <param name="Own">What each piece has of its own there instead of the same artwork on all; its box is then as large as the widest may be.</param>
/// <param name="Cuts">Its colours as they were measured on its artwork; null where the figures were typed.</param>
/// <param name="Stitches">Stitches of its stitch file; null while there is none and they are guessed from the painted area.</param>
/// <param name="OnTopOf">The placement of the line that it is laid over, centred on it; null where it lies on the cloth.</param>
/// <param name="Finish">The finish of vinyl it is to have; plain where nothing is said, and by any way then.</param>
public sealed record Placement(string Id, string Place, double WidthIn, double HeightIn, double CoveragePercent, int Colours, bool Gradient, double ThinnestLinePt, string? DesignId = null, bool BySize = false, OwnText Own = OwnText.None, ColourCuts? Cuts = null, int? Stitches = null, string? OnTopOf = null, VinylFinish Finish = VinylFinish.Plain)
{
    /// <summary>Area of the bounding box, in².</summary>
    public double AreaIn2 => WidthIn * HeightIn;
}

/// <summary>The places Hepno knows, with width and height limits by size group.</summary>
public static class Places
{
    /// <summary>Largest width or height of any artwork, in: more is never a garment.</summary>
    public const double Absurd = 40;

    /// <summary>The place that is printed from edge to edge, both sides.</summary>
    public const string AllOver = "all-over";

    /// <summary>Most stitches of one print: more is a slip of the pen.</summary>
    public const int MostStitches = 1_000_000;

    /// <summary>A finger's breadth, in: how placements are checked at the press (assumed, docs/trade.md 15.4).</summary>
    public const double FingerIn = 0.75;

    /// <summary>A distance in fingers, to the half.</summary>
    public static double Fingers(double inches) => Math.Round(inches / FingerIn * 2, MidpointRounding.AwayFromZero) / 2;

    private static readonly PlaceWidths Small = new(3, 3, 3, 2.25, 1.75, 1.5);
    private static readonly PlaceWidths Along = new(2.5, 2.5, 2.5, 2, 1.5, 1.25);

    private static readonly string[] OfTee = ["front", "left-chest", "back", "left-sleeve", "right-sleeve", "nape", "neck-label"];
    private static readonly string[] OfLongSleeve = ["front", "left-chest", "back", "left-sleeve", "right-sleeve", "left-long-sleeve", "right-long-sleeve", "nape", "neck-label"];

    /// <summary>All places, in the order they are offered.</summary>
    public static IReadOnlyList<Place> All { get; } =
    [
        new("front", "Front", "below the collar seam", 3, 14, new(10.5, 11.5, 12.5, 8.5, 6, 4.5), FromSeamYouthIn: 2, FromSeamInfantIn: 1),
        new("left-chest", "Left chest", "below the collar seam", 3.5, 4.5, new(3.5, 3.5, 3.5, 2.75, 2, 1.75), FromSeamYouthIn: 2.5, FromSeamInfantIn: 1.5, AsideIn: 4),
        new("back", "Back", "below the collar seam", 4, 15, new(12, 12, 12, 9, 6.5, 5), FromSeamYouthIn: 3, FromSeamInfantIn: 2),
        new("left-sleeve", "Left sleeve", "above the hem", 1, 3, Small, 6.5),
        new("right-sleeve", "Right sleeve", "above the hem", 1, 3, Small, 6.5),
        new("left-long-sleeve", "Along the left sleeve", "above the cuff", 2, 12, Along, 5.5),
        new("right-long-sleeve", "Along the right sleeve", "above the cuff", 2, 12, Along, 5.5),
        new("nape", "Nape", "below the collar seam", 1.5, 1.5, Small, FromSeamYouthIn: 1, FromSeamInfantIn: 0.75),
        new("neck-label", "Neck label", "below the binding, inside", 0.5, 2.5, PlaceWidths.Same(2.5)),
        new("left-leg", "Left leg", "below the pocket", 3, 12, Small, 7),
        new("right-leg", "Right leg", "below the pocket", 3, 12, Small, 7),
        new("cap-front", "Cap front", "above the brim", 0.5, 2.25, PlaceWidths.Same(4.25)),
        new("bag-face", "Bag face", "below the top edge", 3, 10, PlaceWidths.Same(9)),
        new("sock-side", "Sock side", "below the cuff", 1, 6, PlaceWidths.Same(2.5), 3.5),
        new("sock-side-b", "Sock, other side", "below the cuff", 1, 6, PlaceWidths.Same(2.5), 3.5),
        // as wide as the smallest of each group lies flat; what is printed goes by the garment itself
        new(AllOver, "All over", "from the top edge", 0, 29, new(29, 36, 40, 22, 17.5, 12)),
    ];

    /// <summary>A place by its key, or null.</summary>
    public static Place? Find(string id) => All.FirstOrDefault(p => p.Id == id);

    /// <summary>The places a kind of garment has, in the order they are offered.</summary>
    public static IReadOnlyList<string> On(GarmentKind kind) => kind switch
    {
        GarmentKind.Cap => ["cap-front"],
        GarmentKind.Tote or GarmentKind.DrawstringBag => ["bag-face"],
        GarmentKind.Socks => ["sock-side", "sock-side-b"],
        GarmentKind.Tee => [.. OfTee, AllOver],
        GarmentKind.Joggers => ["left-leg", "right-leg"],
        GarmentKind.Apron => ["front", "left-chest"],
        GarmentKind.Tank => ["front", "left-chest", "back", "nape", "neck-label"],
        // a zip and a button placket run down the middle of the front
        GarmentKind.ZipHoodie or GarmentKind.Jacket => [.. OfLongSleeve.Where(p => p != "front")],
        GarmentKind.Polo => [.. OfTee.Where(p => p != "front")],
        GarmentKind.LongSleeve or GarmentKind.Sweatshirt or GarmentKind.Hoodie => OfLongSleeve,
        _ => OfTee,
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
                yield return new("larger-than-garment", $"{place.Name}: a {name} of {value:0.##} in is larger than the garment.", At(field), $"The largest print there is {(field == "widthIn" ? place.Widths.Extended : place.HeightLimitIn):0.##} in.");
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
        if (p.Stitches is < 100 or > MostStitches)
        {
            yield return new("range", $"{place.Name}: {p.Stitches} stitches is outside 100 to {MostStitches}.", At("stitches"), "Type the count the stitch file says, or leave it out.");
        }
        if (p.ThinnestLinePt is <= 0 or > 100)
        {
            yield return new("range", $"{place.Name}: a thinnest line of {p.ThinnestLinePt:0.##} pt is outside 0 to 100.", At("thinnestLinePt"), "Type the thinnest line at print size, in points.");
        }
    }

    /// <summary>True where one print may lie on another: a whole garment and a neck label take one alone.</summary>
    public static bool TakesLayers(string place) => place is not (AllOver or NeckLabel.PlaceId);

    /// <summary>What is wrong with how a line's prints share their places: each takes one on the cloth, and a layer lies on an earlier print of the same place.</summary>
    public static IEnumerable<Problem> Sharing(IReadOnlyList<Placement> placements, string where)
    {
        foreach (var twice in placements.Where(p => p.OnTopOf is null).GroupBy(p => p.Place).Where(g => g.Count() > 1))
        {
            yield return new("twice", $"{Find(twice.Key)?.Name ?? twice.Key} stands twice.", where, "Each place takes one print on the cloth; say that the other lies on it.");
        }
        for (var i = 0; i < placements.Count; i++)
        {
            var p = placements[i];
            if (p.OnTopOf is not null && placements.Take(i).FirstOrDefault(u => u.Id == p.OnTopOf) is var under && under?.Place != p.Place)
            {
                yield return new("layer", $"{Find(p.Place)?.Name ?? p.Place}: {(under is null ? "the print it is to lie on is not there before it" : $"the print it is to lie on is on the {Find(under.Place)?.Name.ToLowerInvariant()}")}.", $"{where}[{i}].onTopOf", "Choose an earlier print of the same place, or lay it on the cloth.");
            }
            else if (p.OnTopOf is not null && !TakesLayers(p.Place))
            {
                yield return new("layer", $"{Find(p.Place)!.Name} takes one print alone.", $"{where}[{i}].onTopOf", "Lay it on the cloth, at another place.");
            }
        }
    }

    /// <summary>The print against what the sizes of the run take: it blocks the next station until the owner makes it smaller.</summary>
    public static IEnumerable<Problem> Oversize(Placement p, string where, IReadOnlyList<SizeCount> sizes, GarmentKind kind)
    {
        var place = Find(p.Place)!;
        if (!On(kind).Contains(p.Place))
        {
            yield return new("no-such-place", $"{place.Name} is not a place on a {GarmentNouns.Of(kind, 1)}.", $"{where}.place", $"Use one of {string.Join(", ", On(kind).Select(k => Find(k)!.Name.ToLowerInvariant()))}.");
            yield break;
        }
        if (p.BySize)
        {
            // it is made as large as each size takes
            yield break;
        }
        var tightest = sizes.Where(s => s.Pieces > 0).MinBy(s => place.WidthOn(s.Size));
        if (tightest is not null && p.WidthIn > place.WidthOn(tightest.Size) + 1e-9)
        {
            yield return new("too-wide", $"{place.Name} {p.WidthIn:0.##} in is wider than the {place.WidthOn(tightest.Size):0.##} in that {tightest.Size} takes.", $"{where}.widthIn", $"Make it {place.WidthOn(tightest.Size):0.##} in or less, or smaller on the smaller sizes alone.");
        }
        var shortest = sizes.Where(s => s.Pieces > 0).MinBy(s => place.HeightOn(s.Size));
        var tallest = shortest is null ? place.HeightLimitIn : place.HeightOn(shortest.Size);
        if (p.HeightIn > tallest + 1e-9)
        {
            yield return new("too-tall", $"{place.Name} {p.HeightIn:0.##} in is taller than the {tallest:0.##} in that {(shortest is null ? "fit" : $"{shortest.Size} takes")}.", $"{where}.heightIn", $"Make it {tallest:0.##} in or less.");
        }
    }
}
