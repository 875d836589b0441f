using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Sent out piece by piece to a service that prints on demand on its own blanks.</summary>
public sealed class PodOut : IDecorationMethod
{
    private const string Key = "pod-out";

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Printed on demand";

    /// <inheritdoc/>
    public string Said => "printed for us on demand, in full colour";

    /// <summary>None: what it spoils it makes again.</summary>
    public double SpoilageAssumed => 0;

    /// <inheritdoc/>
    public bool HoldsOnPrint => false;

    /// <inheritdoc/>
    public int Order => 150;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "as the service prints",
            Wear: "unknown until washed here",
            "as the service prints",
            Look: "full colour, on a blank not ours"
        );

    /// <inheritdoc/>
    public bool IsSentOut => true;

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [StartUpItem.Thing("samples", "Samples of their work", 60)];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book) =>
        book.Of<PodService>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-service",
                    VerdictKind.No,
                    "no service on the Shelf that prints on demand",
                    WouldWork: "a service's price list, entered on the Shelf"
                )
            )
            : MethodAnswer.BestOf(
                [.. book.Of<PodService>().Select(service => Answer(ask, book, service) with { Of = service.Supplier })],
                ask
            );

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, PodService service)
    {
        List<Reason> reasons = [];
        if (ask.Theirs)
        {
            reasons.Add(
                new(
                    "theirs-out",
                    VerdictKind.No,
                    $"their own garments; {service.Supplier} prints on its own",
                    WouldWork: "a method of the shop's"
                )
            );
        }
        if (service.Prices.All(p => p.Kind != ask.Style.Kind))
        {
            reasons.Add(
                new(
                    "not-listed",
                    VerdictKind.No,
                    $"{service.Supplier} has no {GarmentNouns.For(ask.Style.Kind, 2)}",
                    WouldWork: $"{string.Join(", ", service.Prices.Select(p => GarmentNouns.For(p.Kind, 2)))}, or another service"
                )
            );
        }
        reasons.AddRange(
            Verdicts.Largest(
                ask.Prints,
                service.MostWidthIn,
                service.MostHeightIn,
                service.Supplier,
                book.Numbers.Format
            )
        );
        reasons.AddRange(
            Verdicts.Artwork(ask, ask.Prints, PrintHold.Film with { Way = service.Supplier }, book.Numbers.Format)
        );
        reasons.Add(
            new(
                "their-blank",
                VerdictKind.WithCare,
                $"{service.Supplier} prints on a blank of its own, not on {ask.Style.Name}",
                WouldWork: "a piece of theirs seen before it is promised"
            )
        );
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"{service.Supplier}, on its own blanks",
                [
                    .. ask.Placements.Select(
                        (p, i) =>
                            DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                                Decoration(ask, sized, i, service, book)
                            )
                    ),
                ]
            );
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        int index,
        PodService service,
        ShopBook book
    )
    {
        var (p, source, steps) = (sized.Print, $"Shelf: {service.Supplier}", book.Numbers.Floor.Standards());
        var place = p.At().Name;
        var postage = service.PostageFirst + (service.PostageFurther * (ask.OrderPieces - 1));
        Figure[] whole =
            index > 0
                ? [Figure.Input("further", "A further print", service.FurtherPlacement, FigureUnit.Money, source)]
                :
                [
                    Figure.Input(
                        "piece",
                        $"A printed {GarmentNouns.For(ask.Style.Kind, 1)}, its blank in it",
                        service.Prices.First(x => x.Kind == ask.Style.Kind).Price,
                        FigureUnit.Money,
                        source
                    ),
                    Figure.Of(
                        "their-postage",
                        "Their postage",
                        postage / ask.OrderPieces,
                        "(first + further × the rest) ÷ pieces of the order",
                        Figure.Input("first", "First piece", service.PostageFirst, FigureUnit.Money, source),
                        Figure.Input("further", "A further piece", service.PostageFurther, FigureUnit.Money, source),
                        Figure.Input("pieces", "Pieces of the order", ask.OrderPieces, FigureUnit.Count, "the ask")
                    ),
                ];
        var material = Figure.Sum("material", $"{place}, printed on demand", whole);
        var purchase = new Purchase(
            $"on-demand-{p.Id}",
            Text: $"{sized.Pieces} printed on demand, {place.ToLowerInvariant()} "
                + $"{Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)}",
            service.Supplier,
            service.MakingDays + service.TransitDays,
            sized.Pieces,
            "pieces",
            Figure.Of(
                "buy",
                place,
                material.Value * sized.Pieces,
                "one × pieces",
                material,
                Figure.Input("count", "Pieces", sized.Pieces, FigureUnit.Count, "the ask: none of ours are spoiled")
            ),
            null,
            null
        );
        // placing the order is work of the order, whatever its size: each piece bears its part
        var placing = service.OrderMinutes * 60 / ask.OrderPieces;
        return new(
            p,
            material,
            0,
            0,
            Recipe.NoHeat(
                service.Id,
                side: "right-reading, printed elsewhere",
                "Look at the first of each size: their blank is not ours."
            ),
            index == 0 ? steps.CameBack : [steps.CameBack[0] with { Seconds = 0 }],
            index == 0 ? [new("place-order", "Place the order", placing, true, Press: false)] : [],
            [purchase],
            Prepare: index == 0 ? "Place the order" : "",
            BenchId: Workbench.Table.Id,
            SetUp: null
        )
        {
            BringsBlank = true,
        };
    }
}
