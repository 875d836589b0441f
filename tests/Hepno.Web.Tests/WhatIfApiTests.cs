using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Figures tried at other levels through the API: nothing of it is kept.</summary>
public sealed class WhatIfApiTests(Shop shop) : IClassFixture<Shop>
{
    private static decimal Stratum(JsonElement comparison, string code) =>
        comparison
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "dtf-bought")
            .GetProperty("cost")
            .GetProperty("parts")
            .EnumerateArray()
            .Single(p => p.GetProperty("code").GetString() == code)
            .GetProperty("value")
            .GetDecimal();

    [Fact]
    public async Task A_wage_tried_moves_the_labour_and_is_kept_nowhere()
    {
        await new Journey(shop, "tried").Ask();
        await shop.HasLearned();
        var now = await shop.Get("/api/orders/tried/compare");
        var tried = await shop.Get("/api/orders/tried/compare?wage=2&blank=1.5");
        Assert.Equal((double)Stratum(now, "labour") * 2, (double)Stratum(tried, "labour"), 1e-5);
        Assert.Equal(Stratum(now, "decoration"), Stratum(tried, "decoration"));
        Assert.True(Stratum(tried, "blank") > Stratum(now, "blank") * 1.4m);
        Assert.Equal(now.ToString(), (await shop.Get("/api/orders/tried/compare")).ToString());
        var swings = (await shop.Get("/api/orders/tried/swing?method=dtf-bought")).EnumerateArray().ToList();
        Assert.Contains(swings, s => s.GetProperty("input").GetString() == "wage");
        Assert.All(swings, s => Assert.NotEmpty(s.GetProperty("levels").GetString()!));
    }

    [Theory]
    [InlineData("compare?wage=0", 400, "wage")]
    [InlineData("compare?film=99", 400, "film")]
    [InlineData("compare?wage=much", 400, null)]
    [InlineData("swing?method=painted", 404, null)]
    [InlineData("swing", 400, null)]
    public async Task What_cannot_be_tried_is_refused(string call, int status, string? where)
    {
        await new Journey(shop, "untried").Ask();
        var (got, body) = await shop.Send(HttpMethod.Get, $"/api/orders/untried/{call}");
        Assert.Equal(status, got);
        Assert.NotEmpty(body.GetProperty("title").GetString()!);
        Assert.True(
            where is null || body.GetProperty("problems")[0].GetProperty("where").GetString() == where,
            body.ToString()
        );
    }

    [Fact]
    public async Task The_rule_of_thumb_is_the_owners_to_set()
    {
        await new Journey(shop, "thumb").Ask();
        async Task<JsonElement> Thumb() =>
            (await shop.Get("/api/orders/thumb/compare")).GetProperty("bands")[0].GetProperty("thumb");
        Assert.StartsWith(
            "3 × materials would be $",
            (await Thumb()).GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        async Task<int> Set(decimal multiple)
        {
            var kept = await shop.Get("/api/numbers");
            var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
            body["prices"]!["ruleOfThumb"] = multiple;
            return (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    body.ToJsonString(),
                    kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status;
        }
        Assert.Equal(400, await Set(21));
        Assert.Equal(200, await Set(0));
        Assert.Equal(JsonValueKind.Null, (await Thumb()).ValueKind);
    }
}
