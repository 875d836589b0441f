using System.Globalization;
using Hepno.Core.Quoting;

namespace Hepno.Formats;

/// <summary>One line of a packing slip.</summary>
/// <param name="What">Pieces and garment.</param>
/// <param name="Details">Its prints.</param>
/// <param name="Sizes">Pieces counted, by size.</param>
public sealed record PackedLine(string What, IReadOnlyList<string> Details, IReadOnlyList<SizePrinted> Sizes);

/// <summary>What lies in the box: pieces by size, no prices.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="ShopLine">Its address.</param>
/// <param name="Number">The order's number.</param>
/// <param name="Date">Date of packing.</param>
/// <param name="Customer">For whom.</param>
/// <param name="CustomerContact">Person or address, and what else they know the order by; may be empty.</param>
/// <param name="Lines">What is in it.</param>
/// <param name="Care">How to wash it.</param>
public sealed record PackingSlip(
    string Paper,
    string Shop,
    string ShopLine,
    string Number,
    string Date,
    string Customer,
    string CustomerContact,
    IReadOnlyList<PackedLine> Lines,
    string Care
);

/// <summary>Prints a packing slip: a box to tick for every size.</summary>
public static class PackingSlipPdf
{
    private const double RowHeight = 22;

    public static byte[] Print(PackingSlip p)
    {
        using var s = new Sheet(PaperSize.Of(p.Paper), $"Packing slip {p.Number}", p.Shop);
        Letterhead.Draw(s, p.Shop, p.ShopLine, $"Packing slip {p.Number}", dates: p.Date);
        Letterhead.For(s, p.Customer, p.CustomerContact);
        s.Y += 34;
        foreach (var line in p.Lines)
        {
            Room(s, p, 40 + (line.Details.Count * 14) + RowHeight);
            s.Y = s.Paragraph(line.What, s.Left, s.Y, s.Right - s.Left, size: 13, 16, bold: true);
            foreach (var detail in line.Details)
            {
                s.Y = s.Paragraph(detail, s.Left, s.Y + 15, s.Right - s.Left, size: 10.5, 13, colour: Sheet.Quiet);
            }
            s.Y += 26;
            s.Table(() =>
            {
                foreach (var size in line.Sizes)
                {
                    Room(s, p, RowHeight);
                    s.Box(s.Left, s.Y - 12, 14, 14);
                    Row(s, size.Size, size.Pieces, false);
                    s.Y += RowHeight;
                }
            });
            s.Y += 14;
        }
        Room(s, p, 30);
        s.Line(s.Y - 14, thickness: 0.75);
        s.Table(() => Row(s, "Pieces", p.Lines.Sum(l => l.Sizes.Sum(z => z.Pieces)), true));
        Room(s, p, 100);
        s.Text("Looking after it", s.Left, s.Y + 44, size: 11.5, bold: true);
        s.Paragraph(p.Care, s.Left, s.Y + 60, 320, size: 10.5, 14);
        return s.Bytes();
    }

    private static void Row(Sheet s, string label, int pieces, bool bold) =>
        s.Row(() =>
        {
            s.Cell(() => s.Text(label, s.Left + 26, s.Y, size: 14, bold: true), head: true);
            s.Cell(() =>
                s.Text(
                    pieces.ToString(CultureInfo.InvariantCulture),
                    s.Left + 160,
                    s.Y,
                    size: 14,
                    bold: bold,
                    right: true
                )
            );
        });

    private static void Room(Sheet s, PackingSlip p, double height)
    {
        if (s.Y + height > s.Bottom)
        {
            Letterhead.Further(s, p.Shop, $"Packing slip {p.Number}", 0);
        }
    }
}
