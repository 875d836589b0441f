namespace Hepno.Core.Quoting;

/// <summary>Every word and figure of a quote or order confirmation, ready to print: nothing is computed while
/// printing.</summary>
/// <param name="Kind">Quote or Order confirmation.</param>
/// <param name="Paper">letter or a4.</param>
/// <param name="Shop">The shop's name.</param>
/// <param name="ShopLine">Its address.</param>
/// <param name="Contact">How to reach it.</param>
/// <param name="Number">The quote's number.</param>
/// <param name="Dates">Date and validity.</param>
/// <param name="Customer">For whom.</param>
/// <param name="CustomerContact">Person or address, and what else they know the order by; may be empty.</param>
/// <param name="Title">What it is, in one line.</param>
/// <param name="Heads">The figures of the head: each, in all, ready.</param>
/// <param name="Lines">Lines, at least one.</param>
/// <param name="Totals">Before tax, postage, tax, total, deposit.</param>
/// <param name="TotalIndex">Which of them is the total.</param>
/// <param name="Columns">When, terms, looking after it.</param>
/// <param name="Tiers">Other quantities: pieces, each, in all; may be empty.</param>
public sealed record QuoteDocument(
    string Kind,
    string Paper,
    string Shop,
    string ShopLine,
    string Contact,
    string Number,
    string Dates,
    string Customer,
    string CustomerContact,
    string Title,
    IReadOnlyList<Stated> Heads,
    IReadOnlyList<LinePrinted> Lines,
    IReadOnlyList<Stated> Totals,
    int TotalIndex,
    IReadOnlyList<Stated> Columns,
    IReadOnlyList<TierPrinted> Tiers
)
{
    /// <summary>Other ways it could be made, offered beside; null for none.</summary>
    public IReadOnlyList<OtherPrinted>? Others { get; init; }
}
