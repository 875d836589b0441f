using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;

namespace Hepno.Core.Tests;

/// <summary>Film in set lengths: the cheapest that holds the order, and several of the longest before it where none
/// does.</summary>
public class SetLengthTests
{
    private static readonly FilmByLayout Lengths = new(
        0.25,
        0.125,
        new(22, 0, [], [new(24, 9m), new(60, 18m), new(120, 30m)]),
        []
    );

    private static readonly FilmGround Roll = Lengths.Grounds()[0];

    private static (GangFound Found, GangBill Bill) Laid(int copies, double width, double height, int steps)
    {
        var found = GangNest.Lay(Roll.Ground, [new("d", width, height, copies)], 1, steps);
        Assert.Empty(GangCheck.Faults(Roll.Ground, [new("d", width, height, copies)], found.Placed));
        return (found, Roll.Bill(found)!);
    }

    [Theory]
    [InlineData(4, 24, 9)] // two rows of 11.25
    [InlineData(10, 60, 18)] // five rows
    [InlineData(20, 120, 30)] // ten rows
    [InlineData(22, 144, 39)] // ten rows, and one in 24
    [InlineData(30, 180, 48)] // ten rows, and five in 60
    [InlineData(64, 384, 99)] // three of ten, and two rows in 24
    public void An_order_longer_than_the_longest_takes_several(int copies, double billedIn, double cost)
    {
        foreach (var steps in new[] { GangNest.OnePass, 300 })
        {
            var (_, bill) = Laid(copies, 10, 11, steps);
            Assert.Equal((billedIn, (decimal)cost), (bill.BilledIn, bill.Cost.Value));
            Assert.InRange(bill.Waste, 0, bill.Cost.Value);
        }
    }

    [Fact]
    public void Thousands_are_a_pattern_repeated()
    {
        // rows alone would take a hundred of 120
        var (found, bill) = Laid(2000, 10, 11, GangNest.OnePass);
        Assert.InRange(bill.BilledIn, 11_000, 12_000);
        Assert.Equal((2000, bill.Sheets), (found.Placed.Count, found.Sheets));
    }

    [Fact]
    public void One_length_is_drawn_as_a_roll_and_has_its_floor()
    {
        var (one, _) = Laid(10, 10, 11, 300);
        Assert.True(one.FloorLengthIn > 0 && one.OverFloor < 0.05);
        Assert.Equal((null, (double?)120), (Roll.DrawnOn(one.Sheets).LengthIn, Roll.DrawnOn(2).LengthIn));
    }

    [Fact]
    public void Film_in_set_lengths_is_not_dropped_for_a_large_order()
    {
        var book = MethodTests.Book.With<TransferPriceList>([
            MethodTests.Book.Of<TransferPriceList>()[0] with
            {
                Sizes = [],
                ByLayout = Lengths,
            },
        ]);
        var answer = new DtfBought().Answer(MethodTests.Ask(60, MethodTests.Front(10, 11)), book);
        // 63 with spares: three lengths of ten rows and more, and some turned ones beside them
        var bought = answer.Decorations[0].Purchases[0];
        Assert.Equal((360.0, 90m, "in", 3), (bought.Quantity, bought.Cost.Value, bought.Unit, bought.Laid!.Sheets));
    }

    [Theory]
    [InlineData(false, 4, 20, 63)] // two rows of 11.25 are two feet: five are the least
    [InlineData(true, 4, 8, 42)]
    [InlineData(false, 30, 56, 153)] // fourteen feet, some turned; fifteen sheets
    public void No_less_is_bought_than_the_list_sells(bool below, int copies, double roll, double sheets)
    {
        var list = MethodTests.Book.Of<TransferPriceList>()[0] with
        {
            Sizes = [],
            SoldBelow = below,
            ByLayout = new(
                0.25,
                0.125,
                new(22, 12, [new(5, 4m)], []),
                [new("22 × 12", 22, 12, [new(3, 21m), new(10, 10.20m)])]
            ),
        };
        decimal Cost(FilmGround on) =>
            on.Bill(GangNest.Lay(on.Ground, [new("d", 10, 11, copies)], 1, GangNest.OnePass))!.Cost.Value;
        Assert.Equal(((decimal)roll, (decimal)sheets), (Cost(list.Grounds()[0]), Cost(list.Grounds()[1])));
    }
}
