using Hepno.Core.Stock;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Transfers kept on hand.</summary>
internal static class KeptPrintStore
{
    public static Aggregate<KeptPrint> Aggregate() => new("kept-print", "kept_print", Load, k => k.Id.Text, Write);

    private static List<Versioned<KeptPrint>> Load(SqliteConnection connection, string? id)
    {
        var lots = Lots(connection, id);
        return connection.Query(
            $"SELECT * FROM kept_print WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<KeptPrint>(
                new(
                    r.Id<KeptPrintId>("id"),
                    Name: r.Text("name"),
                    r.Real("width_in"),
                    r.Real("height_in"),
                    r.IdOrNull<DesignId>("design_id"),
                    r.Id<ThingId>("product_id"),
                    r.Int("keep"),
                    GoodDays: r.Int("good_days"),
                    [.. lots[r.Text("id")]]
                ),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, PrintLot> Lots(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM kept_print_lot WHERE {Rows.Only(id, "kept_id")} ORDER BY kept_id, position",
                r =>
                    (
                        Of: r.Text("kept_id"),
                        Value: new PrintLot(r.Int("pieces"), r.Day("on_date"), r.Text("order_code"))
                    ),
                ("@id", id)
            )
            .ToLookup(l => l.Of, l => l.Value);

    private static void Write(SqliteConnection connection, KeptPrint k, long version)
    {
        connection.Put(
            "kept_print",
            1,
            ("id", k.Id),
            ("version", version),
            ("name", k.Name),
            ("width_in", k.WidthIn),
            ("height_in", k.HeightIn),
            ("design_id", k.DesignId),
            ("product_id", k.ProductId),
            ("keep", k.Keep),
            ("good_days", k.GoodDays)
        );
        connection.Replace("kept_print_lot", "kept_id", k.Id, k.Lots, l =>
            [("pieces", l.Count), ("on_date", l.On), ("order_code", l.Order)]
        );
    }
}
