using System.Globalization;
using System.Text.Json;
using Hepno.Core.Learning;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>Orders with their ask and what has happened to them.</summary>
public static class OrderStore
{
    private const int LongestNumber = 7;
    private const long LargestNumber = 10_000_000;

    internal static Aggregate<Order> Aggregate() =>
        new(
            "order",
            "orders",
            (connection, id) => Load(connection, Rows.Only(id, "id"), ("@id", id)),
            o => o.Id.Text,
            Write,
            new(OrderLift.Lift, DetailsLift.Lift, _ => { })
        );

    /// <summary>Orders on the work line: not closed.</summary>
    public static List<Versioned<Order>> Open(SqliteConnection connection) => Load(connection, "closed_at IS NULL");

    /// <summary>Orders with a quote that stands, not handed over, oldest first.</summary>
    public static List<Versioned<Order>> Quoted(SqliteConnection connection) =>
        Load(
            connection,
            "closed_at IS NULL AND handed_at IS NULL AND id IN (SELECT order_id FROM quote WHERE withdrawn_at IS NULL)"
        );

    /// <summary>A customer's orders, oldest first.</summary>
    public static List<Versioned<Order>> OfCustomer(SqliteConnection connection, CustomerId customerId) =>
        Load(connection, "customer_id = @customer", ("@customer", customerId));

    /// <summary>Orders with a placement of an artwork, oldest first.</summary>
    public static List<Versioned<Order>> OfDesign(SqliteConnection connection, DesignId designId) =>
        Load(connection, "id IN (SELECT order_id FROM placement WHERE design_id = @design)", ("@design", designId));

    /// <summary>The number the next order gets.</summary>
    public static int NextNumber(SqliteConnection connection, int first) =>
        (int)Math.Max(first, connection.Scalar("SELECT coalesce(max(number), 0) + 1 FROM orders"));

    /// <summary>How many orders there are.</summary>
    public static int Count(SqliteConnection connection) => (int)connection.Scalar("SELECT count(*) FROM orders");

    /// <summary>Prints of the orders made since a moment, by the way their line is decided for.</summary>
    public static IReadOnlyList<(MethodId MethodId, long Prints)> PrintsSince(
        SqliteConnection connection,
        Instant utc
    ) =>
        connection.Query(
            """
            SELECT l.decision_method AS method, sum(pieces
              * (SELECT count(*) FROM placement p WHERE p.order_id = s.order_id AND p.line_id = s.line_id)) AS prints
            FROM orders o JOIN order_size s ON s.order_id = o.id
              JOIN order_line l ON l.order_id = s.order_id AND l.id = s.line_id
            WHERE o.created_at >= @since AND l.decision_method IS NOT NULL GROUP BY l.decision_method
            """,
            r => (r.Id<MethodId>("method"), r.Long("prints")),
            ("@since", utc)
        );

    /// <summary>The open order whose film lies on another's layout, by its number; null for none.</summary>
    public static int? JoinedWith(SqliteConnection connection, OrderId orderId) =>
        connection
            .Query(
                "SELECT o.number FROM order_joined j JOIN orders o ON o.id = j.order_id WHERE j.with_order = @id "
                    + "AND o.closed_at IS NULL",
                r => (int?)r.Int("number"),
                ("@id", orderId)
            )
            .FirstOrDefault();

    /// <summary>Every quoted line whose order was said yes to or has ended since, with the price of a piece.</summary>
    public static List<QuotedOutcome> Outcomes(SqliteConnection connection, Instant since) =>
        connection.Query(
            """
            SELECT l.method_id, l.price_micros, o.ended_kind FROM quote q JOIN quote_line l ON l.quote_id = q.id JOIN orders o ON o.id = q.order_id
            WHERE q.withdrawn_at IS NULL AND q.sent_at >= @since AND (o.approved_at IS NOT NULL OR o.ended_kind IS NOT NULL)
            """,
            r => new QuotedOutcome(
                r.Id<MethodId>("method_id"),
                r.Money("price_micros"),
                r.TextOrNull("ended_kind") is null ? null : r.Word<EndKind>("ended_kind")
            ),
            ("@since", since)
        );

    /// <summary>Orders by the beginning of their number ("471", "T-471"), by part of what else they are found by, or of
    /// the customer's name or contact: of each the newest first, and by number before the others.</summary>
    public static List<Versioned<Order>> Find(SqliteConnection connection, string text, int most)
    {
        var folded = CustomerStore.Folded(text.Trim());
        if (folded.Length == 0)
        {
            return Each(
                connection,
                connection.Query("SELECT id FROM orders ORDER BY number DESC LIMIT @most", Id, ("@most", most))
            );
        }
        var number = folded.StartsWith("t-", StringComparison.Ordinal) ? folded[2..] : folded;
        var isNumber = number.Length is > 0 and <= LongestNumber && number.All(char.IsAsciiDigit);
        var byWord = connection.Query(
            // what is part of no order's words is answered by an index that holds only orders with some
            $"""
            SELECT id FROM orders WHERE id IN (SELECT id FROM orders WHERE found_by <> '' AND instr(found_by, @text) > 0)
              {(isNumber ? "" : "OR customer_id IN (SELECT id FROM customer WHERE instr(search, @text) > 0)")}
            ORDER BY number DESC LIMIT @most
            """,
            Id,
            ("@text", folded),
            ("@most", most)
        );
        List<string> byNumber = isNumber
            ? ByNumber(connection, int.Parse(number, CultureInfo.InvariantCulture), most)
            : [];
        return Each(connection, byNumber.Union(byWord).Take(most));
    }

    private static List<Versioned<Order>> Each(SqliteConnection connection, IEnumerable<string> ids) =>
        [.. ids.Select(id => Load(connection, "id = @id", ("@id", id))[0])];

    // numbers that begin with these digits lie in a few ranges, which the index knows; a comparison of texts would read
    // every order
    private static List<string> ByNumber(SqliteConnection connection, int digits, int most)
    {
        var ranges = new List<string>();
        for (long from = digits, width = 1; from is > 0 and < LargestNumber; from *= 10, width *= 10)
        {
            ranges.Add($"number BETWEEN {from} AND {from + width - 1}");
        }
        return connection.Query(
            $"SELECT id FROM orders WHERE {string.Join(" OR ", ranges.DefaultIfEmpty("0"))} ORDER BY number DESC LIMIT @most",
            Id,
            ("@most", most)
        );
    }

    private static string Id(Rows.Row r) => r.Text("id");

    private static List<Versioned<Order>> Load(
        SqliteConnection connection,
        string where,
        params (string, object?)[] values
    )
    {
        var rows = new OrderRows(connection, where, values);
        var (lines, facts) = (new LineRows(rows), new FactRows(rows));
        return connection.Query(
            $"SELECT * FROM orders WHERE {where} ORDER BY number",
            r =>
            {
                var id = r.Id<OrderId>("id");
                return new Versioned<Order>(
                    new(
                        id,
                        r.Int("number"),
                        Ask(r, lines.Of(id)),
                        facts.Of(r, lines.DecisionsOf(id)),
                        r.Utc("created_at")
                    ),
                    r.Long("version")
                );
            },
            values
        );
    }

    private static Ask Ask(Rows.Row r, IReadOnlyList<AskLine> lines) =>
        new(
            r.IdOrNull<CustomerId>("customer_id"),
            lines,
            r.DayOrNull("due_date"),
            r.TimeOrNull("due_time"),
            r.Word<Channel>("channel"),
            r.TextOrNull("ship_zone") is { } zone ? new Shipping(zone, r.Flag("ship_in_price")) : null
        )
        {
            Details = JsonSerializer.Deserialize<AskDetails>(r.Text("details"), DocumentJson.Strict)!,
        };

    private static void Write(SqliteConnection connection, Order o, long version)
    {
        var ask = o.Ask;
        connection.Put(
            "orders",
            1,
            [
                ("id", o.Id),
                ("version", version),
                ("number", o.Number),
                ("customer_id", ask.CustomerId),
                ("due_date", ask.DueDate),
                ("due_time", ask.DueTime),
                ("details", JsonSerializer.Serialize(ask.Details, DocumentJson.Strict)),
                ("found_by", CustomerStore.Folded(string.Join('\n', ask.Details.FoundBy()))),
                ("channel", ask.Channel),
                ("ship_zone", ask.Shipping?.Zone),
                ("ship_in_price", ask.Shipping?.InThePrice ?? false),
                ("created_at", o.CreatedAt),
                .. FactRows.Columns(o.Facts),
            ]
        );
        LineRows.Write(connection, o);
        FactRows.Write(connection, o.Id, o.Facts);
    }
}
