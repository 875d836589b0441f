using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Film made on a garment printer: small sheets, two passes, powder by hand.</summary>
public class FilmOnGarmentPrinterTests
{
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
        new EquipmentHour(12_000, 2_000, 5, 500, 0.3, 0.5, 0.2m),
        "The carriage moves."
    );

    private static readonly GarmentFilm Film = new(
        "sheets",
        "Small sheets",
        10,
        12,
        0.5,
        0.25,
        0.90m,
        0.014,
        0.035,
        WhiteOnLight: true,
        20,
        12,
        30,
        40,
        0.018,
        0.03m,
        10,
        FilmCure.HoverPress,
        250,
        "Powder is fine dust."
    );

    private static readonly ShopBook Book = MethodTests
        .Book.With<GarmentPrinter>([Direct])
        .With<GarmentFilm>([Film])
        .With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            MethodTests.FilmOnCotton with
            {
                Id = "own",
                ProductId = "sheets",
            },
        ]);

    private static MethodAnswer Answer(AskInHand ask, ShopBook? book = null) =>
        new FilmOnGarmentPrinter().Answer(ask, book ?? Book);

    private static decimal Part(Figure figure, string code) => figure.Parts.Single(p => p.Code == code).Value;

    private static AskInHand OnWhite(int pieces, Placement p) =>
        MethodTests.Ask(pieces, p) with
        {
            Colourway = MethodTests.White,
        };

    [Fact]
    public void A_front_takes_a_sheet_two_passes_and_its_powder()
    {
        // 8 × 10 in, half painted: one to a sheet, turned or not
        var answer = Answer(MethodTests.Ask(10, MethodTests.Front(8, 10)));
        var plan = Assert.Single(answer.Decorations);
        var laid = Assert.Single(plan.Purchases);
        Assert.Equal(plan.Bought, laid.Laid!.Sheets);
        Assert.Equal(plan.Bought * 0.90m, laid.Cost.Value, 9);
        Assert.Equal(0.90m, Part(plan.Material, "film"), 9);
        Assert.Equal(40 * 0.014m * 0.18m, Part(plan.Material, "colour-ink"), 9);
        Assert.Equal(40 * 0.035m * 0.16m, Part(plan.Material, "white-ink"), 9);
        Assert.Equal(40 * 0.018m * 0.03m, Part(plan.Material, "powder"), 9);
        // 80 in² at 20 and at 12 a minute
        Assert.Equal([4 * 60, 400], plan.Preparation.Where(s => s.ByItself && !s.Press).Select(s => s.Seconds));
        Assert.Equal(30, plan.Preparation.Single(s => s.Code == "load-film").Seconds, 9);
        Assert.Equal(40, plan.Preparation.Single(s => s.Code == "feed-back").Seconds, 9);
        Assert.Equal(600.0 / plan.Bought, plan.Preparation.Single(s => s.Code == "clean-up").Seconds, 9);
        Assert.Equal(
            ["load-film", "print", "feed-back", "print-white", "powder", "cure", "re-set", "cut-apart", "clean-up"],
            plan.Preparation.Select(s => s.Code)
        );
        // (12000 − 2000) ÷ 2500 h + 0.15 kW × tariff + 0.20, for 640 s
        Assert.Equal(
            (double)(4m + (0.15m * Book.Numbers.Rates.TariffPerKwh) + 0.20m) * 640 / 3600,
            (double)Part(plan.Material, "machine"),
            1e-9
        );
        Assert.Equal(new Planning.Machine("direct", "Direct"), plan.Machine);
    }

    [Fact]
    public void Small_prints_share_the_sheets_and_what_is_done_to_them()
    {
        // 4 × 4 in: two across, two along with a quarter inch between
        var plan = Answer(MethodTests.Ask(40, MethodTests.Front(4, 4))).Decorations[0];
        var sheets = plan.Purchases[0].Laid!.Sheets;
        Assert.Equal((plan.Bought + 3) / 4, sheets);
        // a sheet begun is paid whole
        Assert.Equal(sheets * 0.90, (double)Part(plan.Material, "film") * plan.Bought, 1e-9);
        Assert.Equal(30.0 * sheets / plan.Bought, plan.Preparation.Single(s => s.Code == "load-film").Seconds, 1e-9);
        var standards = Book.Numbers.Floor.Standards();
        Assert.Equal(
            standards.PowderAndCure(FilmCure.HoverPress, 1, standards.CutOut(4, 4, 0))[0].Seconds
                * sheets
                / plan.Bought,
            plan.Preparation.Single(s => s.Code == "powder").Seconds,
            1e-9
        );
    }

    [Fact]
    public void White_is_left_out_on_light_cloth_where_the_shop_says_so()
    {
        var thrifty = Book.With<GarmentFilm>([Film with { WhiteOnLight = false }]);
        Assert.DoesNotContain(Answer(OnWhite(10, MethodTests.Front(8, 10)), thrifty).Decorations[0].Preparation, s =>
            s.Code is "feed-back" or "print-white"
        );
        Assert.Contains(Answer(OnWhite(10, MethodTests.Front(8, 10))).Decorations[0].Preparation, s =>
            s.Code == "print-white"
        );
        Assert.Contains(Answer(MethodTests.Ask(10, MethodTests.Front(8, 10)), thrifty).Decorations[0].Preparation, s =>
            s.Code == "print-white"
        );
        Assert.Equal(0, (Film with { WhiteOnLight = false }).Use(MethodTests.Front(), MethodTests.White, 3).WhiteMl);
        Assert.Equal(18 * 3 * 0.035, Film.Use(MethodTests.Front(), MethodTests.Black, 3).WhiteMl, 1e-9);
    }

    [Fact]
    public void The_cheaper_of_two_films_and_printers_is_taken()
    {
        var two = Book.With<GarmentFilm>([Film, Film with { Id = "dear", Name = "Dear", SheetPrice = 5 }])
            .With<GarmentPrinter>([Direct, Direct with { Id = "thirsty", ColourPricePerMl = 2 }])
            .With<Recipe>([.. Book.Of<Recipe>(), MethodTests.FilmOnCotton with { Id = "o2", ProductId = "dear" }]);
        var plan = Answer(MethodTests.Ask(10, MethodTests.Front(8, 10)), two).Decorations[0];
        Assert.Equal(("sheets", "direct"), (plan.Recipe.ProductId.Text, plan.Machine!.Id.Text));
    }

    [Theory]
    [InlineData("no-printer", "no-garment-printer")]
    [InlineData("no-film", "no-garment-film")]
    [InlineData("large", "too-large")]
    [InlineData("sheet", "mismatch")]
    [InlineData("recipe", "no-recipe")]
    public void It_refuses_with_the_input_that_decided(string what, string code)
    {
        var book = what switch
        {
            "no-printer" => Book.With<GarmentPrinter>([]),
            "no-film" => Book.With<GarmentFilm>([]),
            "sheet" => Book.With<GarmentFilm>([Film with { SheetWidthIn = 15, SheetHeightIn = 15 }]),
            "recipe" => Book.With<Recipe>(MethodTests.Book.Of<Recipe>()),
            _ => Book,
        };
        var verdict = Answer(MethodTests.Ask(10, MethodTests.Front(what == "large" ? 9.5 : 8, 10)), book).Verdict;
        Assert.Equal(VerdictKind.No, verdict.Kind);
        Assert.Contains(verdict.Reasons, r => r.Code == code && r.WouldWork.Length > 0);
    }

    [Fact]
    public void A_thousand_and_one_pieces_are_answered()
    {
        var answer = Answer(MethodTests.Ask(1001, MethodTests.Front(8, 10)));
        Assert.True(answer.Decorations.Count > 0 || answer.Verdict.Reasons.Any(r => r.Code == "layout"));
    }

    [Fact]
    public void What_lies_in_the_drawer_is_not_made_anew()
    {
        var ask = MethodTests.Ask(2, MethodTests.Front(8, 10));
        var needed = Answer(ask).Decorations[0].Bought;
        var answer = Answer(ask with { Drawer = [new("1", "front", "k", needed, "sheets")] });
        var plan = Assert.Single(answer.Decorations);
        Assert.Equal((0m, needed), (plan.Material.Value, plan.Bought));
        Assert.Empty(plan.Preparation);
        Assert.Empty(plan.Purchases);
    }

    [Fact]
    public void Its_cautions_and_the_printers_are_said_where_it_is_made()
    {
        var plans = Answer(MethodTests.Ask(2, MethodTests.Front(8, 10))).Decorations;
        Assert.Equal(
            ["Direct: The carriage moves.", "film Small sheets: Powder is fine dust."],
            PrepareCautions.Sentences(plans, Book)
        );
    }

    [Fact]
    public void What_cannot_be_kept_is_refused_at_its_field() =>
        Assert.Equal("edgeIn", Assert.Single((Film with { EdgeIn = 4, SheetWidthIn = 8 }).Problems()).Where);
}
