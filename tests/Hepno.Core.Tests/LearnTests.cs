using Hepno.Core.Comparing;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Planning;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Quoted against real, by hand: ten pieces of one print.</summary>
public class LearnTests
{
    private const int Pieces = 10;
    private static readonly ShopNumbers Numbers = MethodTests.Book.Numbers;

    private static readonly FloorPlan Floor = new(
        new LocalDateTime(2026, 6, 1, 10, 0, 0),
        new OpenHours(Numbers.Week.Days),
        MethodTests.Book.Presses,
        []
    );

    private static readonly Band Quoted = Comparer
        .Compare(MethodTests.Ask(Pieces), null, null, null, MethodTests.Book, Floor)
        .Bands.Single(b => b.MethodId == "dtf-bought");

    private static readonly double Planned = LineWork.PressingSeconds(
        MethodTests.Ask(Pieces),
        Quoted.Decorations,
        MethodTests.Book
    );

    // film without its freight
    private static readonly decimal OneMore = Quoted
        .Decorations[0]
        .Material.Parts.Where(p => p.Code != "freight-share")
        .Sum(p => p.Value);

    private static RunEvent Said(
        int piece,
        RunVerdict verdict,
        double seconds,
        int attempt = 1,
        string? reason = null,
        string? takesBack = null
    ) => new($"e{piece}-{attempt}-{verdict}", "d", piece, attempt, 1, "M", verdict, reason, takesBack, seconds);

    private static Held Of(params RunEvent[] events) => QuotedAgainstReal.Of(Quoted, Pieces, events, Numbers, Planned);

    private static decimal Stratum(Held held, string code) =>
        held.RecordedAnHour.Parts.Single(p => p.Code == "recorded-cost").Parts.Single(p => p.Code == code).Value;

    private static RunEvent[] AllGood(double seconds) =>
        [.. Enumerable.Range(1, Pieces).Select(i => Said(i, RunVerdict.Good, seconds))];

    [Fact]
    public void Slower_pieces_cost_labour_and_rent_and_nothing_else()
    {
        var (asPlanned, slower) = (Of(AllGood(Planned)), Of(AllGood(Planned + 36)));
        // 36 s more a piece are a hundredth of an hour: 0.18 of wage and 0.072 of overhead
        Assert.Equal(0.18m, Math.Round(Stratum(slower, "labour") - Stratum(asPlanned, "labour"), 9));
        Assert.Equal(0.072m, Math.Round(Stratum(slower, "press") - Stratum(asPlanned, "press"), 9));
        Assert.All(new[] { "blank", "decoration", "consumables", "spoilage", "packing" }, c =>
            Assert.Equal(Stratum(asPlanned, c), Stratum(slower, c))
        );
        Assert.Equal(6.0, slower.Minutes[0].RecordedMinutes - asPlanned.Minutes[0].RecordedMinutes, 1e-9);
        Assert.False(slower.Minutes[1].Recorded);
        Assert.True(slower.RecordedAnHour.Value < asPlanned.RecordedAnHour.Value);
    }

    [Fact]
    public void Nothing_spoiled_and_bought_exactly_it_comes_to_the_quote_to_the_cent()
    {
        var exact = Comparer
            .Compare(MethodTests.Ask(Pieces), null, null, null, MethodTests.Book with { SpoilageFactor = 0 }, Floor)
            .Bands.Single(b => b.MethodId == "dtf-bought");
        var held = QuotedAgainstReal.Of(exact, Pieces, AllGood(Planned), Numbers, Planned);
        Assert.Equal(0, held.Strata.Single(s => s.Code == "spoilage").Planned);
        Assert.Equal(held.PlannedCost, held.RecordedCost);
        Assert.All(held.Strata, s => Assert.Equal(s.Planned, s.Recorded));
        Assert.Equal((double)exact.Outcome.ProfitAnHour.Value, (double)held.RecordedAnHour.Value, 1e-6);
        Assert.Null(held.LeftOver);
    }

    [Fact]
    public void Nothing_spoiled_is_no_spoilage_and_what_is_left_over_stands_beside_it()
    {
        var held = Of(AllGood(Planned));
        Assert.Equal(0, Stratum(held, "spoilage"));
        Assert.Empty(held.Spoiled);
        Assert.Equal(Pieces, held.Pressed);
        Assert.Equal((Quoted.Decorations[0].Bought - Pieces) * OneMore, held.LeftOver!.Value);
        Assert.All(new[] { "blank", "decoration", "consumables", "labour", "packing" }, c =>
            Assert.Equal(Quoted.Cost.Parts.Single(p => p.Code == c).Value, Stratum(held, c), 9)
        );
    }

    [Fact]
    public void A_spoiled_piece_costs_its_blank_its_sundries_its_print_the_press_and_its_hands()
    {
        var clean = Of(AllGood(Planned));
        var held = Of([
            Said(3, RunVerdict.Spoiled, Planned, 1, "crooked"),
            .. AllGood(Planned).Where(e => e.PieceNo != 3),
            Said(3, RunVerdict.Good, Planned, 2),
        ]);
        decimal Quote(string code) => Quoted.Cost.Parts.Single(p => p.Code == code).Value;
        var press = Quoted.Cost.Parts.Single(p => p.Code == "press").Parts.Single(p => p.Code == "held").Value;
        var hands = Money.Times(Planned / 3600, Numbers.Rates.Wage + Numbers.Rates.OverheadPerHour);
        var lost = Quote("blank") + Quote("consumables") + Quoted.Decorations[0].Material.Value + press + hands;
        Assert.Equal(lost / Pieces, Stratum(held, "spoilage"), 9);
        // hands that ruined a piece are no slower hands
        Assert.Equal(Stratum(clean, "labour"), Stratum(held, "labour"));
        // the one that was to spare was used
        Assert.Equal((OneMore, (Figure?)null), (clean.LeftOver!.Value, held.LeftOver));
        Assert.Equal(new SpoiledFor("crooked", 1), held.Spoiled.Single());
        Assert.Equal(Pieces + 1, held.Pressed);
    }

    [Fact]
    public void What_was_sent_out_beyond_the_need_cannot_go_back_and_is_charged()
    {
        var ask = MethodTests.Ask(50, MethodTests.Front(9, 8, 1));
        var book = FurtherMethodTests.Book with { SpoilageFactor = 0 };
        var sent = Comparer.Compare(ask, null, null, null, book, Floor).Bands.Single(b => b.MethodId == "screen-out");
        var planned = LineWork.PressingSeconds(ask, sent.Decorations, book);
        Held Of(params RunEvent[] first) =>
            QuotedAgainstReal.Of(
                sent,
                50,
                [.. first, .. Enumerable.Range(1, 50).Select(i => Said(i, RunVerdict.Good, planned, 2))],
                Numbers,
                planned
            );
        // 51 were printed on 51 blanks
        Assert.Equal((51, Of().PlannedCost), (sent.Decorations[0].BlanksSent, Of().RecordedCost));
        Assert.Null(Of().LeftOver);
        // the one to spare made good the one that came back crooked
        Assert.Equal(
            0,
            Of(Said(1, RunVerdict.Spoiled, 0))
                .Earned.Parts.Single(p => p.Code == "recorded-cost")
                .Parts.Single(p => p.Code == "spoilage")
                .Parts.Single(p => p.Code == "beyond-front")
                .Value
        );
    }

    [Fact]
    public void A_verdict_taken_back_is_neither_time_nor_spoilage()
    {
        var held = Of([
            Said(3, RunVerdict.Spoiled, Planned, 1, "lint"),
            Said(3, RunVerdict.TakenBack, 0, 1, null, "e3-1-Spoiled"),
            .. AllGood(Planned),
        ]);
        Assert.Equal(Of(AllGood(Planned)).RecordedAnHour.Value, held.RecordedAnHour.Value);
        Assert.Empty(held.Spoiled);
    }

    [Fact]
    public void A_wait_nobody_marked_counts_at_most_three_times_the_plan()
    {
        RunEvent[] waited = [Said(1, RunVerdict.Good, 7200), .. AllGood(Planned).Skip(1)];
        Assert.Equal(((9 * Planned) + (3 * Planned)) / 60, Of(waited).Minutes[0].RecordedMinutes, 1e-9);
    }

    [Fact]
    public void What_was_earned_is_price_less_fees_less_what_it_cost_and_the_hour_follows()
    {
        var held = Of(AllGood(Planned + 12));
        var cost = held.RecordedAnHour.Parts.Single(p => p.Code == "recorded-cost").Value;
        var each = Quoted.Outcome.Price - Quoted.Outcome.Fees.Value - cost;
        Assert.Equal(each * Pieces, held.Earned.Value);
        var hours = held.RecordedAnHour.Parts.Single(p => p.Code == "hands").Value / 3600;
        Assert.Equal((double)(each / hours), (double)held.RecordedAnHour.Value, 1e-6);
        Assert.Equal(Money.Charged(cost, 2), held.RecordedCost);
        Assert.Equal(held.RecordedCost, held.Strata.Sum(s => s.Recorded));
        Assert.Equal(held.PlannedCost, held.Strata.Sum(s => s.Planned));
    }
}
