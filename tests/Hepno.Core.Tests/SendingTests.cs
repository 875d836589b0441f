using System.Globalization;
using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Parcels, postage, part deliveries and dearer sizes; the numbers lie in tests/cases.</summary>
public class SendingTests
{
    private static readonly RateZone Near = new(
        "Near",
        1,
        [new(250, 4.20m), new(1000, 6m), new(2000, 7.80m), new(5000, 12.10m), new(10_000, 17.60m)],
        "near"
    );

    private static decimal Of(string cell) => decimal.Parse(cell, CultureInfo.InvariantCulture);

    [Fact]
    public void Parcels_hold_count_and_weight_and_the_fewest_come_first()
    {
        foreach (var row in Cases.Rows("parcels.csv"))
        {
            var style = MethodTests.Tee(100) with
            {
                Kind = Enum.Parse<GarmentKind>(row[0]),
                WeightGsm = (double)Of(row[1]),
            };
            var best = Parcels.Choices(
                [(style, int.Parse(row[2], CultureInfo.InvariantCulture))],
                Packaging.Default,
                "Test",
                Near
            )[0];
            Assert.Equal(
                (row[3], row[4], Of(row[5]), Of(row[6]), Of(row[7])),
                (
                    best.Packaging.Name,
                    best.Parcels.ToString(CultureInfo.InvariantCulture),
                    Math.Round((decimal)best.GramsEach, 6),
                    best.Material.Value,
                    best.Postage.Value
                )
            );
        }
        Assert.Equal(0, Parcels.Choices([(MethodTests.Tee(100), 3)], Packaging.Default, "", null)[0].Postage.Value);
        Assert.Empty(Parcels.Choices([(MethodTests.Tee(100), 3)], [new("Crate", 90, 90_000, 19_000, 1)], "Test", Near));
    }

    [Fact]
    public void Every_way_carries_everything() =>
        Gen.Select(Gen.Int[1, 400], Gen.Int[0, 5], Gen.Int[100, 400])
            .Sample(
                (pieces, kind, gsm) =>
                {
                    var style = MethodTests.Tee(100) with { Kind = (GarmentKind)kind, WeightGsm = gsm };
                    foreach (var way in Parcels.Choices([(style, pieces)], Packaging.Default, "", null))
                    {
                        Assert.True(
                            way.Parcels * way.Packaging.MostTees >= (pieces * PieceSize.Tees(style.Kind)) - 1e-6
                        );
                        Assert.True(way.Parcels * way.Packaging.MostGrams >= (pieces * PieceSize.Grams(style)) - 1e-6);
                        Assert.Equal(way.Parcels * way.Packaging.Price, way.Material.Value);
                    }
                }
            );

    [Fact]
    public void Part_balances_by_hand()
    {
        foreach (var row in Cases.Rows("part-balances.csv"))
        {
            Assert.Equal(
                new PartBalance(Of(row[4]), Of(row[5])),
                PartBalance.Reckon(Of(row[0]), Of(row[1]), Of(row[2]), Of(row[3]), 2)
            );
        }
    }

    [Fact]
    public void All_parts_together_come_to_the_total() =>
        Gen.Select(Gen.Int[1, 90_000], Gen.Int[0, 100], Gen.Int[1, 9].Array[1, 6])
            .Sample(
                (cents, deposit, parts) =>
                {
                    var (total, goods) = (cents / 100m, (decimal)parts.Sum());
                    var paid = decimal.Round(total * deposit / 100, 2);
                    var first = paid;
                    var delivered = 0m;
                    foreach (var part in parts)
                    {
                        delivered += part;
                        var balance = PartBalance.Reckon(total, paid, goods, delivered, 2);
                        Assert.Equal(total, paid + balance.Now + balance.Later);
                        paid += balance.Now;
                    }
                    Assert.Equal(Math.Max(total, first), paid);
                }
            );

    [Fact]
    public void The_guard_against_more_for_less_by_hand()
    {
        foreach (var row in Cases.Rows("inversions.csv"))
        {
            var pieces = int.Parse(row[0], CultureInfo.InvariantCulture);
            var cliff = Inversion.Look(pieces, pieces * Of(row[1]), Totals(row[2]));
            Assert.Equal(
                row[3].Length == 0
                    ? null
                    : new Cliff(int.Parse(row[3], CultureInfo.InvariantCulture), Of(row[4]), Of(row[5])),
                cliff
            );
            if (cliff is not null)
            {
                Assert.Equal(Of(row[6]), Inversion.NoDearer(cliff.Total, pieces, 2));
            }
        }
    }

    [Fact]
    public void A_break_is_raised_by_hand()
    {
        foreach (var row in Cases.Rows("inversions-back.csv"))
        {
            var pieces = int.Parse(row[0], CultureInfo.InvariantCulture);
            var less = Inversion.LookBack(pieces, pieces * Of(row[1]), Totals(row[2]));
            Assert.Equal(
                row[3].Length == 0 ? null : (int.Parse(row[3], CultureInfo.InvariantCulture), Of(row[4])),
                less
            );
            if (less is { } found)
            {
                Assert.Equal(Of(row[5]), Inversion.NoCheaper(found.Total, pieces, 2));
            }
        }
    }

    [Fact]
    public void Surcharges_by_hand()
    {
        foreach (var row in Cases.Rows("surcharges.csv"))
        {
            var style = MethodTests.Tee(100) with { Sizes = [new("M", 0), new("2XL", Of(row[4]))] };
            var on = SizeSurcharge.Reckon(
                style,
                [new("M", 3), new("2XL", 2)],
                PricePolicy.Default with
                {
                    Kind = Enum.Parse<PolicyKind>(row[0]),
                    MarginShare = new(Of(row[1])),
                    Multiple = Of(row[1]),
                    PerHour = 40,
                },
                new FeeTerms(new(Of(row[2])), new(Of(row[3])))
            );
            Assert.Equal(new SizeSurcharge("2XL", 2, Of(row[5])), Assert.Single(on));
        }
    }

    // 2.00 more at twice the costs is 4.12 with fees, rounded up 4.50; the base price is what an order of plain sizes
    // has, free freight that the dear ones reach included
    [Fact]
    public void The_base_price_is_of_plain_sizes_but_of_the_invoice_as_it_is()
    {
        var style = MethodTests.Tee(100) with
        {
            Sizes = [new("M", 0), new("2XL", 2)],
            FreightPerOrder = 30,
            Buying = new([], FreeFreightFrom: (10 * MethodTests.Tee(100).UnitPrice) + 8),
        };
        var n = ShopNumbers.Default with
        {
            Prices = ShopNumbers.Default.Prices with
            {
                RoundingStep = 0,
                SizePricing = SizePricing.Surcharged,
                Retail = PricePolicy.Default with { Kind = PolicyKind.Multiple, Multiple = 2 },
            },
        };
        LinePrice At(Style of) =>
            MethodTests.Ask(10) with { Style = of, Sizes = [new("M", 6), new("2XL", 4)] } is var ask
            && new DtfBought().Answer(ask, MethodTests.Book).Decorations is var plan
                ? LinePrice.Reckon(
                    ask,
                    plan,
                    LineCost.Reckon(ask, plan, MethodTests.Book),
                    MethodTests.Book with
                    {
                        Numbers = n,
                    },
                    null
                )
                : null!;
        var free = At(style with { FreightPerOrder = 0 });
        Assert.Equal(free.Each, At(style).Each);
        Assert.Equal(4.50m, Assert.Single(free.Surcharges).Each);
    }

    private static IEnumerable<(int Pieces, decimal Total)> Totals(string cells) =>
        cells
            .Split(' ')
            .Select(x => x.Split(':'))
            .Select(x =>
                int.Parse(x[0], CultureInfo.InvariantCulture) is var pieces ? (pieces, pieces * Of(x[1])) : default
            );

    [Fact]
    public void With_surcharges_the_base_price_forgets_the_dearer_sizes_and_the_total_is_both()
    {
        var ask = MethodTests.Ask(10) with { Sizes = [new("M", 6), new("2XL", 4)] };
        Band Film(ShopNumbers n) =>
            Comparer
                .Compare(
                    ask,
                    null,
                    null,
                    null,
                    MethodTests.Book with
                    {
                        Numbers = n,
                    },
                    new Planning.FloorPlan(
                        new LocalDateTime(2026, 6, 1, 10, 0, 0),
                        new Planning.OpenHours(n.Week.Days),
                        MethodTests.Book.Presses,
                        []
                    )
                )
                .Bands.Single(b => b.MethodId == "dtf-bought");
        var n = ShopNumbers.Default with { Prices = ShopNumbers.Default.Prices with { RoundingStep = 0 } };
        var (averaged, surcharged) = (
            Film(n),
            Film(n with { Prices = n.Prices with { SizePricing = SizePricing.Surcharged } })
        );
        Assert.True(surcharged.Outcome.Price < averaged.Outcome.Price);
        Assert.Equal(
            (surcharged.Outcome.Price * 10) + surcharged.Surcharges!.Sum(s => s.Each * s.Pieces),
            surcharged.Total
        );
        Assert.Equal(averaged.Cost.Value, surcharged.Cost.Value);
        // profit is of what is really sold: base price and surcharges
        Assert.Equal(
            surcharged.Total / 10 - surcharged.Outcome.Fees.Value - surcharged.Cost.Value,
            surcharged.Outcome.Profit.Value,
            9
        );
        Assert.Empty(averaged.Surcharges!);
    }

    [Fact]
    public void Postage_is_charged_beside_the_price_or_carried_in_it()
    {
        var book = MethodTests.Book with
        {
            Carrier = new("Test", [Near]),
            Numbers = ShopNumbers.Default with { Prices = ShopNumbers.Default.Prices with { RoundingStep = 0 } },
        };
        var here = MethodTests.Ask(12);
        PieceCostResult Cost(Shipping? shipping) =>
            LineCost.Reckon(here with { Shipping = shipping }, new DtfBought().Answer(here, book).Decorations, book);
        var (collected, beside, inside) = (Cost(null), Cost(new("near", false)), Cost(new("near", true)));
        // 12 tees of 180 g: one small box at 1.10, 2.38 kg at 12.10; four minutes for the parcel
        Assert.Equal(1.10m / 12, beside.Stratum("packing").Value - collected.Stratum("packing").Value, 9);
        Assert.Equal(12.10m / 12, inside.Stratum("packing").Value - beside.Stratum("packing").Value, 9);
        Assert.Equal(20.0, (double)(beside.HandsSeconds.Value - collected.HandsSeconds.Value), 1e-6);
        Assert.Equal(
            0.029m * 12.10m / 12,
            LineCost.Fees(here with { Shipping = new("near", false) }, book).OfPostage,
            9
        );
        Assert.Equal(0, LineCost.Fees(here with { Shipping = new("near", true) }, book).OfPostage);
        Assert.Null(LineCost.Packed(here with { Shipping = new("moon", true) }, book));
    }

    [Fact]
    public void The_shops_own_rates_hold_and_of_two_services_each_zone_is_told_from_the_others()
    {
        Assert.Equal(CarrierRates.Usual, CarrierRates.Of([]));
        var ridge = new ParcelService("ridge", "Ridgeline", [Near with { Id = "" }]);
        ridge = ParcelService.Described.Settled(ridge);
        Assert.Equal("near", ridge.Zones[0].Id);
        var both = CarrierRates.Of([
            ridge,
            new("shore", "Shoreway", [Near, Near with { Name = "Far & wide", Id = "far" }]),
        ]);
        Assert.Equal("Ridgeline, Shoreway", both.Carrier);
        Assert.Equal(["near", "shore/near", "far"], both.Zones.Select(z => z.Id));
        Assert.Equal("Near, Shoreway", both.Zones[1].Name);
        Assert.Equal("far-wide", new RateZone(" Far & wide", 3, []).Settled().Id);
        // renamed, orders still find it
        Assert.Equal("near", (ridge.Zones[0] with { Name = "Nearby" }).Settled().Id);
    }

    [Theory]
    [InlineData("Near; 1; 250 4.20, 1000 6", "")]
    [InlineData("Near; 90; 250 4.20", "zones[0].days")]
    [InlineData("Near; 1; 1000 4.20, 250 6", "zones[0].steps")]
    [InlineData("Near; 1; 250 -1", "zones[0].steps")]
    [InlineData("Near; 1; 0 1", "zones[0].steps")]
    [InlineData("&; 1; 250 4", "zones[0].name")]
    [InlineData("Near; 1; 250 4|near; 2; 250 5", "zones[1].name")]
    public void Rates_that_cannot_hold_are_refused_by_their_zone(string typed, string where)
    {
        var zones = typed
            .Split('|')
            .Select(row => row.Split("; "))
            .Select(z => new RateZone(
                z[0],
                int.Parse(z[1], CultureInfo.InvariantCulture),
                [.. z[2].Split(", ").Select(s => s.Split(' ')).Select(s => new RateStep((double)Of(s[0]), Of(s[1])))]
            ));
        var kind = ParcelService.Described;
        var problems = kind.Problems(kind.Settled(new("ridge", "Ridgeline", [.. zones]))).Select(p => p.Where);
        Assert.Equal(where.Length == 0 ? [] : [where], problems);
        Assert.Contains(kind.Problems(new("ridge", "Ridgeline", [])), p => p.Where == "zones");
    }
}
