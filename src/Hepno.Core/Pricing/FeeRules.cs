using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Pricing;

/// <summary>The shop's fees and tax (docs/trade 8).</summary>
/// <param name="Share">Card fee as a share of its base.</param>
/// <param name="Fixed">Card fee for each payment.</param>
/// <param name="Base">What the share is taken of.</param>
/// <param name="TaxShare">Sales tax as the owner and their adviser set it.</param>
public sealed record FeeRules(Share Share, decimal Fixed, FeeBase Base, Share TaxShare)
{
    /// <summary>Starting values of a new shop (assumed): a usual card fee, no tax.</summary>
    public static FeeRules Default { get; } = new(new(0.029m), 0.30m, FeeBase.Everything, default);

    /// <summary>The fees prices are made with.</summary>
    /// <param name="postagePerPiece">Postage charged at cost, for one piece; 0 where it is collected or in the
    /// price.</param>
    public FeeTerms Terms(decimal postagePerPiece = 0) => new(Share, TaxShare, postagePerPiece, Base);

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<FeeRules> Fields { get; } =
        new FieldList<FeeRules>()
            .Share(x => x.Share, "Card fee", (0, 1))
            .Amount(x => x.Fixed, "Card fee, a payment", Unit.None)
            .Choice(
                x => x.Base,
                "Card fee is taken of",
                FeeBase.Everything,
                [
                    (FeeBase.Everything, "everything paid, tax too"),
                    (FeeBase.GoodsAndPostage, "goods and postage"),
                    (FeeBase.Goods, "goods alone"),
                ]
            )
            .Share(x => x.TaxShare, "Sales tax", (0, 1));

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() => Fields.Problems(this, "shop");
}
