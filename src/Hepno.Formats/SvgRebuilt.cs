using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;

namespace Hepno.Formats;

/// <summary>
/// A drawing rebuilt from a list of what is allowed: shapes, gradients, masks and pictures that are inside the file.
/// Nothing that runs, moves, listens or reaches out is in the list, so nothing of it gets to the library that draws.
/// </summary>
public static partial class SvgRebuilt
{
    private const int MostCharacters = 8_000_000;
    private const int Deepest = 64;
    private const int MostDrawn = 50_000;
    private const long MostPixels = 100_000_000;
    private const int MostLayers = 12;
    private const string Svg = "http://www.w3.org/2000/svg";
    private const string XLink = "http://www.w3.org/1999/xlink";

    private static readonly HashSet<string> Elements =
    [
        .. (
            "svg g path rect circle ellipse line polyline polygon defs symbol use image linearGradient "
            + "radialGradient stop clipPath mask pattern style"
        ).Split(' '),
    ];

    private static readonly HashSet<string> Attributes =
    [
        .. (
            "id class transform viewBox preserveAspectRatio width height x y x1 y1 x2 y2 cx cy r rx ry fx fy d "
            + "points offset fill fill-opacity fill-rule stroke stroke-width stroke-opacity stroke-linecap "
            + "stroke-linejoin stroke-miterlimit "
            + "stroke-dasharray stroke-dashoffset opacity color display visibility clip-path clip-rule mask "
            + "gradientUnits gradientTransform spreadMethod patternUnits patternContentUnits patternTransform "
            + "clipPathUnits maskUnits maskContentUnits "
            + "stop-color stop-opacity style paint-order mix-blend-mode"
        ).Split(' '),
    ];

    /// <summary>The rebuilt text.</summary>
    /// <exception cref="NotAPictureException">It is no SVG, too deep, too large, or draws too much.</exception>
    public static string Of(byte[] file)
    {
        XElement root;
        try
        {
            root = Read(file);
        }
        catch (XmlException broken)
        {
            throw new NotAPictureException(
                broken.Message.Contains("DTD", StringComparison.Ordinal)
                    ? "The drawing carries a document type of its own, which may hide anything."
                    : $"The drawing is damaged in line {Math.Max(1, broken.LineNumber)}.",
                remedy: "Save it again as plain SVG."
            );
        }
        if (root.Name.LocalName != "svg")
        {
            throw new NotAPictureException(
                $"The file is XML, but a <{(root.Name.LocalName.Length > 40 ? "..." : root.Name.LocalName)}> and no drawing.",
                remedy: "Save it as plain SVG."
            );
        }
        if (root.Descendants().Any(e => e.Name.LocalName is "text" or "tspan" && e.Value.Trim().Length > 0))
        {
            throw new NotAPictureException(
                "The drawing holds live text, and its typeface is not here: it would be printed in another.",
                remedy: "Turn the text into outlines in the drawing program, and save it again."
            );
        }
        var clean = Rebuilt(root)!;
        Count(clean);
        return clean.ToString(SaveOptions.DisableFormatting);
    }

    private static XElement Read(byte[] file)
    {
        using var stream = new MemoryStream(file);
        using var reader = XmlReader.Create(
            stream,
            new XmlReaderSettings
            {
                DtdProcessing = DtdProcessing.Prohibit,
                XmlResolver = null,
                MaxCharactersInDocument = MostCharacters,
                IgnoreComments = true,
                IgnoreProcessingInstructions = true,
            }
        );
        XElement? root = null;
        var open = new Stack<XElement>();
        while (reader.Read())
        {
            if (reader.Depth > Deepest)
            {
                throw new NotAPictureException(
                    $"The drawing is nested more than {Deepest} deep.",
                    remedy: "Ungroup it, and save it as plain SVG."
                );
            }
            switch (reader.NodeType)
            {
                case XmlNodeType.Element:
                    var element = new XElement(XName.Get(reader.LocalName, Svg));
                    var empty = reader.IsEmptyElement;
                    while (reader.MoveToNextAttribute())
                    {
                        if (reader.NamespaceURI is "" or XLink && reader.Prefix != "xmlns" && reader.Name != "xmlns")
                        {
                            element.SetAttributeValue(reader.LocalName, reader.Value);
                        }
                    }
                    if (open.TryPeek(out var parent))
                    {
                        parent.Add(element);
                    }
                    root ??= element;
                    if (!empty)
                    {
                        open.Push(element);
                    }
                    break;
                case XmlNodeType.EndElement:
                    open.Pop();
                    break;
                case XmlNodeType.Text or XmlNodeType.CDATA or XmlNodeType.SignificantWhitespace when open.Count > 0:
                    open.Peek().Add(new XText(reader.Value));
                    break;
                default:
                    break;
            }
        }
        return root ?? throw new XmlException("empty");
    }

    private static XElement? Rebuilt(XElement from)
    {
        var name = from.Name.LocalName;
        if (!Elements.Contains(name))
        {
            return null;
        }
        var to = new XElement(XName.Get(name, Svg));
        foreach (var a in from.Attributes())
        {
            var key = a.Name.LocalName;
            if (key == "href" ? Inside(name, a.Value) : Attributes.Contains(key) && Harmless(a.Value))
            {
                to.SetAttributeValue(key, a.Value);
            }
        }
        foreach (var node in from.Nodes())
        {
            if (node is XElement child && Rebuilt(child) is { } kept)
            {
                to.Add(kept);
            }
            else if (node is XText text && name == "style" && Harmless(text.Value))
            {
                to.Add(new XText(text.Value));
            }
        }
        return to;
    }

    // another part of the same file; a picture may be carried as data
    private static bool Inside(string element, string value) =>
        value.StartsWith('#')
        || (
            element == "image"
            && (
                value.StartsWith("data:image/png;base64,", StringComparison.Ordinal)
                || value.StartsWith("data:image/jpeg;base64,", StringComparison.Ordinal)
            )
        );

    private static bool Harmless(string value) =>
        !Reaches().IsMatch(value) && Urls().Matches(value).All(m => m.Groups[1].Value.StartsWith('#'));

    // copies of copies of copies: what is drawn in the end is counted before anything is
    private static void Count(XElement root)
    {
        var styled = root.Descendants().Any(e => e.Name.LocalName == "style" && Layered(e.Value));
        var byId = root.DescendantsAndSelf()
            .Where(e => e.Attribute("id") is not null)
            .GroupBy(e => e.Attribute("id")!.Value)
            .ToDictionary(g => g.Key, g => g.First());
        var known = new Dictionary<XElement, (long Parts, long Pixels, int Layers)>();
        var open = new HashSet<XElement>();
        (long Parts, long Pixels, int Layers) Drawn(XElement e)
        {
            if (known.TryGetValue(e, out var n))
            {
                return n;
            }
            if (!open.Add(e))
            {
                throw new NotAPictureException(
                    "The drawing has a part that contains itself.",
                    remedy: "Save it again as plain SVG, its copies made real."
                );
            }
            var inner = e.Elements().Select(Drawn).ToList();
            if (
                e.Attribute("href") is { } href
                && e.Name.LocalName == "use"
                && byId.TryGetValue(href.Value[1..], out var used)
            )
            {
                inner.Add(Drawn(used));
            }
            open.Remove(e);
            var layer = IsLayer(e) || (styled && e.Attribute("class") is not null) ? 1 : 0;
            return known[e] = (
                Math.Min(1 + inner.Sum(i => i.Parts), MostDrawn + 1L),
                Math.Min(PixelsOf(e) + inner.Sum(i => i.Pixels), MostPixels + 1),
                layer + inner.Select(i => i.Layers).DefaultIfEmpty().Max()
            );
        }
        var (parts, pixels, layers) = Drawn(root);
        if (parts > MostDrawn)
        {
            throw new NotAPictureException(
                $"The drawing has more than {MostDrawn} parts, copies counted.",
                remedy: "Simplify it, or save it as PNG at print size."
            );
        }
        if (pixels > MostPixels)
        {
            throw new NotAPictureException(
                "The pictures inside the drawing have more than 100 million pixels together, copies counted.",
                remedy: "Save it as PNG at print size."
            );
        }
        if (layers > MostLayers)
        {
            throw new NotAPictureException(
                $"The drawing lays {layers} half-clear or masked groups into one another: more than {MostLayers}.",
                remedy: "Merge them in the drawing program, or save it as PNG at print size."
            );
        }
    }

    // a group that is drawn apart and laid down as a whole takes a picture's memory of its own
    private static bool IsLayer(XElement e) =>
        e.Attribute("mask") is not null
        || e.Attribute("mix-blend-mode") is not null
        || (e.Attribute("opacity") is { } o && o.Value.Trim() != "1")
        || (e.Attribute("style") is { } style && Layered(style.Value));

    private static bool Layered(string style) => Layers().IsMatch(style);

    private static long PixelsOf(XElement e)
    {
        if (
            e.Name.LocalName != "image"
            || e.Attribute("href")?.Value is not { } value
            || value.IndexOf(";base64,", StringComparison.Ordinal) is not (> 0 and var at)
        )
        {
            return 0;
        }
        try
        {
            return PictureFile.PixelsInside(
                Convert.FromBase64String(Uri.UnescapeDataString(value[(at + ";base64,".Length)..]))
            );
        }
        catch (FormatException)
        {
            return 0;
        }
    }

    [GeneratedRegex(
        @"@import|javascript:|expression\s*\(|behavior\s*:|-moz-binding|file:|https?:",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Reaches();

    [GeneratedRegex(@"(^|[;{\s])(opacity|mask|mix-blend-mode)\s*:", RegexOptions.IgnoreCase)]
    private static partial Regex Layers();

    [GeneratedRegex(@"url\(\s*['""]?([^)'""]*)", RegexOptions.IgnoreCase)]
    private static partial Regex Urls();
}
