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
    /// <summary>By a method; bought film for one that lays nothing.</summary>
    /// <param name="methodId">Key of the line's method; null before one is chosen.</param>
    /// <param name="ask">The line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    public static LaidOn Find(MethodId? methodId, AskInHand ask, ShopBook book)
    {
        var method = methodId is { } chosen ? DecorationMethods.Find(chosen) : null;
        if (
            method is Mixed mix
            && mix.Ways.FirstOrDefault(IsLaid) is { } way
            && mix.PartOf(ask, m => m.Id == way.Id) is { } part
        )
        {
            (method, ask) = (way, part);
        }
        return method switch
        {
            PaperLight or PaperOpaque when PaperPrints.For(method.Id) is var paper => new(
                [
                    .. book.Of<TransferPaper>()
                        .Where(p => p.Kind == paper.Kind)
                        .Select(p => PaperPrints.ListOf(p, PaperPrints.CutterFor(p, ask, book) is not null)),
                ],
                SpareChance.In(book, paper.Failure(ask, book)),
                ask,
                true
            ),
            DtfMade => new(
                [.. book.Of<FilmPrinter>().Select(DtfMade.ListOf)],
                SpareChance.In(book, DtfMade.Failure(ask, book)),
                ask
            ),
            DigitalTransfer => new(
                [.. book.Of<TransferPriceList>().Where(l => l.Kind == TransferKind.Digital)],
                SpareChance.In(book, DigitalTransfer.Failure(ask, book)),
                ask
            ),
            _ => new(
                [.. book.Of<TransferPriceList>().Where(l => l.Kind == TransferKind.Film)],
                SpareChance.In(book, DtfBought.Failure(ask, book)),
                ask
            ),
        };
    }

    private static bool IsLaid(IDecorationMethod method) =>
        method is DtfBought or DtfMade or DigitalTransfer or PaperLight or PaperOpaque;
}
