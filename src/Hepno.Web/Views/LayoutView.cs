using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Purchasing;

namespace Hepno.Web.Views;

/// <summary>What to buy for a line, as drawn on Lay out.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="Band">The method's figures.</param>
/// <param name="Sentence">What is laid out, in one sentence.</param>
/// <param name="Blanks">Blanks bought.</param>
/// <param name="BlankCost">What they cost, freight included.</param>
/// <param name="Prints">What the prints cost in all, bought or from the shop's own rolls.</param>
/// <param name="Spares">What the bought spares and the missing ones mean, in words.</param>
/// <param name="Choices">How to have the blanks, the least money first.</param>
/// <param name="Vinyl">Pieces of vinyl that lie here for it, and what it leaves; null where none is cut.</param>
public sealed record LayoutView(
    LineId LineId,
    Band Band,
    string Sentence,
    IReadOnlyList<SizeCount> Blanks,
    Figure BlankCost,
    Figure Prints,
    string Spares,
    IReadOnlyList<BuyingChoice> Choices,
    VinylPiecesView? Vinyl
);
