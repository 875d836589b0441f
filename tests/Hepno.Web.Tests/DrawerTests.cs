using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Hepno.Web.Tests;

/// <summary>Copies laid on top of an order's go into the drawer when the film is here, and are offered when the design
/// comes again.</summary>
public class DrawerTests(Shop shop) : IClassFixture<Shop>
{
    private const string Ground = "\"filmId\":\"ferrow\",\"on\":\"roll\"";

    private static string At(string id) => $"/api/orders/{id}/lines/1/layout";

    private async Task<Journey> Asked(string id, string methodId, Action<JsonNode> change)
    {
        var journey = new Journey(shop, id);
        await journey.Ask();
        var order = await journey.Order();
        var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
        change(body["lines"]![0]!);
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{id}",
            body.ToJsonString(),
            order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, said.ToString());
        await journey.Done("choose", $$"""{"methodId":"{{methodId}}"}""");
        return journey;
    }

    private Task<Journey> Asked(string id) => Asked(id, "dtf-bought", line =>
        {
            line["placements"]![0]!["designId"] = "wave";
            line["sizes"]![0]!["pieces"] = 20;
        });

    private async Task<JsonElement?> Lying(string name) =>
        (await shop.Get("/api/drawer"))
            .EnumerateArray()
            .Where(d => d.GetProperty("print").GetProperty("name").GetString() == name)
            .Cast<JsonElement?>()
            .FirstOrDefault();

    private static int OnHand(JsonElement? drawer) => drawer?.GetProperty("onHand").GetInt32() ?? 0;

    [Fact]
    public async Task Extra_copies_come_into_the_drawer_with_the_film_and_go_out_with_the_next_order()
    {
        using (var bitmap = new SKBitmap(900, 800))
        {
            bitmap.Erase(SKColors.Teal);
            using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
            using var request = new HttpRequestMessage(HttpMethod.Put, "/api/artwork/wave/file?name=wave&widthIn=9")
            {
                Content = new ByteArrayContent(data.ToArray()) { Headers = { ContentType = new("image/png") } },
            };
            Assert.True((await shop.CreateClient().SendAsync(request)).IsSuccessStatusCode);
        }
        // ten hours behind: the shop's day is not yet that of the world
        await shop.KeepsTheClockOf("Pacific/Honolulu");
        var first = await Asked("first");
        async Task<JsonElement> Fill(string key, JsonElement copies, bool next)
        {
            var (status, filled) = await shop.Send(
                HttpMethod.Post,
                $"{At("first")}/fill",
                $$"""{{{Ground}},"copies":{{copies.GetRawText()}},"key":"{{key}}","nextStep":{{(next ? "true" : "false")}}}"""
            );
            Assert.True(status == 200, filled.ToString());
            return filled.GetProperty("copies");
        }
        // another foot of the design itself, and hem terns into the room
        var view = await shop.Get(At("first"));
        var tern = view.GetProperty("room")
            .EnumerateArray()
            .Single(r => r.GetProperty("key").GetString() == "kept hem-tern");
        Assert.Equal((54, 6), (tern.GetProperty("wanted").GetInt32(), tern.GetProperty("onHand").GetInt32()));
        var own = await Fill("f", view.GetProperty("copies"), next: true);
        var copies = await Fill("kept hem-tern", own, next: false);
        var (extra, terns) = (
            own.GetArrayLength() - view.GetProperty("copies").GetArrayLength(),
            copies.GetArrayLength() - own.GetArrayLength()
        );
        Assert.InRange(terns, 1, 54);
        Assert.True(extra > 0);
        await first.Done("lines/1/layout", $$"""{{{Ground}},"copies":{{copies.GetRawText()}}}""", HttpMethod.Put);
        foreach (
            var (deed, json) in new[]
            {
                ("lay-out", null),
                ("send", null),
                ("approve", """{"by":"Ada"}"""),
                ("deposit", """{"amount":0,"overrideReason":"known"}"""),
            }
        )
        {
            await first.Done(deed, json);
        }
        Assert.Null(await Lying("wave"));
        async Task Tick(Journey journey, string item, bool done) =>
            await journey.Done(
                $"items/{Uri.EscapeDataString(item)}",
                $$"""{"done":{{(done ? "true" : "false")}}}""",
                HttpMethod.Put
            );
        await Tick(first, "film-layout-f", true);
        Assert.Equal((extra, 6 + terns), (OnHand(await Lying("wave")), OnHand(await Lying("hem tern"))));
        Assert.Equal(
            Shop.DaysOn(-1),
            (await Lying("wave"))?.GetProperty("print").GetProperty("lots")[0].GetProperty("on").GetString()
        );
        // it did not come after all
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo")).Status);
        Assert.Equal((0, 6), (OnHand(await Lying("wave")), OnHand(await Lying("hem tern"))));
        await Tick(first, "film-layout-f", true);

        var second = await Asked("second");
        var offered = (await shop.Get(At("second"))).GetProperty("lying")[0];
        Assert.Equal((extra, 0), (offered.GetProperty("count").GetInt32(), offered.GetProperty("used").GetInt32()));
        var keptId = offered.GetProperty("keptId").GetString();
        var before = (await shop.Get(At("second"))).GetProperty("designs")[0].GetProperty("needed").GetInt32();
        string Use(int count) => $$"""{"key":"f","keptId":{{JsonSerializer.Serialize(keptId)}},"count":{{count}}}""";
        Assert.Equal(400, (await second.Deed("lines/1/layout/drawer", Use(extra + 1))).Status);
        Assert.Equal(
            404,
            (
                await second.Deed(
                    "lines/1/layout/drawer",
                    Use(1).Replace("\"f\"", "\"none\"", StringComparison.Ordinal)
                )
            ).Status
        );
        Assert.Equal(
            409,
            (await second.Deed("lines/1/layout/drawer", """{"key":"f","keptId":"hem-tern","count":1}""")).Status
        );
        // on another film all are printed new
        var (put, film) = await shop.Send(
            HttpMethod.Put,
            "/api/films/plover",
            """
            {"supplier":"Plover","product":"Matt film","sizes":[{"name":"4 × 4","widthIn":4,"heightIn":4,
            "breaks":[{"from":1,"price":9}]}],"freightPerOrder":0,"leadDays":1,"byLayout":{"gapIn":0.25,
            "marginIn":0.25,"roll":{"widthIn":22,"stepIn":1,"steps":[{"from":1,"price":5}],"lengths":[]},
            "sheets":[]}}
            """
        );
        Assert.True(put == 200, film.ToString());
        async Task<decimal> OnPlover() =>
            (await shop.Get(At("second")))
                .GetProperty("choices")
                .EnumerateArray()
                .Single(c => c.GetProperty("filmId").GetString() == "plover")
                .GetProperty("cost")
                .GetProperty("value")
                .GetDecimal();
        var elsewhere = await OnPlover();
        await second.Done("lines/1/layout/drawer", Use(extra));
        Assert.Equal(elsewhere, await OnPlover());
        var now = await shop.Get(At("second"));
        Assert.Equal(before - extra, now.GetProperty("designs")[0].GetProperty("needed").GetInt32());
        // what one order has spoken for is not offered to another
        await Asked("third");
        Assert.Empty((await shop.Get(At("third"))).GetProperty("lying").EnumerateArray());
        foreach (
            var (deed, json) in new[]
            {
                ("lay-out", null),
                ("send", null),
                ("approve", """{"by":"Ada"}"""),
                ("deposit", """{"amount":0,"overrideReason":"known"}"""),
            }
        )
        {
            await second.Done(deed, json);
        }
        Assert.Contains(
            (await second.Order()).GetProperty("facts").GetProperty("gathering").GetProperty("items").EnumerateArray(),
            i => i.GetProperty("text").GetString() == $"From the drawer: {extra} × front"
        );
        Assert.Equal(409, (await second.Deed("lines/1/layout/drawer", Use(0))).Status);
        await Tick(second, "drawer-f", true);
        Assert.Equal(0, OnHand(await Lying("wave")));
    }

    [Fact]
    public async Task What_the_shop_keeps_on_hand_is_counted_in_and_refused_when_it_cannot_be()
    {
        const string label = """
            {"name":"neck label","widthIn":2,"heightIn":1.5,"designId":null,"productId":"ferrow","keep":100,
            "goodDays":365,"lots":[{"count":30,"on":"2026-01-02","order":""}]}
            """;
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/kept-prints/label", label)).Status);
        Assert.Equal(30, OnHand(await Lying("neck label")));
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/kept-prints/bad",
            label.Replace("\"keep\":100", "\"keep\":-1", StringComparison.Ordinal)
        );
        Assert.Equal(400, status);
        Assert.Equal("keep", body.GetProperty("problems")[0].GetProperty("where").GetString());
    }

    [Theory]
    [InlineData("dtf-made", "skua", "roll")]
    [InlineData("paper-opaque", "linden-opaque", "sheet")]
    public async Task Extra_copies_of_what_is_printed_here_come_into_the_drawer_when_it_is_there(
        string methodId,
        string productId,
        string on
    )
    {
        var (id, hem) = ($"extra-{productId}", $"hem of {productId}");
        var journey = await Asked(id, methodId, line =>
            (line["placements"]![0]!["widthIn"], line["placements"]![0]!["heightIn"]) = (5, 4)
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    $"/api/kept-prints/{id}",
                    $$"""{"name":"{{hem}}","widthIn":2,"heightIn":1,"designId":null,"productId":"{{productId}}","keep":10,"goodDays":365,"lots":[]}"""
                )
            ).Status
        );
        var view = await shop.Get(At(id));
        // on paper on a sheet of its own, on film an inch after the last
        var sheet =
            on == "sheet"
                ? view.GetProperty("copies").EnumerateArray().Max(c => c.GetProperty("sheet").GetInt32()) + 1
                : 0;
        var y = on == "sheet" ? 1 : view.GetProperty("figures").GetProperty("usedIn").GetDouble() + 1;
        var copies = JsonNode.Parse(view.GetProperty("copies").GetRawText())!.AsArray();
        copies.Add(
            JsonNode.Parse(
                $$"""{"key":"kept {{id}}","sheet":{{sheet}},"x":1,"y":{{y.ToString(CultureInfo.InvariantCulture)}},"turned":false,"pinned":false}"""
            )
        );
        await journey.Done(
            "lines/1/layout",
            $$"""{"filmId":"{{productId}}","on":"{{on}}","copies":{{copies.ToJsonString()}}}""",
            HttpMethod.Put
        );
        await journey.Done("lay-out");
        await journey.Done("send");
        Assert.Equal(0, OnHand(await Lying(hem)));
        await journey.Gathered();
        Assert.Equal(1, OnHand(await Lying(hem)));
    }
}
