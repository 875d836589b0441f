using Hepno.Core.Materials;
using Hepno.Core.Measures;

namespace Hepno.Core.Methods;

/// <summary>Transfers of one size bought together, whatever is on them: they count together for its price.</summary>
/// <param name="Size">Which size.</param>
/// <param name="Needed">Needed of it in all.</param>
/// <param name="Count">Bought: no fewer than the supplier sells, more where the next break costs less in all.</param>
/// <param name="Break">At which price.</param>
/// <param name="MostKey">The print most are needed of: what is bought beyond the need is of it.</param>
/// <param name="Why">Why more are bought than are needed, as a clause.</param>
internal sealed record SizeBuy(TransferSize Size, int Needed, int Count, PriceBreak Break, string MostKey, string Why)
{
    /// <summary>What is bought of each size.</summary>
    /// <param name="prints">Every print of the line; each goes into a size of the list.</param>
    /// <param name="list">The price list.</param>
    public static IReadOnlyList<SizeBuy> Find(IReadOnlyList<LaidPrint> prints, TransferPriceList list) =>
        [
            .. prints
                .Where(p => p.Count > 0)
                .GroupBy(p => list.SmallestHolding(p.Print.Print.WidthIn, p.Print.Print.HeightIn)!)
                .Select(of =>
                {
                    var needed = of.Sum(p => p.Count);
                    var (count, at) = list.ToBuy(of.Key, needed);
                    return new SizeBuy(
                        of.Key,
                        needed,
                        count,
                        at,
                        of.MaxBy(p => p.Count)!.Key,
                        Why: count == of.Key.Least ? $"{list.Supplier} sells no fewer" : $"{count} cost less in all"
                    );
                }),
        ];

    /// <summary>A print of this size with those that are bought beyond the need.</summary>
    public LaidPrint Filled(LaidPrint print) =>
        print.Key == MostKey && Count > Needed
            ? print with
            {
                Count = print.Count + Count - Needed,
                Why = $"{print.Count} are needed; {Why}",
            }
            : print;
}
