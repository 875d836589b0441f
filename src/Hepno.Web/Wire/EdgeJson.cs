using System.Collections;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Hepno.Core.Ids;
using NodaTime;

namespace Hepno.Web.Wire;

/// <summary>A value of the right kind that no field takes.</summary>
/// <param name="field">The field of what the serializer names, or where in a list; empty for the thing itself.</param>
/// <param name="what">What is wrong with it, to be said after the field's name.</param>
/// <param name="remedy">What would help.</param>
internal sealed class UnfitJsonException(string field, string what, string remedy) : JsonException(what)
{
    /// <summary>The field of what the serializer names.</summary>
    public string Field { get; } = field;

    /// <summary>What is wrong with it.</summary>
    public string What { get; } = what;

    /// <summary>What would help.</summary>
    public string Remedy { get; } = remedy;
}

/// <summary>What every body is held to, whichever call it comes with: text that can be kept, numbers that can be
/// reckoned with, days of a calendar a shop lives in, lists without holes.</summary>
internal static class EdgeJson
{
    /// <summary>The largest number taken, either way: beyond it products of a few lose all meaning.</summary>
    public const double Largest = 1e9;

    /// <summary>The first day a date may name.</summary>
    public static readonly LocalDate Earliest = new(1900, 1, 1);

    /// <summary>The last day a date may name.</summary>
    public static readonly LocalDate Latest = new(2199, 12, 31);

    /// <summary>Holds what these options read to it. After reading, since converters would also change how each kind
    /// stands in the API document.</summary>
    public static void Hold(JsonSerializerOptions json) =>
        json.TypeInfoResolver = (json.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(Hold);

    /// <summary>What is wrong with a value of an address or a body and what would help, or null.</summary>
    public static (string What, string Remedy)? Wrong(object? value) =>
        value switch
        {
            string text when text.FirstOrDefault(Unseen, ' ') is var sign && sign != ' ' => (
                $"holds the control character {(int)sign:X4}",
                "Type it again without what cannot be seen."
            ),
            IId id => Wrong(id.Text),
            double number when !(Math.Abs(number) <= Largest) => (
                $"is {number.ToString("0.###e0", CultureInfo.InvariantCulture)}",
                "Send a number within a thousand million of 0."
            ),
            LocalDate day when day < Earliest || day > Latest => (
                $"is {day:yyyy-MM-dd}",
                $"Send a day from {Earliest:yyyy-MM-dd} to {Latest:yyyy-MM-dd}."
            ),
            DateOnly day => Wrong(LocalDate.FromDateOnly(day)),
            LocalDateTime moment => Wrong(moment.Date),
            Instant at => Wrong(at.InUtc().Date),
            _ => null,
        };

    private static void Hold(JsonTypeInfo type)
    {
        if (type.Kind == JsonTypeInfoKind.Enumerable)
        {
            var holes = type.ElementType is { IsValueType: false };
            type.OnDeserialized = list => Items((IEnumerable)list, holes);
        }
        else if (type.Kind == JsonTypeInfoKind.Object)
        {
            var held = type
                .Properties.Where(p =>
                    p.Get is not null
                    && (Nullable.GetUnderlyingType(p.PropertyType) ?? p.PropertyType) is var kind
                    && (
                        kind == typeof(string)
                        || kind == typeof(double)
                        || kind == typeof(LocalDate)
                        || kind == typeof(LocalDateTime)
                        || kind == typeof(Instant)
                        || kind.IsAssignableTo(typeof(IId))
                    )
                )
                .ToArray();
            type.OnDeserialized = thing => Array.ForEach(held, p => Refuse(p.Name, p.Get!(thing)));
        }
    }

    private static void Items(IEnumerable list, bool holes)
    {
        var place = 0;
        foreach (var item in list)
        {
            if (item is null && holes)
            {
                // annotations say of a list that it is there, not of what is in it
                throw new UnfitJsonException(
                    $"[{place}]",
                    what: "is nothing",
                    "Leave that place of the list out, or say what stands there."
                );
            }
            Refuse($"[{place++}]", item);
        }
    }

    private static void Refuse(string field, object? value)
    {
        if (Wrong(value) is { } wrong)
        {
            throw new UnfitJsonException(field, wrong.What, wrong.Remedy);
        }
    }

    private static bool Unseen(char c) => char.IsControl(c) && c is not ('\n' or '\r' or '\t');
}
