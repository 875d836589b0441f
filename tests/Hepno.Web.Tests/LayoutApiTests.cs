using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Layouts over the API, without keeping anything.</summary>
public class LayoutApiTests(Shop shop) : IClassFixture<Shop>
{
    private const string Roll = """
        {"widthIn":22,"lengthIn":null,"gapIn":0.25,"marginIn":0.125,"designs":[{"id":"front","widthIn":10,
        "heightIn":8,"copies":12},{"id":"mark","widthIn":3,"heightIn":3,"copies":20,"mayTurn":false}],"seed":7,
        "steps":400,"rollPrice":{"stepIn":12,"perStep":5.5}}
        """;

    private async Task<(int Status, JsonElement Body)> Lay(string json) =>
        await shop.Send(HttpMethod.Post, "/api/compute/layout", json);

    [Fact]
    public async Task Designs_are_laid_together_billed_and_shared_out_the_same_every_time()
    {
        var (status, body) = await Lay(Roll);
        Assert.True(status == 200, body.ToString());
        var found = body.GetProperty("found");
        Assert.Equal(32, found.GetProperty("placed").GetArrayLength());
        var used = found.GetProperty("usedLengthIn").GetDouble();
        Assert.InRange(used, found.GetProperty("floorLengthIn").GetDouble() - 1e-6, 72);
        var bill = body.GetProperty("bill");
        Assert.Equal(Math.Ceiling(used / 12) * 12, bill.GetProperty("billedIn").GetDouble());
        var cost = bill.GetProperty("cost").GetProperty("value").GetDecimal();
        Assert.Equal((decimal)Math.Ceiling(used / 12) * 5.5m, cost);
        var shares = body.GetProperty("shares").EnumerateArray().ToList();
        Assert.Equal(
            cost,
            (shares[0].GetProperty("byArea").GetProperty("value").GetDecimal() * 12)
                + (shares[1].GetProperty("byArea").GetProperty("value").GetDecimal() * 20),
            4
        );
        Assert.Equal(
            found.GetProperty("placed").GetRawText(),
            (await Lay(Roll)).Body.GetProperty("found").GetProperty("placed").GetRawText()
        );
    }

    [Fact]
    public async Task Sheets_are_counted_bought_by_break_and_what_does_not_fit_is_said()
    {
        var (status, body) = await Lay(
            Roll.Replace("\"lengthIn\":null", "\"lengthIn\":16", StringComparison.Ordinal)
                .Replace("\"widthIn\":3,\"heightIn\":3", "\"widthIn\":30,\"heightIn\":3", StringComparison.Ordinal)
                .Replace(
                    "\"rollPrice\":{\"stepIn\":12,\"perStep\":5.5}",
                    "\"sheetPrices\":[{\"from\":1,\"price\":14},{\"from\":10,\"price\":11}]",
                    StringComparison.Ordinal
                )
        );
        Assert.True(status == 200, body.ToString());
        // 21.75 × 15.75 in are free: two of 10 × 8 in side by side, either way round, and no room for a third
        var sheets = body.GetProperty("found").GetProperty("sheets").GetInt32();
        Assert.Equal(6, sheets);
        Assert.Equal(sheets, body.GetProperty("bill").GetProperty("sheets").GetInt32());
        Assert.Contains(
            "mark of 30 × 3 in does not go on 22 × 16 in",
            body.GetProperty("found").GetProperty("leftOut")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        Assert.Single(body.GetProperty("shares").EnumerateArray());
    }

    [Fact]
    public async Task Sheets_that_are_alike_hold_what_is_cheapest_and_refuse_what_cannot_be()
    {
        const string json = """
            {"widthIn":8,"lengthIn":8,"gapIn":0,"marginIn":0,"designs":[{"id":"many","widthIn":4,"heightIn":4,
            "copies":40,"inks":["red"]},{"id":"few","widthIn":4,"heightIn":4,"copies":2,"inks":["RED"]}],
            "sheetPrices":[{"from":1,"price":5}],"setUp":20,"ink":3}
            """;
        async Task<(int Status, JsonElement Body)> Identical(string body) =>
            await shop.Send(HttpMethod.Post, "/api/compute/identical-sheets", body);
        var (status, plan) = await Identical(json);
        Assert.True(status == 200, plan.ToString());
        // three and one on each of fourteen sheets; the shared red is paid once
        Assert.Equal(
            (1, 93m, true),
            (
                plan.GetProperty("layouts").GetArrayLength(),
                plan.GetProperty("cost").GetProperty("value").GetDecimal(),
                plan.GetProperty("proved").GetBoolean()
            )
        );
        foreach (
            var (from, to) in new[]
            {
                ("\"copies\":2", "\"copies\":0"),
                ("\"widthIn\":4,\"heightIn\":4,\"copies\":2", "\"widthIn\":9,\"heightIn\":9,\"copies\":2"),
                ("\"from\":1", "\"from\":0"),
                ("\"setUp\":20", "\"setUp\":-1"),
            }
        )
        {
            Assert.Equal(400, (await Identical(json.Replace(from, to, StringComparison.Ordinal))).Status);
        }
    }

    [Theory]
    [InlineData("\"copies\":12", "\"copies\":0")]
    [InlineData("\"copies\":12", "\"copies\":100000")]
    [InlineData("\"gapIn\":0.25", "\"gapIn\":23")]
    [InlineData("\"widthIn\":22", "\"widthIn\":-1")]
    [InlineData("\"steps\":400", "\"steps\":2000000000")]
    [InlineData("\"steps\":400", "\"steps\":-1")]
    [InlineData("\"stepIn\":12", "\"stepIn\":0")]
    [InlineData("\"id\":\"mark\"", "\"id\":\"front\"")]
    public async Task What_cannot_be_laid_is_refused_with_a_sentence(string from, string to)
    {
        var (status, body) = await Lay(Roll.Replace(from, to, StringComparison.Ordinal));
        Assert.Equal(400, status);
        Assert.False(string.IsNullOrWhiteSpace(body.GetProperty("problems")[0].GetProperty("remedy").GetString()));
    }

    [Theory]
    [InlineData("tiles", """{"widthIn":19,"heightIn":27,"sheetWidthIn":10.5,"sheetHeightIn":16}""", "columns")]
    [InlineData(
        "marker",
        """{"fabricWidthIn":60,"paperWidthIn":44,"gapIn":0.25,"parts":[{"name":"front","widthIn":20,"heightIn":28,"count":3}]}""",
        "onFabric"
    )]
    [InlineData(
        "print-and-cut",
        """
            {"sheetWidthIn":8.5,"sheetLengthIn":11,"leftIn":0.75,"topIn":0.9,"rightIn":0.75,"bottomIn":0.5,
            "bleedIn":0.06,"designs":[{"id":"crest","widthIn":3,"heightIn":3,"copies":9}]}
            """,
        "placed"
    )]
    public async Task Tiles_parts_and_prints_to_cut_are_laid_and_what_cannot_be_is_refused(
        string what,
        string json,
        string answers
    )
    {
        var (status, body) = await shop.Send(HttpMethod.Post, $"/api/compute/{what}", json);
        Assert.True(status == 200, body.ToString());
        Assert.True(body.TryGetProperty(answers, out _));
        foreach (
            var bad in new[]
            {
                json.Replace("\"widthIn\":", "\"widthIn\":-", StringComparison.Ordinal),
                json[..^1] + (what == "tiles" ? ",\"bleedIn\":9}" : ",\"steps\":-1}"),
            }
        )
        {
            var (refused, problem) = await shop.Send(HttpMethod.Post, $"/api/compute/{what}", bad);
            Assert.Equal(400, refused);
            Assert.NotEmpty(problem.GetProperty("problems")[0].GetProperty("remedy").GetString()!);
        }
    }
}
