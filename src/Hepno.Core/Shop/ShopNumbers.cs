using System.Text.Json.Serialization;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;

namespace Hepno.Core.Shop;

/// <summary>The shop's own numbers: every rate and rule that prices use.</summary>
/// <param name="Identity">Who the shop is, and how it writes.</param>
/// <param name="Rates">What an hour and an order cost.</param>
/// <param name="Week">When it is open, and who works.</param>
/// <param name="Prices">How prices are made.</param>
/// <param name="Fees">Fees and tax.</param>
/// <param name="Packing">What it packs in.</param>
/// <param name="Floor">How it works at its presses.</param>
/// <param name="Terms">On which terms it quotes.</param>
public sealed record ShopNumbers(
    ShopIdentity Identity,
    CostRates Rates,
    WorkWeek Week,
    PriceRules Prices,
    FeeRules Fees,
    PackingRules Packing,
    FloorRules Floor,
    QuoteTerms Terms
)
{
    /// <summary>Starting values of a new shop; each is the owner's to change.</summary>
    public static ShopNumbers Default { get; } =
        new(
            ShopIdentity.Default,
            CostRates.Default,
            WorkWeek.Default,
            PriceRules.Default,
            FeeRules.Default,
            PackingRules.Default,
            FloorRules.Default,
            QuoteTerms.Default
        );

    /// <summary>How it writes figures: wanted wherever one is said.</summary>
    [JsonIgnore]
    public FigureFormat Format => Identity.Format;

    /// <summary>Who works here: the people, or the owner alone within the open hours.</summary>
    public IReadOnlyList<Person> Hands() => Week.Hands(Rates.Wage);

    /// <summary>The numbers with their two rates as people and fixed costs make them.</summary>
    public ShopNumbers Settled() =>
        this with
        {
            Rates = Rates with
            {
                Wage = HourRate.Labour(Rates, Week).Value,
                OverheadPerHour = HourRate.Overhead(Rates, Week).Value,
            },
        };

    /// <summary>What the owner must put right before the numbers can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Identity.Problems(),
            .. Rates.Problems(),
            .. Prices.Problems(Fees.Terms()),
            .. Fees.Problems(),
            .. Terms.Problems(),
            .. Packing.Problems(),
            .. Floor.Problems(),
            .. Week.Problems(),
        ];
}
