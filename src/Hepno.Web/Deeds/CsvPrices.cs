using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Formats;

namespace Hepno.Web.Deeds;

/// <summary>Price lists as tables: a price a row, the list's own figures on each.</summary>
internal static class CsvPrices
{
    public static readonly string[] FilmColumns =
    [
        "id",
        "supplier",
        "product",
        "freight",
        "days",
        "size",
        "width_in",
        "height_in",
        "from",
        "price",
    ];
    public static readonly string[] ScreenColumns =
    [
        "id",
        "supplier",
        "product",
        "formula",
        "set_up",
        "counts_white",
        "least_sheets",
        "freight",
        "days",
        "sheet",
        "width_in",
        "height_in",
        "colours",
        "from",
        "price",
    ];

    public static IEnumerable<string[]> Rows(TransferPriceList l) =>
        l.Sizes.SelectMany(s =>
            s.Breaks.Select(b =>
                new[]
                {
                    l.Id.Text,
                    l.Supplier,
                    l.Product,
                    CsvCells.Say(l.FreightPerOrder),
                    CsvCells.Say(l.LeadDays),
                    s.Name,
                    CsvCells.Say(s.WidthIn),
                    CsvCells.Say(s.HeightIn),
                    CsvCells.Say(b.From),
                    CsvCells.Say(b.Price),
                }
            )
        );

    public static IEnumerable<string[]> Rows(ScreenTransferList l) =>
        l.Sheets.SelectMany(s =>
            s.Prices.SelectMany(p =>
                p.Breaks.Select(b =>
                    new[]
                    {
                        l.Id.Text,
                        l.Supplier,
                        l.Product,
                        Formula(l.Formula),
                        CsvCells.Say(l.SetUpPerColour),
                        l.CountsWhite ? "yes" : "no",
                        CsvCells.Say(l.LeastSheets),
                        CsvCells.Say(l.FreightPerOrder),
                        CsvCells.Say(l.LeadDays),
                        s.Name,
                        CsvCells.Say(s.WidthIn),
                        CsvCells.Say(s.HeightIn),
                        CsvCells.Say(p.Colours),
                        CsvCells.Say(b.From),
                        CsvCells.Say(b.Price),
                    }
                )
            )
        );

    public static List<(int Row, TransferPriceList Value, List<Problem> Problems)> Films(IReadOnlyList<CsvRow> rows) =>
        Lists(rows, (all, head, of) =>
        {
            var sizes = all.GroupBy(r => r.Text("size"))
                .Select(s => new TransferSize(
                    s.Key,
                    of(s.First()).Real("width_in"),
                    of(s.First()).Real("height_in"),
                    Breaks(s, of)
                ))
                .ToList();
            return new TransferPriceList(
                new ThingId(head.Text("id")),
                Supplier: head.Text("supplier"),
                head.Text("product"),
                sizes,
                head.Money("freight"),
                (int)head.Real("days")
            );
        });

    public static List<(int Row, ScreenTransferList Value, List<Problem> Problems)> Screens(
        IReadOnlyList<CsvRow> rows
    ) => Lists(rows, (all, head, of) =>
        {
            var sheets = all.GroupBy(r => r.Text("sheet"))
                .Select(s => new ScreenSheet(
                    s.Key,
                    of(s.First()).Real("width_in"),
                    of(s.First()).Real("height_in"),
                    [
                        .. s.GroupBy(r => (int)of(r).Real("colours"))
                            .OrderBy(g => g.Key)
                            .Select(g => new ColourPrices(g.Key, Breaks(g, of))),
                    ]
                ))
                .ToList();
            var formula = Enum.GetValues<ScreenFormula>()
                .Where(f => Formula(f).Equals(head.Text("formula"), StringComparison.OrdinalIgnoreCase))
                .Select(f => (ScreenFormula?)f)
                .FirstOrDefault()
                ?? head.Wrong<ScreenFormula>(
                    "formula",
                    head.Text("formula"),
                    like: string.Join(", ", Enum.GetValues<ScreenFormula>().Select(Formula))
                );
            return new ScreenTransferList(
                new ThingId(head.Text("id")),
                Supplier: head.Text("supplier"),
                head.Text("product"),
                formula,
                sheets,
                head.Money("set_up"),
                head.Text("counts_white").Equals("yes", StringComparison.OrdinalIgnoreCase),
                (int)head.Real("least_sheets"),
                head.Money("freight"),
                (int)head.Real("days")
            );
        });

    private static string Formula(ScreenFormula f) =>
        f switch
        {
            ScreenFormula.HotPeel => "hot peel",
            ScreenFormula.SoftSplit => "soft split",
            _ => "stretch",
        };

    private static List<PriceBreak> Breaks(IEnumerable<CsvRow> rows, Func<CsvRow, CsvCells> of) =>
        [.. rows.Select(r => new PriceBreak((int)of(r).Real("from"), of(r).Money("price"))).OrderBy(b => b.From)];

    private static List<(int, T, List<Problem>)> Lists<T>(
        IReadOnlyList<CsvRow> rows,
        Func<List<CsvRow>, CsvCells, Func<CsvRow, CsvCells>, T> read
    ) =>
        [
            .. rows.GroupBy(r => r.Text("id").Length > 0 ? r.Text("id") : $"{r.Text("supplier")} {r.Text("product")}")
                .Select(g =>
                {
                    var cells = g.ToDictionary(r => r.Number, r => new CsvCells(r));
                    var value = read([.. g], cells[g.First().Number], r => cells[r.Number]);
                    // a cell read twice is wrong once
                    return (g.First().Number, value, cells.Values.SelectMany(x => x.Problems).Distinct().ToList());
                }),
        ];
}
