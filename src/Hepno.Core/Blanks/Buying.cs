using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Blanks;

/// <summary>A lower price of a blank for a larger order.</summary>
/// <param name="FromPieces">From so many pieces of the style in one order, 0 when it does not depend on them.</param>
/// <param name="FromValue">From so much money of the supplier's goods in one order before its tiers, 0 when it does not
/// depend on it.</param>
/// <param name="Price">Money a piece of the base sizes.</param>
public sealed record PriceTier(int FromPieces, decimal FromValue, decimal Price)
{
    /// <summary>What reaches it, in words: "from 24", "from 250.00 of goods".</summary>
    public string From() => FromPieces > 0 ? $"from {FromPieces}" : $"from {FromValue:0.00} of goods";
}

/// <summary>How a style is bought, beside its list price and freight.</summary>
/// <param name="Tiers">Lower prices for larger orders; may be empty.</param>
/// <param name="FreeFreightFrom">The supplier charges no freight from so much money of its goods in one order; null
/// when it always does.</param>
/// <param name="PackOf">Sold in packs of so many pieces of a colour and size, 1 or more.</param>
/// <param name="CutOff">Ordered after this hour it is sent a working day later; null when it makes no
/// difference.</param>
/// <param name="CodePrice">Money a piece with a code, or null.</param>
/// <param name="CodeUntil">The code's last day; null when there is no code.</param>
/// <param name="ValueAtList">True where the supplier counts an order's value at list prices without surcharges; false
/// for what it invoices.</param>
public sealed record Buying(
    IReadOnlyList<PriceTier> Tiers,
    decimal? FreeFreightFrom = null,
    int PackOf = 1,
    LocalTime? CutOff = null,
    decimal? CodePrice = null,
    LocalDate? CodeUntil = null,
    bool ValueAtList = false
)
{
    /// <summary>Bought by the piece at the list price.</summary>
    public static Buying Plain { get; } = new([]);

    /// <summary>The price of a piece in an order and why: the lowest of the list price, the tiers it reaches, and the
    /// code while it holds.</summary>
    /// <param name="list">List price.</param>
    /// <param name="pieces">Pieces of the style in the order.</param>
    /// <param name="value">Money of the supplier's goods in the order, before its tiers.</param>
    /// <param name="buyBy">Last day it may be bought on; a code that ends before does not count (docs/trade 15.2). Null
    /// leaves codes out.</param>
    public (decimal Price, string Why) At(decimal list, int pieces, decimal value, LocalDate? buyBy)
    {
        var prices = Tiers
            .Where(t => pieces >= t.FromPieces && value >= t.FromValue)
            .Select(t => (t.Price, Why: t.From()))
            .Append((Price: list, Why: "list price"));
        if (CodePrice is { } code && CodeUntil is { } until && buyBy is { } day && day <= until)
        {
            prices = prices.Append((code, "code price"));
        }
        return prices.MinBy(p => p.Price);
    }

    /// <summary>The same terms with every price so many times as much; from which value or pieces they hold
    /// stays.</summary>
    public Buying Dearer(decimal factor) =>
        this with
        {
            Tiers = [.. Tiers.Select(t => t with { Price = t.Price * factor })],
            CodePrice = CodePrice * factor,
        };

    /// <summary>What the owner must put right before it can be kept.</summary>
    /// <param name="list">List price.</param>
    public IEnumerable<Problem> Problems(decimal list)
    {
        foreach (var t in Tiers)
        {
            if (t.Price <= 0 || t.FromPieces < 0 || t.FromValue < 0 || (t.FromPieces == 0) == (t.FromValue == 0))
            {
                yield return new(
                    "tier",
                    $"A price of {t.Price:0.00} {t.From()} cannot be kept.",
                    Where: "buying.tiers",
                    "A price above 0, from a number of pieces or from an order's value, not both."
                );
            }
            else if (t.Price >= list)
            {
                yield return new(
                    "tier-dearer",
                    $"The price {t.Price:0.00} of a larger order is not below the list price {list:0.00}.",
                    Where: "buying.tiers",
                    "Look at the list again; leave the tier out if it saves nothing."
                );
            }
        }
        if (FreeFreightFrom is <= 0)
        {
            yield return new(
                "range",
                $"Free freight from {FreeFreightFrom:0.00}.",
                Where: "buying.freeFreightFrom",
                "Type the order value from which no freight is charged, or leave it out."
            );
        }
        if (PackOf is < 1 or > 1000)
        {
            yield return new(
                "range",
                $"Packs of {PackOf}.",
                Where: "buying.packOf",
                "Type 1 when it is sold by the piece."
            );
        }
        if ((CodePrice is null) != (CodeUntil is null))
        {
            yield return new(
                "code",
                CodePrice is null
                    ? "A code's last day stands without its price."
                    : $"The code price {CodePrice:0.00} has no last day.",
                Where: CodePrice is null ? "buying.codePrice" : "buying.codeUntil",
                "Codes end: say the price and its last day, or neither."
            );
        }
        if (CodePrice is <= 0 || CodePrice >= list)
        {
            yield return new(
                "code-price",
                $"The code price {CodePrice:0.00} is not between 0 and the list price {list:0.00}.",
                Where: "buying.codePrice",
                "Type what a piece costs with the code."
            );
        }
    }
}
