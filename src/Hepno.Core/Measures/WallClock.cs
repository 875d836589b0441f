using NodaTime;

namespace Hepno.Core.Measures;

/// <summary>What the shop's clock on the wall shows.</summary>
public static class WallClock
{
    /// <summary>After every time of the shop: stands for "not at all", and sorts what has no time last.</summary>
    public static readonly LocalDateTime Never = new LocalDateTime(9999, 12, 31, 23, 59, 59).PlusTicks(9_999_999);

    /// <summary>The wall clock at an instant, to the second.</summary>
    /// <param name="at">The instant.</param>
    /// <param name="zone">Zone name, for example Europe/London; one that is not known is taken as UTC.</param>
    public static LocalDateTime Local(Instant at, string zone) =>
        at.InZone(Zone(zone)).LocalDateTime.With(TimeAdjusters.TruncateToSecond);

    /// <summary>The day of the calendar on the wall at an instant.</summary>
    /// <param name="at">The instant.</param>
    /// <param name="zone">Zone name; one that is not known is taken as UTC.</param>
    public static LocalDate Day(Instant at, string zone) => Local(at, zone).Date;

    /// <summary>The instant of a wall clock; an hour that the clocks leave out or pass twice is taken as the later or
    /// the first one.</summary>
    /// <param name="wall">What the wall clock shows.</param>
    /// <param name="zone">Zone name; one that is not known is taken as UTC.</param>
    public static Instant ToInstant(LocalDateTime wall, string zone) => wall.InZoneLeniently(Zone(zone)).ToInstant();

    /// <summary>A wall clock some minutes on, to a ten-millionth of a second.</summary>
    /// <param name="wall">What the wall clock shows.</param>
    /// <param name="minutes">Minutes, of any size and sign.</param>
    public static LocalDateTime PlusMinutes(this LocalDateTime wall, double minutes) =>
        wall.PlusTicks((long)(minutes * NodaConstants.TicksPerMinute));

    /// <summary>Minutes from one wall clock to a later one; below 0 when it is earlier.</summary>
    /// <param name="wall">The later one.</param>
    /// <param name="earlier">The earlier one.</param>
    public static double MinutesSince(this LocalDateTime wall, LocalDateTime earlier) =>
        (double)(
            Period.DaysBetween(earlier.Date, wall.Date) * NodaConstants.TicksPerDay + wall.TickOfDay - earlier.TickOfDay
        ) / NodaConstants.TicksPerMinute;

    /// <summary>Hours from one time of a day to a later one of the same day.</summary>
    /// <param name="time">The later one.</param>
    /// <param name="earlier">The earlier one.</param>
    public static double HoursSince(this LocalTime time, LocalTime earlier) =>
        (double)(time.TickOfDay - earlier.TickOfDay) / NodaConstants.TicksPerHour;

    /// <summary>The Monday of a day's week.</summary>
    /// <param name="day">The day.</param>
    public static LocalDate Monday(this LocalDate day) => day.PlusDays(1).Previous(IsoDayOfWeek.Monday);

    /// <summary>Place of a day in a week that begins with Sunday, from 0.</summary>
    /// <param name="day">The day.</param>
    public static int Weekday(this LocalDate day) => (int)day.DayOfWeek % 7;

    /// <summary>True for a name of a time zone.</summary>
    public static bool Knows(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is not null;

    private static DateTimeZone Zone(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) ?? DateTimeZone.Utc;
}
