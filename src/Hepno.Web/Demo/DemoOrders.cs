using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Demo;

/// <summary>The demo shop's fifteen orders, at every station: late, spoiled, learned from, asked for again.</summary>
internal sealed class DemoOrders(SqliteConnection c, OpenShop shop)
{
    private const string Film = "dtf-bought";
    private const string FilmHere = "dtf-made";

    private static readonly LocalTime Four = new(16, 0);

    private static Placement Sleeve { get; } = new("sleeve", "left-sleeve", 3, 3, CoveragePercent: 45, 1, false, 5);

    public static void Fill(SqliteConnection c, OpenShop shop)
    {
        var orders = new DemoOrders(c, shop);
        orders.LearnedFrom();
        orders.OnThePress();
        orders.WaitingForHoodies();
        orders.ToQuote();
        orders.ToCompare();
        orders.HalfHeard();
        orders.ThreeLinesSent();
        orders.CountedIntoTheBox();
        orders.ToPressOnCaps();
        orders.ToPressBesides();
        orders.ToLayOut();
        orders.WaitingForTheDeposit();
        orders.ClosedAndAskedForAgain();
        orders.NamedAndNumbered();
    }

    private DemoOrder Order(int number) => new(c, shop, new OrderId($"demo-{number}"));

    /// <summary>The first open day so many days on.</summary>
    private LocalDate In(int days)
    {
        var numbers = OpenShop.Numbers(c);
        var day = shop.Clock.Today(numbers.Identity.TimeZone).PlusDays(days);
        while (numbers.Week.Days[day.Weekday()].Open is null)
        {
            day = day.PlusDays(1);
        }
        return day;
    }

    private static AskLine Line(
        StyleId style,
        string colour,
        IReadOnlyList<SizeCount> sizes,
        IReadOnlyList<Placement> placements,
        decimal? mark = null,
        string id = "1"
    ) => new(new LineId(id), style, new ColourwayId(colour), sizes, placements) { Mark = mark };

    private static Placement Front(double w, double h, int colours, double line = 2, bool gradient = false) =>
        new("front", "front", w, h, CoveragePercent: 60, colours, gradient, line);

    // 201: handed over, two pieces spoiled
    private void LearnedFrom() =>
        Order(201)
            .Quoted(
                new(
                    "school",
                    [Line("brae", "black", [new("S", 6), new("M", 8), new("L", 4)], [Front(9, 9, 3)], 20m)],
                    In(1),
                    Four
                ),
                Film,
                90
            )
            .Gathered("the office", 80, "three prints, paid monthly")
            .Pressed(18, upTo: 18, new() { [4] = "crooked", [11] = "peeled early" }, 30)
            .Counted(27, new("1", "S", 6), new("1", "M", 8), new("1", "L", 4))
            .HandedOver("Una from the office", 26);

    // 202: nine good, one spoiled
    private void OnThePress() =>
        Order(202)
            .Quoted(
                new(
                    "bakery",
                    [Line("brae", "sand", [new("S", 4), new("M", 9), new("L", 8), new("XL", 3)], [Front(8, 8, 4)])],
                    In(2),
                    LocalTime.Noon
                )
                {
                    Details = new() { Note = "Flour on the floor: bag them well." },
                },
                Film,
                60
            )
            .Gathered("Odo Brandt", 50)
            .Pressed(24, upTo: 10, new() { [5] = "crooked" }, 0.3);

    // 203: they come too late
    private void WaitingForHoodies() =>
        Order(203)
            .Quoted(
                new(
                    "boatyard",
                    [Line("fell", "slate", [new("M", 10), new("L", 12), new("XL", 6)], [Front(10, 10, 2, 6)], 45m)],
                    In(1),
                    LocalTime.Noon
                ),
                Film,
                8
            )
            .Approved("Ansel Pell", 3)
            .GoesOnWithout("an old customer, pays on the day", 3);

    // 204
    private void ToQuote() =>
        Order(204)
            .LaidOut(
                new(
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
                    Four
                ),
                Film,
                5
            );

    // 205
    private void ToCompare() =>
        Order(205)
            .Asked(
                new(
                    "rowing",
                    [
                        Line(
                            "hollin",
                            "navy",
                            [new("S", 5), new("M", 11), new("L", 12), new("XL", 6), new("2XL", 2)],
                            [Front(10, 10, 3, 5), Sleeve],
                            18m
                        ),
                    ],
                    In(10),
                    LocalTime.Noon
                ),
                2
            );

    // 206
    private void HalfHeard() =>
        Order(206).Asked(new("vets", [Line("hollin", "white", [new("M", 12)], [])], In(14), null), 0.2);

    // 207: by the carrier, a quote to write
    private void ThreeLinesSent()
    {
        static Placement Print(PlacementId id, string place, double w, double h, int colours) =>
            new(id, place, w, h, CoveragePercent: 55, colours, false, 4);
        Order(207)
            .Asked(
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
                        Line(
                            "sprint",
                            "white",
                            [new("M", 6), new("L", 6)],
                            [Print("race", "front", 9, 9, 4)],
                            24m,
                            "3"
                        ),
                    ],
                    In(12),
                    Four,
                    Shipping: new("country", false)
                )
                {
                    Details = new() { Note = "The cox collects nothing: send it all to the boathouse." },
                },
                1.5
            )
            .Chosen("1", Film, 1)
            .Chosen("2", Film, 1)
            .Chosen("3", "sublimation", 1)
            .LaidOut(0.9);
    }

    // 208: not yet handed over
    private void CountedIntoTheBox() =>
        Order(208)
            .Quoted(
                new(
                    "bakery",
                    [Line("galley", "charcoal", [new("One size", 8)], [Front(8, 4, 1, 6)], 24m)],
                    In(1),
                    Four
                ),
                Film,
                70
            )
            .Gathered("Odo Brandt", 60)
            .Pressed(8, upTo: 8, [], 5)
            .Counted(2, new CountedSize("1", "One size", 5));

    // 209: everything here, on the cap press
    private void ToPressOnCaps() =>
        Order(209)
            .Quoted(
                new(
                    "ferry",
                    [
                        Line(
                            "cove",
                            "navy",
                            [new("One size", 24)],
                            [new("badge", "cap-front", 4, 2, CoveragePercent: 70, 2, false, 4)],
                            17m
                        ),
                    ],
                    In(3),
                    LocalTime.Noon,
                    Shipping: new("near", true)
                ),
                FilmHere,
                80
            )
            .Gathered("Calla Roe", 72)
            .Cured(1, "badge", 26, 28, seen: true);

    // 210: everything here, on the second flat press
    private void ToPressBesides() =>
        Order(210)
            .Quoted(
                new(
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
                    Four
                ),
                Film,
                78
            )
            .Gathered("Ivo Hask", 70);

    // 211
    private void ToLayOut() =>
        Order(211)
            .Asked(
                new(
                    "brewers",
                    [
                        Line(
                            "haul",
                            "natural",
                            [new("One size", 60)],
                            [new("face", "bag-face", 8, 8, CoveragePercent: 45, 2, false, 6)],
                            9m
                        ),
                    ],
                    In(15),
                    LocalTime.Noon
                ),
                3
            )
            .Chosen(null, "htv", 2.5);

    // 212: said yes
    private void WaitingForTheDeposit() =>
        Order(212)
            .Quoted(
                new(
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
                    Four
                ),
                FilmHere,
                9
            )
            .Approved("Dr. Tove Őrr", 2)
            .Cured(2, "front", 20, 1.2, seen: false);

    // 213, learned from; 214 is the same again, at today's prices
    private void ClosedAndAskedForAgain() =>
        Order(213)
            .Quoted(
                new(
                    "ferry",
                    [Line("hollin", "navy", [new("M", 6), new("L", 8), new("XL", 4)], [Front(9, 6, 2, 5)], 20m)],
                    In(1),
                    LocalTime.Noon
                ),
                Film,
                190
            )
            .Gathered("Calla Roe", 180)
            .Pressed(18, upTo: 18, new() { [9] = "lint" }, 150)
            .Counted(147, new("1", "M", 6), new("1", "L", 8), new("1", "XL", 4))
            .HandedOver("the crew of the morning boat", 146)
            .Closed(140)
            .AskedForAgain("demo-214", 0.5);

    // 215, the juniors and their coaches: each with a name and a number on the back
    private void NamedAndNumbered()
    {
        static Placement Back(PlacementId id) =>
            new(id, "back", 11, 9, CoveragePercent: 40, 1, false, 14) { BySize = true, Own = OwnText.NameAndNumber };
        static Placement Crest(PlacementId id) =>
            new(id, "left-chest", 3.5, 3.5, CoveragePercent: 55, 2, false, 4) { BySize = true };
        static IReadOnlyList<SizeCount> Sizes(IReadOnlyList<OwnPiece> names) =>
            [.. names.GroupBy(n => n.Size).Select(g => new SizeCount(g.Key, g.Count()))];
        IReadOnlyList<OwnPiece> coaches =
        [
            new("S", Name: "HASK", "1"),
            new("M", Name: "FELL", "2"),
            new("M", Name: "OAKES", "3"),
            new("L", Name: "WINDLESTRAW", "4"),
            new("2XL", Name: "PELL", "5"),
        ];
        IReadOnlyList<OwnPiece> juniors =
        [
            new("YS", Name: "TAM", "6"),
            new("YM", Name: "ROWAN", "7"),
            new("YM", Name: "ESKE", "8"),
            new("YM", Name: "ODA", "9"),
            new("YL", Name: "BRINE", "10"),
            new("YL", Name: "LARK", "11"),
            new("YL", Name: "MERRIDEW", "7"),
        ];
        Order(215)
            .Asked(
                new(
                    "rowing",
                    [
                        Line("hollin", "navy", Sizes(coaches), [Crest("crest"), Back("own")], 34m) with
                        {
                            Names = coaches,
                        },
                        Line("minnow", "navy", Sizes(juniors), [Crest("crest-2"), Back("own-2")], 30m, "2") with
                        {
                            Names = juniors,
                        },
                    ],
                    In(13),
                    LocalTime.Noon
                ),
                0.4
            );
        Aggregates.Templates.Put(
            c,
            AskTemplate.From("club-tee", "The usual club tee", Aggregates.Orders.Get(c, "demo-205")!.Value.Ask),
            0,
            DemoData.At(shop, "template kept", 1)
        );
    }
}
