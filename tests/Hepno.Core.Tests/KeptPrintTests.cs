using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Stock;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Transfers in the drawer: how many, how old, and what an order that uses them costs.</summary>
public class KeptPrintTests
{
    private static readonly LocalDate Day = new(2026, 6, 2);
    private static readonly KeptPrint Tern = new(
        "tern",
        "hem tern",
        1,
        0.5,
        "art",
        "film",
        60,
        365,
        [new(20, Day.PlusDays(-400), ""), new(30, Day.PlusDays(-10), "T-201")]
    );

    [Fact]
    public void What_was_there_first_is_taken_first_and_tells_the_age()
    {
        Assert.Equal((50, 10), (Tern.OnHand(), Tern.Wanted()));
        Assert.Equal((Day.PlusDays(-400), true), (Tern.Oldest(), Tern.IsOld(Day)));
        var used = Tern with { Lots = [.. Tern.Lots, new(-20, Day, "T-202")] };
        Assert.Equal((30, Day.PlusDays(-10), false), (used.OnHand(), used.Oldest(), used.IsOld(Day)));
        var empty = used with { Lots = [.. used.Lots, new(-30, Day, "T-203")] };
        Assert.Equal((0, null, 60), (empty.OnHand(), empty.Oldest(), empty.Wanted()));
    }

    [Theory]
    [InlineData("art", 1, 0.5, "film", true)]
    [InlineData("art", 1.01, 0.5, "film", true)]
    [InlineData("art", 1.2, 0.6, "film", false)]
    [InlineData("other", 1, 0.5, "film", false)]
    [InlineData(null, 1, 0.5, "film", false)]
    [InlineData("art", 1, 0.5, "vinyl", false)]
    public void It_is_the_same_print_by_artwork_size_and_film(
        string? art,
        double w,
        double h,
        string film,
        bool same
    ) => Assert.Equal(same, Tern.Is(art is null ? (DesignId?)null : new DesignId(art), w, h, new ThingId(film)));

    [Fact]
    public void What_cannot_be_is_not_kept()
    {
        Assert.Empty(Tern.Problems());
        (KeptPrint Print, string Where)[] wrong =
        [
            (Tern with { Name = "" }, "name"),
            (Tern with { WidthIn = 0 }, "widthIn"),
            (Tern with { ProductId = "" }, "productId"),
            (Tern with { Keep = -1 }, "keep"),
            (Tern with { GoodDays = 0 }, "keep"),
            (Tern with { Lots = [new(-1, Day, "")] }, "lots"),
        ];
        Assert.All(wrong, w => Assert.Equal(w.Where, Assert.Single(w.Print.Problems()).Where));
    }

    [Fact]
    public void Prints_of_the_drawer_are_not_bought_again()
    {
        var ask = MethodTests.Ask(10, MethodTests.Front(10, 10));
        static Figure Price(MethodAnswer answer) =>
            answer.Decorations[0].Material.Parts.Single(p => p.Code == "transfer-price");
        MethodAnswer Answer(int lying, string film = "film") =>
            new DtfBought().Answer(
                ask with
                {
                    Drawer = [new FromDrawer("1", "front", "tern", lying, new ThingId(film))],
                },
                MethodTests.Book
            );
        var bought = Answer(0).Decorations[0].Bought;
        // of 11 at 3.00 four lie here: 7 × 3.00 ÷ 11
        Assert.Equal(11, bought);
        var some = Answer(4);
        Assert.Equal(
            (7.0, 21m, 11),
            (
                some.Decorations[0].Purchases[0].Quantity,
                some.Decorations[0].Purchases[0].Cost.Value,
                some.Decorations[0].Bought
            )
        );
        Assert.Equal(21m / 11, Price(some).Value, 6);
        // all of them: nothing is bought, nothing sent
        var all = Answer(99);
        Assert.Empty(all.Decorations[0].Purchases);
        Assert.Equal(0, all.Decorations[0].Material.Value);
        // what is printed on another film is pressed by another recipe: it is not used
        Assert.Equal(11.0, Answer(99, "other").Decorations[0].Purchases[0].Quantity);
        Assert.Contains("from the drawer", all.Made, StringComparison.Ordinal);
    }
}
