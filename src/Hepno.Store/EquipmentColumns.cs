using Hepno.Core.Costing;

namespace Hepno.Store;

/// <summary>What an hour of a machine costs, as every machine's table keeps it.</summary>
internal static class EquipmentColumns
{
    public static EquipmentHour Equipment(this Rows.Row r) =>
        new(
            r.Money("price_new_micros"),
            Resale: r.Money("resale_micros"),
            r.Real("useful_years"),
            ProductiveHoursAYear: r.Real("hours_a_year"),
            r.Real("power_kw"),
            DutyShare: r.Real("duty_share"),
            r.Money("upkeep_micros")
        );

    public static (string, object?)[] Of(EquipmentHour e) =>
        [
            ("price_new_micros", e.PriceNew),
            ("resale_micros", e.Resale),
            ("useful_years", e.UsefulYears),
            ("hours_a_year", e.ProductiveHoursAYear),
            ("power_kw", e.PowerKw),
            ("duty_share", e.DutyShare),
            ("upkeep_micros", e.UpkeepPerHour),
        ];
}
