using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A direct-to-garment printer with its inks and pretreatment (docs/trade 2); recipes of its cure are kept
/// under its identity.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="SpeedIn2PerMinute">Printed box area a minute in one pass, in²; mid and dark cloth takes two.</param>
/// <param name="MostWidthIn">Widest print, in.</param>
/// <param name="MostHeightIn">Tallest print, in.</param>
/// <param name="ColourMlPerIn2">Colour ink on a painted in², ml.</param>
/// <param name="ColourPricePerMl">Money for a ml.</param>
/// <param name="WhiteMlPerIn2">White ink on a painted in², ml; on mid and dark cloth.</param>
/// <param name="WhitePricePerMl">Money for a ml.</param>
/// <param name="PretreatMlPerIn2">Pretreatment on a sprayed in², ml; on mid and dark cloth.</param>
/// <param name="PretreatPricePerMl">Money for a ml.</param>
/// <param name="Equipment">What an hour of it costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record GarmentPrinter(
    ThingId Id,
    string Name,
    double SpeedIn2PerMinute,
    double MostWidthIn,
    double MostHeightIn,
    double ColourMlPerIn2,
    decimal ColourPricePerMl,
    double WhiteMlPerIn2,
    decimal WhitePricePerMl,
    double PretreatMlPerIn2,
    decimal PretreatPricePerMl,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(
                Name,
                "name",
                what: "The garment printer",
                "Give it a name you would call across the room."
            ),
            .. Ranges.Outside(
                (
                    SpeedIn2PerMinute,
                    0.01,
                    5000,
                    "speedIn2PerMinute",
                    "A speed",
                    "Time one print and divide, in² a minute."
                ),
                (MostWidthIn, 1, 60, "mostWidthIn", "A width", "The widest it prints."),
                (MostHeightIn, 1, 60, "mostHeightIn", "A height", "The tallest it prints."),
                (ColourMlPerIn2, 0, 1, "colourMlPerIn2", "Colour ink", "ml on a painted in²."),
                ((double)ColourPricePerMl, 0, 100, "colourPricePerMl", "A ml of colour", "Price of a bottle ÷ its ml."),
                (WhiteMlPerIn2, 0, 1, "whiteMlPerIn2", "White ink", "ml on a painted in²."),
                ((double)WhitePricePerMl, 0, 100, "whitePricePerMl", "A ml of white", "Price of a bottle ÷ its ml."),
                (PretreatMlPerIn2, 0, 2, "pretreatMlPerIn2", "Pretreatment", "0.10 ml a sprayed in² is usual."),
                (
                    (double)PretreatPricePerMl,
                    0,
                    100,
                    "pretreatPricePerMl",
                    "A ml of pretreatment",
                    "Price of a bottle ÷ its ml."
                )
            ),
            .. Equipment.Problems(),
        ];
}
