using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What a machine away from the press costs for the time it works on one piece.</summary>
internal static class MachineTime
{
    /// <summary>Seconds × an hour of the machine.</summary>
    public static Figure Reckon(
        EquipmentHour machine,
        double seconds,
        decimal tariffPerKwh,
        string source,
        Figure? tending = null,
        string what = "printer",
        string how = "in² ÷ speed"
    )
    {
        var hour = machine.Cost(tariffPerKwh, source, tending) with { Label = $"An hour of the {what}" };
        return Figure.Of(
            "machine",
            $"{char.ToUpperInvariant(what[0])}{what[1..]}",
            Money.Times(seconds / 3600, hour.Value),
            $"time × an hour of the {what}",
            Figure.Input("time", "time", seconds, FigureUnit.Seconds, $"{source}: {how}"),
            hour
        );
    }

    /// <summary>What the cutter takes for an attempt.</summary>
    public static Figure Cutting(Cutter cutter, double seconds, ShopBook book) =>
        Reckon(
            cutter.Equipment,
            seconds,
            book.Numbers.Rates.TariffPerKwh,
            $"Floor: {cutter.Name}",
            book.TendingOf(cutter.Id, cutter.Equipment)
        ) with
        {
            Code = "cutter",
            Label = "Cutter",
        };
}
