using System.Text.Json.Nodes;

namespace Hepno.Store.Documents;

/// <summary>What has happened to an order was one list until December 2026, in documents of version 1: put by station,
/// lists that were not kept yet empty.</summary>
internal static class OrderLift
{
    // a station, what it holds as it was called, and what that is called now where that is another name; [] for lists
    private static readonly Dictionary<string, string[]> Stations = new()
    {
        ["choice"] = ["decisions[]", "offered[]", "lastTimes[]"],
        ["layout"] = ["laidOutAt at", "layouts[]", "drawer[]", "joined[]", "remnants[]"],
        ["gathering"] = ["approval", "deposit", "risks[]", "items[]"],
        ["pressing"] = ["runStartedAt startedAt", "pressed[] on", "moves[]"],
        ["sending"] = ["counted[]", "parts[]", "handOver"],
        ["end"] = ["closedAt", "ending"],
    };

    /// <summary>Lifts an order.</summary>
    public static void Lift(JsonObject order)
    {
        if (order["facts"] is not JsonObject was)
        {
            return;
        }
        var facts = new JsonObject(order.Options);
        foreach (var (station, names) in Stations)
        {
            var into = new JsonObject(order.Options);
            foreach (var name in names.Select(n => n.Split(' ')))
            {
                var isList = name[0].EndsWith("[]", StringComparison.Ordinal);
                var called = name[0].TrimEnd('[', ']');
                into[name[^1].TrimEnd('[', ']')] = was[called]?.DeepClone() ?? (isList ? new JsonArray() : null);
            }
            facts[station] = into;
        }
        facts["attached"] = was["attached"]?.DeepClone() ?? new JsonArray();
        order["facts"] = facts;
    }
}
