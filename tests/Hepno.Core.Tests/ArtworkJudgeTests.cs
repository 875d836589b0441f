using CsCheck;
using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>What was measured on a picture decides in every method as it does beside the ask.</summary>
public class ArtworkJudgeTests
{
    private static readonly Colourway White = new("white", "White", "#ffffff", ColourClass.White);
    private static readonly Colourway Black = new("black", "Black", "#22252b", ColourClass.Dark);
    private static readonly PixelBox Whole = new(0, 0, 3000, 1200);

    private static readonly SoftAlpha Hard = new(0, null, 0, []);

    private static readonly ArtworkReport Sound = new(
        3000,
        1200,
        false,
        true,
        Whole,
        1_800_000,
        new([new("#c03020", 1, false, Whole)], 0, false),
        Hard,
        null,
        null,
        null
    );

    private static readonly PrintHold[] Holds =
    [
        PrintHold.Dye,
        PrintHold.Film,
        PrintHold.Digital,
        PrintHold.Screened,
        PrintHold.Vinyl,
        PrintHold.Paper,
        PrintHold.OpaquePaper,
        PrintHold.DirectOnWhite,
        PrintHold.Direct,
        PrintHold.Stitched,
        PrintHold.Applique,
    ];

    private static AskInHand Ask(ArtworkReport report, double widthIn, Colourway colour, string? styleOf = null) =>
        new(
            MethodTests.Tee(100),
            colour,
            [new("M", 36)],
            [
                new Design("d", "Crest", "png", "", 0, widthIn, report, Rights.Unsaid).Described(
                    new("front", "front", widthIn, 1, 1, 1, false, 9) { DesignId = new DesignId(styleOf ?? "d") }
                ),
            ]
        )
        {
            Artworks = new Dictionary<DesignId, ArtworkReport> { ["d"] = report },
        };

    [Fact]
    public void A_sound_picture_is_doubted_by_none()
    {
        Assert.Empty(DesignFaults.Find(Sound, 9, Black, FigureFormat.Default));
        Assert.All(Holds, h => Assert.Empty(DesignFaults.On(h, Sound, 9, Black, FigureFormat.Default)));
    }

    [Fact]
    public void A_code_that_no_printing_can_hold_is_done_by_no_way()
    {
        // 2 pixels of 333 an inch: 0.15 mm
        var code = Sound with { Code = new("x", 2, Whole, true) };
        var answers = DecorationMethods
            .All.Select(m =>
                (
                    m.Id,
                    Sound: m.OnCloth(Ask(Sound, 9, White), FurtherMethodTests.Book),
                    Small: m.OnCloth(Ask(code, 9, White), FurtherMethodTests.Book)
                )
            )
            .Where(a => a.Sound.Decorations.Count > 0)
            .ToList();
        Assert.True(answers.Count >= 7, string.Join(", ", answers.Select(a => a.Id)));
        Assert.All(answers, a =>
            Assert.Contains(a.Small.Verdict.Reasons, r => r.Code == "code-small" && r.Kind == VerdictKind.No)
        );
    }

    [Theory]
    [InlineData("glow", "soft-edge", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("glow", "soft-edge", "htv", VerdictKind.WithCare)]
    [InlineData("few", "resolution", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("few", "resolution", "embroidery", VerdictKind.WithCare)]
    [InlineData("gap", "thin-gap", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("gap", "thin-gap", "htv", VerdictKind.No)]
    [InlineData("line", "thin-line", "dtf-bought", VerdictKind.No)]
    [InlineData("ground", "ground", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("mirrored", "mirrored", "screen-out", VerdictKind.WithCare)]
    [InlineData("lettering", "mirrored", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("same", "contrast", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("specks", "stray-colours", "dtf-bought", VerdictKind.WithCare)]
    [InlineData("screened", "code-small", "screen-out", VerdictKind.No)]
    [InlineData("screened", "code-small", "embroidery", VerdictKind.No)]
    public void A_fault_of_the_picture_is_a_reason_of_the_way(
        string fault,
        string code,
        string method,
        VerdictKind kind
    )
    {
        // 333 pixels an inch at 9 in
        var report = fault switch
        {
            "glow" => Sound with { Soft = Hard with { Share = 0.02 } },
            "few" => Sound with { WidthPx = 900, Box = new(0, 0, 900, 360), PaintedPixels = 162_000 },
            "gap" => Sound with { ThinnestGap = new(5.5, []) },
            "line" => Sound with { ThinnestLine = new(3.2, []) },
            "ground" => Sound with { Clear = false, Ground = "#ffffff" },
            "mirrored" => Sound with { Code = new("x", 40, Whole, true) { Mirrored = true } },
            "lettering" => Sound with { MirroredText = true },
            "same" => Sound with { Colours = new([new("#22252b", 1, false, Whole)], 0, false) },
            "specks" => Sound with
            {
                Colours = new([.. Sound.Colours.Spots, new("#00ff00", 0.001, true, Whole)], 0, false),
            },
            _ => Sound with { Code = new("x", 9, Whole, true) },
        };
        var verdict = DecorationMethods
            .Find(new MethodId(method))!
            .OnCloth(Ask(report, 9, Black), FurtherMethodTests.Book)
            .Verdict;
        Assert.Contains(verdict.Reasons, r =>
            r.Code == code && r.Kind == kind && r.Sentence.StartsWith("Front: ", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void The_panel_beside_the_ask_and_the_ways_never_contradict_each_other() =>
        Gen.Select(
                Gen.Select(Gen.Double[200, 6000], Gen.Double[0, 0.05], Gen.Double[0.3, 90], Gen.Double[0.3, 90]),
                Gen.Select(Gen.Double[0.5, 60], Gen.Bool, Gen.Bool, Gen.Bool),
                Gen.Select(Gen.Double[0.5, 15], Gen.OneOf(Gen.Const(White), Gen.Const(Black)), Gen.Bool)
            )
            .Sample(
                (measures, code, print) =>
                {
                    var (across, soft, linePx, gapPx) = measures;
                    var (squarePx, hasCode, ground, mirrored) = code;
                    var (widthIn, cloth, clear) = print;
                    var px = (int)across;
                    var report = Sound with
                    {
                        WidthPx = px,
                        Box = new(0, 0, px, Math.Max(1, px / 2)),
                        Clear = clear,
                        Ground = clear ? null : "#fafafa",
                        Soft = Hard with { Share = soft },
                        ThinnestLine = new(linePx, []),
                        ThinnestGap = new(gapPx, []),
                        Code = hasCode ? new("x", squarePx, Whole, ground) { Mirrored = mirrored } : null,
                    };
                    var panel = DesignFaults.Find(report, widthIn, cloth, FigureFormat.Default);
                    string[] fine =
                    [
                        .. PrintHold
                            .Fine.SelectMany(h => DesignFaults.On(h, report, widthIn, cloth, FigureFormat.Default))
                            .Select(x => x.Code)
                            .Distinct()
                            .Order(),
                    ];
                    // what the panel says, one of the fine ways says; and it is silent only where all of them are
                    Assert.Equal(fine, panel.Select(x => x.Code).Distinct().Order());
                    foreach (var hold in Holds)
                    {
                        var way = DesignFaults.On(hold, report, widthIn, cloth, FigureFormat.Default);
                        foreach (
                            var said in panel.Where(x =>
                                x.Code
                                    is "resolution"
                                        or "ground"
                                        or "contrast"
                                        or "code-ground"
                                        or "mirrored"
                                        or "stray-colours"
                            )
                        )
                        {
                            Assert.Contains(way, x =>
                                (x.Code, x.Kind, x.Sentence) == (said.Code, said.Kind, said.Sentence)
                            );
                        }
                        if (panel.Any(x => x is { Code: "code-small", Kind: FaultKind.Bad }))
                        {
                            Assert.Contains(way, x => x is { Code: "code-small", Kind: FaultKind.Bad });
                        }
                        if (panel.Any(x => x is { Code: "thin-line", Kind: FaultKind.Bad }) && hold != PrintHold.Direct)
                        {
                            Assert.Contains(way, x => x is { Code: "thin-line", Kind: FaultKind.Bad });
                        }
                    }
                },
                iter: 2000
            );

    [Fact]
    public void A_line_that_was_too_wide_to_measure_is_known_as_far_as_it_was_looked_for()
    {
        var design = new Design(
            "d",
            "Bars",
            "svg",
            "",
            0,
            12,
            Sound with
            {
                Vector = true,
                LookedForPt = ThinFeature.WidestPt,
            },
            Rights.Unsaid
        );
        // a report of before looked for less, and says no more than that
        Assert.Equal(
            (6, 1.5),
            (
                (design with { Report = Sound })
                    .Described(new("p", "back", 12, 1, 1, 1, false, 1) { DesignId = "d" })
                    .ThinnestLinePt,
                (design with { Report = Sound })
                    .Described(new("p", "left-chest", 3, 1, 1, 1, false, 1) { DesignId = "d" })
                    .ThinnestLinePt
            )
        );
        Assert.Equal(
            (ThinFeature.WidestPt, ThinFeature.WidestPt / 4),
            (
                design.Described(new("p", "back", 12, 1, 1, 1, false, 1) { DesignId = "d" }).ThinnestLinePt,
                design.Described(new("p", "left-chest", 3, 1, 1, 1, false, 1) { DesignId = "d" }).ThinnestLinePt
            )
        );
    }
}
