using Hepno.Core.Curing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Devices;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Film cured together, or a correction of it. When, which lots and how much it used are known
/// already.</summary>
internal sealed record CureBody(
    ThingId PrinterId,
    PressId StationId,
    double TemperatureF,
    double Minutes,
    string By,
    CureSign Sign,
    ControlPrint Before,
    ControlPrint After,
    IReadOnlyList<PrintsBody> Prints,
    CureVerdict Verdict = CureVerdict.Open,
    string Why = ""
);

/// <summary>Prints that wait for a printer.</summary>
/// <param name="OrderId">Whose order.</param>
/// <param name="LineId">Which line.</param>
/// <param name="PlacementId">Which place.</param>
/// <param name="Name">As shown.</param>
/// <param name="Customer">Whose.</param>
/// <param name="Prints">How many still.</param>
/// <param name="WhiteOnly">True when the artwork is white alone.</param>
/// <param name="Queued">How many of them were sent to the printer already.</param>
/// <param name="Made">True when they are ticked off as made: only their batch is not noted.</param>
internal sealed record WaitingPrints(
    OrderId OrderId,
    LineId LineId,
    PlacementId PlacementId,
    string Name,
    string Customer,
    int Prints,
    bool WhiteOnly,
    int Queued,
    bool Made
);

/// <summary>A batch as the Floor shows it.</summary>
/// <param name="Code">"C-31".</param>
/// <param name="Said">When, where, how hot, how long.</param>
/// <param name="Prints">Whose prints.</param>
/// <param name="Holds">Why its white prints wait; empty when they do not.</param>
/// <param name="Doubt">What speaks against it; empty for nothing.</param>
/// <param name="Version">The version it stands at.</param>
/// <param name="Batch">The batch.</param>
internal sealed record CureView(
    string Code,
    string Said,
    IReadOnlyList<string> Prints,
    string Holds,
    string Doubt,
    long Version,
    CureBatch Batch
);

/// <summary>What is called back of one place of an order.</summary>
/// <param name="OrderId">Which order.</param>
/// <param name="Name">As shown.</param>
/// <param name="Customer">Whom to tell, with how they are reached.</param>
/// <param name="Said">Which pieces to look at and what to make anew.</param>
/// <param name="Tell">What to do about the customer.</param>
/// <param name="Cost">Making it anew, opened.</param>
internal sealed record RecalledView(
    OrderId OrderId,
    string Name,
    string Customer,
    string Said,
    string Tell,
    Figure Cost
);

/// <summary>What a batch calls back.</summary>
/// <param name="Code">Which batch.</param>
/// <param name="Lots">What it was made with.</param>
/// <param name="Lines">Order by order.</param>
/// <param name="Cost">Everything made anew, opened.</param>
internal sealed record RecallView(
    string Code,
    IReadOnlyList<string> Lots,
    IReadOnlyList<RecalledView> Lines,
    Figure Cost
);

/// <summary>Cure batches: noted, judged, called back.</summary>
internal static class CureEndpoints
{
    public static void MapCures(this IEndpointRouteBuilder api)
    {
        var cures = api.MapGroup("/cures").WithTags("cures");
        cures.MapGet("", All).WithName("cures").OpenTo(Caller.Press);
        cures.MapGet("waiting", Waiting).WithName("waitingPrints").OpenTo(Caller.Press);
        cures.MapPut("{id}", Keep).WithName("saveCure").OpenTo(Caller.Press);
        cures.MapGet("{id}/recall", Recalled).WithName("recall");
    }

    /// <summary>All batches, newest first.</summary>
    internal static IReadOnlyList<CureView> All(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var book = shop.Book(c);
            return Aggregates.Cures.All(c).Select(b => View(c, shop, book, b)).ToList();
        });

    /// <summary>Prints of the open orders that are in no batch of a printer yet.</summary>
    internal static IReadOnlyList<WaitingPrints> Waiting(
        ThingId printerId,
        OpenShop shop,
        IFilmPrinterReadout device
    ) =>
        shop.Db.Read(c =>
        {
            MakerOf(shop.Book(c), printerId);
            var queued = device.Read(printerId).Queue.ToLookup(q => q.Job.Of, q => q.Job.Prints);
            return FilmPrints
                .Of(c, shop, shop.Book(c), printerId)
                .Where(p => p.Waiting > 0)
                .Select(p => new WaitingPrints(
                    p.Order.Order.Id,
                    p.Line.LineId,
                    p.Plan.Placement.Id,
                    p.Name,
                    p.Order.Customer?.Name ?? "no customer",
                    p.Waiting,
                    p.WhiteOnly(c),
                    queued[(p.Order.Order.Id, p.Line.LineId, p.Plan.Placement.Id)].Sum(),
                    p.Made
                ))
                .ToList();
        });

    /// <summary>Notes a batch, or corrects or judges one. Its time, lots and use are the printer's at that
    /// time.</summary>
    internal static Written Keep(
        string id,
        CureBody body,
        OpenShop shop,
        IFilmPrinterReadout device,
        HttpRequest request
    ) =>
        shop.Db.Write(c =>
        {
            var before = Aggregates.Cures.Get(c, id);
            var seen = request.SeenOrNew(before is not null);
            var book = shop.Book(c);
            var printer = MakerOf(book, body.PrinterId);
            if (!body.StationId.IsNone && book.Heater(body.StationId) is null)
            {
                throw RefusedException.NoSuch("press or oven", body.StationId);
            }
            var at = before?.Value.At ?? SupplyEndpoints.Minute(shop.Clock.Wall(book.Numbers.Identity.TimeZone));
            List<CuredPrints> prints =
            [
                .. body.Prints.Select(p => new CuredPrints(p.OrderId, p.LineId, p.PlacementId, p.Prints, p.WhiteOnly)),
            ];
            var batch = new CureBatch(
                id,
                before?.Value.Number ?? CureStore.NextNumber(c),
                printer.Id,
                at,
                body.StationId,
                body.TemperatureF,
                body.Minutes,
                body.By.Trim(),
                body.Sign,
                body.Before,
                body.After,
                prints,
                before?.Value.Lots ?? LotsIn(c, printer.Id, at),
                before is not null && before.Value.Prints.SequenceEqual(prints)
                    ? before.Value.Use
                    : UseOf(c, shop, book, printer, prints),
                body.Verdict,
                body.Why.Trim()
            );
            RefusedException.IfAny(batch.Problems());
            if (before is not null && before.Version != seen)
            {
                throw Collision.Refusal(batch, before.Value, Aggregates.Cures.At(c, id, seen), before.Version);
            }
            var written = new Written(
                id,
                Aggregates.Cures.Put(c, batch, seen, request.Deed(shop.Clock, DeedOf(before?.Value, batch)))
            );
            if (before is null)
            {
                // what the printer's queue had used is in the batch now
                device.Clear(printer.Id);
            }
            return written;
        });

    private static IFilmMaker? MakerIn(ShopBook book, ThingId id) =>
        book.Things.All<IFilmMaker>().FirstOrDefault(m => m.Id == id);

    private static IFilmMaker MakerOf(ShopBook book, ThingId id) =>
        MakerIn(book, id) ?? throw RefusedException.NoSuch("film printer", id);

    private static CureUse UseOf(
        SqliteConnection c,
        OpenShop shop,
        ShopBook book,
        IFilmMaker printer,
        IEnumerable<CuredPrints> prints
    ) =>
        prints
            .Where(p => p.Prints > 0)
            .Aggregate(CureUse.None, (sum, p) =>
                sum
                + FilmPrints.Must(c, shop, book, printer.Id, p.OrderId, p.LineId, p.PlacementId).Use(printer, p.Prints)
            );

    private static IReadOnlyList<string> LotsIn(SqliteConnection c, ThingId printerId, LocalDateTime at) =>
        [
            .. (Aggregates.Of<PrinterSupplies>().Get(c, printerId)?.Value.InAt(at) ?? []).Select(l =>
                $"{PrinterSupplies.NameOf(l.Supply)}: {l.Named()}"
            ),
        ];

    private static string DeedOf(CureBatch? before, CureBatch now)
    {
        if (before is null)
        {
            return "cure noted";
        }
        return now.Verdict == before.Verdict
            ? "cure changed"
            : $"cure called {now.Verdict.ToString().ToLowerInvariant()}";
    }

    /// <summary>What a batch calls back: which pieces, what to make anew, what it costs, whom to tell.</summary>
    internal static RecallView Recalled(string id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var batch = (Aggregates.Cures.Get(c, id) ?? throw RefusedException.NoSuch("cure", id)).Value;
            var book = shop.Book(c);
            var from = WallClock.ToInstant(batch.At, book.Numbers.Identity.TimeZone);
            var lines = batch.Prints.Select(p => RecalledLine.Of(c, shop, book, batch, p, from)).ToList();
            return new RecallView(
                batch.Code(),
                batch.Lots,
                lines,
                Figure.Sum(
                    "recall-all",
                    "Made anew",
                    [.. lines.Select((l, i) => l.Cost with { Code = $"recall-{i + 1}", Label = l.Name })]
                )
            );
        });

    private static CureView View(SqliteConnection c, OpenShop shop, ShopBook book, Versioned<CureBatch> kept)
    {
        var (b, f) = (kept.Value, book.Numbers.Format);
        string where;
        if (b.StationId.IsNone)
        {
            where = "in an oven";
        }
        else if (book.Heater(b.StationId) is { } heater)
        {
            where = $"{(heater.OnlyCures() ? "in" : "under")} {heater.Name}";
        }
        else
        {
            where = "on a press no longer kept";
        }

        string holds;
        if (!b.Holds())
        {
            holds = "";
        }
        else if (b.Before == ControlPrint.NotYet)
        {
            holds = "hold the whites: press the first patch";
        }
        else if (b.After == ControlPrint.NotYet)
        {
            holds = "hold the whites: press the last patch first";
        }
        else
        {
            holds = "hold the whites: a patch lifts";
        }

        return new(
            b.Code(),
            $"{Shown.Moment(b.At, f)}, {Shown.Temperature(b.TemperatureF, f)}, {Shown.Number(b.Minutes, 1, f)} "
                + $"min {where}{(b.By.Length > 0 ? $", {b.By}" : "")}",
            [.. b.Prints.Select(p => $"{p.Prints} × {Named(c, shop, book, b, p)}{(p.WhiteOnly ? ", white" : "")}")],
            holds,
            b.Doubt(MakerIn(book, b.PrinterId)?.CureF ?? FilmPrinter.UsualCureF, f),
            kept.Version,
            b
        );
    }

    private static string Named(SqliteConnection c, OpenShop shop, ShopBook book, CureBatch b, CuredPrints p) =>
        FilmPrints.Find(c, shop, book, b.PrinterId, p.OrderId, p.LineId, p.PlacementId)?.Name
        ?? "an order quoted otherwise since";
}
