using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>Looks for the earliest stretches in which a press and a pair of hands are free for a piece of work
/// (docs/trade 11).</summary>
internal sealed class SlotSearch
{
    /// <summary>Work that finds no place within so many days has none.</summary>
    public const int HorizonDays = 120;

    private const int LeastPart = 10;
    private const double LeastPartMinutes = 60;

    private readonly PressWork _work;
    private readonly Press _press;
    private readonly Person _person;
    private readonly FloorPlan _floor;
    private readonly OpenHours _hours;
    private readonly double _each;
    private readonly LocalDateTime _from;
    private readonly List<(PressPart Part, PressId PressId, PressWork Work)> _all;
    private readonly List<PressPart> _parts = [];
    private int _left;

    private SlotSearch(PressWork work, Press press, Person person, FloorPlan floor)
    {
        (_work, _press, _person, _floor, _left) = (work, press, person, floor, work.Pieces);
        _hours = floor.HoursOf(press);
        _each = SetUp.MinutesPerPiece(press, work, floor.Times);
        _from = LocalDateTime.Max(LocalDateTime.Max(work.ReadyAt, floor.Now), work.Moved?.From ?? floor.Now);
        _all =
        [
            .. floor
                .Placed.SelectMany(p => p.Parts.Select(part => (part, p.PressId, p.Work)))
                .OrderBy(b => b.part.Start),
        ];
    }

    /// <summary>The parts of the work on one press by one pair of hands, oldest first; null where there is no room
    /// within <see cref="HorizonDays"/>.</summary>
    public static List<PressPart>? Find(PressWork work, Press press, Person person, FloorPlan floor)
    {
        var search = new SlotSearch(work, press, person, floor);
        return work.StartedAt is { } started ? [search.Begun(started)] : search.Found();
    }

    // what has begun stays where it began
    private PressPart Begun(LocalDateTime started) =>
        new(
            started.PlusMinutes(-_press.HeatMinutes(null, _work.TemperatureF)),
            started,
            _floor.Hours.Add(started, _work.Pieces * _each),
            _work.Pieces
        )
        {
            PersonId = _person.Id,
        };

    private List<PressPart>? Found()
    {
        for (var d = 0; d < HorizonDays && _left > 0; d++)
        {
            var day = _from.Date.PlusDays(d);
            if (_hours.On(day) is { } hours)
            {
                OnDay(day, hours);
            }
        }
        return _left == 0 ? _parts : null;
    }

    private void OnDay(LocalDate day, (LocalDateTime Open, LocalDateTime Close) hours)
    {
        var free = Free(
            _person.On(day),
            [.. _all.Where(b => b.Part.PersonId == _person.Id).Select(b => (b.Part.BusyFrom(), b.Part.End))],
            hours
        );
        var today = _all.Where(b => b.PressId == _press.Id && b.Part.End > hours.Open && b.Part.Start < hours.Close)
            .ToList();
        for (var gap = 0; gap <= today.Count && _left > 0; gap++)
        {
            InGap(gap == 0 ? null : today[gap - 1], gap == today.Count ? null : today[gap], free, hours);
        }
    }

    private void InGap(
        (PressPart Part, PressId PressId, PressWork Work)? before,
        (PressPart Part, PressId PressId, PressWork Work)? after,
        List<(LocalDateTime From, LocalDateTime To)> free,
        (LocalDateTime Open, LocalDateTime Close) hours
    )
    {
        var setUp = SetUp.Between(_press, before?.Work, _work, _floor.Times);
        var ready = LocalDateTime.Max(
            (before?.Part.End ?? LocalDateTime.Max(hours.Open, _floor.Now)).PlusMinutes(setUp.TotalMinutes),
            _from
        );
        var end = hours.Close;
        if (after is { } next)
        {
            var nextSetUp = SetUp.Between(_press, _work, next.Work, _floor.Times);
            if (!CanFollow(next.Part, nextSetUp))
            {
                return;
            }
            end = next.Part.Start.PlusMinutes(-nextSetUp.TotalMinutes);
        }
        foreach (var hands in free.Where(h => h.To > ready && h.From < end))
        {
            var start = LocalDateTime.Max(ready, hands.From.PlusMinutes(setUp.HandsMinutes));
            var take = Take(start, end < hands.To ? end : hands.To);
            if (take > 0)
            {
                PressPart part = new(start, start, start.PlusMinutes(take * _each), take) { PersonId = _person.Id };
                _parts.Add(part.MadeReady(setUp, begun: false));
                _left -= take;
                // after a pause of the hands the press still stands as it stood
                setUp = SetUp.Between(_press, _work, _work, _floor.Times);
                ready = part.End.PlusMinutes(setUp.TotalMinutes);
            }
        }
    }

    // work put before a batch may leave its hands more to make ready: they must be free for it
    private bool CanFollow(PressPart next, SetUp setUp)
    {
        var from = next.Start.PlusMinutes(-setUp.HandsMinutes);
        return from >= next.BusyFrom()
            || (
                _floor
                    .Hands.FirstOrDefault(h => h.Id == next.PersonId)
                    ?.On(from.Date)
                    .Any(s => s.From <= from && s.To >= next.Start) == true
                && !_all.Any(b =>
                    b.Part != next
                    && b.Part.PersonId == next.PersonId
                    && b.Part.End > from
                    && b.Part.BusyFrom() < next.Start
                )
            );
    }

    // a part keeps at least so many pieces, and leaves as many for the next
    private int Take(LocalDateTime start, LocalDateTime end)
    {
        var take = Math.Min((int)Math.Floor((end.MinutesSince(start) / _each) + 1e-9), _left);
        if (take == _left)
        {
            return take;
        }
        // ten, or as many as an hour holds where a piece takes long
        var least = Math.Clamp((int)(LeastPartMinutes / _each), 1, LeastPart);
        take = Math.Min(take, _left - least);
        return take < least ? 0 : take;
    }

    /// <summary>When a pair of hands is free on a day: its hours within the shop's, less what it already has.</summary>
    internal static List<(LocalDateTime From, LocalDateTime To)> Free(
        IReadOnlyList<(LocalDateTime From, LocalDateTime To)> works,
        IReadOnlyList<(LocalDateTime From, LocalDateTime To)> busy,
        (LocalDateTime Open, LocalDateTime Close) hours
    )
    {
        var free = new List<(LocalDateTime, LocalDateTime)>();
        foreach (var stretch in works)
        {
            var at = LocalDateTime.Max(stretch.From, hours.Open);
            var end = stretch.To < hours.Close ? stretch.To : hours.Close;
            foreach (var b in busy.Where(b => b.To > at && b.From < end))
            {
                free.Add((at, b.From));
                at = LocalDateTime.Max(at, b.To);
            }
            free.Add((at, end));
        }
        return [.. free.Where(f => f.Item2 > f.Item1)];
    }
}
