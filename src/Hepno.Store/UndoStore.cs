using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>What an undo did, or why it did nothing.</summary>
/// <param name="Deed">The deed taken back, or null when there is none.</param>
/// <param name="Kind">Kind of thing.</param>
/// <param name="Id">Which thing.</param>
/// <param name="Version">Its new version, or the one that stands.</param>
/// <param name="Stale">True when somebody changed it since: nothing was done.</param>
public sealed record Undone(string? Deed, string Kind, string Id, long Version, bool Stale);

/// <summary>One earlier deed on a thing.</summary>
public sealed record PastDeed(long Version, string Deed, string Device, Instant At);

/// <summary>Takes a device's last deeds back, also after a restart.</summary>
public static class UndoStore
{
    private const int Depth = 50;

    /// <summary>Puts back what the device's newest undoable deed changed, as a new version, when that deed's version
    /// (or one restored to it) still stands.</summary>
    public static Undone Undo(SqliteConnection connection, string device, Instant at)
    {
        var last = connection
            .Query(
                "SELECT seq, kind, id, version, document, deed, undoable, undone FROM history WHERE device = "
                    + "@device AND restores IS NULL AND document IS NOT NULL ORDER BY seq DESC LIMIT @depth",
                r =>
                    (
                        Seq: r.Long("seq"),
                        Kind: r.Text("kind"),
                        Id: r.Text("id"),
                        Version: r.Long("version"),
                        Packed: r.Bytes("document"),
                        Deed: r.Text("deed"),
                        Open: r.Flag("undoable") && !r.Flag("undone")
                    ),
                ("@device", device),
                ("@depth", Depth)
            )
            .FirstOrDefault(d => d.Open);
        if (last.Kind is null)
        {
            return new(null, "", "", 0, false);
        }
        var aggregate = Aggregates.Find(last.Kind);
        var stands = aggregate.VersionOf(connection, last.Id);
        if (Effective(connection, last.Kind, last.Id, stands) != last.Version)
        {
            return new(last.Deed, last.Kind, last.Id, stands, true);
        }
        connection.Execute("UPDATE history SET undone = 1 WHERE seq = @seq", ("@seq", last.Seq));
        var version = aggregate.Restore(
            connection,
            last.Id,
            last.Packed,
            stands,
            last.Version - 1,
            new Deed($"undo: {last.Deed}", device, at, false)
        );
        return new(last.Deed, last.Kind, last.Id, version, false);
    }

    /// <summary>What happened to a thing, newest first.</summary>
    public static List<PastDeed> Past(SqliteConnection connection, string kind, string id) =>
        connection.Query(
            "SELECT version, deed, device, at FROM history WHERE kind = @kind AND id = @id ORDER BY seq DESC LIMIT 200",
            r => new PastDeed(r.Long("version"), r.Text("deed"), Device: r.Text("device"), r.Utc("at")),
            ("@kind", kind),
            ("@id", id)
        );

    /// <summary>Drops the earlier states of a thing; that something was done stays.</summary>
    public static void Forget(SqliteConnection connection, string kind, string id) =>
        connection.Execute(
            "UPDATE history SET document = NULL WHERE kind = @kind AND id = @id",
            ("@kind", kind),
            ("@id", id)
        );

    /// <summary>Lets go of earlier states of orders from before a moment; that something was done, when and on which
    /// device stays.</summary>
    /// <returns>How many there were.</returns>
    public static int Thin(SqliteConnection connection, Instant before, int most) =>
        connection.Changed(
            "UPDATE history SET document = NULL WHERE seq IN (SELECT seq FROM history WHERE kind = 'order' AND "
                + "at < @before AND document IS NOT NULL LIMIT @most)",
            ("@before", before),
            ("@most", most)
        );

    // a version made by an undo stands for the version it restored
    private static long Effective(SqliteConnection connection, string kind, string id, long version)
    {
        var restores = connection.Scalar(
            "SELECT coalesce(restores, -1) FROM history WHERE kind = @kind AND id = @id AND version = @version",
            ("@kind", kind),
            ("@id", id),
            ("@version", version)
        );
        return restores < 0 ? version : Effective(connection, kind, id, restores);
    }
}
