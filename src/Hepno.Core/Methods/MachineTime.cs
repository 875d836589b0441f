using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Methods;

/// <summary>What a machine away from the press costs for the time it works on one piece.</summary>
internal static class MachineTime
{
    /// <summary>Seconds × an hour of the machine.</summary>
    public static Figure Of(EquipmentHour machine, double seconds, decimal tariffPerKwh, string source, Figure? tending = null)
    {
        var hour = machine.Cost(tariffPerKwh, source, tending) with { Label = "An hour of the printer" };
        return Figure.Of("machine", "Printer", Money.Times(seconds / 3600, hour.Value), "time × an hour of the printer", Figure.Input("time", "time", seconds, FigureUnit.Seconds, $"{source}: in² ÷ speed"), hour);
    }
}
