using Hepno.Core.Gang;
using Hepno.Core.Orders;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What has happened to orders.</summary>
internal sealed class FactRows(OrderRows rows)
{
    private static readonly OrderTable<OfferedWay> Offers = new(
        "order_offer",
        r => new(r.Id<LineId>("line_id"), r.Id<MethodId>("method_id")),
        w => [("line_id", w.LineId), ("method_id", w.MethodId)]
    );

    private static readonly OrderTable<LastTime> LastTimes = new(
        "order_last",
        r =>
            new(
                r.Id<LineId>("line_id"),
                r.Text("code"),
                r.Id<MethodId>("method_id"),
                r.Money("price_micros"),
                r.Utc("at")
            ),
        l =>
            [("line_id", l.LineId), ("code", l.Code), ("method_id", l.MethodId), ("price_micros", l.Each), ("at", l.At)]
    );

    private static readonly OrderTable<FromDrawer> Drawer = new(
        "order_drawer",
        r =>
            new(
                r.Id<LineId>("line_id"),
                r.Text("key"),
                KeptId: r.Id<KeptPrintId>("kept_id"),
                r.Int("pieces"),
                r.Id<ThingId>("film_id")
            ),
        d => [("line_id", d.LineId), ("key", d.Key), ("kept_id", d.KeptId), ("pieces", d.Count), ("film_id", d.FilmId)]
    );

    private static readonly OrderTable<JoinedFilm> Joined = new(
        "order_joined",
        r => new(r.Id<LineId>("line_id"), r.Id<OrderId>("with_order"), r.Text("with_code")),
        j => [("line_id", j.LineId), ("with_order", j.WithOrder), ("with_code", j.WithCode)]
    );

    private static readonly OrderTable<FromRemnant> Remnants = new(
        "order_remnant",
        r =>
            new(
                r.Id<LineId>("line_id"),
                r.Id<PlacementId>("placement_id"),
                r.Int("layer"),
                r.Id<RemnantId>("remnant_id"),
                VinylId: r.Id<ThingId>("vinyl_id"),
                r.Real("width_in"),
                r.Real("length_in")
            ),
        x =>
            [
                ("line_id", x.LineId),
                ("placement_id", x.PlacementId),
                ("layer", x.Layer),
                ("remnant_id", x.RemnantId),
                ("vinyl_id", x.VinylId),
                ("width_in", x.WidthIn),
                ("length_in", x.LengthIn),
            ]
    );

    private static readonly OrderTable<RiskTaken> Risks = new(
        "order_risk",
        r => new(r.Id<LineId>("line_id"), r.Text("accepted_by"), r.Flag("spot_tested"), r.Utc("at")),
        x => [("line_id", x.LineId), ("accepted_by", x.AcceptedBy), ("spot_tested", x.SpotTested), ("at", x.At)]
    );

    private static readonly OrderTable<GatherItem> Items = new(
        "gather_item",
        r =>
            new(
                r.Text("id"),
                r.Word<GatherKind>("kind"),
                r.Text("text"),
                r.Text("supplier"),
                r.Real("quantity"),
                r.Text("unit"),
                r.Money("cost_micros"),
                r.Wall("expected"),
                r.UtcOrNull("done_at")
            ),
        i =>
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

    private static readonly OrderTable<PressedOn> Pressed = new(
        "order_pressed",
        r => new(r.Id<LineId>("line_id"), r.Id<PressId>("press_id")),
        p => [("line_id", p.LineId), ("press_id", p.PressId)]
    );

    private static readonly OrderTable<MovedLine> Moves = new(
        "order_move",
        r => new(r.Id<LineId>("line_id"), r.Id<PressId>("press_id"), r.Wall("from_wall")),
        m => [("line_id", m.LineId), ("press_id", m.PressId), ("from_wall", m.From)]
    );

    private static readonly OrderTable<CountedSize> Counted = new("order_counted", Size, Columns);

    // without its pieces, which have rows of their own
    private static readonly OrderTable<PartDelivery> Parts = new(
        "order_part",
        r => new(r.Text("taken_by"), r.Utc("at"), r.Money("money_micros"), []),
        p => [("taken_by", p.To), ("at", p.At), ("money_micros", p.Taken)]
    );

    private static readonly OrderTable<(int Part, CountedSize Size)> PartPieces = new(
        "order_part_piece",
        r => (r.Int("part"), Size(r)),
        x => [("part", x.Part), .. Columns(x.Size)]
    );

    private static readonly OrderTable<Attachment> Attached = new(
        "order_attachment",
        r => new(r.Text("id"), Name: r.Text("name"), r.Text("hash"), r.Long("bytes"), r.Utc("at")),
        a => [("id", a.Id), ("name", a.Name), ("hash", a.Hash), ("bytes", a.Bytes), ("at", a.At)]
    );

    private readonly ILookup<OrderId, OfferedWay> offers = rows.Of(Offers);
    private readonly ILookup<OrderId, LastTime> lastTimes = rows.Of(LastTimes);
    private readonly ILookup<OrderId, LineLayout> layouts = rows.Layouts();
    private readonly ILookup<OrderId, FromDrawer> drawer = rows.Of(Drawer);
    private readonly ILookup<OrderId, JoinedFilm> joined = rows.Of(Joined);
    private readonly ILookup<OrderId, FromRemnant> remnants = rows.Of(Remnants);
    private readonly ILookup<OrderId, RiskTaken> risks = rows.Of(Risks);
    private readonly ILookup<OrderId, GatherItem> items = rows.Of(Items);
    private readonly ILookup<OrderId, PressedOn> pressed = rows.Of(Pressed);
    private readonly ILookup<OrderId, MovedLine> moves = rows.Of(Moves);
    private readonly ILookup<OrderId, CountedSize> counted = rows.Of(Counted);
    private readonly ILookup<OrderId, PartDelivery> parts = rows.Of(Parts);
    private readonly ILookup<OrderId, (int Part, CountedSize Size)> partPieces = rows.Of(PartPieces);
    private readonly ILookup<OrderId, Attachment> attached = rows.Of(Attached);

    /// <summary>What has happened to the order under the reader.</summary>
    public OrderFacts Of(Rows.Row r, IReadOnlyList<Decision> decisions)
    {
        var id = r.Id<OrderId>("id");
        return new(
            new(decisions, [.. offers[id]], [.. lastTimes[id]]),
            new(r.UtcOrNull("laid_out_at"), [.. layouts[id]], [.. drawer[id]], [.. joined[id]], [.. remnants[id]]),
            new(Approval(r), Deposit(r), [.. risks[id]], [.. items[id]]),
            new(r.UtcOrNull("run_started_at"), [.. pressed[id]], [.. moves[id]]),
            new([.. counted[id]], [.. parts[id].Select((p, at) => p with { Pieces = PiecesOf(id, at) })], HandOver(r)),
            new(r.UtcOrNull("closed_at"), Ending(r)),
            [.. attached[id]]
        );
    }

    /// <summary>What of it stands in the order's own row.</summary>
    public static (string, object?)[] Columns(OrderFacts facts) =>
        [
            ("laid_out_at", facts.Layout.At),
            ("approved_by", facts.Gathering.Approval?.By),
            ("approved_at", facts.Gathering.Approval?.At),
            ("deposit_micros", facts.Gathering.Deposit?.Amount),
            ("deposit_override", facts.Gathering.Deposit?.OverrideReason),
            ("deposit_at", facts.Gathering.Deposit?.At),
            ("run_started_at", facts.Pressing.StartedAt),
            ("handed_to", facts.Sending.HandOver?.To),
            ("handed_at", facts.Sending.HandOver?.At),
            ("closed_at", facts.End.ClosedAt),
            ("ended_kind", facts.End.Ending?.Kind),
            ("ended_why", facts.End.Ending?.Why ?? ""),
            ("ended_to", facts.End.Ending?.ToWhom ?? ""),
            ("ended_their_price_micros", facts.End.Ending?.TheirPrice),
            ("ended_settled_micros", facts.End.Ending?.Settled ?? 0),
        ];

    /// <summary>Replaces what of it stands in rows of their own.</summary>
    public static void Write(SqliteConnection connection, OrderId id, OrderFacts facts)
    {
        Offers.Write(connection, id, facts.Choice.Offered);
        LastTimes.Write(connection, id, facts.Choice.LastTimes);
        LayoutStore.Write(connection, id, facts.Layout.Layouts);
        Drawer.Write(connection, id, facts.Layout.Drawer);
        Joined.Write(connection, id, facts.Layout.Joined);
        Remnants.Write(connection, id, facts.Layout.Remnants);
        Risks.Write(connection, id, facts.Gathering.Risks);
        Items.Write(connection, id, facts.Gathering.Items);
        Pressed.Write(connection, id, facts.Pressing.On);
        Moves.Write(connection, id, facts.Pressing.Moves);
        Counted.Write(connection, id, facts.Sending.Counted);
        Parts.Write(connection, id, facts.Sending.Parts);
        PartPieces.Write(connection, id, [.. facts.Sending.Parts.SelectMany((p, i) => p.Pieces.Select(c => (i, c)))]);
        Attached.Write(connection, id, facts.Attached);
    }

    private static CountedSize Size(Rows.Row r) => new(r.Id<LineId>("line_id"), r.Text("size"), r.Int("pieces"));

    private static (string, object?)[] Columns(CountedSize s) =>
        [("line_id", s.LineId), ("size", s.Size), ("pieces", s.Pieces)];

    private static Approval? Approval(Rows.Row r) =>
        r.TextOrNull("approved_by") is { } by ? new(by, r.Utc("approved_at")) : null;

    private static Deposit? Deposit(Rows.Row r) =>
        r.UtcOrNull("deposit_at") is { } at
            ? new(r.Money("deposit_micros"), r.TextOrNull("deposit_override"), at)
            : null;

    private static HandOver? HandOver(Rows.Row r) =>
        r.TextOrNull("handed_to") is { } to ? new(to, r.Utc("handed_at")) : null;

    private static Ending? Ending(Rows.Row r) =>
        r.TextOrNull("ended_kind") is null
            ? null
            : new(
                r.Word<EndKind>("ended_kind"),
                r.Text("ended_why"),
                ToWhom: r.Text("ended_to"),
                r.MoneyOrNull("ended_their_price_micros"),
                Settled: r.Money("ended_settled_micros"),
                r.Utc("closed_at")
            );

    private List<CountedSize> PiecesOf(OrderId id, int part) =>
        [.. partPieces[id].Where(p => p.Part == part).Select(p => p.Size)];
}
