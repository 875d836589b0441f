using Hepno.Core.Recipes;

namespace Hepno.Store;

/// <summary>Presses.</summary>
internal static class PressStore
{
    public static Aggregate<Press> Aggregate() => new("press", "press",
        (connection, id) =>
        {
            var lowers = connection.Query($"SELECT * FROM press_lower WHERE {Rows.Only(id, "press_id")} ORDER BY press_id, position", r => (Of: r.Text("press_id"), Value: new LowerPlaten(r.Text("name"), r.Real("width_in"), r.Real("height_in"))), ("@id", id)).ToLookup(l => l.Of, l => l.Value);
            return connection.Query($"SELECT * FROM press WHERE {Rows.Only(id, "id")} ORDER BY name", r => new Versioned<Press>(new(r.Text("id"), r.Text("name"), r.Text("kind"), r.Real("platen_width_in"), r.Real("platen_height_in"), r.Real("warm_up_minutes"), r.Real("rise_f"), r.Real("drop_f"), r.RealOrNull("offset_f"),
            r.Equipment(), r.Text("cautions"), lowers[r.Text("id")].Any() ? [.. lowers[r.Text("id")]] : null), r.Long("version")), ("@id", id));
        },
        p => p.Id,
        (connection, p, version) =>
        {
            connection.Put("press", 1, [("id", p.Id), ("version", version), ("name", p.Name), ("kind", p.Kind), ("platen_width_in", p.PlatenWidthIn), ("platen_height_in", p.PlatenHeightIn), ("warm_up_minutes", p.WarmUpMinutes), ("rise_f", p.RiseFPerMinute), ("drop_f", p.DropFPerMinute), ("offset_f", p.OffsetF),
            .. EquipmentColumns.Of(p.Equipment), ("cautions", p.Cautions)]);
            connection.Replace("press_lower", "press_id", p.Id, p.Lowers ?? [], l => [("name", l.Name), ("width_in", l.WidthIn), ("height_in", l.HeightIn)]);
        });
}
