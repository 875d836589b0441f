using NodaTime;

namespace Hepno.Core.Orders;

/// <summary>The method chosen for a line.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="MethodId">Key of the method.</param>
/// <param name="At">When (UTC).</param>
/// <param name="TypedPrice">The price a piece the owner typed, or null when the policy makes it.</param>
/// <param name="Why">Against what it was chosen, and why: what the comparison said then, and the owner's own words;
/// empty for one of before.</param>
public sealed record Decision(
    LineId LineId,
    MethodId MethodId,
    Instant At,
    decimal? TypedPrice = null,
    string Why = ""
);

/// <summary>The customer's yes to the proof.</summary>
/// <param name="By">Who said yes.</param>
/// <param name="At">When (UTC).</param>
public sealed record Approval(string By, Instant At);

/// <summary>The deposit, or the owner's word that the order goes on without.</summary>
/// <param name="Amount">Money received; 0 when overridden.</param>
/// <param name="OverrideReason">Why it goes on without, or null.</param>
/// <param name="At">When (UTC).</param>
public sealed record Deposit(decimal Amount, string? OverrideReason, Instant At);

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
public sealed record GatherItem(
    string Id,
    GatherKind Kind,
    string Text,
    string Supplier,
    double Quantity,
    string Unit,
    decimal Cost,
    LocalDateTime Expected,
    Instant? DoneAt
);

/// <summary>Good pieces of one size of one line, counted into the box.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="Size">Size.</param>
/// <param name="Pieces">How many.</param>
public sealed record CountedSize(LineId LineId, string Size, int Pieces);

/// <summary>A line the owner put somewhere on the press day.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="PressId">On which press.</param>
/// <param name="From">Not before this, wall clock.</param>
public sealed record MovedLine(LineId LineId, PressId PressId, LocalDateTime From);

/// <summary>A part of the order given to the customer before the rest.</summary>
/// <param name="To">Who took it, or which carrier.</param>
/// <param name="At">When (UTC).</param>
/// <param name="Taken">Money taken with it.</param>
/// <param name="Pieces">What was in it.</param>
public sealed record PartDelivery(string To, Instant At, decimal Taken, IReadOnlyList<CountedSize> Pieces);

/// <summary>The pieces given to the customer.</summary>
/// <param name="To">Who took them.</param>
/// <param name="At">When (UTC).</param>
public sealed record HandOver(string To, Instant At);

/// <summary>Another method offered to the customer beside the quoted one.</summary>
/// <param name="LineId">For which line.</param>
/// <param name="MethodId">Key of the method.</param>
public sealed record OfferedWay(LineId LineId, MethodId MethodId)
{
    /// <summary>How many a line may have: a customer weighs three and the quoted one, not a list of all.</summary>
    public const int Most = 3;
}

/// <summary>The customer's word that a garment of their own may be spoiled, or our own test of its cloth.</summary>
/// <param name="LineId">For which line.</param>
/// <param name="AcceptedBy">Who accepts the risk; empty where the cloth was tested instead.</param>
/// <param name="SpotTested">True when a spot of the cloth was pressed and came out well.</param>
/// <param name="At">When (UTC).</param>
public sealed record RiskTaken(LineId LineId, string AcceptedBy, bool SpotTested, Instant At);

/// <summary>A file kept with an order: a letter, a sketch, a photograph of the box.</summary>
/// <param name="Id">Identity within the order.</param>
/// <param name="Name">Its name.</param>
/// <param name="Hash">SHA-256 of what is in it, in hex.</param>
/// <param name="Bytes">Its size.</param>
/// <param name="At">When it was added (UTC).</param>
public sealed record Attachment(string Id, string Name, string Hash, long Bytes, Instant At);

/// <summary>A line's pieces went over a press.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="PressId">Which press.</param>
public sealed record PressedOn(LineId LineId, PressId PressId);

/// <summary>A line's film is bought with another order's, on its layout.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="WithOrder">Which order has the layout.</param>
/// <param name="WithCode">Its number as written.</param>
public sealed record JoinedFilm(LineId LineId, OrderId WithOrder, string WithCode);

/// <summary>Transfers that lie in the drawer and are used for an order.</summary>
/// <param name="LineId">For which line.</param>
/// <param name="Key">For which print of it, as its layout calls it.</param>
/// <param name="KeptId">Which transfers.</param>
/// <param name="Count">How many.</param>
/// <param name="FilmId">On which film they are printed: only with its recipe are they used.</param>
public sealed record FromDrawer(LineId LineId, string Key, KeptPrintId KeptId, int Count, ThingId FilmId);

/// <summary>A piece of vinyl that one colour of a print is cut from before the roll.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="PlacementId">Which print.</param>
/// <param name="Layer">Which of its colours, from 0.</param>
/// <param name="RemnantId">Which piece.</param>
/// <param name="VinylId">Of which vinyl: it is used for no other.</param>
/// <param name="WidthIn">Its width when it was taken, in.</param>
/// <param name="LengthIn">Its length then, in.</param>
public sealed record FromRemnant(
    LineId LineId,
    PlacementId PlacementId,
    int Layer,
    RemnantId RemnantId,
    ThingId VinylId,
    double WidthIn,
    double LengthIn
);

/// <summary>How a line was made and sold in the order it is asked for again from.</summary>
/// <param name="LineId">Which line of this order.</param>
/// <param name="Code">The number of the earlier order as written.</param>
/// <param name="MethodId">Key of the method it was quoted by.</param>
/// <param name="Each">What a piece was sold at, before tax.</param>
/// <param name="At">When that quote was sent (UTC).</param>
public sealed record LastTime(LineId LineId, string Code, MethodId MethodId, decimal Each, Instant At);

/// <summary>An order from its first question to what was learned.</summary>
/// <param name="Id">Identity, made on the screen.</param>
/// <param name="Number">The shop's own running number.</param>
/// <param name="Ask">What is asked.</param>
/// <param name="Facts">What has happened.</param>
/// <param name="CreatedAt">When it was first kept (UTC).</param>
public sealed record Order(OrderId Id, int Number, Ask Ask, OrderFacts Facts, Instant CreatedAt)
{
    /// <summary>The order's number as it is written and said.</summary>
    public string Code => $"T-{Number}";
}
