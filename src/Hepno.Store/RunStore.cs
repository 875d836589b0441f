using Hepno.Core.Runs;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>The append-only log of runs.</summary>
public static class RunStore
{
    private static readonly ILookup<string, StepLap> None = Array
        .Empty<(string Of, StepLap Lap)>()
        .ToLookup(l => l.Of, l => l.Lap);

    /// <summary>Adds an event; sent again it is the same event. Returns false when it was already here.</summary>
    public static bool Add(SqliteConnection connection, OrderId orderId, RunEvent e, Instant receivedAt)
    {
        var added =
            connection.Changed(
                """
                INSERT INTO run_event (event_id, order_id, device, piece_no, attempt, pass, size, verdict, reason, takes_back, seconds, received_at)
                VALUES (@event, @order, @device, @piece, @attempt, @pass, @size, @verdict, @reason, @takes, @seconds, @at) ON CONFLICT(event_id) DO NOTHING
                """,
                ("@event", e.EventId),
                ("@order", orderId),
                ("@device", e.Device),
                ("@piece", e.PieceNo),
                ("@attempt", e.Attempt),
                ("@pass", e.Pass),
                ("@size", e.Size),
                ("@verdict", e.Verdict),
                ("@reason", e.Reason),
                ("@takes", e.TakesBack),
                ("@seconds", e.SecondsOnPiece),
                ("@at", receivedAt)
            ) > 0;
        if (added)
        {
            foreach (var (lap, position) in e.Laps.Select((l, i) => (l, i)))
            {
                connection.Put(
                    "run_lap",
                    2,
                    ("event_id", e.EventId),
                    ("position", position),
                    ("step", lap.Step),
                    ("seconds", lap.Seconds)
                );
            }
            ChangeStore.Add(connection, "run", orderId.Text, 0, receivedAt);
        }
        return added;
    }

    public static List<RunEvent> Of(SqliteConnection connection, OrderId orderId)
    {
        var laps = Laps(
            connection,
            "event_id IN (SELECT event_id FROM run_event WHERE order_id = @id)",
            ("@id", orderId)
        );
        return connection.Query(
            "SELECT * FROM run_event WHERE order_id = @id ORDER BY seq",
            r => Map(r, laps),
            ("@id", orderId)
        );
    }

    /// <summary>Events of an order received from a moment on.</summary>
    public static HashSet<string> Since(SqliteConnection connection, OrderId orderId, Instant utc) =>
        [
            .. connection.Query(
                "SELECT event_id FROM run_event WHERE order_id = @id AND received_at >= @from",
                r => r.Text("event_id"),
                ("@id", orderId),
                ("@from", utc)
            ),
        ];

    // pieces are numbered through an order's lines in their order
    private const string LinesOverPress = """
        (SELECT p.order_id, p.line_id,
          (SELECT coalesce(sum(s.pieces), 0) FROM order_line b
              JOIN order_size s ON s.order_id = b.order_id AND s.line_id = b.id
            WHERE b.order_id = p.order_id AND b.position < l.position) AS before,
          (SELECT coalesce(sum(s.pieces), 0) FROM order_size s
            WHERE s.order_id = p.order_id AND s.line_id = p.line_id) AS pieces
        FROM order_pressed p JOIN order_line l ON l.order_id = p.order_id AND l.id = p.line_id WHERE p.press_id = @press) r
        """;

    // what was taken back is not good
    private const string ItsGood = """
        run_event e WHERE e.order_id = r.order_id AND e.verdict = 'Good' AND e.received_at >= @from
          AND e.piece_no > r.before AND e.piece_no <= r.before + r.pieces
          AND NOT EXISTS (SELECT 1 FROM run_event t WHERE t.takes_back = e.event_id)
        """;

    /// <summary>Pieces that came good over a press from a moment on, by order and line, the newest order
    /// first.</summary>
    public static List<(OrderId OrderId, LineId LineId, int Pieces)> PressedSince(
        SqliteConnection connection,
        PressId pressId,
        Instant utc
    ) =>
        connection.Query(
            $"""
            WITH counted AS MATERIALIZED (SELECT r.order_id, r.line_id, (SELECT count(DISTINCT e.piece_no) FROM {ItsGood}) AS good FROM {LinesOverPress})
            SELECT c.order_id, c.line_id, c.good FROM counted c JOIN orders o ON o.id = c.order_id WHERE c.good > 0 ORDER BY o.number DESC
            """,
            r => (r.Id<OrderId>("order_id"), r.Id<LineId>("line_id"), r.Int("good")),
            ("@press", pressId),
            ("@from", utc)
        );

    /// <summary>How many they are, counted no further than asked: of what has worn out nobody needs to know by how
    /// much.</summary>
    public static int CountPressedSince(SqliteConnection connection, PressId pressId, Instant utc, int most) =>
        (int)
            connection.Scalar(
                $"SELECT count(*) FROM (SELECT DISTINCT r.order_id, r.line_id, e.piece_no FROM {LinesOverPress}, "
                    + $"{ItsGood} LIMIT @most)",
                ("@press", pressId),
                ("@from", utc),
                ("@most", most)
            );

    /// <summary>Events of all orders on the line, by order; their laps are left out, as counts do not need
    /// them.</summary>
    public static ILookup<OrderId, RunEvent> OfOpen(SqliteConnection connection) =>
        connection
            .Query(
                "SELECT * FROM run_event WHERE order_id IN (SELECT id FROM orders WHERE closed_at IS NULL) ORDER BY seq",
                r => (Of: r.Id<OrderId>("order_id"), Event: Map(r, None))
            )
            .ToLookup(e => e.Of, e => e.Event);

    /// <summary>Events of an order with when they were received (UTC), in that order.</summary>
    public static List<(Instant ReceivedAt, RunEvent Event)> Received(SqliteConnection connection, OrderId orderId)
    {
        var laps = Laps(
            connection,
            "event_id IN (SELECT event_id FROM run_event WHERE order_id = @id)",
            ("@id", orderId)
        );
        return connection.Query(
            "SELECT * FROM run_event WHERE order_id = @id ORDER BY seq",
            r => (r.Utc("received_at"), Map(r, laps)),
            ("@id", orderId)
        );
    }

    private static ILookup<string, StepLap> Laps(
        SqliteConnection connection,
        string where,
        params ReadOnlySpan<(string, object?)> values
    ) =>
        connection
            .Query(
                $"SELECT * FROM run_lap WHERE {where} ORDER BY event_id, position",
                r => (Of: r.Text("event_id"), Lap: new StepLap(r.Text("step"), r.Real("seconds"))),
                values
            )
            .ToLookup(l => l.Of, l => l.Lap);

    private static RunEvent Map(Rows.Row r, ILookup<string, StepLap> laps) =>
        new(
            r.Text("event_id"),
            Device: r.Text("device"),
            r.Int("piece_no"),
            Attempt: r.Int("attempt"),
            r.Int("pass"),
            r.Text("size"),
            r.Word<RunVerdict>("verdict"),
            r.TextOrNull("reason"),
            TakesBack: r.TextOrNull("takes_back"),
            r.Real("seconds")
        )
        {
            Laps = [.. laps[r.Text("event_id")]],
        };
}
