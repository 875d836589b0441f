using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>One call as it goes out.</summary>
/// <param name="Method">GET, PUT, POST or DELETE.</param>
/// <param name="Route">The route of the document.</param>
/// <param name="Path">Address with ids and query filled in.</param>
/// <param name="Body">Bytes sent, or null for none.</param>
/// <param name="MediaType">Their type, or null for none.</param>
/// <param name="IfMatch">Version said, or null.</param>
public sealed record Malformed(
    string Method,
    string Route,
    string Path,
    byte[]? Body,
    string? MediaType,
    string? IfMatch
);

/// <summary>Makes calls out of the API document: values the shop has, and among them what nobody should send.</summary>
public sealed class MalformedCalls
{
    // written as they are, since a writer of JSON would not write them
    private static readonly string[] RawBad =
    [
        "null",
        "\"\"",
        "\" \"",
        "\"\\u0000\"",
        "\"a\\u0007b\"",
        "\"\\ud800\"",
        "\"\\n\"",
        "-1",
        "0",
        "0.1",
        "1e308",
        "-1e308",
        "1e309",
        "1e15",
        "999999999999",
        "2147483648",
        "9223372036854775807",
        "79228162514264337593543950335",
        "true",
        "[]",
        "{}",
        "[null]",
        "[[]]",
        "\"NaN\"",
        "\"Infinity\"",
        "\"2026-13-45\"",
        "\"0001-01-01\"",
        "\"9999-12-31\"",
        "\"24:00\"",
        "\"1e5\"",
        "-0",
        "1e-320",
        $"\"{new string('x', 3000)}\"",
        "\"../..\"",
        "\"'; DROP TABLE orders; --\"",
    ];

    private static readonly string[] BadIds =
    [
        "%00",
        "%0A",
        "%20",
        "%7F",
        "a%07",
        "..",
        "%2e%2e",
        "a%2fb",
        "%ff",
        "%F0%9F%A7%B5",
        "%ED%A0%80",
        new('x', 300),
        "-",
        "%27",
        "%E2%80%AE",
    ];

    private static readonly string[] BadQueries =
    [
        "",
        "NaN",
        "Infinity",
        "1e309",
        "-1",
        "0",
        "99999999999999999999",
        "%00",
        "abc",
        "1e308",
        "-1e308",
        "2147483648",
        "2026-02-30",
        "9999-12-31",
        "0001-01-01",
        "true",
        "%ED%A0%80",
    ];

    private readonly Random dice;
    private readonly JsonNode document;
    private readonly List<(string Method, string Route, JsonNode Operation)> operations;
    private readonly Dictionary<string, List<JsonNode?>> seen = [];
    private readonly List<string> ids = [];

    public MalformedCalls(JsonNode document, IEnumerable<JsonNode> answers, int seed)
    {
        dice = new(seed);
        this.document = document;
        operations =
        [
            .. document["paths"]!
                .AsObject()
                .SelectMany(p => p.Value!.AsObject().Select(o => (o.Key.ToUpperInvariant(), p.Key, o.Value!)))
                .Where(o => o.Key != "/api/changes"),
        ];
        foreach (var answer in answers)
        {
            Remember("", answer);
        }
    }

    /// <summary>How many operations the document has.</summary>
    public int Operations => operations.Count;

    /// <summary>The next call; every operation comes about equally often.</summary>
    public Malformed Next(int turn)
    {
        var (method, route, operation) = operations[turn % operations.Count];
        var path = System.Text.RegularExpressions.Regex.Replace(route, @"\{[^}]+\}", _ =>
            dice.Next(6) == 0 ? Pick(BadIds) : Uri.EscapeDataString(Pick(ids))
        );
        var queries = (operation["parameters"]?.AsArray() ?? [])
            .Where(p => (string?)p!["in"] == "query" && dice.Next(2) == 0)
            .Select(p =>
            {
                var name = (string)p!["name"]!;
                string Good() => seen.TryGetValue(name, out var known) ? Pick(known)?.ToString() ?? "" : "3";
                return $"{name}={(dice.Next(3) > 0 ? Pick(BadQueries) : Uri.EscapeDataString(Good()))}";
            })
            .ToList();
        var (body, type) = BodyOf(operation["requestBody"]?["content"]?.AsObject());
        string?[] versions = [null, "\"1\"", "\"2\"", "\"9999\"", "\"-1\"", "*", "\"\"", "\"99999999999999999999\""];
        return new(
            method,
            route,
            queries.Count == 0 ? path : $"{path}?{string.Join('&', queries)}",
            body,
            type,
            Pick(versions)
        );
    }

    private (byte[]? Body, string? Type) BodyOf(JsonObject? content)
    {
        if (content is null || content.Count == 0)
        {
            return dice.Next(4) == 0 ? ("{}"u8.ToArray(), "application/json") : (null, null);
        }
        var (type, schema) = content.ElementAt(dice.Next(content.Count));
        if (!type.Contains("json", StringComparison.Ordinal))
        {
            byte[] start =
                type.EndsWith("png", StringComparison.Ordinal) ? [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]
                : type.EndsWith("jpeg", StringComparison.Ordinal) ? [0xff, 0xd8, 0xff, 0xe0]
                : type.Contains("svg", StringComparison.Ordinal) ? "<svg "u8.ToArray()
                : "id;name;price\n"u8.ToArray();
            var rest = new byte[dice.Next(200)];
            dice.NextBytes(rest);
            return dice.Next(5) == 0 ? ([], type) : ([.. start, .. rest], type);
        }
        string[] whole =
        [
            "",
            "null",
            "[]",
            "\"x\"",
            "{",
            "{}",
            "[null]",
            "1",
            "{\"a\":",
            "\u00ff\u00fe",
            "{}{}",
            new('[', 100),
        ];
        if (dice.Next(8) == 0)
        {
            return (
                Encoding.UTF8.GetBytes(Pick(whole)),
                dice.Next(6) == 0 ? Pick(["text/plain", "application/xml", "application/json; charset=utf-16"]) : type
            );
        }
        var node = Made("", schema!["schema"]!, 0);
        var marks = new Dictionary<string, string>();
        for (var spoiled = dice.Next(4); spoiled > 0; spoiled--)
        {
            node = Spoiled(node, marks);
        }
        var text = node?.ToJsonString() ?? "null";
        foreach (var (mark, raw) in marks)
        {
            text = text.Replace($"\"{mark}\"", raw, StringComparison.Ordinal);
        }
        return (Encoding.UTF8.GetBytes(text), type);
    }

    private JsonNode? Made(string name, JsonNode schema, int depth)
    {
        if (name.Length > 0 && seen.TryGetValue(name, out var known) && dice.Next(5) < 3)
        {
            return Pick(known)?.DeepClone();
        }
        if (schema["$ref"] is { } link)
        {
            return Made(name, document["components"]!["schemas"]![((string)link!).Split('/')[^1]]!, depth + 1);
        }
        if (schema["oneOf"] is JsonArray choices)
        {
            return Made(name, choices[dice.Next(choices.Count)]!, depth + 1);
        }
        if (schema["enum"] is JsonArray words)
        {
            return words[dice.Next(words.Count)]?.DeepClone();
        }
        var type = schema["type"] is JsonArray types ? (string)types[dice.Next(types.Count)]! : (string?)schema["type"];
        switch (type)
        {
            case "object":
                var made = new JsonObject();
                foreach (var (key, property) in schema["properties"]?.AsObject() ?? [])
                {
                    made[key] = depth > 8 ? null : Made(key, property!, depth + 1);
                }
                return made;
            case "array":
                return new JsonArray([
                    .. Enumerable
                        .Range(0, depth > 8 ? 0 : dice.Next(4))
                        .Select(_ => Made("", schema["items"]!, depth + 1)),
                ]);
            case "integer":
                return dice.Next(12) == 0 ? Pick([0, -1, 1000, 100_000, int.MaxValue]) : dice.Next(40);
            case "number":
                return dice.Next(12) == 0
                    ? Pick([0, -1, 1e-9, 5000, 1e6, 1e9, 1e12])
                    : Math.Round(dice.NextDouble() * 30, 3);
            case "boolean":
                return dice.Next(2) == 0;
            case "null":
                return null;
            default:
                return (string?)schema["format"] switch
                {
                    "date" => $"2026-{dice.Next(1, 13):00}-{dice.Next(1, 29):00}",
                    "date-time" => $"2026-03-{dice.Next(1, 29):00}T10:00:00Z",
                    "time" => $"{dice.Next(24):00}:30:00",
                    _ => dice.Next(3) == 0
                        ? Pick(ids)
                        : $"word {dice.Next(100).ToString(CultureInfo.InvariantCulture)}",
                };
        }
    }

    // puts a mark in a random place of the tree; what is bad is written in its stead
    private JsonNode? Spoiled(JsonNode? node, Dictionary<string, string> marks)
    {
        if (node is JsonObject { Count: > 0 } o && dice.Next(6) > 0)
        {
            var (key, value) = o.ElementAt(dice.Next(o.Count));
            if (dice.Next(8) == 0)
            {
                o.Remove(key);
                return o;
            }
            o[key] = Spoiled(value?.DeepClone(), marks);
            return o;
        }
        if (node is JsonArray { Count: > 0 } list && dice.Next(6) > 0)
        {
            var at = dice.Next(list.Count);
            list[at] = Spoiled(list[at]?.DeepClone(), marks);
            return list;
        }
        var mark = $"@{marks.Count}@";
        marks[mark] = Pick(RawBad);
        return mark;
    }

    private void Remember(string name, JsonNode? node)
    {
        if (name.Length > 0)
        {
            if (!seen.TryGetValue(name, out var known))
            {
                seen[name] = known = [];
            }
            if (known.Count < 60)
            {
                known.Add(node);
            }
        }
        if (node is JsonObject o)
        {
            foreach (var (key, value) in o)
            {
                Remember(key, value);
                if (
                    key is "id" or "styleId" or "orderId"
                    && value?.GetValueKind() == System.Text.Json.JsonValueKind.String
                    && ids.Count < 400
                )
                {
                    ids.Add((string)value!);
                }
            }
        }
        else if (node is JsonArray list)
        {
            foreach (var item in list)
            {
                Remember("", item);
            }
        }
    }

    private T Pick<T>(IReadOnlyList<T> from) => from[dice.Next(from.Count)];
}
