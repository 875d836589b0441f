using Hepno.Core.Quoting;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>The quote as it would be, or as it was sent.</summary>
/// <param name="Sent">When it was sent (the shop's wall clock), or null for a preview.</param>
/// <param name="Quote">Its figures and words.</param>
/// <param name="Notes">Margin notes for the owner; never printed.</param>
/// <param name="Before">Earlier versions, the last one first.</param>
public sealed record QuoteView(
    LocalDateTime? Sent,
    FrozenQuote Quote,
    IReadOnlyList<MarginNote> Notes,
    IReadOnlyList<QuoteVersion> Before
);

/// <summary>An earlier version of a quote.</summary>
/// <param name="Version">From 1.</param>
/// <param name="Sent">When, as shown.</param>
/// <param name="Withdrawn">When, as shown.</param>
/// <param name="Total">What it came to.</param>
/// <param name="Changed">What the next version says otherwise, in words.</param>
public sealed record QuoteVersion(
    int Version,
    string Sent,
    string Withdrawn,
    string Total,
    IReadOnlyList<string> Changed
);

/// <summary>A note beside the quote, for the owner alone.</summary>
/// <param name="Title">The figure or word it is about.</param>
/// <param name="Text">What it means.</param>
public sealed record MarginNote(string Title, string Text)
{
    /// <summary>The line it is of; empty when it is of the whole order.</summary>
    public LineId LineId { get; init; }
}
