using Hepno.Core.Measures;

namespace Hepno.Core.Pricing;

/// <summary>What a percentage fee is taken of.</summary>
public enum FeeBase
{
    /// <summary>Everything paid: goods, tax and postage. Usual for cards.</summary>
    Everything,

    /// <summary>Goods and postage, without tax.</summary>
    GoodsAndPostage,

    /// <summary>Goods alone.</summary>
    Goods,
}

/// <summary>Card and marketplace fees (docs/trade 8).</summary>
/// <param name="FeeShare">f, 0 to under 1.</param>
/// <param name="TaxShare">tau.</param>
/// <param name="PostagePerPiece">Postage charged at cost, for one piece (S/q).</param>
/// <param name="Base">What f is taken of.</param>
public sealed record FeeTerms(
    Share FeeShare,
    Share TaxShare,
    decimal PostagePerPiece = 0,
    FeeBase Base = FeeBase.Everything
)
{
    /// <summary>Share of the goods' price that fees take: f·(1+tau), or f where tax is not in the base.</summary>
    public Share OfPrice => Base == FeeBase.Everything ? new(FeeShare * TaxShare.OnTop) : FeeShare;

    /// <summary>Fee on the postage of one piece: f·S/q, or 0 where postage is not in the base.</summary>
    public decimal OfPostage => Base == FeeBase.Goods ? 0 : FeeShare * PostagePerPiece;

    /// <summary>The base in words.</summary>
    public string Words =>
        Base switch
        {
            FeeBase.Goods => "share of the goods",
            FeeBase.GoodsAndPostage => "share of goods and postage",
            _ => "share of everything paid, tax included",
        };

    /// <summary>Percentage fees on one piece sold at a price.</summary>
    public decimal On(decimal price) => (OfPrice * price) + OfPostage;

    /// <summary>Fees of a whole order: f on its base, and a fixed part for each payment.</summary>
    /// <param name="goods">p·q.</param>
    /// <param name="postage">S, charged at cost.</param>
    /// <param name="fixedPart">F.</param>
    /// <param name="payments">Deposit and balance are two.</param>
    public decimal OfOrder(decimal goods, decimal postage, decimal fixedPart, int payments) =>
        (OfPrice * goods) + (Base == FeeBase.Goods ? 0 : FeeShare * postage) + (fixedPart * payments);
}
