using NodaTime;

namespace Hepno.Core.Measures;

/// <summary>What the shop's clock on the wall shows.</summary>
public static class WallClock
{
    /// <summary>The wall clock at an instant, to the second.</summary>
    /// <param name="utc">The instant, UTC.</param>
    /// <param name="zone">Zone name, for example Europe/London; one that is not known is taken as UTC.</param>
    public static DateTime Local(DateTime utc, string zone)
    {
        var local = Instant
            .FromDateTimeUtc(DateTime.SpecifyKind(utc, DateTimeKind.Utc))
            .InZone(Zone(zone))
            .LocalDateTime;
        return new DateTime(
            local.Year,
            local.Month,
            local.Day,
            local.Hour,
            local.Minute,
            local.Second,
            DateTimeKind.Unspecified
        );
    }

    /// <summary>The instant of a wall clock, UTC; an hour that the clocks leave out or pass twice is taken as the later or the first one.</summary>
    /// <param name="wall">What the wall clock shows.</param>
    /// <param name="zone">Zone name; one that is not known is taken as UTC.</param>
    public static DateTime ToUtc(DateTime wall, string zone) =>
        LocalDateTime.FromDateTime(wall).InZoneLeniently(Zone(zone)).ToDateTimeUtc();

    /// <summary>True for a name of a time zone.</summary>
    public static bool Knows(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is not null;

    private static DateTimeZone Zone(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) ?? DateTimeZone.Utc;
}
