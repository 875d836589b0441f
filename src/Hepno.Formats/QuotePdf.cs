using System.Globalization;
using Hepno.Core.Quoting;
using PdfSharp.UniversalAccessibility;

namespace Hepno.Formats;

/// <summary>Prints a quote or an order confirmation, on as many pages as its lines need.</summary>
public static class QuotePdf
{
    private const int MostBeside = 7;
    private const double SizeStep = 30;

    private static readonly string[] OtherHeads = ["Each", "In all", "Ready"];
    private static readonly string[] Heads = ["Pieces", "Each", "Amount"];

    public static byte[] Print(QuoteDocument q)
    {
        // printed once to count its pages, so that each can say which of how many it is
        using var counting = new Sheet(PaperSize.Of(q.Paper), "", shop: "");
        Draw(counting, q, 0);
        using var s = new Sheet(PaperSize.Of(q.Paper), $"{q.Kind} {q.Number}", q.Shop);
        Draw(s, q, counting.Pages);
        return s.Bytes();
    }

    private static void Draw(Sheet s, QuoteDocument q, int pages)
    {
        // on Letter the gaps give, never the type
        var gap = q.Paper == "letter" ? 0.8 : 1.0;
        Letterhead.Draw(
            s,
            q.Shop,
            q.ShopLine,
            $"{q.Kind} {q.Number}",
            dates: pages > 1 ? $"{q.Dates}, page 1 of {pages}" : q.Dates
        );
        Letterhead.For(s, q.Customer, q.CustomerContact);
        s.Y += 28 * gap;
        s.Element(PdfBlockLevelElementTag.Heading2, () =>
            s.Y = s.Paragraph(q.Title, s.Left, s.Y, s.Right - s.Left, size: 20, 23, bold: true)
        );
        s.Y += 32 * gap;
        var x = s.Left;
        for (var i = 0; i < q.Heads.Count; i++)
        {
            var (at, last) = (x, i == q.Heads.Count - 1);
            s.Element(PdfBlockLevelElementTag.Paragraph, () =>
            {
                s.Text(q.Heads[i].Label, at, s.Y, size: 9.5, colour: Sheet.Quiet);
                s.Text(q.Heads[i].Value, at, s.Y + 22, size: 19, bold: true, colour: last ? Sheet.Go : Sheet.Ink);
            });
            x += Math.Max(110, s.Measure(q.Heads[i].Value, 19, true) + 28);
        }
        s.Y += 22 + (28 * gap);
        s.Table(() => Lines(s, q, gap, pages));
        Room(s, q, pages, 24 + (q.Totals.Count * 18));
        s.Table(() => Totals(s, q, gap));
        if (q.Others is { Count: > 0 } others)
        {
            Room(s, q, pages, 60 + (others.Count * 20));
            Others(s, others, gap);
        }
        if (q.Tiers.Count > 0)
        {
            Room(s, q, pages, 110);
            Tiers(s, q, gap);
        }
        Foot(s, q, gap, pages);
    }

    // begins another page when so much does not fit any more
    private static bool Room(Sheet s, QuoteDocument q, int pages, double height)
    {
        if (s.Y + height <= s.Bottom)
        {
            return false;
        }
        Letterhead.Further(s, q.Shop, $"{q.Kind} {q.Number}", pages);
        return true;
    }

    private static void Lines(Sheet s, QuoteDocument q, double gap, int pages)
    {
        double[] figures = [s.Right - 130, s.Right - 72, s.Right];
        // sizes stand in columns where one line has few of them; else in a line under the garment's name
        var beside = q.Lines.Count == 1 && q.Lines[0].Sizes.Count <= MostBeside ? q.Lines[0].Sizes : [];
        var sizesEnd = figures[0] - 48;
        HeadRow(s, figures, beside, sizesEnd);
        s.Y += 24 * gap;
        foreach (var line in q.Lines)
        {
            if (Room(s, q, pages, Height(s, line, figures, beside.Count)))
            {
                HeadRow(s, figures, beside, sizesEnd);
                s.Y += 24 * gap;
            }
            s.Row(() => LineRow(s, line, figures, beside, sizesEnd));
            foreach (var extra in line.Extras)
            {
                s.Y += 16;
                s.Row(() =>
                {
                    s.Cell(() => s.Text(extra.Label, s.Left + 12, s.Y, size: 10.5));
                    Figures(s, figures, extra.Pieces, extra.Each, extra.Amount);
                });
            }
            s.Y += 12;
            s.Line(s.Y, 0.75, Sheet.Rule);
            s.Y += 18;
        }
    }

    private static void HeadRow(Sheet s, double[] figures, IReadOnlyList<SizePrinted> beside, double sizesEnd)
    {
        s.Line(s.Y - 12, thickness: 0.75, Sheet.Rule);
        s.Row(() =>
        {
            s.Cell(() => s.Text("What", s.Left, s.Y, size: 9, colour: Sheet.Quiet), head: true);
            for (var i = 0; i < beside.Count; i++)
            {
                s.Cell(
                    () =>
                        s.Text(
                            beside[i].Size,
                            sizesEnd - ((beside.Count - 1 - i) * SizeStep),
                            s.Y,
                            size: 9,
                            colour: Sheet.Quiet,
                            right: true
                        ),
                    head: true
                );
            }
            foreach (var (label, at) in Heads.Zip(figures))
            {
                s.Cell(() => s.Text(label, at, s.Y, size: 9, colour: Sheet.Quiet, right: true), head: true);
            }
        });
        s.Line(s.Y + 6);
    }

    private static void LineRow(
        Sheet s,
        LinePrinted line,
        double[] figures,
        IReadOnlyList<SizePrinted> beside,
        double sizesEnd
    )
    {
        var top = s.Y;
        s.Cell(() =>
        {
            s.Y = s.Paragraph(
                line.What,
                s.Left,
                s.Y,
                WhatWidth(s, figures, beside.Count),
                10.5,
                leading: 13,
                bold: true
            );
            foreach (var detail in line.Details)
            {
                s.Y = s.Paragraph(detail, s.Left, s.Y + 14, s.Right - s.Left - 190, size: 9.5, 12, colour: Sheet.Quiet);
            }
            if (beside.Count == 0 && line.Sizes.Count > 0)
            {
                s.Y = s.Paragraph(SizesInLine(line), s.Left, s.Y + 15, figures[0] - s.Left - 40, size: 10.5, 13.5);
            }
        });
        for (var i = 0; i < beside.Count; i++)
        {
            s.Cell(() =>
                s.Text(
                    beside[i].Pieces.ToString(CultureInfo.InvariantCulture),
                    sizesEnd - ((beside.Count - 1 - i) * SizeStep),
                    top,
                    size: 10.5,
                    right: true
                )
            );
        }
        var end = s.Y;
        s.Y = top;
        Figures(s, figures, line.Pieces, line.Each, line.Amount);
        s.Y = end;
    }

    private static double WhatWidth(Sheet s, double[] figures, int beside) =>
        figures[0] - 48 - s.Left - (beside * SizeStep) + 4;

    private static string SizesInLine(LinePrinted line) =>
        string.Join(", ", line.Sizes.Select(z => $"{z.Size}\u00a0{z.Pieces}"));

    private static double Height(Sheet s, LinePrinted line, double[] figures, int beside) =>
        (s.Lines(line.What, WhatWidth(s, figures, beside), 10.5, true).Count() * 13)
        + line.Details.Sum(d => 2 + (s.Lines(d, s.Right - s.Left - 190, size: 9.5).Count() * 12))
        + (beside == 0 ? s.Lines(SizesInLine(line), figures[0] - s.Left - 40, size: 10.5).Count() * 14.5 : 0)
        + (line.Extras.Count * 16)
        + 12;

    private static void Figures(Sheet s, double[] at, params ReadOnlySpan<string> values)
    {
        for (var i = 0; i < values.Length; i++)
        {
            var (value, x) = (values[i], at[i]);
            s.Cell(() => s.Text(value, x, s.Y, size: 10.5, right: true));
        }
    }

    private static void Totals(Sheet s, QuoteDocument q, double gap)
    {
        for (var i = 0; i < q.Totals.Count; i++)
        {
            var total = i == q.TotalIndex;
            var size = total ? 16 : 10.5;
            s.Y += total ? 8 : 0;
            s.Row(() =>
            {
                s.Cell(() => s.Text(q.Totals[i].Label, s.Right - 110, s.Y, size, bold: total, right: true), head: true);
                s.Cell(() => s.Text(q.Totals[i].Value, s.Right, s.Y, size, bold: total, right: true));
            });
            s.Y += (total ? 20 : 16) * (gap < 1 ? 0.95 : 1);
        }
        s.Y += 12 * gap;
    }

    private static void Others(Sheet s, IReadOnlyList<OtherPrinted> others, double gap)
    {
        s.Element(PdfBlockLevelElementTag.Heading2, () =>
            s.Text("Or made another way", s.Left, s.Y, size: 11.5, bold: true)
        );
        s.Line(s.Y + 8, thickness: 0.75);
        s.Y += 24;
        double[] figures = [s.Right - 190, s.Right - 120, s.Right];
        s.Table(() =>
        {
            s.Row(() =>
            {
                s.Cell(() => s.Text("How", s.Left, s.Y, size: 9, colour: Sheet.Quiet), head: true);
                foreach (var (label, at) in OtherHeads.Zip(figures))
                {
                    s.Cell(() => s.Text(label, at, s.Y, size: 9, colour: Sheet.Quiet, right: true), head: true);
                }
            });
            foreach (var way in others)
            {
                s.Y += 18;
                s.Row(() =>
                {
                    var (top, end) = (s.Y, s.Y);
                    s.Cell(() =>
                        end = s.Paragraph(
                            $"{way.How}{(way.Quoted ? ", as quoted" : "")}",
                            s.Left,
                            top,
                            figures[0] - s.Left - 60,
                            size: 10.5,
                            13,
                            bold: way.Quoted
                        )
                    );
                    foreach (var (value, at) in new[] { way.Each, way.InAll, way.Ready }.Zip(figures))
                    {
                        s.Cell(() => s.Text(value, at, top, size: 10.5, bold: way.Quoted, right: true));
                    }
                    s.Y = end;
                });
            }
        });
        s.Line(s.Y + 8, thickness: 0.5, Sheet.Rule);
        s.Y += 34 * gap;
    }

    private static void Tiers(Sheet s, QuoteDocument q, double gap)
    {
        s.Element(PdfBlockLevelElementTag.Heading2, () =>
            s.Text("If you order more, or fewer", s.Left, s.Y, size: 11.5, bold: true)
        );
        s.Line(s.Y + 8, thickness: 0.75);
        var width = (s.Right - s.Left - 70) / q.Tiers.Count;
        var rows = new (string Label, Func<TierPrinted, string> Of)[]
        {
            ("Pieces", t => t.Pieces),
            ("Each", t => t.Each),
            ("In all", t => t.InAll),
        };
        s.Y += 24;
        s.Table(() =>
        {
            foreach (var (label, of) in rows)
            {
                s.Row(() =>
                {
                    s.Cell(() => s.Text(label, s.Left, s.Y, size: 9.5, colour: Sheet.Quiet), head: true);
                    for (var i = 0; i < q.Tiers.Count; i++)
                    {
                        s.Cell(() =>
                            s.Text(
                                of(q.Tiers[i]),
                                s.Left + 70 + ((i + 1) * width),
                                s.Y,
                                size: label == "In all" ? 9.5 : 11.5,
                                bold: q.Tiers[i].Yours || label == "Pieces",
                                right: true
                            )
                        );
                    }
                });
                s.Line(s.Y + 6, thickness: 0.5, Sheet.Rule);
                s.Y += 20;
            }
        });
        for (var i = 0; i < q.Tiers.Count; i++)
        {
            if (q.Tiers[i].Yours)
            {
                s.Text("yours", s.Left + 70 + ((i + 1) * width), s.Y, size: 9.5, bold: true, right: true);
                s.Box(s.Left + 76 + (i * width), s.Y - 76, width - 2, 82);
            }
        }
        s.Y += 30 * gap;
    }

    private static void Foot(Sheet s, QuoteDocument q, double gap, int pages)
    {
        var width = (s.Right - s.Left - (20 * (q.Columns.Count - 1))) / q.Columns.Count;
        Room(s, q, pages, 16 + (q.Columns.Max(c => s.Lines(c.Value, width, 9.5).Count()) * 12.5));
        for (var i = 0; i < q.Columns.Count; i++)
        {
            var x = s.Left + (i * (width + 20));
            s.Element(PdfBlockLevelElementTag.Heading2, () => s.Text(q.Columns[i].Label, x, s.Y, size: 11, bold: true));
            s.Paragraph(q.Columns[i].Value, x, s.Y + 16, width, 9.5, leading: 12.5);
        }
        var foot = s.Paper.Height - Sheet.Margin;
        s.Line(foot - (34 * gap) - 8, thickness: 0.75);
        if (q.Kind == "Quote")
        {
            s.Text("Yes, as quoted:", s.Left, foot - 6, size: 9.5);
            s.Line(s.Left + 78, foot - 4, s.Left + 260, foot - 4);
        }
        s.Text($"{q.Shop}. {q.Contact}", s.Right, foot - 6, size: 9.5, colour: Sheet.Quiet, right: true);
    }
}
