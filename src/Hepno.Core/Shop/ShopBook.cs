using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using NodaTime;

namespace Hepno.Core.Shop;

/// <summary>Everything the shop keeps that prices and verdicts use.</summary>
/// <param name="Numbers">Rates and rules.</param>
/// <param name="Styles">Blanks.</param>
/// <param name="Films">Bought film price lists.</param>
/// <param name="Vinyls">Vinyl rolls.</param>
/// <param name="Presses">Presses that are pressed with.</param>
/// <param name="Recipes">Recipes.</param>
/// <param name="Screens">Screen-printed transfer price lists.</param>
/// <param name="FilmPrinters">Own film printers.</param>
/// <param name="DyePrinters">Own dye printers.</param>
public sealed record ShopBook(
    ShopNumbers Numbers,
    IReadOnlyList<Style> Styles,
    IReadOnlyList<TransferPriceList> Films,
    IReadOnlyList<VinylFilm> Vinyls,
    IReadOnlyList<Press> Presses,
    IReadOnlyList<Recipe> Recipes,
    IReadOnlyList<ScreenTransferList> Screens,
    IReadOnlyList<FilmPrinter> FilmPrinters,
    IReadOnlyList<DyePrinter> DyePrinters
)
{
    /// <summary>Rates of the carrier; null for none.</summary>
    public CarrierRates? Carrier { get; init; }

    /// <summary>Last day a quote made now may still be bought for; null leaves code prices out.</summary>
    public LocalDate? BuyBy { get; init; }

    /// <summary>What jobs on the press floor took before; null to find it anew.</summary>
    public FloorMemo? Memo { get; init; }

    /// <summary>Cutters.</summary>
    public IReadOnlyList<Cutter> Cutters { get; init; } = [];

    /// <summary>Spot tests.</summary>
    public IReadOnlyList<SpotTest> Tests { get; init; } = [];

    /// <summary>What machines want done.</summary>
    public IReadOnlyList<MachineUpkeep> Upkeep { get; init; } = [];

    /// <summary>What printers take and what is in them.</summary>
    public IReadOnlyList<PrinterSupplies> Supplies { get; init; } = [];

    /// <summary>Ovens and conveyors, which only cure.</summary>
    public IReadOnlyList<Press> Ovens { get; init; } = [];

    /// <summary>What orders handed over have earned.</summary>
    public EarnedByHands Earned { get; init; } = EarnedByHands.Nothing;

    /// <summary>Where it prints.</summary>
    public PlaceBook Places { get; init; } = PlaceBook.Usual;

    /// <summary>Screen printers that work is sent out to.</summary>
    public IReadOnlyList<OutsidePrinter> OutsidePrinters { get; init; } = [];

    /// <summary>Own embroidery machines.</summary>
    public IReadOnlyList<StitchMachine> Stitchers { get; init; } = [];

    /// <summary>Desktop inkjet printers.</summary>
    public IReadOnlyList<PaperPrinter> PaperPrinters { get; init; } = [];

    /// <summary>Transfer papers.</summary>
    public IReadOnlyList<TransferPaper> Papers { get; init; } = [];

    /// <summary>Own direct-to-garment printers.</summary>
    public IReadOnlyList<GarmentPrinter> GarmentPrinters { get; init; } = [];

    /// <summary>Services that print on demand.</summary>
    public IReadOnlyList<PodService> PodServices { get; init; } = [];

    /// <summary>Own calenders with their roll printers.</summary>
    public IReadOnlyList<Calender> Calenders { get; init; } = [];

    /// <summary>Cloth by the roll.</summary>
    public IReadOnlyList<RollCloth> Cloths { get; init; } = [];

    /// <summary>Layouts laid before.</summary>
    public LayoutMemo Layouts { get; init; } = new();

    /// <summary>How many times as many attempts spoil as the shop assumes or has learned; 1 but where another level is
    /// tried.</summary>
    public double SpoilageFactor { get; init; } = 1;

    /// <summary>Where work is done that needs no machine.</summary>
    public static Press Table { get; } =
        Press.Bench("table", "the table", new(0, Resale: 0, 1, ProductiveHoursAYear: 1, 0, DutyShare: 0, 0), "");

    /// <summary>Where dyed cloth is sewn; its machine is in the notions of a garment.</summary>
    public static Press SewingTable { get; } =
        Press.Bench(
            "sewing",
            "the sewing table",
            new(0, Resale: 0, 1, ProductiveHoursAYear: 1, 0, DutyShare: 0, 0),
            ""
        );

    /// <summary>How a line's prints are laid where no layout is settled: about, where many quantities are
    /// compared.</summary>
    internal Func<GangGround, IReadOnlyList<GangDesign>, GangFound> LayingFor(AskInHand ask) =>
        ask.Sketch is { } sketch ? sketch.Lay : Layouts.Lay;

    /// <summary>The recipe of a product on a line's cloth as this shop presses it, or null when it has none.</summary>
    public Recipe? RecipeFor(ThingId productId, AskInHand ask) =>
        RecipeChoice.For(productId, ask.Style, ask.Colourway, Recipes, Tests) is { } recipe
            ? Numbers.Floor.Habits.Of(recipe)
            : null;

    /// <summary>The recipe nearest to a heat that a cloth takes: the hottest at or under it, or null; what to try
    /// instead of one that is too hot.</summary>
    public Recipe? SafeFor(Style style, double mostF) =>
        Recipes
            .Where(r => r.Fabric == RecipeChoice.FabricOf(style) && r.TemperatureF <= mostF)
            .MaxBy(r => r.TemperatureF);

    /// <summary>What a recipe's product is called.</summary>
    public string ProductName(ThingId productId)
    {
        if (Films.FirstOrDefault(x => x.Id == productId) is { } film)
        {
            return $"{film.Supplier} {film.Product}";
        }
        if (Vinyls.FirstOrDefault(x => x.Id == productId) is { } vinyl)
        {
            return $"{vinyl.Supplier} {vinyl.Product}";
        }
        if (Screens.FirstOrDefault(x => x.Id == productId) is { } screen)
        {
            return $"{screen.Supplier} {screen.Product}";
        }
        if (FilmPrinters.FirstOrDefault(x => x.Id == productId) is { } own)
        {
            return $"film of {own.Name}";
        }
        if (DyePrinters.FirstOrDefault(x => x.Id == productId) is { } dye)
        {
            return $"dye of {dye.Name}";
        }
        if (Papers.FirstOrDefault(x => x.Id == productId) is { } paper)
        {
            return $"{paper.Supplier} {paper.Product}";
        }
        if (Stitchers.FirstOrDefault(x => x.Id == productId) is { } stitcher)
        {
            return $"applique of {stitcher.Name}";
        }
        if (Calenders.FirstOrDefault(x => x.Id == productId) is { } calender)
        {
            return $"cloth of {calender.Name}";
        }
        return GarmentPrinters.FirstOrDefault(x => x.Id == productId) is { } direct
            ? $"print of {direct.Name}"
            : "a product no longer kept";
    }

    /// <summary>Every machine with its kind and what an hour of it costs.</summary>
    public IReadOnlyList<(ThingId Id, string Kind, EquipmentHour Equipment)> Machines() =>
        [
            .. Presses.Concat(Ovens).Select(p => (new ThingId(p.Id.Text), "press", p.Equipment)),
            .. FilmPrinters.Select(p => (p.Id, "film-printer", p.Equipment)),
            .. DyePrinters.Select(p => (p.Id, "dye-printer", p.Equipment)),
            .. Cutters.Select(p => (p.Id, "cutter", p.Equipment)),
            .. PaperPrinters.Select(p => (p.Id, "paper-printer", p.Equipment)),
            .. GarmentPrinters.Select(p => (p.Id, "garment-printer", p.Equipment)),
            .. Stitchers.Select(p => (p.Id, "stitch-machine", p.Equipment)),
            .. Calenders.Select(p => (p.Id, "calender", p.Equipment)),
        ];

    /// <summary>What tending a machine costs for an hour of it; null while nothing is listed for it.</summary>
    public Figure? TendingOf(ThingId machineId, EquipmentHour equipment) =>
        Upkeep.FirstOrDefault(u => u.Id == machineId) is { Tasks.Count: > 0 } u
            ? u.PerHour(Numbers.Rates.Wage, Numbers.Week.OpenDays(), equipment.ProductiveHoursAYear)
            : null;

    /// <summary>A press, oven or conveyor; null for none of that name.</summary>
    public Press? Heater(PressId id) => Presses.Concat(Ovens).FirstOrDefault(p => p.Id == id);

    /// <summary>Places of work without heat: the table, embroidery machines, and the sewing table where cloth is
    /// dyed.</summary>
    public IReadOnlyList<Press> Benches() =>
        [Table, .. Stitchers.Select(m => m.Bench()), .. Calenders.Count > 0 ? [SewingTable] : Array.Empty<Press>()];

    /// <summary>A press or a place of work without heat; null for none of that name.</summary>
    public Press? Workplace(PressId id) => Presses.Concat(Benches()).FirstOrDefault(p => p.Id == id);

    /// <summary>Presses that take a kind of garment, those set aside too.</summary>
    public IReadOnlyList<Press> PressesFor(GarmentKind kind) => [.. Presses.Where(p => p.Takes(kind))];
}
