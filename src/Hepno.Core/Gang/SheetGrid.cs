namespace Hepno.Core.Gang;

/// <summary>Copies of one design in a grid on a sheet of fixed size.</summary>
/// <param name="Across">Copies side by side.</param>
/// <param name="Down">Copies one under the other.</param>
/// <param name="Turned">True when the artwork lies turned by a quarter.</param>
/// <param name="BoxWidthIn">Width of a copy as placed, in.</param>
/// <param name="BoxHeightIn">Height of a copy as placed, in.</param>
/// <param name="GapIn">Between copies, in.</param>
/// <param name="MarginIn">Kept free on all four sides, in.</param>
/// <param name="SheetWidthIn">Sheet width, in.</param>
/// <param name="SheetHeightIn">Sheet height, in.</param>
public sealed record SheetGrid(
    int Across,
    int Down,
    bool Turned,
    double BoxWidthIn,
    double BoxHeightIn,
    double GapIn,
    double MarginIn,
    double SheetWidthIn,
    double SheetHeightIn
)
{
    /// <summary>Copies on one sheet.</summary>
    public int PerSheet => Across * Down;

    /// <summary>The grid that holds more copies, upright or turned; null when not even one fits.</summary>
    /// <param name="widthIn">Artwork width, in.</param>
    /// <param name="heightIn">Artwork height, in.</param>
    /// <param name="gapIn">Between copies, in.</param>
    /// <param name="marginIn">Kept free on all four sides, in.</param>
    /// <param name="sheetWidthIn">Sheet width, in.</param>
    /// <param name="sheetHeightIn">Sheet height, in.</param>
    public static SheetGrid? Best(
        double widthIn,
        double heightIn,
        double gapIn,
        double marginIn,
        double sheetWidthIn,
        double sheetHeightIn
    )
    {
        int Fit(double sheet, double box) => (int)Math.Floor(((sheet - (2 * marginIn) + gapIn) / (box + gapIn)) + 1e-9);
        SheetGrid Way(double w, double h, bool turned) =>
            new(
                Math.Max(0, Fit(sheetWidthIn, w)),
                Down: Math.Max(0, Fit(sheetHeightIn, h)),
                turned,
                w,
                h,
                gapIn,
                marginIn,
                sheetWidthIn,
                sheetHeightIn
            );
        var best = new[] { Way(widthIn, heightIn, false), Way(heightIn, widthIn, true) }.MaxBy(g => g.PerSheet)!;
        return best.PerSheet > 0 ? best : null;
    }

    /// <summary>Whole sheets for so many copies.</summary>
    public int Sheets(int copies) => (copies + PerSheet - 1) / PerSheet;
}
