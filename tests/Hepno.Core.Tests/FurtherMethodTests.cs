using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Papers, stitching, direct printing, work sent out and socks: each figure reckoned by hand from the inputs
/// written here.</summary>
public class FurtherMethodTests
{
    // a machine that costs nothing an hour: what is left is what the method itself adds
    private static readonly EquipmentHour Free = new(0, 0, 1, 1, 0, 0, 0);
    private static readonly Colourway Black = new("black", "Black", "#22252b", ColourClass.Dark);
    private static readonly Colourway White = new("white", "White", "#ffffff", ColourClass.White);

    private static readonly StitchMachine Bittern = Stitchers.Bittern;
    private static readonly OutsidePrinter Quayside = new(
        "quayside",
        "Quayside",
        28m,
        [new(1, [new(24, 2.30m), new(72, 1.43m)]), new(3, [new(24, 3.40m), new(72, 2.11m)])],
        24,
        0.02,
        12m,
        10m,
        7,
        14,
        16
    );
    private static readonly PodService Sandling = new(
        "sandling",
        "Sandling",
        [new(GarmentKind.Tee, 11.80m)],
        4.30m,
        4.60m,
        1.20m,
        4,
        3,
        6,
        12,
        16
    );
    private static readonly GarmentPrinter Direct = new(
        "direct",
        "Direct",
        40,
        14,
        16,
        0.012,
        0.18m,
        0.03,
        0.16m,
        0.10,
        0.02m,
        Free,
        ""
    );
    private static readonly PaperPrinter Dunlin = new("dunlin", "Dunlin", 22, 8.5, 0.012, 0.38m, Free, "");
    private static readonly TransferPaper Light = new(
        "light",
        "Linden",
        "Light",
        PaperKind.Light,
        8.5,
        11,
        0.25,
        0.6,
        0.0625,
        0.62m,
        0,
        1
    );
    private static readonly TransferPaper Opaque = Light with
    {
        Id = "opaque",
        Product = "Opaque",
        Kind = PaperKind.Opaque,
        SheetPrice = 1.15m,
    };
    private static readonly TransferPriceList Blocked = new(
        "blocked",
        "Brent",
        "Blocked",
        [new("11 × 14", 11, 14, [new(1, 4.90m), new(25, 4.31m)])],
        8m,
        4
    )
    {
        Kind = TransferKind.Digital,
    };

    internal static readonly ShopBook Book = MethodTests
        .Book.With<TransferPriceList>([.. MethodTests.Book.Of<TransferPriceList>(), Blocked])
        .With<StitchMachine>([Bittern])
        .With<OutsidePrinter>([Quayside])
        .With<PodService>([Sandling])
        .With<GarmentPrinter>([Direct])
        .With<PaperPrinter>([Dunlin])
        .With<TransferPaper>([Light, Opaque])
        .With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            .. new[] { "direct", "light", "opaque", "blocked" }.Select(p =>
                MethodTests.FilmOnCotton with
                {
                    Id = new RecipeId(p),
                    ProductId = new ThingId(p),
                    TemperatureF = 330,
                }
            ),
        ]);

    private static AskInHand On(Colourway colour, int pieces, params Placement[] placements) =>
        MethodTests.Ask(pieces, placements) with
        {
            Colourway = colour,
        };

    private static Placement Front(double w, double h, double coverage, int colours = 1) =>
        MethodTests.Front(w, h, colours) with
        {
            CoveragePercent = coverage,
        };

    private static DecorationPlan Plan(IDecorationMethod method, AskInHand ask, ShopBook? book = null, int which = 0)
    {
        var answer = method.Answer(ask, book ?? Book);
        Assert.True(answer.Decorations.Count > 0, string.Join("; ", answer.Verdict.Reasons.Select(r => r.Sentence)));
        return answer.Decorations[which];
    }

    private static double Seconds(DecorationPlan plan, string code) =>
        plan.Steps.Concat(plan.Preparation).Where(s => s.Code == code).Sum(s => s.Seconds);

    // 1,800 a painted in2 and 120 an in of outline; 560 of 700 a minute are reached, 8 s a change of colour
    [Theory]
    [InlineData(3.5, 2, 50, 2, 1, 7620, 1.644, 824.4286)] // 3.5 painted: 6300 + 11 in: 1320
    [InlineData(8, 3, 40, 1, 2, 19920, 4.104, 1067.1429)] // 9.6 painted: 17280 + 22 in: 2640; two heads
    public void Stitches_thread_and_minutes(
        double w,
        double h,
        double coverage,
        int colours,
        int heads,
        double stitches,
        double material,
        double seconds
    )
    {
        var plan = Plan(
            new Embroidery(),
            On(Black, 12, Front(w, h, coverage, colours)),
            Book.With<StitchMachine>([Bittern with { Heads = heads }])
        );
        Assert.Equal(stitches, (double)Embroidery.Stitches(plan.Placement).Value, 1e-9);
        Assert.Equal(material, (double)plan.Material.Value, 1e-9);
        Assert.Equal(seconds, Seconds(plan, "stitch"), 0.001);
        Assert.Equal(24m, plan.SetUp!.Value);
        Assert.Equal(("bittern", false), (plan.BenchId, plan.Recipe.IsPressed()));
    }

    [Fact]
    public void Sent_out_to_screens_on_black_has_a_base_and_both_freights()
    {
        // 50 and 2% are 51 printed; 3 screens of 28; 22 freight over 50
        var plan = Plan(new ScreenOut(), On(Black, 50, Front(9, 8, 50, 2)));
        Assert.Equal(3.40m + 0.44m, plan.Material.Value);
        Assert.Equal((51, 84m), (plan.Bought, plan.SetUp!.Value));
        Assert.Equal((51 * 3.40m) + 84m, plan.Purchases[0].Cost.Value);
        // the blanks come in a day, go on, and come back 7 days later
        Assert.Equal(8, plan.Purchases[0].LeadDays);
    }

    [Fact]
    public void The_stitching_machine_s_own_figures_decide_and_can_be_opened()
    {
        // 6,000 stitches at half of 600 a minute, and two changes of 15 s
        var plan = Plan(
            new Embroidery(),
            On(Black, 12, Front(3, 2, 50, 3) with { Stitches = 6000 }),
            Book.With<StitchMachine>([
                Bittern with
                {
                    StitchesPerMinute = 600,
                    ReachedShare = 0.5,
                    ColourChangeSeconds = 15,
                },
            ])
        );
        Assert.Equal(1230, Seconds(plan, "stitch"), 1e-6);
        Assert.Equal(
            ["stitches", "speed", "reached", "changes", "change", "heads"],
            plan.BenchTime!.Parts.Select(p => p.Code)
        );
        var held = LineCost.Reckon(On(Black, 12), [plan], Book).Stratum("press").Parts.Single(p => p.Code == "held");
        Assert.Contains(held.Parts, p => p.Code == "bench-time-front" && p.Value == 1230 && p.Parts.Count == 6);
        Assert.Equal(
            ["reachedShare", "colourChangeSeconds"],
            (Bittern with { ReachedShare = 0, ColourChangeSeconds = -1 }).Problems().Select(p => p.Where)
        );
    }

    [Fact]
    public void Blanks_sent_out_go_with_what_may_be_spoiled_and_go_once()
    {
        var ask = On(Black, 50, Front(9, 8, 50), Front(3, 3, 50) with { Id = "chest", Place = "left-chest" });
        var (front, chest) = (Plan(new ScreenOut(), ask), Plan(new ScreenOut(), ask, which: 1));
        Assert.Equal((51, 51), (front.BlanksSent, chest.BlanksSent));
        Assert.Equal([("M", 51)], BlanksToBuy.Count(ask.Sizes, [front, chest]).Select(s => (s.Size, s.Pieces)));
        // both prints go in one parcel and come back in one
        Assert.Equal(
            (true, 0, 0.0),
            (front.Preparation.Any(s => s.Code == "count-out"), chest.Preparation.Count, Seconds(chest, "count-in"))
        );
        var cost = LineCost.Reckon(ask, [front, chest], Book with { SpoilageFactor = 0 });
        // 51 blanks of 4.00 and 12.00 freight
        Assert.Equal(
            216m,
            50
                * (
                    cost.Stratum("blank").Value
                    + LineCost
                        .Reckon(ask, [front with { FailureChance = 0 }, chest with { FailureChance = 0 }], Book)
                        .Stratum("spoilage")
                        .Parts.Single(p => p.Code == "left-blank")
                        .Value
                ),
            6
        );
        var theirs = ask with { Theirs = true };
        Assert.Equal(
            (50, 50, 0m),
            (
                Plan(new ScreenOut(), theirs).BlanksSent,
                Plan(new ScreenOut(), theirs).Bought,
                LineCost.Reckon(theirs, [front], Book).Stratum("blank").Value
            )
        );
    }

    [Fact]
    public void Sent_out_to_screens_on_white_at_a_higher_break()
    {
        // 102 printed at 1.43 in one screen; 22 freight over 200 decorations
        var plan = Plan(
            new ScreenOut(),
            On(White, 100, Front(9, 8, 50), Front(3, 3, 50) with { Id = "chest", Place = "left-chest" })
        );
        Assert.Equal(1.43m + 0.11m, plan.Material.Value);
        Assert.Equal((102, 28m), (plan.Bought, plan.SetUp!.Value));
    }

    [Theory]
    [InlineData(10, 13.34)] // 11.80 and (4.60 + 9 x 1.20) / 10
    [InlineData(1, 16.40)] // 11.80 + 4.60
    public void On_demand_the_blank_is_in_the_price_and_further_prints_cost_their_own(int pieces, double first)
    {
        var ask = On(Black, pieces, Front(9, 8, 50), Front(9, 8, 50) with { Id = "back", Place = "back" });
        Assert.Equal(first, (double)Plan(new PodOut(), ask).Material.Value, 1e-9);
        Assert.Equal(4.30m, Plan(new PodOut(), ask, which: 1).Material.Value);
        var cost = LineCost.Reckon(ask, new PodOut().Answer(ask, Book).Decorations, Book);
        Assert.Equal((0m, 0m), (cost.Stratum("blank").Value, cost.Stratum("spoilage").Value));
        Assert.Equal("Sent out", cost.Stratum("decoration").Label);
        Assert.Equal(360.0 / pieces, Seconds(Plan(new PodOut(), ask), "place-order"), 1e-9);
    }

    [Fact]
    public void Direct_printing_on_dark_is_pretreated_white_and_two_passes()
    {
        // 10 x 8 at 50%: 40 x .012 x .18 + 40 x .03 x .16 + 80 x .10 x .02; 160 in2 at 40 a minute
        var dark = Plan(new Dtg(), On(Black, 10, Front(10, 8, 50)));
        Assert.Equal(0.0864m + 0.192m + 0.16m, dark.Material.Value);
        Assert.Equal((240, 30, 45), (Seconds(dark, "print"), Seconds(dark, "spray"), Seconds(dark, "dry-spray")));
        var light = Plan(new Dtg(), On(White, 10, Front(10, 8, 50)));
        Assert.Equal(0.0864m, light.Material.Value);
        Assert.Equal((120, 0), (Seconds(light, "print"), Seconds(light, "spray")));
    }

    [Fact]
    public void Light_paper_is_laid_two_on_a_sheet_and_trimmed_round_its_outline()
    {
        // 7 x 4: two under one another on 8 x 10.5 with a sixteenth of bleed on each side; 14 painted x .012 x .38
        var plan = Plan(new PaperLight(), On(White, 10, Front(7, 4, 50)));
        var sheets = (plan.Bought + 1) / 2;
        Assert.Equal((sheets * 0.62m / plan.Bought) + 0.06384m, plan.Material.Value, 9);
        Assert.Equal((22, 15), (Seconds(plan, "trim"), plan.WaitMinutes));
        Assert.Equal(sheets, plan.Purchases[0].Quantity);
    }

    [Fact]
    public void Opaque_paper_is_cut_between_marks_or_by_scissors_where_they_leave_too_little()
    {
        // marks leave 7.3 in of 8.5, bleed 7.175: seven go by the cutter (28 in2 at 60 a minute), seven and a half
        // square by scissors
        var cut = Plan(new PaperOpaque(), On(Black, 10, Front(7, 4, 50)));
        Assert.Equal((28, 0, 4), (Seconds(cut, "cut"), Seconds(cut, "trim"), Seconds(cut, "lift-backing")));
        Assert.Equal(((cut.Bought + 1) / 2 * 1.15m / cut.Bought) + 0.06384m, cut.Material.Value, 9);
        var scissors = Plan(new PaperOpaque(), On(Black, 10, Front(7.5, 7.5, 50)));
        Assert.Equal((0, 30), (Seconds(scissors, "cut"), Seconds(scissors, "trim")));
    }

    [Theory]
    [InlineData(10, 4.90, 0.80)]
    [InlineData(30, 4.31, 0.2666667)]
    public void Digital_transfers_are_bought_by_size_at_their_break(int pieces, double price, double freight) =>
        Assert.Equal(
            price + freight,
            (double)Plan(new DigitalTransfer(), On(Black, pieces, Front(9, 8, 50))).Material.Value,
            1e-6
        );

    [Fact]
    public void A_pair_of_socks_takes_two_prints_two_jigs_and_two_presses()
    {
        var printer = new DyePrinter(
            "plover",
            "Plover",
            30,
            0.010,
            0.20m,
            8.5,
            11,
            0.25,
            0.15m,
            6,
            0.01m,
            0.04m,
            Free,
            ""
        );
        var jigged = MethodTests.Gannet with
        {
            Accessories = [new("jigs", AccessoryKind.Jig, 4, 14, 0.2, 0, new(2026, 1, 1))],
        };
        var book = Book.With<DyePrinter>([printer])
            .With<Press>([jigged])
            .With<Recipe>([
                MethodTests.FilmOnCotton with
                {
                    ProductId = "plover",
                    Fabric = RecipeFabric.Polyester,
                    TemperatureF = 390,
                    DwellSeconds = 60,
                    Peel = Peel.Hot,
                    PeelAfterSeconds = 0,
                    SecondPressSeconds = 0,
                },
            ]);
        var side = new Placement("a", "sock-side", 2.4, 6, 50, 4, true, 2);
        var ask = MethodTests.Ask(40, side) with
        {
            Colourway = White,
            Style = MethodTests.Tee(0, 400) with { Kind = GarmentKind.Socks, Fabric = [new(Fibre.Polyester, 100)] },
        };
        var plan = Plan(new Sublimation(), ask, book);
        var one = plan.Material.Parts[0];
        // 7.2 painted x .01 x .20; six of 2.4 x 6 on a sheet: 3 across, one down; tape .06; two protection papers .08
        Assert.Equal(0.0144m, one.Parts.Single(p => p.Code == "dye-ink").Value);
        Assert.Equal(2 * one.Value, plan.Material.Value);
        Assert.Equal(2, plan.Steps.Count(s => s.Code == "press"));
        Assert.Equal(40, Seconds(plan, "jig"));
        Assert.Equal(
            "no-jig",
            new Sublimation().Answer(ask, book.With<Press>([MethodTests.Gannet])).Verdict.Reasons[0].Code
        );
        // on both sides 4 in 100 pieces are lost in all
        var both = ask with { Placements = [side, side with { Id = "b", Place = "sock-side-b" }] };
        Assert.Equal(0.96, Math.Pow(1 - Sublimation.Assumed(both), 2), 1e-12);
        Assert.Equal(0.025, Sublimation.Assumed(ask));
    }

    public static TheoryData<string, string, string> Refusals =>
        new()
        {
            { "embroidery", "gradient", "gradient" },
            { "embroidery", "large", "too-large" },
            { "embroidery", "thin", "thin-line" },
            { "embroidery", "socks", "no-frame" },
            { "embroidery", "label", "scratches" },
            { "screen-out", "gradient", "gradient" },
            { "screen-out", "few", "minimum" },
            { "screen-out", "many", "colours" },
            { "screen-out", "cap", "flat-only" },
            { "screen-out", "own", "own-text" },
            { "screen-out", "large", "too-large" },
            { "pod-out", "theirs", "theirs-out" },
            { "pod-out", "cap", "not-listed" },
            { "pod-out", "large", "too-large" },
            { "dtg", "polyester", "fabric" },
            { "dtg", "cap", "flat-only" },
            { "dtg", "large", "too-large" },
            { "paper-light", "black", "colour" },
            { "paper-light", "polyester", "fabric" },
            { "paper-opaque", "large", "too-large" },
            { "paper-opaque", "cap", "flat-only" },
            { "paper-opaque", "wide-paper", "mismatch" },
            { "digital-transfer", "large", "size-class" },
            { "digital-transfer", "socks", "socks" },
            { "embroidery", "none", "no-stitcher" },
            { "screen-out", "none", "no-printer" },
            { "pod-out", "none", "no-service" },
            { "dtg", "none", "no-garment-printer" },
            { "paper-light", "none", "no-prices" },
            { "digital-transfer", "none", "no-prices" },
        };

    [Theory]
    [MemberData(nameof(Refusals))]
    public void What_cannot_be_is_refused_with_the_input_that_decided(string method, string what, string code)
    {
        var ask = what switch
        {
            "gradient" => On(Black, 30, Front(7, 4, 50) with { Gradient = true }),
            "large" => On(White, 30, Front(15, 18, 50)),
            "thin" => On(Black, 30, Front(7, 4, 50) with { ThinnestLinePt = 2 }),
            "few" => On(Black, 23, Front(7, 4, 50)),
            "many" => On(Black, 30, Front(7, 4, 50, 3)),
            "own" => On(Black, 30, Front(7, 4, 50) with { Own = OwnText.Name }),
            "label" => On(Black, 30, Front(2, 2, 50) with { Place = "neck-label" }),
            "theirs" => On(Black, 30, Front(7, 4, 50)) with { Theirs = true },
            "socks" => On(Black, 30, Front(2, 3, 50) with { Place = "sock-side" }) with
            {
                Style = MethodTests.Tee(100) with { Kind = GarmentKind.Socks },
            },
            "cap" => On(Black, 30, Front(4, 2, 50) with { Place = "cap-front" }) with
            {
                Style = MethodTests.Tee(100) with { Kind = GarmentKind.Cap },
            },
            "polyester" => On(White, 30, Front(7, 4, 50)) with { Style = MethodTests.Tee(0) },
            _ => On(Black, 30, Front(7, 4, 50)),
        };
        var book = what switch
        {
            "none" => MethodTests.Book,
            "wide-paper" => Book.With<PaperPrinter>([Dunlin with { WidestIn = 8 }]),
            _ => Book,
        };
        var answer = DecorationMethods.Find(new MethodId(method))!.Answer(ask, book);
        Assert.Equal(VerdictKind.No, answer.Verdict.Kind);
        Assert.Contains(answer.Verdict.Reasons, r =>
            r.Code == code && r.Kind == VerdictKind.No && r.Sentence.Length > 0 && r.WouldWork.Length > 0
        );
    }

    [Theory]
    [InlineData("embroidery", "puckers")]
    [InlineData("embroidery", "coated")]
    [InlineData("screen-out", "coated")]
    [InlineData("pod-out", "their-blank")]
    [InlineData("paper-opaque", "cut-outline")]
    [InlineData("dtg", "faded")]
    public void Care_is_said_where_it_is_needed(string method, string code)
    {
        var ask = On(Black, 30, Front(7, 4, 50) with { ThinnestLinePt = code == "cut-outline" ? 2 : 5 });
        ask = ask with
        {
            Style = code switch
            {
                "puckers" => ask.Style with { WeightGsm = 120 },
                "coated" => ask.Style with { Cloth = new(null, Migration.ByCloth, [Feature.Coated]) },
                "faded" => MethodTests.Tee(60),
                _ => ask.Style,
            },
        };
        var verdict = DecorationMethods.Find(new MethodId(method))!.Answer(ask, Book).Verdict;
        Assert.Equal(VerdictKind.WithCare, verdict.Kind);
        Assert.Contains(verdict.Reasons, r => r.Code == code);
    }

    [Fact]
    public void Cloth_that_bleeds_wants_a_film_that_blocks_whatever_the_heat()
    {
        var ask = On(Black, 10) with { Style = MethodTests.Tee(0) with { Cloth = new(null, Migration.High, []) } };
        var book = Book.With<Recipe>([
            MethodTests.FilmOnCotton with
            {
                ProductId = "vinyl",
                Fabric = RecipeFabric.Polyester,
                TemperatureF = 270,
            },
        ]);
        Assert.Equal("dye-migration", new Htv().Answer(ask, book).Verdict.Reasons[0].Code);
        Assert.Equal(
            VerdictKind.Yes,
            new Htv().Answer(ask, book.With<VinylFilm>([book.Of<VinylFilm>()[0] with { Blocks = true }])).Verdict.Kind
        );
    }

    [Fact]
    public void Nylon_is_pressed_by_the_cooler_recipe() =>
        Assert.Equal(
            RecipeFabric.Polyester,
            RecipeChoice.FabricOf(MethodTests.Tee(100) with { Fabric = [new(Fibre.Nylon, 100)] })
        );

    [Fact]
    public void A_step_may_take_no_time_at_all()
    {
        var still = Book with
        {
            Numbers = Book.Numbers with
            {
                Floor = Book.Numbers.Floor with
                {
                    Habits = Book.Numbers.Floor.Habits with { Times = [new("count-in", 0), new("unload", 0)] },
                },
            },
        };
        var ask = On(Black, 30, Front(9, 8, 50), Front(9, 8, 50) with { Id = "back", Place = "back" });
        Assert.All(new IDecorationMethod[] { new ScreenOut(), new DtfBought() }, m =>
            Assert.True(LineCost.Reckon(ask, m.Answer(ask, still).Decorations, still).Cost.Value > 0)
        );
    }

    [Fact]
    public void Work_without_heat_is_planned_at_its_own_place_and_takes_no_press()
    {
        var ask = On(Black, 30, Front(7, 4, 50));
        var monday = new LocalDateTime(2026, 6, 1, 8, 30, 0);
        var floor = new FloorPlan(
            monday,
            new OpenHours(Book.Numbers.Week.Days),
            [.. Book.Presses, .. Book.Benches()],
            []
        );
        PressWork Work(IDecorationMethod m, string code) =>
            LineWork.Of(new OrderId(code), "1", code, ask, m.Answer(ask, Book).Decorations, monday, "", null, Book);
        var placed = PressPlanner.Plan(
            [Work(new Embroidery(), "A"), Work(new ScreenOut(), "B"), Work(new DtfBought(), "C")],
            floor
        );
        Assert.Equal(["bittern", "table", "g"], placed.OrderBy(p => p.Work.Code).Select(p => p.PressId));
        Assert.All(placed.Where(p => p.PressId != "g"), p =>
            Assert.All(p.Parts, x => Assert.Equal((x.Start, null), (x.HeatFrom, x.SetUpFrom)))
        );
    }

    [Fact]
    public void What_a_figure_leaves_out_goes_with_its_way()
    {
        var ask = On(Black, 30, Front(7, 4, 50));
        var floor = new FloorPlan(
            new(2026, 6, 1, 8, 30, 0),
            new OpenHours(Book.Numbers.Week.Days),
            [.. Book.Presses, .. Book.Benches()],
            []
        );
        var untested = Book.With<Press>([MethodTests.Gannet with { OffsetF = null }]);
        var bands = Comparer
            .Compare(
                ask,
                null,
                null,
                null,
                untested,
                floor with
                {
                    Presses = [.. untested.Presses, .. untested.Benches()],
                },
                curve: false
            )
            .Bands;
        bool Leaves(string method, string what) =>
            bands
                .Single(b => b.MethodId == new MethodId(method))
                .LeavesOut.Any(l => l.Contains(what, StringComparison.Ordinal));
        Assert.True(Leaves("embroidery", "stitch file"));
        Assert.True(Leaves("pod-out", "they make it again"));
        Assert.False(Leaves("pod-out", "spare blanks"));
        Assert.True(Leaves("dtf-bought", "temperature test"));
        Assert.False(Leaves("screen-out", "temperature test"));
    }

    [Fact]
    public void What_the_numbers_say_is_nothing_stands_among_what_is_left_out()
    {
        var ask = On(Black, 30, Front(7, 4, 50));
        var n = Book.Numbers with
        {
            Rates = Book.Numbers.Rates with
            {
                Wage = 0,
                OverheadPerHour = 0,
                TariffPerKwh = 0,
                Spoilage = [new("dtf-bought", 0)],
            },
            Fees = Book.Numbers.Fees with { Share = default, Fixed = 0 },
        };
        IReadOnlyList<string> Said(IDecorationMethod m, ShopBook book) =>
            LeavesOut.Sentences(ask, m.Answer(ask, book).Decorations, book);
        string[] all = ["your hands", "rent and the rest", "card fees", "power", "spoiled pieces"];
        Assert.All(all, what =>
            Assert.Single(Said(new DtfBought(), Book with { Numbers = n }), l =>
                l.StartsWith(what, StringComparison.Ordinal)
            )
        );
        Assert.All(all, what =>
            Assert.DoesNotContain(Said(new DtfBought(), Book), l => l.StartsWith(what, StringComparison.Ordinal))
        );
        // a piece that somebody else prints takes no power here, and none is spoiled here
        Assert.DoesNotContain(Said(new PodOut(), Book with { Numbers = n }), l =>
            l.StartsWith("power", StringComparison.Ordinal) || l.StartsWith("spoiled", StringComparison.Ordinal)
        );
        Assert.Contains(Said(new DtfBought(), Book), l =>
            l.Contains("as if it came in the same parcel", StringComparison.Ordinal)
        );
    }

    // 9,000 by the file: 1.80 of thread and 0.12 of backing, nothing digitised; 1,000 × 9,000 ÷ (700 × 0.8 a minute)
    [Fact]
    public void A_stitch_file_says_the_stitches_and_is_digitised_already()
    {
        var counted = Front(3.5, 2, 50) with { Stitches = 9000 };
        var plan = Plan(new Embroidery(), On(Black, 24, counted));
        Assert.Equal(1.92m, plan.Material.Value);
        Assert.Null(plan.SetUp);
        Assert.Equal("its stitch file", Embroidery.Stitches(counted).Source);
        Assert.NotNull(Plan(new Embroidery(), On(Black, 24, Front(3.5, 2, 50))).SetUp);
        // three quarters as wide and high takes nine sixteenths of them
        var youth = On(Black, 24, Front(10, 6, 50) with { BySize = true, Stitches = 16_000 }) with
        {
            Sizes = [new("YM", 24)],
        };
        var scale = youth.Prints[0].WidthIn / 10;
        Assert.True(scale < 1);
        Assert.Equal((int)Math.Round(16_000 * scale * scale), youth.Prints[0].Stitches);
        Assert.Equal(
            "stitches",
            Assert
                .Single(PlacementRules.Refusals(counted with { Stitches = 50 }, "p", PlaceBook.Usual), r =>
                    r.Code == "range"
                )
                .Where.Split('.')[1]
        );
    }

    // the maker's label goes before the shop's own is printed there; on a blank of others it is theirs to do
    [Theory]
    [InlineData(true, "Tear the label out", 8)]
    [InlineData(false, "Unpick the label", 30)]
    public void A_neck_label_takes_the_old_label_out_first(bool tears, string what, double seconds)
    {
        var ask = On(Black, 30, Front(2, 2, 50) with { Place = "neck-label" });
        ask = tears
            ? ask with
            {
                Style = ask.Style with { Cloth = Cloth.Plain with { Features = [Feature.TearAwayLabel] } },
            }
            : ask;
        foreach (var method in new IDecorationMethod[] { new DtfBought(), new Htv(), new ScreenOut() })
        {
            var plan = Plan(method, ask);
            Assert.Equal((what, seconds), (plan.Preparation[0].Label, plan.Preparation[0].Seconds));
            Assert.Contains("ake the labels out", plan.Prepare, StringComparison.Ordinal);
        }
        Assert.DoesNotContain(Plan(new PodOut(), ask).Preparation, s => s.Code == "untag");
        Assert.DoesNotContain(Plan(new DtfBought(), On(Black, 30, Front(2, 2, 50))).Preparation, s =>
            s.Code == "untag"
        );
    }

    [Fact]
    public void What_is_bought_for_labels_names_their_size()
    {
        var two = On(Black, 30, Front(2, 2, 50) with { Place = "neck-label" }) with
        {
            Sizes = [new("M", 10), new("2XL", 20)],
        };
        foreach (var method in new IDecorationMethod[] { new DtfBought(), new Htv() })
        {
            Assert.Equal(
                ["for M", "for 2XL"],
                Plan(method, two).Purchases.Select(p => p.Text[p.Text.LastIndexOf("for ", StringComparison.Ordinal)..])
            );
            Assert.EndsWith(
                ", for M",
                Plan(method, two with { Sizes = [new("M", 30)] }).Purchases[0].Text,
                StringComparison.Ordinal
            );
        }
        Assert.All(Plan(new DtfBought(), two with { Placements = [Front(2, 2, 50)] }).Purchases, p =>
            Assert.DoesNotContain(", for ", p.Text, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Every_method_has_a_character() =>
        Assert.All(DecorationMethods.All, m => Assert.NotEmpty(m.Character.Feel));

    [Fact]
    public void What_cannot_be_kept_says_field_and_remedy()
    {
        (string Field, IEnumerable<Problem> Problems)[] wrong =
        [
            ("heads", (Bittern with { Heads = 0 }).Problems()),
            ("name", (Bittern with { Name = " " }).Problems()),
            ("prices", (Quayside with { Prices = [] }).Problems()),
            ("prices[0].breaks", (Quayside with { Prices = [new(1, [])] }).Problems()),
            ("spareShare", (Quayside with { SpareShare = 0.9 }).Problems()),
            ("prices", (Sandling with { Prices = [] }).Problems()),
            ("transitDays", (Sandling with { TransitDays = -1 }).Problems()),
            ("speedIn2PerMinute", (Direct with { SpeedIn2PerMinute = double.NaN }).Problems()),
            ("widestIn", (Dunlin with { WidestIn = 0 }).Problems()),
            ("marginIn", (Light with { MarginIn = 5 }).Problems()),
            ("sheetPrice", (Light with { SheetPrice = 0 }).Problems()),
            ("product", (Light with { Product = "" }).Problems()),
        ];
        Assert.All(wrong, w => Assert.Contains(w.Problems, p => p.Where == w.Field && p.Remedy.Length > 0));
        Assert.All(
            new[]
            {
                Bittern.Problems(),
                Quayside.Problems(),
                Sandling.Problems(),
                Direct.Problems(),
                Dunlin.Problems(),
                Light.Problems(),
                Opaque.Problems(),
            },
            Assert.Empty
        );
    }
}
