using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>Everything known of a customer.</summary>
internal sealed record CustomerExport(Customer Customer, IReadOnlyList<OrderExport> Orders);

/// <summary>One of their orders.</summary>
internal sealed record OrderExport(
    string Code,
    Instant CreatedAt,
    Ask Ask,
    OrderFacts Facts,
    IReadOnlyList<QuoteExport> Quotes
);

/// <summary>A quote they were sent.</summary>
internal sealed record QuoteExport(Instant SentAt, Instant? WithdrawnAt, QuoteDocument Document);

/// <summary>Customers: kept, found, given out to them, and erased.</summary>
internal static class CustomerEndpoints
{
    public static void MapCustomers(IEndpointRouteBuilder api)
    {
        api.MapGet("/customers/find", FindCustomers).WithTags("customers").WithName("findCustomers");
        api.MapGet("/customers/{id}/record", (CustomerId id, OpenShop shop) =>
                shop.Db.Read(c => Views.CustomerRecord.Read(c, shop, id))
            )
            .WithTags("customers")
            .WithName("customerRecord")
            .WithSummary("A customer with past orders and what they earned.");
        api.MapGet("/customers/{id}/export", ExportCustomer).WithTags("customers").WithName("exportCustomer");
        api.MapPost("/customers/{id}/erase", EraseCustomer).WithTags("customers").WithName("eraseCustomer");
    }

    /// <summary>Customers whose name or contact holds the text, accents and case aside.</summary>
    internal static List<Customer> FindCustomers(OpenShop shop, string? text) =>
        shop.Db.Read(c => CustomerStore.Find(c, text ?? "", 8));

    /// <summary>Everything Hepno knows of a customer, for the customer.</summary>
    internal static CustomerExport ExportCustomer(CustomerId id, OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var customer = Aggregates.Customers.Get(c, id) ?? throw RefusedException.NoSuch("customer", id);
            return new CustomerExport(
                customer.Value,
                [
                    .. OrderStore
                        .OfCustomer(c, id)
                        .Select(o => new OrderExport(
                            o.Value.Code,
                            o.Value.CreatedAt,
                            o.Value.Ask,
                            o.Value.Facts,
                            [
                                .. QuoteStore
                                    .OfOrder(c, o.Value.Id)
                                    .Select(q => new QuoteExport(
                                        q.SentAt,
                                        q.WithdrawnAt,
                                        QuoteStore.Frozen(c, q.Id).Document
                                    )),
                            ]
                        )),
                ]
            );
        });

    /// <summary>Forgets the person for good; orders and quotes keep their figures. Daily copies still hold the name
    /// until they are thirteen months old.</summary>
    internal static Views.Written EraseCustomer(CustomerId id, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        var (done, files) = shop.Db.Write(c =>
        {
            var theirs = ForgetCustomer.FilesOf(c, id);
            return (
                new Views.Written(
                    id.Text,
                    ForgetCustomer.Do(c, shop, id, seen, request.Deed(shop.Clock, "customer erased"))
                ),
                theirs
            );
        });
        // only once the orders no longer name them
        foreach (var hash in files)
        {
            KeptFiles.Drop(shop.Db.Folder, hash);
        }
        return done;
    }
}
