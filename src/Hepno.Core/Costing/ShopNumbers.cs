using Hepno.Core.Measures;
using Hepno.Core.PressFloor;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;

namespace Hepno.Core.Costing;

/// <summary>Opening hours of one weekday.</summary>
/// <param name="Open">Opens, or null on a closed day.</param>
/// <param name="Close">Closes, or null on a closed day.</param>
public sealed record DayHours(TimeOnly? Open, TimeOnly? Close);

/// <summary>A share of spoiled attempts the shop has learned.</summary>
/// <param name="MethodId">Of which method.</param>
/// <param name="Share">0 to under 1.</param>
public sealed record LearnedSpoilage(string MethodId, double Share);

/// <summary>The shop's own numbers: every rate and rule that prices use.</summary>
/// <param name="ShopName">On documents.</param>
/// <param name="Address">On documents.</param>
/// <param name="Contact">Mail or phone, on documents.</param>
/// <param name="Format">How figures are written.</param>
/// <param name="Paper">letter or a4.</param>
/// <param name="TimeZone">Zone name, for example Europe/London.</param>
/// <param name="Wage">Money for an hour of hands, on-costs included.</param>
/// <param name="OverheadPerHour">Rent and the rest for an hour of hands.</param>
/// <param name="TariffPerKwh">Price of a kilowatt-hour.</param>
/// <param name="ConsumablesPerStart">Sheets, tape and the like for one piece started.</param>
/// <param name="PackingPerPiece">Bag, label and card for one piece.</param>
/// <param name="OrderMinutes">Hands for one order, whatever its size.</param>
/// <param name="ArtworkMinutes">Hands for each artwork of an order.</param>
/// <param name="FeeShare">Card fee as a share of everything paid, tax included.</param>
/// <param name="FeeFixed">Card fee for each payment.</param>
/// <param name="TaxShare">Sales tax as the owner and their adviser set it.</param>
/// <param name="MinimumCharge">Least charge for an order.</param>
/// <param name="RoundingStep">Prices are rounded up to this.</param>
/// <param name="DepositShare">Share of the total asked before work begins.</param>
/// <param name="ValidityDays">Days a quote stands.</param>
/// <param name="SlowTenthShare">Time added to pressing so that nine runs in ten finish.</param>
/// <param name="Week">Opening hours, Sunday first; seven of them.</param>
/// <param name="Retail">Price policy for retail; null for the starting one.</param>
/// <param name="Wholesale">Price policy for wholesale; null for the retail one.</param>
/// <param name="LeastMarginShare">No policy goes under this share of the price.</param>
/// <param name="FeeBase">What the percentage fee is taken of.</param>
/// <param name="Inversion">What is done when more pieces would come to less.</param>
/// <param name="Packagings">Mailers and boxes; null for the starting ones.</param>
/// <param name="ParcelMinutes">Hands to pack, label and hand one parcel to the carrier.</param>
/// <param name="SizePricing">Whether dearer sizes are averaged into the price or charged on top.</param>
/// <param name="People">Who works here; null or empty for the owner alone, within the open hours.</param>
/// <param name="FixedCosts">What is paid every month; null or empty where the overhead is typed.</param>
/// <param name="ProductiveShare">Share of the hours that go into orders.</param>
/// <param name="TierSteps">Quantities of a quote's table of other quantities; null for the usual ones.</param>
/// <param name="HandsFactor">The shop's own seconds at the press ÷ the standards; 1 until it is learned.</param>
/// <param name="Spoilage">Shares of spoiled attempts the shop has learned, by method; null for none.</param>
/// <param name="SwapMinutes">Hands to change a press's lower platen.</param>
/// <param name="DialMinutes">Hands to set a press's dial for another batch.</param>
/// <param name="SetUpWhileHeating">True when hands set a press up while it heats; false when one waits for the other.</param>
/// <param name="TheirsPerPiece">Charged on top for pressing a garment the customer brings.</param>
/// <param name="Floor">How the shop works at its presses; null for the usual.</param>
/// <param name="RuleOfThumb">The multiple of materials a piece was sold at before there were figures, shown beside the price; 0 for none.</param>
/// <param name="HandsWorth">When an hour of hands is worth more than its wage.</param>
/// <param name="HandsWorthAnHour">How much more, where it is typed.</param>
/// <param name="Unattended">Machines, by their identity, that run day and night; null for none: the others run in the open hours.</param>
public sealed record ShopNumbers(
    string ShopName,
    string Address,
    string Contact,
    FigureFormat Format,
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
    IReadOnlyList<DayHours> Week,
    PricePolicy? Retail = null,
    PricePolicy? Wholesale = null,
    decimal LeastMarginShare = 0,
    FeeBase FeeBase = FeeBase.Everything,
    InversionRule Inversion = InversionRule.OfferLarger,
    IReadOnlyList<Packaging>? Packagings = null,
    double ParcelMinutes = 4,
    SizePricing SizePricing = SizePricing.Averaged,
    IReadOnlyList<Person>? People = null,
    IReadOnlyList<FixedCost>? FixedCosts = null,
    double ProductiveShare = 0.6,
    IReadOnlyList<int>? TierSteps = null,
    double HandsFactor = 1,
    IReadOnlyList<LearnedSpoilage>? Spoilage = null,
    double SwapMinutes = 3,
    double DialMinutes = 2,
    bool SetUpWhileHeating = true,
    decimal TheirsPerPiece = 0,
    FloorHabits? Floor = null,
    decimal RuleOfThumb = 3,
    HandsWorth HandsWorth = HandsWorth.ByPlan,
    decimal HandsWorthAnHour = 0,
    IReadOnlyList<string>? Unattended = null
)
{
    /// <summary>Starting values of a new shop; each is the owner's to change.</summary>
    public static ShopNumbers Default { get; } =
        new(
            "My shop",
            "",
            "",
            FigureFormat.Default,
            "letter",
            "UTC",
            18.00m,
            7.20m,
            0.21m,
            0.06m,
            0.22m,
            25,
            5,
            0.029m,
            0.30m,
            0m,
            40m,
            0.25m,
            0.5m,
            14,
            0.15,
            [new(null, null), .. Enumerable.Repeat(new DayHours(new(9, 0), new(17, 0)), 5), new(null, null)],
            PricePolicy.Default,
            PricePolicy.Default with
            {
                MarginShare = 0.25m,
            }
        );

    private static readonly int[] UsualSteps = [12, 24, 36, 48, 72, 144];

    /// <summary>Share of a method's attempts that spoil the piece: as learned, else as assumed.</summary>
    public double SpoilageOf(string methodId, double assumed) =>
        Spoilage?.FirstOrDefault(s => s.MethodId == methodId)?.Share ?? assumed;

    /// <summary>The numbers with their two rates as people and fixed costs make them.</summary>
    public ShopNumbers Settled() =>
        this with
        {
            Wage = Rates.Labour(this).Value,
            OverheadPerHour = Rates.Overhead(this).Value,
        };

    /// <summary>Quantities of a quote's table of other quantities, smallest first.</summary>
    public IReadOnlyList<int> Steps() => TierSteps ?? UsualSteps;

    /// <summary>Who works here: the people, or the owner alone within the open hours.</summary>
    public IReadOnlyList<Person> Hands() =>
        People is { Count: > 0 } people ? people : [new Person("owner", "", Wage, 0, Week, null, 0, [])];

    /// <summary>The fees prices are made with.</summary>
    /// <param name="postagePerPiece">Postage charged at cost, for one piece; 0 where it is collected or in the price.</param>
    public FeeTerms Fees(decimal postagePerPiece = 0) => new(FeeShare, TaxShare, postagePerPiece, FeeBase);

    /// <summary>How the shop works at its presses.</summary>
    public FloorHabits Habits() => Floor ?? new();

    /// <summary>Seconds of its steps.</summary>
    public StepStandards Standards() => Floor is null ? StepStandards.Default : new(Floor);

    /// <summary>What orders are packed in.</summary>
    public IReadOnlyList<Packaging> PackedIn() => Packagings ?? Packaging.Default;

    /// <summary>The price policy of a channel.</summary>
    public PricePolicy PolicyFor(Channel channel) =>
        (channel == Channel.Wholesale ? Wholesale : null) ?? Retail ?? PricePolicy.Default;

    /// <summary>What the owner must put right before the numbers can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (
            var (value, field, what) in new[]
            {
                (Wage, "wage", "A wage"),
                (OverheadPerHour, "overheadPerHour", "An overhead"),
                (TariffPerKwh, "tariffPerKwh", "A power price"),
                (ConsumablesPerStart, "consumablesPerStart", "Sundries"),
                (PackingPerPiece, "packingPerPiece", "Packing"),
                (TheirsPerPiece, "theirsPerPiece", "The charge for their own garments"),
                (HandsWorthAnHour, "handsWorthAnHour", "The worth of an hour"),
                (FeeFixed, "feeFixed", "A fixed fee"),
                (MinimumCharge, "minimumCharge", "A minimum charge"),
                (RoundingStep, "roundingStep", "A rounding step"),
            }
        )
        {
            if (value is < 0 or > 100_000)
            {
                yield return new("range", $"{what} of {value:0.00} is outside 0 to 100,000.", field, "Type 0 or more.");
            }
        }
        foreach (
            var (value, field, what) in new[]
            {
                (FeeShare, "feeShare", "A fee"),
                (TaxShare, "taxShare", "A tax"),
                (LeastMarginShare, "leastMarginShare", "A least margin"),
                (DepositShare, "depositShare", "A deposit"),
            }
        )
        {
            if (value is < 0 or > 1)
            {
                yield return new(
                    "range",
                    $"{what} of {value * 100:0.##}% is outside 0 to 100%.",
                    field,
                    "Type a share between 0 and 100%."
                );
            }
        }
        if (RuleOfThumb is < 0 or > 20)
        {
            yield return new(
                "range",
                $"A rule of thumb of {RuleOfThumb:0.##} times the materials is outside 0 to 20.",
                "ruleOfThumb",
                "2 to 4 is usual; 0 for none."
            );
        }
        foreach (
            var problem in PolicyFor(Channel.Retail)
                .Problems("retail", Fees())
                .Concat(PolicyFor(Channel.Wholesale).Problems("wholesale", Fees()))
        )
        {
            yield return problem;
        }
        if (LeastMarginShare + Fees().OfPrice >= 1)
        {
            yield return new(
                "margin-and-fees",
                $"The least margin and fees together take {(LeastMarginShare + Fees().OfPrice) * 100:0.##}% of the price: nothing is left for the cost.",
                "leastMarginShare",
                "Lower it until both stay below 100%."
            );
        }
        if (OrderMinutes is < 0 or > 1440 || ArtworkMinutes is < 0 or > 1440)
        {
            yield return new(
                "range",
                "Order and artwork minutes are 0 to 1,440.",
                "orderMinutes",
                "25 and 5 are usual."
            );
        }
        if (ParcelMinutes is not (>= 0 and <= 1440))
        {
            yield return new(
                "range",
                $"{ParcelMinutes:0.##} minutes a parcel is outside 0 to 1,440.",
                "parcelMinutes",
                "4 is usual."
            );
        }
        foreach (var problem in (People ?? []).SelectMany((p, i) => p.Problems($"people[{i}]")))
        {
            yield return problem;
        }
        foreach (
            var (cost, i) in (FixedCosts ?? [])
                .Select((c, i) => (c, i))
                .Where(c => c.c.PerMonth is < 0 or > 1_000_000 || c.c.Name.Trim().Length is 0 or > 60)
        )
        {
            yield return new(
                "range",
                $"\"{cost.Name}\" at {cost.PerMonth:0.00} a month cannot be kept.",
                $"fixedCosts[{i}]",
                "Name it, and type 0 to 1,000,000 a month."
            );
        }
        if (ProductiveShare is not (> 0 and <= 1))
        {
            yield return new(
                "range",
                $"A productive share of {ProductiveShare * 100:0.##}% is outside 1 to 100%.",
                "productiveShare",
                "60% is usual."
            );
        }
        if (
            Steps().Count is 0 or > 8
            || Steps().Any(s => s is < 1 or > Orders.SizeRun.MostPieces)
            || !Steps().Order().Distinct().SequenceEqual(Steps())
        )
        {
            yield return new(
                "steps",
                $"The quantities {string.Join(", ", Steps())} cannot be used.",
                "tierSteps",
                "Type 1 to 8 rising quantities, for example 12, 24, 36."
            );
        }
        if (HandsFactor is not (>= 0.2 and <= 5))
        {
            yield return new(
                "range",
                $"Hands at {HandsFactor:0.##} times the standards is outside 0.2 to 5.",
                "handsFactor",
                "1 is the standards as they are."
            );
        }
        foreach (var wrong in (Spoilage ?? []).Where(s => s.Share is not (>= 0 and < 0.5)))
        {
            yield return new(
                "range",
                $"{wrong.Share * 100:0.##}% spoiled is outside 0 to 50%.",
                "spoilage",
                "Type a share below 50%."
            );
        }
        if (PackedIn().Count is 0 or > 12)
        {
            yield return new("packagings", $"{PackedIn().Count} mailers and boxes.", "packagings", "Keep 1 to 12.");
        }
        foreach (var problem in PackedIn().SelectMany((p, i) => p.Problems($"packagings[{i}]")))
        {
            yield return problem;
        }
        if (ValidityDays is < 1 or > 365)
        {
            yield return new(
                "range",
                $"{ValidityDays} days of validity is outside 1 to 365.",
                "validityDays",
                "14 is usual."
            );
        }
        if (Unattended is { Count: > 100 } || (Unattended ?? []).Any(m => m.Length is 0 or > 100 || m.Contains('\n')))
        {
            yield return new(
                "range",
                "The machines that run day and night cannot be kept.",
                "unattended",
                "Name each by its identity, at most 100 of them."
            );
        }
        if (SlowTenthShare is < 0 or > 2)
        {
            yield return new(
                "range",
                "The slow tenth is 0 to 2 times the pressing.",
                "slowTenthShare",
                "0.15 is usual."
            );
        }
        if (Paper is not ("letter" or "a4"))
        {
            yield return new(
                "unknown-word",
                $"\"{Paper}\" is not a paper Hepno prints on.",
                "paper",
                "Use letter or a4."
            );
        }
        if (
            Format.MinorDigits is < 0 or > 3
            || Format.Sign.Length > 4
            || Format.DecimalMark.Length != 1
            || Format.GroupMark.Length > 1
            || Format.DecimalMark == Format.GroupMark
        )
        {
            yield return new(
                "format",
                "Amounts cannot be written this way.",
                "format",
                "One decimal mark, at most one other mark for thousands, 0 to 3 decimals."
            );
        }
        if (!DayNames.All.ContainsKey(Format.Language))
        {
            yield return new(
                "unknown-word",
                $"\"{Format.Language}\" is not a language Hepno writes dates in.",
                "format.language",
                $"Use one of {string.Join(", ", DayNames.All.Keys)}."
            );
        }
        if (SwapMinutes is not (>= 0 and <= 60) || DialMinutes is not (>= 0 and <= 60))
        {
            yield return new(
                "range",
                $"{SwapMinutes:0.##} and {DialMinutes:0.##} minutes to change a lower platen and to set the dial are outside 0 to 60.",
                "swapMinutes",
                "3 and 2 are usual."
            );
        }
        foreach (var problem in Habits().Problems())
        {
            yield return problem;
        }
        if (Week.Count != 7 || Week.All(d => d.Open is null))
        {
            yield return new("hours", "The shop is never open.", "week", "Give at least one day its hours.");
        }
        foreach (var day in Week.Where(d => (d.Open is null) != (d.Close is null) || d.Close <= d.Open))
        {
            yield return new(
                "hours",
                $"A day cannot open at {day.Open:HH:mm} and close at {day.Close:HH:mm}.",
                "week",
                "Give both hours, closing after opening, or none."
            );
        }
    }
}
