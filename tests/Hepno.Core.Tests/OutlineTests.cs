using Hepno.Core.Blanks;
using Hepno.Core.Orders;

namespace Hepno.Core.Tests;

/// <summary>Garments drawn at true scale, and where prints lie on them.</summary>
public class OutlineTests
{
    private static readonly string[] Sizes =
    [
        "NB",
        "3-6M",
        "12M",
        "18M",
        "24M",
        "2T",
        "5T",
        "YXS",
        "YS",
        "YM",
        "YL",
        "YXL",
        "XS",
        "S",
        "M",
        "L",
        "XL",
        "2XL",
        "3XL",
        "6XL",
    ];

    private static Placement Print(string place, double w = 3, double h = 2) => new("p", place, w, h, 50, 1, false, 5);

    [Theory]
    [InlineData("front", GarmentKind.Tee, "M", false, -1.5, 5.6, 3)]
    [InlineData("front", GarmentKind.Tee, "YM", false, -1.5, 3.976, 2)]
    [InlineData("left-chest", GarmentKind.Tee, "M", false, 2.5, 6.1, 3.5)]
    [InlineData("left-chest", GarmentKind.Tee, "L", false, 2.78, 6.282, 3.5)]
    [InlineData("back", GarmentKind.Tee, "M", true, -1.5, 5.3, 4)]
    [InlineData("back", GarmentKind.Hoodie, "M", true, -1.5, 9.3, 4)]
    [InlineData("nape", GarmentKind.Tee, "M", true, -1.5, 2.8, 1.5)]
    [InlineData("left-sleeve", GarmentKind.Tee, "M", false, 11.7, 8.2, 1)]
    [InlineData("right-sleeve", GarmentKind.Tee, "M", false, -14.7, 8.2, 1)]
    [InlineData("cap-front", GarmentKind.Cap, "One size", false, -1.5, 2.1, 0.5)]
    [InlineData("bag-face", GarmentKind.Tote, "One size", false, -1.5, 3, 3)]
    [InlineData("left-leg", GarmentKind.Joggers, "M", false, 4.1, 11.4, 3)]
    public void A_print_hangs_from_its_seam(
        string place,
        GarmentKind kind,
        string size,
        bool back,
        double x,
        double y,
        double from
    )
    {
        var lies = LyingPrint.Lay(Print(place), size, kind)!;
        Assert.Equal(back, lies.OnBack);
        Assert.Equal((x, y, from), (Math.Round(lies.Print.X, 3), Math.Round(lies.Print.Y, 3), lies.FromSeamIn));
    }

    [Fact]
    public void Every_place_of_every_garment_has_its_seam_on_one_side_and_what_it_takes_lies_on_the_cloth()
    {
        foreach (var kind in Enum.GetValues<GarmentKind>())
        {
            var outline = Outline.For(kind);
            foreach (var id in Places.On(kind))
            {
                Assert.True(
                    outline.Front.Anchors.ContainsKey(id) ^ outline.Back.Anchors.ContainsKey(id),
                    $"{kind} {id}"
                );
                foreach (
                    var size in kind
                        is GarmentKind.Cap
                            or GarmentKind.Tote
                            or GarmentKind.DrawstringBag
                            or GarmentKind.Apron
                        ? ["One size"]
                    : kind == GarmentKind.Bodysuit ? Sizes[..5]
                    : Sizes[5..]
                )
                {
                    var lies = LyingPrint.Lay(Print(id), size, kind)!;
                    var scale = GarmentScale.For(kind, size);
                    var (left, right) = (outline.Box[0] * scale, (outline.Box[0] + outline.Box[2]) * scale);
                    Assert.True(
                        lies.Zone.X >= left - 1e-9 && lies.Zone.X + lies.Zone.Width <= right + 1e-9,
                        $"{kind} {id} {size}: {lies.Zone} in {left:0.0} to {right:0.0}"
                    );
                    Assert.True(lies.Zone.Y >= outline.Box[1] * scale, $"{kind} {id} {size}: {lies.Zone}");
                }
            }
            Assert.Null(
                LyingPrint.Lay(Print(Places.On(kind).Contains("cap-front") ? "front" : "cap-front"), "M", kind)
            );
        }
    }

    [Fact]
    public void A_larger_size_is_never_drawn_smaller()
    {
        var scales = Sizes.Select(s => GarmentScale.For(GarmentKind.Tee, s)).ToList();
        // youth and adult sizes overlap: each group grows by itself
        foreach (
            var group in Sizes
                .Zip(scales)
                .GroupBy(z =>
                    SizeGroups.Of(z.First) is SizeGroup.Small or SizeGroup.Large or SizeGroup.Extended
                        ? SizeGroup.Small
                        : SizeGroups.Of(z.First)
                )
        )
        {
            Assert.Equal(group.Select(g => g.Second).Order(), group.Select(g => g.Second));
            Assert.Equal(group.Count(), group.Select(g => g.Second).Distinct().Count());
        }
        Assert.Equal(1, GarmentScale.For(GarmentKind.Bodysuit, "12M"));
    }

    [Theory]
    [InlineData(3, 4)]
    [InlineData(3.5, 4.5)]
    [InlineData(0.5, 0.5)]
    [InlineData(1, 1.5)]
    public void A_finger_is_three_quarters_of_an_inch(double inches, double fingers) =>
        Assert.Equal(fingers, Places.Fingers(inches));

    [Fact]
    public void A_line_without_sizes_is_drawn_on_the_outlines_own()
    {
        var drawn = Assert.Single(SizeDrawn.Draw(new AskLine("1", "tee", null, [], [Print("front")]), GarmentKind.Tee));
        Assert.Equal(("M", 0, 1.0), (drawn.Size, drawn.Pieces, drawn.Scale));
        Assert.Single(drawn.Prints);
    }
}
