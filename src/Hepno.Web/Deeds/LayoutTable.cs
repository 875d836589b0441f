using System.Globalization;
using Hepno.Core.Gang;
using Hepno.Formats;
using Hepno.Web.Wire;

namespace Hepno.Web.Deeds;

/// <summary>A layout as a table, a copy a row; and layouts made elsewhere, from such a table or a drawing.</summary>
internal static class LayoutTable
{
    private const double SameIn = 0.02;
    private static readonly string[] Columns =
    [
        "sheet",
        "design",
        "name",
        "x_in",
        "y_in",
        "width_in",
        "height_in",
        "turned",
    ];

    public static string Write(IReadOnlyList<LaidSheet> sheets) =>
        CsvTable.Write(
            Columns,
            sheets.SelectMany(
                (s, i) =>
                    s.Copies.Select(c =>
                        new[]
                        {
                            CsvCells.Say(i + 1),
                            c.Key,
                            c.Name,
                            Say(c.X),
                            Say(c.Y),
                            Say(c.WidthIn),
                            Say(c.HeightIn),
                            c.Turned ? "yes" : "no",
                        }
                    )
            )
        );

    /// <summary>Copies of a table or an SVG; a box that does not name its design is known by its size.</summary>
    /// <param name="text">The file's text.</param>
    /// <param name="designs">What the line needs.</param>
    /// <param name="nameOf">What a design is called.</param>
    /// <exception cref="NotATableException">It is neither, or a box is no design of the line.</exception>
    public static IReadOnlyList<LaidCopy> Read(
        string text,
        IReadOnlyList<LaidDesign> designs,
        Func<string, string> nameOf
    )
    {
        if (text.AsSpan().TrimStart('\ufeff').TrimStart().StartsWith("<"))
        {
            return
            [
                .. LayoutDrawing
                    .Read(text)
                    .Select(
                        (b, i) =>
                            Copy(
                                Find(b.Key, b.WidthIn, b.HeightIn, designs, nameOf, $"Box {i + 1} of the drawing"),
                                0,
                                b.X,
                                b.Y,
                                b.WidthIn,
                                b.HeightIn,
                                b.Turned
                            )
                    ),
            ];
        }
        return
        [
            .. CsvTable
                .Read(text, ["x_in", "y_in", "width_in", "height_in"])
                .Select(r =>
                {
                    var cells = new CsvCells(r);
                    var (x, y, w, h) = (
                        cells.Real("x_in"),
                        cells.Real("y_in"),
                        cells.Real("width_in"),
                        cells.Real("height_in")
                    );
                    RefusedException.IfAny(cells.Problems);
                    int sheet;
                    if (r.Text("sheet").Length == 0)
                    {
                        sheet = 1;
                    }
                    else if (
                        int.TryParse(r.Text("sheet"), NumberStyles.None, CultureInfo.InvariantCulture, out var s)
                        && s > 0
                    )
                    {
                        sheet = s;
                    }
                    else
                    {
                        throw new NotATableException($"Row {r.Number}: \"{r.Text("sheet")}\" is no number of a sheet.");
                    }

                    return Copy(
                        Find(r.Text("design"), w, h, designs, nameOf, $"Row {r.Number}"),
                        sheet - 1,
                        x,
                        y,
                        w,
                        h,
                        r.Text("turned").Equals("yes", StringComparison.OrdinalIgnoreCase)
                    );
                }),
        ];
    }

    private static LaidDesign Find(
        string key,
        double w,
        double h,
        IReadOnlyList<LaidDesign> designs,
        Func<string, string> nameOf,
        string where
    ) =>
        designs.FirstOrDefault(d =>
            d.Key == key || (key.Length > 0 && nameOf(d.Key).Equals(key, StringComparison.OrdinalIgnoreCase))
        )
        ?? designs.FirstOrDefault(d =>
            (Same(d.WidthIn, w) && Same(d.HeightIn, h)) || (Same(d.WidthIn, h) && Same(d.HeightIn, w))
        )
        ?? throw new NotATableException(
            $"{where} of {w:0.##} × {h:0.##} in is no design of this line: it has "
                + $"{string.Join(", ", designs.Select(d => $"{nameOf(d.Key)} {d.WidthIn:0.##} × {d.HeightIn:0.##}"))}."
        );

    // a box that is as wide as the design is high lies turned
    private static LaidCopy Copy(LaidDesign d, int sheet, double x, double y, double w, double h, bool turned) =>
        new(
            d.Key,
            sheet,
            x,
            y,
            turned || (Same(d.WidthIn, h) && Same(d.HeightIn, w) && !(Same(d.WidthIn, w) && Same(d.HeightIn, h)))
        );

    private static bool Same(double a, double b) => Math.Abs(a - b) <= SameIn;

    private static string Say(double value) => Math.Round(value, 5).ToString(CultureInfo.InvariantCulture);
}
