using CsCheck;
using Hepno.Core.Gang;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Shop;
using Hepno.Core.Stock;

namespace Hepno.Core.Tests;

/// <summary>Vinyl colour by colour: as one block or close, whichever costs less at the shop's wage.</summary>
public class VinylCuttingTests
{
    private static readonly VinylFilm Roll = new("vinyl", "Tidewell", "Vinyl", 19.5, 3.10m, 0.25, 6m, 2);

    // example 4: 9 × 4 in, and a second colour that is 6 × 2.5 in of it
    private static readonly Placement Tern = MethodTests.Front() with
    {
        Cuts = new([new("#22252b", 1, 1, 0.7), new("#d24a2c", 6 / 9.0, 2.5 / 4, 0.3)]),
    };

    [Fact]
    public void Close_where_the_film_saved_is_worth_more_than_the_aligning()
    {
        // block: twice 54 in; close: 54 and 24 in, so 30 in at 3.10 a foot = 7.75 less; 12 s × 24 pieces at 22.00 =
        // 1.76
        var close = VinylCutting.Cheaper(Tern, 24, Roll, 19.5, 24, 12, 22m)!;
        Assert.Equal((true, 7.75m, 1.76m), (close.IsClose, close.Film, close.Aligning));
        Assert.Equal([54.0, 24.0], close.Layers.Select(l => l.Rows.LengthIn));
        Assert.Equal([12.6, 5.4], close.Layers.Select(l => l.PaintIn2), (a, b) => Math.Abs(a - b) < 1e-9);
        Assert.Equal(
            "Each colour is cut close: $7.75 less of film for $1.76 more of aligning.",
            close.Said(ShopNumbers.Default.Format)
        );
        // a minute each for aligning: 24 minutes at 22.00 = 8.80
        var block = VinylCutting.Cheaper(Tern, 24, Roll, 19.5, 24, 60, 22m)!;
        Assert.Equal((false, 7.75m, 8.80m), (block.IsClose, block.Film, block.Aligning));
        Assert.Equal([54.0, 54.0], block.Layers.Select(l => l.Rows.LengthIn));
        Assert.Equal(
            "The colours are cut as one block: close would save $7.75 of film and take $8.80 more of aligning.",
            block.Said(ShopNumbers.Default.Format)
        );
    }

    [Fact]
    public void Typed_colours_and_one_colour_alone_have_one_way()
    {
        foreach (
            var p in new[]
            {
                Tern with
                {
                    Cuts = null,
                },
                Tern with
                {
                    Colours = 3,
                },
                Tern with
                {
                    Own = OwnText.Name,
                },
                Tern with
                {
                    Colours = 1,
                    Cuts = new([new("#22252b", 1, 1, 1)]),
                },
            }
        )
        {
            var cutting = VinylCutting.Cheaper(p, 24, Roll, 19.5, 24, 12, 22m)!;
            Assert.Equal((false, null, ""), (cutting.IsClose, cutting.Film, cutting.Said(ShopNumbers.Default.Format)));
            Assert.Equal(p.Colours, cutting.Layers.Count);
        }
        Assert.Null(VinylCutting.Cheaper(Tern with { WidthIn = 30, HeightIn = 30 }, 1, Roll, 19.5, 1, 12, 22m));
    }

    [Fact]
    public void Closer_never_costs_more_and_the_shop_s_wage_decides() =>
        Gen.Select(Gen.Int[1, 120], Gen.Double[0.1, 1], Gen.Double[0.1, 1], Gen.Double[0, 90], Gen.Double[5, 60])
            .Sample(
                (pieces, across, down, seconds, wage) =>
                {
                    var print = Tern with
                    {
                        Cuts = new([new("#22252b", 1, 1, 0.7), new("#d24a2c", across, down, 0.3)]),
                    };
                    var cutting = VinylCutting.Cheaper(print, pieces, Roll, 19.5, pieces, seconds, (decimal)wage)!;
                    Assert.True(
                        cutting.Layers.Sum(l => l.Rows.LengthIn)
                            <= 2 * RollRows.Lay(9, 4, 0.25, 19.5, pieces)!.LengthIn + 1e-9
                    );
                    Assert.Equal(cutting.Film is { } film && film > cutting.Aligning, cutting.IsClose);
                }
            );

    [Fact]
    public void A_layer_cut_close_takes_longer_to_lay_and_its_film_is_what_is_bought()
    {
        var plan = new Htv().Answer(MethodTests.Ask(24, Tern), MethodTests.Book).Decorations[0];
        // 26 cuts: 13 rows of two 4.5 in high; the second colour three across, 9 rows of 3
        Assert.Equal([58.5, 27.0], plan.Purchases.Select(p => p.Rows!.LengthIn));
        Assert.Equal(["#22252b", "#d24a2c"], plan.Purchases.Select(p => p.Hex));
        Assert.StartsWith("Each colour is cut close", plan.Purchases[0].Note, StringComparison.Ordinal);
        var position = plan.Steps.Where(s => s.Code == "position").Select(s => s.Seconds).ToList();
        Assert.Equal(
            StepStandards.Default["further-layer"] + StepStandards.Default["close-layer"],
            position[1] - position[0]
        );
    }

    // one margin between neighbours: 2 across, 12 rows of 4.25 in and a margin; two between them 54 in
    [Fact]
    public void Neighbours_may_share_a_margin() =>
        Assert.Equal(51.25, RollRows.Lay(9, 4, 0.25, 19.5, 24, shared: true)!.LengthIn);

    private static readonly VinylRemnant Piece = new("bit", "vinyl", "rust", 13.5, 10, new(2026, 5, 3), "T-190");

    [Fact]
    public void A_piece_on_the_shelf_is_used_before_the_roll_and_costs_nothing_more()
    {
        var bought = new Htv().Answer(MethodTests.Ask(24, Tern), MethodTests.Book).Decorations[0];
        // boxes of 6.5 × 3: two across and three down go on 13.5 × 10; the other 20 of 26 take 7 rows of three: 21 in
        // instead of 27
        var offer = VinylPieces
            .For(
                bought.Purchases[1],
                [Piece, Piece with { Id = "other", VinylId = "low" }, Piece with { Id = "small", WidthIn = 2.9 }]
            )
            .Single();
        Assert.Equal(("bit", 6, 1.55m), (offer.Piece.Id, offer.Cuts, decimal.Round(offer.Saves, 9)));
        FromRemnant used = new("1", "front", 1, "bit", "vinyl", 13.5, 10);
        var plan = new Htv().Answer(MethodTests.Ask(24, Tern) with { Remnants = [used] }, MethodTests.Book).Decorations[
            0
        ];
        Assert.Equal([58.5, 21.0], plan.Purchases.Select(p => p.Rows!.LengthIn));
        Assert.Equal(bought.Material.Value - (1.55m / 26), plan.Material.Value, 9);
        // one that takes them all: nothing of that colour is bought
        var all = new Htv()
            .Answer(
                MethodTests.Ask(24, Tern) with
                {
                    Remnants = [used with { WidthIn = 19.5, LengthIn = 60 }],
                },
                MethodTests.Book
            )
            .Decorations[0];
        Assert.Equal([0], all.Purchases.Select(p => p.Layer));
        Assert.Equal((15.1125m / 26) + (6m / 24), all.Material.Value, 9);
        // sizes with prints of their own cannot all be cut from one piece
        var labels = MethodTests.Ask(
            24,
            Tern with
            {
                Id = "front",
                Place = NeckLabel.PlaceId,
                WidthIn = 2,
                HeightIn = 1,
            }
        ) with
        {
            Sizes = [new("M", 12), new("L", 12)],
        };
        Assert.Equal(
            new Htv().Answer(labels, MethodTests.Book).Decorations[0].Material.Value,
            new Htv().Answer(labels with { Remnants = [used] }, MethodTests.Book).Decorations[0].Material.Value
        );
        Assert.Equal(
            bought.Material.Value,
            new Htv()
                .Answer(MethodTests.Ask(24, Tern) with { Remnants = [used with { VinylId = "low" }] }, MethodTests.Book)
                .Decorations[0]
                .Material.Value
        );
    }

    [Fact]
    public void What_is_left_beside_the_rows_is_kept_where_it_is_wide_enough()
    {
        Assert.Null(VinylPieces.Left(RollRows.Lay(9, 4, 0.25, 19.5, 24)!));
        // turned, five across in 5 rows
        Assert.Equal(new StripLeft(2, 47.5), VinylPieces.Left(RollRows.Lay(9, 4, 0.25, 24.5, 24)!));
        Assert.Empty(Piece.Problems());
        Assert.Equal(
            ["vinylId", "colour", "widthIn"],
            (Piece with { VinylId = "", Colour = " ", LengthIn = 0 }).Problems().Select(p => p.Where)
        );
    }

    [Fact]
    public void Boxes_on_a_piece_go_on_it_and_the_rest_is_laid_as_before() =>
        Gen.Select(Gen.Double[1, 9], Gen.Double[1, 9], Gen.Double[0, 0.5], Gen.Int[1, 60], Gen.Bool, Gen.Double[1, 30])
            .Sample(
                (w, h, margin, count, shared, side) =>
                {
                    var rows = RollRows.Lay(w, h, margin, 19.5, count, shared)!;
                    Assert.Equal(rows, rows.With(count));
                    var room = rows.RoomOn(side, 30);
                    Assert.True(room * w * h <= (side * 30) + 1e-9);
                    Assert.True((rows.With(Math.Max(1, count - room))?.LengthIn ?? 0) <= rows.LengthIn + 1e-9);
                }
            );
}
