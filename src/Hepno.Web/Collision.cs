using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Measures;

namespace Hepno.Web;

/// <summary>Two devices changed the same thing: both versions and the fields that differ, so that the screen can merge what does not collide.</summary>
internal static class Collision
{
    /// <param name="yours">What was sent.</param>
    /// <param name="theirs">What stands, in the same shape.</param>
    /// <param name="before">What both started from, or null when it is no longer known.</param>
    /// <param name="version">The version that stands.</param>
    public static RefusedException Of<T>(T yours, T theirs, T? before, long version)
    {
        var (a, b, c) = (Node(yours), Node(theirs), before is null ? null : Node(before));
        var differ = a.Select(p => p.Key).Where(k => !JsonNode.DeepEquals(a[k], b[k])).ToList();
        var collide = differ.Where(k => c is null || (!JsonNode.DeepEquals(a[k], c[k]) && !JsonNode.DeepEquals(b[k], c[k]))).ToList();
        var merged = new JsonObject(b.Select(p => KeyValuePair.Create(p.Key, (c is not null && !JsonNode.DeepEquals(a[p.Key], c[p.Key]) && !collide.Contains(p.Key) ? a[p.Key] : p.Value)?.DeepClone())));
        var sentence = collide.Count == 0 ? "Another device changed other parts of this in the meantime." : $"Another device changed the same in the meantime: {string.Join(", ", collide)}.";
        return new RefusedException(409, [new Problem("stale", sentence, collide.FirstOrDefault() ?? "", collide.Count == 0 ? "Keep both changes with one key." : "Choose which of them stands.")],
            new Dictionary<string, object?> { ["yours"] = a, ["theirs"] = b, ["merged"] = merged, ["differ"] = differ, ["collide"] = collide, ["version"] = version });
    }

    private static JsonObject Node<T>(T value) => JsonSerializer.SerializeToNode(value, Json.Frozen)!.AsObject();
}
