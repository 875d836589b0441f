using Hepno.Core.Ids;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>A thing with the version it stands at.</summary>
public sealed record Versioned<T>(T Value, long Version)
    where T : notnull;

/// <summary>Who does what, for history and undo.</summary>
/// <param name="Name">The deed, in words the owner reads ("method chosen").</param>
/// <param name="Device">Which device.</param>
/// <param name="At">When (UTC).</param>
/// <param name="Undoable">False for deeds answered by a deed of their own (a quote sent is withdrawn).</param>
public sealed record Deed(string Name, string Device, Instant At, bool Undoable = true);

/// <summary>Somebody else changed the thing first; nothing was written.</summary>
public sealed class StaleException(string kind, string id, long seen, long stands)
    : Exception($"{kind} {id}: version {seen} was seen, {stands} stands.")
{
    public string Kind { get; } = kind;

    public string Id { get; } = id;

    public long Seen { get; } = seen;

    public long Stands { get; } = stands;
}

/// <summary>Things of a kind that a person edits as one, whichever kind it is.</summary>
public interface IAggregate
{
    /// <summary>The word of history for it.</summary>
    string Kind { get; }

    /// <summary>The version one of them stands at; 0 where there is none.</summary>
    internal long VersionOf(SqliteConnection connection, string id);

    /// <summary>Puts the state before a deed back as a new version.</summary>
    /// <returns>The version that stands now.</returns>
    internal long Restore(SqliteConnection connection, string id, byte[] packed, long stands, long restores, Deed deed);
}

/// <summary>Something a person edits as one: read, written with a version check, its earlier states kept.</summary>
public sealed class Aggregate<T>(
    string kind,
    string table,
    Func<SqliteConnection, string?, List<Versioned<T>>> load,
    Func<T, string> idOf,
    Action<SqliteConnection, T, long> write,
    Document<T>? document = null
) : IAggregate
    where T : class
{
    public string Kind => kind;

    /// <summary>How its earlier states, and all of it in an archive, are kept.</summary>
    public Document<T> Document { get; } = document ?? new();

    public Versioned<T>? Get(SqliteConnection connection, string id) => load(connection, id).FirstOrDefault();

    /// <summary>The thing of an id, or null.</summary>
    public Versioned<T>? Get<TId>(SqliteConnection connection, TId id)
        where TId : struct, IId => Get(connection, id.Text);

    public List<Versioned<T>> All(SqliteConnection connection) => load(connection, null);

    /// <summary>Ids of all there are, for reading very many one by one.</summary>
    public List<string> Ids(SqliteConnection connection) =>
        connection.Query($"SELECT id FROM {table} ORDER BY id", r => r.Text("id"));

    /// <summary>Writes a new version, or where nothing is changed leaves the one that stands. <paramref name="seen"/>
    /// is the version the change was made from, 0 for something new.</summary>
    /// <returns>The version that stands now.</returns>
    /// <exception cref="StaleException">Another version stands.</exception>
    public long Put(SqliteConnection connection, T value, long seen, Deed deed) =>
        Put(connection, value, seen, deed, null);

    /// <summary>The state of an earlier version, or null when it was never or is no longer kept.</summary>
    public T? At(SqliteConnection connection, string id, long version) =>
        connection
            .Query(
                "SELECT document FROM history WHERE kind = @kind AND id = @id AND version = @version",
                r => r.BytesOrNull("document"),
                ("@kind", kind),
                ("@id", id),
                ("@version", version + 1)
            )
            .FirstOrDefault()
            is { } packed
            ? Document.Unpacked(packed)
            : null;

    /// <summary>Every state a thing has had, oldest first, with when it began to hold (UTC); states older than are kept
    /// are left out.</summary>
    public List<(Instant From, T Value)> States<TId>(SqliteConnection connection, TId id)
        where TId : struct, IId => States(connection, id.Text);

    /// <inheritdoc cref="States{TId}"/>
    public List<(Instant From, T Value)> States(SqliteConnection connection, string id)
    {
        var past = connection.Query(
            "SELECT document, at FROM history WHERE kind = @kind AND id = @id ORDER BY version",
            r => (Packed: r.BytesOrNull("document"), At: r.Utc("at")),
            ("@kind", kind),
            ("@id", id)
        );
        var states = past.Skip(1)
            .Zip(past, (after, began) => (began.At, after.Packed))
            .Where(s => s.Packed is not null)
            .Select(s => (s.At, Document.Unpacked(s.Packed!)))
            .ToList();
        if (past.Count > 0 && Get(connection, id) is { } now)
        {
            states.Add((past[^1].At, now.Value));
        }
        return states;
    }

    long IAggregate.Restore(
        SqliteConnection connection,
        string id,
        byte[] packed,
        long stands,
        long restores,
        Deed deed
    ) => Put(connection, Document.Unpacked(packed), stands, deed, restores);

    long IAggregate.VersionOf(SqliteConnection connection, string id) =>
        connection.Scalar($"SELECT version FROM {table} WHERE id = @id", ("@id", id));

    private long Put(SqliteConnection connection, T value, long seen, Deed deed, long? restores)
    {
        var id = idOf(value);
        var before = Get(connection, id);
        var stands = before?.Version ?? 0;
        if (stands != seen)
        {
            throw new StaleException(kind, id, seen, stands);
        }
        var was = before is null ? null : Document.Written(before.Value);
        // kept as it stands, there would be nothing to take back; a deed that cannot be taken back changes more than
        // the thing itself
        if (restores is null && deed.Undoable && was == Document.Written(value))
        {
            return stands;
        }
        write(connection, value, stands + 1);
        connection.Execute(
            "INSERT INTO history (kind, id, version, document, deed, device, at, undoable, restores) VALUES "
                + "(@kind, @id, @version, @document, @deed, @device, @at, @undoable, @restores)",
            ("@kind", kind),
            ("@id", id),
            ("@version", stands + 1),
            ("@document", was is null ? null : Packing.Pack(was)),
            ("@deed", deed.Name),
            ("@device", deed.Device),
            ("@at", deed.At),
            ("@undoable", deed.Undoable && before is not null),
            ("@restores", restores)
        );
        ChangeStore.Add(connection, kind, id, stands + 1, deed.At);
        return stands + 1;
    }
}
