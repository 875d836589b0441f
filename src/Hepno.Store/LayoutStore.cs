using Hepno.Core.Gang;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Layouts settled for lines, kept with their order.</summary>
internal static class LayoutStore
{
    /// <summary>The layouts of some orders, by order.</summary>
    /// <param name="connection">The database.</param>
    /// <param name="inside">Which orders: a condition on order_id.</param>
    /// <param name="values">Its values.</param>
    public static ILookup<OrderId, LineLayout> Of(
        SqliteConnection connection,
        string inside,
        params ReadOnlySpan<(string, object?)> values
    )
    {
        var designs = connection
            .Query(
                $"SELECT * FROM order_layout_design WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: (r.Id<OrderId>("order_id"), r.Id<LineId>("line_id")),
                        Value: new LaidDesign(r.Text("key"), r.Real("width_in"), r.Real("height_in"), r.Int("needed"))
                        {
                            Extra = r.Int("extra"),
                            MayTurn = r.Flag("may_turn"),
                            For = r.Id<OrderId>("for_order"),
                            Cover = r.Real("cover"),
                        }
                    ),
                values
            )
            .ToLookup(d => d.Of, d => d.Value);
        var copies = connection
            .Query(
                $"SELECT * FROM order_layout_copy WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: (r.Id<OrderId>("order_id"), r.Id<LineId>("line_id")),
                        Value: new LaidCopy(
                            r.Text("key"),
                            r.Int("sheet"),
                            r.Real("x_in"),
                            r.Real("y_in"),
                            r.Flag("turned"),
                            Pinned: r.Flag("pinned")
                        )
                    ),
                values
            )
            .ToLookup(c => c.Of, c => c.Value);
        return connection
            .Query(
                $"SELECT * FROM order_layout WHERE {inside} ORDER BY order_id, position",
                r =>
                    (
                        Of: r.Id<OrderId>("order_id"),
                        Line: r.Id<LineId>("line_id"),
                        FilmId: r.Text("film_id"),
                        On: r.Text("on_key"),
                        Seed: r.Int("seed"),
                        Steps: r.Int("steps")
                    ),
                values
            )
            .ToLookup(
                l => l.Of,
                l => new LineLayout(
                    l.Line,
                    new ThingId(l.FilmId),
                    l.On,
                    [.. designs[(l.Of, l.Line)]],
                    [.. copies[(l.Of, l.Line)]],
                    l.Seed,
                    l.Steps
                )
            );
    }

    public static void Write(SqliteConnection connection, OrderId orderId, IReadOnlyList<LineLayout> layouts)
    {
        connection.Replace("order_layout", "order_id", orderId, layouts, l =>
            [("line_id", l.LineId), ("film_id", l.FilmId), ("on_key", l.On), ("seed", l.Seed), ("steps", l.Steps)]
        );
        connection.Replace(
            "order_layout_design",
            "order_id",
            orderId,
            [.. layouts.SelectMany(l => l.Designs.Select(d => (l.LineId, d)))],
            x =>
                [
                    ("line_id", x.LineId),
                    ("key", x.d.Key),
                    ("width_in", x.d.WidthIn),
                    ("height_in", x.d.HeightIn),
                    ("needed", x.d.Needed),
                    ("extra", x.d.Extra),
                    ("may_turn", x.d.MayTurn),
                    ("for_order", x.d.For),
                    ("cover", x.d.Cover),
                ]
        );
        connection.Replace(
            "order_layout_copy",
            "order_id",
            orderId,
            [.. layouts.SelectMany(l => l.Copies.Select(c => (l.LineId, c)))],
            x =>
                [
                    ("line_id", x.LineId),
                    ("key", x.c.Key),
                    ("sheet", x.c.Sheet),
                    ("x_in", x.c.X),
                    ("y_in", x.c.Y),
                    ("turned", x.c.Turned),
                    ("pinned", x.c.Pinned),
                ]
        );
    }
}
