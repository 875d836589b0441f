using Hepno.Core.Blanks;
using Hepno.Core.Comparing;

namespace Hepno.Core.Quoting;

/// <summary>One line of a sent quote.</summary>
/// <param name="LineId">Which line of the ask.</param>
/// <param name="Style">The blank as it was.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="Band">The method's figures.</param>
/// <param name="PressingSeconds">Hands at the press for one start, s.</param>
/// <param name="Goods">What the line comes to, as printed: the sum of its printed amounts.</param>
public sealed record FrozenLine(
    LineId LineId,
    Style Style,
    Colourway Colourway,
    Band Band,
    double PressingSeconds,
    decimal Goods
);
