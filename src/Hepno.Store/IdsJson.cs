using System.Text.Json;
using System.Text.Json.Serialization;
using Hepno.Core.Ids;

namespace Hepno.Store;

/// <summary>Ids in JSON: the text they are written as.</summary>
public sealed class IdsJson : JsonConverterFactory
{
    /// <inheritdoc/>
    public override bool CanConvert(Type typeToConvert) =>
        typeToConvert.IsValueType && typeToConvert.IsAssignableTo(typeof(IId));

    /// <inheritdoc/>
    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(Written<>).MakeGenericType(typeToConvert))!;

    private sealed class Written<TId> : JsonConverter<TId>
        where TId : struct, IId<TId>
    {
        public override TId Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.String ? TId.From(reader.GetString()!) : throw new JsonException();

        public override void Write(Utf8JsonWriter writer, TId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.Text);

        public override TId ReadAsPropertyName(
            ref Utf8JsonReader reader,
            Type typeToConvert,
            JsonSerializerOptions options
        ) => TId.From(reader.GetString()!);

        public override void WriteAsPropertyName(Utf8JsonWriter writer, TId value, JsonSerializerOptions options) =>
            writer.WritePropertyName(value.Text);
    }
}
