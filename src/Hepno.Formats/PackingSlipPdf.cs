using System.Globalization;

namespace Hepno.Formats;

/// <summary>What lies in the box: pieces by size, no prices.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="ShopLine">Its address.</param>
/// <param name="Number">The order's number.</param>
/// <param name="Date">Date of packing.</param>
/// <param name="Customer">For whom.</param>
/// <param name="CustomerContact">Person or address; may be empty.</param>
/// <param name="What">The garment.</param>
/// <param name="Details">Its prints.</param>
/// <param name="Sizes">Pieces counted, by size.</param>
/// <param name="Care">How to wash it.</param>
public sealed record PackingSlip(string Paper, string Shop, string ShopLine, string Number, string Date, string Customer, string CustomerContact, string What, IReadOnlyList<string> Details, IReadOnlyList<SizePrinted> Sizes, string Care);

/// <summary>Prints a packing slip on one page.</summary>
public static class PackingSlipPdf
{
    public static byte[] Print(PackingSlip p)
    {
        using var s = new Sheet(PaperSize.Of(p.Paper), $"Packing slip {p.Number}", p.Shop);
        s.Mark(s.Left, 48);
        s.Text(p.Shop, s.Left + 60, 62, 16, bold: true);
        s.Text(p.ShopLine, s.Left + 60, 77, 9.5, colour: Sheet.Quiet);
        s.Text($"Packing slip {p.Number}", s.Right, 62, 13, bold: true, right: true);
        s.Text(p.Date, s.Right, 77, 9.5, colour: Sheet.Quiet, right: true);
        s.Line(90, 1.5);
        s.Text(p.Customer, s.Left, 130, 20, bold: true);
        s.Text(p.CustomerContact, s.Left, 148, 11, colour: Sheet.Quiet);
        s.Text(p.What, s.Left, 190, 13, bold: true);
        s.Y = 190;
        foreach (var detail in p.Details)
        {
            s.Y += 16;
            s.Text(detail, s.Left, s.Y, 10.5, colour: Sheet.Quiet);
        }
        s.Y += 40;
        foreach (var size in p.Sizes)
        {
            s.Box(s.Left, s.Y - 12, 14, 14);
            s.Text(size.Size, s.Left + 26, s.Y, 14, bold: true);
            s.Text(size.Pieces.ToString(CultureInfo.InvariantCulture), s.Left + 160, s.Y, 14, right: true);
            s.Y += 26;
        }
        s.Line(s.Y - 12, 0.75);
        s.Text("Pieces", s.Left + 26, s.Y + 8, 14, bold: true);
        s.Text(p.Sizes.Sum(z => z.Pieces).ToString(CultureInfo.InvariantCulture), s.Left + 160, s.Y + 8, 14, bold: true, right: true);
        s.Text("Looking after it", s.Left, s.Y + 56, 11.5, bold: true);
        s.Paragraph(p.Care, s.Left, s.Y + 72, 320, 10.5, 14);
        return s.Bytes();
    }
}
