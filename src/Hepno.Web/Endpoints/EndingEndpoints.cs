using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>An order ends without being handed over.</summary>
/// <param name="Kind">How.</param>
/// <param name="Why">Why; may be empty for one thrown away.</param>
/// <param name="ToWhom">For a lost one: to whom.</param>
/// <param name="TheirPrice">For a lost one: what the whole order cost there.</param>
/// <param name="Settled">For a cancelled one: what the customer still pays, or under 0 what is given back.</param>
internal sealed record EndBody(
    EndKind Kind,
    string Why = "",
    string ToWhom = "",
    decimal? TheirPrice = null,
    decimal Settled = 0
);

/// <summary>A way an order can end.</summary>
/// <param name="Kind">How.</param>
/// <param name="Hindrance">Why it cannot end so; empty when it can.</param>
internal sealed record EndChoice(EndKind Kind, string Hindrance);

/// <summary>How an order can end, and what a cancelled one leaves behind.</summary>
/// <param name="Choices">The four ways.</param>
/// <param name="Bill">What was bought and paid; of one not yet said yes to it is empty.</param>
internal sealed record EndingView(IReadOnlyList<EndChoice> Choices, CancelledBill Bill);

/// <summary>How quotes by one way fared, as shown.</summary>
/// <param name="Way">Name of the way.</param>
/// <param name="Counted">The counts and middle prices.</param>
/// <param name="Share">The share that was won, as shown; empty for none.</param>
/// <param name="WonEach">The middle price of a piece of the won ones, as shown.</param>
/// <param name="LostEach">The middle price of a piece of the lost ones, as shown.</param>
internal sealed record WonAndLostView(string Way, WonAndLost Counted, string Share, string WonEach, string LostEach);

/// <summary>Orders that end without work: declined, lost, cancelled, thrown away.</summary>
internal static class EndingEndpoints
{
    // what was lost longer ago says little of today's prices
    private const int Days = 365;

    public static void MapEndings(this IEndpointRouteBuilder api)
    {
        var orders = api.MapGroup("/orders/{id}").WithTags("orders");
        orders
            .MapGet("ending", Choices)
            .WithName("ending")
            .WithSummary("How the order can end without being handed over, and what a cancelled one leaves behind.");
        orders
            .MapPost("end", End)
            .WithName("endOrder")
            .WithSummary(
                "Takes the order off the line: declined, lost, cancelled or thrown away. It stays in Find and "
                    + "with its customer."
            );
        orders
            .MapPost("bring-back", BringBack)
            .WithName("bringBackOrder")
            .WithSummary("Brings an order that was ended back to where it stood.");
        api.MapGet("/won-and-lost", WonLost)
            .WithTags("learning")
            .WithName("wonAndLost")
            .WithSummary("Quotes of the last year that were won and lost, by way and price of a piece.");
    }

    internal static EndingView Choices(OrderId id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var order = (Aggregates.Orders.Get(c, id) ?? throw RefusedException.NoSuch("order", id)).Value;
            return new EndingView(
                [
                    .. Enum.GetValues<EndKind>()
                        .Select(k => new EndChoice(
                            k,
                            Ending.Hindrance(k, order) is { } no ? $"{no.Sentence} {no.Remedy}" : ""
                        )),
                ],
                CancelledBill.Reckon(order.Facts)
            );
        });

    internal static Written End(OrderId id, EndBody body, OpenShop shop, HttpRequest request)
    {
        var deed = request.Deed(
            shop.Clock,
            body.Kind switch
            {
                EndKind.ThrownAway => "thrown away",
                EndKind.Declined => "declined",
                EndKind.Lost => "noted as lost",
                _ => "cancelled",
            }
        );
        var ending = new Ending(
            body.Kind,
            body.Why.Trim(),
            ToWhom: body.ToWhom.Trim(),
            body.TheirPrice,
            body.Settled,
            deed.At
        );
        return OrderDeedEndpoints.Do(id, shop, request, (c, seen) => OrderEnding.End(c, shop, id, ending, seen, deed));
    }

    internal static Written BringBack(OrderId id, OpenShop shop, HttpRequest request) =>
        OrderDeedEndpoints.Do(id, shop, request, (c, seen) =>
            OrderEnding.BringBack(c, shop, id, seen, request.Deed(shop.Clock, "brought back"))
        );

    internal static List<WonAndLostView> WonLost(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var f = OpenShop.Numbers(c).Format;
            string Each(decimal? price) => price is { } p ? Shown.Money(p, f) : "";
            return WonAndLost
                .Count(OrderStore.Outcomes(c, shop.Clock.Utc - Duration.FromDays(Days)))
                .Select(w => new WonAndLostView(
                    DecorationMethods.Find(w.MethodId)?.Name ?? w.MethodId.Text,
                    w,
                    w.WonShare is { } share ? $"{Shown.Number(share * 100, 0, f)}%" : "",
                    WonEach: Each(w.WonEach),
                    Each(w.LostEach)
                ))
                .ToList();
        });
}
