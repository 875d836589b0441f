using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>One sheet of a print larger than a sheet.</summary>
/// <param name="Number">In the order of joining, from 1.</param>
/// <param name="Column">From 0, left to right.</param>
/// <param name="Row">From 0, top to bottom.</param>
/// <param name="X">Left edge over the garment, in.</param>
/// <param name="Y">Top edge, in.</param>
public sealed record Tile(int Number, int Column, int Row, double X, double Y);

/// <summary>A little less of the print that saves sheets.</summary>
/// <param name="OffWidthIn">Taken off the width, in.</param>
/// <param name="OffHeightIn">Taken off the height, in.</param>
/// <param name="Sheets">Sheets it then takes.</param>
public sealed record TileTrim(double OffWidthIn, double OffHeightIn, int Sheets);

/// <summary>Sheets that overlap to make one print larger than a sheet (docs/trade 2: butted tiles leave white
/// lines).</summary>
/// <param name="Columns">Sheets side by side.</param>
/// <param name="Rows">Sheets one under the other.</param>
/// <param name="Turned">True when the sheets lie turned by a quarter.</param>
/// <param name="TileWidthIn">Width of a sheet as it lies, in.</param>
/// <param name="TileHeightIn">Height of a sheet as it lies, in.</param>
/// <param name="OverlapIn">Neighbours overlap by so much, in.</param>
/// <param name="At">Every sheet in the order they are joined: along each row, then the rows.</param>
/// <param name="Seams">Joinings: tiles along every row, then row to row.</param>
/// <param name="OverhangWidthIn">Printed past the right edge, in.</param>
/// <param name="OverhangHeightIn">Printed past the lower edge, in.</param>
/// <param name="Trim">A trim of at most an overlap that saves a row or column; null where none does.</param>
public sealed record Tiles(
    int Columns,
    int Rows,
    bool Turned,
    double TileWidthIn,
    double TileHeightIn,
    double OverlapIn,
    IReadOnlyList<Tile> At,
    int Seams,
    double OverhangWidthIn,
    double OverhangHeightIn,
    TileTrim? Trim
)
{
    private const double Eps = 1e-9;

    /// <summary>Sheets in all.</summary>
    public int Sheets() => Columns * Rows;

    /// <summary>The better of both ways to lay the sheets. Also the positions of a press on a garment, with the platen
    /// as sheet.</summary>
    /// <param name="widthIn">Width of the print, bleed in it, in.</param>
    /// <param name="heightIn">Height of the print, bleed in it, in.</param>
    /// <param name="sheetWidthIn">Printable width of a sheet, in; more than the overlap.</param>
    /// <param name="sheetHeightIn">Printable height of a sheet, in; more than the overlap.</param>
    /// <param name="overlapIn">Neighbours overlap by at least so much, in.</param>
    public static Tiles Cut(
        double widthIn,
        double heightIn,
        double sheetWidthIn,
        double sheetHeightIn,
        double overlapIn
    )
    {
        var ways = new[]
        {
            (W: sheetWidthIn, H: sheetHeightIn, Turned: false),
            (W: sheetHeightIn, H: sheetWidthIn, Turned: true),
        }
            .Select(s => (Sheet: s, Columns: Along(widthIn, s.W, overlapIn), Rows: Along(heightIn, s.H, overlapIn)))
            .ToList();
        var (sheet, columns, rows) = ways.OrderBy(w => w.Columns * w.Rows).ThenBy(w => w.Columns + w.Rows).First();
        var trim = ways.SelectMany(w => Trims(widthIn, heightIn, w.Sheet.W, w.Sheet.H, overlapIn))
            .Where(t => t.Sheets < columns * rows)
            .OrderBy(t => t.Sheets)
            .ThenBy(t => t.OffWidthIn + t.OffHeightIn)
            .FirstOrDefault();
        List<Tile> at =
        [
            .. Enumerable
                .Range(0, rows)
                .SelectMany(r =>
                    Enumerable
                        .Range(0, columns)
                        .Select(c => new Tile(
                            (r * columns) + c + 1,
                            Column: c,
                            r,
                            c * (sheet.W - overlapIn),
                            r * (sheet.H - overlapIn)
                        ))
                ),
        ];
        return new(
            columns,
            rows,
            sheet.Turned,
            sheet.W,
            sheet.H,
            overlapIn,
            at,
            (rows * (columns - 1)) + rows - 1,
            Covered(columns, sheet.W, overlapIn) - widthIn,
            Covered(rows, sheet.H, overlapIn) - heightIn,
            trim
        );
    }

    /// <summary>What cannot be tiled.</summary>
    public static IEnumerable<Problem> Problems(
        double widthIn,
        double heightIn,
        double sheetWidthIn,
        double sheetHeightIn,
        double overlapIn
    )
    {
        if (widthIn is not (> 0 and <= 400) || heightIn is not (> 0 and <= 400))
        {
            yield return new(
                "range",
                $"A print of {widthIn:0.##} × {heightIn:0.##} in is outside 0 to 400.",
                Where: "widthIn",
                "Type the flat garment of the largest size, bleed all round in it."
            );
        }
        if (sheetWidthIn is not (> 0 and <= 400) || sheetHeightIn is not (> 0 and <= 400))
        {
            yield return new(
                "range",
                $"A sheet of {sheetWidthIn:0.##} × {sheetHeightIn:0.##} in is outside 0 to 400.",
                Where: "sheetWidthIn",
                "Type the part of the sheet that can be printed."
            );
        }
        if (overlapIn is not (>= 0 and <= 4) || overlapIn >= Math.Min(sheetWidthIn, sheetHeightIn))
        {
            yield return new(
                "range",
                $"An overlap of {overlapIn:0.##} in is outside 0 to 4, or leaves nothing of a sheet.",
                Where: "overlapIn",
                "A quarter of an inch is usual."
            );
        }
    }

    private static int Along(double length, double tile, double overlap) =>
        Math.Max(1, (int)Math.Ceiling(((length - overlap) / (tile - overlap)) - Eps));

    private static double Covered(int tiles, double tile, double overlap) => (tiles * (tile - overlap)) + overlap;

    // one column less, one row less, or both, where that takes off no more than an overlap
    private static IEnumerable<TileTrim> Trims(
        double width,
        double height,
        double tileWidth,
        double tileHeight,
        double overlap
    )
    {
        var (columns, rows) = (Along(width, tileWidth, overlap), Along(height, tileHeight, overlap));
        var (offWidth, offHeight) = (
            width - Covered(columns - 1, tileWidth, overlap),
            height - Covered(rows - 1, tileHeight, overlap)
        );
        var (canWidth, canHeight) = (columns > 1 && offWidth <= overlap + Eps, rows > 1 && offHeight <= overlap + Eps);
        if (canWidth)
        {
            yield return new(offWidth, 0, (columns - 1) * rows);
        }
        if (canHeight)
        {
            yield return new(0, offHeight, columns * (rows - 1));
        }
        if (canWidth && canHeight)
        {
            yield return new(offWidth, offHeight, (columns - 1) * (rows - 1));
        }
    }
}
