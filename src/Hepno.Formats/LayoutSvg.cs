using System.Globalization;
using System.Text;
using System.Xml.Linq;

namespace Hepno.Formats;

/// <summary>A layout as a drawing in lines at true size: a unit is an inch; every copy a named box with its picture,
/// cut marks between them.</summary>
public static class LayoutSvg
{
    private const int Preview = 600;
    private const double Mark = 0.12;
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>Writes a sheet.</summary>
    public static byte[] Write(LaidSheet sheet, LaidPictures pictures)
    {
        var root = new XElement(
            Svg + "svg",
            new XAttribute("width", $"{Number(sheet.WidthIn)}in"),
            new XAttribute("height", $"{Number(sheet.LengthIn)}in"),
            new XAttribute("viewBox", $"0 0 {Number(sheet.WidthIn)} {Number(sheet.LengthIn)}"),
            new XElement(Svg + "title", sheet.Title)
        );
        var defs = new XElement(Svg + "defs");
        foreach (var c in sheet.Copies.DistinctBy(c => c.Key))
        {
            if (pictures[c.Key] is { } raster)
            {
                // drawn upright once, laid as often as it lies
                var (w, h) = c.Turned ? (c.HeightIn, c.WidthIn) : (c.WidthIn, c.HeightIn);
                defs.Add(
                    new XElement(
                        Svg + "image",
                        new XAttribute("id", Id(c.Key, sheet)),
                        Size(w, h),
                        new XAttribute("preserveAspectRatio", "none"),
                        new XAttribute(
                            "href",
                            $"data:image/png;base64,{Convert.ToBase64String(PngPicture.Write(raster, Preview))}"
                        )
                    )
                );
            }
        }
        root.Add(defs);
        foreach (var c in sheet.Copies)
        {
            var copy = new XElement(
                Svg + "g",
                new XAttribute("data-design", c.Key),
                new XElement(Svg + "title", c.Name)
            );
            if (pictures[c.Key] is not null)
            {
                copy.Add(
                    new XElement(
                        Svg + "use",
                        new XAttribute("href", $"#{Id(c.Key, sheet)}"),
                        new XAttribute(
                            "transform",
                            c.Turned
                                ? $"translate({Number(c.X + c.WidthIn)} {Number(c.Y)}) rotate(90)"
                                : $"translate({Number(c.X)} {Number(c.Y)})"
                        )
                    )
                );
            }
            copy.Add(
                new XElement(
                    Svg + "rect",
                    new XAttribute("x", Number(c.X)),
                    new XAttribute("y", Number(c.Y)),
                    Size(c.WidthIn, c.HeightIn),
                    new XAttribute("fill", "none"),
                    new XAttribute("stroke", "#131f2e"),
                    new XAttribute("stroke-width", "0.01"),
                    c.Turned ? new XAttribute("data-turned", "yes") : null
                )
            );
            copy.Add(
                new XElement(
                    Svg + "path",
                    new XAttribute("d", Marks(c)),
                    new XAttribute("stroke", "#131f2e"),
                    new XAttribute("stroke-width", "0.01"),
                    new XAttribute("fill", "none")
                )
            );
            root.Add(copy);
        }
        return Encoding.UTF8.GetBytes(root.ToString(SaveOptions.DisableFormatting));
    }

    // corners of the cut, outside the print
    private static string Marks(LaidBox c)
    {
        var corners = new[]
        {
            (c.X, c.Y, -1, -1),
            (c.X + c.WidthIn, c.Y, 1, -1),
            (c.X, c.Y + c.HeightIn, -1, 1),
            (c.X + c.WidthIn, c.Y + c.HeightIn, 1, 1),
        };
        return string.Concat(
            corners.Select(k =>
                $"M{Number(k.Item1)} {Number(k.Item2)}h{Number(k.Item3 * Mark)}M{Number(k.Item1)} "
                + $"{Number(k.Item2)}v{Number(k.Item4 * Mark)}"
            )
        );
    }

    private static string Id(string key, LaidSheet sheet) =>
        $"design-{sheet.Copies.Select(c => c.Key).Distinct().ToList().IndexOf(key) + 1}";

    private static XAttribute[] Size(double w, double h) => [new("width", Number(w)), new("height", Number(h))];

    private static string Number(double value) => Math.Round(value, 5).ToString(CultureInfo.InvariantCulture);
}
