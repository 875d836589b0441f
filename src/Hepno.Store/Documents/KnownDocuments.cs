using Hepno.Core.Artwork;
using Hepno.Core.Quoting;

namespace Hepno.Store.Documents;

/// <summary>Documents that are no state of a thing; those are with their <see cref="Aggregate{T}"/>.</summary>
public static class KnownDocuments
{
    /// <summary>A sent quote.</summary>
    public static Document<FrozenQuote> SentQuote { get; } = new(NumbersLift.Within, DetailsLift.Lift, _ => { });

    /// <summary>What was measured on an artwork.</summary>
    public static Document<ArtworkReport> MeasuredArtwork { get; } = new();

    /// <summary>The lines of a template.</summary>
    public static Document<TemplateLines> TemplateLines { get; } = new();

    /// <summary>The first part of an archive.</summary>
    public static Document<ArchiveHead> ArchiveHead { get; } = new(NumbersLift.Within);

    /// <summary>A sent quote in an archive.</summary>
    public static Document<ArchivedQuote> ArchivedQuote { get; } = new();

    /// <summary>A verdict in an archive.</summary>
    public static Document<ArchivedEvent> ArchivedEvent { get; } = new();
}
