using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Transfer papers.</summary>
internal static class PaperStore
{
    public static Aggregate<TransferPaper> Aggregate() => new("paper", "paper", Load, p => p.Id.Text, Write);

    private static List<Versioned<TransferPaper>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM paper WHERE {Rows.Only(id, "id")} ORDER BY product",
            r => new Versioned<TransferPaper>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    r.Text("product"),
                    r.Word<PaperKind>("kind"),
                    r.Real("sheet_width_in"),
                    r.Real("sheet_height_in"),
                    MarginIn: r.Real("margin_in"),
                    r.Real("marks_in"),
                    BleedIn: r.Real("bleed_in"),
                    r.Money("sheet_micros"),
                    FreightPerOrder: r.Money("freight_micros"),
                    r.Int("lead_days")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, TransferPaper p, long version) =>
        connection.Put(
            "paper",
            1,
            ("id", p.Id),
            ("version", version),
            ("supplier", p.Supplier),
            ("product", p.Product),
            ("kind", p.Kind),
            ("sheet_width_in", p.SheetWidthIn),
            ("sheet_height_in", p.SheetHeightIn),
            ("margin_in", p.MarginIn),
            ("marks_in", p.MarksIn),
            ("bleed_in", p.BleedIn),
            ("sheet_micros", p.SheetPrice),
            ("freight_micros", p.FreightPerOrder),
            ("lead_days", p.LeadDays)
        );
}
