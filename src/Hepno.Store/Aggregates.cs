using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Curing;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Core.Stock;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Everything a person edits as one.</summary>
public static class Aggregates
{
    public static Aggregate<ShopNumbers> Numbers { get; } = SettingsStore.Aggregate();

    public static Aggregate<Customer> Customers { get; } = CustomerStore.Aggregate();

    public static Aggregate<Style> Styles { get; } = StyleStore.Aggregate();

    public static Aggregate<TransferPriceList> Films { get; } = FilmStore.Aggregate();

    public static Aggregate<VinylFilm> Vinyls { get; } = VinylStore.Aggregate();

    public static Aggregate<ScreenTransferList> Screens { get; } = ScreenStore.Aggregate();

    public static Aggregate<FilmPrinter> FilmPrinters { get; } = PrinterStore.Film();

    public static Aggregate<DyePrinter> DyePrinters { get; } = PrinterStore.Dye();

    public static Aggregate<PaperPrinter> PaperPrinters { get; } = PrinterStore.Paper();

    public static Aggregate<GarmentPrinter> GarmentPrinters { get; } = PrinterStore.Garment();

    public static Aggregate<StitchMachine> Stitchers { get; } = StitchMachineStore.Aggregate();

    public static Aggregate<TransferPaper> Papers { get; } = PaperStore.Aggregate();

    public static Aggregate<OutsidePrinter> OutsidePrinters { get; } = OutsidePrinterStore.Aggregate();

    public static Aggregate<PodService> PodServices { get; } = PodServiceStore.Aggregate();

    public static Aggregate<RollCloth> Cloths { get; } = ClothStore.Aggregate();

    public static Aggregate<Calender> Calenders { get; } = CalenderStore.Aggregate();

    public static Aggregate<Place> Places { get; } = PlaceStore.Aggregate();

    public static Aggregate<Cutter> Cutters { get; } = CutterStore.Aggregate();

    public static Aggregate<Press> Presses { get; } = PressStore.Aggregate();

    public static Aggregate<Recipe> Recipes { get; } = RecipeStore.Aggregate();

    public static Aggregate<SpotTest> SpotTests { get; } = SpotTestStore.Aggregate();

    public static Aggregate<TestGarment> TestGarments { get; } = TestGarmentStore.Aggregate();

    public static Aggregate<KeptPrint> KeptPrints { get; } = KeptPrintStore.Aggregate();

    public static Aggregate<VinylRemnant> Remnants { get; } = RemnantStore.Aggregate();

    public static Aggregate<MachineUpkeep> Upkeep { get; } = UpkeepStore.Aggregate();

    public static Aggregate<PrinterSupplies> Supplies { get; } = SuppliesStore.Aggregate();

    public static Aggregate<CureBatch> Cures { get; } = CureStore.Aggregate();

    public static Aggregate<Order> Orders { get; } = OrderStore.Aggregate();

    public static Aggregate<Design> Designs { get; } = DesignStore.Aggregate();

    public static Aggregate<AskTemplate> Templates { get; } = TemplateStore.Aggregate();

    internal static Restorable Find(string kind) =>
        kind switch
        {
            "numbers" => Of(Numbers),
            "customer" => Of(Customers),
            "style" => Of(Styles),
            "film" => Of(Films),
            "vinyl" => Of(Vinyls),
            "screen" => Of(Screens),
            "film-printer" => Of(FilmPrinters),
            "dye-printer" => Of(DyePrinters),
            "paper-printer" => Of(PaperPrinters),
            "garment-printer" => Of(GarmentPrinters),
            "stitch-machine" => Of(Stitchers),
            "paper" => Of(Papers),
            "outside-printer" => Of(OutsidePrinters),
            "pod-service" => Of(PodServices),
            "cloth" => Of(Cloths),
            "calender" => Of(Calenders),
            "cutter" => Of(Cutters),
            "place" => Of(Places),
            "press" => Of(Presses),
            "recipe" => Of(Recipes),
            "spot-test" => Of(SpotTests),
            "test-garment" => Of(TestGarments),
            "kept-print" => Of(KeptPrints),
            "remnant" => Of(Remnants),
            "upkeep" => Of(Upkeep),
            "supplies" => Of(Supplies),
            "cure" => Of(Cures),
            "order" => Of(Orders),
            "artwork" => Of(Designs),
            "template" => Of(Templates),
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No such kind of thing."),
        };

    private static Restorable Of<T>(Aggregate<T> a)
        where T : class => new(a.VersionOf, a.Restore);

    /// <summary>What undo needs of an aggregate, whatever it holds.</summary>
    internal sealed record Restorable(
        Func<SqliteConnection, string, long> VersionOf,
        Func<SqliteConnection, string, byte[], long, long, Deed, long> Restore
    );
}
