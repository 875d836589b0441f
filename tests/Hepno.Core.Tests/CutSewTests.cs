using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Cut and sew: markers of a run, its cost and steps by hand, and what cannot be sewn.</summary>
public class CutSewTests
{
    // 60 in² a minute makes a second an in²; a foot a minute
    private static readonly Calender Curlew = new(
        "curlew",
        "Curlew",
        48,
        0.36m,
        60,
        0.01,
        0.10m,
        12,
        0.90m,
        new(3600, 0, 1, 1000, 0, 0, 0),
        "Hot drum."
    );
    private static readonly RollCloth Interlock = new(
        "interlock",
        "Selvage",
        "Interlock",
        100,
        150,
        60,
        2.40m,
        36,
        0,
        12m,
        3
    );
    private static readonly ShopBook Book = MethodTests.Book.With<Calender>([Curlew]).With<RollCloth>([Interlock]);
    private static readonly Placement Whole = new("w", "all-over", 29, 29, 80, 6, true, 2);

    private static AskInHand Ask(int pieces, string size = "M", Placement? p = null) =>
        MethodTests.Ask(pieces, p ?? Whole) with
        {
            Style = MethodTests.Tee(0) with { HeatCeilingF = 400 },
            Sizes = [new(size, pieces)],
        };

    private static DecorationPlan Plan(AskInHand ask, ShopBook? book = null)
    {
        var answer = new SublimationCutSew().Answer(ask, book ?? Book);
        Assert.True(answer.Decorations.Count > 0, string.Join("; ", answer.Verdict.Reasons.Select(r => r.Sentence)));
        return answer.Decorations[0];
    }

    // one tee of M on cloth of 60: front and back side by side (21 + 0.25 + 21), a sleeve and the neckband beside them
    // (15 wide, 9.5 and 9.5 and 2.5 high: 22 with gaps): 29.5 in, which no layout can beat. The band is 18 wide: 42.25
    // + 0.25 + 18 = 60.5 does not go beside them, so it lies under: 29.5 + 0.25 + 2.5
    [Fact]
    public void A_marker_of_one_garment_by_hand()
    {
        var run = RunMarkers.Find(GarmentKind.Tee, [new("M", 1)], 60, 60, 100)!;
        Assert.Equal(32.25, run.FabricIn, 9);
        Assert.Equal(run.FabricIn, run.PaperIn);
        // 2 × 21 × 29.5 + 2 × 15 × 9.5 + 18 × 2.5, and their outlines 4 × 50.5 + 4 × 24.5 + 2 × 20.5
        Assert.Equal((1569.0, 341.0), (run.PartsIn2, run.OutlineIn));
        Assert.All(run.Each[0].Marker.OnFabric.Placed, p => Assert.False(p.Turned));
        // on cloth that takes the band beside them it takes no length of its own
        Assert.Equal(29.5, RunMarkers.Find(GarmentKind.Tee, [new("M", 1)], 60.5, 60.5, 100)!.FabricIn, 9);
    }

    // 100 of S and 1 of XL: five times a marker of 20 S, and one of what is left
    [Fact]
    public void A_run_is_the_same_marker_again_and_again_and_one_for_the_rest()
    {
        var run = RunMarkers.Find(GarmentKind.Tee, [new("S", 100), new("XL", 1)], 60, 48, 0)!;
        Assert.Equal(
            [(5, "S 20"), (1, "XL 1")],
            run.Each.Select(m => (m.Times, string.Join(", ", m.Sizes.Select(s => $"{s.Size} {s.Pieces}"))))
        );
        Assert.Equal(
            (5 * run.Each[0].Marker.OnFabric.UsedLengthIn) + run.Each[1].Marker.OnFabric.UsedLengthIn,
            run.FabricIn,
            9
        );
        Assert.True(run.PaperIn > run.FabricIn);
    }

    [Fact]
    public void Every_size_of_any_run_is_in_its_markers_in_full()
    {
        foreach (var n in new[] { 1, 7, 24, 25, 49, 333 })
        {
            List<SizeCount> run = [new("S", n), new("L", 2 * n), new("2XL", 1)];
            var markers = RunMarkers.Find(GarmentKind.Tee, run, 60, 60, 0)!;
            Assert.All(run, s =>
                Assert.Equal(
                    s.Pieces,
                    markers.Each.Sum(m => m.Times * (m.Sizes.FirstOrDefault(x => x.Size == s.Size)?.Pieces ?? 0))
                )
            );
            Assert.All(markers.Each, m => Assert.Equal(5 * SizeRun.Total(m.Sizes), m.Marker.OnFabric.Placed.Count));
        }
    }

    // 8 M at 5%: 10 are sewn. All of it by what its markers say: cloth in whole yards at 2.40 a foot, freight 12 ÷ 10,
    // paper at 0.36 a foot, ink 1,569 × 0.8 × 0.01 × 0.10 = 1.2552, notions 0.90, an hour of drum and printer 3.60:
    // 1,569 s of printing and a foot a minute of cloth
    [Fact]
    public void Cloth_paper_ink_notions_and_the_drum_by_hand()
    {
        var plan = Plan(Ask(8));
        var run = plan.Purchases[0].Markers!;
        Assert.Equal((10, 0.05), (plan.Bought, plan.FailureChance));
        var yards = (decimal)Math.Ceiling(run.FabricIn / 36);
        var drum = ((decimal)run.FabricIn / 10 / 12 * 60) + 1569;
        Assert.Equal(
            [
                yards * 3 * 2.40m / 10,
                1.20m,
                (decimal)run.PaperIn / 12 * 0.36m / 10,
                1.2552m,
                0.90m,
                drum * 3.60m / 3600,
            ],
            plan.Material.Parts.Select(p => p.Value),
            (a, b) => Math.Abs(a - b) < 1e-9m
        );
        Assert.Equal(((double)yards * 36, "Selvage"), (plan.Purchases[0].Quantity, plan.Purchases[0].Supplier));
        Assert.Equal((yards * 3 * 2.40m) + 12, plan.Purchases[0].Cost.Value, 9);
        // a minute a foot through the drum, half a second an in of outline, twelve minutes of sewing
        Assert.Equal(
            [1569.0, run.FabricIn / 10 / 12 * 60, 170.5, 720.0],
            plan.Preparation.Concat(plan.Steps).Select(s => s.Seconds),
            (a, b) => Math.Abs(a - b) < 1e-9
        );
    }

    [Fact]
    public void What_machines_warn_of_is_said_where_their_work_is_prepared()
    {
        Assert.Equal(["Curlew: Hot drum."], PrepareCautions.Sentences([Plan(Ask(8)), Plan(Ask(3))], Book));
        var film = MethodTests.Ask(8, Whole with { Place = "front", WidthIn = 9, HeightIn = 9 });
        Assert.Empty(
            PrepareCautions.Sentences(new DtfBought().Answer(film, MethodTests.Book).Decorations, MethodTests.Book)
        );
        var vinyl = new Htv().Answer(
            MethodTests.Ask(8, new Placement("f", "front", 9, 9, 50, 1, false, 8)),
            MethodTests.Book
        );
        Assert.Equal(
            ["Bill: sharp"],
            PrepareCautions.Sentences(
                vinyl.Decorations,
                MethodTests.Book.With<Cutter>([new("bill", "Bill", 22, 70, new(0, 0, 1, 1, 0, 0, 0), "sharp")])
            )
        );
    }

    // sewn here, then a name pressed on it: the garment is ours, unlike one that others print on
    [Fact]
    public void What_is_sewn_here_takes_a_further_print_under_the_press()
    {
        var ask = MethodTests.Ask(8, Whole, new Placement("n", "back", 9, 3, 50, 1, false, 8));
        var mix = Mixed.Find("sublimation-cutsew@w+htv@n")!.Answer(ask, Book);
        Assert.Equal(["w", "n"], mix.Decorations.Select(d => d.Placement.Id));
        Assert.Equal(0, LineCost.Reckon(ask, mix.Decorations, Book).Cost.Parts.Single(p => p.Code == "blank").Value);
        Assert.Contains(Mixes.Ways(ask, new(Book), Book)[0].Ways, w => w == "sublimation-cutsew");
        var sewn = mix.Decorations[0];
        Assert.Equal(
            (false, true),
            (sewn.IsOnTheirBlank(), (sewn with { BenchId = Workbench.Table.Id }).IsOnTheirBlank())
        );
    }

    // what the heat takes off is bought on top: 100 in and 5% is 105 in, three yards
    [Fact]
    public void Cloth_is_bought_with_what_it_shrinks_in_whole_steps()
    {
        Assert.Equal(108, (Interlock with { ShrinkShare = 0.05 }).Billed(100));
        Assert.Equal(108, Interlock.Billed(108));
        Assert.Equal(109, (Interlock with { StepIn = 1 }).Billed(108.5));
    }

    // of its own table, without a blank: the cloth is the blank, and sewing is charged as labour
    [Fact]
    public void It_brings_its_blank_and_is_sewn_at_its_own_table()
    {
        var ask = Ask(30);
        var plan = Plan(ask);
        var cost = LineCost.Reckon(ask, [plan], Book);
        Assert.Equal(0, cost.Cost.Parts.Single(p => p.Code == "blank").Value);
        Assert.Equal("Print", cost.Cost.Parts.Single(p => p.Code == "decoration").Label);
        Assert.True(cost.HandsSeconds.Value > 720);
        Assert.Equal(Workbench.Sewing.Id, LineFloor.WorkplaceOf(ask, [plan], Book).Id);
        Assert.Null(MethodTests.Book.Workplace(Workbench.Sewing.Id));
        Assert.Equal("cloth of Curlew", Book.ProductName("curlew"));
        // the better of two cloths is taken: the dearer one only where the cheap one prints faded
        Assert.Equal(
            "Selvage",
            Plan(
                ask,
                Book.With<RollCloth>([
                    Interlock with
                    {
                        Id = "faded",
                        Supplier = "Dull",
                        PolyesterPercent = 80,
                        PricePerFoot = 1,
                    },
                    Interlock,
                ])
            )
                .Purchases[0]
                .Supplier
        );
    }

    [Theory]
    [InlineData("part", "not-all-over")]
    [InlineData("own", "own-text")]
    [InlineData("theirs", "theirs-sewn")]
    [InlineData("hoodie", "no-pattern")]
    [InlineData("no-calender", "no-calender")]
    [InlineData("no-cloth", "no-cloth")]
    [InlineData("narrow", "part-width")]
    [InlineData("fine", "thin-line")]
    public void What_cannot_be_sewn_says_why(string what, string code)
    {
        var ask = what switch
        {
            "part" => Ask(10, p: Whole with { Place = "front", WidthIn = 9, HeightIn = 9 }),
            "own" => Ask(10, p: Whole with { Own = OwnText.Name }),
            "theirs" => Ask(10) with { Theirs = true },
            "hoodie" => Ask(10) with { Style = MethodTests.Tee(0) with { Kind = GarmentKind.Hoodie } },
            "fine" => Ask(10, p: Whole with { ThinnestLinePt = 0.3 }),
            _ => Ask(10, "3XL"),
        };
        var book = what switch
        {
            "no-calender" => Book.With<Calender>([]),
            "no-cloth" => Book.With<RollCloth>([]),
            "narrow" => Book.With<Calender>([Curlew with { PaperWidthIn = 24 }]),
            _ => Book,
        };
        var answer = new SublimationCutSew().Answer(ask, book);
        Assert.Empty(answer.Decorations);
        Assert.Contains(answer.Verdict.Reasons, r =>
            r.Code == code && r.Kind == VerdictKind.No && r.WouldWork.Length > 0
        );
    }

    // dark cotton asked for: the cloth is the shop's own, so it can be sewn, with care
    [Fact]
    public void What_is_asked_for_on_another_cloth_is_said()
    {
        var verdict = new SublimationCutSew()
            .Answer(
                Ask(10) with
                {
                    Style = MethodTests.Tee(100),
                    Colourway = new("navy", "Navy", "#101840", ColourClass.Dark),
                },
                Book
            )
            .Verdict;
        Assert.Equal((VerdictKind.WithCare, "sewn-here"), (verdict.Kind, Assert.Single(verdict.Reasons).Code));
    }

    [Fact]
    public void What_is_kept_wrong_names_field_and_remedy()
    {
        Assert.Empty(Curlew.Problems().Concat(Interlock.Problems()));
        Assert.Equal(
            ["name", "paperWidthIn", "inPerMinute"],
            (Curlew with { Name = " ", PaperWidthIn = 0, InPerMinute = double.NaN }).Problems().Select(p => p.Where)
        );
        Assert.Equal(
            ["supplier", "polyesterPercent", "pricePerFoot", "stepIn", "shrinkShare"],
            (Interlock with { Supplier = "", PolyesterPercent = 20, PricePerFoot = 0, StepIn = 0, ShrinkShare = 0.5 })
                .Problems()
                .Select(p => p.Where)
        );
    }

    // twice the price of cloth is a dearer blank, twice the ink a dearer print
    [Fact]
    public void What_if_reaches_cloth_ink_and_paper()
    {
        var ask = Ask(12);
        decimal Part(string code, WhatIfInput input) =>
            Plan(ask, new WhatIf(new Dictionary<WhatIfInput, double> { [input] = 2 }).Of(Book))
                .Material.Parts.Single(p => p.Code == code)
                .Value / Plan(ask).Material.Parts.Single(p => p.Code == code).Value;
        Assert.Equal(
            (2m, 2m, 2m, 1m),
            (
                Part("cloth", WhatIfInput.Blank),
                Part("dye-ink", WhatIfInput.Ink),
                Part("paper", WhatIfInput.Film),
                Part("notions", WhatIfInput.Ink)
            )
        );
    }
}
