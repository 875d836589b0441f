using System.Globalization;
using Hepno.Core.Quoting;
using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>One pass of a run sheet.</summary>
/// <param name="Title">Which print, how large, where.</param>
/// <param name="Recipe">Heat, set-point, seconds, pressure, peel.</param>
/// <param name="How">Which side up, pre-press, second press.</param>
/// <param name="Caution">What may go wrong; may be empty.</param>
/// <param name="Checks">What to look for on the first piece; may be empty.</param>
public sealed record PassPrinted(string Title, string Recipe, string How, string Caution, string Checks);

/// <summary>One line of a run sheet.</summary>
/// <param name="What">Pieces and garment.</param>
/// <param name="Press">Which press, with its cautions.</param>
/// <param name="Passes">In the order of pressing.</param>
/// <param name="Sizes">Pieces by size.</param>
/// <param name="Names">Each piece with its own name or number, in the order of pressing; empty when all are
/// alike.</param>
public sealed record RunLinePrinted(
    string What,
    string Press,
    IReadOnlyList<PassPrinted> Passes,
    IReadOnlyList<SizePrinted> Sizes,
    IReadOnlyList<NamePrinted> Names
);

/// <summary>A personalised piece on a run sheet.</summary>
/// <param name="Number">Piece of the run, from 1.</param>
/// <param name="Size">Its size.</param>
/// <param name="Says">Its name and number.</param>
public sealed record NamePrinted(int Number, string Size, string Says);

/// <summary>A run on paper, for the day the screen is dark.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="Number">The order's number.</param>
/// <param name="Due">When it is wanted.</param>
/// <param name="Customer">For whom.</param>
/// <param name="Note">What the order says beside; may be empty.</param>
/// <param name="Lines">Lines in the order of pressing.</param>
/// <param name="Reasons">Reasons a piece is spoiled for.</param>
public sealed record RunSheet(
    string Paper,
    string Shop,
    string Number,
    string Due,
    string Customer,
    string Note,
    IReadOnlyList<RunLinePrinted> Lines,
    IReadOnlyList<string> Reasons
);

/// <summary>Prints a run sheet: recipes to read, a box to tick for every piece.</summary>
public static class RunSheetPdf
{
    private const double Box = 11;
    private const double Step = 15;

    public static byte[] Print(RunSheet r)
    {
        using var s = new Sheet(PaperSize.Of(r.Paper), $"Run sheet {r.Number}", r.Shop);
        Letterhead.Draw(s, r.Shop, r.Customer, what: $"Run sheet {r.Number}", r.Due);
        if (r.Note.Length > 0)
        {
            s.Y = s.Paragraph(r.Note, s.Left, s.Y, s.Right - s.Left, size: 11, 13.5) + 22;
        }
        foreach (var line in r.Lines)
        {
            Room(s, r, 110);
            s.Element(PdfBlockLevelElementTag.Heading2, () =>
                s.Y = s.Paragraph(line.What, s.Left, s.Y, s.Right - s.Left, size: 15, 18, bold: true)
            );
            s.Y = s.Paragraph(line.Press, s.Left, s.Y + 15, s.Right - s.Left, size: 10, 12.5, colour: Sheet.Quiet) + 20;
            for (var i = 0; i < line.Passes.Count; i++)
            {
                Pass(s, r, line.Passes[i], i + 1);
            }
            s.Table(() =>
            {
                foreach (var name in line.Names)
                {
                    Name(s, r, name);
                }
                foreach (var size in line.Names.Count > 0 ? [] : line.Sizes)
                {
                    Sizes(s, r, size);
                }
            });
            s.Y += 16;
        }
        Room(s, r, 50);
        s.Line(s.Y - 8, thickness: 0.75);
        s.Paragraph(
            "First piece off: look at it, and say yes, before the rest. A tick is good, a number is why it is "
                + $"spoiled: {string.Join(", ", r.Reasons.Select((reason, i) => $"{i + 1} {reason}"))}.",
            s.Left,
            s.Y + 6,
            s.Right - s.Left,
            size: 10,
            12.5
        );
        return s.Bytes();
    }

    private static void Pass(Sheet s, RunSheet r, PassPrinted p, int number)
    {
        Room(s, r, 62);
        s.Text($"{number}  {p.Title}", s.Left, s.Y, size: 12, bold: true);
        s.Y = s.Paragraph(p.Recipe, s.Left + 18, s.Y + 16, s.Right - s.Left - 18, size: 13, 16, bold: true);
        s.Y = s.Paragraph(p.How, s.Left + 18, s.Y + 14, s.Right - s.Left - 18, size: 10.5, 13);
        if (p.Caution.Length > 0)
        {
            s.Y = s.Paragraph(p.Caution, s.Left + 18, s.Y + 14, s.Right - s.Left - 18, size: 10.5, 13, bold: true);
        }
        if (p.Checks.Length > 0)
        {
            s.Y = s.Paragraph(
                $"Look on the first piece: {p.Checks}.",
                s.Left + 18,
                s.Y + 14,
                s.Right - s.Left - 18,
                size: 10.5,
                13
            );
        }
        s.Y += 22;
    }

    private static void Name(Sheet s, RunSheet r, NamePrinted name)
    {
        Room(s, r, Step + 6);
        s.Row(() =>
        {
            s.Cell(() =>
                s.Text(name.Number.ToString(CultureInfo.InvariantCulture), s.Left + 24, s.Y, size: 11, right: true)
            );
            s.Cell(() => s.Text(name.Size, s.Left + 36, s.Y, size: 13, bold: true), head: true);
            s.Cell(() => s.Text(name.Says, s.Left + 90, s.Y, size: 13));
        });
        s.Box(s.Right - Box, s.Y - Box + 1, Box, Box, thickness: 0.6);
        s.Y += Step + 3;
    }

    private static void Sizes(Sheet s, RunSheet r, SizePrinted size)
    {
        var across = (int)((s.Right - s.Left - 90) / Step);
        var rows = (size.Pieces + across - 1) / across;
        Room(s, r, Step * Math.Min(rows, 3) + 6);
        s.Row(() =>
        {
            s.Cell(() => s.Text(size.Size, s.Left, s.Y, size: 13, bold: true), head: true);
            s.Cell(() =>
                s.Text(size.Pieces.ToString(CultureInfo.InvariantCulture), s.Left + 80, s.Y, size: 12, right: true)
            );
        });
        for (var n = 0; n < size.Pieces; n++)
        {
            if (n > 0 && n % across == 0)
            {
                s.Y += Step;
                Room(s, r, Step);
            }
            s.Box(s.Left + 90 + (n % across * Step), s.Y - Box + 1, Box, Box, thickness: 0.6);
        }
        s.Y += Step + 6;
    }

    private static void Room(Sheet s, RunSheet r, double height)
    {
        if (s.Y + height > s.Bottom)
        {
            Letterhead.Further(s, r.Shop, $"Run sheet {r.Number}", 0);
        }
    }
}
