using Hepno.Core.Stock;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Pieces of vinyl that were left over.</summary>
public static class RemnantStore
{
    internal static Aggregate<VinylRemnant> Aggregate() => new("remnant", "remnant", Load, v => v.Id.Text, Write);

    private static List<Versioned<VinylRemnant>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM remnant WHERE {Rows.Only(id, "id")} ORDER BY colour, since",
            r => new Versioned<VinylRemnant>(
                new(
                    r.Id<RemnantId>("id"),
                    VinylId: r.Id<ThingId>("vinyl_id"),
                    r.Text("colour"),
                    r.Real("width_in"),
                    r.Real("length_in"),
                    r.Day("since"),
                    r.Text("from_order"),
                    r.Flag("gone")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, VinylRemnant v, long version) =>
        connection.Put(
            "remnant",
            1,
            ("id", v.Id),
            ("version", version),
            ("vinyl_id", v.VinylId),
            ("colour", v.Colour),
            ("width_in", v.WidthIn),
            ("length_in", v.LengthIn),
            ("since", v.Since),
            ("from_order", v.From),
            ("gone", v.IsGone)
        );

    /// <summary>Which pieces orders use, with each order's number: it follows from the orders as they stand, and a line
    /// made otherwise by now uses none.</summary>
    public static List<(
        RemnantId RemnantId,
        OrderId OrderId,
        LineId LineId,
        PlacementId PlacementId,
        int Layer,
        int Number
    )> Uses(SqliteConnection connection) =>
        connection.Query(
            "SELECT u.*, o.number FROM order_remnant u JOIN orders o ON o.id = u.order_id JOIN order_line l ON "
                + "l.order_id = u.order_id AND l.id = u.line_id WHERE l.decision_method = @method ORDER BY o.number",
            r =>
                (
                    r.Id<RemnantId>("remnant_id"),
                    r.Id<OrderId>("order_id"),
                    r.Id<LineId>("line_id"),
                    r.Id<PlacementId>("placement_id"),
                    r.Int("layer"),
                    r.Int("number")
                ),
            ("@method", Core.Methods.Htv.Key)
        );
}
