using Hepno.Core.Materials;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What a line's prints can be laid on by its method: bought film, digital transfers, the shop's own film, or
/// sheets of transfer paper.</summary>
/// <param name="Lists">Price lists, those without a layout of one's own too.</param>
/// <param name="Spares">How often one print fails, and how often those bought are to suffice.</param>
/// <param name="Part">The line with those prints alone that are laid on them: where a piece is decorated in several
/// ways, those of the first that is laid out.</param>
/// <param name="IsTrimmed">True where each print is cut out round its outline anyway: laid closer it takes no more
/// cutting.</param>
public sealed record LaidOn(
    IReadOnlyList<TransferPriceList> Lists,
    SpareChance Spares,
    AskInHand Part,
    bool IsTrimmed = false
)
{
    /// <summary>By a method; what the first way that lays anything lies on where it lays nothing.</summary>
    /// <param name="methodId">Key of the line's method; null before one is chosen.</param>
    /// <param name="ask">The line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    public static LaidOn Find(MethodId? methodId, AskInHand ask, ShopBook book) =>
        (methodId is { } chosen ? DecorationMethods.Find(chosen)?.LaidOn(ask, book) : null)
        ?? DecorationMethods.All.Select(m => m.LaidOn(ask, book)).First(laid => laid is not null)!;
}
