using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;

namespace Hepno.Web.Endpoints;

/// <summary>The shop's numbers.</summary>
internal sealed record NumbersBody(
    string ShopName,
    string Address,
    string Contact,
    FormatBody Format,
    string Paper,
    string TimeZone,
    decimal Wage,
    decimal OverheadPerHour,
    decimal TariffPerKwh,
    decimal ConsumablesPerStart,
    decimal PackingPerPiece,
    double OrderMinutes,
    double ArtworkMinutes,
    decimal FeeShare,
    decimal FeeFixed,
    decimal TaxShare,
    decimal MinimumCharge,
    decimal RoundingStep,
    decimal DepositShare,
    int ValidityDays,
    double SlowTenthShare,
    IReadOnlyList<DayBody> Week,
    PolicyBody Retail,
    PolicyBody Wholesale,
    decimal LeastMarginShare,
    FeeBase FeeBase,
    InversionRule Inversion,
    IReadOnlyList<PackagingBody>? Packagings = null,
    double ParcelMinutes = 4,
    SizePricing SizePricing = SizePricing.Averaged,
    IReadOnlyList<PersonBody>? People = null,
    IReadOnlyList<FixedCostBody>? FixedCosts = null,
    double ProductiveShare = 0.6,
    IReadOnlyList<int>? TierSteps = null,
    double HandsFactor = 1,
    IReadOnlyList<SpoilageBody>? Spoilage = null,
    double SwapMinutes = 3,
    double DialMinutes = 2,
    bool SetUpWhileHeating = true,
    decimal TheirsPerPiece = 0,
    FloorBody? Floor = null,
    decimal RuleOfThumb = 3,
    HandsWorth HandsWorth = HandsWorth.ByPlan,
    decimal HandsWorthAnHour = 0,
    IReadOnlyList<string>? Unattended = null
);

/// <summary>How the shop works at its presses; times and covers in seconds and money.</summary>
internal sealed record FloorBody(
    FloorPolicy Policy,
    bool FirstPiece,
    int RackPlaces,
    bool Measured,
    bool ColdPlate,
    bool HandsOnOnly,
    SecondHabit Second,
    IReadOnlyList<StepTimeBody>? Times = null,
    IReadOnlyList<CoverPriceBody>? Covers = null,
    bool TestFirst = true,
    bool PrepareBeside = false
)
{
    public FloorHabits ToCore() =>
        new(
            Policy,
            FirstPiece,
            RackPlaces,
            Measured,
            ColdPlate,
            HandsOnOnly,
            Second,
            Times is { Count: > 0 } ? [.. Times.Select(t => new StepTime(t.Code, t.Seconds))] : null,
            Covers is { Count: > 0 } ? [.. Covers.Select(c => new CoverPrice(c.Cover, c.Price, c.Uses))] : null,
            TestFirst,
            PrepareBeside
        );
}

/// <summary>Seconds of one step.</summary>
internal sealed record StepTimeBody(string Code, double Seconds);

/// <summary>What a cover costs and how often it is used.</summary>
internal sealed record CoverPriceBody(Cover Cover, decimal Price, int Uses);

/// <summary>A share of spoiled attempts the shop has learned.</summary>
internal sealed record SpoilageBody(string MethodId, double Share);

/// <summary>One who works in the shop.</summary>
internal sealed record PersonBody(
    string Id,
    string Name,
    decimal Wage,
    decimal OnCostsShare,
    IReadOnlyList<DayBody> Week,
    TimeOnly? LunchFrom,
    int LunchMinutes,
    IReadOnlyList<DateOnly> DaysOff
);

/// <summary>Something paid every month.</summary>
internal sealed record FixedCostBody(string Name, decimal PerMonth);

/// <summary>A mailer or box.</summary>
internal sealed record PackagingBody(string Name, double MostTees, double MostGrams, double OwnGrams, decimal Price);

/// <summary>The two rates of an hour of hands.</summary>
internal sealed record RatesView(Figure Labour, Figure Overhead);

/// <summary>A channel's price policy.</summary>
internal sealed record PolicyBody(
    PolicyKind Kind,
    decimal MarginShare,
    decimal Multiple,
    MultipleBase Of,
    decimal PerHour
)
{
    public PricePolicy ToCore() => new(Kind, MarginShare, Multiple, Of, PerHour);
}

/// <summary>How figures are written.</summary>
internal sealed record FormatBody(
    string Sign,
    bool SignAfter,
    string DecimalMark,
    string GroupMark,
    int MinorDigits,
    bool DayFirst,
    bool TwelveHours,
    bool Metric,
    bool Celsius,
    string Language = DayNames.English
);

/// <summary>Hours of one weekday; null when closed.</summary>
internal sealed record DayBody(TimeOnly? Open, TimeOnly? Close);
