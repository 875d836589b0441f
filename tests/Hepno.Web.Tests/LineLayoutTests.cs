using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Hepno.Web.Tests;

/// <summary>A line's layout over the API: looked at, tried, filled, searched, settled, brought in and given
/// away.</summary>
public class LineLayoutTests(Shop shop) : IClassFixture<Shop>
{
    private const string Ground = "\"filmId\":\"ferrow\",\"on\":\"roll\"";

    private static string At(string id) => $"/api/orders/{id}/lines/1/layout";

    private async Task<Journey> Laid(string id)
    {
        var journey = new Journey(shop, id);
        await journey.To("layout");
        return journey;
    }

    private async Task<JsonNode> View(string id, string query = "") =>
        JsonNode.Parse((await shop.Get(At(id) + query)).GetRawText())!;

    private static async Task<(int Status, JsonElement Body)> Settle(
        Journey journey,
        JsonNode copies,
        string ground = Ground
    ) =>
        await journey.Deed(
            "lines/1/layout",
            $$"""{{{ground}},"copies":{{copies.ToJsonString()}},"seed":3,"steps":40}""",
            HttpMethod.Put
        );

    private async Task<JsonElement> Tried(string id, JsonNode copies, string more = "")
    {
        var (status, body) = await shop.Send(
            HttpMethod.Post,
            $"{At(id)}/try",
            $$"""{{{Ground}},"copies":{{copies.ToJsonString()}}{{more}}}"""
        );
        Assert.True(status == 200, body.ToString());
        return body;
    }

    private async Task<JsonElement> Ended(JsonElement search)
    {
        for (var i = 0; i < 200 && !search.GetProperty("isDone").GetBoolean(); i++)
        {
            await Task.Delay(50);
            search = await shop.Get($"/api/layout-searches/{search.GetProperty("id").GetString()}");
        }
        return search;
    }

    private static JsonNode With(JsonNode copies, int at, string field, JsonNode value)
    {
        var changed = copies.DeepClone();
        changed[at]![field] = value;
        return changed;
    }

    private async Task<Dictionary<string, JsonElement>> Bands(string id) =>
        (await shop.Get($"/api/orders/{id}/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .ToDictionary(b => b.GetProperty("methodId").GetString()!);

    private static bool IsBeforeTheSearch(JsonElement band) =>
        band.GetProperty("leavesOut").GetRawText().Contains("what a search saves", StringComparison.Ordinal);

    // prints of two shapes on a few dozen shirts: what a first laying leaves open
    private async Task Mixed(Journey journey, int pieces = 60)
    {
        var order = await journey.Order();
        var ask = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
        ask["lines"]![0]!["sizes"] = new JsonArray(new JsonObject { ["size"] = "M", ["pieces"] = pieces });
        (ask["lines"]![0]!["placements"]![0]!["widthIn"], ask["lines"]![0]!["placements"]![0]!["heightIn"]) = (
            7.7,
            5.2
        );
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{journey.Id}",
            ask.ToJsonString(),
            order.GetProperty("version").GetRawText()
        );
        Assert.True(status == 200, body.ToString());
    }

    [Fact]
    public async Task What_is_chosen_is_searched_and_compared_quoted_and_sent_as_searched()
    {
        var journey = new Journey(shop, "searched");
        await journey.Ask(sleeve: true);
        await Mixed(journey);
        var first = await Bands("searched");
        Assert.True(IsBeforeTheSearch(first["dtf-made"]));
        await journey.Done("choose", """{"methodId":"dtf-made"}""");
        var chosen = await Bands("searched");
        Assert.False(IsBeforeTheSearch(chosen["dtf-made"]));
        decimal Cost(JsonElement band) => band.GetProperty("cost").GetProperty("value").GetDecimal();
        Assert.True(
            Cost(chosen["dtf-made"]) < Cost(first["dtf-made"]),
            $"{Cost(chosen["dtf-made"])} is not under {Cost(first["dtf-made"])}"
        );
        var along = (await shop.Get("/api/orders/searched/ribbon"))
            .GetProperty("lines")
            .EnumerateArray()
            .Single(l => l.GetProperty("methodId").GetString() == "dtf-made")
            .GetProperty("costs");
        Assert.Equal(Cost(chosen["dtf-made"]), along[59].GetDecimal(), 6);
        var view = await View("searched");
        Assert.True((bool)view["isSettled"]! && (int)view["figures"]!["steps"]! > 0);
        await journey.Done("lay-out");
        var quote = (await shop.Get("/api/orders/searched/quote")).GetProperty("quote");
        Assert.Equal(
            chosen["dtf-made"].GetProperty("total").GetDecimal(),
            quote.GetProperty("lines")[0].GetProperty("band").GetProperty("total").GetDecimal()
        );
        await journey.Done("send");
    }

    [Fact]
    public async Task Another_quantity_is_laid_out_anew_before_it_is_quoted_and_nothing_else_is()
    {
        var journey = new Journey(shop, "recounted");
        await journey.Ask(sleeve: true);
        await Mixed(journey);
        await journey.Done("choose", """{"methodId":"dtf-made"}""");
        await journey.Done("lay-out");
        Assert.Equal("quote", await journey.Station());
        await Mixed(journey);
        Assert.Equal("quote", await journey.Station());
        await Mixed(journey, 71);
        Assert.Equal("layout", await journey.Station());
        Assert.Equal(409, (await journey.Deed("send")).Status);
        await journey.Done("lay-out");
        Assert.False(IsBeforeTheSearch((await Bands("recounted"))["dtf-made"]));
        await journey.Done("send");
    }

    [Fact]
    public async Task One_shirt_over_a_thousand_costs_one_shirt_more()
    {
        var journey = new Journey(shop, "thousands");
        await journey.Ask();
        async Task<Dictionary<string, decimal>> Decoration(int pieces)
        {
            var order = await journey.Order();
            var ask = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
            ask["lines"]![0]!["sizes"] = new JsonArray(new JsonObject { ["size"] = "M", ["pieces"] = pieces });
            var (status, body) = await shop.Send(
                HttpMethod.Put,
                "/api/orders/thousands",
                ask.ToJsonString(),
                order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
            );
            Assert.True(status == 200, body.ToString());
            return (await shop.Get("/api/orders/thousands/compare"))
                .GetProperty("bands")
                .EnumerateArray()
                .Where(b => b.GetProperty("methodId").GetString()!.StartsWith("dtf", StringComparison.Ordinal))
                .ToDictionary(
                    b => b.GetProperty("methodId").GetString()!,
                    b =>
                        pieces
                        * b.GetProperty("cost")
                            .GetProperty("parts")
                            .EnumerateArray()
                            .Single(p => p.GetProperty("code").GetString() == "decoration")
                            .GetProperty("value")
                            .GetDecimal()
                );
        }
        // prints and their spares pass a thousand between the two
        foreach (var (few, more) in new[] { (960, 961), (985, 986), (1000, 1001) })
        {
            var (before, after) = (await Decoration(few), await Decoration(more));
            Assert.Equal(2, before.Count);
            Assert.All(before, b => Assert.InRange(after[b.Key], b.Value * 0.97m, b.Value * 1.015m));
        }
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        // they are drawn, and taken as they are; by hand no more than a thousand are moved
        var copies = (await View("thousands"))["copies"]!;
        Assert.InRange(copies.AsArray().Count, 1001, 1060);
        Assert.Equal(400, (await Settle(journey, copies)).Status);
        await journey.Done("lay-out");
        await journey.Done("send");
    }

    [Fact]
    public async Task The_estimate_uses_what_the_layout_costs_to_the_cent()
    {
        var journey = await Laid("laid");
        var view = await View("laid");
        var (cost, share) = (
            view["figures"]!["cost"]!["value"]!.GetValue<decimal>(),
            view["shares"]![0]!["byArea"]!["value"]!.GetValue<decimal>()
        );
        Assert.Equal(view["copies"]!.AsArray().Count, view["designs"]![0]!["needed"]!.GetValue<int>());
        Assert.Equal(cost, view["shares"]![0]!["allByArea"]!.GetValue<decimal>(), 4);
        async Task<JsonElement> Plan() =>
            (await shop.Get("/api/orders/laid/layout")).GetProperty("band").GetProperty("decorations")[0];
        decimal Print(JsonElement plan) =>
            plan.GetProperty("material")
                .GetProperty("parts")
                .EnumerateArray()
                .Single(p => p.GetProperty("code").GetString() == "transfer-price")
                .GetProperty("value")
                .GetDecimal();
        Assert.Equal(share, Print(await Plan()));
        // moved a foot down the roll it is a foot dearer: so is the estimate, and the list of what to buy
        var (status, body) = await Settle(
            journey,
            With(view["copies"]!, 0, "y", view["figures"]!["billedIn"]!.GetValue<double>() + 1)
        );
        Assert.True(status == 200, body.ToString());
        var settled = await View("laid");
        Assert.True(settled["isSettled"]!.GetValue<bool>());
        Assert.True(settled["figures"]!["cost"]!["value"]!.GetValue<decimal>() > cost);
        Assert.Equal(settled["shares"]![0]!["byArea"]!["value"]!.GetValue<decimal>(), Print(await Plan()));
        await journey.Done("lay-out");
        await journey.Done("send");
        Assert.True((await View("laid"))["isSettled"]!.GetValue<bool>());
    }

    [Fact]
    public async Task What_is_settled_is_taken_back_forgotten_and_falls_away_when_the_line_needs_other_prints()
    {
        var journey = await Laid("forgotten");
        var view = await View("forgotten");
        Assert.Equal(200, (await Settle(journey, view["copies"]!)).Status);
        Assert.True((await View("forgotten"))["isSettled"]!.GetValue<bool>());
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo")).Status);
        // back is what was settled when the way was chosen
        Assert.Equal(
            view["figures"]!["steps"]!.GetValue<int>(),
            (await View("forgotten"))["figures"]!["steps"]!.GetValue<int>()
        );
        Assert.Equal(200, (await Settle(journey, view["copies"]!)).Status);
        await journey.Done("lines/1/layout", null, HttpMethod.Delete);
        Assert.False((await View("forgotten"))["isSettled"]!.GetValue<bool>());

        Assert.Equal(200, (await Settle(journey, view["copies"]!)).Status);
        var order = await journey.Order();
        var more = Journey
            .Body(order.GetProperty("ask").GetRawText())
            .Replace("\"pieces\":3", "\"pieces\":13", StringComparison.Ordinal);
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/forgotten",
                    more,
                    order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        var anew = await View("forgotten");
        Assert.Contains("for other prints", anew["stale"]!.GetValue<string>(), StringComparison.Ordinal);
        Assert.False(anew["isSettled"]!.GetValue<bool>());
    }

    [Fact]
    public async Task A_settled_layout_says_when_its_film_wants_a_larger_gap_since()
    {
        using var other = new Shop();
        var journey = new Journey(other, "gap");
        await journey.To("layout");
        var copies = (await other.Get(At("gap"))).GetProperty("copies").GetRawText();
        await journey.Done("lines/1/layout", $$"""{{{Ground}},"copies":{{copies}}}""", HttpMethod.Put);
        Assert.Equal("", (await other.Get(At("gap"))).GetProperty("stale").GetString());
        var film = (await other.Get("/api/films"))
            .EnumerateArray()
            .Single(f => f.GetProperty("value").GetProperty("id").GetString() == "ferrow");
        var body = JsonNode.Parse(film.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["byLayout"]!["gapIn"] = 0.75;
        Assert.Equal(
            200,
            (
                await other.Send(
                    HttpMethod.Put,
                    "/api/films/ferrow",
                    body.ToJsonString(),
                    film.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        Assert.Contains(
            "was changed since it was settled",
            (await other.Get(At("gap"))).GetProperty("stale").GetString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task A_moved_copy_snaps_and_says_by_how_much_it_goes_wrong()
    {
        await Laid("moved");
        var copies = (await View("moved"))["copies"]!;
        var near = With(With(copies, 0, "y", 90.1), 0, "x", 0.4);
        var snapped = (await Tried("moved", near, ",\"moved\":0")).GetProperty("copies")[0];
        Assert.Equal((0.25, 90.1), (snapped.GetProperty("x").GetDouble(), snapped.GetProperty("y").GetDouble()));
        var over = (await Tried("moved", With(copies, 0, "x", 100)))
            .GetProperty("problems")[0]
            .GetProperty("sentence")
            .GetString();
        Assert.Matches(@"Front at 100, .* leaves the printable part by \d+", over);
        var on = (
            await Tried(
                "moved",
                With(With(copies, 0, "x", copies[1]!["x"]!.DeepClone()), 0, "y", copies[1]!["y"]!.DeepClone())
            )
        )
            .GetProperty("problems")[0]
            .GetProperty("sentence")
            .GetString();
        Assert.Contains("in too near: 0.5 in stay free between prints.", on, StringComparison.Ordinal);
        var journey = new Journey(shop, "moved");
        Assert.Equal(400, (await Settle(journey, With(copies, 0, "x", 100))).Status);
        var fewer = JsonNode.Parse(copies.ToJsonString())!.AsArray();
        fewer.RemoveAt(0);
        Assert.Contains(
            "are laid",
            (await Settle(journey, fewer)).Body.GetProperty("problems")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Post,
                    $"{At("moved")}/try",
                    $$"""{{{Ground}},"copies":{{copies.ToJsonString()}},"moved":99}"""
                )
            ).Status
        );
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Post,
                    $"{At("moved")}/search",
                    $$"""{{{Ground}},"copies":{{copies.ToJsonString()}},"seconds":1000}"""
                )
            ).Status
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, $"{At("moved")}?filmId=ferrow&on=none")).Status);
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/layout-searches/none")).Status);
    }

    [Fact]
    public async Task The_room_is_filled_for_stock_and_the_order_pays_no_more()
    {
        var journey = await Laid("filled");
        var view = await View("filled");
        var room = view["room"]![0]!;
        var (status, filled) = await shop.Send(
            HttpMethod.Post,
            $"{At("filled")}/fill",
            $$"""{{{Ground}},"copies":{{view["copies"]!.ToJsonString()}},"key":"f","nextStep":true}"""
        );
        Assert.True(status == 200, filled.ToString());
        var more = filled.GetProperty("copies").GetArrayLength() - view["copies"]!.AsArray().Count;
        Assert.Equal(room["next"]!.GetValue<int>(), more);
        Assert.True(more > 0);
        Assert.Empty(filled.GetProperty("problems").EnumerateArray());
        Assert.Equal(200, (await Settle(journey, JsonNode.Parse(filled.GetProperty("copies").GetRawText())!)).Status);
        var kept = await View("filled");
        Assert.Equal(more, kept["designs"]![0]!["extra"]!.GetValue<int>());
        Assert.Equal(
            view["figures"]!["cost"]!["value"]!.GetValue<decimal>(),
            kept["figures"]!["forOrder"]!.GetValue<decimal>()
        );
        Assert.Equal(
            404,
            (
                await shop.Send(HttpMethod.Post, $"{At("filled")}/fill", $$"""{{{Ground}},"copies":[],"key":"none"}""")
            ).Status
        );
    }

    [Fact]
    public async Task A_search_is_looked_at_stopped_and_proposes_what_is_better_than_a_careless_layout()
    {
        await Laid("sought");
        var copies = (await View("sought"))["copies"]!;
        // spread out over the roll by hand
        var spread = copies.DeepClone().AsArray();
        for (var i = 0; i < spread.Count; i++)
        {
            (spread[i]!["x"], spread[i]!["y"], spread[i]!["turned"]) = (0.25, 0.25 + (i * 20), false);
        }
        var (status, search) = await shop.Send(
            HttpMethod.Post,
            $"{At("sought")}/search",
            $$"""{{{Ground}},"copies":{{spread.ToJsonString()}},"seconds":30}"""
        );
        Assert.True(status == 200, search.ToString());
        var id = search.GetProperty("id").GetString();
        var (_, stopped) = await shop.Send(HttpMethod.Post, $"/api/layout-searches/{id}/stop");
        stopped = await Ended(stopped);
        var result = stopped.GetProperty("result");
        Assert.Empty(result.GetProperty("problems").EnumerateArray());
        Assert.True(result.GetProperty("figures").GetProperty("usedIn").GetDouble() < spread.Count * 20);
        Assert.True(stopped.GetProperty("course").GetArrayLength() > 0);
    }

    [Theory]
    [InlineData("dtf-bought", Ground)]
    [InlineData("dtf-made", "\"filmId\":\"skua\",\"on\":\"roll\"")]
    public async Task A_pinned_copy_stays_where_it_is_and_a_table_is_brought_in_on_any_film(
        string methodId,
        string ground
    )
    {
        var id = $"pinned-{methodId}";
        await new Journey(shop, id, methodId).To("layout");
        var brought = await shop.Send(
            HttpMethod.Post,
            $"{At(id)}/bring",
            $$"""{{{ground}},"text":{{JsonSerializer.Serialize(await shop.CreateClient().GetStringAsync($"{At(id)}/layout.csv"))}}}"""
        );
        Assert.Equal(
            (await View(id))["copies"]!.ToJsonString(),
            JsonNode.Parse(brought.Body.GetProperty("copies").GetRawText())!.ToJsonString()
        );
        var spread = (await View(id))["copies"]!.AsArray();
        for (var i = 0; i < spread.Count; i++)
        {
            (spread[i]!["x"], spread[i]!["y"], spread[i]!["turned"], spread[i]!["pinned"]) = (
                0.25,
                0.25 + (i * 20),
                false,
                i == spread.Count - 1
            );
        }
        var (_, search) = await shop.Send(
            HttpMethod.Post,
            $"{At(id)}/search",
            $$"""{{{ground}},"copies":{{spread.ToJsonString()}},"seconds":1}"""
        );
        var found = (await Ended(search)).GetProperty("result");
        Assert.Empty(found.GetProperty("problems").EnumerateArray());
        Assert.Contains(found.GetProperty("copies").EnumerateArray(), c =>
            c.GetProperty("pinned").GetBoolean()
            && c.GetProperty("y").GetDouble() == spread[^1]!["y"]!.GetValue<double>()
        );
    }

    [Fact]
    public async Task A_layout_goes_out_as_files_and_comes_back_as_it_was()
    {
        var journey = await Laid("files");
        var view = await View("files");
        var client = shop.CreateClient();
        Assert.Equal("%PDF"u8.ToArray(), (await client.GetByteArrayAsync($"{At("files")}/layout.pdf"))[..4]);
        var text = await client.GetStringAsync($"{At("files")}/order-text");
        Assert.Contains("order T-", text, StringComparison.Ordinal);
        foreach (
            var file in new[]
            {
                await client.GetStringAsync($"{At("files")}/layout.svg"),
                await client.GetStringAsync($"{At("files")}/layout.csv"),
            }
        )
        {
            var (status, back) = await shop.Send(
                HttpMethod.Post,
                $"{At("files")}/bring",
                $$"""{{{Ground}},"text":{{JsonSerializer.Serialize(file)}}}"""
            );
            Assert.True(status == 200, back.ToString());
            Assert.Empty(back.GetProperty("problems").EnumerateArray());
            Assert.Equal(
                view["figures"]!["cost"]!["value"]!.GetValue<decimal>(),
                back.GetProperty("figures").GetProperty("cost").GetProperty("value").GetDecimal()
            );
            Assert.Equal(
                view["copies"]!.ToJsonString(),
                JsonNode.Parse(back.GetProperty("copies").GetRawText())!.ToJsonString()
            );
        }
        foreach (
            var (bad, said) in new[]
            {
                ("nonsense", "is missing"),
                (
                    "<svg width='10in' viewBox='0 0 10 5'><rect width='7' height='1'/></svg>",
                    "is no design of this line"
                ),
                ("x_in,y_in,width_in,height_in\n1,1,wide,8", "cannot be read"),
                ("x_in,y_in,width_in,height_in,sheet\n1,1,9,8,none", "no number of a sheet"),
            }
        )
        {
            var (status, refused) = await shop.Send(
                HttpMethod.Post,
                $"{At("files")}/bring",
                $$"""{{{Ground}},"text":{{JsonSerializer.Serialize(bad)}}}"""
            );
            Assert.Equal(400, status);
            Assert.Contains(
                said,
                refused.GetProperty("problems")[0].GetProperty("sentence").GetString(),
                StringComparison.Ordinal
            );
        }
        // a PNG is what is printed: it needs the pictures
        Assert.Contains(
            "has no picture",
            (await shop.Send(HttpMethod.Get, $"{At("files")}/layout.png")).Body.GetRawText(),
            StringComparison.Ordinal
        );
        await Pictured(journey);
        using var png = SKBitmap.Decode(await client.GetByteArrayAsync($"{At("files")}/layout.png"));
        var now = await View("files");
        Assert.Equal(
            (22 * 300, (int)Math.Round(now["figures"]!["billedIn"]!.GetValue<double>() * 300)),
            (png.Width, png.Height)
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, $"{At("files")}/layout.png?sheet=7")).Status);
        var copy = now["copies"]![0]!;
        Assert.Equal(
            255,
            png.GetPixel(
                (int)((copy["x"]!.GetValue<double>() + 1) * 300),
                (int)((copy["y"]!.GetValue<double>() + 1) * 300)
            ).Alpha
        );
    }

    private async Task Pictured(Journey journey)
    {
        using var bitmap = new SKBitmap(900, 800);
        bitmap.Erase(SKColors.Teal);
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        using (
            var request = new HttpRequestMessage(HttpMethod.Put, "/api/artwork/plain/file?name=plain&widthIn=9")
            {
                Content = new ByteArrayContent(data.ToArray()) { Headers = { ContentType = new("image/png") } },
            }
        )
        {
            Assert.True((await shop.CreateClient().SendAsync(request)).IsSuccessStatusCode);
        }
        var order = await journey.Order();
        var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
        body["lines"]![0]!["placements"]![0]!["designId"] = "plain";
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{journey.Id}",
            body.ToJsonString(),
            order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, said.ToString());
    }

    [Fact]
    public async Task On_sheets_the_layout_says_how_many_and_where_nothing_is_sold_it_says_so()
    {
        await Laid("sheets");
        var view = await View("sheets", "?filmId=ferrow&on=11%20%C3%97%2015");
        Assert.Equal(
            view["copies"]!.AsArray().Max(c => c!["sheet"]!.GetValue<int>()) + 1,
            view["figures"]!["sheets"]!.GetValue<int>()
        );
        Assert.Equal(2, view["choices"]!.AsArray().Count);
        Assert.True(
            view["choices"]![0]!["cost"]!["value"]!.GetValue<decimal>()
                <= view["choices"]![1]!["cost"]!["value"]!.GetValue<decimal>()
        );
        using var bare = new Shop();
        var film = (await bare.Get("/api/films")).EnumerateArray().First();
        var body = JsonNode.Parse(film.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["byLayout"] = null;
        Assert.Equal(
            200,
            (
                await bare.Send(
                    HttpMethod.Put,
                    "/api/films/ferrow",
                    body.ToJsonString(),
                    film.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        var journey = new Journey(bare, "bare");
        await journey.To("layout");
        Assert.Contains(
            "No film is sold for layouts",
            (await bare.Send(HttpMethod.Get, At("bare"))).Body.GetRawText(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Own_film_is_laid_out_and_settled_likewise_and_nothing_of_it_is_ordered()
    {
        var journey = new Journey(shop, "own-film", "dtf-made");
        await journey.To("layout");
        var view = await View("own-film");
        Assert.True(view["isOwn"]!.GetValue<bool>());
        Assert.Null(view["next"]);
        const string Own = "\"filmId\":\"skua\",\"on\":\"roll\"";
        async Task<decimal> Film() =>
            (await shop.Get("/api/orders/own-film/layout"))
                .GetProperty("band")
                .GetProperty("decorations")[0]
                .GetProperty("material")
                .GetProperty("parts")
                .EnumerateArray()
                .Single(p => p.GetProperty("code").GetString() == "film")
                .GetProperty("value")
                .GetDecimal();
        var before = await Film();
        var (status, body) = await Settle(
            journey,
            With(view["copies"]!, 0, "y", view["figures"]!["billedIn"]!.GetValue<double>() + 1),
            Own
        );
        Assert.True(status == 200, body.ToString());
        Assert.True(await Film() > before);
        var refused = await shop.Send(HttpMethod.Get, "/api/orders/own-film/lines/1/layout/order-text");
        Assert.Equal(409, refused.Status);
        Assert.Contains("nothing of", refused.Body.GetRawText(), StringComparison.Ordinal);
        Assert.StartsWith(
            "%PDF",
            await shop.CreateClient().GetStringAsync("/api/orders/own-film/lines/1/layout/layout.pdf"),
            StringComparison.Ordinal
        );
        await journey.Done("lay-out");
        await journey.Done("send");
        // until it is printed it can be laid otherwise: the quote stands
        Assert.False((await View("own-film"))["isLocked"]!.GetValue<bool>());
        Assert.Equal(200, (await Settle(journey, view["copies"]!, Own)).Status);
        Assert.Equal(
            view["figures"]!["usedIn"]!.GetValue<double>(),
            (await View("own-film"))["figures"]!["usedIn"]!.GetValue<double>()
        );
        await journey.Gathered();
        Assert.True((await View("own-film"))["isLocked"]!.GetValue<bool>());
        Assert.Equal(409, (await Settle(journey, view["copies"]!, Own)).Status);
        var items = (await journey.Order())
            .GetProperty("facts")
            .GetProperty("gathering")
            .GetProperty("items")
            .EnumerateArray()
            .Select(i => (Id: i.GetProperty("id").GetString()!, Kind: i.GetProperty("kind").GetString()))
            .ToList();
        Assert.DoesNotContain(items, i => i.Id.StartsWith("own-film", StringComparison.Ordinal));
        Assert.Contains(items, i => i.Id.StartsWith("prepare-", StringComparison.Ordinal));
    }

    private const string Arch =
        """<svg xmlns="http://www.w3.org/2000/svg" width="9in" height="8in" viewBox="0 0 90 80"><path d="M0 0H90V80H70V20H20V80H0Z" fill="#c2452d"/></svg>""";

    private async Task Draw(string svg, long version)
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, "/api/artwork/arch/file?name=arch&widthIn=9")
        {
            Content = new StringContent(svg, System.Text.Encoding.UTF8, "image/svg+xml"),
        };
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        using var answer = await shop.CreateClient().SendAsync(request);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
    }

    [Fact]
    public async Task By_outline_small_prints_lie_in_the_gates_of_large_ones_and_the_estimate_cuts_round()
    {
        await Draw(Arch, 0);
        var journey = new Journey(shop, "arched");
        await journey.Ask(sleeve: true);
        var order = await journey.Order();
        var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
        var (line, front) = (body["lines"]![0]!, body["lines"]![0]!["placements"]![0]!);
        // two across and full rows: as boxes the sleeves have no room beside them
        (front["designId"], front["widthIn"], front["heightIn"], line["sizes"]![0]!["pieces"]) = (
            "arch",
            10,
            8.889,
            20
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/arched",
                    body.ToJsonString(),
                    order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        var boxes = await View("arched", "?filmId=ferrow&on=roll");
        Assert.Equal((false, true), (boxes["isByOutline"]!.GetValue<bool>(), boxes["hasOutlines"]!.GetValue<bool>()));
        Assert.Equal(0, boxes["designs"]![0]!["needed"]!.GetValue<int>() % 2);
        var by = await View("arched", "?filmId=ferrow&on=roll&byOutline=true");
        Assert.Equal((true, false), (by["isByOutline"]!.GetValue<bool>(), by["isSettled"]!.GetValue<bool>()));
        Assert.True(by["figures"]!["floorIn"]!.GetValue<double>() < boxes["figures"]!["floorIn"]!.GetValue<double>());

        const string By = $"{Ground},\"byOutline\":true";
        var (_, search) = await shop.Send(
            HttpMethod.Post,
            $"{At("arched")}/search",
            $$"""{{{By}},"copies":{{boxes["copies"]!.ToJsonString()}},"seconds":1}"""
        );
        var found = (await Ended(search)).GetProperty("result");
        Assert.Empty(found.GetProperty("problems").EnumerateArray());
        Assert.True(
            found.GetProperty("figures").GetProperty("usedIn").GetDouble()
                < boxes["figures"]!["floorIn"]!.GetValue<double>()
        );
        Assert.Equal(
            found.GetProperty("more").GetDecimal() + found.GetProperty("cutRound").GetProperty("value").GetDecimal(),
            found.GetProperty("inAll").GetDecimal()
        );

        // as boxes they would lie one on another; by outline they are settled
        var copies = JsonNode.Parse(found.GetProperty("copies").GetRawText())!;
        Assert.Contains(
            "in too near",
            (await Settle(journey, copies)).Body.GetProperty("problems")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        async Task<double> Cutting() =>
            (await shop.Get("/api/orders/arched/layout"))
                .GetProperty("band")
                .GetProperty("decorations")[1]
                .GetProperty("preparation")
                .EnumerateArray()
                .Single(s => s.GetProperty("code").GetString() == "cut-apart")
                .GetProperty("seconds")
                .GetDouble();
        Assert.Equal(6, await Cutting());
        Assert.Equal(200, (await Settle(journey, copies, By)).Status);
        var settled = await View("arched");
        Assert.Equal(
            (true, true, ""),
            (
                settled["isByOutline"]!.GetValue<bool>(),
                settled["isSettled"]!.GetValue<bool>(),
                settled["stale"]!.GetValue<string>()
            )
        );
        Assert.True(settled["cutRound"]!["value"]!.GetValue<decimal>() > 0);
        Assert.InRange(await Cutting(), 6.1, 2 * (10 + 8.889));
        // boxes can be looked at and given out again, and filling goes into gates too
        Assert.False((await View("arched", "?filmId=ferrow&on=roll&byOutline=false"))["isSettled"]!.GetValue<bool>());
        var client = shop.CreateClient();
        Assert.NotEqual(
            await client.GetStringAsync($"{At("arched")}/layout.csv"),
            await client.GetStringAsync($"{At("arched")}/layout.csv?filmId=ferrow&on=roll&byOutline=false")
        );
        var (_, filled) = await shop.Send(
            HttpMethod.Post,
            $"{At("arched")}/fill",
            $$"""{{{By}},"copies":{{copies.ToJsonString()}},"key":"c"}"""
        );
        Assert.Empty(filled.GetProperty("problems").EnumerateArray());
        Assert.True(filled.GetProperty("copies").GetArrayLength() > copies.AsArray().Count);

        // an artwork that is changed has no gate any more: it is said
        await Draw(Arch.Replace("M0 0H90V80H70V20H20V80H0Z", "M0 0H90V80H0Z", StringComparison.Ordinal), 1);
        Assert.StartsWith(
            "Its artwork or its film was changed since it was settled: ",
            (await View("arched"))["stale"]!.GetValue<string>(),
            StringComparison.Ordinal
        );
    }
}
