using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Costing;
using Hepno.Core.Orders;
using Hepno.Formats;

namespace Hepno.Web.Views;

/// <summary>A quote as it was sent: every figure and text and the inputs they follow from. Never computed again.</summary>
/// <param name="Ask">The ask as quoted.</param>
/// <param name="Style">The blank as it was.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="Band">The method's figures.</param>
/// <param name="Numbers">The shop's numbers as they were.</param>
/// <param name="Document">The document's words.</param>
/// <param name="Goods">Price × pieces.</param>
/// <param name="Tax">Tax on it.</param>
/// <param name="Total">Both.</param>
/// <param name="Deposit">Asked before work begins.</param>
/// <param name="ReadyAt">Promised, wall clock.</param>
/// <param name="ValidUntil">Last day it stands.</param>
/// <param name="PressingSeconds">Hands at the press for one start, s.</param>
/// <param name="CoreVersion">The program that made it.</param>
public sealed record FrozenQuote(Ask Ask, Style Style, Colourway Colourway, Band Band, ShopNumbers Numbers, QuoteDocument Document, decimal Goods, decimal Tax, decimal Total, decimal Deposit, DateTime? ReadyAt, DateOnly ValidUntil, double PressingSeconds, string CoreVersion);
