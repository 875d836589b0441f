using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
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

namespace Hepno.Web.Endpoints;

/// <summary>Pieces of one size.</summary>
internal sealed record SizeBody(string Size, int Pieces);

/// <summary>One flat colour as measured: its own box and its paint as shares of the whole.</summary>
internal sealed record CutBody(string Hex, double WidthShare, double HeightShare, double PaintShare);

/// <summary>The flat colours of an artwork, the one with most paint first.</summary>
internal sealed record CutsBody(IReadOnlyList<CutBody> Colours);

/// <summary>One placement; lengths in inches, the thinnest line in points. With an artwork its height, figures and cuts are measured, whatever is sent; without one it has no cuts. BySize: smaller on sizes that do not take it. Own: each piece's own name or number instead of one artwork. Stitches: what its stitch file says, left out while there is none. OnTopOf: the earlier placement of the same place that it is laid over, left out where it lies on the cloth.</summary>
internal sealed record PlacementBody(
    string Id,
    string Place,
    double WidthIn,
    double HeightIn,
    double CoveragePercent,
    int Colours,
    bool Gradient,
    double ThinnestLinePt,
    string? DesignId = null,
    bool BySize = false,
    OwnText Own = OwnText.None,
    CutsBody? Cuts = null,
    int? Stitches = null,
    string? OnTopOf = null,
    VinylFinish Finish = VinylFinish.Plain
)
{
    public Placement ToCore() =>
        new(
            Id,
            Place,
            WidthIn,
            HeightIn,
            CoveragePercent,
            Colours,
            Gradient,
            ThinnestLinePt,
            DesignId,
            BySize,
            Own,
            Stitches: Stitches,
            OnTopOf: OnTopOf,
            Finish: Finish
        );

    public static PlacementBody Of(Placement p) =>
        new(
            p.Id,
            p.Place,
            p.WidthIn,
            p.HeightIn,
            p.CoveragePercent,
            p.Colours,
            p.Gradient,
            p.ThinnestLinePt,
            p.DesignId,
            p.BySize,
            p.Own,
            p.Cuts is { } cuts
                ? new([.. cuts.Colours.Select(c => new CutBody(c.Hex, c.WidthShare, c.HeightShare, c.PaintShare))])
                : null,
            p.Stitches,
            p.OnTopOf,
            p.Finish
        );
}

/// <summary>One personalised piece; name or number may be empty.</summary>
internal sealed record OwnPieceBody(string Size, string Name, string Number);

/// <summary>One line; null where nothing is said yet.</summary>
internal sealed record LineBody(
    string Id,
    string? StyleId,
    string? ColourwayId,
    IReadOnlyList<SizeBody> Sizes,
    IReadOnlyList<PlacementBody> Placements,
    decimal? Mark,
    int Given = 0,
    IReadOnlyList<OwnPieceBody>? Names = null,
    bool Theirs = false,
    DateOnly? DueDate = null
)
{
    public AskLine ToCore() =>
        new(
            Id,
            StyleId,
            ColourwayId,
            [.. Sizes.Select(s => new SizeCount(s.Size, s.Pieces))],
            [.. Placements.Select(p => p.ToCore())],
            Mark,
            Given,
            Names is { Count: > 0 }
                ? [.. Names.Select(n => new OwnPiece(n.Size, n.Name.Trim(), n.Number.Trim()))]
                : null,
            Theirs,
            DueDate
        );

    public static LineBody Of(AskLine l) =>
        new(
            l.Id,
            l.StyleId,
            l.ColourwayId,
            [.. l.Sizes.Select(s => new SizeBody(s.Size, s.Pieces))],
            [.. l.Placements.Select(PlacementBody.Of)],
            l.Mark,
            l.Given,
            l.Names is { } names ? [.. names.Select(n => new OwnPieceBody(n.Size, n.Name, n.Number))] : null,
            l.Theirs,
            l.DueDate
        );
}

/// <summary>How an order is sent: a zone of the carrier, and whether postage is in the price.</summary>
internal sealed record ShippingBody(string Zone, bool InThePrice);

/// <summary>An ask; null where nothing is said yet. Shipping is null when they collect it.</summary>
internal sealed record AskBody(
    string? CustomerId,
    IReadOnlyList<LineBody> Lines,
    DateOnly? DueDate,
    TimeOnly? DueTime,
    string? Note,
    Channel Channel = Channel.Retail,
    ShippingBody? Shipping = null
)
{
    public Ask ToCore() =>
        new(
            CustomerId,
            [.. Lines.Select(l => l.ToCore())],
            DueDate,
            DueTime,
            string.IsNullOrWhiteSpace(Note) ? null : Note,
            Channel,
            Shipping is { } s ? new(s.Zone, s.InThePrice) : null
        );

    public static AskBody Of(Ask a) =>
        new(
            a.CustomerId,
            [.. a.Lines.Select(LineBody.Of)],
            a.DueDate,
            a.DueTime,
            a.Note,
            a.Channel,
            a.Shipping is { } s ? new(s.Zone, s.InThePrice) : null
        );
}

/// <summary>Prices and rates tried at other levels, as factors; 1 or nothing is as now.</summary>
/// <param name="Blank">Garments.</param>
/// <param name="Film">Bought transfers, film, vinyl and paper.</param>
/// <param name="Ink">Ink, powder and thread.</param>
/// <param name="SentOut">What is sent out.</param>
/// <param name="Wage">The wage.</param>
/// <param name="Overhead">Rent and the rest.</param>
/// <param name="Spoilage">Spoiled attempts.</param>
internal sealed record WhatIfQuery(
    double? Blank,
    double? Film,
    double? Ink,
    double? SentOut,
    double? Wage,
    double? Overhead,
    double? Spoilage
)
{
    /// <summary>What is tried, or null for nothing.</summary>
    public WhatIf? ToCore()
    {
        var factors = new[]
        {
            (WhatIfInput.Blank, Blank),
            (WhatIfInput.Film, Film),
            (WhatIfInput.Ink, Ink),
            (WhatIfInput.SentOut, SentOut),
            (WhatIfInput.Wage, Wage),
            (WhatIfInput.Overhead, Overhead),
            (WhatIfInput.Spoilage, Spoilage),
        }
            .Where(x => x.Item2 is { } factor && factor != 1)
            .ToDictionary(x => x.Item1, x => x.Item2!.Value);
        return factors.Count == 0 ? null : new(factors);
    }
}

/// <summary>The method chosen for a line; the first one when no line is named.</summary>
internal sealed record ChooseBody(string MethodId, string? LineId = null, string Why = "");

/// <summary>The larger quantity of a price break, taken for a line.</summary>
internal sealed record LargerBody(int Pieces, string? LineId = null);

/// <summary>Another method of a line, offered to the customer beside the quoted one or not.</summary>
internal sealed record OfferBody(string MethodId, bool Offered, string? LineId = null);

/// <summary>The id of the new order, made on the screen.</summary>
internal sealed record AgainBody(string Id);

/// <summary>A price a piece the owner says, or null for the policy's.</summary>
internal sealed record PriceBody(decimal? Each, string? LineId = null);

/// <summary>Who said yes.</summary>
internal sealed record ApproveBody(string By);

/// <summary>What was paid, or why the order goes on without.</summary>
internal sealed record DepositBody(decimal Amount, string? OverrideReason);

/// <summary>Whether a gathered thing is here.</summary>
internal sealed record TickBody(bool Done);

/// <summary>Pieces of a line and size counted into the box.</summary>
internal sealed record CountedBody(string LineId, string Size, int Pieces);

/// <summary>Everything counted into the box.</summary>
internal sealed record CountBody(IReadOnlyList<CountedBody> Sizes);

/// <summary>Who takes the risk of a line of own garments, or that its cloth was tested.</summary>
internal sealed record RiskBody(string LineId, string AcceptedBy, bool SpotTested);

/// <summary>Who took the pieces.</summary>
internal sealed record HandOverBody(string To);

/// <summary>Where a line is put on the press day; no press leaves it to the plan again.</summary>
internal sealed record MoveBody(string LineId, string? PressId, DateTime From);

/// <summary>What a move, or an order taken on, changed in the plan.</summary>
/// <param name="Id">Order.</param>
/// <param name="Version">Its version now.</param>
/// <param name="Changes">Who becomes ready when, in sentences; empty when nothing else moved.</param>
internal sealed record MovedView(string Id, long Version, IReadOnlyList<string> Changes);

/// <summary>Orders, from the ask to what was learned.</summary>
internal static class OrderEndpoints
{
    private const int LongestId = 64;
    private const int MostFound = 20;

    public static void MapOrders(this IEndpointRouteBuilder api)
    {
        var orders = api.MapGroup("/orders").WithTags("orders");
        orders.MapGet("", Find).WithName("findOrders");
        orders.MapGet("{id}", Get).WithName("order").OpenTo(Caller.Press);
        orders.MapPut("{id}", Put).WithName("saveAsk");
        orders
            .MapGet("{id}/compare", Compare)
            .WithName("compare")
            .WithSummary(
                "Every way of decorating a line held against the ask; a mix of ways (htv@front+embroidery@chest) is held beside them when it is named."
            );
        orders
            .MapGet("{id}/ways", Ways)
            .WithName("orderWays")
            .WithSummary(
                "Ways of a whole order: each line by its own best, or one way for all; null for one line, or where a line is not complete or can be done by none."
            );
        orders
            .MapGet("{id}/swing", Swings)
            .WithName("swing")
            .WithSummary(
                "Which input moves the cost of a piece most by one way of a line: each alone a fifth less and more, spoilage from none to six in a hundred."
            );
        orders
            .MapGet("{id}/ribbon", Ribbon)
            .WithName("ribbon")
            .WithSummary(
                "The cheapest way and the best for the shop from 1 to 500 pieces of a line, and where the answer changes."
            );
        orders.MapGet("{id}/layout", Layout).WithName("layout");
        orders.MapGet("{id}/quote", Quote).WithName("quote");
        orders.MapGet("{id}/quote.pdf", QuotePage).WithName("quotePdf").Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/confirmation.pdf", Confirmation)
            .WithName("confirmationPdf")
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/packing-slip.pdf", Slip)
            .WithName("packingSlipPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        orders.MapGet("{id}/learned", Learned).WithName("learned");
        orders
            .MapGet("{id}/placement.pdf", Placements)
            .WithName("placementPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/names.csv", Names)
            .WithName("namesCsv")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "text/csv");
        orders.MapGet("{id}/history", History).WithName("orderHistory");
        orders.MapPost("{id}/choose", Choose).WithName("chooseMethod");
        orders.MapPost("{id}/price", Price).WithName("sayPrice");
        orders.MapPost("{id}/larger", Larger).WithName("takeLarger");
        orders.MapPost("{id}/offer", Offer).WithName("offerWay");
        orders.MapPost("{id}/lay-out", LayOut).WithName("layOut");
        orders.MapPost("{id}/send", Send).WithName("sendQuote");
        orders.MapPost("{id}/withdraw", Withdraw).WithName("withdrawQuote");
        orders.MapPost("{id}/approve", Approve).WithName("approve");
        orders.MapPost("{id}/deposit", Deposit).WithName("noteDeposit");
        orders.MapPost("{id}/move", Move).WithName("moveLine");
        orders.MapPost("{id}/risk", Risk).WithName("takeRisk");
        orders
            .MapPut("{id}/attachments/{attachmentId}", Attach)
            .WithName("attach")
            .Accepts<byte[]>("application/octet-stream")
            .WithMetadata(new BodyLimit(AttachmentDeeds.LargestAttachment));
        orders
            .MapGet("{id}/attachments/{attachmentId}", Attached)
            .WithName("attachment")
            .Produces(200, contentType: "application/octet-stream");
        orders.MapDelete("{id}/attachments/{attachmentId}", Detach).WithName("detach");
        orders.MapPut("{id}/items/{itemId}", Tick).WithName("tickItem").OpenTo(Caller.Press);
        orders.MapPost("{id}/count", Count).WithName("count").OpenTo(Caller.Press);
        orders
            .MapGet("{id}/sending", (string id, Desk desk) =>
                desk.Db.Read(c => SendViews.Of(desk.Case(c, id, desk.Book(c))))
            )
            .WithName("sending")
            .OpenTo(Caller.Press)
            .WithSummary("How it is packed, what is paid with it, and words for the customer.");
        orders
            .MapGet("{id}/label.pdf", (string id, Desk desk) =>
                desk.Db.Read(c =>
                    TypedResults.File(
                        LabelPdf.Print(SendViews.Labels(desk.Case(c, id, desk.Book(c)))),
                        "application/pdf"
                    )
                )
            )
            .WithName("labelPdf")
            .OpenTo(Caller.Press)
            .WithSummary("An address label of 4 × 6 in for each parcel.")
            .Produces(200, contentType: "application/pdf");
        orders
            .MapGet("{id}/care-card.pdf", CareCardPage)
            .WithName("careCardPdf")
            .OpenTo(Caller.Press)
            .Produces(200, contentType: "application/pdf");
        orders.MapPost("{id}/deliver-part", DeliverPart).WithName("deliverPart");
        orders.MapPost("{id}/hand-over", HandOver).WithName("handOver");
        orders.MapPost("{id}/take-back", TakeBack).WithName("takeBack");
        orders.MapPost("{id}/again", Again).WithName("orderAgain");
        orders.MapPost("{id}/close", Close).WithName("closeOrder");
    }

    /// <summary>Notes who takes the risk of garments the customer brings, or that their cloth was tested.</summary>
    internal static Written Risk(string id, RiskBody body, Desk desk, HttpRequest request) =>
        desk.Db.Write(c => new Written(
            id,
            RiskDeeds.TakeRisk(
                c,
                desk,
                id,
                new(body.LineId, body.AcceptedBy, body.SpotTested, default),
                request.Seen(),
                request.Deed(desk.Clock, "risk noted")
            )
        ));

    /// <summary>Keeps a file with the order; the device makes its id.</summary>
    internal static async Task<Written> Attach(
        string id,
        string attachmentId,
        Desk desk,
        HttpRequest request,
        string? name
    )
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        return desk.Db.Write(c => new Written(
            id,
            AttachmentDeeds.Attach(
                c,
                desk,
                id,
                attachmentId,
                name ?? "",
                body.ToArray(),
                request.Seen(),
                request.Deed(desk.Clock, "file attached")
            )
        ));
    }

    /// <summary>A kept file, always as a download: a browser never opens what came from outside.</summary>
    internal static FileContentHttpResult Attached(string id, string attachmentId, Desk desk)
    {
        var kept = desk.Db.Read(c =>
            (
                Aggregates.Orders.Get(c, id)?.Value ?? throw RefusedException.NoSuch("order", id)
            ).Facts.Attached?.FirstOrDefault(a => a.Id == attachmentId)
        ) ?? throw RefusedException.NoSuch("attachment", attachmentId);
        return TypedResults.File(KeptFiles.Read(desk.Db.Folder, kept.Hash), "application/octet-stream", kept.Name);
    }

    /// <summary>Takes a file off the order.</summary>
    internal static Written Detach(string id, string attachmentId, Desk desk, HttpRequest request) =>
        desk.Db.Write(c => new Written(
            id,
            AttachmentDeeds.Detach(
                c,
                desk,
                id,
                attachmentId,
                request.Seen(),
                request.Deed(desk.Clock, "file taken off")
            )
        ));

    /// <summary>Where each print lies on each size, at true size on paper: to lay on the garment.</summary>
    internal static FileContentHttpResult Placements(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            var book = desk.Book(connection);
            var c = desk.Case(connection, id, book);
            var sheet = PlacementViews.Sheet(c, book.Numbers);
            return sheet.Lines.Any(l => l.Prints.Count > 0)
                ? TypedResults.File(PlacementSheetPdf.Print(sheet), "application/pdf")
                : throw new RefusedException(
                    409,
                    "no-prints",
                    $"{c.Order.Code} has no print to place yet.",
                    "Say the garment, the sizes and where it is printed."
                );
        });

    /// <summary>The lists of names and numbers of all lines, for who cuts or prints them.</summary>
    internal static FileContentHttpResult Names(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            var order = Aggregates.Orders.Get(connection, id)?.Value ?? throw RefusedException.NoSuch("order", id);
            var rows = order.Ask.Lines.SelectMany(
                (l, i) =>
                    (l.Names ?? []).Select(n =>
                        new[]
                        {
                            (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture),
                            n.Size,
                            n.Name,
                            n.Number,
                        }
                    )
            );
            return TypedResults.File(
                System.Text.Encoding.UTF8.GetBytes(CsvTable.Write(["line", "size", "name", "number"], rows)),
                "text/csv",
                $"{order.Code} names.csv"
            );
        });

    /// <summary>Orders by number or customer, newest first; all of them for an empty text.</summary>
    internal static List<Found> Find(Desk desk, string? find) =>
        desk.Db.Read(connection =>
        {
            var book = desk.Book(connection);
            return OrderStore
                .Find(connection, find ?? "", MostFound)
                .Select(o => desk.Case(connection, o.Value.Id, book))
                .Select(c => new Found(
                    c.Order.Id,
                    c.Order.Code,
                    c.Customer?.Name ?? "",
                    c.Order.Ask.Pieces,
                    c.Order.Ask.DueAt is { } due ? Shown.Day(DateOnly.FromDateTime(due), book.Numbers.Format) : "",
                    c.Standing.Station,
                    c.Order.Facts.Ending?.Word ?? ""
                ))
                .ToList();
        });

    /// <summary>One order with its slip.</summary>
    internal static OrderView Get(string id, Desk desk, HttpContext context)
    {
        var order = desk.Db.Read(c => OrderViews.Order(c, desk, id));
        return Admission.CallerOf(context, desk.Db) == Caller.Press ? order.AtThePress() : order;
    }

    /// <summary>Keeps the ask. A new order needs no If-Match; sending the same again changes nothing.</summary>
    internal static Written Put(string id, AskBody body, Desk desk, HttpRequest request)
    {
        if (id.Length > LongestId)
        {
            throw new RefusedException(
                400,
                "too-long",
                $"An id of {id.Length} characters.",
                $"At most {LongestId}.",
                "id"
            );
        }
        return desk.Db.Write(connection =>
        {
            var ask = desk.Book(connection).Places.Settled(body.ToCore());
            var before = Aggregates.Orders.Get(connection, id);
            if (before is not null && Same(before.Value.Ask, ask))
            {
                return new Written(id, before.Version);
            }
            var seen = request.SeenOrNew(before is not null);
            if (before is not null && before.Version != seen)
            {
                throw Collision.Of(
                    body,
                    AskBody.Of(before.Value.Ask),
                    Aggregates.Orders.At(connection, id, seen) is { } was ? AskBody.Of(was.Ask) : null,
                    before.Version
                );
            }
            return new Written(
                id,
                SaveAsk
                    .Do(
                        connection,
                        desk,
                        id,
                        ask,
                        seen,
                        request.Deed(desk.Clock, before is null ? "new ask" : "ask changed")
                    )
                    .Version
            );
        });
    }

    /// <summary>Every method held against a line of the order (the first when none is named), at its own quantity or another.</summary>
    internal static Comparison Compare(
        string id,
        Desk desk,
        string? line,
        int? quantity,
        string? mix,
        [AsParameters] WhatIfQuery tried
    ) =>
        desk.Db.Read(connection =>
        {
            var whatIf = tried.ToCore();
            RefusedException.IfAny(whatIf?.Problems() ?? []);
            RefusedException.IfAny(
                quantity is < 1 or > SizeRun.MostPieces
                    ?
                    [
                        new Problem(
                            "range",
                            $"{quantity} pieces is outside 1 to {SizeRun.MostPieces}.",
                            "quantity",
                            "Type a number of pieces between."
                        ),
                    ]
                    : []
            );
            var book = desk.Book(connection);
            var c = desk.Case(connection, id, book);
            var own = mix is null
                ? null
                : Mixed.Find(mix)
                    ?? throw new RefusedException(
                        400,
                        "mix",
                        $"\"{mix}\" is no mix of ways.",
                        "A way for each print, as in htv@front+embroidery@chest.",
                        "mix"
                    );
            return desk.Compare(c, c.Line(line), quantity, book, desk.Open(connection, book), own: own, whatIf: whatIf)
                ?? throw new RefusedException(
                    409,
                    "incomplete",
                    book.Presses.Count == 0
                        ? "Tell Hepno what you can press: there is no press on the Floor."
                        : $"{c.Order.Code} cannot be compared yet: {c.Standing.Missing[0].Text}.",
                    book.Presses.Count == 0 ? "Add a press on the Floor." : "Finish the ask first."
                );
        });

    /// <summary>Each line of an order by its own best way, or one way for all of them.</summary>
    internal static OrderWays? Ways(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            var book = desk.Book(connection);
            var c = desk.Case(connection, id, book);
            return book.Presses.Count == 0 || !c.IsComplete
                ? null
                : OrderWays.Of([.. c.Lines.Select(l => l.InHand!)], book.For(c.Customer));
        });

    /// <summary>Which input moves the cost of a piece most by one way of a line.</summary>
    internal static IReadOnlyList<Swing> Swings(string id, Desk desk, string? line, string method) =>
        desk.Db.Read(connection =>
        {
            var book = desk.Book(connection);
            var c = desk.Case(connection, id, book);
            var way = DecorationMethods.Find(method) ?? throw RefusedException.NoSuch("method", method);
            return c.Line(line).InHand is { } inHand && book.Presses.Count > 0
                ? Swing.Of(way, inHand, book.For(c.Customer))
                : throw new RefusedException(
                    409,
                    "incomplete",
                    $"{c.Order.Code} cannot be compared yet.",
                    "Finish the ask first, and add a press on the Floor."
                );
        });

    /// <summary>Every way at every quantity of a line of the order: stretches of the cheapest and the best, crossings, close bands.</summary>
    internal static QuantityRibbon Ribbon(string id, Desk desk, string? line) =>
        desk.Db.Read(connection =>
        {
            var book = desk.Book(connection);
            var c = desk.Case(connection, id, book);
            var of = c.Line(line);
            return of.InHand is null || book.Presses.Count == 0
                ? throw new RefusedException(
                    409,
                    "incomplete",
                    $"{c.Order.Code} cannot be compared yet.",
                    "Finish the ask first, and add a press on the Floor."
                )
                : desk.Ribbon(c, of, book, desk.Open(connection, book));
        });

    /// <summary>What is bought for a line of the order; for the first when none is named.</summary>
    internal static LayoutView Layout(string id, Desk desk, string? line) =>
        desk.Db.Read(c => OrderViews.Layout(c, desk, id, line));

    /// <summary>The quote as sent, or as it would be sent now.</summary>
    internal static QuoteView Quote(string id, Desk desk) => desk.Db.Read(c => OrderViews.Quote(c, desk, id));

    /// <summary>The quote's page: the very bytes that were sent, or a preview.</summary>
    internal static FileContentHttpResult QuotePage(string id, Desk desk) =>
        desk.Db.Read(c =>
            TypedResults.File(
                QuoteStore.Pdf(c, id) ?? QuotePdf.Print(OrderViews.Quote(c, desk, id).Quote.Document),
                "application/pdf"
            )
        );

    /// <summary>The order's confirmation: what was said yes to, what is paid and what is left.</summary>
    internal static FileContentHttpResult Confirmation(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            var c = desk.Case(connection, id, desk.Book(connection));
            return c.Frozen is null || c.Order.Facts.Approval is null
                ? throw new RefusedException(
                    409,
                    "not-there",
                    $"Nobody has said yes to {c.Order.Code} yet.",
                    "Take their yes under Gather first."
                )
                : TypedResults.File(
                    QuotePdf.Print(QuoteWords.Confirmation(c, desk.Clock.Wall(c.Frozen.Numbers.Identity.TimeZone))),
                    "application/pdf"
                );
        });

    /// <summary>The packing slip of what is counted.</summary>
    internal static FileContentHttpResult Slip(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            var c = desk.Case(connection, id, desk.Book(connection));
            if (c.Frozen is null || c.Order.Facts.Counted.Count == 0)
            {
                throw new RefusedException(
                    409,
                    "not-there",
                    $"Nothing of {c.Order.Code} is counted into a box yet.",
                    "Count the pieces under Send first."
                );
            }
            var (n, q) = (c.Frozen.Numbers, c.Frozen);
            var slip = new PackingSlip(
                n.Identity.Paper,
                n.Identity.Name,
                n.Identity.Address,
                c.Order.Code,
                Shown.DayAndYear(DateOnly.FromDateTime(desk.Clock.Wall(n.Identity.TimeZone)), n.Format),
                c.Customer?.Name ?? "",
                c.Customer?.Contact ?? "",
                [
                    .. q
                        .Lines.Select(l =>
                            (Line: l, Counted: c.Order.Facts.Counted.Where(x => x.LineId == l.LineId).ToList())
                        )
                        .Where(l => l.Counted.Count > 0)
                        .Select(l => new PackedLine(
                            $"{l.Counted.Sum(x => x.Pieces)} {MakeQuote.Garment(l.Line.Style, l.Line.Colourway, l.Counted.Sum(x => x.Pieces))}",
                            [.. q.AskOf(l.Line).Placements.Select(p => MakeQuote.Printed(p, n.Format))],
                            [.. l.Counted.Select(x => new SizePrinted(x.Size, x.Pieces))]
                        )),
                ],
                MakeQuote.Care
            );
            return TypedResults.File(PackingSlipPdf.Print(slip), "application/pdf");
        });

    /// <summary>What the order came to against its quote.</summary>
    internal static LearnView Learned(string id, Desk desk) => desk.Db.Read(c => OrderViews.Learned(c, desk, id));

    /// <summary>What was done to the order, when and on which device.</summary>
    internal static List<PastDeed> History(string id, Desk desk) => desk.Db.Read(c => UndoStore.Of(c, "order", id));

    /// <summary>Chooses the method.</summary>
    internal static Written Choose(string id, ChooseBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.Choose(
                c,
                desk,
                id,
                body.LineId,
                body.MethodId,
                seen,
                request.Deed(desk.Clock, "method chosen"),
                body.Why
            )
        );

    /// <summary>Says the price of a piece oneself, or leaves it to the policy again.</summary>
    internal static Written Price(string id, PriceBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.SayPrice(
                c,
                desk,
                id,
                body.LineId,
                body.Each,
                seen,
                request.Deed(desk.Clock, body.Each is null ? "price by policy" : "price said")
            )
        );

    /// <summary>Takes the larger quantity of a price break.</summary>
    internal static Written Larger(string id, LargerBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.TakeLarger(
                c,
                desk,
                id,
                body.LineId,
                body.Pieces,
                seen,
                request.Deed(desk.Clock, "price break taken")
            )
        );

    /// <summary>Offers another method to the customer beside the quoted one, or does not any more.</summary>
    internal static Written Offer(string id, OfferBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.Offer(
                c,
                desk,
                id,
                body.LineId,
                body.MethodId,
                body.Offered,
                seen,
                request.Deed(desk.Clock, body.Offered ? "another way offered" : "another way not offered")
            )
        );

    /// <summary>Settles what is bought.</summary>
    internal static Written LayOut(string id, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) => OrderDeeds.LayOut(c, desk, id, seen, request.Deed(desk.Clock, "laid out")));

    /// <summary>Sends the quote; its figures are frozen from here.</summary>
    internal static Written Send(string id, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) => OrderDeeds.Send(c, desk, id, seen, request.Deed(desk.Clock, "quote sent")));

    /// <summary>Withdraws the sent quote.</summary>
    internal static Written Withdraw(string id, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.Withdraw(c, desk, id, seen, request.Deed(desk.Clock, "quote withdrawn"))
        );

    /// <summary>Takes the customer's yes to the proof, and answers which other orders it pushes behind their day or promise.</summary>
    internal static MovedView Approve(string id, ApproveBody body, Desk desk, HttpRequest request)
    {
        var seen = request.Seen();
        return Replanned(
            id,
            desk,
            connection =>
                OrderDeeds.Approve(connection, desk, id, body.By, seen, request.Deed(desk.Clock, "yes taken")),
            PressDays.Pushed
        );
    }

    /// <summary>Notes the deposit, or the owner's override with its reason.</summary>
    internal static Written Deposit(string id, DepositBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.NoteDeposit(
                c,
                desk,
                id,
                body.Amount,
                body.OverrideReason,
                seen,
                request.Deed(desk.Clock, "deposit noted")
            )
        );

    /// <summary>Puts a line somewhere on the press day; the rest follows, and the answer says what changed.</summary>
    internal static MovedView Move(string id, MoveBody body, Desk desk, HttpRequest request)
    {
        var seen = request.Seen();
        return Replanned(
            id,
            desk,
            connection =>
                OrderDeeds.Move(
                    connection,
                    desk,
                    id,
                    body.LineId,
                    body.PressId,
                    body.From,
                    seen,
                    request.Deed(desk.Clock, body.PressId is null ? "left to the plan" : "moved on the press day")
                ),
            PressDays.Changes
        );
    }

    // what a deed changes in the plan of all orders
    private static MovedView Replanned(
        string id,
        Desk desk,
        Func<SqliteConnection, long> deed,
        Func<FloorPlan, FloorPlan, FigureFormat, IReadOnlyList<string>> said
    ) =>
        desk.Db.Write(connection =>
        {
            var book = desk.Book(connection);
            FloorPlan Now() =>
                ShopFloor.Of(desk.Open(connection, book), book, desk.Clock.Wall(book.Numbers.Identity.TimeZone));
            var before = Now();
            return new MovedView(id, deed(connection), said(before, Now(), book.Numbers.Format));
        });

    /// <summary>Ticks a gathered thing off, or on again.</summary>
    internal static Written Tick(string id, string itemId, TickBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.Tick(
                c,
                desk,
                id,
                itemId,
                body.Done,
                seen,
                request.Deed(desk.Clock, body.Done ? "it came" : "it did not come")
            )
        );

    /// <summary>Keeps the count into the box.</summary>
    internal static Written Count(string id, CountBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.Count(
                c,
                desk,
                id,
                [.. body.Sizes.Select(s => new CountedSize(s.LineId, s.Size, s.Pieces))],
                seen,
                request.Deed(desk.Clock, "counted")
            )
        );

    /// <summary>A care card of 4 × 6 in to put in.</summary>
    internal static FileContentHttpResult CareCardPage(string id, Desk desk) =>
        desk.Db.Read(connection =>
        {
            desk.Case(connection, id, desk.Book(connection));
            var n = Desk.Numbers(connection);
            return TypedResults.File(
                LabelPdf.Print(
                    new CareCard(n.Identity.Name, n.Identity.Contact, [.. MakeQuote.CareRules.Select(r => $"{r}.")])
                ),
                "application/pdf"
            );
        });

    /// <summary>Gives what is counted to the customer and keeps the rest on the line.</summary>
    internal static Written DeliverPart(string id, HandOverBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.DeliverPart(c, desk, id, body.To, seen, request.Deed(desk.Clock, "part delivered"))
        );

    /// <summary>Hands the pieces over.</summary>
    internal static Written HandOver(string id, HandOverBody body, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.HandOver(c, desk, id, body.To, seen, request.Deed(desk.Clock, "handed over"))
        );

    /// <summary>Takes a hand-over back.</summary>
    internal static Written TakeBack(string id, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) =>
            OrderDeeds.TakeBack(c, desk, id, seen, request.Deed(desk.Clock, "hand-over taken back"))
        );

    /// <summary>Closes the order.</summary>
    internal static Written Close(string id, Desk desk, HttpRequest request) =>
        Do(id, desk, request, (c, seen) => OrderDeeds.Close(c, desk, id, seen, request.Deed(desk.Clock, "closed")));

    /// <summary>Begins a new order with the ask of an old one, at today's prices, its date still to be said.</summary>
    internal static Written Again(string id, AgainBody body, Desk desk, HttpRequest request)
    {
        if (body.Id.Length is 0 or > LongestId)
        {
            throw new RefusedException(
                400,
                "bad-id",
                $"An id of {body.Id.Length} characters.",
                $"Between 1 and {LongestId}, made by the device.",
                "id"
            );
        }
        return desk.Db.Write(connection => new Written(
            body.Id,
            OrderAgain.Do(connection, desk, id, body.Id, request.Deed(desk.Clock, "ordered again")).Version
        ));
    }

    internal static Written Do(
        string id,
        Desk desk,
        HttpRequest request,
        Func<Microsoft.Data.Sqlite.SqliteConnection, long, long> deed
    )
    {
        var seen = request.Seen();
        return desk.Db.Write(connection =>
        {
            var stands = (Aggregates.Orders.Get(connection, id) ?? throw RefusedException.NoSuch("order", id)).Version;
            return stands == seen
                ? new Written(id, deed(connection, seen))
                : throw new StaleException("order", id, seen, stands);
        });
    }

    private static bool Same(Ask a, Ask b) =>
        a with { Lines = b.Lines } == b
        && a.Lines.Count == b.Lines.Count
        && a.Lines.Zip(b.Lines).All(l => Same(l.First, l.Second));

    private static bool Same(AskLine a, AskLine b) =>
        a with { Sizes = b.Sizes, Placements = b.Placements, Names = b.Names } == b
        && a.Sizes.SequenceEqual(b.Sizes)
        && a.Placements.SequenceEqual(b.Placements)
        && (a.Names ?? []).SequenceEqual(b.Names ?? []);
}
