using Hepno.Core.Costing;

namespace Hepno.Core.Planning;

/// <summary>The shop's open hours as a calendar of minutes in its wall clock.</summary>
/// <param name="Week">Hours of each weekday, Sunday first.</param>
public sealed record OpenHours(IReadOnlyList<DayHours> Week)
{
    private const int HorizonDays = 400;

    /// <summary>Opening and closing on a day, or null when closed.</summary>
    public (DateTime Open, DateTime Close)? On(DateOnly day)
    {
        var hours = Week[(int)day.DayOfWeek];
        return hours is { Open: { } open, Close: { } close } ? (day.ToDateTime(open), day.ToDateTime(close)) : null;
    }

    /// <summary>The earliest open moment at or after <paramref name="at"/>.</summary>
    public DateTime Next(DateTime at)
    {
        for (var i = 0; i < HorizonDays; i++)
        {
            if (On(DateOnly.FromDateTime(at).AddDays(i)) is { } hours && hours.Close > at)
            {
                return hours.Open > at ? hours.Open : at;
            }
        }
        return at;
    }

    /// <summary>The moment so many open minutes after <paramref name="from"/>; nights and closed days do not count.</summary>
    public DateTime Add(DateTime from, double minutes)
    {
        var at = Next(from);
        while (minutes > 1e-9)
        {
            var left = (On(DateOnly.FromDateTime(at))!.Value.Close - at).TotalMinutes;
            if (minutes <= left + 1e-9)
            {
                return at.AddMinutes(minutes);
            }
            minutes -= left;
            at = Next(at.AddMinutes(left));
        }
        return at;
    }

    /// <summary>A promise made on one day for a yes given on a later one: so many working days later as lie between, at the same hour.</summary>
    /// <param name="promised">What was promised for a yes on the first day.</param>
    /// <param name="from">The first day.</param>
    /// <param name="yes">The day of the yes.</param>
    public DateTime Moved(DateTime promised, DateOnly from, DateOnly yes)
    {
        for (var day = from.AddDays(1); day <= yes; day = day.AddDays(1))
        {
            if (On(day) is not null)
            {
                promised = promised.AddDays(1);
                for (var i = 0; i < HorizonDays && On(DateOnly.FromDateTime(promised)) is null; i++)
                {
                    promised = promised.AddDays(1);
                }
            }
        }
        return promised;
    }

    /// <summary>When a parcel ordered now is here, where an order after the supplier's cut-off hour goes out a working day later.</summary>
    public DateTime Parcel(DateTime from, int workingDays, TimeOnly? cutOff) =>
        Parcel(
            from,
            workingDays
                + (
                    workingDays > 0
                    && cutOff is { } hour
                    && TimeOnly.FromDateTime(from) > hour
                    && On(DateOnly.FromDateTime(from)) is not null
                        ? 1
                        : 0
                )
        );

    /// <summary>Noon of the n-th working day after <paramref name="from"/>: when a parcel ordered then is counted as here. 0 days: at once.</summary>
    public DateTime Parcel(DateTime from, int workingDays)
    {
        if (workingDays == 0)
        {
            return from;
        }
        var day = DateOnly.FromDateTime(from);
        for (var found = 0; found < workingDays; )
        {
            day = day.AddDays(1);
            if (On(day) is not null)
            {
                found++;
            }
        }
        return day.ToDateTime(new TimeOnly(12, 0));
    }
}
