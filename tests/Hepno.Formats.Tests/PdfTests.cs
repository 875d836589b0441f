using Hepno.Core.Quoting;
using UglyToad.PdfPig;

namespace Hepno.Formats.Tests;

public class PdfTests
{
    private static QuoteDocument Quote(string paper, string customer, int sizes, int lines = 1) =>
        new(
            "Quote",
            paper,
            "Tern & Tallow",
            "4 Net Row, Skerry Quay",
            "hello@ternandtallow.example",
            "T-214",
            "3 Jun 2026, good until 17 Jun 2026",
            customer,
            "Mara Fell",
            "36 navy tees, printed front and left sleeve",
            [new("each", "$15.00"), new("in all, before tax", "$540.00"), new("ready to collect", "Thu 11 Jun 12:00")],
            [
                .. Enumerable
                    .Range(1, lines)
                    .Select(n => new LinePrinted(
                        lines == 1 ? "Hollin 150, navy, 55% cotton, 45% polyester" : $"Line {n}: Hollin 150, navy",
                        [
                            "Front 10 × 11 in, 5 colours, 3 in below the collar seam",
                            "Left sleeve 3 × 3 in, one colour, 1 in above the hem",
                        ],
                        [.. Enumerable.Range(1, sizes).Select(i => new SizePrinted($"{i}XL", i))],
                        "36",
                        "15.00",
                        $"{500 + n}.40",
                        n % 2 == 0 ? [new("3XL, on top", "3", "2.50", "7.50")] : []
                    )),
            ],
            [
                new("Before tax", "$540.00"),
                new("Sales tax, 8%", "$43.20"),
                new("Total", "$583.20"),
                new("Deposit to begin", "$291.60"),
            ],
            2,
            [
                new("When", "Ready Thu 11 Jun 12:00 if you say yes today."),
                new("Terms", "Half to begin, half when you collect."),
                new("Looking after it", "Inside out and cold."),
            ],
            [
                new("12", "17.75", "213.00", false),
                new("36", "15.00", "540.00", true),
                new("72", "14.00", "1,008.00", false),
            ]
        );

    private static string Bare(string s) =>
        s.Replace(" ", "", StringComparison.Ordinal).Replace("\u00a0", "", StringComparison.Ordinal);

    [Theory]
    [InlineData("letter", 612, 792)]
    [InlineData("a4", 595, 842)]
    public void A_quote_is_one_page_at_the_shops_paper_with_every_figure(string paper, double width, double height)
    {
        var quote = Quote(paper, "Skerry Quay Rowing", 5);
        using var pdf = PdfDocument.Open(QuotePdf.Print(quote));
        var page = Assert.Single(pdf.GetPages());
        Assert.Equal(width, page.Width, 1.0);
        Assert.Equal(height, page.Height, 1.0);
        var text = Bare(page.Text);
        foreach (
            var said in new[] { quote.Number, quote.Title }
                .Concat(quote.Lines.SelectMany(l => new[] { l.Each, l.Amount, l.What }))
                .Concat(quote.Totals.Select(t => t.Value))
                .Concat(quote.Heads.Select(h => h.Value))
                .Concat(quote.Tiers.Select(t => t.InAll))
        )
        {
            Assert.Contains(Bare(said), text, StringComparison.Ordinal);
        }
        Assert.All(page.Letters, l =>
            Assert.True(
                l.StartBaseLine.X >= 41 && l.EndBaseLine.X <= page.Width - 41 && l.StartBaseLine.Y > 30,
                l.Value
            )
        );
    }

    [Fact]
    public void Twelve_sizes_and_a_long_name_stay_on_the_paper()
    {
        using var pdf = PdfDocument.Open(
            QuotePdf.Print(
                Quote(
                    "letter",
                    "The Worshipful and Amalgamated Company of Net Menders and Rope Walkers of Skerry Quay",
                    12
                )
            )
        );
        var page = Assert.Single(pdf.GetPages());
        Assert.All(page.Letters, l => Assert.True(l.EndBaseLine.X <= page.Width - 38, l.Value));
        var words = string.Join(' ', page.GetWords().Select(w => w.Text));
        Assert.Contains("11XL 11, 12XL 12", words, StringComparison.Ordinal);
        // the garment keeps the width of a line, and does not stand in a column of single words
        Assert.Contains("Hollin 150, navy, 55% cotton, 45% polyester", words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("letter", 12, 2)]
    [InlineData("a4", 12, 2)]
    [InlineData("letter", 60, 6)]
    [InlineData("a4", 60, 6)]
    public void Many_lines_go_over_pages_and_none_is_lost_or_cut(string paper, int lines, int least)
    {
        var quote = Quote(paper, "Skerry Quay Rowing", 12, lines);
        using var pdf = PdfDocument.Open(QuotePdf.Print(quote));
        Assert.True(pdf.NumberOfPages >= least, $"{pdf.NumberOfPages} pages");
        var text = Bare(string.Concat(pdf.GetPages().Select(p => p.Text)));
        Assert.All(quote.Lines, l => Assert.Contains(Bare(l.Amount), text, StringComparison.Ordinal));
        Assert.All(pdf.GetPages(), p =>
            Assert.All(p.Letters, l =>
                Assert.True(l.StartBaseLine.Y > 30 && l.EndBaseLine.X <= p.Width - 38, $"page {p.Number}: {l.Value}")
            )
        );
        Assert.All(pdf.GetPages().Skip(1), p =>
            Assert.Contains($"page{p.Number}of{pdf.NumberOfPages}", Bare(p.Text), StringComparison.Ordinal)
        );
        // a line is never torn: its garment and its amount stand on one page
        Assert.All(quote.Lines, l =>
            Assert.Contains(pdf.GetPages(), p =>
                Bare(p.Text).Contains(Bare(l.What), StringComparison.Ordinal)
                && Bare(p.Text).Contains(Bare(l.Amount), StringComparison.Ordinal)
            )
        );
    }

    [Fact]
    public void A_document_is_tagged_for_screen_readers()
    {
        using var pdf = PdfDocument.Open(QuotePdf.Print(Quote("a4", "Skerry Quay Rowing", 5, 12)));
        var catalog = pdf.Structure.Catalog.CatalogDictionary.Data;
        Assert.True(catalog.ContainsKey("StructTreeRoot") && catalog.ContainsKey("MarkInfo"));
        Assert.Contains("en", catalog["Lang"].ToString(), StringComparison.Ordinal);
        var marked = pdf.GetPages().SelectMany(p => p.GetMarkedContents()).ToList();
        Assert.Contains(marked, m => m.Tag == "H1");
        Assert.Equal(
            12,
            marked.Count(m =>
                m.Tag == "TD"
                && string.Concat(m.Letters.Select(l => l.Value)).StartsWith("Line", StringComparison.Ordinal)
            )
        );
        // nothing that is read stands outside the structure
        Assert.All(pdf.GetPages(), p => Assert.Equal(p.Letters.Count, p.GetMarkedContents().Sum(m => m.Letters.Count)));
    }

    [Fact]
    public void A_square_code_has_its_three_corners_and_a_quiet_zone()
    {
        var code = QrCode.Of("192.168.1.20:5080");
        Assert.Equal(29, code.Size);
        bool Dark(int x, int y) => code.Path.Contains($"M{x} {y}h1v1h-1z", StringComparison.Ordinal);
        foreach (var (x, y) in new[] { (4, 4), (code.Size - 11, 4), (4, code.Size - 11) })
        {
            Assert.True(Dark(x, y) && Dark(x + 6, y + 6) && !Dark(x + 1, y + 1) && Dark(x + 3, y + 3));
        }
        Assert.DoesNotContain("M0 ", code.Path, StringComparison.Ordinal);
        Assert.Equal(
            15,
            QrCode.Terminal("192.168.1.20:5080").Split('\n', StringSplitOptions.RemoveEmptyEntries).Length
        );
    }

    [Fact]
    public void A_day_and_a_run_on_paper_say_everything_that_is_needed_beside_a_dark_screen()
    {
        var batch = new DayBatch(
            "9:35",
            "10:59",
            "T-212",
            "Beacon Hill Vets: 52 white tees; 53 to press",
            "310 °F, set 315 °F",
            "Wren",
            "2 h late"
        );
        using var day = PdfDocument.Open(
            DaySheetPdf.Print(
                new(
                    "letter",
                    "Tern & Tallow",
                    "Thu 26 Nov",
                    "Wed 25 Nov 17:09",
                    [new("Gannet", "switch it on at 9:20", [.. Enumerable.Repeat(batch, 30)]), new("Puffin", "", [])],
                    ["T-203, 28 slate hoodies: late"]
                )
            )
        );
        Assert.True(day.NumberOfPages > 1);
        var text = Bare(string.Concat(day.GetPages().Select(p => p.Text)));
        Assert.All(
            new[]
            {
                "9:35to10:59",
                "set315°F",
                "Wren2hlate",
                "switchitonat9:20",
                "Nothingplaced",
                "T-203,28slatehoodies:late",
            },
            s => Assert.Contains(s, text, StringComparison.Ordinal)
        );
        using var run = PdfDocument.Open(
            RunSheetPdf.Print(
                new(
                    "a4",
                    "Tern & Tallow",
                    "T-202",
                    "wanted Fri",
                    "Bakery",
                    "Bag them well.",
                    [
                        new(
                            "400 sand tees",
                            "Gannet. It burns.",
                            [
                                new(
                                    "Front 8 × 8 in",
                                    "310 °F, set 315 °F, 15 s",
                                    "film up; then covered, 8 s again",
                                    "Peel cold.",
                                    "scan the code with a telephone"
                                ),
                            ],
                            [new("S", 4), new("M", 396)],
                            []
                        ),
                        new(
                            "2 named tees",
                            "Gannet",
                            [],
                            [new("M", 2)],
                            [new(401, "M", "FENNER 7"), new(402, "M", "OAKES 12")]
                        ),
                    ],
                    ["crooked", "lint"]
                )
            )
        );
        text = Bare(string.Concat(run.GetPages().Select(p => p.Text)));
        Assert.All(
            new[]
            {
                "Bagthemwell.",
                "Gannet.Itburns.",
                "310°F,set315°F,15s",
                "8sagain",
                "Peelcold.",
                "M396",
                "401MFENNER7",
                "402MOAKES12",
                "1crooked,2lint",
            },
            s => Assert.Contains(s, text, StringComparison.Ordinal)
        );
        Assert.All(run.GetPages().Concat(day.GetPages()), p =>
            Assert.All(p.Letters, l => Assert.True(l.StartBaseLine.Y > 30 && l.EndBaseLine.X <= p.Width - 38, l.Value))
        );
    }

    [Fact]
    public void A_packing_slip_counts_and_names_no_price()
    {
        using var pdf = PdfDocument.Open(
            PackingSlipPdf.Print(
                new(
                    "a4",
                    "Tern & Tallow",
                    "4 Net Row",
                    "T-214",
                    "3 Jun 2026",
                    "Skerry Quay Rowing",
                    "Mara Fell",
                    [new("36 navy tees", ["Front"], [new("S", 5), new("M", 31)])],
                    "Inside out and cold."
                )
            )
        );
        var text = string.Join(' ', Assert.Single(pdf.GetPages()).GetWords().Select(w => w.Text));
        Assert.Contains("Pieces 36", text, StringComparison.Ordinal);
        Assert.DoesNotContain("$", text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_placement_sheet_is_as_large_as_the_print_and_says_what_does_not_fit()
    {
        PlacementPrinted Chest(double width) =>
            new(
                $"Left chest {width} in",
                "M 4",
                "3.5 in",
                "about 4.5 fingers",
                "its middle 4 in from the garment's, to the wearer's left",
                "below the collar seam",
                false,
                3.5,
                4,
                width,
                3
            );
        using var pdf = PdfDocument.Open(
            PlacementSheetPdf.Print(
                new(
                    "letter",
                    "Tern & Tallow",
                    "T-215",
                    "Rowing",
                    false,
                    [
                        (
                            "4 navy tees",
                            [
                                Chest(3.5),
                                new(
                                    "Back 11 × 9 in",
                                    "M 4",
                                    "4 in",
                                    "about 5.5 fingers",
                                    "",
                                    "below the collar seam",
                                    false,
                                    4,
                                    0,
                                    11,
                                    9
                                ),
                            ]
                        ),
                        (
                            "2 caps",
                            [
                                new(
                                    "Cap front 4 × 2 in",
                                    "One size 2",
                                    "0.5 in",
                                    "about 0.5 fingers",
                                    "",
                                    "above the brim",
                                    true,
                                    0.5,
                                    0,
                                    4,
                                    2
                                ),
                            ]
                        ),
                    ]
                )
            )
        );
        Assert.Equal(3, pdf.NumberOfPages);
        double[] Across(int page) =>
            [
                .. pdf.GetPage(page)
                    .Paths.SelectMany(p => p)
                    .Where(s => s.GetDrawnRectangle() is null)
                    .Select(s => s.GetBoundingRectangle()!.Value)
                    .Where(b => b.Height < 0.1)
                    .Select(b => Math.Round(b.Width, 1)),
            ];
        // 3.5 in are 252 points; of 11 in half is shown
        Assert.Equal(2, Across(1).Count(w => w == 252));
        Assert.Contains(396, Across(2));
        Assert.Contains(
            "halfitgoesasfarontheotherside",
            Bare(pdf.GetPage(2).Text).Replace(":", "", StringComparison.Ordinal),
            StringComparison.Ordinal
        );
        Assert.Contains("pastthepaper", Bare(pdf.GetPage(2).Text), StringComparison.Ordinal);
        Assert.Contains("thebrim", Bare(pdf.GetPage(3).Text), StringComparison.Ordinal);
    }

    [Fact]
    public void What_lies_to_the_wearers_right_is_drawn_whole_on_the_other_side_of_the_middle_line()
    {
        PlacementPrinted Chest(double middle, double width) =>
            new(
                "Chest",
                "M 4",
                "3.5 in",
                "about 4.5 fingers",
                "",
                "below the collar seam",
                false,
                3.5,
                middle,
                width,
                3
            );
        using var pdf = PdfDocument.Open(
            PlacementSheetPdf.Print(
                new(
                    "letter",
                    "Tern & Tallow",
                    "T-215",
                    "Rowing",
                    false,
                    [("4 navy tees", [Chest(4, 3.5), Chest(-4, 3.5), Chest(-4, 9)])]
                )
            )
        );
        (double Left, double Right)[] Edges(int page, double points) =>
            [
                .. pdf.GetPage(page)
                    .Paths.SelectMany(p => p)
                    .Where(s => s.GetDrawnRectangle() is null)
                    .Select(s => s.GetBoundingRectangle()!.Value)
                    .Where(b => b.Height < 0.1 && Math.Abs(b.Width - points) < 0.1)
                    .Select(b => (Math.Round(b.Left), Math.Round(b.Right))),
            ];
        var (left, right) = (Edges(1, 252), Edges(2, 252));
        Assert.Equal((2, 2), (left.Length, right.Length));
        // the two pages are each other's mirror picture
        Assert.Equal(612, left[0].Left + right[0].Right, 1.0);
        Assert.Contains("0.5inpastthemiddleline", Bare(pdf.GetPage(3).Text), StringComparison.Ordinal);
    }
}
