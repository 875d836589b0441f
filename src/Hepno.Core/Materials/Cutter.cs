using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A cutter for vinyl.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="CutWidthIn">Widest cut, in.</param>
/// <param name="SpeedIn2PerMinute">Box area cut a minute, in².</param>
/// <param name="Equipment">What an hour of it costs, blades in its upkeep.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record Cutter(
    ThingId Id,
    string Name,
    double CutWidthIn,
    double SpeedIn2PerMinute,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>What the owner must put right before the cutter can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new(
                "empty",
                "The cutter has no name.",
                Where: "name",
                "Give it a name you would call across the room."
            );
        }
        if (CutWidthIn is <= 0 or > 120)
        {
            yield return new(
                "range",
                $"A cut {CutWidthIn:0.##} in wide is outside 0 to 120.",
                Where: "cutWidthIn",
                "Type its widest cut."
            );
        }
        if (SpeedIn2PerMinute is <= 0 or > 5000)
        {
            yield return new(
                "range",
                $"A speed of {SpeedIn2PerMinute:0.##} in² a minute is outside 0 to 5,000.",
                Where: "speedIn2PerMinute",
                "Time one cut and divide."
            );
        }
        foreach (var problem in Equipment.Problems())
        {
            yield return problem;
        }
    }
}
