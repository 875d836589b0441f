using System.Globalization;
using System.Reflection;
using Hepno.Store.Copies;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>The shop's data is of a newer program; it is not touched.</summary>
public sealed class NewerDataException(int found, int known)
    : Exception(
        $"This data was written by a newer Hepno (its version is {found}, this program knows {known}). Install "
            + "the newer program; nothing was changed."
    );

/// <summary>Another server has the data folder open.</summary>
public sealed class DataInUseException(string folder)
    : Exception(
        $"The data folder {folder} is in use by another Hepno. Stop that one, or name another folder with --data."
    );

/// <summary>The data cannot be opened or written, and why, for the owner.</summary>
/// <param name="code">Stable word.</param>
/// <param name="sentence">What is wrong.</param>
/// <param name="remedy">What would help.</param>
public sealed class DataTroubleException(string code, string sentence, string remedy)
    : Exception($"{sentence} {remedy}")
{
    /// <summary>Stable word.</summary>
    public string Code { get; } = code;

    /// <summary>What is wrong.</summary>
    public string Sentence { get; } = sentence;

    /// <summary>What would help.</summary>
    public string Remedy { get; } = remedy;
}

/// <summary>The one door to the database: many readers, one writer at a time.</summary>
public sealed class Db : IDisposable
{
    private readonly SemaphoreSlim gate = new(1, 1);
    private readonly string connectionString;
    private FileStream? lockFile;
    private SqliteConnection? keeper;
    private IReadOnlyList<(string Held, string Path)> heldFiles = [];
    private volatile int writer;
    private volatile TaskCompletionSource written = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <param name="folder">The data folder; it exists.</param>
    public Db(string folder)
    {
        Folder = folder;
        connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = File(folder),
            ForeignKeys = true,
            Pooling = true,
            Mode = SqliteOpenMode.ReadWrite,
        }.ToString();
    }

    public string Folder { get; }

    /// <summary>Completes at the next write.</summary>
    public Task NextWrite => written.Task;

    /// <summary>True while the calling thread is inside <see cref="Write"/>: what it reads may not be kept, for it may
    /// be rolled back.</summary>
    public bool Writing => writer == Environment.CurrentManagedThreadId;

    public static string File(string folder) => Path.Combine(folder, "hepno.db");

    /// <summary>Copies in this data folder.</summary>
    public CopyFolder Backups => new(Path.Combine(Folder, "backups"));

    /// <summary>Takes the folder for this server alone and brings the data to this program's version.</summary>
    /// <param name="now">When (UTC): a copy is made before the data is changed.</param>
    /// <exception cref="DataInUseException">Another server has it.</exception>
    /// <exception cref="NewerDataException">The data is newer than the program.</exception>
    /// <exception cref="DataTroubleException">It is gone, damaged, full, locked or cannot be written.</exception>
    public void Open(Instant now)
    {
        try
        {
            TakeFolder();
            Migrate(now);
            Hold();
        }
        catch (Exception trouble)
        {
            lockFile?.Dispose();
            if (DataTrouble.Of(trouble, Folder) is { } said)
            {
                throw said;
            }
            throw;
        }
    }

    /// <summary>Puts an unpacked copy in place of what is there, in one transaction that either holds or was never;
    /// readers see one or the other.</summary>
    /// <param name="copy">The copy.</param>
    /// <param name="now">When (UTC).</param>
    public void Replace(Unpacked copy, Instant now)
    {
        gate.Wait();
        try
        {
            foreach (var file in copy.Manifest.Files)
            {
                KeptFiles.Keep(Folder, System.IO.File.ReadAllBytes(Bytes.Kept(copy.Folder, file.Hash)));
            }
            using (var live = Connect())
            {
                var last = ChangeStore.Last(live);
                using (
                    var from = new SqliteConnection(
                        new SqliteConnectionStringBuilder { DataSource = File(copy.Folder), Pooling = false }.ToString()
                    )
                )
                {
                    from.Open();
                    BringUp(from);
                    KeepMachines(from);
                    // changes go on from where this server was: what was read before must not pass for what is read
                    // after
                    from.Execute(
                        "INSERT INTO change (seq, kind, id, version, at) VALUES (@seq, 'restored', '1', 1, @at)",
                        ("@seq", Math.Max(last, ChangeStore.Last(from)) + 1),
                        ("@at", now)
                    );
                    from.BackupDatabase(live);
                }
            }
            SqliteConnection.ClearAllPools();
            Interlocked.Exchange(ref written, new(TaskCreationOptions.RunContinuationsAsynchronously)).TrySetResult();
        }
        finally
        {
            gate.Release();
        }
    }

    public T Read<T>(Func<SqliteConnection, T> read)
    {
        using var connection = Connect();
        using var transaction = connection.BeginTransaction(deferred: true);
        return read(connection);
    }

    /// <summary>Runs a write in one immediate transaction; when it throws, nothing of it is kept.</summary>
    public T Write<T>(Func<SqliteConnection, T> write)
    {
        gate.Wait();
        writer = Environment.CurrentManagedThreadId;
        try
        {
            using var connection = Connect();
            using var transaction = connection.BeginTransaction(deferred: false);
            var result = write(connection);
            transaction.Commit();
            // what went into a file that nobody will find again was not kept
            RefuseIfMoved();
            Interlocked.Exchange(ref written, new(TaskCreationOptions.RunContinuationsAsynchronously)).TrySetResult();
            return result;
        }
        finally
        {
            writer = 0;
            gate.Release();
        }
    }

    public void Dispose()
    {
        using (var connection = new SqliteConnection(connectionString))
        {
            SqliteConnection.ClearPool(connection);
        }
        keeper?.Dispose();
        lockFile?.Dispose();
        gate.Dispose();
    }

    internal static IReadOnlyList<(int Number, string Name, string Sql)> Migrations()
    {
        var assembly = typeof(Db).Assembly;
        return
        [
            .. assembly
                .GetManifestResourceNames()
                .Where(n => n.EndsWith(".sql", StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
                .Select(n => (int.Parse(n.AsSpan(0, 4), CultureInfo.InvariantCulture), n, Text(assembly, n))),
        ];
    }

    private static string Text(Assembly assembly, string name)
    {
        using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
        return reader.ReadToEnd();
    }

    private SqliteConnection Connect()
    {
        RefuseIfMoved();
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        connection.Execute("PRAGMA synchronous = FULL; PRAGMA busy_timeout = 5000; PRAGMA secure_delete = ON");
        return connection;
    }

    private void TakeFolder()
    {
        try
        {
            lockFile = new FileStream(
                Path.Combine(Folder, "lock"),
                FileMode.OpenOrCreate,
                FileAccess.ReadWrite,
                FileShare.None
            );
        }
        catch (IOException) when (System.IO.File.Exists(Path.Combine(Folder, "lock")) && DataTrouble.CanWrite(Folder))
        {
            throw new DataInUseException(Folder);
        }
        // the folder of copies is made with the first of them: that it cannot be must not keep the shop closed
        foreach (var name in new[] { "files", "logs", "tmp" })
        {
            Directory.CreateDirectory(Path.Combine(Folder, name));
        }
        foreach (var left in Directory.EnumerateFileSystemEntries(Path.Combine(Folder, "tmp")).ToList())
        {
            if (Directory.Exists(left))
            {
                Directory.Delete(left, recursive: true);
            }
            else
            {
                System.IO.File.Delete(left);
            }
        }
        var isThere = new FileInfo(File(Folder)) is { Exists: true, Length: > 0 };
        if (!isThere && Backups.All().FirstOrDefault(c => c.Manifest is not null) is { } copy)
        {
            throw DataTrouble.Gone(Folder, copy);
        }
    }

    private void Migrate(Instant now)
    {
        using var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = File(Folder),
                ForeignKeys = true,
                Pooling = false,
            }.ToString()
        );
        connection.Open();
        connection.Execute("PRAGMA synchronous = FULL; PRAGMA busy_timeout = 5000; PRAGMA journal_mode = WAL");
        var (at, known) = ((int)connection.Scalar("PRAGMA user_version"), Migrations()[^1].Number);
        if (at > known)
        {
            throw new NewerDataException(at, known);
        }
        if (at > 0 && at < known)
        {
            // checked before the first of it changes: with it one goes back to the program before
            Backups.Make(Folder, $"before-{at + 1:0000}-{now:yyyyMMdd-HHmmss}", why: $"before-{at + 1:0000}", now);
        }
        BringUp(connection);
    }

    private static void BringUp(SqliteConnection connection)
    {
        var at = (int)connection.Scalar("PRAGMA user_version");
        MigrationFunctions.AddTo(connection);
        foreach (var (number, _, sql) in Migrations().Where(m => m.Number > at))
        {
            using var transaction = connection.BeginTransaction(deferred: false);
            connection.Execute($"{sql}; PRAGMA user_version = {number}");
            transaction.Commit();
        }
    }

    // who was let in or shut out, and where copies go, is this machine's, whichever day of the shop is open: nobody
    // comes in again by an old copy
    private void KeepMachines(SqliteConnection copy)
    {
        copy.Execute("ATTACH @live AS live", ("@live", File(Folder)));
        foreach (var table in new[] { "paired_device", "copying" })
        {
            copy.Execute($"DELETE FROM main.{table}; INSERT INTO main.{table} SELECT * FROM live.{table}");
        }
        copy.Execute("DETACH live");
    }

    // one connection stays open, so that the files beside the data stay the same ones; the system tells what became of
    // those it holds
    private void Hold()
    {
        keeper = new SqliteConnection(
            new SqliteConnectionStringBuilder(connectionString) { Pooling = false }.ToString()
        );
        keeper.Open();
        keeper.Scalar("SELECT count(*) FROM change");
        var own = Path.GetFullPath(File(Folder));
        heldFiles =
        [
            .. Directory
                .EnumerateFiles("/proc/self/fd")
                .Select(fd => (Held: fd, Path: new FileInfo(fd).LinkTarget ?? ""))
                .Where(f => f.Path == own || f.Path == own + "-wal" || f.Path == own + "-shm")
                .DistinctBy(f => f.Path),
        ];
    }

    private void RefuseIfMoved()
    {
        foreach (var (held, path) in heldFiles)
        {
            if (new FileInfo(held).LinkTarget != path)
            {
                throw DataTrouble.Moved(path);
            }
        }
    }
}
