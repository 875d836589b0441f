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

/// <summary>A refill or change of roll just made; no level for a full one.</summary>
internal sealed record RefillBody(Supply Supply, string Product, string Lot, double? Level, string By);

/// <summary>Prints of an order's place.</summary>
internal sealed record PrintsBody(
    OrderId OrderId,
    LineId LineId,
    PlacementId PlacementId,
    int Prints,
    bool WhiteOnly = false
);

/// <summary>What is to be printed.</summary>
internal sealed record QueueBody(IReadOnlyList<PrintsBody> Prints);

/// <summary>A place as the Floor shows it.</summary>
/// <param name="Supply">Which.</param>
/// <param name="Name">Its word.</param>
/// <param name="Said">What is in it, of which lot, since when; or that nothing was noted.</param>
/// <param name="Left">How much is left, with its unit; empty while not known.</param>
/// <param name="Share">The same of a full one, 0 to 1; null while not known.</param>
/// <param name="LowShare">Where low begins, 0 to 1.</param>
/// <param name="Low">True from there on.</param>
/// <param name="Mismatch">Why it refuses the method; empty when it matches.</param>
internal sealed record SlotView(
    Supply Supply,
    string Name,
    string Said,
    string Left,
    double? Share,
    double LowShare,
    bool Low,
    string Mismatch
);

/// <summary>A printer's materials.</summary>
/// <param name="PrinterId">Which printer.</param>
/// <param name="Version">Version of what is kept; 0 while nothing is.</param>
/// <param name="Slots">Its places.</param>
/// <param name="Usual">Usual places, offered while it has none.</param>
/// <param name="WorkLeft">How far it goes with what waits, in words; empty while nothing waits or nothing is
/// known.</param>
/// <param name="Enough">False when something runs out before the waiting work is printed.</param>
/// <param name="Log">Refills and changes of roll, newest first.</param>
internal sealed record SuppliesView(
    ThingId PrinterId,
    long Version,
    IReadOnlyList<SlotView> Slots,
    IReadOnlyList<SupplySlot> Usual,
    string WorkLeft,
    bool Enough,
    IReadOnlyList<string> Log
);

/// <summary>A job in a printer's queue.</summary>
/// <param name="Name">What.</param>
/// <param name="Done">Percent printed.</param>
internal sealed record QueuedView(string Name, int Done);

/// <summary>What a film printer says of itself.</summary>
/// <param name="Simulated">True for the stand-in that ships with the program.</param>
/// <param name="Queue">Its jobs.</param>
/// <param name="Said">In words.</param>
internal sealed record PrinterReadoutView(bool Simulated, IReadOnlyList<QueuedView> Queue, string Said);

/// <summary>Ink, film, powder and paper in the printers; and the simulated film printer.</summary>
internal static class SupplyEndpoints
{
    private const int LogShown = 8;

    public static void MapSupplies(this IEndpointRouteBuilder api)
    {
        var supplies = api.MapGroup("/supplies").WithTags("supplies");
        supplies.MapGet("view", View).WithName("suppliesView").OpenTo(Caller.Press);
        supplies.MapPost("{id}/refill", Refill).WithName("refill").OpenTo(Caller.Press);
        var printers = api.MapGroup("/film-printers/{id}").WithTags("film-printers");
        printers.MapGet("readout", Readout).WithName("printerReadout").OpenTo(Caller.Press);
        printers.MapPost("queue", Send).WithName("sendToPrinter");
        printers.MapDelete("queue", Clear).WithName("clearPrinter");
    }

    /// <summary>Every printer's materials: what is in it, how much is left, how far that goes, what does not
    /// match.</summary>
    internal static IReadOnlyList<SuppliesView> View(OpenShop shop, IFilmPrinterReadout device) =>
        shop.Db.Read(c =>
        {
            var book = shop.Book(c);
            var kept = Aggregates.Of<PrinterSupplies>().All(c).ToDictionary(s => s.Value.Id);
            return book
                .Things.All<ITakesSupplies>()
                .Select(m =>
                    kept.GetValueOrDefault(m.Id) is { } s
                        ? Of(c, shop, book, s, device)
                        : new SuppliesView(m.Id, 0, [], m.UsualSupplies, "", true, [])
                )
                .ToList();
        });

    /// <summary>Notes a refill or a change of roll with its lot; now is its time.</summary>
    internal static Written Refill(ThingId id, RefillBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c =>
        {
            var kept = (
                Aggregates.Of<PrinterSupplies>().Get(c, id) ?? throw RefusedException.NoSuch("supplies", id)
            ).Value;
            var full = kept.Slots.FirstOrDefault(s => s.Supply == body.Supply)?.Full ?? 0;
            var then = kept with
            {
                Loadings =
                [
                    .. kept.Loadings,
                    new Loading(
                        body.Supply,
                        body.Product.Trim(),
                        Lot: body.Lot.Trim(),
                        Minute(shop.Clock.Wall(OpenShop.Numbers(c).Identity.TimeZone)),
                        body.Level ?? full,
                        body.By.Trim()
                    ),
                ],
            };
            RefusedException.IfAny(then.Problems());
            return new Written(
                id.Text,
                Aggregates.Of<PrinterSupplies>().Put(c, then, seen, request.Deed(shop.Clock, "refill noted"))
            );
        });
    }

    /// <summary>The simulated printer's queue.</summary>
    internal static PrinterReadoutView Readout(ThingId id, OpenShop shop, IFilmPrinterReadout device) =>
        shop.Db.Read(c =>
        {
            PrinterOf(c, id);
            return Said(device.Read(id));
        });

    /// <summary>Sends waiting prints to the simulated printer.</summary>
    internal static PrinterReadoutView Send(ThingId id, QueueBody body, OpenShop shop, IFilmPrinterReadout device) =>
        shop.Db.Read(c =>
        {
            var (printer, book) = (PrinterOf(c, id), shop.Book(c));
            RefusedException.IfAny(
                body.Prints.Count == 0
                    ?
                    [
                        new Problem(
                            "empty",
                            "Nothing is to be printed.",
                            Where: "prints",
                            "Choose prints that wait for it."
                        ),
                    ]
                    : body
                        .Prints.Where(p => p.Prints is < 1 or > 10_000)
                        .Select(p => new Problem(
                            "range",
                            $"{p.Prints} prints is outside 1 to 10,000.",
                            Where: "prints",
                            "Count them."
                        ))
            );
            if (device.Read(id).Queue.Count + body.Prints.Count > IFilmPrinterReadout.MostJobs)
            {
                throw new RefusedException(
                    409,
                    "full",
                    $"The queue of {printer.Name} takes {IFilmPrinterReadout.MostJobs} jobs.",
                    remedy: "Note the cure of what is printed, or stop and empty it."
                );
            }
            if (
                Aggregates.Of<PrinterSupplies>().Get(c, id)?.Value.Mismatches().FirstOrDefault() is
                { Loaded: { } wrong } mismatch
            )
            {
                throw new RefusedException(
                    409,
                    "mismatch",
                    $"{printer.Name} has {wrong.Product} in it as "
                        + $"{PrinterSupplies.NameOf(mismatch.Slot.Supply)}, which it does not take.",
                    remedy: $"Change it for {string.Join(" or ", mismatch.Slot.Takes)} and note the refill."
                );
            }
            device.Send(
                id,
                printer.SpeedIn2PerMinute,
                [
                    .. body
                        .Prints.Select(p =>
                            (Asked: p, Film: FilmPrints.Must(c, shop, book, id, p.OrderId, p.LineId, p.PlacementId))
                        )
                        .Select(x => new PrintJob(
                            (x.Asked.OrderId, x.Asked.LineId, x.Asked.PlacementId),
                            x.Asked.Prints,
                            $"{x.Asked.Prints} × {x.Film.Name}",
                            x.Film.Plan.Placement.AreaIn2 * x.Asked.Prints,
                            x.Film.Use(printer, x.Asked.Prints)
                        )),
                ]
            );
            return Said(device.Read(id));
        });

    /// <summary>Stops the simulated printer and empties its queue.</summary>
    internal static PrinterReadoutView Clear(ThingId id, OpenShop shop, IFilmPrinterReadout device) =>
        shop.Db.Read(c =>
        {
            PrinterOf(c, id);
            device.Clear(id);
            return Said(device.Read(id));
        });

    internal static FilmPrinter PrinterOf(SqliteConnection c, ThingId id) =>
        (Aggregates.Of<FilmPrinter>().Get(c, id) ?? throw RefusedException.NoSuch("film printer", id)).Value;

    /// <summary>The wall clock to the minute, as it is kept.</summary>
    internal static LocalDateTime Minute(LocalDateTime wall) =>
        new(wall.Year, wall.Month, wall.Day, wall.Hour, wall.Minute, 0);

    private static SuppliesView Of(
        SqliteConnection c,
        OpenShop shop,
        ShopBook book,
        Versioned<PrinterSupplies> kept,
        IFilmPrinterReadout device
    )
    {
        var (s, f) = (kept.Value, book.Numbers.Format);
        var batches = CureStore.OfPrinter(c, s.Id);
        var queued = device.Read(s.Id).Used();
        double? Left(Supply supply) =>
            s.Left(supply, from =>
                batches.Where(b => b.Value.At >= from).Sum(b => b.Value.Use.Amount(supply)) + queued.Amount(supply)
            );
        SlotView Slot(SupplySlot slot)
        {
            var (loaded, left, unit) = (s.In(slot.Supply), Left(slot.Supply), PrinterSupplies.UnitOf(slot.Supply));
            return new(
                slot.Supply,
                PrinterSupplies.NameOf(slot.Supply),
                Said: loaded is null ? "nothing noted yet" : $"{loaded.Named()}, since {Shown.Moment(loaded.At, f)}",
                left is { } l ? Amount(l, unit, f) : "",
                left / slot.Full,
                LowShare: slot.LowAt / slot.Full,
                left <= slot.LowAt,
                loaded is not null && !slot.Accepts(loaded.Product) ? $"it takes {string.Join(" or ", slot.Takes)}" : ""
            );
        }
        var (words, enough) = ("", true);
        if (book.Of<FilmPrinter>().FirstOrDefault(p => p.Id == s.Id) is { } printer)
        {
            var waiting = FilmPrints.Of(c, shop, book, s.Id).Where(p => p.Waiting > 0 && !p.Made).ToList();
            var (total, (prints, lacking)) = (
                waiting.Sum(p => p.Waiting),
                WorkLeft.Reckon(Left, [.. waiting.Select(p => (p.Waiting, p.Use(printer, p.Waiting)))])
            );
            enough = lacking is null;
            words =
                total == 0 || s.Loadings.Count == 0 ? ""
                : lacking is { } supply
                    ? $"{PrinterSupplies.NameOf(supply)} is enough for {prints} of the {total} prints that wait"
                : $"enough for the {total} prints that wait";
        }
        return new(
            s.Id,
            kept.Version,
            [.. s.Slots.Select(Slot)],
            [],
            words,
            enough,
            [
                .. s
                    .Loadings.OrderByDescending(l => l.At)
                    .Take(LogShown)
                    .Select(l =>
                        $"{Shown.Moment(l.At, f)}: {PrinterSupplies.NameOf(l.Supply)}, {l.Named()}, now "
                        + $"{Amount(l.Level, PrinterSupplies.UnitOf(l.Supply), f)}{(l.By.Length > 0 ? $", {l.By}" : "")}"
                    ),
            ]
        );
    }

    // film is measured in the shop's own lengths
    private static string Amount(double value, string unit, FigureFormat f) =>
        unit == "in" ? Shown.Length(Math.Round(value), f) : $"{Shown.Number(value, 0, f)} {unit}";

    private static PrinterReadoutView Said(FilmPrinterReadout r)
    {
        var does = r.Queue.FirstOrDefault(q => q.Done < 1) is { } going
            ? $"prints {going.Job.Name}, {Shown.Duration(r.MinutesLeft * 60)} more in all"
            : "printed, to be powdered and cured";
        return new(
            r.Simulated,
            [.. r.Queue.Select(q => new QueuedView(q.Job.Name, (int)Math.Floor(q.Done * 100)))],
            r.Queue.Count == 0 ? "idle" : does
        );
    }
}
