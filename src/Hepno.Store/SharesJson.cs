using System.Text.Json;
using System.Text.Json.Serialization;
using Hepno.Core.Measures;

namespace Hepno.Store;

/// <summary>Shares in JSON: the number of 1, spelled as the same options spell money.</summary>
public sealed class SharesJson : JsonConverter<Share>
{
    /// <inheritdoc/>
    public override Share Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        new(Number(options).Read(ref reader, typeof(decimal), options));

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, Share value, JsonSerializerOptions options) =>
        Number(options).Write(writer, value.Part, options);

    private static JsonConverter<decimal> Number(JsonSerializerOptions options) =>
        (JsonConverter<decimal>)options.GetConverter(typeof(decimal));
}
