using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Verdicts, prices by method and the comparison, on a small shop with every input written out.</summary>
public class MethodTests
{
    private static readonly LocalDate Day = new(2026, 6, 1);
    internal static readonly Colourway Black = new("black", "Black", "#22252b", ColourClass.Dark);
    internal static readonly Colourway White = new("white", "White", "#ffffff", ColourClass.White);

    internal static readonly Recipe FilmOnCotton = new(
        "r1",
        "film",
        "1",
        RecipeFabric.Cotton,
        310,
        15,
        3,
        "medium",
        5,
        Peel.Cold,
        60,
        8,
        "up",
        RecipeSource.Maker,
        Day,
        ""
    );

    private static readonly Recipe VinylOnCotton = FilmOnCotton with
    {
        Id = "r2",
        ProductId = "vinyl",
        DwellSeconds = 14,
        Peel = Peel.Warm,
        PeelAfterSeconds = 8,
        SecondPressSeconds = 4,
    };

    internal static readonly Press Gannet = new(
        "g",
        "Gannet",
        "swing-away",
        16,
        20,
        15,
        20,
        5,
        -5,
        new EquipmentHour(1450, 250, 5, 600, 1.8, 0.35, 0.12m),
        ""
    );

    internal static readonly ShopBook Book = new ShopBook(ShopNumbers.Default)
        .With<Style>([Tee(100)])
        .With<TransferPriceList>([
            new(
                "film",
                "Ferrow",
                "Film",
                [
                    new("4 × 4", 4, 4, [new(1, 1m), new(25, 0.80m)]),
                    new("11 × 11", 11, 11, [new(1, 3m), new(25, 2.50m)]),
                ],
                9m,
                2
            ),
        ])
        .With<VinylFilm>([new("vinyl", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2)])
        .With<Press>([Gannet])
        .With<Recipe>([FilmOnCotton, VinylOnCotton])
        .With<Cutter>([new("c", "Cutter", 24, 60, new EquipmentHour(0, 0, 1, 1, 0, 0, 0), "")]);

    internal static Style Tee(double cotton, double ceiling = 380) =>
        new(
            "tee",
            "Tee",
            "Mill",
            GarmentKind.Tee,
            cotton >= 100 ? [new(Fibre.Cotton, 100)] : [new(Fibre.Cotton, cotton), new(Fibre.Polyester, 100 - cotton)],
            180,
            ceiling,
            4m,
            12m,
            1,
            [Black, White],
            [new("M", 0), new("2XL", 2m)],
            false
        );

    internal static Placement Front(
        double w = 9,
        double h = 4,
        int colours = 2,
        bool gradient = false,
        double line = 5
    ) => new("front", "front", w, h, 50, colours, gradient, line);

    internal static AskInHand Ask(int pieces, params Placement[] placements) =>
        new(Tee(100), Black, [new("M", pieces)], placements.Length == 0 ? [Front()] : placements);

    private static Verdict Judge(IDecorationMethod method, AskInHand ask) => method.Answer(ask, Book).Verdict;

    [Theory]
    [InlineData("gradient", "gradient")]
    [InlineData("thin", "thin-line")]
    [InlineData("many", "layers")]
    [InlineData("hot", "heat-ceiling")]
    [InlineData("wide", "roll-width")]
    public void Vinyl_refuses_with_the_input_that_decided(string what, string code)
    {
        var ask = what switch
        {
            "gradient" => Ask(10, Front(gradient: true)),
            "thin" => Ask(10, Front(line: 2)),
            "many" => Ask(10, Front(colours: 5)),
            "wide" => Ask(10, Front(w: 20, h: 20)),
            _ => Ask(10) with { Style = Tee(100, 300) },
        };
        var verdict = Judge(new Htv(), ask);
        Assert.Equal(VerdictKind.No, verdict.Kind);
        Assert.Contains(verdict.Reasons, r => r.Code == code && r.WouldWork.Length > 0);
    }

    [Fact]
    public void Film_takes_what_vinyl_refuses_but_not_hairlines()
    {
        Assert.Equal(VerdictKind.WithCare, Judge(new DtfBought(), Ask(10, Front(gradient: true))).Kind);
        Assert.Contains(Judge(new DtfBought(), Ask(10, Front(line: 0.6))).Reasons, r =>
            r.Code == "thin-line" && r.WouldWork.Contains("15 in wide", StringComparison.Ordinal)
        );
        Assert.Contains(Judge(new DtfBought(), Ask(10, Front(w: 12, h: 12))).Reasons, r => r.Code == "size-class");
    }

    [Fact]
    public void Dark_polyester_is_with_care_and_an_unknown_pair_has_no_recipe()
    {
        Assert.Contains(Judge(new DtfBought(), Ask(10) with { Style = Tee(60) }).Reasons, r =>
            r.Code == "dye-migration"
        );
        Assert.Contains(Judge(new DtfBought(), Ask(10) with { Style = Tee(20) }).Reasons, r => r.Code == "no-recipe");
    }

    [Fact]
    public void A_press_off_by_more_than_twenty_degrees_is_set_aside()
    {
        var verdict = new DtfBought().Answer(Ask(10), Book.With<Press>([Gannet with { OffsetF = -21 }])).Verdict;
        Assert.Contains(verdict.Reasons, r => r.Code == "press-set-aside");
        Assert.Equal(325, (Gannet with { OffsetF = -15 }).SetPointF(310));
    }

    [Fact]
    public void Sublimation_says_cloth_then_colour_then_machine()
    {
        var cotton = Judge(new Sublimation(), Ask(10)).Reasons;
        Assert.Equal("fabric", cotton[0].Code);
        Assert.Contains(cotton, r => r.Code == "colour");
        Assert.Equal(
            "no-dye-printer",
            Judge(
                new Sublimation(),
                Ask(10) with
                {
                    Style = Tee(0) with { Fabric = [new(Fibre.Polyester, 100)] },
                    Colourway = White,
                }
            )
                .Reasons[0]
                .Code
        );
    }

    [Theory]
    [InlineData("dtf-bought", 0.015)]
    [InlineData("screen-transfer", 0.015)]
    [InlineData("dtf-made", 0.03)]
    [InlineData("htv", 0.015)]
    [InlineData("sublimation", 0.025)]
    public void What_is_assumed_to_spoil_is_more_on_nylon_and_stretch_and_gives_way_to_what_was_learned(
        string method,
        double assumed
    )
    {
        Assert.Equal(assumed, DecorationMethods.All.Single(m => m.Id == new MethodId(method)).SpoilageAssumed);
        var (plain, nylon) = (
            Ask(10),
            Ask(10) with
            {
                Style = Tee(90) with { Fabric = [new(Fibre.Cotton, 90), new(Fibre.Nylon, 10)] },
            }
        );
        Assert.Equal(assumed, SpoilageChance.Reckon(new MethodId(method), assumed, plain, Book));
        Assert.Equal(assumed + 0.01, SpoilageChance.Reckon(new MethodId(method), assumed, nylon, Book), 12);
        Assert.Equal(
            assumed + 0.01,
            SpoilageChance.Reckon(
                new MethodId(method),
                assumed,
                plain with
                {
                    Style = Tee(100) with { Cloth = new(null, Migration.ByCloth, [Feature.Stretch], "") },
                },
                Book
            ),
            12
        );
        Assert.Equal(
            0.08,
            SpoilageChance.Reckon(
                new MethodId(method),
                assumed,
                plain,
                Book with
                {
                    Numbers = Book.Numbers with
                    {
                        Rates = Book.Numbers.Rates with { Spoilage = [new(new MethodId(method), 0.08)] },
                    },
                }
            )
        );
    }

    [Fact]
    public void Film_by_hand()
    {
        // 24 pieces at 1.5%: 26 transfers suffice 95 times in 100, so the break from 25 holds: 2.50, and 9.00 freight
        // on 24 is 0.375
        var plan = new DtfBought().Answer(Ask(24), Book).Decorations[0];
        Assert.Equal(26, plan.Bought);
        Assert.Equal(2.875m, plan.Material.Value);
        Assert.Equal(65.00m, plan.Purchases[0].Cost.Value);
    }

    [Fact]
    public void Vinyl_by_hand()
    {
        // two colours fail 3% together: 26 suffice for 24. Boxes 9.5 × 4.5 turned lie four across 19.5: 7 rows of 9.5 =
        // 66.5; plain two across: 13 rows of 4.5 = 58.5 in
        var plan = new Htv().Answer(Ask(24), Book).Decorations[0];
        Assert.Equal(26, plan.Bought);
        Assert.Equal(58.5, plan.Purchases[0].Rows!.LengthIn);
        Assert.Equal(15.1125m, plan.Purchases[0].Cost.Value);
        Assert.Equal((2 * 15.1125m / 26) + (6m / 24), plan.Material.Value, 9);
        // weeding: 20 + 0.8 × 18 in² × 3 (lines of 5 pt are fine) for each of two layers
        Assert.Equal(2 * 63.2, WorkSteps.Attended(plan.Preparation), 6);
    }

    [Fact]
    public void The_serial_chain_of_the_press_floor()
    {
        // the standards of the press floor's example: hot peel, no second press, no folding
        var recipe = FilmOnCotton with { Peel = Peel.Hot, PeelAfterSeconds = 0, SecondPressSeconds = 0 };
        var hot = StepStandards
            .Default.Before(GarmentKind.Tee, 5)
            .Concat(StepStandards.Default.Transfer(recipe, 0))
            .Append(StepStandards.Default.After[0])
            .ToList();
        Assert.Equal(69, WorkSteps.Clock(hot));
        Assert.Equal(63, WorkSteps.PressHeld(hot));
        var cold = StepStandards
            .Default.Before(GarmentKind.Tee, 5)
            .Concat(StepStandards.Default.Transfer(recipe with { Peel = Peel.Cold, PeelAfterSeconds = 60 }, 0))
            .Append(StepStandards.Default.After[0])
            .ToList();
        Assert.Equal(125, WorkSteps.Clock(cold));
        Assert.Equal(59, WorkSteps.PressHeld(cold));
        Assert.Equal(69, WorkSteps.Attended(cold));
    }

    [Fact]
    public void Every_tree_sums_to_its_root() =>
        Gen.Select(Gen.Int[1, 300], Gen.Int[1, 4], Gen.Double[1, 10.5])
            .Sample(
                (pieces, colours, width) =>
                {
                    static void Check(Figure figure)
                    {
                        if (figure.How == "sum")
                        {
                            Assert.Equal((double)figure.Value, (double)figure.Parts.Sum(p => p.Value), 1e-9);
                        }
                        foreach (var part in figure.Parts)
                        {
                            Check(part);
                        }
                    }
                    var comparison = Compare(Ask(pieces, Front(width, 4, colours)));
                    foreach (var band in comparison.Bands)
                    {
                        Check(band.Cost);
                        Check(band.Hands);
                        Assert.Equal(band.CostShown, band.Strata.Sum(s => s.Shown));
                        Assert.True(
                            band.CostLow <= band.Cost.Value
                                && band.Outcome.Price * pieces >= Book.Numbers.Prices.MinimumCharge
                        );
                    }
                }
            );

    [Fact]
    public void Every_figure_opens_to_an_input_with_a_source_or_names_one_beside_it()
    {
        foreach (var band in Compare(Ask(24, Front(), Front(3, 3) with { Id = "s", Place = "left-sleeve" })).Bands)
        {
            var beside = new[] { band.Cost, band.Hands, band.Outcome.Profit }.ToDictionary(f => f.Code);
            void Opens(Figure figure)
            {
                Assert.True(figure.Label.Length > 0);
                if (figure.Parts.Count > 0)
                {
                    Assert.NotEqual("", figure.How);
                    Assert.All(figure.Parts, Opens);
                }
                else if (figure.Source.Length == 0)
                {
                    Assert.Equal(beside[figure.Code].Value, figure.Value);
                    Assert.NotEmpty(beside[figure.Code].Parts);
                }
            }
            Opens(band.Cost);
            Opens(band.Hands);
            Opens(band.Outcome.Profit);
            Opens(band.Outcome.ProfitAnHour);
            Opens(band.Outcome.TakeHomeAnHour);
            Assert.All(band.Decorations.SelectMany(d => d.Purchases), p => Opens(p.Cost));
        }
    }

    [Fact]
    public void A_dearer_wage_never_lowers_a_cost() =>
        Gen.Select(Gen.Int[1, 200], Gen.Int[0, 40])
            .Sample(
                (pieces, more) =>
                {
                    var ask = Ask(pieces);
                    var decorations = new DtfBought().Answer(ask, Book).Decorations;
                    var dearer = Book with
                    {
                        Numbers = Book.Numbers with
                        {
                            Rates = Book.Numbers.Rates with { Wage = Book.Numbers.Rates.Wage + more },
                        },
                    };
                    Assert.True(
                        LineCost.Reckon(ask, decorations, dearer).Cost.Value
                            >= LineCost.Reckon(ask, decorations, Book).Cost.Value
                    );
                }
            );

    [Fact]
    public void Bands_that_fit_stand_before_those_that_do_not()
    {
        var least = Compare(Ask(24)).Bands.Min(b => b.Outcome.Price);
        var comparison = Compare(Ask(24), mark: least);
        Assert.Equal(least, comparison.Bands[0].Outcome.Price);
        Assert.True(comparison.Bands[0].Fits);
        Assert.False(comparison.Bands[1].Fits);
        Assert.Equal(comparison.Bands[1].Outcome.Price - least, comparison.Bands[1].OverMark);
        Assert.Equal(["dtf-bought", "htv"], comparison.Bands.Select(b => b.MethodId).Order());
    }

    [Fact]
    public void The_least_charge_holds_for_one_piece() => Assert.True(Compare(Ask(1)).Bands.All(b => b.Total >= 40m));

    [Fact]
    public void Numbers_refuse_what_leaves_nothing_for_the_cost() =>
        Assert.Contains(
            (
                ShopNumbers.Default with
                {
                    Prices = ShopNumbers.Default.Prices with
                    {
                        Retail = PricePolicy.Default with { MarginShare = new(0.98m) },
                    },
                }
            ).Problems(),
            p => p.Code == "margin-and-fees" && p.Where == "prices.retail.marginShare"
        );

    private static Comparison Compare(AskInHand ask, decimal? mark = null) =>
        Comparer.Compare(
            ask,
            mark,
            null,
            null,
            Book,
            new FloorPlan(
                new LocalDateTime(2026, 6, 1, 10, 0, 0),
                new OpenHours(Book.Numbers.Week.Days),
                Book.Presses,
                []
            )
        );

    [Theory]
    [InlineData(VinylFinish.Plain, "plain")] // the cheap glitter is passed over
    [InlineData(VinylFinish.Glitter, "glitter")]
    [InlineData(VinylFinish.Puff, null)] // nobody sells it here
    public void Vinyl_is_of_the_finish_that_is_wanted(VinylFinish wanted, string? product)
    {
        var vinyl = Book.Of<VinylFilm>()[0];
        var book = Book.With<VinylFilm>([
                vinyl with
                {
                    Id = "plain",
                    Product = "plain",
                    PricePerFoot = 3.10m,
                },
                vinyl with
                {
                    Id = "glitter",
                    Product = "glitter",
                    PricePerFoot = 0.50m,
                    Finish = VinylFinish.Glitter,
                },
            ])
            .With<Recipe>([
                .. Book.Of<Recipe>(),
                VinylOnCotton with
                {
                    Id = "rp",
                    ProductId = "plain",
                },
                VinylOnCotton with
                {
                    Id = "rg",
                    ProductId = "glitter",
                },
            ]);
        var ask = Ask(12, Front(line: 8) with { Finish = wanted });
        var answer = new Htv().Answer(ask, book);
        Assert.Equal(product, answer.Decorations.Count == 0 ? null : answer.Decorations[0].Recipe.ProductId.Text);
        Assert.True(
            product is not null || answer.Verdict.Reasons[0].Code == "finish",
            string.Join("; ", answer.Verdict.Reasons.Select(r => r.Sentence))
        );
        // what is to glitter is no film
        Assert.Equal(wanted == VinylFinish.Plain, new DtfBought().Answer(ask, book).Decorations.Count > 0);
    }

    [Fact]
    public void Coarse_vinyl_is_cut_coarsely_and_low_heat_stands_in_for_plain()
    {
        var vinyl = Book.Of<VinylFilm>()[0];
        Verdict With(VinylFinish roll, VinylFinish wanted, double line) =>
            new Htv()
                .Answer(
                    Ask(12, Front(line: line) with { Finish = wanted }),
                    Book.With<VinylFilm>([vinyl with { Finish = roll }])
                )
                .Verdict;
        Assert.Contains(With(VinylFinish.Flock, VinylFinish.Flock, 5).Reasons, r =>
            r.Code == "thin-line" && r.Sentence.Contains("7 pt", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(With(VinylFinish.Stretch, VinylFinish.Plain, 5).Reasons, r => r.Kind == VerdictKind.No);
        Assert.Contains(With(VinylFinish.Plain, VinylFinish.Stretch, 5).Reasons, r =>
            r.Code == "finish"
            && r.Sentence.EndsWith("is to be low-heat stretch; Vinyl is plain", StringComparison.Ordinal)
        );
        Assert.All(Enum.GetValues<VinylFinish>(), f => Assert.True(f.Serves(f) && f.Named().Length > 0));
    }
}
