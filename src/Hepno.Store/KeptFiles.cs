using System.Security.Cryptography;

namespace Hepno.Store;

/// <summary>Files from outside, kept by what is in them: written aside, flushed and renamed before any row names them.</summary>
public static class KeptFiles
{
    /// <summary>Keeps a file and says its SHA-256 in hex; the same bytes again are the same file.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="bytes">The file.</param>
    public static string Keep(string folder, byte[] bytes)
    {
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        var target = Where(folder, hash);
        if (File.Exists(target))
        {
            return hash;
        }
        Directory.CreateDirectory(Path.GetDirectoryName(target)!);
        var aside = Path.Combine(folder, "tmp", $"{Guid.NewGuid():N}");
        try
        {
            using (var file = File.Create(aside))
            {
                file.Write(bytes);
                file.Flush(flushToDisk: true);
            }
            File.Move(aside, target, overwrite: true);
        }
        finally
        {
            File.Delete(aside);
        }
        return hash;
    }

    /// <summary>True when a file is kept.</summary>
    public static bool Has(string folder, string hash) => File.Exists(Where(folder, hash));

    /// <summary>A kept file's bytes.</summary>
    public static byte[] Read(string folder, string hash) => File.ReadAllBytes(Where(folder, hash));

    /// <summary>Drops a kept file that nothing refers to any more.</summary>
    public static void Drop(string folder, string hash) => File.Delete(Where(folder, hash));

    private static string Where(string folder, string hash) => Path.Combine(folder, "files", hash[..2], hash);
}
