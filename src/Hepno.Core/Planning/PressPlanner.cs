using Hepno.Core.Blanks;
using Hepno.Core.Methods;
using Hepno.Core.Recipes;

namespace Hepno.Core.Planning;

/// <summary>Work that an order puts on a press.</summary>
/// <param name="OrderId">Order.</param>
/// <param name="LineId">Line of the order.</param>
/// <param name="Code">Its number as written; "T-214/2" for the second of several lines.</param>
/// <param name="Pieces">Starts, expected spoilage included.</param>
/// <param name="MinutesPerPiece">Hands at the press for one.</param>
/// <param name="TemperatureF">What the cloth gets, °F.</param>
/// <param name="ReadyAt">When everything it needs is here, wall clock.</param>
/// <param name="ReadyCause">What comes last.</param>
/// <param name="DueAt">When it is wanted.</param>
/// <param name="TailMinutes">Cooling, packing after the last press.</param>
/// <param name="SlowTenthMinutes">Added for a promise that nine runs in ten keep.</param>
/// <param name="StartedAt">When its run began (pinned there), or null.</param>
/// <param name="WidthIn">Widest print, in.</param>
/// <param name="HeightIn">Tallest print, in.</param>
public sealed record PressWork(string OrderId, string LineId, string Code, int Pieces, double MinutesPerPiece, double TemperatureF, DateTime ReadyAt, string ReadyCause, DateTime? DueAt, double TailMinutes, double SlowTenthMinutes, DateTime? StartedAt, double WidthIn, double HeightIn);

/// <summary>A stretch of pressing without a pause.</summary>
/// <param name="HeatFrom">When the platen begins to change its heat.</param>
/// <param name="Start">First piece.</param>
/// <param name="End">Last piece off.</param>
/// <param name="Pieces">Pieces in it.</param>
public sealed record PressPart(DateTime HeatFrom, DateTime Start, DateTime End, int Pieces);

/// <summary>An order's place on a press.</summary>
/// <param name="Work">What is placed.</param>
/// <param name="PressId">On which press; empty when it has no place.</param>
/// <param name="Parts">When; more than one when it goes over closing time.</param>
/// <param name="ReadyAt">Packed, as planned.</param>
/// <param name="PromiseAt">What may be promised: packed, the slow tenth and up to the next half hour.</param>
/// <param name="LateMinutes">Minutes (wall clock) it is packed after it is wanted; 0 when on time.</param>
/// <param name="Why">Why it is late, tight or without a place; empty when nothing needs saying.</param>
public sealed record PlacedWork(PressWork Work, string PressId, IReadOnlyList<PressPart> Parts, DateTime ReadyAt, DateTime PromiseAt, double LateMinutes, string Why);

/// <summary>The earliest honest promise and what it rests on.</summary>
/// <param name="At">Weekday and time to say.</param>
/// <param name="ArrivesAt">When the last thing needed is here.</param>
/// <param name="ArrivesCause">Which thing.</param>
/// <param name="PressFrom">First piece under the press.</param>
/// <param name="PressTo">Last piece off.</param>
/// <param name="PackedAt">Packed, as planned.</param>
/// <param name="PressName">Which press.</param>
public sealed record Promise(DateTime At, DateTime ArrivesAt, string ArrivesCause, DateTime PressFrom, DateTime PressTo, DateTime PackedAt, string PressName);

/// <summary>What is known when something is planned.</summary>
/// <param name="Now">Wall clock.</param>
/// <param name="Hours">Open hours.</param>
/// <param name="Presses">Presses, at least one.</param>
/// <param name="Placed">Work that already has its place.</param>
public sealed record FloorPlan(DateTime Now, OpenHours Hours, IReadOnlyList<Press> Presses, IReadOnlyList<PlacedWork> Placed)
{
    /// <summary>When the blank and everything bought would be here if ordered now, and which comes last.</summary>
    public (DateTime At, string Cause) Arrival(Style style, IReadOnlyList<Purchase> purchases)
    {
        var things = purchases.Where(p => p.Supplier.Length > 0).Select(p => (At: Hours.Parcel(Now, p.LeadDays), Cause: $"print from {p.Supplier}")).Append((At: Hours.Parcel(Now, style.LeadDays), Cause: $"blanks from {style.Supplier}"));
        return things.MaxBy(t => t.At);
    }
}

/// <summary>Places work on the presses: earliest slot within open hours, earliest due first (DOMAIN 14).</summary>
public static class PressPlanner
{
    private const int LeastPart = 10;
    private const int HorizonDays = 120;
    private const double HalfHour = 30;

    /// <summary>Places all work: what has begun stays where it began, the rest by due time.</summary>
    /// <param name="works">Work to place.</param>
    /// <param name="floor">Now, hours and presses; its own placed work is kept as it is.</param>
    public static IReadOnlyList<PlacedWork> Plan(IReadOnlyList<PressWork> works, FloorPlan floor)
    {
        var placed = floor.Placed.ToList();
        foreach (var work in works.OrderBy(w => w.StartedAt is null).ThenBy(w => w.StartedAt ?? w.DueAt ?? DateTime.MaxValue).ThenBy(w => w.Code, StringComparer.Ordinal))
        {
            placed.Add(Place(work, floor with { Placed = placed }));
        }
        return Reheated(placed, floor.Presses);
    }

    /// <summary>The promise for work that is not yet planned, or null when no press can take it.</summary>
    public static Promise? PromiseFor(PressWork work, FloorPlan floor)
    {
        var placed = Place(work, floor);
        return placed.Parts.Count == 0 ? null
            : new(placed.PromiseAt, work.ReadyAt, work.ReadyCause, placed.Parts[0].Start, placed.Parts[^1].End, placed.ReadyAt, floor.Presses.First(p => p.Id == placed.PressId).Name);
    }

    // work placed later may stand before work placed earlier: the heat each part starts from is known only when all stand
    private static List<PlacedWork> Reheated(List<PlacedWork> placed, IReadOnlyList<Press> presses) => [.. placed.Select(p => p with
    {
        Parts = [.. p.Parts.Select(part =>
        {
            var press = presses.First(x => x.Id == p.PressId);
            var before = placed.Where(o => o.PressId == p.PressId).SelectMany(o => o.Parts.Select(q => (q.End, o.Work.TemperatureF)))
                .Where(q => q.End <= part.Start && q.End.Date == part.Start.Date).OrderByDescending(q => q.End).Select(q => (double?)q.TemperatureF).FirstOrDefault();
            return part with { HeatFrom = part.Start.AddMinutes(-press.HeatMinutes(before, p.Work.TemperatureF)) };
        })],
    })];

    private static PlacedWork Place(PressWork work, FloorPlan floor)
    {
        var able = floor.Presses.Where(p => !p.IsSetAside() && Holds(p, work)).ToList();
        var slots = able.Select(p => (Press: p, Parts: Slots(work, p, floor)!)).Where(c => c.Parts is not null).ToList();
        if (slots.Count == 0)
        {
            return new(work, "", [], DateTime.MaxValue, DateTime.MaxValue, 0, able.Count == 0 ? "no press can take it" : $"no room on the press in {HorizonDays} days");
        }
        var best = slots.MinBy(c => c.Parts[^1].End);
        var ready = floor.Hours.Add(best.Parts[^1].End, work.TailMinutes);
        var promise = ToHalfHour(floor.Hours.Add(ready, work.SlowTenthMinutes), floor.Hours);
        var late = work.DueAt is { } due ? Math.Max(0, (ready - due).TotalMinutes) : 0;
        return new(work, best.Press.Id, best.Parts, ready, promise, late, late > 0 ? Why(work, best.Press, best.Parts, floor) : "");
    }

    private static bool Holds(Press p, PressWork w) => (w.WidthIn <= p.PlatenWidthIn && w.HeightIn <= p.PlatenHeightIn) || (w.HeightIn <= p.PlatenWidthIn && w.WidthIn <= p.PlatenHeightIn);

    private static DateTime ToHalfHour(DateTime at, OpenHours hours)
    {
        var minutes = Math.Ceiling(at.TimeOfDay.TotalMinutes / HalfHour) * HalfHour;
        return hours.Next(at.Date.AddMinutes(minutes));
    }

    private static List<PressPart>? Slots(PressWork work, Press press, FloorPlan floor)
    {
        if (work.StartedAt is { } started)
        {
            return [new(started.AddMinutes(-press.HeatMinutes(null, work.TemperatureF)), started, started.AddMinutes(work.Pieces * work.MinutesPerPiece), work.Pieces)];
        }
        var busy = floor.Placed.Where(p => p.PressId == press.Id).SelectMany(p => p.Parts.Select(part => (part, p.Work.TemperatureF))).OrderBy(b => b.part.Start).ToList();
        var parts = new List<PressPart>();
        var left = work.Pieces;
        var from = work.ReadyAt > floor.Now ? work.ReadyAt : floor.Now;
        for (var d = 0; d < HorizonDays && left > 0; d++)
        {
            if (floor.Hours.On(DateOnly.FromDateTime(from).AddDays(d)) is not { } hours)
            {
                continue;
            }
            var today = busy.Where(b => b.part.End > hours.Open && b.part.Start < hours.Close).ToList();
            for (var gap = 0; gap <= today.Count && left > 0; gap++)
            {
                var before = gap == 0 ? ((PressPart part, double TemperatureF)?)null : today[gap - 1];
                var after = gap == today.Count ? ((PressPart part, double TemperatureF)?)null : today[gap];
                var heat = press.HeatMinutes(before?.TemperatureF, work.TemperatureF);
                var heatFrom = before?.part.End ?? (hours.Open > floor.Now ? hours.Open : floor.Now);
                var start = Later(heatFrom.AddMinutes(heat), from);
                var end = after is { } next ? next.part.Start.AddMinutes(-press.HeatMinutes(work.TemperatureF, next.TemperatureF)) : hours.Close;
                var room = (int)Math.Floor(((end - start).TotalMinutes / work.MinutesPerPiece) + 1e-9);
                var take = Math.Min(room, left);
                if (take < left)
                {
                    // a part keeps at least ten pieces, and leaves at least ten for the next
                    take = Math.Min(take, left - LeastPart);
                    if (take < LeastPart)
                    {
                        continue;
                    }
                }
                parts.Add(new(start.AddMinutes(-heat), start, start.AddMinutes(take * work.MinutesPerPiece), take));
                left -= take;
            }
        }
        return left == 0 ? parts : null;
    }

    private static DateTime Later(DateTime a, DateTime b) => a > b ? a : b;

    private static string Why(PressWork work, Press press, List<PressPart> parts, FloorPlan floor)
    {
        var alone = Slots(work, press, floor with { Placed = [] });
        if (alone is not null && alone[^1].End < parts[^1].End)
        {
            var others = floor.Placed.Where(p => p.PressId == press.Id && p.Parts.Any(q => q.Start < parts[^1].Start && q.End > work.ReadyAt)).Select(p => p.Work.Code);
            return $"{press.Name} is taken by {string.Join(", ", others)} first";
        }
        return work.ReadyAt > floor.Now ? $"{work.ReadyCause} only {work.ReadyAt:ddd d MMM HH:mm}" : "there are not enough open hours left";
    }
}
