using Hepno.Core.Curing;
using Hepno.Core.Methods;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Cure batches with whose prints they hold.</summary>
public static class CureStore
{
    internal static Aggregate<CureBatch> Aggregate() =>
        new("cure", "cure", (connection, id) => Load(connection, Rows.Only(id, "id"), ("@id", id)), b => b.Id, Write);

    /// <summary>Batches with prints of an order, newest first.</summary>
    public static List<Versioned<CureBatch>> OfOrder(SqliteConnection connection, OrderId orderId) =>
        Load(connection, "id IN (SELECT cure_id FROM cure_print WHERE order_id = @order)", ("@order", orderId));

    /// <summary>Batches of a printer, newest first.</summary>
    public static List<Versioned<CureBatch>> OfPrinter(SqliteConnection connection, ThingId printerId) =>
        Load(connection, "printer_id = @printer", ("@printer", printerId));

    /// <summary>The number the next batch gets.</summary>
    public static int NextNumber(SqliteConnection connection) =>
        (int)connection.Scalar("SELECT coalesce(max(number), 0) + 1 FROM cure");

    private static List<Versioned<CureBatch>> Load(
        SqliteConnection connection,
        string where,
        params ReadOnlySpan<(string, object?)> values
    )
    {
        var inside = $"cure_id IN (SELECT id FROM cure WHERE {where})";
        var prints = connection
            .Query(
                $"SELECT * FROM cure_print WHERE {inside} ORDER BY cure_id, position",
                r =>
                    (
                        Of: r.Text("cure_id"),
                        Value: new CuredPrints(
                            r.Id<OrderId>("order_id"),
                            r.Id<LineId>("line_id"),
                            r.Id<PlacementId>("placement_id"),
                            r.Int("prints"),
                            r.Flag("white_only")
                        )
                    ),
                values
            )
            .ToLookup(p => p.Of, p => p.Value);
        var lots = connection
            .Query(
                $"SELECT * FROM cure_lot WHERE {inside} ORDER BY cure_id, position",
                r => (Of: r.Text("cure_id"), Lot: r.Text("lot")),
                values
            )
            .ToLookup(l => l.Of, l => l.Lot);
        return connection.Query(
            $"SELECT * FROM cure WHERE {where} ORDER BY number DESC",
            r => new Versioned<CureBatch>(
                new(
                    r.Text("id"),
                    r.Int("number"),
                    r.Id<ThingId>("printer_id"),
                    r.Wall("at_wall"),
                    r.Id<PressId>("station_id"),
                    r.Real("temperature_f"),
                    Minutes: r.Real("minutes"),
                    r.Text("by_whom"),
                    r.Word<CureSign>("sign"),
                    r.Word<ControlPrint>("before_print"),
                    r.Word<ControlPrint>("after_print"),
                    [.. prints[r.Text("id")]],
                    [.. lots[r.Text("id")]],
                    new CureUse(
                        r.Real("colour_ml"),
                        WhiteMl: r.Real("white_ml"),
                        r.Real("film_in"),
                        PowderG: r.Real("powder_g")
                    ),
                    r.Word<CureVerdict>("verdict"),
                    r.Text("why")
                ),
                r.Long("version")
            ),
            values
        );
    }

    private static void Write(SqliteConnection connection, CureBatch b, long version)
    {
        connection.Put(
            "cure",
            1,
            ("id", b.Id),
            ("version", version),
            ("number", b.Number),
            ("printer_id", b.PrinterId),
            ("at_wall", b.At),
            ("station_id", b.StationId),
            ("temperature_f", b.TemperatureF),
            ("minutes", b.Minutes),
            ("by_whom", b.By),
            ("sign", b.Sign),
            ("before_print", b.Before),
            ("after_print", b.After),
            ("colour_ml", b.Use.ColourMl),
            ("white_ml", b.Use.WhiteMl),
            ("film_in", b.Use.FilmIn),
            ("powder_g", b.Use.PowderG),
            ("verdict", b.Verdict),
            ("why", b.Why)
        );
        connection.Replace("cure_print", "cure_id", b.Id, b.Prints, p =>
            [
                ("order_id", p.OrderId),
                ("line_id", p.LineId),
                ("placement_id", p.PlacementId),
                ("prints", p.Prints),
                ("white_only", p.WhiteOnly),
            ]
        );
        connection.Replace("cure_lot", "cure_id", b.Id, b.Lots, l => [("lot", l)]);
    }
}
