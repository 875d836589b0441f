using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IKept<GarmentPrinter>, IMachine, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<GarmentPrinter> Described { get; } =
        new("garment-printer", noun: "garment-printers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "garment printer",
                Many: "Direct-to-garment printers",
                Add: "Add a garment printer",
                "No garment printer: direct printing stays folded."
            ),
            Fields = new FieldList<GarmentPrinter>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(
                    x => x.SpeedIn2PerMinute,
                    "Prints",
                    Unit.In2PerMinute,
                    40,
                    (0.01, 5000),
                    "Time one print and divide."
                )
                .Number(x => x.MostWidthIn, "Widest print", Unit.In, 14, (1, 60), "The widest it prints.")
                .Number(x => x.MostHeightIn, "Tallest print", Unit.In, 16, (1, 60), "The tallest it prints.")
                .Number(x => x.ColourMlPerIn2, "Colour", Unit.MlPerIn2, 0.012, (0, 1), "ml on a painted in².")
                .Money(
                    x => x.ColourPricePerMl,
                    "Colour",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Price of a bottle ÷ its ml.",
                    priceOf: "colour, a ml"
                )
                .Number(x => x.WhiteMlPerIn2, "White", Unit.MlPerIn2, 0.03, (0, 1), "ml on a painted in².")
                .Money(
                    x => x.WhitePricePerMl,
                    "White",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Price of a bottle ÷ its ml.",
                    priceOf: "white, a ml"
                )
                .Number(
                    x => x.PretreatMlPerIn2,
                    "Pretreatment",
                    Unit.MlPerIn2,
                    0.1,
                    (0, 2),
                    "0.10 ml a sprayed in² is usual."
                )
                .Money(
                    x => x.PretreatPricePerMl,
                    "Pretreatment",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Price of a bottle ÷ its ml.",
                    priceOf: "pretreatment, a ml"
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 4, ProductiveHoursAYear: 300, 0.3, DutyShare: 0.5, 0.2m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual and data sheets",
                    start: "Pretreatment sprays a fine mist: extraction and mask. "
                        + "The data sheets of ink and pretreatment decide.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    ColourPricePerMl = x.ColourPricePerMl * levels.Ink,
                    WhitePricePerMl = x.WhitePricePerMl * levels.Ink,
                    PretreatPricePerMl = x.PretreatPricePerMl * levels.Ink,
                },
            Order = ListedBy.Text<GarmentPrinter>(x => x.Name),
        };

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("agitate", "Shake the white ink", UpkeepEvery.Day, 3, 0),
            new("wet-cap", "Clean the capping station", UpkeepEvery.Week, 10, 0.60m),
        ];

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"print of {Name}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
