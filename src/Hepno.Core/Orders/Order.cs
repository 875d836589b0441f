using Hepno.Core.Pricing;

namespace Hepno.Core.Orders;

/// <summary>What the customer asks for; parts not yet said are null or empty.</summary>
/// <param name="CustomerId">Who asks.</param>
/// <param name="StyleId">Which garment.</param>
/// <param name="ColourwayId">Which colour of it.</param>
/// <param name="Sizes">Pieces by size.</param>
/// <param name="Placements">Decorations, up to six.</param>
/// <param name="DueDate">Local date it is wanted.</param>
/// <param name="DueTime">Local hour it is wanted.</param>
/// <param name="Mark">The most they would pay a piece, or null.</param>
/// <param name="Note">Anything else, up to 2,000 characters.</param>
/// <param name="Channel">Whose policy makes the price.</param>
public sealed record Ask(string? CustomerId, string? StyleId, string? ColourwayId, IReadOnlyList<SizeCount> Sizes, IReadOnlyList<Placement> Placements,
    DateOnly? DueDate, TimeOnly? DueTime, decimal? Mark, string? Note, Channel Channel = Channel.Retail)
{
    /// <summary>Pieces of all sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);

    /// <summary>When it is wanted, in the shop's wall clock; noon when no hour is said.</summary>
    public DateTime? DueAt => DueDate?.ToDateTime(DueTime ?? new TimeOnly(12, 0));
}

/// <summary>The method chosen for the order.</summary>
/// <param name="MethodId">Key of the method.</param>
/// <param name="At">When (UTC).</param>
/// <param name="TypedPrice">The price a piece the owner typed, or null when the policy makes it.</param>
public sealed record Decision(string MethodId, DateTime At, decimal? TypedPrice = null);

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

/// <summary>The pieces given to the customer.</summary>
/// <param name="To">Who took them.</param>
/// <param name="At">When (UTC).</param>
public sealed record HandOver(string To, DateTime At);

/// <summary>What has happened to an order; where it stands follows from this alone.</summary>
/// <param name="Decision">Method chosen.</param>
/// <param name="LaidOutAt">When the layout was taken (UTC).</param>
/// <param name="Approval">The yes.</param>
/// <param name="Deposit">Deposit or override.</param>
/// <param name="Items">What is gathered.</param>
/// <param name="RunStartedAt">When pressing began (UTC).</param>
/// <param name="Counted">Pieces counted into the box.</param>
/// <param name="HandOver">Given to the customer.</param>
/// <param name="ClosedAt">Closed after learning (UTC).</param>
public sealed record OrderFacts(Decision? Decision, DateTime? LaidOutAt, Approval? Approval, Deposit? Deposit, IReadOnlyList<GatherItem> Items,
    DateTime? RunStartedAt, IReadOnlyList<SizeCount> Counted, HandOver? HandOver, DateTime? ClosedAt)
{
    /// <summary>Nothing has happened yet.</summary>
    public static OrderFacts None { get; } = new(null, null, null, null, [], null, [], null, null);
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
