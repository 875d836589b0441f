using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Web.Wire;

namespace Hepno.Web.Endpoints;

/// <summary>A design to lay; lengths in inches.</summary>
internal sealed record GangDesignBody(
    string Id,
    double WidthIn,
    double HeightIn,
    int Copies,
    bool MayTurn = true,
    string Group = ""
);

/// <summary>How a roll is billed: a step with its price, lower from so many steps on where there are breaks; or set
/// lengths.</summary>
internal sealed record RollPriceBody(
    double StepIn,
    decimal PerStep,
    IReadOnlyList<SetLengthBody>? Lengths = null,
    IReadOnlyList<PriceBreak>? Breaks = null
);

/// <summary>A roll sold at one length.</summary>
internal sealed record SetLengthBody(double LengthIn, decimal Price);

/// <summary>Designs to lay on a roll, or on sheets where a length is given. Without steps about two seconds are
/// searched; with 0 only the usual orders are tried.</summary>
internal sealed record GangBody(
    double WidthIn,
    double? LengthIn,
    double GapIn,
    double MarginIn,
    IReadOnlyList<GangDesignBody> Designs,
    int Seed = 1,
    int? Steps = null,
    RollPriceBody? RollPrice = null,
    IReadOnlyList<PriceBreak>? SheetPrices = null
);

/// <summary>A layout with what it costs.</summary>
/// <param name="Found">Where everything lies, how long it is, and what nothing can be under.</param>
/// <param name="Bill">What is billed; null without prices, or where no set length is long enough.</param>
/// <param name="Shares">Each design's part of it, both ways.</param>
internal sealed record GangView(GangFound Found, GangBill? Bill, IReadOnlyList<GangShare> Shares);

/// <summary>Designs for sheets that are all alike: copies are those needed in all; a custom ink shared by designs of
/// one layout is paid once.</summary>
internal sealed record IdenticalBody(
    double WidthIn,
    double LengthIn,
    double GapIn,
    double MarginIn,
    IReadOnlyList<IdenticalDesignBody> Designs,
    IReadOnlyList<PriceBreak> SheetPrices,
    decimal SetUp = 0,
    decimal Ink = 0
);

/// <summary>A design with its custom inks.</summary>
internal sealed record IdenticalDesignBody(
    string Id,
    double WidthIn,
    double HeightIn,
    int Copies,
    bool MayTurn = true,
    IReadOnlyList<string>? Inks = null
);

/// <summary>A print larger than a sheet; lengths in inches, the bleed all round is added.</summary>
internal sealed record TilesBody(
    double WidthIn,
    double HeightIn,
    double SheetWidthIn,
    double SheetHeightIn,
    double OverlapIn = 0.25,
    double BleedIn = 1
);

/// <summary>A part of a garment to be cut.</summary>
internal sealed record PatternPartBody(string Name, double WidthIn, double HeightIn, int Count);

/// <summary>Parts of a run to lay on cloth and paper.</summary>
internal sealed record MarkerBody(
    double FabricWidthIn,
    double PaperWidthIn,
    double GapIn,
    IReadOnlyList<PatternPartBody> Parts,
    int Steps = GangNest.OnePass
);

/// <summary>Prints that are cut out along their outline, on sheets with a cutter's marks.</summary>
internal sealed record PrintAndCutBody(
    double SheetWidthIn,
    double SheetLengthIn,
    double LeftIn,
    double TopIn,
    double RightIn,
    double BottomIn,
    double BleedIn,
    IReadOnlyList<GangDesignBody> Designs,
    int Seed = 1,
    int Steps = GangNest.OnePass
);

/// <summary>Layouts without keeping anything.</summary>
internal static class LayoutEndpoints
{
    // about twenty seconds of one core
    private const double MostWork = 3e9;

    // every count of sheets is tried until one holds everything
    private const int MostDesigns = 12;

    public static void MapLayouts(this IEndpointRouteBuilder api)
    {
        var compute = api.MapGroup("/compute").WithTags("compute");
        compute.MapPost("layout", Lay).WithName("computeLayout");
        compute.MapPost("identical-sheets", Identical).WithName("computeIdenticalSheets");
        compute.MapPost("tiles", LayTiles).WithName("computeTiles");
        compute.MapPost("marker", LayMarker).WithName("computeMarker");
        compute.MapPost("print-and-cut", LayInsideMarks).WithName("computePrintAndCut");
    }

    /// <summary>How many copies of each design on sheets that are all alike, and how many sheets, for the least money;
    /// in several layouts where that costs less.</summary>
    internal static IdenticalPlan Identical(IdenticalBody b)
    {
        var ground = new GangGround(b.WidthIn, b.LengthIn, b.GapIn, b.MarginIn);
        List<IdenticalDesign> designs =
        [
            .. b.Designs.Select(d => new IdenticalDesign(
                new(d.Id.Trim(), d.WidthIn, d.HeightIn, d.Copies, d.MayTurn),
                d.Inks ?? []
            )),
        ];
        RefusedException.IfAny(
            GangProblems
                .Of(ground, [.. designs.Select(d => d.Design)])
                .Concat(Breaks(b.SheetPrices))
                .Concat(
                    b.SetUp < 0 || b.Ink < 0
                        ?
                        [
                            new Problem(
                                "range",
                                $"A set-up of {b.SetUp:0.00} or an ink of {b.Ink:0.00} is under 0.",
                                Where: "setUp",
                                "0 or more."
                            ),
                        ]
                        : []
                )
                .Concat(
                    designs.Count > MostDesigns
                        ?
                        [
                            new Problem(
                                "many",
                                $"{designs.Count} designs on sheets that are alike.",
                                Where: "designs",
                                $"At most {MostDesigns}."
                            ),
                        ]
                        : []
                )
        );
        return IdenticalSheets.Cheapest(ground, designs, new(b.SheetPrices, b.SetUp, b.Ink))
            ?? throw new RefusedException(
                400,
                "too-large",
                "A design does not go on a sheet at all.",
                remedy: "A smaller print or a larger sheet.",
                "designs"
            );
    }

    /// <summary>Lays designs together on a roll or sheets: the same designs, seed and steps give the same layout. What
    /// does not go on is said, everything else is laid.</summary>
    internal static GangView Lay(GangBody b, HttpContext context)
    {
        // a roll in set lengths is laid on as many of the longest as it needs
        var longest =
            b.LengthIn is null && b.RollPrice?.Lengths is { Count: > 0 } lengths
                ? lengths.Max(l => l.LengthIn)
                : (double?)null;
        var ground = new GangGround(b.WidthIn, b.LengthIn ?? longest, b.GapIn, b.MarginIn)
        {
            IsCutShorter = longest is not null,
        };
        List<GangDesign> designs =
        [
            .. b.Designs.Select(d => new GangDesign(
                d.Id.Trim(),
                d.WidthIn,
                d.HeightIn,
                d.Copies,
                d.MayTurn,
                d.Group.Trim()
            )),
        ];
        RefusedException.IfAny(GangProblems.Of(ground, designs, GangNest.MostInAll).Concat(Prices(b)));
        var copies = designs.Sum(d => d.Copies);
        var steps = b.Steps ?? GangNest.UsualSteps(copies);
        RefusedException.IfAny(Budget(steps, Math.Min(copies, GangNest.MostCopies)));
        var found = GangNest.Lay(ground, designs, b.Seed, steps, (_, _) =>
            !context.RequestAborted.IsCancellationRequested
        );
        GangBill? bill;
        if (found.Placed.Count == 0)
        {
            bill = null;
        }
        else if (b.LengthIn is null)
        {
            bill = b.RollPrice is { } p
                ? GangBills.Roll(
                    found,
                    ground,
                    new(
                        p.StepIn,
                        [new(1, p.PerStep), .. p.Breaks ?? []],
                        p.Lengths?.Select(l => new SetLength(l.LengthIn, l.Price)).ToList()
                    )
                )
                : null;
        }
        else if (b.SheetPrices is { } breaks)
        {
            bill = GangBills.Sheets(found, ground, breaks);
        }
        else
        {
            bill = null;
        }

        return new(
            found,
            bill,
            bill is null
                ? []
                : GangBills.Shares([.. designs.Where(d => found.Placed.Any(x => x.DesignId == d.Id))], bill)
        );
    }

    /// <summary>Sheets that overlap to print a garment all over: how many, where each lies, in which order they are
    /// joined, and whether a little less would save some. With the platen as sheet it counts press positions.</summary>
    internal static Tiles LayTiles(TilesBody b)
    {
        RefusedException.IfAny(
            b.BleedIn is not (>= 0 and <= 4)
                ?
                [
                    new Problem(
                        "range",
                        $"A bleed of {b.BleedIn:0.##} in is outside 0 to 4.",
                        Where: "bleedIn",
                        "One inch all round is usual."
                    ),
                ]
                : []
        );
        var (width, height) = (b.WidthIn + (2 * b.BleedIn), b.HeightIn + (2 * b.BleedIn));
        RefusedException.IfAny(Tiles.Problems(width, height, b.SheetWidthIn, b.SheetHeightIn, b.OverlapIn));
        return Tiles.Cut(width, height, b.SheetWidthIn, b.SheetHeightIn, b.OverlapIn);
    }

    /// <summary>Parts of a run laid along the grain on cloth, and on the paper they are printed on.</summary>
    internal static Marker LayMarker(MarkerBody b)
    {
        List<GangDesign> designs =
        [
            .. b.Parts.Select(p => new GangDesign(p.Name.Trim(), p.WidthIn, p.HeightIn, p.Count, false)),
        ];
        RefusedException.IfAny(
            GangProblems
                .Of(new(b.FabricWidthIn, null, b.GapIn, 0), designs)
                .Concat(GangProblems.Of(new(b.PaperWidthIn, null, b.GapIn, 0), designs))
                .DistinctBy(p => p.Sentence)
                .Concat(Budget(b.Steps, designs.Sum(d => d.Copies)))
        );
        return Marker.Lay(
            [.. b.Parts.Select(p => new PatternPart(p.Name.Trim(), p.WidthIn, p.HeightIn, p.Count))],
            b.FabricWidthIn,
            b.PaperWidthIn,
            b.GapIn,
            b.Steps
        );
    }

    /// <summary>Prints laid inside a cutter's marks, with bleed between them.</summary>
    internal static GangFound LayInsideMarks(PrintAndCutBody b)
    {
        var sheet = new PrintAndCut(
            b.SheetWidthIn,
            b.SheetLengthIn,
            b.LeftIn,
            b.TopIn,
            b.RightIn,
            b.BottomIn,
            b.BleedIn
        );
        List<GangDesign> designs =
        [
            .. b.Designs.Select(d => new GangDesign(
                d.Id.Trim(),
                d.WidthIn,
                d.HeightIn,
                d.Copies,
                d.MayTurn,
                d.Group.Trim()
            )),
        ];
        RefusedException.IfAny(sheet.Problems());
        RefusedException.IfAny(
            GangProblems.Of(sheet.Inside(), designs).Concat(Budget(b.Steps, designs.Sum(d => d.Copies)))
        );
        return sheet.Lay(designs, b.Seed, b.Steps);
    }

    private static IEnumerable<Problem> Budget(int steps, int copies) =>
        steps < 0 || (double)steps * copies * copies > MostWork
            ?
            [
                new Problem(
                    "range",
                    $"{steps} steps with {copies} copies is outside 0 to {MostWork / ((double)copies * copies):0}.",
                    Where: "steps",
                    "Search in several calls with other seeds, or leave it out."
                ),
            ]
            : [];

    private static IEnumerable<Problem> Prices(GangBody b)
    {
        if (
            b.RollPrice is { Lengths: null or { Count: 0 } } step
            && (step.StepIn is not (> 0 and <= 10_000) || step.PerStep < 0)
        )
        {
            yield return new(
                "range",
                $"A step of {step.StepIn:0.##} in for {step.PerStep:0.00} cannot be billed.",
                Where: "rollPrice",
                "A step longer than 0, a price of 0 or more, or set lengths."
            );
        }
        if (b.RollPrice?.Lengths?.Any(l => l.LengthIn is not (> 0 and <= 10_000) || l.Price < 0) == true)
        {
            yield return new(
                "range",
                "A set length is not longer than 0, or its price is under 0.",
                Where: "rollPrice.lengths",
                "Type lengths and prices as the list has them."
            );
        }
        if (b.RollPrice?.Breaks?.Any(k => k.From < 2 || k.Price < 0) == true)
        {
            yield return new(
                "range",
                "A break of the roll's price is from less than 2 steps on, or under 0.",
                Where: "rollPrice.breaks",
                "The first step's price stands in perStep; breaks begin at 2 steps."
            );
        }
        foreach (var problem in b.SheetPrices is { } breaks ? Breaks(breaks) : [])
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> Breaks(IReadOnlyList<PriceBreak> breaks) =>
        breaks.Count > 0 && breaks.All(k => k.From >= 1 && k.Price >= 0)
            ? []
            :
            [
                new Problem(
                    "range",
                    "The price of sheets needs breaks from 1 sheet on, with prices of 0 or more.",
                    Where: "sheetPrices",
                    "For example from 1 at 14.00, from 10 at 11.50."
                ),
            ];
}
