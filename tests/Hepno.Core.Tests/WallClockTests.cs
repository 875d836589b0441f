using CsCheck;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>The shop's wall clock and calendar.</summary>
public class WallClockTests
{
    [Theory]
    [InlineData("2026-06-02T23:30:00Z", "Pacific/Honolulu", "2026-06-02 13:30")]
    [InlineData("2026-06-02T23:30:00Z", "Pacific/Auckland", "2026-06-03 11:30")]
    [InlineData("2026-06-02T23:30:00Z", "Nowhere/At all", "2026-06-02 23:30")]
    // the hour that comes twice in autumn
    [InlineData("2026-10-25T00:30:00Z", "Europe/London", "2026-10-25 01:30")]
    [InlineData("2026-10-25T01:30:00Z", "Europe/London", "2026-10-25 01:30")]
    public void An_instant_is_told_as_the_clock_on_the_wall_shows_it(string at, string zone, string wall)
    {
        var instant = NodaTime.Text.InstantPattern.ExtendedIso.Parse(at).Value;
        Assert.Equal(
            (Times.Wall(wall), Times.Wall(wall).Date),
            (WallClock.Local(instant, zone), WallClock.Day(instant, zone))
        );
    }

    [Theory]
    // left out in spring: the later; passed twice in autumn: the first
    [InlineData("2026-03-29 01:30", "2026-03-29 02:30")]
    [InlineData("2026-10-25 01:30", "2026-10-25 01:30")]
    public void A_wall_clock_has_one_instant_however_the_clocks_change(string wall, string shown) =>
        Assert.Equal(
            Times.Wall(shown),
            WallClock.Local(WallClock.ToInstant(Times.Wall(wall), "Europe/London"), "Europe/London")
        );

    [Theory]
    [InlineData("2026-05-31", 0, "2026-05-25")]
    [InlineData("2026-06-01", 1, "2026-06-01")]
    [InlineData("2026-06-06", 6, "2026-06-01")]
    public void A_week_begins_with_Sunday_on_the_shelf_and_with_Monday_in_prices(
        string day,
        int place,
        string monday
    ) => Assert.Equal((place, Times.Day(monday)), (Times.Day(day).Weekday(), Times.Day(day).Monday()));

    [Fact]
    public void Minutes_on_and_back_are_where_one_began() =>
        Gen.Select(Gen.Double[-5e6, 5e6], Gen.Double[0, 5e6])
            .Sample(
                (minutes, first) =>
                {
                    var from = new LocalDateTime(2026, 1, 1, 0, 0).PlusMinutes(first);
                    // within a tolerance: rounded to digits, two neighbours of a half would differ
                    Assert.Equal(minutes, from.PlusMinutes(minutes).MinutesSince(from), 1e-6);
                }
            );

    [Fact]
    public void Hours_of_a_day_are_counted_to_its_last_minute() =>
        Assert.Equal(14.75, new LocalTime(23, 45).HoursSince(new(9, 0)));
}
