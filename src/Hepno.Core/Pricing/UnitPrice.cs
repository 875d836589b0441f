using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>What a piece is sold at by the shop's rules, and how it came about.</summary>
/// <param name="Price">Rounded as it is charged.</param>
/// <param name="How">The policy, the floors that held and the rounding, in words.</param>
public sealed record UnitPrice(decimal Price, string How)
{
    /// <summary>The channel's policy, never under the least margin and the least charge of an order, rounded up to the
    /// shop's step (docs/trade 8).</summary>
    /// <param name="cost">Cost of a piece.</param>
    /// <param name="pieces">Pieces of the whole order, 1 or more.</param>
    /// <param name="rules">The shop's rules.</param>
    /// <param name="channel">To whom.</param>
    /// <param name="fees">Fees, with the postage that is charged beside the price.</param>
    /// <param name="f">How figures are written.</param>
    public static UnitPrice Reckon(
        PieceCostResult cost,
        int pieces,
        PriceRules rules,
        Channel channel,
        FeeTerms fees,
        FigureFormat f
    )
    {
        var policy = rules.PolicyFor(channel);
        var exact = policy.Price(cost, fees);
        var how = $"{policy.Words(f)} is {Shown.Money(exact, f)}";
        var margin = PricePolicy.ByMargin(cost.Cost.Value, rules.LeastMarginShare, fees);
        if (margin > exact && rules.LeastMarginShare.Part > 0)
        {
            exact = margin;
            how +=
                $", the least margin of {Shown.Number((double)rules.LeastMarginShare.Percent, 1, f)}% is "
                + $"{Shown.Money(margin, f)}";
        }
        var least = rules.MinimumCharge / pieces;
        if (least > exact)
        {
            exact = least;
            how += $", the least charge {Shown.Money(rules.MinimumCharge, f)} is {Shown.Money(least, f)} a piece";
        }
        var price = Money.Charged(Money.UpTo(exact, rules.RoundingStep), f.MinorDigits);
        return new(price, rules.RoundingStep > 0 ? $"{how}, rounded up to {Shown.Money(rules.RoundingStep, f)}" : how);
    }

    /// <summary>A price somebody typed, held against the shop's floors: the owner decides, Hepno says what it
    /// means.</summary>
    /// <param name="typed">Money a piece, above 0.</param>
    /// <param name="cost">Cost of a piece.</param>
    /// <param name="pieces">Pieces of the whole order.</param>
    /// <param name="rules">The shop's rules.</param>
    /// <param name="fees">Fees, with the postage that is charged beside the price.</param>
    /// <param name="f">How figures are written.</param>
    public static UnitPrice Typed(
        decimal typed,
        PieceCostResult cost,
        int pieces,
        PriceRules rules,
        FeeTerms fees,
        FigureFormat f
    )
    {
        var price = Money.Charged(typed, f.MinorDigits);
        var how = "a typed price";
        if (price < PricePolicy.ByMargin(cost.Cost.Value, rules.LeastMarginShare, fees))
        {
            how +=
                rules.LeastMarginShare.Part > 0
                    ? $", under the least margin of {Shown.Number((double)rules.LeastMarginShare.Percent, 1, f)}%"
                    : ", under cost and fees";
        }
        if (price * pieces < rules.MinimumCharge)
        {
            how += $", under the least charge of {Shown.Money(rules.MinimumCharge, f)}";
        }
        return new(price, how);
    }
}
