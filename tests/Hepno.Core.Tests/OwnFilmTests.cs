using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>The prints of a line together on the shop's own film: what each pays by hand, layouts settled, prints of
/// the drawer, more than one layout holds.</summary>
public class OwnFilmTests
{
    private static readonly FilmPrinter Skua = new(
        "skua",
        "Skua",
        13,
        0.25,
        11,
        0.011,
        0.16m,
        0.014,
        0.14m,
        true,
        0.0042m,
        0.016,
        0.028m,
        20,
        0.05m,
        40,
        FilmCure.Oven,
        new(5000, 0, 1, 3200, 0, 0, 0),
        ""
    );
    private static readonly ShopBook Book = MethodTests
        .Book.With<FilmPrinter>([Skua])
        .With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            MethodTests.FilmOnCotton with
            {
                Id = "skua-cotton",
                ProductId = "skua",
            },
        ]);

    private static readonly Placement Front = MethodTests.Front(9, 8, 4) with { Id = "front" };
    private static readonly Placement Sleeve = MethodTests.Front(3, 3, 2) with { Id = "sleeve", Place = "left-sleeve" };

    private static IReadOnlyList<DecorationPlan> Plans(AskInHand ask) => new DtfMade().Answer(ask, Book).Decorations;

    private static decimal Film(DecorationPlan d) => d.Material.Parts.Single(p => p.Code == "film").Value;

    // a front of 9 x 8 with its gap is 9.25 across of 13, one after the other 8.25 apart; a sleeve of 3.25 lies in the
    // 3.75 beside: so many fronts, so many times 8.25
    [Fact]
    public void Small_prints_lie_beside_large_ones_and_each_pays_by_its_area()
    {
        var plans = Plans(MethodTests.Ask(12, Front, Sleeve));
        var prints = plans[0].Bought;
        Assert.Equal(prints, plans[1].Bought);
        var laid = Assert.Single(plans.SelectMany(d => d.Purchases));
        Assert.Equal(8.25 * prints, laid.Quantity, 1e-9);
        var cost = 8.25m * prints * 13m * 0.0042m;
        Assert.Equal((double)cost, (double)laid.Cost.Value, 1e-9);
        // 72 in2 and 9 in2
        Assert.Equal((double)(cost / prints * 72 / 81), (double)Film(plans[0]), 1e-9);
        Assert.Equal((double)(cost / prints * 9 / 81), (double)Film(plans[1]), 1e-9);
        Assert.Equal("", laid.Supplier);
        // the sleeves by themselves would take a row for each four
        Assert.True(laid.Quantity < (8.25 * prints) + (3.25 * Math.Ceiling(prints / 4.0)));
    }

    [Fact]
    public void A_settled_layout_is_what_is_reckoned_with()
    {
        var ask = MethodTests.Ask(12, Front, Sleeve);
        var (settled, length) = Settled(ask, Skua);
        var laid = Assert.Single(Plans(ask with { Laid = settled }).SelectMany(d => d.Purchases));
        Assert.True(laid.Laid!.IsSettled);
        Assert.Equal(length, laid.Quantity, 1e-9);
        Assert.Equal("skua", Assert.Single(LaidOn.Find("dtf-made", ask, Book).Lists).Id);
    }

    // the owner has a reason to print it on the dearer one
    [Theory]
    [InlineData(12, "teal")]
    [InlineData(13, "skua")]
    public void Of_two_printers_the_one_it_was_settled_on_is_reckoned_with_while_the_prints_are_the_same(
        int pieces,
        string printer
    )
    {
        var teal = Skua with { Id = "teal", Name = "Teal", FilmPricePerIn2 = 0.01m };
        var book = Book.With<FilmPrinter>([Skua, teal])
            .With<Recipe>([
                .. Book.Of<Recipe>(),
                MethodTests.FilmOnCotton with
                {
                    Id = "teal-cotton",
                    ProductId = "teal",
                },
            ]);
        var laid = Assert
            .Single(
                new DtfMade()
                    .Answer(
                        MethodTests.Ask(pieces, Front, Sleeve) with
                        {
                            Laid = Settled(MethodTests.Ask(12, Front, Sleeve), teal).Layout,
                        },
                        book
                    )
                    .Decorations.SelectMany(d => d.Purchases)
            )
            .Laid!;
        Assert.Equal((new ThingId(printer), printer == "teal"), (laid.FilmId, laid.IsSettled));
    }

    // the owner leaves a foot free at the beginning
    private static (LineLayout Layout, double LengthIn) Settled(AskInHand ask, FilmPrinter printer)
    {
        var on = DtfMade.ListOf(printer).Grounds()[0];
        var prints = LaidPrint.All(ask, new DtfMade().LaidOn(ask, Book)!.Spares, printer.Id);
        var found = GangNest.Lay(on.Ground, [.. prints.Select(p => p.Design.Laid())], 1, GangNest.OnePass);
        return (
            new(
                "1",
                printer.Id,
                on.Key,
                [.. prints.Select(p => p.Design)],
                [.. found.Placed.Select(p => new LaidCopy(p.DesignId, 0, p.X, p.Y + 12, p.Turned))],
                1,
                0
            ),
            found.UsedLengthIn + 12
        );
    }

    [Fact]
    public void What_lies_in_the_drawer_is_not_printed_again()
    {
        var ask = MethodTests.Ask(12, Front);
        var all = Plans(ask)[0];
        var part = Plans(ask with { Drawer = [new FromDrawer("1", "front", "kept", 5, "skua")] })[0];
        Assert.Equal((all.Bought, 8.25 * (all.Bought - 5)), (part.Bought, part.Purchases[0].Quantity));
        Assert.Equal((double)(all.Material.Value * (all.Bought - 5) / all.Bought), (double)part.Material.Value, 1e-9);
        var none = Plans(ask with { Drawer = [new FromDrawer("1", "front", "kept", 50, "skua")] })[0];
        Assert.Equal((0m, 0, 0), (none.Material.Value, none.Purchases.Count, none.Preparation.Count));
    }

    // on YM it is scaled to what that takes, on M it is whole: those of one size lie in the drawer, those of the other
    // are printed
    [Theory]
    [InlineData("YM")]
    [InlineData("M")]
    public void Of_a_print_by_size_those_that_lie_in_the_drawer_are_left_out(string lying)
    {
        var ask = MethodTests.Ask(12, Front with { WidthIn = 10.5, BySize = true }) with
        {
            Sizes = [new("YM", 6), new("M", 6)],
        };
        Assert.Equal(2, LaidPrint.All(ask, new(0, 0.95), "skua").Count);
        var (all, part) = (
            Plans(ask)[0],
            Plans(ask with { Drawer = [new FromDrawer("1", $"front {lying}", "kept", 50, "skua")] })[0]
        );
        Assert.Equal(all.Bought, part.Bought);
        Assert.True(part.Material.Value > 0 && part.Material.Value < all.Material.Value);
        Assert.Equal("Print, powder and cure", part.Prepare);
        Assert.InRange(part.Preparation[0].Seconds, 1, all.Preparation[0].Seconds - 1);
    }

    // 10,500 of two prints are over twenty thousand: each kind in rows, fronts one across, sleeves four
    [Fact]
    public void More_than_one_layout_holds_is_laid_in_rows()
    {
        var plans = Plans(MethodTests.Ask(10_500, Front, Sleeve));
        Assert.All(plans, d => Assert.Null(d.Purchases[0].Laid));
        Assert.Equal(8.25 * plans[0].Bought, plans[0].Purchases[0].Quantity, 1e-9);
        Assert.Equal(3.25 * Math.Ceiling(plans[1].Bought / 4.0), plans[1].Purchases[0].Quantity, 1e-9);
        Assert.Equal((double)(8.25m * 13m * 0.0042m), (double)Film(plans[0]), 1e-9);
        Assert.Equal((double)plans[0].Purchases[0].Cost.Value, (double)Film(plans[0]) * plans[0].Bought, 1e-6);
    }

    [Fact]
    public void One_s_own_roll_is_paid_for_to_the_end_of_the_last_print_and_has_no_next_step()
    {
        var on = DtfMade.ListOf(Skua).Grounds()[0];
        var bill = on.Bill(GangNest.Lay(on.Ground, [new("a", 9, 8, 3)], 1, GangNest.OnePass))!;
        Assert.Equal(24.75, bill.BilledIn, 1e-9);
        Assert.Equal((double)(24.75m * 13m * 0.0042m), (double)bill.Cost.Value, 1e-9);
        // 3 x 72 of 24.75 x 13 in2 are printed
        Assert.Equal((double)bill.Cost.Value * (1 - (216 / (24.75 * 13))), (double)bill.Waste, 1e-9);
        Assert.Equal(0, on.Units(bill));
        Assert.Null(FilmStep.After(on, bill.BilledIn, 0, Book.Numbers.Format));
    }
}
