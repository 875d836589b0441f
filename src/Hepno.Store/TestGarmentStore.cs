using Hepno.Core.Recipes;

namespace Hepno.Store;

/// <summary>The shelf of test garments.</summary>
internal static class TestGarmentStore
{
    public static Aggregate<TestGarment> Aggregate() =>
        new(
            "test-garment",
            "test_garment",
            (connection, id) =>
                connection.Query(
                    $"SELECT * FROM test_garment WHERE {Rows.Only(id, "id")} ORDER BY fabric, name",
                    r => new Versioned<TestGarment>(
                        new(
                            r.Id<TestGarmentId>("id"),
                            Name: r.Text("name"),
                            r.Text("fabric"),
                            r.Int("pieces"),
                            r.Text("note")
                        ),
                        r.Long("version")
                    ),
                    ("@id", id)
                ),
            g => g.Id.Text,
            (connection, g, version) =>
                connection.Put(
                    "test_garment",
                    1,
                    ("id", g.Id),
                    ("version", version),
                    ("name", g.Name),
                    ("fabric", g.Fabric),
                    ("pieces", g.Pieces),
                    ("note", g.Note)
                )
        );
}
