using Hepno.Core.Costing;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;
using Hepno.Core.Things;

namespace Hepno.Core.Shop;

/// <summary>A section of the shop's numbers as it is shown: its heading, and the form of its record.</summary>
/// <param name="Key">Its name in JSON.</param>
/// <param name="Title">Its heading.</param>
/// <param name="Note">What must be known where it is typed; empty for nothing.</param>
/// <param name="Form">Its fields, each by its key in all the numbers.</param>
public sealed record NumbersSection(string Key, string Title, string Note, IReadOnlyList<Field> Form)
{
    /// <summary>All of them, in the order they are shown.</summary>
    public static IReadOnlyList<NumbersSection> All { get; } =
    [
        Of(x => x.Rates, CostRates.Fields, "rates", "An hour and an order"),
        Of(x => x.Prices, PriceRules.Fields, "prices", "Prices"),
        Of(
            x => x.Fees,
            FeeRules.Fields,
            "fees",
            "Fees and tax",
            "Tax is yours to set with your adviser; Hepno only adds it up."
        ),
        Of(x => x.Terms, QuoteTerms.Fields, "terms", "Quotes"),
        Of(
            x => x.Packing,
            PackingRules.Fields,
            "packing",
            "Packing",
            "Postage is by the rates of your parcel service, on the Shelf. Until there are any it is a simulated "
                + "carrier's table, and every figure of it says so."
        ),
        Of(
            x => x.Floor,
            FloorRules.Fields,
            "floor",
            "At the press",
            "Minutes of every price and plan are simulated from these; the Floor draws them."
        ),
        Of(x => x.Week, WorkWeek.Fields, "week", "Open hours"),
        Of(x => x.Identity, ShopIdentity.Fields, "identity", "The shop and how it writes"),
    ];

    private static NumbersSection Of<TPart>(
        Func<ShopNumbers, TPart> part,
        FieldList<TPart> fields,
        string key,
        string title,
        string note = ""
    )
        where TPart : class =>
        new(key, Title: title, Note: note, [.. fields.Select(f => f.In(part, key, part(ShopNumbers.Default)))]);
}
