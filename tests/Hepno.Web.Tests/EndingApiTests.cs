using System.Globalization;
using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Orders that end without work, over the API.</summary>
public class EndingApiTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<(int Status, JsonElement Body)> End(Journey journey, string id, string json) =>
        await shop.Send(
            HttpMethod.Post,
            $"/api/orders/{id}/end",
            json,
            (await journey.Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );

    private async Task<bool> OnTheLine(string id) =>
        (await shop.Get("/api/line"))
            .GetProperty("stations")
            .EnumerateArray()
            .SelectMany(s => s.GetProperty("pegs").EnumerateArray())
            .Any(p => p.GetProperty("id").GetString() == id);

    private async Task<JsonElement> Found(string code) =>
        (await shop.Get($"/api/orders?find={code}"))
            .EnumerateArray()
            .First(o => o.GetProperty("code").GetString() == code);

    [Fact]
    public async Task A_lost_order_leaves_the_line_stays_in_Find_is_counted_and_comes_back_where_it_stood()
    {
        var journey = new Journey(shop, "lost");
        await journey.To("gather");
        var code = (await journey.Order()).GetProperty("code").GetString()!;
        int Lost(JsonElement ways) =>
            ways.EnumerateArray().Sum(w => w.GetProperty("counted").GetProperty("lost").GetInt32());
        var before = Lost(await shop.Get("/api/won-and-lost"));
        Assert.Equal(
            200,
            (
                await End(
                    journey,
                    "lost",
                    """{"kind":"lost","why":"too dear","toWhom":"Fulmar Print","theirPrice":61.5}"""
                )
            ).Status
        );
        Assert.False(await OnTheLine("lost"));
        Assert.Equal(
            ("closed", "lost"),
            (
                (await Found(code)).GetProperty("station").GetString(),
                (await Found(code)).GetProperty("ended").GetString()
            )
        );
        Assert.Equal(before + 1, Lost(await shop.Get("/api/won-and-lost")));
        var slip = (await journey.Order()).GetProperty("slip");
        Assert.Contains(slip.GetProperty("rows").EnumerateArray(), r =>
            r.GetProperty("label").GetString() == "Lost"
            && r.GetProperty("figure").GetString() == "$61.50"
            && r.GetProperty("note").GetString() == "to Fulmar Print: too dear"
        );
        Assert.Equal("bring-back", slip.GetProperty("action").GetProperty("code").GetString());
        // nothing more can be done to it
        Assert.Equal(409, (await End(journey, "lost", """{"kind":"declined","why":"no time"}""")).Status);
        await journey.Done("bring-back");
        Assert.Equal("gather", await journey.Station());
        Assert.Equal(before, Lost(await shop.Get("/api/won-and-lost")));
        Assert.Equal(
            409,
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/orders/lost/bring-back",
                    "{}",
                    (await journey.Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
    }

    [Fact]
    public async Task A_cancelled_order_says_what_was_spent_and_is_taken_back_by_undo()
    {
        var journey = new Journey(shop, "off");
        await journey.To("press");
        var bill = (await shop.Get("/api/orders/off/ending")).GetProperty("bill");
        var spent = bill.GetProperty("spent").GetProperty("value").GetDecimal();
        Assert.True(spent > 0);
        Assert.Equal(
            spent - bill.GetProperty("paid").GetProperty("value").GetDecimal(),
            bill.GetProperty("left").GetDecimal()
        );
        var (status, said) = await End(journey, "off", """{"kind":"lost","why":"too dear"}""");
        Assert.Equal((409, "cannot-end"), (status, said.GetProperty("problems")[0].GetProperty("code").GetString()));
        Assert.Equal(400, (await End(journey, "off", """{"kind":"cancelled"}""")).Status);
        Assert.Equal(
            200,
            (
                await End(journey, "off", """{"kind":"cancelled","why":"the fair is called off","settled":-12.5}""")
            ).Status
        );
        Assert.False(await OnTheLine("off"));
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
        Assert.Equal("press", await journey.Station());
    }

    [Fact]
    public async Task An_empty_ask_is_thrown_away_and_one_that_says_something_is_not()
    {
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/void",
                    """
                    {"customerId":null,"lines":[{"id":"l","styleId":null,"colourwayId":null,"sizes":[],
                    "placements":[],"mark":null}],"dueDate":null,"dueTime":null,"details":null,"channel":"retail"}
                    """
                )
            ).Status
        );
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Post, "/api/orders/void/end", """{"kind":"thrown-away"}""", "1")).Status
        );
        Assert.False(await OnTheLine("void"));
        var journey = new Journey(shop, "full");
        await journey.To("compare");
        Assert.Equal(409, (await End(journey, "full", """{"kind":"thrown-away"}""")).Status);
        Assert.Equal(
            428,
            (await shop.Send(HttpMethod.Post, "/api/orders/full/end", """{"kind":"declined","why":"no time"}""")).Status
        );
        Assert.Equal(
            404,
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/orders/nobody/end",
                    """{"kind":"declined","why":"no time"}""",
                    "1"
                )
            ).Status
        );
    }

    [Fact]
    public async Task Sending_names_what_the_customer_pays_with_tax()
    {
        var journey = new Journey(shop, "taxed");
        await journey.To("quote");
        var total = (await shop.Get("/api/orders/taxed/quote")).GetProperty("quote").GetProperty("total").GetDecimal();
        Assert.Equal(
            $"Send ${total.ToString("0.00", CultureInfo.InvariantCulture)}",
            (await journey.Order()).GetProperty("slip").GetProperty("action").GetProperty("label").GetString()
        );
        var goods = (await shop.Get("/api/orders/taxed/quote")).GetProperty("quote").GetProperty("goods").GetDecimal();
        Assert.True(total > goods);
    }
}
