using Hepno.Core.Blanks;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Blanks with their fabric, colours and sizes.</summary>
public static class StyleStore
{
    internal static Aggregate<Style> Aggregate() => new("style", "style", (connection, id) =>
    {
        var fabric = connection.Query($"SELECT * FROM style_fabric WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position", r => (Of: r.Text("style_id"), Value: new FabricShare(r.Word<Fibre>("fibre"), r.Real("percent"))), ("@id", id)).ToLookup(f => f.Of, f => f.Value);
        var colours = connection.Query($"SELECT * FROM style_colourway WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position", r => (Of: r.Text("style_id"), Value: new Colourway(r.Text("id"), r.Text("name"), r.Text("hex"), r.Word<ColourClass>("class"))), ("@id", id)).ToLookup(f => f.Of, f => f.Value);
        var sizes = connection.Query($"SELECT * FROM style_size WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position", r => (Of: r.Text("style_id"), Value: new StyleSize(r.Text("name"), r.Money("surcharge_micros"))), ("@id", id)).ToLookup(f => f.Of, f => f.Value);
        var lying = connection.Query($"SELECT * FROM style_on_hand WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position", r => (Of: r.Text("style_id"), Value: new OnHand(r.Text("colourway_id"), r.Text("size"), r.Int("pieces"))), ("@id", id)).ToLookup(f => f.Of, f => f.Value);
        return connection.Query($"SELECT * FROM style WHERE {Rows.Only(id, "id")} ORDER BY name", r =>
        {
            var of = r.Text("id");
            return new Versioned<Style>(new(of, r.Text("name"), r.Text("supplier"), r.Word<GarmentKind>("kind"), [.. fabric[of]], r.Real("weight_gsm"), r.Real("heat_ceiling_f"), r.Money("unit_price_micros"), r.Money("freight_micros"), r.Int("lead_days"), [.. colours[of]], [.. sizes[of]], r.Flag("retired"), lying[of].Any() ? [.. lying[of]] : null), r.Long("version"));
        }, ("@id", id));
    }, s => s.Id, (connection, s, version) =>
    {
        connection.Put("style", 1, ("id", s.Id), ("version", version), ("name", s.Name), ("supplier", s.Supplier), ("kind", s.Kind), ("weight_gsm", s.WeightGsm), ("heat_ceiling_f", s.HeatCeilingF), ("unit_price_micros", s.UnitPrice), ("freight_micros", s.FreightPerOrder), ("lead_days", s.LeadDays), ("retired", s.Retired));
        connection.Replace("style_fabric", "style_id", s.Id, s.Fabric, f => [("fibre", f.Fibre), ("percent", f.Percent)]);
        connection.Replace("style_colourway", "style_id", s.Id, s.Colourways, c => [("id", c.Id), ("name", c.Name), ("hex", c.Hex), ("class", c.Class)]);
        connection.Replace("style_size", "style_id", s.Id, s.Sizes, z => [("name", z.Name), ("surcharge_micros", z.Surcharge)]);
        connection.Replace("style_on_hand", "style_id", s.Id, s.OnHand ?? [], o => [("colourway_id", o.ColourwayId), ("size", o.Size), ("pieces", o.Pieces)]);
    });

    /// <summary>Numbers of the orders that use a style and are not closed.</summary>
    public static List<int> OpenOrdersOf(SqliteConnection connection, string styleId) => connection.Query("SELECT number FROM orders WHERE closed_at IS NULL AND id IN (SELECT order_id FROM order_line WHERE style_id = @id) ORDER BY number", r => r.Int("number"), ("@id", styleId));
}
