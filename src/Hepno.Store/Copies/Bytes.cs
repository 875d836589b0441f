using System.IO.Compression;
using System.Security.Cryptography;

namespace Hepno.Store.Copies;

/// <summary>Files written whole: to the disk before they count, hashed on the way.</summary>
internal static class Bytes
{
    private const int Step = 1 << 17;

    /// <summary>What a file is: its hash and length.</summary>
    public static CopiedFile Of(string file)
    {
        using var from = File.OpenRead(file);
        return new(Convert.ToHexStringLower(SHA256.HashData(from)), from.Length);
    }

    /// <summary>Copies a stream to a new file and says what it was.</summary>
    public static CopiedFile Write(Stream from, string target)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(target)!);
        using var file = File.Create(target);
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var buffer = new byte[Step];
        for (int read; (read = from.Read(buffer)) > 0; )
        {
            hash.AppendData(buffer, 0, read);
            file.Write(buffer, 0, read);
        }
        file.Flush(flushToDisk: true);
        return new(Convert.ToHexStringLower(hash.GetHashAndReset()), file.Length);
    }

    /// <summary>Writes bytes to a new file.</summary>
    public static void Write(byte[] bytes, string target)
    {
        using var from = new MemoryStream(bytes);
        Write(from, target);
    }

    /// <summary>Packs a file.</summary>
    public static void Pack(string from, string target)
    {
        using var file = File.Create(target);
        using (var zip = new GZipStream(file, CompressionLevel.Fastest, leaveOpen: true))
        using (var read = File.OpenRead(from))
        {
            read.CopyTo(zip);
        }
        file.Flush(flushToDisk: true);
    }

    /// <summary>Where a kept file lies below a folder.</summary>
    public static string Kept(string folder, string hash) => Path.Combine(folder, "files", hash[..2], hash);

    /// <summary>Whether a name is one a kept file has.</summary>
    public static bool IsHash(string name) => name.Length == 64 && name.All(char.IsAsciiHexDigitLower);
}
