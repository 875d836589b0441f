using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Core.Stock;

namespace Hepno.Core.Tests;

/// <summary>Applique: film and a stitched edge by hand, a finishing press at a place of work of its own, and what
/// cannot be stitched on.</summary>
public class AppliqueTests
{
    private static readonly StitchMachine Bittern = Stitchers.BitternPaid;
    private static readonly ShopBook Book = MethodTests.Book.With<StitchMachine>([Bittern]);

    private static AskInHand Ask(int colours = 1, Placement? p = null) =>
        MethodTests.Ask(20, p ?? (MethodTests.Front(10, 5, colours, line: 20) with { CoveragePercent = 80 }));

    private static MethodAnswer Answer(AskInHand ask, ShopBook? book = null) =>
        new Applique().Answer(ask, book ?? Book);

    // 10 × 5 round is 30 in: 3,600 stitches at 560 a minute; film 50 in² × 0.02; thread 3.6 × 0.20; backing 0.12. Two
    // colours are two films and two edges
    [Theory]
    [InlineData(1, 3600, 1.00, 0.72, 385.714286)]
    [InlineData(2, 7200, 2.00, 1.44, 779.428571)]
    public void Film_thread_and_minutes_by_hand(
        int colours,
        double stitches,
        double film,
        double thread,
        double seconds
    )
    {
        var plan = Answer(Ask(colours)).Decorations[0];
        Assert.Equal(stitches, (double)Applique.Stitches(plan.Placement).Value);
        Assert.Equal([film, thread, 0.12], plan.Material.Parts.Select(p => (double)p.Value), (a, b) =>
            Math.Abs(a - b) < 1e-9
        );
        Assert.Equal(seconds, plan.Steps.Single(s => s.Code == "stitch").Seconds, 6);
        // ten seconds a film at its stop; a second an in of outline cut out
        Assert.Equal(
            (10.0 * colours, 30.0 * colours),
            (plan.Steps.Single(s => s.Code == "lay-film").Seconds, plan.Preparation.Single().Seconds)
        );
        Assert.Equal((24m, 0.02), (plan.SetUp!.Value, plan.FailureChance));
    }

    // against 40 in² of fill: 72,000 stitches and their two hours and more: 14.40 of thread and as much again of the
    // machine
    [Fact]
    public void It_costs_less_than_filling_a_large_shape_with_stitches()
    {
        var ask = Ask();
        decimal Cost(IDecorationMethod way) => LineCost.Reckon(ask, way.Answer(ask, Book).Decorations, Book).Cost.Value;
        Assert.InRange(Cost(new Embroidery()) - Cost(new Applique()), 15, 30);
    }

    // stitched at the machine, finished at the press: 320 °F for 10 s under a cover, nothing to peel
    [Fact]
    public void It_is_finished_under_the_press_at_a_place_of_its_own()
    {
        var ask = Ask();
        var plans = Answer(ask).Decorations;
        Assert.Equal([("bittern", ""), ("", "front")], plans.Select(d => (d.BenchId, d.Finishes)));
        Assert.Equal(["cover", "close", "press", "open", "unload"], plans[1].Steps.Select(s => s.Code));
        Assert.Equal(
            (320.0, 10.0, RecipeSource.Assumed),
            (plans[1].Recipe.TemperatureF, plans[1].Recipe.DwellSeconds, plans[1].Recipe.Source)
        );
        Assert.Equal(MethodTests.Gannet.Id, LineFloor.WorkplaceOf(ask, plans, Book).Id);
        var cost = LineCost.Reckon(ask, plans, Book);
        Assert.Equal(["front", "front-finish"], cost.Sequence.Select(a => a.Id));
        Assert.Equal(cost.Cost.Value, cost.Cost.Parts.Sum(p => p.Value), 9);
        // the machine's held hour is its own, the press's the press's
        Assert.NotEqual(cost.Sequence[0].Hour?.Value, cost.Sequence[1].Hour?.Value);
        // one artwork, though it is handled at two places
        Assert.Equal(
            Book.Numbers.Rates.OrderMinutes + Book.Numbers.Rates.ArtworkMinutes,
            (double)
                cost.Cost.Parts.Single(p => p.Code == "labour").Parts.Single(p => p.Code == "order-time").Parts[0].Value
        );
    }

    [Fact]
    public void The_shop_s_own_recipe_wins_and_a_hot_one_is_refused()
    {
        var own = MethodTests.FilmOnCotton with
        {
            Id = "own",
            ProductId = "bittern",
            TemperatureF = 300,
            DwellSeconds = 12,
        };
        Assert.Equal(
            300,
            Answer(Ask(), Book.With<Recipe>([.. Book.Of<Recipe>(), own])).Decorations[1].Recipe.TemperatureF
        );
        Assert.Contains(Answer(Ask() with { Style = MethodTests.Tee(100, 310) }).Verdict.Reasons, r =>
            r.Code == "heat-ceiling" && r.Kind == VerdictKind.No
        );
    }

    [Fact]
    public void Two_prints_are_stitched_one_after_the_other_and_pressed_after_both()
    {
        var ask = MethodTests.Ask(
            20,
            MethodTests.Front(10, 5, 1, line: 20),
            MethodTests.Front(3, 3, 1, line: 20) with
            {
                Id = "chest",
                Place = "left-sleeve",
            }
        );
        var plans = Answer(ask).Decorations;
        Assert.Equal(["front", "chest", "front-finish", "chest-finish"], plans.Select(d => d.Placement.Id));
        Assert.Equal("thread", plans[3].Steps[0].Code);
        // mixed with film on the sleeve: stitched, then pressed in the order of the ask
        var mix = Mixed.Find("applique@front+dtf-bought@chest")!.Answer(ask, Book).Decorations;
        Assert.Equal(["front", "front-finish", "chest"], mix.Select(d => d.Placement.Id));
    }

    [Fact]
    public void A_design_stitched_here_before_is_not_digitised_again()
    {
        var ask = Ask(p: MethodTests.Front(10, 5, 1, line: 20) with { DesignId = "crest" }) with
        {
            Made = [new MadeBefore("crest", "bittern", 10, 5, 0, new(2025, 1, 1))],
        };
        Assert.Null(Answer(ask).Decorations[0].SetUp);
    }

    [Theory]
    [InlineData("gradient", "gradient")]
    [InlineData("fine", "thin-line")]
    [InlineData("five", "layers")]
    [InlineData("own", "own-text")]
    [InlineData("neck", "scratches")]
    [InlineData("large", "too-large")]
    [InlineData("socks", "no-frame")]
    [InlineData("no-film", "no-applique")]
    [InlineData("no-machine", "no-applique")]
    public void What_cannot_be_stitched_on_says_why(string what, string code)
    {
        var p = MethodTests.Front(10, 5, 1, line: 20);
        var ask = what switch
        {
            "gradient" => Ask(p: p with { Gradient = true }),
            "fine" => Ask(p: p with { ThinnestLinePt = 6 }),
            "five" => Ask(p: p with { Colours = 5 }),
            "own" => Ask(p: p with { Own = OwnText.Name }),
            "neck" => Ask(p: p with { Place = "neck-label", WidthIn = 2, HeightIn = 2 }),
            "large" => Ask(p: p with { WidthIn = 13, HeightIn = 9 }),
            "socks" => Ask() with { Style = MethodTests.Tee(100) with { Kind = GarmentKind.Socks } },
            _ => Ask(),
        };
        var answer = Answer(
            ask,
            what switch
            {
                "no-film" => Book.With<StitchMachine>([Bittern with { AppliqueFilmPerIn2 = null }]),
                "no-machine" => Book.With<StitchMachine>([]),
                _ => Book,
            }
        );
        Assert.Empty(answer.Decorations);
        Assert.Contains(answer.Verdict.Reasons, r =>
            r.Code == code && r.Kind == VerdictKind.No && r.WouldWork.Length > 0
        );
    }
}
