using Hepno.Core.Measures;

namespace Hepno.Web.Views;

/// <summary>What an order came to against its quote.</summary>
/// <param name="Lines">Both sides, line by line.</param>
/// <param name="Earned">Profit of the whole order.</param>
/// <param name="Sentence">The result in one sentence.</param>
public sealed record LearnView(IReadOnlyList<LineHeld> Lines, Figure Earned, string Sentence);

/// <summary>What a line came to against its quote.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Held">Both sides.</param>
/// <param name="Price">Price a piece, dearer sizes averaged in.</param>
public sealed record LineHeld(LineId LineId, string What, Core.Learning.Held Held, decimal Price);
