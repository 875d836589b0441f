using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Quoting;
using Hepno.Core.Shop;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Calendars;
using NodaTime.Extensions;

namespace Hepno.Web.Endpoints;

/// <summary>The setting as it was offered.</summary>
internal sealed record LearnedBody(string Key, MethodId MethodId, double Value);

/// <summary>A step of the press floor.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Label">What is done.</param>
/// <param name="StartingSeconds">What is assumed until the shop times it, s.</param>
/// <param name="OwnSeconds">What the shop typed, s; null while the starting time holds.</param>
internal sealed record StepTimeView(string Code, string Label, double StartingSeconds, double? OwnSeconds);

/// <summary>What the shell and the shop-wide drawings show: the work line, the press day, what is waited for; and
/// undo.</summary>
internal static class FloorEndpoints
{
    public static void MapFloor(this IEndpointRouteBuilder api)
    {
        api.MapGet("/line", Line).WithTags("line").WithName("line").OpenTo(Caller.Press);
        api.MapGet("/press-day", PressDay).WithTags("line").WithName("pressDay").OpenTo(Caller.Press);
        api.MapGet("/press-day.pdf", PressDayPage)
            .WithTags("line")
            .WithName("pressDayPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        api.MapGet("/gather", Gather).WithTags("line").WithName("gather").OpenTo(Caller.Press);
        api.MapGet("/learning", (OpenShop shop) => shop.Db.Read(c => LearningView.Kept(shop, c)))
            .WithTags("line")
            .WithName("learning")
            .WithSummary(
                "Minutes and spoilage as the shop's own work teaches them, and one setting offered to change."
            );
        api.MapPost("/learning/take", TakeLearned).WithTags("line").WithName("takeLearned");
        api.MapGet("/orders/{id}/press-floor", Simulation)
            .WithTags("orders")
            .WithName("orderPressFloor")
            .OpenTo(Caller.Press);
        api.MapGet("/step-times", Times).WithTags("numbers").WithName("stepTimes").OpenTo(Caller.Press);
        api.MapPost("/undo", Undo).WithTags("line").WithName("undo");
    }

    /// <summary>The work line with every order that hangs on it.</summary>
    internal static LineView Line(OpenShop shop, Copying copying, HttpContext context) =>
        shop.Db.Read(connection =>
        {
            var caller = Admission.CallerOf(context, shop.Db);
            var book = shop.Book(connection);
            var f = book.Numbers.Format;
            var wall = shop.Clock.Wall(book.Numbers.Identity.TimeZone);
            var open = shop.Open(connection, book);
            var floor = ShopFloor.Plan(open, book, wall);
            var late = floor.Placed.Where(p => p.LateMinutes > 0).Select(p => p.Work.OrderId).ToHashSet();
            var tomorrow = floor.Hours.Parcel(wall, 1).Date.PlusDays(1);
            Urgency Urgent(OrderCase c)
            {
                if (late.Contains(c.Order.Id) || (c.Order.Ask.DueAt < wall && c.Standing.Station < Station.Send))
                {
                    return Urgency.Late;
                }
                return c.Order.Ask.DueAt < tomorrow.AtMidnight() && c.Standing.Station < Station.Learn
                    ? Urgency.Soon
                    : Urgency.Waiting;
            }
            var stations = Enum.GetValues<Station>()
                .Where(s => s != Station.Closed)
                .Select(s => new StationView(
                    s,
                    [
                        .. open.Where(c => c.Standing.Station == s)
                            .Select(c => new Peg(
                                c.Order.Id.Text,
                                c.Order.Code,
                                c.Customer?.Name ?? "",
                                c.Order.Ask.Pieces,
                                c.Order.Ask.DueAt is { } d ? Shown.Day(d.Date, f) : "",
                                Urgent(c),
                                c.Standing.Missing.Count > 0 ? c.Standing.Missing[0].Text : "ready"
                            ))
                            .OrderByDescending(p => p.Urgency),
                    ]
                ))
                .ToList();
            var aside = book.Presses.Count(p => p.IsSetAside());
            var week = WeekYearRules.Iso.GetWeekOfWeekYear(wall.Date);
            return new LineView(
                book.Numbers.Identity.Name,
                Now: $"{Shown.Moment(wall, f)}",
                wall.Date,
                stations,
                $"{book.Of<Style>().Count(s => !s.Retired)} styles",
                Floor: aside > 0 ? $"{aside} set aside" : Presses(book.Presses.Count),
                $"week {week}",
                f,
                Aggregates.Numbers.Get(connection, "1") is null,
                copying.Last is { MadeAt: var at }
                    ? Shown.Moment(WallClock.Local(at, book.Numbers.Identity.TimeZone), f)
                    : "",
                ChangeStore.Last(connection),
                caller,
                caller == Caller.Press ? [] : Notice.All(connection, copying, book.Numbers)
            );
        });

    private static string Presses(int count) =>
        count switch
        {
            0 => "no press",
            1 => "1 press",
            _ => $"{count} presses",
        };

    /// <summary>A day at the presses: batches on the platen's temperature.</summary>
    internal static PressDayView PressDay(OpenShop shop, DateOnly? day, OrderId? inHand) =>
        shop.Db.Read(connection =>
        {
            var (book, open, floor) = Planned(shop, connection);
            return PressDays.Day(day?.ToLocalDate() ?? floor.Now.Date, inHand, open, floor, book);
        });

    /// <summary>The day on paper, to hang beside the presses.</summary>
    internal static FileContentHttpResult PressDayPage(OpenShop shop, DateOnly? day) =>
        shop.Db.Read(connection =>
        {
            var (book, open, floor) = Planned(shop, connection);
            var n = book.Numbers;
            var view = PressDays.Day(day?.ToLocalDate() ?? floor.Now.Date, null, open, floor, book);
            string At(LocalDateTime t) => Shown.Clock(t.TimeOfDay, n.Format);
            var presses = view
                .Lanes.Select(l => new DayPress(
                    l.Name,
                    SwitchOn: l.HottestF == 0 ? "" : $"switch it on at {At(l.Batches[0].HeatFrom)}",
                    [
                        .. l.Batches.Select(b => new DayBatch(
                            At(b.Start),
                            At(b.End),
                            Order: b.Code,
                            $"{b.Customer}: {b.What}; {b.Pieces} to press, spoiled ones allowed "
                                + $"for{(b.Platens.Length > 0 ? $"; {b.Platens}" : "")}",
                            Heat: l.HottestF == 0
                                ? ""
                                : $"{b.Temperature}, set "
                                    + $"{Shown.Temperature(book.Presses.First(p => p.Id == l.PressId).SetPointF(b.TemperatureF), n.Format)}",
                            view.Hands.FirstOrDefault(h => h.Id == b.PersonId)?.Name ?? "",
                            Note: b.LateMinutes > 0 ? $"{Shown.Duration(b.LateMinutes * 60)} late" : ""
                        )),
                    ]
                ))
                .ToList();
            return TypedResults.File(
                DaySheetPdf.Print(
                    new(
                        n.Identity.Paper,
                        n.Identity.Name,
                        Day: view.Title,
                        Shown.Moment(floor.Now, n.Format),
                        presses,
                        [.. view.Tray.Select(t => $"{t.Code}, {t.What}: {t.Note}")]
                    )
                ),
                "application/pdf"
            );
        });

    /// <summary>Everything waited for, a lane an order.</summary>
    internal static GatherView Gather(OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var (book, open, floor) = Planned(shop, connection);
            return PressDays.Gather(open, floor, book);
        });

    /// <summary>A line of an order on the press floor by its chosen method: one at a time and as a stream, and what
    /// would help. Without a line, its first that has a method.</summary>
    internal static FloorSimulationView Simulation(OrderId id, LineId? lineId, OpenShop shop, bool? cold) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            if (book.Presses.Count == 0)
            {
                throw new RefusedException(
                    409,
                    "no-press",
                    "There is no press on the Floor.",
                    remedy: "Add a press on the Floor."
                );
            }
            if (c.Frozen is { } q)
            {
                var frozen = q.Lines.FirstOrDefault(l => lineId is null || l.LineId == lineId)
                    ?? throw RefusedException.NoSuch("line", lineId ?? default);
                return FloorSimulationView.From(
                    $"{c.CodeOf(frozen.LineId)}, {c.Line(frozen.LineId).What}",
                    q.InHand(frozen),
                    frozen.Band.Decorations,
                    book,
                    cold == true
                );
            }
            var line = c.Lines.FirstOrDefault(l =>
                l.InHand is not null && l.Decision is not null && (lineId is null || l.Asked.Id == lineId)
            )
                ?? throw new RefusedException(
                    409,
                    "no-method",
                    $"{c.Order.Code} has no method yet: nothing can be pressed.",
                    remedy: "Choose one under Compare."
                );
            var answer = DecorationMethods.Find(line.Decision!.MethodId)!.Answer(line.InHand!, book);
            return answer.Decorations.Count == 0
                ? throw new RefusedException(
                    409,
                    "method-unfit",
                    $"{c.Order.Code} cannot be done by its method any more.",
                    remedy: "Choose another under Compare."
                )
                : FloorSimulationView.From(
                    $"{c.CodeOf(line.Asked.Id)}, {line.What}",
                    line.InHand!,
                    answer.Decorations,
                    book,
                    cold == true
                );
        });

    /// <summary>Every step of the press floor: its starting time, the shop's own, and where the one that holds comes
    /// from.</summary>
    internal static IReadOnlyList<StepTimeView> Times(OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var habits = OpenShop.Numbers(connection).Floor.Habits;
            return KnownStep
                .All.Select(k => new StepTimeView(
                    k.Code,
                    k.Label,
                    k.Seconds,
                    OwnSeconds: habits.Times.FirstOrDefault(t => t.Code == k.Code)?.Seconds
                ))
                .ToList();
        });

    /// <summary>Takes the offered setting: prices use it from now on, sent quotes keep theirs.</summary>
    internal static Written TakeLearned(LearnedBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(connection =>
        {
            var offer = LearningView.Kept(shop, connection).Offer;
            if (offer is null || offer.Key != body.Key || offer.MethodId != body.MethodId || offer.Value != body.Value)
            {
                throw new RefusedException(
                    409,
                    "not-offered",
                    "That setting is not offered any more.",
                    remedy: "Look at what is offered now."
                );
            }
            var n = Aggregates.Numbers.Get(connection, "1")
                ?? throw new RefusedException(
                    409,
                    "no-numbers",
                    "The shop has no numbers yet.",
                    remedy: "Set them up first."
                );
            return new Written(
                "1",
                Aggregates.Numbers.Put(
                    connection,
                    LearningView.With(n.Value, body.Key, body.MethodId, body.Value),
                    seen,
                    request.Deed(shop.Clock, "learned setting taken")
                )
            );
        });
    }

    /// <summary>Takes this device's last deed back, as a new version.</summary>
    internal static UndoView Undo(OpenShop shop, HttpRequest request) =>
        shop.Db.Write(connection =>
        {
            var undone = UndoStore.Undo(connection, request.Device(), shop.Clock.Utc);
            if (
                undone is { Deed: not null, Stale: false }
                && undone.Kind == Aggregates.Designs.Kind
                && Aggregates.Designs.Get(connection, undone.Id) is { } design
            )
            {
                ArtworkDeeds.Describe(connection, design.Value, request.Deed(shop.Clock, undone.Deed));
            }
            return undone switch
            {
                { Deed: null } => new UndoView("Nothing to take back on this device.", "", "", 0),
                { Stale: true } => throw new RefusedException(
                    409,
                    [
                        new Problem(
                            "stale",
                            $"Another device changed it after \"{undone.Deed}\": it is not taken back.",
                            Where: "",
                            "Look at it first."
                        ),
                    ],
                    new Dictionary<string, object?> { ["version"] = undone.Version }
                ),
                _ => new UndoView($"Taken back: {undone.Deed}.", undone.Kind, undone.Id, undone.Version),
            };
        });

    private static (ShopBook Book, IReadOnlyList<OrderCase> Open, Core.Planning.FloorPlan Floor) Planned(
        OpenShop shop,
        SqliteConnection connection
    )
    {
        var book = shop.Book(connection);
        var open = shop.Open(connection, book);
        return (book, open, ShopFloor.Plan(open, book, shop.Clock.Wall(book.Numbers.Identity.TimeZone)));
    }
}
