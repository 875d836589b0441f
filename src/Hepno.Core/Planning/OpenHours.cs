using Hepno.Core.Costing;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>The shop's open hours as a calendar of minutes in its wall clock.</summary>
/// <param name="Week">Hours of each weekday, Sunday first.</param>
public sealed record OpenHours(IReadOnlyList<DayHours> Week)
{
    private const int HorizonDays = 400;

    /// <summary>Days without hours, whatever the weekday.</summary>
    public IReadOnlyList<DateInterval> Out { get; private init; } = [];

    /// <summary>The same without some days.</summary>
    public OpenHours Without(IReadOnlyList<DateInterval> days) =>
        days.Count == 0 ? this : this with { Out = [.. Out, .. days] };

    /// <summary>Opening and closing on a day, or null when closed.</summary>
    public (LocalDateTime Open, LocalDateTime Close)? On(LocalDate day)
    {
        var hours = Week[day.Weekday()];
        return hours is { Open: { } open, Close: { } close } && !Out.Any(o => o.Contains(day))
            ? (day.At(open), day.At(close))
            : null;
    }

    /// <summary>The earliest open moment at or after <paramref name="at"/>.</summary>
    public LocalDateTime Next(LocalDateTime at)
    {
        var day = at.Date;
        for (var i = 0; i < HorizonDays; i++)
        {
            day = Back(day);
            if (On(day) is { } hours && hours.Close > at)
            {
                return hours.Open > at ? hours.Open : at;
            }
            day = day.PlusDays(1);
        }
        return at;
    }

    /// <summary>The moment so many minutes after <paramref name="from"/>, day and night but for the days
    /// out.</summary>
    public LocalDateTime AddDayAndNight(LocalDateTime from, double minutes)
    {
        var at = LocalDateTime.Max(from, Back(from.Date).AtMidnight());
        while (Out.Where(o => o.Start > at.Date).MinBy(o => o.Start) is { } next)
        {
            var left = next.Start.AtMidnight().MinutesSince(at);
            if (minutes <= left)
            {
                break;
            }
            minutes -= left;
            at = Back(next.Start).AtMidnight();
        }
        return at.PlusMinutes(minutes);
    }

    /// <summary>What is said of days out within a time: ", out of use through Fri 5 Jun" of the last of them; nothing
    /// where there are none.</summary>
    public string OutSaid(LocalDateTime from, LocalDateTime to) =>
        Out.Where(o => o.Start <= to.Date && o.End >= from.Date).MaxBy(o => o.End) is { } last
            ? $", out of use through {last.End:ddd d MMM}"
            : "";

    // the first day from one on that is not out; what is out over years is not looked through day by day
    private LocalDate Back(LocalDate day)
    {
        while (Out.FirstOrDefault(o => o.Contains(day)) is { } stretch)
        {
            day = stretch.End.PlusDays(1);
        }
        return day;
    }

    /// <summary>The moment so many open minutes after <paramref name="from"/>; nights and closed days do not
    /// count.</summary>
    public LocalDateTime Add(LocalDateTime from, double minutes)
    {
        var at = Next(from);
        while (minutes > 1e-9)
        {
            var left = On(at.Date)!.Value.Close.MinutesSince(at);
            if (minutes <= left + 1e-9)
            {
                return at.PlusMinutes(minutes);
            }
            minutes -= left;
            at = Next(at.PlusMinutes(left));
        }
        return at;
    }

    /// <summary>A promise made on one day for a yes given on a later one: so many working days later as lie between, at
    /// the same hour.</summary>
    /// <param name="promised">What was promised for a yes on the first day.</param>
    /// <param name="from">The first day.</param>
    /// <param name="yes">The day of the yes.</param>
    public LocalDateTime Moved(LocalDateTime promised, LocalDate from, LocalDate yes)
    {
        for (var day = from.PlusDays(1); day <= yes; day = day.PlusDays(1))
        {
            if (On(day) is not null)
            {
                promised = promised.PlusDays(1);
                for (var i = 0; i < HorizonDays && On(promised.Date) is null; i++)
                {
                    promised = promised.PlusDays(1);
                }
            }
        }
        return promised;
    }

    /// <summary>When a parcel ordered now is here, where an order after the supplier's cut-off hour goes out a working
    /// day later.</summary>
    public LocalDateTime Parcel(LocalDateTime from, int workingDays, LocalTime? cutOff) =>
        Parcel(
            from,
            workingDays
                + (workingDays > 0 && cutOff is { } hour && from.TimeOfDay > hour && On(from.Date) is not null ? 1 : 0)
        );

    /// <summary>Noon of the n-th working day after <paramref name="from"/>: when a parcel ordered then is counted as
    /// here. 0 days: at once.</summary>
    public LocalDateTime Parcel(LocalDateTime from, int workingDays)
    {
        if (workingDays == 0)
        {
            return from;
        }
        var day = from.Date;
        for (var found = 0; found < workingDays; )
        {
            day = day.PlusDays(1);
            if (On(day) is not null)
            {
                found++;
            }
        }
        return day.At(LocalTime.Noon);
    }
}
