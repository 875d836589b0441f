using System.Text.Json;
using Hepno.Core.Orders;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Store.Documents;

/// <summary>The lines of a template, as they were taken.</summary>
/// <param name="Lines">Its lines.</param>
public sealed record TemplateLines(IReadOnlyList<AskLine> Lines);

/// <summary>What an archive is, and the shop's settings.</summary>
/// <param name="Format">The archive's format.</param>
/// <param name="Numbers">The shop's numbers.</param>
public sealed record ArchiveHead(int Format, ShopNumbers Numbers);

/// <summary>A sent quote; its page lies beside, under its id.</summary>
/// <param name="Id">Which.</param>
/// <param name="OrderId">Of which order.</param>
/// <param name="SentAt">When (UTC).</param>
/// <param name="WithdrawnAt">When it was withdrawn (UTC), or null.</param>
/// <param name="Frozen">The quote: a document of its own.</param>
public sealed record ArchivedQuote(
    string Id,
    OrderId OrderId,
    Instant SentAt,
    Instant? WithdrawnAt,
    JsonElement Frozen
);

/// <summary>A verdict of a run.</summary>
/// <param name="OrderId">Of which order.</param>
/// <param name="ReceivedAt">When it came (UTC).</param>
/// <param name="Event">The verdict.</param>
public sealed record ArchivedEvent(OrderId OrderId, Instant ReceivedAt, RunEvent Event);
