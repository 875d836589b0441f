using PdfSharp.Drawing;
using PdfSharp.Pdf;

namespace Hepno.Formats;

/// <summary>A layout at true size on pages as large as its sheets: pictures, names and cut marks.</summary>
public static class LayoutPdf
{
    private const double Inch = 72;

    // a page may have so many units; a longer roll counts in larger ones
    private const double MostUnits = 14_400;
    private const double Mark = 0.12;

    /// <summary>A page for each sheet.</summary>
    public static byte[] Print(IReadOnlyList<LaidSheet> sheets, LaidPictures pictures)
    {
        using var document = new PdfDocument();
        document.Info.Title = sheets[0].Title;
        var images = new Dictionary<string, XImage?>();
        XImage? Image(string key) =>
            images.TryGetValue(key, out var known)
                ? known
                : images[key] = pictures[key] is { } raster
                    ? XImage.FromStream(new MemoryStream(PngPicture.Write(raster)))
                    : null;
        foreach (var sheet in sheets)
        {
            var unit = Math.Max(1, Math.Ceiling(Math.Max(sheet.WidthIn, sheet.LengthIn) * Inch / MostUnits));
            var page = document.AddPage();
            page.Width = XUnit.FromPoint(sheet.WidthIn * Inch / unit);
            page.Height = XUnit.FromPoint(sheet.LengthIn * Inch / unit);
            if (unit > 1)
            {
                page.Elements.SetReal("/UserUnit", unit);
            }
            using var g = XGraphics.FromPdfPage(page);
            g.ScaleTransform(Inch / unit);
            foreach (var c in sheet.Copies)
            {
                Copy(g, c, Image(c.Key));
            }
        }
        using var bytes = new MemoryStream();
        document.Save(bytes);
        foreach (var image in images.Values)
        {
            image?.Dispose();
        }
        return bytes.ToArray();
    }

    private static void Copy(XGraphics g, LaidBox c, XImage? image)
    {
        if (image is not null)
        {
            var state = g.Save();
            g.TranslateTransform(c.Turned ? c.X + c.WidthIn : c.X, c.Y);
            if (c.Turned)
            {
                g.RotateTransform(90);
            }
            g.DrawImage(image, 0, 0, c.Turned ? c.HeightIn : c.WidthIn, c.Turned ? c.WidthIn : c.HeightIn);
            g.Restore(state);
        }
        else
        {
            g.DrawRectangle(new XPen(Sheet.Quiet, 0.01), c.X, c.Y, c.WidthIn, c.HeightIn);
        }
        var pen = new XPen(Sheet.Ink, 0.007);
        foreach (
            var (x, y, right, down) in new[]
            {
                (c.X, c.Y, -1, -1),
                (c.X + c.WidthIn, c.Y, 1, -1),
                (c.X, c.Y + c.HeightIn, -1, 1),
                (c.X + c.WidthIn, c.Y + c.HeightIn, 1, 1),
            }
        )
        {
            g.DrawLine(pen, x, y, x + (right * Mark), y);
            g.DrawLine(pen, x, y, x, y + (down * Mark));
        }
        // the name stands under the print where the gap is, or small inside where there is no picture
        g.DrawString(
            c.Name,
            Sheet.Font(image is null ? 0.16 : 0.09),
            new XSolidBrush(Sheet.Quiet),
            c.X + 0.02,
            image is null ? c.Y + 0.22 : c.Y + c.HeightIn + 0.1
        );
    }
}
