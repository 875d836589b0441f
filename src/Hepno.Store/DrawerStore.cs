using System.Globalization;
using Hepno.Core.Measures;
using Hepno.Core.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>
/// What lies in the drawer of transfers: what the shop counted into it, copies laid on top of an order's once its film
/// or paper is here, or printed, less what orders took out. It follows from the orders each time: whatever is ticked,
/// taken back or withdrawn, nothing is booked twice.
/// </summary>
public static class DrawerStore
{
    /// <summary>Identity of what is left over of an order's design.</summary>
    public static string IdOf(DesignId designId, double widthIn, double heightIn, ThingId productId) =>
        string.Create(CultureInfo.InvariantCulture, $"{designId} {widthIn:0.##}x{heightIn:0.##} {productId}");

    /// <summary>Everything in the drawer, by name; what the shop keeps is there when it is empty too.</summary>
    public static List<KeptPrint> All(SqliteConnection connection)
    {
        var zone = SettingsStore.TimeZone(connection);
        var kept = Aggregates.Of<KeptPrint>().All(connection).Select(k => k.Value).ToList();
        foreach (var more in Extra(connection, zone))
        {
            var at = kept.FindIndex(k =>
                k.Id == more.KeptId || k.Is(more.DesignId, more.WidthIn, more.HeightIn, more.FilmId)
            );
            if (at < 0 && more.DesignId is { } design)
            {
                kept.Add(
                    new(
                        new KeptPrintId(IdOf(design, more.WidthIn, more.HeightIn, more.FilmId)),
                        Aggregates.Designs.Get(connection, design.Text)?.Value.Name ?? design.Text,
                        more.WidthIn,
                        more.HeightIn,
                        design,
                        more.FilmId,
                        0,
                        GoodDays: KeptPrint.UsualDays,
                        []
                    )
                );
                at = kept.Count - 1;
            }
            if (at >= 0)
            {
                kept[at] = kept[at] with { Lots = [.. kept[at].Lots, new(more.Count, more.On, more.Order)] };
            }
        }
        foreach (var (keptId, count, on, order) in Uses(connection, zone))
        {
            var at = kept.FindIndex(k => k.Id == keptId);
            if (at >= 0)
            {
                kept[at] = kept[at] with { Lots = [.. kept[at].Lots, new(-count, on, order)] };
            }
        }
        return [.. kept.OrderBy(k => k.Name, StringComparer.Ordinal)];
    }

    /// <summary>How many of each are spoken for by open orders that have not taken them out yet.</summary>
    /// <param name="connection">The database.</param>
    /// <param name="exceptOrder">This order's own are not counted.</param>
    /// <param name="exceptLine">Nor only this line's of it.</param>
    public static Dictionary<KeptPrintId, int> SpokenFor(
        SqliteConnection connection,
        OrderId exceptOrder,
        LineId exceptLine
    ) =>
        connection
            .Query(
                "SELECT d.kept_id, d.pieces FROM order_drawer d JOIN orders o ON o.id = d.order_id LEFT JOIN "
                    + "gather_item g ON g.order_id = d.order_id AND g.id = 'drawer-' || d.key WHERE o.closed_at IS "
                    + "NULL AND g.done_at IS NULL AND NOT (d.order_id = @order AND d.line_id = @line)",
                r => (Kept: r.Id<KeptPrintId>("kept_id"), Count: r.Int("pieces")),
                ("@order", exceptOrder),
                ("@line", exceptLine)
            )
            .GroupBy(x => x.Kept)
            .ToDictionary(g => g.Key, g => g.Sum(x => x.Count));

    private static List<(
        KeptPrintId? KeptId,
        DesignId? DesignId,
        double WidthIn,
        double HeightIn,
        ThingId FilmId,
        int Count,
        LocalDate On,
        string Order
    )> Extra(SqliteConnection connection, string zone) =>
        connection.Query(
            """
            SELECT d.key, d.width_in, d.height_in, d.extra, l.film_id, o.number, max(g.done_at) AS done_at,
              (SELECT p.design_id FROM placement p WHERE p.order_id = d.order_id AND p.line_id = d.line_id
                AND (p.id = d.key OR substr(d.key, 1, length(p.id) + 1) = p.id || ' ')) AS design_id
            FROM order_layout_design d JOIN order_layout l ON l.order_id = d.order_id AND l.line_id = d.line_id
              JOIN orders o ON o.id = d.order_id
              JOIN gather_item g ON g.order_id = d.order_id AND g.done_at IS NOT NULL
              JOIN placement first ON first.order_id = d.order_id AND first.line_id = d.line_id
                AND (g.id IN ('film-layout-' || first.id, 'paper-' || first.id)
                  OR (g.id = 'prepare-' || first.id AND l.film_id IN (
                    SELECT id FROM thing WHERE kind = 'film-printer')))
            WHERE d.extra > 0 AND d.for_order = '' GROUP BY d.order_id, d.position ORDER BY done_at
            """,
            r =>
                (
                    r.Text("key").StartsWith("kept ", StringComparison.Ordinal)
                        ? new KeptPrintId(r.Text("key")["kept ".Length..])
                        : default(KeptPrintId?),
                    r.IdOrNull<DesignId>("design_id"),
                    r.Real("width_in"),
                    r.Real("height_in"),
                    r.Id<ThingId>("film_id"),
                    r.Int("extra"),
                    WallClock.Day(r.Utc("done_at"), zone),
                    $"T-{r.Int("number")}"
                )
        );

    private static List<(KeptPrintId KeptId, int Count, LocalDate On, string Order)> Uses(
        SqliteConnection connection,
        string zone
    ) =>
        connection.Query(
            "SELECT d.kept_id, d.pieces, g.done_at, o.number FROM order_drawer d JOIN orders o ON o.id = "
                + "d.order_id JOIN gather_item g ON g.order_id = d.order_id AND g.id = 'drawer-' || d.key WHERE "
                + "g.done_at IS NOT NULL ORDER BY g.done_at",
            r =>
                (
                    r.Id<KeptPrintId>("kept_id"),
                    r.Int("pieces"),
                    WallClock.Day(r.Utc("done_at"), zone),
                    $"T-{r.Int("number")}"
                )
        );
}
