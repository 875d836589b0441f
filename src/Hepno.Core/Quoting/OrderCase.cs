using Hepno.Core.Orders;
using Hepno.Core.Runs;

namespace Hepno.Core.Quoting;

/// <summary>An order with everything that says where it stands.</summary>
/// <param name="Order">The order.</param>
/// <param name="Version">Which version of it.</param>
/// <param name="Customer">Whose; null while not said.</param>
/// <param name="Lines">Its lines, at least one.</param>
/// <param name="Quote">The quote that stands, or null.</param>
/// <param name="Frozen">Its figures as sent; null before.</param>
/// <param name="Events">What happened at the press.</param>
/// <param name="Run">What that comes to; null before the quote is sent.</param>
/// <param name="Standing">At which station, and what it waits for.</param>
public sealed record OrderCase(
    Order Order,
    long Version,
    Customer? Customer,
    IReadOnlyList<LineCase> Lines,
    StoredQuote? Quote,
    FrozenQuote? Frozen,
    IReadOnlyList<RunEvent> Events,
    RunState? Run,
    Standing Standing
)
{
    /// <summary>True once every line is complete.</summary>
    public bool IsComplete => Lines.All(l => l.InHand is not null);

    /// <summary>Its lines as they are pressed; empty before the quote is sent.</summary>
    public IReadOnlyList<RunLine> RunLines =>
        Frozen is null
            ? []
            :
            [
                .. Frozen.Lines.Select(l => new RunLine(l.LineId, Frozen.AskOf(l).Sizes, l.Band.Decorations.Count)
                {
                    Names = Frozen.AskOf(l).Names,
                }),
            ];

    /// <summary>Pieces and garments: "36 navy tees", "36 navy tees and 2 lines more".</summary>
    public string What =>
        Lines.Count == 1
            ? Lines[0].What
            : $"{Lines[0].What} and {Lines.Count - 1} {(Lines.Count == 2 ? "line" : "lines")} more";

    /// <summary>A line by its id.</summary>
    /// <exception cref="InvalidOperationException">The order has no such line.</exception>
    public LineCase LineOf(LineId lineId) => Lines.First(l => l.Asked.Id == lineId);

    /// <summary>A line's number as written: "T-214", "T-214/2" where there are several.</summary>
    public string CodeOf(LineId lineId) =>
        Lines.Count == 1 ? Order.Code : $"{Order.Code}/{Lines.ToList().FindIndex(l => l.Asked.Id == lineId) + 1}";
}
