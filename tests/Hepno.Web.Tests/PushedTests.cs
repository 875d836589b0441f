using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>An order that is taken on says whom it pushes behind their promise; machines that run day and night are the
/// owner's to say.</summary>
public class PushedTests(Shop shop) : IClassFixture<Shop>
{
    [Fact]
    public async Task A_yes_answers_whom_it_pushes_behind_their_promise()
    {
        var small = new Journey(shop, "small");
        await Until(small, 4, 40);
        Assert.Empty((await small.Deed("approve", """{"by":"Wren"}""")).Body.GetProperty("changes").EnumerateArray());
        var code = (await small.Order()).GetProperty("code").GetString()!;
        var promised = await Late(small);

        // wanted sooner, and a week of pressing on every press
        var pushed = new List<string>();
        foreach (var id in new[] { "big", "bigger" })
        {
            var big = new Journey(shop, id);
            await Until(big, 1000, 12);
            var (status, body) = await big.Deed("approve", """{"by":"Rook"}""");
            Assert.Equal(200, status);
            pushed.AddRange(body.GetProperty("changes").EnumerateArray().Select(c => c.GetString()!));
        }
        Assert.Contains(pushed, p =>
            p.StartsWith(code, StringComparison.Ordinal) && p.EndsWith(" late.", StringComparison.Ordinal)
        );
        Assert.All(pushed, p => Assert.EndsWith(" late.", p, StringComparison.Ordinal));
        // its day is far off: it is late by what it was promised
        Assert.False(promised);
        Assert.True(await Late(small));
    }

    [Theory]
    [InlineData("""["skua","bittern"]""", 200)]
    [InlineData("[]", 200)]
    [InlineData("""[""]""", 400)]
    public async Task Machines_that_run_day_and_night_are_kept(string machines, int status)
    {
        var kept = await shop.Get("/api/numbers");
        var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
        body["floor"]!["unattended"] = JsonNode.Parse(machines);
        var (answered, problem) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            body.ToJsonString(),
            kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.Equal(status, answered);
        if (status == 200)
        {
            var now = (await shop.Get("/api/numbers"))
                .GetProperty("value")
                .GetProperty("floor")
                .GetProperty("unattended");
            Assert.Equal(machines, now.ValueKind == JsonValueKind.Null ? "[]" : now.GetRawText());
            return;
        }
        Assert.Equal("floor.unattended", problem.GetProperty("problems")[0].GetProperty("where").GetString());
    }

    private async Task Until(Journey journey, int pieces, int days)
    {
        await journey.Ask();
        var order = await journey.Order();
        var lines = JsonNode.Parse(order.GetProperty("ask").GetRawText())!["lines"]!.AsArray();
        lines[0]!["sizes"] = JsonNode.Parse($$"""[{"size":"M","pieces":{{pieces}}}]""");
        var ask = JsonNode.Parse(order.GetProperty("ask").GetRawText())!.AsObject();
        ask["lines"] = JsonNode.Parse(lines.ToJsonString());
        var version = order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{journey.Id}",
            Journey.Body(ask.ToJsonString(), ("dueDate", Shop.DaysOn(days))),
            version
        );
        Assert.True(status == 200, body.ToString());
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
    }

    private async Task<bool> Late(Journey journey) =>
        (await shop.Get("/api/gather"))
            .GetProperty("lanes")
            .EnumerateArray()
            .Single(l => l.GetProperty("orderId").GetString() == journey.Id)
            .GetProperty("late")
            .GetBoolean();
}
