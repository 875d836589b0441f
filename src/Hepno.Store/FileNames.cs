using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Which kept files the data names: artwork, attachments, photographs.</summary>
public static class FileNames
{
    private static readonly (string Table, string Column)[] Places =
    [
        ("artwork", "hash"),
        ("artwork", "came_as"),
        ("order_attachment", "hash"),
        ("spot_test_photo", "hash"),
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
                .SelectMany(p =>
                    connection.Query(
                        $"SELECT DISTINCT {p.Column} AS hash FROM {p.Table} WHERE {p.Column} IS NOT NULL",
                        r => r.Text("hash")
                    )
                )
                .Distinct(StringComparer.Ordinal)
                .Order(StringComparer.Ordinal),
        ];
    }
}
