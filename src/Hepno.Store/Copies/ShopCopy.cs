using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>A shop taken out of its folder while it goes on: its database whole and checked, and which files belong to
/// it.</summary>
internal static class ShopCopy
{
    /// <summary>The database's name inside a copy and in a data folder.</summary>
    public const string DatabaseName = "hepno.db";

    /// <summary>Copies the database to a new file and says what the copy is to hold; files that are gone or damaged are
    /// named, and do not keep the rest from being copied.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="database">Where the database's copy goes.</param>
    /// <param name="why">What it is made for.</param>
    /// <param name="now">When (UTC).</param>
    /// <param name="known">Files that were looked at before and need not be read again.</param>
    public static CopyManifest Take(
        string folder,
        string database,
        string why,
        Instant now,
        Func<string, long, bool> known
    )
    {
        using (
            var connection = new SqliteConnection(
                new SqliteConnectionStringBuilder
                {
                    DataSource = Db.File(folder),
                    Pooling = false,
                    Mode = SqliteOpenMode.ReadWrite,
                }.ToString()
            )
        )
        {
            connection.Open();
            connection.Execute("PRAGMA busy_timeout = 5000");
            connection.Execute("VACUUM INTO @file", ("@file", database));
        }
        using (var flushed = new FileStream(database, FileMode.Open, FileAccess.ReadWrite))
        {
            flushed.Flush(flushToDisk: true);
        }
        var facts = DatabaseFacts.Checked(database);
        var (whole, lost) = (new List<CopiedFile>(), new SortedSet<string>(StringComparer.Ordinal));
        foreach (var file in Files(folder))
        {
            var name = Path.GetFileName(file);
            var length = new FileInfo(file).Length;
            if (known(name, length) || Bytes.Of(file).Hash == name)
            {
                whole.Add(new(name, length));
            }
            else
            {
                lost.Add(name);
            }
        }
        lost.UnionWith(DatabaseFacts.FilesNamed(database).Except(whole.Select(f => f.Hash)));
        return new(
            CopyManifest.Known,
            now,
            why,
            facts,
            Bytes.Of(database),
            [.. whole.OrderBy(f => f.Hash, StringComparer.Ordinal)],
            [.. lost]
        );
    }

    /// <summary>Checks an unpacked copy against what it is to hold: no part less, none more, none other.</summary>
    /// <exception cref="UnfitCopyException">It is not that.</exception>
    public static void Check(string fresh, CopyManifest manifest)
    {
        if (
            !File.Exists(Path.Combine(fresh, DatabaseName))
            || Bytes.Of(Path.Combine(fresh, DatabaseName)) != manifest.Database
        )
        {
            throw new UnfitCopyException("its database is not the one it was made with.");
        }
        var there = Files(fresh).Select(Path.GetFileName).ToHashSet();
        if (manifest.Files.FirstOrDefault(f => !there.Contains(f.Hash)) is { } missing)
        {
            throw new UnfitCopyException($"the file {missing.Hash[..12]} is missing in it.");
        }
        if (there.Count != manifest.Files.Count)
        {
            throw new UnfitCopyException("it holds files that it was not made with.");
        }
        if (manifest.Files.FirstOrDefault(f => Bytes.Of(Bytes.Kept(fresh, f.Hash)) != f) is { } damaged)
        {
            throw new UnfitCopyException($"the file {damaged.Hash[..12]} in it is damaged.");
        }
        var facts = DatabaseFacts.Checked(Path.Combine(fresh, DatabaseName));
        if (
            facts.Rows.Count != manifest.Data.Rows.Count
            || facts.Rows.Any(r => manifest.Data.Rows.GetValueOrDefault(r.Key, -1) != r.Value)
        )
        {
            throw new UnfitCopyException("its tables do not hold the rows they were made with.");
        }
    }

    /// <summary>Kept files of a folder, by their name a hash.</summary>
    public static IEnumerable<string> Files(string folder) =>
        Directory.Exists(Path.Combine(folder, "files"))
            ? Directory
                .EnumerateFiles(Path.Combine(folder, "files"), "*", SearchOption.AllDirectories)
                .Where(f => Bytes.IsHash(Path.GetFileName(f)))
            : [];
}
