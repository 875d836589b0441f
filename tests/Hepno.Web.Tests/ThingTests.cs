using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Hepno.Core.Things;

namespace Hepno.Web.Tests;

/// <summary>Whatever is described is kept, called, refused, listed and told of by its description alone.</summary>
public class ThingTests(Shop shop) : IClassFixture<Shop>
{
    public static TheoryData<string> Described => [.. ThingKinds.All.Where(k => k.Form.Count > 0).Select(k => k.Noun)];

    private async Task<JsonElement> Kind(string noun) =>
        (await shop.Get("/api/things")).EnumerateArray().Single(k => k.GetProperty("noun").GetString() == noun);

    /// <summary>What a new one begins with, as an owner fills it: named, priced, its rows typed.</summary>
    private static JsonObject Filled(JsonElement kind)
    {
        var thing = JsonNode.Parse(kind.GetProperty("start").GetRawText())!.AsObject();
        foreach (var field in kind.GetProperty("fields").EnumerateArray())
        {
            var (key, shape) = (field.GetProperty("key").GetString()!, field.GetProperty("shape").GetString());
            var (least, start) = (field.GetProperty("least"), At(thing, key));
            if (shape == "text" && (string)start! == "")
            {
                Put(thing, key, "Northern");
            }
            if (shape is "day" or "machine")
            {
                Put(thing, key, shape == "day" ? "2026-06-02" : "gannet");
            }
            if (shape == "rows" && start!.AsArray().Count == 0)
            {
                Put(thing, key, new JsonArray(Row(field.GetProperty("rows"))));
            }
            if (shape == "number" && least.ValueKind == JsonValueKind.Number && start is not null)
            {
                Put(thing, key, Math.Max((double)start, least.GetDouble()));
            }
        }
        return thing;
    }

    private static JsonObject Row(JsonElement form) =>
        new(
            form.GetProperty("cells")
                .EnumerateArray()
                .Select(c =>
                    KeyValuePair.Create<string, JsonNode?>(
                        c.GetProperty("key").GetString()!,
                        c.GetProperty("shape").GetString() switch
                        {
                            "rows" => new JsonArray(Row(c.GetProperty("rows"))),
                            "choice" => c.GetProperty("options")[0].GetProperty("value").GetString(),
                            "number" => 1,
                            _ => "Northern",
                        }
                    )
                )
        );

    private static JsonNode? At(JsonNode thing, string key) =>
        key.Split('.').Aggregate((JsonNode?)thing, (at, part) => at![part]);

    private static void Put(JsonNode thing, string key, JsonNode? value)
    {
        var way = key.Split('.');
        way[..^1].Aggregate(thing, (at, part) => at[part]!)[way[^1]] = value;
    }

    private Task<(int Status, JsonElement Body)> Keep(string noun, string id, JsonNode thing, string? version = null) =>
        shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", thing.ToJsonString(), version, more: request =>
            request.Headers.Add("Hepno-Sure", "true")
        );

    private async Task<JsonElement> Value(string noun, string id) =>
        (await shop.Get($"/api/{noun}"))
            .EnumerateArray()
            .Select(t => t.GetProperty("value"))
            .Single(v => v.GetProperty("id").GetString() == id);

    [Theory]
    [MemberData(nameof(Described))]
    public async Task A_new_one_is_kept_as_it_was_typed_changed_and_taken_back(string noun)
    {
        var thing = Filled(await Kind(noun));
        var (status, said) = await Keep(noun, "new-one", thing);
        Assert.True(status == 200, said.ToString());
        var kept = JsonNode.Parse((await Value(noun, "new-one")).GetRawText())!.AsObject();
        Assert.All(thing, member => Assert.True(JsonNode.DeepEquals(member.Value, kept[member.Key]), member.Key));
        // typed with blanks round it, under its own id, and by who had it open: a change, and it can be taken back
        var name = new[] { "name", "supplier", "why" }.First(kept.ContainsKey);
        kept[name] = "  Southern ";
        Assert.Equal(428, (await Keep(noun, "new-one", kept)).Status);
        Assert.Equal(200, (await Keep(noun, "new-one", kept, "1")).Status);
        Assert.Equal("Southern", (await Value(noun, "new-one")).GetProperty(name).GetString());
        Assert.Equal(409, (await Keep(noun, "new-one", kept, "1")).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo")).Status);
        Assert.Equal("Northern", (await Value(noun, "new-one")).GetProperty(name).GetString());
    }

    [Theory]
    [MemberData(nameof(Described))]
    public async Task Every_field_refuses_what_lies_outside_it_and_names_itself(string noun)
    {
        var kind = await Kind(noun);
        foreach (var field in kind.GetProperty("fields").EnumerateArray())
        {
            var (key, label) = (field.GetProperty("key").GetString()!, field.GetProperty("label").GetString()!);
            foreach (var outside in Outside(field))
            {
                var thing = Filled(kind);
                Put(thing, key, outside?.DeepClone());
                var (status, said) = await Keep(noun, "outside", thing);
                Assert.True(status == 400, $"{key} {outside}: {said}");
                var problem = said.GetProperty("problems")
                    .EnumerateArray()
                    .First(p => p.GetProperty("where").GetString() == key);
                Assert.Matches(
                    $"^({Regex.Escape(label)}: |The .* has no )",
                    problem.GetProperty("sentence").GetString()!
                );
                Assert.NotEmpty(problem.GetProperty("remedy").GetString()!);
            }
        }
    }

    private static IEnumerable<JsonNode?> Outside(JsonElement field)
    {
        if (field.GetProperty("shape").GetString() == "text" && !field.GetProperty("mayBeEmpty").GetBoolean())
        {
            yield return "  ";
        }
        if (field.GetProperty("shape").GetString() == "machine")
        {
            yield return "nobody";
        }
        if (field.GetProperty("least") is { ValueKind: JsonValueKind.Number } least)
        {
            yield return least.GetDouble() - 1;
        }
        if (field.GetProperty("most") is { ValueKind: JsonValueKind.Number } most)
        {
            yield return most.GetDouble() + 1;
        }
    }

    [Theory]
    [MemberData(nameof(Described))]
    public async Task A_price_that_is_watched_is_told_from_the_day_it_held(string noun)
    {
        var kind = await Kind(noun);
        var watched = ThingKinds.All.Single(k => k.Noun == noun).HasPrices;
        Assert.Equal(watched, kind.GetProperty("hasPrices").GetBoolean());
        Assert.Equal(200, (await Keep(noun, "priced", Filled(kind))).Status);
        using var client = shop.CreateClient();
        using var answer = await client.GetAsync(new Uri($"/api/{noun}/priced/prices", UriKind.Relative));
        Assert.Equal(watched ? 200 : 404, (int)answer.StatusCode);
        if (watched)
        {
            var lines = JsonElement.Parse(await answer.Content.ReadAsStringAsync());
            Assert.NotEqual(0, lines.GetArrayLength());
            Assert.All(lines.EnumerateArray(), l => Assert.Single(l.GetProperty("steps").EnumerateArray()));
        }
    }

    [Fact]
    public async Task An_id_is_the_addresss_and_nothing_is_not_taken_for_something()
    {
        var thing = Filled(await Kind("cutters"));
        thing["id"] = "other";
        var (status, said) = await Keep("cutters", "mine", thing);
        Assert.Equal((400, "id"), (status, said.GetProperty("problems")[0].GetProperty("where").GetString()));
        thing["id"] = "mine";
        Assert.Equal(200, (await Keep("cutters", "mine", thing)).Status);
        // a list that is nothing is an empty one; anything else that is nothing is refused, never a fault
        var press = JsonNode.Parse((await Value("presses", "gannet")).GetRawText())!.AsObject();
        press["lowers"] = null;
        Assert.Equal(200, (await Keep("presses", "copy", With(press, "id", "copy"))).Status);
        Assert.Equal(0, (await Value("presses", "copy")).GetProperty("lowers").GetArrayLength());
        foreach (var member in press.Select(m => m.Key).Where(k => k is not ("id" or "offsetF")).ToList())
        {
            var (answered, _) = await Keep("presses", member, With(With(press, "id", member), member, null));
            Assert.True(answered is 200 or 400, $"{member}: {answered.ToString(CultureInfo.InvariantCulture)}");
        }
    }

    private static JsonObject With(JsonObject thing, string member, JsonNode? value)
    {
        var other = thing.DeepClone().AsObject();
        other[member] = value;
        return other;
    }
}
