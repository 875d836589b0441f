using System.Text;
using QRCoder;

namespace Hepno.Formats;

/// <summary>An address as a square code a tablet's camera reads.</summary>
/// <param name="Size">Modules a side, quiet zone included.</param>
/// <param name="Path">The dark modules as an SVG path, one unit a module.</param>
public sealed record QrCode(int Size, string Path)
{
    /// <summary>The code of a text, at medium error correction.</summary>
    public static QrCode Of(string text)
    {
        using var data = Data(text);
        var path = new StringBuilder();
        for (var y = 0; y < data.ModuleMatrix.Count; y++)
        {
            for (var x = 0; x < data.ModuleMatrix.Count; x++)
            {
                if (data.ModuleMatrix[y][x])
                {
                    path.Append(System.Globalization.CultureInfo.InvariantCulture, $"M{x} {y}h1v1h-1z");
                }
            }
        }
        return new(data.ModuleMatrix.Count, path.ToString());
    }

    /// <summary>The code as a drawing on its light ground, as it is printed.</summary>
    public string Svg =>
        $"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {Size} {Size}">"""
        + $"""<path d="M0 0h{Size}v{Size}h-{Size}z" fill="#ffffff"/><path d="{Path}" fill="#000000"/></svg>""";

    /// <summary>The code of a text in half blocks, for a terminal with light letters on a dark ground.</summary>
    public static string Terminal(string text)
    {
        using var data = Data(text);
        var rows = data.ModuleMatrix;
        var lines = new StringBuilder();
        for (var y = 0; y < rows.Count; y += 2)
        {
            for (var x = 0; x < rows.Count; x++)
            {
                var (upper, lower) = (!rows[y][x], y + 1 < rows.Count && !rows[y + 1][x]);
                lines.Append(
                    (upper, lower) switch
                    {
                        (true, true) => '█',
                        (true, false) => '▀',
                        (false, true) => '▄',
                        _ => ' ',
                    }
                );
            }
            lines.AppendLine();
        }
        return lines.ToString();
    }

    private static QRCodeData Data(string text) => QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
}
