using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Planning;
using Hepno.Core.Runs;

namespace Hepno.Core.Tests;

/// <summary>Quoted against real, by hand: ten pieces of one print.</summary>
public class LearnTests
{
    private const int Pieces = 10;
    private static readonly ShopNumbers Numbers = MethodTests.Book.Numbers;

    private static readonly Band Quoted = Comparer.Compare(MethodTests.Ask(Pieces), null, null, null, MethodTests.Book,
        new FloorPlan(new DateTime(2026, 6, 1, 10, 0, 0), new OpenHours(Numbers.Week), MethodTests.Book.Presses, [])).Bands.Single(b => b.MethodId == "dtf-bought");

    private static readonly double Planned = Comparer.PressingSeconds(MethodTests.Ask(Pieces), Quoted.Decorations, MethodTests.Book);

    private static RunEvent Said(int piece, RunVerdict verdict, double seconds, int attempt = 1, string? reason = null, string? takesBack = null) =>
        new($"e{piece}-{attempt}-{verdict}", "d", piece, attempt, 1, "M", verdict, reason, takesBack, seconds);

    private static Held Of(params RunEvent[] events) => QuotedAgainstReal.Of(Quoted, Pieces, events, Numbers, Planned);

    private static decimal Stratum(Held held, string code) => held.RecordedAnHour.Parts.Single(p => p.Code == "recorded-cost").Parts.Single(p => p.Code == code).Value;

    private static RunEvent[] AllGood(double seconds) => [.. Enumerable.Range(1, Pieces).Select(i => Said(i, RunVerdict.Good, seconds))];

    [Fact]
    public void Slower_pieces_cost_labour_and_rent_and_nothing_else()
    {
        var (asPlanned, slower) = (Of(AllGood(Planned)), Of(AllGood(Planned + 36)));
        // 36 s more a piece are a hundredth of an hour: 0.18 of wage and 0.072 of overhead
        Assert.Equal(0.18m, Math.Round(Stratum(slower, "labour") - Stratum(asPlanned, "labour"), 9));
        Assert.Equal(0.072m, Math.Round(Stratum(slower, "press") - Stratum(asPlanned, "press"), 9));
        Assert.All(new[] { "blank", "decoration", "consumables", "spoilage", "packing" }, c => Assert.Equal(Stratum(asPlanned, c), Stratum(slower, c)));
        Assert.Equal(6.0, slower.Minutes[0].RecordedMinutes - asPlanned.Minutes[0].RecordedMinutes, 1e-9);
        Assert.False(slower.Minutes[1].Recorded);
        Assert.True(slower.RecordedAnHour.Value < asPlanned.RecordedAnHour.Value);
    }

    [Fact]
    public void Nothing_spoiled_leaves_only_the_spares_that_were_bought()
    {
        var spares = Quoted.Cost.Parts.Single(p => p.Code == "spoilage").Parts.Where(p => p.Code.StartsWith("left-", StringComparison.Ordinal)).Sum(p => p.Value);
        var held = Of(AllGood(Planned));
        Assert.Equal(spares, Stratum(held, "spoilage"));
        Assert.Empty(held.Spoiled);
        Assert.Equal(Pieces, held.Pressed);
    }

    [Fact]
    public void A_spoiled_piece_costs_its_blank_its_sundries_and_its_print()
    {
        var clean = Of(AllGood(Planned));
        var held = Of([Said(3, RunVerdict.Spoiled, Planned, 1, "crooked"), .. AllGood(Planned).Where(e => e.PieceNo != 3), Said(3, RunVerdict.Good, Planned, 2)]);
        var lost = Quoted.Cost.Parts.Single(p => p.Code == "blank").Value + Quoted.Cost.Parts.Single(p => p.Code == "consumables").Value + Quoted.Decorations[0].Material.Value;
        Assert.Equal(lost / Pieces, Math.Round(Stratum(held, "spoilage") - Stratum(clean, "spoilage"), 9), 9);
        Assert.Equal(new SpoiledFor("crooked", 1), held.Spoiled.Single());
        Assert.Equal(Pieces + 1, held.Pressed);
    }

    [Fact]
    public void A_verdict_taken_back_is_neither_time_nor_spoilage()
    {
        var held = Of([Said(3, RunVerdict.Spoiled, Planned, 1, "lint"), Said(3, RunVerdict.TakenBack, 0, 1, null, "e3-1-Spoiled"), .. AllGood(Planned)]);
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
