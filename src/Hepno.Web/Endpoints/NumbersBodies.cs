using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Recipes;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using NodaTime;

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
    Share FeeShare,
    decimal FeeFixed,
    Share TaxShare,
    decimal MinimumCharge,
    decimal RoundingStep,
    Share DepositShare,
    int ValidityDays,
    double SlowTenthShare,
    IReadOnlyList<DayBody> Week,
    PolicyBody Retail,
    PolicyBody Wholesale,
    Share LeastMarginShare,
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
    IReadOnlyList<ThingId>? Unattended = null,
    double TestMinutes = 20,
    double CompleteShare = 0.95
)
{
    public static NumbersBody From(ShopNumbers n) =>
        new(
            n.Identity.Name,
            n.Identity.Address,
            n.Identity.Contact,
            FormatBody.From(n.Format),
            n.Identity.Paper,
            n.Identity.TimeZone,
            n.Rates.Wage,
            n.Rates.OverheadPerHour,
            n.Rates.TariffPerKwh,
            n.Rates.ConsumablesPerStart,
            n.Packing.PerPiece,
            n.Rates.OrderMinutes,
            n.Rates.ArtworkMinutes,
            n.Fees.Share,
            n.Fees.Fixed,
            n.Fees.TaxShare,
            n.Prices.MinimumCharge,
            n.Prices.RoundingStep,
            n.Terms.DepositShare,
            n.Terms.ValidityDays,
            n.Floor.SlowTenthShare,
            [.. n.Week.Days.Select(DayBody.From)],
            PolicyBody.From(n.Prices.Retail),
            PolicyBody.From(n.Prices.Wholesale),
            n.Prices.LeastMarginShare,
            n.Fees.Base,
            n.Prices.Inversion,
            [.. n.Packing.Packagings.Select(PackagingBody.From)],
            n.Packing.ParcelMinutes,
            n.Prices.SizePricing,
            [.. n.Week.People.Select(PersonBody.From)],
            [.. n.Rates.FixedCosts.Select(c => new FixedCostBody(c.Name, c.PerMonth))],
            n.Rates.ProductiveShare,
            n.Prices.TierSteps,
            n.Floor.HandsFactor,
            [.. n.Rates.Spoilage.Select(s => new SpoilageBody(s.MethodId, s.Share))],
            n.Floor.SwapMinutes,
            n.Floor.DialMinutes,
            n.Floor.SetUpWhileHeating,
            n.Prices.TheirsPerPiece,
            FloorBody.From(n.Floor.Habits),
            n.Prices.RuleOfThumb,
            n.Rates.HandsWorth,
            n.Rates.HandsWorthAnHour,
            n.Floor.Unattended,
            n.Floor.TestMinutes,
            n.Rates.CompleteShare
        );

    public ShopNumbers ToCore() =>
        new(
            new(ShopName.Trim(), Address, Contact, Format.ToCore(), Paper, TimeZone),
            new(
                Wage,
                OverheadPerHour,
                TariffPerKwh,
                ConsumablesPerStart,
                OrderMinutes,
                ArtworkMinutes,
                [.. (FixedCosts ?? []).Select(c => new FixedCost(c.Name.Trim(), c.PerMonth))],
                ProductiveShare,
                [.. (Spoilage ?? []).Select(s => new LearnedSpoilage(s.MethodId, s.Share))],
                HandsWorth,
                HandsWorthAnHour,
                CompleteShare
            ),
            new([.. Week.Select(d => d.ToCore())], [.. (People ?? []).Select(p => p.ToCore())]),
            new(
                Retail.ToCore(),
                Wholesale.ToCore(),
                LeastMarginShare,
                MinimumCharge,
                RoundingStep,
                Inversion,
                SizePricing,
                TierSteps ?? PriceRules.UsualSteps,
                TheirsPerPiece,
                RuleOfThumb
            ),
            new(FeeShare, FeeFixed, FeeBase, TaxShare),
            new(
                Packagings is null ? Packaging.Default : [.. Packagings.Select(p => p.ToCore())],
                PackingPerPiece,
                ParcelMinutes
            ),
            new(
                Floor?.ToCore() ?? new(),
                HandsFactor,
                SwapMinutes,
                DialMinutes,
                SetUpWhileHeating,
                SlowTenthShare,
                Unattended ?? [],
                TestMinutes
            ),
            new(DepositShare, ValidityDays)
        );
}

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
    public static FloorBody From(FloorHabits h) =>
        new(
            h.Policy,
            h.FirstPiece,
            h.RackPlaces,
            h.Measured,
            h.ColdPlate,
            h.HandsOnOnly,
            h.Second,
            h.Times?.Select(t => new StepTimeBody(t.Code, t.Seconds)).ToList(),
            h.Covers?.Select(c => new CoverPriceBody(c.Cover, c.Price, c.Uses)).ToList(),
            h.TestFirst,
            h.PrepareBeside
        );

    public FloorHabits ToCore() =>
        new()
        {
            Policy = Policy,
            FirstPiece = FirstPiece,
            RackPlaces = RackPlaces,
            Measured = Measured,
            ColdPlate = ColdPlate,
            HandsOnOnly = HandsOnOnly,
            Second = Second,
            Times = Times is { Count: > 0 } ? [.. Times.Select(t => new StepTime(t.Code, t.Seconds))] : [],
            Covers = Covers is { Count: > 0 } ? [.. Covers.Select(c => new CoverPrice(c.Cover, c.Price, c.Uses))] : [],
            TestFirst = TestFirst,
            PrepareBeside = PrepareBeside,
        };
}

/// <summary>Seconds of one step.</summary>
internal sealed record StepTimeBody(string Code, double Seconds);

/// <summary>What a cover costs and how often it is used.</summary>
internal sealed record CoverPriceBody(Cover Cover, decimal Price, int Uses);

/// <summary>A share of spoiled attempts the shop has learned.</summary>
internal sealed record SpoilageBody(MethodId MethodId, double Share);

/// <summary>One who works in the shop.</summary>
internal sealed record PersonBody(
    PersonId Id,
    string Name,
    decimal Wage,
    Share OnCostsShare,
    IReadOnlyList<DayBody> Week,
    LocalTime? LunchFrom,
    int LunchMinutes,
    IReadOnlyList<LocalDate> DaysOff
)
{
    public static PersonBody From(Person p) =>
        new(
            p.Id,
            p.Name,
            p.Wage,
            p.OnCostsShare,
            [.. p.Week.Select(DayBody.From)],
            p.LunchFrom,
            p.LunchMinutes,
            p.DaysOff
        );

    public Person ToCore() =>
        new(
            Id,
            Name.Trim(),
            Wage,
            OnCostsShare,
            [.. Week.Select(d => d.ToCore())],
            LunchFrom,
            LunchMinutes,
            [.. DaysOff.Distinct().Order()]
        );
}

/// <summary>Something paid every month.</summary>
internal sealed record FixedCostBody(string Name, decimal PerMonth);

/// <summary>A mailer or box.</summary>
internal sealed record PackagingBody(string Name, double MostTees, double MostGrams, double OwnGrams, decimal Price)
{
    public static PackagingBody From(Packaging p) => new(p.Name, p.MostTees, p.MostGrams, p.OwnGrams, p.Price);

    public Packaging ToCore() => new(Name.Trim(), MostTees, MostGrams, OwnGrams, Price);
}

/// <summary>The two rates of an hour of hands.</summary>
internal sealed record RatesView(Figure Labour, Figure Overhead)
{
    public static RatesView From(ShopNumbers n) =>
        new(HourRate.Labour(n.Rates, n.Week), HourRate.Overhead(n.Rates, n.Week));
}

/// <summary>A channel's price policy.</summary>
internal sealed record PolicyBody(
    PolicyKind Kind,
    Share MarginShare,
    decimal Multiple,
    MultipleBase Of,
    decimal PerHour
)
{
    public static PolicyBody From(PricePolicy p) => new(p.Kind, p.MarginShare, p.Multiple, p.Of, p.PerHour);

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
)
{
    public static FormatBody From(FigureFormat f) =>
        new(
            f.Sign,
            f.SignAfter,
            f.DecimalMark,
            f.GroupMark,
            f.MinorDigits,
            f.DayFirst,
            f.TwelveHours,
            f.Metric,
            f.Celsius,
            f.Language
        );

    public FigureFormat ToCore() =>
        new(Sign, SignAfter, DecimalMark, GroupMark, MinorDigits, DayFirst, TwelveHours, Metric, Celsius)
        {
            Language = Language,
        };
}

/// <summary>Hours of one weekday; null when closed.</summary>
internal sealed record DayBody(LocalTime? Open, LocalTime? Close)
{
    public static DayBody From(DayHours d) => new(d.Open, d.Close);

    public DayHours ToCore() => new(Open, Close);
}
