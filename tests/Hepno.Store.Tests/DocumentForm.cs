using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Ids;
using NodaTime;

namespace Hepno.Store.Tests;

/// <summary>What a document is made of, in lines: a row for each object in it, named by the shortest way to it, with
/// its members.</summary>
internal static class DocumentForm
{
    public static IReadOnlyList<string> Lines(JsonTypeInfo root)
    {
        var (named, waiting, lines) = (new Dictionary<Type, string>(), new Queue<JsonTypeInfo>(), new List<string>());
        string Kind(Type type, string way)
        {
            var info = root.Options.GetTypeInfo(Nullable.GetUnderlyingType(type) ?? type);
            switch (info.Kind)
            {
                case JsonTypeInfoKind.Enumerable:
                    return $"[{Kind(info.ElementType!, $"{way}[]")}]";
                case JsonTypeInfoKind.Dictionary:
                    return $"{{{Kind(info.ElementType!, $"{way}{{}}")}}}";
                case JsonTypeInfoKind.Object:
                    if (named.TryAdd(info.Type, way))
                    {
                        waiting.Enqueue(info);
                    }
                    return named[info.Type];
                default:
                    return Plain(info.Type, root.Options);
            }
        }
        Kind(root.Type, "it");
        while (waiting.TryDequeue(out var of))
        {
            var way = named[of.Type];
            var members = of
                .Properties.Where(p => p.Get is not null && p.Set is not null || IsParameter(of, p))
                .OrderBy(p => p.Name, StringComparer.Ordinal)
                .Select(p => $"{p.Name}{(MayBeLeftOut(p) ? "?" : "")} " + $"{Kind(p.PropertyType, $"{way}.{p.Name}")}");
            lines.Add($"{way}: {string.Join(", ", members)}");
        }
        return lines;
    }

    private static bool MayBeLeftOut(JsonPropertyInfo property) =>
        property.IsGetNullable
        || property.ShouldSerialize is not null
        || Nullable.GetUnderlyingType(property.PropertyType) is not null;

    private static bool IsParameter(JsonTypeInfo of, JsonPropertyInfo property) =>
        of
            .Type.GetConstructors()
            .SelectMany(c => c.GetParameters())
            .Any(p => string.Equals(p.Name, property.Name, StringComparison.OrdinalIgnoreCase));

    private static readonly Dictionary<Type, string> Words = new()
    {
        [typeof(string)] = "text",
        [typeof(bool)] = "flag",
        [typeof(LocalDateTime)] = "wall",
        [typeof(Instant)] = "instant",
        [typeof(LocalDate)] = "day",
        [typeof(LocalTime)] = "time",
        [typeof(JsonElement)] = "document",
    };

    private static string Plain(Type type, JsonSerializerOptions options)
    {
        if (type.IsEnum)
        {
            var values = Enum.GetValues(type)
                .Cast<object>()
                .Select(v => JsonSerializer.Serialize(v, type, options).Trim('"'));
            return string.Join("|", values.Order(StringComparer.Ordinal));
        }
        return type.IsAssignableTo(typeof(IId)) ? "text" : Words.GetValueOrDefault(type, "number");
    }
}
