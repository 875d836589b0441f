using System.Reflection;
using PdfSharp.Drawing;
using PdfSharp.Fonts;
using PdfSharp.Pdf;
using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>The pages of a document: text and rules placed by hand, in the shipped typeface, tagged so that a screen
/// reader reads them in order.</summary>
internal sealed class Sheet : IDisposable
{
    /// <summary>12 mm on every side of a letter; labels have less.</summary>
    public const double Margin = 42;

    public static readonly XColor Ink = XColor.FromArgb(0x13, 0x1F, 0x2E);
    public static readonly XColor Quiet = XColor.FromArgb(0x3A, 0x46, 0x54);
    public static readonly XColor Rule = XColor.FromArgb(0xCD, 0xC4, 0xB1);
    public static readonly XColor Go = XColor.FromArgb(0x0A, 0x62, 0x5C);

    private const string Family = "Atkinson Hyperlegible Next";

    private static readonly XPdfFontOptions Embedded = new(PdfFontEncoding.Unicode);

    private readonly PdfDocument document = new();
    private readonly UAManager tags;
    private XGraphics graphics;
    private bool inElement;

    static Sheet() => GlobalFontSettings.FontResolver ??= new ShippedFonts();

    public Sheet(PaperSize paper, string title, string shop, double margin = Margin)
    {
        Left = margin;
        document.Info.Title = title;
        document.Info.Author = shop;
        document.Info.Creator = shop;
        tags = UAManager.ForDocument(document);
        tags.SetDocumentLanguage("en");
        document.ViewerPreferences.DisplayDocTitle = true;
        Paper = paper;
        graphics = AddPage();
    }

    public PaperSize Paper { get; }

    public double Left { get; }

    public double Right => Paper.Width - Left;

    public double Y { get; set; } = Margin;

    public int Pages => document.PageCount;

    /// <summary>Lowest baseline of running text: what stands at the foot of a page is below it.</summary>
    public double Bottom => Paper.Height - Margin - 26;

    /// <summary>Begins another page; returns with <see cref="Y"/> at its top.</summary>
    public void NextPage()
    {
        graphics.Dispose();
        graphics = AddPage();
        Y = Margin;
    }

    /// <summary>Draws one structural element; everything drawn in it is read as it.</summary>
    public void Element(PdfBlockLevelElementTag tag, Action draw)
    {
        tags.StructureBuilder.BeginElement(tag);
        inElement = true;
        draw();
        tags.StructureBuilder.End();
        inElement = false;
    }

    /// <summary>A table with its rows; <paramref name="draw"/> draws them by <see cref="Row"/>.</summary>
    public void Table(Action draw) => Group(PdfBlockLevelElementTag.Table, draw);

    /// <summary>One row of a table; <paramref name="draw"/> draws cells by <see cref="Cell"/>.</summary>
    public void Row(Action draw) => Group(PdfBlockLevelElementTag.TableRow, draw);

    /// <summary>One cell, of a head or of a figure.</summary>
    public void Cell(Action draw, bool head = false) =>
        Element(head ? PdfBlockLevelElementTag.TableHeaderCell : PdfBlockLevelElementTag.TableDataCell, draw);

    private void Group(PdfBlockLevelElementTag tag, Action draw)
    {
        tags.StructureBuilder.BeginElement(tag);
        draw();
        tags.StructureBuilder.End();
    }

    private XGraphics AddPage()
    {
        var page = document.AddPage();
        page.Width = XUnit.FromPoint(Paper.Width);
        page.Height = XUnit.FromPoint(Paper.Height);
        return XGraphics.FromPdfPage(page);
    }

    // rules and marks say nothing to a reader
    private void Decor(Action draw)
    {
        tags.StructureBuilder.BeginArtifact();
        draw();
        tags.StructureBuilder.End();
    }

    public static XFont Font(double size, bool bold = false) =>
        new(Family, size, bold ? XFontStyleEx.Bold : XFontStyleEx.Regular, Embedded);

    public double Measure(string text, double size, bool bold = false) =>
        graphics.MeasureString(text, Font(size, bold)).Width;

    /// <summary>Text with its baseline at the given height.</summary>
    public void Text(
        string text,
        double x,
        double baseline,
        double size,
        bool bold = false,
        XColor? colour = null,
        bool right = false
    )
    {
        if (!inElement)
        {
            Element(PdfBlockLevelElementTag.Paragraph, () => Text(text, x, baseline, size, bold, colour, right));
            return;
        }
        var brush = new XSolidBrush(colour ?? Ink);
        graphics.DrawString(text, Font(size, bold), brush, right ? x - Measure(text, size, bold) : x, baseline);
    }

    /// <summary>Text broken into lines no wider than given; returns the baseline of the last line.</summary>
    public double Paragraph(
        string text,
        double x,
        double baseline,
        double width,
        double size,
        double leading,
        bool bold = false,
        XColor? colour = null
    )
    {
        if (!inElement)
        {
            Element(PdfBlockLevelElementTag.Paragraph, () =>
                baseline = Paragraph(text, x, baseline, width, size, leading, bold, colour)
            );
            return baseline;
        }
        foreach (var line in Lines(text, width, size, bold))
        {
            Text(line, x, baseline, size, bold, colour);
            baseline += leading;
        }
        return baseline - leading;
    }

    public IEnumerable<string> Lines(string text, double width, double size, bool bold = false) =>
        text.Split('\n').SelectMany(typed => Wrapped(typed, width, size, bold));

    private IEnumerable<string> Wrapped(string text, double width, double size, bool bold)
    {
        var line = "";
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var longer = line.Length == 0 ? word : $"{line} {word}";
            if (line.Length > 0 && Measure(longer, size, bold) > width)
            {
                yield return line;
                longer = word;
            }
            line = longer;
            while (Measure(line, size, bold) > width && line.Length > 1)
            {
                var fits = line.Length - 1;
                while (fits > 1 && Measure(line[..fits], size, bold) > width)
                {
                    fits--;
                }
                yield return line[..fits];
                line = line[fits..];
            }
        }
        if (line.Length > 0)
        {
            yield return line;
        }
    }

    public void Line(double y, double thickness = 0.75, XColor? colour = null) =>
        Decor(() => graphics.DrawLine(new XPen(colour ?? Ink, thickness), Left, y, Right, y));

    public void Line(double x1, double y1, double x2, double y2, double thickness = 0.75) =>
        Decor(() => graphics.DrawLine(new XPen(Ink, thickness), x1, y1, x2, y2));

    public void Box(double x, double y, double width, double height, double thickness = 0.75) =>
        Decor(() => graphics.DrawRectangle(new XPen(Ink, thickness), x, y, width, height));

    /// <summary>The shop's mark: a tern's two wings.</summary>
    public void Mark(double x, double y)
    {
        var path = new XGraphicsPath();
        path.AddBezier(x, y + 4, x + 14, y - 2, x + 22, y + 4, x + 24, y + 14);
        path.AddBezier(x + 24, y + 14, x + 26, y + 4, x + 34, y - 2, x + 48, y + 4);
        path.AddBezier(x + 48, y + 4, x + 36, y + 4, x + 30, y + 10, x + 26, y + 24);
        path.AddLine(x + 26, y + 24, x + 22, y + 24);
        path.AddBezier(x + 22, y + 24, x + 18, y + 10, x + 12, y + 4, x, y + 4);
        Decor(() => graphics.DrawPath(new XSolidBrush(Ink), path));
    }

    public byte[] Bytes()
    {
        graphics.Dispose();
        using var stream = new MemoryStream();
        document.Save(stream, closeStream: false);
        return stream.ToArray();
    }

    public void Dispose()
    {
        graphics.Dispose();
        document.Dispose();
    }

    private sealed class ShippedFonts : IFontResolver
    {
        public FontResolverInfo? ResolveTypeface(string familyName, bool bold, bool italic) =>
            new(bold ? "AtkinsonHyperlegibleNext_700Bold" : "AtkinsonHyperlegibleNext_400Regular");

        public byte[]? GetFont(string faceName)
        {
            using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"{faceName}.ttf")!;
            var bytes = new byte[stream.Length];
            stream.ReadExactly(bytes);
            return bytes;
        }
    }
}
