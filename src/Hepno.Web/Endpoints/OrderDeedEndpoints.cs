using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Endpoints;

/// <summary>What is done with an order, from choosing its ways to closing it.</summary>
internal static class OrderDeedEndpoints
{
    public static void MapOrderDeeds(this IEndpointRouteBuilder orders)
    {
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
        orders.MapPost("{id}/deliver-part", DeliverPart).WithName("deliverPart");
        orders.MapPost("{id}/hand-over", HandOver).WithName("handOver");
        orders.MapPost("{id}/take-back", TakeBack).WithName("takeBack");
        orders.MapPost("{id}/again", Again).WithName("orderAgain");
        orders.MapPost("{id}/close", Close).WithName("closeOrder");
    }

    /// <summary>Notes who takes the risk of garments the customer brings, or that their cloth was tested.</summary>
    internal static Written Risk(OrderId id, RiskBody body, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c => new Written(
            id.Text,
            RiskDeeds.TakeRisk(
                c,
                shop,
                id,
                new(body.LineId, body.AcceptedBy, body.SpotTested, default),
                request.Seen(),
                request.Deed(shop.Clock, "risk noted")
            )
        ));

    /// <summary>Keeps a file with the order; the device makes its id.</summary>
    internal static async Task<Written> Attach(
        OrderId id,
        string attachmentId,
        OpenShop shop,
        HttpRequest request,
        string? name
    )
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        return shop.Db.Write(c => new Written(
            id.Text,
            AttachmentDeeds.Attach(
                c,
                shop,
                id,
                attachmentId,
                name ?? "",
                body.ToArray(),
                request.Seen(),
                request.Deed(shop.Clock, "file attached")
            )
        ));
    }

    /// <summary>A kept file, always as a download: a browser never opens what came from outside.</summary>
    internal static FileContentHttpResult Attached(OrderId id, string attachmentId, OpenShop shop)
    {
        var kept = shop.Db.Read(c =>
            (
                Aggregates.Orders.Get(c, id)?.Value ?? throw RefusedException.NoSuch("order", id)
            ).Facts.Attached.FirstOrDefault(a => a.Id == attachmentId)
        ) ?? throw RefusedException.NoSuch("attachment", attachmentId);
        return TypedResults.File(KeptFiles.Read(shop.Db.Folder, kept.Hash), "application/octet-stream", kept.Name);
    }

    /// <summary>Takes a file off the order.</summary>
    internal static Written Detach(OrderId id, string attachmentId, OpenShop shop, HttpRequest request) =>
        shop.Db.Write(c => new Written(
            id.Text,
            AttachmentDeeds.Detach(
                c,
                shop,
                id,
                attachmentId,
                request.Seen(),
                request.Deed(shop.Clock, "file taken off")
            )
        ));

    /// <summary>Chooses the method.</summary>
    internal static Written Choose(OrderId id, ChooseBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            ChooseDeeds.Choose(
                c,
                shop,
                id,
                body.LineId,
                body.MethodId,
                seen,
                request.Deed(shop.Clock, "method chosen"),
                body.Why
            )
        );

    /// <summary>Says the price of a piece oneself, or leaves it to the policy again.</summary>
    internal static Written Price(OrderId id, PriceBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            ChooseDeeds.SayPrice(
                c,
                shop,
                id,
                body.LineId,
                body.Each,
                seen,
                request.Deed(shop.Clock, body.Each is null ? "price by policy" : "price said")
            )
        );

    /// <summary>Takes the larger quantity of a price break.</summary>
    internal static Written Larger(OrderId id, LargerBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            ChooseDeeds.TakeLarger(
                c,
                shop,
                id,
                body.LineId,
                body.Pieces,
                seen,
                request.Deed(shop.Clock, "price break taken")
            )
        );

    /// <summary>Offers another method to the customer beside the quoted one, or does not any more.</summary>
    internal static Written Offer(OrderId id, OfferBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            ChooseDeeds.Offer(
                c,
                shop,
                id,
                body.LineId,
                body.MethodId,
                body.Offered,
                seen,
                request.Deed(shop.Clock, body.Offered ? "another way offered" : "another way not offered")
            )
        );

    /// <summary>Settles what is bought.</summary>
    internal static Written LayOut(OrderId id, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) => QuoteDeeds.LayOut(c, shop, id, seen, request.Deed(shop.Clock, "laid out")));

    /// <summary>Sends the quote; its figures are frozen from here.</summary>
    internal static Written Send(OrderId id, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) => QuoteDeeds.Send(c, shop, id, seen, request.Deed(shop.Clock, "quote sent")));

    /// <summary>Withdraws the sent quote.</summary>
    internal static Written Withdraw(OrderId id, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            QuoteDeeds.Withdraw(c, shop, id, seen, request.Deed(shop.Clock, "quote withdrawn"))
        );

    /// <summary>Takes the customer's yes to the proof, and answers which other orders it pushes behind their day or
    /// promise.</summary>
    internal static MovedView Approve(OrderId id, ApproveBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return Replanned(
            id,
            shop,
            connection =>
                QuoteDeeds.Approve(connection, shop, id, body.By, seen, request.Deed(shop.Clock, "yes taken")),
            PressDays.Pushed
        );
    }

    /// <summary>Notes the deposit, or the owner's override with its reason.</summary>
    internal static Written Deposit(OrderId id, DepositBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            QuoteDeeds.NoteDeposit(
                c,
                shop,
                id,
                body.Amount,
                body.OverrideReason,
                seen,
                request.Deed(shop.Clock, "deposit noted")
            )
        );

    /// <summary>Puts a line somewhere on the press day; the rest follows, and the answer says what changed.</summary>
    internal static MovedView Move(OrderId id, MoveBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return Replanned(
            id,
            shop,
            connection =>
                PressDeeds.Move(
                    connection,
                    shop,
                    id,
                    body.LineId,
                    body.PressId,
                    body.From,
                    seen,
                    request.Deed(shop.Clock, body.PressId is null ? "left to the plan" : "moved on the press day")
                ),
            PressDays.Changes
        );
    }

    // what a deed changes in the plan of all orders
    private static MovedView Replanned(
        OrderId id,
        OpenShop shop,
        Func<SqliteConnection, long> deed,
        Func<FloorPlan, FloorPlan, FigureFormat, IReadOnlyList<string>> said
    ) =>
        shop.Db.Write(connection =>
        {
            var book = shop.Book(connection);
            FloorPlan Now() =>
                ShopFloor.Plan(shop.Open(connection, book), book, shop.Clock.Wall(book.Numbers.Identity.TimeZone));
            var before = Now();
            return new MovedView(id.Text, deed(connection), said(before, Now(), book.Numbers.Format));
        });

    /// <summary>Ticks a gathered thing off, or on again.</summary>
    internal static Written Tick(OrderId id, string itemId, TickBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            PressDeeds.Tick(
                c,
                shop,
                id,
                itemId,
                body.Done,
                seen,
                request.Deed(shop.Clock, body.Done ? "it came" : "it did not come")
            )
        );

    /// <summary>Keeps the count into the box.</summary>
    internal static Written Count(OrderId id, CountBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            HandOverDeeds.Count(
                c,
                shop,
                id,
                [.. body.Sizes.Select(s => new CountedSize(s.LineId, s.Size, s.Pieces))],
                seen,
                request.Deed(shop.Clock, "counted")
            )
        );

    /// <summary>Gives what is counted to the customer and keeps the rest on the line.</summary>
    internal static Written DeliverPart(OrderId id, HandOverBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            HandOverDeeds.DeliverPart(c, shop, id, body.To, seen, request.Deed(shop.Clock, "part delivered"))
        );

    /// <summary>Hands the pieces over.</summary>
    internal static Written HandOver(OrderId id, HandOverBody body, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            HandOverDeeds.HandOver(c, shop, id, body.To, seen, request.Deed(shop.Clock, "handed over"))
        );

    /// <summary>Takes a hand-over back.</summary>
    internal static Written TakeBack(OrderId id, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) =>
            HandOverDeeds.TakeBack(c, shop, id, seen, request.Deed(shop.Clock, "hand-over taken back"))
        );

    /// <summary>Closes the order.</summary>
    internal static Written Close(OrderId id, OpenShop shop, HttpRequest request) =>
        Do(id, shop, request, (c, seen) => HandOverDeeds.Close(c, shop, id, seen, request.Deed(shop.Clock, "closed")));

    /// <summary>Begins a new order with the ask of an old one, at today's prices, its date still to be said.</summary>
    internal static Written Again(OrderId id, AgainBody body, OpenShop shop, HttpRequest request)
    {
        if (body.Id.Length is 0 or > OrderEndpoints.LongestId)
        {
            throw new RefusedException(
                400,
                "bad-id",
                $"An id of {body.Id.Length} characters.",
                remedy: $"Between 1 and {OrderEndpoints.LongestId}, made by the device.",
                "id"
            );
        }
        return shop.Db.Write(connection => new Written(
            body.Id,
            OrderAgain.Do(connection, shop, id, new OrderId(body.Id), request.Deed(shop.Clock, "ordered again")).Version
        ));
    }

    internal static Written Do(
        OrderId id,
        OpenShop shop,
        HttpRequest request,
        Func<Microsoft.Data.Sqlite.SqliteConnection, long, long> deed
    )
    {
        var seen = request.Seen();
        return shop.Db.Write(connection =>
        {
            var stands = (Aggregates.Orders.Get(connection, id) ?? throw RefusedException.NoSuch("order", id)).Version;
            return stands == seen
                ? new Written(id.Text, deed(connection, seen))
                : throw new StaleException("order", id.Text, seen, stands);
        });
    }
}
