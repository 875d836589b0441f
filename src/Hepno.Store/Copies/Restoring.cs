using System.Globalization;
using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>A copy unpacked and checked beside a data folder, ready to be put in its place.</summary>
/// <param name="Folder">Where it was unpacked; gone once this is disposed and it was not put in place.</param>
/// <param name="Manifest">What it holds.</param>
public sealed record Unpacked(string Folder, CopyManifest Manifest) : IDisposable
{
    public void Dispose()
    {
        if (Directory.Exists(Folder))
        {
            Directory.Delete(Folder, recursive: true);
        }
    }
}

/// <summary>Puts copies back: an archive, a copy of a folder of copies, or a bare database of earlier days.</summary>
public static class Restoring
{
    private static readonly byte[] Packed = [0x1f, 0x8b];
    private static readonly byte[] Database = "SQLite format 3\0"u8.ToArray();

    /// <summary>Unpacks and checks whatever was named; nothing else is touched.</summary>
    /// <param name="source">An archive's file, a copy's folder or a database's file.</param>
    /// <param name="folder">The data folder it is for; it need not be there.</param>
    /// <param name="beside">The folder to unpack in.</param>
    /// <exception cref="UnfitCopyException">It cannot be put back.</exception>
    public static Unpacked Unpack(string source, string folder, string beside)
    {
        Directory.CreateDirectory(beside);
        var fresh = Path.Combine(beside, $".hepno-restore-{Guid.NewGuid():N}");
        Directory.CreateDirectory(fresh, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        var done = false;
        try
        {
            var unpacked = new Unpacked(fresh, Into(source, folder, fresh));
            done = true;
            return unpacked;
        }
        finally
        {
            if (!done)
            {
                Directory.Delete(fresh, recursive: true);
            }
        }
    }

    /// <summary>Puts it in a data folder's place while no server runs there; what was there is kept beside it, its
    /// copies come along.</summary>
    /// <returns>Where the old folder went, or null when there was none.</returns>
    /// <exception cref="UnfitCopyException">A server has the folder open.</exception>
    public static string? Put(Unpacked copy, string folder, LocalDateTime now)
    {
        string? old = null;
        if (Directory.Exists(folder))
        {
            if (InUse(folder))
            {
                throw new UnfitCopyException($"a running Hepno has {folder} open; stop it first.");
            }
            old =
                $"{Path.TrimEndingDirectorySeparator(Path.GetFullPath(folder))}.before-{now.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture)}";
            Directory.Move(folder, old);
        }
        try
        {
            Directory.Move(copy.Folder, folder);
        }
        catch when (old is not null)
        {
            Directory.Move(old, folder);
            throw;
        }
        if (old is not null && Directory.Exists(Path.Combine(old, "backups")))
        {
            // they are the shop's, whichever of its days is open
            Directory.Move(Path.Combine(old, "backups"), Path.Combine(folder, "backups"));
        }
        return old;
    }

    private static CopyManifest Into(string source, string folder, string fresh)
    {
        if (Directory.Exists(source) && new DirectoryInfo(source).LinkTarget is null)
        {
            var whole = Path.TrimEndingDirectorySeparator(Path.GetFullPath(source));
            return new CopyFolder(Path.GetDirectoryName(whole)!).Unpack(Path.GetFileName(whole), fresh);
        }
        var file = new FileInfo(source);
        if (!file.Exists && file.LinkTarget is null)
        {
            throw new UnfitCopyException($"there is no file {source}.");
        }
        // a link, a device or a pipe has no length of its own, and opening one may wait for ever
        if (file.LinkTarget is not null || file.Length == 0)
        {
            throw new UnfitCopyException(
                file.LinkTarget is null
                    ? "it is empty, or no plain file."
                    : "it is a link and no plain file: name the file itself."
            );
        }
        var first = new byte[Database.Length];
        using (var from = File.OpenRead(source))
        {
            _ = from.ReadAtLeast(first, first.Length, throwOnEndOfStream: false);
        }
        if (first.AsSpan().StartsWith(Packed))
        {
            return CopyArchive.Unpack(source, fresh);
        }
        return first.AsSpan().SequenceEqual(Database)
            ? Loose.Unpack(source, fresh, [folder, Path.Combine(folder, "backups")])
            : throw new UnfitCopyException("it is not a Hepno archive, or it is damaged.");
    }

    private static bool InUse(string folder)
    {
        try
        {
            using var held = new FileStream(
                Path.Combine(folder, "lock"),
                FileMode.OpenOrCreate,
                FileAccess.ReadWrite,
                FileShare.None
            );
            return false;
        }
        catch (IOException)
        {
            return true;
        }
    }
}
