using System.Globalization;
using System.Text;
using System.Xml;
using System.Xml.Linq;

namespace Hepno.Formats;

/// <summary>A layout as a drawing in lines at true size: a unit is an inch; every copy a named box with its picture, cut marks between them. Also reads one back.</summary>
public static class LayoutSvg
{
    private const int Preview = 600;
    private const double Mark = 0.12;
    private const int MostBytes = 20_000_000;
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>Writes a sheet.</summary>
    public static byte[] Write(LaidSheet sheet, LaidPictures pictures)
    {
        var root = new XElement(Svg + "svg", new XAttribute("width", $"{Number(sheet.WidthIn)}in"), new XAttribute("height", $"{Number(sheet.LengthIn)}in"), new XAttribute("viewBox", $"0 0 {Number(sheet.WidthIn)} {Number(sheet.LengthIn)}"), new XElement(Svg + "title", sheet.Title));
        var defs = new XElement(Svg + "defs");
        foreach (var c in sheet.Copies.DistinctBy(c => c.Key))
        {
            if (pictures[c.Key] is { } raster)
            {
                // drawn upright once, laid as often as it lies
                var (w, h) = c.Turned ? (c.HeightIn, c.WidthIn) : (c.WidthIn, c.HeightIn);
                defs.Add(new XElement(Svg + "image", new XAttribute("id", Id(c.Key, sheet)), Size(w, h), new XAttribute("preserveAspectRatio", "none"), new XAttribute("href", $"data:image/png;base64,{Convert.ToBase64String(PngPicture.Write(raster, Preview))}")));
            }
        }
        root.Add(defs);
        foreach (var c in sheet.Copies)
        {
            var copy = new XElement(Svg + "g", new XAttribute("data-design", c.Key), new XElement(Svg + "title", c.Name));
            if (pictures[c.Key] is not null)
            {
                copy.Add(new XElement(Svg + "use", new XAttribute("href", $"#{Id(c.Key, sheet)}"), new XAttribute("transform", c.Turned ? $"translate({Number(c.X + c.WidthIn)} {Number(c.Y)}) rotate(90)" : $"translate({Number(c.X)} {Number(c.Y)})")));
            }
            copy.Add(new XElement(Svg + "rect", new XAttribute("x", Number(c.X)), new XAttribute("y", Number(c.Y)), Size(c.WidthIn, c.HeightIn), new XAttribute("fill", "none"), new XAttribute("stroke", "#131f2e"), new XAttribute("stroke-width", "0.01"), c.Turned ? new XAttribute("data-turned", "yes") : null));
            copy.Add(new XElement(Svg + "path", new XAttribute("d", Marks(c)), new XAttribute("stroke", "#131f2e"), new XAttribute("stroke-width", "0.01"), new XAttribute("fill", "none")));
            root.Add(copy);
        }
        return Encoding.UTF8.GetBytes(root.ToString(SaveOptions.DisableFormatting));
    }

    /// <summary>Boxes of a drawing, in inches: rectangles and pictures that say which design they are, or any rectangle, with the drawing's own scale in.</summary>
    /// <exception cref="NotATableException">It is no drawing, or it does not say how large it is.</exception>
    public static IReadOnlyList<(string Key, double X, double Y, double WidthIn, double HeightIn, bool Turned)> Read(string text)
    {
        var root = Parsed(text);
        if (root.Name.LocalName != "svg" || Inches((string?)root.Attribute("width")) is not { } width || Box((string?)root.Attribute("viewBox")) is not { } box)
        {
            throw new NotATableException("The drawing does not say how large it is: a width with its unit and a viewBox.");
        }
        var scale = width / box.Width;
        return [.. root.Descendants().Where(e => e.Name.LocalName == "rect").Select(r => (
            Key: (string?)r.Attribute("data-design") ?? (string?)r.Parent?.Attribute("data-design") ?? (string?)r.Attribute("id") ?? "", X: (At(r, "x") - box.Left) * scale, Y: (At(r, "y") - box.Top) * scale, WidthIn: At(r, "width") * scale, HeightIn: At(r, "height") * scale, Turned: (string?)r.Attribute("data-turned") == "yes"))];
    }

    private static XElement Parsed(string text)
    {
        try
        {
            using var reader = XmlReader.Create(new StringReader(text), new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = MostBytes });
            return XElement.Load(reader);
        }
        catch (XmlException)
        {
            throw new NotATableException("The file is no drawing (SVG) that can be read.");
        }
    }

    private static double At(XElement e, string name) => double.TryParse((string?)e.Attribute(name) ?? "0", NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value
        : throw new NotATableException($"A rectangle's {name} is \"{(string?)e.Attribute(name)}\", not a number.");

    private static double? Inches(string? text)
    {
        var unit = new[] { ("in", 1.0), ("mm", 1 / 25.4), ("cm", 1 / 2.54), ("pt", 1 / 72.0), ("px", 1 / 96.0) }.FirstOrDefault(u => text?.EndsWith(u.Item1, StringComparison.Ordinal) == true);
        return unit.Item1 is null ? null : double.TryParse(text![..^2], NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && value > 0 ? value * unit.Item2 : null;
    }

    private static (double Left, double Top, double Width)? Box(string? text)
    {
        var parts = (text ?? "").Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(p => double.TryParse(p, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) ? v : double.NaN).ToArray();
        return parts.Length == 4 && parts.All(double.IsFinite) && parts[2] > 0 ? (parts[0], parts[1], parts[2]) : null;
    }

    // corners of the cut, outside the print
    private static string Marks(LaidBox c)
    {
        var corners = new[] { (c.X, c.Y, -1, -1), (c.X + c.WidthIn, c.Y, 1, -1), (c.X, c.Y + c.HeightIn, -1, 1), (c.X + c.WidthIn, c.Y + c.HeightIn, 1, 1) };
        return string.Concat(corners.Select(k => $"M{Number(k.Item1)} {Number(k.Item2)}h{Number(k.Item3 * Mark)}M{Number(k.Item1)} {Number(k.Item2)}v{Number(k.Item4 * Mark)}"));
    }

    private static string Id(string key, LaidSheet sheet) => $"design-{sheet.Copies.Select(c => c.Key).Distinct().ToList().IndexOf(key) + 1}";

    private static XAttribute[] Size(double w, double h) => [new("width", Number(w)), new("height", Number(h))];

    private static string Number(double value) => Math.Round(value, 5).ToString(CultureInfo.InvariantCulture);
}
