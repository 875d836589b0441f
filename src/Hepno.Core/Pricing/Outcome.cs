using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>What a price leaves, for one piece.</summary>
/// <param name="Price">Charged for a piece.</param>
/// <param name="Fees">Percentage fees on it.</param>
/// <param name="Profit">Price less cost and fees.</param>
/// <param name="MarginShare">Profit as a share of the price.</param>
/// <param name="ProfitAnHour">Profit for each hour of hands.</param>
/// <param name="TakeHomeAnHour">Profit and the owner's own wage for each hour of hands.</param>
/// <param name="Surcharges">What dearer sizes add, averaged over the pieces.</param>
public sealed record Outcome(
    decimal Price,
    Figure Fees,
    Figure Profit,
    Share MarginShare,
    Figure ProfitAnHour,
    Figure TakeHomeAnHour,
    decimal Surcharges = 0
)
{
    /// <summary>The outcome of selling at a price.</summary>
    /// <param name="price">Charged for a piece, above 0.</param>
    /// <param name="cost">Its cost.</param>
    /// <param name="fees">Fees.</param>
    /// <param name="wage">The owner's wage.</param>
    /// <param name="surcharges">What dearer sizes add, averaged over the pieces.</param>
    public static Outcome At(decimal price, PieceCostResult cost, FeeTerms fees, decimal wage, decimal surcharges = 0)
    {
        var sold = price + surcharges;
        var priceFigure =
            surcharges == 0
                ? Figure.Input("price", "Price", price, FigureUnit.Money, "what is charged a piece")
                : Figure.Sum(
                    "price",
                    "Price, surcharges averaged",
                    Figure.Input("base-price", "Base price", price, FigureUnit.Money, "what is charged a piece"),
                    Figure.Input("surcharges", "Dearer sizes", surcharges, FigureUnit.Money, "surcharges ÷ pieces")
                );
        var fee = Figure.Of(
            "fees",
            "Card fees",
            fees.On(sold),
            fees.Words,
            priceFigure,
            Figure.Input("fee-share", "Fee", fees.FeeShare.Part, FigureUnit.Share, "Numbers: fees"),
            Figure.Input("tax-share", "Tax", fees.TaxShare.Part, FigureUnit.Share, "Numbers: tax")
        );
        var profit = Figure.Of(
            "profit",
            "Profit a piece",
            sold - cost.Cost.Value - fee.Value,
            "price − cost − fees",
            priceFigure,
            cost.Cost.Named(),
            fee
        );
        var hours = cost.HandsSeconds.Value / 3600;
        var labour = cost.LabourAll(wage);
        Figure AnHour(string code, string label, decimal money, string how, params IReadOnlyList<Figure> parts) =>
            new(code, label, hours == 0 ? 0 : money / hours, FigureUnit.MoneyAnHour, how, "", parts);
        return new(
            price,
            fee,
            profit,
            new(profit.Value / sold),
            AnHour(
                "profit-an-hour",
                "Profit an hour",
                profit.Value,
                "profit ÷ hours of hands",
                profit.Named(),
                cost.HandsSeconds.Named()
            ),
            AnHour(
                "take-home",
                "Take-home an hour",
                profit.Value + labour,
                "(profit + own wage) ÷ hours of hands",
                profit.Named(),
                Figure.Of(
                    "own-wage",
                    "Own wage",
                    labour,
                    "hands × wage",
                    cost.HandsSeconds.Named(),
                    Figure.Input("wage", "Wage", wage, FigureUnit.MoneyAnHour, "Numbers: wage")
                ),
                cost.HandsSeconds.Named()
            ),
            surcharges
        );
    }
}
