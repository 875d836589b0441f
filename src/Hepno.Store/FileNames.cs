using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Which kept files the data names: artwork, attachments, photographs.</summary>
public static class FileNames
{
    private static readonly (string Table, string Hashes)[] Places =
    [
        ("artwork", "SELECT hash AS hash FROM artwork WHERE hash IS NOT NULL"),
        ("artwork", "SELECT came_as AS hash FROM artwork WHERE came_as IS NOT NULL"),
        ("order_attachment", "SELECT hash AS hash FROM order_attachment WHERE hash IS NOT NULL"),
        ("spot_test_photo", "SELECT hash FROM spot_test_photo"),
        ("thing", "SELECT p.value ->> 'hash' AS hash FROM thing, json_each(document, '$.photos') p"),
    ];

    /// <summary>Their hashes, each once; also of a database from before some of these were kept.</summary>
    public static IReadOnlyList<string> Named(SqliteConnection connection)
    {
        var tables = connection
            .Query("SELECT name FROM sqlite_schema WHERE type = 'table'", r => r.Text("name"))
            .ToHashSet();
        return
        [
            .. Places
                .Where(p => tables.Contains(p.Table))
                .SelectMany(p => connection.Query(p.Hashes, r => r.Text("hash")))
                .Distinct(StringComparer.Ordinal)
                .Order(StringComparer.Ordinal),
        ];
    }
}
