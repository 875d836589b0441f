using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Measures;

namespace Hepno.Web.Wire;

/// <summary>Two devices changed the same thing: both versions and the fields that collide; and both ways to keep what
/// does not: with theirs, or with yours, where both changed the same.</summary>
internal static class Collision
{
    private const string Id = "id";

    /// <param name="yours">What was sent.</param>
    /// <param name="theirs">What stands, in the same shape.</param>
    /// <param name="before">What both started from, or null when it is no longer known.</param>
    /// <param name="version">The version that stands.</param>
    public static RefusedException Refusal<T>(T yours, T theirs, T? before, long version)
    {
        var (a, b, c) = (Node(yours), Node(theirs), before is null ? null : Node(before));
        var differ = Differ(a, b, "").ToList();
        var collide = new List<string>();
        var merged = Merged(a, b, c, c is not null, "", collide, yoursStands: false);
        var mine = Merged(a, b, c, c is not null, "", [], yoursStands: true);
        var sentence =
            collide.Count == 0
                ? "Another device changed other parts of this in the meantime."
                : $"Another device changed the same in the meantime: {string.Join(", ", collide)}.";
        return new RefusedException(
            409,
            [
                new Problem(
                    "stale",
                    sentence,
                    collide.FirstOrDefault() ?? "",
                    Remedy: collide.Count == 0 ? "Keep both changes with one key." : "Choose which of them stands."
                ),
            ],
            new Dictionary<string, object?>
            {
                ["yours"] = a,
                ["theirs"] = b,
                ["merged"] = merged,
                ["mine"] = mine,
                ["differ"] = differ,
                ["collide"] = collide,
                ["version"] = version,
            }
        );
    }

    // fields by their way down: "rates.orderMinutes"
    private static IEnumerable<string> Differ(JsonNode? yours, JsonNode? theirs, string field) =>
        JsonNode.DeepEquals(yours, theirs) ? []
        : yours is JsonObject a && theirs is JsonObject b
            ? a.Select(p => p.Key)
                .Union(b.Select(p => p.Key))
                .SelectMany(k => Differ(a[k], b[k], field.Length == 0 ? k : $"{field}.{k}"))
        : [field];

    // a null may be a field said to be nothing, so whether the state before is known is said apart; three-way: what
    // only one side changed stands as that side has it; objects are merged by field, lists of things with an id by
    // thing
    private static JsonNode? Merged(
        JsonNode? yours,
        JsonNode? theirs,
        JsonNode? before,
        bool known,
        string field,
        List<string> collide,
        bool yoursStands
    )
    {
        if (JsonNode.DeepEquals(yours, theirs) || (known && JsonNode.DeepEquals(yours, before)))
        {
            return theirs?.DeepClone();
        }
        if (known && JsonNode.DeepEquals(theirs, before))
        {
            return yours?.DeepClone();
        }
        if (yours is JsonObject a && theirs is JsonObject b)
        {
            return new JsonObject(
                b.Select(p =>
                    KeyValuePair.Create(
                        p.Key,
                        Merged(
                            a[p.Key],
                            p.Value,
                            (before as JsonObject)?[p.Key],
                            before is JsonObject,
                            p.Key,
                            collide,
                            yoursStands
                        )
                    )
                )
            );
        }
        if (Things(yours) is { } mine && Things(theirs) is { } other && Things(before) is { } was)
        {
            var kept = other
                .Where(o =>
                    mine.ContainsKey(o.Key)
                    || !was.TryGetValue(o.Key, out var then)
                    || !JsonNode.DeepEquals(o.Value, then)
                )
                .Select(o =>
                    mine.TryGetValue(o.Key, out var m)
                        ? Merged(
                            m,
                            o.Value,
                            was.GetValueOrDefault(o.Key),
                            was.ContainsKey(o.Key),
                            field,
                            collide,
                            yoursStands
                        )
                        : o.Value.DeepClone()
                );
            var added = mine.Where(m =>
                    !other.ContainsKey(m.Key)
                    && (!was.TryGetValue(m.Key, out var then) || !JsonNode.DeepEquals(m.Value, then))
                )
                .Select(m => m.Value.DeepClone());
            return new JsonArray([.. kept, .. added]);
        }
        if (!collide.Contains(field))
        {
            collide.Add(field);
        }
        return (yoursStands ? yours : theirs)?.DeepClone();
    }

    private static Dictionary<string, JsonNode>? Things(JsonNode? node) =>
        node is JsonArray list
        && list.All(n => n is JsonObject o && o[Id] is not null)
        && list.DistinctBy(n => n![Id]!.ToString()).Count() == list.Count
            ? list.ToDictionary(n => n![Id]!.ToString(), n => n!)
            : null;

    private static JsonNode Node<T>(T value) => JsonSerializer.SerializeToNode(value, Json.Exact)!;
}
