using System.Text.Json;
using Hepno.Core.Methods;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What orders use of the pieces of vinyl that were left over.</summary>
public static class RemnantUses
{
    private static readonly string Ways = JsonSerializer.Serialize(
        DecorationMethods.All.Where(m => m.UsesPieces).Select(m => m.Id.Text)
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
    )> Of(SqliteConnection connection) =>
        connection.Query(
            "SELECT u.*, o.number FROM order_remnant u JOIN orders o ON o.id = u.order_id JOIN order_line l ON "
                + "l.order_id = u.order_id AND l.id = u.line_id WHERE l.decision_method IN (SELECT value FROM "
                + "json_each(@methods)) ORDER BY o.number",
            r =>
                (
                    r.Id<RemnantId>("remnant_id"),
                    r.Id<OrderId>("order_id"),
                    r.Id<LineId>("line_id"),
                    r.Id<PlacementId>("placement_id"),
                    r.Int("layer"),
                    r.Int("number")
                ),
            ("@methods", Ways)
        );
}
