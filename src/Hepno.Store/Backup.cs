using System.Formats.Tar;
using System.Globalization;
using System.IO.Compression;
using System.Security.Cryptography;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The archive cannot be taken back; nothing was changed.</summary>
public sealed class UnfitArchiveException(string why) : Exception($"This archive is not restored: {why} Nothing was changed.");

/// <summary>Copies of the shop's data: one file a day beside the data, or one archive anywhere.</summary>
public static class Backup
{
    private const int Daily = 14;
    private const int Monthly = 12;
    private const string DatabaseName = "hepno.db";

    /// <summary>Makes the day's copy in backups/ when none of that day exists, and keeps 14 daily and 12 monthly ones.</summary>
    /// <returns>The copy's path, or null when today's was there already.</returns>
    public static string? Day(string folder, DateOnly day)
    {
        var backups = Path.Combine(folder, "backups");
        var target = Path.Combine(backups, $"{day:yyyy-MM-dd}.db");
        if (File.Exists(target))
        {
            return null;
        }
        Copy(folder, target);
        var copies = Directory.EnumerateFiles(backups, "????-??-??.db").OrderDescending(StringComparer.Ordinal).ToList();
        var monthly = copies.GroupBy(c => Path.GetFileName(c)[..7]).Select(g => g.Last()).Take(Monthly);
        foreach (var old in copies.Except(copies.Take(Daily)).Except(monthly).ToList())
        {
            File.Delete(old);
        }
        return target;
    }

    /// <summary>When the newest copy was made (UTC), or null.</summary>
    public static DateTime? Last(string folder)
    {
        var backups = Path.Combine(folder, "backups");
        return Directory.Exists(backups) && Directory.EnumerateFiles(backups, "*.db").Select(File.GetLastWriteTimeUtc).OrderDescending().Select(t => (DateTime?)t).FirstOrDefault() is { } at ? at : null;
    }

    /// <summary>Makes one archive of a data folder, also while a server writes to it.</summary>
    public static void Archive(string folder, string target)
    {
        if (!File.Exists(Db.File(folder)))
        {
            throw new UnfitArchiveException($"there is no shop in {folder}.");
        }
        var partial = target + ".part";
        var copy = Path.Combine(folder, "tmp", $"backup-{Guid.NewGuid():N}.db");
        Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
        try
        {
            Copy(folder, copy);
            using (var file = File.Create(partial))
            {
                using (var zip = new GZipStream(file, CompressionLevel.Fastest, leaveOpen: true))
                using (var tar = new TarWriter(zip))
                {
                    tar.WriteEntry(copy, DatabaseName);
                    foreach (var kept in Files(folder))
                    {
                        tar.WriteEntry(kept, Path.GetRelativePath(folder, kept));
                    }
                }
                file.Flush(flushToDisk: true);
            }
            File.Move(partial, target, overwrite: true);
        }
        finally
        {
            File.Delete(copy);
            File.Delete(partial);
        }
    }

    /// <summary>Checks an archive and puts it in a data folder's place; the old folder is kept beside it.</summary>
    /// <returns>Where the old folder went, or null when there was none.</returns>
    /// <exception cref="UnfitArchiveException">Damaged, or a server has the folder open.</exception>
    public static string? Restore(string folder, string archive, DateTime now)
    {
        if (!File.Exists(archive))
        {
            throw new UnfitArchiveException($"there is no file {archive}.");
        }
        if (Directory.Exists(folder) && InUse(folder))
        {
            throw new UnfitArchiveException($"a running Hepno has {folder} open; stop it first.");
        }
        var parent = Path.GetDirectoryName(Path.GetFullPath(folder))!;
        Directory.CreateDirectory(parent);
        var fresh = Path.Combine(parent, $".hepno-restore-{Guid.NewGuid():N}");
        Directory.CreateDirectory(fresh, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        try
        {
            Unpack(archive, fresh);
            Check(fresh);
            string? old = null;
            if (Directory.Exists(folder))
            {
                old = $"{Path.TrimEndingDirectorySeparator(Path.GetFullPath(folder))}.before-{now.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture)}";
                Directory.Move(folder, old);
            }
            Directory.Move(fresh, folder);
            return old;
        }
        finally
        {
            if (Directory.Exists(fresh))
            {
                Directory.Delete(fresh, recursive: true);
            }
        }
    }

    private static IEnumerable<string> Files(string folder) => Directory.Exists(Path.Combine(folder, "files")) ? Directory.EnumerateFiles(Path.Combine(folder, "files"), "*", SearchOption.AllDirectories) : [];

    private static bool InUse(string folder)
    {
        try
        {
            using var held = new FileStream(Path.Combine(folder, "lock"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            return false;
        }
        catch (IOException)
        {
            return true;
        }
    }

    private static void Copy(string folder, string target)
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = Db.File(folder), Pooling = false, Mode = SqliteOpenMode.ReadWrite }.ToString());
        connection.Open();
        connection.Execute("PRAGMA busy_timeout = 5000");
        connection.Execute("VACUUM INTO @file", ("@file", target));
    }

    private static void Unpack(string archive, string folder)
    {
        try
        {
            using var file = File.OpenRead(archive);
            using var zip = new GZipStream(file, CompressionMode.Decompress);
            TarFile.ExtractToDirectory(zip, folder, overwriteFiles: false);
        }
        catch (Exception damaged) when (damaged is InvalidDataException or EndOfStreamException or IOException)
        {
            throw new UnfitArchiveException("it is not a Hepno archive, or it is damaged.");
        }
    }

    private static void Check(string folder)
    {
        if (!File.Exists(Path.Combine(folder, DatabaseName)))
        {
            throw new UnfitArchiveException("it holds no shop.");
        }
        try
        {
            using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = Db.File(folder), Pooling = false }.ToString());
            connection.Open();
            if (connection.Query("PRAGMA integrity_check", r => r.Text("integrity_check")) is not ["ok"] || connection.Query("PRAGMA foreign_key_check", _ => 1).Count > 0)
            {
                throw new UnfitArchiveException("its data is damaged.");
            }
            var (found, known) = ((int)connection.Scalar("PRAGMA user_version"), Db.Migrations()[^1].Number);
            if (found > known)
            {
                throw new UnfitArchiveException($"it was made by a newer Hepno (version {found}, this program knows {known}).");
            }
        }
        catch (SqliteException)
        {
            throw new UnfitArchiveException("its data cannot be read.");
        }
        foreach (var kept in Files(folder))
        {
            using var stream = File.OpenRead(kept);
            if (!Convert.ToHexStringLower(SHA256.HashData(stream)).Equals(Path.GetFileName(kept), StringComparison.Ordinal))
            {
                throw new UnfitArchiveException($"the file {Path.GetFileName(kept)} in it is damaged.");
            }
        }
    }
}
