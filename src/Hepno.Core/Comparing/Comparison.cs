using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>One stratum rounded for show; all seven add up to the rounded cost.</summary>
/// <param name="Code">Code of the stratum.</param>
/// <param name="Label">Its screen word.</param>
/// <param name="Shown">Rounded money a piece.</param>
public sealed record StratumShown(string Code, string Label, decimal Shown);

/// <summary>Cost and price at one quantity, for the curve.</summary>
/// <param name="Pieces">Quantity.</param>
/// <param name="Cost">Money a piece, rounded for show.</param>
/// <param name="Price">Price a piece.</param>
public sealed record CurvePoint(int Pieces, decimal Cost, decimal Price);

/// <summary>A method that can do the ask, with everything it comes to.</summary>
/// <param name="MethodId">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Made">How, in a few words.</param>
/// <param name="Verdict">Yes or with care.</param>
/// <param name="Cost">Cost a piece, opened to its strata and inputs.</param>
/// <param name="CostShown">That cost, rounded once.</param>
/// <param name="Strata">Strata rounded to add up to it.</param>
/// <param name="CostLow">Cost if nothing were spoiled.</param>
/// <param name="CostHigh">Cost if six in a hundred of every attempt were spoiled.</param>
/// <param name="Outcome">Price, profit and what an hour earns.</param>
/// <param name="Total">Price × pieces and the surcharges, before tax.</param>
/// <param name="PriceHow">How the price came about.</param>
/// <param name="Hands">Attended seconds a good piece.</param>
/// <param name="ClockSeconds">Seconds from first touch to packed, one at a time.</param>
/// <param name="Decorations">How each placement is done and what is bought for it, in the order of pressing.</param>
/// <param name="Promise">Earliest honest promise, or null when nothing can be planned.</param>
/// <param name="OverMark">Money a piece over the customer's mark; 0 when inside or no mark.</param>
/// <param name="LateMinutes">Minutes (wall clock) the promise is after the wanted time; 0 when on time.</param>
/// <param name="BlankChance">Chance that no blank needs buying again when no spares are bought.</param>
/// <param name="LeavesOut">What the figure leaves out.</param>
/// <param name="Curve">Cost and price at other quantities.</param>
public sealed record Band(
    MethodId MethodId,
    string Name,
    string Made,
    Verdict Verdict,
    Figure Cost,
    decimal CostShown,
    IReadOnlyList<StratumShown> Strata,
    decimal CostLow,
    decimal CostHigh,
    Outcome Outcome,
    decimal Total,
    string PriceHow,
    Figure Hands,
    double ClockSeconds,
    IReadOnlyList<DecorationPlan> Decorations,
    Promise? Promise,
    decimal OverMark,
    double LateMinutes,
    double BlankChance,
    IReadOnlyList<string> LeavesOut,
    IReadOnlyList<CurvePoint> Curve
)
{
    /// <summary>A few pieces more that come to less in all, or null.</summary>
    public Cliff? Cliff { get; init; }

    /// <summary>What dearer sizes add to the price; null or empty where they are averaged into it.</summary>
    public IReadOnlyList<SizeSurcharge>? Surcharges { get; init; }

    /// <summary>What all pieces leave if every method were sold at the comparison's one price, hands beyond
    /// the free paid for at their worth: what methods are ranked by. Null in a quote.</summary>
    public LeftInAll? LeftInAll { get; init; }

    /// <summary>False where no press is used.</summary>
    public bool IsPressed => Decorations.Any(d => d.Recipe.IsPressed());

    /// <summary>What the owner's old rule of thumb would have said; null where there is none.</summary>
    public RuleOfThumb? Thumb { get; init; }

    /// <summary>What is won and lost by decorating the piece in several ways; empty where it is done in one.</summary>
    public IReadOnlyList<string> Mixing { get; init; } = [];

    /// <summary>Price lists, products and machines of the shop that cannot do it, with why; empty where none was passed
    /// over.</summary>
    public IReadOnlyList<string> NotUsed { get; init; } = [];

    /// <summary>By which way one of its decorations is done.</summary>
    public MethodId WayOf(DecorationPlan d) => d.MethodId.IsNone ? MethodId : d.MethodId;

    /// <summary>What it is like on the garment.</summary>
    public PrintCharacter Character => DecorationMethods.Find(MethodId)!.Character;

    /// <summary>How it weighs against others of its comparison.</summary>
    public Weighed Weighed() =>
        new(
            LeftInAll!.Left.Value,
            Cost: Cost.Value * LeftInAll.Pieces,
            Promise is { } p ? p.At.Date : null,
            Verdict.Kind
        );

    /// <summary>True when price and promise both suit the customer.</summary>
    public bool Fits => OverMark == 0 && LateMinutes == 0;

    /// <summary>Hottest recipe of the order, °F.</summary>
    public double TemperatureF => Decorations.Max(d => d.Recipe.TemperatureF);

    /// <summary>The weakest source among the recipes used.</summary>
    public RecipeSource RecipeSource => Decorations.Max(d => d.Recipe.Source);
}

/// <summary>A method set aside, with its reasons.</summary>
/// <param name="MethodId">Key.</param>
/// <param name="Name">On screen.</param>
/// <param name="Reasons">Deciding reason first.</param>
public sealed record Fold(MethodId MethodId, string Name, IReadOnlyList<Reason> Reasons);

/// <summary>All methods held against one ask.</summary>
/// <param name="Pieces">Pieces compared at.</param>
/// <param name="AskedPieces">Pieces of the line as it stands.</param>
/// <param name="Mark">The most the customer would pay a piece, or null.</param>
/// <param name="DueAt">When it is wanted, or null.</param>
/// <param name="Bands">Those that can: fitting ones, the recommended first, a plain yes before one with care, then by
/// what they leave at one price; then the rest by how far they miss.</param>
/// <param name="Folds">Those that cannot.</param>
public sealed record Comparison(
    int Pieces,
    int AskedPieces,
    decimal? Mark,
    LocalDateTime? DueAt,
    IReadOnlyList<Band> Bands,
    IReadOnlyList<Fold> Folds
)
{
    /// <summary>The price a piece at which methods are ranked: the mark, or the least a plain yes that fits
    /// is sold at; a dearer way is no better for being dearer.</summary>
    public decimal OnePrice { get; init; }

    /// <summary>What is recommended; null where nothing fits.</summary>
    public Advice? Advice { get; init; }

    /// <summary>What each placement could be done by alone; null or empty for a line of one placement.</summary>
    public IReadOnlyList<PlacementWays>? Ways { get; init; }
}
