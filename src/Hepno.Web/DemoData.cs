using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;
using Hepno.Store;
using Hepno.Web.Deeds;
using Microsoft.Data.Sqlite;

namespace Hepno.Web;

/// <summary>Tern &amp; Tallow in Skerry Quay: invented, relative to now, made through the same deeds as everything else.</summary>
internal static class DemoData
{
    private const string Device = "demo";

    public static void Fill(Desk desk) => desk.Db.Write(connection =>
    {
        if (Aggregates.Numbers.Get(connection, "1") is not null)
        {
            return 0;
        }
        Shop(connection, desk);
        Customers(connection, desk);
        Orders(connection, desk);
        return 0;
    });

    private static Deed At(Desk desk, string name, double hoursAgo = 0) => new(name, Device, desk.Clock.Utc.AddHours(-hoursAgo), false);

    private static void Shop(SqliteConnection c, Desk desk)
    {
        var deed = At(desk, "demo data", 200);
        var week = new[] { (0, 0), (8, 18), (8, 18), (8, 18), (8, 18), (8, 18), (9, 14) }.Select(h => h.Item1 == 0 ? new DayHours(null, null) : new DayHours(new(h.Item1, 0), new(h.Item2, 0))).ToList();
        Aggregates.Numbers.Put(c, ShopNumbers.Default with { ShopName = "Tern & Tallow", Address = "Cloth, decorated. 4 Net Row, Skerry Quay", Contact = "hello@ternandtallow.example", TaxShare = 0.08m, TimeZone = ShopClock.MachineZone, Week = week }, 0, deed);

        IReadOnlyList<StyleSize> sizes = [new("XS", 0), new("S", 0), new("M", 0), new("L", 0), new("XL", 0), new("2XL", 1.80m), new("3XL", 3.10m)];
        Aggregates.Styles.Put(c, new("hollin", "Hollin 150", "Corran Mill", GarmentKind.Tee, [new(Fibre.Cotton, 55), new(Fibre.Polyester, 45)], 150, 330, 3.40m, 12m, 1,
            [new("navy", "Navy", "#2b3b5e", ColourClass.Dark), new("white", "White", "#fcfaf5", ColourClass.White), new("sage", "Sage", "#a9b69d", ColourClass.Mid)], sizes, false), 0, deed);
        Aggregates.Styles.Put(c, new("brae", "Brae 180", "Corran Mill", GarmentKind.Tee, [new(Fibre.Cotton, 100)], 180, 380, 4.70m, 12m, 1,
            [new("black", "Black", "#22252b", ColourClass.Dark), new("sand", "Sand", "#d6c59b", ColourClass.Pale)], sizes, false), 0, deed);
        Aggregates.Styles.Put(c, new("fell", "Fell 280", "Brisling & Daughter", GarmentKind.Hoodie, [new(Fibre.Cotton, 80), new(Fibre.Polyester, 20)], 280, 340, 13.20m, 14m, 2,
            [new("slate", "Slate", "#4a5b68", ColourClass.Dark), new("storm", "Storm", "#8b949b", ColourClass.Mid)], sizes, false), 0, deed);

        Aggregates.Styles.Put(c, new("sprint", "Sprint 140", "Brisling & Daughter", GarmentKind.Tee, [new(Fibre.Polyester, 100)], 140, 400, 5.10m, 14m, 2,
            [new("white", "White", "#fcfaf5", ColourClass.White), new("kelp", "Kelp", "#3c5a4a", ColourClass.Dark)], sizes, false), 0, deed);

        static IReadOnlyList<PriceBreak> Breaks(decimal one) => [new(1, one), new(25, decimal.Round(one * 0.88m, 2)), new(75, decimal.Round(one * 0.78m, 2))];
        Aggregates.Films.Put(c, new("ferrow", "Ferrow", "Cold-peel film", [new("4 × 4", 4, 4, Breaks(0.95m)), new("5 × 8", 5, 8, Breaks(1.70m)), new("11 × 11", 11, 11, Breaks(3.10m)), new("12 × 16", 12, 16, Breaks(4.20m))], 9m, 2), 0, deed);
        Aggregates.Vinyls.Put(c, new("tidewell", "Tidewell", "Smooth vinyl", 19.5, 3.10m, 0.25, 7.50m, 2), 0, deed);
        Aggregates.Vinyls.Put(c, new("tidewell-low", "Tidewell", "Low-heat vinyl", 19.5, 4.40m, 0.25, 7.50m, 3), 0, deed);
        static IReadOnlyList<PriceBreak> Sheets(decimal dozen) => [new(12, dozen), new(36, decimal.Round(dozen * 0.72m, 2)), new(72, decimal.Round(dozen * 0.55m, 2))];
        Aggregates.Screens.Put(c, new("marram", "Marram Screenprint", "Hot-peel transfer", ScreenFormula.HotPeel,
            [new("5 × 6", 5, 6, [new(1, Sheets(1.30m)), new(2, Sheets(1.75m)), new(3, Sheets(2.20m))]), new("11 × 13", 11, 13, [new(1, Sheets(2.10m)), new(2, Sheets(2.80m)), new(3, Sheets(3.50m)), new(4, Sheets(4.20m))])], 14m, true, 12, 10m, 6), 0, deed);
        var printer = new EquipmentHour(5200, 900, 4, 700, 0.7, 0.5, 0.45m);
        Aggregates.FilmPrinters.Put(c, new("skua", "Skua", 13, 0.25, 11, 0.011, 0.16m, 0.014, 0.14m, true, 0.0042m, 0.016, 0.028m, 18, 0.05m, 35, FilmCure.Oven, printer, "Powder is fine dust: extraction on, mask on, no flame. Oven and film burn. The data sheets of ink and powder decide."), 0, deed);
        Aggregates.DyePrinters.Put(c, new("plover", "Plover", 32, 0.010, 0.21m, 13, 19, 0.25, 0.28m, 8, 0.009m, 0.05m, printer with { PriceNew = 900, Resale = 100, PowerKw = 0.1 }, "Dye fumes while pressing: window open, extraction on."), 0, deed);
        Aggregates.Presses.Put(c, new("gannet", "Gannet", "swing-away", 16, 20, 15, 20, 5, -5, new(1450, 250, 5, 600, 1.8, 0.35, 0.12m), "Platen and guard burn: gloves, and hands clear when it swings. Into the wall socket, never an extension lead. The maker's manual decides."), 0, deed);

        var day = DateOnly.FromDateTime(desk.Clock.Utc.AddDays(-60));
        const string Up = "film up, right-reading";
        const string Mirrored = "carrier up, cut mirrored";
        Aggregates.Recipes.Put(c, new("film-cotton", "ferrow", "rev 3", RecipeFabric.Cotton, 310, 15, 3, "medium", 5, Peel.Cold, 60, 8, Up, RecipeSource.OwnTest, day, "Peel only when it is cold: warm film lifts the edges."), 0, deed);
        Aggregates.Recipes.Put(c, new("film-polyester", "ferrow", "rev 3", RecipeFabric.Polyester, 275, 12, 2, "medium", 5, Peel.Cold, 60, 5, Up, RecipeSource.Maker, day, "Above 275 °F dark polyester bleeds."), 0, deed);
        Aggregates.Recipes.Put(c, new("vinyl-cotton", "tidewell", "2025", RecipeFabric.Cotton, 310, 14, 3, "medium", 5, Peel.Warm, 8, 4, Mirrored, RecipeSource.Maker, day, "Lower layers three seconds only: a layer pressed twice shrinks."), 0, deed);
        Aggregates.Recipes.Put(c, new("low-cotton", "tidewell-low", "2025", RecipeFabric.Cotton, 278, 12, 2, "medium", 5, Peel.Cold, 15, 3, Mirrored, RecipeSource.Maker, day, ""), 0, deed);
        Aggregates.Recipes.Put(c, new("own-cotton", "skua", "our 14th", RecipeFabric.Cotton, 305, 15, 3, "medium", 5, Peel.Cold, 60, 8, Up, RecipeSource.OwnTest, day, "Sand-dry and no shine before it is pressed: else the cure was short."), 0, deed);
        Aggregates.Recipes.Put(c, new("dye-polyester", "plover", "our 3rd", RecipeFabric.Polyester, 390, 60, 2, "light", 5, Peel.Hot, 0, 0, "print down, mirrored", RecipeSource.OwnTest, day, "Fumes: extraction on. Fresh protection paper under and over every piece."), 0, deed);
        Aggregates.Recipes.Put(c, new("screen-cotton", "marram", "2026", RecipeFabric.Cotton, 365, 6, 2, "firm", 5, Peel.Hot, 0, 0, "print down, right-reading", RecipeSource.Maker, day, "Peel in one pull while it is hot."), 0, deed);
        Aggregates.Recipes.Put(c, new("low-polyester", "tidewell-low", "2025", RecipeFabric.Polyester, 278, 12, 2, "medium", 5, Peel.Cold, 15, 3, Mirrored, RecipeSource.Assumed, day, "Spot-test first."), 0, deed);
    }

    private static void Customers(SqliteConnection c, Desk desk)
    {
        foreach (var (id, name, contact) in new[]
        {
            ("rowing", "Skerry Quay Rowing", "Mara Fell, kit secretary"), ("bakery", "Lantern Street Bakery", "Odo Brandt"), ("choir", "Northmoor Choir", "Isaura Łowe"),
            ("boatyard", "Pell's Boatyard", "Ansel Pell"), ("school", "Gorse Lane School", "the office"), ("vets", "Beacon Hill Vets", "Dr. Tove Őrr"),
        })
        {
            Aggregates.Customers.Put(c, new(id, name, contact), 0, At(desk, "demo data", 199));
        }
    }

    private static Ask Ask(string customer, IReadOnlyList<AskLine> lines, DateOnly day, TimeOnly? hour, string? note = null) => new(customer, lines, day, hour, note);

    private static AskLine Line(string style, string colour, IReadOnlyList<SizeCount> sizes, IReadOnlyList<Placement> placements, decimal? mark = null, string id = "1") => new(id, style, colour, sizes, placements, mark);

    private static Placement Front(double w, double h, int colours, double line = 2, bool gradient = false) => new("front", "front", w, h, 60, colours, gradient, line);

    private static void Orders(SqliteConnection c, Desk desk)
    {
        var numbers = Desk.Numbers(c);
        var today = DateOnly.FromDateTime(desk.Clock.Wall(numbers.TimeZone));
        DateOnly In(int days)
        {
            var day = today.AddDays(days);
            while (numbers.Week[(int)day.DayOfWeek].Open is null)
            {
                day = day.AddDays(1);
            }
            return day;
        }
        var sleeve = new Placement("sleeve", "left-sleeve", 3, 3, 45, 1, false, 5);
        TimeOnly noon = new(12, 0), four = new(16, 0);
        var film = "dtf-bought";

        // 201, learned from: handed over, two pieces spoiled
        Make(c, desk, "demo-201", Ask("school", [Line("brae", "black", [new("S", 6), new("M", 8), new("L", 4)], [Front(9, 9, 3)], 20m)], In(1), four, null), film, 90);
        ThroughGather(c, desk, "demo-201", "the office", 80, "three prints, paid monthly");
        Pressed(c, desk, "demo-201", 18, 18, new() { [4] = "crooked", [11] = "peeled early" }, 30);
        OrderDeeds.Count(c, desk, "demo-201", [new("1", "S", 6), new("1", "M", 8), new("1", "L", 4)], Version(c, "demo-201"), At(desk, "counted", 27));
        OrderDeeds.HandOver(c, desk, "demo-201", "Una from the office", Version(c, "demo-201"), At(desk, "handed over", 26));

        // 202, on the press: nine good, one spoiled
        Make(c, desk, "demo-202", Ask("bakery", [Line("brae", "sand", [new("S", 4), new("M", 9), new("L", 8), new("XL", 3)], [Front(8, 8, 4)], null)], In(2), noon, "Flour on the floor: bag them well."), film, 60);
        ThroughGather(c, desk, "demo-202", "Odo Brandt", 50, null);
        Pressed(c, desk, "demo-202", 24, 10, new() { [5] = "crooked" }, 0.3);

        // 203, waiting for hoodies that come too late
        Make(c, desk, "demo-203", Ask("boatyard", [Line("fell", "slate", [new("M", 10), new("L", 12), new("XL", 6)], [Front(10, 10, 2, 6)], 45m)], In(1), noon, null), film, 8);
        OrderDeeds.Approve(c, desk, "demo-203", "Ansel Pell", Version(c, "demo-203"), At(desk, "yes taken", 3));
        OrderDeeds.NoteDeposit(c, desk, "demo-203", 0, "an old customer, pays on the day", Version(c, "demo-203"), At(desk, "deposit noted", 3));

        // 204, a quote to send
        Make(c, desk, "demo-204", Ask("choir", [Line("hollin", "sage", [new("S", 8), new("M", 14), new("L", 10), new("XL", 6), new("2XL", 2)], [Front(10, 7, 1, 6)], 16m)], In(9), four, null), film, 5, send: false);

        // 205, to compare
        SaveAsk.Do(c, desk, "demo-205", Ask("rowing", [Line("hollin", "navy", [new("S", 5), new("M", 11), new("L", 12), new("XL", 6), new("2XL", 2)], [Front(10, 10, 3, 5), sleeve], 18m)], In(10), noon, null), 0, At(desk, "new ask", 2));

        // 206, half heard
        SaveAsk.Do(c, desk, "demo-206", Ask("vets", [Line("hollin", "white", [new("M", 12)], [], null)], In(14), null, null), 0, At(desk, "new ask", 0.2));
        SeveralLines(c, desk, In(12), four);
    }

    private static void SeveralLines(SqliteConnection c, Desk desk, DateOnly due, TimeOnly hour)
    {
        // 207, three lines sent by the carrier, a quote to write
        Placement Print(string id, string place, double w, double h, int colours) => new(id, place, w, h, 55, colours, false, 4);
        SaveAsk.Do(c, desk, "demo-207", new("rowing",
            [
                Line("hollin", "navy", [new("S", 4), new("M", 10), new("L", 8), new("2XL", 2)], [Print("crest", "left-chest", 3.5, 3.5, 2), Print("club", "back", 11, 6, 2)], 21m),
                Line("fell", "slate", [new("M", 4), new("L", 6), new("XL", 2)], [Print("hood-crest", "left-chest", 3.5, 3.5, 2)], 38m, "2"),
                Line("sprint", "white", [new("M", 6), new("L", 6)], [Print("race", "front", 9, 9, 4)], 24m, "3"),
            ], due, hour, "The cox collects nothing: send it all to the boathouse.", Shipping: new("country", false)), 0, At(desk, "new ask", 1.5));
        foreach (var (line, method) in new[] { ("1", "dtf-bought"), ("2", "dtf-bought"), ("3", "sublimation") })
        {
            OrderDeeds.Choose(c, desk, "demo-207", line, method, Version(c, "demo-207"), At(desk, "method chosen", 1));
        }
        OrderDeeds.LayOut(c, desk, "demo-207", Version(c, "demo-207"), At(desk, "laid out", 0.9));
    }

    private static long Version(SqliteConnection c, string id) => Aggregates.Orders.Get(c, id)!.Version;

    private static void Make(SqliteConnection c, Desk desk, string id, Ask ask, string method, double hoursAgo, bool send = true)
    {
        SaveAsk.Do(c, desk, id, ask, 0, At(desk, "new ask", hoursAgo));
        OrderDeeds.Choose(c, desk, id, null, method, Version(c, id), At(desk, "method chosen", hoursAgo - 0.5));
        OrderDeeds.LayOut(c, desk, id, Version(c, id), At(desk, "laid out", hoursAgo - 0.6));
        if (send)
        {
            OrderDeeds.Send(c, desk, id, Version(c, id), At(desk, "quote sent", hoursAgo - 1));
        }
    }

    private static void ThroughGather(SqliteConnection c, Desk desk, string id, string by, double hoursAgo, string? without)
    {
        OrderDeeds.Approve(c, desk, id, by, Version(c, id), At(desk, "yes taken", hoursAgo));
        var asked = desk.Case(c, id, desk.Book(c)).Frozen!.Deposit;
        OrderDeeds.NoteDeposit(c, desk, id, without is null ? asked : 0, without, Version(c, id), At(desk, "deposit noted", hoursAgo - 1));
        foreach (var item in Aggregates.Orders.Get(c, id)!.Value.Facts.Items)
        {
            OrderDeeds.Tick(c, desk, id, item.Id, true, Version(c, id), At(desk, "it came", hoursAgo - 10));
        }
    }

    private static void Pressed(SqliteConnection c, Desk desk, string id, int pieces, int upTo, Dictionary<int, string> spoiled, double hoursAgo)
    {
        OrderDeeds.StartRun(c, desk, id, At(desk, "pressing begun", hoursAgo));
        var sizes = Aggregates.Orders.Get(c, id)!.Value.Ask.Lines.SelectMany(l => l.Sizes).SelectMany(s => Enumerable.Repeat(s.Size, s.Pieces)).ToList();
        var at = desk.Clock.Utc.AddHours(-hoursAgo);
        void Say(int piece, int attempt, RunVerdict verdict, string? reason)
        {
            var seconds = 88 + (piece * 7 % 19);
            at = at.AddSeconds(seconds);
            RunStore.Add(c, id, new RunEvent($"{id}-{piece}-{attempt}", Device, piece, attempt, 1, sizes[piece - 1], verdict, reason, null, seconds), at);
        }
        for (var piece = 1; piece <= upTo; piece++)
        {
            if (spoiled.TryGetValue(piece, out var reason))
            {
                Say(piece, 1, RunVerdict.Spoiled, reason);
                if (upTo == pieces)
                {
                    Say(piece, 2, RunVerdict.Good, null);
                }
            }
            else
            {
                Say(piece, 1, RunVerdict.Good, null);
            }
        }
    }
}
