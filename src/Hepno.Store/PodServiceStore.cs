using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Services that print on demand.</summary>
internal static class PodServiceStore
{
    public static Aggregate<PodService> Aggregate() => new("pod-service", "pod_service", Load, s => s.Id.Text, Write);

    private static List<Versioned<PodService>> Load(SqliteConnection connection, string? id)
    {
        var prices = Prices(connection, id);
        return connection.Query(
            $"SELECT * FROM pod_service WHERE {Rows.Only(id, "id")} ORDER BY supplier",
            r => new Versioned<PodService>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    [.. prices[r.Text("id")]],
                    r.Money("further_micros"),
                    PostageFirst: r.Money("postage_first_micros"),
                    r.Money("postage_further_micros"),
                    r.Int("making_days"),
                    TransitDays: r.Int("transit_days"),
                    r.Real("order_minutes"),
                    MostWidthIn: r.Real("most_width_in"),
                    r.Real("most_height_in")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, PodPrice> Prices(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM pod_price WHERE {Rows.Only(id, "service_id")} ORDER BY service_id, position",
                r =>
                    (
                        Of: r.Text("service_id"),
                        Value: new PodPrice(r.Word<GarmentKind>("kind"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(p => p.Of, p => p.Value);

    private static void Write(SqliteConnection connection, PodService s, long version)
    {
        connection.Put(
            "pod_service",
            1,
            ("id", s.Id),
            ("version", version),
            ("supplier", s.Supplier),
            ("further_micros", s.FurtherPlacement),
            ("postage_first_micros", s.PostageFirst),
            ("postage_further_micros", s.PostageFurther),
            ("making_days", s.MakingDays),
            ("transit_days", s.TransitDays),
            ("order_minutes", s.OrderMinutes),
            ("most_width_in", s.MostWidthIn),
            ("most_height_in", s.MostHeightIn)
        );
        connection.Replace("pod_price", "service_id", s.Id, s.Prices, p =>
            [("kind", p.Kind), ("price_micros", p.Price)]
        );
    }
}
