using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;

namespace Hepno.Core.Tests;

/// <summary>Where the shop prints: its own figures, its own places, what is beyond customary and what no garment
/// holds.</summary>
public sealed class PlaceTests
{
    private static readonly string[] Sizes =
    [
        "NB",
        "3M",
        "12M",
        "24M",
        "2T",
        "5T",
        "YXS",
        "YM",
        "YXL",
        "XS",
        "S",
        "M",
        "L",
        "XL",
        "2XL",
        "5XL",
        "One size",
    ];

    private static readonly Place RightChest = Places.Find("left-chest")! with
    {
        Id = "right-chest",
        Name = "Right chest",
        AsideIn = -4,
        Like = "left-chest",
    };

    private static Placement At(string place, double w, double h, PlaceBook? book = null) =>
        new(new PlacementId(place), place, w, h, 50, 2, false, 5) { ShopPlace = book?.Carried(place) };

    private static Ask Asked(Placement p) => new(null, [new("1", "brae", "black", [new("M", 3)], [p])], null, null);

    private static IReadOnlyList<Problem> Blocks(Placement p, GarmentKind kind, params string[] sizes) =>
        [.. PlacementRules.Blocks(p, "p", [.. sizes.Select(s => new SizeCount(s, 1))], kind, PlaceBook.Usual)];

    [Fact]
    public void What_is_customary_is_held_by_every_garment_in_every_size()
    {
        foreach (var kind in Enum.GetValues<GarmentKind>())
        {
            foreach (
                var (place, size) in Places
                    .On(kind)
                    .Select(id => Places.Find(id)!)
                    .SelectMany(p => Sizes.Select(s => (p, s)))
                    .Where(x => x.p.Id != Places.AllOver)
            )
            {
                Assert.Empty(Blocks(At(place.Id, place.WidthOn(size), place.HeightOn(size)), kind, size));
                Assert.Null(
                    PlacementRules.BeyondCustomary(
                        At(place.Id, place.WidthOn(size), place.HeightOn(size)),
                        [new(size, 1)],
                        FigureFormat.Default
                    )
                );
            }
        }
    }

    [Theory]
    [InlineData("front", GarmentKind.Tee, "M", 17, 20.9)]
    [InlineData("front", GarmentKind.Tee, "YM", 12.92, 16.164)]
    [InlineData("front", GarmentKind.Hoodie, "M", 17, 20)]
    [InlineData("left-chest", GarmentKind.Tee, "M", 11, 20.4)]
    [InlineData("left-sleeve", GarmentKind.Tee, "M", 6.5, 6.5)]
    [InlineData("cap-front", GarmentKind.Cap, "One size", 7, 3)]
    [InlineData("bag-face", GarmentKind.Tote, "One size", 14, 12.5)]
    public void Only_what_the_cloth_cannot_hold_blocks(
        string place,
        GarmentKind kind,
        string size,
        double wide,
        double tall
    )
    {
        Assert.Empty(Blocks(At(place, wide - 0.01, tall - 0.01), kind, size));
        Assert.Equal("too-wide", Assert.Single(Blocks(At(place, wide + 0.01, tall - 0.01), kind, size)).Code);
        Assert.Equal("too-tall", Assert.Single(Blocks(At(place, wide - 0.01, tall + 0.01), kind, size)).Code);
    }

    [Fact]
    public void The_smallest_size_of_the_run_decides_and_is_named() =>
        Assert.Contains(
            "wider than the 12.92 in of cloth that YM has there",
            Assert.Single(Blocks(At("front", 14, 8), GarmentKind.Tee, "XL", "YM", "L")).Sentence,
            StringComparison.Ordinal
        );

    [Fact]
    public void Beyond_customary_is_done_with_care_by_every_way_that_does_it_at_all()
    {
        var (usual, large) = (MethodTests.Ask(24, At("front", 10, 4)), MethodTests.Ask(24, At("front", 11, 4)));
        var able = 0;
        foreach (var method in DecorationMethods.All)
        {
            var (plain, careful) = (method.Answer(usual, MethodTests.Book), method.Answer(large, MethodTests.Book));
            Assert.DoesNotContain(plain.Verdict.Reasons, r => r.Code == "beyond-customary");
            if (careful.Decorations.Count > 0)
            {
                able++;
                Assert.Equal(VerdictKind.WithCare, careful.Verdict.Kind);
                Assert.Equal(
                    "Front 11 in wide; customary on M is 10.5 in at most",
                    Assert.Single(careful.Verdict.Reasons, r => r.Code == "beyond-customary").Sentence
                );
            }
        }
        Assert.True(able > 1);
    }

    [Fact]
    public void The_shops_own_figures_of_a_usual_place_are_the_ones_that_count()
    {
        var book = new PlaceBook([
            Places.Find("front")! with
            {
                Widths = new(13, 14, 15, 9, 6, 4),
                FromSeamIn = 2.25,
                Name = "Chest front",
            },
        ]);
        var p = At("front", 12, 4, book);
        Assert.Null(PlacementRules.BeyondCustomary(p, [new("M", 1)], FigureFormat.Default));
        Assert.Equal(2.25, LyingPrint.Lay(p, "M", GarmentKind.Tee)!.FromSeamIn);
        Assert.Equal(9, SizedPrints.On(p with { BySize = true }, "YM").WidthIn);
        Assert.Equal(
            "Chest front",
            Assert.Single(PlacementRules.Sharing([p, p with { Id = "q" }], "p")).Sentence.Split(" stands")[0]
        );
        // what is as usual is carried by no placement, so that nothing changes where nothing was changed
        Assert.Null(book.Settled(Asked(At("back", 9, 9))).Lines[0].Placements[0].ShopPlace);
        Assert.Equal("Chest front", book.Settled(Asked(At("front", 9, 9))).Lines[0].Placements[0].At().Name);
    }

    [Fact]
    public void A_place_of_its_own_has_the_seam_and_the_garments_of_the_one_it_lies_like()
    {
        var book = new PlaceBook([RightChest]);
        var (right, left) = (
            LyingPrint.Lay(At("right-chest", 3, 3, book), "M", GarmentKind.Tee)!,
            LyingPrint.Lay(At("left-chest", 3, 3), "M", GarmentKind.Tee)!
        );
        Assert.Equal((left.SeamX, left.SeamY, left.FromSeamIn), (right.SeamX, right.SeamY, right.FromSeamIn));
        Assert.Equal(-8, right.Print.X - left.Print.X, 1e-9);
        Assert.Contains(RightChest, book.Offered(GarmentKind.Polo));
        Assert.DoesNotContain(RightChest, book.Offered(GarmentKind.Tote));
        Assert.Equal(
            "no-such-place",
            Assert
                .Single(
                    PlacementRules.Blocks(At("right-chest", 3, 3, book), "p", [new("M", 1)], GarmentKind.Tote, book)
                )
                .Code
        );
        Assert.Empty(PlacementRules.Refusals(At("right-chest", 3, 3), "p", book));
        Assert.Equal(
            "unknown-place",
            Assert.Single(PlacementRules.Refusals(At("right-chest", 3, 3), "p", PlaceBook.Usual)).Code
        );
        // a pocket's seams lie where the chest is, whatever the shop calls it
        var pocket = MethodTests.Ask(24, At("right-chest", 3, 3, book));
        pocket = pocket with { Style = pocket.Style with { Cloth = Cloth.Plain with { Features = [Feature.Pocket] } } };
        Assert.Contains(DecorationMethods.Find("dtf-bought")!.Answer(pocket, MethodTests.Book).Verdict.Reasons, r =>
            r.Code == "pocket"
        );
    }

    [Fact]
    public void A_retired_place_is_not_offered_and_what_is_asked_there_stays()
    {
        var book = new PlaceBook([Places.Find("nape")! with { Retired = true }]);
        Assert.DoesNotContain(book.Offered(GarmentKind.Tee), p => p.Id == "nape");
        Assert.Empty(PlacementRules.Refusals(At("nape", 2, 1, book), "p", book));
        Assert.Empty(PlacementRules.Blocks(At("nape", 2, 1, book), "p", [new("M", 1)], GarmentKind.Tee, book));
    }

    [Fact]
    public void A_place_nobody_could_print_at_is_refused_by_field()
    {
        string Fields(Place p) => string.Join(' ', p.Problems().Select(x => x.Where));
        Assert.All(Places.All, p => Assert.Empty(p.Problems()));
        Assert.Equal("", Fields(RightChest));
        Assert.Equal("name", Fields(RightChest with { Name = " " }));
        Assert.Equal("like", Fields(RightChest with { Like = null }));
        Assert.Equal("like", Fields(RightChest with { Like = "hood" }));
        Assert.Equal("like", Fields(RightChest with { Like = Places.AllOver }));
        Assert.Equal("like", Fields(Places.Find("front")! with { Like = "back" }));
        Assert.Equal("widths.youth", Fields(RightChest with { Widths = RightChest.Widths with { Youth = 0 } }));
        Assert.Equal(
            "widths.extended",
            Fields(RightChest with { Widths = RightChest.Widths with { Extended = double.NaN } })
        );
        Assert.Equal("heightIn", Fields(RightChest with { HeightLimitIn = 41 }));
        Assert.Equal("fromSeamIn", Fields(RightChest with { FromSeamIn = -1 }));
        Assert.Equal("fromSeamYouthIn", Fields(RightChest with { FromSeamYouthIn = 41 }));
        Assert.Equal("asideIn", Fields(RightChest with { AsideIn = -41 }));
    }

    [Fact]
    public void A_place_moved_off_the_garment_and_one_too_large_for_a_size_are_refused()
    {
        var book = new PlaceBook([
            RightChest with
            {
                AsideIn = -30,
            },
            Places.Find("front")! with
            {
                Widths = new(30, 30, 30, 30, 30, 30),
            },
        ]);
        Problem Only(Placement p) =>
            Assert.Single(PlacementRules.Blocks(p, "p", [new("YM", 1), new("M", 1)], GarmentKind.Tee, book));
        Assert.Equal("Move the place: it lies off this garment.", Only(At("right-chest", 3, 3, book)).Remedy);
        // smaller on smaller sizes follows what the shop calls customary, and the cloth still ends
        Assert.Contains(
            "of cloth that YM has there",
            Only(At("front", 20, 5, book) with { BySize = true }).Sentence,
            StringComparison.Ordinal
        );
    }
}
