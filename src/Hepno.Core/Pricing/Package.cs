using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>Things sold together for less than apart (docs/trade 9).</summary>
/// <param name="Apart">Sum of the single prices.</param>
/// <param name="Price">Price together.</param>
/// <param name="Saving">What the customer saves.</param>
public sealed record Package(decimal Apart, decimal Price, decimal Saving)
{
    /// <summary>A package at a discount.</summary>
    /// <param name="prices">Single prices.</param>
    /// <param name="discount">Discount, 0 to 1.</param>
    public static Package Reckon(IReadOnlyList<decimal> prices, Share discount)
    {
        var apart = prices.Sum();
        var price = apart * discount.Rest;
        return new(apart, price, apart - price);
    }
}
