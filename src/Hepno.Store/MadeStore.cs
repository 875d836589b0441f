using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Core.Stock;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What sent quotes make of which artwork by screens or stitches.</summary>
public static class MadeStore
{
    /// <summary>Keeps what a quote makes, each artwork with the picture it has now; one that is no longer kept is left
    /// out.</summary>
    public static void Put(SqliteConnection connection, QuoteId quoteId, IEnumerable<QuotedDesign> designs)
    {
        foreach (var d in designs)
        {
            connection.Execute(
                "INSERT INTO quote_design SELECT @quote, id, hash, @maker, @width, @height, @screens FROM "
                    + "artwork WHERE id = @design",
                ("@quote", quoteId),
                ("@design", d.DesignId),
                ("@maker", d.MakerId),
                ("@width", d.WidthIn),
                ("@height", d.HeightIn),
                ("@screens", d.Screens)
            );
        }
    }

    /// <summary>What other orders made of an order's artwork, each with the last time its run began; an artwork whose
    /// picture has changed since was not made.</summary>
    public static IReadOnlyList<MadeBefore> Before(SqliteConnection connection, OrderId orderId)
    {
        var zone = SettingsStore.TimeZone(connection);
        return connection.Query(
            """
            SELECT d.design_id, d.maker_id, d.width_in, d.height_in, d.screens, max(o.run_started_at) AS last
            FROM quote_design d JOIN quote q ON q.id = d.quote_id JOIN orders o ON o.id = q.order_id
              JOIN artwork a ON a.id = d.design_id AND a.hash = d.hash
            WHERE d.design_id IN (SELECT design_id FROM placement WHERE order_id = @id)
              AND q.order_id <> @id AND q.withdrawn_at IS NULL AND o.run_started_at IS NOT NULL
            GROUP BY d.design_id, d.maker_id, d.width_in, d.height_in, d.screens
            """,
            r => new MadeBefore(
                r.Id<DesignId>("design_id"),
                r.Id<ThingId>("maker_id"),
                r.Real("width_in"),
                r.Real("height_in"),
                r.Int("screens"),
                WallClock.Day(r.Utc("last"), zone)
            ),
            ("@id", orderId)
        );
    }
}
