using Hepno.Core.Materials;
using Hepno.Core.Measures;

namespace Hepno.Store;

/// <summary>Price lists of bought film.</summary>
internal static class FilmStore
{
    public static Aggregate<TransferPriceList> Aggregate() => new("film", "film", (connection, id) =>
    {
        var breaks = connection.Query($"SELECT * FROM film_break WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, size_position, position", r => (Of: (r.Text("film_id"), r.Int("size_position")), Value: new PriceBreak(r.Int("from_count"), r.Money("price_micros"))), ("@id", id)).ToLookup(b => b.Of, b => b.Value);
        var sizes = connection.Query($"SELECT * FROM film_size WHERE {Rows.Only(id, "film_id")} ORDER BY film_id, position", r => (Of: r.Text("film_id"), Value: new TransferSize(r.Text("name"), r.Real("width_in"), r.Real("height_in"), [.. breaks[(r.Text("film_id"), r.Int("position"))]])), ("@id", id)).ToLookup(s => s.Of, s => s.Value);
        return connection.Query($"SELECT * FROM film WHERE {Rows.Only(id, "id")} ORDER BY product", r => new Versioned<TransferPriceList>(new(r.Text("id"), r.Text("supplier"), r.Text("product"), [.. sizes[r.Text("id")]], r.Money("freight_micros"), r.Int("lead_days")), r.Long("version")), ("@id", id));
    }, l => l.Id, (connection, l, version) =>
    {
        connection.Put("film", 1, ("id", l.Id), ("version", version), ("supplier", l.Supplier), ("product", l.Product), ("freight_micros", l.FreightPerOrder), ("lead_days", l.LeadDays));
        connection.Replace("film_size", "film_id", l.Id, l.Sizes, s => [("name", s.Name), ("width_in", s.WidthIn), ("height_in", s.HeightIn)]);
        connection.Execute("DELETE FROM film_break WHERE film_id = @id", ("@id", l.Id));
        for (var s = 0; s < l.Sizes.Count; s++)
        {
            for (var b = 0; b < l.Sizes[s].Breaks.Count; b++)
            {
                connection.Put("film_break", 3, ("film_id", l.Id), ("size_position", s), ("position", b), ("from_count", l.Sizes[s].Breaks[b].From), ("price_micros", l.Sizes[s].Breaks[b].Price));
            }
        }
    });
}
