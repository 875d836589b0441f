using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>Schools that disagree, each set up and priced; what it must make is worked out by hand.</summary>
public class SchoolTests
{
    // one piece at a time and no first piece: each second of a piece is then the sum of its steps
    private static readonly FloorHabits Serial = new() { Policy = FloorPolicy.OneAtATime, FirstPiece = false };

    private static ShopBook With(FloorHabits habits, Func<Recipe, Recipe>? film = null) =>
        MethodTests.Book.With<Recipe>([
            .. MethodTests.Book.Of<Recipe>().Select(r => r.ProductId == "film" && film is not null ? film(r) : r),
        ]) with
        {
            Numbers = ShopNumbers.Default with { Floor = ShopNumbers.Default.Floor with { Habits = habits } },
        };

    private static (IReadOnlyList<DecorationPlan> Plan, PieceCostResult Cost) Film(ShopBook book, int pieces = 20)
    {
        var ask = MethodTests.Ask(pieces);
        var plan = new DtfBought().Answer(ask, book).Decorations;
        return (plan, LineCost.Reckon(ask, plan, book));
    }

    private static decimal More(ShopBook one, ShopBook other, string stratum) =>
        Film(other).Cost.Stratum(stratum).Value - Film(one).Cost.Stratum(stratum).Value;

    [Fact]
    public void Second_press_always_and_never()
    {
        static Recipe Hot(Recipe r) => r with { Peel = Peel.Hot, PeelAfterSeconds = 0, SecondPressSeconds = 0 };
        var (asRecipe, always) = (With(Serial, Hot), With(Serial with { Second = SecondHabit.Always }, Hot));
        Assert.Equal(0, Film(asRecipe).Plan[0].Recipe.SecondPressSeconds);
        Assert.Equal(FloorHabits.UsualSecondSeconds, Film(always).Plan[0].Recipe.SecondPressSeconds);
        // re-load 7, cover 3, close 2, 8 pressed, open 2, lift off 4: 26 s, all attended and all on the press
        Assert.Equal(26m / 3600 * 18.00m, More(asRecipe, always, "labour"), 9);
        Assert.Equal(
            26m / 3600 * (7.20m + MethodTests.Gannet.Equipment.Cost(0.21m).Value),
            More(asRecipe, always, "press"),
            9
        );
        // who never does it saves the same on a product that asks for one of 8 s
        static Recipe Again(Recipe r) => Hot(r) with { SecondPressSeconds = 8 };
        Assert.Equal(
            -26m / 3600 * 18.00m,
            More(With(Serial, Again), With(Serial with { Second = SecondHabit.Never }, Again), "labour"),
            9
        );
        // a product that forbids it is never pressed again
        Assert.Equal(
            0,
            Film(With(Serial with { Second = SecondHabit.Always }, r => Hot(r) with { NeverAgain = true }))
                .Plan[0]
                .Recipe.SecondPressSeconds
        );
    }

    [Fact]
    public void A_product_with_a_cover_sheet_and_one_without()
    {
        static Recipe Bare(Recipe r) => r with { SecondPressSeconds = 0 };
        var habits = Serial with { Covers = [new(Cover.Sheet, 12.00m, 200), new(Cover.Parchment, 0.50m, 10)] };
        var (without, sheet, parchment) = (
            With(habits, Bare),
            With(habits, r => Bare(r) with { Cover = Cover.Sheet }),
            With(habits, r => Bare(r) with { Cover = Cover.Parchment })
        );
        // 12.00 over 200 presses, and 3 s to lay it
        Assert.Equal(0.06m, More(without, sheet, "consumables"));
        Assert.Equal(3m / 3600 * 18.00m, More(without, sheet, "labour"), 9);
        Assert.Equal(0.05m, More(without, parchment, "consumables"));
        // a second press lies under a sheet of its own
        Assert.Equal(0.06m, More(without, With(habits), "consumables"));
    }

    [Fact]
    public void Plain_paper_and_dedicated_paper()
    {
        var printer = OwnPrintTests.Book.Of<DyePrinter>()[0];
        // plain: 0.02 a sheet against 0.15, but a third more ink and a recipe of its own
        var plain = printer with
        {
            Id = "plain",
            Name = "Plover, plain paper",
            SheetPrice = 0.02m,
            InkMlPerIn2 = printer.InkMlPerIn2 * 4 / 3,
        };
        var placement = MethodTests.Front(6, 4);
        var grid = Gang.SheetGrid.Best(6, 4, 0.25, printer.SheetMarginIn, printer.SheetWidthIn, printer.SheetHeightIn)!;
        var (dedicated, cheap) = (
            Sublimation.Print(placement, printer, grid, 20, 0.21m),
            Sublimation.Print(placement, plain, grid, 20, 0.21m)
        );
        // 2 on a sheet: ten sheets for 20 prints; 12 in² painted at 0.010 ml more by a third, 0.20 a ml
        Assert.Equal((10, 2), (grid.Sheets(20), grid.PerSheet));
        Assert.Equal((10 * (0.02m - 0.15m) / 20) + (12 * 0.010m / 3 * 0.20m), cheap.Value - dedicated.Value, 9);
        // without a recipe for the plain paper it is not done at all: a test comes first
        var book = OwnPrintTests.Book.With<DyePrinter>([plain]);
        Assert.Contains(
            new Sublimation()
                .Answer(
                    MethodTests.Ask(20) with
                    {
                        Style = MethodTests.Tee(0, 400),
                        Colourway = new("w", "White", "#ffffff", Blanks.ColourClass.White),
                    },
                    book
                )
                .Verdict.Reasons,
            r => r.Code == "no-recipe"
        );
    }

    [Fact]
    public void By_eye_and_by_ruler_one_by_one_and_as_a_stream_hands_on_and_attended()
    {
        // a ruler takes 20 s where the eye takes 12
        Assert.Equal(8m / 3600 * 18.00m, More(With(Serial), With(Serial with { Measured = true }), "labour"), 9);
        // in a stream the waits are filled: 20 pieces take less clock, and no more hands
        var stream = Serial with { Policy = FloorPolicy.Stream };
        var (ask, plan) = (MethodTests.Ask(20), Film(With(Serial)).Plan);
        var (alone, flowing) = (
            LineFloor.MinutesOf(ask, plan, With(Serial)),
            LineFloor.MinutesOf(ask, plan, With(stream))
        );
        Assert.Equal(LineFloor.JobOf(ask, plan, With(Serial)).ChainSeconds, alone.SecondsAPiece, 6);
        Assert.True(flowing.MakespanSeconds < 0.7 * alone.MakespanSeconds);
        Assert.True(flowing.AttendedInAll < alone.AttendedInAll);
        // who charges busy hands alone charges just the steps of hands
        var busy = LineFloor.MinutesOf(ask, plan, With(Serial with { HandsOnOnly = true }));
        Assert.Equal(LineFloor.JobOf(ask, plan, With(Serial)).HandsSeconds, busy.AttendedInAll, 6);
        // a cold plate takes 40 s of 60 off the clock of each piece
        Assert.Equal(
            40,
            alone.SecondsAPiece
                - LineFloor
                    .MinutesOf(
                        ask,
                        Film(With(Serial with { ColdPlate = true })).Plan,
                        With(Serial with { ColdPlate = true })
                    )
                    .SecondsAPiece,
            6
        );
        // a step the shop timed itself: 9 s to lint-roll instead of 5
        Assert.Equal(
            4m / 3600 * 18.00m,
            More(With(Serial), With(Serial with { Times = [new("lint", 9)] }), "labour"),
            9
        );
    }

    [Theory]
    [InlineData(30)]
    [InlineData(60)]
    [InlineData(144)]
    [InlineData(288)]
    public void Beyond_two_dozen_the_minutes_are_within_half_a_percent_of_the_whole_run(int pieces)
    {
        var book = With(new());
        var (ask, plan) = (MethodTests.Ask(pieces), Film(book, pieces).Plan);
        var whole = PressFloorSimulation.Run(LineFloor.JobOf(ask, plan, book));
        var minutes = LineFloor.MinutesOf(ask, plan, book);
        Assert.InRange(minutes.MakespanSeconds / whole.MakespanSeconds, 0.995, 1.005);
    }

    [Fact]
    public void Habits_that_cannot_be_are_refused_by_name()
    {
        var floor = FloorRules.Default with { Habits = new() { RackPlaces = 0 } };
        Assert.Equal("habits.rackPlaces", Assert.Single(floor.Problems()).Where);
        Assert.Equal("times[0].code", Assert.Single(new FloorHabits { Times = [new("juggle", 3)] }.Problems()).Where);
        Assert.Equal(
            "times[0].seconds",
            Assert.Single(new FloorHabits { Times = [new("lint", double.NaN)] }.Problems()).Where
        );
        Assert.Equal(
            "covers[0]",
            Assert.Single(new FloorHabits { Covers = [new(Cover.Sheet, 12, 0)] }.Problems()).Where
        );
        Assert.Contains((MethodTests.FilmOnCotton with { NeverAgain = true }).Problems(), p =>
            p.Where == "secondPressSeconds"
        );
        Assert.Contains((MethodTests.FilmOnCotton with { PeelWindowSeconds = -1 }).Problems(), p =>
            p.Where == "peelWindowSeconds"
        );
    }
}
