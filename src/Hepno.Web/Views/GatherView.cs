using NodaTime;

namespace Hepno.Web.Views;

/// <summary>One order waiting at Gather, as a lane.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="Code">Number.</param>
/// <param name="Customer">Who.</param>
/// <param name="What">Pieces and garment.</param>
/// <param name="Threads">What it waits for.</param>
/// <param name="PressStart">When pressing starts as planned, or null before the yes.</param>
/// <param name="PromisedAt">Promised, or null.</param>
/// <param name="Late">True when planned past its due time.</param>
/// <param name="Spare">Room between the last arrival and pressing, or why there is none.</param>
public sealed record GatherLane(
    OrderId OrderId,
    string Code,
    string Customer,
    string What,
    IReadOnlyList<GatherThread> Threads,
    LocalDateTime? PressStart,
    LocalDateTime? PromisedAt,
    bool Late,
    string Spare
);

/// <summary>A thing waited for, drawn to when it comes.</summary>
/// <param name="Id">Item, or approval or deposit.</param>
/// <param name="Text">What.</param>
/// <param name="Kind">buy, prepare or person.</param>
/// <param name="At">When it comes, or null for a person.</param>
/// <param name="Done">True when it is here.</param>
public sealed record GatherThread(string Id, string Text, string Kind, LocalDateTime? At, bool Done);

/// <summary>Everything waited for.</summary>
public sealed record GatherView(LocalDateTime Now, IReadOnlyList<LocalDateTime> Days, IReadOnlyList<GatherLane> Lanes);
