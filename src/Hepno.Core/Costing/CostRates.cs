using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Costing;

/// <summary>What an hour and an order cost the shop (docs/trade 8).</summary>
/// <param name="Wage">Money for an hour of hands, on-costs included.</param>
/// <param name="OverheadPerHour">Rent and the rest for an hour of hands.</param>
/// <param name="TariffPerKwh">Price of a kilowatt-hour.</param>
/// <param name="ConsumablesPerStart">Sheets, tape and the like for one piece started.</param>
/// <param name="OrderMinutes">Hands for one order, whatever its size.</param>
/// <param name="ArtworkMinutes">Hands for each artwork of an order.</param>
/// <param name="FixedCosts">What is paid every month; empty where the overhead is typed.</param>
/// <param name="ProductiveShare">Share of the hours that go into orders.</param>
/// <param name="Spoilage">Shares of spoiled attempts the shop has learned, by method; empty for none.</param>
/// <param name="HandsWorth">When an hour of hands is worth more than its wage.</param>
/// <param name="HandsWorthAnHour">How much more, where it is typed.</param>
/// <param name="CompleteShare">Share of runs that are to come out whole of what was bought for them: what spares are
/// reckoned by, 0 to 1.</param>
public sealed record CostRates(
    decimal Wage,
    decimal OverheadPerHour,
    decimal TariffPerKwh,
    decimal ConsumablesPerStart,
    double OrderMinutes,
    double ArtworkMinutes,
    IReadOnlyList<FixedCost> FixedCosts,
    double ProductiveShare,
    IReadOnlyList<LearnedSpoilage> Spoilage,
    HandsWorth HandsWorth,
    decimal HandsWorthAnHour,
    double CompleteShare
)
{
    private const int DayMinutes = 1440;

    /// <summary>Starting values of a new shop (assumed); each is the owner's to change.</summary>
    public static CostRates Default { get; } =
        new(
            18.00m,
            OverheadPerHour: 7.20m,
            0.21m,
            ConsumablesPerStart: 0.06m,
            25,
            ArtworkMinutes: 5,
            [],
            0.6,
            [],
            HandsWorth.ByPlan,
            0,
            0.95
        );

    /// <summary>Share of a method's attempts that spoil the piece: as learned, else as assumed.</summary>
    public double SpoilageOf(MethodId methodId, double assumed) =>
        Spoilage.FirstOrDefault(s => s.MethodId == methodId)?.Share ?? assumed;

    /// <summary>The rates with the share of spoiled attempts a method's runs have taught.</summary>
    public CostRates WithSpoilage(LearnedSpoilage learned) =>
        this with
        {
            Spoilage = [.. Spoilage.Where(s => s.MethodId != learned.MethodId), learned],
        };

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<CostRates> Fields { get; } =
        new FieldList<CostRates>()
            .Amount(x => x.Wage, "Wage", Unit.MoneyFor("an hour"))
            .TypedWithout("week.people")
            .Amount(x => x.OverheadPerHour, "Rent and the rest", Unit.MoneyFor("an hour"))
            .TypedWithout("rates.fixedCosts")
            .Rows(
                x => x.FixedCosts,
                "Paid every month, a line each: what, amount",
                new RowForm([new("name", FieldShape.Text), new("perMonth", FieldShape.Number)], "Rent, 780"),
                lines: 4
            )
            .Number(
                x => x.ProductiveShare,
                "Of the hours productive",
                Unit.Share,
                0.6,
                (0.01, 1),
                "60% is usual: the rest goes into mail, cleaning and errands."
            )
            .Number(x => x.OrderMinutes, "Minutes an order", Unit.None, 25, (0, DayMinutes), "25 is usual.")
            .Number(x => x.ArtworkMinutes, "Minutes an artwork", Unit.None, 5, (0, DayMinutes), "5 is usual.")
            .Amount(x => x.TariffPerKwh, "Power", Unit.MoneyFor("a kWh"))
            .Amount(x => x.ConsumablesPerStart, "Sundries", Unit.MoneyFor("a piece"))
            .Number(
                x => x.CompleteShare,
                "Spares suffice, times in 100",
                new Unit("", ShownTimes: 100),
                0.95,
                (0.5, 0.999),
                "95 is usual."
            )
            .Choice(
                x => x.HandsWorth,
                "An hour of hands is worth more than its wage",
                HandsWorth.ByPlan,
                [
                    (HandsWorth.ByPlan, "beyond the hours free: as hours earn here"),
                    (HandsWorth.Always, "always: as hours earn here"),
                    (HandsWorth.Typed, "always: by the sum beside"),
                ]
            )
            .Amount(x => x.HandsWorthAnHour, "More than its wage", Unit.MoneyFor("an hour"));

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() =>
        Fields.Problems(this, "shop").Concat(FixedProblems()).Concat(SpoilageProblems());

    private IEnumerable<Problem> FixedProblems() =>
        FixedCosts
            .Select((cost, i) => (cost, i))
            .Where(x => x.cost.PerMonth is < 0 or > 1_000_000 || x.cost.Name.Trim().Length is 0 or > 60)
            .Select(x => new Problem(
                "range",
                $"\"{x.cost.Name}\" at {x.cost.PerMonth:0.00} a month cannot be kept.",
                Where: $"fixedCosts[{x.i}]",
                "Name it, and type 0 to 1,000,000 a month."
            ));

    private IEnumerable<Problem> SpoilageProblems() =>
        Spoilage
            .Where(s => s.Share is not (>= 0 and < 0.5))
            .Select(s => new Problem(
                "range",
                $"{s.Share * 100:0.##}% spoiled is outside 0 to 50%.",
                Where: "spoilage",
                "Type a share below 50%."
            ));
}
