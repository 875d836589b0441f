using System.Buffers.Text;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Orders;
using Hepno.Store;

namespace Hepno.Web.Wire;

/// <summary>JSON as the API speaks it.</summary>
internal static class Json
{
    /// <summary>The API's words with figures to the last digit: for telling whether two things are the same.</summary>
    public static JsonSerializerOptions Exact { get; } =
        Configured(new JsonSerializerOptions(JsonSerializerDefaults.Web));

    public static JsonSerializerOptions Configured(JsonSerializerOptions json)
    {
        json.NumberHandling = JsonNumberHandling.Strict;
        json.RespectNullableAnnotations = true;
        json.RespectRequiredConstructorParameters = true;
        json.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        json.Converters.Add(new IdsJson());
        json.Converters.Add(new SharesJson());
        return TimesJson.Added(json);
    }

    /// <summary>Leaves out what only kept documents hold: they carry a placement's place as it was; a call says its
    /// key.</summary>
    public static void WithoutPlaces(JsonSerializerOptions json) =>
        json.TypeInfoResolver = (json.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(type =>
        {
            if (
                type.Type == typeof(Placement)
                && type.Properties.FirstOrDefault(p =>
                    p.AttributeProvider is PropertyInfo { Name: nameof(Placement.ShopPlace) }
                )
                    is { } place
            )
            {
                type.Properties.Remove(place);
            }
        });

    /// <summary>Money on the wire: at most six decimals.</summary>
    internal sealed class SixDecimals : JsonConverter<decimal>
    {
        public override decimal Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.Number
            && reader.TryGetDecimal(out var value)
            && Math.Abs(value) < 1_000_000_000_000m
                ? value
                : throw new JsonException();

        public override void Write(Utf8JsonWriter writer, decimal value, JsonSerializerOptions options)
        {
            // written without trailing zeros; dividing them away costs more than a whole comparison
            Span<byte> text = stackalloc byte[40];
            _ = Utf8Formatter.TryFormat(Math.Round(value, 6, MidpointRounding.AwayFromZero), text, out var length);
            if (text[..length].Contains((byte)'.'))
            {
                length = text[..length].TrimEnd((byte)'0').TrimEnd((byte)'.').Length;
            }
            writer.WriteRawValue(text[..length], skipInputValidation: true);
        }
    }
}
