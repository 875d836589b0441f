using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>Film sheets that a direct-to-garment printer prints, and how it prints them: its ink by channel, its own
/// speeds, powder by hand (docs/trade 2). Recipes of its prints are kept under its identity; ink costs what the printer
/// says.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="SheetWidthIn">Width of a sheet, in.</param>
/// <param name="SheetHeightIn">Height of a sheet, in.</param>
/// <param name="EdgeIn">Kept free along its edges, where it is held, in.</param>
/// <param name="GapIn">Between prints, in.</param>
/// <param name="SheetPrice">Money for a sheet.</param>
/// <param name="ColourMlPerIn2">Colour ink on a painted in², ml.</param>
/// <param name="WhiteMlPerIn2">White ink on a painted in², ml.</param>
/// <param name="WhiteOnLight">True when white is printed on the colour for white and pale cloth too.</param>
/// <param name="ColourIn2PerMinute">Printed box area a minute in the colour pass, in².</param>
/// <param name="WhiteIn2PerMinute">Printed box area a minute in the white pass, in².</param>
/// <param name="LoadSeconds">Hands to lay a sheet, and take it off, s.</param>
/// <param name="FeedBackSeconds">Hands between the passes: out and in again, or fed back, s.</param>
/// <param name="PowderGPerIn2">Powder on a painted in², g.</param>
/// <param name="PowderPricePerG">Money for a g of it.</param>
/// <param name="CleanUpMinutes">Hands to clean the platen and take up the powder, once for a line, min.</param>
/// <param name="Cure">Where it is cured.</param>
/// <param name="CureF">Heat its powder is cured at, by its sheet, °F.</param>
/// <param name="Cautions">What the data sheets of film and powder warn of.</param>
public sealed record GarmentFilm(
    ThingId Id,
    string Name,
    double SheetWidthIn,
    double SheetHeightIn,
    double EdgeIn,
    double GapIn,
    decimal SheetPrice,
    double ColourMlPerIn2,
    double WhiteMlPerIn2,
    bool WhiteOnLight,
    double ColourIn2PerMinute,
    double WhiteIn2PerMinute,
    double LoadSeconds,
    double FeedBackSeconds,
    double PowderGPerIn2,
    decimal PowderPricePerG,
    double CleanUpMinutes,
    FilmCure Cure,
    double CureF,
    string Cautions
) : IKept<GarmentFilm>, IFilmMaker
{
    private const string Weigh = "ml and g an in²: weigh a sheet before and after.";

    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<GarmentFilm> Described { get; } =
        new("garment-film", noun: "garment-films", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "film for a garment printer",
                Many: "Film for a garment printer",
                Add: "Add film for a garment printer",
                "None: the garment printer prints garments only."
            ),
            Fields = new FieldList<GarmentFilm>()
                .Named(x => x.Name, "Name", help: "What stands on its box.")
                .Number(x => x.SheetWidthIn, "Sheet, wide", Unit.In, 10, (1, 60), "Measure a sheet.")
                .Number(x => x.SheetHeightIn, "Sheet, tall", Unit.In, 12, (1, 60), "Measure a sheet.")
                .Number(x => x.EdgeIn, "Edge kept free", Unit.In, 0.5, (0, 4), "Where tape or the platen holds it.")
                .Number(x => x.GapIn, "Gap between prints", Unit.In, 0.25, (0, 4), "A quarter inch is usual.")
                .Money(
                    x => x.SheetPrice,
                    "Film",
                    Unit.MoneyFor("a sheet"),
                    (0, 1000),
                    "Price of a box ÷ its sheets.",
                    priceOf: "film, a sheet"
                )
                .Number(x => x.ColourMlPerIn2, "Colour", Unit.MlPerIn2, 0.012, (0, 1), Weigh)
                .Number(x => x.WhiteMlPerIn2, "White", Unit.MlPerIn2, 0.03, (0, 1), Weigh)
                .Flag(
                    x => x.WhiteOnLight,
                    "White for white and pale cloth",
                    start: true,
                    yes: "printed too",
                    no: "left out"
                )
                .Number(
                    x => x.ColourIn2PerMinute,
                    "Prints colour",
                    Unit.In2PerMinute,
                    20,
                    (0.01, 5000),
                    "Time one sheet and divide."
                )
                .Number(
                    x => x.WhiteIn2PerMinute,
                    "Prints white",
                    Unit.In2PerMinute,
                    12,
                    (0.01, 5000),
                    "Time one sheet and divide."
                )
                .Number(x => x.LoadSeconds, "A sheet on and off", Unit.Seconds, 30, (0, 3600), "Time it.")
                .Number(x => x.FeedBackSeconds, "Between the passes", Unit.Seconds, 40, (0, 3600), "Time it.")
                .Number(x => x.PowderGPerIn2, "Powder", Unit.GPerIn2, 0.018, (0, 1), Weigh)
                .Money(
                    x => x.PowderPricePerG,
                    "Powder",
                    Unit.MoneyFor("a g"),
                    (0, 100),
                    "Price of a bag ÷ its g.",
                    priceOf: "powder, a g"
                )
                .Number(x => x.CleanUpMinutes, "Clean-up", new("min"), 10, (0, 480), "Once for a line.")
                .Choice(
                    x => x.Cure,
                    "Cured",
                    FilmCure.HoverPress,
                    [(FilmCure.Oven, "in an oven"), (FilmCure.HoverPress, "under the hovering press")]
                )
                .Number(
                    x => x.CureF,
                    "Cured at",
                    Unit.F,
                    FilmPrinter.UsualCureF,
                    (200, 400),
                    "The powder's sheet names it; 250 is usual."
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of the data sheets",
                    start: "Powder is fine dust: extraction and mask, and none of it near the heads. Hot film burns. "
                        + "Ask the printer's maker whether film voids its warranty. The data sheets decide.",
                    lines: 2
                ),
            Rules = x => x.Unprintable(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    SheetPrice = x.SheetPrice * levels.Film,
                    PowderPricePerG = x.PowderPricePerG * levels.Ink,
                },
            Order = ListedBy.Text<GarmentFilm>(x => x.Name),
        };

    /// <summary>True when white is printed on the colour for this cloth: two passes.</summary>
    public bool HasWhiteOn(Colourway colourway) =>
        WhiteOnLight || colourway.Class is ColourClass.Mid or ColourClass.Dark;

    /// <summary>Its sheets as prints are laid on them.</summary>
    public TransferPriceList List() =>
        new(Id, Name, Product: "Film", [], 0, 0)
        {
            ByLayout = new(
                GapIn,
                EdgeIn,
                null,
                [new("sheet", SheetWidthIn, SheetHeightIn, [new PriceBreak(1, SheetPrice)])]
            ),
        };

    /// <inheritdoc/>
    public CureUse Use(Placement print, Colourway colourway, int count)
    {
        var painted = print.AreaIn2 * print.CoveragePercent / 100 * count;
        return new(
            painted * ColourMlPerIn2,
            WhiteMl: HasWhiteOn(colourway) ? painted * WhiteMlPerIn2 : 0,
            0,
            PowderG: painted * PowderGPerIn2
        );
    }

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"film {Name}";

    /// <inheritdoc/>
    string IRecipeProduct.PreparedWithCare => Cautions;

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    private IEnumerable<Problem> Unprintable()
    {
        if (2 * EdgeIn >= Math.Min(SheetWidthIn, SheetHeightIn))
        {
            yield return new(
                "range",
                $"An edge of {EdgeIn:0.###} in leaves nothing of a sheet {SheetWidthIn:0.###} × {SheetHeightIn:0.###} in.",
                Where: "edgeIn",
                "Type what is kept free along one edge."
            );
        }
    }
}
