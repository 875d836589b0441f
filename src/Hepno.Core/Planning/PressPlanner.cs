using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using NodaTime;

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
/// <param name="TailMinutes">Folding and packing after the last piece is through.</param>
/// <param name="SlowTenthMinutes">Added for a promise that nine runs in ten keep.</param>
/// <param name="StartedAt">When its run began (pinned there), or null.</param>
/// <param name="WidthIn">Widest print, in.</param>
/// <param name="HeightIn">Tallest print, in.</param>
public sealed record PressWork(
    OrderId OrderId,
    LineId LineId,
    string Code,
    int Pieces,
    double MinutesPerPiece,
    double TemperatureF,
    LocalDateTime ReadyAt,
    string ReadyCause,
    LocalDateTime? DueAt,
    double TailMinutes,
    double SlowTenthMinutes,
    LocalDateTime? StartedAt,
    double WidthIn,
    double HeightIn
)
{
    /// <summary>Garment: caps go onto a cap press.</summary>
    public GarmentKind Kind { get; init; } = GarmentKind.Tee;

    /// <summary>Where the owner put it, or null to leave it to the plan.</summary>
    public Moved? Moved { get; init; }

    /// <summary>How the press must stand for each pass; null for its own platen throughout.</summary>
    public IReadOnlyList<PressPass>? Passes { get; init; }

    /// <summary>Hottest the cloth takes, °F; null where nothing is too hot.</summary>
    public double? CeilingF { get; init; }

    /// <summary>When it was promised by its quote; null while nothing is.</summary>
    public LocalDateTime? PromisedAt { get; init; }

    /// <summary>The place of work without heat it is done at; empty for a press.</summary>
    public PressId BenchId { get; init; }
}

/// <summary>A stretch of pressing without a pause.</summary>
/// <param name="HeatFrom">When the platen begins to change its heat.</param>
/// <param name="Start">First piece.</param>
/// <param name="End">Last piece off.</param>
/// <param name="Pieces">Pieces in it.</param>
public sealed record PressPart(LocalDateTime HeatFrom, LocalDateTime Start, LocalDateTime End, int Pieces)
{
    /// <summary>Whose hands.</summary>
    public PersonId PersonId { get; init; }

    /// <summary>When those hands begin to make the press ready; null when nothing is to be done.</summary>
    public LocalDateTime? SetUpFrom { get; init; }

    /// <summary>From when its hands are bound.</summary>
    internal LocalDateTime BusyFrom() => SetUpFrom ?? Start;

    /// <summary>The same with what makes its press ready; what has begun is set up already.</summary>
    internal PressPart MadeReady(SetUp setUp, bool begun) =>
        this with
        {
            HeatFrom = Start.PlusMinutes(-setUp.HeatMinutes),
            SetUpFrom = begun || setUp.HandsMinutes == 0 ? null : Start.PlusMinutes(-setUp.HandsMinutes),
        };
}

/// <summary>Where the owner moved a batch to.</summary>
/// <param name="PressId">On this press.</param>
/// <param name="From">Not before this, wall clock.</param>
public sealed record Moved(PressId PressId, LocalDateTime From);

/// <summary>An order's place on a press.</summary>
/// <param name="Work">What is placed.</param>
/// <param name="PressId">On which press; empty when it has no place.</param>
/// <param name="Parts">When; more than one when it goes over closing time.</param>
/// <param name="ReadyAt">Packed, as planned.</param>
/// <param name="PromiseAt">What may be promised: packed, the slow tenth and up to the next half hour.</param>
/// <param name="LateMinutes">Minutes (wall clock) it is packed after it is wanted; 0 when on time.</param>
/// <param name="Why">Why it is late, tight or without a place; empty when nothing needs saying.</param>
public sealed record PlacedWork(
    PressWork Work,
    PressId PressId,
    IReadOnlyList<PressPart> Parts,
    LocalDateTime ReadyAt,
    LocalDateTime PromiseAt,
    double LateMinutes,
    string Why
);

/// <summary>The earliest honest promise and what it rests on.</summary>
/// <param name="At">Weekday and time to say.</param>
/// <param name="ArrivesAt">When the last thing needed is here.</param>
/// <param name="ArrivesCause">Which thing.</param>
/// <param name="PressFrom">First piece under the press.</param>
/// <param name="PressTo">Last piece off.</param>
/// <param name="PackedAt">Packed, as planned.</param>
/// <param name="PressName">Which press.</param>
public sealed record Promise(
    LocalDateTime At,
    LocalDateTime ArrivesAt,
    string ArrivesCause,
    LocalDateTime PressFrom,
    LocalDateTime PressTo,
    LocalDateTime PackedAt,
    string PressName
);

/// <summary>What is known when something is planned.</summary>
/// <param name="Now">Wall clock.</param>
/// <param name="Hours">Open hours.</param>
/// <param name="Presses">Presses, at least one.</param>
/// <param name="Placed">Work that already has its place.</param>
/// <param name="People">Whose hands there are; null for one pair within the open hours.</param>
/// <param name="SetUp">What hands take to make a press ready; null for the usual.</param>
public sealed record FloorPlan(
    LocalDateTime Now,
    OpenHours Hours,
    IReadOnlyList<Press> Presses,
    IReadOnlyList<PlacedWork> Placed,
    IReadOnlyList<Person>? People = null,
    SetUpTimes? SetUp = null
)
{
    /// <summary>Until when machines are busy with what is already planned, and which machines, presses and places of work are
    /// out of use.</summary>
    public MachineHours Machines { get; init; } = MachineHours.Empty(Hours, Now);

    /// <summary>When a press or a place of work can be worked at.</summary>
    public OpenHours HoursOf(Press press) => Hours.Without(Downtime.Of(Machines.Downtimes, new(press.Id.Text)));

    /// <summary>What hands take to make a press ready.</summary>
    public SetUpTimes Times => SetUp ?? new();

    /// <summary>Whose hands there are.</summary>
    public IReadOnlyList<Person> Hands =>
        People is { Count: > 0 } people ? people : [new Person("", "", 0, default, Hours.Week, null, 0, [])];
}

/// <summary>Places work on the presses: earliest slot in which the press and a pair of hands are free, earliest due
/// first (docs/trade 11).</summary>
public static class PressPlanner
{
    private const double HalfHour = 30;

    /// <summary>Places all work: what has begun stays where it began, what the owner moved comes next, the rest by due
    /// time.</summary>
    /// <param name="works">Work to place.</param>
    /// <param name="floor">Now, hours and presses; its own placed work is kept as it is.</param>
    public static IReadOnlyList<PlacedWork> Plan(IReadOnlyList<PressWork> works, FloorPlan floor)
    {
        var placed = floor.Placed.ToList();
        foreach (
            var work in works
                .OrderBy(w => w.StartedAt is null)
                .ThenBy(w => w.Moved is null)
                .ThenBy(w => w.StartedAt ?? w.Moved?.From ?? w.DueAt ?? WallClock.Never)
                .ThenBy(w => w.Code, StringComparer.Ordinal)
        )
        {
            var next = Place(work, floor with { Placed = placed });
            // hands that make a press ready for what now follows are not free for what is placed after it
            placed = Settled([.. placed, next], next.PressId, floor);
        }
        return placed;
    }

    /// <summary>The promise for work that is not yet planned, or null when no press can take it.</summary>
    public static Promise? PromiseFor(PressWork work, FloorPlan floor)
    {
        var placed = Place(work, floor);
        return placed.Parts.Count == 0
            ? null
            : new(
                placed.PromiseAt,
                work.ReadyAt,
                work.ReadyCause,
                placed.Parts[0].Start,
                placed.Parts[^1].End,
                placed.ReadyAt,
                floor.Presses.First(p => p.Id == placed.PressId).Name
            );
    }

    // work placed later may stand before work placed earlier: what each part is made ready from is known only as they
    // stand
    private static List<PlacedWork> Settled(List<PlacedWork> placed, PressId pressId, FloorPlan floor) =>
        [
            .. placed.Select(p =>
                p.PressId != pressId || p.Parts.Count == 0
                    ? p
                    : p with
                    {
                        Parts =
                        [
                            .. p.Parts.Select(part =>
                            {
                                var press = floor.Presses.First(x => x.Id == p.PressId);
                                var before = placed
                                    .Where(o => o.PressId == p.PressId)
                                    .SelectMany(o => o.Parts.Select(q => (q.End, o.Work)))
                                    .Where(q => q.End <= part.Start && q.End.Date == part.Start.Date)
                                    .OrderByDescending(q => q.End)
                                    .Select(q => q.Work)
                                    .FirstOrDefault();
                                return part.MadeReady(
                                    SetUp.Between(press, before, p.Work, floor.Times),
                                    begun: p.Work.StartedAt is not null
                                );
                            }),
                        ],
                    }
            ),
        ];

    private static PlacedWork Place(PressWork work, FloorPlan floor)
    {
        var able = floor.Presses.Where(p => !p.IsSetAside() && Holds(p, work)).ToList();
        // an iron held by hand only where nothing else does it
        able = able.Any(p => !p.HeldByHand()) ? able.Where(p => !p.HeldByHand()).ToList() : able;
        var wanted = able.Where(p => p.Id == work.Moved?.PressId).ToList();
        var slots = (wanted.Count > 0 ? wanted : able)
            .SelectMany(p => floor.Hands.Select(h => (Press: p, Parts: SlotSearch.Find(work, p, h, floor)!)))
            .Where(c => c.Parts is not null)
            .ToList();
        if (slots.Count == 0)
        {
            return new(work, "", [], WallClock.Never, WallClock.Never, 0, NoRoom(able, floor));
        }
        var best = slots.MinBy(c => c.Parts[^1].End);
        var ready = floor.Hours.Add(best.Parts[^1].End, work.TailMinutes);
        var promise = ToHalfHour(floor.Hours.Add(ready, work.SlowTenthMinutes), floor.Hours);
        // late is what is after the day it is wanted, and what is after what was promised
        var late = new[] { work.DueAt, work.PromisedAt }.Min() is { } by ? Math.Max(0, ready.MinutesSince(by)) : 0;
        return new(
            work,
            best.Press.Id,
            best.Parts,
            ready,
            promise,
            late,
            late > 0 ? Why(work, best.Press, best.Parts, floor) : ""
        );
    }

    private static string NoRoom(List<Press> able, FloorPlan floor)
    {
        var until = floor.Now.PlusDays(SlotSearch.HorizonDays);
        return able.Select(p => Out(p, floor, floor.Now, until)).FirstOrDefault(said => said.Length > 0)
            ?? (able.Count == 0 ? "no press can take it" : $"no room on the press in {SlotSearch.HorizonDays} days");
    }

    // "Gannet is out of use through Fri 5 Jun"
    private static string Out(Press press, FloorPlan floor, LocalDateTime from, LocalDateTime to) =>
        floor.HoursOf(press).OutSaid(from, to) is { Length: > 0 } said ? $"{press.Name} is{said[1..]}" : "";

    private static bool Holds(Press p, PressWork w) =>
        !w.BenchId.IsNone
            ? p.Id == w.BenchId
            : p.Takes(w.Kind)
                && !(p.HottestF(w.TemperatureF) > w.CeilingF)
                && p.Covers(w.WidthIn, w.HeightIn)
                && (
                    w.Passes is { Count: > 0 } passes
                        ? passes.All(x => p.ColdUnder(x.WidthIn, x.HeightIn).Count == 0)
                        : p.ColdUnder(w.WidthIn, w.HeightIn).Count == 0
                );

    private static LocalDateTime ToHalfHour(LocalDateTime at, OpenHours hours)
    {
        var midnight = at.Date.AtMidnight();
        return hours.Next(midnight.PlusMinutes(Math.Ceiling(at.MinutesSince(midnight) / HalfHour) * HalfHour));
    }

    private static string Why(PressWork work, Press press, List<PressPart> parts, FloorPlan floor)
    {
        var alone = floor
            .Hands.Select(h => SlotSearch.Find(work, press, h, floor with { Placed = [] }))
            .Where(a => a is not null)
            .Select(a => a![^1].End)
            .DefaultIfEmpty(WallClock.Never)
            .Min();
        // alone on the press it would wait for it just as long
        if (Out(press, floor, LocalDateTime.Max(work.ReadyAt, floor.Now), alone) is { Length: > 0 } said)
        {
            return said;
        }
        if (alone < parts[^1].End)
        {
            var others = floor
                .Placed.Where(p =>
                    (p.PressId == press.Id || floor.Hands.Count == 1)
                    && p.Parts.Any(q => q.Start < parts[^1].Start && q.End > work.ReadyAt)
                )
                .Select(p => p.Work.Code);
            return $"{(floor.Hands.Count == 1 && floor.Presses.Count > 1 ? "the press or the hands are" : $"{press.Name} is")} "
                + $"taken by {string.Join(", ", others.Distinct())} first";
        }
        return work.ReadyAt > floor.Now
            ? $"{work.ReadyCause} only {work.ReadyAt:ddd d MMM HH:mm}"
            : "there are not enough open hours left";
    }
}
