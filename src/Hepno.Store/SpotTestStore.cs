using Hepno.Core.Recipes;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Spot tests with what washes showed.</summary>
internal static class SpotTestStore
{
    public static Aggregate<SpotTest> Aggregate() => new("spot-test", "spot_test", Load, t => t.Id.Text, Write);

    private static List<Versioned<SpotTest>> Load(SqliteConnection connection, string? id)
    {
        var washes = Washes(connection, id);
        var photos = Photos(connection, id);
        return connection.Query(
            $"SELECT * FROM spot_test WHERE {Rows.Only(id, "id")} ORDER BY day DESC, id",
            r => new Versioned<SpotTest>(
                new(
                    r.Id<SpotTestId>("id"),
                    ProductId: r.Id<ThingId>("product_id"),
                    r.Id<StyleId>("style_id"),
                    r.Id<ColourwayId>("colourway_id"),
                    r.Real("temperature_f"),
                    DwellSeconds: r.Real("dwell_seconds"),
                    r.Text("pressure"),
                    r.Day("day"),
                    r.Text("by_whom"),
                    r.Flag("sticks"),
                    Scorched: r.Flag("scorched"),
                    r.Word<Bleeding>("bleeding"),
                    r.Text("feel"),
                    Note: r.Text("note")
                )
                {
                    Washes = [.. washes[r.Text("id")]],
                    GarmentId = r.Id<TestGarmentId>("garment_id"),
                    Photos = [.. photos[r.Text("id")]],
                },
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, WashResult> Washes(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM spot_test_wash WHERE {Rows.Only(id, "spot_test_id")} ORDER BY "
                    + "spot_test_id, position",
                r =>
                    (
                        Of: r.Text("spot_test_id"),
                        Value: new WashResult(r.Day("day"), r.Int("washes"), r.Word<WashVerdict>("verdict"))
                    ),
                ("@id", id)
            )
            .ToLookup(w => w.Of, w => w.Value);

    private static ILookup<string, TestPhoto> Photos(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM spot_test_photo WHERE {Rows.Only(id, "spot_test_id")} ORDER BY "
                    + "spot_test_id, position",
                r =>
                    (
                        Of: r.Text("spot_test_id"),
                        Value: new TestPhoto(r.Text("photo_id"), Hash: r.Text("hash"), r.Int("washes"))
                    ),
                ("@id", id)
            )
            .ToLookup(p => p.Of, p => p.Value);

    private static void Write(SqliteConnection connection, SpotTest t, long version)
    {
        connection.Put(
            "spot_test",
            1,
            ("id", t.Id),
            ("version", version),
            ("product_id", t.ProductId),
            ("style_id", t.StyleId),
            ("colourway_id", t.ColourwayId),
            ("temperature_f", t.TemperatureF),
            ("dwell_seconds", t.DwellSeconds),
            ("pressure", t.Pressure),
            ("day", t.Day),
            ("by_whom", t.By),
            ("sticks", t.Sticks),
            ("scorched", t.Scorched),
            ("bleeding", t.Bleeding),
            ("feel", t.Feel),
            ("note", t.Note),
            ("garment_id", t.GarmentId)
        );
        connection.Replace("spot_test_photo", "spot_test_id", t.Id, t.Photos, p =>
            [("photo_id", p.Id), ("hash", p.Hash), ("washes", p.Washes)]
        );
        connection.Replace("spot_test_wash", "spot_test_id", t.Id, t.Washes, w =>
            [("day", w.Day), ("washes", w.Washes), ("verdict", w.Verdict)]
        );
    }
}
