using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Stock;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Demo;

/// <summary>What the demo shop buys: film, vinyl, screened transfers, papers, work sent out.</summary>
internal static class DemoBought
{
    public static void PutTransfers(SqliteConnection c, OpenShop shop, Deed deed)
    {
        static IReadOnlyList<PriceBreak> Breaks(decimal one) =>
            [new(1, one), new(25, decimal.Round(one * 0.88m, 2)), new(75, decimal.Round(one * 0.78m, 2))];
        Aggregates
            .Of<TransferPriceList>()
            .Put(
                c,
                new(
                    "ferrow",
                    "Ferrow",
                    Product: "Cold-peel film",
                    [
                        new("4 × 4", 4, 4, Breaks(0.95m)),
                        new("5 × 8", 5, 8, Breaks(1.70m)),
                        new("11 × 11", 11, 11, Breaks(3.10m)),
                        new("12 × 16", 12, 16, Breaks(4.20m)),
                    ],
                    9m,
                    2
                )
                {
                    ByLayout = new(
                        0.5,
                        0.25,
                        new(22, StepIn: 12, [new(1, 4.60m), new(30, 4.30m)], []),
                        [new("11 × 15", 11, 15, [new(1, 4.10m), new(10, 3.40m), new(40, 2.90m)])]
                    ),
                },
                0,
                deed
            );
        Aggregates
            .Of<TransferPriceList>()
            .Put(
                c,
                new(
                    "brent",
                    "Brent Colour",
                    Product: "Full-colour blocked transfer",
                    [new("5 × 6", 5, 6, Breaks(1.85m)), new("11 × 14", 11, 14, Breaks(4.90m))],
                    8m,
                    4
                )
                {
                    Kind = TransferKind.Digital,
                },
                0,
                deed
            );
        Aggregates
            .Of<KeptPrint>()
            .Put(
                c,
                new(
                    "hem-tern",
                    "hem tern",
                    1,
                    0.5,
                    null,
                    "ferrow",
                    60,
                    GoodDays: 365,
                    [new(6, DemoData.Today(c, shop).PlusDays(-40), "")]
                ),
                0,
                deed
            );
        Aggregates
            .Of<VinylFilm>()
            .Put(c, new("tidewell", "Tidewell", Product: "Smooth vinyl", 19.5, 3.10m, 0.25, 7.50m, 2), 0, deed);
        Aggregates
            .Of<VinylFilm>()
            .Put(
                c,
                new("tidewell-low", "Tidewell", Product: "Low-heat vinyl", 19.5, 4.40m, 0.25, 7.50m, 3)
                {
                    Blocks = true,
                },
                0,
                deed
            );
        static IReadOnlyList<PriceBreak> Sheets(decimal dozen) =>
            [new(12, dozen), new(36, decimal.Round(dozen * 0.72m, 2)), new(72, decimal.Round(dozen * 0.55m, 2))];
        Aggregates
            .Of<ScreenTransferList>()
            .Put(
                c,
                new(
                    "marram",
                    "Marram Screenprint",
                    Product: "Hot-peel transfer",
                    ScreenFormula.HotPeel,
                    [
                        new("5 × 6", 5, 6, [new(1, Sheets(1.30m)), new(2, Sheets(1.75m)), new(3, Sheets(2.20m))]),
                        new(
                            "11 × 13",
                            11,
                            13,
                            [new(1, Sheets(2.10m)), new(2, Sheets(2.80m)), new(3, Sheets(3.50m)), new(4, Sheets(4.20m))]
                        ),
                    ],
                    14m,
                    true,
                    12,
                    10m,
                    6
                ),
                0,
                deed
            );
    }

    public static void PutPapersAndServices(SqliteConnection c, Deed deed)
    {
        Aggregates
            .Of<TransferPaper>()
            .Put(
                c,
                new(
                    "linden-light",
                    "Linden Papers",
                    Product: "Light-cloth paper",
                    PaperKind.Light,
                    8.5,
                    11,
                    MarginIn: 0.25,
                    0.6,
                    BleedIn: 0.0625,
                    0.62m,
                    FreightPerOrder: 0,
                    1
                ),
                0,
                deed
            );
        Aggregates
            .Of<TransferPaper>()
            .Put(
                c,
                new(
                    "linden-opaque",
                    "Linden Papers",
                    Product: "Opaque paper",
                    PaperKind.Opaque,
                    8.5,
                    11,
                    MarginIn: 0.25,
                    0.6,
                    BleedIn: 0.0625,
                    1.15m,
                    FreightPerOrder: 0,
                    1
                ),
                0,
                deed
            );
        static IReadOnlyList<PriceBreak> Screened(decimal two) =>
            [
                new(24, two),
                new(72, decimal.Round(two * 0.62m, 2)),
                new(144, decimal.Round(two * 0.46m, 2)),
                new(288, decimal.Round(two * 0.36m, 2)),
            ];
        Aggregates
            .Of<OutsidePrinter>()
            .Put(
                c,
                new(
                    "quayside",
                    "Quayside Print",
                    28m,
                    [
                        new(1, Screened(2.30m)),
                        new(2, Screened(2.90m)),
                        new(3, Screened(3.40m)),
                        new(4, Screened(3.90m)),
                        new(5, Screened(4.40m)),
                    ],
                    24,
                    0.02,
                    12m,
                    FreightBack: 12m,
                    7,
                    14,
                    16
                )
                {
                    RepeatPerScreen = 9m,
                },
                0,
                deed
            );
        Aggregates
            .Of<PodService>()
            .Put(
                c,
                new(
                    "sandling",
                    "Sandling",
                    [
                        new(GarmentKind.Tee, 11.80m),
                        new(GarmentKind.LongSleeve, 15.40m),
                        new(GarmentKind.Sweatshirt, 19.60m),
                        new(GarmentKind.Hoodie, 24.50m),
                        new(GarmentKind.Tote, 10.20m),
                    ],
                    4.30m,
                    PostageFirst: 4.60m,
                    1.20m,
                    4,
                    TransitDays: 3,
                    6,
                    MostWidthIn: 12,
                    16
                ),
                0,
                deed
            );
    }
}
