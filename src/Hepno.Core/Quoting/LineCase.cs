using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Shop;

namespace Hepno.Core.Quoting;

/// <summary>A line of an order with what the shop knows about it.</summary>
/// <param name="Asked">What is asked.</param>
/// <param name="Style">Its garment, as quoted once it is; null while not said.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="InHand">The complete line with the rest of its order; null while something is missing.</param>
/// <param name="Problems">What in it blocks comparing.</param>
/// <param name="Decision">The method chosen.</param>
/// <param name="Frozen">Its figures as sent.</param>
public sealed record LineCase(
    AskLine Asked,
    Style? Style,
    Colourway? Colourway,
    AskInHand? InHand,
    IReadOnlyList<Problem> Problems,
    Decision? Decision,
    FrozenLine? Frozen
)
{
    /// <summary>Pieces and garment: "36 navy tees".</summary>
    public string What =>
        Style is null || Colourway is null
            ? $"{Asked.Pieces} pieces"
            : $"{Asked.Pieces} {MakeQuote.Garment(Style, Colourway, Asked.Pieces)}";
}
