using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>The whole shop out as one file and into an empty one.</summary>
public class ArchiveTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<string> Archive() => await shop.CreateClient().GetStringAsync("/api/archive");

    [Fact]
    public async Task An_archive_brought_into_an_empty_shop_gives_the_same_archive_and_the_same_work_line()
    {
        using var empty = new Shop(demo: false);
        var archive = await Archive();
        var (status, brought) = await empty.Send(HttpMethod.Put, "/api/archive", archive);
        Assert.True(status == 200, brought.ToString());
        Assert.Equal((8, 15), (brought.GetProperty("customers").GetInt32(), brought.GetProperty("orders").GetInt32()));
        Assert.Equal(archive, await empty.CreateClient().GetStringAsync("/api/archive"));
        Assert.Equal((await shop.Get("/api/line")).GetProperty("stations").GetRawText(), (await empty.Get("/api/line")).GetProperty("stations").GetRawText());
        Assert.Equal(await shop.CreateClient().GetByteArrayAsync("/api/orders/demo-202/quote.pdf"), await empty.CreateClient().GetByteArrayAsync("/api/orders/demo-202/quote.pdf"));
        Assert.Equal((await shop.Get("/api/runs/demo-202")).GetProperty("state").GetRawText(), (await empty.Get("/api/runs/demo-202")).GetProperty("state").GetRawText());
        Assert.Equal(409, (await empty.Send(HttpMethod.Put, "/api/archive", archive)).Status);
    }

    [Theory]
    [InlineData("format", "9", "This archive is of format 9")]
    [InlineData("customers", "[]", "names a customer or style that is not in the archive")]
    [InlineData("orders", "[]", "is of an order that is not in the archive")]
    [InlineData("customers", "null", "\"customers\" cannot be read.")]
    [InlineData("numbers", "{}", "Missing: numbers.shopName")]
    public async Task A_damaged_archive_is_refused_whole(string field, string value, string sentence)
    {
        using var empty = new Shop(demo: false);
        var archive = JsonNode.Parse(await Archive())!.AsObject();
        archive[field] = JsonNode.Parse(value);
        var (status, body) = await empty.Send(HttpMethod.Put, "/api/archive", archive.ToJsonString());
        Assert.Equal(400, status);
        Assert.Contains(sentence, body.GetProperty("problems")[0].GetProperty("sentence").GetString()!, StringComparison.Ordinal);
        Assert.Empty((await empty.Get("/api/styles")).EnumerateArray());
    }

    [Fact]
    public async Task Files_platens_and_templates_go_along_and_a_lost_file_is_refused()
    {
        using var full = new Shop();
        var order = await full.Get("/api/orders/demo-206");
        using (var request = new HttpRequestMessage(HttpMethod.Put, "/api/orders/demo-206/attachments/letter?name=letter.txt") { Content = new ByteArrayContent([1, 2, 3]) })
        {
            request.Content.Headers.ContentType = new("application/octet-stream");
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{order.GetProperty("version")}\"");
            Assert.Equal(200, (int)(await full.CreateClient().SendAsync(request)).StatusCode);
        }
        Assert.Equal(200, (await full.Send(HttpMethod.Post, "/api/presses/gannet/maps", """{"day":"2026-11-20","setPointF":320,"pointsF":[305,305,305,305.5,305,305,305,305,305],"by":"Wren"}""", "1")).Status);
        var archive = await full.CreateClient().GetStringAsync("/api/archive");
        using var empty = new Shop(demo: false);
        var (status, brought) = await empty.Send(HttpMethod.Put, "/api/archive", archive);
        Assert.True(status == 200, brought.ToString());
        Assert.Equal([1, 2, 3], await empty.CreateClient().GetByteArrayAsync("/api/orders/demo-206/attachments/letter"));
        Assert.Equal((await full.Get("/api/presses/gannet/platen")).GetProperty("sets").GetRawText(), (await empty.Get("/api/presses/gannet/platen")).GetProperty("sets").GetRawText());
        Assert.Equal("The usual club tee", (await empty.Get("/api/templates"))[0].GetProperty("name").GetString());

        using var lost = new Shop(demo: false);
        var without = JsonNode.Parse(archive)!.AsObject();
        without["files"] = new JsonArray();
        (status, brought) = await lost.Send(HttpMethod.Put, "/api/archive", without.ToJsonString());
        Assert.Equal(400, status);
        Assert.Contains("letter.txt", brought.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_value_changed_by_hand_that_cannot_be_kept_is_refused_in_words()
    {
        using var empty = new Shop(demo: false);
        var archive = JsonNode.Parse(await Archive())!.AsObject();
        archive["orders"]![0]!["facts"]!["layouts"] = JsonNode.Parse("""[{"lineId":"1","filmId":"ferrow","on":"roll","designs":[{"key":"f","widthIn":1,"heightIn":1,"needed":1,"cover":5}],"copies":[],"seed":1,"steps":0}]""");
        var (status, body) = await empty.Send(HttpMethod.Put, "/api/archive", archive.ToJsonString());
        Assert.True(status == 400, body.ToString());
        Assert.Equal("order 1", body.GetProperty("problems")[0].GetProperty("where").GetString());
        Assert.Empty((await empty.Get("/api/styles")).EnumerateArray());
    }

    [Fact]
    public async Task A_style_that_could_not_be_typed_is_not_brought_either()
    {
        using var empty = new Shop(demo: false);
        var archive = JsonNode.Parse(await Archive())!.AsObject();
        archive["styles"]![0]!["unitPrice"] = -1;
        var (status, body) = await empty.Send(HttpMethod.Put, "/api/archive", archive.ToJsonString());
        Assert.Equal(400, status);
        Assert.Equal("styles[0].unitPrice", body.GetProperty("problems")[0].GetProperty("where").GetString());
        Assert.Equal(415, (await empty.Send(HttpMethod.Put, "/api/archive", "{}", type: "application/xml")).Status);
        Assert.Empty((await empty.Get("/api/customers")).EnumerateArray());
    }
}
