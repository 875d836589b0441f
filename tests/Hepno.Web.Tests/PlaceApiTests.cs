using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Places as the shop edits them, through the API.</summary>
public sealed class PlaceApiTests
{
    private const string Front =
        """{"name":"Front","widths":{"small":10,"large":11,"extended":12,"youth":8,"toddler":6,"infant":4},"heightIn":13,"fromSeamIn":2.5}""";

    private const string RightChest = """
        {"name":"Right chest","like":"left-chest","widths":{"small":3.5,"large":3.5,"extended":4,"youth":2.5,
        "toddler":2,"infant":1.5},"heightIn":4,"fromSeamIn":3.25,"asideIn":-4}
        """;

    private static async Task<JsonElement> Place(Shop shop, string id) =>
        (await shop.Get("/api/places"))
            .EnumerateArray()
            .Single(p => p.GetProperty("value").GetProperty("id").GetString() == id);

    private static async Task Place(Shop shop, Journey order, string place, double wide)
    {
        var ask = Journey
            .Body((await order.Order()).GetProperty("ask").GetRawText())
            .Replace("\"place\":\"front\"", $"\"place\":\"{place}\"", StringComparison.Ordinal)
            .Replace("\"widthIn\":9", FormattableString.Invariant($"\"widthIn\":{wide}"), StringComparison.Ordinal);
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{order.Id}",
            ask,
            (await order.Order()).GetProperty("version").GetRawText()
        );
        Assert.True(status == 200, body.ToString());
    }

    [Fact]
    public async Task The_shops_figures_hold_for_what_is_asked_and_not_for_what_was_sent_and_one_step_takes_them_back()
    {
        using var shop = new Shop();
        Journey before = new(shop, "sent-before"),
            after = new(shop, "asked-after");
        await before.To("gather");
        await after.Ask();
        var quoted = (await shop.Get("/api/orders/sent-before/quote")).GetRawText();
        Assert.Equal(1, (await Place(shop, "front")).GetProperty("version").GetInt64());
        Assert.Equal(428, (await shop.Send(HttpMethod.Put, "/api/places/front", Front)).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/places/front", Front, "1")).Status);
        Assert.Equal(2.5, (await Place(shop, "front")).GetProperty("value").GetProperty("fromSeamIn").GetDouble());
        Assert.Equal(
            2.5,
            (await after.Order()).GetProperty("lines")[0].GetProperty("prints")[0].GetProperty("fromSeamIn").GetDouble()
        );
        Assert.Equal(quoted, (await shop.Get("/api/orders/sent-before/quote")).GetRawText());
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo")).Status);
        Assert.Equal(
            3,
            (await after.Order()).GetProperty("lines")[0].GetProperty("prints")[0].GetProperty("fromSeamIn").GetDouble()
        );
    }

    [Fact]
    public async Task Beyond_customary_is_said_on_the_ask_and_in_every_verdict_and_blocks_nothing()
    {
        using var shop = new Shop();
        var order = new Journey(shop, "wide");
        await order.Ask();
        await Place(shop, order, "front", 13);
        var line = (await order.Order()).GetProperty("lines")[0];
        Assert.Equal(0, line.GetProperty("problems").GetArrayLength());
        Assert.Equal("Front 13 in wide; customary on M is 10.5 in at most", line.GetProperty("notices")[0].GetString());
        var bands = (await shop.Get("/api/orders/wide/compare")).GetProperty("bands").EnumerateArray().ToList();
        Assert.NotEmpty(bands);
        Assert.All(bands, b =>
            Assert.Contains("beyond-customary", b.GetProperty("verdict").GetRawText(), StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task A_place_of_the_shops_own_goes_all_the_way_to_the_run_and_along_in_the_archive()
    {
        using var shop = new Shop();
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/places/right-chest", RightChest)).Status);
        var order = new Journey(shop, "badge");
        await order.Ask();
        await Place(shop, order, "right-chest", 3);
        await order.Done("choose", """{"methodId":"dtf-bought"}""");
        await order.Done("lay-out");
        await order.Done("send");
        await order.Gathered();
        var sheet = (await shop.Get("/api/runs/badge")).GetRawText();
        Assert.Contains("right chest", sheet, StringComparison.Ordinal);
        Assert.Contains("3.25 in", sheet, StringComparison.Ordinal);
        var archive = await shop.CreateClient().GetByteArrayAsync("/api/archive");
        using var other = new Shop(demo: false);
        var (status, brought) = await ArchiveTests.Bring(other, archive);
        Assert.True(status == 200, brought.ToString());
        Assert.Equal(
            "Right chest",
            (await Place(other, "right-chest")).GetProperty("value").GetProperty("name").GetString()
        );
        Assert.Equal(sheet, (await other.Get("/api/runs/badge")).GetRawText());
    }

    [Theory]
    [InlineData("\"name\":\"Front\"", "\"name\":\"\"", "name")]
    [InlineData("\"youth\":8", "\"youth\":0", "widths.youth")]
    [InlineData("\"heightIn\":13", "\"heightIn\":50", "heightIn")]
    [InlineData("\"heightIn\":13", "\"heightIn\":13,\"like\":\"back\"", "like")]
    public async Task A_figure_that_cannot_be_is_refused_and_nothing_is_kept(string was, string now, string field)
    {
        using var shop = new Shop(demo: false);
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/places/front",
            Front.Replace(was, now, StringComparison.Ordinal),
            "1"
        );
        Assert.Equal((400, field), (status, body.GetProperty("problems")[0].GetProperty("where").GetString()));
        Assert.Equal(3, (await Place(shop, "front")).GetProperty("value").GetProperty("fromSeamIn").GetDouble());
    }
}
