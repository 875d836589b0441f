using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Core.Stock;

namespace Hepno.Core.Methods;

/// <summary>A part of a print that lies under the press at once.</summary>
/// <param name="WidthIn">Width, in.</param>
/// <param name="HeightIn">Height, in.</param>
public sealed record PlatenBox(double WidthIn, double HeightIn);

/// <summary>One placement done by one method.</summary>
/// <param name="Placement">Where and what.</param>
/// <param name="Material">Money of material for one attempt.</param>
/// <param name="Bought">Attempts the bought material is enough for.</param>
/// <param name="FailureChance">Share of attempts that spoil the piece, 0 to 1.</param>
/// <param name="Recipe">How it is pressed.</param>
/// <param name="Steps">Steps at the press for one attempt.</param>
/// <param name="Preparation">Steps away from the press for one attempt.</param>
/// <param name="Purchases">What is bought, or taken from the shop's own rolls, for it.</param>
/// <param name="SetUp">Money once for the design, however many are pressed; null when there is none.</param>
/// <param name="Prepare">What the preparation is called on the list ("Cut and weed"); empty when there is none.</param>
/// <param name="BenchId">The place of work without heat it is done at; empty for a press.</param>
public sealed record DecorationPlan(
    Placement Placement,
    Figure Material,
    int Bought,
    double FailureChance,
    Recipe Recipe,
    IReadOnlyList<WorkStep> Steps,
    IReadOnlyList<WorkStep> Preparation,
    IReadOnlyList<Purchase> Purchases,
    Figure? SetUp,
    string Prepare,
    PressId BenchId
)
{
    /// <summary>Minutes that pass once, whatever the number, before the first can be pressed: prints that
    /// dry.</summary>
    public double WaitMinutes { get; init; }

    /// <summary>True where the garment itself is in its price.</summary>
    public bool BringsBlank { get; init; }

    /// <summary>What one more costs while it is bought or made with the rest: its material without freight, set-up or
    /// the wear of a machine.</summary>
    internal Figure OneMore
    {
        get => field ?? Bare(Material);
        init;
    }

    /// <summary>A piece's share of what bringing the material costs; null where nothing is brought.</summary>
    internal Figure? FreightShare =>
        Material
            .Parts.Concat(Material.Parts.SelectMany(p => p.Parts))
            .FirstOrDefault(p => p.Code == Methods.FreightShare.Code);

    /// <summary>What of it lies under the press at once, in; null for the whole print.</summary>
    public PlatenBox? OnPlaten { get; init; }

    /// <summary>The placement whose print it finishes, where it is a further pass of one: applique under the press;
    /// else empty.</summary>
    public PlacementId Finishes { get; init; }

    /// <summary>Its way where the piece is decorated in several; empty for the line's own.</summary>
    public MethodId MethodId { get; init; } = "";

    /// <summary>What a machine takes for one attempt at its bench, s, opened to its parts; null where its steps say
    /// it.</summary>
    public Figure? BenchTime { get; init; }

    /// <summary>The shop's blanks that are sent away to be printed, with those that may be spoiled there; 0 where none
    /// goes out.</summary>
    public int BlanksSent { get; init; }

    /// <summary>The shop's machine that prints or cuts it; null where none does, and in quotes sent before it was
    /// kept.</summary>
    public Planning.Machine? Machine { get; init; }

    /// <summary>What its machine does for so many pieces; null where none does anything by itself.</summary>
    /// <param name="pieces">Pieces of the line.</param>
    public Planning.MachineWork? MachineWork(int pieces) =>
        Machine is null
            ? null
            : new(
                Machine,
                Preparation.Where(s => s.ByItself && !s.Press).Sum(s => s.Seconds) * Prints(pieces) / 60,
                Preparation.Any(s => s.Code == "thread")
            );

    /// <summary>True where others print on a blank of theirs: nothing else is done on it here.</summary>
    public bool IsOnTheirBlank() => BringsBlank && BenchId == Workbench.Table.Id;

    /// <summary>True where its preparation comes before what is brought for it: blanks sent out, an order
    /// placed.</summary>
    public bool IsPreparedFirst() => Preparation.Any(s => s.Code is "count-out" or "place-order");

    /// <summary>Attempts there is material for; as many as pieces where nothing is bought ahead.</summary>
    /// <param name="pieces">Pieces of the line.</param>
    public int Prints(int pieces) => Bought > 0 ? Bought : pieces;

    /// <summary>Prints to have for the pieces of one size: with spares that suffice as often as the shop wants; none
    /// where each piece has its own, for a spare of one is of no use to another.</summary>
    /// <param name="print">The print and its pieces.</param>
    /// <param name="chance">How often one fails, and how often they are to suffice.</param>
    public static (int Count, string Why) Needed(SizedPrint print, SpareChance chance) =>
        print.Print.Own == OwnText.None
            ? (
                Overage.Pooled(print.Pieces, chance.Failure, chance.Complete),
                $"{print.Pieces} and spares that suffice {chance.Complete * 100:0.##} times in 100"
            )
            : (print.Pieces, "one for each piece: a spoiled one is made again");

    /// <summary>The plan of a placement from the plans of its sizes: what a piece takes is their mean, weighed by their
    /// pieces.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="placement">The placement as asked.</param>
    /// <param name="standards">Seconds of its steps.</param>
    /// <param name="one">The plan of one size's print; its purchases may have any code.</param>
    public static DecorationPlan Of(
        AskInHand ask,
        Placement placement,
        StepStandards standards,
        Func<SizedPrint, DecorationPlan> one
    )
    {
        var prints = SizedPrints.Of(placement, ask.Sizes, ask.Names);
        // a label is of one size even where one size is ordered: whoever unpacks it has to know which
        var named = prints.Count > 1 || placement.Place == NeckLabel.PlaceId;
        var plans = prints
            .Select(p => (Print: p, Plan: Untagged(ask, ForPrint(p, one(p), standards, named), standards)))
            .ToList();
        if (plans.Count == 1)
        {
            return plans[0].Plan;
        }
        return Mean([.. plans.Select(p => (p.Print, p.Plan))]);
    }

    private static DecorationPlan Mean(IReadOnlyList<(SizedPrint Print, DecorationPlan Plan)> plans)
    {
        var pieces = plans.Sum(p => p.Print.Pieces);
        var counts = plans
            .Select(
                (p, i) =>
                    Figure.Input(
                        $"pieces-{i + 1}",
                        label: $"Pieces of {On(p.Print)}",
                        p.Print.Pieces,
                        FigureUnit.Count,
                        "the ask"
                    )
            )
            .ToList();
        var setUps = plans.Select(p => p.Plan.SetUp).OfType<Figure>().ToList();
        var largest = plans[^1].Plan;
        // prints of one size may lie in the drawer: nothing of them is prepared
        var prepared = plans.MaxBy(p => p.Plan.Preparation.Count).Plan;
        return largest with
        {
            Material = Figure.Of(
                "material",
                plans[0].Plan.Material.Label,
                plans.Sum(p => p.Plan.Material.Value * p.Print.Pieces) / pieces,
                "each size's print × its pieces ÷ all pieces",
                [.. plans.Select((p, i) => MaterialOfSize(p.Print, p.Plan, i + 1)), .. counts]
            ),
            Bought = plans.Sum(p => p.Plan.Bought),
            BlanksSent = plans.Sum(p => p.Plan.BlanksSent),
            FailureChance = plans.Max(p => p.Plan.FailureChance),
            Preparation =
            [
                .. prepared.Preparation.Select(
                    (step, i) =>
                        step with
                        {
                            Seconds =
                                plans
                                    .Where(p => i < p.Plan.Preparation.Count)
                                    .Sum(p => p.Plan.Preparation[i].Seconds * p.Print.Pieces) / pieces,
                        }
                ),
            ],
            Prepare = prepared.Prepare,
            Purchases =
            [
                .. plans.SelectMany(
                    (p, i) =>
                        p.Plan.Purchases.Select(b => i == plans.Count - 1 ? b : b with { Code = $"{b.Code}-{i + 1}" })
                ),
            ],
            SetUp = setUps.Count == 0 ? null : Figure.Sum("set-up", largest.SetUp!.Label, setUps),
            OneMore = Figure.Of(
                "one-more",
                "One more",
                plans.Sum(p => p.Plan.OneMore.Value * p.Print.Pieces) / pieces,
                "each size's × its pieces ÷ all pieces",
                [.. plans.Select((p, i) => p.Plan.OneMore with { Code = $"one-more-{i + 1}" }), .. counts]
            ),
        };
    }

    private static Figure MaterialOfSize(SizedPrint print, DecorationPlan plan, int nth) =>
        plan.Material with
        {
            Label = $"{plan.Material.Label} on {On(print)}, {print.Print.WidthIn:0.##} in wide",
            Code = $"material-{nth}",
        };

    /// <summary>Of a sum of material, what one more takes: freight is paid and machines stand there whether it is made
    /// or not.</summary>
    internal static Figure Bare(Figure material) =>
        material.Parts.Any(IsPaidAnyway)
            ? Figure.Sum("one-more", "One more", [.. material.Parts.Where(p => !IsPaidAnyway(p))])
            : material;

    private static bool IsPaidAnyway(Figure part) =>
        part.Code is Methods.FreightShare.Code or "machine" or "cutter" or "cleaning";

    private static string On(SizedPrint print) => string.Join(", ", print.Sizes.Select(s => s.Size));

    // the maker's label goes before the shop's own is printed there; on a blank of others it is theirs to do
    private static DecorationPlan Untagged(AskInHand ask, DecorationPlan plan, StepStandards standards) =>
        plan.Placement.Place != NeckLabel.PlaceId || plan.BringsBlank
            ? plan
            : plan with
            {
                Preparation = [standards.Untagged(ask.Style.Has(Feature.TearAwayLabel)), .. plan.Preparation],
                Prepare = plan.Prepare.Length > 0 ? $"{plan.Prepare}; take the labels out" : "Take the labels out",
            };

    private static DecorationPlan ForPrint(SizedPrint sized, DecorationPlan plan, StepStandards standards, bool named)
    {
        plan = plan with
        {
            Purchases =
            [
                .. plan.Purchases.Select(b =>
                    b with
                    {
                        For = sized,
                        Text = named ? $"{b.Text}, for {On(sized)}" : b.Text,
                    }
                ),
            ],
        };
        return sized.Print.Own == OwnText.None
            ? plan
            : plan with
            {
                Steps = [standards.FindOwn, .. plan.Steps],
                Preparation = [standards.SetOwn, .. plan.Preparation],
                Prepare = plan.Prepare.Length > 0 ? plan.Prepare : "Set and check the names",
            };
    }
}
