using System.Text.Json;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Curing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Tests;

/// <summary>What the shop keeps comes back as it was kept, and its earlier state with it.</summary>
public sealed class ShelfTests : IDisposable
{
    private static readonly Deed Deed = new("kept", "tests", Instant.FromUtc(2026, 6, 1, 9, 0, 0));
    private static readonly EquipmentHour Machine = new(1450.123456m, 250, 5, 600, 1.8, 0.35, 0.12m);

    // 3.40 and 3.4 are the same money
    private static readonly JsonSerializerOptions Plain = new() { Converters = { new PlainDecimals() } };

    private readonly string folder = Directory.CreateTempSubdirectory("hepno-shelf-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private Db Open()
    {
        var db = new Db(folder);
        db.Open(Deed.At);
        return db;
    }

    private static void Returns<T>(Db db, Aggregate<T> aggregate, string id, T first, T second)
        where T : class
    {
        static string Text(T? value) => JsonSerializer.Serialize(value, Plain);
        Assert.Equal(1, db.Write(c => aggregate.Put(c, first, 0, Deed)));
        Assert.Equal(Text(first), Text(db.Read(c => aggregate.Get(c, id))?.Value));
        Assert.Throws<StaleException>(() => db.Write(c => aggregate.Put(c, second, 0, Deed)));
        Assert.Equal(2, db.Write(c => aggregate.Put(c, second, 1, Deed)));
        // kept again as it stands: nothing to take back
        Assert.Equal(2, db.Write(c => aggregate.Put(c, second, 2, Deed)));
        Assert.Equal(
            Text(second),
            Text(db.Read(c => aggregate.All(c)).Single(v => Text(v.Value) == Text(second)).Value)
        );
        Assert.Equal(Text(first), Text(db.Read(c => aggregate.At(c, id, 1))));
        Assert.Equal(3, db.Write(c => UndoStore.Undo(c, "tests", Deed.At)).Version);
        Assert.Equal(Text(first), Text(db.Read(c => aggregate.Get(c, id))?.Value));
    }

    [Fact]
    public void Everything_on_the_shelf_and_the_floor_comes_back_as_it_was_kept()
    {
        using var db = Open();
        var style = new Style(
            "s",
            "Tee",
            "Mill",
            GarmentKind.Tee,
            [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)],
            150.5,
            330,
            3.40m,
            12m,
            1,
            [new("n", "Navy", "#2b3b5e", ColourClass.Dark)],
            [new("M", 0), new("2XL", 1.80m)],
            false
        )
        {
            OnHand = [new("n", "M", 4)],
        };
        Returns(
            db,
            Aggregates.Styles,
            "s",
            style,
            style with
            {
                Sizes = [new("XS", 0.000001m)],
                Colourways = [],
                Retired = true,
                OnHand = [],
            }
        );
        var film = new TransferPriceList(
            "f",
            "Ferrow",
            "Film",
            [new("4 × 4", 4, 4, [new(1, 1m), new(25, 0.8m)]), new("11", 11, 11, [new(1, 3m)])],
            9m,
            2
        );
        Returns(db, Aggregates.Of<TransferPriceList>(), "f", film, film with { Sizes = [film.Sizes[1]], LeadDays = 9 });
        var vinyl = new VinylFilm("v", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2);
        Returns(db, Aggregates.Of<VinylFilm>(), "v", vinyl, vinyl with { PricePerFoot = 3.333333m });
        var screens = new ScreenTransferList(
            "x",
            "Marram",
            "Hot peel",
            ScreenFormula.SoftSplit,
            [
                new("A", 5, 6, [new(1, [new(12, 1.3m), new(36, 0.9m)]), new(2, [new(12, 1.8m)])]),
                new("B", 11, 13, [new(1, [new(12, 2m)])]),
            ],
            14m,
            true,
            12,
            10m,
            6
        );
        Returns(
            db,
            Aggregates.Of<ScreenTransferList>(),
            "x",
            screens,
            screens with
            {
                Formula = ScreenFormula.Stretch,
                CountsWhite = false,
                Sheets = [screens.Sheets[1]],
            }
        );
        var filmPrinter = new FilmPrinter(
            "p",
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
            Machine,
            "hot"
        );
        Returns(
            db,
            Aggregates.Of<FilmPrinter>(),
            "p",
            filmPrinter,
            filmPrinter with
            {
                Cure = FilmCure.HoverPress,
                WhiteOnLight = false,
            }
        );
        var dyePrinter = new DyePrinter(
            "d",
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
            Machine,
            ""
        );
        Returns(db, Aggregates.Of<DyePrinter>(), "d", dyePrinter, dyePrinter with { SheetPrice = 0.31m });
        var outside = new OutsidePrinter(
            "q",
            "Quayside",
            28m,
            [new(1, [new(24, 2.30m)]), new(3, [new(24, 3.40m), new(72, 2.11m)])],
            24,
            0.02,
            12m,
            11m,
            7,
            14,
            16
        );
        Returns(
            db,
            Aggregates.Of<OutsidePrinter>(),
            "q",
            outside,
            outside with
            {
                RepeatPerScreen = 9.123456m,
                KeepsMonths = 18,
                Blanks = [new(GarmentKind.Tee, 3.35m), new(GarmentKind.Tote, 2m)],
            }
        );
        var cloth = new RollCloth("k", "Selvage", "Interlock", 95, 150.5, 60.25, 1.95m, 36, 0.03, 13m, 3);
        Returns(db, Aggregates.Of<RollCloth>(), "k", cloth, cloth with { PolyesterPercent = 80, StepIn = 1 });
        var calender = new Calender("l", "Curlew", 61, 0.34m, 900, 0.009, 0.09m, 30, 0.85m, Machine, "hot");
        Returns(
            db,
            Aggregates.Of<Calender>(),
            "l",
            calender,
            calender with
            {
                NotionsPerPiece = 0.123456m,
                Cautions = "",
            }
        );
        var cutter = new Cutter("c", "Scissorbill", 22, 70, Machine, "sharp");
        Returns(db, Aggregates.Of<Cutter>(), "c", cutter, cutter with { SpeedIn2PerMinute = 71.5 });
        var press = new Press("g", "Gannet", "swing-away", 16, 20, 15, 20, 5, -5, Machine, "hot");
        Returns(
            db,
            Aggregates.Of<Press>(),
            "g",
            press,
            press with
            {
                OffsetF = null,
                LoadsBeside = true,
                Accessories = [new("pillow", AccessoryKind.Pillow, 6, 6, 0.5, 0, new(2026, 6, 1))],
                Dials = [new("medium", Thickness.Thin, "", 4.5, "pillow")],
            }
        );
        var recipe = new Recipe(
            "r",
            "f",
            "1",
            RecipeFabric.Cotton,
            310,
            15,
            3,
            "medium",
            5,
            Peel.Cold,
            60,
            8,
            "up",
            RecipeSource.Maker,
            new(2026, 6, 1),
            ""
        );
        Returns(
            db,
            Aggregates.Of<Recipe>(),
            "r",
            recipe,
            recipe with
            {
                Parameters = [new("peel", RecipeSource.Learned, new(2026, 7, 2), "45 s lifted")],
                Cover = Cover.Parchment,
                NeverAgain = true,
                SecondPressSeconds = 0,
                PeelWindowSeconds = 7,
                Source = RecipeSource.OwnTest,
                AsOf = new(2026, 7, 1),
            }
        );
        var tested = new SpotTest(
            "t",
            "f",
            "s",
            "",
            310,
            15,
            "medium",
            new(2026, 6, 2),
            "Wren",
            true,
            false,
            Bleeding.NotLooked,
            "soft",
            ""
        );
        Returns(
            db,
            Aggregates.Of<SpotTest>(),
            "t",
            tested,
            tested with
            {
                Bleeding = Bleeding.Clean,
                ColourwayId = "n",
                Scorched = true,
                Washes = [new(new(2026, 6, 9), 5, WashVerdict.Holds), new(new(2026, 7, 9), 25, WashVerdict.Fades)],
                GarmentId = "m",
                Photos = [new("p", new string('a', 64), 5)],
            }
        );
        Returns(
            db,
            Aggregates.Of<TestGarment>(),
            "m",
            new TestGarment("m", "Misprints", "100% cotton", 14, "box"),
            new TestGarment("m", "Misprints", "cotton", 12, "")
        );
        var supplies = new PrinterSupplies("p", [new(Supply.WhiteInk, ["Skerry white"], 500, 100)], []);
        Returns(
            db,
            Aggregates.Of<PrinterSupplies>(),
            "p",
            supplies,
            supplies with
            {
                Loadings = [new(Supply.WhiteInk, "Skerry white", "W-2", new(2026, 6, 3, 9, 5, 0), 320.5, "Wren")],
            }
        );
        var cure = new CureBatch(
            "b",
            31,
            "p",
            new(2026, 6, 3, 9, 10, 0),
            "g",
            248.5,
            2.5,
            "Wren",
            CureSign.Glossy,
            ControlPrint.Holds,
            ControlPrint.NotYet,
            [new("o", "1", "f", 12, true)],
            ["powder: Marl fine, lot P-7"],
            new(1.5, 2.5, 40.25, 3.125),
            CureVerdict.Open,
            ""
        );
        Returns(
            db,
            Aggregates.Cures,
            "b",
            cure,
            cure with
            {
                After = ControlPrint.Lifts,
                Verdict = CureVerdict.Bad,
                Why = "washed out",
            }
        );
        var upkeep = new MachineUpkeep(
            "g",
            [
                new("pads", "Wipe the pad", UpkeepEvery.Week, 5, 0),
                new("pad", "New pad", UpkeepEvery.AsNeeded, 15, 18.25m, 0.5),
            ],
            []
        );
        Returns(
            db,
            Aggregates.Of<MachineUpkeep>(),
            "g",
            upkeep,
            upkeep with
            {
                Tasks = [upkeep.Tasks[1]],
                Done = [new("pad", new(2026, 6, 3), "Wren", "hard as a board")],
            }
        );
        Returns(
            db,
            Aggregates.Numbers,
            "1",
            ShopNumbers.Default,
            ShopNumbers.Default with
            {
                Floor = ShopNumbers.Default.Floor with
                {
                    Habits = new()
                    {
                        Policy = FloorPolicy.OneAtATime,
                        FirstPiece = false,
                        RackPlaces = 5,
                        Measured = true,
                        ColdPlate = true,
                        HandsOnOnly = true,
                        Second = SecondHabit.Never,
                        Times = [new("lint", 7.5)],
                        Covers = [new(Cover.Sheet, 12, 200)],
                        TestFirst = false,
                        PrepareBeside = true,
                    },
                    HandsFactor = 1.07,
                    TestMinutes = 35,
                },
                Rates = ShopNumbers.Default.Rates with
                {
                    Wage = 19.999999m,
                    FixedCosts = [new("Rent", 780.25m)],
                    ProductiveShare = 0.55,
                    CompleteShare = 0.9,
                    Spoilage = [new("htv", 0.031)],
                },
                Identity = ShopNumbers.Default.Identity with
                {
                    Paper = "a4",
                    Format = FigureFormat.Default with { DecimalMark = ",", GroupMark = "." },
                },
                Prices = ShopNumbers.Default.Prices with { TierSteps = [6, 60], SizePricing = SizePricing.Surcharged },
                Packing = ShopNumbers.Default.Packing with
                {
                    ParcelMinutes = 5.5,
                    Packagings = [new("Crate", 90, 9000, 800, 3.10m)],
                },
                Week = ShopNumbers.Default.Week with
                {
                    People =
                    [
                        new(
                            "w",
                            "Wren",
                            18.5m,
                            new(0.13m),
                            ShopNumbers.Default.Week.Days,
                            new(12, 30),
                            45,
                            [new(2026, 7, 1), new(2026, 7, 2)]
                        ),
                        new("i", "Ines", 14, default, ShopNumbers.Default.Week.Days, null, 0, []),
                    ],
                },
            }
        );
    }

    [Fact]
    public void A_database_of_the_first_version_is_brought_up_to_date_and_a_copy_of_it_kept()
    {
        var first = File.ReadAllText(Path.Combine(Tree.Root, "src", "Hepno.Store", "Migrations", "0001-first.sql"));
        using (var old = new SqliteConnection($"Data Source={Db.File(folder)};Pooling=False"))
        {
            old.Open();
            using var command = old.CreateCommand();
            command.CommandText = $$"""
                {{first}}; PRAGMA user_version = 1; INSERT INTO customer (id, version, name, contact, search) VALUES ('a', 1, 'Ansel', '', 'ansel');
                INSERT INTO orders (id, version, number, customer_id, due_date, mark_micros, decision_method, decision_at,
                  created_at) VALUES ('o', 3, 201, 'a', '2026-07-01', 18500000, 'htv', '2026-06-01T10:00:00.000Z',
                  '2026-06-01T09:00:00.000Z');
                INSERT INTO paired_device VALUES ('t', 'hash', 'Tablet', '2026-06-01T09:00:00.000Z', 0);
                INSERT INTO order_size VALUES ('o', 0, 'M', 12);
                INSERT INTO placement VALUES ('o', 0, 'f', 'front', 9, 8, 50, 2, 0, 5);
                INSERT INTO order_counted VALUES ('o', 0, 'M', 7);
                INSERT INTO history (kind, id, version, json, deed, device, at, undoable)
                  VALUES ('order', 'o', 3, '{}', 'method chosen', 'd', '2026-06-01T10:00:00.000Z', 1);
                INSERT INTO quote VALUES ('q', 'o', '2026-06-01T10:00:00.000Z', NULL, '{"ask":{"customerId":"a",
                "styleId":"brae","colourwayId":"n","sizes":[{"size":"M","pieces":12}],"placements":[],"mark":18.5,
                "note":null},"style":{"id":"brae"},"colourway":{"id":"n"},
                "band":{"value":11.095534545967298146114086294},"document":{"what":"Brae","details":[],"sizes":[],
                "pieces":"12","each":"15.00","amount":"180.00","totals":[]},"goods":180.00,
                "pressingSeconds":95.5}', x'00')
                """;
            command.ExecuteNonQuery();
        }
        using var db = Open();
        Assert.Equal("Ansel", db.Read(c => Aggregates.Customers.Get(c, "a"))!.Value.Name);
        Assert.Empty(db.Read(c => Aggregates.Of<ScreenTransferList>().All(c)));
        // a device let in before there were roles may do what is done at the press, and its owner is to be told
        Assert.Equal(
            new PairedDevice("t", "Tablet", Deed.At, false, DeviceRole.Press, false),
            Assert.Single(db.Read(PairedDeviceStore.Untold))
        );
        Assert.True(db.Write(c => PairedDeviceStore.SetRole(c, "t", DeviceRole.Counter, Deed.At)));
        Assert.Equal(DeviceRole.Counter, db.Read(c => PairedDeviceStore.Admitted(c, "hash"))!.Role);
        Assert.Empty(db.Read(PairedDeviceStore.Untold));
        // what stood on the order stands on its one line, the quote's figures to the last digit, and the old shape
        // cannot be put back
        var order = db.Read(c => Aggregates.Orders.Get(c, "o"))!.Value;
        var line = Assert.Single(order.Ask.Lines);
        Assert.Equal(("1", 12, 18.5m, "f"), (line.Id, line.Pieces, line.Mark, line.Placements[0].Id));
        Assert.Equal(
            ("htv", new CountedSize("1", "M", 7)),
            (order.Facts.DecisionOf("1")!.MethodId, Assert.Single(order.Facts.Sending.Counted))
        );
        var quote = db.Read(c =>
        {
            using var command = c.CreateCommand();
            command.CommandText = "SELECT document FROM quote WHERE id = 'q'";
            return Packing.Unpack((byte[])command.ExecuteScalar()!);
        });
        Assert.Contains("\"value\":11.095534545967298146114086294", quote, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(quote);
        Assert.Equal(
            "15.00",
            json.RootElement.GetProperty("document").GetProperty("lines")[0].GetProperty("each").GetString()
        );
        Assert.Equal(
            "brae",
            json.RootElement.GetProperty("ask").GetProperty("lines")[0].GetProperty("styleId").GetString()
        );
        Assert.False(json.RootElement.TryGetProperty("band", out _));
        Assert.Null(db.Write(c => UndoStore.Undo(c, "d", Deed.At)).Deed);
        var before = Assert.Single(db.Backups.All());
        Assert.Equal(
            ("before-0002", 1, 1),
            (before.Manifest!.Why, before.Manifest.Data.Version, before.Manifest.Data.Orders)
        );
    }

    [Fact]
    public void A_device_is_known_by_the_hash_of_what_it_shows_until_it_is_shut_out()
    {
        using var db = Open();
        db.Write(c =>
        {
            PairedDeviceStore.Add(c, new("t", "Tablet", Deed.At, false, DeviceRole.Press), "hash");
            return 0;
        });
        Assert.Equal("Tablet", db.Read(c => PairedDeviceStore.Admitted(c, "hash"))!.Name);
        Assert.Null(db.Read(c => PairedDeviceStore.Admitted(c, "another")));
        Assert.True(db.Write(c => PairedDeviceStore.ShutOut(c, "t", Deed.At)));
        Assert.False(db.Write(c => PairedDeviceStore.ShutOut(c, "nobody", Deed.At)));
        Assert.Null(db.Read(c => PairedDeviceStore.Admitted(c, "hash")));
        Assert.True(db.Read(c => PairedDeviceStore.All(c)).Single().ShutOut);
    }

    [Fact]
    public void Earlier_states_of_orders_are_let_go_and_what_was_done_and_prices_stay()
    {
        using var db = Open();
        var order = new Core.Orders.Order(
            "o",
            1,
            new(null, [new("1", null, null, [], [])], null, null),
            Core.Orders.OrderFacts.None,
            Deed.At
        );
        var vinyl = new VinylFilm("v", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2);
        var old = Deed with { At = Deed.At - Duration.FromDays(40 * 30) };
        db.Write(c =>
        {
            Aggregates.Orders.Put(c, order, 0, old);
            Aggregates.Orders.Put(c, order with { Number = 2 }, 1, old);
            Aggregates.Of<VinylFilm>().Put(c, vinyl, 0, old);
            Aggregates.Of<VinylFilm>().Put(c, vinyl with { PricePerFoot = 4m }, 1, old);
            return Aggregates.Orders.Put(c, order, 2, Deed);
        });
        Assert.Equal(1, db.Write(c => UndoStore.Thin(c, Deed.At - Duration.FromDays(36 * 30), 10)));
        Assert.Equal(0, db.Write(c => UndoStore.Thin(c, Deed.At - Duration.FromDays(36 * 30), 10)));
        Assert.Equal([3, 2, 1], db.Read(c => UndoStore.Past(c, "order", "o")).Select(d => d.Version));
        Assert.Null(db.Read(c => Aggregates.Orders.At(c, "o", 1)));
        Assert.NotNull(db.Read(c => Aggregates.Orders.At(c, "o", 2)));
        Assert.Equal(
            [3.10m, 4m],
            db.Read(c => Aggregates.Of<VinylFilm>().States(c, "v")).Select(s => s.Value.PricePerFoot)
        );
    }

    [Fact]
    public void Old_changes_are_forgotten_but_the_last_of_each_kind()
    {
        using var db = Open();
        var vinyl = new VinylFilm("v", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2);
        db.Write(c => Aggregates.Of<VinylFilm>().Put(c, vinyl, 0, Deed));
        db.Write(c => Aggregates.Of<VinylFilm>().Put(c, vinyl with { LeadDays = 3 }, 1, Deed));
        db.Write(c => Aggregates.Customers.Put(c, new("a", "A", ""), 0, Deed));
        var before = db.Read(c => ChangeStore.Since(c, 0, 10));
        db.Write(c =>
        {
            ChangeStore.Trim(c, Deed.At + Duration.FromDays(8));
            return 0;
        });
        Assert.Equal(before.Skip(1), db.Read(c => ChangeStore.Since(c, 0, 10)));
    }

    [Fact]
    public void The_last_change_of_a_kind_is_noticed_and_a_rolled_back_one_is_not()
    {
        using var db = Open();
        long Last() => db.Read(c => ChangeStore.LastOf(c, ["vinyl", "film"]));
        Assert.Equal(0, Last());
        db.Write(c => Aggregates.Customers.Put(c, new("a", "A", ""), 0, Deed));
        Assert.Equal(0, Last());
        var vinyl = new VinylFilm("v", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2);
        db.Write(c => Aggregates.Of<VinylFilm>().Put(c, vinyl, 0, Deed));
        var seen = Last();
        Assert.True(seen > 0);
        Assert.Throws<InvalidOperationException>(() =>
            db.Write<int>(c =>
            {
                Aggregates.Of<VinylFilm>().Put(c, vinyl with { PricePerFoot = 9 }, 1, Deed);
                Assert.True(db.Writing);
                throw new InvalidOperationException();
            })
        );
        Assert.False(db.Writing);
        Assert.Equal(seen, Last());
        Assert.Equal(3.10m, db.Read(c => Aggregates.Of<VinylFilm>().Get(c, "v"))!.Value.PricePerFoot);
    }

    [Theory]
    [InlineData("", "1 4 42 47 471 4711 4712 5000")]
    [InlineData("47", "47 471 4711 4712")]
    [InlineData("T-471", "471 4711 4712")]
    [InlineData("4711", "4711")]
    [InlineData("99", "")]
    [InlineData("0", "")]
    [InlineData("12345678", "")]
    [InlineData("lowe", "4 42")]
    [InlineData("ŁOWE", "4 42")]
    [InlineData("quay 9", "5000")]
    [InlineData("%", "")]
    public void Orders_are_found_by_the_beginning_of_their_number_or_by_part_of_a_name(string text, string numbers)
    {
        using var db = Open();
        db.Write(c =>
        {
            Aggregates.Customers.Put(c, new("a", "Isaura Łowe", ""), 0, Deed);
            Aggregates.Customers.Put(c, new("b", "Quay 9 Divers", ""), 0, Deed);
            foreach (var n in new[] { 1, 4, 42, 47, 471, 4711, 4712, 5000 })
            {
                Aggregates.Orders.Put(
                    c,
                    new Order(
                        new OrderId($"o{n}"),
                        n,
                        new Ask(
                            n is 4 or 42 ? new CustomerId("a")
                                : n == 5000 ? new CustomerId("b")
                                : (CustomerId?)null,
                            [new("1", null, null, [], [])],
                            null,
                            null
                        ),
                        OrderFacts.None,
                        Deed.At
                    ),
                    0,
                    Deed
                );
            }
            return 0;
        });
        Assert.Equal(
            numbers,
            string.Join(' ', db.Read(c => OrderStore.Find(c, text, 20)).Select(o => o.Value.Number).Order())
        );
        Assert.Equal(
            numbers.Split(' ')[^1],
            string.Join(' ', db.Read(c => OrderStore.Find(c, text, 1)).Select(o => o.Value.Number))
        );
    }
}
