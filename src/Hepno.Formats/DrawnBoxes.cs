using System.Globalization;
using System.Xml.Linq;

namespace Hepno.Formats;

/// <summary>The boxes of a drawing, where groups, uses and transforms put them.</summary>
internal sealed class DrawnBoxes(XElement root)
{
    private const int Deepest = 50;
    private const int MostParts = 100_000;
    private const int MostBoxes = 5_000;

    // drawn only where something uses them, or not at all
    private static readonly HashSet<string> Hidden =
    [
        "defs",
        "symbol",
        "clipPath",
        "mask",
        "pattern",
        "marker",
        "metadata",
    ];

    private readonly Dictionary<string, XElement> _byId = root.Descendants()
        .Where(e => e.Attribute("id") is not null)
        .GroupBy(e => (string)e.Attribute("id")!)
        .ToDictionary(g => g.Key, g => g.First());

    private int _looked;

    /// <summary>Every box so far, and whether it says which design it is.</summary>
    public List<(DrawnBox Box, bool IsNamed)> All { get; } = [];

    /// <summary>Takes the boxes of elements and of all in them.</summary>
    /// <param name="elements">The elements.</param>
    /// <param name="outer">Where the group they stand in is.</param>
    /// <param name="of">What that group says it is; null for nothing.</param>
    /// <param name="depth">How many groups deep.</param>
    public void Collect(IEnumerable<XElement> elements, SvgTransform outer, (string Key, bool IsNamed)? of, int depth)
    {
        foreach (var e in elements)
        {
            // what uses itself never ends
            if (depth > Deepest || ++_looked > MostParts || All.Count > MostBoxes)
            {
                throw new NotATableException(
                    $"The drawing is nested deeper than {Deepest} groups, or has more than {MostBoxes} boxes "
                        + $"or {MostParts} parts."
                );
            }
            if (!Hidden.Contains(e.Name.LocalName))
            {
                Take(e, outer.After(SvgTransform.Of((string?)e.Attribute("transform"))), KeyOf(e, of), depth);
            }
        }
    }

    private void Take(XElement e, SvgTransform at, (string Key, bool IsNamed)? key, int depth)
    {
        var name = e.Name.LocalName;
        if (name is "rect" or "image")
        {
            All.Add((Box(e, at, key?.Key ?? ""), key?.IsNamed == true));
        }
        else if (name == "use" && _byId.TryGetValue(Href(e), out var used))
        {
            Collect(
                used.Name.LocalName == "symbol" ? used.Elements() : [used],
                at.After(SvgTransform.By(Number(e, "x"), Number(e, "y"))),
                key,
                depth + 1
            );
        }
        else
        {
            Collect(e.Elements(), at, key, depth + 1);
        }
    }

    // a design that is said holds for all in it; else the nearest id
    private static (string Key, bool IsNamed)? KeyOf(XElement e, (string Key, bool IsNamed)? of)
    {
        if ((string?)e.Attribute("data-design") is { } design)
        {
            return (design, true);
        }
        return of is not { IsNamed: true } && e.Attribute("id") is { } id ? (id.Value, false) : of;
    }

    private static string Href(XElement e) =>
        (e.Attributes().FirstOrDefault(a => a.Name.LocalName == "href")?.Value ?? "").TrimStart('#');

    private static DrawnBox Box(XElement e, SvgTransform at, string key)
    {
        if (!at.KeepsBoxes)
        {
            throw new NotATableException(
                $"\"{(key.Length > 0 ? key : e.Name.LocalName)}\" lies askew: prints are laid straight or turned "
                    + "by a quarter."
            );
        }
        var (x, y, w, h) = at.Box(Number(e, "x"), Number(e, "y"), Number(e, "width"), Number(e, "height"));
        return new(key, x, y, w, h, at.IsQuarter != ((string?)e.Attribute("data-turned") == "yes"));
    }

    // in the drawing's own units; with a unit a pixel is one of them, ninety-six an inch
    private static double Number(XElement e, string name)
    {
        var text = ((string?)e.Attribute(name) ?? "0").Trim();
        double value;
        if (LayoutDrawing.Inches(text) is { } inches)
        {
            value = inches * 96;
        }
        else if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var plain))
        {
            value = plain;
        }
        else
        {
            value = double.NaN;
        }

        return double.IsFinite(value)
            ? value
            : throw new NotATableException(
                $"A {(e.Name.LocalName == "image" ? "picture" : "rectangle")}'s {name} is \"{text}\", not a number."
            );
    }
}
