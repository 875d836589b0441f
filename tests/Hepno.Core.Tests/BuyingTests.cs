using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Purchasing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>What a blank costs in an order of its size, and the ways to have it, every input written out.</summary>
public class BuyingTests
{
    // list price 4.00, 2XL +2.00, freight 12 an order, one working day
    private static readonly Style Tee = MethodTests.Tee(100) with
    {
        Buying = new(
            [new(24, 0, 3.60m), new(0, 150, 3.50m)],
            FreeFreightFrom: 200,
            CutOff: new(14, 0),
            CodePrice: 3.20m,
            CodeUntil: new(2026, 12, 10)
        ),
    };

    // Tuesday ten o'clock; open eight to six on all days but Sunday
    private static readonly FloorPlan Floor = new(
        new LocalDateTime(2026, 11, 24, 10, 0, 0),
        new OpenHours([new(null, null), .. Enumerable.Repeat(new DayHours(new(8, 0), new(18, 0)), 6)]),
        [],
        []
    );

    private static AskInHand Ask(int pieces, Style? style = null) =>
        MethodTests.Ask(pieces) with
        {
            Style = style ?? Tee,
        };

    [Theory]
    [InlineData(10, 4.00)]
    [InlineData(23, 4.00)]
    [InlineData(24, 3.60)]
    [InlineData(37, 3.60)]
    // 38 x 4.00 = 152 reach the price from 150
    [InlineData(38, 3.50)]
    public void The_price_is_the_best_the_whole_order_reaches(int pieces, double price) =>
        Assert.Equal((decimal)price, LandedBlank.Reckon(Ask(pieces)).Parts[0].Value);

    [Fact]
    public void Lines_of_the_same_style_reach_a_tier_together_and_the_suppliers_goods_the_free_freight()
    {
        var other = Ask(14) with { Colourway = Tee.Colourways[1] };
        var blank = LandedBlank.Reckon(Ask(10) with { Others = [other] });
        Assert.Equal(3.60m, blank.Parts[0].Value);
        Assert.Equal("Shelf: Tee, from 24", blank.Parts[0].Source);
        Assert.Equal(12m / 24, blank.Parts[1].Value);
        // 58 x 3.50 = 203.00 are invoiced: no freight; 57 are 199.50, though 228.00 at list prices
        Assert.NotEqual(0m, LandedBlank.Reckon(Ask(57)).Parts[1].Value);
        Assert.Equal(
            0m,
            LandedBlank.Reckon(Ask(50, Tee with { Buying = Tee.Buying! with { ValueAtList = true } })).Parts[1].Value
        );
        var free = LandedBlank.Reckon(Ask(58));
        Assert.Equal(0m, free.Parts[1].Value);
        Assert.Equal(3.50m, free.Value);
        Assert.Equal(["Goods of the order", "Free from"], free.Parts[1].Parts.Select(p => p.Label));
    }

    [Theory]
    [InlineData("2026-12-10", 3.20)]
    [InlineData("2026-12-11", 4.00)]
    [InlineData(null, 4.00)]
    public void A_code_counts_only_when_it_holds_on_the_last_day_it_may_be_bought(string? buyBy, double price) =>
        Assert.Equal(
            (decimal)price,
            LandedBlank.Reckon(Ask(10) with { BuyBy = buyBy is null ? null : Times.Day(buyBy) }).Parts[0].Value
        );

    [Theory]
    [InlineData("2026-11-24 13:59", "2026-11-25 12:00")]
    [InlineData("2026-11-24 14:01", "2026-11-26 12:00")]
    // on Sunday nothing is sent whatever the hour: Monday
    [InlineData("2026-11-29 20:00", "2026-11-30 12:00")]
    public void After_the_cut_off_a_parcel_comes_a_working_day_later(string now, string here)
    {
        Assert.Equal(Times.Wall(here), Floor.Hours.Parcel(Times.Wall(now), 1, new LocalTime(14, 0)));
        Assert.Equal(Times.Wall(now), Floor.Hours.Parcel(Times.Wall(now), 0, new LocalTime(14, 0)));
    }

    [Fact]
    public void Ways_to_have_the_blanks_are_held_against_each_other()
    {
        var shelf = Tee with { OnHand = [new("black", "M", 6)] };
        var elsewhere = Tee with
        {
            Id = "other",
            Supplier = "Far Mill",
            UnitPrice = 3.90m,
            FreightPerOrder = 6m,
            LeadDays = 4,
            Buying = null,
        };
        var ways = BuyingChoices.All(
            Ask(22, shelf),
            MethodTests.Book.With<Style>([
                shelf,
                elsewhere,
                elsewhere with
                {
                    Id = "third",
                    Retired = true,
                    Supplier = "Gone",
                },
            ]),
            Floor
        );
        Assert.Equal(["stock", "elsewhere", "tier", "need"], ways.Select(w => w.Code));
        // 16 x 4.00 + 12; 22 x 3.90 + 6; 24 x 3.60 + 12; 22 x 4.00 + 12
        Assert.Equal([76m, 91.80m, 98.40m, 100m], ways.Select(w => decimal.Round(w.Cost.Value, 6)));
        Assert.Equal([16, 22, 24, 22], ways.Select(w => SizeRun.Total(w.Bought)));
        Assert.Equal([0, 0, 2, 0], ways.Select(w => w.Left));
        Assert.Equal("2 more M: the price from 24", ways[2].What);
        Assert.Equal(new LocalDateTime(2026, 11, 28, 12, 0, 0), ways[1].Arrives);
        Assert.Equal(new LocalDateTime(2026, 11, 25, 12, 0, 0), ways[3].Arrives);
        var all = BuyingChoices.All(Ask(5, shelf), MethodTests.Book.With<Style>([shelf]), Floor);
        Assert.Equal(("stock", 0m, 0), (all[0].Code, all[0].Cost.Value, SizeRun.Total(all[0].Bought)));
    }

    [Fact]
    public void A_few_more_for_free_freight_and_whole_packs()
    {
        // 54 x 3.50 = 189.00: four M at 3.50 are 14.00, two 2XL at 5.50 the 11.00 that are missing
        Assert.Contains(BuyingChoices.All(Ask(54), MethodTests.Book, Floor), w =>
            w is { Code: "free-freight", What: "2 more 2XL: free freight from 200", Left: 2 }
        );
        var packed = Tee with { Buying = new([], PackOf: 6) };
        var way = Assert.Single(
            BuyingChoices.All(
                MethodTests.Ask(1) with
                {
                    Style = packed,
                    Sizes = [new("M", 7), new("2XL", 1)],
                },
                MethodTests.Book,
                Floor
            )
        );
        Assert.Equal([("M", 12), ("2XL", 6)], way.Bought.Select(s => (s.Size, s.Pieces)));
        Assert.Equal((10, "as needed, in packs of 6"), (way.Left, way.What));
        // 18 x 4.00 + 6 x 2.00 + 12
        Assert.Equal(96m, decimal.Round(way.Cost.Value, 6));
    }

    [Theory]
    [InlineData(Feature.Zip, "front", "zip", VerdictKind.No)]
    [InlineData(Feature.Pocket, "left-chest", "pocket", VerdictKind.WithCare)]
    [InlineData(Feature.TearAwayLabel, "neck-label", "", VerdictKind.Yes)]
    [InlineData(Feature.Hood, "neck-label", "sewn-label", VerdictKind.WithCare)]
    public void What_a_garment_has_is_minded(Feature feature, string place, string code, VerdictKind kind)
    {
        var ask = MethodTests.Ask(10, MethodTests.Front(2, 2, 1) with { Place = place }) with
        {
            Style = Tee with { Cloth = Cloth.Plain with { Features = [feature] } },
        };
        foreach (var method in new IDecorationMethod[] { new DtfBought(), new Htv() })
        {
            var reasons = method
                .Answer(ask, MethodTests.Book)
                .Verdict.Reasons.Where(r => r.Code is "zip" or "pocket" or "sewn-label")
                .ToList();
            Assert.Equal(code, string.Join('+', reasons.Select(r => r.Code)));
            Assert.All(reasons, r => Assert.Equal(kind, r.Kind));
        }
    }

    [Theory]
    [InlineData(Migration.High, 100, true)]
    [InlineData(Migration.None, 40, false)]
    [InlineData(Migration.ByCloth, 40, true)]
    [InlineData(Migration.ByCloth, 100, false)]
    public void Rising_dye_is_judged_by_the_makers_word_before_the_cloth(
        Migration migration,
        double cotton,
        bool warned
    )
    {
        var ask = MethodTests.Ask(10) with
        {
            Style = MethodTests.Tee(cotton) with { Cloth = Cloth.Plain with { Migration = migration } },
        };
        var book = MethodTests.Book.With<Recipe>([
            .. MethodTests.Book.Of<Recipe>(),
            MethodTests.FilmOnCotton with
            {
                Id = "b",
                Fabric = Recipes.RecipeFabric.Polyester,
            },
        ]);
        Assert.Equal(warned, new DtfBought().Answer(ask, book).Verdict.Reasons.Any(r => r.Code == "dye-migration"));
    }

    [Theory]
    [InlineData(0.59, true)]
    [InlineData(3.10, false)]
    [InlineData(41, true)]
    public void A_rolls_price_for_a_foot_is_asked_about(double foot, bool asked) =>
        Assert.Equal(
            asked,
            VinylFilm
                .Described.OddValues(MethodTests.Book.Of<VinylFilm>()[0] with { PricePerFoot = (decimal)foot })
                .Any()
        );

    [Theory]
    [InlineData(4, 180, "")]
    [InlineData(4, 5.3, "weightGsm")]
    [InlineData(212, 180, "unitPrice")]
    [InlineData(0.1, 900, "weightGsm+unitPrice")]
    public void Ounces_for_grams_and_a_carton_for_a_piece_are_asked_about(double price, double weight, string fields) =>
        Assert.Equal(
            fields,
            string.Join(
                '+',
                Style
                    .Described.OddValues(Tee with { UnitPrice = (decimal)price, WeightGsm = weight })
                    .Select(p => p.Where)
            )
        );

    [Fact]
    public void A_sheets_price_for_a_transfer_is_asked_about_and_things_unknown_never()
    {
        var list = MethodTests.Book.Of<TransferPriceList>()[0];
        Assert.Empty(Materials.OddValues.In(list));
        Assert.Single(Materials.OddValues.In(list with { Sizes = [new("4 × 4", 4, 4, [new(1, 14m), new(25, 0.8m)])] }));
        Assert.Empty(Cutter.Described.OddValues(MethodTests.Book.Of<Cutter>()[0]));
    }

    [Theory]
    [InlineData(3.5, false)]
    [InlineData(4, true)]
    public void Straight_lettering_across_a_cap_is_warned_of(double width, bool warned) =>
        Assert.Equal(
            warned,
            new DtfBought()
                .Answer(
                    MethodTests.Ask(10, MethodTests.Front(width, 2, 1) with { Place = "cap-front" }) with
                    {
                        Style = Tee with { Kind = GarmentKind.Cap },
                    },
                    MethodTests.Book.With<Press>([
                        MethodTests.Gannet with
                        {
                            Kind = "cap",
                            PlatenWidthIn = 6,
                            PlatenHeightIn = 4,
                        },
                    ])
                )
                .Verdict.Reasons.Any(r => r.Code == "cap-bend")
        );

    // list price 4.00, 2XL 2.00 more: 20 M and 10 2XL are 140.00 as invoiced and 120.00 at list
    [Theory]
    [InlineData(false, 140, true)]
    [InlineData(false, 140.01, false)]
    [InlineData(true, 120, true)]
    [InlineData(true, 120.01, false)]
    public void Surcharges_of_sizes_count_towards_free_freight_unless_the_supplier_counts_at_list(
        bool atList,
        decimal from,
        bool free
    )
    {
        var style = MethodTests.Tee(100) with { Buying = new([], FreeFreightFrom: from, ValueAtList: atList) };
        var ask = Ask(30, style) with { Sizes = [new("M", 20), new("2XL", 10)] };
        Assert.Equal(free, LandedBlank.Reckon(ask).Parts[^1].Value == 0);
    }

    // 96.00 of goods; 5.00 to 6.00 are missing to a threshold: two M at 4.00 cost 8.00, one 2XL at 6.00 less
    [Fact]
    public void The_cheapest_piece_that_reaches_free_freight_may_be_a_dear_size_or_of_another_line()
    {
        var style = MethodTests.Tee(100) with { Buying = new([], FreeFreightFrom: 102m) };
        var way = BuyingChoices.All(Ask(24, style), MethodTests.Book, Floor).Single(w => w.Code == "free-freight");
        Assert.Equal(("1 more 2XL: free freight from 102", 1, 102m), (way.What, way.Left, way.Cost.Value));
        Assert.Equal([new("M", 24), new("2XL", 1)], way.Bought);

        // a dearer style of the same supplier in the same order: one of it is 5.00
        var hood = style with { Id = "hood", Name = "Hood", UnitPrice = 5m, Sizes = [new("L", 0)] };
        var two = BuyingChoices
            .All(
                Ask(23, style with { Buying = style.Buying! with { FreeFreightFrom = 107m } }) with
                {
                    Others = [Ask(2, hood) with { Sizes = [new("L", 2)] }],
                },
                MethodTests.Book,
                Floor
            )
            .Single(w => w.Code == "free-freight");
        Assert.Equal(("1 more Hood L: free freight from 107", 1, (23 * 4m) + 5m), (two.What, two.Left, two.Cost.Value));
    }

    [Fact]
    public void No_other_pieces_reach_a_value_for_less() =>
        Gen.Select(Gen.Int[1, 3000], Gen.Int[50, 900].Array[1, 3])
            .Sample(
                (gap, prices) =>
                {
                    var offered = prices.Select((p, i) => new FurtherPiece(0, $"{i}", p / 100m, p / 100m)).ToList();
                    var found = FewestMore.Find(gap / 100m, offered, 40);
                    var least = int.MaxValue;
                    for (var a = 0; a <= 61; a++)
                    {
                        for (var b = 0; b <= (prices.Length > 1 ? 61 : 0); b++)
                        {
                            var rest = gap - (a * prices[0]) - (prices.Length > 1 ? b * prices[1] : 0);
                            var c =
                                rest <= 0 ? 0
                                : prices.Length > 2 ? (rest + prices[2] - 1) / prices[2]
                                : -1;
                            least =
                                c < 0
                                    ? least
                                    : Math.Min(
                                        least,
                                        (a * prices[0])
                                            + (prices.Length > 1 ? b * prices[1] : 0)
                                            + (prices.Length > 2 ? c * prices[2] : 0)
                                    );
                        }
                    }
                    Assert.True(
                        found.Count == 0
                            || (found.Sum(p => p.Costs) * 100 == least && found.Sum(p => p.Counts) * 100 >= gap)
                    );
                }
            );

    // 30,000.00 are missing: the shirt that counts most for its cost takes nearly all of it, and only the rest is
    // searched
    [Fact]
    public void A_large_gap_is_filled_with_what_counts_most_for_its_cost()
    {
        IReadOnlyList<FurtherPiece> offered =
        [
            new(0, "M", 4m, 4m),
            new(0, "2XL", 6m, 5m),
            new(0, "Sample", 0.001m, 0m),
        ];
        Assert.Equal(5000 * 5m, FewestMore.Find(30_000m, offered, 9000).Sum(p => p.Costs));
        Assert.Empty(FewestMore.Find(30_000m, offered, 4999));
    }

    // from 50 at 2.00, from 100 at 1.10: 50 is the least unless the list sells fewer; 60 needed at 2.00 are 120.00, 100
    // at 1.10 are 110.00
    [Theory]
    [InlineData(12, false, 50, 2.00)]
    [InlineData(12, true, 12, 2.00)]
    [InlineData(44, false, 50, 2.00)]
    [InlineData(60, false, 100, 1.10)]
    [InlineData(60, true, 100, 1.10)]
    public void Film_by_size_is_bought_to_the_least_and_past_the_need_where_that_costs_less(
        int needed,
        bool below,
        int count,
        decimal price
    )
    {
        var list = new TransferPriceList(
            "film",
            "Ferrow",
            "Film",
            [new("11 × 11", 11, 11, [new(50, 2m), new(100, 1.10m)])],
            9m,
            2
        )
        {
            SoldBelow = below,
        };
        var (bought, at) = list.ToBuy(list.Sizes[0], needed);
        Assert.Equal((count, price), (bought, at.Price));
    }

    [Fact]
    public void What_is_bought_past_the_need_is_of_the_print_most_are_needed_of_and_is_paid()
    {
        var book = MethodTests.Book.With<TransferPriceList>([
            new TransferPriceList("film", "Ferrow", "Film", [new("11 × 11", 11, 11, [new(50, 2m)])], 9m, 2),
        ]);
        var ask = MethodTests.Ask(10, MethodTests.Front(9, 8, 2)) with
        {
            Placements = [MethodTests.Front(9, 8, 2), MethodTests.Front(9, 8, 2) with { Id = "back", Place = "back" }],
        };
        var answer = new DtfBought().Answer(ask, book);
        Assert.Equal(50, answer.Decorations.Sum(d => d.Purchases.Sum(p => p.Quantity)));
        Assert.Contains(
            "Ferrow sells no fewer",
            answer.Decorations[0].Purchases[0].Cost.Parts[0].Source,
            StringComparison.Ordinal
        );
        var none = book with
        {
            Numbers = book.Numbers with { Rates = book.Numbers.Rates with { Spoilage = [new("dtf-bought", 0)] } },
        };
        var cost = LineCost.Reckon(ask, new DtfBought().Answer(ask, none).Decorations, none);
        Assert.Equal(109m, 10 * (cost.Stratum("decoration").Value + cost.Stratum("spoilage").Value), 6);
    }

    // fifty at 0.60 are 30.00; twelve and their spares at 1.00 are less
    [Fact]
    public void A_list_with_a_least_is_weighed_by_what_is_bought()
    {
        var film = MethodTests.Book.Of<TransferPriceList>()[0] with { Sizes = [new("11 × 11", 11, 11, [new(1, 1m)])] };
        var many = film with { Id = "many", Supplier = "Scaup", Sizes = [new("11 × 11", 11, 11, [new(50, 0.60m)])] };
        var book = MethodTests
            .Book.With<TransferPriceList>([many, film])
            .With<Recipe>([.. MethodTests.Book.Of<Recipe>(), MethodTests.FilmOnCotton with { ProductId = "many" }]);
        string From(int pieces) => new DtfBought().Answer(MethodTests.Ask(pieces, MethodTests.Front(9, 8, 2)), book).Of;
        Assert.Equal(($"{film.Product}, {film.Supplier}", $"{many.Product}, Scaup"), (From(12), From(60)));
    }

    [Fact]
    public void A_list_that_cannot_do_it_says_why_beside_the_one_that_can()
    {
        var film = MethodTests.Book.Of<TransferPriceList>()[0];
        var small = film with { Id = "small", Supplier = "Scaup", Sizes = [new("3 × 3", 3, 3, [new(1, 0.10m)])] };
        var unknown = film with { Id = "unknown", Supplier = "Eider" };
        var book = MethodTests
            .Book.With<TransferPriceList>([film, small, unknown])
            .With<Recipe>([.. MethodTests.Book.Of<Recipe>(), MethodTests.FilmOnCotton with { ProductId = "small" }]);
        var ask = MethodTests.Ask(30, MethodTests.Front(9, 8, 2));
        Assert.Equal(
            [$"{small.Product}, Scaup: ", $"{unknown.Product}, Eider: "],
            new DtfBought()
                .Answer(ask, book)
                .NotUsed.Select(r => r.Sentence[..(r.Sentence.IndexOf(": ", StringComparison.Ordinal) + 2)])
        );
        var compared = Comparer.Compare(
            ask,
            null,
            null,
            null,
            book,
            new FloorPlan(
                new LocalDateTime(2026, 6, 1, 10, 0, 0),
                new OpenHours(book.Numbers.Week.Days),
                book.Presses,
                []
            ),
            curve: false
        );
        Assert.Contains(compared.Bands.Single(b => b.MethodId == "dtf-bought").NotUsed, s =>
            s.Contains("Scaup's largest is", StringComparison.Ordinal)
        );
        // where none can, each says its own reason
        var folded = Comparer.Compare(
            ask,
            null,
            null,
            null,
            book.With<TransferPriceList>([small, unknown]),
            new FloorPlan(
                new LocalDateTime(2026, 6, 1, 10, 0, 0),
                new OpenHours(book.Numbers.Week.Days),
                book.Presses,
                []
            ),
            curve: false
        );
        Assert.Contains(folded.Folds.Single(x => x.MethodId == "dtf-bought").Reasons, r =>
            r.Sentence.StartsWith($"{unknown.Product}, Eider: ", StringComparison.Ordinal)
        );
    }
}
