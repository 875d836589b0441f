using Hepno.Core.Costing;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A heated drum that presses printed paper onto cloth by the roll, with the printer that prints the paper
/// (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="PaperWidthIn">Width of the paper that can be printed, in.</param>
/// <param name="PaperPricePerFoot">Money for a foot of paper, its protection paper in it.</param>
/// <param name="PrintIn2PerMinute">Printed area a minute, in².</param>
/// <param name="InkMlPerIn2">Ink on a painted in², all channels, ml.</param>
/// <param name="InkPricePerMl">Money for a ml.</param>
/// <param name="InPerMinute">Length of cloth through the drum a minute, in.</param>
/// <param name="NotionsPerPiece">Money for thread, neck tape and label of a garment.</param>
/// <param name="Equipment">What an hour of drum and printer costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record Calender(
    ThingId Id,
    string Name,
    double PaperWidthIn,
    decimal PaperPricePerFoot,
    double PrintIn2PerMinute,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    double InPerMinute,
    decimal NotionsPerPiece,
    EquipmentHour Equipment,
    string Cautions
) : IThing
{
    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(Name, "name", what: "The calender", "Give it a name you would call across the room."),
            .. Ranges.Outside(
                (PaperWidthIn, 6, 200, "paperWidthIn", "A width of paper", "What its printer prints across."),
                (
                    (double)PaperPricePerFoot,
                    0,
                    100,
                    "paperPricePerFoot",
                    "A foot of paper",
                    "A roll's price ÷ its feet."
                ),
                (PrintIn2PerMinute, 1, 100_000, "printIn2PerMinute", "A speed of printing", "Time a yard and divide."),
                (InkMlPerIn2, 0, 1, "inkMlPerIn2", "Ink", "Ml on a painted in²."),
                ((double)InkPricePerMl, 0, 100, "inkPricePerMl", "A ml of ink", "A bottle's price ÷ its ml."),
                (InPerMinute, 0.5, 2000, "inPerMinute", "A speed of the drum", "Inches of cloth a minute."),
                ((double)NotionsPerPiece, 0, 100, "notionsPerPiece", "Thread, tape and label", "Money a garment.")
            ),
            .. Equipment.Problems(),
        ];
}
