using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Learning;
using Hepno.Core.Materials;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Microsoft.Data.Sqlite;

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
            o => o.Id,
            Write
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
    public static List<Versioned<Order>> OfCustomer(SqliteConnection connection, string customerId) =>
        Load(connection, "customer_id = @customer", ("@customer", customerId));

    /// <summary>Orders with a placement of an artwork, oldest first.</summary>
    public static List<Versioned<Order>> OfDesign(SqliteConnection connection, string designId) =>
        Load(connection, "id IN (SELECT order_id FROM placement WHERE design_id = @design)", ("@design", designId));

    /// <summary>The number the next order gets.</summary>
    public static int NextNumber(SqliteConnection connection, int first) =>
        (int)Math.Max(first, connection.Scalar("SELECT coalesce(max(number), 0) + 1 FROM orders"));

    /// <summary>How many orders there are.</summary>
    public static int Count(SqliteConnection connection) => (int)connection.Scalar("SELECT count(*) FROM orders");

    /// <summary>Prints of the orders made since a moment, by the way their line is decided for.</summary>
    public static IReadOnlyList<(string MethodId, long Prints)> PrintsSince(
        SqliteConnection connection,
        DateTime utc
    ) =>
        connection.Query(
            """
            SELECT l.decision_method AS method, sum(pieces * (SELECT count(*) FROM placement p WHERE p.order_id = s.order_id AND p.line_id = s.line_id)) AS prints
            FROM orders o JOIN order_size s ON s.order_id = o.id JOIN order_line l ON l.order_id = s.order_id AND l.id = s.line_id
            WHERE o.created_at >= @since AND l.decision_method IS NOT NULL GROUP BY l.decision_method
            """,
            r => (r.Text("method"), r.Long("prints")),
            ("@since", utc)
        );

    /// <summary>The open order whose film lies on another's layout, by its number; null for none.</summary>
    public static int? JoinedWith(SqliteConnection connection, string orderId) =>
        connection
            .Query(
                "SELECT o.number FROM order_joined j JOIN orders o ON o.id = j.order_id WHERE j.with_order = @id AND o.closed_at IS NULL",
                r => (int?)r.Int("number"),
                ("@id", orderId)
            )
            .FirstOrDefault();

    /// <summary>Every quoted line whose order was said yes to or has ended since, with the price of a piece.</summary>
    public static List<QuotedOutcome> Outcomes(SqliteConnection connection, DateTime since) =>
        connection.Query(
            """
            SELECT l.method_id, l.price_micros, o.ended_kind FROM quote q JOIN quote_line l ON l.quote_id = q.id JOIN orders o ON o.id = q.order_id
            WHERE q.withdrawn_at IS NULL AND q.sent_at >= @since AND (o.approved_at IS NOT NULL OR o.ended_kind IS NOT NULL)
            """,
            r => new QuotedOutcome(
                r.Text("method_id"),
                r.Money("price_micros"),
                r.TextOrNull("ended_kind") is null ? null : r.Word<EndKind>("ended_kind")
            ),
            ("@since", since)
        );

    /// <summary>Orders by the beginning of their number ("471", "T-471") or by part of the customer's name or contact, newest first.</summary>
    public static List<Versioned<Order>> Find(SqliteConnection connection, string text, int most)
    {
        var folded = CustomerStore.Folded(text.Trim());
        var number = folded.StartsWith("t-", StringComparison.Ordinal) ? folded[2..] : folded;
        var ids =
            folded.Length == 0
                ? connection.Query("SELECT id FROM orders ORDER BY number DESC LIMIT @most", Id, ("@most", most))
            : number.Length is > 0 and <= LongestNumber && number.All(char.IsAsciiDigit)
                ? ByNumber(connection, int.Parse(number, CultureInfo.InvariantCulture), most)
            : connection.Query(
                "SELECT id FROM orders WHERE customer_id IN (SELECT id FROM customer WHERE instr(search, @text) > 0) ORDER BY number DESC LIMIT @most",
                Id,
                ("@text", folded),
                ("@most", most)
            );
        return [.. ids.Select(id => Load(connection, "id = @id", ("@id", id))[0])];
    }

    // numbers that begin with these digits lie in a few ranges, which the index knows; a comparison of texts would read every order
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

    private static (string Order, string Line) LineKey(Rows.Row r) => (r.Text("order_id"), r.Text("line_id"));

    private static string Id(Rows.Row r) => r.Text("id");

    private static List<Versioned<Order>> Load(
        SqliteConnection connection,
        string where,
        params ReadOnlySpan<(string, object?)> values
    )
    {
        var inside = $"order_id IN (SELECT id FROM orders WHERE {where})";
        var sizes = connection
            .Query(
                $"SELECT * FROM order_size WHERE {inside} ORDER BY order_id, position",
                r => (Of: LineKey(r), Value: new SizeCount(r.Text("size"), r.Int("pieces"))),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var counted = connection
            .Query(
                $"SELECT * FROM order_counted WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new CountedSize(r.Text("line_id"), r.Text("size"), r.Int("pieces"))
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var cuts = connection
            .Query(
                $"SELECT * FROM placement_cut WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: (LineKey(r), r.Text("placement_id")),
                        Value: new ColourCut(
                            r.Text("hex"),
                            r.Real("width_share"),
                            r.Real("height_share"),
                            r.Real("paint_share")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var places = PlaceStore.Book(connection);
        var placements = connection
            .Query(
                $"SELECT * FROM placement WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: LineKey(r),
                        Value: new Placement(
                            r.Text("id"),
                            r.Text("place"),
                            r.Real("width_in"),
                            r.Real("height_in"),
                            r.Real("coverage_percent"),
                            r.Int("colours"),
                            r.Flag("gradient"),
                            r.Real("thinnest_line_pt"),
                            r.TextOrNull("design_id"),
                            r.Flag("by_size"),
                            r.Word<OwnText>("own"),
                            cuts[(LineKey(r), r.Text("id"))].Any() ? new([.. cuts[(LineKey(r), r.Text("id"))]]) : null,
                            r.IntOrNull("stitches"),
                            r.TextOrNull("on_top_of"),
                            r.Word<VinylFinish>("finish")
                        )
                        {
                            ShopPlace = places.Carried(r.Text("place")),
                        }
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var names = connection
            .Query(
                $"SELECT * FROM order_own WHERE {inside} ORDER BY order_id, position",
                r => (Of: LineKey(r), Value: new OwnPiece(r.Text("size"), r.Text("name"), r.Text("number"))),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var lines = connection
            .Query(
                $"SELECT * FROM order_line WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Line: new AskLine(
                            r.Text("id"),
                            r.TextOrNull("style_id"),
                            r.TextOrNull("colourway_id"),
                            [.. sizes[(r.Text("order_id"), r.Text("id"))]],
                            [.. placements[(r.Text("order_id"), r.Text("id"))]],
                            r.MoneyOrNull("mark_micros"),
                            r.Int("given"),
                            names[(r.Text("order_id"), r.Text("id"))].Any()
                                ? [.. names[(r.Text("order_id"), r.Text("id"))]]
                                : null,
                            r.Flag("theirs"),
                            r.DayOrNull("due_date")
                        ),
                        Decision: r.TextOrNull("decision_method") is { } method
                            ? new Decision(
                                r.Text("id"),
                                method,
                                r.Utc("decision_at"),
                                r.MoneyOrNull("decision_price_micros"),
                                r.Text("decision_why")
                            )
                            : null
                    ),
                values
            )
            .ToLookup(l => l.Of, l => (l.Line, l.Decision));
        var partPieces = connection
            .Query(
                $"SELECT * FROM order_part_piece WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: (r.Text("order_id"), r.Int("part")),
                        Value: new CountedSize(r.Text("line_id"), r.Text("size"), r.Int("pieces"))
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var parts = connection
            .Query(
                $"SELECT * FROM order_part WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new PartDelivery(
                            r.Text("taken_by"),
                            r.Utc("at"),
                            r.Money("money_micros"),
                            [.. partPieces[(r.Text("order_id"), r.Int("position"))]]
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var moves = connection
            .Query(
                $"SELECT * FROM order_move WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new MovedLine(r.Text("line_id"), r.Text("press_id"), r.Wall("from_wall"))
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var offers = connection
            .Query(
                $"SELECT * FROM order_offer WHERE {inside} ORDER BY order_id, position",
                r => (Of: r.Text("order_id"), Value: new OfferedWay(r.Text("line_id"), r.Text("method_id"))),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var risks = connection
            .Query(
                $"SELECT * FROM order_risk WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new RiskTaken(
                            r.Text("line_id"),
                            r.Text("accepted_by"),
                            r.Flag("spot_tested"),
                            r.Utc("at")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var attached = connection
            .Query(
                $"SELECT * FROM order_attachment WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new Attachment(
                            r.Text("id"),
                            r.Text("name"),
                            r.Text("hash"),
                            r.Long("bytes"),
                            r.Utc("at")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var pressed = connection
            .Query(
                $"SELECT * FROM order_pressed WHERE {inside} ORDER BY order_id, position",
                r => (Of: r.Text("order_id"), Value: new PressedOn(r.Text("line_id"), r.Text("press_id"))),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var drawer = connection
            .Query(
                $"SELECT * FROM order_drawer WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new FromDrawer(
                            r.Text("line_id"),
                            r.Text("key"),
                            r.Text("kept_id"),
                            r.Int("pieces"),
                            r.Text("film_id")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var joined = connection
            .Query(
                $"SELECT * FROM order_joined WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new JoinedFilm(r.Text("line_id"), r.Text("with_order"), r.Text("with_code"))
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var remnants = connection
            .Query(
                $"SELECT * FROM order_remnant WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new FromRemnant(
                            r.Text("line_id"),
                            r.Text("placement_id"),
                            r.Int("layer"),
                            r.Text("remnant_id"),
                            r.Text("vinyl_id"),
                            r.Real("width_in"),
                            r.Real("length_in")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var last = connection
            .Query(
                $"SELECT * FROM order_last WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new LastTime(
                            r.Text("line_id"),
                            r.Text("code"),
                            r.Text("method_id"),
                            r.Money("price_micros"),
                            r.Utc("at")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        var layouts = LayoutStore.Of(connection, inside, values);
        var items = connection
            .Query(
                $"SELECT * FROM gather_item WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Text("order_id"),
                        Value: new GatherItem(
                            r.Text("id"),
                            r.Word<GatherKind>("kind"),
                            r.Text("text"),
                            r.Text("supplier"),
                            r.Real("quantity"),
                            r.Text("unit"),
                            r.Money("cost_micros"),
                            r.Wall("expected"),
                            r.UtcOrNull("done_at")
                        )
                    ),
                values
            )
            .ToLookup(s => s.Of, s => s.Value);
        return connection.Query(
            $"SELECT * FROM orders WHERE {where} ORDER BY number",
            r =>
            {
                var id = r.Text("id");
                var ask = new Ask(
                    r.TextOrNull("customer_id"),
                    [.. lines[id].Select(l => l.Line)],
                    r.DayOrNull("due_date"),
                    r.TimeOrNull("due_time"),
                    r.TextOrNull("note"),
                    r.Word<Channel>("channel"),
                    r.TextOrNull("ship_zone") is { } zone ? new Shipping(zone, r.Flag("ship_in_price")) : null
                );
                var facts = new OrderFacts(
                    [.. lines[id].Where(l => l.Decision is not null).Select(l => l.Decision!)],
                    r.UtcOrNull("laid_out_at"),
                    r.TextOrNull("approved_by") is { } by ? new Approval(by, r.Utc("approved_at")) : null,
                    r.UtcOrNull("deposit_at") is { } at
                        ? new Deposit(r.Money("deposit_micros"), r.TextOrNull("deposit_override"), at)
                        : null,
                    [.. items[id]],
                    r.UtcOrNull("run_started_at"),
                    [.. counted[id]],
                    r.TextOrNull("handed_to") is { } to ? new HandOver(to, r.Utc("handed_at")) : null,
                    r.UtcOrNull("closed_at"),
                    moves[id].Any() ? [.. moves[id]] : null,
                    parts[id].Any() ? [.. parts[id]] : null,
                    offers[id].Any() ? [.. offers[id]] : null,
                    risks[id].Any() ? [.. risks[id]] : null,
                    attached[id].Any() ? [.. attached[id]] : null,
                    pressed[id].Any() ? [.. pressed[id]] : null,
                    layouts[id].Any() ? [.. layouts[id]] : null,
                    drawer[id].Any() ? [.. drawer[id]] : null,
                    joined[id].Any() ? [.. joined[id]] : null,
                    remnants[id].Any() ? [.. remnants[id]] : null,
                    r.TextOrNull("ended_kind") is null
                        ? null
                        : new Ending(
                            r.Word<EndKind>("ended_kind"),
                            r.Text("ended_why"),
                            r.Text("ended_to"),
                            r.MoneyOrNull("ended_their_price_micros"),
                            r.Money("ended_settled_micros"),
                            r.Utc("closed_at")
                        ),
                    last[id].Any() ? [.. last[id]] : null
                );
                return new Versioned<Order>(
                    new(id, r.Int("number"), ask, facts, r.Utc("created_at")),
                    r.Long("version")
                );
            },
            values
        );
    }

    private static void Write(SqliteConnection connection, Order o, long version)
    {
        var (ask, facts) = (o.Ask, o.Facts);
        connection.Put(
            "orders",
            1,
            ("id", o.Id),
            ("version", version),
            ("number", o.Number),
            ("customer_id", ask.CustomerId),
            ("due_date", ask.DueDate),
            ("due_time", ask.DueTime),
            ("note", ask.Note),
            ("channel", ask.Channel),
            ("ship_zone", ask.Shipping?.Zone),
            ("ship_in_price", ask.Shipping?.InThePrice ?? false),
            ("laid_out_at", facts.LaidOutAt),
            ("approved_by", facts.Approval?.By),
            ("approved_at", facts.Approval?.At),
            ("deposit_micros", facts.Deposit?.Amount),
            ("deposit_override", facts.Deposit?.OverrideReason),
            ("deposit_at", facts.Deposit?.At),
            ("run_started_at", facts.RunStartedAt),
            ("handed_to", facts.HandOver?.To),
            ("handed_at", facts.HandOver?.At),
            ("closed_at", facts.ClosedAt),
            ("created_at", o.CreatedAt),
            ("ended_kind", facts.Ending?.Kind),
            ("ended_why", facts.Ending?.Why ?? ""),
            ("ended_to", facts.Ending?.ToWhom ?? ""),
            ("ended_their_price_micros", facts.Ending?.TheirPrice),
            ("ended_settled_micros", facts.Ending?.Settled ?? 0)
        );
        connection.Replace("order_line", "order_id", o.Id, ask.Lines, l =>
            [
                ("id", l.Id),
                ("style_id", l.StyleId),
                ("colourway_id", l.ColourwayId),
                ("mark_micros", l.Mark),
                ("given", l.Given),
                ("theirs", l.Theirs),
                ("due_date", l.DueDate),
                ("decision_method", facts.DecisionOf(l.Id)?.MethodId),
                ("decision_at", facts.DecisionOf(l.Id)?.At),
                ("decision_price_micros", facts.DecisionOf(l.Id)?.TypedPrice),
                ("decision_why", facts.DecisionOf(l.Id)?.Why ?? ""),
            ]
        );
        connection.Replace(
            "order_size",
            "order_id",
            o.Id,
            [.. ask.Lines.SelectMany(l => l.Sizes.Select(s => (l.Id, s)))],
            x => [("line_id", x.Id), ("size", x.s.Size), ("pieces", x.s.Pieces)]
        );
        connection.Replace(
            "placement",
            "order_id",
            o.Id,
            [.. ask.Lines.SelectMany(l => l.Placements.Select(p => (l.Id, p)))],
            x =>
                [
                    ("line_id", x.Id),
                    ("id", x.p.Id),
                    ("place", x.p.Place),
                    ("width_in", x.p.WidthIn),
                    ("height_in", x.p.HeightIn),
                    ("coverage_percent", x.p.CoveragePercent),
                    ("colours", x.p.Colours),
                    ("gradient", x.p.Gradient),
                    ("thinnest_line_pt", x.p.ThinnestLinePt),
                    ("design_id", x.p.DesignId),
                    ("by_size", x.p.BySize),
                    ("own", x.p.Own),
                    ("stitches", x.p.Stitches),
                    ("on_top_of", x.p.OnTopOf),
                    ("finish", x.p.Finish),
                ]
        );
        connection.Replace(
            "placement_cut",
            "order_id",
            o.Id,
            [
                .. ask.Lines.SelectMany(l =>
                    l.Placements.SelectMany(p => (p.Cuts?.Colours ?? []).Select(c => (l.Id, Placement: p.Id, c)))
                ),
            ],
            x =>
                [
                    ("line_id", x.Id),
                    ("placement_id", x.Placement),
                    ("hex", x.c.Hex),
                    ("width_share", x.c.WidthShare),
                    ("height_share", x.c.HeightShare),
                    ("paint_share", x.c.PaintShare),
                ]
        );
        connection.Replace(
            "order_own",
            "order_id",
            o.Id,
            [.. ask.Lines.SelectMany(l => (l.Names ?? []).Select(n => (l.Id, n)))],
            x => [("line_id", x.Id), ("size", x.n.Size), ("name", x.n.Name), ("number", x.n.Number)]
        );
        connection.Replace("gather_item", "order_id", o.Id, facts.Items, i =>
            [
                ("id", i.Id),
                ("kind", i.Kind),
                ("text", i.Text),
                ("supplier", i.Supplier),
                ("quantity", i.Quantity),
                ("unit", i.Unit),
                ("cost_micros", i.Cost),
                ("expected", i.Expected),
                ("done_at", i.DoneAt),
            ]
        );
        connection.Replace("order_part", "order_id", o.Id, facts.Parts ?? [], p =>
            [("taken_by", p.To), ("at", p.At), ("money_micros", p.Taken)]
        );
        connection.Replace(
            "order_part_piece",
            "order_id",
            o.Id,
            [.. (facts.Parts ?? []).SelectMany((p, i) => p.Pieces.Select(c => (i, c)))],
            x => [("part", x.i), ("line_id", x.c.LineId), ("size", x.c.Size), ("pieces", x.c.Pieces)]
        );
        connection.Replace("order_offer", "order_id", o.Id, facts.Offered ?? [], w =>
            [("line_id", w.LineId), ("method_id", w.MethodId)]
        );
        connection.Replace("order_risk", "order_id", o.Id, facts.Risks ?? [], r =>
            [("line_id", r.LineId), ("accepted_by", r.AcceptedBy), ("spot_tested", r.SpotTested), ("at", r.At)]
        );
        connection.Replace("order_attachment", "order_id", o.Id, facts.Attached ?? [], a =>
            [("id", a.Id), ("name", a.Name), ("hash", a.Hash), ("bytes", a.Bytes), ("at", a.At)]
        );
        connection.Replace("order_pressed", "order_id", o.Id, facts.Pressed ?? [], p =>
            [("line_id", p.LineId), ("press_id", p.PressId)]
        );
        connection.Replace("order_remnant", "order_id", o.Id, facts.Remnants ?? [], r =>
            [
                ("line_id", r.LineId),
                ("placement_id", r.PlacementId),
                ("layer", r.Layer),
                ("remnant_id", r.RemnantId),
                ("vinyl_id", r.VinylId),
                ("width_in", r.WidthIn),
                ("length_in", r.LengthIn),
            ]
        );
        connection.Replace("order_drawer", "order_id", o.Id, facts.Drawer ?? [], d =>
            [("line_id", d.LineId), ("key", d.Key), ("kept_id", d.KeptId), ("pieces", d.Count), ("film_id", d.FilmId)]
        );
        connection.Replace("order_joined", "order_id", o.Id, facts.Joined ?? [], j =>
            [("line_id", j.LineId), ("with_order", j.WithOrder), ("with_code", j.WithCode)]
        );
        connection.Replace("order_last", "order_id", o.Id, facts.LastTimes ?? [], l =>
            [("line_id", l.LineId), ("code", l.Code), ("method_id", l.MethodId), ("price_micros", l.Each), ("at", l.At)]
        );
        LayoutStore.Write(connection, o.Id, facts.Layouts ?? []);
        connection.Replace("order_move", "order_id", o.Id, facts.Moves ?? [], m =>
            [("line_id", m.LineId), ("press_id", m.PressId), ("from_wall", m.From)]
        );
        connection.Replace("order_counted", "order_id", o.Id, facts.Counted, s =>
            [("line_id", s.LineId), ("size", s.Size), ("pieces", s.Pieces)]
        );
    }
}
