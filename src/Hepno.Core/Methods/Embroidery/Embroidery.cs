using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Stitched on the shop's own machine.</summary>
public sealed class Embroidery : IDecorationMethod
{
    private const string Key = "embroidery";
    private const double FailurePrior = 0.015;
    private const double StitchesPerIn2 = 1800;
    internal const double StitchesPerOutlineIn = 120;
    private const double LightGsm = 140;
    private const double StiffIn2 = 60;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Stitching";

    /// <inheritdoc/>
    public string Said => "stitched";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool KeepsSetUp => true;

    /// <summary>Stitches of a print: its stitch file's; without one (assumed, docs/trade 2) 1,800 for each painted in²
    /// and 120 for each in of outline, its box's.</summary>
    public static Figure Stitches(Placement p)
    {
        if (p.Stitches is { } counted)
        {
            return Figure.Input("stitches", "Stitches", counted, FigureUnit.Count, "its stitch file");
        }
        var (painted, outline) = (p.AreaIn2 * p.CoveragePercent / 100, 2 * (p.WidthIn + p.HeightIn));
        return new(
            "stitches",
            "Stitches",
            (decimal)((painted * StitchesPerIn2) + (outline * StitchesPerOutlineIn)),
            FigureUnit.Count,
            "painted × 1,800 + outline × 120",
            Source: "assumed until its stitch file is there",
            [
                Figure.Input("painted", "Painted", painted, FigureUnit.SquareInches, "the ask: box × coverage"),
                Figure.Input("outline", "Outline", outline, FigureUnit.Inches, "the ask: round its box"),
            ]
        );
    }

    /// <inheritdoc/>
    public int Order => 120;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "raised thread",
            Wear: "outlasts the garment",
            "puckers on light and stretching cloth",
            Look: "flat colours, rich"
        );

    /// <inheritdoc/>
    public bool StandsUp => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            StartUpItem.Machine("stitcher", "An embroidery machine", 7800, book.Of<StitchMachine>()),
            StartUpItem.Thing("hoops", "Hoops and frames", 160),
            StartUpItem.Thing("stock", "Thread, needles and backing", 220),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        book.Of<StitchMachine>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-stitcher",
                    VerdictKind.No,
                    "no embroidery machine on the Floor",
                    WouldWork: "an embroidery machine, added on the Floor"
                )
            )
            : MethodAnswer.BestOf(
                [.. book.Of<StitchMachine>().Select(machine => Answer(ask, book, machine) with { Of = machine.Name })],
                ask
            );

    /// <summary>A garment the machine has no frame for.</summary>
    internal static IEnumerable<Reason> Frame(AskInHand ask, StitchMachine machine)
    {
        if (ask.Style.Kind == GarmentKind.Socks || (ask.Style.Kind == GarmentKind.Cap && !machine.TakesCaps))
        {
            yield return new(
                "no-frame",
                VerdictKind.No,
                $"{machine.Name} has no frame for {GarmentNouns.For(ask.Style.Kind, 2)}",
                WouldWork: "a machine with such a frame, or a transfer"
            );
        }
    }

    /// <summary>Cloth that puckers under the needle.</summary>
    internal static IEnumerable<Reason> Cloth(AskInHand ask)
    {
        if (ask.Style.WeightGsm < LightGsm || ask.Style.Has(Feature.Stretch))
        {
            yield return new(
                "puckers",
                VerdictKind.WithCare,
                ask.Style.Has(Feature.Stretch)
                    ? $"{ask.Style.Name} stretches: stitching puckers"
                    : $"{ask.Style.WeightGsm:0} g cloth is light: stitching puckers",
                WouldWork: "a cut-away backing, and a piece stitched out first"
            );
        }
    }

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, StitchMachine machine)
    {
        List<Reason> reasons = [.. Frame(ask, machine)];
        foreach (var p in ask.Prints)
        {
            var place = p.At().Name;
            if (p.Gradient)
            {
                reasons.Add(
                    new(
                        "gradient",
                        VerdictKind.No,
                        $"{place} has gradients; thread is flat colours",
                        WouldWork: "flat artwork, or a film"
                    )
                );
            }
            else if (p.Place == "neck-label")
            {
                reasons.Add(
                    new(
                        "scratches",
                        VerdictKind.No,
                        $"{place}: stitching inside the neck scratches",
                        WouldWork: "a print, or a woven label"
                    )
                );
            }
            else if (p.Colours > machine.Needles)
            {
                reasons.Add(
                    new(
                        "needles",
                        VerdictKind.WithCare,
                        $"{place} has {p.Colours} colours; {machine.Name} holds {machine.Needles}: threads are "
                            + "changed between",
                        WouldWork: "fewer colours, or the time for it"
                    )
                );
            }
            if (p.AreaIn2 * p.CoveragePercent / 100 > StiffIn2)
            {
                reasons.Add(
                    new(
                        "stiff",
                        VerdictKind.WithCare,
                        $"{place}: {p.AreaIn2 * p.CoveragePercent / 100:0} in² of thread hang heavy and stiff",
                        WouldWork: "applique for the large shapes, or a print"
                    )
                );
            }
        }
        reasons.AddRange(
            Verdicts.Largest(ask.Prints, machine.HoopWidthIn, machine.HoopHeightIn, machine.Name, book.Numbers.Format)
        );
        reasons.AddRange(Verdicts.Artwork(ask, ask.Prints, PrintHold.Stitched, book.Numbers.Format));
        reasons.AddRange(Cloth(ask));
        reasons.AddRange(Verdicts.Make(ask));
        reasons.AddRange(Verdicts.Coated(ask, "needle holes let the wet through"));
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"stitched on {machine.Name}, about "
                    + $"{Shown.Number(ask.Placements.Sum(p => (double)Stitches(p).Value) / 1000, 1, book.Numbers.Format)} "
                    + "thousand stitches",
                [
                    .. ask.Placements.Select(p =>
                        DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                            Decoration(ask, sized, machine, book)
                        )
                    ),
                ]
            );
    }

    /// <summary>True where there is a stitch file already: its count is said, or the same artwork was stitched here
    /// before about as large.</summary>
    private static bool IsDigitised(AskInHand ask, Placement p, ShopBook book) =>
        p.Stitches is not null
        || (
            p.DesignId is not null
            && ask.Made.Any(m =>
                m.DesignId == p.DesignId
                && m.SameFile(p.WidthIn, p.HeightIn)
                && book.Of<StitchMachine>().Any(s => s.Id == m.MakerId)
            )
        );

    /// <summary>Turning a print into stitches, paid once for the design: by a service where one takes it, else as the
    /// machine says; null where there is a stitch file already.</summary>
    internal static Figure? Digitising(
        AskInHand ask,
        Placement p,
        Figure stitches,
        StitchMachine machine,
        ShopBook book
    )
    {
        if (IsDigitised(ask, p, book))
        {
            return null;
        }
        var (f, count) = (book.Numbers.Format, (double)stitches.Value);
        var (price, source) = DigitisingService.Asked(
            book.Of<DigitisingService>(),
            count,
            ask.Style.Kind == GarmentKind.Cap,
            (machine.DigitisingPerDesign, $"Floor: {machine.Name}"),
            f
        );
        return Figure.Input(
            "set-up",
            $"{p.At().Name}, digitising",
            price,
            FigureUnit.Money,
            $"{source}; once for the design of about {Shown.Number(count, 0, f)} stitches"
        );
    }

    private static DecorationPlan Decoration(AskInHand ask, SizedPrint sized, StitchMachine machine, ShopBook book)
    {
        var (p, source) = (sized.Print, $"Floor: {machine.Name}");
        var (place, stitches, failure) = (
            p.At().Name,
            Stitches(p),
            SpoilageChance.Reckon(Key, FailurePrior, ask, book)
        );
        var material = Figure.Sum(
            "material",
            $"{place} stitches",
            Figure.Of(
                "thread",
                "Thread",
                stitches.Value / 1000 * machine.ThreadPerThousand,
                "stitches ÷ 1,000 × price",
                stitches,
                Figure.Input("price", "1,000 stitches", machine.ThreadPerThousand, FigureUnit.Money, source)
            ),
            Figure.Input("backing", "Backing", machine.BackingPerPiece, FigureUnit.Money, source)
        );
        var time = machine.Time(stitches, p.Colours);
        return new(
            p,
            material,
            0,
            failure,
            Recipe.NoHeat(machine.Id, side: "right-reading, from the stitch file", machine.Cautions),
            book.Numbers.Floor.Standards().Stitched((double)time.Value),
            [],
            [],
            Digitising(ask, p, stitches, machine, book),
            BenchId: machine.BenchId(),
            Prepare: ""
        )
        {
            BenchTime = time,
        };
    }
}
