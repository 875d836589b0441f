using Hepno.Core.Gang;
using NodaTime;

namespace Hepno.Core.Orders;

/// <summary>What has happened to an order, by station; where it stands follows from this alone.</summary>
/// <param name="Choice">Which ways were chosen.</param>
/// <param name="Layout">What was laid out.</param>
/// <param name="Gathering">What was agreed, and what is gathered for it.</param>
/// <param name="Pressing">Where and when it is pressed.</param>
/// <param name="Sending">What was counted and given.</param>
/// <param name="End">How it left the line.</param>
/// <param name="Attached">Files kept with it.</param>
public sealed record OrderFacts(
    ChoiceFacts Choice,
    LayoutFacts Layout,
    GatheringFacts Gathering,
    PressingFacts Pressing,
    SendingFacts Sending,
    EndFacts End,
    IReadOnlyList<Attachment> Attached
)
{
    /// <summary>Nothing has happened yet.</summary>
    public static OrderFacts None { get; } =
        new(
            new([], [], []),
            new(null, [], [], [], []),
            new(null, null, [], []),
            new(null, [], []),
            new([], [], null),
            new(null, null),
            []
        );

    /// <summary>Pieces of a line and size that earlier parts took.</summary>
    public int DeliveredOf(LineId lineId, string size) =>
        Sending.Parts.SelectMany(p => p.Pieces).Where(c => c.LineId == lineId && c.Size == size).Sum(c => c.Pieces);

    /// <summary>Pieces that earlier parts took.</summary>
    public int Delivered() => Sending.Parts.Sum(p => p.Pieces.Sum(c => c.Pieces));

    /// <summary>The layout settled for a line, or null.</summary>
    public LineLayout? LayoutOf(LineId lineId) => Layout.Layouts.FirstOrDefault(l => l.LineId == lineId);

    /// <summary>With which order a line's film is bought, or null.</summary>
    public JoinedFilm? JoinedOf(LineId lineId) => Layout.Joined.FirstOrDefault(j => j.LineId == lineId);

    /// <summary>The method chosen for a line, or null.</summary>
    public Decision? DecisionOf(LineId lineId) => Choice.Decisions.FirstOrDefault(d => d.LineId == lineId);
}

/// <summary>Which ways were chosen.</summary>
/// <param name="Decisions">Methods chosen, at most one a line.</param>
/// <param name="Offered">Other methods offered to the customer beside the quoted ones.</param>
/// <param name="LastTimes">For lines asked for again: how they were made and sold before.</param>
public sealed record ChoiceFacts(
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<OfferedWay> Offered,
    IReadOnlyList<LastTime> LastTimes
);

/// <summary>What was laid out.</summary>
/// <param name="At">When the layout was taken (UTC), or null.</param>
/// <param name="Layouts">Layouts settled for lines.</param>
/// <param name="Drawer">Transfers of the drawer that are used instead of new ones.</param>
/// <param name="Joined">Lines whose film is bought on another order's layout.</param>
/// <param name="Remnants">Pieces of vinyl used for it.</param>
public sealed record LayoutFacts(
    Instant? At,
    IReadOnlyList<LineLayout> Layouts,
    IReadOnlyList<FromDrawer> Drawer,
    IReadOnlyList<JoinedFilm> Joined,
    IReadOnlyList<FromRemnant> Remnants
)
{
    /// <summary>These layouts in place of their lines' earlier ones.</summary>
    public LayoutFacts With(IReadOnlyList<LineLayout> layouts) =>
        this with
        {
            Layouts = [.. Layouts.Where(x => layouts.All(n => n.LineId != x.LineId)), .. layouts],
        };
}

/// <summary>What was agreed, and what is gathered for it.</summary>
/// <param name="Approval">The yes, or null.</param>
/// <param name="Deposit">Deposit or override, or null.</param>
/// <param name="Risks">For lines of the customer's own garments: who takes the risk.</param>
/// <param name="Items">What is gathered.</param>
public sealed record GatheringFacts(
    Approval? Approval,
    Deposit? Deposit,
    IReadOnlyList<RiskTaken> Risks,
    IReadOnlyList<GatherItem> Items
)
{
    /// <summary>One thing to gather changed, the others as they are.</summary>
    public GatheringFacts With(string itemId, Func<GatherItem, GatherItem> change) =>
        this with
        {
            Items = [.. Items.Select(i => i.Id == itemId ? change(i) : i)],
        };
}

/// <summary>Where and when it is pressed.</summary>
/// <param name="StartedAt">When pressing began (UTC), or null.</param>
/// <param name="On">Which press each line was begun on; empty before, and for runs of before it was noted.</param>
/// <param name="Moves">Lines the owner put somewhere on the press day.</param>
public sealed record PressingFacts(Instant? StartedAt, IReadOnlyList<PressedOn> On, IReadOnlyList<MovedLine> Moves);

/// <summary>What was counted and given.</summary>
/// <param name="Counted">Pieces counted into the box.</param>
/// <param name="Parts">Parts given to the customer before the rest.</param>
/// <param name="HandOver">Given to the customer, or null.</param>
public sealed record SendingFacts(
    IReadOnlyList<CountedSize> Counted,
    IReadOnlyList<PartDelivery> Parts,
    HandOver? HandOver
);

/// <summary>How it left the line.</summary>
/// <param name="ClosedAt">Closed after learning, or without being handed over (UTC); null while it is on the
/// line.</param>
/// <param name="Ending">How it left without being handed over; null while it did not.</param>
public sealed record EndFacts(Instant? ClosedAt, Ending? Ending);
