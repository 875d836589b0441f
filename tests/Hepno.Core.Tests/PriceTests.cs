using System.Globalization;
using CsCheck;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Policies, floors, fees and the inversion guard; the numbers lie in tests/cases.</summary>
public class PriceTests
{
    private static PieceCostResult Costing(decimal cost, decimal materials = 0, double hands = 360) =>
        new(
            Figure.Input("cost", "Cost", cost, FigureUnit.Money, "test"),
            [],
            1,
            [],
            Figure.Input("hands", "Hands", hands, FigureUnit.Seconds, "test"),
            0,
            materials
        );

    private static decimal Of(string cell) => decimal.Parse(cell, CultureInfo.InvariantCulture);

    [Fact]
    public void Every_policy_on_every_base_of_fees()
    {
        foreach (var row in Cases.Rows("policies.csv"))
        {
            var policy = new PricePolicy(
                Enum.Parse<PolicyKind>(row[0]),
                new(Of(row[1])),
                Of(row[2]),
                Enum.Parse<MultipleBase>(row[3]),
                Of(row[4])
            );
            var fees = new FeeTerms(new(Of(row[8])), new(Of(row[9])), Of(row[10]), Enum.Parse<FeeBase>(row[11]));
            var cost = Costing(Of(row[5]), Of(row[6]), double.Parse(row[7], CultureInfo.InvariantCulture));
            Assert.Equal(Of(row[12]), Math.Round(policy.Price(cost, fees), 4, MidpointRounding.AwayFromZero));
        }
    }

    [Fact]
    public void Floors_and_rounding_and_the_words_for_them()
    {
        foreach (var row in Cases.Rows("unit-prices.csv"))
        {
            var n = ShopNumbers.Default with
            {
                Fees = ShopNumbers.Default.Fees with { Share = default },
                Prices = ShopNumbers.Default.Prices with
                {
                    Retail = PricePolicy.Default with { MarginShare = new(Of(row[1])) },
                    LeastMarginShare = new(Of(row[3])),
                    MinimumCharge = Of(row[4]),
                    RoundingStep = Of(row[5]),
                },
            };
            var price = UnitPrice.Reckon(
                Costing(Of(row[0])),
                int.Parse(row[2], CultureInfo.InvariantCulture),
                n.Prices,
                Channel.Retail,
                n.Fees.Terms(),
                n.Format
            );
            Assert.Equal((Of(row[6]), row[7]), (price.Price, price.How));
        }
    }

    [Fact]
    public void A_price_pays_its_cost_and_fees_and_leaves_what_the_policy_wants() =>
        Gen.Select(Gen.Int[1, 20_000], Gen.Int[0, 60], Gen.Int[0, 20], Gen.Int[0, 25], Gen.Int[0, 2])
            .Sample(
                (cents, margin, fee, tax, feeBase) =>
                {
                    var fees = new FeeTerms(new(fee / 100m), new(tax / 100m), 0.40m, (FeeBase)feeBase);
                    var cost = Costing(cents / 100m, cents / 200m);
                    var byMargin = new PricePolicy(
                        PolicyKind.Margin,
                        new(margin / 100m),
                        2,
                        MultipleBase.AllCosts,
                        0
                    ).Price(cost, fees);
                    Assert.Equal(
                        (double)(byMargin * margin / 100m),
                        (double)(byMargin - cost.Cost.Value - fees.On(byMargin)),
                        1e-9
                    );
                    var byHour = new PricePolicy(PolicyKind.Hourly, default, 2, MultipleBase.AllCosts, 40).Price(
                        cost,
                        fees
                    );
                    Assert.Equal(4.0, (double)(byHour - cost.Cost.Value - fees.On(byHour)), 1e-9);
                    var n = ShopNumbers.Default with
                    {
                        Fees = ShopNumbers.Default.Fees with { Share = new(fee / 100m), TaxShare = new(tax / 100m) },
                        Prices = ShopNumbers.Default.Prices with { LeastMarginShare = new(margin / 100m) },
                    };
                    var charged = UnitPrice
                        .Reckon(cost, 7, n.Prices, Channel.Wholesale, n.Fees.Terms(), n.Format)
                        .Price;
                    Assert.True(
                        charged - cost.Cost.Value - n.Fees.Terms().On(charged)
                            >= charged * n.Prices.LeastMarginShare - 0.005m
                            && charged * 7 >= n.Prices.MinimumCharge
                    );
                }
            );

    [Theory]
    [InlineData(18, "a typed price")]
    [InlineData(11, "a typed price, under the least margin of 20%")]
    [InlineData(2, "a typed price, under the least margin of 20%, under the least charge of $40.00")]
    public void A_typed_price_stands_and_says_which_floor_it_breaks(decimal typed, string how)
    {
        var n = ShopNumbers.Default with
        {
            Fees = ShopNumbers.Default.Fees with { Share = default },
            Prices = ShopNumbers.Default.Prices with { LeastMarginShare = new(0.2m) },
        };
        Assert.Equal(
            new UnitPrice(typed, how),
            UnitPrice.Typed(typed, Costing(10), 10, n.Prices, n.Fees.Terms(), n.Format)
        );
    }

    [Fact]
    public void Each_channel_has_its_own_policy()
    {
        var retail = PricePolicy.Default with { Kind = PolicyKind.Multiple, Multiple = 3 };
        var n = ShopNumbers.Default with
        {
            Fees = ShopNumbers.Default.Fees with { Share = default },
            Prices = ShopNumbers.Default.Prices with { RoundingStep = 0, MinimumCharge = 0, Retail = retail },
        };
        Assert.Equal(30m, UnitPrice.Reckon(Costing(10), 5, n.Prices, Channel.Retail, n.Fees.Terms(), n.Format).Price);
        Assert.Equal(
            13.33m,
            UnitPrice.Reckon(Costing(10), 5, n.Prices, Channel.Wholesale, n.Fees.Terms(), n.Format).Price
        );
    }

    [Theory]
    [InlineData(PolicyKind.Margin, 0.98, 2, 40, "prices.retail.marginShare")]
    [InlineData(PolicyKind.Margin, 1.5, 2, 40, "prices.retail.marginShare")]
    [InlineData(PolicyKind.Multiple, 0.3, 0.5, 40, "prices.retail.multiple")]
    [InlineData(PolicyKind.Hourly, 0.3, 2, -1, "prices.retail.perHour")]
    public void A_policy_that_cannot_be_is_refused_by_its_field(
        PolicyKind kind,
        decimal margin,
        decimal multiple,
        decimal perHour,
        string where
    ) =>
        Assert.Contains(
            (
                ShopNumbers.Default with
                {
                    Prices = ShopNumbers.Default.Prices with
                    {
                        Retail = new(kind, new(margin), multiple, MultipleBase.AllCosts, perHour),
                    },
                }
            ).Problems(),
            p => p.Where == where && p.Remedy.Length > 0
        );

    [Fact]
    public void More_pieces_for_less_are_found_and_the_least_of_them_said()
    {
        // 39 at 14.00 are 546.00; 41 at 13.00 are 533.00; 42 at 13.00 are 546.00 and no less
        var cliff = Inversion.Look(39, 39 * 14m, [(40, 40 * 13.90m), (41, 41 * 13m), (42, 42 * 13m)]);
        Assert.Equal(new Cliff(41, 533m, 13m), cliff);
        Assert.Equal(13.66m, Inversion.NoDearer(cliff!.Total, 39, 2));
        Assert.Null(Inversion.Look(39, 39 * 14m, [(40, 40 * 14m), (38, 38m)]));
    }

    [Theory]
    [InlineData(SizePricing.Averaged)]
    [InlineData(SizePricing.Surcharged)]
    public void At_a_price_break_the_comparison_offers_the_larger_quantity_or_charges_no_dearer(SizePricing sizes)
    {
        // 34 prints by somebody else; from 36 on they cost a fifth
        var cliffs = MethodTests.Book.With<OutsidePrinter>([
            new("quayside", "Quayside", 0m, [new(4, [new(1, 10m), new(36, 2m)])], 1, 0, 12m, 10m, 7, 14, 16),
        ]) with
        {
            Numbers = MethodTests.Book.Numbers with
            {
                Prices = MethodTests.Book.Numbers.Prices with { SizePricing = sizes },
            },
        };
        var ask = MethodTests.Ask(34) with { Sizes = [new("M", 30), new("2XL", 4)] };
        Band At(ShopBook book, int pieces) =>
            Comparer
                .Compare(
                    ask,
                    null,
                    null,
                    pieces,
                    book,
                    new FloorPlan(
                        new LocalDateTime(2026, 6, 1, 10, 0, 0),
                        new OpenHours(book.Numbers.Week.Days),
                        [.. book.Presses, .. book.Benches()],
                        []
                    )
                )
                .Bands.Single(b => b.MethodId == "screen-out");
        Band Sent(ShopBook book) => At(book, 34);
        var offered = Sent(cliffs);
        Assert.Equal(sizes == SizePricing.Surcharged, offered.Surcharges!.Count > 0);
        Assert.NotNull(offered.Cliff);
        Assert.InRange(offered.Cliff.Pieces, 35, 38);
        Assert.True(offered.Cliff.Total < offered.Total);
        var guarded = Sent(
            cliffs with
            {
                Numbers = cliffs.Numbers with
                {
                    Prices = cliffs.Numbers.Prices with { Inversion = InversionRule.ChargeSmaller },
                },
            }
        );
        Assert.True(guarded.Total <= offered.Cliff.Total && guarded.Total > offered.Cliff.Total - 0.34m);
        Assert.EndsWith($"no dearer than {offered.Cliff.Pieces} pieces", guarded.PriceHow, StringComparison.Ordinal);
        Assert.Null(At(cliffs, 50).Cliff);
        // until they are given, the pieces asked for are charged no dearer; a raised break makes the larger quantity
        // come to no less
        Assert.Equal(
            guarded.Total,
            Sent(
                cliffs with
                {
                    Numbers = cliffs.Numbers with
                    {
                        Prices = cliffs.Numbers.Prices with { Inversion = InversionRule.GivePiece },
                    },
                }
            ).Total
        );
        var raised = cliffs with
        {
            Numbers = cliffs.Numbers with
            {
                Prices = cliffs.Numbers.Prices with { Inversion = InversionRule.RaiseBreak },
            },
        };
        Assert.Equal((offered.Total, null), (Sent(raised).Total, Sent(raised).Cliff));
        var larger = At(raised, offered.Cliff.Pieces);
        Assert.True(larger.Total >= offered.Total && At(cliffs, offered.Cliff.Pieces).Total < offered.Total);
        Assert.Contains(", no cheaper than ", larger.PriceHow, StringComparison.Ordinal);
    }
}
