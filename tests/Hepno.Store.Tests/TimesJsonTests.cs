using System.Text.Json;
using NodaTime;

namespace Hepno.Store.Tests;

/// <summary>Days and times as documents and the API spell them.</summary>
public class TimesJsonTests
{
    private static readonly JsonSerializerOptions Json = TimesJson.Added(new());

    [Theory]
    [InlineData("day", "2026-06-11", "2026-06-11")]
    [InlineData("time", "14:00", "14:00:00")]
    [InlineData("time", "14:00:30", "14:00:30")]
    [InlineData("wall", "2026-06-11T14:00", "2026-06-11T14:00:00")]
    [InlineData("wall", "2026-06-11T14:00:00.5", "2026-06-11T14:00:00.5")]
    [InlineData("instant", "2026-06-11T13:00:00Z", "2026-06-11T13:00:00Z")]
    [InlineData("instant", "2026-06-11T14:00:00+01:00", "2026-06-11T13:00:00Z")]
    public void What_is_read_is_written_in_one_way(string kind, string said, string written) =>
        Assert.Equal($"\"{written}\"", JsonSerializer.Serialize(Read(kind, $"\"{said}\""), Json));

    [Theory]
    [InlineData("day", "\"2026-02-30\"")]
    [InlineData("day", "\"30/01/2026\"")]
    [InlineData("day", "20260611")]
    [InlineData("day", "\"-2026-06-11\"")]
    [InlineData("instant", "\"-2026-06-11T13:00:00Z\"")]
    [InlineData("time", "\"25:00\"")]
    [InlineData("time", "\"2 pm\"")]
    // where the wall clock is meant no instant is taken, and the other way round
    [InlineData("wall", "\"2026-06-11T14:00:00Z\"")]
    [InlineData("instant", "\"2026-06-11T14:00:00\"")]
    public void Anything_else_is_refused(string kind, string json) =>
        Assert.Throws<JsonException>(() => Read(kind, json));

    private static object? Read(string kind, string json) =>
        kind switch
        {
            "day" => JsonSerializer.Deserialize<LocalDate>(json, Json),
            "time" => JsonSerializer.Deserialize<LocalTime>(json, Json),
            "wall" => JsonSerializer.Deserialize<LocalDateTime>(json, Json),
            _ => JsonSerializer.Deserialize<Instant>(json, Json),
        };
}
