using Hepno.Core.Methods;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Spot tests: what they come to, and that they are believed before any rule.</summary>
public class SpotTestTests
{
    private static readonly LocalDate Day = new(2026, 6, 2);
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
        "soft",
        ""
    );

    [Fact]
    public void A_test_passes_waits_or_fails_with_its_reason()
    {
        Assert.Equal(TestVerdict.Passed, Good.Verdict());
        Assert.Equal(TestVerdict.LookAgain, (Good with { Bleeding = Bleeding.NotLooked }).Verdict());
        Assert.Equal("it does not stick", (Good with { Sticks = false }).Fault());
        Assert.Equal("it scorches", (Good with { Scorched = true }).Fault());
        Assert.Equal("the cloth's dye comes through", (Good with { Bleeding = Bleeding.Bled }).Fault());
        // cracked by the tenth wash the setting was wrong; later it is age
        Assert.Equal(TestVerdict.Failed, (Good with { Washes = [new(Day, 10, WashVerdict.Cracks)] }).Verdict());
        var aged = Good with
        {
            Washes =
            [
                new(Day, 5, WashVerdict.Holds),
                new(Day, 30, WashVerdict.Holds),
                new(Day, 55, WashVerdict.Cracks),
            ],
        };
        Assert.Equal((TestVerdict.Passed, 30), (aged.Verdict(), aged.Stands()));
        Assert.Null(Good.Stands());
    }

    private static Verdict Judge(AskInHand ask, RecipeSource source, params SpotTest[] tests) =>
        new DtfBought()
            .Answer(
                ask,
                MethodTests.Book.With<Recipe>([MethodTests.FilmOnCotton with { Source = source }]).With<SpotTest>(tests)
            )
            .Verdict;

    [Fact]
    public void What_was_tested_here_is_believed_before_any_rule()
    {
        var ask = MethodTests.Ask(10);
        // assumed and not tested: spot-test first; tested: nothing to say; failed: not like this
        Assert.Contains(Judge(ask, RecipeSource.Assumed).Reasons, r => r.Code == "spot-test");
        Assert.Equal(VerdictKind.Yes, Judge(ask, RecipeSource.Assumed, Good).Kind);
        var failed = Judge(ask, RecipeSource.Maker, Good with { Sticks = false });
        Assert.Equal(VerdictKind.No, failed.Kind);
        Assert.Contains(
            "Tue 2 Jun: it does not stick",
            Assert.Single(failed.Reasons, r => r.Code == "test-failed").Sentence,
            StringComparison.Ordinal
        );
        Assert.Contains(Judge(ask, RecipeSource.Maker, Good with { Bleeding = Bleeding.NotLooked }).Reasons, r =>
            r.Code == "look-again"
        );
        // the newest counts
        Assert.Equal(
            VerdictKind.Yes,
            Judge(
                ask,
                RecipeSource.Maker,
                Good with
                {
                    Sticks = false,
                },
                Good with
                {
                    Id = "u",
                    Day = Day.PlusDays(1),
                }
            ).Kind
        );
        // dark cloth with polyester: a test looked at after a day answers the rule's worry
        var dark = ask with { Style = MethodTests.Tee(60) };
        Assert.Contains(Judge(dark, RecipeSource.Maker).Reasons, r => r.Code == "dye-migration");
        Assert.DoesNotContain(Judge(dark, RecipeSource.Maker, Good).Reasons, r => r.Code == "dye-migration");
    }

    [Fact]
    public void Too_hot_for_the_cloth_names_the_nearest_product_that_is_not()
    {
        var book = MethodTests.Book.With<Recipe>([
            MethodTests.FilmOnCotton,
            MethodTests.FilmOnCotton with
            {
                Id = "v",
                ProductId = "vinyl",
                TemperatureF = 278,
            },
            MethodTests.FilmOnCotton with
            {
                Id = "w",
                ProductId = "vinyl",
                TemperatureF = 260,
            },
        ]);
        var reason = Assert.Single(
            new DtfBought()
                .Answer(MethodTests.Ask(10) with { Style = MethodTests.Tee(100, 300) }, book)
                .Verdict.Reasons,
            r => r.Code == "heat-ceiling"
        );
        Assert.Equal("a product pressed at 300 °F or less: Tidewell Vinyl wants 278 °F", reason.WouldWork);
        // nothing cooler is kept: only the heat is said
        Assert.Equal(
            "a product pressed at 200 °F or less",
            Assert
                .Single(
                    new DtfBought()
                        .Answer(MethodTests.Ask(10) with { Style = MethodTests.Tee(100, 200) }, book)
                        .Verdict.Reasons,
                    r => r.Code == "heat-ceiling"
                )
                .WouldWork
        );
    }

    [Fact]
    public void A_test_says_nothing_of_another_product_blank_colour_or_heat()
    {
        var (style, recipe) = (MethodTests.Tee(100), MethodTests.FilmOnCotton);
        var black = style.Colourways[0];
        Assert.NotNull(SpotTest.Find(recipe, style, black, [Good]));
        Assert.NotNull(SpotTest.Find(recipe, style, black, [Good with { TemperatureF = 305 }]));
        Assert.All(
            [
                Good with
                {
                    ProductId = "vinyl",
                },
                Good with
                {
                    StyleId = "other",
                },
                Good with
                {
                    ColourwayId = "white",
                },
                Good with
                {
                    TemperatureF = 304,
                },
            ],
            t => Assert.Null(SpotTest.Find(recipe, style, black, [t]))
        );
    }

    [Theory]
    [InlineData("productId")]
    [InlineData("styleId")]
    [InlineData("temperatureF")]
    [InlineData("dwellSeconds")]
    [InlineData("pressure")]
    [InlineData("note")]
    [InlineData("washes[0].washes")]
    public void What_cannot_be_is_refused_by_name(string where)
    {
        var wrong = where switch
        {
            "productId" => Good with { ProductId = "" },
            "styleId" => Good with { StyleId = "" },
            "temperatureF" => Good with { TemperatureF = 40 },
            "dwellSeconds" => Good with { DwellSeconds = double.NaN },
            "pressure" => Good with { Pressure = "hard" },
            "note" => Good with { Note = new('x', 2001) },
            _ => Good with { Washes = [new(Day, 0, WashVerdict.Holds)] },
        };
        Assert.Equal(where, Assert.Single(wrong.Problems()).Where);
    }
}
