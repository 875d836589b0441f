using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Tests;

/// <summary>Quotes that stand, at the prices of today: their own price never moves.</summary>
public sealed class RecostApiTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<JsonElement> Recosted()
    {
        var (status, view) = await shop.Send(HttpMethod.Post, "/api/recost");
        Assert.Equal(200, status);
        for (var i = 0; i < 200 && !view.GetProperty("isDone").GetBoolean(); i++)
        {
            await Task.Delay(20);
            view = await shop.Get($"/api/recost/{view.GetProperty("id").GetString()}");
        }
        return view;
    }

    private async Task Numbers(Action<JsonNode> change)
    {
        var kept = await shop.Get("/api/numbers");
        var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
        change(body);
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    body.ToJsonString(),
                    kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
    }

    [Fact]
    public async Task A_dearer_wage_moves_costs_and_margins_and_says_what_fell_under_the_floor()
    {
        var journey = new Journey(shop, "recosted");
        await journey.To("gather");
        var before = await shop.Get("/api/orders/recosted/quote");
        static JsonElement? Line(JsonElement view, string id) =>
            view.GetProperty("lines")
                .EnumerateArray()
                .Where(l => l.GetProperty("orderId").GetString() == id)
                .Cast<JsonElement?>()
                .FirstOrDefault();
        var same = await Recosted();
        Assert.Null(Line(same, "recosted"));
        Assert.Equal(same.GetProperty("of").GetInt32(), same.GetProperty("done").GetInt32());

        await Numbers(n =>
        {
            n["rates"]!["wage"] = 60m;
            n["week"]!["people"] = new JsonArray();
            n["prices"]!["leastMarginShare"] = 0.3m;
        });
        var dearer = await Recosted();
        var line = Line(dearer, "recosted")!.Value;
        Assert.True(line.GetProperty("costNow").GetDecimal() > line.GetProperty("costThen").GetDecimal());
        Assert.True(
            line.GetProperty("marginNow").GetDecimal() < 0.3m
                && line.GetProperty("marginThen").GetDecimal() >= 0.3m
                && line.GetProperty("fellUnder").GetBoolean()
        );
        Assert.Equal(0.3m, dearer.GetProperty("floorShare").GetDecimal());
        Assert.InRange(dearer.GetProperty("fell").GetInt32(), 1, dearer.GetProperty("moved").GetInt32());
        // what was sent stays as it was sent
        Assert.Equal(before.ToString(), (await shop.Get("/api/orders/recosted/quote")).ToString());
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/recost/none")).Status);
    }

    [Fact]
    public async Task Figures_of_quotes_sent_before_are_read_from_what_was_frozen()
    {
        await new Journey(shop, "frozen-lines").To("gather");
        using var connection = new SqliteConnection($"Data Source={Path.Combine(shop.Folder, "hepno.db")}");
        connection.Open();
        List<string> Rows(string sql)
        {
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            using var reader = command.ExecuteReader();
            var rows = new List<string>();
            while (reader.Read())
            {
                rows.Add(string.Join(' ', Enumerable.Range(0, reader.FieldCount).Select(reader.GetValue)));
            }
            return rows;
        }
        const string Kept = "SELECT * FROM quote_line ORDER BY quote_id, line_id";
        var kept = Rows(Kept);
        Assert.Contains(kept, r => r.StartsWith("frozen-lines-", StringComparison.Ordinal));
        // the step that filled the table for a shop that had quotes already, done again on these
        var step = File.ReadAllText(
            Path.Combine(Tree.Root, "src", "Hepno.Store", "Migrations", "0034-quote-lines.sql")
        );
        using var transaction = connection.BeginTransaction();
        // in that shop a quote was a text
        connection.CreateFunction<byte[], string>("unpacked", Packing.Unpack);
        Rows("CREATE TEMP TABLE quote AS SELECT id, unpacked(document) AS json FROM main.quote");
        Rows("DELETE FROM quote_line");
        Rows(step[step.IndexOf("INSERT", StringComparison.Ordinal)..]);
        Assert.Equal(kept, Rows(Kept));
    }
}
