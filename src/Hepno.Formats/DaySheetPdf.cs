using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>One batch of a day sheet.</summary>
/// <param name="From">First piece.</param>
/// <param name="To">Last piece off.</param>
/// <param name="Order">Order's number.</param>
/// <param name="What">Customer, pieces and garment.</param>
/// <param name="Heat">What the cloth gets, and the set-point.</param>
/// <param name="Who">Whose hands; may be empty.</param>
/// <param name="Note">Late, or empty.</param>
public sealed record DayBatch(string From, string To, string Order, string What, string Heat, string Who, string Note);

/// <summary>One press on the day sheet.</summary>
/// <param name="Press">Its name.</param>
/// <param name="SwitchOn">When to switch it on; empty when nothing is placed.</param>
/// <param name="Batches">In the order of time.</param>
public sealed record DayPress(string Press, string SwitchOn, IReadOnlyList<DayBatch> Batches);

/// <summary>A day at the presses on paper.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="Day">Which day.</param>
/// <param name="Printed">When it was printed.</param>
/// <param name="Presses">Presses.</param>
/// <param name="Waits">What has no place on this day, a sentence each.</param>
public sealed record DaySheet(
    string Paper,
    string Shop,
    string Day,
    string Printed,
    IReadOnlyList<DayPress> Presses,
    IReadOnlyList<string> Waits
);

/// <summary>Prints the day at the presses, to hang beside them.</summary>
public static class DaySheetPdf
{
    private const double RowHeight = 38;

    public static byte[] Print(DaySheet d)
    {
        using var s = new Sheet(PaperSize.Of(d.Paper), $"Press day {d.Day}", d.Shop);
        Letterhead.Draw(s, d.Shop, $"printed {d.Printed}", what: "Press day", d.Day);
        foreach (var press in d.Presses)
        {
            Room(s, d, 60);
            s.Element(PdfBlockLevelElementTag.Heading2, () =>
            {
                s.Text(press.Press, s.Left, s.Y, size: 16, bold: true);
                s.Text(
                    press.SwitchOn,
                    s.Left + s.Measure(press.Press, 16, true) + 14,
                    s.Y,
                    size: 11,
                    colour: Sheet.Quiet
                );
            });
            s.Line(s.Y + 8, thickness: 0.75);
            s.Y += 30;
            s.Table(() =>
            {
                foreach (var b in press.Batches)
                {
                    Room(s, d, RowHeight);
                    s.Box(s.Right - 14, s.Y - 12, 14, 14);
                    s.Row(() =>
                    {
                        s.Cell(() => s.Text($"{b.From} to {b.To}", s.Left, s.Y, size: 13, bold: true), head: true);
                        s.Cell(() =>
                        {
                            s.Text(b.Order, s.Left + 110, s.Y, size: 11, bold: true);
                            s.Paragraph(b.What, s.Left + 110, s.Y + 15, s.Right - s.Left - 290, size: 10.5, 12.5);
                        });
                        s.Cell(() => s.Text(b.Heat, s.Right - 168, s.Y, size: 11));
                        s.Cell(() =>
                            s.Text(
                                b.Note.Length > 0 ? $"{b.Who} {b.Note}".Trim() : b.Who,
                                s.Right - 168,
                                s.Y + 15,
                                size: 10.5,
                                colour: Sheet.Quiet
                            )
                        );
                    });
                    s.Y += RowHeight;
                }
            });
            if (press.Batches.Count == 0)
            {
                s.Text("Nothing placed: it stays cold.", s.Left, s.Y, size: 11, colour: Sheet.Quiet);
                s.Y += 26;
            }
            s.Y += 12;
        }
        if (d.Waits.Count > 0)
        {
            Room(s, d, 60);
            s.Element(PdfBlockLevelElementTag.Heading2, () =>
                s.Text("Not on this day", s.Left, s.Y, size: 13, bold: true)
            );
            s.Y += 20;
            foreach (var wait in d.Waits)
            {
                Room(s, d, 16);
                s.Y = s.Paragraph(wait, s.Left, s.Y, s.Right - s.Left, size: 10.5, 13) + 17;
            }
        }
        return s.Bytes();
    }

    private static void Room(Sheet s, DaySheet d, double height)
    {
        if (s.Y + height > s.Bottom)
        {
            Letterhead.Further(s, d.Shop, $"Press day, {d.Day}", 0);
        }
    }
}
