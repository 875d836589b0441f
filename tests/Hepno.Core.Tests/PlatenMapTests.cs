using CsCheck;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>What a press's platen is really like, and what is set by it.</summary>
public class PlatenMapTests
{
    private static readonly LocalDate Day = new(2026, 11, 20);

    private static PlatenMap Map(double set, params double[] points) => new(Day, set, points);

    private static Press With(params PlatenMap[] maps) =>
        (MethodTests.Gannet with { OffsetF = null, Maps = maps }).Settled();

    [Fact]
    public void Set_320_and_mean_305_is_shown_as_325_for_a_recipe_of_310()
    {
        var map = Map(320, 305, 305, 305, 305, 305, 305, 305, 305, 305);
        Assert.Equal(-15, map.OffsetF());
        Assert.Equal(325, With(map).SetPointF(310));
        Assert.Equal(325, map.HottestF(340));
        // 20 below is still corrected, 21 is not
        Assert.False(With(Map(320, [.. Enumerable.Repeat(300d, 9)])).IsSetAside());
        Assert.True(With(Map(320, [.. Enumerable.Repeat(299d, 9)])).IsSetAside());
        Assert.True(With(Map(320, [.. Enumerable.Repeat(341d, 9)])).IsSetAside());
    }

    [Fact]
    public void A_cold_spot_is_more_than_ten_below_the_platens_own_mean()
    {
        // mean 310: 300 is not, 299 would be
        var map = Map(310, 313, 313, 313, 313, 313, 313, 313, 300, 299);
        Assert.Equal(310, map.MeanF());
        Assert.Equal(14, map.SpreadF());
        Assert.Equal([8], map.ColdSpots());
        Assert.Equal("near right", PlatenMap.Names[8]);
    }

    // 16 by 20: thirds of 5.33 and 6.67; cold near right, mean 308.3
    [Theory]
    [InlineData(5, 6, false)]
    [InlineData(10, 6, false)]
    [InlineData(5, 14, false)]
    [InlineData(10, 11, true)]
    [InlineData(5.2, 14, false)]
    [InlineData(6, 6.5, false)]
    public void For_a_print_that_would_lie_on_a_cold_spot_a_press_is_set_aside(double width, double height, bool cold)
    {
        var press = With(Map(310, 310, 310, 310, 310, 310, 310, 310, 310, 295)) with
        {
            PlatenWidthIn = 16,
            PlatenHeightIn = 20,
        };
        Assert.Equal(cold ? [8] : [], press.ColdUnder(width, height));
        Assert.Empty((press with { ColdBelowF = 20 }).ColdUnder(width, height));
        Assert.Empty((press with { Maps = [press.Maps![0] with { Doubtful = true }] }).ColdUnder(width, height));

        // the plan gives it to the next press, and where there is none it says why
        var work = new PressWork(
            "",
            "",
            "T-1",
            10,
            1,
            310,
            new(2026, 6, 1, 9, 0, 0),
            "",
            null,
            0,
            0,
            null,
            width,
            height
        );
        FloorPlan Floor(params Press[] presses) =>
            new(new(2026, 6, 1, 9, 0, 0), new OpenHours(MethodTests.Book.Numbers.Week.Days), presses, []);
        Assert.Equal(
            cold ? "even" : press.Id,
            PressPlanner
                .Plan([work], Floor(press, press with { Id = "even", Maps = [], WarmUpMinutes = 60 }))[0]
                .PressId
        );
        var book = MethodTests.Book.With<Press>([press]);
        var film = new DtfBought().Answer(MethodTests.Ask(12, MethodTests.Front(width, height, 1)), book);
        Assert.Equal(
            cold,
            film.Verdict.Reasons.Any(r =>
                r.Code == "cold-spot"
                && r.Kind == VerdictKind.No
                && r.Sentence.Contains("colder near right", StringComparison.Ordinal)
            )
        );
    }

    [Fact]
    public void A_check_that_finds_a_cold_spot_is_not_the_last_good_one()
    {
        var good = Map(310, [.. Enumerable.Repeat(310d, 9)]);
        var bad = Map(310, 310, 310, 310, 310, 310, 310, 310, 310, 295) with { Day = Day.PlusDays(9) };
        Assert.Equal(Day, With(good, bad).LastGoodCheck());
        Assert.Null(With(bad).LastGoodCheck());
        Assert.Equal(Day.PlusDays(9), (With(good, bad) with { ColdBelowF = 30 }).LastGoodCheck());
    }

    [Fact]
    public void A_map_says_nothing_of_heat_far_from_it_and_a_doubtful_one_nothing_at_all()
    {
        var near = Map(310, [.. Enumerable.Repeat(304d, 9)]);
        var press = With(near);
        Assert.Equal(-6, press.OffsetFor(340));
        Assert.Null(press.OffsetFor(341));
        Assert.Null(With(near with { Doubtful = true }).OffsetFor(310));
        // the newest that reaches is taken
        var newer = Map(320, [.. Enumerable.Repeat(312d, 9)]) with { Day = Day.PlusDays(5) };
        Assert.Equal(-8, With(near, newer).OffsetFor(310));
        Assert.Equal(-6, With(near, newer).OffsetFor(285));
        // a press without a map goes by what was typed
        Assert.Equal(-5, MethodTests.Gannet.OffsetFor(390));
    }

    [Theory]
    [InlineData(330, false)]
    [InlineData(324, true)]
    public void The_hottest_point_is_held_against_the_cloth(double ceiling, bool refused)
    {
        // the mean is right, one corner is 15 above: 310 on the mean is 325 there
        var map = Map(310, 325, 308, 308, 308, 308, 308, 308, 308, 309);
        Assert.Equal(310, map.MeanF());
        var book = MethodTests.Book.With<Press>([With(map)]);
        var verdict = new DtfBought()
            .Answer(MethodTests.Ask(10) with { Style = MethodTests.Tee(100, ceiling) }, book)
            .Verdict;
        Assert.Equal(refused, verdict.Reasons.Any(r => r.Code == "hot-spot" && r.Kind == VerdictKind.No));
    }

    [Fact]
    public void A_cloth_that_takes_the_recipe_is_pressed_on_the_press_that_has_no_hot_corner()
    {
        var hot = With(Map(310, 325, 308, 308, 308, 308, 308, 308, 308, 309));
        var even = With(Map(310, [.. Enumerable.Repeat(310d, 9)])) with { Id = "even", Name = "Even" };
        var book = MethodTests.Book.With<Press>([hot, even]);
        Assert.DoesNotContain(
            new DtfBought()
                .Answer(MethodTests.Ask(10) with { Style = MethodTests.Tee(100, 320) }, book)
                .Verdict.Reasons,
            r => r.Code == "hot-spot"
        );
    }

    [Theory]
    [InlineData(330, "gannet")]
    [InlineData(324, "even")]
    public void The_plan_keeps_a_cloth_off_the_press_that_is_too_hot_for_it(double ceiling, string press)
    {
        var hot = With(Map(310, 325, 308, 308, 308, 308, 308, 308, 308, 309)) with { Id = "gannet" };
        var monday = new LocalDateTime(2026, 6, 1, 9, 0, 0);
        var work = new Planning.PressWork("a", "1", "A", 20, 1, 310, monday, "film", null, 5, 3, null, 10, 10)
        {
            CeilingF = ceiling,
        };
        // both are free: the plan takes the first that may
        var plan = Planning.PressPlanner.Plan(
            [work],
            new(monday, new(ShopNumbers.Default.Week.Days), [hot, With() with { Id = "even", Name = "Even" }], [])
        );
        Assert.Equal(new PressId(press), plan[0].PressId);
        Assert.Equal(
            "",
            Planning
                .PressPlanner.Plan(
                    [work with { CeilingF = 300 }],
                    new(monday, new(ShopNumbers.Default.Week.Days), [hot], [])
                )[0]
                .PressId
        );
    }

    [Fact]
    public void The_mean_on_the_cloth_is_the_recipe_whatever_the_platen() =>
        Gen.Select(Gen.Double[280, 340], Gen.Double[-18, 18].Array[9])
            .Sample(
                (set, off) =>
                {
                    var press = With(Map(set, [.. off.Select(o => set + o)]));
                    var recipe = set + 5;
                    // set by its offset the same platen has the recipe as its mean
                    Assert.Equal(recipe, press.SetPointF(recipe) + off.Average(), 1e-9);
                    Assert.True(press.HottestF(recipe) >= recipe - 1e-9);
                }
            );

    [Theory]
    [InlineData(140, 9, 300, "range")]
    [InlineData(310, 8, 300, "points")]
    [InlineData(310, 9, 90, "range")]
    [InlineData(310, 9, 300, "")]
    public void What_is_no_map_is_refused(double set, int count, double reading, string code) =>
        Assert.Equal(
            code,
            new PlatenMap(Day, set, [.. Enumerable.Repeat(300d, count - 1), reading]).Problems().FirstOrDefault()?.Code
                ?? ""
        );

    [Theory]
    [InlineData("medium", Blanks.Thickness.Thin, null, 4.0)]
    [InlineData("medium", Blanks.Thickness.Middle, null, 3.0)]
    [InlineData("medium", Blanks.Thickness.Thin, "sleeve", 5.5)]
    // another pressure, thickness or platen says nothing of it
    [InlineData("firm", Blanks.Thickness.Thin, null, null)]
    [InlineData("medium", Blanks.Thickness.Thick, null, null)]
    [InlineData("medium", Blanks.Thickness.Middle, "sleeve", null)]
    public void A_dial_is_remembered_for_pressure_thickness_and_platen_together(
        string pressure,
        Blanks.Thickness thickness,
        string? lower,
        double? dial
    )
    {
        var press = MethodTests.Gannet with
        {
            Dials =
            [
                new("medium", Blanks.Thickness.Thin, "", 4),
                new("medium", Blanks.Thickness.Middle, "", 3),
                new("medium", Blanks.Thickness.Thin, "sleeve", 5.5),
            ],
            Lowers = [new("sleeve", 4.5, 14)],
        };
        Assert.Empty(press.Problems());
        Assert.Equal(dial, press.DialFor(pressure, thickness, lower is null ? null : press.Lowers[0]));
    }

    [Theory]
    [InlineData("hard", "", 4, "unknown-word")]
    [InlineData("firm", "leg", 4, "unknown-platen")]
    [InlineData("firm", "", 400, "range")]
    [InlineData("medium", "", 7, "twice")]
    public void What_no_dial_says_is_refused(string pressure, string lower, double dial, string code) =>
        Assert.Equal(
            code,
            Assert
                .Single(
                    (
                        MethodTests.Gannet with
                        {
                            Dials =
                            [
                                new("medium", Blanks.Thickness.Thin, "", 4),
                                new(pressure, Blanks.Thickness.Thin, lower, dial),
                            ],
                        }
                    ).Problems()
                )
                .Code
        );

    [Theory]
    [InlineData(Blanks.GarmentKind.Tee, Blanks.Thickness.Thin)]
    [InlineData(Blanks.GarmentKind.Hoodie, Blanks.Thickness.Middle)]
    [InlineData(Blanks.GarmentKind.Cap, Blanks.Thickness.Thick)]
    public void A_garment_lies_as_thick_as_its_kind_unless_it_is_said(
        Blanks.GarmentKind kind,
        Blanks.Thickness thickness
    )
    {
        var style = MethodTests.Tee(100) with { Kind = kind };
        Assert.Equal(thickness, style.Lies());
        Assert.Equal(thickness, (style with { Cloth = Blanks.Cloth.Plain with { Origin = "Skerry" } }).Lies());
        Assert.Equal(
            Blanks.Thickness.Thick,
            (style with { Cloth = Blanks.Cloth.Plain with { Thickness = Blanks.Thickness.Thick } }).Lies()
        );
    }
}

/// <summary>A platen's warming and cooling.</summary>
public class PlatenHeatTests
{
    private static readonly Press Press = MethodTests.Gannet;

    [Fact]
    public void Cold_to_300_takes_what_the_press_is_said_to_take_and_it_holds()
    {
        Assert.Equal(300, PlatenHeat.After(Press, 70, 330, Press.WarmUpMinutes), 9);
        Assert.Equal(Press.WarmUpMinutes, PlatenHeat.MinutesUntil(Press, 70, 300), 9);
        Assert.Equal(330, PlatenHeat.After(Press, 70, 330, 60));
        Assert.Equal(330, PlatenHeat.After(Press, 330, 330, 60));
    }

    [Fact]
    public void At_300_it_loses_what_it_is_said_to_lose_and_never_falls_under_the_room()
    {
        // 5 °F in the first minute, a little less for losing less as it cools
        Assert.InRange(300 - PlatenHeat.After(Press, 300, null, 1), 4.9, 5);
        Assert.Equal(Press.RoomF, PlatenHeat.After(Press, 300, null, 10_000), 6);
        Assert.Equal(280, PlatenHeat.After(Press, 300, 280, 60));
        Assert.Equal(280, PlatenHeat.After(Press, 300, null, PlatenHeat.MinutesUntil(Press, 300, 280)), 9);
        Assert.Equal(double.PositiveInfinity, PlatenHeat.MinutesUntil(Press, 70, 500));
    }

    [Fact]
    public void It_never_passes_its_set_point() =>
        CsCheck.Check.Sample(
            CsCheck.Gen.Select(CsCheck.Gen.Double[70, 450], CsCheck.Gen.Double[150, 450], CsCheck.Gen.Double[0, 200]),
            (from, set, minutes) =>
            {
                var heat = PlatenHeat.After(Press, from, set, minutes);
                Assert.InRange(heat, Math.Min(from, set) - 1e-9, Math.Max(from, set) + 1e-9);
            }
        );
}

/// <summary>What a dial means, by pulling paper.</summary>
public class PaperPullTests
{
    private static PaperPull Pull(params PullFeel[] corners) => new(4.5, Blanks.Thickness.Thin, "", corners);

    [Theory]
    [InlineData(PullFeel.Drags, "light")]
    [InlineData(PullFeel.Stiff, "medium")]
    [InlineData(PullFeel.Holds, "firm")]
    [InlineData(PullFeel.Tears, "heavy")]
    public void Four_equal_corners_are_the_word(PullFeel feel, string word)
    {
        Assert.Empty(Pull(feel, feel, feel, feel).Problems());
        Assert.Equal(word, Pull(feel, feel, feel, feel).Word());
    }

    [Fact]
    public void The_corner_with_the_least_counts_and_an_askew_platen_or_a_loose_dial_is_refused()
    {
        Assert.Equal("medium", Pull(PullFeel.Holds, PullFeel.Stiff, PullFeel.Holds, PullFeel.Holds).Word());
        var askew = Assert.Single(Pull(PullFeel.Drags, PullFeel.Stiff, PullFeel.Stiff, PullFeel.Holds).Problems());
        Assert.Equal("far left drags while near right holds: the platen stands askew.", askew.Sentence);
        Assert.Equal(
            "loose",
            Assert.Single(Pull(PullFeel.Slides, PullFeel.Slides, PullFeel.Drags, PullFeel.Drags).Problems()).Code
        );
        Assert.Equal("corners", Assert.Single(Pull(PullFeel.Stiff).Problems()).Code);
    }

    [Fact]
    public void It_is_noted_in_place_of_what_stood_for_the_same()
    {
        var press = Pull(PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff).Noted(MethodTests.Gannet);
        Assert.Equal(4.5, press.DialFor("medium", Blanks.Thickness.Thin, null));
        press = (Pull(PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff) with { Dial = 5 }).Noted(press);
        Assert.Equal(5, Assert.Single(press.Dials).Dial);
        press = (Pull(PullFeel.Holds, PullFeel.Holds, PullFeel.Holds, PullFeel.Holds) with { Dial = 6 }).Noted(press);
        Assert.Equal(2, press.Dials.Count);
    }
}
