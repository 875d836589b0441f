using Hepno.Core.Orders;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>Forgets a person: their orders and quotes keep every figure and lose the name, the contact, who said yes,
/// who took the pieces, the names printed on them and the files that hung on them.</summary>
internal static class ForgetCustomer
{
    public const string Nobody = "Customer erased";

    /// <summary>Erases the customer for good; refused while an order of theirs is on the line.</summary>
    public static long Do(SqliteConnection connection, OpenShop shop, CustomerId id, long seen, Deed deed)
    {
        var customer = Aggregates.Customers.Get(connection, id) ?? throw RefusedException.NoSuch("customer", id);
        var orders = OrderStore.OfCustomer(connection, id);
        if (
            orders.Where(o => o.Value.Facts.End.ClosedAt is null).Select(o => o.Value.Code).ToList() is
            { Count: > 0 } open
        )
        {
            throw new RefusedException(
                409,
                "in-use",
                $"{customer.Value.Name} still has {string.Join(", ", open)} on the line.",
                remedy: "Close those orders first."
            );
        }
        var final = deed with { Undoable = false };
        foreach (var order in orders)
        {
            Aggregates.Orders.Put(connection, WithoutPerson(order.Value), order.Version, final);
            UndoStore.Forget(connection, Aggregates.Orders.Kind, order.Value.Id.Text);
            foreach (var quote in QuoteStore.OfOrder(connection, order.Value.Id))
            {
                var kept = QuoteStore.Frozen(connection, quote.Id);
                var bare = kept with
                {
                    Ask = Nameless(kept.Ask),
                    Document = kept.Document with { Customer = Nobody, CustomerContact = "" },
                };
                QuoteStore.Replace(connection, quote.Id, bare, QuotePdf.Print(bare.Document));
                shop.ReadAgain(quote.Id);
            }
        }
        var version = Aggregates.Customers.Put(connection, new Customer(id, Nobody, Contact: ""), seen, final);
        UndoStore.Forget(connection, Aggregates.Customers.Kind, id.Text);
        return version;
    }

    /// <summary>Files of a customer's orders that nothing else of the shop refers to.</summary>
    public static IReadOnlyList<string> FilesOf(SqliteConnection connection, CustomerId id)
    {
        var mine = OrderStore
            .OfCustomer(connection, id)
            .SelectMany(o => o.Value.Facts.Attached)
            .Select(a => a.Hash)
            .ToHashSet();
        var others = Aggregates
            .Orders.All(connection)
            .Where(o => o.Value.Ask.CustomerId != id)
            .SelectMany(o => o.Value.Facts.Attached)
            .Select(a => a.Hash)
            .Concat(
                Aggregates
                    .Designs.All(connection)
                    .SelectMany(d => new[] { d.Value.Hash, d.Value.CameAs }.OfType<string>())
            );
        mine.ExceptWith(others);
        return [.. mine];
    }

    private static Order WithoutPerson(Order order) =>
        order with
        {
            Ask = Nameless(order.Ask),
            Facts = order.Facts with
            {
                Attached = [],
                Gathering = order.Facts.Gathering with
                {
                    Approval = order.Facts.Gathering.Approval is { } yes ? yes with { By = Nobody } : null,
                    Risks =
                    [
                        .. order.Facts.Gathering.Risks.Select(r =>
                            r with
                            {
                                AcceptedBy = r.AcceptedBy.Length > 0 ? Nobody : "",
                            }
                        ),
                    ],
                },
                Sending = order.Facts.Sending with
                {
                    Parts = [.. order.Facts.Sending.Parts.Select(p => p with { To = Nobody })],
                    HandOver = order.Facts.Sending.HandOver is { } handed ? handed with { To = Nobody } : null,
                },
            },
        };

    // a printed name is a person's too; that there was one stays, for the figures
    private static Ask Nameless(Ask ask) =>
        ask with
        {
            Details = AskDetails.None,
            Lines =
            [
                .. ask.Lines.Select(l =>
                    l with
                    {
                        Names = [.. l.Names.Select(n => n with { Name = n.Name.Length > 0 ? "-" : "" })],
                    }
                ),
            ],
        };
}
