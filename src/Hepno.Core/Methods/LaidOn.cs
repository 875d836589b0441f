using Hepno.Core.Materials;

namespace Hepno.Core.Methods;

/// <summary>What a line's prints can be laid on by its method: bought film, digital transfers, or sheets of transfer paper.</summary>
/// <param name="Lists">Price lists, those without a layout of one's own too.</param>
/// <param name="Failure">Share of attempts expected to spoil a piece.</param>
public sealed record LaidOn(IReadOnlyList<TransferPriceList> Lists, double Failure)
{
    /// <summary>By a method; bought film for one that lays nothing.</summary>
    /// <param name="methodId">Key of the line's method; null before one is chosen.</param>
    /// <param name="ask">The line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    public static LaidOn Of(string? methodId, AskInHand ask, ShopBook book) => DecorationMethods.Find(methodId ?? "") switch
    {
        PaperLight or PaperOpaque when PaperPrints.Of(methodId!) is var paper => new([.. book.Papers.Where(p => p.Kind == paper.Kind).Select(p => PaperPrints.ListOf(p, PaperPrints.CutterFor(p, ask, book) is not null))], paper.Failure(ask, book)),
        DigitalTransfer => new([.. book.Films.Where(l => l.Kind == TransferKind.Digital)], DigitalTransfer.Failure(ask, book)),
        _ => new([.. book.Films.Where(l => l.Kind == TransferKind.Film)], DtfBought.Failure(ask, book)),
    };
}
