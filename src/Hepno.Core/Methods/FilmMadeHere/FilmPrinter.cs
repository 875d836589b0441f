using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IKept<FilmPrinter>, ITakesSupplies, IFilmMaker
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<FilmPrinter> Described { get; } =
        new("film-printer", noun: "film-printers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "film printer",
                Many: "Film printers",
                Add: "Add a film printer",
                "No film printer: film is bought in."
            ),
            Fields = new FieldList<FilmPrinter>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(x => x.RollWidthIn, "Printable width", Unit.In, 13, (0.01, 64), "Type what the printer does.")
                .Number(x => x.GapIn, "Gap between prints", Unit.In, 0.25, (0, 3), "A quarter inch is usual.")
                .Number(
                    x => x.SpeedIn2PerMinute,
                    "Prints",
                    Unit.In2PerMinute,
                    11,
                    (0.01, 5000),
                    "Time one print and divide."
                )
                .Number(
                    x => x.ColourMlPerIn2,
                    "Colour",
                    Unit.MlPerIn2,
                    0.011,
                    (0, 1),
                    "Look at the unit again: ml and g for an in²."
                )
                .Money(
                    x => x.ColourPricePerMl,
                    "Colour",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Look at the unit again: ml and g for an in².",
                    priceOf: "colour, a ml"
                )
                .Number(
                    x => x.WhiteMlPerIn2,
                    "White",
                    Unit.MlPerIn2,
                    0.014,
                    (0, 1),
                    "Look at the unit again: ml and g for an in²."
                )
                .Money(
                    x => x.WhitePricePerMl,
                    "White",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Look at the unit again: ml and g for an in².",
                    priceOf: "white, a ml"
                )
                .Flag(
                    x => x.WhiteOnLight,
                    "White on white and pale cloth",
                    start: true,
                    yes: "printed too",
                    no: "left out"
                )
                .Money(
                    x => x.FilmPricePerIn2,
                    "Film",
                    Unit.MoneyFor("an in²"),
                    (0, 10),
                    "Look at the unit again: ml and g for an in².",
                    priceOf: "film, an in²"
                )
                .Number(
                    x => x.PowderGPerIn2,
                    "Powder",
                    Unit.GPerIn2,
                    0.016,
                    (0, 1),
                    "Look at the unit again: ml and g for an in²."
                )
                .Money(
                    x => x.PowderPricePerG,
                    "Powder",
                    Unit.MoneyFor("a g"),
                    (0, 100),
                    "Look at the unit again: ml and g for an in².",
                    priceOf: "powder, a g"
                )
                .Number(
                    x => x.CleaningMlPerDay,
                    "Cleaning",
                    new("ml a day"),
                    15,
                    (0, 1000),
                    "Look at the unit again: ml and g for an in²."
                )
                .Money(
                    x => x.CleaningPricePerMl,
                    "Cleaning",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "Look at the unit again: ml and g for an in².",
                    priceOf: "cleaning, a ml"
                )
                .Number(
                    x => x.PrintsPerDay,
                    "Prints a day",
                    Unit.None,
                    30,
                    (0.01, 5000),
                    "Prints that share a day's cleaning."
                )
                .Choice(
                    x => x.Cure,
                    "Cured",
                    FilmCure.Oven,
                    [(FilmCure.Oven, "in an oven"), (FilmCure.HoverPress, "under the hovering press")]
                )
                .Number(
                    x => x.CureF,
                    "Cured at",
                    Unit.F,
                    UsualCureF,
                    (200, 400),
                    "The powder's sheet names it; 250 is usual."
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 4, ProductiveHoursAYear: 700, 0.7, DutyShare: 0.5, 0.4m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual and data sheets",
                    start: "Powder is fine dust: extraction and mask. Oven and film burn. The data sheets decide.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    FilmPricePerIn2 = x.FilmPricePerIn2 * levels.Film,
                    ColourPricePerMl = x.ColourPricePerMl * levels.Ink,
                    WhitePricePerMl = x.WhitePricePerMl * levels.Ink,
                    PowderPricePerG = x.PowderPricePerG * levels.Ink,
                    CleaningPricePerMl = x.CleaningPricePerMl * levels.Ink,
                },
            Order = ListedBy.Text<FilmPrinter>(x => x.Name),
        };

    /// <summary>Heat its powder is cured at, by its sheet, °F.</summary>
    public double CureF { get; init; } = FilmPrinter.UsualCureF;

    /// <summary>Heat powder is cured at where nothing else is said, °F (assumed).</summary>
    public const double UsualCureF = 250;

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("nozzles", "Nozzle check", UpkeepEvery.Day, 3, 0.15m),
            new("white", "Circulate the white", UpkeepEvery.Day, 2, 0),
            new("wiper", "Wiper and cap station", UpkeepEvery.Day, 6, 0.20m),
            new("head", "Head clean", UpkeepEvery.Week, 10, 2.40m),
        ];

    /// <inheritdoc/>
    IReadOnlyList<SupplySlot> ITakesSupplies.UsualSupplies =>
        [
            new(Supply.ColourInk, [], 800, LowAt: 100),
            new(Supply.WhiteInk, [], 500, LowAt: 100),
            new(Supply.Film, [], 3900, LowAt: 200),
            new(Supply.Powder, [], 1000, LowAt: 150),
        ];

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"film of {Name}";

    /// <summary>True when white is printed under the colour on this cloth.</summary>
    public bool HasWhiteOn(Colourway colourway) =>
        WhiteOnLight || colourway.Class is ColourClass.Mid or ColourClass.Dark;

    /// <summary>What prints of one place take: painted area × its ml and g an in² (docs/trade 2), film by rows; nothing
    /// of the roll for a print that does not go on it.</summary>
    public CureUse Use(Placement print, Colourway colourway, int count)
    {
        var painted = print.AreaIn2 * print.CoveragePercent / 100 * count;
        return new(
            painted * ColourMlPerIn2,
            WhiteMl: HasWhiteOn(colourway) ? painted * WhiteMlPerIn2 : 0,
            RollRows.Lay(print.WidthIn, print.HeightIn, GapIn / 2, RollWidthIn, count)?.LengthIn ?? 0,
            PowderG: painted * PowderGPerIn2
        );
    }

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
