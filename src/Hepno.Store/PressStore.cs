using Hepno.Core.Costing;
using Hepno.Core.Recipes;

namespace Hepno.Store;

/// <summary>Presses.</summary>
internal static class PressStore
{
    public static Aggregate<Press> Aggregate() => new("press", "press",
        (connection, id) => connection.Query("SELECT * FROM press WHERE @id IS NULL OR id = @id ORDER BY name", r => new Versioned<Press>(new(r.Text("id"), r.Text("name"), r.Text("kind"), r.Real("platen_width_in"), r.Real("platen_height_in"), r.Real("warm_up_minutes"), r.Real("rise_f"), r.Real("drop_f"), r.RealOrNull("offset_f"),
            new EquipmentHour(r.Money("price_new_micros"), r.Money("resale_micros"), r.Real("useful_years"), r.Real("hours_a_year"), r.Real("power_kw"), r.Real("duty_share"), r.Money("upkeep_micros")), r.Text("cautions")), r.Long("version")), ("@id", id)),
        p => p.Id,
        (connection, p, version) => connection.Put("press", 1, ("id", p.Id), ("version", version), ("name", p.Name), ("kind", p.Kind), ("platen_width_in", p.PlatenWidthIn), ("platen_height_in", p.PlatenHeightIn), ("warm_up_minutes", p.WarmUpMinutes), ("rise_f", p.RiseFPerMinute), ("drop_f", p.DropFPerMinute), ("offset_f", p.OffsetF),
            ("price_new_micros", p.Equipment.PriceNew), ("resale_micros", p.Equipment.Resale), ("useful_years", p.Equipment.UsefulYears), ("hours_a_year", p.Equipment.ProductiveHoursAYear), ("power_kw", p.Equipment.PowerKw), ("duty_share", p.Equipment.DutyShare), ("upkeep_micros", p.Equipment.UpkeepPerHour), ("cautions", p.Cautions)));
}
