using System.Security.Cryptography;
using Hepno.Store.Copies;

namespace Hepno.Store;

/// <summary>Files from outside, kept by what is in them: written aside, flushed and renamed before any row names
/// them.</summary>
public static class KeptFiles
{
    /// <summary>Keeps a file and says its SHA-256 in hex; the same bytes again are the same file.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="bytes">The file.</param>
    public static string Keep(string folder, byte[] bytes)
    {
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        if (Has(folder, hash))
        {
            return hash;
        }
        using var from = new MemoryStream(bytes);
        return Keep(folder, from).Hash;
    }

    /// <summary>Keeps a file as it comes, and says its hash and whether it was not here before.</summary>
    public static (string Hash, bool IsNew) Keep(string folder, Stream from)
    {
        var aside = Path.Combine(folder, "tmp", $"{Guid.NewGuid():N}");
        try
        {
            var hash = Bytes.Write(from, aside).Hash;
            var target = Where(folder, hash);
            if (File.Exists(target))
            {
                return (hash, false);
            }
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Move(aside, target, overwrite: true);
            return (hash, true);
        }
        finally
        {
            File.Delete(aside);
        }
    }

    /// <summary>True when a file is kept.</summary>
    public static bool Has(string folder, string hash) => File.Exists(Where(folder, hash));

    /// <summary>A kept file's bytes.</summary>
    public static byte[] Read(string folder, string hash) => File.ReadAllBytes(Where(folder, hash));

    /// <summary>Drops a kept file that nothing refers to any more.</summary>
    public static void Drop(string folder, string hash) => File.Delete(Where(folder, hash));

    /// <summary>Where a kept file lies.</summary>
    public static string Where(string folder, string hash) => Bytes.Kept(folder, hash);
}
