using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IKept<PaperPrinter>, IMachine
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<PaperPrinter> Described { get; } =
        new("paper-printer", noun: "paper-printers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "inkjet printer",
                Many: "Inkjet printers for paper",
                Add: "Add an inkjet printer",
                "No inkjet printer: transfer papers stay folded."
            ),
            Fields = new FieldList<PaperPrinter>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(
                    x => x.SpeedIn2PerMinute,
                    "Prints",
                    Unit.In2PerMinute,
                    20,
                    (0.01, 5000),
                    "Time one print and divide."
                )
                .Number(x => x.WidestIn, "Widest sheet", Unit.In, 8.5, (1, 64), "The widest sheet it takes.")
                .Number(x => x.InkMlPerIn2, "Ink", Unit.MlPerIn2, 0.012, (0, 1), "ml on a painted in²: 0.01 is usual.")
                .Money(
                    x => x.InkPricePerMl,
                    "Ink",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Price of a cartridge ÷ its ml.",
                    priceOf: "ink, a ml"
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 3, ProductiveHoursAYear: 300, 0.02, DutyShare: 0.5, 0.2m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual",
                    start: "Pigment ink for transfer paper: dye ink runs in the first wash. "
                        + "The maker’s manual decides.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            AtPrices = (x, levels) => x with { InkPricePerMl = x.InkPricePerMl * levels.Ink },
            Order = ListedBy.Text<PaperPrinter>(x => x.Name),
        };

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep => [new("nozzles", "Nozzle check", UpkeepEvery.Day, 1, 0.02m)];

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
