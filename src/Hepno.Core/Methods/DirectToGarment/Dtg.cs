using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Direct-to-garment: printed on the piece itself, pretreated on mid and dark cloth, cured under the
/// press.</summary>
public sealed class Dtg : IDecorationMethod
{
    private const string Key = "dtg";
    private const double FailurePrior = 0.03;
    private const double RichPercent = 80;
    private const double LeastPercent = 50;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Direct to garment";

    /// <inheritdoc/>
    public string Said => "printed into the cloth in full colour, soft";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <inheritdoc/>
    public int Order => 110;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new("soft", Wear: "fades slowly", "stretches with the cloth", Look: "full colour, in the cloth");

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("garment-printer", "A garment printer", 13_500, book.Of<GarmentPrinter>()),
            StartUpItem.Thing("sprayer", "A sprayer for the pretreatment", 250),
            StartUpItem.Thing("stock", "First ink and pretreatment", 520),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        book.Of<GarmentPrinter>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-garment-printer",
                    VerdictKind.No,
                    "no direct-to-garment printer on the Floor",
                    WouldWork: "such a printer, added on the Floor"
                )
            )
            : MethodAnswer.BestOf(
                [.. book.Of<GarmentPrinter>().Select(printer => Answer(ask, book, printer) with { Of = printer.Name })],
                ask
            );

    /// <summary>Ink, pretreatment and machine time of one print (docs/trade 2).</summary>
    /// <param name="p">The artwork.</param>
    /// <param name="printer">The printer and what it takes.</param>
    /// <param name="white">True on mid and dark cloth: pretreated, white under the colour, two passes.</param>
    /// <param name="tariffPerKwh">Price of a kilowatt-hour, for the machine's hour.</param>
    /// <param name="tending">Its upkeep for an hour; null while none is listed.</param>
    public static Figure Print(
        Placement p,
        GarmentPrinter printer,
        bool white,
        decimal tariffPerKwh,
        Figure? tending = null
    )
    {
        var source = $"Floor: {printer.Name}";
        var painted = Figure.Input(
            "painted",
            "Painted",
            p.AreaIn2 * p.CoveragePercent / 100,
            FigureUnit.SquareInches,
            "the ask: box × coverage"
        );
        Figure Spent(string code, string label, Figure area, double per, decimal price) =>
            Figure.Of(
                code,
                label,
                Money.Times((double)area.Value * per, price),
                "area × ml an in² × price",
                area,
                Figure.Input("per", "ml an in²", per, FigureUnit.Count, source),
                Figure.Input("price", "A ml", price, FigureUnit.Money, source)
            );
        List<Figure> parts =
        [
            Spent("colour-ink", "Colour ink", painted, printer.ColourMlPerIn2, printer.ColourPricePerMl),
        ];
        if (white)
        {
            parts.Add(Spent("white-ink", "White ink", painted, printer.WhiteMlPerIn2, printer.WhitePricePerMl));
            parts.Add(
                Spent(
                    "pretreatment",
                    "Pretreatment",
                    Figure.Input("sprayed", "Sprayed", p.AreaIn2, FigureUnit.SquareInches, "the ask: its box"),
                    printer.PretreatMlPerIn2,
                    printer.PretreatPricePerMl
                )
            );
        }
        parts.Add(
            MachineTime.Reckon(
                printer.Equipment,
                StepStandards.Print(p.AreaIn2 * (white ? 2 : 1), printer.SpeedIn2PerMinute).Seconds,
                tariffPerKwh,
                source,
                tending
            )
        );
        return Figure.Sum("material", $"{p.At().Name} print", parts);
    }

    private static bool HasWhite(AskInHand ask) => ask.Colourway.Class is ColourClass.Mid or ColourClass.Dark;

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, GarmentPrinter printer)
    {
        var recipe = book.RecipeFor(printer.Id, ask);
        var cotton = ask.Style.PercentOf(Fibre.Cotton) + ask.Style.PercentOf(Fibre.Viscose);
        List<Reason> reasons = [];
        if (cotton < LeastPercent)
        {
            reasons.Add(
                new(
                    "fabric",
                    VerdictKind.No,
                    $"{cotton:0}% cotton: its ink holds on cotton",
                    WouldWork: "a blank of at least half cotton"
                )
            );
        }
        else if (cotton < RichPercent)
        {
            reasons.Add(
                new(
                    "faded",
                    VerdictKind.WithCare,
                    $"{cotton:0}% cotton prints paler and washes out sooner",
                    WouldWork: "a blank of 80% cotton or more"
                )
            );
        }
        if (ask.Style.Kind is GarmentKind.Cap or GarmentKind.Socks)
        {
            reasons.Add(
                new(
                    "flat-only",
                    VerdictKind.No,
                    $"{GarmentNouns.For(ask.Style.Kind, 2)} do not lie flat under {printer.Name}",
                    WouldWork: "stitching, or a transfer"
                )
            );
        }
        reasons.AddRange(
            Verdicts.Largest(ask.Prints, printer.MostWidthIn, printer.MostHeightIn, printer.Name, book.Numbers.Format)
        );
        reasons.AddRange(
            Verdicts.Artwork(
                ask,
                ask.Prints,
                HasWhite(ask) ? PrintHold.DirectOnWhite : PrintHold.Direct,
                book.Numbers.Format
            )
        );
        reasons.AddRange(Verdicts.Loaded(printer.Id, printer: printer.Name, book));
        reasons.AddRange(HeatVerdicts.Of(ask, recipe, book, $"print of {printer.Name}"));
        reasons.AddRange(Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)));
        reasons.AddRange(Verdicts.Make(ask));
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"printed on {printer.Name}{(HasWhite(ask) ? ", pretreated" : "")}",
                [
                    .. ask.Placements.Select(p =>
                        DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                            Decoration(ask, sized, printer, recipe!, book)
                        )
                    ),
                ]
            );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        GarmentPrinter printer,
        Recipe recipe,
        ShopBook book
    )
    {
        var (p, steps, white) = (sized.Print, book.Numbers.Floor.Standards(), HasWhite(ask));
        var material = Print(
            p,
            printer,
            white,
            book.Numbers.Rates.TariffPerKwh,
            book.TendingOf(printer.Id, printer.Equipment)
        );
        // threading onto the printer's platen is a rethreading: the cure has its own
        List<WorkStep> preparation =
        [
            .. white ? steps.Pretreated : [],
            new("thread", "Thread onto the printer", steps.Thread(ask.Style.Kind), true, Press: false),
            StepStandards.Print(p.AreaIn2 * (white ? 2 : 1), printer.SpeedIn2PerMinute),
        ];
        return new DecorationPlan(
            p,
            material,
            0,
            SpoilageChance.Reckon(Key, FailurePrior, ask, book),
            recipe,
            steps.Cured(recipe),
            preparation,
            [],
            Prepare: white ? "Pretreat and print" : "Print",
            SetUp: null,
            BenchId: default
        )
        {
            Machine = new(printer.Id, printer.Name),
        };
    }
}
