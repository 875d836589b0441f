using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Vinyl rolls.</summary>
internal static class VinylStore
{
    public static Aggregate<VinylFilm> Aggregate() => new("vinyl", "vinyl", Load, v => v.Id.Text, Write);

    private static List<Versioned<VinylFilm>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM vinyl WHERE {Rows.Only(id, "id")} ORDER BY product",
            r => new Versioned<VinylFilm>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    r.Text("product"),
                    r.Real("usable_width_in"),
                    r.Money("price_foot_micros"),
                    r.Real("weeding_margin_in"),
                    r.Money("freight_micros"),
                    r.Int("lead_days")
                )
                {
                    SharedMargin = r.Flag("shared_margin"),
                    Blocks = r.Flag("blocks"),
                    Finish = r.Word<VinylFinish>("finish"),
                },
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, VinylFilm v, long version) =>
        connection.Put(
            "vinyl",
            1,
            ("id", v.Id),
            ("version", version),
            ("supplier", v.Supplier),
            ("product", v.Product),
            ("usable_width_in", v.UsableWidthIn),
            ("price_foot_micros", v.PricePerFoot),
            ("weeding_margin_in", v.WeedingMarginIn),
            ("freight_micros", v.FreightPerOrder),
            ("lead_days", v.LeadDays),
            ("shared_margin", v.SharedMargin),
            ("blocks", v.Blocks),
            ("finish", v.Finish)
        );
}
