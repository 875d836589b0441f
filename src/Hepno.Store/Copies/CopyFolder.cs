using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using Hepno.Core.Measures;
using NodaTime;
using NodaTime.Text;

namespace Hepno.Store.Copies;

/// <summary>A copy in a folder of copies.</summary>
/// <param name="Name">Its name there.</param>
/// <param name="Manifest">What it holds; null when it cannot be told, and then it does not count.</param>
/// <param name="Bytes">What it takes on the disk, without the files it shares.</param>
public sealed record ListedCopy(string Name, CopyManifest? Manifest, long Bytes);

/// <summary>
/// A folder of copies: each a folder with the database packed and a list of what belongs to it; artwork and attachments
/// lie once for all of them, by their hash. A copy is written aside, read back, and only then gets its name.
/// </summary>
public sealed class CopyFolder(string root)
{
    private const string Packed = "hepno.db.gz";
    private const string Seal = "copy.sha256";
    private const string Making = ".making-";

    private const int Daily = 14;
    private const int Weekly = 8;
    private const int Monthly = 12;
    private const int Asked = 10;
    private const int Upgrades = 3;

    /// <summary>Where it is.</summary>
    public string Root => root;

    /// <summary>The name of a day's copy.</summary>
    public static string OfDay(LocalDate day) => LocalDatePattern.Iso.Format(day);

    /// <summary>Makes a copy; one of the same name that does not hold together makes room for it.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="name">Its name.</param>
    /// <param name="why">What it is made for.</param>
    /// <param name="now">When (UTC).</param>
    /// <exception cref="IOException">No room, or the folder cannot be written.</exception>
    public CopyManifest Make(string folder, string name, string why, Instant now)
    {
        Directory.CreateDirectory(root);
        Sweep();
        var making = Directory.CreateDirectory(Path.Combine(root, $"{Making}{Guid.NewGuid():N}")).FullName;
        try
        {
            var database = Path.Combine(making, ShopCopy.DatabaseName);
            var manifest = ShopCopy.Take(folder, database, why, now, Holds);
            Bytes.Pack(database, target: Path.Combine(making, Packed));
            File.Delete(database);
            foreach (var file in manifest.Files)
            {
                Share(folder, file);
            }
            var written = manifest.Written();
            Bytes.Write(written, Path.Combine(making, CopyManifest.FileName));
            Bytes.Write(
                Encoding.ASCII.GetBytes(
                    $"{Convert.ToHexStringLower(SHA256.HashData(written))}\n{Bytes.Of(Path.Combine(making, Packed)).Hash}\n"
                ),
                Path.Combine(making, Seal)
            );
            Unpacked(making, manifest, into: null);
            var target = Path.Combine(root, name);
            if (Directory.Exists(target))
            {
                Directory.Delete(target, recursive: true);
            }
            Directory.Move(making, target);
            return manifest;
        }
        finally
        {
            if (Directory.Exists(making))
            {
                Directory.Delete(making, recursive: true);
            }
        }
    }

    /// <summary>All copies, the newest first; those that do not hold together have no list of contents.</summary>
    public IReadOnlyList<ListedCopy> All() =>
        !Directory.Exists(root)
            ? []
            :
            [
                .. Directory
                    .EnumerateDirectories(root)
                    .Where(d =>
                        Path.GetFileName(d) is var n && !n.StartsWith(Making, StringComparison.Ordinal) && n != "files"
                    )
                    .Select(d => new ListedCopy(Path.GetFileName(d), Sealed(d), Size(d)))
                    .OrderByDescending(c => c.Manifest?.MadeAt)
                    .ThenByDescending(c => c.Name, StringComparer.Ordinal),
            ];

    /// <summary>Whether there is a copy of this name that holds together to the last bit.</summary>
    public bool IsWhole(string name)
    {
        try
        {
            Verify(name);
            return true;
        }
        catch (UnfitCopyException)
        {
            return false;
        }
    }

    /// <summary>Reads a whole copy and checks every part of it.</summary>
    /// <exception cref="UnfitCopyException">It does not hold together.</exception>
    public CopyManifest Verify(string name)
    {
        var manifest = ManifestOf(name);
        Unpacked(Path.Combine(root, name), manifest, into: null);
        foreach (var file in manifest.Files)
        {
            Shared(file);
        }
        return manifest;
    }

    /// <summary>Unpacks a copy into a new folder and checks every part of it.</summary>
    /// <exception cref="UnfitCopyException">It does not hold together.</exception>
    public CopyManifest Unpack(string name, string fresh)
    {
        var manifest = ManifestOf(name);
        Unpacked(Path.Combine(root, name), manifest, Path.Combine(fresh, ShopCopy.DatabaseName));
        foreach (var file in manifest.Files)
        {
            using var from = File.OpenRead(Shared(file));
            Bytes.Write(from, Bytes.Kept(fresh, file.Hash));
        }
        ShopCopy.Check(fresh, manifest);
        return manifest;
    }

    /// <summary>Keeps the last of each day, week and month for a while, and the last of those made by hand and before a
    /// new version; files that no copy names any more go.</summary>
    public void Thin()
    {
        var whole = All().Where(c => c.Manifest is not null).ToList();
        var days = whole
            .Where(c => LocalDatePattern.Iso.Parse(c.Name).Success)
            .OrderByDescending(c => c.Name, StringComparer.Ordinal)
            .ToList();
        var kept = days.Take(Daily)
            .Concat(
                days.GroupBy(c => LocalDatePattern.Iso.Parse(c.Name).Value.Monday()).Select(g => g.First()).Take(Weekly)
            )
            .Concat(days.GroupBy(c => c.Name[..7]).Select(g => g.First()).Take(Monthly))
            .Concat(whole.Where(c => c.Manifest!.Why.StartsWith("before-", StringComparison.Ordinal)).Take(Upgrades))
            .Concat(whole.Where(c => c.Manifest!.Why == "asked").Take(Asked))
            .Select(c => c.Name)
            .ToHashSet();
        foreach (var old in whole.Where(c => !kept.Contains(c.Name)))
        {
            Directory.Delete(Path.Combine(root, old.Name), recursive: true);
        }
        var named = whole
            .Where(c => kept.Contains(c.Name))
            .SelectMany(c => c.Manifest!.Files)
            .Select(f => f.Hash)
            .ToHashSet();
        foreach (var file in ShopCopy.Files(root).Where(f => !named.Contains(Path.GetFileName(f))).ToList())
        {
            File.Delete(file);
        }
    }

    private CopyManifest ManifestOf(string name)
    {
        // a name from outside must not lead out of the folder
        if (name.Length == 0 || name != Path.GetFileName(name) || !Directory.Exists(Path.Combine(root, name)))
        {
            throw new UnfitCopyException($"there is none called {name}.");
        }
        return Sealed(Path.Combine(root, name))
            ?? throw new UnfitCopyException("its list of contents is not the one it was made with.");
    }

    // the list of contents, if it and the packed database are as the seal says
    private static CopyManifest? Sealed(string copy)
    {
        var (list, seal, packed) = (
            Path.Combine(copy, CopyManifest.FileName),
            Path.Combine(copy, Seal),
            Path.Combine(copy, Packed)
        );
        if (!File.Exists(list) || !File.Exists(seal) || !File.Exists(packed))
        {
            return null;
        }
        try
        {
            var written = File.ReadAllBytes(list);
            var lines = File.ReadAllText(seal).Split('\n');
            return
                lines.Length == 3
                && lines[2].Length == 0
                && lines[0] == Convert.ToHexStringLower(SHA256.HashData(written))
                ? CopyManifest.Read(written)
                : null;
        }
        catch (UnfitCopyException)
        {
            return null;
        }
    }

    // the packed database is what the list says; written out where a place is named
    private static void Unpacked(string copy, CopyManifest manifest, string? into)
    {
        var packed = Path.Combine(copy, Packed);
        if (File.ReadAllText(Path.Combine(copy, Seal)).Split('\n')[1] != Bytes.Of(packed).Hash)
        {
            throw new UnfitCopyException("its database is damaged.");
        }
        try
        {
            using var file = File.OpenRead(packed);
            using var zip = new GZipStream(file, CompressionMode.Decompress);
            var hash = into is null ? Convert.ToHexStringLower(SHA256.HashData(zip)) : Bytes.Write(zip, into).Hash;
            if (hash != manifest.Database.Hash)
            {
                throw new UnfitCopyException("its database is not the one it was made with.");
            }
        }
        catch (InvalidDataException)
        {
            throw new UnfitCopyException("its database is damaged.");
        }
    }

    private bool Holds(string hash, long bytes) =>
        new FileInfo(Bytes.Kept(root, hash)) is { Exists: true } there && there.Length == bytes;

    private void Share(string folder, CopiedFile file)
    {
        if (Holds(file.Hash, file.Bytes))
        {
            return;
        }
        var aside = Path.Combine(root, $"{Making}{Guid.NewGuid():N}");
        try
        {
            using (var from = File.OpenRead(Bytes.Kept(folder, file.Hash)))
            {
                if (Bytes.Write(from, aside) != file)
                {
                    throw new IOException($"The file {file.Hash[..12]} changed while it was copied.");
                }
            }
            Directory.CreateDirectory(Path.GetDirectoryName(Bytes.Kept(root, file.Hash))!);
            File.Move(aside, Bytes.Kept(root, file.Hash), overwrite: true);
        }
        finally
        {
            File.Delete(aside);
        }
    }

    private string Shared(CopiedFile file)
    {
        var path = Bytes.Kept(root, file.Hash);
        if (!File.Exists(path))
        {
            throw new UnfitCopyException($"the file {file.Hash[..12]} is missing beside it.");
        }
        return Bytes.Of(path) != file
            ? throw new UnfitCopyException($"the file {file.Hash[..12]} beside it is damaged.")
            : path;
    }

    // what a killed program left half made
    private void Sweep()
    {
        foreach (var left in Directory.EnumerateFileSystemEntries(root, $"{Making}*").ToList())
        {
            if (Directory.Exists(left))
            {
                Directory.Delete(left, recursive: true);
            }
            else
            {
                File.Delete(left);
            }
        }
    }

    private static long Size(string copy) => Directory.EnumerateFiles(copy).Sum(f => new FileInfo(f).Length);
}
