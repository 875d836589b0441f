using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Where a recipe's figures come from, what tests make of it, and preparation in the gaps.</summary>
public class RecipeSourceTests
{
    private static readonly LocalDate Day = new(2026, 3, 2);
    private static readonly Recipe Film = MethodTests.FilmOnCotton;
    private static readonly SpotTest Good = new(
        "t",
        "film",
        "tee",
        "",
        310,
        15,
        "medium",
        Day,
        "Wren",
        true,
        false,
        Bleeding.Clean,
        "",
        ""
    );

    private static AskInHand Ask => MethodTests.Ask(20);

    private static Confidence Of(RecipeSource source, params SpotTest[] tests) =>
        RecipeConfidence.Judge(Film with { Source = source }, Ask.Style, Ask.Colourway, tests);

    [Fact]
    public void Confidence_comes_from_tests_before_the_source()
    {
        Assert.Equal(
            [Confidence.Guess, Confidence.Word, Confidence.Word, Confidence.Tested],
            new[] { RecipeSource.Assumed, RecipeSource.Learned, RecipeSource.Maker, RecipeSource.OwnTest }.Select(s =>
                Of(s)
            )
        );
        Assert.Equal(Confidence.Tested, Of(RecipeSource.Assumed, Good));
        Assert.Equal(
            Confidence.Tested,
            Of(RecipeSource.Assumed, Good with { Washes = [new(Day, 9, WashVerdict.Holds)] })
        );
        Assert.Equal(
            Confidence.Washed,
            Of(RecipeSource.Assumed, Good with { Washes = [new(Day, 10, WashVerdict.Holds)] })
        );
        Assert.Equal(Confidence.Failed, Of(RecipeSource.OwnTest, Good with { Sticks = false }));
        // looked at too early, or of another colour: the source stands
        Assert.Equal(Confidence.Guess, Of(RecipeSource.Assumed, Good with { Bleeding = Bleeding.NotLooked }));
        Assert.Equal(Confidence.Guess, Of(RecipeSource.Assumed, Good with { ColourwayId = "white" }));
    }

    [Fact]
    public void A_passed_test_gives_the_recipe_its_source_and_a_failed_one_the_other_recipe()
    {
        var hotter = Film with { Id = "hotter", TemperatureF = 330, Source = RecipeSource.Assumed };
        Recipe Chosen(params SpotTest[] tests) =>
            RecipeChoice.For("film", Ask.Style, Ask.Colourway, [Film, hotter], tests)!;
        Assert.Equal(("r1", RecipeSource.Maker), (Chosen().Id, Chosen().Source));
        Assert.Equal(("r1", RecipeSource.OwnTest, Day), (Chosen(Good).Id, Chosen(Good).Source, Chosen(Good).AsOf));
        // the maker's heat failed here: what is assumed is tried, with its warning
        Assert.Equal(
            ("hotter", RecipeSource.Assumed),
            (Chosen(Good with { Sticks = false }).Id, Chosen(Good with { Sticks = false }).Source)
        );
        Assert.Equal("hotter", Chosen(Good with { Id = "u", TemperatureF = 330 }).Id);
    }

    [Fact]
    public void A_figure_may_come_from_elsewhere_than_the_rest()
    {
        var recipe = Film with { Parameters = [new("dwell", RecipeSource.Learned, Day, "13 s still sticks")] };
        Assert.Equal((RecipeSource.Learned, Day), (recipe.From("dwell").Source, recipe.From("dwell").AsOf));
        Assert.Equal((Film.Source, Film.AsOf), (recipe.From("temperature").Source, recipe.From("temperature").AsOf));
        Assert.Empty(recipe.Problems());
        Assert.Equal(
            "parameters[0].name",
            Assert.Single((Film with { Parameters = [new("colour", RecipeSource.Learned, Day, "")] }).Problems()).Where
        );
        Assert.Equal(
            "parameters[1].name",
            Assert.Single((Film with { Parameters = [recipe.Parameters[0], recipe.Parameters[0]] }).Problems()).Where
        );
    }

    [Fact]
    public void A_test_takes_a_garment_from_the_shelf()
    {
        var shelf = new TestGarment("g", "Misprints", "100% cotton", 2, "");
        Assert.Equal(
            [2, 1, 0, 0],
            Enumerable
                .Range(0, 4)
                .Select(n =>
                    shelf.Left([
                        .. Enumerable
                            .Range(0, n)
                            .Select(i => Good with { Id = new SpotTestId($"t{i}"), GarmentId = "g" }),
                        Good,
                    ])
                )
        );
        Assert.Equal(["name", "pieces"], (shelf with { Name = "", Pieces = -1 }).Problems().Select(p => p.Where));
    }

    [Theory]
    [InlineData("../../etc")]
    [InlineData("")]
    [InlineData("ABCDEF0123456789ABCDEF0123456789ABCDEF0123456789ABCDEF0123456789")]
    public void A_photograph_names_a_kept_file_and_nothing_else(string hash) =>
        Assert.Equal("photos[0]", Assert.Single((Good with { Photos = [new("p", hash, 0)] }).Problems()).Where);

    [Fact]
    public void Vinyl_weeded_in_the_gaps_is_worked_in_the_stream_and_counted_once()
    {
        ShopBook With(bool beside) =>
            MethodTests.Book with
            {
                Numbers = MethodTests.Book.Numbers with
                {
                    Floor = FloorRules.Default with { Habits = new() { PrepareBeside = beside } },
                },
            };
        var plan = new Htv().Answer(Ask, With(false)).Decorations;
        var hands = plan[0].Preparation.Where(s => s is { Hands: true, Press: false }).Sum(s => s.Seconds);
        Assert.True(hands > 0);
        var (before, beside) = (LineFloor.JobOf(Ask, plan, With(false)), LineFloor.JobOf(Ask, plan, With(true)));
        Assert.Equal(hands, beside.HandsSeconds - before.HandsSeconds, 1e-9);
        Assert.Equal(before.PressSeconds, beside.PressSeconds, 1e-9);
        // the same hands are paid either way, but for the share of spoiled pieces that is counted with the passes
        var (paidBefore, paidBeside) = (
            LineCost.Reckon(Ask, plan, With(false)).Stratum("labour").Value,
            LineCost.Reckon(Ask, plan, With(true)).Stratum("labour").Value
        );
        Assert.InRange(paidBeside / paidBefore, 0.9m, 1.02m);
        // both at once are never slower than one after the other
        var saved = LineFloor.PreparedBeside(Ask, plan, With(false))!;
        Assert.True(saved.SecondsInAll >= 0 && (saved.SecondsInAll > 0 || saved.Note.Length > 0));
        Assert.Null(LineFloor.PreparedBeside(Ask, plan, With(true)));
        Assert.Null(LineFloor.PreparedBeside(Ask, [plan[0] with { Preparation = [] }], With(false)));
    }

    [Fact]
    public void From_cold_the_press_heats_first_and_weeding_is_done_meanwhile()
    {
        var book = MethodTests.Book with
        {
            Numbers = MethodTests.Book.Numbers with
            {
                Floor = FloorRules.Default with { Habits = new() { PrepareBeside = true } },
            },
        };
        var plan = new Htv().Answer(Ask, book).Decorations;
        var warm = LineFloor.JobOf(Ask, plan, book);
        var cold = LineFloor.FromCold(Ask, book, warm);
        // 15 minutes to 300 °F from 70: 310 °F is 15 × 240 ÷ 230
        var heating = 15.0 * 240 / 230 * 60;
        var (fromWarm, fromCold) = (
            PressFloorSimulation.Run(warm, trace: true),
            PressFloorSimulation.Run(cold, trace: true)
        );
        Assert.InRange(fromCold.MakespanSeconds, heating, fromWarm.MakespanSeconds + heating);
        Assert.Equal(
            heating,
            Assert.Single(fromCold.Trace, e => e.Code == "heat") is { } heat ? heat.Until - heat.From : 0,
            1e-6
        );
        Assert.Empty(FloorAudit.Faults(cold, fromCold));
    }
}
