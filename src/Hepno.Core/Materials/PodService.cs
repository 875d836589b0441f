using Hepno.Core.Blanks;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

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
) : IThing
{
    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(Supplier, field: "supplier", "The service", help: "Type who it is."),
            .. Prices.Count == 0
                ?
                [
                    new Problem(
                        "empty",
                        $"{Supplier} has no price.",
                        Where: "prices",
                        "Type a garment and what a printed one costs, for example tee 9.80."
                    ),
                ]
                : Array.Empty<Problem>(),
            .. Prices.SelectMany(
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
            ),
            .. Ranges.Outside(
                ((double)FurtherPlacement, 0, 1000, "furtherPlacement", "A further print", "0 or more."),
                ((double)PostageFirst, 0, 1000, "postageFirst", "Postage", "0 or more."),
                ((double)PostageFurther, 0, 1000, "postageFurther", "Postage of a further piece", "0 or more."),
                (MakingDays, 0, 120, "makingDays", "A number of days", "Working days until it is made."),
                (TransitDays, 0, 120, "transitDays", "A number of days", "Working days on the way."),
                (OrderMinutes, 0, 240, "orderMinutes", "A number of minutes", "What placing an order takes you."),
                (MostWidthIn, 1, 60, "mostWidthIn", "A width", "The widest it prints."),
                (MostHeightIn, 1, 60, "mostHeightIn", "A height", "The tallest it prints.")
            ),
        ];
}
