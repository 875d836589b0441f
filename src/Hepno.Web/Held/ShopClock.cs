using System.Globalization;
using Hepno.Core.Measures;
using NodaTime;
using NodaTime.TimeZones;

namespace Hepno.Web.Held;

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

    public DateTime Wall(string zone) => WallClock.Local(Utc, zone);

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
