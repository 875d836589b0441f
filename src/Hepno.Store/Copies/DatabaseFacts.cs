using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>What a database holds, as it is told before it is put back.</summary>
/// <param name="Version">Of the data: the last migration it has seen.</param>
/// <param name="Seq">Its last change.</param>
/// <param name="Orders">Orders.</param>
/// <param name="Customers">Customers.</param>
/// <param name="LastAt">When something was last done (UTC), or null when nothing was.</param>
/// <param name="Rows">Rows of every table.</param>
public sealed record DatabaseFacts(
    int Version,
    long Seq,
    int Orders,
    int Customers,
    Instant? LastAt,
    IReadOnlyDictionary<string, long> Rows
)
{
    /// <summary>Checks a database that nobody writes to, and says what it holds.</summary>
    /// <exception cref="UnfitCopyException">It is damaged, empty, another program's, or of a newer Hepno.</exception>
    public static DatabaseFacts Checked(string file)
    {
        try
        {
            using var connection = Open(file, SqliteOpenMode.ReadWrite);
            if (
                connection.Query("PRAGMA integrity_check", r => r.Text("integrity_check")) is not ["ok"]
                || connection.Query("PRAGMA foreign_key_check", _ => 1).Count > 0
            )
            {
                throw new UnfitCopyException("its data is damaged.");
            }
            var known = Db.Migrations()[^1].Number;
            var facts = Of(connection);
            return facts.Version > known
                ? throw new UnfitCopyException(
                    $"it was made by a newer Hepno (its data is of version {facts.Version}, this program knows {known})."
                )
                : facts;
        }
        catch (SqliteException)
        {
            throw new UnfitCopyException("its data cannot be read.");
        }
    }

    /// <summary>Hashes of the files that a database names.</summary>
    public static IReadOnlyList<string> FilesNamed(string file)
    {
        using var connection = Open(file, SqliteOpenMode.ReadOnly);
        return FileNames.Named(connection);
    }

    private static DatabaseFacts Of(SqliteConnection connection)
    {
        var tables = Tables(connection);
        var version = (int)connection.Scalar("PRAGMA user_version");
        if (version == 0 || !((string[])["orders", "customer", "history", "change"]).All(tables.Contains))
        {
            throw new UnfitCopyException(tables.Count == 0 ? "its data is empty." : "it is another program's data.");
        }
        var rows = tables.ToDictionary(
            t => t,
            t => connection.Scalar($"SELECT count(*) FROM \"{t}\""),
            StringComparer.Ordinal
        );
        var last = connection.Query("SELECT max(at) AS at FROM history", r => r.UtcOrNull("at")).FirstOrDefault();
        return new(
            version,
            ChangeStore.Last(connection),
            (int)rows["orders"],
            Customers: (int)rows["customer"],
            last,
            rows
        );
    }

    private static List<string> Tables(SqliteConnection connection) =>
        connection.Query(
            "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
            r => r.Text("name")
        );

    private static SqliteConnection Open(string file, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = file,
                Pooling = false,
                Mode = mode,
            }.ToString()
        );
        connection.Open();
        return connection;
    }
}
