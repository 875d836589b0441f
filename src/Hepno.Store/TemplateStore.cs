using Hepno.Core.Orders;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Asks to begin from. A template's lines are kept as they were taken: nothing looks into them.</summary>
internal static class TemplateStore
{
    public static Aggregate<AskTemplate> Aggregate() => new("template", "template", Load, t => t.Id.Text, Write);

    private static List<Versioned<AskTemplate>> Load(SqliteConnection connection, string? id)
    {
        var places = PlaceStore.Book(connection);
        return connection.Query(
            $"SELECT * FROM template WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<AskTemplate>(
                new(
                    r.Id<TemplateId>("id"),
                    Name: r.Text("name"),
                    places.Settled(Read(r.Text("lines"))),
                    r.Flag("retired")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static void Write(SqliteConnection connection, AskTemplate t, long version) =>
        connection.Put(
            "template",
            1,
            ("id", t.Id),
            ("version", version),
            ("name", t.Name),
            ("lines", KnownDocuments.TemplateLines.Written(new(t.Lines))),
            ("retired", t.Retired)
        );

    // in version 1 the lines were the whole document
    private static IReadOnlyList<AskLine> Read(string text) =>
        KnownDocuments.TemplateLines.Read(text.StartsWith('[') ? $$"""{"Lines":{{text}}}""" : text).Lines;
}
