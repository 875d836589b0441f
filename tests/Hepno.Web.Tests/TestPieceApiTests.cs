using System.Globalization;
using System.Net.Http.Headers;
using System.Text.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Hepno.Web.Tests;

/// <summary>A recipe nobody tested waits for its test piece; tests carry photographs.</summary>
public class TestPieceApiTests(Shop shop) : IClassFixture<Shop>
{
    private static string Tested(double day, string sticks = "true") =>
        $$"""
            {"productId":"tidewell-low","styleId":"sprint","colourwayId":"","temperatureF":278,"dwellSeconds":12,
            "pressure":"medium","day":"{{Shop.DaysOn((int)day)}}","by":"Wren","sticks":{{sticks}},"scorched":false,
            "bleeding":"clean","feel":"","note":"","washes":null,"garmentId":"sports"}
            """;

    private async Task<string> Version(string test) =>
        (await shop.Get("/api/spot-tests"))
            .EnumerateArray()
            .Single(t => t.GetProperty("value").GetProperty("id").GetString() == test)
            .GetProperty("version")
            .GetInt64()
            .ToString(CultureInfo.InvariantCulture);

    private async Task<int> Left() =>
        (await shop.Get("/api/spot-tests/verdicts"))
            .GetProperty("garments")
            .EnumerateArray()
            .Single(g => g.GetProperty("id").GetString() == "sports")
            .GetProperty("left")
            .GetInt32();

    private static byte[] Photo()
    {
        using var bitmap = new SKBitmap(2000, 1000);
        bitmap.Erase(SKColors.Teal);
        return bitmap.Encode(SKEncodedImageFormat.Jpeg, 80).ToArray();
    }

    private async Task<int> Send(HttpMethod method, string path, byte[] file, string version)
    {
        using var request = new HttpRequestMessage(method, path) { Content = new ByteArrayContent(file) };
        request.Content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        using var answer = await shop.CreateClient().SendAsync(request);
        return (int)answer.StatusCode;
    }

    [Fact]
    public async Task The_run_waits_for_a_test_piece_that_passed()
    {
        var order = new Journey(shop, "untested", "htv");
        await order.Ask();
        var ask = JsonDocument.Parse((await order.Order()).GetProperty("ask").GetRawText()).RootElement;
        var body = Journey
            .Body(ask.GetRawText())
            .Replace("\"brae\"", "\"sprint\"", StringComparison.Ordinal)
            .Replace("\"black\"", "\"white\"", StringComparison.Ordinal);
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/untested",
                    body,
                    (await order.Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        await order.Done("choose", """{"methodId":"htv"}""");
        // how long a test piece takes is the shop's own number
        var numbers = await shop.Get("/api/numbers");
        var longer = JsonNode.Parse(numbers.GetProperty("value").GetRawText())!;
        longer["floor"]!["testMinutes"] = 95;
        var version = numbers.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/numbers", longer.ToJsonString(), version)).Status);
        await order.Done("lay-out");
        await order.Done("send");
        await order.Done("approve", """{"by":"Mrs Tern"}""");
        var deposit = (await shop.Get("/api/orders/untested/quote"))
            .GetProperty("quote")
            .GetProperty("deposit")
            .GetDecimal();
        await order.Done(
            "deposit",
            $$"""{"amount":{{deposit.ToString(CultureInfo.InvariantCulture)}},"overrideReason":null}"""
        );
        var item = (await order.Order())
            .GetProperty("facts")
            .GetProperty("gathering")
            .GetProperty("items")
            .EnumerateArray()
            .Single(i => i.GetProperty("id").GetString() == "test-f");
        Assert.Equal(
            "Test piece: Tidewell Low-heat vinyl on Sprint 140, pressed and looked at before the run",
            item.GetProperty("text").GetString()
        );
        Assert.Equal($"{Shop.DaysOn(0)}T11:05", item.GetProperty("expected").GetString()![..16]);

        async Task<(int Status, JsonElement Body)> Tick() =>
            await order.Deed("items/test-f", """{"done":true}""", HttpMethod.Put);
        var (refused, why) = await Tick();
        Assert.Equal((409, "not-tested"), (refused, why.GetProperty("problems")[0].GetProperty("code").GetString()));
        // a failed one does not do, a passed one does; each took a garment from the shelf
        var left = await Left();
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/spot-tests/low-1", Tested(-2, "false"))).Status);
        Assert.Equal(409, (await Tick()).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/spot-tests/low-2", Tested(-1))).Status);
        Assert.Equal(left - 2, await Left());
        Assert.Equal(200, (await Tick()).Status);
        var relied = (await shop.Get("/api/spot-tests/verdicts"))
            .GetProperty("recipes")
            .EnumerateArray()
            .Single(r => r.GetProperty("recipeId").GetString() == "low-polyester");
        Assert.Equal("tested", relied.GetProperty("confidence").GetString());
    }

    [Fact]
    public async Task A_test_carries_photographs_upright_and_small_and_only_photographs()
    {
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/spot-tests/seen", Tested(-3))).Status);
        Assert.Equal(
            200,
            await Send(HttpMethod.Put, "/api/spot-tests/seen/photos/p1?washes=5", Photo(), await Version("seen"))
        );
        using var answer = await shop.CreateClient()
            .GetAsync(new Uri("/api/spot-tests/seen/photos/p1", UriKind.Relative));
        Assert.Equal("image/png", answer.Content.Headers.ContentType!.MediaType);
        using var picture = SKBitmap.Decode(await answer.Content.ReadAsByteArrayAsync());
        Assert.Equal((1400, 700), (picture.Width, picture.Height));

        Assert.Equal(
            400,
            await Send(
                HttpMethod.Put,
                "/api/spot-tests/seen/photos/p2",
                "<svg xmlns='http://www.w3.org/2000/svg'/>"u8.ToArray(),
                await Version("seen")
            )
        );
        Assert.Equal(
            400,
            await Send(HttpMethod.Put, "/api/spot-tests/seen/photos/p2", [1, 2, 3], await Version("seen"))
        );
        Assert.Equal(
            404,
            (await shop.CreateClient().GetAsync(new Uri("/api/spot-tests/seen/photos/p2", UriKind.Relative))).StatusCode
                is var code
                ? (int)code
                : 0
        );
        Assert.Equal(
            200,
            (
                await shop.Send(HttpMethod.Delete, "/api/spot-tests/seen/photos/p1", ifMatch: await Version("seen"))
            ).Status
        );
        Assert.Equal(
            404,
            (int)
                (
                    await shop.CreateClient().GetAsync(new Uri("/api/spot-tests/seen/photos/p1", UriKind.Relative))
                ).StatusCode
        );
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
        Assert.Equal(
            200,
            (int)
                (
                    await shop.CreateClient().GetAsync(new Uri("/api/spot-tests/seen/photos/p1", UriKind.Relative))
                ).StatusCode
        );
        // a hash that is no file of ours is refused before anything is read by it
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/spot-tests/astray",
                    Tested(-3)
                        .Replace(
                            "\"garmentId\":\"sports\"",
                            "\"garmentId\":\"\",\"photos\":[{\"id\":\"p\",\"hash\":\"../../hepno.db\",\"washes\":0}]",
                            StringComparison.Ordinal
                        )
                )
            ).Status
        );
    }
}
