using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>A quote as it was sent: every figure and text and the inputs they follow from. Never computed
/// again.</summary>
/// <param name="Ask">The ask as quoted.</param>
/// <param name="Lines">Its lines.</param>
/// <param name="Numbers">The shop's numbers as they were.</param>
/// <param name="Document">The document's words.</param>
/// <param name="Goods">Sum of the lines.</param>
/// <param name="Postage">Charged beside the goods; 0 when collected or in the price.</param>
/// <param name="Tax">Tax on the goods.</param>
/// <param name="Total">Goods, postage and tax.</param>
/// <param name="Deposit">Asked before work begins.</param>
/// <param name="ReadyAt">Promised, wall clock.</param>
/// <param name="ValidUntil">Last day it stands.</param>
/// <param name="CoreVersion">The program that made it.</param>
public sealed record FrozenQuote(
    Ask Ask,
    IReadOnlyList<FrozenLine> Lines,
    ShopNumbers Numbers,
    QuoteDocument Document,
    decimal Goods,
    decimal Postage,
    decimal Tax,
    decimal Total,
    decimal Deposit,
    LocalDateTime? ReadyAt,
    LocalDate ValidUntil,
    string CoreVersion
)
{
    /// <summary>How it is packed and sent, or null when it is collected.</summary>
    public PackingChoice? Packed { get; init; }

    /// <summary>Its lines in figures alone.</summary>
    public IEnumerable<QuotedLine> Figures() =>
        Lines.Select(l => new QuotedLine(
            l.LineId,
            l.Band.MethodId,
            l.Band.Outcome.Price + l.Band.Outcome.Surcharges,
            Cost: l.Band.Cost.Value
        ));

    /// <summary>What it makes of which artwork by ways that keep their set-up: screens at a printer, a stitch
    /// file.</summary>
    public IEnumerable<QuotedDesign> Designs() =>
        Lines
            .SelectMany(l =>
                l.Band.Decorations.Select(d => (Line: l, Plan: d, Way: DecorationMethods.Find(l.Band.WayOf(d))))
            )
            .Where(x => x.Way?.KeepsSetUp == true && x.Plan.Placement.DesignId is not null)
            .SelectMany(x =>
                AskOf(x.Line)
                    .Placements.Where(p => p.Id == x.Plan.Placement.Id)
                    .SelectMany(p => SizedPrints.Of(p, AskOf(x.Line).Sizes, AskOf(x.Line).Names))
                    .Select(s => new QuotedDesign(
                        s.Print.DesignId!.Value,
                        x.Plan.Recipe.ProductId,
                        s.Print.WidthIn,
                        s.Print.HeightIn,
                        x.Way?.Screens(s.Print, x.Line.Colourway) ?? 0
                    ))
            );

    /// <summary>What was asked of a line.</summary>
    public AskLine AskOf(FrozenLine line) => Ask.Lines.First(l => l.Id == line.LineId);

    /// <summary>A line as its method sees it, with the rest of its order.</summary>
    public AskInHand InHand(FrozenLine line) =>
        Alone(line) with
        {
            Others = [.. Lines.Where(l => l != line).Select(Alone)],
            Shipping = Ask.Shipping,
        };

    private AskInHand Alone(FrozenLine line) =>
        new(line.Style, line.Colourway, AskOf(line).Sizes, AskOf(line).Placements, Ask.Channel)
        {
            Names = AskOf(line).Names,
            BuyBy = ValidUntil,
            Theirs = AskOf(line).Theirs,
        };
}
