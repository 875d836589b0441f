using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>One piece decorated in several ways: feasibility, cost and minutes by hand, the order of work, and which
/// mixes are worth a look.</summary>
public class MixedTests
{
    private static readonly EquipmentHour Free = new(0, 0, 1, 1, 0, 0, 0);
    private static readonly StitchMachine Bittern = Stitchers.BitternPaid with { AppliqueFilmPerIn2 = null };
    private static readonly OutsidePrinter Quayside = new(
        "quayside",
        "Quayside",
        28m,
        [new(1, [new(24, 2.30m), new(72, 1.43m)]), new(3, [new(24, 3.40m), new(72, 2.11m)])],
        24,
        0.02,
        12m,
        10m,
        7,
        14,
        16
    );
    private static readonly ShopBook Book = MethodTests
        .Book.With<StitchMachine>([Bittern])
        .With<OutsidePrinter>([Quayside]);

    private static readonly Placement Chest = MethodTests.Front(3, 2, 2) with
    {
        Id = "chest",
        Place = "left-chest",
        CoveragePercent = 50,
        ThinnestLinePt = 6,
    };
    private static readonly Placement Back = MethodTests.Front(10, 8, 6) with
    {
        Id = "back",
        Place = "back",
        Gradient = true,
    };

    private static AskInHand Both(int pieces) => MethodTests.Ask(pieces, Back, Chest);

    private static Mixed Mix(MethodId key) => Mixed.Find(key)!;

    [Fact]
    public void A_mix_whose_print_was_taken_away_is_laid_on_what_an_ask_without_a_way_is()
    {
        var chest = MethodTests.Ask(10, Chest);
        Assert.Equal(
            LaidOn.Find(null, chest, Book).Lists,
            LaidOn.Find("dtf-bought@back+embroidery@chest", chest, Book).Lists
        );
    }

    [Fact]
    public void A_key_names_each_placement_and_its_way()
    {
        var mix = Mix("dtf-bought@back+embroidery@chest");
        Assert.Equal(("dtf-bought@back+embroidery@chest", "Film + stitching"), (mix.Id, mix.Name));
        Assert.Equal(mix.Id, DecorationMethods.Find(mix.Id)!.Id);
        Assert.True(
            DecorationMethods.Uses(mix.Id, m => m.StandsUp) && DecorationMethods.Uses("htv", m => m.UsesPieces)
        );
        Assert.False(DecorationMethods.Uses(mix.Id, m => m.UsesPieces) || DecorationMethods.Uses(null, _ => true));
        Assert.Equal("a thin film; raised thread", mix.Character.Feel);
        Assert.Equal("dtf-bought@a%2Bb%40c+htv@d", new Mixed([("a+b@c", new DtfBought()), ("d", new Htv())]).Id);
        Assert.Equal("a+b@c", Mix("dtf-bought@a%2Bb%40c+htv@d").Parts[0].PlacementId);
        Assert.Equal("Film, bought in + film, made here", Mix("dtf-bought@a+dtf-made@b").Name);
    }

    [Theory]
    [InlineData("dtf-bought")]
    [InlineData("dtf-bought@back")] // one way alone
    [InlineData("htv@a+htv@b")]
    [InlineData("htv@a+dtf-bought@a")] // a placement twice
    [InlineData("htv@a+painted@b")]
    [InlineData("htv@a@b+dtf-bought@c")] // one at too many
    public void What_is_no_mix_is_none(string key) => Assert.Null(Mixed.Find(new MethodId(key)));

    // each part is what its way alone would do: 24 film backs and 24 stitched chests
    [Fact]
    public void Each_print_costs_what_its_way_alone_takes()
    {
        var answer = Mix("dtf-bought@back+embroidery@chest").Answer(Both(24), Book);
        Assert.Equal(["embroidery", "dtf-bought"], answer.Decorations.Select(d => d.MethodId));
        var film = new DtfBought().Answer(MethodTests.Ask(24, Back), Book).Decorations[0];
        var stitched = new Embroidery().Answer(MethodTests.Ask(24, Chest), Book).Decorations[0];
        Assert.Equal(film.Material.Value, answer.Decorations[1].Material.Value);
        Assert.Equal(stitched.Material.Value, answer.Decorations[0].Material.Value);
        Assert.Equal(24m, answer.Decorations[0].SetUp!.Value);
        Assert.Contains("back: ", answer.Made, StringComparison.Ordinal);
        // the shirt is on the press for the first time: it is not threaded again
        Assert.Equal(film.Steps, answer.Decorations[1].Steps);
    }

    // 3.60 an hour of the machine against the press's: the stitched seconds are charged at the machine's
    [Fact]
    public void The_machine_and_the_press_are_charged_by_their_own_hours()
    {
        var ask = Both(24);
        var plans = Mix("dtf-bought@back+embroidery@chest").Answer(ask, Book).Decorations;
        var (cost, minutes) = (LineCost.Reckon(ask, plans, Book), LineFloor.MinutesOf(ask, plans, Book));
        var held = cost.Stratum("press").Parts.First(p => p.Code == "held");
        Assert.Equal(Money.Times(minutes.Held[0] / 3600, 3.6m), held.Parts.First(p => p.Code == "chest").Value);
        Assert.Contains(held.Parts, p => p.Code == "hour-bittern");
        Assert.Equal(
            (double)held.Value,
            (double)
                held
                    .Parts.Where(p => p.Unit == FigureUnit.Money && p.Code is "prep" or "back" or "chest")
                    .Sum(p => p.Value),
            1e-9
        );
        // one place after the other: both take their own time
        var (alone, other) = (LineFloor.MinutesOf(ask, [plans[0]], Book), LineFloor.MinutesOf(ask, [plans[1]], Book));
        Assert.Equal(alone.MakespanSeconds + other.MakespanSeconds, minutes.MakespanSeconds, 1e-9);
        Assert.Equal(alone.AttendedInAll + other.AttendedInAll, minutes.AttendedInAll, 1e-9);
    }

    // what is sent out comes back before the hoop, that before the press, whatever fails most
    [Fact]
    public void Sent_out_comes_before_stitched_before_pressed()
    {
        var sleeve = Chest with { Id = "sleeve", Place = "left-sleeve", WidthIn = 2.5 };
        var ask = MethodTests.Ask(24, Back, Chest, sleeve);
        var plans = Mix("dtf-bought@back+embroidery@chest+screen-out@sleeve").Answer(ask, Book).Decorations;
        Assert.Equal(["screen-out", "embroidery", "dtf-bought"], plans.Select(d => d.MethodId));
        var failing = plans.Select(d => d.MethodId == "dtf-bought" ? d with { FailureChance = 0.2 } : d).ToList();
        Assert.Equal(["sleeve", "chest", "back"], LineCost.Reckon(ask, failing, Book).Sequence.Select(a => a.Id));
        Assert.Equal("", LineWork.Of("o", "l", "T", ask, plans, default, "", null, Book).BenchId);
        Assert.Equal("bittern", LineFloor.BenchOf([.. plans.Take(2)]));
        Assert.Equal(2, LineFloor.FirstPressed(plans));
    }

    // the second pressed way is threaded again, as its way alone would not be
    [Fact]
    public void A_second_pressed_way_threads_the_piece_again()
    {
        var ask = MethodTests.Ask(24, MethodTests.Front(9, 8, 1), Chest with { Place = "left-sleeve", WidthIn = 2.5 });
        var plans = Mix("dtf-bought@front+htv@chest").Answer(ask, Book).Decorations;
        Assert.Equal(("thread", 15.0), (plans[1].Steps[0].Code, plans[1].Steps[0].Seconds));
        Assert.DoesNotContain(plans[0].Steps, s => s.Code == "thread");
    }

    [Theory]
    [InlineData("embroidery@back+dtf-bought@chest", "gradient")] // a photograph is not stitched
    [InlineData("dtf-bought@back+embroidery@nape", "not-mixed")] // a placement that is gone
    [InlineData("dtf-bought@back+pod-out@chest", "their-blank-mixed")]
    public void A_mix_that_cannot_says_why(string key, string code)
    {
        var service = new PodService(
            "sandling",
            "Sandling",
            [new(GarmentKind.Tee, 11.80m)],
            4.30m,
            4.60m,
            1.20m,
            4,
            3,
            6,
            12,
            16
        );
        var answer = Mix(new MethodId(key)).Answer(Both(24), Book.With<PodService>([service]));
        Assert.Empty(answer.Decorations);
        var reason = answer.Verdict.Reasons.First(r => r.Kind == VerdictKind.No);
        Assert.Equal(code, reason.Code);
        Assert.NotEmpty(reason.WouldWork);
    }

    private static Comparison Compared(AskInHand ask, ShopBook book, Mixed? own = null) =>
        Comparer.Compare(
            ask,
            null,
            null,
            null,
            book,
            new(
                new LocalDateTime(2026, 3, 9, 9, 0, 0),
                new OpenHours(book.Numbers.Week.Days),
                [.. book.Presses, .. book.Benches()],
                []
            ),
            own: own
        );

    // film is sold up to 4 in here, and a screen prints no photograph: neither does both
    [Fact]
    public void A_mix_is_found_where_no_single_way_can()
    {
        var book = Book.With<TransferPriceList>([
                MethodTests.Book.Of<TransferPriceList>()[0] with
                {
                    Sizes = [new("4 × 4", 4, 4, [new(1, 0.80m)])],
                    ByLayout = null,
                },
            ])
            .With<StitchMachine>([])
            .With<FilmPrinter>([])
            .With<VinylFilm>([])
            .With<ScreenTransferList>([]);
        var compared = Compared(
            MethodTests.Ask(24, Back with { Gradient = false, Colours = 2 }, Chest with { Gradient = true }),
            book
        );
        var mix = Assert.Single(compared.Bands);
        Assert.Equal("screen-out@back+dtf-bought@chest", mix.MethodId);
        Assert.Equal("no single way can do all of it", mix.Mixing[0]);
        Assert.Equal(mix.MethodId, compared.Advice?.MethodId);
    }

    [Fact]
    public void A_mix_is_shown_unasked_only_where_it_beats_every_single_way()
    {
        foreach (var pieces in new[] { 1, 24, 96, 300 })
        {
            var compared = Compared(MethodTests.Ask(pieces, Back with { Gradient = false, Colours = 2 }, Chest), Book);
            foreach (var mix in compared.Bands.Where(b => Mixed.Find(b.MethodId) is not null))
            {
                Assert.All(compared.Bands.Where(b => Mixed.Find(b.MethodId) is null), b =>
                    Assert.False(b.Verdict.Kind <= mix.Verdict.Kind && b.Cost.Value <= mix.Cost.Value * 1.03m)
                );
            }
        }
    }

    [Fact]
    public void A_mix_asked_for_stands_beside_the_rest_with_what_it_loses()
    {
        var compared = Compared(Both(24), Book, Mix("dtf-bought@back+embroidery@chest"));
        Assert.Equal(["back", "chest"], compared.Ways?.Select(w => w.PlacementId));
        Assert.DoesNotContain("embroidery", compared.Ways![0].Ways);
        Assert.Contains("embroidery", compared.Ways[1].Ways);
        var mix = compared.Bands.Single(b => b.MethodId == "dtf-bought@back+embroidery@chest");
        Assert.StartsWith("costs ", mix.Mixing[0], StringComparison.Ordinal);
        Assert.Contains(mix.Mixing, m => m.Contains("2 places of work", StringComparison.Ordinal));
        Assert.Equal("embroidery", mix.WayOf(mix.Decorations[0]));
        Assert.All(compared.Bands.Where(b => b != mix), b => Assert.Empty(b.Mixing));
        Assert.Empty(Mixes.Ways(MethodTests.Ask(24, Chest), new(Book), Book));
    }

    // a plain chest and back that a screen prints, and a photograph on the sleeve that it does not: mixes take turns
    // with film alone
    [Fact]
    public void The_ribbon_holds_the_mixes_that_are_worth_it()
    {
        var ask = MethodTests.Ask(
            60,
            Back with
            {
                Gradient = false,
                Colours = 1,
                CoveragePercent = 30,
            },
            Chest with
            {
                Gradient = true,
            }
        );
        var ribbon = QuantityRibbon.Reckon(ask, null, Book, most: 300);
        Assert.Contains(ribbon.Assumes, a => a.Contains("1, 12, 48, 60, 150 pieces", StringComparison.Ordinal));
        foreach (var at in Enumerable.Range(1, 12).SelectMany(i => new[] { i * 2, 24 + (i * 23) }).Select(ask.At))
        {
            RibbonTests.Agrees(ribbon, at, RibbonTests.Full(at, Book), Book);
        }
        Assert.Contains(ribbon.Cheapest, s => Mixed.Find(s.MethodId) is not null);
        Assert.Contains(ribbon.Cheapest, s => !s.MethodId.IsNone && Mixed.Find(s.MethodId) is null);
        // where a mix is hardly cheaper than a single way of as good a verdict it is not held up
        foreach (var s in ribbon.Cheapest.Where(s => Mixed.Find(s.MethodId) is not null))
        {
            var mix = ribbon.Lines.Single(l => l.MethodId == s.MethodId);
            Assert.All(ribbon.Lines.Where(l => Mixed.Find(l.MethodId) is null && l.Costs[s.From - 1] is not null), l =>
                Assert.True(
                    l.Costs[s.From - 1] > mix.Costs[s.From - 1] * 1.03m
                        || DecorationMethods.Find(l.MethodId)!.Answer(ask.At(s.From), Book).Verdict.Kind
                            > Mix(s.MethodId).Answer(ask.At(s.From), Book).Verdict.Kind
                )
            );
        }
    }

    // a line too thin for every way; both sides of a sock without a jig; a front beside an all-over on a dark tee
    [Theory]
    [InlineData("thin")]
    [InlineData("socks")]
    [InlineData("all-over")]
    public void What_no_way_can_do_is_compared_all_the_same(string which)
    {
        var ask = which switch
        {
            "thin" => MethodTests.Ask(24, Back, Chest with { ThinnestLinePt = 0.1 }),
            "socks" => MethodTests.Ask(
                24,
                Chest with
                {
                    Id = "a",
                    Place = "sock-side",
                },
                Chest with
                {
                    Id = "b",
                    Place = "sock-side-b",
                }
            )
                is var s
                ? s with
                {
                    Style = s.Style with { Kind = GarmentKind.Socks },
                }
                : s,
            _ => MethodTests.Ask(
                24,
                Chest with
                {
                    Id = "front",
                    Place = "front",
                },
                Back with
                {
                    Id = "all",
                    Place = Places.AllOver,
                    WidthIn = 29,
                    HeightIn = 29,
                }
            ),
        };
        var compared = Comparer.Compare(
            ask,
            null,
            null,
            null,
            Book,
            new FloorPlan(
                new(2026, 6, 1, 8, 30, 0),
                new OpenHours(Book.Numbers.Week.Days),
                [.. Book.Presses, .. Book.Benches()],
                []
            )
        );
        Assert.All(compared.Folds, f => Assert.All(f.Reasons, r => Assert.NotEmpty(r.Sentence)));
        Assert.Contains(compared.Ways!, w => w.Cheapest == "" && w.Ways.Count == 0);
        Assert.All(QuantityRibbon.Reckon(ask, null, Book, most: 30).Cheapest, s => Assert.Equal("", s.MethodId));
    }

    // what the layout holds is the film's own prints alone
    [Fact]
    public void Only_its_own_prints_are_laid_on_film()
    {
        var on = LaidOn.Find("embroidery@chest+dtf-bought@back", Both(24), Book);
        Assert.Equal("back", Assert.Single(on.Part.Placements).Id);
        Assert.Equal(2, LaidOn.Find("dtf-bought", Both(24), Book).Part.Placements.Count);
    }
}
