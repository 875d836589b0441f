using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Pricing;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;

namespace Hepno.Core.Methods;

/// <summary>Everything the shop keeps that prices and verdicts use.</summary>
/// <param name="Numbers">Rates and rules.</param>
/// <param name="Styles">Blanks.</param>
/// <param name="Films">Bought film price lists.</param>
/// <param name="Vinyls">Vinyl rolls.</param>
/// <param name="Presses">Presses.</param>
/// <param name="Recipes">Recipes.</param>
/// <param name="Screens">Screen-printed transfer price lists.</param>
/// <param name="FilmPrinters">Own film printers.</param>
/// <param name="DyePrinters">Own dye printers.</param>
/// <param name="Carrier">Rates of the carrier; null for none.</param>
/// <param name="Cutters">Cutters; null for none.</param>
public sealed record ShopBook(ShopNumbers Numbers, IReadOnlyList<Style> Styles, IReadOnlyList<TransferPriceList> Films, IReadOnlyList<VinylFilm> Vinyls, IReadOnlyList<Press> Presses, IReadOnlyList<Recipe> Recipes,
    IReadOnlyList<ScreenTransferList> Screens, IReadOnlyList<FilmPrinter> FilmPrinters, IReadOnlyList<DyePrinter> DyePrinters, CarrierRates? Carrier = null, IReadOnlyList<Cutter>? Cutters = null)
{
    /// <summary>Presses that take a kind of garment, those set aside too.</summary>
    public IReadOnlyList<Press> PressesFor(GarmentKind kind) => [.. Presses.Where(p => p.Takes(kind))];
}

/// <summary>A complete line of an ask with its style looked up.</summary>
/// <param name="Style">The blank.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="Sizes">Pieces by size, at least one.</param>
/// <param name="Placements">Decorations, at least one.</param>
/// <param name="Channel">Whose policy makes the price.</param>
/// <param name="Others">The order's other complete lines, with which it shares what is paid once; null for none.</param>
/// <param name="Shipping">How the order is sent, or null when it is collected.</param>
public sealed record AskInHand(Style Style, Colourway Colourway, IReadOnlyList<SizeCount> Sizes, IReadOnlyList<Placement> Placements, Channel Channel = Channel.Retail, IReadOnlyList<AskInHand>? Others = null, Shipping? Shipping = null)
{
    /// <summary>Pieces of all sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);

    /// <summary>This line and the others of its order.</summary>
    public IReadOnlyList<AskInHand> Order => [this, .. Others ?? []];

    /// <summary>Pieces of the whole order.</summary>
    public int OrderPieces => Order.Sum(l => l.Pieces);

    /// <summary>Pieces of the whole order whose blanks come from this line's supplier: they share its freight.</summary>
    public int PiecesOfSupplier => Order.Where(l => l.Style.Supplier == Style.Supplier).Sum(l => l.Pieces);

    /// <summary>The same line at another total, its mix of sizes kept.</summary>
    public AskInHand At(int pieces) => this with { Sizes = SizeRun.ScaledTo(Sizes, pieces) };
}

/// <summary>Can it be done?</summary>
public enum VerdictKind
{
    /// <summary>Yes.</summary>
    Yes,

    /// <summary>Yes, with the care that the reasons name.</summary>
    WithCare,

    /// <summary>No.</summary>
    No,
}

/// <summary>One reason of a verdict.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Kind">What it makes of the verdict.</param>
/// <param name="Sentence">The reason; names the input that decided.</param>
/// <param name="WouldWork">What would make it work, or the care to take.</param>
public sealed record Reason(string Code, VerdictKind Kind, string Sentence, string WouldWork);

/// <summary>A verdict with its reasons, the deciding one first.</summary>
/// <param name="Kind">The verdict.</param>
/// <param name="Reasons">Why; empty for a plain yes.</param>
public sealed record Verdict(VerdictKind Kind, IReadOnlyList<Reason> Reasons)
{
    /// <summary>The verdict that a list of reasons makes: the worst of them, worst first.</summary>
    public static Verdict Of(IReadOnlyList<Reason> reasons) => new(reasons.Count == 0 ? VerdictKind.Yes : reasons.Max(r => r.Kind), [.. reasons.OrderByDescending(r => r.Kind)]);
}

/// <summary>Something to buy for one decoration of the order, with the drawing it follows from.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Text">What it is.</param>
/// <param name="Supplier">From whom; empty for what lies in the shop.</param>
/// <param name="LeadDays">Working days until it is here.</param>
/// <param name="Quantity">How many or how long.</param>
/// <param name="Unit">transfers, sheets or in.</param>
/// <param name="Cost">Money, opened to its parts.</param>
/// <param name="Rows">For a roll: the rows as they are cut or printed; else null.</param>
/// <param name="SizeClass">For a bought transfer: the size class or sheet bought; else null.</param>
/// <param name="Grid">For own paper: the prints on a sheet; else null.</param>
public sealed record Purchase(string Code, string Text, string Supplier, int LeadDays, double Quantity, string Unit, Figure Cost, Gang.RollRows? Rows, TransferSize? SizeClass, Gang.SheetGrid? Grid = null);

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
public sealed record DecorationPlan(Placement Placement, Figure Material, int Bought, double FailureChance, Recipe Recipe, IReadOnlyList<WorkStep> Steps, IReadOnlyList<WorkStep> Preparation, IReadOnlyList<Purchase> Purchases, Figure? SetUp = null, string Prepare = "");

/// <summary>What a method answers to an ask.</summary>
/// <param name="Verdict">Whether it can.</param>
/// <param name="Made">A few words on how, for the band.</param>
/// <param name="Decorations">How, or empty when it cannot.</param>
public sealed record MethodAnswer(Verdict Verdict, string Made, IReadOnlyList<DecorationPlan> Decorations)
{
    /// <summary>It cannot, and why.</summary>
    public static MethodAnswer No(params IReadOnlyList<Reason> reasons) => new(Verdict.Of(reasons), "", []);

    /// <summary>The best of one method's answers with different products or machines: a plain yes before one with care, then the least money for material and set-ups; when none can, the first one's reasons.</summary>
    /// <param name="answers">At least one.</param>
    /// <param name="pieces">Pieces of the ask.</param>
    public static MethodAnswer BestOf(IReadOnlyList<MethodAnswer> answers, int pieces) => answers.Where(a => a.Decorations.Count > 0).OrderBy(a => a.Verdict.Kind)
        .ThenBy(a => a.Decorations.Sum(d => (d.Material.Value * pieces) + (d.SetUp?.Value ?? 0))).FirstOrDefault() ?? answers[0];
}

/// <summary>A way of decorating: its feasibility, materials and steps, in one file.</summary>
public interface IDecorationMethod
{
    /// <summary>Key, as in DOMAIN 4.</summary>
    string Id { get; }

    /// <summary>Its name on screen.</summary>
    string Name { get; }

    /// <summary>What the customer is told it is, after "made as".</summary>
    string Said { get; }

    /// <summary>Share of attempts assumed to spoil the piece until the shop has learned its own; features of an ask may add to it.</summary>
    double SpoilageAssumed { get; }

    /// <summary>Whether and how it would do the ask.</summary>
    MethodAnswer Answer(AskInHand ask, ShopBook book);
}

/// <summary>All methods, in the order they are registered.</summary>
public static class DecorationMethods
{
    /// <summary>The methods Hepno knows.</summary>
    public static IReadOnlyList<IDecorationMethod> All { get; } = [new DtfBought(), new DtfMade(), new ScreenTransfer(), new Htv(), new Sublimation()];

    /// <summary>A method by its key, or null.</summary>
    public static IDecorationMethod? Find(string id) => All.FirstOrDefault(m => m.Id == id);
}
