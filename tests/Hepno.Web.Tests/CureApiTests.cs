using System.Globalization;
using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Materials in a printer, its simulated queue, cure batches and their recall, over the API.</summary>
public class CureApiTests(Shop shop) : IClassFixture<Shop>
{
    private const string Slots = """
        {"slots":[{"supply":"white-ink","takes":["Skerry white"],"full":500,"lowAt":100},{"supply":"powder",
        "takes":["Marl fine"],"full":1000,"lowAt":150}],"loadings":[]}
        """;

    private async Task<JsonElement> Supplies() =>
        (await shop.Get("/api/supplies/view"))
            .EnumerateArray()
            .Single(s => s.GetProperty("printerId").GetString() == "skua");

    private async Task Begin()
    {
        var version = (await Supplies()).GetProperty("version").GetInt64();
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/supplies/skua",
                    Slots,
                    version == 0 ? null : version.ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
    }

    private async Task<(int Status, JsonElement Body)> Refill(string json) =>
        await shop.Send(
            HttpMethod.Post,
            "/api/supplies/skua/refill",
            json,
            (await Supplies()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );

    private async Task<JsonElement> Batch(string id) =>
        (await shop.Get("/api/cures"))
            .EnumerateArray()
            .Single(b => b.GetProperty("batch").GetProperty("id").GetString() == id);

    private static string Cure(string order, int prints, bool white = false, string more = "") =>
        $$"""
            {"printerId":"skua","stationId":"","temperatureF":250,"minutes":2,"by":"Wren","sign":"glossy",
            "before":"not-yet","after":"not-yet","prints":[{"orderId":"{{order}}","lineId":"1","placementId":"f",
            "prints":{{prints}},"whiteOnly":{{(white ? "true" : "false")}}}]{{more}}}
            """;

    private async Task<int> Waiting(string order) =>
        (await shop.Get("/api/cures/waiting?printerId=skua"))
            .EnumerateArray()
            .Where(w => w.GetProperty("orderId").GetString() == order)
            .Sum(w => w.GetProperty("prints").GetInt32());

    private async Task Kept(string id, string json, string? version = null)
    {
        var (status, body) = await shop.Send(HttpMethod.Put, $"/api/cures/{id}", json, version);
        Assert.True(status == 200, body.ToString());
    }

    [Fact]
    public async Task Materials_match_or_refuse_levels_fall_and_a_batch_knows_its_lots_and_calls_back()
    {
        var order = new Journey(shop, "cured", "dtf-made");
        await order.To("gather");
        Assert.Equal(0, await Waiting("cured"));
        await order.Gathered();
        var prints = await Waiting("cured");
        Assert.True(prints >= 4);

        // the place, a refill of a lot, then one the printer does not take
        await Begin();
        Assert.Equal(
            200,
            (await Refill("""{"supply":"powder","product":"Marl fine","lot":"P-7","level":null,"by":"Wren"}""")).Status
        );
        Assert.Equal(
            200,
            (await Refill("""{"supply":"white-ink","product":"Other white","lot":"","level":300,"by":""}""")).Status
        );
        var view = await Supplies();
        Assert.Contains(
            "takes Skerry white",
            view.GetProperty("slots")[0].GetProperty("mismatch").GetString(),
            StringComparison.Ordinal
        );
        var asking = new Journey(shop, "asking");
        await asking.To("compare");
        async Task<bool> Folded() =>
            (await shop.Get("/api/orders/asking/compare"))
                .GetProperty("folds")
                .EnumerateArray()
                .Any(f =>
                    f.GetProperty("methodId").GetString() == "dtf-made"
                    && f.GetProperty("reasons")[0].GetProperty("code").GetString() == "mismatch"
                );
        Assert.True(await Folded());
        var queue = $$"""{"prints":[{"orderId":"cured","lineId":"1","placementId":"f","prints":{{prints}}}]}""";
        var (refused, why) = await shop.Send(HttpMethod.Post, "/api/film-printers/skua/queue", queue);
        Assert.Equal((409, "mismatch"), (refused, why.GetProperty("problems")[0].GetProperty("code").GetString()));
        Assert.Equal(
            200,
            (await Refill("""{"supply":"white-ink","product":"skerry WHITE","lot":"W-2","level":300,"by":""}""")).Status
        );
        Assert.False(await Folded());

        // the simulated printer prints: its levels fall; the cure keeps what it used and empties the queue
        async Task<double> Share() => (await Supplies()).GetProperty("slots")[0].GetProperty("share").GetDouble();
        var share = await Share();
        var (sent, readout) = await shop.Send(HttpMethod.Post, "/api/film-printers/skua/queue", queue);
        Assert.True(sent == 200, readout.ToString());
        Assert.True(readout.GetProperty("simulated").GetBoolean());
        Assert.StartsWith(
            $"{prints} × T-",
            readout.GetProperty("queue")[0].GetProperty("name").GetString(),
            StringComparison.Ordinal
        );
        await Kept("c1", Cure("cured", prints));
        Assert.Equal(0, await Waiting("cured"));
        Assert.Empty((await shop.Get("/api/film-printers/skua/readout")).GetProperty("queue").EnumerateArray());
        var batch = (await Batch("c1")).GetProperty("batch");
        Assert.Equal(
            ["white ink: skerry WHITE, lot W-2", "powder: Marl fine, lot P-7"],
            batch.GetProperty("lots").EnumerateArray().Select(l => l.GetString())
        );
        // 9 × 8 in, half painted: 36 in² × 0.014 ml
        var used = 36 * 0.014 * prints;
        Assert.Equal(used, batch.GetProperty("use").GetProperty("whiteMl").GetDouble(), 6);
        Assert.Equal(share - (used / 500), await Share(), 6);

        // pressed, handed over, found bad: its pieces, what they cost anew, whom to tell
        await order.Pressing();
        await order.Handing();
        var bad = Cure("cured", prints, more: ""","verdict":"bad","why":"washed out after two washes" """);
        await Kept("c1", bad, "1");
        var recall = await shop.Get("/api/cures/c1/recall");
        var line = recall.GetProperty("lines")[0];
        Assert.Contains("4 pieces carry its prints", line.GetProperty("said").GetString(), StringComparison.Ordinal);
        Assert.StartsWith(
            "tell them: up to 4 of their pieces",
            line.GetProperty("tell").GetString(),
            StringComparison.Ordinal
        );
        Assert.Contains("cured@example.test", line.GetProperty("customer").GetString(), StringComparison.Ordinal);
        var parts = line.GetProperty("cost").GetProperty("parts");
        var piece = parts[0].GetProperty("parts")[0].GetProperty("value").GetDecimal();
        var print = prints > 4 ? parts[1].GetProperty("parts")[0].GetProperty("value").GetDecimal() : 0;
        Assert.Equal(
            (4 * piece) + ((prints - 4) * print),
            recall.GetProperty("cost").GetProperty("value").GetDecimal(),
            4
        );
        // taken back, it is a batch like any other
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
        Assert.Equal("open", (await Batch("c1")).GetProperty("batch").GetProperty("verdict").GetString());
    }

    [Fact]
    public async Task White_prints_hold_their_run_until_both_patches_hold()
    {
        var order = new Journey(shop, "white", "dtf-made");
        await order.To("press");
        await Kept("c2", Cure("white", 3, white: true));
        Assert.Contains("first patch", (await Batch("c2")).GetProperty("holds").GetString(), StringComparison.Ordinal);
        var (status, body) = await shop.Send(HttpMethod.Post, "/api/runs/white/start");
        Assert.Equal((409, "cure-held"), (status, body.GetProperty("problems")[0].GetProperty("code").GetString()));
        await Kept(
            "c2",
            Cure("white", 3, white: true).Replace("\"not-yet\"", "\"holds\"", StringComparison.Ordinal),
            "1"
        );
        Assert.Equal("", (await Batch("c2")).GetProperty("holds").GetString());
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/runs/white/start")).Status);
    }

    [Theory]
    [InlineData("refused-1", "\"prints\":3", "\"prints\":0", 400)]
    [InlineData("refused-2", "\"prints\":3", "\"prints\":\"three\"", 400)]
    [InlineData("refused-3", "\"temperatureF\":250", "\"temperatureF\":9000", 400)]
    [InlineData("refused-4", "\"placementId\":\"f\"", "\"placementId\":\"nowhere\"", 400)]
    [InlineData("refused-5", "\"printerId\":\"skua\"", "\"printerId\":\"nobody\"", 404)]
    [InlineData("refused-6", "\"stationId\":\"\"", "\"stationId\":\"nowhere\"", 404)]
    [InlineData("refused-7", "\"sign\":\"glossy\"", "\"sign\":\"shiny\"", 400)]
    public async Task A_cure_that_cannot_be_is_refused_with_a_sentence(
        string order,
        string from,
        string to,
        int expected
    )
    {
        await new Journey(shop, order, "dtf-made").To("press");
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            $"/api/cures/x-{order}",
            Cure(order, 3).Replace(from, to, StringComparison.Ordinal)
        );
        Assert.Equal(expected, status);
        Assert.False(string.IsNullOrWhiteSpace(body.GetProperty("detail").GetString()), body.ToString());
        Assert.DoesNotContain((await shop.Get("/api/cures")).EnumerateArray(), b =>
            b.GetProperty("batch").GetProperty("id").GetString() == $"x-{order}"
        );
    }

    [Theory]
    [InlineData("""{"supply":"film","product":"Film","lot":"","level":null,"by":""}""")]
    [InlineData("""{"supply":"powder","product":"","lot":"","level":null,"by":""}""")]
    [InlineData("""{"supply":"powder","product":"Marl fine","lot":"","level":5000,"by":""}""")]
    [InlineData("""{"supply":"powder","product":"Marl fine","lot":"","level":-1,"by":""}""")]
    public async Task A_refill_that_cannot_be_is_refused_and_nothing_is_kept(string json)
    {
        await Begin();
        var before = (await Supplies()).GetProperty("log").GetArrayLength();
        Assert.Equal(400, (await Refill(json)).Status);
        Assert.Equal(before, (await Supplies()).GetProperty("log").GetArrayLength());
    }
}
