using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Price lists of bought film.</summary>
internal static class FilmStore
{
    public static Aggregate<TransferPriceList> Aggregate() => new("film", "film", Load, l => l.Id.Text, Write);

    private static List<Versioned<TransferPriceList>> Load(SqliteConnection connection, string? id)
    {
        var breaks = Breaks(connection, id);
        var sizes = connection
            .Query(
                $"SELECT * FROM film_size WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, position",
                r =>
                    (
                        Of: r.Text("film_id"),
                        Value: new TransferSize(
                            r.Text("name"),
                            r.Real("width_in"),
                            r.Real("height_in"),
                            [.. breaks[(r.Text("film_id"), r.Int("position"))]]
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);
        var steps = Steps(connection, id);
        var lengths = Lengths(connection, id);
        var sheetBreaks = SheetBreaks(connection, id);
        var sheets = connection
            .Query(
                $"SELECT * FROM film_sheet WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, position",
                r =>
                    (
                        Of: r.Text("film_id"),
                        Value: new FilmSheet(
                            r.Text("name"),
                            r.Real("width_in"),
                            r.Real("length_in"),
                            [.. sheetBreaks[(r.Text("film_id"), r.Int("position"))]]
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);
        return connection.Query(
            $"SELECT * FROM film WHERE {Rows.Only(id, "id")} ORDER BY product",
            r =>
            {
                var film = r.Text("id");
                var roll = r.RealOrNull("roll_width_in") is { } width
                    ? new FilmRoll(
                        width,
                        StepIn: r.RealOrNull("roll_step_in") ?? 0,
                        [.. steps[film]],
                        [.. lengths[film]]
                    )
                    : null;
                var byLayout = r.RealOrNull("gap_in") is { } gap
                    ? new FilmByLayout(gap, r.RealOrNull("margin_in") ?? 0, roll, [.. sheets[film]])
                    : null;
                return new Versioned<TransferPriceList>(
                    new(
                        new ThingId(film),
                        Supplier: r.Text("supplier"),
                        r.Text("product"),
                        [.. sizes[film]],
                        r.Money("freight_micros"),
                        r.Int("lead_days")
                    )
                    {
                        ByLayout = byLayout,
                        Kind = r.Word<TransferKind>("kind"),
                        SoldBelow = r.Flag("sold_below"),
                    },
                    r.Long("version")
                );
            },
            ("@id", id)
        );
    }

    private static ILookup<(string, int), PriceBreak> Breaks(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM film_break WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, "
                    + "size_position, position",
                r =>
                    (
                        Of: (r.Text("film_id"), r.Int("size_position")),
                        Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(b => b.Of, b => b.Value);

    private static ILookup<string, PriceBreak> Steps(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM film_roll_step WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, position",
                r => (Of: r.Text("film_id"), Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);

    private static ILookup<string, SetLength> Lengths(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM film_roll_length WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, position",
                r => (Of: r.Text("film_id"), Value: new SetLength(r.Real("length_in"), r.Money("price_micros"))),
                ("@id", id)
            )
            .ToLookup(s => s.Of, s => s.Value);

    private static ILookup<(string, int), PriceBreak> SheetBreaks(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM film_sheet_break WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, "
                    + "sheet_position, position",
                r =>
                    (
                        Of: (r.Text("film_id"), r.Int("sheet_position")),
                        Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))
                    ),
                ("@id", id)
            )
            .ToLookup(b => b.Of, b => b.Value);

    private static void Write(SqliteConnection connection, TransferPriceList l, long version)
    {
        connection.Put(
            "film",
            1,
            ("id", l.Id),
            ("version", version),
            ("supplier", l.Supplier),
            ("product", l.Product),
            ("freight_micros", l.FreightPerOrder),
            ("lead_days", l.LeadDays),
            ("kind", l.Kind),
            ("sold_below", l.SoldBelow),
            ("gap_in", l.ByLayout?.GapIn),
            ("margin_in", l.ByLayout?.MarginIn),
            ("roll_width_in", l.ByLayout?.Roll?.WidthIn),
            ("roll_step_in", l.ByLayout?.Roll?.StepIn)
        );
        connection.Replace("film_roll_step", "film_id", l.Id, l.ByLayout?.Roll?.Steps ?? [], b =>
            [("from_count", b.From), ("price_micros", b.Price)]
        );
        connection.Replace("film_roll_length", "film_id", l.Id, l.ByLayout?.Roll?.Lengths ?? [], s =>
            [("length_in", s.LengthIn), ("price_micros", s.Price)]
        );
        connection.Replace("film_sheet", "film_id", l.Id, l.ByLayout?.Sheets ?? [], s =>
            [("name", s.Name), ("width_in", s.WidthIn), ("length_in", s.LengthIn)]
        );
        connection.Replace("film_size", "film_id", l.Id, l.Sizes, s =>
            [("name", s.Name), ("width_in", s.WidthIn), ("height_in", s.HeightIn)]
        );
        WriteBreaks(connection, "film_break", "size_position", l.Id, [.. l.Sizes.Select(s => s.Breaks)]);
        WriteBreaks(
            connection,
            "film_sheet_break",
            "sheet_position",
            l.Id,
            [.. (l.ByLayout?.Sheets ?? []).Select(s => s.Breaks)]
        );
    }

    private static void WriteBreaks(
        SqliteConnection connection,
        string table,
        string of,
        ThingId filmId,
        IReadOnlyList<IReadOnlyList<PriceBreak>> breaks
    )
    {
        connection.Execute($"DELETE FROM {table} WHERE film_id = @id", ("@id", filmId));
        for (var i = 0; i < breaks.Count; i++)
        {
            for (var b = 0; b < breaks[i].Count; b++)
            {
                connection.Put(
                    table,
                    3,
                    ("film_id", filmId),
                    (of, i),
                    ("position", b),
                    ("from_count", breaks[i][b].From),
                    ("price_micros", breaks[i][b].Price)
                );
            }
        }
    }
}
