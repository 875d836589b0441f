using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Dye sublimation on one side or two, socks on jigs: cloth, colour and machine decide.</summary>
public sealed class Sublimation : IDecorationMethod
{
    internal const double VividPercent = 95;
    private const double FadedPercent = 65;
    private const string Key = "sublimation";
    private const double FailurePrior = 0.025;
    private const double FailureTwoSides = 0.04;
    private const double GapIn = 0.25;
    private const int ProtectionSheets = 2;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Dye sublimation";

    /// <inheritdoc/>
    public string Said => "dyed into the cloth, nothing to feel";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <inheritdoc/>
    public int Order => 60;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "nothing to feel",
            Wear: "does not wash out",
            "stretches with the cloth",
            Look: "full colour, lighter on blends"
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
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        ByPrinter(ask, book, (printer, cloth) => Answer(ask, book, printer, cloth));

    /// <summary>The best of the shop's dye printers, each told what the cloth says; a no where there is none.</summary>
    internal static MethodAnswer ByPrinter(
        AskInHand ask,
        ShopBook book,
        Func<DyePrinter, IReadOnlyList<Reason>, MethodAnswer> answer
    )
    {
        var cloth = Cloth(ask);
        return book.Of<DyePrinter>().Count == 0
            ? MethodAnswer.No([
                .. cloth,
                new Reason(
                    "no-dye-printer",
                    VerdictKind.No,
                    "no dye printer on the Floor",
                    WouldWork: "a dye printer, added on the Floor"
                ),
            ])
            : MethodAnswer.BestOf(
                [.. book.Of<DyePrinter>().Select(printer => answer(printer, cloth) with { Of = printer.Name })],
                ask
            );
    }

    /// <summary>Dye for a painted area.</summary>
    internal static Figure Ink(DyePrinter printer, Figure painted) =>
        Ink(painted, printer.InkMlPerIn2, printer.InkPricePerMl, $"Floor: {printer.Name}");

    /// <summary>Dye for a painted area, of any machine.</summary>
    internal static Figure Ink(Figure painted, double mlPerIn2, decimal pricePerMl, string source) =>
        Figure.Of(
            "dye-ink",
            "Dye ink",
            Money.Times((double)painted.Value * mlPerIn2, pricePerMl),
            "painted × ml an in² × price",
            painted,
            Figure.Input("per", "ml an in²", mlPerIn2, FigureUnit.Count, source),
            Figure.Input("price", "A ml", pricePerMl, FigureUnit.Money, source)
        );

    /// <summary>Ink, paper, tape, protection paper and machine time of one print (docs/trade 2).</summary>
    /// <param name="p">The artwork.</param>
    /// <param name="printer">The printer and what it takes.</param>
    /// <param name="grid">Prints on a sheet.</param>
    /// <param name="prints">Prints made.</param>
    /// <param name="tariffPerKwh">Price of a kilowatt-hour, for the machine's hour.</param>
    /// <param name="tending">Its upkeep for an hour; null while none is listed.</param>
    public static Figure Print(
        Placement p,
        DyePrinter printer,
        SheetGrid grid,
        int prints,
        decimal tariffPerKwh,
        Figure? tending = null
    )
    {
        var source = $"Floor: {printer.Name}";
        var painted = p.AreaIn2 * p.CoveragePercent / 100;
        var sheets = grid.Sheets(prints);
        return Figure.Sum(
            "material",
            $"{p.At().Name} dye print",
            Ink(
                printer,
                Figure.Input("painted", "Painted", painted, FigureUnit.SquareInches, "the ask: box × coverage")
            ),
            Figure.Of(
                "paper",
                "Paper",
                sheets * printer.SheetPrice / prints,
                "sheets × price ÷ prints",
                Figure.Input("sheets", "Sheets", sheets, FigureUnit.Count, $"{grid.Across} × {grid.Down} on a sheet"),
                Figure.Input("price", "A sheet", printer.SheetPrice, FigureUnit.Money, source),
                Figure.Input("prints", "Prints", prints, FigureUnit.Count, "with spares")
            ),
            Figure.Of(
                "tape",
                "Tape",
                Money.Times(printer.TapeInPerPrint, printer.TapePricePerIn),
                "length × price",
                Figure.Input(
                    "length",
                    "Tape",
                    printer.TapeInPerPrint,
                    FigureUnit.Inches,
                    $"{source}; never used twice"
                ),
                Figure.Input("price", "An in", printer.TapePricePerIn, FigureUnit.Money, source)
            ),
            Figure.Of(
                "protection",
                "Protection paper",
                ProtectionSheets * printer.ProtectionPrice,
                "sheets × price",
                Figure.Input("sheets", "Above and below", ProtectionSheets, FigureUnit.Count, "each used once"),
                Figure.Input("price", "A sheet", printer.ProtectionPrice, FigureUnit.Money, source)
            ),
            MachineTime.Reckon(
                printer.Equipment,
                StepStandards.Print(p.AreaIn2, printer.SpeedIn2PerMinute).Seconds,
                tariffPerKwh,
                source,
                tending
            )
        );
    }

    /// <summary>Share of attempts assumed to spoil a piece: 2.5% on one side; on two, together 4% of the pieces
    /// (docs/trade 14).</summary>
    public static double Assumed(AskInHand ask) =>
        ask.Placements.Select(p => IsBehind(p)).Distinct().Count() < 2
            ? FailurePrior
            : 1 - Math.Pow(1 - FailureTwoSides, 1.0 / ask.Placements.Count);

    /// <summary>Prints of a placement on one piece: two on a pair of socks.</summary>
    public static int Copies(AskInHand ask) => ask.Style.Kind == GarmentKind.Socks ? 2 : 1;

    private static bool IsBehind(Placement p) => p.Seam() is "back" or "nape" or "sock-side-b";

    // a sock is pulled over a form, or its other side is printed through
    private static IEnumerable<Reason> Jigs(AskInHand ask, ShopBook book)
    {
        if (
            ask.Style.Kind == GarmentKind.Socks
            && !book.PressesFor(ask.Style.Kind).Any(p => p.Accessories.Any(a => a.Kind == AccessoryKind.Jig))
        )
        {
            yield return new(
                "no-jig",
                VerdictKind.No,
                "no jig for socks on the Floor",
                WouldWork: "a pair of jigs, added to the press on the Floor"
            );
        }
    }

    private static List<Reason> Cloth(AskInHand ask)
    {
        List<Reason> reasons = [];
        var polyester = ask.Style.PercentOf(Fibre.Polyester);
        if (polyester < FadedPercent)
        {
            reasons.Add(
                new(
                    "fabric",
                    VerdictKind.No,
                    $"{polyester:0}% polyester: dye takes only to polyester",
                    WouldWork: "a blank of at least two thirds polyester"
                )
            );
        }
        else if (polyester < VividPercent)
        {
            reasons.Add(
                new(
                    "faded",
                    VerdictKind.WithCare,
                    $"{polyester:0}% polyester prints faded",
                    WouldWork: "a blank of 95% polyester or more"
                )
            );
        }
        if (ask.Colourway.Class is ColourClass.Mid or ColourClass.Dark)
        {
            reasons.Add(
                new(
                    "colour",
                    VerdictKind.No,
                    $"{ask.Colourway.Name} is {ask.Colourway.Class.ToString().ToLowerInvariant()}: dye has no white",
                    WouldWork: "a white or very light blank"
                )
            );
        }
        return reasons;
    }

    private static SheetGrid? Grid(Placement p, DyePrinter printer) =>
        SheetGrid.Best(
            p.WidthIn,
            p.HeightIn,
            GapIn,
            printer.SheetMarginIn,
            printer.SheetWidthIn,
            printer.SheetHeightIn
        );

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, DyePrinter printer, IReadOnlyList<Reason> cloth)
    {
        var f = book.Numbers.Format;
        var recipe = book.RecipeFor(printer.Id, ask);
        List<Reason> reasons =
        [
            .. cloth,
            .. Verdicts.Loaded(printer.Id, printer: printer.Name, book),
            .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Dye, book.Numbers.Format),
            .. HeatVerdicts.Of(ask, recipe, book, $"dye of {printer.Name}", true),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask, dye: true),
            .. Jigs(ask, book),
        ];
        reasons.AddRange(
            ask.Prints.Where(p => Grid(p, printer) is null)
                .Select(p => new Reason(
                    "sheet-size",
                    VerdictKind.No,
                    $"{p.At().Name} {Shown.Size(p.WidthIn, p.HeightIn, f)}; {printer.Name} prints "
                        + $"{Shown.Size(printer.SheetWidthIn - (2 * printer.SheetMarginIn), printer.SheetHeightIn - (2 * printer.SheetMarginIn), f)}",
                    WouldWork: "a smaller print, or a larger sheet"
                ))
        );
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"printed on {printer.Name}, mirrored",
                [
                    .. ask.Placements.Select(
                        (p, i) =>
                            DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                                Decoration(ask, sized, i, printer, recipe!, book)
                            )
                    ),
                ]
            );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        int index,
        DyePrinter printer,
        Recipe recipe,
        ShopBook book
    )
    {
        var (n, p) = (book.Numbers, sized.Print);
        var failure = SpoilageChance.Reckon(Key, Assumed(ask), ask, book);
        var (steps, copies) = (n.Floor.Standards(), Copies(ask));
        var (attempts, why) = DecorationPlan.Needed(sized, SpareChance.In(book, failure));
        var prints = attempts * copies;
        var grid = Grid(p, printer)!;
        var one = Print(p, printer, grid, prints, n.Rates.TariffPerKwh, book.TendingOf(printer.Id, printer.Equipment));
        var purchase = Paper(p, grid, one, prints, copies == 1 ? why : $"two a pair: {why}", n.Format);
        var rethread = index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind);
        List<WorkStep> atPress =
        [
            .. Enumerable
                .Range(0, copies)
                .SelectMany(c => steps.Taped(recipe, c == 0 ? rethread : steps.Thread(ask.Style.Kind))),
        ];
        if (ask.Style.Kind == GarmentKind.Socks && index == 0)
        {
            atPress.Insert(0, steps.Jigged(copies));
        }
        return new(
            p,
            Pair(one, copies),
            attempts,
            failure,
            recipe,
            atPress,
            [
                StepStandards.Print(p.AreaIn2 * copies, printer.SpeedIn2PerMinute),
                steps.CutApart with
                {
                    Seconds = steps.CutApart.Seconds * copies,
                },
            ],
            [purchase],
            Prepare: "Print the dye paper and cut it apart",
            SetUp: null,
            BenchId: default
        )
        {
            OneMore = Pair(DecorationPlan.Bare(one), copies),
            Machine = new(printer.Id, printer.Name),
        };
    }

    private static Figure Pair(Figure print, int copies) =>
        copies == 1
            ? print
            : Figure.Of(
                "material",
                print.Label,
                print.Value * copies,
                "a print × prints a pair",
                print with
                {
                    Code = "one",
                },
                Figure.Input("pair", "Prints a pair", copies, FigureUnit.Count, "one on each sock")
            );

    private static Purchase Paper(Placement p, SheetGrid grid, Figure one, int prints, string why, FigureFormat f)
    {
        var (place, sheets) = (p.At().Name, grid.Sheets(prints));
        return new(
            $"dye-paper-{p.Id}",
            Text: $"{sheets} sheets, {prints} × {place.ToLowerInvariant()} {Shown.Size(p.WidthIn, p.HeightIn, f)}, "
                + $"{grid.PerSheet} on a sheet",
            "",
            0,
            sheets,
            "sheets",
            Figure.Of(
                "own-prints",
                $"{place} dye prints",
                one.Value * prints,
                "one print × prints",
                one,
                Figure.Input("prints", "Prints", prints, FigureUnit.Count, why)
            ),
            null,
            null
        )
        {
            Grid = grid,
        };
    }
}
