using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Stock;

namespace Hepno.Core.Methods;

/// <summary>A piece of vinyl on the Shelf that a colour could be cut from.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Cuts">So many go on it, at most those still needed.</param>
/// <param name="Saves">Money of film that is then not bought.</param>
public sealed record PieceThatFits(VinylRemnant Piece, int Cuts, decimal Saves);

/// <summary>What is left of a roll beside the rows that are cut.</summary>
/// <param name="WidthIn">Its width, in.</param>
/// <param name="LengthIn">Its length, in.</param>
public sealed record StripLeft(double WidthIn, double LengthIn);

/// <summary>Pieces of vinyl used before the roll, and what the roll leaves (docs/trade 7).</summary>
public static class VinylPieces
{
    /// <summary>Pieces of the same vinyl that at least one cut of a colour goes on, those that save most first. The
    /// colour is the owner's to judge.</summary>
    /// <param name="colour">The colour as it would be bought, with its rows.</param>
    /// <param name="pieces">What lies there and is free.</param>
    public static IReadOnlyList<PieceThatFits> For(Purchase colour, IEnumerable<VinylRemnant> pieces) =>
        colour.Rows is not { } rows
            ? []
            :
            [
                .. pieces
                    .Where(p => p.VinylId == colour.MaterialId)
                    .Select(p => (Piece: p, Cuts: Math.Min(rows.Count, rows.RoomOn(p.WidthIn, p.LengthIn))))
                    .Where(x => x.Cuts > 0)
                    .Select(x => new PieceThatFits(
                        x.Piece,
                        x.Cuts,
                        colour.Cost.Value
                            - Money.Times(
                                (rows.With(rows.Count - x.Cuts)?.LengthIn ?? 0) / rows.LengthIn,
                                colour.Cost.Value
                            )
                    ))
                    .OrderByDescending(x => x.Saves),
            ];

    /// <summary>The strip beside the rows; null where it is too narrow to keep.</summary>
    public static StripLeft? Left(RollRows rows) =>
        rows.RollWidthIn - (Math.Min(rows.Across, rows.Count) * rows.BoxWidthIn) is var width
        && width >= VinylRemnant.LeastIn
            ? new(width, rows.LengthIn)
            : null;
}
