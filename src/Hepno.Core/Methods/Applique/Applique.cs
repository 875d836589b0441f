using Hepno.Core.Artwork;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Applique: shapes cut from film lie where stitches would fill, a stitched edge holds them, and a press
/// finishes them (docs/trade 2).</summary>
public sealed class Applique : IDecorationMethod
{
    private const string Key = "applique";
    private const double FailurePrior = 0.02;

    // narrower, a shape is all edge
    private const int MostColours = 4;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Applique";

    /// <inheritdoc/>
    public string Said => "applique with a stitched edge";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool KeepsSetUp => true;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <summary>Stitches of a print: its stitch file's; without one (assumed, docs/trade 2) 120 for each in of outline,
    /// its box's, once for every colour.</summary>
    public static Figure Stitches(Placement p) =>
        p.Stitches is { } counted
            ? Figure.Input("stitches", "Stitches", counted, FigureUnit.Count, "its stitch file")
            : new(
                "stitches",
                "Stitches",
                (decimal)(Outline(p) * Embroidery.StitchesPerOutlineIn),
                FigureUnit.Count,
                "outline × 120",
                Source: "assumed until its stitch file is there",
                [
                    Figure.Input(
                        "outline",
                        "Outline",
                        Outline(p),
                        FigureUnit.Inches,
                        p.Colours == 1 ? "the ask: round its box" : "the ask: round its box, for each colour"
                    ),
                ]
            );

    /// <summary>The finishing press as the shop has tested it, or the customary one, to be spot-tested first
    /// (docs/trade 5).</summary>
    public static Recipe Finish(StitchMachine machine, AskInHand ask, ShopBook book) =>
        book.RecipeFor(machine.Id, ask)
        ?? new(
            "applique-finish",
            machine.Id,
            Revision: "",
            RecipeChoice.FabricOf(ask.Style),
            320,
            DwellSeconds: 10,
            3,
            "medium",
            0,
            Peel.Hot,
            0,
            SecondPressSeconds: 0,
            "film down, the stitched edge up",
            RecipeSource.Assumed,
            Recipe.NoDay,
            "Spot-test first. Nothing to peel: the film stays."
        )
        {
            Cover = Cover.Sheet,
        };

    /// <inheritdoc/>
    public int Order => 130;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "a raised patch",
            Wear: "outlasts the garment where its edge is stitched",
            "puckers on light and stretching cloth",
            Look: "flat colours, a stitched edge"
        );

    /// <inheritdoc/>
    public bool StandsUp => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            .. StartUpItem.Pressed(book),
            StartUpItem.Machine("stitcher", "An embroidery machine", 7800, book.Of<StitchMachine>()),
            StartUpItem.Thing("hoops", "Hoops and frames", 160),
            StartUpItem.Thing("stock", "Applique film, thread and backing", 260),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        var able = book.Of<StitchMachine>().Where(m => m.AppliqueFilmPerIn2 is not null).ToList();
        return able.Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-applique",
                    VerdictKind.No,
                    book.Of<StitchMachine>().Count == 0
                        ? "no embroidery machine on the Floor"
                        : "no applique film with an embroidery machine on the Floor",
                    WouldWork: "an embroidery machine with what an in² of its applique film costs, on the Floor"
                )
            )
            : MethodAnswer.BestOf(
                [.. able.Select(machine => Answer(ask, book, machine) with { Of = machine.Name })],
                ask
            );
    }

    private static double Outline(Placement p) => 2 * (p.WidthIn + p.HeightIn) * p.Colours;

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, StitchMachine machine)
    {
        var finish = Finish(machine, ask, book);
        List<Reason> reasons =
        [
            .. Embroidery.Frame(ask, machine),
            .. HeatVerdicts.Of(ask, finish, book, $"applique of {machine.Name}", true),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Largest(
                ask.Prints,
                machine.HoopWidthIn,
                machine.HoopHeightIn,
                machine.Name,
                book.Numbers.Format
            ),
            .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Applique, book.Numbers.Format),
            .. Embroidery.Cloth(ask),
            .. Verdicts.Make(ask),
            .. Verdicts.Coated(ask, "needle holes let the wet through"),
            .. ask.Prints.SelectMany(InFilm),
        ];
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"film stitched on by {machine.Name}, finished under the press",
                [
                    .. ask.Placements.Select(p =>
                        DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                            Stitching(ask, sized, machine, finish, book)
                        )
                    ),
                    .. ask.Placements.Select((p, i) => Finishing(p, finish, i, ask, book)),
                ]
            );
    }

    private static IEnumerable<Reason> InFilm(Placement p)
    {
        var place = p.At().Name;
        if (p.Gradient)
        {
            yield return new(
                "gradient",
                VerdictKind.No,
                $"{place} has gradients; film is flat colours",
                WouldWork: "flat artwork, or a printed film"
            );
        }
        else if (p.Own != OwnText.None)
        {
            yield return new(
                "own-text",
                VerdictKind.No,
                $"{place}: each piece has its own text, and each would be digitised",
                WouldWork: "vinyl or film for the names"
            );
        }
        else if (p.Place == NeckLabel.PlaceId)
        {
            yield return new(
                "scratches",
                VerdictKind.No,
                $"{place}: stitching inside the neck scratches",
                WouldWork: "a print, or a woven label"
            );
        }
        else if (p.Colours > MostColours)
        {
            yield return new(
                "layers",
                VerdictKind.No,
                $"{place} has {p.Colours} colours; more than {MostColours} films on one another stand too high",
                WouldWork: $"{MostColours} colours or fewer, or stitches for the small ones"
            );
        }
    }

    private static DecorationPlan Stitching(
        AskInHand ask,
        SizedPrint sized,
        StitchMachine machine,
        Recipe finish,
        ShopBook book
    )
    {
        var (p, source, steps) = (sized.Print, $"Floor: {machine.Name}", book.Numbers.Floor.Standards());
        var (place, stitches, failure) = (
            p.At().Name,
            Stitches(p),
            SpoilageChance.Reckon(Key, FailurePrior, ask, book)
        );
        var (attempts, _) = DecorationPlan.Needed(sized, SpareChance.In(book, failure));
        var material = Figure.Sum(
            "material",
            $"{place} applique",
            Figure.Of(
                "film",
                "Applique film",
                Money.Times(p.AreaIn2 * p.Colours, machine.AppliqueFilmPerIn2!.Value),
                "box × colours × price",
                Figure.Input("box", "Box", p.AreaIn2, FigureUnit.SquareInches, "the ask"),
                Figure.Input("colours", "Films, one a colour", p.Colours, FigureUnit.Count, "the ask"),
                Figure.Input("price", "An in²", machine.AppliqueFilmPerIn2.Value, FigureUnit.Money, source)
            ),
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
            attempts,
            failure,
            Recipe.NoHeat(machine.Id, side: "right-reading, film laid at each stop", machine.Cautions),
            steps.Appliqued((double)time.Value, p.Colours),
            [steps.Trim(Outline(p))],
            [],
            Embroidery.Digitising(ask, p, stitches, machine, book),
            "Cut the applique shapes out",
            machine.BenchId()
        )
        {
            BenchTime = time,
        };
    }

    // the press comes after the machine, as a place of work of its own; what it spoils is reckoned with the stitching
    private static DecorationPlan Finishing(Placement p, Recipe finish, int index, AskInHand ask, ShopBook book)
    {
        var steps = book.Numbers.Floor.Standards();
        return new(
            p with
            {
                Id = new PlacementId($"{p.Id}-finish"),
                OnTopOf = null,
            },
            Figure.Input(
                "material",
                $"{p.At().Name} finishing press",
                0,
                FigureUnit.Money,
                "its film is with the stitches"
            ),
            0,
            0,
            finish,
            steps.Finished(finish, index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind)),
            [],
            [],
            SetUp: null,
            Prepare: "",
            BenchId: default
        )
        {
            Finishes = p.Id,
        };
    }
}
