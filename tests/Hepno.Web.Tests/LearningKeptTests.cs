using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Learning;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Tests;

/// <summary>What is learned is kept an order, read anew when the order or its verdicts change, and is the same however
/// it was read.</summary>
public class LearningKeptTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<long> Sql(string sql)
    {
        await using var look = new SqliteConnection(
            $"Data Source={Path.Combine(shop.Folder, "hepno.db")};Pooling=False"
        );
        await look.OpenAsync();
        await using var command = look.CreateCommand();
        command.CommandText = $"PRAGMA busy_timeout = 5000; {sql}";
        return await command.ExecuteScalarAsync() is long n ? n : 0;
    }

    private async Task Kept(int orders)
    {
        for (
            var wait = 0;
            await Sql($"SELECT count(*) FROM learned_order WHERE rule = {ShopLearning.Rule}") < orders && wait < 300;
            wait++
        )
        {
            await Task.Delay(100);
        }
    }

    // sums of the same figures in another order differ in their last digits
    private async Task<string> Learned() =>
        System.Text.RegularExpressions.Regex.Replace(
            (await shop.Get("/api/learning")).GetRawText(),
            @"\d+\.\d{6,}",
            m =>
                Math.Round(double.Parse(m.Value, CultureInfo.InvariantCulture), 6)
                    .ToString(CultureInfo.InvariantCulture)
        );

    private async Task<int> Attempts() =>
        (await shop.Get("/api/learning"))
            .GetProperty("spoilage")
            .EnumerateArray()
            .Sum(s => s.GetProperty("attempts").GetInt32());

    [Fact]
    public async Task An_order_teaches_once_it_is_handed_over_and_never_twice()
    {
        var before = await Attempts();
        var journey = new Journey(shop, "taught");
        await journey.To("learn");
        var after = await Attempts();
        Assert.Equal(before + 4, after);
        var handed = (int)await Sql("SELECT count(*) FROM orders WHERE handed_at IS NOT NULL");
        await Kept(handed);
        Assert.Equal(after, await Attempts());
        // a verdict taken back afterwards is not learned from any more, read in the background or at once
        Assert.Equal(
            200,
            (await journey.Verdict("taught-back-1", 1, "M", "taken-back", takesBack: "taught-event-1")).Status
        );
        Assert.Equal(after - 1, await Attempts());
        // a hand-over taken back teaches nothing
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/orders/taught/take-back",
                    null,
                    (await journey.Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        Assert.Equal(before, await Attempts());
    }

    [Fact]
    public async Task By_another_rule_all_of_it_is_read_anew_and_comes_to_the_same()
    {
        await new Journey(shop, "ruled").To("closed");
        await Kept((int)await Sql("SELECT count(*) FROM orders WHERE handed_at IS NOT NULL"));
        var kept = await Learned();
        await Sql("UPDATE learned_order SET rule = 0; SELECT 1");
        Assert.Equal(kept, await Learned());
        await shop.Send(HttpMethod.Put, "/api/customers/ruled-2", """{"name":"A","contact":""}""");
        await Kept((int)await Sql("SELECT count(*) FROM orders WHERE handed_at IS NOT NULL"));
        Assert.Equal(kept, await Learned());
    }

    [Fact]
    public async Task What_orders_earned_is_what_an_hour_is_worth_until_the_owner_says_otherwise()
    {
        async Task<JsonElement> Left() =>
            (await shop.Get("/api/orders/demo-205/compare"))
                .GetProperty("bands")[0]
                .GetProperty("leftInAll")
                .GetProperty("left");
        async Task<JsonElement> Worth() => (await Left()).GetProperty("parts")[1].GetProperty("parts")[1];
        await new Journey(shop, "earned").To("closed");
        await Kept((int)await Sql("SELECT count(*) FROM orders WHERE handed_at IS NOT NULL"));
        Assert.True(await Sql("SELECT count(*) FROM learned_part WHERE kind = 'Earned'") > 0);
        var learned = await Worth();
        Assert.True(learned.GetProperty("value").GetDecimal() > 0);
        Assert.Contains("h of orders handed over", learned.GetProperty("source").GetString(), StringComparison.Ordinal);

        async Task<(int, JsonElement)> Set(string how, decimal sum)
        {
            var kept = await shop.Get("/api/numbers");
            var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
            (body["rates"]!["handsWorth"], body["rates"]!["handsWorthAnHour"]) = (how, sum);
            return await shop.Send(
                HttpMethod.Put,
                "/api/numbers",
                body.ToJsonString(),
                kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
            );
        }
        Assert.Equal(200, (await Set("typed", 17)).Item1);
        Assert.Equal(17, (await Worth()).GetProperty("value").GetDecimal());
        var (refused, problem) = await Set("typed", -1);
        Assert.Equal(400, refused);
        Assert.Contains(
            "More than its wage, an hour: -1 is outside 0 to 100,000.",
            problem.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Equal(200, (await Set("by-plan", 0)).Item1);
    }

    [Fact]
    public async Task Earlier_states_of_orders_are_kept_as_long_as_the_owner_says()
    {
        Assert.Equal(36, (await shop.Get("/api/copies")).GetProperty("historyMonths").GetInt32());
        var (status, view) = await shop.Send(HttpMethod.Put, "/api/copies/history", """{"months":24}""");
        Assert.Equal((200, 24), (status, view.GetProperty("historyMonths").GetInt32()));
        var (refused, body) = await shop.Send(HttpMethod.Put, "/api/copies/history", """{"months":601}""");
        Assert.Equal(400, refused);
        Assert.Contains("601 months is outside 0 to 600.", body.GetRawText(), StringComparison.Ordinal);
    }
}
