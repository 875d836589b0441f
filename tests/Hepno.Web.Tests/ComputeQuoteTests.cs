using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>An ask quoted without being kept.</summary>
public class ComputeQuoteTests(Shop shop) : IClassFixture<Shop>
{
    [Fact]
    public async Task It_says_what_the_same_order_would_be_quoted_and_keeps_nothing()
    {
        var kept = new Journey(shop, "loose-quote");
        await kept.To("quote");
        var stood = await Line();
        var (status, loose) = await Quoted(await Ask(kept), """[{"methodId":"dtf-bought"}]""");
        Assert.Equal(200, status);
        var quote = (await shop.Get("/api/orders/loose-quote/quote")).GetProperty("quote");
        foreach (var figure in new[] { "goods", "postage", "tax", "total", "deposit", "validUntil" })
        {
            Assert.Equal(quote.GetProperty(figure).ToString(), loose.GetProperty(figure).ToString());
        }
        var (said, document) = (quote.GetProperty("document"), loose.GetProperty("document"));
        Assert.Equal(said.GetProperty("totals").ToString(), document.GetProperty("totals").ToString());
        Assert.Equal(said.GetProperty("tiers").ToString(), document.GetProperty("tiers").ToString());
        Assert.Equal("", document.GetProperty("number").GetString());
        Assert.Equal(stood, await Line());
    }

    [Fact]
    public async Task A_typed_price_is_the_price_and_its_sums_follow()
    {
        var kept = new Journey(shop, "loose-typed");
        await kept.Ask();
        var (status, loose) = await Quoted(await Ask(kept), """[{"methodId":"dtf-bought","each":20}]""");
        Assert.Equal(200, status);
        Assert.Equal(80m, loose.GetProperty("goods").GetDecimal());
        Assert.Equal(
            loose.GetProperty("total").GetDecimal(),
            80m + loose.GetProperty("postage").GetDecimal() + loose.GetProperty("tax").GetDecimal()
        );
    }

    [Theory]
    [InlineData("""[{"methodId":"potato"}]""", 404, "unknown")]
    [InlineData("""[{"methodId":"dtf-bought","lineId":"9"}]""", 404, "unknown")]
    [InlineData("""[{"methodId":"dtf-bought"},{"methodId":"htv","lineId":"1"}]""", 400, "twice")]
    [InlineData("""[{"methodId":"dtf-bought","each":0}]""", 400, "range")]
    [InlineData("""[{"methodId":"sublimation"}]""", 409, "method-unfit")]
    [InlineData("[]", 409, "no-method")]
    public async Task What_cannot_be_quoted_is_refused_with_why(string ways, int expected, string code)
    {
        var kept = new Journey(shop, "loose-refused");
        await kept.Ask();
        var (status, problem) = await Quoted(await Ask(kept), ways);
        Assert.Equal((expected, code), (status, problem.GetProperty("problems")[0].GetProperty("code").GetString()));
    }

    [Fact]
    public async Task An_ask_that_lacks_something_is_not_quoted()
    {
        var kept = new Journey(shop, "loose-part");
        await kept.Ask(complete: false);
        var (status, problem) = await Quoted(await Ask(kept), """[{"methodId":"dtf-bought"}]""");
        Assert.Equal((400, "incomplete"), (status, problem.GetProperty("problems")[0].GetProperty("code").GetString()));
    }

    /// <summary>The line of orders, less what the shop says of its copies: one is made in the background whenever it
    /// is due.</summary>
    private async Task<string> Line()
    {
        var line = JsonNode.Parse((await shop.Get("/api/line")).GetRawText())!.AsObject();
        Assert.True(line.Remove("lastBackup"));
        return line.ToJsonString();
    }

    private static async Task<string> Ask(Journey kept) =>
        Journey.Body((await kept.Order()).GetProperty("ask").GetRawText());

    private async Task<(int Status, JsonElement Body)> Quoted(string ask, string ways) =>
        await shop.Send(
            HttpMethod.Post,
            "/api/compute/quote",
            new JsonObject { ["ask"] = JsonNode.Parse(ask), ["ways"] = JsonNode.Parse(ways) }.ToJsonString()
        );
}
