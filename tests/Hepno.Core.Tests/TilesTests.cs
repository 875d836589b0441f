using CsCheck;
using Hepno.Core.Gang;

namespace Hepno.Core.Tests;

/// <summary>Prints larger than a sheet, parts along the grain, and prints inside a cutter's marks.</summary>
public class TilesTests
{
    [Theory]
    [InlineData(8, 10.5, 9, 3, 3)] // the worked examples for 21 × 29 in
    [InlineData(10.5, 16, 6, 0, 0)]
    [InlineData(30, 30, 1, 1, 1)]
    public void Sheets_overlap_and_the_better_way_round_is_taken(double w, double h, int sheets, int columns, int rows)
    {
        var tiles = Tiles.Cut(21, 29, w, h, 0.25);
        Assert.Equal(sheets, tiles.Sheets());
        Assert.True(columns == 0 || (tiles.Columns, tiles.Rows) == (columns, rows));
        Assert.Equal(sheets, tiles.At.Count);
        Assert.Equal(sheets - 1, tiles.Seams);
    }

    [Fact]
    public void A_quarter_inch_less_may_save_sheets_and_is_said()
    {
        // 2 × 10.5 less one overlap are 20.75: a quarter of 21
        Assert.Equal(new TileTrim(0.25, 0, 4), Tiles.Cut(21, 29, 10.5, 16, 0.25).Trim);
        Assert.Null(Tiles.Cut(21.1, 29, 10.5, 16, 0.25).Trim);
        Assert.Null(Tiles.Cut(21, 29, 30, 30, 0.25).Trim);
    }

    [Fact]
    public void Tiles_cover_everything_overlap_enough_and_no_fewer_would_do() =>
        Gen.Select(Gen.Double[1, 60], Gen.Double[1, 60], Gen.Double[3, 20], Gen.Double[3, 20], Gen.Double[0, 2])
            .Sample(
                (w, h, sheetW, sheetH, overlap) =>
                {
                    var t = Tiles.Cut(w, h, sheetW, sheetH, overlap);
                    Assert.True(t.OverhangWidthIn >= -1e-6 && t.OverhangHeightIn >= -1e-6);
                    // a column less would leave a strip uncovered
                    Assert.True(t.Columns == 1 || t.OverhangWidthIn < t.TileWidthIn - overlap + 1e-6);
                    Assert.True(t.Rows == 1 || t.OverhangHeightIn < t.TileHeightIn - overlap + 1e-6);
                    Assert.All(t.At, tile =>
                        Assert.Equal(
                            (tile.Column * (t.TileWidthIn - overlap), tile.Row * (t.TileHeightIn - overlap)),
                            (tile.X, tile.Y)
                        )
                    );
                    Assert.Equal(Enumerable.Range(1, t.Sheets()), t.At.Select(a => a.Number));
                    if (t.Trim is { } trim)
                    {
                        Assert.True(
                            trim.OffWidthIn <= overlap + 1e-6
                                && trim.OffHeightIn <= overlap + 1e-6
                                && trim.Sheets < t.Sheets()
                        );
                        Assert.Equal(
                            trim.Sheets,
                            Tiles.Cut(w - trim.OffWidthIn, h - trim.OffHeightIn, sheetW, sheetH, overlap).Sheets()
                        );
                    }
                }
            );

    [Theory]
    [InlineData(0, 29, 8, 10, 0.25, "widthIn")]
    [InlineData(21, 29, -1, 10, 0.25, "sheetWidthIn")]
    [InlineData(21, 29, 8, 10, 9, "overlapIn")]
    public void What_cannot_be_tiled_is_refused(
        double w,
        double h,
        double sheetW,
        double sheetH,
        double overlap,
        string where
    ) => Assert.Contains(Tiles.Problems(w, h, sheetW, sheetH, overlap), p => p.Where == where && p.Remedy.Length > 0);

    [Fact]
    public void Parts_keep_their_grain_on_cloth_and_on_paper()
    {
        PatternPart[] parts = [new("front M", 20, 28, 3), new("sleeve M", 15, 9, 6)];
        var marker = Marker.Lay(parts, 60, 44, 0.25, 300);
        Assert.All(marker.OnFabric.Placed.Concat(marker.OnPaper.Placed), p => Assert.False(p.Turned));
        List<GangDesign> designs =
        [
            .. parts.Select(p => new GangDesign(p.Name, p.WidthIn, p.HeightIn, p.Count, false)),
        ];
        Assert.Empty(GangCheck.Faults(new(60, null, 0.25, 0), designs, marker.OnFabric.Placed));
        Assert.Empty(GangCheck.Faults(new(44, null, 0.25, 0), designs, marker.OnPaper.Placed));
        Assert.True(marker.OnPaper.UsedLengthIn > marker.OnFabric.UsedLengthIn);
        // a sleeve of 15 in goes across 14 in of cloth only turned, and it must not turn
        Assert.NotEmpty(Marker.Lay(parts, 60, 14, 0.25, 0).OnPaper.LeftOut);
        var same = Marker.Lay(parts, 60, 60, 0.25, 0);
        Assert.Same(same.OnFabric, same.OnPaper);
    }

    [Fact]
    public void Prints_stay_inside_the_marks_with_their_bleed()
    {
        var sheet = new PrintAndCut(8.5, 11, 0.75, 0.9, 0.75, 0.5, 0.0625);
        GangDesign[] designs = [new("crest", 3.2, 3.2, 9), new("name", 6.5, 1, 4)];
        var found = sheet.Lay(designs, 1, 400);
        Assert.Empty(found.LeftOut);
        Assert.All(found.Placed, p =>
            Assert.True(
                p.X >= 0.75 + 0.0625 - 1e-9
                    && p.Y >= 0.9 + 0.0625 - 1e-9
                    && p.X + p.WidthIn <= 8.5 - 0.75 - 0.0625 + 1e-9
                    && p.Y + p.HeightIn <= 11 - 0.5 - 0.0625 + 1e-9
            )
        );
        Assert.Empty(
            GangCheck.Faults(
                sheet.Inside(),
                designs,
                [.. found.Placed.Select(p => p with { X = p.X - 0.75, Y = p.Y - 0.9 })]
            )
        );
        Assert.InRange(found.Utilisation, 0.1, 1);
        Assert.NotEmpty((sheet with { LeftIn = 8 }).Problems());
        Assert.NotEmpty((sheet with { BleedIn = -1 }).Problems());
        Assert.NotEmpty(sheet.Lay([new("wide", 8, 10, 1)], 1, 0).LeftOut);
    }
}
