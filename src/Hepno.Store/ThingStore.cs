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
        where T : class => Aggregate(kind.Name, new Document<T>(), kind.IdOf, kind.Order);

    /// <summary>Keeps what is kept as a document of its own.</summary>
    /// <param name="kind">The word of history for it.</param>
    /// <param name="document">How it is written and read.</param>
    /// <param name="idOf">The id of one.</param>
    /// <param name="order">In which order they are listed.</param>
    public static Aggregate<T> Aggregate<T>(
        string kind,
        Document<T> document,
        Func<T, string> idOf,
        Comparison<T> order
    )
        where T : class =>
        new(
            kind,
            table: $"(SELECT id, version FROM thing WHERE kind = '{kind}')",
            (connection, id) => Load(connection, kind, document, order, id),
            idOf,
            (connection, value, version) =>
                connection.Put(
                    "thing",
                    2,
                    ("kind", kind),
                    ("id", idOf(value)),
                    ("version", version),
                    ("document", document.Written(value))
                ),
            document
        );

    private static List<Versioned<T>> Load<T>(
        SqliteConnection connection,
        string kind,
        Document<T> document,
        Comparison<T> order,
        string? id
    )
        where T : class
    {
        var all = connection.Query(
            $"SELECT version, document FROM thing WHERE kind = @kind AND {Rows.Only(id, "id")} ORDER BY id",
            r => new Versioned<T>(document.Read(r.Text("document")), r.Long("version")),
            ("@kind", kind),
            ("@id", id)
        );
        // of equals the one with the lower id stays first
        return [.. all.Order(Comparer<Versioned<T>>.Create((a, b) => order(a.Value, b.Value)))];
    }
}
