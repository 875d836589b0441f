using System.Text.Json;
using System.Text.Json.Serialization;
using Hepno.Core.Orders;

namespace Hepno.Store;

/// <summary>Asks to begin from. A template's lines are kept as they were taken: nothing looks into them.</summary>
internal static class TemplateStore
{
    private static readonly JsonSerializerOptions Json = new() { Converters = { new JsonStringEnumConverter() } };

    public static Aggregate<AskTemplate> Aggregate() =>
        new(
            "template",
            "template",
            (connection, id) =>
            {
                var places = PlaceStore.Book(connection);
                return connection.Query(
                    $"SELECT * FROM template WHERE {Rows.Only(id, "id")} ORDER BY name",
                    r => new Versioned<AskTemplate>(
                        new(
                            r.Text("id"),
                            r.Text("name"),
                            places.Settled(JsonSerializer.Deserialize<List<AskLine>>(r.Text("lines"), Json)!),
                            r.Flag("retired")
                        ),
                        r.Long("version")
                    ),
                    ("@id", id)
                );
            },
            t => t.Id,
            (connection, t, version) =>
                connection.Put(
                    "template",
                    1,
                    ("id", t.Id),
                    ("version", version),
                    ("name", t.Name),
                    ("lines", JsonSerializer.Serialize(t.Lines, Json)),
                    ("retired", t.Retired)
                )
        );
}
