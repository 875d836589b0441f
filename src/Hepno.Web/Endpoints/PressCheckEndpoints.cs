using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Devices;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Nine readings of a platen, °F, from the far left to the near right.</summary>
internal sealed record PlatenMapBody(
    LocalDate Day,
    double SetPointF,
    IReadOnlyList<double> PointsF,
    bool Doubtful = false,
    string By = ""
);

/// <summary>What a thermometer reads.</summary>
/// <param name="Simulated">True for the stand-in that ships with the program.</param>
/// <param name="ReadingF">The reading, °F.</param>
internal sealed record Reading(bool Simulated, double ReadingF);

/// <summary>A recipe's heat on a press.</summary>
/// <param name="RecipeF">What the cloth is to get, °F.</param>
/// <param name="Recipe">The same as shown.</param>
/// <param name="SetPoint">What to set, as shown; empty where no map is near enough.</param>
/// <param name="Hottest">The platen's hottest point then, as shown; empty likewise.</param>
internal sealed record SetFor(double RecipeF, string Recipe, string SetPoint, string Hottest);

/// <summary>A point of the newest map.</summary>
/// <param name="Name">Where.</param>
/// <param name="Reading">What it read, as shown.</param>
/// <param name="Cold">True for a cold spot.</param>
internal sealed record PlatenPoint(string Name, string Reading, bool Cold);

/// <summary>What is known of a press's platen.</summary>
/// <param name="Version">The press's version.</param>
/// <param name="Points">The newest map's points; empty while there is none.</param>
/// <param name="Sentence">What it comes to, in words.</param>
/// <param name="Due">When it is to be checked next, as shown; empty while it never was.</param>
/// <param name="Overdue">True when that day is past.</param>
/// <param name="Sets">What to set for the heat of every recipe the shop has.</param>
/// <param name="History">Earlier maps in words, the newest first.</param>
/// <param name="Pressed">What went over it since it was last found right.</param>
/// <param name="Wear">Its pillows and cover sheets, with how much of them is used.</param>
internal sealed record PlatenView(
    long Version,
    IReadOnlyList<PlatenPoint> Points,
    string Sentence,
    string Due,
    bool Overdue,
    IReadOnlyList<SetFor> Sets,
    IReadOnlyList<string> History,
    PressedSince Pressed,
    IReadOnlyList<WearView> Wear
);

/// <summary>How worn a pillow, foam or cover sheet is.</summary>
/// <param name="Name">Which.</param>
/// <param name="Said">How many presses of how many, in words.</param>
/// <param name="Share">The same, 0 to 1; null while nobody counts.</param>
/// <param name="IsNearlyWorn">True when it should be replaced soon.</param>
internal sealed record WearView(string Name, string Said, double? Share, bool IsNearlyWorn);

/// <summary>What went over a press since it was last found right.</summary>
/// <param name="Since">That day in words; "ever" when it never was.</param>
/// <param name="SetAside">True when the press is set aside: these pieces are to be looked at.</param>
/// <param name="Pieces">How many good pieces.</param>
/// <param name="Lines">Order by order, with the customer to tell.</param>
internal sealed record PressedSince(string Since, bool SetAside, int Pieces, IReadOnlyList<string> Lines);

/// <summary>Strips of paper pulled from under the four corners (far left, far right, near left, near right) at a dial,
/// on a thickness, lower platen and pillow; an empty platen is the press's own, an empty pillow nothing.</summary>
internal sealed record PaperPullBody(
    double Dial,
    Thickness Thickness,
    string Lower,
    IReadOnlyList<PullFeel> Corners,
    string Pillow = ""
);

/// <summary>What a press is set to, °F; null switches it off. Faster: 1, 10 or 60 for a simulated one.</summary>
internal sealed record PressSetBody(double? SetPointF, int Faster = 1);

/// <summary>What a press says of itself, as shown.</summary>
/// <param name="Simulated">True for the stand-in that ships with the program.</param>
/// <param name="On">True when it heats.</param>
/// <param name="SetPointF">What it is set to, °F.</param>
/// <param name="HeatF">What its display says, °F.</param>
/// <param name="Heat">The same as shown.</param>
/// <param name="Said">What it does, in words.</param>
/// <param name="Hot">True above 60 °C.</param>
/// <param name="Faster">How much faster than a real one it runs.</param>
internal sealed record PressReadoutView(
    bool Simulated,
    bool On,
    double? SetPointF,
    double HeatF,
    string Heat,
    string Said,
    bool Hot,
    int Faster
);

/// <summary>Checks of presses: the platen's map, and the simulated thermometer.</summary>
internal static class PressCheckEndpoints
{
    // once a shop checks its platens there are a few days' orders; those of years nobody reads
    private const int MostListed = 12;

    public static void MapPressChecks(this IEndpointRouteBuilder api)
    {
        var presses = api.MapGroup("/presses").WithTags("presses");
        presses.MapGet("set-aside", SetAside).WithName("pressesSetAside").OpenTo(Caller.Press);
        presses.MapGet("{id}/platen", Platen).WithName("platen").OpenTo(Caller.Press);
        presses.MapPost("{id}/maps", AddMap).WithName("addPlatenMap").OpenTo(Caller.Press);
        presses.MapGet("{id}/thermometer", Thermometer).WithName("readThermometer").OpenTo(Caller.Press);
        presses.MapPost("{id}/paper-pull", Pull).WithName("paperPull").OpenTo(Caller.Press);
        presses.MapGet("{id}/readout", Readout).WithName("pressReadout").OpenTo(Caller.Press);
        presses.MapPut("{id}/readout", SetReadout).WithName("setPress").OpenTo(Caller.Press);
    }

    /// <summary>Ids of the presses that are set aside: off by more than can be corrected.</summary>
    internal static List<PressId> SetAside(OpenShop shop) =>
        shop.Db.Read(c =>
            Aggregates.Of<Press>().All(c).Where(p => p.Value.IsSetAside()).Select(p => p.Value.Id).ToList()
        );

    /// <summary>What is known of a press's platen, and what to set for each recipe's heat.</summary>
    internal static PlatenView Platen(string id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var kept = Aggregates.Of<Press>().Get(c, id) ?? throw RefusedException.NoSuch("press", id);
            var book = shop.Book(c);
            var (press, f, today) = (kept.Value, book.Numbers.Format, shop.Clock.Today(book.Numbers.Identity.TimeZone));
            var newest = press.Maps is { Count: > 0 } maps ? maps[^1] : null;
            var due = newest?.Day.PlusDays(PlatenMap.CheckDays);
            return new PlatenView(
                kept.Version,
                newest is null
                    ? []
                    :
                    [
                        .. newest.PointsF.Select(
                            (p, i) =>
                                new PlatenPoint(
                                    PlatenMap.Names[i],
                                    Reading: Shown.Temperature(p, f),
                                    newest.ColdSpots(press.ColdBelowF).Contains(i)
                                )
                        ),
                    ],
                newest is null ? "not yet measured" : Said(newest, press, f),
                Due: due is { } day ? Shown.DayAndYear(day, f) : "",
                due < today,
                [
                    .. book.Of<Recipe>()
                        .Select(r => r.TemperatureF)
                        .Distinct()
                        .Order()
                        .Select(t => new SetFor(
                            t,
                            Shown.Temperature(t, f),
                            SetPoint: press.OffsetFor(t) is null ? "" : Shown.Temperature(press.SetPointF(t), f),
                            press.OffsetFor(t) is null ? "" : Shown.Temperature(press.HottestF(t), f)
                        )),
                ],
                [
                    .. press
                        .Maps.Reverse()
                        .Select(m =>
                            $"{Shown.DayAndYear(m.Day, f)}: "
                            + $"{Said(m, press, f)}{(m.By.Length > 0 ? $", by {m.By}" : "")}"
                        ),
                ],
                Since(c, shop, press, book),
                [.. press.Accessories.Select(a => Wear(c, press, book, a))]
            );
        });

    /// <summary>Adds a map; what is set from now on follows from it.</summary>
    internal static Written AddMap(string id, PlatenMapBody body, OpenShop shop, HttpRequest request)
    {
        var map = new PlatenMap(body.Day, body.SetPointF, body.PointsF, body.Doubtful, body.By.Trim());
        RefusedException.IfAny(map.Problems());
        return shop.Db.Write(c =>
        {
            var press = PressOf(id, c);
            return new Written(
                id,
                Aggregates
                    .Of<Press>()
                    .Put(c, press.Measured(map), request.Seen(), request.Deed(shop.Clock, "platen measured"))
            );
        });
    }

    /// <summary>Reads the simulated thermometer at one of the nine points.</summary>
    internal static Reading Thermometer(string id, int point, double setPointF, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var press = PressOf(id, c);
            RefusedException.IfAny(
                point is >= 0 and < PlatenMap.Points
                    ? []
                    : [new Problem("range", $"There is no point {point}.", Where: "point", "Nine, from 0 to 8.")]
            );
            RefusedException.IfAny(PlatenMap.OutOfRange(setPointF) is { } problem ? [problem] : []);
            return new Reading(
                true,
                SimulatedThermometer.Read(
                    press.Id,
                    point,
                    setPointF,
                    shop.Clock.Today(OpenShop.Numbers(c).Identity.TimeZone)
                )
            );
        });

    /// <summary>Notes a paper-pull test: which pressure the dial gave on a thickness and lower platen.</summary>
    internal static Written Pull(string id, PaperPullBody body, OpenShop shop, HttpRequest request)
    {
        var pull = new PaperPull(body.Dial, body.Thickness, body.Lower.Trim(), body.Corners, body.Pillow.Trim());
        RefusedException.IfAny(pull.Problems());
        return shop.Db.Write(c =>
        {
            var press = pull.Noted(PressOf(id, c));
            RefusedException.IfAny(press.Problems());
            return new Written(
                id,
                Aggregates.Of<Press>().Put(c, press, request.Seen(), request.Deed(shop.Clock, "dial noted"))
            );
        });
    }

    /// <summary>What a press says of itself: the simulated one that ships with the program.</summary>
    internal static PressReadoutView Readout(string id, OpenShop shop, IPressReadout device) =>
        shop.Db.Read(c => ReadoutOf(id, c, shop, device));

    /// <summary>Sets the simulated press, or switches it off. Faster makes its minutes shorter, to try it
    /// out.</summary>
    internal static PressReadoutView SetReadout(string id, PressSetBody body, OpenShop shop, IPressReadout device) =>
        shop.Db.Read(c =>
        {
            var press = PressOf(id, c);
            RefusedException.IfAny([
                .. body.SetPointF is { } f && PlatenMap.OutOfRange(f) is { } problem ? new[] { problem } : [],
                .. body.Faster is 1 or 10 or 60
                    ? Array.Empty<Problem>()
                    : [new Problem("range", $"{body.Faster} times as fast.", Where: "faster", "1, 10 or 60.")],
            ]);
            device.Set(press, body.SetPointF, body.Faster);
            return ReadoutOf(id, c, shop, device);
        });

    private static WearView Wear(Microsoft.Data.Sqlite.SqliteConnection c, Press press, ShopBook book, Accessory a)
    {
        if (a.Uses == 0)
        {
            return new(a.Name, $"{a.WidthIn:0.##} × {a.HeightIn:0.##} in", null, false);
        }
        var pressed = RunStore.CountPressedSince(c, press.Id, StartOf(a.Since, book), a.Uses);
        var due = a.Left(pressed) == 0 ? ": due for a new one" : "";
        return new(
            a.Name,
            $"{pressed} of {a.Uses} presses since {Shown.DayAndYear(a.Since, book.Numbers.Format)}{due}",
            pressed / (double)a.Uses,
            a.IsNearlyWorn(pressed)
        );
    }

    private static Instant StartOf(LocalDate day, ShopBook book) =>
        WallClock.ToInstant(day.AtMidnight(), book.Numbers.Identity.TimeZone);

    private static PressedSince Since(
        Microsoft.Data.Sqlite.SqliteConnection c,
        OpenShop shop,
        Press press,
        ShopBook book
    )
    {
        var good = press.LastGoodCheck();
        var lines = shop.PressedSince(c, press.Id, good is { } from ? StartOf(from, book) : NodaConstants.UnixEpoch);
        var said = lines
            .Take(MostListed)
            .Select(l => (l.LineId, l.Pieces, Order: shop.Case(c, l.OrderId, book)))
            .Select(l =>
                $"{l.Order.CodeOf(l.LineId)}, {l.Order.Customer?.Name ?? "no customer"}: {l.Pieces} of "
                + $"{l.Order.Line(l.LineId).What}"
            );
        var more = lines.Skip(MostListed).ToList();
        return new(
            good is { } day ? Shown.DayAndYear(day, book.Numbers.Format) : "ever",
            press.IsSetAside(),
            lines.Sum(l => l.Pieces),
            [
                .. said,
                .. more.Count > 0
                    ? [$"and {more.Sum(l => l.Pieces)} pieces of {more.Count} lines before"]
                    : (string[])[],
            ]
        );
    }

    private static Press PressOf(string id, Microsoft.Data.Sqlite.SqliteConnection c) =>
        (Aggregates.Of<Press>().Get(c, id) ?? throw RefusedException.NoSuch("press", id)).Value;

    private static PressReadoutView ReadoutOf(
        string id,
        Microsoft.Data.Sqlite.SqliteConnection c,
        OpenShop shop,
        IPressReadout device
    )
    {
        var (read, f) = (device.Read(PressOf(id, c)), OpenShop.Numbers(c).Format);
        var until = read.MinutesUntil * 60;
        string said;
        if (!read.On)
        {
            said = Press.IsHot(read.HeatF) ? "off, still hot" : "off, cold";
        }
        else if (until <= 1)
        {
            said = $"holds {Shown.Temperature(read.SetPointF!.Value, f)}";
        }
        else
        {
            said =
                $"on its way to {Shown.Temperature(read.SetPointF!.Value, f)}, "
                + $"{(double.IsInfinity(until) ? "which it cannot reach" : $"{Shown.Duration(until)} more")}";
        }

        return new(
            read.Simulated,
            read.On,
            read.SetPointF,
            read.HeatF,
            Shown.Temperature(read.HeatF, f),
            said,
            Press.IsHot(read.HeatF),
            read.Faster
        );
    }

    private static string Said(PlatenMap m, Press press, FigureFormat f)
    {
        var cold = m.ColdSpots(press.ColdBelowF);
        // differences of degrees are told in the shop's unit too
        string Difference(double fahrenheit) =>
            f.Celsius ? $"{Shown.Number(fahrenheit * 5 / 9, 0, f)} °C" : $"{Shown.Number(fahrenheit, 0, f)} °F";
        var where = cold.Count > 0 ? $"; cold {string.Join(", ", cold.Select(i => PlatenMap.Names[i]))}" : "";
        var doubt = m.Doubtful ? "; doubtful: infrared on bare metal" : "";
        return $"set {Shown.Temperature(m.SetPointF, f)}, mean {Shown.Temperature(m.MeanF(), f)}, "
            + $"{Difference(m.SpreadF())} from coldest to hottest{where}{doubt}";
    }
}
