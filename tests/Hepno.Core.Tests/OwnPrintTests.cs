using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Own film, dye prints and screened transfers: the worked example, verdicts, and what the money is made
/// of.</summary>
public class OwnPrintTests
{
    private static readonly EquipmentHour Machine = new(6000, 1000, 4, 800, 0.8, 0.5, 0.40m);

    private static readonly FilmPrinter Skua = new(
        "skua",
        "Skua",
        13,
        0.25,
        11,
        0.011,
        0.16m,
        0.014,
        0.14m,
        true,
        0.0042m,
        0.016,
        0.028m,
        20,
        0.05m,
        40,
        FilmCure.Oven,
        Machine,
        ""
    );

    private static readonly DyePrinter Plover = new(
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
        Machine,
        ""
    );

    private static readonly ScreenTransferList Screens = new(
        "screens",
        "Marram Press",
        "Hot-peel transfer",
        ScreenFormula.HotPeel,
        [
            new(
                "11 × 14",
                11,
                14,
                [new(1, [new(12, 2.40m), new(36, 1.70m), new(72, 1.20m)]), new(3, [new(12, 3.60m), new(36, 2.60m)])]
            ),
            new("5 × 7", 5, 7, [new(1, [new(12, 1.40m), new(50, 0.90m)])]),
        ],
        18m,
        true,
        12,
        11m,
        6
    );

    private static readonly Style Sport = MethodTests.Tee(0, 400) with { Id = "sport" };

    internal static ShopBook Book =>
        MethodTests
            .Book.With<FilmPrinter>([Skua])
            .With<DyePrinter>([Plover])
            .With<ScreenTransferList>([Screens])
            .With<Recipe>([
                .. MethodTests.Book.Of<Recipe>(),
                Recipe("own", "skua", 305, 15, Peel.Cold, 60, 8),
                Recipe("dye", "plover", 390, 60, Peel.Hot, 0, 0) with
                {
                    Fabric = RecipeFabric.Polyester,
                },
                Recipe("screen", "screens", 365, 6, Peel.Hot, 0, 0),
            ]);

    private static Recipe Recipe(
        string id,
        string product,
        double f,
        double seconds,
        Peel peel,
        double after,
        double second
    ) =>
        MethodTests.FilmOnCotton with
        {
            Id = new RecipeId(id),
            ProductId = new ThingId(product),
            TemperatureF = f,
            DwellSeconds = seconds,
            Peel = peel,
            PeelAfterSeconds = after,
            SecondPressSeconds = second,
        };

    private static AskInHand OnWhite(int pieces, Placement p, double polyester = 100) =>
        new(
            Sport with
            {
                Fabric = [new(Fibre.Polyester, polyester), new(Fibre.Cotton, 100 - polyester)],
            },
            new("white", "White", "#ffffff", ColourClass.White),
            [new("M", pieces)],
            [p]
        );

    private static decimal Part(Figure figure, string code) => figure.Parts.Single(p => p.Code == code).Value;

    /// <summary>docs/trade 17.</summary>
    [Fact]
    public void Example_3_own_film()
    {
        var p = new Placement("f", "front", 10.5, 8, 62, 4, false, 2);
        var laid = LaidFilm.Of(
            [new LaidPrint("f", new(p, [new("M", 1)]), 1, "one")],
            DtfMade.ListOf(Skua).Grounds()[0],
            null
        )!;
        Assert.Equal(8.25, laid.Found.UsedLengthIn, 1e-9);
        var print = DtfMade.Print(p, Skua, white: true, laid.Shares[0].ByArea with { Code = "film" }, 0.21m);
        Assert.Equal(0.1937m, Part(print, "colour-ink") + Part(print, "white-ink"), 4);
        Assert.Equal(0.0233m, Part(print, "powder"), 4);
        Assert.Equal(0.4504, (double)Part(print, "film"), 0.00006);
        Assert.Equal(
            0.6675,
            (double)(
                Part(print, "colour-ink") + Part(print, "white-ink") + Part(print, "powder") + Part(print, "film")
            ),
            0.00006
        );
        // the limit of a well-filled roll: the box with its gap
        Assert.Equal(0.3725m, Money.Times(10.75 * 8.25, Skua.FilmPricePerIn2), 4);
        // cleaning 20 ml x 0.05 over 40 prints; 84 in2 at 11 a minute on a machine of 5000/3200 + 0.4 kW x 0.21 + 0.40
        // an hour
        Assert.Equal(0.025m, Part(print, "cleaning"));
        Assert.Equal((1.5625m + 0.084m + 0.40m) * (decimal)(84.0 / 11 / 60), Part(print, "machine"), 6);
    }

    [Fact]
    public void White_is_left_out_only_on_light_cloth_and_only_when_the_shop_says_so()
    {
        var thrifty = Book.With<FilmPrinter>([Skua with { WhiteOnLight = false }]);
        bool White(AskInHand ask, ShopBook book) =>
            new DtfMade().Answer(ask, book).Decorations[0].Material.Parts.Any(p => p.Code == "white-ink");
        var dark = MethodTests.Ask(12);
        var light = dark with { Colourway = new("white", "White", "#ffffff", ColourClass.White) };
        Assert.True(White(dark, thrifty));
        Assert.True(White(light, Book));
        Assert.False(White(light, thrifty));
    }

    [Fact]
    public void Film_cured_under_the_press_takes_the_press_and_sets_it_twice()
    {
        var hover = Book.With<FilmPrinter>([Skua with { Cure = FilmCure.HoverPress }]);
        var ask = MethodTests.Ask(30);
        var (oven, press) = (new DtfMade().Answer(ask, Book).Decorations, new DtfMade().Answer(ask, hover).Decorations);
        Assert.Equal(0, WorkSteps.PressHeld(oven[0].Preparation));
        Assert.Equal(180 + (600.0 / press[0].Bought), WorkSteps.PressHeld(press[0].Preparation), 1e-9);
        Assert.Equal(WorkSteps.Attended(oven[0].Preparation), WorkSteps.Attended(press[0].Preparation));
        Assert.Equal(26, WorkSteps.Attended(press[0].Preparation)); // powder 20, cut apart 6: neither printing nor curing is attended
        double Minutes(IReadOnlyList<DecorationPlan> d) =>
            LineWork.Of("", "", "", ask, d, default, "", null, Book).MinutesPerPiece;
        Assert.Equal(WorkSteps.PressHeld(press[0].Preparation) / 60, Minutes(press) - Minutes(oven), 1e-9);
        Assert.True(
            LineCost.Reckon(ask, press, hover).Stratum("press").Value
                > LineCost.Reckon(ask, oven, Book).Stratum("press").Value
        );
    }

    [Fact]
    public void A_dye_print_is_ink_paper_tape_and_protection_paper()
    {
        // 8 x 5 with 60 painted: 24 in2; paper 8.5 x 11 with 0.25 margins: two on a sheet
        var answer = new Sublimation().Answer(OnWhite(20, new Placement("f", "front", 8, 5, 60, 4, true, 1)), Book);
        Assert.Equal(VerdictKind.Yes, answer.Verdict.Kind);
        var d = Assert.Single(answer.Decorations);
        Assert.Equal(0.048m, Part(d.Material, "dye-ink"));
        Assert.Equal(0.06m, Part(d.Material, "tape"));
        Assert.Equal(0.08m, Part(d.Material, "protection"));
        var prints = d.Bought;
        Assert.Equal(Math.Ceiling(prints / 2m) * 0.15m / prints, Part(d.Material, "paper"), 9);
        Assert.Equal(
            ["position", "tape", "cover", "close", "press", "open", "peel", "unload"],
            d.Steps.Select(s => s.Code)
        );
    }

    [Theory]
    [InlineData(100, "white", 8, VerdictKind.Yes, "")]
    [InlineData(95, "white", 8, VerdictKind.Yes, "")]
    [InlineData(94, "white", 8, VerdictKind.WithCare, "faded")]
    [InlineData(65, "white", 8, VerdictKind.WithCare, "faded")]
    [InlineData(64, "white", 8, VerdictKind.No, "fabric")]
    [InlineData(100, "dark", 8, VerdictKind.No, "colour")]
    [InlineData(100, "pale", 8, VerdictKind.Yes, "")]
    [InlineData(100, "white", 11, VerdictKind.No, "sheet-size")]
    public void Dye_takes_to_light_polyester_on_its_sheet(
        double polyester,
        string colour,
        double width,
        VerdictKind kind,
        string code
    )
    {
        var ask = OnWhite(12, new Placement("f", "front", width, 9, 60, 4, true, 1), polyester);
        ask = ask with { Colourway = ask.Colourway with { Class = Enum.Parse<ColourClass>(colour, ignoreCase: true) } };
        var verdict = new Sublimation().Answer(ask, Book).Verdict;
        Assert.Equal(kind, verdict.Kind);
        Assert.Equal(code, verdict.Reasons.Count == 0 ? "" : verdict.Reasons[0].Code);
    }

    [Fact]
    public void Screened_transfers_are_bought_past_the_need_when_that_costs_less()
    {
        // one colour and a counted white base on black: two colours, priced as three; 32 needed at 3.60 are 115.20, 36
        // at 2.60 are 93.60
        var d = Assert.Single(
            new ScreenTransfer().Answer(MethodTests.Ask(30, MethodTests.Front(9, 4, 1)), Book).Decorations
        );
        Assert.Equal(36, d.Bought);
        Assert.Equal(2.60m, Part(d.Material, "sheet-price"));
        Assert.Equal(36m, d.SetUp!.Value); // 2 colours x 18
        Assert.Equal((36 * 2.60m) + 36m, d.Purchases[0].Cost.Value);
        Assert.Contains("cost less in all", d.Purchases[0].Cost.Parts[0].Parts[0].Source, StringComparison.Ordinal);
        var cost = LineCost.Reckon(MethodTests.Ask(30), [d], Book).Stratum("decoration");
        Assert.Equal(36m / 30, cost.Parts.Single(p => p.Code == "set-up-front").Value);
    }

    [Fact]
    public void A_white_base_is_no_colour_on_white_cloth_or_where_the_supplier_does_not_count_it()
    {
        var p = MethodTests.Front(9, 4, 1);
        var black = new Colourway("black", "Black", "#000000", ColourClass.Dark);
        Assert.Equal(2, ScreenTransfer.ColoursCounted(p, Screens, black));
        Assert.Equal(1, ScreenTransfer.ColoursCounted(p, Screens, black with { Class = ColourClass.Pale }));
        Assert.Equal(1, ScreenTransfer.ColoursCounted(p, Screens with { CountsWhite = false }, black));
    }

    [Theory]
    [InlineData(9, 4, 1, true, 2, "gradient")]
    [InlineData(9, 4, 3, false, 2, "colours")]
    [InlineData(12, 14.5, 1, false, 2, "sheet-size")]
    [InlineData(9, 4, 1, false, 0.5, "thin-line")]
    public void Screens_refuse_with_the_input_that_decided(
        double w,
        double h,
        int colours,
        bool gradient,
        double line,
        string code
    )
    {
        var verdict = new ScreenTransfer()
            .Answer(MethodTests.Ask(30, MethodTests.Front(w, h, colours, gradient, line)), Book)
            .Verdict;
        Assert.Equal(VerdictKind.No, verdict.Kind);
        Assert.Contains(verdict.Reasons, r => r.Code == code && r.WouldWork.Length > 0);
    }

    [Fact]
    public void No_fewer_sheets_than_the_supplier_prints()
    {
        var d = Assert.Single(
            new ScreenTransfer()
                .Answer(
                    MethodTests.Ask(3, MethodTests.Front(4, 4, 1)) with
                    {
                        Colourway = new("white", "White", "#ffffff", ColourClass.White),
                    },
                    Book
                )
                .Decorations
        );
        Assert.Equal(12, d.Bought);
        Assert.Equal(1.40m, Part(d.Material, "sheet-price"));
    }

    // the freight came once: twelve sheets for one shirt are 16.80 and 11.00, not 11 times 11.00 more
    [Theory]
    [InlineData("screen-transfer", 1)]
    [InlineData("screen-transfer", 3)]
    [InlineData("screen-transfer", 30)]
    [InlineData("dtf-bought", 1)]
    [InlineData("dtf-bought", 40)]
    public void With_nothing_spoiled_an_order_pays_what_is_bought_and_its_freight(string key, int pieces)
    {
        var book = Book with
        {
            Numbers = Book.Numbers with { Rates = Book.Numbers.Rates with { Spoilage = [new(new MethodId(key), 0)] } },
        };
        var ask = MethodTests.Ask(pieces, MethodTests.Front(4, 4, 1)) with
        {
            Colourway = new("white", "White", "#ffffff", ColourClass.White),
        };
        var d = Assert.Single(DecorationMethods.Find(new MethodId(key))!.OnCloth(ask, book).Decorations);
        var cost = LineCost.Reckon(ask, [d], book);
        var freight = key == "dtf-bought" ? book.Of<TransferPriceList>()[0].FreightPerOrder : Screens.FreightPerOrder;
        Assert.Equal(
            d.Purchases.Sum(p => p.Cost.Value) + freight,
            pieces * (cost.Stratum("decoration").Value + cost.Stratum("spoilage").Value),
            6
        );
    }

    [Fact]
    public void The_cheapest_count_is_never_dearer_than_the_need_and_never_less() =>
        Gen.Select(Gen.Int[1, 300], Gen.Int[1, 400].Array[1, 5], Gen.Int[1, 900].Array[5])
            .Sample(
                (need, froms, prices) =>
                {
                    var breaks = froms.Distinct().Select((f, i) => new PriceBreak(f, prices[i % 5] / 100m)).ToList();
                    var (count, held) = PriceBreaks.Cheapest(breaks, need);
                    Assert.True(count >= need);
                    Assert.Equal(PriceBreaks.At(breaks, count), held);
                    for (var n = need; n <= need + 450; n++)
                    {
                        Assert.True(count * held.Price <= n * PriceBreaks.At(breaks, n).Price);
                    }
                }
            );

    [Theory]
    [InlineData(8, 5, 0.25, 0.25, 8.5, 11, 1, 2, false)]
    [InlineData(3, 3, 0.25, 0.25, 8.5, 11, 2, 3, false)]
    [InlineData(10, 4, 0.25, 0.25, 8.5, 11, 1, 1, true)]
    [InlineData(4, 5, 0, 0, 8, 10, 2, 2, false)]
    public void Copies_lie_in_the_better_grid(
        double w,
        double h,
        double gap,
        double margin,
        double sheetW,
        double sheetH,
        int across,
        int down,
        bool turned
    ) =>
        Assert.Equal(
            (across, down, turned),
            SheetGrid.Best(w, h, gap, margin, sheetW, sheetH) is { } g ? (g.Across, g.Down, g.Turned) : default
        );

    [Fact]
    public void What_is_larger_than_the_sheet_has_no_grid() =>
        Assert.Null(SheetGrid.Best(9, 11.5, 0.25, 0.25, 8.5, 11));

    [Fact]
    public void Every_method_stands_in_one_comparison()
    {
        var ask = OnWhite(24, MethodTests.Front(8, 5, 1), 60);
        var comparison = Comparer.Compare(
            ask,
            null,
            null,
            null,
            Book.With<Recipe>([
                .. Book.Of<Recipe>(),
                .. Book.Of<Recipe>()
                    .Select(r => r with { Id = new RecipeId(r.Id + "p"), Fabric = RecipeFabric.Polyester }),
            ]),
            new FloorPlan(
                new LocalDateTime(2026, 6, 1, 10, 0, 0),
                new OpenHours(Book.Numbers.Week.Days),
                Book.Presses,
                []
            )
        );
        Assert.Equal(
            ["dtf-bought", "dtf-made", "htv", "screen-transfer"],
            comparison.Bands.Select(b => b.MethodId).Order()
        );
        Assert.Equal(
            DecorationMethods.All.Select(m => m.Id).Except(["dtf-bought", "dtf-made", "htv", "screen-transfer"]),
            comparison.Folds.Select(f => f.MethodId)
        );
        // own film lies in the shop: only the blanks are waited for
        var made = comparison.Bands.Single(b => b.MethodId == "dtf-made");
        Assert.StartsWith("blanks from", made.Promise!.ArrivesCause, StringComparison.Ordinal);
    }
}
