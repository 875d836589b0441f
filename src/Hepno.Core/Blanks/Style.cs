using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Blanks;

/// <summary>How light the cloth is: decides white ink, dye and paper.</summary>
public enum ColourClass
{
    /// <summary>White.</summary>
    White,

    /// <summary>Very light.</summary>
    Pale,

    /// <summary>Neither light nor dark.</summary>
    Mid,

    /// <summary>Dark.</summary>
    Dark,
}

/// <summary>The fibres that recipes and rules tell apart.</summary>
public enum Fibre
{
    /// <summary>Cotton.</summary>
    Cotton,

    /// <summary>Polyester.</summary>
    Polyester,

    /// <summary>Viscose and other cellulose.</summary>
    Viscose,

    /// <summary>Nylon.</summary>
    Nylon,

    /// <summary>Elastane.</summary>
    Elastane,

    /// <summary>Anything else.</summary>
    Other,
}

/// <summary>What kind of garment a style is; step standards depend on it.</summary>
public enum GarmentKind
{
    /// <summary>T-shirt.</summary>
    Tee,

    /// <summary>Sweatshirt without a hood.</summary>
    Sweatshirt,

    /// <summary>Hooded sweatshirt.</summary>
    Hoodie,

    /// <summary>Tote bag.</summary>
    Tote,

    /// <summary>Apron.</summary>
    Apron,

    /// <summary>Cap.</summary>
    Cap,

    /// <summary>T-shirt with long sleeves.</summary>
    LongSleeve,

    /// <summary>Shirt without sleeves.</summary>
    Tank,

    /// <summary>Hooded sweatshirt with a zip.</summary>
    ZipHoodie,

    /// <summary>Shirt with a collar and a button placket.</summary>
    Polo,

    /// <summary>Jacket with a zip.</summary>
    Jacket,

    /// <summary>Trousers.</summary>
    Joggers,

    /// <summary>Bag with a drawstring.</summary>
    DrawstringBag,

    /// <summary>A pair of socks.</summary>
    Socks,

    /// <summary>Infant bodysuit with snaps.</summary>
    Bodysuit,
}

/// <summary>A fibre and how much of the cloth it is.</summary>
/// <param name="Fibre">Which fibre.</param>
/// <param name="Percent">Share of the cloth, 0 to 100.</param>
public sealed record FabricShare(Fibre Fibre, double Percent);

/// <summary>One colour a style is sold in.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">Its name.</param>
/// <param name="Hex">Colour value for drawings, <c>#rrggbb</c>.</param>
/// <param name="Class">How light it is.</param>
public sealed record Colourway(ColourwayId Id, string Name, string Hex, ColourClass Class);

/// <summary>One size a style is sold in.</summary>
/// <param name="Name">Its name, as in size runs.</param>
/// <param name="Surcharge">Money on top of the style's price, 0 or more.</param>
public sealed record StyleSize(string Name, decimal Surcharge);

/// <summary>Pieces of one colour and size that lie in the shop.</summary>
/// <param name="ColourwayId">Colour.</param>
/// <param name="Size">Size.</param>
/// <param name="Pieces">How many, 1 or more.</param>
public sealed record OnHand(ColourwayId ColourwayId, string Size, int Pieces);

/// <summary>An undecorated garment as it is bought.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">Name of the model.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Kind">Kind of garment.</param>
/// <param name="Fabric">Fibres; shares add up to 100.</param>
/// <param name="WeightGsm">Cloth weight, g/m².</param>
/// <param name="HeatCeilingF">Hottest the cloth takes, °F.</param>
/// <param name="UnitPrice">Next-buy list price of the base sizes.</param>
/// <param name="FreightPerOrder">Freight the supplier charges for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
/// <param name="Colourways">Colours.</param>
/// <param name="Sizes">Sizes, smallest first.</param>
/// <param name="Retired">True when it is no longer offered for new asks.</param>
public sealed record Style(
    StyleId Id,
    string Name,
    string Supplier,
    GarmentKind Kind,
    IReadOnlyList<FabricShare> Fabric,
    double WeightGsm,
    double HeatCeilingF,
    decimal UnitPrice,
    decimal FreightPerOrder,
    int LeadDays,
    IReadOnlyList<Colourway> Colourways,
    IReadOnlyList<StyleSize> Sizes,
    bool Retired
) : IKept<Style>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Style> Described { get; } =
        new("style", noun: "styles", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            OddValues = OddStyle.In,
            Settled = x => x.Cloth is { } c ? x with { Cloth = c with { Features = [.. c.Features.Distinct()] } } : x,
            Order = ListedBy.Text<Style>(x => x.Name),
            FurtherPrices = x =>
                [
                    ("a piece", x.UnitPrice),
                    .. (x.Buying?.Tiers ?? []).Select(t => (t.From(), t.Price)),
                    .. x.Buying?.CodePrice is { } code ? [("with the code", code)] : Array.Empty<(string, decimal)>(),
                    .. x.Sizes.Where(z => z.Surcharge > 0).Select(z => ($"{z.Name} on top", z.Surcharge)),
                ],
        };

    /// <summary>Pieces that lie in the shop.</summary>
    public IReadOnlyList<OnHand> OnHand { get; init; } = [];

    /// <summary>What else is known of its cloth; null for nothing.</summary>
    public Cloth? Cloth { get; init; }

    /// <summary>How it is bought beside its list price; null for by the piece at the list price.</summary>
    public Buying? Buying { get; init; }

    /// <summary>Share of one fibre, 0 to 100.</summary>
    public double PercentOf(Fibre fibre) => Fabric.Where(f => f.Fibre == fibre).Sum(f => f.Percent);

    /// <summary>What a dearer size costs more; 0 for the others.</summary>
    public decimal SurchargeOf(string size) => Sizes.FirstOrDefault(s => s.Name == size)?.Surcharge ?? 0;

    /// <summary>How thick it lies on the platen: as said, else by its kind.</summary>
    public Thickness Lies() =>
        Cloth?.Thickness
        ?? Kind switch
        {
            GarmentKind.Cap => Thickness.Thick,
            GarmentKind.Hoodie
            or GarmentKind.ZipHoodie
            or GarmentKind.Sweatshirt
            or GarmentKind.Jacket
            or GarmentKind.Joggers
            or GarmentKind.Tote
            or GarmentKind.Apron => Thickness.Middle,
            _ => Thickness.Thin,
        };

    /// <summary>True when the garment has it: said so, or by its kind.</summary>
    public bool Has(Feature feature) =>
        (Cloth ?? Cloth.Plain).Features.Contains(feature)
        || (feature, Kind)
            is
                (Feature.Zip, GarmentKind.ZipHoodie or GarmentKind.Jacket)
                or
                (Feature.Hood, GarmentKind.Hoodie or GarmentKind.ZipHoodie)
                or
                (Feature.Grommets, GarmentKind.DrawstringBag);

    /// <summary>What the owner must put right before the style can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [.. OfNameAndFabric(), .. OfPriceAndDelivery(), .. OfHeatAndSizes(), .. OfStockAndColours()];

    private IEnumerable<Problem> OfNameAndFabric()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new("empty", "The style has no name.", Where: "name", "Give it the name you order it by.");
        }
        var sum = Fabric.Sum(f => f.Percent);
        if (Fabric.Any(f => f.Percent <= 0) || Math.Abs(sum - 100) > 0.01)
        {
            yield return new(
                "fabric-sum",
                $"The fabric adds up to {sum:0.##}%, not 100%.",
                Where: "fabric",
                "Change the shares so that they add up to 100."
            );
        }
    }

    private IEnumerable<Problem> OfPriceAndDelivery()
    {
        if (UnitPrice <= 0)
        {
            yield return new(
                "price",
                $"The price {UnitPrice:0.00} of {Name} is not above 0.",
                Where: "unitPrice",
                "Type what one piece costs at your next order."
            );
        }
        foreach (var problem in (Buying ?? Buying.Plain).Problems(UnitPrice))
        {
            yield return problem;
        }
        if (FreightPerOrder < 0)
        {
            yield return new(
                "negative",
                $"The freight {FreightPerOrder:0.00} is below 0.",
                Where: "freightPerOrder",
                "Type 0 if the supplier charges none."
            );
        }
        if (LeadDays is < 0 or > 120)
        {
            yield return new(
                "range",
                $"{LeadDays} days of delivery is outside 0 to 120.",
                Where: "leadDays",
                "Type the working days from order to arrival."
            );
        }
    }

    private IEnumerable<Problem> OfHeatAndSizes()
    {
        if (HeatCeilingF is < 200 or > 450)
        {
            yield return new(
                "range",
                $"A heat ceiling of {HeatCeilingF:0} °F is outside 200 to 450.",
                Where: "heatCeilingF",
                "Use the maker's word, 320 °F if it names none for a blend."
            );
        }
        if (Colourways.Count == 0 || Sizes.Count == 0)
        {
            yield return new(
                "empty",
                $"{Name} has no {(Sizes.Count == 0 ? "sizes" : "colours")}.",
                Where: Sizes.Count == 0 ? "sizes" : "colourways",
                "Add at least one."
            );
        }
        foreach (var twice in Sizes.GroupBy(s => s.Name, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1))
        {
            yield return new("twice", $"The size {twice.Key} stands twice.", Where: "sizes", "Keep one of them.");
        }
        foreach (var size in Sizes.Where(s => s.Surcharge < 0))
        {
            yield return new(
                "negative",
                $"The surcharge {size.Surcharge:0.00} of {size.Name} is below 0.",
                Where: "sizes",
                "Type 0 if it costs the same."
            );
        }
    }

    private IEnumerable<Problem> OfStockAndColours()
    {
        foreach (
            var lies in OnHand.Where(o =>
                o.Pieces is < 1 or > 100_000
                || Sizes.All(s => s.Name != o.Size)
                || Colourways.All(c => c.Id != o.ColourwayId)
            )
        )
        {
            yield return new(
                "on-hand",
                $"{lies.Pieces} of {lies.ColourwayId} {lies.Size} on hand cannot be kept.",
                Where: "onHand",
                "Count whole pieces of a colour and size this style has."
            );
        }
        foreach (var colour in Colourways.Where(c => !IsHex(c.Hex)))
        {
            yield return new(
                "colour",
                $"The colour value \"{colour.Hex}\" of {colour.Name} cannot be drawn.",
                Where: "colourways",
                "Write it as # and six digits, for example #2b3b5e."
            );
        }
    }

    /// <summary>Pieces of a colour and size that lie in the shop.</summary>
    public int OnHandOf(ColourwayId colourwayId, string size) =>
        OnHand.Where(o => o.ColourwayId == colourwayId && o.Size == size).Sum(o => o.Pieces);

    private static bool IsHex(string value) =>
        value.Length == 7 && value[0] == '#' && value.Skip(1).All(char.IsAsciiHexDigit);
}
