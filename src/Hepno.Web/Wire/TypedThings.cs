using System.Collections;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Measures;
using Hepno.Core.Shop;
using Hepno.Core.Things;

namespace Hepno.Web.Wire;

/// <summary>How a thing is read that somebody typed: its id may be left out, for the call names it, and nobody means
/// the blanks round a name.</summary>
internal static class TypedThings
{
    private static readonly HashSet<Type> Records = [.. ThingKinds.All.Select(k => k.Accept(new RecordOf()))];

    /// <summary>Reads things so.</summary>
    public static void Added(JsonSerializerOptions json) =>
        json.TypeInfoResolver = (json.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(type =>
        {
            if (Records.Contains(type.Type))
            {
                type.Properties.First(p => p.Name == "id").IsRequired = false;
            }
            if (IsOfThings(type.Type))
            {
                // a blank may part thousands
                if (type.Type != typeof(FigureFormat))
                {
                    Trim(type);
                }
                foreach (var part in type.Properties.Where(p => p is { IsSetNullable: false, Set: not null }))
                {
                    NeverNull(part);
                }
            }
        });

    // after reading, since a converter would also change how a text stands in the API document
    private static void Trim(JsonTypeInfo type)
    {
        var texts = type.Properties.Where(p =>
            p.PropertyType == typeof(string) && p is { Get: not null, Set: not null }
        );
        var (all, then) = (texts.ToList(), type.OnDeserialized);
        type.OnDeserialized = read =>
        {
            foreach (var text in all.Where(t => t.Get!(read) is string))
            {
                text.Set!(read, ((string)text.Get!(read)!).Trim());
            }
            then?.Invoke(read);
        };
    }

    // the serializer looks for null where a constructor takes a value, not where a value is set afterwards
    private static void NeverNull(JsonPropertyInfo part)
    {
        var set = part.Set!;
        part.Set = (of, value) =>
        {
            if (value is not null)
            {
                set(of, value);
            }
            else if (!part.PropertyType.IsAssignableTo(typeof(IEnumerable)) || part.PropertyType == typeof(string))
            {
                throw new UnfitJsonException(field: part.Name, what: "is nothing", "Leave it out, or say what it is.");
            }
        };
    }

    // a record of a thing, or of the rows in it
    private static bool IsOfThings(Type type) => Parts.Contains(type);

    private static readonly HashSet<Type> Parts = [.. Records.Append(typeof(ShopNumbers)).SelectMany(Within)];

    private static IEnumerable<Type> Within(Type record) =>
        record
            .GetProperties()
            .Where(p => p.GetIndexParameters().Length == 0)
            .Select(p => RowOf(p.PropertyType))
            .Where(t => t != record && t.Namespace?.StartsWith("Hepno.Core", StringComparison.Ordinal) == true)
            .Where(t => t is { IsClass: true } && !t.IsGenericType)
            .SelectMany(Within)
            .Append(record);

    private static Type RowOf(Type type) =>
        type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>)
            ? type.GetGenericArguments()[0]
            : type;

    private sealed class RecordOf : IForEachKind<Type>
    {
        public Type Of<T>(ThingKind<T> kind)
            where T : class => typeof(T);
    }
}
