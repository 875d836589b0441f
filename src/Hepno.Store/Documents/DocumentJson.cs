using System.Collections;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Blanks;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;

namespace Hepno.Store.Documents;

/// <summary>How documents are spelled.</summary>
internal static class DocumentJson
{
    /// <summary>What is written, and read with every member that may not be null.</summary>
    public static JsonSerializerOptions Strict { get; } = Options(isStrict: true);

    /// <summary>For what was never refused for a member it lacked.</summary>
    public static JsonSerializerOptions Lenient { get; } = Options(isStrict: false);

    // lists that were null where they had nothing in them: left out now where they are empty, as null was, and
    // read as empty where null was written out
    private static readonly HashSet<(Type, string)> WereNull =
    [
        (typeof(Press), "lowers"),
        (typeof(Press), "maps"),
        (typeof(Press), "dials"),
        (typeof(Press), "accessories"),
        (typeof(Style), "onHand"),
        (typeof(Recipe), "parameters"),
        (typeof(SpotTest), "washes"),
        (typeof(SpotTest), "photos"),
        (typeof(OutsidePrinter), "blanks"),
        (typeof(FloorHabits), "times"),
        (typeof(FloorHabits), "covers"),
        (typeof(AskLine), "names"),
        (typeof(RunEvent), "laps"),
    ];

    private static JsonSerializerOptions Options(bool isStrict)
    {
        var json = new JsonSerializerOptions(JsonSerializerDefaults.Web)
        {
            NumberHandling = JsonNumberHandling.Strict,
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
            RespectNullableAnnotations = isStrict,
            RespectRequiredConstructorParameters = isStrict,
            IgnoreReadOnlyProperties = true,
            TypeInfoResolver = new DefaultJsonTypeInfoResolver
            {
                Modifiers = { WhatMayBeNullMayBeLeftOut, WhatWasNullIsEmpty },
            },
        };
        JsonConverter[] converters =
        [
            new EitherSpelling(),
            new PlainDecimals(),
            new SharesJson(),
            new IdsJson(),
            .. TimesJson.Converters,
        ];
        foreach (var converter in converters)
        {
            json.Converters.Add(converter);
        }
        return json;
    }

    private static void WhatMayBeNullMayBeLeftOut(JsonTypeInfo type)
    {
        foreach (var property in type.Properties.Where(p => p.IsRequired && p.IsSetNullable))
        {
            property.IsRequired = false;
        }
    }

    private static void WhatWasNullIsEmpty(JsonTypeInfo type)
    {
        foreach (var property in type.Properties.Where(p => WereNull.Contains((type.Type, p.Name))))
        {
            property.ShouldSerialize = (_, list) => list is not ICollection { Count: 0 };
            property.IsSetNullable = true;
            var set = property.Set!;
            property.Set = (of, list) =>
            {
                if (list is not null)
                {
                    set(of, list);
                }
            };
        }
    }

    /// <summary>Words of enumerations: written like-this, read also LikeThis, as history spelled them.</summary>
    private sealed class EitherSpelling : JsonConverterFactory
    {
        public override bool CanConvert(Type typeToConvert) => typeToConvert.IsEnum;

        public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
            (JsonConverter)Activator.CreateInstance(typeof(Words<>).MakeGenericType(typeToConvert))!;
    }

    private sealed class Words<T> : JsonConverter<T>
        where T : struct, Enum
    {
        private static readonly Dictionary<T, string> Names = Enum.GetValues<T>()
            .ToDictionary(v => v, v => JsonNamingPolicy.KebabCaseLower.ConvertName(v.ToString()));

        private static readonly Dictionary<string, T> Values = Names
            .Keys.SelectMany(v => new[] { (Name: v.ToString(), Value: v), (Name: Names[v], Value: v) })
            .DistinctBy(n => n.Name, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(n => n.Name, n => n.Value, StringComparer.OrdinalIgnoreCase);

        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.String && Values.TryGetValue(reader.GetString()!, out var value)
                ? value
                : throw new JsonException();

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteStringValue(Names[value]);

        public override T ReadAsPropertyName(
            ref Utf8JsonReader reader,
            Type typeToConvert,
            JsonSerializerOptions options
        ) => Values.TryGetValue(reader.GetString()!, out var value) ? value : throw new JsonException();

        public override void WriteAsPropertyName(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WritePropertyName(Names[value]);
    }
}
