using Hepno.Core.Things;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What the shop keeps: one table for every kind, a document each in the form its earlier states and archives
/// have.</summary>
internal static class ThingStore
{
    /// <summary>Keeps one kind of thing.</summary>
    public static Aggregate<T> Aggregate<T>(ThingKind<T> kind)
        where T : class
    {
        var document = new Document<T>();
        return new(
            kind.Name,
            table: $"(SELECT id, version FROM thing WHERE kind = '{kind.Name}')",
            (connection, id) => Load(connection, kind, document, id),
            kind.IdOf,
            (connection, value, version) =>
                connection.Put(
                    "thing",
                    2,
                    ("kind", kind.Name),
                    ("id", kind.IdOf(value)),
                    ("version", version),
                    ("document", document.Written(value))
                ),
            document
        );
    }

    private static List<Versioned<T>> Load<T>(
        SqliteConnection connection,
        ThingKind<T> kind,
        Document<T> document,
        string? id
    )
        where T : class
    {
        var all = connection.Query(
            $"SELECT version, document FROM thing WHERE kind = @kind AND {Rows.Only(id, "id")} ORDER BY id",
            r => new Versioned<T>(document.Read(r.Text("document")), r.Long("version")),
            ("@kind", kind.Name),
            ("@id", id)
        );
        // of equals the one with the lower id stays first
        return [.. all.Order(Comparer<Versioned<T>>.Create((a, b) => kind.Order(a.Value, b.Value)))];
    }
}
