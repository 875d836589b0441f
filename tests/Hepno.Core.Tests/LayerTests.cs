using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Prints on prints: which hold, in which order they come, when the one beneath is knocked out.</summary>
public class LayerTests
{
    private static readonly StitchMachine Bittern = Stitchers.Bittern;
    private static readonly OutsidePrinter Quayside = new(
        "quayside",
        "Quayside",
        28m,
        [new(3, [new(24, 3.40m)])],
        1,
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

    private static Placement Front(string id, double w, double h, double coverage, PlacementId? on = null) =>
        MethodTests.Front(w, h) with
        {
            Id = new PlacementId(id),
            CoveragePercent = coverage,
            OnTopOf = on,
        };

    private static AskInHand Ask(Placement under, Placement upper) => MethodTests.Ask(30, under, upper);

    private static Mixed Mix(string key) => Mixed.Find(new MethodId(key))!;

    // vinyl beneath has an edge: it shows unless it is painted whole and the film stays within it; a soft screen print
    // has none
    public static TheoryData<string, double, double, double, bool> Edges =>
        new()
        {
            { "htv@u+dtf-bought@t", 6, 3, 100, false },
            { "htv@u+dtf-bought@t", 9, 4, 100, false },
            { "htv@u+dtf-bought@t", 6, 3, 60, true },
            { "htv@u+dtf-bought@t", 9.5, 4, 100, true },
            { "htv@u+dtf-bought@t", 6, 4.5, 100, true },
            { "screen-out@u+dtf-bought@t", 10, 5, 60, false },
        };

    [Theory]
    [MemberData(nameof(Edges))]
    public void The_layer_beneath_is_knocked_out_where_its_edge_would_show(
        string key,
        double w,
        double h,
        double coverage,
        bool shows
    )
    {
        var answer = Mix(key).Answer(Ask(Front("u", 9, 4, coverage), Front("t", w, h, 50, "u")), Book);
        Assert.Equal(2, answer.Decorations.Count);
        Assert.Equal(
            shows,
            answer.Verdict.Reasons.Any(r =>
                r.Code == "knock-out"
                && r.Kind == VerdictKind.WithCare
                && r.WouldWork.StartsWith("knock the shape on top out", StringComparison.Ordinal)
            )
        );
    }

    // one way for both: the same rule
    [Fact]
    public void Two_films_on_one_another_are_one_way()
    {
        var answer = new DtfBought().Answer(Ask(Front("u", 9, 4, 60), Front("t", 6, 3, 50, "u")), Book);
        Assert.Contains(answer.Verdict.Reasons, r => r.Code == "knock-out");
        Assert.DoesNotContain(
            new DtfBought()
                .Answer(Ask(Front("u", 9, 4, 60), Front("t", 6, 3, 50) with { Place = "back" }), Book)
                .Verdict.Reasons,
            r => r.Code == "knock-out"
        );
    }

    public static TheoryData<string, string> Refused =>
        new()
        {
            { "dtf-bought@u+dtg@t", "layer-holds" },
            { "dtf-bought@u+embroidery@t", "layer-turn" },
            { "htv@u+screen-out@t", "layer-turn" },
            { "embroidery@u+dtf-bought@t", "layer-thread" },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public void What_does_not_lie_on_the_other_says_why(string key, string code)
    {
        var book = Book.With<GarmentPrinter>([
                new("direct", "Direct", 40, 14, 16, 0.012, 0.18m, 0.03, 0.16m, 0.10, 0.02m, Bittern.Equipment, ""),
            ])
            .With<Recipe>([.. Book.Of<Recipe>(), MethodTests.FilmOnCotton with { Id = "d", ProductId = "direct" }]);
        var answer = Mix(key).Answer(Ask(Front("u", 9, 4, 60), Front("t", 6, 3, 50, "u")), book);
        Assert.Empty(answer.Decorations);
        var reason = answer.Verdict.Reasons.First(r => r.Kind == VerdictKind.No);
        Assert.Equal(code, reason.Code);
        Assert.NotEmpty(reason.WouldWork);
    }

    [Fact]
    public void Stitches_go_through_a_print_that_came_before()
    {
        var plans = Mix("screen-out@u+embroidery@t")
            .Answer(Ask(Front("u", 9, 4, 60), Front("t", 6, 3, 50, "u")), Book)
            .Decorations;
        Assert.Equal(["screen-out", "embroidery"], plans.Select(d => d.MethodId));
        // nothing is laid on a platen again for it
        Assert.Equal("hoop", plans[1].Steps[0].Code);
    }

    // 16 degrees above what the vinyl was made for is worth a word, 15 are not
    [Theory]
    [InlineData(15, false)]
    [InlineData(16, true)]
    public void A_hotter_layer_on_top_presses_the_one_beneath_again(double hotter, bool said)
    {
        var vinyl = Book.Of<Recipe>().First(r => r.ProductId == Book.Of<VinylFilm>()[0].Id);
        var film = Book.Of<Recipe>().First(r => r.ProductId == Book.Of<TransferPriceList>()[0].Id) with
        {
            TemperatureF = vinyl.TemperatureF + hotter,
        };
        var book = Book.With<VinylFilm>([Book.Of<VinylFilm>()[0]]).With<Recipe>([vinyl, film]);
        var ask = Ask(Front("u", 9, 4, 100), Front("t", 6, 3, 50, "u"));
        ask = ask with { Style = ask.Style with { HeatCeilingF = 450 } };
        Assert.Equal(
            said,
            Mix("htv@u+dtf-bought@t").Answer(ask, book).Verdict.Reasons.Any(r => r.Code == "pressed-again")
        );
    }

    // it is laid on again and held to the print beneath: 7 for threading 10, and 8 more to place it
    [Fact]
    public void What_lies_on_another_is_positioned_on_it()
    {
        var ask = Ask(Front("u", 9, 4, 100), Front("t", 6, 3, 50));
        var beside = new DtfBought()
            .Answer(ask with { Placements = [ask.Placements[0], ask.Placements[1] with { Place = "back" }] }, Book)
            .Decorations[1]
            .Steps;
        var on = new DtfBought()
            .Answer(ask with { Placements = [ask.Placements[0], ask.Placements[1] with { OnTopOf = "u" }] }, Book)
            .Decorations[1]
            .Steps;
        Assert.Equal(("thread", 10.0, "reload", 7.0), (beside[0].Code, beside[0].Seconds, on[0].Code, on[0].Seconds));
        Assert.Equal(
            beside.Single(s => s.Code == "position").Seconds + 8,
            on.Single(s => s.Code == "position").Seconds
        );
        Assert.Equal(beside.Count, on.Count);
    }

    // the sleeve is the riskier and comes first by itself; what lies on the front still follows it
    [Fact]
    public void The_cheapest_order_is_one_that_layers_allow()
    {
        static Attempt Of(string id, decimal cost, double failure, string? over = null) =>
            new(id, id, Figure.Input("m", "M", cost, FigureUnit.Money, ""), failure, 0, 0) { Over = over };
        static IEnumerable<string> Order(params Attempt[] all) =>
            Spoilage.CheapestOrder([.. all.Select(a => (a, a.Material.Value))]).Select(a => a.Id);
        Assert.Equal(
            ["top", "sleeve", "front"],
            Order(Of("front", 4, 0.01), Of("top", 1, 0.10), Of("sleeve", 1, 0.05))
        );
        Assert.Equal(
            ["sleeve", "front", "top"],
            Order(Of("front", 4, 0.01), Of("top", 1, 0.10, "front"), Of("sleeve", 1, 0.05))
        );
        // a dear front is worth pressing early once what lies on it is the risk
        Assert.Equal(
            ["front", "top", "sleeve"],
            Order(Of("front", 1, 0.01), Of("top", 1, 0.30, "front"), Of("sleeve", 1, 0.05))
        );
    }

    [Fact]
    public void Each_place_takes_one_print_on_the_cloth_and_layers_on_it()
    {
        var under = Front("u", 9, 4, 60);
        string Code(params Placement[] all) =>
            string.Join(' ', PlacementRules.Sharing(all, "placements").Select(p => $"{p.Code}@{p.Where}"));
        Assert.Equal("", Code(under, Front("t", 6, 3, 50, "u"), Front("t2", 2, 1, 50, "t")));
        Assert.Equal("twice@placements", Code(under, Front("t", 6, 3, 50)));
        Assert.Equal("layer@placements[0].onTopOf", Code(Front("t", 6, 3, 50, "u"), under));
        Assert.Equal("layer@placements[1].onTopOf", Code(under, Front("t", 6, 3, 50, "u") with { Place = "back" }));
        Assert.Equal("layer@placements[0].onTopOf", Code(Front("t", 6, 3, 50, "t")));
        Assert.Equal(
            "layer@placements[1].onTopOf",
            Code(under with { Place = "neck-label" }, Front("t", 1, 1, 50, "u") with { Place = "neck-label" })
        );
    }

    // a front of 9 × 4 hangs 3 below the seam of M; what lies on it, 6 × 3, half an inch lower
    [Fact]
    public void It_lies_in_the_middle_of_the_print_beneath()
    {
        var drawn = SizeDrawn
            .Draw(
                new AskLine("1", "tee", null, [new("M", 3)], [Front("u", 9, 4, 60), Front("t", 6, 3, 50, "u")]),
                GarmentKind.Tee
            )[0]
            .Prints;
        Assert.Equal(3, drawn[0].FromSeamIn);
        Assert.Equal(3.5, drawn[1].FromSeamIn, 9);
        Assert.Equal((drawn[0].Print.X + 1.5, drawn[0].Print.Y + 0.5), (drawn[1].Print.X, drawn[1].Print.Y));
    }

    // a comparison finds the mix by itself, and its cost holds the order of layers
    [Fact]
    public void A_comparison_holds_layers_in_every_way()
    {
        var ask = Ask(Front("u", 9, 4, 100), Front("t", 6, 3, 50, "u"));
        var found = Comparer.Compare(
            ask,
            null,
            null,
            null,
            Book,
            new FloorPlan(
                new LocalDateTime(2026, 6, 1, 10, 0, 0),
                new OpenHours(Book.Numbers.Week.Days),
                [.. Book.Presses, .. Book.Benches()],
                []
            )
        );
        Assert.All(found.Bands, b => Assert.Equal(["u", "t"], b.Decorations.Select(d => d.Placement.Id)));
        Assert.All(found.Bands, b => Assert.True(b.Cost.Value > 0));
    }
}
