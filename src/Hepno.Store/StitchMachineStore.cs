using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Own embroidery machines.</summary>
internal static class StitchMachineStore
{
    public static Aggregate<StitchMachine> Aggregate() =>
        new("stitch-machine", "stitch_machine", Load, m => m.Id.Text, Write);

    private static List<Versioned<StitchMachine>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM stitch_machine WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<StitchMachine>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("stitches_minute"),
                    r.Int("heads"),
                    Needles: r.Int("needles"),
                    r.Real("hoop_width_in"),
                    r.Real("hoop_height_in"),
                    r.Flag("takes_caps"),
                    r.Money("thread_thousand_micros"),
                    BackingPerPiece: r.Money("backing_micros"),
                    r.Money("digitising_micros"),
                    r.Equipment(),
                    r.Text("cautions")
                )
                {
                    AppliqueFilmPerIn2 = r.MoneyOrNull("applique_micros"),
                    ReachedShare = r.Real("reached_share"),
                    ColourChangeSeconds = r.Real("colour_change_seconds"),
                },
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, StitchMachine m, long version) =>
        connection.Put(
            "stitch_machine",
            1,
            [
                ("id", m.Id),
                ("version", version),
                ("name", m.Name),
                ("stitches_minute", m.StitchesPerMinute),
                ("heads", m.Heads),
                ("needles", m.Needles),
                ("hoop_width_in", m.HoopWidthIn),
                ("hoop_height_in", m.HoopHeightIn),
                ("takes_caps", m.TakesCaps),
                ("thread_thousand_micros", m.ThreadPerThousand),
                ("backing_micros", m.BackingPerPiece),
                ("digitising_micros", m.DigitisingPerDesign),
                .. EquipmentColumns.Of(m.Equipment),
                ("cautions", m.Cautions),
                ("applique_micros", m.AppliqueFilmPerIn2),
                ("reached_share", m.ReachedShare),
                ("colour_change_seconds", m.ColourChangeSeconds),
            ]
        );
}
