using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>An address label of one parcel.</summary>
/// <param name="From">The shop's name.</param>
/// <param name="FromLine">Its address.</param>
/// <param name="To">For whom.</param>
/// <param name="Lines">Address, a line a line.</param>
/// <param name="Order">The order's number.</param>
/// <param name="Parcel">Which of how many.</param>
/// <param name="Weight">Weight; may be empty.</param>
public sealed record AddressLabel(
    string From,
    string FromLine,
    string To,
    IReadOnlyList<string> Lines,
    string Order,
    string Parcel,
    string Weight
);

/// <summary>How to look after a print, on a card for the parcel.</summary>
/// <param name="Shop">The shop's name.</param>
/// <param name="Contact">How to reach it.</param>
/// <param name="Rules">A rule a line.</param>
public sealed record CareCard(string Shop, string Contact, IReadOnlyList<string> Rules);

/// <summary>Prints labels and cards of 4 × 6 in, one a page.</summary>
public static class LabelPdf
{
    private static readonly PaperSize Size = new(4 * 72, 6 * 72);

    public static byte[] Print(IReadOnlyList<AddressLabel> labels)
    {
        using var s = new Sheet(Size, $"Labels {labels[0].Order}", shop: labels[0].From, 20);
        for (var i = 0; i < labels.Count; i++)
        {
            if (i > 0)
            {
                s.NextPage();
            }
            var l = labels[i];
            s.Text(l.From, s.Left, 34, size: 11, bold: true);
            s.Paragraph(l.FromLine, s.Left, 48, s.Right - s.Left, size: 9, 11, colour: Sheet.Quiet);
            s.Line(76, thickness: 1.5);
            s.Element(PdfBlockLevelElementTag.Heading1, () =>
                s.Y = s.Paragraph(l.To, s.Left, 130, s.Right - s.Left, size: 20, 23, bold: true)
            );
            foreach (var line in l.Lines.Where(x => x != l.To))
            {
                s.Y = s.Paragraph(line, s.Left, s.Y + 22, s.Right - s.Left, size: 16, 19);
            }
            s.Line(372, thickness: 0.75);
            s.Text(l.Order, s.Left, 398, size: 16, bold: true);
            s.Text(l.Weight, s.Left, 414, size: 10, colour: Sheet.Quiet);
            s.Text($"parcel {l.Parcel}", s.Right, 398, size: 13, right: true);
        }
        return s.Bytes();
    }

    public static byte[] Print(CareCard c)
    {
        using var s = new Sheet(Size, "Looking after it", c.Shop, 20);
        s.Mark(s.Left, 30);
        s.Text(c.Shop, s.Left + 60, 48, size: 14, bold: true);
        s.Element(PdfBlockLevelElementTag.Heading1, () =>
            s.Text("Looking after it", s.Left, 110, size: 20, bold: true)
        );
        s.Y = 122;
        foreach (var rule in c.Rules)
        {
            s.Y = s.Paragraph(rule, s.Left, s.Y + 24, s.Right - s.Left, size: 14, 18);
        }
        s.Line(372, thickness: 0.75);
        s.Paragraph(
            $"Something wrong with it? We put it right. {c.Contact}",
            s.Left,
            394,
            s.Right - s.Left,
            size: 10.5,
            13.5,
            colour: Sheet.Quiet
        );
        return s.Bytes();
    }
}
