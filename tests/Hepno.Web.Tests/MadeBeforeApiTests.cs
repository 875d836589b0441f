using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Hepno.Web.Tests;

/// <summary>An artwork that comes again through the API: what was made of it is remembered once its run began, until
/// its picture changes.</summary>
public class MadeBeforeApiTests
{
    private static async Task Draw(Shop shop, SKColor colour, string? version = null)
    {
        using var bitmap = new SKBitmap(900, 800);
        bitmap.Erase(colour);
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        using var request = new HttpRequestMessage(HttpMethod.Put, "/api/artwork/crest/file?name=crest&widthIn=9")
        {
            Content = new ByteArrayContent(data.ToArray()) { Headers = { ContentType = new("image/png") } },
        };
        if (version is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        }
        using var answer = await shop.CreateClient().SendAsync(request);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
    }

    private static async Task<Journey> Asked(Shop shop, string id)
    {
        var journey = new Journey(shop, id, "screen-out");
        await journey.Ask();
        var order = await journey.Order();
        var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
        body["lines"]![0]!["placements"]![0]!["designId"] = "crest";
        body["lines"]![0]!["sizes"]![0]!["pieces"] = 40;
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{id}",
            body.ToJsonString(),
            order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, said.ToString());
        return journey;
    }

    private static async Task<string> Made(Shop shop, string id) =>
        (await shop.Get($"/api/orders/{id}/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "screen-out")
            .GetProperty("made")
            .GetString()!;

    [Fact]
    public async Task Screens_are_kept_from_the_run_on_until_the_picture_changes_and_go_with_the_archive()
    {
        await using var shop = new Shop();
        await Draw(shop, SKColors.Teal);
        var first = await Asked(shop, "screened");
        Assert.Equal("Quayside Print prints it, 2 screens", await Made(shop, "screened"));
        foreach (
            var (deed, json) in new[] { ("choose", """{"methodId":"screen-out"}"""), ("lay-out", null), ("send", null) }
        )
        {
            await first.Done(deed, json);
        }
        await Asked(shop, "again");
        await first.Gathered();
        Assert.Equal("Quayside Print prints it, 2 screens", await Made(shop, "again"));
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/runs/screened/start")).Status);
        Assert.Equal("Quayside Print prints it, 2 screens, kept there", await Made(shop, "again"));
        // its own quote stands on what it cost: nothing of it is a repeat
        var (_, begun) = await shop.Send(HttpMethod.Post, "/api/recost");
        var id = begun.GetProperty("id").GetString();
        JsonElement view;
        do
        {
            await Task.Delay(50);
            view = await shop.Get($"/api/recost/{id}");
        } while (!view.GetProperty("isDone").GetBoolean());
        Assert.DoesNotContain(view.GetProperty("lines").EnumerateArray(), l =>
            l.GetProperty("orderId").GetString() == "screened"
        );

        await using var other = new Shop(demo: false);
        var (status, brought) = await ArchiveTests.Bring(
            other,
            await shop.CreateClient().GetByteArrayAsync("/api/archive")
        );
        Assert.True(status == 200, brought.ToString());
        Assert.Equal("Quayside Print prints it, 2 screens, kept there", await Made(other, "again"));

        await Draw(shop, SKColors.Maroon, (await shop.Get("/api/artwork/crest")).GetProperty("version").GetRawText());
        Assert.Equal("Quayside Print prints it, 2 screens", await Made(shop, "again"));
    }
}
