using Hepno.Core.Blanks;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>The share of attempts expected to spoil a piece (docs/trade 14): what the shop has learned of the method,
/// else what is assumed of it; nylon and stretch spoil one in a hundred more.</summary>
public static class SpoilageChance
{
    private const double NylonOrStretch = 0.01;

    // a method that spoils more is no method
    private const double Most = 0.9;

    // less of it in a cloth does not show
    private const double LeastPercent = 5;

    /// <summary>0 to 1, for one attempt on the line's cloth.</summary>
    /// <param name="methodId">Which method.</param>
    /// <param name="assumed">What is assumed of it.</param>
    /// <param name="ask">The line.</param>
    /// <param name="book">What the shop has learned.</param>
    public static double Reckon(MethodId methodId, double assumed, AskInHand ask, ShopBook book) =>
        Math.Min(
            Most,
            book.SpoilageFactor
                * (
                    book.Numbers.Rates.SpoilageOf(methodId, assumed)
                    + (
                        ask.Style.PercentOf(Fibre.Nylon) + ask.Style.PercentOf(Fibre.Elastane) > LeastPercent
                        || ask.Style.Has(Feature.Stretch)
                            ? NylonOrStretch
                            : 0
                    )
                )
        );
}
