using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Blanks;
using Hepno.Core.Orders;

namespace Hepno.Web.Tests;

/// <summary>Makes shops and asks at random out of what a shop has: half set up, oddly priced, asked for what nobody
/// expects.</summary>
public sealed class AnyShop(JsonNode document, int seed)
{
    private readonly Random dice = new(seed);

    /// <summary>A number below another.</summary>
    public int Under(int end) => dice.Next(end);

    /// <summary>One of some.</summary>
    public T Pick<T>(IReadOnlyList<T> from) => from[dice.Next(from.Count)];

    /// <summary>A kept thing as it is sent again: what only the answer has is left out.</summary>
    public JsonObject Body(string schema, JsonNode value)
    {
        var known = document["components"]!["schemas"]![schema]!;
        return (JsonObject)Known(known, value)!;
    }

    /// <summary>The same thing with up to three of its figures and choices changed.</summary>
    public JsonObject Changed(string schema, JsonNode value)
    {
        var body = Body(schema, value);
        for (var n = 1 + dice.Next(3); n > 0; n--)
        {
            Change(body);
        }
        return body;
    }

    /// <summary>An ask of one to three lines over the garments there are.</summary>
    public JsonObject Ask(IReadOnlyList<JsonNode> styles, string customer)
    {
        var lines = Enumerable
            .Range(1, dice.Next(4) == 0 ? 1 + dice.Next(3) : 1)
            .Select(n => (JsonNode)Line(n, styles.Count == 0 ? null : Pick(styles)))
            .ToArray();
        var due = dice.Next(3) == 0 ? null : Shop.DaysOn(dice.Next(60));
        return new()
        {
            ["customerId"] = customer,
            ["lines"] = new JsonArray(lines),
            ["dueDate"] = due,
            ["dueTime"] = due is not null && dice.Next(3) == 0 ? "15:00:00" : null,
            ["details"] = null,
            ["channel"] = Pick(["retail", "wholesale"]),
            ["shipping"] = null,
        };
    }

    private JsonObject Line(int n, JsonNode? style)
    {
        string[] sizes = [.. (style?["sizes"]?.AsArray() ?? []).Select(s => (string)s!["name"]!)];
        string[] colours = [.. (style?["colourways"]?.AsArray() ?? []).Select(c => (string)c!["id"]!)];
        var ordered = sizes
            .Where(_ => dice.Next(2) == 0)
            .Append(sizes.Length == 0 ? "M" : Pick(sizes))
            .Distinct()
            .Take(dice.Next(15) == 0 ? 0 : 12)
            .Select(s => (Size: s, Pieces: Pieces()))
            .ToList();
        var kind = style is null
            ? GarmentKind.Tee
            : Enum.Parse<GarmentKind>(
                ((string)style["kind"]!).Replace("-", "", StringComparison.Ordinal),
                ignoreCase: true
            );
        var places = Places
            .On(kind)
            .Where(p => p != Places.AllOver || dice.Next(4) == 0)
            .OrderBy(_ => dice.Next())
            .ToList();
        var prints = Enumerable
            .Range(0, Pick([0, 1, 1, 1, 1, 2, 2, 2, 3, 4, 6]))
            .Select(i => Print($"{n}-{i}", dice.Next(20) == 0 || i >= places.Count ? Pick(Places.All).Id : places[i]))
            .ToList();
        foreach (var p in prints.Skip(1).Where(_ => dice.Next(8) == 0))
        {
            p["place"] = prints[0]["place"]!.DeepClone();
            p["onTopOf"] = $"{n}-0";
        }
        var named = prints.Any(p => (string)p["own"]! != "none");
        var names =
            named && dice.Next(4) > 0
                ? new JsonArray([
                    .. ordered.SelectMany(s =>
                        Enumerable
                            .Range(0, Math.Min(s.Pieces, 400))
                            .Select(i =>
                                (JsonNode)
                                    new JsonObject
                                    {
                                        ["size"] = s.Size,
                                        ["name"] = Pick(["Bo", "Ann-Marie", "Øyvind", ""]),
                                        ["number"] = $"{i % 100}",
                                    }
                            )
                    ),
                ])
                : null;
        return new()
        {
            ["id"] = $"{n}",
            ["styleId"] = (string?)style?["id"],
            ["colourwayId"] = colours.Length == 0 ? null : Pick(colours),
            ["sizes"] = new JsonArray([
                .. ordered.Select(s => (JsonNode)new JsonObject { ["size"] = s.Size, ["pieces"] = s.Pieces }),
            ]),
            ["placements"] = new JsonArray([.. prints]),
            ["mark"] = dice.Next(3) == 0 ? Math.Round(dice.NextDouble() * 60, 2) : null,
            ["given"] = 0,
            ["names"] = names,
            ["theirs"] = dice.Next(6) == 0,
            ["dueDate"] = null,
        };
    }

    private int Pieces() => Pick([1, 1, 2, 6, 12, 24, 50, 120, 489, 1001]);

    private JsonObject Print(string id, string place) =>
        new()
        {
            ["id"] = id,
            ["place"] = place,
            ["widthIn"] = Inches(),
            ["heightIn"] = Inches(),
            ["coveragePercent"] = Pick([1, 20, 50, 100]),
            ["colours"] = Pick([1, 2, 4, 12, 20]),
            ["gradient"] = dice.Next(4) == 0,
            ["thinnestLinePt"] = Pick([0.1, 4, 6, 8, 12]),
            ["designId"] = null,
            ["bySize"] = dice.Next(2) == 0,
            ["own"] = Pick(["none", "none", "none", "none", "none", "name", "number"]),
            ["cuts"] = null,
            ["stitches"] = dice.Next(4) == 0 ? Pick([100, 7200, 60_000]) : null,
            ["onTopOf"] = null,
        };

    private double Inches() =>
        dice.Next(16) == 0
            ? Pick([0.05, 0.4, 29, 36, 40])
            : Math.Round(0.5 + dice.NextDouble() * (dice.Next(4) > 0 ? 1.2 : 11), 2);

    private JsonNode? Known(JsonNode schema, JsonNode? value)
    {
        if (schema["$ref"] is { } link)
        {
            return Known(document["components"]!["schemas"]![((string)link!).Split('/')[^1]]!, value);
        }
        if (schema["oneOf"] is JsonArray choices)
        {
            return value is null ? null : Known(choices.First(c => (string?)c!["type"] != "null")!, value);
        }
        return value switch
        {
            JsonObject o when schema["properties"] is JsonObject named => new JsonObject(
                named
                    .Where(p => o.ContainsKey(p.Key))
                    .Select(p => KeyValuePair.Create(p.Key, Known(p.Value!, o[p.Key])))
            ),
            JsonArray list when schema["items"] is { } items => new JsonArray([.. list.Select(i => Known(items, i))]),
            _ => value?.DeepClone(),
        };
    }

    // a figure becomes nothing, little, much or a bit more; a yes becomes a no; a list loses what it holds
    private void Change(JsonObject body)
    {
        var at = body.ElementAt(dice.Next(body.Count));
        switch (at.Value)
        {
            case JsonObject inner when inner.Count > 0:
                Change(inner);
                break;
            case JsonArray list when list.Count > 0 && dice.Next(3) > 0 && Pick([.. list]) is JsonObject item:
                Change(item);
                break;
            case JsonArray list when list.Count > 0:
                list.RemoveAt(dice.Next(list.Count));
                break;
            case JsonValue v when v.GetValueKind() == JsonValueKind.Number:
                var was = double.Parse(v.ToJsonString(), CultureInfo.InvariantCulture);
                body[at.Key] =
                    was == Math.Floor(was)
                        ? (long)Pick([0, 1, was + 1, was * 2, 500])
                        : Pick([0, 0.01, Math.Round(was * 1.37, 4), Math.Round(was / 3, 4), 500]);
                break;
            case JsonValue v when v.GetValueKind() is JsonValueKind.True or JsonValueKind.False:
                body[at.Key] = !v.GetValue<bool>();
                break;
            default:
                break;
        }
    }
}
