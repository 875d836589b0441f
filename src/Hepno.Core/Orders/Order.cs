namespace Hepno.Core.Orders;

/// <summary>The method chosen for a line.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="MethodId">Key of the method.</param>
/// <param name="At">When (UTC).</param>
/// <param name="TypedPrice">The price a piece the owner typed, or null when the policy makes it.</param>
public sealed record Decision(string LineId, string MethodId, DateTime At, decimal? TypedPrice = null);

/// <summary>The customer's yes to the proof.</summary>
/// <param name="By">Who said yes.</param>
/// <param name="At">When (UTC).</param>
public sealed record Approval(string By, DateTime At);

/// <summary>The deposit, or the owner's word that the order goes on without.</summary>
/// <param name="Amount">Money received; 0 when overridden.</param>
/// <param name="OverrideReason">Why it goes on without, or null.</param>
/// <param name="At">When (UTC).</param>
public sealed record Deposit(decimal Amount, string? OverrideReason, DateTime At);

/// <summary>What a gathered thing is.</summary>
public enum GatherKind
{
    /// <summary>Bought from a supplier.</summary>
    Buy,

    /// <summary>Prepared by our own hands.</summary>
    Prepare,
}

/// <summary>One thing to buy or prepare before pressing.</summary>
/// <param name="Id">Identity within the order.</param>
/// <param name="Kind">Bought or prepared.</param>
/// <param name="Text">What it is.</param>
/// <param name="Supplier">From whom; empty for our own work.</param>
/// <param name="Quantity">How many or how much.</param>
/// <param name="Unit">pieces, transfers, in.</param>
/// <param name="Cost">What it costs at the quote's prices.</param>
/// <param name="Expected">Local time it is expected here.</param>
/// <param name="DoneAt">When it was here or done (UTC), or null.</param>
public sealed record GatherItem(string Id, GatherKind Kind, string Text, string Supplier, double Quantity, string Unit, decimal Cost, DateTime Expected, DateTime? DoneAt);

/// <summary>Good pieces of one size of one line, counted into the box.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="Size">Size.</param>
/// <param name="Pieces">How many.</param>
public sealed record CountedSize(string LineId, string Size, int Pieces);

/// <summary>A line the owner put somewhere on the press day.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="PressId">On which press.</param>
/// <param name="From">Not before this, wall clock.</param>
public sealed record MovedLine(string LineId, string PressId, DateTime From);

/// <summary>A part of the order given to the customer before the rest.</summary>
/// <param name="To">Who took it, or which carrier.</param>
/// <param name="At">When (UTC).</param>
/// <param name="Taken">Money taken with it.</param>
/// <param name="Pieces">What was in it.</param>
public sealed record PartDelivery(string To, DateTime At, decimal Taken, IReadOnlyList<CountedSize> Pieces);

/// <summary>The pieces given to the customer.</summary>
/// <param name="To">Who took them.</param>
/// <param name="At">When (UTC).</param>
public sealed record HandOver(string To, DateTime At);

/// <summary>Another method offered to the customer beside the quoted one.</summary>
/// <param name="LineId">For which line.</param>
/// <param name="MethodId">Key of the method.</param>
public sealed record OfferedWay(string LineId, string MethodId);

/// <summary>What has happened to an order; where it stands follows from this alone.</summary>
/// <param name="Decisions">Methods chosen, at most one a line.</param>
/// <param name="LaidOutAt">When the layout was taken (UTC).</param>
/// <param name="Approval">The yes.</param>
/// <param name="Deposit">Deposit or override.</param>
/// <param name="Items">What is gathered.</param>
/// <param name="RunStartedAt">When pressing began (UTC).</param>
/// <param name="Counted">Pieces counted into the box.</param>
/// <param name="HandOver">Given to the customer.</param>
/// <param name="ClosedAt">Closed after learning (UTC).</param>
/// <param name="Moves">Lines the owner put somewhere on the press day; null for none.</param>
/// <param name="Parts">Parts given to the customer before the rest; null for none.</param>
/// <param name="Offered">Other methods offered to the customer beside the quoted ones; null for none.</param>
public sealed record OrderFacts(IReadOnlyList<Decision> Decisions, DateTime? LaidOutAt, Approval? Approval, Deposit? Deposit, IReadOnlyList<GatherItem> Items,
    DateTime? RunStartedAt, IReadOnlyList<CountedSize> Counted, HandOver? HandOver, DateTime? ClosedAt, IReadOnlyList<MovedLine>? Moves = null, IReadOnlyList<PartDelivery>? Parts = null, IReadOnlyList<OfferedWay>? Offered = null)
{
    /// <summary>Nothing has happened yet.</summary>
    public static OrderFacts None { get; } = new([], null, null, null, [], null, [], null, null);

    /// <summary>Pieces of a line and size that earlier parts took.</summary>
    public int DeliveredOf(string lineId, string size) => (Parts ?? []).SelectMany(p => p.Pieces).Where(c => c.LineId == lineId && c.Size == size).Sum(c => c.Pieces);

    /// <summary>Pieces that earlier parts took.</summary>
    public int Delivered() => (Parts ?? []).Sum(p => p.Pieces.Sum(c => c.Pieces));

    /// <summary>The method chosen for a line, or null.</summary>
    public Decision? DecisionOf(string lineId) => Decisions.FirstOrDefault(d => d.LineId == lineId);
}

/// <summary>An order from its first question to what was learned.</summary>
/// <param name="Id">Identity, made on the screen.</param>
/// <param name="Number">The shop's own running number.</param>
/// <param name="Ask">What is asked.</param>
/// <param name="Facts">What has happened.</param>
/// <param name="CreatedAt">When it was first kept (UTC).</param>
public sealed record Order(string Id, int Number, Ask Ask, OrderFacts Facts, DateTime CreatedAt)
{
    /// <summary>The order's number as it is written and said.</summary>
    public string Code => $"T-{Number}";
}
