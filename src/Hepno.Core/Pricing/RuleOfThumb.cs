using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>What a piece would have been sold at by the rule its owner used before: a multiple of materials (docs/trade
/// 8).</summary>
/// <param name="Price">Materials × the multiple, fees not thought of, as on a phone calculator.</param>
/// <param name="AnHour">What an hour of hands would earn at it.</param>
/// <param name="Sentence">The difference, named.</param>
public sealed record RuleOfThumb(Figure Price, decimal AnHour, string Sentence)
{
    /// <summary>The rule held beside a price; null where the owner has none.</summary>
    /// <param name="price">Price a piece by the shop's figures, what dearer sizes add averaged in.</param>
    /// <param name="cost">Its cost.</param>
    /// <param name="fees">Fees.</param>
    /// <param name="multiple">The owner's; 0 for none.</param>
    /// <param name="wage">Money for an hour of hands.</param>
    /// <param name="f">How figures are written.</param>
    public static RuleOfThumb? Reckon(
        decimal price,
        PieceCostResult cost,
        FeeTerms fees,
        decimal multiple,
        decimal wage,
        FigureFormat f
    )
    {
        if (multiple <= 0 || cost.Materials <= 0)
        {
            return null;
        }
        List<Figure> materials =
        [
            cost.Stratum("blank").Named(),
            cost.Stratum("decoration").Named(),
            cost.Stratum("consumables").Named(),
        ];
        var said = Figure.Of(
            "rule-of-thumb",
            "By the rule of thumb",
            cost.Materials * multiple,
            "materials × multiple",
            Figure.Sum("materials", "Materials", materials),
            Figure.Input("multiple", "Multiple", multiple, FigureUnit.Count, "Numbers: rule of thumb")
        );
        var anHour = Outcome.At(said.Value, cost, fees, wage).ProfitAnHour.Value;
        var (over, seen) = (said.Value - price, cost.Cost.Value - cost.Materials + fees.On(said.Value));
        var difference =
            Money.Charged(over, f.MinorDigits) == 0
                ? "the same as this price"
                : $"{Shown.Money(Math.Abs(over), f)} {(over > 0 ? "more" : "less")} than this price";
        return new(
            said,
            anHour,
            $"{Shown.Number((double)multiple, 2, f)} × materials would be {Shown.Money(said.Value, f)}, {difference}: "
                + $"it leaves {Shown.Money(said.Value - cost.Materials, f)} for all that is not material, which is "
                + $"{Shown.Money(seen, f)} here with fees, and would earn {Shown.AnHour(anHour, f)} an hour"
        );
    }
}
