using System.Globalization;
using System.Xml;
using System.Xml.Linq;

namespace Hepno.Formats;

/// <summary>A box of a drawing, in inches.</summary>
/// <param name="Key">Which design it says it is, or its id; may be empty.</param>
/// <param name="X">Left edge.</param>
/// <param name="Y">Top edge.</param>
/// <param name="WidthIn">Width as it lies.</param>
/// <param name="HeightIn">Height as it lies.</param>
/// <param name="Turned">True when it lies turned by a quarter.</param>
public sealed record DrawnBox(string Key, double X, double Y, double WidthIn, double HeightIn, bool Turned);

/// <summary>
/// Reads a layout that was drawn: rectangles and pictures where groups, uses and transforms put them, at the drawing's
/// own scale. Where boxes say which design they are, only those count; else every one but the sheet itself, a picture
/// and its frame once.
/// </summary>
public static class LayoutDrawing
{
    private const int MostBytes = 20_000_000;
    private const double SameIn = 0.02;

    /// <summary>Its boxes.</summary>
    /// <exception cref="NotATableException">It is no drawing, does not say how large it is, or a box lies
    /// askew.</exception>
    public static IReadOnlyList<DrawnBox> Read(string text)
    {
        var root = Parsed(text);
        if (
            root.Name.LocalName != "svg"
            || Inches((string?)root.Attribute("width")) is not { } width
            || width <= 0
            || View((string?)root.Attribute("viewBox")) is not { } view
        )
        {
            throw new NotATableException(
                "The drawing does not say how large it is: a width with its unit and a viewBox."
            );
        }
        var scale = width / view.Width;
        var found = new DrawnBoxes(root);
        found.Collect(root.Elements(), new(scale, 0, 0, scale, -view.Left * scale, -view.Top * scale), null, 0);
        var all = found.All;
        var named = all.Where(b => b.IsNamed).Select(b => b.Box).ToList();
        return Once(
            named.Count > 0
                ? named
                :
                [
                    .. all.Select(b => b.Box)
                        .Where(b =>
                            b.WidthIn < (view.Width * scale) - SameIn || b.HeightIn < (view.Height * scale) - SameIn
                        ),
                ]
        );
    }

    // a picture and the frame round it are one; the frame, drawn over it, is what is cut
    private static List<DrawnBox> Once(IReadOnlyList<DrawnBox> boxes)
    {
        List<DrawnBox> once = [];
        foreach (var b in boxes)
        {
            var at = once.FindIndex(o =>
                Math.Abs(o.X - b.X) < SameIn
                && Math.Abs(o.Y - b.Y) < SameIn
                && Math.Abs(o.WidthIn - b.WidthIn) < SameIn
                && Math.Abs(o.HeightIn - b.HeightIn) < SameIn
            );
            if (at < 0)
            {
                once.Add(b);
            }
            else
            {
                once[at] = b with
                {
                    Key = b.Key.Length > 0 ? b.Key : once[at].Key,
                    Turned = b.Turned || once[at].Turned,
                };
            }
        }
        return once;
    }

    private static XElement Parsed(string text)
    {
        try
        {
            using var reader = XmlReader.Create(
                new StringReader(text),
                new XmlReaderSettings
                {
                    DtdProcessing = DtdProcessing.Prohibit,
                    XmlResolver = null,
                    MaxCharactersInDocument = MostBytes,
                }
            );
            return XElement.Load(reader);
        }
        catch (XmlException)
        {
            throw new NotATableException("The file is no drawing (SVG) that can be read.");
        }
    }

    internal static double? Inches(string? text)
    {
        var unit = new[]
        {
            ("in", 1.0),
            ("mm", 1 / 25.4),
            ("cm", 1 / 2.54),
            ("pt", 1 / 72.0),
            ("px", 1 / 96.0),
        }.FirstOrDefault(u => text?.EndsWith(u.Item1, StringComparison.Ordinal) == true);
        return
            unit.Item1 is not null
            && double.TryParse(text![..^2], NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            ? value * unit.Item2
            : null;
    }

    private static (double Left, double Top, double Width, double Height)? View(string? text)
    {
        var parts = (text ?? "")
            .Split([' ', ','], StringSplitOptions.RemoveEmptyEntries)
            .Select(p =>
                double.TryParse(p, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) ? v : double.NaN
            )
            .ToArray();
        return parts.Length == 4 && parts.All(double.IsFinite) && parts[2] > 0
            ? (parts[0], parts[1], parts[2], parts[3])
            : null;
    }
}
