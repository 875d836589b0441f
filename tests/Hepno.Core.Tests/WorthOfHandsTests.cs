using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

public class WorthOfHandsTests
{
    private static readonly ShopBook Book = MethodTests.Book;

    // a Monday
    private static readonly LocalDateTime Now = new(2026, 6, 1, 10, 0, 0);

    private static FloorPlan Floor(IReadOnlyList<Person>? people = null, params PlacedWork[] placed) =>
        new(Now, new OpenHours(Book.Numbers.Week.Days), [.. Book.Presses, .. Book.Benches()], placed, people);

    // open 9 to 17; from Monday 10:00
    [Theory]
    [InlineData("2026-06-01 12:30", 2.5)]
    [InlineData("2026-06-02 12:00", 7 + 3)]
    [InlineData("2026-06-08 09:00", 7 + (4 * 8))]
    [InlineData("2026-06-01 10:00", 0)]
    [InlineData("2026-05-01 10:00", 0)]
    public void Free_hands_are_the_open_hours_up_to_a_moment(string until, double hours) =>
        Assert.Equal(hours, FreeHands.HoursUntil(Floor(), Times.Wall(until)), 6);

    [Fact]
    public void Lunch_days_off_and_planned_work_are_not_free()
    {
        Person Of(string id) =>
            new(new PersonId(id), id, 18, default, Book.Numbers.Week.Days, new(12, 0), 60, [new(2026, 6, 3)]);
        var until = Now.Date.PlusDays(4).AtMidnight();
        Assert.Equal(6 + 7 + 7, FreeHands.HoursUntil(Floor([Of("a")]), until), 6);
        Assert.Equal(2 * (6 + 7 + 7), FreeHands.HoursUntil(Floor([Of("a"), Of("b")]), until), 6);

        var work = new PressWork("", "", "T-1", 100, 1.2, 310, Now, "", null, 0, 0, null, 10, 10);
        var planned = PressPlanner.Plan([work], Floor([Of("a")]));
        var busy = planned[0].Parts.Sum(p => p.End.MinutesSince(p.SetUpFrom ?? p.Start) / 60);
        Assert.True(busy > 2);
        Assert.Equal(20 - busy, FreeHands.HoursUntil(Floor([Of("a")], [.. planned]), until), 6);
    }

    // the case that gave money away: 359 in 106 minutes was passed over for 256 in 53
    [Theory]
    [InlineData(200, 2.0, "slow")]
    [InlineData(200, 0.0, "quick")]
    [InlineData(50, 0.0, "slow")]
    [InlineData(200, 1.5, "slow")]
    public void Hours_beyond_the_free_ones_decide_and_no_others(decimal anHour, decimal free, string best)
    {
        var worth = new WorthOfHands(anHour, free, "", "");
        (string Id, decimal Profit, decimal Hours)[] ways = [("quick", 256, 53 / 60m), ("slow", 359, 106 / 60m)];
        Assert.Equal(best, Leading.Best(ways, w => new(worth.Left(w.Profit, w.Hours), 1000, null, VerdictKind.Yes)).Id);
    }

    // 1.00 of 100.00 is no difference: then the day decides; care is never a matter of money
    [Fact]
    public void Ways_that_leave_as_good_as_the_same_are_told_apart_by_day_and_a_plain_yes_stands_first()
    {
        var (monday, friday) = (new LocalDate(2026, 6, 1), new LocalDate(2026, 6, 5));
        string Best(params Weighed[] ways) => $"{Array.IndexOf(ways, Leading.Best(ways, w => w))}";
        Assert.Equal("1", Best(new(51, 100, friday, VerdictKind.Yes), new(50, 100, monday, VerdictKind.Yes)));
        Assert.Equal("0", Best(new(54, 100, friday, VerdictKind.Yes), new(50, 100, monday, VerdictKind.Yes)));
        Assert.Equal("1", Best(new(90, 100, monday, VerdictKind.WithCare), new(50, 100, friday, VerdictKind.Yes)));
        Assert.Equal("0", Best(new(54, 100, friday, VerdictKind.WithCare), new(50, 100, monday, VerdictKind.WithCare)));
        Assert.Equal("1", Best(new(51, 100, null, VerdictKind.Yes), new(50, 100, friday, VerdictKind.Yes)));
    }

    [Fact]
    public void An_hour_is_worth_what_orders_earned_here_weighed_with_what_was_assumed()
    {
        var due = Now.PlusDays(7);
        var ask = MethodTests.Ask(24);
        WorthOfHands Of(ShopBook book, LocalDateTime? at) => WorthOfHands.Reckon(ask, at, book, Floor());
        var hourly = Book with
        {
            Numbers = Book.Numbers with
            {
                Prices = Book.Numbers.Prices with
                {
                    Retail = PricePolicy.Default with { Kind = PolicyKind.Hourly, PerHour = 30 },
                },
            },
        };

        // a new shop: nothing, or what its hourly policy asks for
        Assert.Equal((0m, null), (Of(Book, due).AnHour, Of(Book, due).Free));
        Assert.Equal((30m, 7 + (4 * 8m) + 1), (Of(hourly, due).AnHour, Of(hourly, due).Free));
        // 20 h at 30 and 60 h that earned 4,200
        var earned = hourly with { Earned = new(4200, 60) };
        Assert.Equal(((20 * 30m) + 4200) / 80, Of(earned, due).AnHour);
        Assert.Equal(4200m / 80, Of(Book with { Earned = new(4200, 60) }, due).AnHour);
        Assert.Equal(0, Of(Book with { Earned = new(-4200, 60) }, due).AnHour);
        // no date: there is all the time it takes
        Assert.Equal((null, 0m), (Of(earned, null).Free, Of(earned, null).Beyond(1000)));

        ShopBook By(HandsWorth worth) =>
            earned with
            {
                Numbers = earned.Numbers with
                {
                    Rates = earned.Numbers.Rates with { HandsWorth = worth, HandsWorthAnHour = 12 },
                },
            };
        Assert.Equal((60m, 0m), (Of(By(HandsWorth.Always), due).AnHour, Of(By(HandsWorth.Always), due).Free));
        Assert.Equal((12m, 5m), (Of(By(HandsWorth.Typed), null).AnHour, Of(By(HandsWorth.Typed), null).Beyond(5)));
        Assert.Equal(
            "rates.handsWorthAnHour",
            Assert
                .Single((Book.Numbers with { Rates = Book.Numbers.Rates with { HandsWorthAnHour = -1 } }).Problems())
                .Where
        );
    }

    // with all the time there is the most money leads, and the sentence says what it takes; with none, an hour has its
    // worth
    [Fact]
    public void The_advice_says_money_and_hands_both()
    {
        var ask = MethodTests.Ask(36, MethodTests.Front(9, 8, 1));
        Comparison By(HandsWorth worth, decimal anHour) =>
            Comparer.Compare(
                ask,
                18m,
                null,
                null,
                Book with
                {
                    Numbers = Book.Numbers with
                    {
                        Rates = Book.Numbers.Rates with { HandsWorth = worth, HandsWorthAnHour = anHour },
                    },
                },
                Floor(),
                curve: false
            );
        var free = By(HandsWorth.ByPlan, 0);
        var scarce = By(HandsWorth.Typed, 500);
        Assert.Equal(
            free.Bands.Where(b => b.Fits).Max(b => b.LeftInAll!.Profit),
            free.Bands.First(b => b.MethodId == free.Advice!.MethodId).LeftInAll!.Profit,
            0
        );
        Assert.Contains(" of your hands", free.Advice!.Sentence, StringComparison.Ordinal);
        Assert.Contains(
            "; beyond the free ones an hour of them earns $500 here otherwise",
            scarce.Advice!.Sentence,
            StringComparison.Ordinal
        );
        var (a, b) = (free.Bands[0].LeftInAll!, scarce.Bands[0].LeftInAll!);
        Assert.True(b.Hours < a.Hours && b.Profit < a.Profit);

        // opened to its parts: profit, and hands beyond the free at their worth
        Assert.Equal(b.Profit - (b.Hours * 500), b.Left.Value);
        Assert.Equal(["profit-all", "hands-worth"], b.Left.Parts.Select(p => p.Code));
    }

    [Fact]
    public void Ribbon_and_comparison_recommend_the_same()
    {
        var ask = MethodTests.Ask(36, MethodTests.Front(9, 8, 1));
        var typed = Book with
        {
            Numbers = Book.Numbers with
            {
                Rates = Book.Numbers.Rates with { HandsWorth = HandsWorth.Typed, HandsWorthAnHour = 60 },
            },
        };
        foreach (var book in new[] { Book, typed })
        {
            var ribbon = QuantityRibbon.Reckon(ask, 18m, book, WorthOfHands.Reckon(ask, null, book, Floor()), 60);
            var compared = Comparer.Compare(ask, 18m, null, null, book, Floor(), curve: false);
            var best = compared.Bands.First(b =>
                b.MethodId == ribbon.Best.First(s => s.From <= 36 && s.To >= 36).MethodId
            );
            Assert.True(Leading.AsGood(best.Weighed(), compared.Bands[0].Weighed()));
        }
    }

    // where hands are dear, what takes few of them is better for us from some quantity on: its own crossing, with its
    // own figures
    [Fact]
    public void Better_for_us_is_a_crossing_of_its_own()
    {
        var ribbon = QuantityRibbon.Reckon(
            MethodTests.Ask(36, MethodTests.Front(9, 8, 1)),
            18m,
            Book,
            new(100, 0, "", ""),
            120
        );
        Assert.All(ribbon.Overtakings, o =>
            Assert.Matches(@"^from \d+ on .* is better for us: it leaves \S+ in all", o.Sentence)
        );
        Assert.All(ribbon.Overtakings, o =>
            Assert.Equal(o.To, ribbon.Best.First(s => s.From <= o.Pieces && s.To >= o.Pieces).MethodId)
        );
        Assert.NotEmpty(ribbon.Overtakings);
    }
}
