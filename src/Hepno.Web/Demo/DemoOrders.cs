using Hepno.Core.Blanks;
using Hepno.Core.Curing;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Runs;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Endpoints;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>The demo shop's fifteen orders, at every station: late, spoiled, learned from, asked for again.</summary>
internal static class DemoOrders
{
    private const string Film = "dtf-bought";
    private const string FilmHere = "dtf-made";

    private static Ask Ask(
        string customer,
        IReadOnlyList<AskLine> lines,
        LocalDate day,
        LocalTime? hour,
        string? note = null,
        Shipping? shipping = null
    ) => new(customer, lines, day, hour, note, Shipping: shipping);

    private static AskLine Line(
        string style,
        string colour,
        IReadOnlyList<SizeCount> sizes,
        IReadOnlyList<Placement> placements,
        decimal? mark = null,
        string id = "1"
    ) => new(id, style, colour, sizes, placements, mark);

    private static Placement Front(double w, double h, int colours, double line = 2, bool gradient = false) =>
        new("front", "front", w, h, 60, colours, gradient, line);

    public static void Fill(SqliteConnection c, OpenShop shop)
    {
        var numbers = OpenShop.Numbers(c);
        var today = shop.Clock.Today(numbers.Identity.TimeZone);
        LocalDate In(int days)
        {
            var day = today.PlusDays(days);
            while (numbers.Week.Days[day.Weekday()].Open is null)
            {
                day = day.PlusDays(1);
            }
            return day;
        }
        var sleeve = new Placement("sleeve", "left-sleeve", 3, 3, 45, 1, false, 5);
        LocalTime noon = new(12, 0),
            four = new(16, 0);

        // 201, learned from: handed over, two pieces spoiled
        Make(
            c,
            shop,
            "demo-201",
            Ask(
                "school",
                [Line("brae", "black", [new("S", 6), new("M", 8), new("L", 4)], [Front(9, 9, 3)], 20m)],
                In(1),
                four,
                null
            ),
            Film,
            90
        );
        ThroughGather(c, shop, "demo-201", "the office", 80, "three prints, paid monthly");
        Pressed(c, shop, "demo-201", 18, 18, new() { [4] = "crooked", [11] = "peeled early" }, 30);
        HandOverDeeds.Count(
            c,
            shop,
            "demo-201",
            [new("1", "S", 6), new("1", "M", 8), new("1", "L", 4)],
            Version(c, "demo-201"),
            DemoData.At(shop, "counted", 27)
        );
        HandOverDeeds.HandOver(
            c,
            shop,
            "demo-201",
            "Una from the office",
            Version(c, "demo-201"),
            DemoData.At(shop, "handed over", 26)
        );

        // 202, on the press: nine good, one spoiled
        Make(
            c,
            shop,
            "demo-202",
            Ask(
                "bakery",
                [Line("brae", "sand", [new("S", 4), new("M", 9), new("L", 8), new("XL", 3)], [Front(8, 8, 4)], null)],
                In(2),
                noon,
                "Flour on the floor: bag them well."
            ),
            Film,
            60
        );
        ThroughGather(c, shop, "demo-202", "Odo Brandt", 50, null);
        Pressed(c, shop, "demo-202", 24, 10, new() { [5] = "crooked" }, 0.3);

        // 203, waiting for hoodies that come too late
        Make(
            c,
            shop,
            "demo-203",
            Ask(
                "boatyard",
                [Line("fell", "slate", [new("M", 10), new("L", 12), new("XL", 6)], [Front(10, 10, 2, 6)], 45m)],
                In(1),
                noon,
                null
            ),
            Film,
            8
        );
        QuoteDeeds.Approve(
            c,
            shop,
            "demo-203",
            "Ansel Pell",
            Version(c, "demo-203"),
            DemoData.At(shop, "yes taken", 3)
        );
        QuoteDeeds.NoteDeposit(
            c,
            shop,
            "demo-203",
            0,
            "an old customer, pays on the day",
            Version(c, "demo-203"),
            DemoData.At(shop, "deposit noted", 3)
        );

        // 204, a quote to send
        Make(
            c,
            shop,
            "demo-204",
            Ask(
                "choir",
                [
                    Line(
                        "hollin",
                        "sage",
                        [new("S", 8), new("M", 14), new("L", 10), new("XL", 6), new("2XL", 2)],
                        [Front(10, 7, 1, 6)],
                        16m
                    ),
                ],
                In(9),
                four,
                null
            ),
            Film,
            5,
            upTo: Station.Quote
        );

        // 205, to compare
        SaveAsk.Do(
            c,
            shop,
            "demo-205",
            Ask(
                "rowing",
                [
                    Line(
                        "hollin",
                        "navy",
                        [new("S", 5), new("M", 11), new("L", 12), new("XL", 6), new("2XL", 2)],
                        [Front(10, 10, 3, 5), sleeve],
                        18m
                    ),
                ],
                In(10),
                noon,
                null
            ),
            0,
            DemoData.At(shop, "new ask", 2)
        );

        // 206, half heard
        SaveAsk.Do(
            c,
            shop,
            "demo-206",
            Ask("vets", [Line("hollin", "white", [new("M", 12)], [], null)], In(14), null, null),
            0,
            DemoData.At(shop, "new ask", 0.2)
        );
        SeveralLines(c, shop, In(12), four);

        // 208, counted into the box and not yet handed over
        Make(
            c,
            shop,
            "demo-208",
            Ask(
                "bakery",
                [Line("galley", "charcoal", [new("One size", 8)], [Front(8, 4, 1, 6)], 24m)],
                In(1),
                four,
                null
            ),
            Film,
            70
        );
        ThroughGather(c, shop, "demo-208", "Odo Brandt", 60, null);
        Pressed(c, shop, "demo-208", 8, 8, [], 5);
        HandOverDeeds.Count(
            c,
            shop,
            "demo-208",
            [new("1", "One size", 5)],
            Version(c, "demo-208"),
            DemoData.At(shop, "counted", 2)
        );

        // 209, everything here: to press on the cap press
        Make(
            c,
            shop,
            "demo-209",
            Ask(
                "ferry",
                [
                    Line(
                        "cove",
                        "navy",
                        [new("One size", 24)],
                        [new Placement("badge", "cap-front", 4, 2, 70, 2, false, 4)],
                        17m
                    ),
                ],
                In(3),
                noon,
                null,
                new("near", true)
            ),
            FilmHere,
            80
        );
        ThroughGather(c, shop, "demo-209", "Calla Roe", 72, null);
        Cured(c, shop, "demo-209", "badge", 1, 26, 28, true);

        // 210, everything here: to press on the second flat press
        Make(
            c,
            shop,
            "demo-210",
            Ask(
                "brewers",
                [
                    Line(
                        "loft",
                        "oat",
                        [new("S", 6), new("M", 14), new("L", 16), new("XL", 8)],
                        [Front(9, 7, 2, 5)],
                        30m
                    ),
                ],
                In(2),
                four,
                null
            ),
            Film,
            78
        );
        ThroughGather(c, shop, "demo-210", "Ivo Hask", 70, null);

        // 211, a lay-out to settle
        Make(
            c,
            shop,
            "demo-211",
            Ask(
                "brewers",
                [
                    Line(
                        "haul",
                        "natural",
                        [new("One size", 60)],
                        [new Placement("face", "bag-face", 8, 8, 45, 2, false, 6)],
                        9m
                    ),
                ],
                In(15),
                noon,
                null
            ),
            "htv",
            3,
            upTo: Station.Layout
        );

        // 212, said yes, waiting for the deposit
        Make(
            c,
            shop,
            "demo-212",
            Ask(
                "vets",
                [
                    Line(
                        "hollin",
                        "white",
                        [new("XS", 10), new("S", 20), new("M", 16), new("L", 6)],
                        [Front(9, 9, 4, 3)],
                        15m
                    ),
                ],
                In(11),
                four,
                null
            ),
            FilmHere,
            9
        );
        QuoteDeeds.Approve(
            c,
            shop,
            "demo-212",
            "Dr. Tove Őrr",
            Version(c, "demo-212"),
            DemoData.At(shop, "yes taken", 2)
        );
        Cured(c, shop, "demo-212", "front", 2, 20, 1.2, false);

        // 213, learned from and closed; 214 is the same again, at today's prices
        Make(
            c,
            shop,
            "demo-213",
            Ask(
                "ferry",
                [Line("hollin", "navy", [new("M", 6), new("L", 8), new("XL", 4)], [Front(9, 6, 2, 5)], 20m)],
                In(1),
                noon,
                null
            ),
            Film,
            190
        );
        ThroughGather(c, shop, "demo-213", "Calla Roe", 180, null);
        Pressed(c, shop, "demo-213", 18, 18, new() { [9] = "lint" }, 150);
        HandOverDeeds.Count(
            c,
            shop,
            "demo-213",
            [new("1", "M", 6), new("1", "L", 8), new("1", "XL", 4)],
            Version(c, "demo-213"),
            DemoData.At(shop, "counted", 147)
        );
        HandOverDeeds.HandOver(
            c,
            shop,
            "demo-213",
            "the crew of the morning boat",
            Version(c, "demo-213"),
            DemoData.At(shop, "handed over", 146)
        );
        HandOverDeeds.Close(c, shop, "demo-213", Version(c, "demo-213"), DemoData.At(shop, "closed", 140));
        OrderAgain.Do(c, shop, "demo-213", "demo-214", DemoData.At(shop, "ordered again", 0.5));
        Named(c, shop, In(13), noon);
    }

    private static void Named(SqliteConnection c, OpenShop shop, LocalDate due, LocalTime hour)
    {
        // 215, the juniors and their coaches: each with a name and a number on the back
        static Placement Back(PlacementId id) =>
            new(id, "back", 11, 9, 40, 1, false, 14, null, true, OwnText.NameAndNumber);
        static Placement Crest(PlacementId id, double width) =>
            new(id, "left-chest", width, width, 55, 2, false, 4, null, true);
        static IReadOnlyList<SizeCount> Sizes(IReadOnlyList<OwnPiece> names) =>
            [.. names.GroupBy(n => n.Size).Select(g => new SizeCount(g.Key, g.Count()))];
        IReadOnlyList<OwnPiece> coaches =
        [
            new("S", "HASK", "1"),
            new("M", "FELL", "2"),
            new("M", "OAKES", "3"),
            new("L", "WINDLESTRAW", "4"),
            new("2XL", "PELL", "5"),
        ];
        IReadOnlyList<OwnPiece> juniors =
        [
            new("YS", "TAM", "6"),
            new("YM", "ROWAN", "7"),
            new("YM", "ESKE", "8"),
            new("YM", "ODA", "9"),
            new("YL", "BRINE", "10"),
            new("YL", "LARK", "11"),
            new("YL", "MERRIDEW", "7"),
        ];
        SaveAsk.Do(
            c,
            shop,
            "demo-215",
            Ask(
                "rowing",
                [
                    Line("hollin", "navy", Sizes(coaches), [Crest("crest", 3.5), Back("own")], 34m) with
                    {
                        Names = coaches,
                    },
                    Line("minnow", "navy", Sizes(juniors), [Crest("crest-2", 3.5), Back("own-2")], 30m, "2") with
                    {
                        Names = juniors,
                    },
                ],
                due,
                hour,
                null
            ),
            0,
            DemoData.At(shop, "new ask", 0.4)
        );
        Aggregates.Templates.Put(
            c,
            AskTemplate.From("club-tee", "The usual club tee", Aggregates.Orders.Get(c, "demo-205")!.Value.Ask),
            0,
            DemoData.At(shop, "template kept", 1)
        );
    }

    private static void SeveralLines(SqliteConnection c, OpenShop shop, LocalDate due, LocalTime hour)
    {
        // 207, three lines sent by the carrier, a quote to write
        Placement Print(PlacementId id, string place, double w, double h, int colours) =>
            new(id, place, w, h, 55, colours, false, 4);
        SaveAsk.Do(
            c,
            shop,
            "demo-207",
            new(
                "rowing",
                [
                    Line(
                        "hollin",
                        "navy",
                        [new("S", 4), new("M", 10), new("L", 8), new("2XL", 2)],
                        [Print("crest", "left-chest", 3.5, 3.5, 2), Print("club", "back", 11, 6, 2)],
                        21m
                    ),
                    Line(
                        "fell",
                        "slate",
                        [new("M", 4), new("L", 6), new("XL", 2)],
                        [Print("hood-crest", "left-chest", 3.5, 3.5, 2)],
                        38m,
                        "2"
                    ),
                    Line("sprint", "white", [new("M", 6), new("L", 6)], [Print("race", "front", 9, 9, 4)], 24m, "3"),
                ],
                due,
                hour,
                "The cox collects nothing: send it all to the boathouse.",
                Shipping: new("country", false)
            ),
            0,
            DemoData.At(shop, "new ask", 1.5)
        );
        foreach (var (line, method) in new[] { ("1", "dtf-bought"), ("2", "dtf-bought"), ("3", "sublimation") })
        {
            ChooseDeeds.Choose(
                c,
                shop,
                "demo-207",
                line,
                method,
                Version(c, "demo-207"),
                DemoData.At(shop, "method chosen", 1)
            );
        }
        QuoteDeeds.LayOut(c, shop, "demo-207", Version(c, "demo-207"), DemoData.At(shop, "laid out", 0.9));
    }

    // a batch out of the oven; of the older one, white alone, both patches were pressed
    private static void Cured(
        SqliteConnection c,
        OpenShop shop,
        string order,
        string placement,
        int number,
        int prints,
        double hoursAgo,
        bool seen
    )
    {
        var deed = DemoData.At(shop, "cure noted", hoursAgo);
        var patch = seen ? ControlPrint.Holds : ControlPrint.NotYet;
        Aggregates.Cures.Put(
            c,
            new(
                $"cure-{number}",
                number,
                "skua",
                SupplyEndpoints.Minute(WallClock.Local(deed.At, OpenShop.Numbers(c).Identity.TimeZone)),
                "ember",
                248,
                2,
                "Wren",
                CureSign.Glossy,
                ControlPrint.Holds,
                patch,
                [new(order, "1", placement, prints, seen)],
                [
                    "colour ink: Skerry pigment, lot 0526-C",
                    "white ink: Skerry white, lot 0526-W",
                    "powder: Marl fine, lot P-31",
                ],
                FilmPrints
                    .Find(c, shop, shop.Book(c), "skua", order, "1", placement)!
                    .Use(SupplyEndpoints.PrinterOf(c, "skua"), prints),
                CureVerdict.Open,
                ""
            ),
            0,
            deed
        );
    }

    private static long Version(SqliteConnection c, OrderId id) => Aggregates.Orders.Get(c, id)!.Version;

    private static void Make(
        SqliteConnection c,
        OpenShop shop,
        OrderId id,
        Ask ask,
        string method,
        double hoursAgo,
        Station upTo = Station.Gather
    )
    {
        SaveAsk.Do(c, shop, id, ask, 0, DemoData.At(shop, "new ask", hoursAgo));
        ChooseDeeds.Choose(
            c,
            shop,
            id,
            null,
            method,
            Version(c, id),
            DemoData.At(shop, "method chosen", hoursAgo - 0.5)
        );
        if (upTo == Station.Layout)
        {
            return;
        }
        QuoteDeeds.LayOut(c, shop, id, Version(c, id), DemoData.At(shop, "laid out", hoursAgo - 0.6));
        if (upTo == Station.Gather)
        {
            QuoteDeeds.Send(c, shop, id, Version(c, id), DemoData.At(shop, "quote sent", hoursAgo - 1));
        }
    }

    private static void ThroughGather(
        SqliteConnection c,
        OpenShop shop,
        OrderId id,
        string by,
        double hoursAgo,
        string? without
    )
    {
        QuoteDeeds.Approve(c, shop, id, by, Version(c, id), DemoData.At(shop, "yes taken", hoursAgo));
        var asked = shop.Case(c, id, shop.Book(c)).Frozen!.Deposit;
        QuoteDeeds.NoteDeposit(
            c,
            shop,
            id,
            without is null ? asked : 0,
            without,
            Version(c, id),
            DemoData.At(shop, "deposit noted", hoursAgo - 1)
        );
        foreach (var item in Aggregates.Orders.Get(c, id)!.Value.Facts.Gathering.Items)
        {
            PressDeeds.Tick(c, shop, id, item.Id, true, Version(c, id), DemoData.At(shop, "it came", hoursAgo - 10));
        }
    }

    private static void Pressed(
        SqliteConnection c,
        OpenShop shop,
        OrderId id,
        int pieces,
        int upTo,
        Dictionary<int, string> spoiled,
        double hoursAgo
    )
    {
        PressDeeds.StartRun(c, shop, id, DemoData.At(shop, "pressing begun", hoursAgo));
        var sizes = Aggregates
            .Orders.Get(c, id)!
            .Value.Ask.Lines.SelectMany(l => l.Sizes)
            .SelectMany(s => Enumerable.Repeat(s.Size, s.Pieces))
            .ToList();
        var at = shop.Clock.Utc - Duration.FromHours(hoursAgo);
        void Say(int piece, int attempt, RunVerdict verdict, string? reason)
        {
            var seconds = 88 + (piece * 7 % 19);
            at += Duration.FromSeconds(seconds);
            RunStore.Add(
                c,
                id,
                new RunEvent(
                    $"{id}-{piece}-{attempt}",
                    "demo",
                    piece,
                    attempt,
                    1,
                    sizes[piece - 1],
                    verdict,
                    reason,
                    null,
                    seconds,
                    [
                        new(StepLap.Lay, Math.Round(seconds * 0.42, 1)),
                        new(StepLap.Press, 20.5),
                        new(StepLap.Peel, Math.Round((seconds * 0.58) - 33, 1)),
                        new(StepLap.Again, 12.5),
                    ]
                ),
                at
            );
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
