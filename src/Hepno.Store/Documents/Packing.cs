using System.IO.Compression;
using System.Text;

namespace Hepno.Store.Documents;

/// <summary>A document's text as the database keeps it: a Brotli stream of its UTF-8, a fifth to a tenth of its length.
/// Never changed: a migration packs with it.</summary>
public static class Packing
{
    /// <summary>The name migrations call it by.</summary>
    public const string SqlName = "packed";

    public static byte[] Pack(string text)
    {
        using var packed = new MemoryStream();
        using (var brotli = new BrotliStream(packed, CompressionLevel.Optimal))
        {
            brotli.Write(Encoding.UTF8.GetBytes(text));
        }
        return packed.ToArray();
    }

    public static string Unpack(byte[] packed)
    {
        using var brotli = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
        using var text = new StreamReader(brotli, Encoding.UTF8);
        return text.ReadToEnd();
    }
}
