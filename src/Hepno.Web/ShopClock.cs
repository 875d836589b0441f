using System.Globalization;
using NodaTime;
using NodaTime.TimeZones;

namespace Hepno.Web;

/// <summary>The only clock: instants in UTC, and the shop's wall clock. <c>--now</c> holds it still for pictures and tests.</summary>
internal sealed class ShopClock(IConfiguration configuration, TimeProvider time)
{
    private readonly DateTime? held = configuration["Hepno:Now"] is { Length: > 0 } text
        ? DateTime.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AdjustToUniversal | DateTimeStyles.AssumeUniversal)
        : null;

    public DateTime Utc => held ?? time.GetUtcNow().UtcDateTime;

    public DateTime Wall(string zone) => Wall(Utc, zone);

    public static DateTime Wall(DateTime utc, string zone)
    {
        var local = Instant.FromDateTimeUtc(DateTime.SpecifyKind(utc, DateTimeKind.Utc)).InZone(Zone(zone)).LocalDateTime;
        return new DateTime(local.Year, local.Month, local.Day, local.Hour, local.Minute, local.Second, DateTimeKind.Unspecified);
    }

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
