using Hepno.Core.Costing;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>The shop's open hours as a calendar of minutes in its wall clock.</summary>
/// <param name="Week">Hours of each weekday, Sunday first.</param>
public sealed record OpenHours(IReadOnlyList<DayHours> Week)
{
    private const int HorizonDays = 400;

    /// <summary>Opening and closing on a day, or null when closed.</summary>
    public (LocalDateTime Open, LocalDateTime Close)? On(LocalDate day)
    {
        var hours = Week[day.Weekday()];
        return hours is { Open: { } open, Close: { } close } ? (day.At(open), day.At(close)) : null;
    }

    /// <summary>The earliest open moment at or after <paramref name="at"/>.</summary>
    public LocalDateTime Next(LocalDateTime at)
    {
        for (var i = 0; i < HorizonDays; i++)
        {
            if (On(at.Date.PlusDays(i)) is { } hours && hours.Close > at)
            {
                return hours.Open > at ? hours.Open : at;
            }
        }
        return at;
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
