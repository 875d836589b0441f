using System.Globalization;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Making a press ready: heat and hands, by hand (docs/trade 11).</summary>
public class SetUpTests
{
    // 20 °F a minute up, 5 down, 15 minutes to 300 °F
    private static readonly Press Gannet = MethodTests.Gannet with
    {
        Lowers = [new("sleeve", 4.5, 14), new("leg", 6, 20), new("wide", 8, 20)],
    };
    private static readonly LocalDateTime Monday = new(2026, 6, 1, 9, 0, 0);

    private static PressPass Pass(string platen, string pressure) =>
        platen == "own" ? new(10, 11, null, pressure) : new(3, 3, 6.5, pressure);

    private static PressWork Work(string code, double f, params PressPass[] passes) =>
        new(new OrderId(code), "1", code, 30, 1, f, Monday, "film", null, 5, 3, null, 10, 11) { Passes = passes };

    [Fact]
    public void Heat_hands_and_what_they_come_to()
    {
        foreach (var row in Cases.Rows("set-ups.csv"))
        {
            double Of(int i) => double.Parse(row[i], CultureInfo.InvariantCulture);
            var before =
                row[1].Length == 0 ? null : Work("before", Of(1), [.. row[2].Split(' ').Select(p => Pass(p, row[3]))]);
            var work = Work("work", Of(4), [.. row[5].Split(' ').Select(p => Pass(p, row[6]))]);
            Assert.Equal(
                (row[0], Of(7), Of(8), Of(9)),
                (
                    row[0],
                    SetUp.Between(Gannet, before, work, new()).HeatMinutes,
                    SetUp.Between(Gannet, before, work, new()).HandsMinutes,
                    SetUp.Between(Gannet, before, work, new()).TotalMinutes
                )
            );
            Assert.Equal(
                (row[0], Of(10)),
                (row[0], SetUp.Between(Gannet, before, work, new(WhileHeating: false)).TotalMinutes)
            );
        }
    }

    [Fact]
    public void The_smallest_platen_that_holds_the_print_and_goes_in_is_taken()
    {
        Assert.Equal("sleeve", Gannet.LowerFor(3, 3, 6.5)?.Name);
        Assert.Equal("leg", Gannet.LowerFor(5, 3, 6.5)?.Name);
        Assert.Null(Gannet.LowerFor(7, 3, 6.5));
        Assert.Null(Gannet.LowerFor(3, 3, null));
        Assert.Contains((Gannet with { Lowers = [new("a", 4, 4), new("a", 0.5, 4)] }).Problems(), p =>
            p.Where == "lowers[1].name"
        );
        Assert.Contains((Gannet with { Lowers = [new("a", 0.5, 4)] }).Problems(), p => p.Where == "lowers[0]");
    }

    [Fact]
    public void Minutes_that_cannot_be_are_refused() =>
        Assert.All(
            [
                (FloorRules.Default with { SwapMinutes = -1 }, "floor.swapMinutes"),
                (FloorRules.Default with { DialMinutes = double.NaN }, "floor.dialMinutes"),
                (FloorRules.Default with { SwapMinutes = 61 }, "floor.swapMinutes"),
            ],
            n =>
            {
                var (floor, where) = n;
                Assert.Equal(where, Assert.Single((ShopNumbers.Default with { Floor = floor }).Problems()).Where);
            }
        );

    [Fact]
    public void Platens_changed_between_passes_take_their_time_and_set_up_binds_hands()
    {
        var floor = new FloorPlan(Monday, new OpenHours(ShopNumbers.Default.Week.Days), [Gannet], []);
        var plan = PressPlanner.Plan(
            [Work("A", 300, Pass("own", "firm"), Pass("sleeve", "firm")), Work("B", 300, Pass("own", "firm"))],
            floor
        );
        // warm 15, 30 pieces of a minute, one change of 3 + 2 within; then 5 to change back
        var (a, b) = (plan[0].Parts[0], plan[1].Parts[0]);
        Assert.Equal(
            (Monday.PlusMinutes(13), Monday.PlusMinutes(15), Monday.PlusMinutes(50)),
            (a.SetUpFrom, a.Start, a.End)
        );
        Assert.Equal((Monday.PlusMinutes(50), Monday.PlusMinutes(55)), (b.SetUpFrom, b.Start));
    }
}
