using System.Collections.ObjectModel;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Stock;

namespace Hepno.Core.Methods;

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
/// <param name="Carrier">Rates of the carrier; null for none.</param>
/// <param name="Cutters">Cutters; null for none.</param>
/// <param name="BuyBy">Last day a quote made now may still be bought for; null leaves code prices out.</param>
/// <param name="Memo">What jobs on the press floor took before; null to find it anew.</param>
/// <param name="Tests">Spot tests; null for none.</param>
/// <param name="Upkeep">What machines want done; null for none.</param>
/// <param name="Supplies">What printers take and what is in them; null for none.</param>
/// <param name="Ovens">Ovens and conveyors, which only cure; null for none.</param>
public sealed record ShopBook(
    ShopNumbers Numbers,
    IReadOnlyList<Style> Styles,
    IReadOnlyList<TransferPriceList> Films,
    IReadOnlyList<VinylFilm> Vinyls,
    IReadOnlyList<Press> Presses,
    IReadOnlyList<Recipe> Recipes,
    IReadOnlyList<ScreenTransferList> Screens,
    IReadOnlyList<FilmPrinter> FilmPrinters,
    IReadOnlyList<DyePrinter> DyePrinters,
    CarrierRates? Carrier = null,
    IReadOnlyList<Cutter>? Cutters = null,
    DateOnly? BuyBy = null,
    FloorMemo? Memo = null,
    IReadOnlyList<SpotTest>? Tests = null,
    IReadOnlyList<MachineUpkeep>? Upkeep = null,
    IReadOnlyList<PrinterSupplies>? Supplies = null,
    IReadOnlyList<Press>? Ovens = null
)
{
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

    /// <summary>How many times as many attempts spoil as the shop assumes or has learned; 1 but where another level is tried.</summary>
    public double SpoilageFactor { get; init; } = 1;

    /// <summary>Where work is done that needs no machine.</summary>
    public static Press Table { get; } = Press.Bench("table", "the table", new(0, 0, 1, 1, 0, 0, 0), "");

    /// <summary>Where dyed cloth is sewn; its machine is in the notions of a garment.</summary>
    public static Press SewingTable { get; } = Press.Bench("sewing", "the sewing table", new(0, 0, 1, 1, 0, 0, 0), "");

    /// <summary>How a line's prints are laid where no layout is settled: about, where many quantities are compared.</summary>
    internal Func<GangGround, IReadOnlyList<GangDesign>, GangFound> LayingFor(AskInHand ask) =>
        ask.Sketch is { } sketch ? sketch.Lay : Layouts.Lay;

    /// <summary>The recipe of a product on a line's cloth as this shop presses it, or null when it has none.</summary>
    public Recipe? RecipeFor(string productId, AskInHand ask) =>
        RecipeChoice.For(productId, ask.Style, ask.Colourway, Recipes, Tests ?? []) is { } recipe
            ? Numbers.Habits().Of(recipe)
            : null;

    /// <summary>The recipe nearest to a heat that a cloth takes: the hottest at or under it, or null; what to try instead of one that is too hot.</summary>
    public Recipe? SafeFor(Style style, double mostF) =>
        Recipes
            .Where(r => r.Fabric == RecipeChoice.FabricOf(style) && r.TemperatureF <= mostF)
            .MaxBy(r => r.TemperatureF);

    /// <summary>What a recipe's product is called.</summary>
    public string ProductName(string productId) =>
        Films.FirstOrDefault(x => x.Id == productId) is { } film ? $"{film.Supplier} {film.Product}"
        : Vinyls.FirstOrDefault(x => x.Id == productId) is { } vinyl ? $"{vinyl.Supplier} {vinyl.Product}"
        : Screens.FirstOrDefault(x => x.Id == productId) is { } screen ? $"{screen.Supplier} {screen.Product}"
        : FilmPrinters.FirstOrDefault(x => x.Id == productId) is { } own ? $"film of {own.Name}"
        : DyePrinters.FirstOrDefault(x => x.Id == productId) is { } dye ? $"dye of {dye.Name}"
        : Papers.FirstOrDefault(x => x.Id == productId) is { } paper ? $"{paper.Supplier} {paper.Product}"
        : Stitchers.FirstOrDefault(x => x.Id == productId) is { } stitcher ? $"applique of {stitcher.Name}"
        : Calenders.FirstOrDefault(x => x.Id == productId) is { } calender ? $"cloth of {calender.Name}"
        : GarmentPrinters.FirstOrDefault(x => x.Id == productId) is { } direct ? $"print of {direct.Name}"
        : "a product no longer kept";

    /// <summary>Every machine with its kind and what an hour of it costs.</summary>
    public IReadOnlyList<(string Id, string Kind, EquipmentHour Equipment)> Machines() =>
        [
            .. Presses.Concat(Ovens ?? []).Select(p => (p.Id, "press", p.Equipment)),
            .. FilmPrinters.Select(p => (p.Id, "film-printer", p.Equipment)),
            .. DyePrinters.Select(p => (p.Id, "dye-printer", p.Equipment)),
            .. (Cutters ?? []).Select(p => (p.Id, "cutter", p.Equipment)),
            .. PaperPrinters.Select(p => (p.Id, "paper-printer", p.Equipment)),
            .. GarmentPrinters.Select(p => (p.Id, "garment-printer", p.Equipment)),
            .. Stitchers.Select(p => (p.Id, "stitch-machine", p.Equipment)),
            .. Calenders.Select(p => (p.Id, "calender", p.Equipment)),
        ];

    /// <summary>What tending a machine costs for an hour of it; null while nothing is listed for it.</summary>
    public Figure? TendingOf(string machineId, EquipmentHour equipment) =>
        Upkeep?.FirstOrDefault(u => u.Id == machineId) is { Tasks.Count: > 0 } u
            ? u.PerHour(Numbers, equipment.ProductiveHoursAYear)
            : null;

    /// <summary>A press, oven or conveyor; null for none of that name.</summary>
    public Press? Heater(string id) => Presses.Concat(Ovens ?? []).FirstOrDefault(p => p.Id == id);

    /// <summary>Places of work without heat: the table, embroidery machines, and the sewing table where cloth is dyed.</summary>
    public IReadOnlyList<Press> Benches() =>
        [Table, .. Stitchers.Select(m => m.Bench()), .. Calenders.Count > 0 ? [SewingTable] : Array.Empty<Press>()];

    /// <summary>A press or a place of work without heat; null for none of that name.</summary>
    public Press? Workplace(string id) => Presses.Concat(Benches()).FirstOrDefault(p => p.Id == id);

    /// <summary>Presses that take a kind of garment, those set aside too.</summary>
    public IReadOnlyList<Press> PressesFor(GarmentKind kind) => [.. Presses.Where(p => p.Takes(kind))];
}

/// <summary>A complete line of an ask with its style looked up.</summary>
/// <param name="Style">The blank.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="Sizes">Pieces by size, at least one.</param>
/// <param name="Placements">Decorations, at least one.</param>
/// <param name="Channel">Whose policy makes the price.</param>
/// <param name="Others">The order's other complete lines, with which it shares what is paid once; null for none.</param>
/// <param name="Shipping">How the order is sent, or null when it is collected.</param>
/// <param name="Names">Names and numbers of its pieces, or null when all are alike.</param>
/// <param name="BuyBy">Last day its blanks may be bought on; null leaves code prices out.</param>
/// <param name="Theirs">True when the customer brings the garments.</param>
/// <param name="Laid">The layout settled for it, or null.</param>
/// <param name="Drawer">Transfers that lie here and are used for it; null for none.</param>
/// <param name="Remnants">Pieces of vinyl that lie here and are used for it; null for none.</param>
public sealed record AskInHand(
    Style Style,
    Colourway Colourway,
    IReadOnlyList<SizeCount> Sizes,
    IReadOnlyList<Placement> Placements,
    Channel Channel = Channel.Retail,
    IReadOnlyList<AskInHand>? Others = null,
    Shipping? Shipping = null,
    IReadOnlyList<OwnPiece>? Names = null,
    DateOnly? BuyBy = null,
    bool Theirs = false,
    LineLayout? Laid = null,
    IReadOnlyList<FromDrawer>? Drawer = null,
    IReadOnlyList<FromRemnant>? Remnants = null
)
{
    /// <summary>Every print as it is made: one for each placement, or several where it is smaller on smaller sizes.</summary>
    public IReadOnlyList<Placement> Prints =>
        [.. Placements.SelectMany(p => SizedPrints.Of(p, Sizes, Names)).Select(s => s.Print)];

    /// <summary>What its artwork was made of before by ways that keep their set-up.</summary>
    public IReadOnlyList<MadeBefore> Made { get; init; } = [];

    /// <summary>What was measured on the pictures of its prints, by artwork; a print with typed figures has none.</summary>
    public IReadOnlyDictionary<string, ArtworkReport> Artworks { get; init; } =
        ReadOnlyDictionary<string, ArtworkReport>.Empty;

    /// <summary>Lays it about, where many quantities are compared; null to lay it whole.</summary>
    public LayoutSketch? Sketch { get; init; }

    /// <summary>Pieces of all sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);

    /// <summary>This line and the others of its order.</summary>
    public IReadOnlyList<AskInHand> Order => [this, .. Others ?? []];

    /// <summary>Pieces of the whole order.</summary>
    public int OrderPieces => Order.Sum(l => l.Pieces);

    /// <summary>Pieces of the whole order whose blanks come from this line's supplier: they share its freight.</summary>
    public int PiecesOfSupplier => Order.Where(l => !l.Theirs && l.Style.Supplier == Style.Supplier).Sum(l => l.Pieces);

    /// <summary>True where a piece is reckoned as if every size cost the same: the dearer ones are charged on top. What the supplier invoices stays as it is.</summary>
    public bool AsBaseSizes { get; init; }

    /// <summary>Pieces of this style in the whole order: they reach its price tiers together.</summary>
    public int PiecesOfStyle => Order.Where(l => !l.Theirs && l.Style.Id == Style.Id).Sum(l => l.Pieces);

    /// <summary>Transfers of the drawer that are used for a print of it.</summary>
    /// <param name="key">The print as its layout calls it.</param>
    /// <param name="filmId">Printed on which film.</param>
    public int FromDrawer(string key, string filmId) =>
        (Drawer ?? []).Where(d => d.Key == key && d.FilmId == filmId).Sum(d => d.Count);

    /// <summary>The piece of vinyl a colour of a print is cut from first, or null; null too where the sizes have prints of their own, for a piece is cut once.</summary>
    public FromRemnant? RemnantFor(SizedPrint sized, int layer) =>
        sized.Pieces == Pieces
            ? (Remnants ?? []).FirstOrDefault(r => r.PlacementId == sized.Print.Id && r.Layer == layer)
            : null;

    /// <summary>The same line at another total, its mix of sizes kept.</summary>
    public AskInHand At(int pieces) => this with { Sizes = SizeRun.ScaledTo(Sizes, pieces) };
}

/// <summary>Can it be done?</summary>
public enum VerdictKind
{
    /// <summary>Yes.</summary>
    Yes,

    /// <summary>Yes, with the care that the reasons name.</summary>
    WithCare,

    /// <summary>No.</summary>
    No,
}

/// <summary>One reason of a verdict.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Kind">What it makes of the verdict.</param>
/// <param name="Sentence">The reason; names the input that decided.</param>
/// <param name="WouldWork">What would make it work, or the care to take.</param>
public sealed record Reason(string Code, VerdictKind Kind, string Sentence, string WouldWork);

/// <summary>A verdict with its reasons, the deciding one first.</summary>
/// <param name="Kind">The verdict.</param>
/// <param name="Reasons">Why; empty for a plain yes.</param>
public sealed record Verdict(VerdictKind Kind, IReadOnlyList<Reason> Reasons)
{
    /// <summary>The verdict that a list of reasons makes: the worst of them, worst first.</summary>
    public static Verdict Of(IReadOnlyList<Reason> reasons) =>
        new(
            reasons.Count == 0 ? VerdictKind.Yes : reasons.Max(r => r.Kind),
            [.. reasons.OrderByDescending(r => r.Kind)]
        );
}

/// <summary>Something to buy for one decoration of the order, with the drawing it follows from.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Text">What it is.</param>
/// <param name="Supplier">From whom; empty for what lies in the shop.</param>
/// <param name="LeadDays">Working days until it is here.</param>
/// <param name="Quantity">How many or how long.</param>
/// <param name="Unit">transfers, sheets or in.</param>
/// <param name="Cost">Money, opened to its parts.</param>
/// <param name="Rows">For a roll: the rows as they are cut or printed; else null.</param>
/// <param name="SizeClass">For a bought transfer: the size class or sheet bought; else null.</param>
/// <param name="Grid">For own paper: the prints on a sheet; else null.</param>
/// <param name="For">Which print of the placement it is for, on which sizes; null in quotes of before, and for a layout of all prints.</param>
/// <param name="Laid">For film bought with a layout: the layout; else null.</param>
/// <param name="Hex">For one colour of vinyl: the colour as measured; else empty.</param>
/// <param name="Note">Why it is cut as it is; may be empty.</param>
/// <param name="MaterialId">For vinyl: of which roll on the Shelf; else empty.</param>
/// <param name="Layer">For vinyl: which of the print's colours, from 0.</param>
/// <param name="Breaks">For work sent out: its price breaks, by pieces; else null.</param>
/// <param name="Tiles">For a print larger than a sheet: the sheets of one side; else null.</param>
/// <param name="Markers">For cloth that is cut and sewn: where its parts lie; else null.</param>
public sealed record Purchase(
    string Code,
    string Text,
    string Supplier,
    int LeadDays,
    double Quantity,
    string Unit,
    Figure Cost,
    RollRows? Rows,
    TransferSize? SizeClass,
    SheetGrid? Grid = null,
    SizedPrint? For = null,
    LaidPurchase? Laid = null,
    string Hex = "",
    string Note = "",
    string MaterialId = "",
    int Layer = 0,
    IReadOnlyList<PriceBreak>? Breaks = null,
    Tiles? Tiles = null,
    RunMarkers? Markers = null
);

/// <summary>What a method answers to an ask.</summary>
/// <param name="Verdict">Whether it can.</param>
/// <param name="Made">A few words on how, for the band.</param>
/// <param name="Decorations">How, or empty when it cannot.</param>
public sealed record MethodAnswer(Verdict Verdict, string Made, IReadOnlyList<DecorationPlan> Decorations)
{
    /// <summary>Of which price list, product or machine, in words; empty where there is one way to do it.</summary>
    public string Of { get; init; } = "";

    /// <summary>Price lists, products and machines the shop has that cannot do it, with why: nothing is passed over in silence.</summary>
    public IReadOnlyList<Reason> NotUsed { get; init; } = [];

    /// <summary>It cannot, and why.</summary>
    public static MethodAnswer No(params IReadOnlyList<Reason> reasons) => new(Verdict.Of(reasons), "", []);

    /// <summary>The best of one method's answers with different products or machines: what the owner has laid out, as long as the line needs the same prints; else a plain yes before one with care, then the least money for material and set-ups; when none can, the first one's reasons.</summary>
    /// <param name="answers">At least one.</param>
    /// <param name="ask">The line: where one brings its blanks, the others bear the line's own.</param>
    public static MethodAnswer BestOf(IReadOnlyList<MethodAnswer> answers, AskInHand ask)
    {
        if (answers is [var only])
        {
            return only;
        }
        var able = answers.Where(a => a.Decorations.Count > 0).ToList();
        static bool Brings(MethodAnswer a) => a.Decorations.Any(d => d.BringsBlank);
        var blank = able.Any(Brings) && !able.All(Brings) ? LandedBlank.Of(ask).Value : 0;
        // what is bought beyond the need is paid too: fifty at 2.00 are no bargain for twelve pieces
        decimal Money(DecorationPlan d) =>
            (d.Material.Value * ask.Pieces)
            + (Math.Max(0, d.Bought - ask.Pieces) * d.OneMore.Value)
            + (d.SetUp?.Value ?? 0);
        var best = able.OrderByDescending(a =>
                a.Decorations.Any(d => d.Purchases.Any(p => p.Laid is { IsSettled: true }))
            )
            .ThenBy(a => a.Verdict.Kind)
            .ThenBy(a => ((Brings(a) ? 0 : blank) * ask.Pieces) + a.Decorations.Sum(Money))
            .FirstOrDefault()
            ?? answers[0];
        return best with { NotUsed = PassedOver(answers, best) };
    }

    // a list is passed over where it can do it in no way; what the answer says itself is not said again for each
    private static IReadOnlyList<Reason> PassedOver(IReadOnlyList<MethodAnswer> answers, MethodAnswer best) =>
        [
            .. answers
                .GroupBy(a => a.Of)
                .Where(of => of.Key.Length > 0 && of.Key != best.Of && of.All(a => a.Decorations.Count == 0))
                .Select(of => (of.Key, Why: of.First().Verdict.Reasons.First(r => r.Kind == VerdictKind.No)))
                .Where(x => best.Verdict.Reasons.All(r => r.Sentence != x.Why.Sentence))
                .Select(x => x.Why with { Sentence = $"{x.Key}: {x.Why.Sentence}" }),
        ];
}

/// <summary>A way of decorating: its feasibility, materials and steps, in one file.</summary>
public interface IDecorationMethod
{
    /// <summary>Key, as in docs/trade.md 1.</summary>
    string Id { get; }

    /// <summary>Its name on screen.</summary>
    string Name { get; }

    /// <summary>What the customer is told it is, after "made as".</summary>
    string Said { get; }

    /// <summary>Share of attempts assumed to spoil the piece until the shop has learned its own; features of an ask may add to it.</summary>
    double SpoilageAssumed { get; }

    /// <summary>True where its print lies on the cloth with an edge that can be felt, and seen through what lies over it.</summary>
    bool HasEdge => false;

    /// <summary>True where it holds on another print as it does on cloth.</summary>
    bool HoldsOnPrint => true;

    /// <summary>True where what it was set up with is kept for the next time: screens, a stitch file.</summary>
    bool KeepsSetUp => false;

    /// <summary>Whether and how it would do the ask, each print lying on the cloth: ask <see cref="Layers.Answer"/>, which minds those that lie on others.</summary>
    MethodAnswer OnCloth(AskInHand ask, ShopBook book);
}

/// <summary>All methods, in the order they are registered.</summary>
public static class DecorationMethods
{
    /// <summary>The methods Hepno knows.</summary>
    public static IReadOnlyList<IDecorationMethod> All { get; } =
    [
        new DtfBought(),
        new DtfMade(),
        new DigitalTransfer(),
        new ScreenTransfer(),
        new Htv(),
        new Sublimation(),
        new SublimationAllOver(),
        new SublimationCutSew(),
        new PaperLight(),
        new PaperOpaque(),
        new Dtg(),
        new Embroidery(),
        new Applique(),
        new ScreenOut(),
        new PodOut(),
    ];

    /// <summary>A method by its key, a mix of them by its own, or null.</summary>
    public static IDecorationMethod? Find(string id) =>
        All.FirstOrDefault(m => m.Id == id) ?? (IDecorationMethod?)Mixed.Find(id);

    /// <summary>True where a key names a method, or a mix with it.</summary>
    public static bool Uses(string? id, string methodId) =>
        id is not null && (id == methodId || Mixed.Find(id)?.Ways.Any(m => m.Id == methodId) == true);
}
