using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Quoting;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using Hepno.Web.Held;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>Draws the plan: a day at the presses, and the lanes of what is waited for.</summary>
internal static class PressDays
{
    private const int GatherDays = 6;

    public static PressDayView Day(
        LocalDate day,
        OrderId? inHand,
        IReadOnlyList<OrderCase> open,
        FloorPlan floor,
        ShopBook book
    )
    {
        var f = book.Numbers.Format;
        var hours = floor.Hours.On(day);
        var cases = open.ToDictionary(c => c.Order.Id);
        // a place of work without heat is drawn on the days something is done there
        var lanes = book
            .Presses.Concat(
                book.Benches()
                    .Where(b => floor.Placed.Any(p => p.PressId == b.Id && p.Parts.Any(x => x.Start.Date == day)))
            )
            .Select(press => PressLane(day, press, cases, floor, f))
            .ToList();
        var shown = lanes.SelectMany(l => l.Batches).Select(b => b.OrderId).ToHashSet();
        var tray = open.Where(c => c.Standing.Station is Station.Gather or Station.Press && !shown.Contains(c.Order.Id))
            .Select(c => Tray(c, floor, f))
            .ToList();
        var all = lanes.SelectMany(l => l.Batches).ToList();
        var changes = lanes
            .Where(l => l.HottestF > 0)
            .Sum(l =>
                Enumerable
                    .Range(1, Math.Max(0, l.Batches.Count - 1))
                    .Count(i => l.Batches[i].TemperatureF != l.Batches[i - 1].TemperatureF)
            );
        return new(
            day,
            Shown.Day(day, f),
            hours?.Open,
            hours?.Close,
            floor.Now,
            lanes,
            tray,
            all.Sum(b => b.End.MinutesSince(b.Start)),
            changes,
            [
                .. floor
                    .Hands.Where(h => h.Name.Length > 0)
                    .Select(h => new HandsView(h.Id, h.Name, [.. h.On(day).Select(s => new Stretch(s.From, s.To))])),
            ],
            floor.Placed.Where(p => p.LateMinutes > 0).Select(p => p.Work.OrderId).Distinct().Count(),
            inHand is { } wanted && PlacedOrder.Find(floor.Placed, wanted) is { HasPlace: true } mine ? mine : null
        );
    }

    private static PressLaneView PressLane(
        LocalDate day,
        Press press,
        Dictionary<OrderId, OrderCase> cases,
        FloorPlan floor,
        FigureFormat f
    )
    {
        var batches = floor
            .Placed.Where(p => p.PressId == press.Id)
            .SelectMany(p =>
                p.Parts.Where(x => x.Start.Date == day).Select(part => Batch(p, part, cases[p.Work.OrderId], press, f))
            )
            .OrderBy(b => b.Start)
            .ToList();
        var heat =
            floor.Hours.On(day) is { } hours && !press.IsBench()
                ? HeatTrace.Draw(
                    press,
                    [.. batches.Select(b => (new PressPart(b.HeatFrom, b.Start, b.End, b.Pieces), b.TemperatureF))],
                    hours.Open,
                    hours.Close
                )
                : [];
        return new(
            press.Id,
            press.Name,
            press.Kind,
            batches.Count == 0 || press.IsBench() ? 0 : batches.Max(b => b.TemperatureF),
            batches,
            heat,
            Out: OutOn(day, press, floor, f)
        );
    }

    private static string OutOn(LocalDate day, Press press, FloorPlan floor, FigureFormat f) =>
        floor.Machines.Downtimes.Where(d => d.MachineId.Text == press.Id.Text && d.Holds(day)).MaxBy(d => d.Until)
            is { } down
            ? $"out of use through {Shown.Day(down.Until, f)}{(down.Why.Length > 0 ? $": {down.Why}" : "")}"
            : "";

    public static GatherView Gather(IReadOnlyList<OrderCase> open, FloorPlan floor, ShopBook book)
    {
        var days = new List<LocalDateTime>();
        for (var d = floor.Now.Date; days.Count < GatherDays; d = d.PlusDays(1))
        {
            if (floor.Hours.On(d) is { } hours)
            {
                days.Add(hours.Open);
            }
        }
        var lanes = open.Where(c => c.Standing.Station == Station.Gather)
            .Select(c => Lane(c, floor, book))
            .OrderBy(l => l.PromisedAt ?? WallClock.Never)
            .ToList();
        return new(floor.Now, days, lanes);
    }

    /// <summary>Whose promise a new plan moves, most late first.</summary>
    public static IReadOnlyList<string> Changes(FloorPlan before, FloorPlan after, FigureFormat f) =>
        Changed(before, after, _ => true, f);

    /// <summary>Whom a new plan pushes behind the day they want it or the time they were promised.</summary>
    public static IReadOnlyList<string> Pushed(FloorPlan before, FloorPlan after, FigureFormat f) =>
        Changed(before, after, x => x.Now.LateMinutes > x.Then.LateMinutes, f);

    private static List<string> Changed(
        FloorPlan before,
        FloorPlan after,
        Func<(PlacedWork Now, PlacedWork Then), bool> which,
        FigureFormat f
    ) =>
        [
            .. after
                .Placed.Select(p =>
                    (
                        Now: p,
                        Then: before.Placed.FirstOrDefault(b =>
                            b.Work.OrderId == p.Work.OrderId && b.Work.LineId == p.Work.LineId
                        )!
                    )
                )
                .Where(x => x.Then is not null && Math.Abs(x.Now.ReadyAt.MinutesSince(x.Then.ReadyAt)) >= 1 && which(x))
                .OrderByDescending(x => x.Now.LateMinutes)
                .Select(x =>
                    x.Now.Parts.Count == 0
                        ? $"{x.Now.Work.Code} has no place: {x.Now.Why}."
                        : $"{x.Now.Work.Code} ready {Shown.Moment(x.Now.ReadyAt, f)} instead of "
                            + $"{Shown.Moment(x.Then.ReadyAt, f)}{(x.Now.LateMinutes > 0 ? $", {Shown.Duration(x.Now.LateMinutes * 60)} late" : "")}."
                ),
        ];

    private static GatherLane Lane(OrderCase c, FloorPlan floor, ShopBook book)
    {
        var f = book.Numbers.Format;
        var placed = PlacedOrder.Find(floor.Placed, c.Order.Id);
        return new(
            c.Order.Id,
            c.Order.Code,
            c.Customer?.Name ?? "",
            c.What,
            Threads(c, f),
            placed?.Start,
            c.Frozen!.ReadyAt,
            placed is { LateMinutes: > 0 },
            Spare(c, placed)
        );
    }

    private static List<GatherThread> Threads(OrderCase c, FigureFormat f)
    {
        var gathering = c.Order.Facts.Gathering;
        List<GatherThread> threads =
        [
            new(
                "approval",
                gathering.Approval is { } yes ? $"yes from {yes.By}" : "yes to the proof",
                "person",
                null,
                gathering.Approval is not null
            ),
        ];
        if (c.Frozen!.Deposit > 0)
        {
            threads.Add(
                new(
                    "deposit",
                    DepositSaid(gathering.Deposit, c.Frozen.Deposit, f),
                    "person",
                    null,
                    gathering.Deposit is not null
                )
            );
        }
        threads.AddRange(
            gathering.Items.Select(i => new GatherThread(
                i.Id,
                i.Text,
                i.Kind == GatherKind.Buy ? "buy" : "prepare",
                i.Expected,
                i.DoneAt is not null
            ))
        );
        return threads;
    }

    private static string DepositSaid(Deposit? paid, decimal asked, FigureFormat f)
    {
        if (paid is null)
        {
            return $"deposit, {Shown.Money(asked, f)}";
        }
        return paid.OverrideReason is { } why ? $"without deposit: {why}" : $"deposit {Shown.Money(paid.Amount, f)}";
    }

    private static string Spare(OrderCase c, PlacedOrder? placed)
    {
        if (placed is { LateMinutes: > 0 })
        {
            return $"{Shown.Duration(placed.LateMinutes * 60)} late: {placed.Why}";
        }
        if (placed is not null && c.Order.Ask.DueAt is { } due)
        {
            return $"spare {Shown.Duration(due.MinutesSince(placed.ReadyAt) * 60)}";
        }
        return c.Order.Facts.Gathering.Approval is null ? "not planned before their yes" : "";
    }

    private static BatchView Batch(PlacedWork p, PressPart part, OrderCase c, Press press, FigureFormat f)
    {
        var line = c.Line(p.Work.LineId);
        return new(
            p.Work.OrderId,
            p.Work.LineId,
            p.Work.Code,
            c.Customer?.Name ?? "",
            line.What,
            part.Pieces,
            p.Work.TemperatureF,
            press.IsBench() ? "" : Shown.Temperature(p.Work.TemperatureF, f),
            part.HeatFrom,
            part.Start,
            part.End,
            p.Work.DueAt,
            p.LateMinutes,
            p.Why,
            p.Work.StartedAt is not null,
            part.PersonId,
            p.Work.Moved is not null,
            part.SetUpFrom,
            Platens(press, p.Work)
        );
    }

    // "own platen, then sleeve platen"; nothing where the press's own stays on
    private static string Platens(Press press, PressWork work)
    {
        var lowers = SetUp.Lowers(press, work);
        return lowers.All(l => l.Length == 0)
            ? ""
            : string.Join(
                ", then ",
                lowers
                    .Where((l, i) => i == 0 || l != lowers[i - 1])
                    .Select(l => l.Length == 0 ? "own platen" : $"{l} platen")
            );
    }

    private static TrayView Tray(OrderCase c, FloorPlan floor, FigureFormat f)
    {
        var placed = PlacedOrder.Find(floor.Placed, c.Order.Id);
        var minutes = placed is null
            ? c.Frozen!.Lines.Sum(l => l.PressingSeconds * c.Frozen.AskOf(l).Pieces) / 60
            : placed.Lines.Sum(l => l.Work.Pieces * l.Work.MinutesPerPiece);
        var note = placed switch
        {
            null => $"waits: {c.Standing.Missing[0].Text.ToLowerInvariant()}",
            { HasPlace: false } => placed.Why,
            { LateMinutes: > 0 } =>
                $"{Shown.Moment(placed.Start!.Value, f)}, {Shown.Duration(placed.LateMinutes * 60)} late: {placed.Why}",
            _ => $"{Shown.Moment(placed.Start!.Value, f)}, ready {Shown.Moment(placed.ReadyAt, f)}",
        };
        return new(
            c.Order.Id,
            c.Order.Code,
            c.What,
            minutes,
            note,
            placed is { LateMinutes: > 0 } or { HasPlace: false }
        );
    }
}
