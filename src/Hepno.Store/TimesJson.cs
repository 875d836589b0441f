using System.Text.Json;
using System.Text.Json.Serialization;
using NodaTime;
using NodaTime.Text;

namespace Hepno.Store;

/// <summary>Days, times and instants in JSON, as ISO 8601 spells them: <c>2026-06-11</c>, <c>14:00:00</c>,
/// <c>2026-06-11T14:00:00</c> on the wall, <c>2026-06-11T13:00:00Z</c> in the world.</summary>
public static class TimesJson
{
    /// <summary>A converter for each of the four; a time without seconds is read too, and an instant with another
    /// offset than Z.</summary>
    public static IEnumerable<JsonConverter> Converters { get; } =
    [
        new Spelled<LocalDate>(LocalDatePattern.Iso),
        new Spelled<LocalTime>(LocalTimePattern.ExtendedIso, LocalTimePattern.CreateWithInvariantCulture("HH:mm")),
        new Spelled<LocalDateTime>(
            LocalDateTimePattern.ExtendedIso,
            LocalDateTimePattern.CreateWithInvariantCulture("uuuu-MM-dd'T'HH:mm")
        ),
        new Spelled<Instant>(InstantPattern.ExtendedIso, new AnyOffset()),
    ];

    /// <summary>Options that spell times so.</summary>
    public static JsonSerializerOptions Added(JsonSerializerOptions json)
    {
        foreach (var converter in Converters)
        {
            json.Converters.Add(converter);
        }
        return json;
    }

    /// <summary>Written by the first pattern, read by the first that fits.</summary>
    private sealed class Spelled<T>(params IPattern<T>[] patterns) : JsonConverter<T>
        where T : struct
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            var text = reader.TokenType == JsonTokenType.String ? reader.GetString()! : throw new JsonException();
            if (text.StartsWith('-'))
            {
                // ISO counts years before the first; no day of a shop has one
                throw new JsonException();
            }
            foreach (var pattern in patterns)
            {
                if (pattern.Parse(text).TryGetValue(default, out var value))
                {
                    return value;
                }
            }
            throw new JsonException();
        }

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteStringValue(patterns[0].Format(value));
    }

    private sealed class AnyOffset : IPattern<Instant>
    {
        public ParseResult<Instant> Parse(string text) =>
            OffsetDateTimePattern.Rfc3339.Parse(text).Convert(t => t.ToInstant());

        public string Format(Instant value) => InstantPattern.ExtendedIso.Format(value);

        public System.Text.StringBuilder AppendFormat(Instant value, System.Text.StringBuilder builder) =>
            builder.Append(Format(value));
    }
}
