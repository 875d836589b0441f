using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What printers take and what is in them.</summary>
internal static class SuppliesStore
{
    public static Aggregate<PrinterSupplies> Aggregate() => new("supplies", "supplies", Load, s => s.Id.Text, Write);

    private static List<Versioned<PrinterSupplies>> Load(SqliteConnection connection, string? id)
    {
        var takes = Takes(connection, id);
        var slots = connection
            .Query(
                $"SELECT * FROM supplies_slot WHERE {Rows.Only(id, "supplies_id")} ORDER BY supplies_id, position",
                r =>
                    (
                        Of: r.Text("supplies_id"),
                        Value: new SupplySlot(
                            r.Word<Supply>("supply"),
                            [.. takes[(r.Text("supplies_id"), r.Word<Supply>("supply"))]],
                            r.Real("full_at"),
                            LowAt: r.Real("low_at")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);
        var loadings = Loadings(connection, id);
        return connection.Query(
            $"SELECT * FROM supplies WHERE {Rows.Only(id, "id")} ORDER BY id",
            r => new Versioned<PrinterSupplies>(
                new(r.Id<ThingId>("id"), [.. slots[r.Text("id")]], [.. loadings[r.Text("id")]]),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<(string, Supply), string> Takes(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM supplies_takes WHERE {Rows.Only(id, "supplies_id")} ORDER BY "
                    + "supplies_id, position",
                r => (Of: (r.Text("supplies_id"), r.Word<Supply>("supply")), Product: r.Text("product")),
                ("@id", id)
            )
            .ToLookup(t => t.Of, t => t.Product);

    private static ILookup<string, Loading> Loadings(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM supplies_loading WHERE {Rows.Only(id, "supplies_id")} ORDER BY "
                    + "supplies_id, position",
                r =>
                    (
                        Of: r.Text("supplies_id"),
                        Value: new Loading(
                            r.Word<Supply>("supply"),
                            r.Text("product"),
                            Lot: r.Text("lot"),
                            r.Wall("at_wall"),
                            r.Real("level"),
                            r.Text("by_whom")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(l => l.Of, l => l.Value);

    private static void Write(SqliteConnection connection, PrinterSupplies s, long version)
    {
        connection.Put("supplies", 1, ("id", s.Id), ("version", version));
        connection.Replace("supplies_slot", "supplies_id", s.Id, s.Slots, x =>
            [("supply", x.Supply), ("full_at", x.Full), ("low_at", x.LowAt)]
        );
        connection.Replace(
            "supplies_takes",
            "supplies_id",
            s.Id,
            [.. s.Slots.SelectMany(x => x.Takes.Select(t => (x.Supply, t)))],
            x => [("supply", x.Supply), ("product", x.t)]
        );
        connection.Replace("supplies_loading", "supplies_id", s.Id, s.Loadings, l =>
            [
                ("supply", l.Supply),
                ("product", l.Product),
                ("lot", l.Lot),
                ("at_wall", l.At),
                ("level", l.Level),
                ("by_whom", l.By),
            ]
        );
    }
}
