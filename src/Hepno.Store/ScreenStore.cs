using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Price lists of screen-printed transfers.</summary>
internal static class ScreenStore
{
    public static Aggregate<ScreenTransferList> Aggregate() =>
        new("screen", "screen_list", Load, l => l.Id.Text, Write);

    private static List<Versioned<ScreenTransferList>> Load(SqliteConnection connection, string? id)
    {
        var breaks = Breaks(connection, id);
        var sheets = connection
            .Query(
                $"SELECT * FROM screen_sheet WHERE {Rows.Only(id, "list_id")} ORDER BY list_id, position",
                r =>
                    (
                        Of: r.Text("list_id"),
                        Value: new ScreenSheet(
                            r.Text("name"),
                            r.Real("width_in"),
                            r.Real("height_in"),
                            [
                                .. breaks[(r.Text("list_id"), r.Int("position"))]
                                    .GroupBy(b => b.Colours)
                                    .Select(g => new ColourPrices(g.Key, [.. g.Select(b => b.Value)])),
                            ]
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);
        return connection.Query(
            $"SELECT * FROM screen_list WHERE {Rows.Only(id, "id")} ORDER BY product",
            r => new Versioned<ScreenTransferList>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    r.Text("product"),
                    r.Word<ScreenFormula>("formula"),
                    [.. sheets[r.Text("id")]],
                    r.Money("set_up_micros"),
                    r.Flag("counts_white"),
                    r.Int("least_sheets"),
                    r.Money("freight_micros"),
                    r.Int("lead_days")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<(string, int), ((string, int) Of, int Colours, PriceBreak Value)> Breaks(
        SqliteConnection connection,
        string? id
    ) =>
        connection
            .Query(
                $"SELECT * FROM screen_break WHERE {Rows.Only(id, "list_id")} ORDER BY list_id, position",
                r =>
                    (
                        Of: (r.Text("list_id"), r.Int("sheet_position")),
                        Colours: r.Int("colours"),
                        Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(b => b.Of);

    private static void Write(SqliteConnection connection, ScreenTransferList l, long version)
    {
        connection.Put(
            "screen_list",
            1,
            ("id", l.Id),
            ("version", version),
            ("supplier", l.Supplier),
            ("product", l.Product),
            ("formula", l.Formula),
            ("set_up_micros", l.SetUpPerColour),
            ("counts_white", l.CountsWhite),
            ("least_sheets", l.LeastSheets),
            ("freight_micros", l.FreightPerOrder),
            ("lead_days", l.LeadDays)
        );
        connection.Replace("screen_sheet", "list_id", l.Id, l.Sheets, s =>
            [("name", s.Name), ("width_in", s.WidthIn), ("height_in", s.HeightIn)]
        );
        connection.Replace(
            "screen_break",
            "list_id",
            l.Id,
            [
                .. l.Sheets.SelectMany(
                    (s, i) => s.Prices.SelectMany(p => p.Breaks.Select(b => (Sheet: i, p.Colours, Break: b)))
                ),
            ],
            x =>
                [
                    ("sheet_position", x.Sheet),
                    ("colours", x.Colours),
                    ("from_count", x.Break.From),
                    ("price_micros", x.Break.Price),
                ]
        );
    }
}
