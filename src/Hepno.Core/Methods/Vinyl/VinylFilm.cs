using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>Heat-transfer vinyl by the roll.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Product">Which vinyl.</param>
/// <param name="UsableWidthIn">Width the cutter can use, in.</param>
/// <param name="PricePerFoot">Money for a foot of length.</param>
/// <param name="WeedingMarginIn">Margin left on every side of a cut box, in.</param>
/// <param name="FreightPerOrder">Freight for one order.</param>
/// <param name="LeadDays">Working days from order to arrival.</param>
public sealed record VinylFilm(
    ThingId Id,
    string Supplier,
    string Product,
    double UsableWidthIn,
    decimal PricePerFoot,
    double WeedingMarginIn,
    decimal FreightPerOrder,
    int LeadDays
) : IKept<VinylFilm>, IRecipeProduct
{
    private const decimal CheapFoot = 0.80m;
    private const decimal DearFoot = 25m;

    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<VinylFilm> Described { get; } =
        new("vinyl", noun: "vinyls", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new("vinyl", Many: "Vinyl", Add: "Add a roll", "No vinyl yet."),
            Fields = new FieldList<VinylFilm>()
                .Named(x => x.Supplier, "Supplier", help: "It stands on the list of what to buy.", word: "supplier")
                .Named(x => x.Product, "Vinyl", help: "It stands on the list of what to buy.")
                .Number(
                    x => x.UsableWidthIn,
                    "Usable width",
                    Unit.In,
                    19.5,
                    (0.01, 64),
                    "Type the width your cutter can cut."
                )
                .Money(
                    x => x.PricePerFoot,
                    "Price a foot",
                    Unit.None,
                    (0.0001, 10_000),
                    "Type what one foot costs.",
                    priceOf: "a foot"
                )
                .Number(x => x.WeedingMarginIn, "Weeding margin", Unit.In, 0.25, (0, 3), "A quarter inch is usual.")
                .Flag(
                    x => x.SharedMargin,
                    "Neighbours share a margin",
                    start: false,
                    yes: "yes, one between two",
                    no: "no, one on each side"
                )
                .Flag(
                    x => x.Blocks,
                    "Keeps the cloth's dye back",
                    start: false,
                    yes: "its maker says so",
                    no: "not by its maker"
                )
                .Choice(
                    x => x.Finish,
                    "Finish",
                    VinylFinish.Plain,
                    [.. Enum.GetValues<VinylFinish>().Select(f => (f, f.Named()))]
                )
                .Money(x => x.FreightPerOrder, "Freight an order", Unit.None, (0, 1000), "0 or more.")
                .Number(x => x.LeadDays, "Working days", Unit.None, 3, (0, 120), "0 where it lies in the shop."),
            IsReadAtPress = true,
            OddValues = Odd,
            AtPrices = (x, levels) =>
                x with
                {
                    PricePerFoot = x.PricePerFoot * levels.Film,
                    FreightPerOrder = x.FreightPerOrder * levels.Film,
                },
            Order = ListedBy.Text<VinylFilm>(x => x.Product),
        };

    /// <summary>True when neighbours share one weeding margin instead of standing two apart.</summary>
    public bool SharedMargin { get; init; }

    /// <summary>True when its maker says that it keeps a cloth's own dye back.</summary>
    public bool Blocks { get; init; }

    /// <summary>How it looks: a plain ask never gets a special one because it is cheap.</summary>
    public VinylFinish Finish { get; init; } = VinylFinish.Plain;

    // a price that can be but hardly is
    private static IEnumerable<Problem> Odd(VinylFilm v)
    {
        if (v.PricePerFoot is < CheapFoot or > DearFoot)
        {
            yield return Materials.OddValues.Doubt(
                "pricePerFoot",
                $"{v.PricePerFoot:0.00} for a foot of {v.Product}: "
                    + $"{(v.PricePerFoot > DearFoot ? "is that the price of a whole roll?" : "is that an inch, or a very long roll?")}",
                "Divide the roll's price by its feet; a 5 yard roll has 15."
            );
        }
    }

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"{Supplier} {Product}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
