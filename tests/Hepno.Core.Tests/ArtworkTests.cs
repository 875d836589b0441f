using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Measures of pictures whose truth is known; 300 pixels an inch unless it says otherwise.</summary>
public class ArtworkTests
{
    private const double Dpi = 300;
    private const double PxPerPt = Dpi / 72;

    private static ArtworkReport Report(Drawn drawn) =>
        ArtworkReport.Measure(drawn.Raster, Painted.Measure(drawn.Raster).Box!.Width / Dpi, false)!;

    private static double? Pt(ThinFeature? f) => f?.WidthPx / PxPerPt;

    public static TheoryData<double, double> Widths
    {
        get
        {
            var data = new TheoryData<double, double>();
            foreach (var angle in new[] { 0.0, 17, 45, 90 })
            {
                foreach (var pt in new[] { 0.25, 0.5, 0.75, 1, 1.5, 2.2, 3, 4.5, 5.7 })
                {
                    data.Add(pt, angle);
                }
            }
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Widths))]
    public void A_line_is_as_thin_as_it_was_drawn(double pt, double degrees)
    {
        // beside a block that is no line
        var drawn = new Drawn(700, 700).Box(20.3, 500.6, 640, 160).Stroke(140.37, 60.21, 380, pt * PxPerPt, degrees);
        Assert.InRange(Pt(Report(drawn).ThinnestLine) ?? 99, pt - 0.15, pt + 0.15);
    }

    [Theory]
    [MemberData(nameof(Widths))]
    public void A_gap_is_as_thin_as_it_was_cut(double pt, double degrees)
    {
        var (c, s) = (Math.Cos(degrees * Math.PI / 180), Math.Sin(degrees * Math.PI / 180));
        var drawn = new Drawn(640, 640)
            .Box(10, 10, 620, 620)
            .Cut(
                (x, y) =>
                {
                    var (u, v) = (((x - 150.37) * c) + ((y - 120.21) * s), ((y - 120.21) * c) - ((x - 150.37) * s));
                    return u >= 0 && u <= 360 && Math.Abs(v) <= pt * PxPerPt / 2;
                }
            );
        var report = Report(drawn);
        Assert.InRange(Pt(report.ThinnestGap) ?? 99, pt - 0.15, pt + 0.15);
    }

    [Fact]
    public void Measured_at_half_its_pixels_a_picture_has_the_figures_of_the_whole()
    {
        var drawn = new Drawn(1401, 1101)
            .Box(101, 101, 800, 600, (200, 40, 30))
            .Stroke(150, 900, 1000, 1.5 * PxPerPt, 0, (30, 60, 200));
        var whole = ArtworkReport.Measure(drawn.Raster, 4, false)!;
        var half = ArtworkReport.Measure(drawn.Raster.Halved(), 4, false)!.Doubled(1401, 1101);
        Assert.True(half.Halved);
        Assert.Equal((1401, 1101), (half.WidthPx, half.HeightPx));
        Assert.InRange(half.PaintedPixels / whole.PaintedPixels, 0.995, 1.005);
        foreach (
            var (a, b) in new[]
            {
                (half.Box.Left, whole.Box.Left),
                (half.Box.Top, whole.Box.Top),
                (half.Box.Width, whole.Box.Width),
                (half.Box.Height, whole.Box.Height),
            }
        )
        {
            Assert.InRange(a - b, -3, 3);
        }
        Assert.InRange(half.ThinnestLine!.WidthPx, whole.ThinnestLine!.WidthPx - 1, whole.ThinnestLine.WidthPx + 1);
        Assert.Equal(
            whole.Colours.Spots.Where(s => !s.Stray).Select(s => s.Hex),
            half.Colours.Spots.Where(s => !s.Stray).Select(s => s.Hex)
        );
    }

    [Theory]
    [InlineData(new byte[] { 255, 0, 0, 255, 0, 0, 0, 0, 255, 0, 0, 255, 0, 0, 0, 0 }, new byte[] { 255, 0, 0, 128 })]
    [InlineData(new byte[] { 0, 0, 0, 0, 9, 9, 9, 0, 9, 9, 9, 0, 0, 0, 0, 0 }, new byte[] { 0, 0, 0, 0 })]
    [InlineData(
        new byte[] { 100, 0, 0, 255, 200, 0, 0, 255, 100, 0, 0, 255, 200, 0, 0, 255 },
        new byte[] { 150, 0, 0, 255 }
    )]
    public void What_is_clear_does_not_colour_its_neighbours(byte[] four, byte[] one) =>
        Assert.Equal(one, new Raster(2, 2, four).Halved().Rgba);

    [Fact]
    public void One_hairline_of_an_inch_among_a_hundred_inches_of_lettering_is_found_and_marked()
    {
        // strokes of 3 pt in rows, and one line of half a point
        var drawn = new Drawn(2400, 1500);
        for (var row = 0; row < 25; row++)
        {
            for (var n = 0; n < 16; n++)
            {
                drawn.Stroke(30 + (n * 144), 20 + (row * 56), 75, 3 * PxPerPt, n % 3 * 20);
            }
        }
        drawn.Stroke(1203.4, 1440.2, 300, 0.5 * PxPerPt, 5);
        var line = Report(drawn).ThinnestLine!;
        Assert.InRange(Pt(line)!.Value, 0.35, 0.65);
        var mark = Assert.Single(line.Marks);
        Assert.InRange(mark.Left, 1190, 1215);
        Assert.InRange(mark.Width, 280, 320);
    }

    [Fact]
    public void A_solid_square_a_disc_and_a_corner_report_no_line_and_a_needle_does()
    {
        Assert.Null(Report(new Drawn(500, 500).Box(50, 50, 400, 400)).ThinnestLine);
        Assert.Null(Report(new Drawn(500, 500).Box(50.4, 50.7, 400.3, 400.2)).ThinnestGap);
        Assert.Null(
            Report(
                new Drawn(500, 500).Fill((x, y) => ((x - 250) * (x - 250)) + ((y - 250) * (y - 250)) < 200 * 200)
            ).ThinnestLine
        );
        Assert.Null(
            Report(new Drawn(500, 500).Fill((x, y) => Math.Abs(x - 250) + Math.Abs(y - 250) < 200)).ThinnestLine
        );
        // a tip that opens by one in eight
        var needle = Report(
            new Drawn(500, 500).Fill((x, y) => y > 40 && y < 460 && Math.Abs(x - 250) < (y - 40) / 16)
        ).ThinnestLine;
        Assert.NotNull(needle);
        Assert.InRange(Pt(needle)!.Value, 0.1, 1.2);
    }

    [Fact]
    public void Coverage_is_the_share_of_the_painted_box()
    {
        // half of a box of 400 × 300, and a disc in its square: π ÷ 4
        Assert.Equal(
            0.5,
            Report(new Drawn(600, 500).Box(100.5, 100.5, 200, 300).Box(500.4, 100.5, 0.1, 300)).Coverage(),
            0.005
        );
        Assert.Equal(
            Math.PI / 4,
            Report(new Drawn(500, 500).Fill((x, y) => ((x - 250) * (x - 250)) + ((y - 250) * (y - 250)) < 200 * 200))
                .Coverage(),
            0.005
        );
    }

    [Fact]
    public void Fine_lettering_has_no_soft_edge_and_a_glow_has()
    {
        var lettering = new Drawn(600, 200);
        for (var n = 0; n < 12; n++)
        {
            lettering.Stroke(20 + (n * 45), 30.3, 120, 1 * PxPerPt, 70 + (n * 3));
        }
        Assert.Equal(0, Report(lettering).Soft.Share);
        var glow = Report(new Drawn(400, 400).Glow(200, 200, 100, 60)).Soft;
        // a ring from 100 to 160, its first and last pixels beside solid and clear ones; painted: the disc and a third
        // and more of the ring
        Assert.InRange(glow.Share, 0.7, 1.1);
        Assert.InRange(glow.Largest!.Width, 300, 320);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(6)]
    [InlineData(8)]
    public void Flat_colours_are_counted_and_a_gradient_is_none(int colours)
    {
        (byte, byte, byte)[] inks =
        [
            (20, 20, 24),
            (200, 40, 30),
            (30, 90, 170),
            (240, 200, 40),
            (40, 130, 60),
            (250, 250, 250),
            (150, 70, 150),
            (230, 130, 50),
        ];
        var drawn = new Drawn(500, 400);
        for (var i = 0; i < colours; i++)
        {
            var (x, y) = (40 + (i % 4 * 110), 60 + (i / 4 * 150));
            drawn.Fill(
                (px, py) => ((px - x - 45) * (px - x - 45)) + ((py - y - 45) * (py - y - 45)) < 45 * 45,
                inks[i]
            );
        }
        var report = Report(drawn);
        Assert.Equal((colours, false), (report.Colours.Count, report.Colours.LooksGradient));
        var first = report.Colours.Spots.Single(s => Lab.Of(s.Hex).DistanceTo(Lab.Of(20, 20, 24)) < 2);
        Assert.Equal(1.0 / colours, first.Share, 0.08);
    }

    [Fact]
    public void A_gradient_is_known_and_a_speck_of_another_colour_is_stray()
    {
        var gradient = new Drawn(300, 300);
        for (var x = 0; x < 300; x += 2)
        {
            gradient.Box(x, 0, 2, 300, ((byte)(x * 255 / 300), 60, (byte)(200 - (x / 2))));
        }
        Assert.True(Report(gradient).Colours.LooksGradient);
        var speck = Report(
            new Drawn(900, 900)
                .Box(10, 10, 880, 880, (20, 40, 90))
                .Box(400, 400, 6, 6, (240, 30, 30))
                .Box(600, 600, 60, 60, (240, 240, 30))
        );
        Assert.Equal([false, false, true], speck.Colours.Spots.Select(s => s.Stray));
    }

    [Fact]
    public void Each_flat_colour_has_its_own_box_to_be_cut_in()
    {
        var report = Report(
            new Drawn(500, 300).Box(50, 50, 400, 200, (20, 20, 24)).Box(100, 100, 100, 40, (200, 40, 30))
        );
        Assert.Equal([new(50, 50, 400, 200), new(100, 100, 100, 40)], report.Colours.Spots.Select(s => s.Box));
        var cuts = report.Cuts()!.Colours;
        Assert.Equal([(1, 1), (0.25, 0.2)], cuts.Select(c => (c.WidthShare, c.HeightShare)));
        Assert.Equal(1, cuts.Sum(c => c.PaintShare), 9);
        Assert.Equal(report.Cuts(), report.Cuts());
        Assert.Null(
            (
                report with
                {
                    Colours = report.Colours with
                    {
                        Spots = [.. report.Colours.Spots.Select(s => s with { Box = null })],
                    },
                }
            ).Cuts()
        );
    }

    [Fact]
    public void White_is_needed_under_all_that_is_not_the_cloths_own_colour()
    {
        var drawn = new Drawn(200, 100).Box(0, 0, 100, 100, (43, 59, 94)).Box(100, 0, 50, 100, (250, 250, 250));
        Assert.Equal(15_000, WhiteNeeded.Pixels(drawn.Raster, "#2b3b5e", false));
        Assert.Equal(5_000, WhiteNeeded.Pixels(drawn.Raster, "#2b3b5e", true));
    }

    [Fact]
    public void A_flat_ground_is_seen_and_knocked_out_and_its_colour_inside_stays()
    {
        var drawn = new Drawn(200, 200)
            .Box(0, 0, 200, 200, (255, 255, 255))
            .Box(50, 50, 100, 100, (180, 30, 30))
            .Box(80, 80, 40, 40, (255, 255, 255));
        var report = Report(drawn);
        Assert.Equal((false, "#ffffff"), (report.Clear, report.Ground));
        var cut = FlatGround.KnockedOut(drawn.Raster, report.Ground!);
        Assert.Equal(10_000, Painted.Measure(cut).PaintedPixels, 100.0);
        Assert.Equal(new PixelBox(50, 50, 100, 100), Painted.Measure(cut).Box);
        Assert.Null(Report(new Drawn(100, 100).Box(0, 0, 50, 100, (255, 255, 255)).Box(50, 0, 50, 100)).Ground);
    }

    [Theory]
    [InlineData(3000, 10, Sharpness.Good)]
    [InlineData(2400, 10, Sharpness.Usable)]
    [InlineData(1990, 10, Sharpness.Soft)]
    [InlineData(1490, 10, Sharpness.Poor)]
    public void Pixels_an_inch_have_a_word(int pixels, double widthIn, Sharpness word)
    {
        Assert.Equal(word, Resolution.Judge(Resolution.Dpi(pixels, widthIn)));
        Assert.Equal(pixels / 300.0, Resolution.WidestIn(pixels, Sharpness.Good), 1e-9);
    }

    [Fact]
    public void Each_fault_is_said_with_what_would_help()
    {
        // 900 pixels for 9 in: navy on navy, a speck, a glow; then the same on white
        var drawn = new Drawn(900, 600)
            .Box(20, 20, 500, 500, (44, 60, 95))
            .Box(100, 100, 4, 4, (240, 30, 30))
            .Glow(700, 300, 100, 60);
        var design = new Design("d", "Crest", "png", "", 0, 9, Report(drawn), Rights.Unsaid);
        string[] Codes(double widthIn, Colourway? cloth) =>
            [.. DesignFaults.Find(design.Report, widthIn, cloth, FigureFormat.Default).Select(f => f.Code)];
        var navy = new Colourway("navy", "Navy", "#2b3b5e", ColourClass.Dark);
        Assert.Equal(["resolution", "soft-edge", "contrast", "stray-colours"], Codes(9, navy));
        Assert.Equal(["stray-colours", "soft-edge"], Codes(2, new("white", "White", "#fcfaf5", ColourClass.White)));
        var faults = DesignFaults.Find(design.Report, 5, navy, FigureFormat.Default).ToDictionary(f => f.Code);
        // the outermost of the glow is no more than dust: 837 pixels are painted, 167 an inch at 5 in, and 200 at 4.185
        Assert.Equal(
            (
                FaultKind.Caution,
                "167 pixels an inch at 5 in wide: it prints soft",
                "a file of 1,500 pixels across, or no wider than 4.19 in"
            ),
            (faults["resolution"].Kind, faults["resolution"].Sentence, faults["resolution"].Remedy)
        );
        Assert.Equal(FaultKind.Bad, faults["soft-edge"].Kind);
        Assert.NotEmpty(faults["soft-edge"].Marks);
        Assert.Contains("hardly shows on navy", faults["contrast"].Sentence, StringComparison.Ordinal);
        Assert.Equal("name", Assert.Single((design with { Name = " " }).Problems()).Where);
        Assert.Equal(
            "rights.proof",
            Assert
                .Single((design with { Rights = Rights.Unsaid with { Proof = new string('x', 501) } }).Problems())
                .Where
        );
    }

    [Fact]
    public void A_placement_is_described_by_its_picture_at_its_own_width()
    {
        var design = new Design(
            "d",
            "Line",
            "png",
            "",
            0,
            2,
            Report(new Drawn(640, 340).Box(20, 20, 600, 200).Stroke(20, 300, 600, 1 * PxPerPt, 0)),
            Rights.Unsaid
        );
        var placed = design.Described(new("p", "front", 4, 99, 1, 9, true, 50) { DesignId = "d" });
        // twice as wide as measured: its 283 pixels of height are twice as large too
        Assert.Equal((1.89, 1, false), (Math.Round(placed.HeightIn, 2), placed.Colours, placed.Gradient));
        Assert.InRange(placed.ThinnestLinePt, 1.85, 2.15);
        Assert.Equal("d", placed.DesignId);
    }

    [Fact]
    public void Nothing_painted_is_no_report() =>
        Assert.Null(ArtworkReport.Measure(new Raster(4, 4, new byte[64]), 1, false));

    [Theory]
    [InlineData(0, 255, 255, 1, 0, 0, 0)]
    [InlineData(255, 0, 255, 0, 1, 0, 0)]
    [InlineData(255, 255, 0, 0, 0, 1, 0)]
    [InlineData(0, 0, 0, 0, 0, 0, 1)]
    [InlineData(255, 255, 255, 0, 0, 0, 0)]
    [InlineData(127, 127, 127, 0, 0, 0, 0.502)]
    [InlineData(200, 100, 50, 0, 0.392, 0.588, 0.216)]
    public void Ink_is_split_by_the_pixels(int r, int g, int b, double c, double m, double y, double k)
    {
        var split = InkSplit.Measure(new Drawn(40, 40).Box(0, 0, 40, 20, ((byte)r, (byte)g, (byte)b)).Raster);
        Assert.Equal(
            (c, m, y, k),
            (
                Math.Round(split.Cyan, 3),
                Math.Round(split.Magenta, 3),
                Math.Round(split.Yellow, 3),
                Math.Round(split.Black, 3)
            )
        );
    }

    [Fact]
    public void Ink_of_a_print_adds_up_to_what_the_printer_uses_whatever_the_colours()
    {
        // half cyan, half black: 50 in2 painted at 0.01 ml are 0.5 ml, a quarter of an ml of each
        var half = InkSplit.Measure(
            new Drawn(40, 40).Box(0, 0, 40, 20, (0, 255, 255)).Box(0, 20, 40, 20, (0, 0, 0)).Raster
        );
        var use = InkUse.Reckon(half, 50, 50, 0.01, 0.016);
        Assert.Equal(
            (0.25, 0, 0, 0.25, 0.8),
            (Math.Round(use.Cyan, 6), use.Magenta, use.Yellow, Math.Round(use.Black, 6), Math.Round(use.White, 6))
        );
        Assert.Equal(
            new(0, 0, 0, 0, 0.8),
            InkUse.Reckon(
                InkSplit.Measure(new Drawn(4, 4).Box(0, 0, 4, 4, (255, 255, 255)).Raster),
                50,
                50,
                0.01,
                0.016
            )
        );
    }

    [Theory]
    [InlineData(RightsKind.Unsaid, "", "", null, false, "")]
    [InlineData(RightsKind.Customers, "", "", null, false, "")]
    [InlineData(RightsKind.FamousOne, "the customer", "", null, false, "Bad")]
    [InlineData(RightsKind.FamousOne, "the studio", "their letter", null, false, "")]
    [InlineData(RightsKind.ClubMark, "the secretary", "", null, false, "Caution")]
    [InlineData(RightsKind.ClubMark, "the secretary", "a letter", null, false, "")]
    [InlineData(RightsKind.StockLicence, "", "no. 7", "2026-11-24", true, "Bad")]
    [InlineData(RightsKind.FontLicence, "", "no. 7", "2026-12-20", true, "Caution")]
    [InlineData(RightsKind.FontLicence, "", "no. 7", "2027-12-20", true, "")]
    [InlineData(RightsKind.StockLicence, "", "no. 7", null, false, "Caution")]
    [InlineData(RightsKind.StockLicence, "", "no. 7", "2026-11-24", false, "Bad+Caution")]
    public void What_speaks_against_printing_is_said(
        RightsKind kind,
        string saidBy,
        string proof,
        string? until,
        bool sold,
        string doubts
    )
    {
        var rights = new Rights(
            "somebody",
            saidBy,
            null,
            proof,
            kind,
            until is null ? null : Times.Day(until),
            1,
            sold
        );
        var said = rights.Doubts(new LocalDate(2026, 11, 25), Measures.FigureFormat.Default).ToList();
        Assert.Equal(doubts, string.Join('+', said.Select(d => d.Kind)));
        Assert.All(said, d => Assert.True(d.Remedy.Length > 5));
    }
}
