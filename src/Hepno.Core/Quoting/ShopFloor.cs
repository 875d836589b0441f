using Hepno.Core.Comparing;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>The presses with the orders that are on them, and an order's lines planned one after the other (docs/trade
/// 11).</summary>
public static class ShopFloor
{
    /// <summary>What is on the presses: orders with their yes, not yet pressed.</summary>
    /// <param name="open">Orders on the work line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="wall">Now, the shop's wall clock.</param>
    public static FloorPlan Plan(IReadOnlyList<OrderCase> open, ShopBook book, LocalDateTime wall)
    {
        var empty = Nothing(book, wall);
        if (book.Presses.Count == 0)
        {
            return empty;
        }
        var accepted = open.Where(c =>
                c.Frozen is not null
                && c.Order.Facts.Gathering.Approval is not null
                && c.Standing.Station is Station.Gather or Station.Press
            )
            .OrderBy(c => c.Order.Ask.DueAt ?? WallClock.Never)
            .ThenBy(c => c.Order.Number);
        var (works, machines) = (new List<PressWork>(), empty.Machines);
        foreach (var c in accepted)
        {
            (var own, machines) = Works(c, book, empty with { Machines = machines });
            works.AddRange(own);
        }
        return empty with { Placed = PressPlanner.Plan(works, empty), Machines = machines };
    }

    /// <summary>The presses with everybody's orders on them but one's.</summary>
    /// <param name="c">The order that is left out.</param>
    /// <param name="open">Orders on the work line.</param>
    /// <param name="book">Shelf, floor and numbers.</param>
    /// <param name="wall">Now, the shop's wall clock.</param>
    public static FloorPlan Without(OrderCase c, IReadOnlyList<OrderCase> open, ShopBook book, LocalDateTime wall) =>
        Plan([.. open.Where(o => o.Order.Id != c.Order.Id)], book, wall);

    /// <summary>The presses for one line: the order's other lines take them too, as far as they are decided.</summary>
    /// <param name="c">The order.</param>
    /// <param name="line">Which line of it.</param>
    /// <param name="book">The book as this customer buys.</param>
    /// <param name="floor">The presses without this order.</param>
    public static FloorPlan Beside(OrderCase c, LineCase line, ShopBook book, FloorPlan floor)
    {
        foreach (var other in c.Lines.Where(l => l != line && l.InHand is not null && l.Decision is not null))
        {
            var (band, _) = Comparer.Chosen(
                other.InHand!,
                other.Asked.Mark,
                c.Order.Ask.DueOf(other.Asked),
                book,
                floor,
                other.Decision!
            );
            floor = band is null ? floor : WithLine(floor, c, other, band, book);
        }
        return floor;
    }

    /// <summary>Every complete line by its chosen method, planned one after the other: each with its figures, or why
    /// the method cannot.</summary>
    /// <param name="c">The order.</param>
    /// <param name="book">The book as this customer buys.</param>
    /// <param name="floor">The presses without this order.</param>
    public static IReadOnlyList<(LineCase Line, Band? Band, Fold? Fold)> Planned(
        OrderCase c,
        ShopBook book,
        FloorPlan floor
    )
    {
        var planned = new List<(LineCase, Band?, Fold?)>();
        foreach (var line in c.Lines.Where(l => l.InHand is not null))
        {
            var (band, fold) = line.Decision is { } decision
                ? Comparer.Chosen(line.InHand!, line.Asked.Mark, c.Order.Ask.DueOf(line.Asked), book, floor, decision)
                : (null, null);
            floor = band is null ? floor : WithLine(floor, c, line, band, book);
            planned.Add((line, band, fold));
        }
        return planned;
    }

    private static FloorPlan Nothing(ShopBook book, LocalDateTime wall) =>
        new FloorPlan(
            wall,
            new OpenHours(book.Numbers.Week.Days),
            [.. book.Presses, .. book.Benches()],
            [],
            book.Numbers.Hands(),
            new(book.Numbers.Floor.SwapMinutes, book.Numbers.Floor.DialMinutes, book.Numbers.Floor.SetUpWhileHeating)
        )
        {
            Machines = MachineHours.Empty(new(book.Numbers.Week.Days), wall, book.Numbers.Floor.Unattended) with
            {
                Downtimes = book.Of<Downtime>(),
            },
        };

    private static FloorPlan WithLine(FloorPlan floor, OrderCase c, LineCase line, Band band, ShopBook book)
    {
        if (band.Promise is not { } promise)
        {
            return floor;
        }
        var work = LineWork.Of(
            c.Order.Id,
            line.Asked.Id,
            c.CodeOf(line.Asked.Id),
            line.InHand!,
            band.Decorations,
            promise.ArrivesAt,
            promise.ArrivesCause,
            c.Order.Ask.DueOf(line.Asked),
            book
        );
        var machines = floor
            .Machines.With(
                [.. band.Decorations.Select(d => d.MachineWork(work.Pieces)).OfType<MachineWork>()],
                work.ReadyAt
            )
            .Then;
        return floor with { Placed = PressPlanner.Plan([work], floor), Machines = machines };
    }

    // what an order has still to go through: its machines after those of orders wanted before, then its presses
    private static (List<PressWork> Works, MachineHours Machines) Works(OrderCase c, ShopBook book, FloorPlan floor)
    {
        var (wall, machines) = (floor.Now, floor.Machines);
        var works = new List<PressWork>();
        var made = c.Order.Facts.Gathering.Items.Where(i => i.DoneAt is not null).Select(i => i.Id).ToHashSet();
        var q = c.Frozen!;
        var last = c
            .Order.Facts.Gathering.Items.Where(i => i.DoneAt is null)
            .OrderByDescending(i => i.Expected)
            .FirstOrDefault();
        var arrives = last is null || last.Expected < wall ? wall : last.Expected;
        var started = c.Order.Facts.Pressing.StartedAt is { } at
            ? WallClock.Local(at, book.Numbers.Identity.TimeZone)
            : (LocalDateTime?)null;
        foreach (var line in q.Lines)
        {
            // while the list of what to buy is not made, everything is still to be ordered
            var (here, cause) =
                c.Order.Facts.Gathering.Items.Count > 0 || c.Standing.Station != Station.Gather
                    ? (arrives, last is null ? "everything is here" : $"{last.Text} comes")
                    : floor.Arrival(
                        q.AskOf(line).Theirs ? null : line.Style,
                        [.. line.Band.Decorations.SelectMany(d => d.Purchases)],
                        line.Band.Decorations.Any(d => d.BringsBlank)
                    );
            var work = LineWork.Of(
                c.Order.Id,
                line.LineId,
                c.CodeOf(line.LineId),
                q.InHand(line),
                line.Band.Decorations,
                here,
                cause,
                c.Order.Ask.DueOf(q.AskOf(line)),
                book
            );
            var printing = line
                .Band.Decorations.Where(d =>
                    c.Standing.Station == Station.Gather && !made.Contains($"prepare-{d.Placement.Id}")
                )
                .Select(d => d.MachineWork(work.Pieces))
                .OfType<MachineWork>()
                .ToList();
            (machines, var printedAt, var machine) = machines.With(printing, work.ReadyAt);
            work = printedAt > work.ReadyAt ? work with { ReadyAt = printedAt, ReadyCause = machine } : work;
            works.Add(
                work with
                {
                    PromisedAt = PromisedOf(c, line, floor, book),
                    StartedAt = started,
                    Moved = c.Order.Facts.Pressing.Moves.FirstOrDefault(m => m.LineId == line.LineId) is { } m
                        ? new(m.PressId, m.From)
                        : null,
                }
            );
            // a begun order's lines follow each other
            started = started?.PlusMinutes(work.Pieces * work.MinutesPerPiece);
        }
        return (works, machines);
    }

    // the quote's word is for a yes, with the deposit, on the day it was sent: a later one moves it by as many working
    // days
    private static LocalDateTime? PromisedOf(OrderCase c, FrozenLine line, FloorPlan floor, ShopBook book)
    {
        if (line.Band.Promise is not { } promise)
        {
            return null;
        }
        LocalDate Day(Instant utc) => WallClock.Day(utc, book.Numbers.Identity.TimeZone);
        var facts = c.Order.Facts;
        var settled =
            c.Frozen!.Deposit > 0 && facts.Gathering.Deposit is null
                ? floor.Now.Date
                : Day(new[] { facts.Gathering.Approval!.At, facts.Gathering.Deposit?.At ?? Instant.MinValue }.Max());
        return floor.Hours.Moved(promise.At, Day(c.Quote!.SentAt), settled);
    }
}
