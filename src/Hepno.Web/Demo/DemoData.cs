using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Demo;

/// <summary>Tern &amp; Tallow in Skerry Quay: invented, relative to now, made through the same deeds as everything else.</summary>
internal static class DemoData
{
    private const string Device = "demo";

    public static void Fill(Desk desk) =>
        desk.Db.Write(connection =>
        {
            if (Aggregates.Numbers.Get(connection, "1") is not null)
            {
                return 0;
            }
            Shop(connection, desk);
            Customers(connection, desk);
            DemoOrders.Fill(connection, desk);
            return 0;
        });

    internal static Deed At(Desk desk, string name, double hoursAgo = 0) =>
        new(name, Device, desk.Clock.Utc.AddHours(-hoursAgo), false);

    private static void Shop(SqliteConnection c, Desk desk)
    {
        var deed = At(desk, "demo data", 200);
        var week = new[] { (0, 0), (8, 18), (8, 18), (8, 18), (8, 18), (8, 18), (9, 14) }
            .Select(h => h.Item1 == 0 ? new DayHours(null, null) : new DayHours(new(h.Item1, 0), new(h.Item2, 0)))
            .ToList();
        var helperWeek = week.Select(
                (d, day) => day is >= 2 and <= 5 ? new DayHours(new(10, 0), new(16, 0)) : new DayHours(null, null)
            )
            .ToList();
        Aggregates.Numbers.Put(
            c,
            (
                ShopNumbers.Default with
                {
                    Identity = ShopIdentity.Default with
                    {
                        Name = "Tern & Tallow",
                        Address = "Cloth, decorated. 4 Net Row, Skerry Quay",
                        Contact = "hello@ternandtallow.example",
                        TimeZone = ShopClock.MachineZone,
                    },
                    Fees = FeeRules.Default with { TaxShare = 0.08m },
                    Week = new(
                        week,
                        [
                            new("wren", "Wren", 18.50m, 0, week, new(12, 30), 45, []),
                            new("ines", "Ines", 14.00m, 0.13m, helperWeek, new(13, 15), 30, []),
                        ]
                    ),
                    Rates = CostRates.Default with
                    {
                        FixedCosts =
                        [
                            new("Rent of the workshop", 780),
                            new("Power base and water", 95),
                            new("Software and telephone", 64),
                            new("Insurance", 48),
                        ],
                    },
                }
            ).Settled(),
            0,
            deed
        );

        IReadOnlyList<StyleSize> sizes =
        [
            new("XS", 0),
            new("S", 0),
            new("M", 0),
            new("L", 0),
            new("XL", 0),
            new("2XL", 1.80m),
            new("3XL", 3.10m),
        ];
        Aggregates.Styles.Put(
            c,
            new(
                "hollin",
                "Hollin 150",
                "Corran Mill",
                GarmentKind.Tee,
                [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)],
                150,
                330,
                3.40m,
                12m,
                1,
                [
                    new("navy", "Navy", "#2b3b5e", ColourClass.Dark),
                    new("white", "White", "#fcfaf5", ColourClass.White),
                    new("sage", "Sage", "#a9b69d", ColourClass.Mid),
                ],
                sizes,
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "brae",
                "Brae 180",
                "Corran Mill",
                GarmentKind.Tee,
                [new(Fibre.Cotton, 100)],
                180,
                380,
                4.70m,
                12m,
                1,
                [
                    new("black", "Black", "#22252b", ColourClass.Dark),
                    new("sand", "Sand", "#d6c59b", ColourClass.Pale),
                    new("white", "White", "#fcfaf5", ColourClass.White),
                ],
                sizes,
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "fell",
                "Fell 280",
                "Brisling & Daughter",
                GarmentKind.Hoodie,
                [new(Fibre.Cotton, 80), new(Fibre.Polyester, 20)],
                280,
                340,
                13.20m,
                14m,
                2,
                [new("slate", "Slate", "#4a5b68", ColourClass.Dark), new("storm", "Storm", "#8b949b", ColourClass.Mid)],
                sizes,
                false
            ),
            0,
            deed
        );

        Aggregates.Styles.Put(
            c,
            new(
                "sprint",
                "Sprint 140",
                "Brisling & Daughter",
                GarmentKind.Tee,
                [new(Fibre.Polyester, 100)],
                140,
                400,
                5.10m,
                14m,
                2,
                [new("white", "White", "#fcfaf5", ColourClass.White), new("kelp", "Kelp", "#3c5a4a", ColourClass.Dark)],
                sizes,
                false
            ),
            0,
            deed
        );

        Aggregates.Styles.Put(
            c,
            new(
                "loft",
                "Loft 240",
                "Corran Mill",
                GarmentKind.Sweatshirt,
                [new(Fibre.Cotton, 70), new(Fibre.Polyester, 30)],
                240,
                340,
                9.80m,
                12m,
                1,
                [new("oat", "Oat", "#dfd3bb", ColourClass.Pale), new("ink", "Ink", "#22293a", ColourClass.Dark)],
                sizes,
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "minnow",
                "Minnow 150",
                "Corran Mill",
                GarmentKind.Tee,
                [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)],
                150,
                330,
                2.90m,
                12m,
                1,
                [new("navy", "Navy", "#2b3b5e", ColourClass.Dark), new("white", "White", "#fcfaf5", ColourClass.White)],
                [new("YS", 0), new("YM", 0), new("YL", 0)],
                false,
                null,
                new(Thickness.Thin, Migration.ByCloth, [Feature.TearAwayLabel]),
                new([new(10, 0, 2.70m), new(0, 250, 2.55m)], 250, 1, new(15, 0))
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "haul",
                "Haul tote",
                "Brisling & Daughter",
                GarmentKind.Tote,
                [new(Fibre.Cotton, 100)],
                220,
                390,
                2.60m,
                14m,
                2,
                [new("natural", "Natural", "#e6dcc4", ColourClass.Pale)],
                [new("One size", 0)],
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "cove",
                "Cove cap",
                "Halyard Headwear",
                GarmentKind.Cap,
                [new(Fibre.Cotton, 100)],
                260,
                340,
                4.10m,
                11m,
                3,
                [new("navy", "Navy", "#2b3b5e", ColourClass.Dark), new("stone", "Stone", "#c9bfa8", ColourClass.Pale)],
                [new("One size", 0)],
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "galley",
                "Galley apron",
                "Halyard Headwear",
                GarmentKind.Apron,
                [new(Fibre.Cotton, 65), new(Fibre.Polyester, 35)],
                245,
                350,
                6.30m,
                11m,
                3,
                [new("charcoal", "Charcoal", "#3b3f45", ColourClass.Dark)],
                [new("One size", 0)],
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "fulmar",
                "Fulmar jersey",
                "Brisling & Daughter",
                GarmentKind.Tee,
                [new(Fibre.Polyester, 100)],
                150,
                300,
                7.40m,
                14m,
                2,
                [new("navy", "Navy", "#22304f", ColourClass.Dark)],
                sizes,
                false,
                null,
                new(Thickness.Thin, Migration.High, [])
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "holm",
                "Holm 270",
                "Corran Mill",
                GarmentKind.Hoodie,
                [new(Fibre.Cotton, 50), new(Fibre.Polyester, 50)],
                270,
                370,
                12.60m,
                12m,
                1,
                [new("black", "Black", "#24262b", ColourClass.Dark)],
                sizes,
                false,
                null,
                new(Thickness.Middle, Migration.None, [Feature.Hood])
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "squall",
                "Squall jacket",
                "Halyard Headwear",
                GarmentKind.Jacket,
                [new(Fibre.Nylon, 100)],
                120,
                280,
                19.80m,
                11m,
                3,
                [new("navy", "Navy", "#26324c", ColourClass.Dark)],
                sizes,
                false,
                null,
                new(null, Migration.ByCloth, [Feature.Zip, Feature.Hood, Feature.Coated])
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "links",
                "Links polo",
                "Corran Mill",
                GarmentKind.Polo,
                [new(Fibre.Cotton, 60), new(Fibre.Polyester, 40)],
                210,
                340,
                8.90m,
                12m,
                1,
                [
                    new("bottle", "Bottle green", "#2b4a3c", ColourClass.Dark),
                    new("white", "White", "#fcfaf5", ColourClass.White),
                ],
                sizes,
                false
            ),
            0,
            deed
        );
        Aggregates.Styles.Put(
            c,
            new(
                "strand",
                "Strand socks",
                "Halyard Headwear",
                GarmentKind.Socks,
                [new(Fibre.Polyester, 96), new(Fibre.Elastane, 4)],
                160,
                400,
                2.10m,
                11m,
                3,
                [new("white", "White", "#fcfaf5", ColourClass.White)],
                [new("One size", 0)],
                false
            ),
            0,
            deed
        );

        static IReadOnlyList<PriceBreak> Breaks(decimal one) =>
            [new(1, one), new(25, decimal.Round(one * 0.88m, 2)), new(75, decimal.Round(one * 0.78m, 2))];
        Aggregates.Films.Put(
            c,
            new(
                "ferrow",
                "Ferrow",
                "Cold-peel film",
                [
                    new("4 × 4", 4, 4, Breaks(0.95m)),
                    new("5 × 8", 5, 8, Breaks(1.70m)),
                    new("11 × 11", 11, 11, Breaks(3.10m)),
                    new("12 × 16", 12, 16, Breaks(4.20m)),
                ],
                9m,
                2,
                new(
                    0.5,
                    0.25,
                    new(22, 12, [new(1, 4.60m), new(30, 4.30m)], []),
                    [new("11 × 15", 11, 15, [new(1, 4.10m), new(10, 3.40m), new(40, 2.90m)])]
                )
            ),
            0,
            deed
        );
        Aggregates.Films.Put(
            c,
            new(
                "brent",
                "Brent Colour",
                "Full-colour blocked transfer",
                [new("5 × 6", 5, 6, Breaks(1.85m)), new("11 × 14", 11, 14, Breaks(4.90m))],
                8m,
                4,
                Kind: TransferKind.Digital
            ),
            0,
            deed
        );
        Aggregates.KeptPrints.Put(
            c,
            new(
                "hem-tern",
                "hem tern",
                1,
                0.5,
                null,
                "ferrow",
                60,
                365,
                [new(6, DateOnly.FromDateTime(desk.Clock.Utc.AddDays(-40)), "")]
            ),
            0,
            deed
        );
        Aggregates.Vinyls.Put(c, new("tidewell", "Tidewell", "Smooth vinyl", 19.5, 3.10m, 0.25, 7.50m, 2), 0, deed);
        Aggregates.Vinyls.Put(
            c,
            new("tidewell-low", "Tidewell", "Low-heat vinyl", 19.5, 4.40m, 0.25, 7.50m, 3, Blocks: true),
            0,
            deed
        );
        static IReadOnlyList<PriceBreak> Sheets(decimal dozen) =>
            [new(12, dozen), new(36, decimal.Round(dozen * 0.72m, 2)), new(72, decimal.Round(dozen * 0.55m, 2))];
        Aggregates.Screens.Put(
            c,
            new(
                "marram",
                "Marram Screenprint",
                "Hot-peel transfer",
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
        var printer = new EquipmentHour(5200, 900, 4, 700, 0.7, 0.5, 0.45m);
        Aggregates.FilmPrinters.Put(
            c,
            new(
                "skua",
                "Skua",
                13,
                0.25,
                11,
                0.011,
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
                printer,
                "Powder is fine dust: extraction on, mask on, no flame. Oven and film burn. The data sheets of ink and powder decide."
            ),
            0,
            deed
        );
        Aggregates.DyePrinters.Put(
            c,
            new(
                "plover",
                "Plover",
                32,
                0.010,
                0.21m,
                13,
                19,
                0.25,
                0.28m,
                8,
                0.009m,
                0.05m,
                printer with
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
        Aggregates.Presses.Put(
            c,
            new(
                "gannet",
                "Gannet",
                "swing-away",
                16,
                20,
                15,
                20,
                5,
                -5,
                new(1450, 250, 5, 600, 1.8, 0.35, 0.12m),
                "Platen and guard burn: gloves, and hands clear when it swings. Into the wall socket, never an extension lead. The maker's manual decides.",
                [new("sleeve", 4.5, 14), new("youth", 12, 14)],
                Accessories:
                [
                    new("small pillow", AccessoryKind.Pillow, 6, 6, 0.5, 0, DateOnly.FromDateTime(desk.Clock.Utc)),
                    new(
                        "sock jigs",
                        AccessoryKind.Jig,
                        4,
                        14,
                        0.2,
                        0,
                        DateOnly.FromDateTime(desk.Clock.Utc.AddDays(-200))
                    ),
                    new(
                        "cover sheet",
                        AccessoryKind.CoverSheet,
                        16,
                        20,
                        0,
                        200,
                        DateOnly.FromDateTime(desk.Clock.Utc.AddDays(-60))
                    ),
                ]
            ),
            0,
            deed
        );
        Aggregates.Presses.Put(
            c,
            new(
                "petrel",
                "Petrel",
                "clamshell",
                15,
                15,
                12,
                22,
                5,
                4,
                new(680, 90, 5, 500, 1.4, 0.35, 0.10m),
                "Heavy lid: hands on the handle only. The platen burns. The maker's manual decides.",
                [new("sleeve", 4.5, 12)]
            ),
            0,
            deed
        );
        Aggregates.Presses.Put(
            c,
            new(
                "puffin",
                "Puffin",
                "cap",
                5.5,
                3,
                9,
                24,
                5,
                null,
                new(320, 40, 5, 250, 0.6, 0.35, 0.08m),
                "Curved platen burns on its upper edge. The maker's manual decides."
            ),
            0,
            deed
        );
        Aggregates.Presses.Put(
            c,
            new(
                "ember",
                "Ember",
                "oven",
                16,
                20,
                10,
                25,
                5,
                null,
                new(390, 50, 5, 400, 1.2, 0.5, 0.05m),
                "Oven, tray and film burn: gloves. Fumes: extraction on, window open."
            ),
            0,
            deed
        );
        var weekAgo = desk.Clock.Wall(Desk.Numbers(c).Identity.TimeZone).Date.AddDays(-7).AddHours(9);
        Aggregates.Supplies.Put(
            c,
            new(
                "skua",
                [
                    new(Supply.ColourInk, ["Skerry pigment"], 800, 100),
                    new(Supply.WhiteInk, ["Skerry white"], 500, 100),
                    new(Supply.Film, ["Skua cold film", "Skua warm film"], 3900, 200),
                    new(Supply.Powder, ["Marl fine"], 1000, 150),
                ],
                [
                    new(Supply.ColourInk, "Skerry pigment", "0526-C", weekAgo, 620, "Wren"),
                    new(Supply.Film, "Skua cold film", "F-118", weekAgo, 3900, "Wren"),
                    new(Supply.Powder, "Marl fine", "P-31", weekAgo.AddDays(1), 800, "Ines"),
                    new(Supply.WhiteInk, "Skerry white", "0526-W", weekAgo.AddDays(2), 110, "Wren"),
                ]
            ),
            0,
            deed
        );
        Aggregates.PaperPrinters.Put(
            c,
            new(
                "dunlin",
                "Dunlin",
                22,
                8.5,
                0.012,
                0.38m,
                new(190, 20, 3, 200, 0.02, 0.5, 0.10m),
                "Pigment ink only: dye ink runs in the first wash."
            ),
            0,
            deed
        );
        Aggregates.Stitchers.Put(
            c,
            new(
                "bittern",
                "Bittern",
                700,
                1,
                12,
                12,
                8,
                true,
                0.20m,
                0.12m,
                24m,
                new(6400, 1900, 6, 800, 0.3, 0.6, 0.45m),
                "Needle and take-up lever: hands out while it runs, hair tied. Eye shield on. The maker's manual decides.",
                0.018m
            ),
            0,
            deed
        );
        Aggregates.Papers.Put(
            c,
            new(
                "linden-light",
                "Linden Papers",
                "Light-cloth paper",
                PaperKind.Light,
                8.5,
                11,
                0.25,
                0.6,
                0.0625,
                0.62m,
                0,
                1
            ),
            0,
            deed
        );
        Aggregates.Papers.Put(
            c,
            new(
                "linden-opaque",
                "Linden Papers",
                "Opaque paper",
                PaperKind.Opaque,
                8.5,
                11,
                0.25,
                0.6,
                0.0625,
                1.15m,
                0,
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
        Aggregates.OutsidePrinters.Put(
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
                12m,
                7,
                14,
                16,
                9m
            ),
            0,
            deed
        );
        Aggregates.PodServices.Put(
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
                4.60m,
                1.20m,
                4,
                3,
                6,
                12,
                16
            ),
            0,
            deed
        );
        Aggregates.Calenders.Put(
            c,
            new(
                "curlew",
                "Curlew",
                61,
                0.34m,
                900,
                0.009,
                0.09m,
                30,
                0.85m,
                new(8900, 2600, 8, 700, 5.5, 0.6, 0.60m),
                "Hot drum: no loose sleeves, hands on the feed table, two at it with long pieces. Dye fumes: extraction on. The maker's manual decides."
            ),
            0,
            deed
        );
        Aggregates.Cloths.Put(
            c,
            new("selvage-interlock", "Selvage & Daughters", "Smooth interlock", 100, 150, 60, 1.95m, 36, 0.03, 13m, 3),
            0,
            deed
        );
        Aggregates.Cutters.Put(
            c,
            new(
                "scissorbill",
                "Scissorbill",
                22,
                70,
                new(540, 120, 5, 400, 0.06, 0.5, 0.25m),
                "The blade is sharper than it looks: hands off while it runs."
            ),
            0,
            deed
        );

        var day = DateOnly.FromDateTime(desk.Clock.Utc.AddDays(-60));
        const string Up = "film up, right-reading";
        const string Mirrored = "carrier up, cut mirrored";
        Aggregates.Recipes.Put(
            c,
            new(
                "film-cotton",
                "ferrow",
                "rev 3",
                RecipeFabric.Cotton,
                310,
                15,
                3,
                "medium",
                5,
                Peel.Cold,
                60,
                8,
                Up,
                RecipeSource.OwnTest,
                day,
                "Peel only when it is cold: warm film lifts the edges.",
                Parameters: [new("peel", RecipeSource.Learned, day.AddDays(20), "45 s lifted twice")]
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "film-polyester",
                "ferrow",
                "rev 3",
                RecipeFabric.Polyester,
                275,
                12,
                2,
                "medium",
                5,
                Peel.Cold,
                60,
                5,
                Up,
                RecipeSource.Maker,
                day,
                "Above 275 °F dark polyester bleeds."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "vinyl-cotton",
                "tidewell",
                "2025",
                RecipeFabric.Cotton,
                310,
                14,
                3,
                "medium",
                5,
                Peel.Warm,
                8,
                4,
                Mirrored,
                RecipeSource.Maker,
                day,
                "Lower layers three seconds only: a layer pressed twice shrinks."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "low-cotton",
                "tidewell-low",
                "2025",
                RecipeFabric.Cotton,
                278,
                12,
                2,
                "medium",
                5,
                Peel.Cold,
                15,
                3,
                Mirrored,
                RecipeSource.Maker,
                day,
                ""
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "own-cotton",
                "skua",
                "our 14th",
                RecipeFabric.Cotton,
                305,
                15,
                3,
                "medium",
                5,
                Peel.Cold,
                60,
                8,
                Up,
                RecipeSource.OwnTest,
                day,
                "Glossy all over when it came out of the heat: dull or grainy powder was not cured."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "dye-polyester",
                "plover",
                "our 3rd",
                RecipeFabric.Polyester,
                390,
                60,
                2,
                "light",
                5,
                Peel.Hot,
                0,
                0,
                "print down, mirrored",
                RecipeSource.OwnTest,
                day,
                "Fumes: extraction on. Fresh protection paper under and over every piece."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "screen-cotton",
                "marram",
                "2026",
                RecipeFabric.Cotton,
                365,
                6,
                2,
                "firm",
                5,
                Peel.Hot,
                0,
                0,
                "print down, right-reading",
                RecipeSource.Maker,
                day,
                "Peel in one pull while it is hot."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "low-polyester",
                "tidewell-low",
                "2025",
                RecipeFabric.Polyester,
                278,
                12,
                2,
                "medium",
                5,
                Peel.Cold,
                15,
                3,
                Mirrored,
                RecipeSource.Assumed,
                day,
                "Spot-test first. Its grey back keeps the cloth's dye down: never hotter."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "light-cotton",
                "linden-light",
                "2026",
                RecipeFabric.Cotton,
                355,
                18,
                3,
                "firm",
                5,
                Peel.Hot,
                0,
                7,
                "print down, mirrored",
                RecipeSource.Maker,
                day,
                "Trim close: what is left round it shows as a shine."
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "opaque-cotton",
                "linden-opaque",
                "2026",
                RecipeFabric.Cotton,
                340,
                24,
                3,
                "firm",
                5,
                Peel.Cold,
                60,
                0,
                "print up, right-reading, its backing off",
                RecipeSource.Maker,
                day,
                "Never an iron on it without the parchment.",
                Cover.Parchment
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "blocked-cotton",
                "brent",
                "rev 2",
                RecipeFabric.Cotton,
                305,
                12,
                3,
                "medium",
                5,
                Peel.Cold,
                60,
                0,
                "print down, right-reading",
                RecipeSource.Maker,
                day,
                "",
                Cover.ReleaseSheet
            ),
            0,
            deed
        );
        Aggregates.Recipes.Put(
            c,
            new(
                "applique-cotton",
                "bittern",
                "our 2nd",
                RecipeFabric.Cotton,
                320,
                10,
                3,
                "medium",
                0,
                Peel.Hot,
                0,
                0,
                "film down, the stitched edge up",
                RecipeSource.OwnTest,
                day,
                "Always covered: bare thread scorches.",
                Cover.Sheet
            ),
            0,
            deed
        );
        Aggregates.TestGarments.Put(
            c,
            new("misprints", "Black and white tees, misprinted", "100% cotton", 14, "box under the sink"),
            0,
            deed
        );
        Aggregates.TestGarments.Put(c, new("sports", "Sports tees, samples", "100% polyester", 3, ""), 0, deed);
        Aggregates.SpotTests.Put(
            c,
            new(
                "test-brae",
                "ferrow",
                "brae",
                "",
                310,
                15,
                "medium",
                day,
                "Wren",
                true,
                false,
                Bleeding.Clean,
                "soft, thin",
                "",
                [new(day.AddDays(9), 5, WashVerdict.Holds), new(day.AddDays(48), 25, WashVerdict.Holds)],
                "misprints"
            ),
            0,
            deed
        );
        Aggregates.SpotTests.Put(
            c,
            new(
                "test-vinyl",
                "tidewell",
                "brae",
                "black",
                310,
                14,
                "medium",
                day.AddDays(3),
                "Wren",
                true,
                false,
                Bleeding.Clean,
                "firm",
                "",
                [new(day.AddDays(20), 12, WashVerdict.Holds)]
            ),
            0,
            deed
        );
        Aggregates.SpotTests.Put(
            c,
            new(
                "test-jersey",
                "tidewell-low",
                "fulmar",
                "navy",
                278,
                12,
                "medium",
                day.AddDays(8),
                "Wren",
                true,
                false,
                Bleeding.Clean,
                "thin, a little stiff",
                "Nothing came through after a day."
            ),
            0,
            deed
        );
        Aggregates.SpotTests.Put(
            c,
            new(
                "test-apron",
                "marram",
                "galley",
                "",
                365,
                6,
                "firm",
                day.AddDays(11),
                "Ines",
                true,
                true,
                Bleeding.NotLooked,
                "",
                "Shines where the platen's edge lay. Not on this apron."
            ),
            0,
            deed
        );
    }

    private static void Customers(SqliteConnection c, Desk desk)
    {
        foreach (
            var (id, name, contact) in new[]
            {
                ("rowing", "Skerry Quay Rowing", "Mara Fell, kit secretary"),
                ("bakery", "Lantern Street Bakery", "Odo Brandt"),
                ("choir", "Northmoor Choir", "Isaura Łowe"),
                ("boatyard", "Pell's Boatyard", "Ansel Pell"),
                ("school", "Gorse Lane School", "the office"),
                ("vets", "Beacon Hill Vets", "Dr. Tove Őrr"),
                ("ferry", "Narrows Ferry", "Calla Roe, the ticket hut"),
                ("brewers", "Salt Lane Brewers", "Ivo Hask"),
            }
        )
        {
            Aggregates.Customers.Put(
                c,
                new(
                    id,
                    name,
                    contact,
                    id is "rowing" or "ferry"
                        ? $"{name}\n{(id == "rowing" ? "The Boathouse, 2 Slip Road" : "Pier Hut, North Narrows")}\nSkerry Quay"
                        : ""
                ),
                0,
                At(desk, "demo data", 199)
            );
        }
    }
}
