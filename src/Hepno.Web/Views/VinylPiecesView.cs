using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Quoting;
using Hepno.Core.Stock;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>A piece on the Shelf that a colour could be cut from.</summary>
/// <param name="RemnantId">Which piece.</param>
/// <param name="Text">Its colour, size and age.</param>
/// <param name="Cuts">So many go on it.</param>
/// <param name="Saves">Money of film that is then not bought.</param>
public sealed record PieceOffer(RemnantId RemnantId, string Text, int Cuts, decimal Saves);

/// <summary>One colour of a print with the pieces it could be cut from, and the one it is cut from.</summary>
/// <param name="PlacementId">Which print.</param>
/// <param name="Layer">Which colour, from 0.</param>
/// <param name="Label">Place and colour.</param>
/// <param name="Hex">The colour as measured; empty where it was typed.</param>
/// <param name="Used">The piece in use, in words; empty for none.</param>
/// <param name="Offers">Free pieces of the same vinyl, those that save most first.</param>
public sealed record VinylColour(
    PlacementId PlacementId,
    int Layer,
    string Label,
    string Hex,
    string Used,
    IReadOnlyList<PieceOffer> Offers
);

/// <summary>What the roll leaves beside a colour's rows.</summary>
/// <param name="Label">Which colour.</param>
/// <param name="VinylId">Of which vinyl.</param>
/// <param name="WidthIn">Width, in.</param>
/// <param name="LengthIn">Length, in.</param>
public sealed record VinylLeft(string Label, ThingId VinylId, double WidthIn, double LengthIn);

/// <summary>Pieces of vinyl for a line, and from it.</summary>
/// <param name="Colours">Colours that a piece is used or offered for.</param>
/// <param name="Left">Strips that are left beside the rows, wide enough to keep.</param>
public sealed record VinylPiecesView(IReadOnlyList<VinylColour> Colours, IReadOnlyList<VinylLeft> Left)
{
    /// <summary>Of a line that is cut from vinyl; null for one that is not.</summary>
    internal static VinylPiecesView? For(
        SqliteConnection connection,
        OrderCase c,
        LineCase line,
        Band band,
        FigureFormat f
    )
    {
        if (!DecorationMethods.Uses(band.MethodId, m => m.UsesPieces))
        {
            return null;
        }
        // once the quote is sent, what is bought stands; a piece is cut once
        var free = line.Frozen is null
            ? Free(connection, c.Order.Id)
                .Where(r => c.Order.Facts.Layout.Remnants.Any(u => u.RemnantId == r.Id) != true)
                .ToList()
            : [];
        var bought = band
            .Decorations.SelectMany(d => d.Purchases.Select(p => (Plan: d, Purchase: p, p.Layer)))
            .Where(x => x.Purchase.Rows is not null && !x.Purchase.MaterialId.IsNone)
            .ToList();
        var used = c.Order.Facts.Layout.Remnants.Where(r => r.LineId == line.Asked.Id).ToList();
        string Place(PlacementId placementId) =>
            line.Asked.Placements.FirstOrDefault(p => p.Id == placementId)?.At().Name ?? placementId.Text;
        string Label(PlacementId placementId, int layer) => $"{Place(placementId)}, {VinylLayer.NameOf(layer)}";
        var colours = used.Select(u => new VinylColour(
                u.PlacementId,
                u.Layer,
                Label(u.PlacementId, u.Layer),
                "",
                Used: Said(Aggregates.Of<VinylRemnant>().Get(connection, u.RemnantId)?.Value, u.WidthIn, u.LengthIn, f),
                []
            ))
            .Concat(
                bought
                    .Where(b =>
                        b.Purchase.For?.Pieces == line.Asked.Pieces
                        && !used.Any(u => u.PlacementId == b.Plan.Placement.Id && u.Layer == b.Layer)
                    )
                    .Select(b => new VinylColour(
                        b.Plan.Placement.Id,
                        b.Layer,
                        Label(b.Plan.Placement.Id, b.Layer),
                        b.Purchase.Hex,
                        "",
                        [
                            .. VinylPieces
                                .For(b.Purchase, free)
                                .Select(o => new PieceOffer(
                                    o.Piece.Id,
                                    Text: Said(o.Piece, o.Piece.WidthIn, o.Piece.LengthIn, f),
                                    o.Cuts,
                                    o.Saves
                                )),
                        ]
                    ))
                    .Where(v => v.Offers.Count > 0)
            );
        return new(
            [.. colours],
            [
                .. bought
                    .Select(b => (b, Left: VinylPieces.Left(b.Purchase.Rows!)))
                    .Where(x => x.Left is not null)
                    .Select(x => new VinylLeft(
                        Label(x.b.Plan.Placement.Id, x.b.Layer),
                        x.b.Purchase.MaterialId,
                        x.Left!.WidthIn,
                        x.Left.LengthIn
                    )),
            ]
        );
    }

    /// <summary>Pieces that no other order uses.</summary>
    internal static IReadOnlyList<VinylRemnant> Free(SqliteConnection connection, OrderId orderId)
    {
        var spoken = RemnantUses.Of(connection).Where(u => u.OrderId != orderId).Select(u => u.RemnantId).ToHashSet();
        return
        [
            .. Aggregates
                .Of<VinylRemnant>()
                .All(connection)
                .Select(r => r.Value)
                .Where(r => !r.IsGone && !spoken.Contains(r.Id)),
        ];
    }

    private static string Said(VinylRemnant? piece, double widthIn, double lengthIn, FigureFormat f) =>
        piece is null
            ? Shown.Size(widthIn, lengthIn, f)
            : $"{piece.Colour}, {Shown.Size(widthIn, lengthIn, f)}, since "
                + $"{Shown.Day(piece.Since, f)}{(piece.From.Length > 0 ? $", of {piece.From}" : "")}";
}
