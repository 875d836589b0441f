using System.Formats.Tar;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using NodaTime;

namespace Hepno.Store.Copies;

/// <summary>
/// A whole shop as one file that ordinary tools unpack: a packed tar of the list of contents, the database and its
/// files, and behind it an empty packed part whose comment is the hash of everything before it, so that not one bit can
/// change unnoticed.
/// </summary>
public static class CopyArchive
{
    // gzip: magic, deflate, "has a comment", no time, no extra flags, system unknown; the comment; an empty block; its
    // check sum and length
    private static readonly byte[] Head = [0x1f, 0x8b, 8, 0x10, 0, 0, 0, 0, 0, 0xff];
    private static readonly byte[] Tail = [0, 3, 0, 0, 0, 0, 0, 0, 0, 0, 0];
    private static readonly int SealLength = Seal(new byte[32]).Length;

    /// <summary>Writes an archive of a data folder, also while a server writes to it.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="target">The file; it gets its name once it is whole.</param>
    /// <param name="now">When (UTC).</param>
    /// <exception cref="UnfitCopyException">There is no shop.</exception>
    public static CopyManifest Write(string folder, string target, Instant now)
    {
        if (!File.Exists(Db.File(folder)))
        {
            throw new UnfitCopyException($"there is no shop in {folder}.");
        }
        var partial = target + ".part";
        var copy = Path.Combine(folder, "tmp", $"backup-{Guid.NewGuid():N}.db");
        Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
        try
        {
            var manifest = ShopCopy.Take(folder, copy, why: "asked", now, (_, _) => false);
            using (var file = new FileStream(partial, FileMode.Create, FileAccess.ReadWrite))
            {
                using (var zip = new GZipStream(file, CompressionLevel.Fastest, leaveOpen: true))
                using (var tar = new TarWriter(zip))
                {
                    using var list = new MemoryStream(manifest.Written());
                    tar.WriteEntry(
                        new PaxTarEntry(TarEntryType.RegularFile, CopyManifest.FileName) { DataStream = list }
                    );
                    tar.WriteEntry(copy, ShopCopy.DatabaseName);
                    foreach (var kept in manifest.Files)
                    {
                        tar.WriteEntry(
                            Bytes.Kept(folder, kept.Hash),
                            Path.GetRelativePath(folder, Bytes.Kept(folder, kept.Hash))
                        );
                    }
                }
                file.Position = 0;
                var seal = Seal(SHA256.HashData(file));
                file.Write(seal);
                file.Flush(flushToDisk: true);
            }
            File.Move(partial, target, overwrite: true);
            return manifest;
        }
        finally
        {
            File.Delete(copy);
            File.Delete(partial);
        }
    }

    /// <summary>Unpacks an archive into a new folder and checks every part of it. Archives made before there were seals
    /// are checked as far as they can be.</summary>
    /// <exception cref="UnfitCopyException">It is damaged, or holds what no archive of a shop holds.</exception>
    public static CopyManifest Unpack(string archive, string fresh)
    {
        var isSealed = IsSealed(archive);
        byte[]? list = null;
        try
        {
            using var file = File.OpenRead(archive);
            using var zip = new GZipStream(file, CompressionMode.Decompress);
            using var tar = new TarReader(zip);
            while (tar.GetNextEntry() is { } entry)
            {
                list = Take(entry, fresh) ?? list;
            }
        }
        catch (Exception damaged)
            when (damaged is InvalidDataException or EndOfStreamException or IOException or FormatException)
        {
            throw new UnfitCopyException("it is not a Hepno archive, or it is damaged.");
        }
        if (isSealed != (list is not null))
        {
            throw new UnfitCopyException("it is not a Hepno archive, or it is damaged.");
        }
        var manifest = list is null ? Loose.ManifestOf(fresh) : CopyManifest.Read(list);
        ShopCopy.Check(fresh, manifest);
        return manifest;
    }

    // nothing but plain files of known names: no link, no device, no way out of the folder
    private static byte[]? Take(TarEntry entry, string fresh)
    {
        var name = entry.Name;
        var parts = name.Split('/');
        var isKept =
            parts is ["files", var two, var hash]
            && Bytes.IsHash(hash)
            && hash.StartsWith(two, StringComparison.Ordinal)
            && two.Length == 2;
        if (
            entry.EntryType is not (TarEntryType.RegularFile or TarEntryType.V7RegularFile)
            || !(isKept || name is ShopCopy.DatabaseName or CopyManifest.FileName)
        )
        {
            throw new UnfitCopyException(
                $"it holds \"{(name.Length > 60 ? name[..60] : name)}\", which no archive of a shop holds."
            );
        }
        if (name == CopyManifest.FileName)
        {
            using var memory = new MemoryStream();
            entry.DataStream?.CopyTo(memory);
            return memory.ToArray();
        }
        Bytes.Write(entry.DataStream ?? Stream.Null, Path.Combine(fresh, name));
        return null;
    }

    private static bool IsSealed(string archive)
    {
        using var file = File.OpenRead(archive);
        if (file.Length <= SealLength)
        {
            return false;
        }
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var (left, buffer) = (file.Length - SealLength, new byte[1 << 17]);
        for (; left > 0; left -= buffer.Length)
        {
            var step = (int)Math.Min(left, buffer.Length);
            file.ReadExactly(buffer, 0, step);
            hash.AppendData(buffer, 0, step);
        }
        var seal = new byte[SealLength];
        file.ReadExactly(seal);
        return seal.AsSpan().SequenceEqual(Seal(hash.GetHashAndReset()));
    }

    private static byte[] Seal(byte[] hash) =>
        [.. Head, .. Encoding.ASCII.GetBytes($"hepno sha256 {Convert.ToHexStringLower(hash)}"), .. Tail];
}
