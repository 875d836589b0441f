using Hepno.Core.Runs;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The append-only log of runs.</summary>
public static class RunStore
{
    /// <summary>Adds an event; sent again it is the same event. Returns false when it was already here.</summary>
    public static bool Add(SqliteConnection connection, string orderId, RunEvent e, DateTime receivedAt)
    {
        var added = connection.Changed("""
            INSERT INTO run_event (event_id, order_id, device, piece_no, attempt, pass, size, verdict, reason, takes_back, seconds, received_at)
            VALUES (@event, @order, @device, @piece, @attempt, @pass, @size, @verdict, @reason, @takes, @seconds, @at) ON CONFLICT(event_id) DO NOTHING
            """, ("@event", e.EventId), ("@order", orderId), ("@device", e.Device), ("@piece", e.PieceNo), ("@attempt", e.Attempt), ("@pass", e.Pass), ("@size", e.Size), ("@verdict", e.Verdict), ("@reason", e.Reason), ("@takes", e.TakesBack), ("@seconds", e.SecondsOnPiece), ("@at", receivedAt)) > 0;
        if (added)
        {
            ChangeStore.Add(connection, "run", orderId, 0, receivedAt);
        }
        return added;
    }

    public static List<RunEvent> Of(SqliteConnection connection, string orderId) => connection.Query("SELECT * FROM run_event WHERE order_id = @id ORDER BY seq", Map, ("@id", orderId));

    /// <summary>Events of all orders on the line, by order.</summary>
    public static ILookup<string, RunEvent> OfOpen(SqliteConnection connection) =>
        connection.Query("SELECT * FROM run_event WHERE order_id IN (SELECT id FROM orders WHERE closed_at IS NULL) ORDER BY seq", r => (Of: r.Text("order_id"), Event: Map(r))).ToLookup(e => e.Of, e => e.Event);

    /// <summary>All events of the shop, in the order they were received.</summary>
    public static List<(string OrderId, DateTime ReceivedAt, RunEvent Event)> All(SqliteConnection connection) => connection.Query("SELECT * FROM run_event ORDER BY seq", r => (r.Text("order_id"), r.Utc("received_at"), Map(r)));

    private static RunEvent Map(Rows.Row r) => new(r.Text("event_id"), r.Text("device"), r.Int("piece_no"), r.Int("attempt"), r.Int("pass"), r.Text("size"), r.Word<RunVerdict>("verdict"), r.TextOrNull("reason"), r.TextOrNull("takes_back"), r.Real("seconds"));
}
