using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Screen printers that work is sent out to.</summary>
internal static class OutsidePrinterStore
{
    public static Aggregate<OutsidePrinter> Aggregate() =>
        new("outside-printer", "outside_printer", Load, p => p.Id.Text, Write);

    private static List<Versioned<OutsidePrinter>> Load(SqliteConnection connection, string? id)
    {
        var breaks = Breaks(connection, id);
        var blanks = Blanks(connection, id);
        return connection.Query(
            $"SELECT * FROM outside_printer WHERE {Rows.Only(id, "id")} ORDER BY supplier",
            r => new Versioned<OutsidePrinter>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    r.Money("set_up_micros"),
                    [
                        .. breaks[r.Text("id")]
                            .GroupBy(b => b.Screens)
                            .Select(g => new ColourPrices(g.Key, [.. g.Select(b => b.Value)])),
                    ],
                    r.Int("least_pieces"),
                    r.Real("spare_share"),
                    r.Money("freight_there_micros"),
                    FreightBack: r.Money("freight_back_micros"),
                    r.Int("lead_days"),
                    r.Real("most_width_in"),
                    r.Real("most_height_in")
                )
                {
                    RepeatPerScreen = r.MoneyOrNull("repeat_micros"),
                    KeepsMonths = r.Int("keeps_months"),
                    Blanks = [.. blanks[r.Text("id")]],
                },
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, (string Of, int Screens, PriceBreak Value)> Breaks(
        SqliteConnection connection,
        string? id
    ) =>
        connection
            .Query(
                $"SELECT * FROM outside_break WHERE {Rows.Only(id, "printer_id")} ORDER BY printer_id, position",
                r =>
                    (
                        Of: r.Text("printer_id"),
                        Screens: r.Int("screens"),
                        Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(b => b.Of);

    private static ILookup<string, OwnBlank> Blanks(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM outside_blank WHERE {Rows.Only(id, "printer_id")} ORDER BY printer_id, position",
                r =>
                    (
                        Of: r.Text("printer_id"),
                        Value: new OwnBlank(r.Word<GarmentKind>("kind"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(b => b.Of, b => b.Value);

    private static void Write(SqliteConnection connection, OutsidePrinter p, long version)
    {
        connection.Put(
            "outside_printer",
            1,
            ("id", p.Id),
            ("version", version),
            ("supplier", p.Supplier),
            ("set_up_micros", p.SetUpPerScreen),
            ("least_pieces", p.LeastPieces),
            ("spare_share", p.SpareShare),
            ("freight_there_micros", p.FreightThere),
            ("freight_back_micros", p.FreightBack),
            ("lead_days", p.LeadDays),
            ("most_width_in", p.MostWidthIn),
            ("most_height_in", p.MostHeightIn),
            ("repeat_micros", p.RepeatPerScreen),
            ("keeps_months", p.KeepsMonths)
        );
        connection.Replace(
            "outside_break",
            "printer_id",
            p.Id,
            [.. p.Prices.SelectMany(c => c.Breaks.Select(b => (c.Colours, Break: b)))],
            x => [("screens", x.Colours), ("from_count", x.Break.From), ("price_micros", x.Break.Price)]
        );
        connection.Replace("outside_blank", "printer_id", p.Id, p.Blanks, b =>
            [("kind", b.Kind), ("price_micros", b.Price)]
        );
    }
}
