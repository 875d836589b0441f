using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Garments cut and sewn from cloth that was dyed by the roll: printed paper and cloth go through a calender,
/// the parts are cut out and sewn (docs/trade 2).</summary>
public sealed class SublimationCutSew : IDecorationMethod
{
    private const string Key = "sublimation-cutsew";
    private const double FailurePrior = 0.05;
    private const int Steps = 100;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Dye, cut and sewn";

    /// <inheritdoc/>
    public string Said => "sewn here from dyed cloth, edge to edge without a white crease";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <inheritdoc/>
    public int Order => 80;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "nothing to feel",
            Wear: "does not wash out; seams as well as they are sewn",
            "stretches with the cloth",
            Look: "edge to edge, seams and all"
        );

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [
            StartUpItem.Machine("calender", "A calender and a roll printer", 9600, book.Of<Calender>()),
            StartUpItem.Thing("sewing", "A sewing machine and an overlock", 1100),
            StartUpItem.Thing("table", "A cutting table, shears and patterns", 450),
            StartUpItem.Thing("stock", "First cloth, paper and dye", 600),
        ];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        List<Reason> reasons = [.. OnPattern(ask), .. NotTheirs(ask), .. Verdicts.OnePrint(ask), .. Missing(book)];
        if (reasons.Count > 0)
        {
            return MethodAnswer.No(reasons);
        }
        MethodAnswer On(IEnumerable<RollCloth> cloths) =>
            MethodAnswer.BestOf(
                [
                    .. cloths.SelectMany(
                        _ => book.Of<Calender>(),
                        (cloth, calender) =>
                            Answer(ask, book, calender, cloth) with
                            {
                                Of = $"{cloth.Product}, {cloth.Supplier}",
                            }
                    ),
                ],
                ask
            );
        // cloth that prints faded only where nothing else can be had
        var vivid = book.Of<RollCloth>().Where(c => c.PolyesterPercent >= Sublimation.VividPercent).ToList();
        return vivid.Count > 0 && On(vivid) is { Decorations.Count: > 0 } best ? best : On(book.Of<RollCloth>());
    }

    /// <summary>How many of each size are sewn, with spares that suffice as often as the shop wants: a spare M does not
    /// replace a spoiled 2XL.</summary>
    public static IReadOnlyList<SizeCount> Garments(AskInHand ask, SpareChance chance) =>
        [
            .. ask
                .Sizes.Where(s => s.Pieces > 0)
                .Select(s => s with { Pieces = DecorationPlan.Needed(new(ask.Placements[0], [s]), chance).Count }),
        ];

    private static IEnumerable<Reason> OnPattern(AskInHand ask)
    {
        if (ask.Placements.FirstOrDefault(p => p.Place != Places.AllOver) is { } part)
        {
            yield return new(
                "not-all-over",
                VerdictKind.No,
                $"{part.At().Name} is a part of the garment: nothing is sewn anew for it",
                WouldWork: "all over as the place, or a print on that part alone"
            );
        }
        else if (SewingPattern.For(ask.Style.Kind, ask.Sizes[0].Size) is null)
        {
            yield return new(
                "no-pattern",
                VerdictKind.No,
                $"no pattern for {GarmentNouns.For(ask.Style.Kind, 2)}",
                WouldWork: $"{string.Join(", ", SewingPattern.Kinds.Select(k => GarmentNouns.For(k, 2)))}, or dye all "
                    + "over on a bought blank"
            );
        }
    }

    private static IEnumerable<Reason> NotTheirs(AskInHand ask)
    {
        if (ask.Theirs)
        {
            yield return new(
                "theirs-sewn",
                VerdictKind.No,
                "their own garments; these are sewn anew",
                WouldWork: "a method that prints on what they bring"
            );
        }
    }

    private static IEnumerable<Reason> Missing(ShopBook book)
    {
        if (book.Of<Calender>().Count == 0)
        {
            yield return new(
                "no-calender",
                VerdictKind.No,
                "no calender on the Floor",
                WouldWork: "a calender and its roll printer, added on the Floor"
            );
        }
        if (book.Of<RollCloth>().Count == 0)
        {
            yield return new(
                "no-cloth",
                VerdictKind.No,
                "no cloth by the roll on the Shelf",
                WouldWork: "white polyester cloth, entered on the Shelf"
            );
        }
    }

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, Calender calender, RollCloth cloth)
    {
        List<Reason> reasons =
        [
            .. Verdicts.Artwork(ask, ask.Placements, PrintHold.Dye, book.Numbers.Format),
            .. Verdicts.Loaded(calender.Id, printer: calender.Name, book),
        ];
        var failure = SpoilageChance.Reckon(Key, FailurePrior, ask, book);
        var garments = Garments(ask, SpareChance.In(book, failure));
        var markers = RunMarkers.Find(
            ask.Style.Kind,
            garments,
            cloth.WidthIn,
            calender.PaperWidthIn,
            ask.Sketch is null ? Steps : GangNest.OnePass
        )!;
        if (markers.LeftOut is { } wide)
        {
            reasons.Add(
                new(
                    "part-width",
                    VerdictKind.No,
                    $"{cloth.Product}: {wide}",
                    WouldWork: "wider cloth or paper, or smaller sizes alone"
                )
            );
        }
        if (cloth.PolyesterPercent < Sublimation.VividPercent)
        {
            reasons.Add(
                new(
                    "faded",
                    VerdictKind.WithCare,
                    $"{cloth.Product}, {cloth.PolyesterPercent:0}% polyester, prints faded",
                    WouldWork: "cloth of 95% polyester or more"
                )
            );
        }
        reasons.Add(
            new(
                "sewn-here",
                VerdictKind.WithCare,
                $"sewn from {cloth.Product}, {cloth.PolyesterPercent:0}% polyester, not {ask.Style.Name}",
                WouldWork: "a piece sewn first and shown; its label must say fibre, origin and care as the law there wants"
            )
        );
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"{SizeRun.Total(garments)} cut from "
                    + $"{Shown.Length(Math.Ceiling(markers.FabricIn), book.Numbers.Format)} of {cloth.Product}, "
                    + $"through {calender.Name}",
                [Decoration(ask, calender, cloth, markers, garments, failure, book)]
            );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        Calender calender,
        RollCloth cloth,
        RunMarkers markers,
        IReadOnlyList<SizeCount> garments,
        double failure,
        ShopBook book
    )
    {
        var (p, steps) = (ask.Placements[0], book.Numbers.Floor.Standards());
        var made = SizeRun.Total(garments);
        var sewn = Figure.Input(
            "garments",
            "Garments sewn",
            made,
            FigureUnit.Count,
            string.Join(", ", garments.Select(g => $"{g.Size} {g.Pieces}"))
        );
        var shelf = $"Shelf: {cloth.Product}";
        var fabric = ByLength(
            "cloth",
            label: "Cloth",
            cloth.Billed(markers.FabricIn),
            how: $"Markers of {markers.FabricIn:0.#} in, {cloth.ShrinkShare:0.#%} for the heat, in whole "
                + $"{cloth.StepIn:0.#} in",
            cloth.PricePerFoot,
            source: shelf,
            sewn
        );
        var freight = Figure.Of(
            "cloth-freight",
            "Freight of the cloth",
            cloth.FreightPerOrder / made,
            "freight ÷ garments",
            Figure.Input("freight", "Freight an order", cloth.FreightPerOrder, FigureUnit.Money, shelf),
            sewn
        );
        var cut = Shown.Length(Math.Ceiling(markers.FabricIn), book.Numbers.Format);
        return new DecorationPlan(
            p,
            Figure.Sum("material", "Dyed cloth, cut out", [fabric, freight, .. Dyed(p, calender, markers, sewn, book)]),
            made,
            failure,
            Recipe.NoHeat(
                calender.Id,
                side: "sewn right sides together",
                "Needle and shears: fingers clear. The label says fibre, origin and care as the law there wants."
            ),
            [steps.Sewn],
            [
                StepStandards.Print(markers.PartsIn2 / made, calender.PrintIn2PerMinute),
                StepStandards.Calendered(markers.FabricIn / made / calender.InPerMinute * 60),
                steps.CutOut(markers.OutlineIn / made),
            ],
            [Cloth(ask, cloth, markers, fabric, freight, sewn)],
            Prepare: $"Print mirrored, calender and cut {cut} of cloth",
            BenchId: Workbench.Sewing.Id,
            SetUp: null
        )
        {
            BringsBlank = true,
            Machine = new(calender.Id, calender.Name),
        };
    }

    private static Figure ByLength(
        string code,
        string label,
        double lengthIn,
        string how,
        decimal perFoot,
        string source,
        Figure sewn
    ) =>
        Figure.Of(
            code,
            label,
            Money.Times(lengthIn / 12, perFoot) / (int)sewn.Value,
            "length × price ÷ garments",
            Figure.Input("length", how, lengthIn, FigureUnit.Inches, source),
            Figure.Input("price", "A foot", perFoot, FigureUnit.Money, source),
            sewn
        );

    // what is printed, calendered and sewn on, of one garment
    private static IEnumerable<Figure> Dyed(
        Placement p,
        Calender calender,
        RunMarkers markers,
        Figure sewn,
        ShopBook book
    )
    {
        var (floor, made) = ($"Floor: {calender.Name}", (int)sewn.Value);
        // drum and printer are one hour: the printer runs ahead, both are busy for the garment
        var seconds =
            StepStandards.Print(markers.PartsIn2 / made, calender.PrintIn2PerMinute).Seconds
            + (markers.FabricIn / made / calender.InPerMinute * 60);
        return
        [
            ByLength(
                "paper",
                label: "Paper",
                markers.PaperIn,
                how: "Markers on the paper",
                calender.PaperPricePerFoot,
                source: floor,
                sewn
            ),
            Sublimation.Ink(
                Figure.Input(
                    "painted",
                    "Painted, a garment",
                    markers.PartsIn2 * p.CoveragePercent / 100 / made,
                    FigureUnit.SquareInches,
                    "boxes of its parts × coverage"
                ),
                calender.InkMlPerIn2,
                calender.InkPricePerMl,
                floor
            ),
            Figure.Input("notions", "Thread, neck tape and label", calender.NotionsPerPiece, FigureUnit.Money, floor),
            MachineTime.Reckon(
                calender.Equipment,
                seconds,
                book.Numbers.Rates.TariffPerKwh,
                floor,
                book.TendingOf(calender.Id, calender.Equipment),
                "drum and printer",
                how: "in² ÷ speed + in ÷ speed"
            ),
        ];
    }

    private static Purchase Cloth(
        AskInHand ask,
        RollCloth cloth,
        RunMarkers markers,
        Figure fabric,
        Figure freight,
        Figure sewn
    )
    {
        var made = (int)sewn.Value;
        return new(
            $"cloth-{ask.Placements[0].Id}",
            Text: $"{cloth.Product}, {cloth.WidthIn:0.#} in wide, for {made} {GarmentNouns.For(ask.Style.Kind, made)}",
            cloth.Supplier,
            cloth.LeadDays,
            cloth.Billed(markers.FabricIn),
            "in",
            Figure.Of(
                "buy",
                "Cloth",
                (fabric.Value + freight.Value) * made,
                "a garment's cloth and freight × garments",
                fabric,
                freight,
                sewn
            ),
            null,
            null
        )
        {
            Markers = markers,
        };
    }
}
