using Hepno.Core.Measures;

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
    private const double LeastComplete = 0.5;
    private const double MostComplete = 0.999;

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

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() =>
        AmountProblem
            .In(
                (Wage, "wage", "A wage"),
                (OverheadPerHour, "overheadPerHour", "An overhead"),
                (TariffPerKwh, "tariffPerKwh", "A power price"),
                (ConsumablesPerStart, "consumablesPerStart", "Sundries"),
                (HandsWorthAnHour, "handsWorthAnHour", "The worth of an hour")
            )
            .Concat(FixedProblems())
            .Concat(SpoilageProblems())
            .Concat(TimeProblems())
            .Concat(SpareProblems());

    private IEnumerable<Problem> TimeProblems()
    {
        if (OrderMinutes is < 0 or > DayMinutes || ArtworkMinutes is < 0 or > DayMinutes)
        {
            yield return new(
                "range",
                "Order and artwork minutes are 0 to 1,440.",
                Where: "orderMinutes",
                "25 and 5 are usual."
            );
        }
        if (ProductiveShare is not (> 0 and <= 1))
        {
            yield return new(
                "range",
                $"A productive share of {ProductiveShare * 100:0.##}% is outside 1 to 100%.",
                Where: "productiveShare",
                "60% is usual."
            );
        }
    }

    private IEnumerable<Problem> SpareProblems()
    {
        if (CompleteShare is not (>= LeastComplete and <= MostComplete))
        {
            yield return new(
                "range",
                $"Spares that suffice {CompleteShare * 100:0.##} times in 100 is outside 50 to 99.9.",
                Where: "completeShare",
                "95 is usual."
            );
        }
    }

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
