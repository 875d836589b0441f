using CsCheck;
using Hepno.Core.Artwork;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;

namespace Hepno.Core.Tests;

/// <summary>Designs by their own outlines: what is measured, what may lie in their corners, what is saved and what
/// cutting round costs.</summary>
public class PrintOutlineTests
{
    // a gate: a quarter of its height across the top, a quarter of its width down each side
    private static readonly OutlinePart[] Gate =
    [
        new(0, 0, 1, 0.25),
        new(0, 0.25, 0.25, 0.75),
        new(0.75, 0.25, 0.25, 0.75),
    ];

    private static readonly GangGround Film = new(22, null, 0.5, 0.25);

    private static readonly GangShapes Shapes = new(
        new Dictionary<string, IReadOnlyList<OutlinePart>> { ["gate"] = Gate }
    );

    private static readonly GangPlaced[] InGate =
    [
        new("gate", 0, 0.25, 0.25, 10, 10, false),
        new("mark", 0, 3.25, 3.25, 4, 4, false),
    ];

    private static IReadOnlyList<OutlinePart>? Of(Drawn drawn, int side = 160) =>
        PrintOutline.Trace(drawn.Raster, new(0, 0, side, side));

    [Fact]
    public void An_outline_is_the_boxes_that_cover_what_is_painted()
    {
        var gate = Of(new Drawn(160, 160).Box(0, 0, 160, 40).Box(0, 0, 40, 160).Box(120, 0, 40, 160))!;
        Assert.Equal(Gate.OrderBy(p => (p.Y, p.X)), gate.OrderBy(p => (p.Y, p.X)));
        Assert.Equal(0.625, PrintOutline.Share(gate));
        Assert.Null(Of(new Drawn(160, 160).Box(0, 0, 160, 160)));
        Assert.Equal(1, PrintOutline.Share(null));
        // a ring's hole is no way in for scissors: only the corners outside it are left
        var ring = Of(
            new Drawn(160, 160).Fill(
                (x, y) => Math.Abs(Math.Sqrt(((x - 80) * (x - 80)) + ((y - 80) * (y - 80))) - 70) <= 10
            )
        )!;
        Assert.Contains(ring, p => p.X < 0.5 && p.X + p.Width > 0.5 && p.Y < 0.5 && p.Y + p.Height > 0.5);
        Assert.InRange(PrintOutline.Share(ring), Math.PI / 4, 0.9);
    }

    [Fact]
    public void Everything_painted_is_inside_and_no_two_parts_overlap() =>
        Gen.Select(
                Gen.Int[20, 90],
                Gen.Int[20, 90],
                Gen.Select(Gen.Int[0, 80], Gen.Int[0, 80], Gen.Int[1, 40], Gen.Int[1, 40]).Array[1, 5]
            )
            .Sample(
                (width, height, boxes) =>
                {
                    var drawn = new Drawn(width, height);
                    foreach (var (x, y, w, h) in boxes)
                    {
                        drawn.Box(x, y, w, h);
                    }
                    if (
                        Painted.Measure(drawn.Raster).Box is not { } box
                        || PrintOutline.Trace(drawn.Raster, box) is not { } parts
                    )
                    {
                        return;
                    }
                    for (var y = 0; y < box.Height; y++)
                    {
                        for (var x = 0; x < box.Width; x++)
                        {
                            foreach (
                                var (right, down) in new[] { (0.01, 0.01), (0.99, 0.99), (0.01, 0.99), (0.99, 0.01) }
                            )
                            {
                                var (u, v) = ((x + right) / box.Width, (y + down) / box.Height);
                                var inside = parts.Count(p =>
                                    p.X < u && u < p.X + p.Width && p.Y < v && v < p.Y + p.Height
                                );
                                Assert.InRange(inside, drawn.Raster.Alpha(box.Left + x, box.Top + y) > 0 ? 1 : 0, 1);
                            }
                        }
                    }
                }
            );

    [Fact]
    public void A_print_may_lie_in_the_gate_of_another_but_not_a_thousandth_nearer_than_the_gap()
    {
        GangDesign[] designs = [new("gate", 10, 10, 1), new("mark", 4, 4, 1)];
        Assert.Empty(GangCheck.Faults(Film, designs, InGate, null, Shapes));
        Assert.Equal("near", Assert.Single(GangCheck.Faults(Film, designs, InGate)).Code);
        foreach (var (x, y) in new[] { (-1e-3, 0.0), (1e-3, 0), (0, -1e-3) })
        {
            Assert.Equal(
                "near",
                Assert
                    .Single(
                        GangCheck.Faults(
                            Film,
                            designs,
                            [InGate[0], InGate[1] with { X = 3.25 + x, Y = 3.25 + y }],
                            null,
                            Shapes
                        )
                    )
                    .Code
            );
        }
        // turned, the top of the picture lies to the right: open to the left
        GangPlaced turned = InGate[0] with { Turned = true };
        Assert.Equal(
            [(7.75, 0.25, 2.5, 10), (0.25, 0.25, 7.5, 2.5), (0.25, 7.75, 7.5, 2.5)],
            Shapes.Parts(turned).Select(p => (p.X, p.Y, p.WidthIn, p.HeightIn))
        );
        Assert.Empty(GangCheck.Faults(Film, designs, [turned, InGate[1]], null, Shapes));
        Assert.NotEmpty(GangCheck.Faults(Film, designs, [turned, InGate[1] with { X = 3.5 }], null, Shapes));
    }

    private static readonly Gen<(GangGround Ground, GangDesign[] Designs, GangShapes Shapes)> Cases = Gen.Select(
            Gen.Double[10, 24],
            Gen.Double[0, 0.6],
            Gen.Double[0, 0.5],
            Gen.Bool,
            Gen.Select(
                Gen.Double[2, 8],
                Gen.Double[2, 8],
                Gen.Int[1, 5],
                Gen.Bool,
                Gen.Select(Gen.Double[0.1, 0.5], Gen.Double[0.1, 0.5])
            ).Array[1, 4]
        )
        .Select(
            (w, gap, margin, roll, all) =>
            {
                GangDesign[] designs =
                [
                    .. all.Select((d, i) => new GangDesign($"d{i}", d.Item1, d.Item2, d.Item3, d.Item4)),
                ];
                // corners of all sizes at the lower right
                var outlines = all.Select(
                    (d, i) =>
                        (
                            Key: $"d{i}",
                            Parts: (IReadOnlyList<OutlinePart>)
                                [new(0, 0, 1, d.Item5.Item2), new(0, d.Item5.Item2, d.Item5.Item1, 1 - d.Item5.Item2)]
                        )
                );
                return (
                    new GangGround(w, roll ? null : 20, gap, margin),
                    designs,
                    new GangShapes(outlines.ToDictionary(o => o.Key, o => o.Parts))
                );
            }
        );

    [Fact]
    public void What_is_laid_by_outline_is_sound_and_room_is_found_no_later_than_among_boxes() =>
        Cases.Sample(
            (ground, designs, shapes) =>
            {
                var found = GangNest.Lay(ground, designs, 1, GangNest.OnePass);
                if (found.LeftOut.Count > 0)
                {
                    return;
                }
                var (laid, steps) = OutlineSearch.Lay(ground, designs, shapes, 1, 4000);
                Assert.Empty(GangCheck.Faults(ground, designs, laid, null, shapes));
                Assert.Equal(laid, OutlineSearch.Lay(ground, designs, shapes, 1, 4000).Placed);
                Assert.InRange(steps, 1, 4000);
                var length = ground.LengthIn ?? double.PositiveInfinity;
                var (room, among) = (
                    GangRoom.For(ground, 0, found.Placed, designs[0], length, 0, shapes),
                    GangRoom.For(ground, 0, found.Placed, designs[0], length)
                );
                Assert.True(among is null || room!.Y + room.HeightIn <= among.Y + among.HeightIn + 1e-6);
                var more = GangRoom.Fill(
                    ground,
                    found.Placed,
                    designs[0],
                    found.Sheets,
                    ground.LengthIn ?? found.UsedLengthIn,
                    50,
                    shapes
                );
                Assert.Empty(
                    GangCheck.Faults(
                        ground,
                        [designs[0] with { Copies = designs[0].Copies + more.Count }, .. designs.Skip(1)],
                        [.. found.Placed, .. more],
                        null,
                        shapes
                    )
                );
            },
            iter: 300
        );

    // two gates of 10 in go beside one another: six rows of 10.5 hold all, a mark in each; as boxes the marks take
    // three rows more
    [Fact]
    public void A_search_lays_the_marks_into_the_gates()
    {
        GangDesign[] designs = [new("gate", 10, 10, 12, Cover: 0.625), new("mark", 4, 4, 12)];
        var (laid, _) = OutlineSearch.Lay(Film, designs, Shapes, 1, 2000);
        Assert.Equal(63, GangNest.Found(Film, designs, laid, 0).UsedLengthIn, 1e-6);
        Assert.True(GangNest.Lay(Film, designs, 1, 2000).UsedLengthIn >= 63 + 9);
        // stopped at once it still lays everything
        Assert.Equal(24, OutlineSearch.Lay(Film, designs, Shapes, 1, 200_000, (_, _) => false).Placed.Count);
    }

    // two gates side by side take a row: the marks lie in them instead of in a row of their own
    [Fact]
    public void Marks_laid_in_gates_save_their_row_of_film_and_all_are_cut_round()
    {
        var (gate, mark) = (
            MethodTests.Front(10, 10) with
            {
                Id = "gate",
            },
            MethodTests.Front(4, 4) with
            {
                Id = "mark",
                Place = "left-sleeve",
            }
        );
        var ask = MethodTests.Ask(12, gate, mark);
        FilmByLayout sold = new(0.5, 0.25, new(22, 12, [new(1, 4.60m)], []), []);
        var book = MethodTests.Book.With<TransferPriceList>([
            MethodTests.Book.Of<TransferPriceList>()[0] with
            {
                Sizes = [],
                ByLayout = sold,
            },
        ]);
        var needed = LaidPrint
            .All(ask, new DtfBought().LaidOn(ask, book)!.Spares, "film")
            .Select(p => p.Design)
            .ToList();
        var n = needed[0].Needed;
        (double X, double Y) At(int i) => (0.25 + (i % 2 * 10.5), 0.25 + (i / 2 * 10.5));
        var copies = Enumerable
            .Range(0, n)
            .SelectMany(i =>
                new[]
                {
                    new LaidCopy("gate", 0, At(i).X, At(i).Y, false),
                    new LaidCopy("mark", 0, At(i).X + 3, At(i).Y + 3, false),
                }
            );
        LineLayout layout = new(
            "1",
            "film",
            FilmGround.RollKey,
            [needed[0] with { Cover = 0.625 }, needed[1]],
            [.. copies],
            1,
            0
        );
        Assert.Empty(GangCheck.Faults(Film, [.. layout.Designs.Select(d => d.Laid())], layout.Placed(), null, Shapes));

        var found = layout.Found(Film);
        var rows = Math.Ceiling(n / 2.0);
        Assert.Equal(10.5 * rows, found.UsedLengthIn, 1e-9);
        // 62.5 and 16 in² of each pair have to go on 21.5 in of width
        Assert.Equal((n * 78.5 / 21.5) + 0.5, found.FloorLengthIn, 1e-9);
        Assert.Equal(n * 78.5 / (22 * found.UsedLengthIn), found.Utilisation, 1e-9);

        var answer = new DtfBought().Answer(ask with { Laid = layout }, book);
        var bill = answer.Decorations.SelectMany(d => d.Purchases).Single().Laid!.Bill;
        Assert.Equal(Math.Ceiling(found.UsedLengthIn / 12) * 4.60, (double)bill.Cost.Value, 1e-9);
        Assert.True(
            bill.Cost.Value
                < new DtfBought()
                    .Answer(ask, book)
                    .Decorations.SelectMany(d => d.Purchases)
                    .Single()
                    .Laid!.Bill.Cost.Value
        );
        // an in of outline takes a second, a print 20 at least; straight it takes 6
        Assert.Equal(
            [40, 20],
            answer.Decorations.Select(d => d.Preparation.Single(s => s.Code == "cut-apart").Seconds)
        );
        var cutting = CutRound.Reckon(layout, 0.5, book.Numbers.Floor.Standards(), 18m, 4.5m, key => key)!;
        Assert.Equal((double)n * (34 + 14) / 3600 * 22.5, (double)cutting.Value, 1e-6);

        // one gate by itself at the end is cut straight, and boxes always are
        var apart = layout with
        {
            Copies = [.. layout.Copies.SkipLast(1), layout.Copies[^1] with { X = 0.25, Y = 200 }],
        };
        Assert.Equal((n - 1, n - 1), (apart.CutRound(0.5)["gate"], apart.CutRound(0.5)["mark"]));
        Assert.Empty((layout with { Designs = needed }).CutRound(0.5));
        Assert.Null(
            CutRound.Reckon(layout with { Designs = needed }, 0.5, book.Numbers.Floor.Standards(), 18m, 4.5m, key =>
                key
            )
        );
    }

    [Fact]
    public void On_sheets_the_floor_is_what_the_outlines_enclose()
    {
        GangGround sheet = new(11, 11, 0.5, 0.25);
        GangDesign[] designs = [new("gate", 10, 10, 2, Cover: 0.625), new("mark", 4, 4, 2)];
        var found = GangNest.Found(sheet, designs, [.. InGate, .. InGate.Select(p => p with { Sheet = 1 })], 0);
        // 157 in² on 10.5 × 10.5 a sheet
        Assert.Equal((2, 2), (found.Sheets, found.FloorSheets));
        Assert.Equal(157, found.CoveredIn2, 1e-9);
    }
}
