using Hepno.Core.Costing;
using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>Card and marketplace fees on everything paid, tax included.</summary>
/// <param name="FeeShare">f, 0 to under 1.</param>
/// <param name="TaxShare">tau.</param>
/// <param name="PostagePerPiece">Postage charged at cost, for one piece (S/q).</param>
public sealed record FeeTerms(decimal FeeShare, decimal TaxShare, decimal PostagePerPiece = 0)
{
    /// <summary>Share of the goods' price that fees take: f·(1+tau).</summary>
    public decimal OfPrice => FeeShare * (1 + TaxShare);

    /// <summary>Percentage fees on one piece sold at a price.</summary>
    public decimal On(decimal price) => (OfPrice * price) + (FeeShare * PostagePerPiece);
}

/// <summary>Prices from costs (DOMAIN 11). Unrounded; <see cref="Money.UpTo"/> and <see cref="Money.Charged"/> round.</summary>
public static class PricePolicies
{
    /// <summary>Profit is a share of the price: (c + f·S/q) / (1 − m − f·(1+tau)).</summary>
    /// <exception cref="ArgumentException">Margin and fees together reach the whole price; <see cref="ShopNumbers.Problems"/> refuses that first.</exception>
    public static decimal ByMargin(decimal cost, decimal margin, FeeTerms fees)
    {
        var left = 1 - margin - fees.OfPrice;
        return left > 0 ? (cost + (fees.FeeShare * fees.PostagePerPiece)) / left : throw new ArgumentException("Margin and fees take the whole price.", nameof(margin));
    }

    /// <summary>A multiple of a base, all costs or materials only: (k·base + f·S/q) / (1 − f·(1+tau)).</summary>
    public static decimal ByMultiple(decimal baseCost, decimal multiple, FeeTerms fees) => ((multiple * baseCost) + (fees.FeeShare * fees.PostagePerPiece)) / (1 - fees.OfPrice);

    /// <summary>So much over the wage for each hour of hands: (c + H·t + f·S/q) / (1 − f·(1+tau)).</summary>
    public static decimal ByHour(decimal cost, decimal perHour, double handsSeconds, FeeTerms fees) => (cost + Money.Times(handsSeconds / 3600, perHour) + (fees.FeeShare * fees.PostagePerPiece)) / (1 - fees.OfPrice);

    /// <summary>Fees of a whole order: f·((1+tau)·goods + postage) + fixed part × payments.</summary>
    public static decimal OrderFees(decimal goods, decimal postage, decimal taxShare, decimal feeShare, decimal feeFixed, int payments) => (feeShare * (((1 + taxShare) * goods) + postage)) + (feeFixed * payments);
}

/// <summary>What a price leaves, for one piece.</summary>
/// <param name="Price">Charged for a piece.</param>
/// <param name="Fees">Percentage fees on it.</param>
/// <param name="Profit">Price less cost and fees.</param>
/// <param name="MarginShare">Profit as a share of the price.</param>
/// <param name="ProfitAnHour">Profit for each hour of hands.</param>
/// <param name="TakeHomeAnHour">Profit and the owner's own wage for each hour of hands.</param>
public sealed record Outcome(decimal Price, Figure Fees, Figure Profit, decimal MarginShare, Figure ProfitAnHour, Figure TakeHomeAnHour)
{
    /// <summary>The outcome of selling at a price.</summary>
    /// <param name="price">Charged for a piece, above 0.</param>
    /// <param name="cost">Its cost.</param>
    /// <param name="fees">Fees.</param>
    /// <param name="wage">The owner's wage.</param>
    public static Outcome At(decimal price, PieceCostResult cost, FeeTerms fees, decimal wage)
    {
        var priceFigure = Figure.Input("price", "Price", price, FigureUnit.Money, "what is charged a piece");
        var fee = Figure.Of("fees", "Card fees", fees.On(price), "share of everything paid, tax included", priceFigure, Figure.Input("fee-share", "Fee", fees.FeeShare, FigureUnit.Share, "Numbers: fees"), Figure.Input("tax-share", "Tax", fees.TaxShare, FigureUnit.Share, "Numbers: tax"));
        var profit = Figure.Of("profit", "Profit a piece", price - cost.Cost.Value - fee.Value, "price − cost − fees", priceFigure, cost.Cost.Named(), fee);
        var hours = cost.HandsSeconds.Value / 3600;
        var labour = cost.LabourAll(wage);
        Figure AnHour(string code, string label, decimal money, string how, params IReadOnlyList<Figure> parts) => new(code, label, hours == 0 ? 0 : money / hours, FigureUnit.MoneyAnHour, how, "", parts);
        return new(price, fee, profit, profit.Value / price,
            AnHour("profit-an-hour", "Profit an hour", profit.Value, "profit ÷ hours of hands", profit.Named(), cost.HandsSeconds.Named()),
            AnHour("take-home", "Take-home an hour", profit.Value + labour, "(profit + own wage) ÷ hours of hands", profit.Named(), Figure.Of("own-wage", "Own wage", labour, "hands × wage", cost.HandsSeconds.Named(), Figure.Input("wage", "Wage", wage, FigureUnit.MoneyAnHour, "Numbers: wage")), cost.HandsSeconds.Named()));
    }
}
