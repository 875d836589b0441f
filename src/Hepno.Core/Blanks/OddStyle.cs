using Hepno.Core.Measures;

namespace Hepno.Core.Blanks;

/// <summary>Values of a style that can be but hardly are: a carton's price typed as a piece's, ounces for grams. They
/// are asked about once and kept when the owner says that it is so (docs/trade 15.9).</summary>
internal static class OddStyle
{
    /// <summary>What of a style is asked about.</summary>
    public static IEnumerable<Problem> In(Style s)
    {
        if (s.WeightGsm is < 60 or > 600)
        {
            yield return Doubt(
                "weightGsm",
                $"{s.WeightGsm:0} g/m² is "
                    + $"{(s.WeightGsm < 60 ? "thinner than any shirt: are these ounces a yard?" : "thicker than a winter coat.")}",
                s.WeightGsm < 60 ? "5 oz/yd² are 170 g/m²." : "A heavy hoodie has 350."
            );
        }
        if (s.UnitPrice is < 0.40m or > 150m)
        {
            yield return Doubt(
                "unitPrice",
                $"{s.UnitPrice:0.00} for one {GarmentNouns.For(s.Kind, 1)}: "
                    + $"{(s.UnitPrice > 150 ? "is that a whole carton?" : "is that right?")}",
                "Type what one piece costs at your next order."
            );
        }
    }

    private static Problem Doubt(string where, string sentence, string remedy) => new("doubt", sentence, where, remedy);
}
