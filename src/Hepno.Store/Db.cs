using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The shop's data is of a newer program; it is not touched.</summary>
public sealed class NewerDataException(int found, int known)
    : Exception($"This data was written by a newer Hepno (its version is {found}, this program knows {known}). Install the newer program; nothing was changed.");

/// <summary>Another server has the data folder open.</summary>
public sealed class DataInUseException(string folder) : Exception($"The data folder {folder} is in use by another Hepno. Stop that one, or name another folder with --data.");

/// <summary>The one door to the database: many readers, one writer at a time.</summary>
public sealed class Db : IDisposable
{
    private readonly SemaphoreSlim gate = new(1, 1);
    private readonly string connectionString;
    private FileStream? lockFile;
    private volatile int writer;
    private volatile TaskCompletionSource written = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <param name="folder">The data folder; it exists.</param>
    public Db(string folder)
    {
        Folder = folder;
        connectionString = new SqliteConnectionStringBuilder { DataSource = File(folder), ForeignKeys = true, Pooling = true }.ToString();
    }

    public string Folder { get; }

    /// <summary>Completes at the next write.</summary>
    public Task NextWrite => written.Task;

    /// <summary>True while the calling thread is inside <see cref="Write"/>: what it reads may not be kept, for it may be rolled back.</summary>
    public bool Writing => writer == Environment.CurrentManagedThreadId;

    public static string File(string folder) => Path.Combine(folder, "hepno.db");

    /// <summary>Takes the folder for this server alone and brings the data to this program's version.</summary>
    /// <exception cref="DataInUseException">Another server has it.</exception>
    /// <exception cref="NewerDataException">The data is newer than the program.</exception>
    public void Open()
    {
        try
        {
            lockFile = new FileStream(Path.Combine(Folder, "lock"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (IOException)
        {
            throw new DataInUseException(Folder);
        }
        foreach (var name in new[] { "files", "backups", "logs", "tmp" })
        {
            Directory.CreateDirectory(Path.Combine(Folder, name));
        }
        foreach (var left in Directory.EnumerateFiles(Path.Combine(Folder, "tmp")))
        {
            System.IO.File.Delete(left);
        }
        Migrate();
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
        lockFile?.Dispose();
        gate.Dispose();
    }

    internal static IReadOnlyList<(int Number, string Name, string Sql)> Migrations()
    {
        var assembly = typeof(Db).Assembly;
        return [.. assembly.GetManifestResourceNames().Where(n => n.EndsWith(".sql", StringComparison.Ordinal)).Order(StringComparer.Ordinal)
            .Select(n => (int.Parse(n.AsSpan(0, 4), CultureInfo.InvariantCulture), n, Text(assembly, n)))];
    }

    private static string Text(Assembly assembly, string name)
    {
        using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
        return reader.ReadToEnd();
    }

    private SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        connection.Execute("PRAGMA synchronous = FULL; PRAGMA busy_timeout = 5000; PRAGMA secure_delete = ON");
        return connection;
    }

    private void Migrate()
    {
        using var connection = Connect();
        connection.Execute("PRAGMA journal_mode = WAL");
        var at = (int)connection.Scalar("PRAGMA user_version");
        var migrations = Migrations();
        var known = migrations[^1].Number;
        if (at > known)
        {
            throw new NewerDataException(at, known);
        }
        if (at > 0 && at < known)
        {
            connection.Execute("VACUUM INTO @file", ("@file", Path.Combine(Folder, "backups", $"before-{at + 1:0000}-{Guid.NewGuid():N}.db")));
        }
        foreach (var (number, _, sql) in migrations.Where(m => m.Number > at))
        {
            using var transaction = connection.BeginTransaction(deferred: false);
            connection.Execute($"{sql}; PRAGMA user_version = {number}");
            transaction.Commit();
        }
    }
}
