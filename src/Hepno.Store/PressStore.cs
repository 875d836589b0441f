using Hepno.Core.Recipes;

namespace Hepno.Store;

/// <summary>Presses.</summary>
internal static class PressStore
{
    public static Aggregate<Press> Aggregate() => new("press", "press",
        (connection, id) => connection.Query($"SELECT * FROM press WHERE {Rows.Only(id, "id")} ORDER BY name", r => new Versioned<Press>(new(r.Text("id"), r.Text("name"), r.Text("kind"), r.Real("platen_width_in"), r.Real("platen_height_in"), r.Real("warm_up_minutes"), r.Real("rise_f"), r.Real("drop_f"), r.RealOrNull("offset_f"),
            r.Equipment(), r.Text("cautions")), r.Long("version")), ("@id", id)),
        p => p.Id,
        (connection, p, version) => connection.Put("press", 1, [("id", p.Id), ("version", version), ("name", p.Name), ("kind", p.Kind), ("platen_width_in", p.PlatenWidthIn), ("platen_height_in", p.PlatenHeightIn), ("warm_up_minutes", p.WarmUpMinutes), ("rise_f", p.RiseFPerMinute), ("drop_f", p.DropFPerMinute), ("offset_f", p.OffsetF),
            .. EquipmentColumns.Of(p.Equipment), ("cautions", p.Cautions)]));
}
