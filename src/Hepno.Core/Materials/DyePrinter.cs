using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A dye printer with its ink, paper, tape and protection paper.</summary>
/// <param name="Id">Identity; recipes of dye prints are kept under it.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="SpeedIn2PerMinute">Printed box area a minute, in².</param>
/// <param name="InkMlPerIn2">Ink on a painted in², all channels, ml.</param>
/// <param name="InkPricePerMl">Money for a ml.</param>
/// <param name="SheetWidthIn">Paper width, in.</param>
/// <param name="SheetHeightIn">Paper height, in.</param>
/// <param name="SheetMarginIn">Not printable on all four sides, in.</param>
/// <param name="SheetPrice">Money for a sheet of paper.</param>
/// <param name="TapeInPerPrint">Heat tape for one print, in; never used twice, it ghosts.</param>
/// <param name="TapePricePerIn">Money for an in of tape.</param>
/// <param name="ProtectionPrice">Money for a sheet of protection paper; two to a press, each used once.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record DyePrinter(
    ThingId Id,
    string Name,
    double SpeedIn2PerMinute,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    double SheetWidthIn,
    double SheetHeightIn,
    double SheetMarginIn,
    decimal SheetPrice,
    double TapeInPerPrint,
    decimal TapePricePerIn,
    decimal ProtectionPrice,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>What the owner must put right before the printer can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new(
                "empty",
                "The dye printer has no name.",
                Where: "name",
                "Give it a name you would call across the room."
            );
        }
        if (SpeedIn2PerMinute is <= 0 or > 5000)
        {
            yield return new(
                "range",
                $"A speed of {SpeedIn2PerMinute:0.##} in² a minute is outside 0 to 5,000.",
                Where: "speedIn2PerMinute",
                "Time one print and divide."
            );
        }
        if (
            SheetWidthIn is <= 0 or > 64
            || SheetHeightIn is <= 0 or > 64
            || SheetMarginIn < 0
            || SheetMarginIn * 2 >= Math.Min(SheetWidthIn, SheetHeightIn)
        )
        {
            yield return new(
                "range",
                $"Paper of {SheetWidthIn:0.##} × {SheetHeightIn:0.##} in with a margin of {SheetMarginIn:0.##} "
                    + "in leaves nothing to print on.",
                Where: "sheetWidthIn",
                "Type the sheet's size and what the printer leaves free."
            );
        }
        foreach (
            var (value, most, field, what) in new[]
            {
                (InkMlPerIn2, 1.0, "inkMlPerIn2", "Ink"),
                ((double)InkPricePerMl, 100, "inkPricePerMl", "A ml of ink"),
                ((double)SheetPrice, 100, "sheetPrice", "A sheet"),
                (TapeInPerPrint, 200, "tapeInPerPrint", "Tape"),
                ((double)TapePricePerIn, 10, "tapePricePerIn", "An in of tape"),
                ((double)ProtectionPrice, 100, "protectionPrice", "Protection paper"),
            }
        )
        {
            if (value < 0 || value > most)
            {
                yield return new(
                    "range",
                    $"{what} of {value:0.####} is outside 0 to {most:0}.",
                    Where: field,
                    "Look at the unit again."
                );
            }
        }
        foreach (var problem in Equipment.Problems())
        {
            yield return problem;
        }
    }
}
