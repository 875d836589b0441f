using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>An order's lines on the presses, taken together.</summary>
/// <param name="Lines">Each line's place, in the order of pressing.</param>
public sealed record PlacedOrder(IReadOnlyList<PlacedWork> Lines)
{
    /// <summary>The order's place in a plan, or null when it is not in it.</summary>
    public static PlacedOrder? Find(IReadOnlyList<PlacedWork> placed, OrderId orderId) =>
        placed.Where(p => p.Work.OrderId == orderId).ToList() is { Count: > 0 } mine
            ? new([.. mine.OrderBy(p => p.Parts.Count == 0 ? WallClock.Never : p.Parts[0].Start)])
            : null;

    /// <summary>False when a line has no place.</summary>
    public bool HasPlace => Lines.All(l => l.Parts.Count > 0);

    /// <summary>The press a line is planned on; null without a place.</summary>
    public PressId? PressOf(LineId lineId) => Lines.FirstOrDefault(l => l.Work.LineId == lineId)?.PressId;

    /// <summary>First piece under a press, or null without a place.</summary>
    public LocalDateTime? Start => HasPlace ? Lines.Min(l => l.Parts[0].Start) : null;

    /// <summary>Last piece off a press, or null without a place.</summary>
    public LocalDateTime? End => HasPlace ? Lines.Max(l => l.Parts[^1].End) : null;

    /// <summary>All lines packed, as planned.</summary>
    public LocalDateTime ReadyAt => Lines.Max(l => l.ReadyAt);

    /// <summary>What may be promised for all lines.</summary>
    public LocalDateTime PromiseAt => Lines.Max(l => l.PromiseAt);

    /// <summary>When everything it needs is here.</summary>
    public LocalDateTime ArrivesAt => Lines.Max(l => l.Work.ReadyAt);

    /// <summary>Minutes (wall clock) it is packed after it is wanted; 0 when on time.</summary>
    public double LateMinutes => Lines.Max(l => l.LateMinutes);

    /// <summary>Why it is late or without a place; empty when nothing needs saying.</summary>
    public string Why =>
        Lines.OrderByDescending(l => l.Parts.Count == 0).ThenByDescending(l => l.LateMinutes).First().Why;
}
