using System.Globalization;
using NodaTime;
using NodaTime.TimeZones;

namespace Hepno.Web;

/// <summary>The only clock: instants in UTC, and the shop's wall clock. For pictures and tests <c>--now</c> holds it still and <c>--from</c> sets where it begins to run.</summary>
internal sealed class ShopClock(IConfiguration configuration, TimeProvider time)
{
    private readonly DateTime? held = At(configuration["Hepno:Now"]);
    private readonly TimeSpan ahead = At(configuration["Hepno:From"]) is { } from
        ? from - time.GetUtcNow().UtcDateTime
        : TimeSpan.Zero;

    public DateTime Utc => held ?? time.GetUtcNow().UtcDateTime + ahead;

    private static DateTime? At(string? text) =>
        text is { Length: > 0 }
            ? DateTime.Parse(
                text,
                CultureInfo.InvariantCulture,
                DateTimeStyles.AdjustToUniversal | DateTimeStyles.AssumeUniversal
            )
            : null;

    public DateTime Wall(string zone) => Wall(Utc, zone);

    public static DateTime Wall(DateTime utc, string zone)
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

    /// <summary>The instant of a wall clock; an hour that the clocks leave out or pass twice is taken as the later or the first one.</summary>
    public static DateTime ToUtc(DateTime wall, string zone) =>
        LocalDateTime.FromDateTime(wall).InZoneLeniently(Zone(zone)).ToDateTimeUtc();

    public static bool Knows(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is not null;

    /// <summary>The machine's zone, or UTC when it has no name that Hepno knows.</summary>
    public static string MachineZone
    {
        get
        {
            try
            {
                return DateTimeZoneProviders.Tzdb.GetSystemDefault().Id is { } id && Knows(id) ? id : "UTC";
            }
            catch (DateTimeZoneNotFoundException)
            {
                return "UTC";
            }
        }
    }

    private static DateTimeZone Zone(string zone) => DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) ?? DateTimeZone.Utc;
}
