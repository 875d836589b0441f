using System.Globalization;
using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Runs;

namespace Hepno.Core.Tests;

/// <summary>Prints that follow the size of the piece, and pieces with a name or number of their own.</summary>
public class OwnPieceTests
{
    private static readonly Placement Own = new("own", "back", 11, 9, 40, 1, false, 14) { Own = OwnText.NameAndNumber };

    private static readonly string[] Sizes = ["18M", "3T", "YS", "YL", "S", "M", "L", "XL", "2XL", "4XL", "One size"];

    private static AskLine Line(IReadOnlyList<OwnPiece>? names, params Placement[] placements) =>
        new("1", "tee", "black", [new("M", 2), new("2XL", 1)], placements) { Names = names ?? [] };

    [Theory]
    [InlineData("NB", SizeGroup.Infant)]
    [InlineData("0-3M", SizeGroup.Infant)]
    [InlineData("18M", SizeGroup.Infant)]
    [InlineData("4T", SizeGroup.Toddler)]
    [InlineData("YXS", SizeGroup.Youth)]
    [InlineData("Youth L", SizeGroup.Youth)]
    [InlineData("XS", SizeGroup.Small)]
    [InlineData("M", SizeGroup.Small)]
    [InlineData("xl", SizeGroup.Large)]
    [InlineData("2XL", SizeGroup.Extended)]
    [InlineData("One size", SizeGroup.One)]
    [InlineData("42", SizeGroup.Small)]
    public void A_size_says_its_group(string size, SizeGroup group) => Assert.Equal(group, SizeGroups.Of(size));

    [Fact]
    public void A_print_is_as_large_as_each_size_takes()
    {
        foreach (var row in Cases.Rows("print-sizes.csv"))
        {
            double Number(int i) => double.Parse(row[i], CultureInfo.InvariantCulture);
            var p = new Placement("p", row[0], Number(1), Number(2), 50, 2, false, Number(3)) { BySize = true };
            List<SizeCount> sizes =
            [
                .. row[4]
                    .Split(';')
                    .Select(s =>
                        s.LastIndexOf(' ') is var cut
                            ? new SizeCount(s[..cut], int.Parse(s[(cut + 1)..], CultureInfo.InvariantCulture))
                            : null!
                    ),
            ];
            var got = SizedPrints
                .Of(p, sizes)
                .Select(s =>
                    FormattableString.Invariant(
                        $"{s.Print.WidthIn:0.###}x{s.Print.HeightIn:0.###} {s.Print.ThinnestLinePt:0.###} {string.Join(' ', s.Sizes.Select(z => z.Size))}"
                    )
                );
            Assert.Equal(row[5], string.Join(';', got));
        }
    }

    [Fact]
    public void Every_piece_has_one_print_that_its_place_takes_and_the_artworks_shape_is_kept() =>
        Gen.Select(
                Gen.Int[0, Places.All.Count - 1],
                Gen.Double[1, 30],
                Gen.Double[1, 30],
                Gen.Int[0, 9].Array[Sizes.Length]
            )
            .Sample(
                (at, w, h, counts) =>
                {
                    var place = Places.All[at];
                    List<SizeCount> run = [.. Sizes.Select((s, i) => new SizeCount(s, counts[i])), new("M+", 1)];
                    var prints = SizedPrints.Of(
                        new Placement("p", place.Id, w, h, 50, 2, false, 3) { BySize = true },
                        run
                    );
                    Assert.Equal(SizeRun.Total(run), prints.Sum(p => p.Pieces));
                    Assert.All(prints, p =>
                    {
                        Assert.All(p.Sizes, s => Assert.True(p.Print.WidthIn <= place.WidthOn(s.Size) + 1e-9));
                        Assert.All(p.Sizes, s => Assert.True(p.Print.HeightIn <= place.HeightOn(s.Size) + 1e-9));
                        Assert.Equal(w / h, p.Print.WidthIn / p.Print.HeightIn, 1e-9);
                        Assert.Equal(3 / w, p.Print.ThinnestLinePt / p.Print.WidthIn, 1e-9);
                    });
                }
            );

    [Fact]
    public void Every_place_of_every_garment_is_known_and_a_print_elsewhere_is_refused_with_the_places_there_are()
    {
        foreach (var kind in Enum.GetValues<Blanks.GarmentKind>())
        {
            Assert.NotEmpty(Places.On(kind));
            Assert.All(Places.On(kind), id => Assert.NotNull(Places.Find(id)));
        }
        var zip = Assert.Single(
            PlacementRules.Blocks(
                new Placement("p", "front", 9, 9, 50, 1, false, 5),
                "p",
                [new("M", 1)],
                Blanks.GarmentKind.ZipHoodie,
                PlaceBook.Usual
            )
        );
        Assert.Equal("Front is not a place on a zip hoodie.", zip.Sentence);
        Assert.Contains("left chest", zip.Remedy, StringComparison.Ordinal);
    }

    [Fact]
    public void Material_is_the_mean_of_the_sizes_and_each_size_is_bought()
    {
        // 10 M take 10.5 in: the 11 x 11 class; YM is 8.5 in: 11 x 11 too; left chest 3.5 and 2.75: the 4 x 4 class
        var ask = MethodTests.Ask(1, MethodTests.Front(10.5, 8, line: 5.9) with { BySize = true }) with
        {
            Sizes = [new("YM", 4), new("M", 10)],
        };
        var plan = Assert.Single(new DtfBought().Answer(ask, MethodTests.Book).Decorations);
        Assert.Equal(2, plan.Purchases.Count);
        Assert.Equal([8.5, 10.5], plan.Purchases.Select(p => p.For!.Print.WidthIn));
        Assert.Equal([4, 10], plan.Purchases.Select(p => p.For!.Pieces));
        Assert.Equal(2, plan.Purchases.Select(p => p.Code).Distinct().Count());
        Assert.Equal(plan.Bought, plan.Purchases.Sum(p => p.Quantity));
        // 11 + 5 spares counted, under 25: 3.00 each, and 9.00 freight over 14
        Assert.Equal(3m + (9m / 14), plan.Material.Value, 6);

        // vinyl is cut for each size: a smaller print takes less of the roll and less weeding
        var vinyl = new Htv().Answer(ask, MethodTests.Book).Decorations[0];
        var all = new Htv().Answer(ask with { Sizes = [new("M", 14)] }, MethodTests.Book).Decorations[0];
        Assert.True(vinyl.Preparation.Sum(s => s.Seconds) < all.Preparation.Sum(s => s.Seconds));
        Assert.Equal(
            ((4 * Weeding(8.5)) + (10 * Weeding(10.5))) / 14,
            vinyl.Preparation.Where(s => s.Code == "weed").Sum(s => s.Seconds),
            6
        );

        double Weeding(double width)
        {
            var area = width * (width / 10.5 * 8) / 2;
            // two layers; thinnest lines under 6 pt are fine work
            return 2 * (20 + (0.8 * area * 3));
        }
    }

    [Fact]
    public void A_line_too_thin_on_the_smallest_size_is_found_there()
    {
        var ask = MethodTests.Ask(1, MethodTests.Front(10.5, 8, line: 1.1) with { BySize = true }) with
        {
            Sizes = [new("YM", 4), new("M", 10)],
        };
        var reason = Assert.Single(new DtfBought().Answer(ask, MethodTests.Book).Verdict.Reasons, r =>
            r.Code == "thin-line"
        );
        Assert.StartsWith("Front: a line of 0.89 pt", reason.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void Names_are_one_print_each_without_spares_with_their_own_minutes_and_never_on_a_screen()
    {
        IReadOnlyList<OwnPiece> names = [new("M", "FENNER", "7"), new("M", "ASH", "11"), new("2XL", "OAKES", "12")];
        var ask = MethodTests.Ask(3, Own) with { Sizes = [new("M", 2), new("2XL", 1)], Names = names ?? [] };
        var film = new DtfBought().Answer(ask, MethodTests.Book).Decorations[0];
        Assert.Equal(3, film.Bought);
        // the widest: 12 at 0.72 of 6.75 in is 9.72, FENNER at 0.72 of 2.25 in is 9.72 too
        Assert.Equal(9.72, film.Purchases[0].For!.Print.WidthIn, 6);
        Assert.Contains(film.Preparation, s => s.Code == "set-own" && s.Seconds == 45);
        Assert.Contains(film.Steps, s => s.Code == "find-own");
        Assert.Equal("Set and check the names", film.Prepare);
        Assert.Equal("Cut and weed", new Htv().Answer(ask, MethodTests.Book).Decorations[0].Prepare);
        var same = LineCost.Reckon(
            ask with
            {
                Placements = [Own with { Own = OwnText.None }],
            },
            new DtfBought()
                .Answer(ask with { Placements = [Own with { Own = OwnText.None }] }, MethodTests.Book)
                .Decorations,
            MethodTests.Book
        );
        Assert.Equal(
            55,
            (double)(LineCost.Reckon(ask, [film], MethodTests.Book).HandsSeconds.Value - same.HandsSeconds.Value),
            1.0
        );
        var screens = OwnPrintTests.Book;
        Assert.Contains(new ScreenTransfer().Answer(ask, screens).Verdict.Reasons, r =>
            r.Code == "own-text" && r.Kind == VerdictKind.No
        );
    }

    [Theory]
    [InlineData("none", "no-names")]
    [InlineData("nowhere", "names-nowhere")]
    [InlineData("short", "names-count")]
    [InlineData("bare", "names-missing")]
    [InlineData("whole", "")]
    public void What_of_a_list_blocks_is_said(string what, string code)
    {
        IReadOnlyList<OwnPiece> whole = [new("M", "A", "1"), new("M", "B", "2"), new("2XL", "C", "3")];
        var line = what switch
        {
            "none" => Line(null, Own),
            "nowhere" => Line(whole, Own with { Own = OwnText.None }),
            "short" => Line([.. whole.Take(2)], Own),
            "bare" => Line([.. whole.Take(2), new("2XL", "C", "")], Own),
            _ => Line(whole, Own),
        };
        Assert.Equal(code, string.Join('+', OwnPieces.Blocks(line, "lines[0]").Select(p => p.Code)));
        Assert.All(OwnPieces.Blocks(line, "lines[0]"), p =>
            Assert.StartsWith("lines[0]", p.Where, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Slips_of_the_pen_are_pointed_out_and_block_nothing()
    {
        IReadOnlyList<OwnPiece> names =
        [
            new("M", "Fenner", "7"),
            new("M", "FENNER", "7"),
            new("L", "ASH", "9"),
            new("L", "OAKES", "9"),
            new("L", "WOLSTENHOLME-ASH", "10"),
        ];
        var line = Line(names, Own) with { Sizes = [new("M", 2), new("L", 3)] };
        Assert.Empty(OwnPieces.Blocks(line, "lines[0]"));
        Assert.Equal(
            [
                "Fenner 7 stands twice.",
                "Number 9 stands twice: ASH, OAKES.",
                "WOLSTENHOLME-ASH 10 is pressed together to 42% of its width to fit the back of L.",
            ],
            OwnPieces.Notices(line)
        );
    }

    [Fact]
    public void Each_piece_of_a_run_is_called_by_its_own_name_by_size_in_the_order_of_the_list()
    {
        IReadOnlyList<OwnPiece> names = [new("2XL", "C", "3"), new("M", "A", "1"), new("M", "B", "2")];
        var run = RunReplay.After(
            [new("1", [new("M", 2), new("2XL", 1)], 1) { Names = names }, new("2", [new("M", 1)], 1)],
            [new("e1", "d", 1, 1, 1, "M", RunVerdict.Spoiled, "crooked", null, 5)]
        );
        Assert.Equal(["A 1", "B 2", "C 3", ""], run.Pieces.Select(p => p.Says));
        // a spoiled one is pressed again under the same name
        Assert.Equal([(2, "B 2"), (3, "C 3"), (1, "A 1"), (4, "")], run.Todo.Select(t => (t.PieceNo, t.Says)));
    }

    [Fact]
    public void Neck_labels_are_bought_size_by_size_and_say_what_the_sewn_one_said()
    {
        var label = new Placement("label", "neck-label", 2, 1.5, 40, 1, false, 4);
        var ask = MethodTests.Ask(1, label) with { Sizes = [new("M", 8), new("2XL", 3)] };
        var plan = Assert.Single(new DtfBought().Answer(ask, MethodTests.Book).Decorations);
        // spares of one size are of no use to another: each has its own
        Assert.Equal(
            [("M", 9d), ("2XL", 3d)],
            plan.Purchases.Select(p => (p.For!.Sizes[0].Size, p.Quantity)).OrderByDescending(p => p.Quantity)
        );
        var line = Line(null, label);
        var made = MethodTests.Tee(60) with { Cloth = Blanks.Cloth.Plain with { Origin = "Skerry" } };
        var labels = NeckLabel.Labels(line, made, "Tern & Tallow", "Inside out and cold.");
        Assert.Equal([("M", 2), ("2XL", 1)], labels.Select(l => (l.Size, l.Pieces)));
        Assert.Equal(
            ["M", "60% cotton 40% polyester", "Made in Skerry", "Inside out and cold.", "Tern & Tallow"],
            labels[0].Lines
        );
        Assert.Empty(NeckLabel.Lacking(line, made));
        Assert.Single(NeckLabel.Lacking(line, MethodTests.Tee(60)));
        Assert.Empty(NeckLabel.Labels(Line(null, Own), made, "", ""));
    }
}
