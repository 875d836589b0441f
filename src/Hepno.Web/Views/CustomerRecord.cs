using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>A customer with everything they had made and what it earned.</summary>
/// <param name="Customer">Who.</param>
/// <param name="Version">Version of name and contact.</param>
/// <param name="Orders">Newest first.</param>
/// <param name="Earned">Profit of everything handed over, an order a part.</param>
internal sealed record CustomerRecord(Customer Customer, long Version, IReadOnlyList<PastOrder> Orders, Figure Earned)
{
    /// <summary>Reads it; refused with 404 when there is no such customer.</summary>
    public static CustomerRecord Read(SqliteConnection connection, OpenShop shop, CustomerId id)
    {
        var customer = Aggregates.Customers.Get(connection, id) ?? throw RefusedException.NoSuch("customer", id);
        var book = shop.Book(connection);
        var f = book.Numbers.Format;
        var cases = OrderStore
            .OfCustomer(connection, id)
            .Select(o => shop.Case(connection, o.Value.Id, book))
            .Reverse()
            .ToList();
        var held = cases.Select(c => (Case: c, Held: LearnViews.HeldOf(c))).ToList();
        return new(
            customer.Value,
            customer.Version,
            [.. held.Select(h => Past(h.Case, h.Held, f, book.Numbers.Identity.TimeZone))],
            Figure.Sum(
                "earned",
                "Earned",
                [
                    .. held.Where(h => h.Held is not null)
                        .Select(h =>
                            h.Held!.Value.Earned with
                            {
                                Code = h.Case.Order.Id.Text,
                                Label = h.Case.Order.Code,
                            }
                        ),
                ]
            )
        );
    }

    private static PastOrder Past(
        OrderCase c,
        (IReadOnlyList<LineHeld> Lines, Figure Earned, decimal RecordedAnHour, decimal PlannedAnHour)? held,
        FigureFormat f,
        string zone
    )
    {
        var where = string.Join(
            ", ",
            c.Order.Ask.Lines.SelectMany(l => l.Placements).Select(p => p.At().Name.ToLowerInvariant()).Distinct()
        );
        var at = c.Order.Facts.Sending.HandOver?.At ?? c.Order.CreatedAt;
        return new(
            c.Order.Id.Text,
            c.Order.Code,
            Shown.DayAndYear(WallClock.Day(at, zone), f),
            c.What,
            where,
            c.Standing.Station,
            c.Frozen is null ? "" : Shown.Money(c.Frozen.Total, f),
            Earned: held is null ? "" : Shown.Money(held.Value.Earned.Value, f),
            held is null ? "" : Shown.AnHour(held.Value.RecordedAnHour, f),
            Ended: c.Order.Facts.End.Ending?.Word ?? ""
        );
    }
}

/// <summary>One order of a customer.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Code">Number as written.</param>
/// <param name="Day">Handed over, else begun.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Where">Prints.</param>
/// <param name="Station">Where it stands.</param>
/// <param name="Total">Total of the sent quote, tax included; empty before.</param>
/// <param name="Earned">Profit as it came out; empty before it is handed over.</param>
/// <param name="AnHour">Profit an hour as it came out; empty before.</param>
/// <param name="Ended">How it left the line where it was not handed over, in a word; empty else.</param>
internal sealed record PastOrder(
    string Id,
    string Code,
    string Day,
    string What,
    string Where,
    Station Station,
    string Total,
    string Earned,
    string AnHour,
    string Ended
);
