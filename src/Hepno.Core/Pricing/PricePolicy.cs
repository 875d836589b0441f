using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Pricing;

/// <summary>To whom it is sold; each has a policy of its own.</summary>
public enum Channel
{
    /// <summary>Somebody who wears it, or gives it.</summary>
    Retail,

    /// <summary>Somebody who sells it on.</summary>
    Wholesale,
}

/// <summary>How a price follows from a cost.</summary>
public enum PolicyKind
{
    /// <summary>Profit is a share of the price.</summary>
    Margin,

    /// <summary>The price is a multiple of a base.</summary>
    Multiple,

    /// <summary>So much over the wage for each hour of hands.</summary>
    Hourly,
}

/// <summary>What a multiple is taken of.</summary>
public enum MultipleBase
{
    /// <summary>All costs of a piece.</summary>
    AllCosts,

    /// <summary>Blank, print and sundries.</summary>
    Materials,
}

/// <summary>A channel's price policy (docs/trade 8). The fourth, a typed price, is said on the order itself.</summary>
/// <param name="Kind">Which of the figures below holds.</param>
/// <param name="MarginShare">m, profit as a share of the price.</param>
/// <param name="Multiple">k.</param>
/// <param name="Of">What k is taken of.</param>
/// <param name="PerHour">H, money over the wage for an hour of hands.</param>
public sealed record PricePolicy(PolicyKind Kind, Share MarginShare, decimal Multiple, MultipleBase Of, decimal PerHour)
{
    /// <summary>Starting values: 35% margin.</summary>
    public static PricePolicy Default { get; } = new(PolicyKind.Margin, new(0.35m), 2.2m, MultipleBase.AllCosts, 40m);

    /// <summary>The price before floors and rounding.</summary>
    /// <exception cref="ArgumentException">Margin and fees together reach the whole price; <see cref="Problems"/>
    /// refuses that first.</exception>
    public decimal Price(PieceCostResult cost, FeeTerms fees) =>
        Kind switch
        {
            PolicyKind.Multiple => ByMultiple(
                Of == MultipleBase.Materials ? cost.Materials : cost.Cost.Value,
                Multiple,
                fees
            ),
            PolicyKind.Hourly => ByHour(cost.Cost.Value, PerHour, (double)cost.HandsSeconds.Value, fees),
            _ => ByMargin(cost.Cost.Value, MarginShare, fees),
        };

    /// <summary>What is charged on top for a blank that costs so much more.</summary>
    /// <param name="more">Money a piece; a blank is among all costs and among the materials.</param>
    /// <param name="fees">Fees without postage.</param>
    public decimal OnTop(decimal more, FeeTerms fees) =>
        Kind switch
        {
            PolicyKind.Multiple => ByMultiple(more, Multiple, fees),
            PolicyKind.Hourly => ByHour(more, perHour: 0, 0, fees),
            _ => ByMargin(more, MarginShare, fees),
        };

    /// <summary>The policy in a few words: "35% margin".</summary>
    public string Words(FigureFormat f) =>
        Kind switch
        {
            PolicyKind.Multiple =>
                $"{Shown.Number((double)Multiple, 2, f)} × {(Of == MultipleBase.Materials ? "materials" : "all costs")}",
            PolicyKind.Hourly => $"{Shown.Money(PerHour, f)} over the wage an hour",
            _ => $"{Shown.Number((double)MarginShare.Percent, 1, f)}% margin",
        };

    /// <summary>Its fields, in the order of its form.</summary>
    /// <param name="channel">Whom it is for: "Retail".</param>
    public static FieldList<PricePolicy> Fields(string channel) =>
        new FieldList<PricePolicy>()
            .Choice(
                x => x.Kind,
                $"{channel} is priced",
                PolicyKind.Margin,
                [
                    (PolicyKind.Margin, "by margin"),
                    (PolicyKind.Multiple, "as a multiple"),
                    (PolicyKind.Hourly, "by the hour of hands"),
                ]
            )
            .Share(x => x.MarginShare, $"{channel}: margin", (0, 1))
            .Money(x => x.Multiple, $"{channel}: multiple", Unit.None, (1, 100), "2 to 3 is usual.")
            .Choice(
                x => x.Of,
                $"{channel}: multiple of",
                MultipleBase.AllCosts,
                [(MultipleBase.AllCosts, "all costs"), (MultipleBase.Materials, "blank, print, sundries")]
            )
            .Money(
                x => x.PerHour,
                $"{channel}: over the wage",
                Unit.MoneyFor("an hour"),
                (0, 10_000),
                "Type what an hour should earn over the wage."
            );

    /// <summary>What fields do not say by themselves: margin and fees together leave something for the cost.</summary>
    /// <param name="field">Where it stands.</param>
    /// <param name="fees">The shop's fees.</param>
    public IEnumerable<Problem> Problems(string field, FeeTerms fees)
    {
        if (Kind == PolicyKind.Margin && MarginShare.Part is >= 0 and <= 1 && (MarginShare + fees.OfPrice).Part >= 1)
        {
            yield return new(
                "margin-and-fees",
                $"Margin and fees together take {(MarginShare + fees.OfPrice).Percent:0.##}% of the price: "
                    + "nothing is left for the cost.",
                Where: $"{field}.marginShare",
                "Lower the margin until both stay below 100%."
            );
        }
    }

    /// <summary>Profit is a share of the price: (c + f·S/q) / (1 − m − f·(1+tau)).</summary>
    /// <exception cref="ArgumentException">Margin and fees together reach the whole price.</exception>
    public static decimal ByMargin(decimal cost, Share margin, FeeTerms fees)
    {
        var left = (margin + fees.OfPrice).Rest;
        return left > 0
            ? (cost + fees.OfPostage) / left
            : throw new ArgumentException("Margin and fees take the whole price.", nameof(margin));
    }

    /// <summary>A multiple of a base, all costs or materials only: (k·base + f·S/q) / (1 − f·(1+tau)).</summary>
    public static decimal ByMultiple(decimal baseCost, decimal multiple, FeeTerms fees) =>
        ((multiple * baseCost) + fees.OfPostage) / fees.OfPrice.Rest;

    /// <summary>So much over the wage for each hour of hands: (c + H·t + f·S/q) / (1 − f·(1+tau)).</summary>
    public static decimal ByHour(decimal cost, decimal perHour, double handsSeconds, FeeTerms fees) =>
        (cost + Money.Times(handsSeconds / 3600, perHour) + fees.OfPostage) / fees.OfPrice.Rest;
}
