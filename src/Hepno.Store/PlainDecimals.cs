using System.Text.Json;
using System.Text.Json.Serialization;

namespace Hepno.Store;

/// <summary>Writes decimals without trailing zeros: the same sum is written the same way, whether it was typed or read
/// from the database.</summary>
public sealed class PlainDecimals : JsonConverter<decimal>
{
    // dividing by one of as many digits as there are takes the zeros away
    private const decimal One = 1.000000000000000000000000000000000m;

    public override decimal Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetDecimal();

    public override void Write(Utf8JsonWriter writer, decimal value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value / One);
}
