using Hepno.Core.Measures;

namespace Hepno.Core.Curing;

/// <summary>How far the prints of one place of an order have come.</summary>
/// <param name="Cured">Whose, how many in the batch.</param>
/// <param name="OfOtherBatches">Prints of the same place from other batches.</param>
/// <param name="Pressed">Good pieces of the line pressed after the batch came out of the heat.</param>
/// <param name="HandedOver">Pieces of the line the customer already has.</param>
/// <param name="Print">What one print costs.</param>
/// <param name="Piece">What one finished piece costs, its blank and hands in it.</param>
public sealed record CuredFate(
    CuredPrints Cured,
    int OfOtherBatches,
    int Pressed,
    int HandedOver,
    Figure Print,
    Figure Piece
);

/// <summary>What is called back of one place of an order.</summary>
/// <param name="Cured">Whose, how many in the batch.</param>
/// <param name="PiecesAtLeast">Pieces that surely carry one of its prints.</param>
/// <param name="PiecesAtMost">Pieces that may carry one.</param>
/// <param name="LookAt">Pieces to look at: more than may carry one where prints of other batches lie among
/// them.</param>
/// <param name="Out">How many of these the customer may have.</param>
/// <param name="PrintsWaiting">Prints not pressed yet, to be thrown away.</param>
/// <param name="Cost">Making it anew, opened.</param>
public sealed record RecallLine(
    CuredPrints Cured,
    int PiecesAtLeast,
    int PiecesAtMost,
    int LookAt,
    int Out,
    int PrintsWaiting,
    Figure Cost
);

/// <summary>What a bad batch calls back: which pieces, what to make anew, what that costs (docs/trade 15.3).</summary>
public static class Recall
{
    /// <summary>
    /// A print of the batch is on a piece or waits. Of P pressed pieces at most min(B, P) carry one of its B prints,
    /// and at least P less the O prints of other batches.
    /// A spoiled piece is made whole again (blank, prints, hands); a print that waits is only printed again. Reckoned
    /// at the most.
    /// </summary>
    public static RecallLine Of(CuredFate fate)
    {
        var most = Math.Min(fate.Cured.Prints, fate.Pressed);
        var least = Math.Clamp(fate.Pressed - fate.OfOtherBatches, 0, most);
        var lookAt = most == 0 ? 0 : fate.Pressed;
        var waiting = fate.Cured.Prints - most;
        List<Figure> parts = [];
        if (most > 0)
        {
            parts.Add(
                Figure.Of(
                    "recall-pieces",
                    "Pieces made anew",
                    fate.Piece.Value * most,
                    "one piece × pieces",
                    fate.Piece,
                    Figure.Input("pieces", "Pieces", most, FigureUnit.Count, "the most that may carry its prints")
                )
            );
        }
        if (waiting > 0)
        {
            parts.Add(
                Figure.Of(
                    "recall-prints",
                    "Prints made anew",
                    fate.Print.Value * waiting,
                    "one print × prints",
                    fate.Print,
                    Figure.Input("prints", "Prints", waiting, FigureUnit.Count, "cured, not pressed yet")
                )
            );
        }
        return new(
            fate.Cured,
            least,
            most,
            lookAt,
            Math.Min(lookAt, fate.HandedOver),
            PrintsWaiting: waiting,
            Figure.Sum("recall", "Made anew", parts)
        );
    }
}
