using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>How sure a shop wants to be that a run comes out whole is a number of its own, and so is how long a test
/// piece takes.</summary>
public class SpareChanceTests
{
    private static ShopBook Wanting(double share) =>
        MethodTests.Book with
        {
            Numbers = MethodTests.Book.Numbers with
            {
                Rates = MethodTests.Book.Numbers.Rates with { CompleteShare = share },
            },
        };

    [Theory]
    [InlineData(0.5, 31)]
    [InlineData(0.95, 34)]
    [InlineData(0.999, 37)]
    public void Who_wants_to_be_surer_has_more_spares(double share, int prints)
    {
        var print = new SizedPrint(MethodTests.Front(9, 9), [new("M", 30)]);
        var (count, why) = DecorationPlan.Needed(print, SpareChance.In(Wanting(share), 0.0494));
        Assert.Equal((prints, $"30 and spares that suffice {share * 100:0.##} times in 100"), (count, why));
    }

    [Theory]
    [InlineData(0.49)]
    [InlineData(1)]
    [InlineData(double.NaN)]
    public void A_share_that_cannot_be_is_refused(double share) =>
        Assert.Equal(
            "completeShare",
            Assert.Single((CostRates.Default with { CompleteShare = share }).Problems()).Where
        );

    [Theory]
    [InlineData(0)]
    [InlineData(481)]
    [InlineData(double.NaN)]
    public void Minutes_of_a_test_piece_that_cannot_be_are_refused(double minutes) =>
        Assert.Equal(
            "testMinutes",
            Assert.Single((FloorRules.Default with { TestMinutes = minutes }).Problems()).Where
        );
}
