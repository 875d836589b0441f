using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Deeds;
using Hepno.Web.Views;

namespace Hepno.Web;

/// <summary>A line of an order with what the shop knows about it.</summary>
/// <param name="Asked">What is asked.</param>
/// <param name="Style">Its garment, as quoted once it is; null while not said.</param>
/// <param name="Colourway">Its colour.</param>
/// <param name="InHand">The complete line with the rest of its order; null while something is missing.</param>
/// <param name="Problems">What in it blocks comparing.</param>
/// <param name="Decision">The method chosen.</param>
/// <param name="Frozen">Its figures as sent.</param>
internal sealed record LineCase(
    AskLine Asked,
    Style? Style,
    Colourway? Colourway,
    AskInHand? InHand,
    IReadOnlyList<Problem> Problems,
    Decision? Decision,
    FrozenLine? Frozen
)
{
    /// <summary>Pieces and garment: "36 navy tees".</summary>
    public string What =>
        Style is null || Colourway is null
            ? $"{Asked.Pieces} pieces"
            : $"{Asked.Pieces} {MakeQuote.Garment(Style, Colourway, Asked.Pieces)}";
}

/// <summary>An order with everything that says where it stands.</summary>
internal sealed record OrderCase(
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
                .. Frozen.Lines.Select(l => new RunLine(
                    l.LineId,
                    Frozen.AskOf(l).Sizes,
                    l.Band.Decorations.Count,
                    Frozen.AskOf(l).Names
                )),
            ];

    /// <summary>Pieces and garments: "36 navy tees", "36 navy tees and 2 lines more".</summary>
    public string What =>
        Lines.Count == 1
            ? Lines[0].What
            : $"{Lines[0].What} and {Lines.Count - 1} {(Lines.Count == 2 ? "line" : "lines")} more";

    /// <summary>A line by its id, or refused with 404; the first one when none is named.</summary>
    public LineCase Line(string? id) =>
        id is null
            ? Lines[0]
            : Lines.FirstOrDefault(l => l.Asked.Id == id) ?? throw RefusedException.NoSuch("line", id);

    /// <summary>A line's number as written: "T-214", "T-214/2" where there are several.</summary>
    public string CodeOf(string lineId) =>
        Lines.Count == 1 ? Order.Code : $"{Order.Code}/{Lines.ToList().FindIndex(l => l.Asked.Id == lineId) + 1}";
}
