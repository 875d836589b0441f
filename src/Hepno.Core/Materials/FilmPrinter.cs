using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>Where own film is cured.</summary>
public enum FilmCure
{
    /// <summary>In an oven beside the press.</summary>
    Oven,

    /// <summary>Under the hovering platen: the press is taken, and set again afterwards.</summary>
    HoverPress,
}

/// <summary>A film printer with the ink, film and powder it takes.</summary>
/// <param name="Id">Identity; recipes of own film are kept under it.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="RollWidthIn">Printable width of the film, in.</param>
/// <param name="GapIn">Between prints, half of it along the edges, in.</param>
/// <param name="SpeedIn2PerMinute">Printed box area a minute, in².</param>
/// <param name="ColourMlPerIn2">Colour ink on a painted in², ml.</param>
/// <param name="ColourPricePerMl">Money for a ml of it.</param>
/// <param name="WhiteMlPerIn2">White ink on a painted in², ml.</param>
/// <param name="WhitePricePerMl">Money for a ml of it.</param>
/// <param name="WhiteOnLight">True when white is printed under the colour on white and pale cloth too.</param>
/// <param name="FilmPricePerIn2">Money for an in² of film.</param>
/// <param name="PowderGPerIn2">Powder on a painted in², g.</param>
/// <param name="PowderPricePerG">Money for a g of it.</param>
/// <param name="CleaningMlPerDay">Ink spent on cleaning on a day it prints, ml.</param>
/// <param name="CleaningPricePerMl">Money for a ml of it.</param>
/// <param name="PrintsPerDay">Prints that share a day's cleaning.</param>
/// <param name="Cure">Where it is cured.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What its manual and the powder's data sheet warn of.</param>
public sealed record FilmPrinter(
    ThingId Id,
    string Name,
    double RollWidthIn,
    double GapIn,
    double SpeedIn2PerMinute,
    double ColourMlPerIn2,
    decimal ColourPricePerMl,
    double WhiteMlPerIn2,
    decimal WhitePricePerMl,
    bool WhiteOnLight,
    decimal FilmPricePerIn2,
    double PowderGPerIn2,
    decimal PowderPricePerG,
    double CleaningMlPerDay,
    decimal CleaningPricePerMl,
    double PrintsPerDay,
    FilmCure Cure,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>Heat its powder is cured at, by its sheet, °F.</summary>
    public double CureF { get; init; } = FilmPrinter.UsualCureF;

    /// <summary>Heat powder is cured at where nothing else is said, °F (assumed).</summary>
    public const double UsualCureF = 250;

    /// <summary>What the owner must put right before the printer can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(Name))
        {
            yield return new(
                "empty",
                "The film printer has no name.",
                Where: "name",
                "Give it a name you would call across the room."
            );
        }
        foreach (
            var (value, most, field, what) in new[]
            {
                (RollWidthIn, 64.0, "rollWidthIn", "A printable width"),
                (SpeedIn2PerMinute, 5000, "speedIn2PerMinute", "A speed"),
                (PrintsPerDay, 5000, "printsPerDay", "A day's prints"),
            }
        )
        {
            if (value <= 0 || value > most)
            {
                yield return new(
                    "range",
                    $"{what} of {value:0.###} is outside 0 to {most:0}.",
                    Where: field,
                    "Type what the printer does."
                );
            }
        }
        foreach (
            var (value, most, field, what) in new[]
            {
                (GapIn, 3.0, "gapIn", "A gap"),
                (ColourMlPerIn2, 1, "colourMlPerIn2", "Colour ink"),
                (WhiteMlPerIn2, 1, "whiteMlPerIn2", "White ink"),
                (PowderGPerIn2, 1, "powderGPerIn2", "Powder"),
                (CleaningMlPerDay, 1000, "cleaningMlPerDay", "Cleaning ink"),
                ((double)ColourPricePerMl, 100, "colourPricePerMl", "A ml of colour"),
                ((double)WhitePricePerMl, 100, "whitePricePerMl", "A ml of white"),
                ((double)FilmPricePerIn2, 10, "filmPricePerIn2", "An in² of film"),
                ((double)PowderPricePerG, 100, "powderPricePerG", "A g of powder"),
                ((double)CleaningPricePerMl, 100, "cleaningPricePerMl", "A ml of cleaning ink"),
            }
        )
        {
            if (value < 0 || value > most)
            {
                yield return new(
                    "range",
                    $"{what} of {value:0.####} is outside 0 to {most:0}.",
                    Where: field,
                    "Look at the unit again: ml and g for an in²."
                );
            }
        }
        if (CureF is not (>= 200 and <= 400))
        {
            yield return new(
                "range",
                $"A cure at {CureF:0} °F is outside 200 to 400.",
                Where: "cureF",
                "The powder's sheet names it; 250 is usual."
            );
        }
        foreach (var problem in Equipment.Problems())
        {
            yield return problem;
        }
    }
}
