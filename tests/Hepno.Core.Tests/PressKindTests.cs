using Hepno.Core.Blanks;
using Hepno.Core.Methods;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Presses of every kind, and what lies under and over the print.</summary>
public class PressKindTests
{
    private static readonly LocalDate Day = new(2026, 3, 2);
    private static readonly Press Gannet = MethodTests.Gannet with
    {
        Accessories =
        [
            new("small pillow", AccessoryKind.Pillow, 6, 6, 0.5, 0, Day),
            new("large foam", AccessoryKind.Foam, 12, 14, 0.4, 0, Day),
            new("sheet", AccessoryKind.CoverSheet, 16, 20, 0, 200, Day),
        ],
        Dials = [new("medium", Thickness.Middle, "", 4), new("medium", Thickness.Middle, "", 2.6, "small pillow")],
    };

    private static readonly Press Iron = MethodTests.Gannet with
    {
        Id = "iron",
        Name = "Iron",
        Kind = "handheld",
        PlatenWidthIn = 9,
        PlatenHeightIn = 9,
    };

    private static Style Zipped(params Feature[] features) =>
        MethodTests.Tee(100) with
        {
            Cloth = new(null, Migration.ByCloth, features),
        };

    [Theory]
    [InlineData("left-chest", 3, 3, "small pillow")]
    [InlineData("left-chest", 7, 3, "large foam")]
    [InlineData("left-chest", 15, 3, null)]
    [InlineData("left-chest", 3, 13, "large foam")]
    [InlineData("back", 3, 3, null)]
    public void The_smallest_pillow_that_carries_the_whole_print_goes_under_it_where_seams_lie(
        string place,
        double width,
        double height,
        string? pillow
    )
    {
        Assert.Equal(pillow, PillowChoice.For(Gannet, Zipped(Feature.Zip), place, width, height)?.Name);
        Assert.Null(PillowChoice.For(Gannet, Zipped(), place, width, height));
    }

    [Fact]
    public void The_dial_is_remembered_with_its_pillow_and_without()
    {
        Assert.Equal(4, Gannet.DialFor("medium", Thickness.Middle, null));
        Assert.Equal(2.6, Gannet.DialFor("medium", Thickness.Middle, null, Gannet.Accessories![0]));
        Assert.Null(Gannet.DialFor("medium", Thickness.Middle, null, Gannet.Accessories[1]));
        var pulled = new PaperPull(
            3.1,
            Thickness.Middle,
            "",
            [PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff, PullFeel.Stiff],
            "large foam"
        ).Noted(Gannet);
        Assert.Equal(3.1, pulled.DialFor("medium", Thickness.Middle, null, Gannet.Accessories[1]));
        Assert.Equal(4, pulled.DialFor("medium", Thickness.Middle, null));
    }

    [Fact]
    public void A_cover_sheet_counts_its_presses_down()
    {
        var sheet = Gannet.Accessories![2];
        Assert.Equal(
            [200, 38, 0, null],
            [sheet.Left(0), sheet.Left(162), sheet.Left(500), Gannet.Accessories[0].Left(9)]
        );
    }

    [Theory]
    [InlineData("oven", GarmentKind.Tee, false)]
    [InlineData("conveyor", GarmentKind.Cap, false)]
    [InlineData("handheld", GarmentKind.Tee, true)]
    [InlineData("handheld", GarmentKind.Cap, true)]
    [InlineData("cap", GarmentKind.Tee, false)]
    [InlineData("drawer", GarmentKind.Tee, true)]
    public void A_kind_of_press_takes_what_goes_onto_it(string kind, GarmentKind garment, bool takes) =>
        Assert.Equal(takes, (Iron with { Kind = kind }).Takes(garment));

    [Fact]
    public void The_press_of_a_line_covers_its_prints_and_an_iron_comes_last()
    {
        Press small = MethodTests.Gannet with { Id = "dab", PlatenWidthIn = 6, PlatenHeightIn = 8 };
        PressId Of(params Press[] presses) =>
            LineFloor.PressOf(MethodTests.Ask(10), MethodTests.Book.With<Press>(presses)).Id;
        // the print is 9 × 4
        Assert.Equal("g", Of(small, MethodTests.Gannet));
        Assert.Equal("g", Of(Iron, MethodTests.Gannet));
        Assert.Equal("iron", Of(Iron));
        Assert.Equal("dab", Of(Iron, small));
    }

    [Fact]
    public void An_iron_binds_the_hands_as_long_as_it_presses()
    {
        var ask = MethodTests.Ask(10);
        var book = MethodTests.Book.With<Press>([Iron]);
        var plan = new DtfBought().Answer(ask, book).Decorations;
        var (iron, press) = (LineFloor.JobOf(ask, plan, book), LineFloor.JobOf(ask, plan, MethodTests.Book));
        Assert.Equal(FloorPolicy.OneAtATime, iron.Policy);
        // 15 s, 5 s before and 8 s again are hands now
        Assert.Equal(15 + 5 + 8, iron.HandsSeconds - press.HandsSeconds, 1e-9);
        Assert.Equal(iron.PressSeconds, press.PressSeconds, 1e-9);
        // piece by piece, each cooled before the next; the first one judged
        Assert.Equal(
            (10 * iron.ChainSeconds) + FloorJob.JudgeSeconds,
            PressFloorSimulation.Run(iron).MakespanSeconds,
            1e-6
        );
    }

    [Theory]
    [InlineData("name", "accessories[0].name")]
    [InlineData("size", "accessories[0].widthIn")]
    [InlineData("uses", "accessories[0].uses")]
    [InlineData("twice", "accessories[1].name")]
    [InlineData("dial", "dials[0].pillow")]
    [InlineData("kind", "kind")]
    public void What_cannot_be_kept_is_refused(string what, string where)
    {
        var pillow = Gannet.Accessories![0];
        var press = what switch
        {
            "name" => MethodTests.Gannet with { Accessories = [pillow with { Name = " " }] },
            "size" => MethodTests.Gannet with { Accessories = [pillow with { WidthIn = 0 }] },
            "uses" => MethodTests.Gannet with { Accessories = [pillow with { Uses = -1 }] },
            "twice" => MethodTests.Gannet with { Accessories = [pillow, pillow] },
            "dial" => MethodTests.Gannet with { Dials = [new("medium", Thickness.Thin, "", 4, "nothing known")] },
            _ => MethodTests.Gannet with { Kind = "mangle" },
        };
        Assert.Equal(where, Assert.Single(press.Problems()).Where);
        Assert.Empty(Gannet.Problems());
    }
}
