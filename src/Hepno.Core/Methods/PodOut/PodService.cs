using Hepno.Core.Blanks;
using Hepno.Core.Ids;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>What a service that prints on demand asks for one kind of garment, its blank in it.</summary>
/// <param name="Kind">Which garment.</param>
/// <param name="Price">One piece with one print.</param>
public sealed record PodPrice(GarmentKind Kind, decimal Price);

/// <summary>A service that prints single pieces on its own blanks and sends them (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who prints.</param>
/// <param name="Prices">By garment.</param>
/// <param name="FurtherPlacement">Each print after the first.</param>
/// <param name="PostageFirst">Its postage for the first piece.</param>
/// <param name="PostageFurther">Its postage for each further piece.</param>
/// <param name="MakingDays">Working days until it is made.</param>
/// <param name="TransitDays">Working days on the way.</param>
/// <param name="OrderMinutes">Minutes of the shop for placing an order with it.</param>
/// <param name="MostWidthIn">Widest print, in.</param>
/// <param name="MostHeightIn">Tallest print, in.</param>
public sealed record PodService(
    ThingId Id,
    string Supplier,
    IReadOnlyList<PodPrice> Prices,
    decimal FurtherPlacement,
    decimal PostageFirst,
    decimal PostageFurther,
    int MakingDays,
    int TransitDays,
    double OrderMinutes,
    double MostWidthIn,
    double MostHeightIn
) : IThing, IKept<PodService>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<PodService> Described { get; } =
        new("pod-service", noun: "pod-services", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new(
                "service",
                Many: "Printed on demand by others",
                Add: "Add a service",
                "No service that prints on demand."
            ),
            Fields = new FieldList<PodService>()
                .Named(x => x.Supplier, "Who prints", help: "Type who it is.")
                .Money(
                    x => x.FurtherPlacement,
                    "A further print",
                    Unit.None,
                    (0, 1000),
                    "0 or more.",
                    priceOf: "a further print"
                )
                .Money(x => x.PostageFirst, "Postage, first piece", Unit.None, (0, 1000), "0 or more.")
                .Money(x => x.PostageFurther, "Postage, a further piece", Unit.None, (0, 1000), "0 or more.")
                .Number(x => x.MakingDays, "Days to make", Unit.None, 4, (0, 120), "Working days until it is made.")
                .Number(x => x.TransitDays, "Days on the way", Unit.None, 3, (0, 120), "Working days on the way.")
                .Number(
                    x => x.OrderMinutes,
                    "Your minutes an order",
                    Unit.None,
                    5,
                    (0, 240),
                    "What placing an order takes you."
                )
                .Number(x => x.MostWidthIn, "Widest print", Unit.In, 12, (1, 60), "The widest it prints.")
                .Number(x => x.MostHeightIn, "Tallest print", Unit.In, 16, (1, 60), "The tallest it prints.")
                .Rows(
                    x => x.Prices,
                    "A printed piece with its blank, a line each: Tee 11.80",
                    new RowForm(
                        [
                            new("kind", FieldShape.Choice) { Options = GarmentNouns.Options },
                            new("price", FieldShape.Number),
                        ],
                        "Tee 11.80"
                    )
                    {
                        CellBreak = " ",
                    },
                    lines: 4
                ),
            Rules = x => x.InRows(),
            AtPrices = (x, levels) =>
                x with
                {
                    Prices = [.. x.Prices.Select(p => p with { Price = p.Price * levels.SentOut })],
                    FurtherPlacement = x.FurtherPlacement * levels.SentOut,
                    PostageFirst = x.PostageFirst * levels.SentOut,
                    PostageFurther = x.PostageFurther * levels.SentOut,
                },
            Order = ListedBy.Text<PodService>(x => x.Supplier),
            FurtherPrices = x => [.. x.Prices.Select(p => (GarmentNouns.For(p.Kind, 1), p.Price))],
        };

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    private IEnumerable<Problem> InRows() =>
        Prices.Count == 0
            ?
            [
                new(
                    "empty",
                    $"{Supplier} has no price.",
                    Where: "prices",
                    "Type a garment and what a printed one costs, for example tee 9.80."
                ),
            ]
            : Prices.SelectMany(
                (p, i) =>
                    Ranges.Outside(
                        (
                            (double)p.Price,
                            0.01,
                            10_000,
                            $"prices[{i}].price",
                            "A price",
                            "What a printed piece costs, its blank in it."
                        )
                    )
            );
}
