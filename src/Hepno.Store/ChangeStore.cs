using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>A hint that something changed.</summary>
public sealed record Change(long Seq, string Kind, string Id, long Version);

/// <summary>What changed, in order; screens fetch again what they show.</summary>
public static class ChangeStore
{
    private const int KeptDays = 7;

    public static long Last(SqliteConnection connection) =>
        connection.Scalar("SELECT coalesce(max(seq), 0) FROM change");

    /// <summary>The last change of any of these kinds, 0 when none is remembered.</summary>
    public static long LastOf(SqliteConnection connection, IReadOnlyList<string> kinds) =>
        kinds.Max(k => connection.Scalar("SELECT coalesce(max(seq), 0) FROM change WHERE kind = @kind", ("@kind", k)));

    public static List<Change> Since(SqliteConnection connection, long seq, int most) =>
        connection.Query(
            "SELECT seq, kind, id, version FROM change WHERE seq > @seq ORDER BY seq LIMIT @most",
            r => new Change(r.Long("seq"), r.Text("kind"), Id: r.Text("id"), r.Long("version")),
            ("@seq", seq),
            ("@most", most)
        );

    public static void Add(SqliteConnection connection, string kind, string id, long version, Instant at) =>
        connection.Execute(
            "INSERT INTO change (kind, id, version, at) VALUES (@kind, @id, @version, @at)",
            ("@kind", kind),
            ("@id", id),
            ("@version", version),
            ("@at", at)
        );

    /// <summary>Forgets what is older than a week. The last change of each kind stays: were it forgotten, what was read
    /// before it would pass for what is read after.</summary>
    public static void Trim(SqliteConnection connection, Instant now) =>
        connection.Execute(
            "DELETE FROM change WHERE at < @old AND seq NOT IN (SELECT max(seq) FROM change GROUP BY kind)",
            ("@old", now - Duration.FromDays(KeptDays))
        );
}
