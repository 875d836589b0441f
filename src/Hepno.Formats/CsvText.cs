using System.Text;

namespace Hepno.Formats;

/// <summary>The text of a table's bytes, whatever program wrote them.</summary>
public static class CsvText
{
    private const int Windows1252 = 1252;

    static CsvText() => Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);

    /// <summary>By its byte order mark; without one UTF-8 where the bytes are UTF-8, else Windows-1252, which older
    /// spreadsheets write.</summary>
    public static string Of(byte[] bytes)
    {
        if (bytes is [0xFF, 0xFE, ..])
        {
            return Encoding.Unicode.GetString(bytes, 2, bytes.Length - 2);
        }
        if (bytes is [0xFE, 0xFF, ..])
        {
            return Encoding.BigEndianUnicode.GetString(bytes, 2, bytes.Length - 2);
        }
        try
        {
            return new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(bytes).TrimStart('\uFEFF');
        }
        catch (DecoderFallbackException)
        {
            return Encoding.GetEncoding(Windows1252).GetString(bytes);
        }
    }
}
