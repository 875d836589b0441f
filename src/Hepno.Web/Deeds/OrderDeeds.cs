using Hepno.Core.Orders;
using Hepno.Core.Quoting;
using Hepno.Store;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What is done to an order after its ask, each deed one function: its endpoint and the demo data call the
/// same.</summary>
internal static class OrderDeeds
{
    private const int LongestName = 200;

    /// <summary>Changes what has happened to an order, from the version that was seen.</summary>
    public static long Put(
        SqliteConnection connection,
        OrderCase c,
        long seen,
        Deed deed,
        Func<OrderFacts, OrderFacts> change
    ) => Aggregates.Orders.Put(connection, c.Order with { Facts = change(c.Order.Facts) }, seen, deed);

    internal static void At(OrderCase c, Station station, string what)
    {
        if (c.Standing.Station != station)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} stands at {c.Standing.Station}: it cannot {what} there.",
                remedy: c.Standing.Missing.Count > 0
                    ? $"It still waits for: {c.Standing.Missing[0].Text.TrimEnd('.')}."
                    : "Look at where it stands."
            );
        }
    }

    // before the quote is sent, on a line that is complete
    internal static void Before(OrderCase c, LineCase line, string what)
    {
        if (c.Standing.Station >= Station.Gather)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"The quote of {c.Order.Code} is sent: it cannot {what} now.",
                remedy: "Withdraw the quote first."
            );
        }
        if (line.InHand is null)
        {
            throw new RefusedException(
                409,
                "not-there",
                $"{c.Order.Code} cannot {what} yet: {c.Standing.Missing[0].Text.TrimEnd('.')}.",
                remedy: "Finish the ask first."
            );
        }
    }

    internal static string Named(string value, string field, string what)
    {
        var name = value.Trim();
        return name.Length switch
        {
            0 => throw new RefusedException(400, "empty", $"{what} is not said.", remedy: "Type it.", field),
            > LongestName => throw new RefusedException(
                400,
                "too-long",
                $"{what} has {name.Length} characters.",
                remedy: $"At most {LongestName}.",
                field
            ),
            _ => name,
        };
    }
}
