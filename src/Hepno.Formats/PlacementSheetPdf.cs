using System.Globalization;
using Hepno.Core.Measures;
using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>One print on one size, to lay on the garment.</summary>
/// <param name="Title">Which print, how large.</param>
/// <param name="Sizes">On which sizes, how many pieces.</param>
/// <param name="Distance">Its distance from a seam, in the owner's unit.</param>
/// <param name="Fingers">The same in fingers, in words.</param>
/// <param name="Aside">How far its middle is from the garment's, in words; empty for on it.</param>
/// <param name="Seam">The seam's name.</param>
/// <param name="Above">True when the print stands above its seam.</param>
/// <param name="FromSeamIn">From the seam to the print, in.</param>
/// <param name="MiddleIn">From the garment's middle line, or the fold, to the print's middle, in.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
public sealed record PlacementPrinted(
    string Title,
    string Sizes,
    string Distance,
    string Fingers,
    string Aside,
    string Seam,
    bool Above,
    double FromSeamIn,
    double MiddleIn,
    double WidthIn,
    double HeightIn
);

/// <summary>Sheets that show where each print lies, as large as it is.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="Number">The order's number.</param>
/// <param name="Customer">For whom.</param>
/// <param name="Metric">True to mark the ruler in cm.</param>
/// <param name="Lines">Pieces and garment, with the prints on it.</param>
public sealed record PlacementSheet(
    string Paper,
    string Shop,
    string Number,
    string Customer,
    bool Metric,
    IReadOnlyList<(string What, IReadOnlyList<PlacementPrinted> Prints)> Lines
);

/// <summary>Prints placement sheets at true size, a page for each print and group of sizes. The left edge line lies on
/// the garment's middle: a wide print shows its wearer's-left half.</summary>
public static class PlacementSheetPdf
{
    private const double Inch = 72;
    private const double Top = 190;
    private const double Tick = 7;

    public static byte[] Print(PlacementSheet sheet)
    {
        using var s = new Sheet(PaperSize.Of(sheet.Paper), $"Placement {sheet.Number}", sheet.Shop);
        var first = true;
        foreach (var (what, prints) in sheet.Lines)
        {
            foreach (var p in prints)
            {
                if (!first)
                {
                    s.NextPage();
                }
                first = false;
                Page(s, sheet, what, p);
            }
        }
        return s.Bytes();
    }

    private static void Page(Sheet s, PlacementSheet sheet, string what, PlacementPrinted p)
    {
        Letterhead.Draw(s, sheet.Shop, sheet.Customer, what: $"Placement {sheet.Number}", what);
        s.Element(PdfBlockLevelElementTag.Heading2, () => s.Text(p.Title, s.Left, s.Y, size: 15, bold: true));
        s.Text(
            $"{p.Sizes}: {p.Distance} {p.Seam}, {p.Fingers}{(p.Aside.Length > 0 ? $"; {p.Aside}" : "")}",
            s.Left,
            s.Y + 18,
            size: 11.5
        );
        s.Paragraph(
            "Print at 100%: the ruler below must measure true. Lay the long line on the middle of the garment "
                + "and the seam line on the seam; measured flat.",
            s.Left,
            s.Y + 34,
            s.Right - s.Left,
            size: 9.5,
            12,
            colour: Sheet.Quiet
        );
        // what lies to the wearer's right has the middle line at the other edge of the paper
        var (foot, middle) = (s.Bottom - 14, p.MiddleIn < 0 ? s.Right - 20 : s.Left + 20);
        var seam = p.Above ? foot : Top;
        s.Line(s.Left - 20, seam, s.Right, seam, thickness: 1.5);
        s.Text(SeamName(p.Seam), s.Right, seam + (p.Above ? 14 : -6), size: 10, right: true);
        s.Line(middle, Top - 14, middle, foot, thickness: 1.5);
        Ruler(s, sheet.Metric, middle, seam, p.Above, foot);
        var left = middle + ((p.MiddleIn - (p.WidthIn / 2)) * Inch);
        var right = left + (p.WidthIn * Inch);
        var near = seam + ((p.Above ? -1 : 1) * p.FromSeamIn * Inch);
        var far = near + ((p.Above ? -1 : 1) * p.HeightIn * Inch);
        var (from, to) =
            p.MiddleIn < 0
                ? (Math.Max(left, s.Left), Math.Min(right, middle))
                : (Math.Max(left, middle), Math.Min(right, s.Right));
        Outline(s, from, to, Math.Min(near, far), Math.Max(near, far), foot, right > s.Right);
        // the distance stands beside the line it measures
        var at = Math.Min((from + to) / 2, s.Right - 60);
        s.Line(at, seam, at, near, thickness: 0.6);
        s.Text(p.Distance, at + 5, ((seam + near) / 2) + 4, size: 11, bold: true);
        if (p.MiddleIn >= 0 ? left < middle - 0.5 : right > middle + 0.5)
        {
            var over = Math.Abs((p.MiddleIn < 0 ? right : left) - middle) / Inch;
            s.Text(
                p.MiddleIn == 0
                    ? "half: it goes as far on the other side"
                    : $"it goes on {over.ToString("0.0", CultureInfo.InvariantCulture)} in past the middle line",
                p.MiddleIn < 0 ? Math.Max(from + 6, to - 190) : middle + 10,
                Math.Max(Math.Min(near, far), Top) + 16,
                size: 9,
                colour: Sheet.Quiet
            );
        }
    }

    // edges that leave the paper are left open and said
    private static void Outline(Sheet s, double left, double right, double top, double bottom, double foot, bool cut)
    {
        var (from, to) = (Math.Max(top, Top - 14), Math.Min(bottom, foot));
        if (top >= Top - 14)
        {
            s.Line(left, top, right, top, thickness: 1);
        }
        if (bottom <= foot)
        {
            s.Line(left, bottom, right, bottom, thickness: 1);
        }
        s.Line(left, from, left, to, thickness: 1);
        if (!cut)
        {
            s.Line(right, from, right, to, thickness: 1);
        }
        var over = Math.Max(0, (bottom - foot) / Inch) + Math.Max(0, (Top - 14 - top) / Inch);
        if (over > 0.05)
        {
            s.Text(
                $"goes on {over.ToString("0.0", CultureInfo.InvariantCulture)} in past the paper",
                right - 6,
                bottom > foot ? foot - 6 : from + 12,
                size: 9,
                colour: Sheet.Quiet,
                right: true
            );
        }
    }

    private static void Ruler(Sheet s, bool metric, double x, double seam, bool above, double foot)
    {
        var step = metric ? Inch / Units.CmPerInch : Inch;
        var direction = above ? -1 : 1;
        for (var n = 1; seam + (direction * n * step) is var y && y < foot && y > Top - 14; n++)
        {
            s.Line(x - Tick, y, x, y, thickness: 0.6);
            s.Text(
                n.ToString(CultureInfo.InvariantCulture),
                x - Tick - 3,
                y + 3,
                size: 7.5,
                colour: Sheet.Quiet,
                right: true
            );
        }
    }

    // "below the collar seam" measures from the collar seam
    private static string SeamName(string where) => where[(where.IndexOf(' ', StringComparison.Ordinal) + 1)..];
}
