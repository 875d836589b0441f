using Hepno.Core.Costing;
using Hepno.Core.Learning;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>An order whose record is to be read, or read anew.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Version">The version of it that stands.</param>
/// <param name="LastEvent">Its last verdict so far.</param>
public sealed record ToLearn(OrderId OrderId, long Version, long LastEvent);

/// <summary>What each order that was handed over has taught. Follows from the orders and their verdicts, so it has no
/// versions and no history.</summary>
public static class LearnedStore
{
    private const int LastOrders = 200;

    // looked up order by order, whatever the database believes of the tables' sizes
    private const string IsMissing = """
        NOT EXISTS (SELECT 1 FROM learned_order l WHERE l.order_id = o.id AND l.rule = @rule AND l.order_version = o.version
          AND l.last_event = (SELECT coalesce(max(seq), 0) FROM run_event e WHERE e.order_id = o.id))
        """;

    /// <summary>Orders handed over whose record was not read yet, was changed since, or was read by another rule; the
    /// newest first.</summary>
    public static List<ToLearn> Missing(SqliteConnection connection, int rule, int most) =>
        connection.Query(
            $"""
            SELECT o.id, o.version, (SELECT coalesce(max(seq), 0) FROM run_event e WHERE e.order_id = o.id) AS last
            FROM orders o WHERE o.handed_at IS NOT NULL AND {IsMissing} ORDER BY o.number DESC LIMIT @most
            """,
            r => new ToLearn(r.Id<OrderId>("id"), r.Long("version"), LastEvent: r.Long("last")),
            ("@rule", rule),
            ("@most", most)
        );

    /// <summary>How many orders handed over there are, and how many of them are still missing.</summary>
    public static (int Handed, int Missing) Count(SqliteConnection connection, int rule) =>
        (
            (int)connection.Scalar("SELECT count(*) FROM orders WHERE handed_at IS NOT NULL"),
            (int)
                connection.Scalar(
                    $"SELECT count(*) FROM orders o WHERE o.handed_at IS NOT NULL AND {IsMissing}",
                    ("@rule", rule)
                )
        );

    /// <summary>Everything that orders with their customers have taught by a rule, added up, but some.</summary>
    public static List<LearnedPart> Totals(SqliteConnection connection, int rule, IEnumerable<string> but) =>
        connection.Query(
            """
            SELECT p.kind, p.method_id, p.what, sum(p.standard) AS standard, sum(p.recorded) AS recorded, sum(p.seen) AS seen,
              sum(p.spoiled) AS spoiled
            FROM learned_part p
            WHERE p.order_id IN (SELECT l.order_id FROM learned_order l WHERE l.rule = @rule
              AND l.order_id IN (SELECT id FROM orders WHERE handed_at IS NOT NULL)
              AND l.order_id NOT IN (SELECT value FROM json_each(@but)))
            GROUP BY p.kind, p.method_id, p.what
            """,
            r => new LearnedPart(
                r.Word<LearnedKind>("kind"),
                r.Id<MethodId>("method_id"),
                r.Text("what"),
                r.Real("standard"),
                Recorded: r.Real("recorded"),
                r.Int("seen"),
                Spoiled: r.Int("spoiled")
            ),
            ("@rule", rule),
            ("@but", System.Text.Json.JsonSerializer.Serialize(but))
        );

    /// <summary>What the last orders handed over have earned by a rule: of many years the last ones say what an hour
    /// earns now.</summary>
    public static EarnedByHands Earned(SqliteConnection connection, int rule) =>
        connection.Query(
            """
            SELECT coalesce(sum(p.standard), 0) AS profit, coalesce(sum(p.recorded), 0) AS hours
            FROM (SELECT id FROM orders WHERE handed_at IS NOT NULL ORDER BY handed_at DESC LIMIT @last) o
            JOIN learned_order l ON l.order_id = o.id AND l.rule = @rule
            JOIN learned_part p ON p.order_id = o.id AND p.kind = 'Earned'
            """,
            r => new EarnedByHands((decimal)r.Real("profit"), Hours: (decimal)r.Real("hours")),
            ("@last", LastOrders),
            ("@rule", rule)
        )[0];

    /// <summary>Rises with everything that is kept of what was learned.</summary>
    public static long Stamp(SqliteConnection connection) =>
        connection.Scalar("SELECT coalesce(max(rowid), 0) FROM learned_order");

    /// <summary>Keeps what an order taught.</summary>
    public static void Put(SqliteConnection connection, ToLearn order, int rule, IReadOnlyList<LearnedPart> parts)
    {
        connection.Execute("DELETE FROM learned_order WHERE order_id = @id", ("@id", order.OrderId));
        connection.Put(
            "learned_order",
            1,
            ("order_id", order.OrderId),
            ("rule", rule),
            ("order_version", order.Version),
            ("last_event", order.LastEvent)
        );
        foreach (var p in parts)
        {
            connection.Put(
                "learned_part",
                4,
                ("order_id", order.OrderId),
                ("kind", p.Kind),
                ("method_id", p.MethodId),
                ("what", p.What),
                ("standard", p.Standard),
                ("recorded", p.Recorded),
                ("seen", p.Seen),
                ("spoiled", p.Spoiled)
            );
        }
    }
}
