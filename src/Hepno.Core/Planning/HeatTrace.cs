using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>Platen temperature at a moment.</summary>
/// <param name="At">Wall clock.</param>
/// <param name="TemperatureF">°F.</param>
public sealed record HeatPoint(LocalDateTime At, double TemperatureF);

/// <summary>A platen's temperature through a day, as straight stretches between points.</summary>
public static class HeatTrace
{
    /// <summary>The line for one day: cold, rising, holding, stepping, cooling to the room.</summary>
    /// <param name="press">The press.</param>
    /// <param name="parts">That day's parts with their temperatures, in time order.</param>
    /// <param name="open">Opening.</param>
    /// <param name="close">Closing.</param>
    public static IReadOnlyList<HeatPoint> Draw(
        Press press,
        IReadOnlyList<(PressPart Part, double TemperatureF)> parts,
        LocalDateTime open,
        LocalDateTime close
    )
    {
        var line = new List<HeatPoint> { new(open, Press.RoomF) };
        foreach (var (part, temperature) in parts)
        {
            if (part.HeatFrom > line[^1].At)
            {
                line.Add(new(part.HeatFrom, line[^1].TemperatureF));
            }
            line.Add(new(part.Start, temperature));
            line.Add(new(part.End, temperature));
        }
        if (parts.Count > 0)
        {
            var cold = line[^1].At.PlusMinutes((line[^1].TemperatureF - Press.RoomF) / press.DropFPerMinute);
            line.Add(new(cold, Press.RoomF));
        }
        if (line[^1].At < close)
        {
            line.Add(new(close, Press.RoomF));
        }
        return line;
    }
}
