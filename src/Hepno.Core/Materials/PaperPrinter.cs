using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A desktop inkjet printer that transfer paper is printed on.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="SpeedIn2PerMinute">Printed box area a minute, in².</param>
/// <param name="WidestIn">Widest sheet it takes, in.</param>
/// <param name="InkMlPerIn2">Ink on a painted in², all channels, ml.</param>
/// <param name="InkPricePerMl">Money for a ml.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record PaperPrinter(
    ThingId Id,
    string Name,
    double SpeedIn2PerMinute,
    double WidestIn,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(Name, "name", what: "The inkjet printer", "Give it a name you would call across the room."),
            .. Ranges.Outside(
                (
                    SpeedIn2PerMinute,
                    0.01,
                    5000,
                    "speedIn2PerMinute",
                    "A speed",
                    "Time one print and divide, in² a minute."
                ),
                (WidestIn, 1, 64, "widestIn", "A width", "The widest sheet it takes."),
                (InkMlPerIn2, 0, 1, "inkMlPerIn2", "Ink", "ml on a painted in²: 0.01 is usual."),
                ((double)InkPricePerMl, 0, 100, "inkPricePerMl", "A ml of ink", "Price of a cartridge ÷ its ml.")
            ),
            .. Equipment.Problems(),
        ];
}
