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

    /// <summary>The numbers as they are kept: their two rates as people and fixed costs make them, days off in their
    /// order.</summary>
    public ShopNumbers Settled() =>
        this with
        {
            Week = Week with
            {
                People = [.. Week.People.Select(p => p with { DaysOff = [.. p.DaysOff.Distinct().Order()] })],
            },
            Rates = Rates with
            {
                Wage = Kept(HourRate.Labour(Rates, Week)),
                OverheadPerHour = Kept(HourRate.Overhead(Rates, Week)),
            },
        };

    /// <summary>What the owner must put right before the numbers can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Within("identity", Identity.Problems()),
            .. Within("rates", Rates.Problems()),
            .. Within("prices", Prices.Problems(Fees.Terms())),
            .. Within("fees", Fees.Problems()),
            .. Within("terms", Terms.Problems()),
            .. Within("packing", Packing.Problems()),
            .. Within("floor", Floor.Problems()),
            .. Within("week", Week.Problems()),
        ];

    // a rate that is divided out has no end: all that follows from it is reckoned from as much of it as is kept
    private static decimal Kept(Figure rate) => Math.Round(rate.Value, 6, MidpointRounding.AwayFromZero);

    private static IEnumerable<Problem> Within(string section, IEnumerable<Problem> problems) =>
        problems.Select(p => p with { Where = $"{section}.{p.Where}" });
}
