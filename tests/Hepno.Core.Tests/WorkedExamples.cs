using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Learning;
using Hepno.Core.Measures;
using Hepno.Core.Pricing;
using Hepno.Core.Stock;

namespace Hepno.Core.Tests;

/// <summary>The worked examples 1, 2, 4, 6, 7 and 8 of the job's description, within half a unit of the last printed
/// digit.</summary>
public class WorkedExamples
{
    private static Figure In(string code, decimal value) =>
        Figure.Input(code, code, value, FigureUnit.Money, "the example");

    internal static PieceInputs Example1 { get; } =
        new(
            30,
            In("blank", 4.04m),
            In("consumables", 0.06m),
            In("packing", 0.22m),
            45,
            15,
            [
                new(
                    "front",
                    "Front",
                    Figure.Sum("material", "Front", In("transfer", 2.65m), In("freight", 0.15m)),
                    0.02,
                    90,
                    75
                ),
                new(
                    "sleeve",
                    "Sleeve",
                    Figure.Sum("material", "Sleeve", In("transfer", 0.70m), In("freight", 0.15m)),
                    0.03,
                    70,
                    60
                ),
            ],
            18.00m,
            7.20m,
            In("press-hour", 1.10m),
            Figure.Input("order-minutes", "order", 35, FigureUnit.Count, "the example"),
            In("fees", 0.30m)
        );

    private static readonly FeeTerms Fees = new(new(0.029m), default);

    private static void Near(double printed, double unit, double actual) =>
        Assert.InRange(actual, printed - (unit / 2), printed + (unit / 2));

    private static void Near4(double printed, decimal actual) => Near(printed, 0.0001, (double)actual);

    private static decimal Part(PieceCostResult cost, string stratum, string part) =>
        cost.Stratum(stratum).Parts.First(p => p.Code == part).Value;

    [Fact]
    public void Example_1_strata()
    {
        var cost = PieceCost.Reckon(Example1);
        Near4(1.0250, cost.Stratum("labour").Value - Part(cost, "labour", "order-time"));
        Near4(0.3500, Part(cost, "labour", "order-time"));
        Near4(0.0458, Part(cost, "press", "held"));
        Near4(0.4100, Part(cost, "press", "overhead"));
        Near4(0.1400, Part(cost, "press", "order-time"));
        Near4(0.0100, Part(cost, "packing", "fixed-fees"));
        Near4(3.65, cost.Stratum("decoration").Value);
        Near4(0.3707, cost.Stratum("spoilage").Value);
        Near4(10.3216, cost.Cost.Value);
        Near(282.813, 0.001, (double)cost.HandsSeconds.Value);
        Near(155.428, 0.001, cost.PressSeconds);
        Assert.Equal(PieceCost.Strata, cost.Cost.Parts.Select(p => p.Code));
    }

    [Fact]
    public void Example_1_order_of_pressing()
    {
        var cost = PieceCost.Reckon(Example1);
        Assert.Equal(["sleeve", "front"], cost.Sequence.Select(d => d.Id));
        Near4(3.4529, Spoilage.AttemptCost(Example1.Decorations[0], Example1));
        Near4(1.3583, Spoilage.AttemptCost(Example1.Decorations[1], Example1));
        Near(1.05197, 0.00001, cost.StartsPerGood);
        Near(1.05197, 0.00001, cost.AttemptsPerGood[0]);
        Near(1.02041, 0.00001, cost.AttemptsPerGood[1]);
        var frontFirst = PieceCost.Reckon(Example1, Example1.Decorations);
        Near4(0.4511, frontFirst.Stratum("spoilage").Value);
        Near4(10.4020, frontFirst.Cost.Value);
        var start = Spoilage.StartCost(Example1);
        var attempts = Example1.Decorations.Select(d => (Spoilage.AttemptCost(d, Example1), d.FailureChance)).ToList();
        Near4(0.4797, Spoilage.SeenAtTheEnd(start, attempts) - start - attempts.Sum(a => a.Item1));
        Near4(
            10.4305,
            cost.Cost.Value
                - cost.Stratum("spoilage").Value
                + Spoilage.SeenAtTheEnd(start, attempts)
                - start
                - attempts.Sum(a => a.Item1)
        );
    }

    [Fact]
    public void Example_1_prices_and_profit()
    {
        var cost = PieceCost.Reckon(Example1);
        Near4(19.8111, PricePolicy.ByMargin(cost.Cost.Value, new(0.45m), Fees));
        Near4(23.3856, PricePolicy.ByMultiple(cost.Cost.Value, 2.2m, Fees));
        Near4(23.9444, PricePolicy.ByMultiple(cost.Materials, 3.0m, Fees));
        Near4(13.8660, PricePolicy.ByHour(cost.Cost.Value, 40m, (double)cost.HandsSeconds.Value, Fees));
        var at18 = Outcome.At(18m, cost, Fees, 18m);
        Near4(7.1564, at18.Profit.Value);
        Near(39.76, 0.01, (double)at18.MarginShare.Percent);
        Near(91.10, 0.01, (double)at18.ProfitAnHour.Value);
        Near(109.10, 0.01, (double)at18.TakeHomeAnHour.Value);
        Near4(17.6188, new FeeTerms(new(0.029m), new(0.08m)).OfOrder(540m, 14m, 0.30m, 1));
    }

    [Fact]
    public void Spoilage_of_the_order_test()
    {
        var front = (2.80m, 0.05);
        var sleeve = (0.85m, 0.03);
        decimal Of(params (decimal, double)[] order) => Spoilage.SeenAtOnce(4.04m, order) - 4.04m - 3.65m;
        Near4(0.6090, Of(front, sleeve));
        Near4(0.5639, Of(sleeve, front));
    }

    [Fact]
    public void Example_2_overage()
    {
        SpareNeed[] sizes = [new(4, 4), new(10, 4), new(8, 4), new(4, 4), new(4, 4)];
        Near(21.9, 0.1, 100 * Overage.ChanceToComplete(sizes, [0, 0, 0, 0, 0], 0.0494));
        Near(65.4, 0.1, 100 * Overage.ChanceToComplete(sizes, Overage.Best(sizes, 4, 0.0494), 0.0494));
        Near(96.4, 0.1, 100 * Overage.ChanceToComplete(sizes, [2, 2, 2, 2, 2], 0.0494));
        Assert.Equal(34, Overage.Pooled(30, 0.0494, 0.95));
        Assert.Equal(32, Overage.Pooled(30, 0.02, 0.95));
        Assert.Equal(106, Overage.Pooled(100, 0.03, 0.95));
        var cheapest = Overage.Cheapest(sizes, 0.0494, 0.95);
        Assert.True(Overage.ChanceToComplete(sizes, cheapest, 0.0494) >= 0.95);
        Assert.True(cheapest.Sum() <= 10);
    }

    [Fact]
    public void Example_4_vinyl_rows()
    {
        var front = RollRows.Lay(9, 4, 0.25, 19.5, 24)!;
        var second = RollRows.Lay(6, 2.5, 0.25, 19.5, 24)!;
        Assert.Equal(54.0, front.LengthIn);
        Assert.Equal(13.95m, Money.Times(front.LengthIn / 12, 3.10m));
        Assert.Equal(24.0, second.LengthIn);
        Assert.Equal(6.20m, Money.Times(second.LengthIn / 12, 3.10m));
    }

    [Fact]
    public void Example_6_equipment_hour() =>
        Near4(0.6523, new EquipmentHour(1450, 250, 5, 600, 1.8, 0.35, 0.12m).Cost(0.21m).Value);

    [Fact]
    public void Example_7_learned()
    {
        Assert.Equal(195, Learned.StandardSeconds(180, 205, 30), 9);
        Near(3.27, 0.01, 100 * Learned.SpoiledShare(0.03, 4, 120));
    }

    [Fact]
    public void Example_8_package() =>
        Assert.Equal(new Package(78.00m, 68.64m, 9.36m), Package.Reckon([18.00m, 34.00m, 26.00m], new(0.12m)));
}
