using Hepno.Core.Gang;

namespace Hepno.Core.Tests;

/// <summary>What a layout is billed, and each design's part of it.</summary>
public class GangBillTests
{
    private static readonly GangGround Film = new(20, null, 0, 0);
    private static readonly GangDesign[] Designs = [new("large", 10, 10, 3), new("small", 10, 5, 2)];

    private static GangFound Found(double used, int sheets = 1) =>
        new([new("large", 0, 0, 0, 10, 10, false)], sheets, used, used, sheets, 0.5, 0, [], 100);

    [Theory]
    [InlineData(24.0, 24, 8.00)]
    [InlineData(24.1, 36, 12.00)]
    [InlineData(0.5, 12, 4.00)]
    public void A_roll_is_billed_by_steps_begun(double used, double billed, decimal cost)
    {
        var bill = GangBills.Roll(Found(used), Film, new(12, [new(1, 4m)]))!;
        Assert.Equal((billed, cost, 0), (bill.BilledIn, bill.Cost.Value, bill.Sheets));
        // 100 in² of 20 × billed carry a print
        Assert.Equal(cost * (decimal)(1 - (100 / (20 * billed))), bill.Waste, 6);
    }

    [Theory]
    [InlineData(28 * 12, 28, 128.80)]
    [InlineData((28 * 12) + 1, 30, 129.00)]
    [InlineData(40 * 12, 40, 172.00)]
    public void A_lower_price_of_longer_rolls_may_make_more_cheaper(double used, int feet, decimal cost)
    {
        // 4.60 a foot, 4.30 from 30: 29 feet would be 133.40
        var bill = GangBills.Roll(Found(used), Film, new(12, [new(1, 4.60m), new(30, 4.30m)]))!;
        Assert.Equal((feet * 12.0, cost), (bill.BilledIn, bill.Cost.Value));
    }

    [Fact]
    public void Of_set_lengths_the_cheapest_that_holds_it_is_bought_be_it_longer()
    {
        RollPrice list = new(0, [], [new(24, 9m), new(60, 18m), new(48, 20m)]);
        Assert.Equal(
            (24.0, 9m),
            (GangBills.Roll(Found(24), Film, list)!.BilledIn, GangBills.Roll(Found(24), Film, list)!.Cost.Value)
        );
        Assert.Equal(
            (60.0, 18m),
            (GangBills.Roll(Found(30), Film, list)!.BilledIn, GangBills.Roll(Found(30), Film, list)!.Cost.Value)
        );
        Assert.Null(GangBills.Roll(Found(61), Film, list));
    }

    [Theory]
    [InlineData(3, 3, 42.00)]
    [InlineData(8, 10, 100.00)]
    [InlineData(12, 12, 120.00)]
    public void Sheets_look_past_the_need(int needed, int bought, decimal cost)
    {
        // 14.00 each, from ten 10.00: eight would be 112.00
        var bill = GangBills.Sheets(Found(12, needed), Film with { LengthIn = 12 }, [new(1, 14m), new(10, 10m)]);
        Assert.Equal((bought, cost), (bill.Sheets, bill.Cost.Value));
    }

    [Fact]
    public void Shares_by_area_and_equally_add_up_to_the_cost()
    {
        var bill = GangBills.Roll(Found(24), Film, new(12, [new(1, 5m)]))!;
        var shares = GangBills.Shares(Designs, bill);
        // areas 300 and 100 of 400; 10.00 in all
        Assert.Equal((2.5m, 1.25m), (shares[0].ByArea.Value, shares[1].ByArea.Value));
        Assert.Equal((2m, 2m), (shares[0].Equally.Value, shares[1].Equally.Value));
        Assert.Equal(bill.Cost.Value, (shares[0].ByArea.Value * 3) + (shares[1].ByArea.Value * 2));
        Assert.Equal(bill.Cost.Value, (shares[0].Equally.Value * 3) + (shares[1].Equally.Value * 2));
    }
}
