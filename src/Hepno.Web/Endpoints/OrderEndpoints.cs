using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>Orders, from the ask to what was learned.</summary>
internal static class OrderEndpoints
{
    internal const int LongestId = 64;
    private const int MostFound = 20;

    public static void MapOrders(this IEndpointRouteBuilder api)
    {
        var orders = api.MapGroup("/orders").WithTags("orders");
        orders.MapGet("", Find).WithName("findOrders");
        api.MapGet("/order-details", () => AskDetails.Fields.Select(FieldView.From).ToList())
            .WithTags("orders")
            .WithName("orderDetails")
            .WithSummary("What is said of an order beside its lines and its day, a field each.");
        orders.MapGet("{id}", Get).WithName("order").OpenTo(Caller.Press);
        orders.MapPut("{id}", Put).WithName("saveAsk");
        orders
            .MapGet("{id}/compare", Compare)
            .WithName("compare")
            .WithSummary(
                "Every way of decorating a line held against the ask; a mix of ways (htv@front+embroidery@chest) "
                    + "is held beside them when it is named."
            );
        orders
            .MapGet("{id}/ways", Ways)
            .WithName("orderWays")
            .WithSummary(
                "Ways of a whole order: each line by its own best, or one way for all; null for one line, or "
                    + "where a line is not complete or can be done by none."
            );
        orders
            .MapGet("{id}/swing", Swings)
            .WithName("swing")
            .WithSummary(
                "Which input moves the cost of a piece most by one way of a line: each alone a fifth less and "
                    + "more, spoilage from none to six in a hundred."
            );
        orders
            .MapGet("{id}/ribbon", Ribbon)
            .WithName("ribbon")
            .WithSummary(
                "The cheapest way and the best for the shop from 1 to 500 pieces of a line, and where the answer changes."
            );
        orders.MapGet("{id}/layout", Layout).WithName("layout");
        orders.MapGet("{id}/quote", Quote).WithName("quote");
        orders.MapGet("{id}/learned", Learned).WithName("learned");
        orders.MapGet("{id}/history", History).WithName("orderHistory");
        orders
            .MapGet("{id}/sending", (OrderId id, OpenShop shop) =>
                shop.Db.Read(c => SendViews.Of(shop.Case(c, id, shop.Book(c)), shop.Book(c).Carrier!))
            )
            .WithName("sending")
            .OpenTo(Caller.Press)
            .WithSummary("How it is packed, what is paid with it, and words for the customer.");
        orders.MapOrderPapers();
        orders.MapOrderDeeds();
    }

    /// <summary>Orders by number, by what else they are found by, or by customer, newest first; all of them for an empty text.</summary>
    internal static List<Found> Find(OpenShop shop, string? find) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            return OrderStore
                .Find(connection, find ?? "", MostFound)
                .Select(o => shop.Case(connection, o.Value.Id, book))
                .Select(c => new Found(
                    c.Order.Id.Text,
                    c.Order.Code,
                    c.Customer?.Name ?? "",
                    KnownBy: string.Join(", ", c.Order.Ask.Details.FoundBy()),
                    c.Order.Ask.Pieces,
                    c.Order.Ask.DueAt is { } due ? Shown.Day(due.Date, book.Numbers.Format) : "",
                    c.Standing.Station,
                    c.Order.Facts.End.Ending?.Word ?? ""
                ))
                .ToList();
        });

    /// <summary>One order with its slip.</summary>
    internal static OrderView Get(OrderId id, OpenShop shop, HttpContext context)
    {
        var order = shop.Db.Read(c => OrderViews.Order(c, shop, id));
        return Admission.CallerOf(context, shop.Db) == Caller.Press ? order.AtThePress() : order;
    }

    /// <summary>Keeps the ask. A new order needs no If-Match; sending the same again changes nothing.</summary>
    internal static Written Put(OrderId id, AskBody body, OpenShop shop, HttpRequest request)
    {
        if (id.Text.Length > LongestId)
        {
            throw new RefusedException(
                400,
                "too-long",
                $"An id of {id.Text.Length} characters.",
                remedy: $"At most {LongestId}.",
                "id"
            );
        }
        return shop.Db.Write(connection =>
        {
            var ask = shop.Book(connection).Places.Settled(body.ToCore());
            var before = Aggregates.Orders.Get(connection, id);
            if (before is not null && SaveAsk.Same(before.Value.Ask, ask))
            {
                return new Written(id.Text, before.Version);
            }
            var seen = request.SeenOrNew(before is not null);
            if (before is not null && before.Version != seen)
            {
                throw Collision.Refusal(
                    body,
                    AskBody.From(before.Value.Ask),
                    Aggregates.Orders.At(connection, id.Text, seen) is { } was ? AskBody.From(was.Ask) : null,
                    before.Version
                );
            }
            return new Written(
                id.Text,
                SaveAsk
                    .Do(
                        connection,
                        shop,
                        id,
                        ask,
                        seen,
                        request.Deed(shop.Clock, before is null ? "new ask" : "ask changed")
                    )
                    .Version
            );
        });
    }

    /// <summary>Every method held against a line of the order (the first when none is named), at its own quantity or
    /// another.</summary>
    internal static Comparison Compare(
        OrderId id,
        OpenShop shop,
        LineId? line,
        int? quantity,
        MethodId? mix,
        [AsParameters] WhatIfQuery tried
    ) =>
        shop.Db.Read(connection =>
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
                            Where: "quantity",
                            "Type a number of pieces between."
                        ),
                    ]
                    : []
            );
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            var own = mix is null
                ? null
                : Mixed.Find(mix.Value)
                    ?? throw new RefusedException(
                        400,
                        "mix",
                        $"\"{mix}\" is no mix of ways.",
                        remedy: "A way for each print, as in htv@front+embroidery@chest.",
                        "mix"
                    );
            return shop.Compare(c, c.Line(line), quantity, book, shop.Open(connection, book), own: own, whatIf: whatIf)
                ?? throw new RefusedException(
                    409,
                    "incomplete",
                    book.Presses.Count == 0
                        ? "Tell Hepno what you can press: there is no press on the Floor."
                        : $"{c.Order.Code} cannot be compared yet: {c.Standing.Missing[0].Text}.",
                    remedy: book.Presses.Count == 0 ? "Add a press on the Floor." : "Finish the ask first."
                );
        });

    /// <summary>Each line of an order by its own best way, or one way for all of them.</summary>
    internal static OrderWays? Ways(OrderId id, OpenShop shop) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            return book.Presses.Count == 0 || !c.IsComplete
                ? null
                : OrderWays.Find([.. c.Lines.Select(l => l.InHand!)], book.For(c.Customer));
        });

    /// <summary>Which input moves the cost of a piece most by one way of a line.</summary>
    internal static IReadOnlyList<Swing> Swings(OrderId id, OpenShop shop, LineId? line, MethodId method) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            var way = DecorationMethods.Find(method) ?? throw RefusedException.NoSuch("method", method);
            return c.Line(line).InHand is { } inHand && book.Presses.Count > 0
                ? Swing.Reckon(way, inHand, book.For(c.Customer))
                : throw new RefusedException(
                    409,
                    "incomplete",
                    $"{c.Order.Code} cannot be compared yet.",
                    remedy: "Finish the ask first, and add a press on the Floor."
                );
        });

    /// <summary>Every way at every quantity of a line of the order: stretches of the cheapest and the best, crossings,
    /// close bands.</summary>
    internal static QuantityRibbon Ribbon(OrderId id, OpenShop shop, LineId? line) =>
        shop.Db.Read(connection =>
        {
            var book = shop.Book(connection);
            var c = shop.Case(connection, id, book);
            var of = c.Line(line);
            return of.InHand is null || book.Presses.Count == 0
                ? throw new RefusedException(
                    409,
                    "incomplete",
                    $"{c.Order.Code} cannot be compared yet.",
                    remedy: "Finish the ask first, and add a press on the Floor."
                )
                : shop.Ribbon(c, of, book, shop.Open(connection, book));
        });

    /// <summary>What is bought for a line of the order; for the first when none is named.</summary>
    internal static LayoutView Layout(OrderId id, OpenShop shop, LineId? line) =>
        shop.Db.Read(c => OrderViews.Layout(c, shop, id, line));

    /// <summary>The quote as sent, or as it would be sent now.</summary>
    internal static QuoteView Quote(OrderId id, OpenShop shop) => shop.Db.Read(c => OrderViews.Quote(c, shop, id));

    /// <summary>What the order came to against its quote.</summary>
    internal static LearnView Learned(OrderId id, OpenShop shop) => shop.Db.Read(c => LearnViews.Learned(c, shop, id));

    /// <summary>What was done to the order, when and on which device.</summary>
    internal static List<PastDeed> History(OrderId id, OpenShop shop) =>
        shop.Db.Read(c => UndoStore.Past(c, "order", id.Text));
}
