using System.IO.Compression;
using System.Net.Http.Headers;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>The whole shop out as one file and into an empty one.</summary>
public class ArchiveTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<byte[]> Archive() => await shop.CreateClient().GetByteArrayAsync("/api/archive");

    internal static async Task<(int Status, JsonElement Body)> Bring(
        Shop into,
        byte[] archive,
        string type = "application/zip"
    )
    {
        using var content = new ByteArrayContent(archive);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        using var answer = await into.CreateClient().PutAsync("/api/archive", content);
        return ((int)answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
    }

    private static SortedDictionary<string, byte[]> Parts(byte[] archive)
    {
        using var zip = new ZipArchive(new MemoryStream(archive));
        return new(
            zip.Entries.ToDictionary(
                e => e.FullName,
                e =>
                {
                    using var from = e.Open();
                    using var to = new MemoryStream();
                    from.CopyTo(to);
                    return to.ToArray();
                }
            ),
            StringComparer.Ordinal
        );
    }

    private static bool Same(byte[] archive, byte[] other)
    {
        try
        {
            return Parts(archive).SequenceEqual(Parts(other), new PartEquality());
        }
        catch (Exception unreadable)
            when (unreadable is InvalidDataException or ArgumentException or NotSupportedException)
        {
            return false;
        }
    }

    private sealed class PartEquality : IEqualityComparer<KeyValuePair<string, byte[]>>
    {
        public bool Equals(KeyValuePair<string, byte[]> x, KeyValuePair<string, byte[]> y) =>
            x.Key == y.Key && x.Value.AsSpan().SequenceEqual(y.Value);

        public int GetHashCode(KeyValuePair<string, byte[]> obj) => obj.Key.GetHashCode(StringComparison.Ordinal);
    }

    // the archive with one part changed; with null it is left out
    private static byte[] With(byte[] archive, string name, Func<JsonNode, JsonNode?>? change, string? raw = null)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (
                var (part, bytes) in Parts(archive)
                    .Append(new(name, []))
                    .DistinctBy(p => p.Key)
                    .Where(p => p.Key != "sums.txt")
                    .Where(p => change is not null || raw is not null || p.Key != name)
            )
            {
                using var to = zip.CreateEntry(part).Open();
                to.Write(
                    part != name ? bytes
                    : raw is not null ? System.Text.Encoding.UTF8.GetBytes(raw)
                    : JsonSerializer.SerializeToUtf8Bytes(change!(JsonNode.Parse(bytes)!))
                );
            }
        }
        return stream.ToArray();
    }

    [Fact]
    public async Task An_archive_brought_into_an_empty_shop_gives_the_same_archive_and_the_same_work_line()
    {
        using var empty = new Shop(demo: false);
        var archive = await Archive();
        var (status, brought) = await Bring(empty, archive);
        Assert.True(status == 200, brought.ToString());
        Assert.Equal((8, 15), (brought.GetProperty("customers").GetInt32(), brought.GetProperty("orders").GetInt32()));
        Assert.Equal(Parts(archive), Parts(await empty.CreateClient().GetByteArrayAsync("/api/archive")));
        Assert.Equal(
            (await shop.Get("/api/line")).GetProperty("stations").GetRawText(),
            (await empty.Get("/api/line")).GetProperty("stations").GetRawText()
        );
        Assert.Equal(
            await shop.CreateClient().GetByteArrayAsync("/api/orders/demo-202/quote.pdf"),
            await empty.CreateClient().GetByteArrayAsync("/api/orders/demo-202/quote.pdf")
        );
        Assert.Equal(
            (await shop.Get("/api/runs/demo-202")).GetProperty("state").GetRawText(),
            (await empty.Get("/api/runs/demo-202")).GetProperty("state").GetRawText()
        );
        Assert.Equal(409, (await Bring(empty, archive)).Status);
    }

    // archive-4.zip is of the release of 30 November 2026; format 3 had no places, 5 had the numbers in parts
    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    public async Task An_archive_of_every_format_there_was_comes_in_with_everything_in_it(int format)
    {
        using var empty = new Shop(demo: false);
        var fourth = await File.ReadAllBytesAsync(Tree.Case("documents", "archive-4.zip"));
        var archive = format switch
        {
            3 => With(With(fourth, "shop.json", Third), "places.json", null),
            5 => With(
                fourth,
                "shop.json",
                null,
                await File.ReadAllTextAsync(Tree.Case("documents", "archive-5-shop.json"))
            ),
            _ => fourth,
        };
        var (status, brought) = await Bring(empty, archive);
        Assert.True(status == 200, brought.ToString());
        int Of(string what) => brought.GetProperty(what).GetInt32();
        Assert.Equal((8, 14, 15, 8, 57), (Of("customers"), Of("styles"), Of("orders"), Of("quotes"), Of("events")));
        var after = Parts(await empty.CreateClient().GetByteArrayAsync("/api/archive"));
        foreach (var (name, bytes) in Parts(archive).Where(p => p.Key is not ("shop.json" or "sums.txt")))
        {
            if (name.EndsWith(".json", StringComparison.Ordinal))
            {
                var now = JsonNode.Parse(after[name])!;
                if (name == "orders.json")
                {
                    AsOneList(now.AsArray());
                }
                foreach (var of in now.AsArray().Select(x => x!["frozen"] ?? x).Where(x => x["ask"] is not null))
                {
                    // what is said of an order beside was one note
                    AsOneNote(of["ask"]!.AsObject());
                }
                Assert.Equal([], Otherwise(ById(JsonNode.Parse(bytes)!), ById(now), name).Except(Follows));
            }
            else
            {
                Assert.True(bytes.AsSpan().SequenceEqual(after[name]), name);
            }
        }
        var numbers = (await empty.Get("/api/numbers")).GetProperty("value");
        Assert.Equal(
            (21, 0.08m),
            (
                numbers.GetProperty("rates").GetProperty("wage").GetDecimal(),
                numbers.GetProperty("fees").GetProperty("taxShare").GetDecimal()
            )
        );
        var sent = (await empty.Get("/api/orders/demo-202/quote")).GetProperty("quote").GetProperty("numbers");
        Assert.Equal("Wren", sent.GetProperty("week").GetProperty("people")[0].GetProperty("name").GetString());

        static JsonNode Third(JsonNode head)
        {
            head["format"] = 3;
            return head;
        }
    }

    // in which order things of a kind stand in an archive says nothing
    private static JsonArray ById(JsonNode things) =>
        [.. things.AsArray().Select(t => t!.DeepClone()).OrderBy(t => (string?)t["id"], StringComparer.Ordinal)];

    // what has happened to orders stands by station now; it was one list
    private static void AsOneList(JsonArray orders)
    {
        foreach (var order in orders)
        {
            var list = new JsonObject();
            foreach (var (name, station) in order!["facts"]!.AsObject())
            {
                foreach (var (member, value) in station as JsonObject ?? new() { [name] = station!.DeepClone() })
                {
                    var called = (name, member) switch
                    {
                        ("layout", "at") => "laidOutAt",
                        ("pressing", "startedAt") => "runStartedAt",
                        ("pressing", "on") => "pressed",
                        _ => member,
                    };
                    list[called] = value?.DeepClone();
                }
            }
            order["facts"] = list;
        }
    }

    private static void AsOneNote(JsonObject ask)
    {
        if ((string?)ask["details"]!["note"] is { Length: > 0 } note)
        {
            ask["note"] = note;
        }
        ask.Remove("details");
    }

    // what older archives wrote though it follows from the rest; a quote's numbers lay otherwise and are looked at
    // below
    private static readonly string[] Follows =
    [
        "orders.json.code",
        "orders.json.ask.pieces",
        "orders.json.ask.dueAt",
        "orders.json.ask.lines.pieces",
        "orders.json.ask.lines.placements.areaIn2",
        "orders.json.facts.layouts.isByOutline",
        "templates.json.lines.pieces",
        "templates.json.lines.placements.areaIn2",
        "quotes.json.frozen.ask.pieces",
        "quotes.json.frozen.ask.dueAt",
        "quotes.json.frozen.ask.lines.pieces",
        "quotes.json.frozen.ask.lines.placements.areaIn2",
        "quotes.json.frozen.lines.band.character",
        "quotes.json.frozen.lines.band.fits",
        "quotes.json.frozen.lines.band.isPressed",
        "quotes.json.frozen.lines.band.recipeSource",
        "quotes.json.frozen.lines.band.temperatureF",
        "quotes.json.frozen.lines.band.decorations.placement.areaIn2",
        "quotes.json.frozen.packed.cost",
    ];

    // where one says something the other does not say; nulls say nothing
    private static IEnumerable<string> Otherwise(JsonNode? was, JsonNode? now, string where) =>
        (was, now) switch
        {
            (JsonObject a, JsonObject b) => a.Where(m => m.Value is not null && m.Key != "numbers")
                .SelectMany(m => Otherwise(m.Value, b[m.Key], $"{where}.{m.Key}")),
            (JsonArray a, JsonArray b) when a.Count == b.Count => a.Zip(b)
                .SelectMany(x => Otherwise(x.First, x.Second, where)),
            _ => JsonNode.DeepEquals(was, now) ? [] : [where],
        };

    [Theory]
    [InlineData("shop.json", """{"format":9,"anything":1}""", "This archive is of format 9")]
    [InlineData("shop.json", """{"format":2,"numbers":{}}""", "This archive is of format 2")]
    [InlineData("shop.json", """{"format":3,"numbers":{}}""", "Missing: numbers.shopName")]
    [InlineData("shop.json", "{", "This is not JSON that can be read.")]
    [InlineData("customers.json", "[]", "names a customer or style that is not in the archive")]
    [InlineData("orders.json", "[]", "is of an order that is not in the archive")]
    [InlineData("customers.json", "[null]", "holds nothing at one of its places")]
    [InlineData("customers.json", """[{"id":1}]""", "\"customers")]
    [InlineData("customers.json", "{}", "cannot be read")]
    [InlineData("orders.json", null, "orders.json is not in the archive.")]
    [InlineData("more.json", "[]", "holds more.json, which no archive of a shop holds")]
    public async Task A_damaged_archive_is_refused_whole(string part, string? raw, string sentence)
    {
        using var empty = new Shop(demo: false);
        var (status, body) = await Bring(empty, With(await Archive(), part, null, raw));
        Assert.Equal(400, status);
        Assert.Contains(
            sentence,
            body.GetProperty("problems")[0].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
        Assert.Empty((await empty.Get("/api/styles")).EnumerateArray());
        Assert.Empty(Directory.EnumerateFiles(Path.Combine(empty.Folder, "files"), "*", SearchOption.AllDirectories));
    }

    [Fact]
    public async Task Files_platens_and_templates_go_along_and_a_lost_file_is_refused()
    {
        using var full = new Shop();
        var order = await full.Get("/api/orders/demo-206");
        using (
            var request = new HttpRequestMessage(
                HttpMethod.Put,
                "/api/orders/demo-206/attachments/letter?name=letter.txt"
            )
            {
                Content = new ByteArrayContent([1, 2, 3]),
            }
        )
        {
            request.Content.Headers.ContentType = new("application/octet-stream");
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{order.GetProperty("version")}\"");
            Assert.Equal(200, (int)(await full.CreateClient().SendAsync(request)).StatusCode);
        }
        Assert.Equal(
            200,
            (
                await full.Send(
                    HttpMethod.Post,
                    "/api/presses/gannet/maps",
                    """{"day":"2026-11-20","setPointF":320,"pointsF":[305,305,305,305.5,305,305,305,305,305],"by":"Wren"}""",
                    "1"
                )
            ).Status
        );
        var archive = await full.CreateClient().GetByteArrayAsync("/api/archive");
        using var empty = new Shop(demo: false);
        var (status, brought) = await Bring(empty, archive);
        Assert.True(status == 200, brought.ToString());
        Assert.Equal(
            [1, 2, 3],
            await empty.CreateClient().GetByteArrayAsync("/api/orders/demo-206/attachments/letter")
        );
        Assert.Equal(
            (await full.Get("/api/presses/gannet/platen")).GetProperty("sets").GetRawText(),
            (await empty.Get("/api/presses/gannet/platen")).GetProperty("sets").GetRawText()
        );
        Assert.Equal("The usual club tee", (await empty.Get("/api/templates"))[0].GetProperty("name").GetString());

        using var lost = new Shop(demo: false);
        var file = Parts(archive).Keys.Single(k => k.StartsWith("files/", StringComparison.Ordinal));
        (status, brought) = await Bring(lost, With(archive, file, null));
        Assert.Equal(400, status);
        Assert.Contains("letter.txt", brought.GetRawText(), StringComparison.Ordinal);
        (status, brought) = await Bring(lost, With(archive, file, null, "another letter"));
        Assert.Equal(400, status);
        Assert.Contains("in the archive is damaged", brought.GetRawText(), StringComparison.Ordinal);
        Assert.Empty(Directory.EnumerateFiles(Path.Combine(lost.Folder, "files"), "*", SearchOption.AllDirectories));
    }

    [Fact]
    public async Task An_archive_with_one_flipped_bit_is_refused()
    {
        using var empty = new Shop(demo: false);
        var archive = await Archive();
        var dice = new Random(5);
        for (var n = 0; n < 60; n++)
        {
            var bad = (byte[])archive.Clone();
            bad[dice.Next(bad.Length)] ^= (byte)(1 << dice.Next(8));
            // what a ZIP says of times and systems is no part of the shop
            if (!Same(archive, bad))
            {
                var (status, body) = await Bring(empty, bad);
                Assert.True(status == 400, body.ToString());
            }
        }
        Assert.Empty((await empty.Get("/api/styles")).EnumerateArray());
    }

    [Fact]
    public async Task A_value_changed_by_hand_that_cannot_be_kept_is_refused_in_words()
    {
        using var empty = new Shop(demo: false);
        var archive = With(await Archive(), "orders.json", all =>
        {
            all[0]!["facts"]!["layout"]!["layouts"] = JsonNode.Parse(
                """
                [{"lineId":"1","filmId":"ferrow","on":"roll","designs":[{"key":"f","widthIn":1,"heightIn":1,
                "needed":1,"cover":5}],"copies":[],"seed":1,"steps":0}]
                """
            );
            return all;
        });
        var (status, body) = await Bring(empty, archive);
        Assert.True(status == 400, body.ToString());
        Assert.Equal("order 1", body.GetProperty("problems")[0].GetProperty("where").GetString());
        Assert.Empty((await empty.Get("/api/styles")).EnumerateArray());
    }

    [Fact]
    public async Task A_style_that_could_not_be_typed_is_not_brought_either()
    {
        using var empty = new Shop(demo: false);
        var (status, body) = await Bring(empty, With(await Archive(), "styles.json", all =>
            {
                all[0]!["unitPrice"] = -1;
                return all;
            }));
        Assert.Equal(400, status);
        Assert.Equal("styles[0].unitPrice", body.GetProperty("problems")[0].GetProperty("where").GetString());
        Assert.Equal(415, (await Bring(empty, "{}"u8.ToArray(), "application/xml")).Status);
        Assert.Contains(
            "no archive of a shop",
            (await Bring(empty, "{}"u8.ToArray())).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Empty((await empty.Get("/api/customers")).EnumerateArray());
    }
}
