using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>Something a shop needs before its first piece by a way.</summary>
/// <param name="Price">Its price with where it comes from: the shop's own Floor, or assumed.</param>
/// <param name="IsThere">True where the shop has it.</param>
public sealed record StartUpItem(Figure Price, bool IsThere);

/// <summary>What it takes to begin with one way.</summary>
/// <param name="MethodId">Which way.</param>
/// <param name="Name">On screen.</param>
/// <param name="Items">What it takes.</param>
/// <param name="Total">For a shop that has nothing.</param>
/// <param name="StillToBuy">For this one.</param>
public sealed record StartUpBudget(
    MethodId MethodId,
    string Name,
    IReadOnlyList<StartUpItem> Items,
    Figure Total,
    Figure StillToBuy
);

/// <summary>Start-up budgets by way. Machines the shop has are at its own price; what it has not is assumed, in the
/// shop's money, and to be asked for before it is believed.</summary>
public static class StartUp
{
    private const string Assumed = "assumed: ask for a price";

    /// <summary>The budget of every way, the least first.</summary>
    public static IReadOnlyList<StartUpBudget> Budgets(ShopBook book) =>
        [.. DecorationMethods.All.Select(m => Budget(m, Items(m, book))).OrderBy(b => b.Total.Value)];

    private static StartUpBudget Budget(IDecorationMethod method, List<StartUpItem> items) =>
        new(
            method.Id,
            method.Name,
            items,
            Figure.Sum("start-up", "To begin with it", [.. items.Select(i => i.Price)]),
            Figure.Sum("still-to-buy", "Still to buy", [.. items.Where(i => !i.IsThere).Select(i => i.Price)])
        );

    private static List<StartUpItem> Items(IDecorationMethod method, ShopBook book)
    {
        StartUpItem Machine(
            string code,
            string name,
            decimal price,
            IEnumerable<(string Name, EquipmentHour Equipment)> there
        ) =>
            there.FirstOrDefault() is { Equipment: { } own } mine
                ? new(
                    Figure.Input(code, $"{name}: {mine.Name}", own.PriceNew, FigureUnit.Money, $"Floor: {mine.Name}"),
                    true
                )
                : new(Figure.Input(code, name, price, FigureUnit.Money, Assumed), false);
        StartUpItem Thing(string code, string name, decimal price) =>
            new(Figure.Input(code, name, price, FigureUnit.Money, Assumed), false);
        List<StartUpItem> pressed =
        [
            Machine("press", "A heat press", 480, book.Presses.Select(p => (p.Name, p.Equipment))),
            Thing("thermometer", "A surface thermometer", 35),
            Thing("covers", "Covers, lint roller, gloves", 40),
        ];
        var cutter = Machine("cutter", "A cutter", 380, book.Of<Cutter>().Select(c => (c.Name, c.Equipment)));
        return method switch
        {
            DtfMade =>
            [
                .. pressed,
                Machine(
                    "film-printer",
                    "A film printer",
                    3400,
                    book.Of<FilmPrinter>().Select(p => (p.Name, p.Equipment))
                ),
                Machine("oven", "A curing oven", 650, book.Ovens.Select(o => (o.Name, o.Equipment))),
                Thing("ventilation", "Ventilation and masks", 180),
                Thing("stock", "First ink, film and powder", 320),
            ],
            Htv => [.. pressed, cutter, Thing("tools", "Weeding tools", 20), Thing("stock", "First rolls", 90)],
            Sublimation or SublimationAllOver =>
            [
                .. pressed,
                Machine("dye-printer", "A dye printer", 520, book.Of<DyePrinter>().Select(p => (p.Name, p.Equipment))),
                Thing("stock", "First dye and paper", 140),
                Thing("tape", "Tape and protection paper", 25),
            ],
            SublimationCutSew =>
            [
                Machine(
                    "calender",
                    "A calender and a roll printer",
                    9600,
                    book.Of<Calender>().Select(c => (c.Name, c.Equipment))
                ),
                Thing("sewing", "A sewing machine and an overlock", 1100),
                Thing("table", "A cutting table, shears and patterns", 450),
                Thing("stock", "First cloth, paper and dye", 600),
            ],
            PaperLight => [.. pressed, Paper(), Thing("stock", "First papers", 45)],
            PaperOpaque => [.. pressed, Paper(), cutter, Thing("stock", "First papers", 60)],
            Dtg =>
            [
                .. pressed,
                Machine(
                    "garment-printer",
                    "A garment printer",
                    13_500,
                    book.Of<GarmentPrinter>().Select(p => (p.Name, p.Equipment))
                ),
                Thing("sprayer", "A sprayer for the pretreatment", 250),
                Thing("stock", "First ink and pretreatment", 520),
            ],
            Applique =>
            [
                .. pressed,
                Machine(
                    "stitcher",
                    "An embroidery machine",
                    7800,
                    book.Of<StitchMachine>().Select(m => (m.Name, m.Equipment))
                ),
                Thing("hoops", "Hoops and frames", 160),
                Thing("stock", "Applique film, thread and backing", 260),
            ],
            Embroidery =>
            [
                Machine(
                    "stitcher",
                    "An embroidery machine",
                    7800,
                    book.Of<StitchMachine>().Select(m => (m.Name, m.Equipment))
                ),
                Thing("hoops", "Hoops and frames", 160),
                Thing("stock", "Thread, needles and backing", 220),
            ],
            ScreenOut or PodOut => [Thing("samples", "Samples of their work", 60)],
            _ => [.. pressed, Thing("stock", "A first order, to try it", 120)],
        };
        StartUpItem Paper() =>
            Machine(
                "paper-printer",
                "An inkjet printer",
                280,
                book.Of<PaperPrinter>().Select(p => (p.Name, p.Equipment))
            );
    }
}
