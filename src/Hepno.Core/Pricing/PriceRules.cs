using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Pricing;

/// <summary>How the shop makes its prices (docs/trade 8).</summary>
/// <param name="Retail">Price policy for retail.</param>
/// <param name="Wholesale">Price policy for wholesale.</param>
/// <param name="LeastMarginShare">No policy goes under this share of the price.</param>
/// <param name="MinimumCharge">Least charge for an order.</param>
/// <param name="RoundingStep">Prices are rounded up to this.</param>
/// <param name="Inversion">What is done when more pieces would come to less.</param>
/// <param name="SizePricing">Whether dearer sizes are averaged into the price or charged on top.</param>
/// <param name="TierSteps">Quantities of a quote's table of other quantities, smallest first.</param>
/// <param name="TheirsPerPiece">Charged on top for pressing a garment the customer brings.</param>
/// <param name="RuleOfThumb">The multiple of materials a piece was sold at before there were figures, shown beside the
/// price; 0 for none.</param>
public sealed record PriceRules(
    PricePolicy Retail,
    PricePolicy Wholesale,
    Share LeastMarginShare,
    decimal MinimumCharge,
    decimal RoundingStep,
    InversionRule Inversion,
    SizePricing SizePricing,
    IReadOnlyList<int> TierSteps,
    decimal TheirsPerPiece,
    decimal RuleOfThumb
)
{
    /// <summary>Quantities a new shop's quotes offer.</summary>
    public static IReadOnlyList<int> UsualSteps { get; } = [12, 24, 36, 48, 72, 144];

    /// <summary>Starting values of a new shop (assumed); each is the owner's to change.</summary>
    public static PriceRules Default { get; } =
        new(
            PricePolicy.Default,
            PricePolicy.Default with
            {
                MarginShare = new(0.25m),
            },
            default,
            40m,
            RoundingStep: 0.25m,
            InversionRule.OfferLarger,
            SizePricing.Averaged,
            UsualSteps,
            0,
            RuleOfThumb: 3
        );

    /// <summary>The price policy of a channel.</summary>
    public PricePolicy PolicyFor(Channel channel) => channel == Channel.Wholesale ? Wholesale : Retail;

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<PriceRules> Fields { get; } =
        new FieldList<PriceRules>()
            .Part(x => x.Retail, PricePolicy.Fields("Retail"), Default.Retail)
            .Part(x => x.Wholesale, PricePolicy.Fields("Wholesale"), Default.Wholesale)
            .Share(x => x.LeastMarginShare, "Least margin", (0, 1))
            .Amount(x => x.MinimumCharge, "Least charge an order", Unit.None)
            .Amount(x => x.RoundingStep, "Round prices up to", Unit.None)
            .Choice(
                x => x.SizePricing,
                "Dearer sizes",
                SizePricing.Averaged,
                [(SizePricing.Averaged, "averaged into one price"), (SizePricing.Surcharged, "a surcharge line each")]
            )
            .Shaped(x => x.TierSteps, "Quantities of the break table", FieldShape.Counts)
            .Choice(
                x => x.Inversion,
                "When more pieces cost less in all",
                InversionRule.OfferLarger,
                [
                    (InversionRule.OfferLarger, "say so and offer them"),
                    (InversionRule.ChargeSmaller, "charge no dearer"),
                    (InversionRule.RaiseBreak, "charge the more no less"),
                    (InversionRule.GivePiece, "make the more and give them"),
                ]
            )
            .Amount(x => x.TheirsPerPiece, "On top, a garment of theirs", Unit.None)
            .Money(
                x => x.RuleOfThumb,
                "Rule of thumb before, × materials",
                Unit.None,
                (0, 20),
                "2 to 4 is usual; 0 for none."
            );

    /// <summary>What the owner must put right.</summary>
    /// <param name="fees">The shop's fees: with a margin they must leave something for the cost.</param>
    public IEnumerable<Problem> Problems(FeeTerms fees) =>
        Fields
            .Problems(this, "shop")
            .Concat(Retail.Problems("retail", fees))
            .Concat(Wholesale.Problems("wholesale", fees))
            .Concat(MarginProblems(fees))
            .Concat(TableProblems());

    private IEnumerable<Problem> MarginProblems(FeeTerms fees)
    {
        if ((LeastMarginShare + fees.OfPrice).Part >= 1)
        {
            yield return new(
                "margin-and-fees",
                $"The least margin and fees together take {(LeastMarginShare + fees.OfPrice).Percent:0.##}% of "
                    + "the price: nothing is left for the cost.",
                Where: "leastMarginShare",
                "Lower it until both stay below 100%."
            );
        }
    }

    private IEnumerable<Problem> TableProblems()
    {
        if (
            TierSteps.Count is 0 or > 8
            || TierSteps.Any(s => s is < 1 or > SizeRun.MostPieces)
            || !TierSteps.Order().Distinct().SequenceEqual(TierSteps)
        )
        {
            yield return new(
                "steps",
                $"The quantities {string.Join(", ", TierSteps)} cannot be used.",
                Where: "tierSteps",
                "Type 1 to 8 rising quantities, for example 12, 24, 36."
            );
        }
    }
}
