using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>The head of the shop's papers, and the small one of their further pages.</summary>
internal static class Letterhead
{
    /// <summary>The shop at the left, what the paper is at the right; returns with Y under its rule.</summary>
    public static void Draw(Sheet s, string shop, string shopLine, string what, string dates)
    {
        s.Mark(s.Left, 48);
        s.Text(shop, s.Left + 60, 62, size: 16, bold: true);
        s.Text(shopLine, s.Left + 60, 77, size: 9.5, colour: Sheet.Quiet);
        s.Element(PdfBlockLevelElementTag.Heading1, () => s.Text(what, s.Right, 62, size: 13, bold: true, right: true));
        s.Text(dates, s.Right, 77, size: 9.5, colour: Sheet.Quiet, right: true);
        s.Line(90, thickness: 1.5);
        s.Y = 118;
    }

    /// <summary>Begins a further page.</summary>
    public static void Further(Sheet s, string shop, string what, int pages)
    {
        s.NextPage();
        s.Text(shop, s.Left, s.Y + 8, size: 9.5, colour: Sheet.Quiet);
        s.Text(
            pages > 0 ? $"{what}, page {s.Pages} of {pages}" : what,
            s.Right,
            s.Y + 8,
            size: 9.5,
            colour: Sheet.Quiet,
            right: true
        );
        s.Line(s.Y + 16);
        s.Y += 40;
    }

    /// <summary>For whom, beside or under each other as there is room.</summary>
    public static void For(Sheet s, string customer, string contact)
    {
        var beside = s.Measure($"For {customer}", 11.5, true) + 10;
        s.Y = s.Paragraph($"For {customer}", s.Left, s.Y, s.Right - s.Left, size: 11.5, 14, bold: true);
        if (contact.Length == 0)
        {
            return;
        }
        if (s.Left + beside + s.Measure(contact, 11.5) <= s.Right)
        {
            s.Text(contact, s.Left + beside, s.Y, size: 11.5, colour: Sheet.Quiet);
        }
        else
        {
            s.Y = s.Paragraph(contact, s.Left, s.Y + 14, s.Right - s.Left, size: 11.5, 14, colour: Sheet.Quiet) + 6;
        }
    }
}
