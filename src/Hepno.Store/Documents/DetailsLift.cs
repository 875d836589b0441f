using System.Text.Json.Nodes;

namespace Hepno.Store.Documents;

/// <summary>What is said of an order beside its lines was one note until December 2026, in documents of version 2.</summary>
internal static class DetailsLift
{
    /// <summary>Lifts what has an ask: an order, a sent quote.</summary>
    public static void Lift(JsonObject of)
    {
        if (of["ask"] is not JsonObject ask)
        {
            return;
        }
        var note = ask["note"]?.DeepClone() ?? "";
        ask.Remove("note");
        ask["details"] = new JsonObject(ask.Options) { ["note"] = note };
    }
}
