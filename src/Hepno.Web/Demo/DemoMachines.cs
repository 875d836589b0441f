using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>Machines of the demo shop.</summary>
internal static class DemoMachines
{
    private static readonly EquipmentHour Printer = new EquipmentHour(
        5200,
        Resale: 900,
        4,
        ProductiveHoursAYear: 700,
        0.7,
        DutyShare: 0.5,
        0.45m
    );

    public static void PutPrintersAndPresses(SqliteConnection c, OpenShop shop, Deed deed)
    {
        var today = DemoData.Today(c, shop);
        PutFilmPrinter(c, deed);
        PutDyePrinter(c, deed);
        PutPresses(c, today, deed);
        PutSupplies(c, today, deed);
    }

    private static void PutFilmPrinter(SqliteConnection c, Deed deed)
    {
        Aggregates
            .Of<FilmPrinter>()
            .Put(
                c,
                new(
                    "skua",
                    "Skua",
                    13,
                    GapIn: 0.25,
                    11,
                    ColourMlPerIn2: 0.011,
                    0.16m,
                    0.014,
                    0.14m,
                    true,
                    0.0042m,
                    0.016,
                    0.028m,
                    18,
                    0.05m,
                    35,
                    FilmCure.Oven,
                    Printer,
                    "Powder is fine dust: extraction on, mask on, no flame. Oven and film burn. The data sheets of "
                        + "ink and powder decide."
                ),
                0,
                deed
            );
    }

    private static void PutDyePrinter(SqliteConnection c, Deed deed)
    {
        Aggregates
            .Of<DyePrinter>()
            .Put(
                c,
                new(
                    "plover",
                    "Plover",
                    32,
                    InkMlPerIn2: 0.010,
                    0.21m,
                    13,
                    19,
                    0.25,
                    0.28m,
                    8,
                    0.009m,
                    ProtectionPrice: 0.05m,
                    Printer with
                    {
                        PriceNew = 900,
                        Resale = 100,
                        PowerKw = 0.1,
                    },
                    "Dye fumes while pressing: window open, extraction on."
                ),
                0,
                deed
            );
    }

    private static void PutSupplies(SqliteConnection c, LocalDate today, Deed deed)
    {
        var weekAgo = today.PlusDays(-7).At(new LocalTime(9, 0));
        Aggregates
            .Of<PrinterSupplies>()
            .Put(
                c,
                new(
                    "skua",
                    [
                        new(Supply.ColourInk, ["Skerry pigment"], 800, LowAt: 100),
                        new(Supply.WhiteInk, ["Skerry white"], 500, LowAt: 100),
                        new(Supply.Film, ["Skua cold film", "Skua warm film"], 3900, LowAt: 200),
                        new(Supply.Powder, ["Marl fine"], 1000, LowAt: 150),
                    ],
                    [
                        new(Supply.ColourInk, "Skerry pigment", Lot: "0526-C", weekAgo, 620, "Wren"),
                        new(Supply.Film, "Skua cold film", Lot: "F-118", weekAgo, 3900, "Wren"),
                        new(Supply.Powder, "Marl fine", Lot: "P-31", weekAgo.PlusDays(1), 800, "Ines"),
                        new(Supply.WhiteInk, "Skerry white", Lot: "0526-W", weekAgo.PlusDays(2), 110, "Wren"),
                    ]
                ),
                0,
                deed
            );
    }

    private static void PutPresses(SqliteConnection c, LocalDate today, Deed deed)
    {
        Aggregates
            .Of<Press>()
            .Put(
                c,
                new(
                    "gannet",
                    "Gannet",
                    "swing-away",
                    16,
                    20,
                    WarmUpMinutes: 15,
                    20,
                    DropFPerMinute: 5,
                    -5,
                    new(1450, Resale: 250, 5, ProductiveHoursAYear: 600, 1.8, DutyShare: 0.35, 0.12m),
                    "Platen and guard burn: gloves, and hands clear when it swings. Into the wall socket, never an "
                        + "extension lead. The maker's manual decides."
                )
                {
                    Lowers = [new("sleeve", 4.5, 14), new("youth", 12, 14)],
                    Accessories =
                    [
                        new("small pillow", AccessoryKind.Pillow, 6, 6, ThicknessIn: 0.5, 0, today),
                        new("sock jigs", AccessoryKind.Jig, 4, 14, ThicknessIn: 0.2, 0, today.PlusDays(-200)),
                        new("cover sheet", AccessoryKind.CoverSheet, 16, 20, ThicknessIn: 0, 200, today.PlusDays(-60)),
                    ],
                },
                0,
                deed
            );
        Aggregates
            .Of<Press>()
            .Put(
                c,
                new(
                    "petrel",
                    "Petrel",
                    "clamshell",
                    15,
                    15,
                    WarmUpMinutes: 12,
                    22,
                    DropFPerMinute: 5,
                    4,
                    new(680, Resale: 90, 5, ProductiveHoursAYear: 500, 1.4, DutyShare: 0.35, 0.10m),
                    "Heavy lid: hands on the handle only. The platen burns. The maker's manual decides."
                )
                {
                    Lowers = [new("sleeve", 4.5, 12)],
                },
                0,
                deed
            );
        Aggregates
            .Of<Press>()
            .Put(
                c,
                new(
                    "puffin",
                    "Puffin",
                    "cap",
                    5.5,
                    3,
                    WarmUpMinutes: 9,
                    24,
                    DropFPerMinute: 5,
                    null,
                    new(320, Resale: 40, 5, ProductiveHoursAYear: 250, 0.6, DutyShare: 0.35, 0.08m),
                    "Curved platen burns on its upper edge. The maker's manual decides."
                ),
                0,
                deed
            );
        Aggregates
            .Of<Press>()
            .Put(
                c,
                new(
                    "ember",
                    "Ember",
                    "oven",
                    16,
                    20,
                    WarmUpMinutes: 10,
                    25,
                    DropFPerMinute: 5,
                    null,
                    new(390, Resale: 50, 5, ProductiveHoursAYear: 400, 1.2, DutyShare: 0.5, 0.05m),
                    "Oven, tray and film burn: gloves. Fumes: extraction on, window open."
                ),
                0,
                deed
            );
    }

    public static void PutDesktopAndStitching(SqliteConnection c, Deed deed)
    {
        Aggregates
            .Of<PaperPrinter>()
            .Put(
                c,
                new(
                    "dunlin",
                    "Dunlin",
                    22,
                    WidestIn: 8.5,
                    0.012,
                    0.38m,
                    new(190, Resale: 20, 3, ProductiveHoursAYear: 200, 0.02, DutyShare: 0.5, 0.10m),
                    "Pigment ink only: dye ink runs in the first wash."
                ),
                0,
                deed
            );
        Aggregates
            .Of<StitchMachine>()
            .Put(
                c,
                new(
                    "bittern",
                    "Bittern",
                    700,
                    1,
                    Needles: 12,
                    12,
                    8,
                    true,
                    0.20m,
                    BackingPerPiece: 0.12m,
                    24m,
                    new(6400, Resale: 1900, 6, ProductiveHoursAYear: 800, 0.3, DutyShare: 0.6, 0.45m),
                    "Needle and take-up lever: hands out while it runs, hair tied. Eye shield on. The maker's manual decides."
                )
                {
                    AppliqueFilmPerIn2 = 0.018m,
                },
                0,
                deed
            );
    }

    public static void PutCalenderAndCutter(SqliteConnection c, OpenShop shop, Deed deed)
    {
        var today = DemoData.Today(c, shop);
        Aggregates
            .Of<Calender>()
            .Put(
                c,
                new(
                    "curlew",
                    "Curlew",
                    61,
                    0.34m,
                    900,
                    InkMlPerIn2: 0.009,
                    0.09m,
                    30,
                    0.85m,
                    new(8900, Resale: 2600, 8, ProductiveHoursAYear: 700, 5.5, DutyShare: 0.6, 0.60m),
                    "Hot drum: no loose sleeves, hands on the feed table, two at it with long pieces. Dye fumes: "
                        + "extraction on. The maker's manual decides."
                ),
                0,
                deed
            );
        Aggregates
            .Of<RollCloth>()
            .Put(
                c,
                new(
                    "selvage-interlock",
                    "Selvage & Daughters",
                    Product: "Smooth interlock",
                    100,
                    WeightGsm: 150,
                    60,
                    1.95m,
                    36,
                    ShrinkShare: 0.03,
                    13m,
                    3
                ),
                0,
                deed
            );
        Aggregates
            .Of<Cutter>()
            .Put(
                c,
                new(
                    "scissorbill",
                    "Scissorbill",
                    22,
                    SpeedIn2PerMinute: 70,
                    new(540, Resale: 120, 5, ProductiveHoursAYear: 400, 0.06, DutyShare: 0.5, 0.25m),
                    "The blade is sharper than it looks: hands off while it runs."
                ),
                0,
                deed
            );
        Aggregates
            .Of<Downtime>()
            .Put(
                c,
                new(
                    "blade",
                    "scissorbill",
                    today.PlusDays(-12),
                    today.PlusDays(-10),
                    "Blade holder cracked; a new one came by parcel",
                    CalledOff: false
                ),
                0,
                deed
            );
    }
}
