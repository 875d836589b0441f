using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IKept<DyePrinter>, ITakesSupplies, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<DyePrinter> Described { get; } =
        new("dye-printer", noun: "dye-printers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "dye printer",
                Many: "Dye printers",
                Add: "Add a dye printer",
                "No dye printer: dye sublimation stays folded."
            ),
            Fields = new FieldList<DyePrinter>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(
                    x => x.SpeedIn2PerMinute,
                    "Prints",
                    Unit.In2PerMinute,
                    30,
                    (0.01, 5000),
                    "Time one print and divide."
                )
                .Number(x => x.InkMlPerIn2, "Ink", Unit.MlPerIn2, 0.01, (0, 1), "ml on a painted in²: 0.01 is usual.")
                .Money(
                    x => x.InkPricePerMl,
                    "Ink",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Price of a bottle ÷ its ml.",
                    priceOf: "ink, a ml"
                )
                .Number(x => x.SheetWidthIn, "Sheet width", Unit.In, 13, (0.01, 64), "Measure a sheet.")
                .Number(x => x.SheetHeightIn, "Sheet height", Unit.In, 19, (0.01, 64), "Measure a sheet.")
                .Number(
                    x => x.SheetMarginIn,
                    "Not printable round it",
                    Unit.In,
                    0.25,
                    (0, 32),
                    "The printer's manual says how much."
                )
                .Money(
                    x => x.SheetPrice,
                    "A sheet",
                    Unit.None,
                    (0, 100),
                    "Price of a pack ÷ its sheets.",
                    priceOf: "a sheet"
                )
                .Number(x => x.TapeInPerPrint, "Tape a print", Unit.In, 8, (0, 200), "What you tear off for one.")
                .Money(
                    x => x.TapePricePerIn,
                    "Tape",
                    Unit.MoneyFor("an in"),
                    (0, 10),
                    "Price of a roll ÷ its inches.",
                    priceOf: "tape, an in"
                )
                .Money(
                    x => x.ProtectionPrice,
                    "Protection paper",
                    Unit.MoneyFor("a sheet"),
                    (0, 100),
                    "Price of a pack ÷ its sheets.",
                    priceOf: "protection paper, a sheet"
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 4, ProductiveHoursAYear: 700, 0.7, DutyShare: 0.5, 0.4m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual and data sheets",
                    start: "Dye fumes while pressing: ventilate. The data sheet decides.",
                    lines: 2
                ),
            Rules = x => x.Margins().Concat(x.Equipment.Problems()),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    InkPricePerMl = x.InkPricePerMl * levels.Ink,
                    SheetPrice = x.SheetPrice * levels.Film,
                    ProtectionPrice = x.ProtectionPrice * levels.Film,
                },
            Order = ListedBy.Text<DyePrinter>(x => x.Name),
        };

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("nozzles", "Nozzle check", UpkeepEvery.Day, 2, 0.05m),
            new("head", "Head clean", UpkeepEvery.Month, 8, 1.20m),
        ];

    /// <inheritdoc/>
    IReadOnlyList<SupplySlot> ITakesSupplies.UsualSupplies =>
        [new(Supply.DyeInk, [], 500, LowAt: 60), new(Supply.Paper, [], 100, LowAt: 15)];

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"dye of {Name}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    private IEnumerable<Problem> Margins()
    {
        if (SheetMarginIn * 2 >= Math.Min(SheetWidthIn, SheetHeightIn))
        {
            yield return new(
                "range",
                $"Paper of {SheetWidthIn:0.##} × {SheetHeightIn:0.##} in with a margin of {SheetMarginIn:0.##} "
                    + "in leaves nothing to print on.",
                Where: "sheetMarginIn",
                "Type the sheet's size and what the printer leaves free."
            );
        }
    }
}
