using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Cutters.</summary>
internal static class CutterStore
{
    public static Aggregate<Cutter> Aggregate() => new("cutter", "cutter", Load, c => c.Id.Text, Write);

    private static List<Versioned<Cutter>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM cutter WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<Cutter>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("cut_width_in"),
                    SpeedIn2PerMinute: r.Real("speed_in2_minute"),
                    r.Equipment(),
                    r.Text("cautions")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, Cutter c, long version) =>
        connection.Put(
            "cutter",
            1,
            [
                ("id", c.Id),
                ("version", version),
                ("name", c.Name),
                ("cut_width_in", c.CutWidthIn),
                ("speed_in2_minute", c.SpeedIn2PerMinute),
                .. EquipmentColumns.Of(c.Equipment),
                ("cautions", c.Cautions),
            ]
        );
}
