using Hepno.Core.Blanks;
using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>The widest a place takes, by group of sizes, in.</summary>
/// <param name="Small">XS to M.</param>
/// <param name="Large">L and XL, and one size.</param>
/// <param name="Extended">2XL and up.</param>
/// <param name="Youth">YXS to YXL.</param>
/// <param name="Toddler">2T to 6T.</param>
/// <param name="Infant">Months.</param>
public sealed record PlaceWidths(
    double Small,
    double Large,
    double Extended,
    double Youth,
    double Toddler,
    double Infant
)
{
    /// <summary>A place of garments that come in one size.</summary>
    public static PlaceWidths Same(double width) => new(width, Large: width, width, Youth: width, width, Infant: width);

    /// <summary>The widest for a group.</summary>
    public double For(SizeGroup group) =>
        group switch
        {
            SizeGroup.Infant => Infant,
            SizeGroup.Toddler => Toddler,
            SizeGroup.Youth => Youth,
            SizeGroup.Large or SizeGroup.One => Large,
            SizeGroup.Extended => Extended,
            _ => Small,
        };

    /// <summary>Each of them with its name in the API.</summary>
    internal IEnumerable<(string Field, double Width)> Each() =>
        [
            ("small", Small),
            ("large", Large),
            ("extended", Extended),
            ("youth", Youth),
            ("toddler", Toddler),
            ("infant", Infant),
        ];
}

/// <summary>A place with its customary limits (assumed, docs/trade 16; youth and smaller where it is silent: in
/// proportion).</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Where">Distance from a seam, in words without unit.</param>
/// <param name="FromSeamIn">That distance on adult sizes, in.</param>
/// <param name="HeightLimitIn">Tallest artwork on adult sizes, in.</param>
/// <param name="Widths">Widest by group of sizes.</param>
public sealed record Place(
    string Id,
    string Name,
    string Where,
    double FromSeamIn,
    double HeightLimitIn,
    PlaceWidths Widths
)
{
    /// <summary>Width of the part that goes over a lower platen, in; null where the whole garment
    /// does.</summary>
    public double? OpeningIn { get; init; }

    /// <summary>The distance on youth and toddler sizes, in; null for the same.</summary>
    public double? FromSeamYouthIn { get; init; }

    /// <summary>The distance on infant sizes, in; null for the same.</summary>
    public double? FromSeamInfantIn { get; init; }

    /// <summary>From the garment's middle line to the print's, towards the wearer's left, in.</summary>
    public double AsideIn { get; init; }

    /// <summary>Nearer than this a print comes to no seam of an adult's garment, in (docs/trade 16).</summary>
    public const double SeamIn = 0.5;

    private const int LongestName = 60;
    private const double MostFromSeamIn = 40;

    /// <summary>The usual place at whose seam it lies; null where it is a usual one itself.</summary>
    public string? Like { get; init; }

    /// <summary>True where the shop no longer offers it.</summary>
    public bool Retired { get; init; }

    /// <summary>The usual place whose seam, side and garments it has.</summary>
    public Place Seam() => Places.Find(Like ?? Id)!;

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name) || Name.Length > LongestName)
        {
            yield return new(
                "name",
                string.IsNullOrWhiteSpace(Name) ? "The place has no name." : $"A name of {Name.Length} characters.",
                Where: "name",
                $"Call it what you would say at the counter, up to {LongestName} letters."
            );
        }
        if (
            Like is null
                ? Places.Find(Id) is null
                : Places.Find(Like) is null || Places.Find(Id) is not null || !Places.TakesLayers(Like)
        )
        {
            yield return new(
                "like",
                Like is null ? $"\"{Name}\" lies like no place." : $"\"{Name}\" cannot lie like \"{Like}\".",
                Where: "like",
                "A place of your own lies at the seam of one of "
                    + $"{string.Join(", ", Places.All.Where(p => Places.TakesLayers(p.Id)).Select(p => p.Id))}; a "
                    + "usual one lies where it does."
            );
        }
        foreach (
            var (field, value) in Widths
                .Each()
                .Select(w => ($"widths.{w.Field}", w.Width))
                .Append(("heightIn", HeightLimitIn))
                .Where(x => x.Item2 is not (> 0 and <= Places.Absurd))
        )
        {
            yield return new(
                "range",
                $"{Name}: a customary {(field == "heightIn" ? "height" : "width")} of {value:0.##} in is outside "
                    + $"0 to {Places.Absurd:0}.",
                Where: field,
                "Type the largest print you would put there without asking."
            );
        }
        foreach (
            var (value, field) in new[]
            {
                ((double?)FromSeamIn, "fromSeamIn"),
                (FromSeamYouthIn, "fromSeamYouthIn"),
                (FromSeamInfantIn, "fromSeamInfantIn"),
            }.Where(x => x.Item1 is not (null or (>= 0 and <= MostFromSeamIn)))
        )
        {
            yield return new(
                "range",
                $"{value:0.##} in from the seam is outside 0 to {MostFromSeamIn:0}.",
                Where: field,
                "Type how far below or above its seam a print lies."
            );
        }
        if (Math.Abs(AsideIn) is not <= MostFromSeamIn)
        {
            yield return new(
                "range",
                $"{AsideIn:0.##} in from the middle is outside -{MostFromSeamIn:0} to {MostFromSeamIn:0}.",
                Where: "asideIn",
                "Type how far from the garment's middle line the print's own middle lies; below 0 towards the "
                    + "wearer's right."
            );
        }
    }

    /// <summary>Distance from the seam on a size, in.</summary>
    public double FromSeam(string size) =>
        SizeGroups.Of(size) switch
        {
            SizeGroup.Infant => FromSeamInfantIn ?? FromSeamIn,
            SizeGroup.Toddler or SizeGroup.Youth => FromSeamYouthIn ?? FromSeamIn,
            _ => FromSeamIn,
        };

    /// <summary>True where the print stands above its seam, false where it hangs below.</summary>
    public bool IsAbove => Where.StartsWith("above", StringComparison.Ordinal);

    /// <summary>From which seam, in words, on a kind of garment: a hood hangs over the collar seam, a bib has
    /// none.</summary>
    public string WhereOn(GarmentKind kind) =>
        (Like ?? Id, kind) switch
        {
            ("back", GarmentKind.Hoodie or GarmentKind.ZipHoodie) => "below the hood's drop",
            ("front" or "left-chest", GarmentKind.Apron) => "below the top edge",
            _ => Where,
        };

    /// <summary>Tallest artwork on a size, in: on youth and smaller sizes less in the same proportion as the
    /// width.</summary>
    public double HeightOn(string size) =>
        SizeGroups.Of(size) is SizeGroup.Youth or SizeGroup.Toddler or SizeGroup.Infant
            ? HeightLimitIn * WidthOn(size) / Widths.Small
            : HeightLimitIn;

    /// <summary>Widest artwork on a size, in.</summary>
    public double WidthOn(string size) => Widths.For(SizeGroups.Of(size));
}
