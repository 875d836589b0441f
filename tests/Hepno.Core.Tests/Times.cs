using NodaTime;
using NodaTime.Text;

namespace Hepno.Core.Tests;

/// <summary>Days and wall clocks as the tables of cases spell them.</summary>
internal static class Times
{
    /// <summary>2026-06-02.</summary>
    public static LocalDate Day(string text) => LocalDatePattern.Iso.Parse(text).Value;

    /// <summary>2026-06-02 14:00.</summary>
    public static LocalDateTime Wall(string text) =>
        LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd HH:mm").Parse(text.Replace('T', ' ')).Value;
}
