using Hepno.Core.Comparing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Tests;

/// <summary>The cheapest way from 1 to 500 pieces: held against the full computation, and its stretches, crossings and
/// close bands.</summary>
public class RibbonTests
{
    private static readonly OutsidePrinter Quayside = new(
        "quayside",
        "Quayside",
        28m,
        [
            new(1, [new(24, 2.30m), new(72, 1.43m), new(288, 0.83m)]),
            new(3, [new(24, 3.40m), new(72, 2.11m), new(288, 1.22m)]),
        ],
        24,
        0.02,
        12m,
        10m,
        7,
        14,
        16
    );

    private static readonly ShopBook Book = OwnPrintTests
        .Book.With<TransferPriceList>([
            OwnPrintTests.Book.Of<TransferPriceList>()[0] with
            {
                ByLayout = new(
                    0.5,
                    0.25,
                    new(22, 12, [new(1, 4.60m), new(30, 4.30m)], []),
                    [new("11 × 15", 11, 15, [new(1, 4.10m), new(10, 3.40m), new(40, 2.90m)])]
                ),
            },
        ])
        .With<OutsidePrinter>([Quayside]) with
    {
        Memo = new(),
    };

    private static readonly AskInHand Chest = MethodTests.Ask(40, MethodTests.Front(4, 3, 1));

    public static TheoryData<string, AskInHand> Orders =>
        new()
        {
            { "one front", MethodTests.Ask(40, MethodTests.Front(9, 8, 2)) },
            {
                "front and sleeve",
                MethodTests.Ask(
                    40,
                    MethodTests.Front(9, 8, 2),
                    MethodTests.Front(3, 3, 1) with
                    {
                        Id = "s",
                        Place = "left-sleeve",
                    }
                )
            },
            { "a chest print", Chest },
        };

    [Fact]
    public void A_crossing_says_about_where_its_figure_is_sketched() =>
        Assert.All(
            Orders
                .Select(o => (AskInHand)o[1])
                .SelectMany(ask =>
                    QuantityRibbon.Reckon(ask, null, Book) is var r
                        ? r.Crossings.Concat(r.Overtakings).Select(c => (Ask: ask, Crossing: c))
                        : []
                ),
            x =>
                Assert.Equal(
                    x.Crossing.Pieces > 60 || x.Crossing.Pieces * x.Ask.Placements.Count > 100,
                    x.Crossing.Sentence.Contains("about ", StringComparison.Ordinal)
                )
        );

    // 50 quantities of each: every one to 25, then every nineteenth to 500: the same cheapest, or costs within 1 in 100
    [Theory]
    [MemberData(nameof(Orders))]
    public void It_agrees_with_the_full_computation(string called, AskInHand ask)
    {
        var ribbon = QuantityRibbon.Reckon(ask, null, Book);
        Assert.NotEmpty(called);
        foreach (var q in Enumerable.Range(1, 25).SelectMany(i => new[] { i, 25 + (i * 19) }))
        {
            var full = Full(ask.At(q), Book);
            foreach (var (id, cost) in full.Where(x => Mixed.Find(x.Key) is null))
            {
                var line = ribbon.Lines.Single(l => l.MethodId == id);
                // to the cent where nothing is said to be about; else within a hundredth
                var exact = q <= 60 && q * ask.Placements.Count * 1.2 <= Gang.LayoutSketch.Exact;
                Assert.True(
                    Math.Abs(line.Costs[q - 1]!.Value - cost) <= (exact ? 0.005m : 0.01m * cost),
                    $"{called}, {q} by {id}: {line.Costs[q - 1]} against {cost}"
                );
            }
            Agrees(ribbon, ask.At(q), full, Book);
        }
    }

    /// <summary>What a piece costs by every single way that can and by the mixes that are worth it, in full.</summary>
    internal static Dictionary<MethodId, decimal> Full(AskInHand at, ShopBook book)
    {
        var single = DecorationMethods
            .All.Select(m => (m.Id, Answer: m.Answer(at, book)))
            .Where(x => x.Answer.Decorations.Count > 0)
            .Select(x =>
                (x.Id, x.Answer.Verdict.Kind, Cost: LineCost.Reckon(at, x.Answer.Decorations, book).Cost.Value)
            )
            .ToList();
        var mixes = Mixes.Best(
            at,
            Mixes.Ways(at, new(book), book),
            [.. single.Select(x => (x.Kind, x.Cost))],
            new(book),
            book
        );
        return single
            .Select(x => (x.Id, x.Cost))
            .Concat(mixes.Select(m => (m.Id, CostOf(m.Id, at, book))))
            .ToDictionary();
    }

    /// <summary>The ribbon's cheapest at a quantity is the full computation's, or costs within 1 in 100.</summary>
    internal static void Agrees(QuantityRibbon ribbon, AskInHand at, Dictionary<MethodId, decimal> full, ShopBook book)
    {
        var said = ribbon.Cheapest.Single(s => s.From <= at.Pieces && at.Pieces <= s.To).MethodId;
        var cheapest = full.MinBy(x => x.Value);
        Assert.True(
            said == cheapest.Key || CostOf(said, at, book) <= cheapest.Value * 1.01m,
            $"{at.Pieces}: {said} against {cheapest}"
        );
    }

    private static decimal CostOf(MethodId methodId, AskInHand at, ShopBook book) =>
        LineCost.Reckon(at, DecorationMethods.Find(methodId)!.Answer(at, book).Decorations, book).Cost.Value;

    [Fact]
    public void Stretches_cover_every_quantity_once_and_lines_begin_where_they_can()
    {
        var ribbon = QuantityRibbon.Reckon(Chest, null, Book);
        foreach (var stretches in new[] { ribbon.Cheapest, ribbon.Best })
        {
            Assert.Equal((1, 500), (stretches[0].From, stretches[^1].To));
            Assert.All(stretches.Zip(stretches.Skip(1)), x => Assert.Equal(x.First.To + 1, x.Second.From));
        }
        var sent = ribbon.Lines.Single(l => l.MethodId == "screen-out");
        Assert.Equal(24, sent.From);
        Assert.Contains("24 or more", sent.WhyNot, StringComparison.Ordinal);
        Assert.All(ribbon.Crossings, c =>
            Assert.True(
                ribbon.Lines.Single(l => l.MethodId == c.To).Costs[c.Pieces - 1]
                    <= ribbon.Lines.Single(l => l.MethodId == c.From).Costs[c.Pieces - 1]
            )
        );
        Assert.NotEmpty(ribbon.Crossings);
        Assert.All(ribbon.Close, c =>
        {
            var (a, b) = (
                ribbon.Lines.Single(l => l.MethodId == c.MethodId).Costs[c.From - 1]!.Value,
                ribbon.Lines.Single(l => l.MethodId == c.OtherId).Costs[c.From - 1]!.Value
            );
            Assert.True(Math.Abs(a - b) <= 0.03m * Math.Min(a, b));
        });
        Assert.True(ribbon.Assumes.Count >= 3);
    }

    [Fact]
    public void A_mark_nothing_is_sold_at_leaves_the_best_empty() =>
        Assert.All(QuantityRibbon.Reckon(Chest, 0.50m, Book, most: 30).Best, s => Assert.Equal("", s.MethodId));

    // the minutes beyond 24 pieces against the simulation of all of them, at 50 quantities
    [Fact]
    public void Minutes_beyond_the_exact_are_within_half_a_hundredth()
    {
        var decorations = new DtfBought().Answer(Chest, Book).Decorations;
        foreach (var q in Enumerable.Range(1, 50).Select(i => 24 + (i * 4)))
        {
            var job = LineFloor.JobOf(Chest, decorations, Book, q);
            var (about, whole) = (
                PressFloor.FloorMinutes.Reckon(job, false),
                PressFloor.PressFloorSimulation.Run(job, rules: 3)
            );
            Assert.Equal(whole.MakespanSeconds, about.MakespanSeconds, whole.MakespanSeconds * 0.005);
        }
    }

    // between two breakpoints the total never falls, and every fall is one: a tier, a break, a sheet or step, a least
    // number
    [Theory]
    [InlineData("htv")]
    [InlineData("screen-transfer")]
    [InlineData("screen-out")]
    [InlineData("dtf-made")]
    public void The_total_falls_only_where_a_price_breaks(string methodId)
    {
        var method = DecorationMethods.Find(new MethodId(methodId))!;
        decimal? before = null;
        for (var q = 1; q <= 300; q++)
        {
            var answer = method.Answer(Chest.At(q), Book);
            if (answer.Decorations.Count == 0)
            {
                continue;
            }
            var total = LineCost.Reckon(Chest.At(q), answer.Decorations, Book).Cost.Value * q;
            if (before is { } was && total < was - 1e-9m)
            {
                var bought = answer.Decorations.Sum(d => d.Bought);
                Assert.Contains(
                    answer
                        .Decorations.SelectMany(d => d.Purchases)
                        .SelectMany(p => p.SizeClass?.Breaks ?? p.Breaks ?? []),
                    b => b.From > 1 && b.From <= bought && b.From >= bought - 4
                );
            }
            before = total;
        }
    }

    // every tree adds up to its root
    [Theory]
    [MemberData(nameof(Orders))]
    public void Every_cost_opens_to_parts_that_add_up(string called, AskInHand ask)
    {
        Assert.NotEmpty(called);
        foreach (var method in DecorationMethods.All)
        {
            var answer = method.Answer(ask, Book);
            if (answer.Decorations.Count > 0)
            {
                Sums(LineCost.Reckon(ask, answer.Decorations, Book).Cost);
            }
        }
        static void Sums(Figure f)
        {
            if (f.Parts.Count > 0 && f.How == "sum")
            {
                Assert.Equal((double)f.Value, (double)f.Parts.Sum(p => p.Value), 1e-9);
            }
            foreach (var part in f.Parts)
            {
                Sums(part);
            }
        }
    }

    // a dearer input never makes a piece cheaper where no threshold goes by value
    [Fact]
    public void Raising_a_price_or_a_rate_never_lowers_a_cost()
    {
        (string What, ShopBook Dearer)[] all =
        [
            (
                "wage",
                Book with
                {
                    Numbers = Book.Numbers with
                    {
                        Rates = Book.Numbers.Rates with { Wage = Book.Numbers.Rates.Wage * 1.1m },
                    },
                }
            ),
            (
                "overhead",
                Book with
                {
                    Numbers = Book.Numbers with
                    {
                        Rates = Book.Numbers.Rates with { OverheadPerHour = Book.Numbers.Rates.OverheadPerHour * 1.1m },
                    },
                }
            ),
            (
                "tariff",
                Book with
                {
                    Numbers = Book.Numbers with
                    {
                        Rates = Book.Numbers.Rates with { TariffPerKwh = Book.Numbers.Rates.TariffPerKwh * 2 },
                    },
                }
            ),
            (
                "sundries",
                Book with
                {
                    Numbers = Book.Numbers with { Rates = Book.Numbers.Rates with { ConsumablesPerStart = 1 } },
                }
            ),
            (
                "vinyl",
                Book.With<VinylFilm>([
                    .. Book.Of<VinylFilm>().Select(v => v with { PricePerFoot = v.PricePerFoot * 1.2m }),
                ])
            ),
            ("screens", Book.With<OutsidePrinter>([Quayside with { SetUpPerScreen = 40m }])),
            (
                "own ink",
                Book.With<FilmPrinter>([
                    .. Book.Of<FilmPrinter>().Select(p => p with { ColourPricePerMl = p.ColourPricePerMl * 2 }),
                ])
            ),
            (
                "freight",
                Book.With<TransferPriceList>([
                    .. Book.Of<TransferPriceList>().Select(x => x with { FreightPerOrder = x.FreightPerOrder + 5 }),
                ])
            ),
        ];
        foreach (var (what, dearer) in all)
        {
            foreach (var method in DecorationMethods.All)
            {
                foreach (var q in new[] { 1, 12, 40, 150 })
                {
                    var (a, b) = (
                        method.Answer(Chest.At(q), Book).Decorations,
                        method.Answer(Chest.At(q), dearer).Decorations
                    );
                    if (a.Count > 0)
                    {
                        Assert.True(
                            LineCost.Reckon(Chest.At(q), b, dearer).Cost.Value
                                >= LineCost.Reckon(Chest.At(q), a, Book).Cost.Value - 1e-9m,
                            $"{what} raised: {method.Id} at {q} cheaper"
                        );
                    }
                }
            }
        }
    }

    [Fact]
    public void The_order_of_placements_changes_no_start()
    {
        var (front, sleeve) = (
            MethodTests.Front(9, 8, 2),
            MethodTests.Front(3, 3, 1) with
            {
                Id = "s",
                Place = "left-sleeve",
            }
        );
        foreach (var method in DecorationMethods.All)
        {
            var (ab, ba) = (
                method.Answer(MethodTests.Ask(40, front, sleeve), Book).Decorations,
                method.Answer(MethodTests.Ask(40, sleeve, front), Book).Decorations
            );
            if (ab.Count > 0)
            {
                Assert.Equal(
                    LineCost.Reckon(MethodTests.Ask(40, front, sleeve), ab, Book).StartsPerGood,
                    LineCost.Reckon(MethodTests.Ask(40, sleeve, front), ba, Book).StartsPerGood,
                    1e-12
                );
            }
        }
    }
}
