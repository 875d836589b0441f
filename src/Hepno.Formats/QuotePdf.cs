namespace Hepno.Formats;

/// <summary>A figure and what it is, as it stands on a document.</summary>
public sealed record Stated(string Label, string Value);

/// <summary>Pieces of one size, as printed.</summary>
public sealed record SizePrinted(string Size, int Pieces);

/// <summary>Every word and figure of a quote, ready to print: nothing is computed while printing.</summary>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="ShopLine">Its address.</param>
/// <param name="Contact">How to reach it.</param>
/// <param name="Number">The quote's number.</param>
/// <param name="Dates">Date and validity.</param>
/// <param name="Customer">For whom.</param>
/// <param name="CustomerContact">Person or address; may be empty.</param>
/// <param name="Title">What it is, in one line.</param>
/// <param name="Heads">The three figures of the head: each, in all, ready.</param>
/// <param name="What">The line: the garment.</param>
/// <param name="Details">Its prints.</param>
/// <param name="Sizes">Pieces by size.</param>
/// <param name="Pieces">Pieces.</param>
/// <param name="Each">Price each.</param>
/// <param name="Amount">Amount of the line.</param>
/// <param name="Totals">Before tax, tax, total, deposit.</param>
/// <param name="TotalIndex">Which of them is the total.</param>
/// <param name="Columns">When, terms, looking after it.</param>
/// <param name="Tiers">Other quantities: pieces, each, in all; may be empty.</param>
public sealed record QuoteDocument(string Paper, string Shop, string ShopLine, string Contact, string Number, string Dates, string Customer, string CustomerContact, string Title, IReadOnlyList<Stated> Heads,
    string What, IReadOnlyList<string> Details, IReadOnlyList<SizePrinted> Sizes, string Pieces, string Each, string Amount, IReadOnlyList<Stated> Totals, int TotalIndex, IReadOnlyList<Stated> Columns, IReadOnlyList<TierPrinted> Tiers);

/// <summary>One other quantity on offer.</summary>
public sealed record TierPrinted(string Pieces, string Each, string InAll, bool Yours);

/// <summary>Prints a quote on one page.</summary>
public static class QuotePdf
{
    private const int MostBeside = 7;

    private static readonly string[] Heads = ["Pieces", "Each", "Amount"];

    public static byte[] Print(QuoteDocument q)
    {
        using var s = new Sheet(PaperSize.Of(q.Paper), $"Quote {q.Number}", q.Shop);
        // on Letter the gaps give, never the type
        var gap = q.Paper == "letter" ? 0.8 : 1.0;
        Head(s, q);
        s.Y = 118;
        var beside = s.Measure($"For {q.Customer}", 11.5, true) + 10;
        s.Y = s.Paragraph($"For {q.Customer}", s.Left, s.Y, s.Right - s.Left, 11.5, 14, bold: true);
        if (s.Left + beside + s.Measure(q.CustomerContact, 11.5) <= s.Right)
        {
            s.Text(q.CustomerContact, s.Left + beside, s.Y, 11.5, colour: Sheet.Quiet);
        }
        else
        {
            s.Y = s.Paragraph(q.CustomerContact, s.Left, s.Y + 14, s.Right - s.Left, 11.5, 14, colour: Sheet.Quiet) + 6;
        }
        s.Y += 28 * gap;
        s.Y = s.Paragraph(q.Title, s.Left, s.Y, s.Right - s.Left, 20, 23, bold: true) + (32 * gap);
        var x = s.Left;
        for (var i = 0; i < q.Heads.Count; i++)
        {
            s.Text(q.Heads[i].Label, x, s.Y, 9.5, colour: Sheet.Quiet);
            s.Text(q.Heads[i].Value, x, s.Y + 22, 19, bold: true, colour: i == q.Heads.Count - 1 ? Sheet.Go : Sheet.Ink);
            x += Math.Max(110, s.Measure(q.Heads[i].Value, 19, true) + 28);
        }
        s.Y += 22 + (28 * gap);
        Lines(s, q, gap);
        Totals(s, q, gap);
        if (q.Tiers.Count > 0)
        {
            Tiers(s, q, gap);
        }
        Foot(s, q, gap);
        return s.Bytes();
    }

    private static void Head(Sheet s, QuoteDocument q)
    {
        s.Mark(s.Left, 48);
        s.Text(q.Shop, s.Left + 60, 62, 16, bold: true);
        s.Text(q.ShopLine, s.Left + 60, 77, 9.5, colour: Sheet.Quiet);
        s.Text($"Quote {q.Number}", s.Right, 62, 13, bold: true, right: true);
        s.Text(q.Dates, s.Right, 77, 9.5, colour: Sheet.Quiet, right: true);
        s.Line(90, 1.5);
    }

    private static void Lines(Sheet s, QuoteDocument q, double gap)
    {
        double[] figures = [s.Right - 130, s.Right - 72, s.Right];
        var sizesEnd = figures[0] - 48;
        // more sizes than columns leave room for the garment's name: they stand in a line under it
        var beside = q.Sizes.Count <= MostBeside ? q.Sizes.Count : 0;
        const double Step = 30;
        s.Line(s.Y - 12, 0.75, Sheet.Rule);
        s.Text("What", s.Left, s.Y, 9, colour: Sheet.Quiet);
        for (var i = 0; i < beside; i++)
        {
            s.Text(q.Sizes[i].Size, sizesEnd - ((beside - 1 - i) * Step), s.Y, 9, colour: Sheet.Quiet, right: true);
        }
        foreach (var (label, at) in Heads.Zip(figures))
        {
            s.Text(label, at, s.Y, 9, colour: Sheet.Quiet, right: true);
        }
        s.Line(s.Y + 6);
        s.Y += 24 * gap;
        for (var i = 0; i < beside; i++)
        {
            s.Text(q.Sizes[i].Pieces.ToString(System.Globalization.CultureInfo.InvariantCulture), sizesEnd - ((beside - 1 - i) * Step), s.Y, 10.5, right: true);
        }
        s.Text(q.Pieces, figures[0], s.Y, 10.5, right: true);
        s.Text(q.Each, figures[1], s.Y, 10.5, right: true);
        s.Text(q.Amount, figures[2], s.Y, 10.5, right: true);
        s.Y = s.Paragraph(q.What, s.Left, s.Y, sizesEnd - s.Left - (beside * Step) + 4, 10.5, 13, bold: true);
        foreach (var detail in q.Details)
        {
            s.Y = s.Paragraph(detail, s.Left, s.Y + 14, s.Right - s.Left - 190, 9.5, 12, colour: Sheet.Quiet);
        }
        if (beside == 0 && q.Sizes.Count > 0)
        {
            s.Y = s.Paragraph(string.Join(", ", q.Sizes.Select(z => $"{z.Size}\u00a0{z.Pieces}")), s.Left, s.Y + 15, figures[0] - s.Left - 40, 10.5, 13.5);
        }
        s.Y += 12;
        s.Line(s.Y, 0.75, Sheet.Rule);
        s.Y += 18;
    }

    private static void Totals(Sheet s, QuoteDocument q, double gap)
    {
        for (var i = 0; i < q.Totals.Count; i++)
        {
            var total = i == q.TotalIndex;
            var size = total ? 16 : 10.5;
            s.Y += total ? 8 : 0;
            s.Text(q.Totals[i].Label, s.Right - 110, s.Y, size, bold: total, right: true);
            s.Text(q.Totals[i].Value, s.Right, s.Y, size, bold: total, right: true);
            s.Y += (total ? 20 : 16) * (gap < 1 ? 0.95 : 1);
        }
        s.Y += 12 * gap;
    }

    private static void Tiers(Sheet s, QuoteDocument q, double gap)
    {
        s.Text("If you order more, or fewer", s.Left, s.Y, 11.5, bold: true);
        s.Line(s.Y + 8, 0.75);
        var width = (s.Right - s.Left - 70) / q.Tiers.Count;
        var rows = new (string Label, Func<TierPrinted, string> Of)[] { ("Pieces", t => t.Pieces), ("Each", t => t.Each), ("In all", t => t.InAll) };
        s.Y += 24;
        foreach (var (label, of) in rows)
        {
            s.Text(label, s.Left, s.Y, 9.5, colour: Sheet.Quiet);
            for (var i = 0; i < q.Tiers.Count; i++)
            {
                s.Text(of(q.Tiers[i]), s.Left + 70 + ((i + 1) * width), s.Y, label == "In all" ? 9.5 : 11.5, bold: q.Tiers[i].Yours || label == "Pieces", right: true);
            }
            s.Line(s.Y + 6, 0.5, Sheet.Rule);
            s.Y += 20;
        }
        for (var i = 0; i < q.Tiers.Count; i++)
        {
            if (q.Tiers[i].Yours)
            {
                s.Text("yours", s.Left + 70 + ((i + 1) * width), s.Y, 9.5, bold: true, right: true);
                s.Box(s.Left + 76 + (i * width), s.Y - 76, width - 2, 82);
            }
        }
        s.Y += 30 * gap;
    }

    private static void Foot(Sheet s, QuoteDocument q, double gap)
    {
        var width = (s.Right - s.Left - 40) / q.Columns.Count;
        for (var i = 0; i < q.Columns.Count; i++)
        {
            var x = s.Left + (i * (width + 20));
            s.Text(q.Columns[i].Label, x, s.Y, 11, bold: true);
            s.Paragraph(q.Columns[i].Value, x, s.Y + 16, width, 9.5, 12.5);
        }
        var foot = s.Paper.Height - Sheet.Margin;
        s.Line(foot - (34 * gap) - 8, 0.75);
        s.Text("Yes, as quoted:", s.Left, foot - 6, 9.5);
        s.Line(s.Left + 78, foot - 4, s.Left + 260, foot - 4);
        s.Text($"{q.Shop}. {q.Contact}", s.Right, foot - 6, 9.5, colour: Sheet.Quiet, right: true);
    }
}
