using System.Diagnostics;
using System.Globalization;
using System.Text.Json.Nodes;
using Hepno.Core.Things;
using Xunit.Abstractions;

namespace Hepno.Web.Tests;

/// <summary>Whatever a write accepted, everything that reads it answers, or says in words why not.</summary>
public sealed class AnyShopTests(ITestOutputHelper output)
{
    private const int Seed = 20261130;

    private static readonly string[] Kinds =
    [
        "styles",
        "films",
        "vinyls",
        "screens",
        "film-printers",
        "dye-printers",
        "paper-printers",
        "garment-printers",
        "stitch-machines",
        "papers",
        "outside-printers",
        "pod-services",
        "cloths",
        "calenders",
        "cutters",
        "presses",
        "kept-prints",
        "remnants",
        "recipes",
        "supplies",
    ];

    private static readonly string[] ReadsOfAnOrder =
    [
        "",
        "/compare",
        "/ribbon",
        "/ways",
        "/layout",
        "/lines/1/layout",
        "/quote",
        "/quote.pdf",
        "/confirmation.pdf",
        "/packing-slip.pdf",
        "/placement.pdf",
        "/names.csv",
        "/history",
        "/sending",
        "/label.pdf",
        "/learned",
    ];

    private static readonly string[] ReadsOfTheShop =
    [
        "/api/line",
        "/api/press-day",
        "/api/gather",
        "/api/drawer",
        "/api/start-up",
        "/api/make-or-buy",
        "/api/cures/waiting",
        "/api/supplies/view",
    ];

    // a shop takes about half a second; with --long as many as five minutes hold for each of the two
    private static bool IsLong => Environment.GetEnvironmentVariable("HEPNO_LONG") is { Length: > 0 };

    private static readonly string[] Endings = ["declined", "cancelled"];

    private readonly List<string> wrong = [];
    private readonly List<(string Path, string Body)> changed = [];
    private readonly SortedDictionary<int, int> counts = [];

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task What_was_accepted_can_be_read(bool demo)
    {
        using var shop = new Shop(demo);
        using var client = shop.CreateClient();
        var document = JsonNode.Parse(await client.GetStringAsync("/openapi/v1.json"))!;
        var any = new AnyShop(document, Seed);
        if (!demo)
        {
            await FromAnother(shop, any);
        }
        var (turn, from) = (0, Stopwatch.StartNew());
        for (; turn < (IsLong ? 2500 : 12) && from.Elapsed < TimeSpan.FromMinutes(5); turn++)
        {
            await ChangeShop(shop, any);
            await AskAndRead(shop, any, turn);
        }
        output.WriteLine($"seed {Seed}, {turn} shops: {string.Join(", ", counts.Select(c => $"{c.Key} × {c.Value}"))}");
        Assert.True(wrong.Count == 0, $"{wrong.Count} in {turn} shops:\n{string.Join('\n', wrong.Take(40))}");
    }

    // a shop that is set up by halves: some of what the demo shop has
    private static async Task FromAnother(Shop shop, AnyShop any)
    {
        using var full = new Shop();
        foreach (var kind in Kinds)
        {
            var schema = SchemaOf(kind);
            foreach (var thing in (await All(full, kind)).Where(_ => any.Under(3) > 0))
            {
                await shop.Send(
                    HttpMethod.Put,
                    $"/api/{kind}/{thing["value"]!["id"]}",
                    any.Body(schema, thing["value"]!).ToJsonString()
                );
            }
        }
    }

    // one shop after another: what made the last one odd is put back, and a few other things are changed
    private async Task ChangeShop(Shop shop, AnyShop any)
    {
        foreach (var (path, body) in changed)
        {
            await shop.Send(HttpMethod.Put, path, body, await Version(shop, path));
        }
        changed.Clear();
        for (var n = any.Under(6); n > 0; n--)
        {
            var kind = any.Pick(Kinds);
            if (await All(shop, kind) is { Count: > 0 } all && any.Pick(all)["value"]! is var thing)
            {
                await Change(shop, any, $"/api/{kind}/{thing["id"]}", SchemaOf(kind), thing);
            }
        }
        if (any.Under(3) == 0)
        {
            await Change(
                shop,
                any,
                "/api/numbers",
                "ShopNumbers",
                JsonNode.Parse((await shop.Get("/api/numbers")).GetRawText())!["value"]!
            );
        }
    }

    private async Task Change(Shop shop, AnyShop any, string path, string schema, JsonNode thing)
    {
        if (
            await Told(shop, HttpMethod.Put, path, any.Changed(schema, thing).ToJsonString(), await Version(shop, path))
            == 200
        )
        {
            changed.Add((path, any.Body(schema, thing).ToJsonString()));
        }
    }

    private static async Task<string> Version(Shop shop, string path) =>
        path == "/api/numbers"
            ? (await shop.Get(path)).GetProperty("version").ToString()
            : (await All(shop, path.Split('/')[2])).First(t => (string)t["value"]!["id"]! == path.Split('/')[3])[
                "version"
            ]!.ToString();

    private async Task AskAndRead(Shop shop, AnyShop any, int turn)
    {
        var id = $"any-{turn}";
        await shop.Send(HttpMethod.Put, "/api/customers/any", """{"name":"Anyone","contact":"any@example.test"}""");
        var styles = (await All(shop, "styles")).Select(s => s["value"]!).ToList();
        var ask = any.Ask(styles, "any").ToJsonString();
        if (await Told(shop, HttpMethod.Put, $"/api/orders/{id}", ask, null) != 200)
        {
            return;
        }
        await Read(shop, id, ask);
        var bands = (await shop.Send(HttpMethod.Get, $"/api/orders/{id}/compare")) is (200, var compared)
            ? compared
                .GetProperty("bands")
                .EnumerateArray()
                .Select(b => b.GetProperty("methodId").GetString()!)
                .ToList()
            : [];
        if (bands.Count > 0)
        {
            await Deed(shop, id, "choose", $$"""{"methodId":"{{any.Pick(bands)}}"}""");
            await Deed(shop, id, "lay-out", null);
            await Deed(shop, id, "send", null);
            await Deed(shop, id, "approve", """{"by":"Anyone"}""");
            await Read(shop, id, ask);
        }
        // off the line again, whatever became of it: the next one's day is its own
        foreach (var kind in Endings)
        {
            await Deed(
                shop,
                id,
                "end",
                $$"""{"kind":"{{kind}}","why":"not wanted","toWhom":"","theirPrice":null,"settled":0}"""
            );
        }
    }

    private async Task Read(Shop shop, string id, string ask)
    {
        foreach (var path in ReadsOfAnOrder.Select(r => $"/api/orders/{id}{r}").Concat(ReadsOfTheShop))
        {
            using var answer = await shop.CreateClient().GetAsync(new Uri(path, UriKind.Relative));
            Note((int)answer.StatusCode, $"GET {path}", ask);
            if (path == $"/api/orders/{id}" && (int)answer.StatusCode != 200)
            {
                wrong.Add($"{(int)answer.StatusCode} GET {path}: it cannot be opened. {ask}");
            }
        }
    }

    private async Task Deed(Shop shop, string id, string deed, string? json)
    {
        if (await shop.Send(HttpMethod.Get, $"/api/orders/{id}") is (200, var order))
        {
            await Told(
                shop,
                HttpMethod.Post,
                $"/api/orders/{id}/{deed}",
                json,
                order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
            );
        }
    }

    private async Task<int> Told(Shop shop, HttpMethod method, string path, string? json, string? version)
    {
        var (status, body) = await shop.Send(method, path, json, version);
        Note(status, $"{method} {path}", json ?? "");
        return status;
    }

    private void Note(int status, string call, string body)
    {
        counts[status] = counts.GetValueOrDefault(status) + 1;
        if (status >= 500)
        {
            wrong.Add($"{status} {call} {(body.Length > 1500 ? body[..1500] : body)}");
        }
    }

    private static async Task<List<JsonNode>> All(Shop shop, string kind) =>
        [.. JsonNode.Parse((await shop.Get($"/api/{kind}")).GetRawText())!.AsArray().Select(n => n!)];

    private static string SchemaOf(string kind) => ThingKinds.All.Single(k => k.Noun == kind).Accept(new RecordName());

    private sealed class RecordName : IForEachKind<string>
    {
        public string Of<T>(ThingKind<T> kind)
            where T : class => typeof(T).Name;
    }
}
