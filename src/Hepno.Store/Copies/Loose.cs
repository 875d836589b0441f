using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>A database and files without a list of contents, as copies were before there were lists: what they hold is
/// read off them.</summary>
internal static class Loose
{
    /// <summary>The list they would have had.</summary>
    /// <exception cref="UnfitCopyException">The database is none, or names a file that is not there.</exception>
    public static CopyManifest ManifestOf(string fresh)
    {
        var database = Path.Combine(fresh, ShopCopy.DatabaseName);
        if (!File.Exists(database))
        {
            throw new UnfitCopyException("it holds no shop.");
        }
        var facts = DatabaseFacts.Checked(database);
        var files = ShopCopy
            .Files(fresh)
            .Select(f => new CopiedFile(Path.GetFileName(f), new FileInfo(f).Length))
            .OrderBy(f => f.Hash, StringComparer.Ordinal)
            .ToList();
        return DatabaseFacts.FilesNamed(database).Except(files.Select(f => f.Hash)).FirstOrDefault() is { } missing
            ? throw new UnfitCopyException(
                $"the file {missing[..Math.Min(12, missing.Length)]} that its data names is missing."
            )
            : new(
                CopyManifest.Known,
                facts.LastAt ?? Instant.FromDateTimeUtc(File.GetLastWriteTimeUtc(database)),
                "asked",
                facts,
                Bytes.Of(database),
                files,
                []
            );
    }

    /// <summary>Takes a bare database with the files it names from where they lie.</summary>
    /// <param name="database">The file.</param>
    /// <param name="fresh">The new folder.</param>
    /// <param name="sources">Folders that may have its files.</param>
    public static CopyManifest Unpack(string database, string fresh, IEnumerable<string> sources)
    {
        using (var from = File.OpenRead(database))
        {
            Bytes.Write(from, Path.Combine(fresh, ShopCopy.DatabaseName));
        }
        DatabaseFacts.Checked(Path.Combine(fresh, ShopCopy.DatabaseName));
        foreach (var hash in DatabaseFacts.FilesNamed(Path.Combine(fresh, ShopCopy.DatabaseName)).Where(Bytes.IsHash))
        {
            if (sources.Select(s => Bytes.Kept(s, hash)).FirstOrDefault(File.Exists) is { } kept)
            {
                using var from = File.OpenRead(kept);
                Bytes.Write(from, Bytes.Kept(fresh, hash));
            }
        }
        var manifest = ManifestOf(fresh);
        ShopCopy.Check(fresh, manifest);
        return manifest;
    }
}
