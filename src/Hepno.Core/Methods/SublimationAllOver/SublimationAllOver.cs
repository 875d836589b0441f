using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Dye from edge to edge on both sides of a whole garment: sheets joined with an overlap, pressed in several
/// positions a side (docs/trade 2).</summary>
public sealed class SublimationAllOver : IDecorationMethod
{
    private const string Key = "sublimation-allover";
    private const double FailurePrior = 0.10;
    private const double BleedIn = 1;
    private const double SheetOverlapIn = 0.25;
    private const double PressOverlapIn = 1;
    private const int Sides = 2;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Dye, all over";

    /// <inheritdoc/>
    public string Said => "dyed from edge to edge on both sides, nothing to feel";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <summary>The sheets of one side, for the largest size of the run: one set of them is printed for all.</summary>
    public static Tiles Sheets(AskInHand ask, DyePrinter printer)
    {
        var (width, height) = Largest(ask);
        return Tiles.Cut(
            width,
            height,
            sheetWidthIn: printer.SheetWidthIn - (2 * printer.SheetMarginIn),
            printer.SheetHeightIn - (2 * printer.SheetMarginIn),
            SheetOverlapIn
        );
    }

    /// <summary>Where the press is set down on one side: the platen as a sheet, an inch over the one before.</summary>
    public static Tiles Positions(AskInHand ask, Press press)
    {
        var (width, height) = Largest(ask);
        return Tiles.Cut(width, height, sheetWidthIn: press.PlatenWidthIn, press.PlatenHeightIn, PressOverlapIn);
    }

    /// <inheritdoc/>
    public int Order => 70;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "nothing to feel",
            Wear: "does not wash out",
            "stretches with the cloth",
            Look: "edge to edge; creases show white"
        );

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("dye-printer", "A dye printer", 520, book.Of<DyePrinter>()),
            StartUpItem.Thing("stock", "First dye and paper", 140),
            StartUpItem.Thing("tape", "Tape and protection paper", 25),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        if (ask.Placements.FirstOrDefault(p => p.Place != Places.AllOver) is { } part)
        {
            return MethodAnswer.No(
                new Reason(
                    "not-all-over",
                    VerdictKind.No,
                    $"{part.At().Name} is a part of the garment",
                    WouldWork: "all over as the place, or dye on that part alone"
                )
            );
        }
        return Sublimation.ByPrinter(ask, book, (printer, cloth) => Answer(ask, book, printer, cloth));
    }

    // the flat garment of the largest size with an inch of bleed all round
    private static (double WidthIn, double HeightIn) Largest(AskInHand ask)
    {
        var (width, height) = ask
            .Sizes.Where(s => s.Pieces > 0)
            .Select(s => GarmentScale.Flat(ask.Style.Kind, s.Size))
            .MaxBy(f => f.WidthIn);
        return (width + (2 * BleedIn), height + (2 * BleedIn));
    }

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, DyePrinter printer, IReadOnlyList<Reason> cloth)
    {
        var f = book.Numbers.Format;
        var recipe = book.RecipeFor(printer.Id, ask);
        List<Reason> reasons =
        [
            .. cloth,
            .. Verdicts.Loaded(printer.Id, printer: printer.Name, book),
            .. Verdicts.Artwork(ask, ask.Placements, PrintHold.Dye, book.Numbers.Format),
            .. HeatVerdicts.Of(ask, recipe, book, $"dye of {printer.Name}", true),
            .. Verdicts.Make(ask, dye: true, edgeToEdge: true),
        ];
        reasons.AddRange(Verdicts.OnePrint(ask));
        var verdict = Verdict.From(reasons);
        if (verdict.Kind == VerdictKind.No)
        {
            return new(verdict, "", []);
        }
        var press = LineFloor.PressOf(ask, book);
        var (tiles, positions) = (Sheets(ask, printer), Positions(ask, press));
        reasons.Add(
            new(
                "creases",
                VerdictKind.WithCare,
                "creases and seams stay white where the sheet does not touch",
                WouldWork: "a form inside, the garment pulled flat, and white edges told to the customer"
            )
        );
        if (positions.Sheets() > 1)
        {
            reasons.Add(
                new(
                    "pressed-twice",
                    VerdictKind.WithCare,
                    $"{press.Name} is set down {positions.Sheets()} times a side: strips of an inch are pressed "
                        + "twice and fade",
                    WouldWork: $"a press of {Shown.Size(Largest(ask).WidthIn, Largest(ask).HeightIn, f)}, or art that hides the strips"
                )
            );
        }
        return new(
            Verdict.From(reasons),
            $"{tiles.Sheets()} sheets a side of {printer.Name}, {positions.Sheets()} "
                + $"{(positions.Sheets() == 1 ? "press" : "presses")} a side",
            [.. ask.Placements.Select(p => Decoration(ask, p, printer, press, tiles, positions, recipe!, book))]
        );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        Placement p,
        DyePrinter printer,
        Press press,
        Tiles tiles,
        Tiles positions,
        Recipe recipe,
        ShopBook book
    )
    {
        var (steps, failure) = (book.Numbers.Floor.Standards(), SpoilageChance.Reckon(Key, FailurePrior, ask, book));
        var (prints, why) = DecorationPlan.Needed(
            new(p with { BySize = false }, ask.Sizes),
            SpareChance.In(book, failure)
        );
        var (width, height) = Largest(ask);
        var print = StepStandards.Print(width * height * Sides, printer.SpeedIn2PerMinute);
        var material = Figure.Sum(
            "material",
            "All-over dye print",
            [.. Materials(ask, p, printer, tiles, positions), Hour(printer, print.Seconds, book)]
        );
        var sheets = tiles.Sheets() * Sides * prints;
        var purchase = new Purchase(
            $"dye-tiles-{p.Id}",
            Text: $"{sheets} sheets for {prints} garments, {tiles.Sheets()} a side: {tiles.Columns} × {tiles.Rows}",
            "",
            0,
            sheets,
            "sheets",
            Figure.Of(
                "own-prints",
                "All-over dye prints",
                material.Value * prints,
                "one × prints",
                material,
                Figure.Input("prints", "Prints", prints, FigureUnit.Count, why)
            ),
            null,
            null
        )
        {
            Tiles = tiles,
        };
        return new(
            p,
            material,
            prints,
            failure,
            recipe,
            steps.AllOver(recipe, Sides, positions.Sheets(), ask.Style.Kind),
            [print, steps.Joined(tiles.Seams * Sides)],
            [purchase],
            Prepare: "Print the sheets and join them",
            SetUp: null,
            BenchId: default
        )
        {
            OnPlaten = new(Math.Min(press.PlatenWidthIn, width), Math.Min(press.PlatenHeightIn, height)),
            Machine = new(printer.Id, printer.Name),
        };
    }

    private static Figure Hour(DyePrinter printer, double seconds, ShopBook book) =>
        MachineTime.Reckon(
            printer.Equipment,
            seconds,
            book.Numbers.Rates.TariffPerKwh,
            Source(printer),
            book.TendingOf(printer.Id, printer.Equipment)
        );

    private static IEnumerable<Figure> Materials(
        AskInHand ask,
        Placement p,
        DyePrinter printer,
        Tiles tiles,
        Tiles positions
    )
    {
        var (width, height) = Largest(ask);
        int sheets = tiles.Sheets() * Sides,
            presses = positions.Sheets() * Sides;
        var paper = Figure.Input(
            "sheets",
            "Sheets of both sides",
            sheets,
            FigureUnit.Count,
            $"{tiles.Columns} × {tiles.Rows} a side, {SheetOverlapIn:0.##} in over each other, for the largest size"
        );
        return
        [
            Sublimation.Ink(
                printer,
                Figure.Input(
                    "painted",
                    "Painted, both sides",
                    width * height * p.CoveragePercent / 100 * Sides,
                    FigureUnit.SquareInches,
                    "the flat garment with its bleed × coverage"
                )
            ),
            Figure.Of(
                "paper",
                "Paper",
                sheets * printer.SheetPrice,
                "sheets × price",
                paper,
                Figure.Input("price", "A sheet", printer.SheetPrice, FigureUnit.Money, Source(printer))
            ),
            Figure.Of(
                "tape",
                "Tape",
                Money.Times(printer.TapeInPerPrint * sheets, printer.TapePricePerIn),
                "tape of a sheet × sheets × price",
                Figure.Input(
                    "length",
                    "Tape of a sheet",
                    printer.TapeInPerPrint,
                    FigureUnit.Inches,
                    $"{Source(printer)}; never used twice"
                ),
                paper,
                Figure.Input("price", "An in", printer.TapePricePerIn, FigureUnit.Money, Source(printer))
            ),
            Figure.Of(
                "protection",
                "Protection paper",
                2 * presses * printer.ProtectionPrice,
                "above and below × presses × price",
                Figure.Input(
                    "presses",
                    "Presses of both sides",
                    presses,
                    FigureUnit.Count,
                    $"{positions.Columns} × {positions.Rows} a side, {PressOverlapIn:0} in over each other"
                ),
                Figure.Input("price", "A sheet", printer.ProtectionPrice, FigureUnit.Money, Source(printer))
            ),
        ];
    }

    private static string Source(DyePrinter printer) => $"Floor: {printer.Name}";
}
