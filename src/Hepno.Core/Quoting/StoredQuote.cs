using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>A sent quote, frozen: its figures are never computed again.</summary>
/// <param name="Id">Identity.</param>
/// <param name="OrderId">Order.</param>
/// <param name="SentAt">When (UTC).</param>
/// <param name="WithdrawnAt">When withdrawn (UTC), or null.</param>
public sealed record StoredQuote(QuoteId Id, OrderId OrderId, Instant SentAt, Instant? WithdrawnAt);
