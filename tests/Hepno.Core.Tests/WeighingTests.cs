using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Purchasing;
using Hepno.Core.Recipes;

namespace Hepno.Core.Tests;

/// <summary>Before money is spent: make or buy, what a way takes to begin with, what a launch ties up, the press a size
/// needs; by hand.</summary>
public class WeighingTests
{
    private static readonly FigureFormat F = FigureFormat.Default;
    private static readonly MakeOrBuyCase Film = new(2000m, 400, 2.90m, 0.55m, 3, 20m, 60m, 40m, 50, 0.2, 4.50m);

    // docs/trade 14: 2.90 against 0.55 at 20 an hour breaks even at 7.05 minutes; at 3 minutes each saves 2.35 − 1.00 =
    // 1.35, 2,000 ÷ 1.35 = 1,482 prints
    [Fact]
    public void Making_breaks_even_at_the_minutes_its_saving_pays_for()
    {
        var found = MakeOrBuy.Reckon(Film, F);
        Assert.Equal(7.05, found.BreakEvenMinutes, 1e-9);
        Assert.Equal(1.35m, found.SavingEach.Value);
        Assert.Equal(1482, found.PrintsToPayBack);
        // 400 × 1.35 − 60 − 40 = 440 a month; 2,000 + 50 × 0.2 × 4.50 = 2,045
        Assert.Equal((440m, 2045m), (found.SavingAMonth.Value, found.ToPayBack.Value));
        Assert.Equal(2045.0 / 440, found.Months!.Value, 1e-9);
        Assert.Equal(75, found.LeastPrintsAMonth); // 100 ÷ 1.35
        Assert.StartsWith("Paid back in 4.6 months at 400 prints", found.Sentence, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(7.05, 400, "Never: a print made here costs $0.00 more")] // at the break-even nothing is saved
    [InlineData(10, 400, "Never: a print made here costs $0.98 more")]
    [InlineData(3, 74, "Never at 74 prints a month")]
    public void A_machine_that_saves_nothing_never_pays(double minutes, double prints, string said)
    {
        var found = MakeOrBuy.Reckon(Film with { MinutesEach = minutes, PrintsAMonth = prints }, F);
        Assert.StartsWith(said, found.Sentence, StringComparison.Ordinal);
        Assert.Null(found.Months);
    }

    [Theory]
    [InlineData("machinePrice")]
    [InlineData("printsAMonth")]
    [InlineData("minutesEach")]
    [InlineData("learningShare")]
    [InlineData("lostEach")]
    public void What_cannot_be_weighed_is_refused(string field)
    {
        var c = field switch
        {
            "machinePrice" => Film with { MachinePrice = -1 },
            "printsAMonth" => Film with { PrintsAMonth = double.NaN },
            "minutesEach" => Film with { MinutesEach = 1441 },
            "learningShare" => Film with { LearningShare = 1.1 },
            _ => Film with { LostEach = 2_000_000 },
        };
        Assert.Equal(field, Assert.Single(c.Problems()).Where);
        Assert.Empty(Film.Problems());
    }

    [Fact]
    public void Weighing_begins_with_the_shops_own_figures()
    {
        var start = MakeOrBuyStart.Suggest(OwnPrintTests.Book, 120.4)!;
        Assert.Equal(
            (OwnPrintTests.Book.Of<FilmPrinter>()[0].Equipment.PriceNew, 120, OwnPrintTests.Book.Numbers.Rates.Wage),
            (start.Case.MachinePrice, start.Case.PrintsAMonth, start.Case.Wage)
        );
        // the machine is what is to be paid back: its wear is not in the material too
        var made = new DtfMade()
            .Answer(MethodTests.Ask(36, new Placement("front", "front", 10.5, 8, 60, 4, true, 3)), OwnPrintTests.Book)
            .Decorations[0]
            .Material;
        Assert.Equal(made.Value - made.Parts.Single(p => p.Code == "machine").Value, start.Case.MadeEach);
        Assert.Empty(start.Case.Problems());
        Assert.Equal(3400m, MakeOrBuyStart.Suggest(OwnPrintTests.Book.With<FilmPrinter>([]), 0)!.Case.MachinePrice);
        Assert.Null(MakeOrBuyStart.Suggest(OwnPrintTests.Book.With<Style>([]), 0));
    }

    [Fact]
    public void A_start_up_budget_takes_what_is_there_at_its_own_price_and_assumes_the_rest()
    {
        var none = MethodTests.Book.With<Cutter>([]).With<Press>([]);
        var vinyl = StartUp.Budgets(none).Single(b => b.MethodId == "htv");
        // 480 + 35 + 40 + 380 + 20 + 90
        Assert.Equal((1045m, 1045m), (vinyl.Total.Value, vinyl.StillToBuy.Value));
        var own = StartUp.Budgets(MethodTests.Book).Single(b => b.MethodId == "htv");
        var press = own.Items.Single(i => i.Price.Code == "press");
        Assert.True(press.IsThere);
        Assert.Equal(MethodTests.Book.Presses[0].Equipment.PriceNew, press.Price.Value);
        Assert.Equal(own.Total.Value - own.Items.Where(i => i.IsThere).Sum(i => i.Price.Value), own.StillToBuy.Value);
        Assert.Equal(DecorationMethods.All.Count, StartUp.Budgets(none).Count);
        Assert.All(StartUp.Budgets(none), b =>
            Assert.True(
                b.Total.Value > 0
                    && b.Items.All(i => !i.IsThere && i.Price.Source.StartsWith("assumed", StringComparison.Ordinal))
            )
        );
    }

    // 40 shirts with bought film: blanks landed, the prints with one freight and nothing else is money out before a
    // sale
    [Fact]
    public void A_launch_ties_up_blanks_and_prints_and_loses_the_prints_alone_while_blanks_stay_plain()
    {
        var ask = MethodTests.Ask(40, MethodTests.Front(9, 8, 2));
        var plans = new DtfBought().Answer(ask, MethodTests.Book).Decorations;
        var ribbon = QuantityRibbon.Reckon(ask, null, MethodTests.Book, most: 60);
        var launch = Launch.Reckon(ask, plans, ribbon, F);
        var (blanks, prints) = (
            LandedBlank.Reckon(ask).Value * 40,
            plans[0].Purchases[0].Cost.Value + MethodTests.Book.Of<TransferPriceList>()[0].FreightPerOrder
        );
        Assert.Equal(
            (blanks + prints, blanks + prints, prints),
            (launch.Tied.Value, launch.LostPressed.Value, launch.LostPlain.Value)
        );
        Assert.Null(launch.SentOutFrom);
        Assert.Equal(3, launch.Sentences.Count);

        var sent = ribbon with { Cheapest = [new(1, 29, "dtf-bought"), new(30, 60, "screen-out")] };
        Assert.Equal(
            (30, "Screens, sent out"),
            (Launch.Reckon(ask, plans, sent, F).SentOutFrom, Launch.Reckon(ask, plans, sent, F).SentOutBy)
        );
        Assert.Contains("it costs less", Launch.Reckon(ask, plans, sent, F).Sentences[2], StringComparison.Ordinal);
        Assert.Contains(
            "earns more",
            Launch.Reckon(ask, plans, ribbon with { Best = [new(1, 9, "htv"), new(10, 60, "pod-out")] }, F).Sentences[
                2
            ],
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData(9, 12, 9, 12)]
    [InlineData(12, 9, 9, 12)]
    [InlineData(15, 12, 15, 15)]
    [InlineData(18, 14, 16, 20)]
    [InlineData(33, 39, 0, 0)]
    public void The_press_a_size_needs(double w, double h, double platenW, double platenH) =>
        Assert.Equal(platenW == 0 ? null : (platenW, platenH), PressNeeded.For(w, h));

    [Fact]
    public void A_print_too_large_for_every_press_says_which_would_do()
    {
        var book = MethodTests.Book.With<Press>([
            MethodTests.Book.Presses[0] with
            {
                PlatenWidthIn = 15,
                PlatenHeightIn = 15,
            },
        ]);
        var reason = new Htv()
            .Answer(MethodTests.Ask(10, MethodTests.Front(18, 14, 1)), book)
            .Verdict.Reasons.Single(r => r.Code == "platen");
        Assert.Equal("a press of 16 × 20 in, or a smaller print", reason.WouldWork);
    }
}
