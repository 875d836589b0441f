using System.Text.Json;
using System.Text.RegularExpressions;
using Hepno.Core.Measures;

namespace Hepno.Web.Wire;

/// <summary>Says what of a request cannot be read, and what to do about it.</summary>
internal static partial class UnreadableBody
{
    /// <summary>The refusal of a request the host could not read.</summary>
    public static async Task<Problem> Problem(BadHttpRequestException bad, HttpRequest request)
    {
        switch (bad.StatusCode)
        {
            case 413:
                return new(
                    "too-large",
                    "That is more than 1 MB: Hepno does not take it.",
                    Where: "",
                    "Send less at once."
                );
            case 415:
                return new(
                    "media-type",
                    "This content type is not taken here.",
                    Where: "",
                    "Send JSON (application/json), or the kind of file the API document names for this call."
                );
            default:
                return bad.InnerException is JsonException json ? await OfJson(json, request) : OfAddress(bad);
        }
    }

    private static Problem OfAddress(BadHttpRequestException bad)
    {
        var name = ParameterName().Match(bad.Message) is { Success: true } m ? m.Groups[1].Value : "";
        return name.Length > 0
            ? new("unreadable", $"\"{name}\" in the address cannot be read.", Where: name, "Look at its value again.")
            : new("unreadable", "The body is empty or cannot be read.", Where: "", "Send JSON.");
    }

    private static async Task<Problem> OfJson(JsonException json, HttpRequest request)
    {
        var path = (json.Path ?? "$").TrimStart('$').TrimStart('.');
        if (json is UnfitJsonException unfit)
        {
            var field = path.Length == 0 || unfit.Field.StartsWith('[') ? path + unfit.Field : $"{path}.{unfit.Field}";
            return new("unfit", $"\"{field}\" {unfit.What}.", Where: field, unfit.Remedy);
        }
        if (Including().Match(json.Message) is { Success: true } missing)
        {
            var names = Quoted().Matches(missing.Groups[1].Value).Select(q => q.Groups[1].Value).ToList();
            var parent = path.Length == 0 ? "" : $"{path}.";
            return new(
                "missing-field",
                $"Missing: {string.Join(", ", names.Select(n => parent + n))}.",
                Where: parent + names[0],
                "Send every field; null where nothing is said."
            );
        }
        if (Unmapped().Match(json.Message) is { Success: true } unknown)
        {
            return new(
                "unknown-field",
                $"\"{unknown.Groups[1].Value}\" is not a field here.",
                Where: path,
                "Look at the API document for the names."
            );
        }
        if (path.Length == 0 || json.InnerException is JsonException)
        {
            return new(
                "malformed",
                "This is not JSON that can be read.",
                Where: "",
                "Look for a missing bracket, comma or quote."
            );
        }
        var typed = await Edge.Typed(request, path);
        return new(
            "unreadable-field",
            typed.Length == 0 ? $"\"{path}\" cannot be read." : $"\"{path}\" cannot be {typed}.",
            Where: path,
            "Look at its kind: a whole number, a number, text, a date like 2026-06-12, the shop's clock like "
                + "2026-06-12T14:00, or one of the words of the API document."
        );
    }

    [GeneratedRegex("including: (.+?)\\.?$", RegexOptions.Singleline)]
    private static partial Regex Including();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();

    [GeneratedRegex("The JSON property '([^']+)' could not be mapped")]
    private static partial Regex Unmapped();

    [GeneratedRegex("parameter \"\\S+ (\\w+)\"")]
    private static partial Regex ParameterName();
}
