using System.Globalization;
using Hepno.Core.Measures;
using NodaTime;
using NodaTime.TimeZones;

namespace Hepno.Web.Held;

/// <summary>The only clock: instants in UTC, and the shop's wall clock. For pictures and tests <c>--now</c> holds it
/// still and <c>--from</c> sets where it begins to run.</summary>
internal sealed class ShopClock(IConfiguration configuration, TimeProvider time)
{
    private readonly Instant? held = At(configuration["Hepno:Now"]);
    private readonly Duration ahead = At(configuration["Hepno:From"]) is { } from ? from - Real(time) : Duration.Zero;

    public Instant Utc => held ?? Real(time) + ahead;

    private static Instant? At(string? text) =>
        text is { Length: > 0 }
            ? Instant.FromDateTimeUtc(
                DateTime.Parse(
                    text,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.AdjustToUniversal | DateTimeStyles.AssumeUniversal
                )
            )
            : null;

    private static Instant Real(TimeProvider time) => Instant.FromDateTimeOffset(time.GetUtcNow());

    public LocalDateTime Wall(string zone) => WallClock.Local(Utc, zone);

    /// <summary>The day in the shop.</summary>
    public LocalDate Today(string zone) => Wall(zone).Date;

    /// <summary>The machine's zone, or UTC when it has no name that Hepno knows.</summary>
    public static string MachineZone
    {
        get
        {
            try
            {
                return DateTimeZoneProviders.Tzdb.GetSystemDefault().Id is { } id && WallClock.Knows(id) ? id : "UTC";
            }
            catch (DateTimeZoneNotFoundException)
            {
                return "UTC";
            }
        }
    }
}
