using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Tables from other programs: their encodings, their names for columns, what they would change, and a
/// supplier's feed.</summary>
public class CsvLookTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<string> Out(string kind) => await shop.CreateClient().GetStringAsync($"/api/csv/{kind}");

    private Task<(int Status, JsonElement Body)> In(string kind, string text) =>
        shop.Send(HttpMethod.Put, $"/api/csv/{kind}", text, type: "text/csv");

    private async Task<(int Status, JsonElement Body)> Sent(HttpMethod method, string path, byte[] bytes)
    {
        using var request = new HttpRequestMessage(method, path) { Content = new ByteArrayContent(bytes) };
        request.Content.Headers.ContentType = new("text/csv");
        request.Headers.Add("Hepno-Device", "csv-tests");
        using var answer = await shop.CreateClient().SendAsync(request);
        return ((int)answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
    }

    [Theory]
    [InlineData("utf-8")]
    [InlineData("utf-8 with mark")]
    [InlineData("windows-1252")]
    [InlineData("utf-16")]
    public async Task A_table_is_read_whatever_program_wrote_it(string encoding)
    {
        var text = $"name,contact\r\nÅsa Brûlé {encoding},\"first line\nsecond; \"\"quoted\"\"\"\r\n";
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        byte[] bytes = encoding switch
        {
            "utf-8 with mark" => [.. Encoding.UTF8.GetPreamble(), .. Encoding.UTF8.GetBytes(text)],
            "windows-1252" => Encoding.GetEncoding(1252).GetBytes(text),
            "utf-16" => [.. Encoding.Unicode.GetPreamble(), .. Encoding.Unicode.GetBytes(text)],
            _ => Encoding.UTF8.GetBytes(text),
        };
        var (status, report) = await Sent(HttpMethod.Put, "/api/csv/customers", bytes);
        Assert.True(status == 200, report.ToString());
        Assert.Equal(1, report.GetProperty("added").GetInt32());
        var kept = (await shop.Get($"/api/customers/find?text={Uri.EscapeDataString($"Brûlé {encoding}")}"))
            .EnumerateArray()
            .First(c => c.GetProperty("name").GetString() == $"Åsa Brûlé {encoding}");
        Assert.Equal(
            "first line\nsecond; \"quoted\"",
            kept.GetProperty("contact").GetString()!.Replace("\r", "", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task A_look_finds_columns_by_others_words_says_what_is_missing_and_keeps_nothing()
    {
        const string Table =
            "Item,Vendor,Usable width,Per foot,Weeding margin,Shipping,Lead time\nGlitter,Dunlin,19,5.10,0.25,6,4\n";
        var before = await Out("materials");
        var (status, look) = await Sent(HttpMethod.Post, "/api/csv/materials/look", Encoding.UTF8.GetBytes(Table));
        Assert.True(status == 200, look.ToString());
        Assert.Equal(
            ["Vendor", "Item", "Usable width", "Per foot", "Weeding margin", "Shipping", "Lead time"],
            look.GetProperty("columns")
                .EnumerateArray()
                .Where(c => c.GetProperty("needed").GetBoolean())
                .Select(c => c.GetProperty("theirs").GetString())
        );
        Assert.Equal(
            (1, 1),
            (look.GetProperty("report").GetProperty("added").GetInt32(), look.GetProperty("count").GetInt32())
        );
        Assert.Equal(before, await Out("materials"));
        (_, look) = await Sent(
            HttpMethod.Post,
            "/api/csv/materials/look",
            Encoding.UTF8.GetBytes(Table.Replace("Per foot", "Tariff", StringComparison.Ordinal))
        );
        Assert.Equal(
            "No column of the file is taken for price_foot.",
            look.GetProperty("problems")[0].GetProperty("sentence").GetString()
        );
        Assert.Equal(JsonValueKind.Null, look.GetProperty("report").ValueKind);
        (_, look) = await Sent(
            HttpMethod.Post,
            "/api/csv/materials/look?column=price_foot:Tariff",
            Encoding.UTF8.GetBytes(Table.Replace("Per foot", "Tariff", StringComparison.Ordinal))
        );
        Assert.Equal(1, look.GetProperty("report").GetProperty("added").GetInt32());
        (_, look) = await Sent(HttpMethod.Post, "/api/csv/materials/look", []);
        Assert.NotEmpty(look.GetProperty("problems").EnumerateArray());
        Assert.Equal(404, (await Sent(HttpMethod.Post, "/api/csv/spoons/look", Encoding.UTF8.GetBytes(Table))).Status);
    }

    [Theory]
    [InlineData("materials", "vinyls", "tidewell", "finish", "\"flock\"")]
    [InlineData("materials", "vinyls", "tidewell", "blocks", "true")]
    [InlineData("prices", "films", "ferrow", "soldBelow", "true")]
    public async Task What_a_table_does_not_have_stays_as_it_was(
        string table,
        string noun,
        string id,
        string field,
        string value
    )
    {
        async Task<(JsonObject Body, string Version)> Kept()
        {
            var kept = (await shop.Get($"/api/{noun}"))
                .EnumerateArray()
                .Single(x => x.GetProperty("value").GetProperty("id").GetString() == id);
            var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!.AsObject();
            body.Remove("id");
            return (
                body,
                kept.GetProperty("version").GetInt64().ToString(System.Globalization.CultureInfo.InvariantCulture)
            );
        }
        var (body, version) = await Kept();
        body[field] = JsonNode.Parse(value);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString(), version)).Status);
        var (status, report) = await In(table, await Out(table));
        Assert.Equal((200, 0), (status, report.GetProperty("changed").GetInt32()));
        Assert.Equal(value, (await Kept()).Body[field]!.ToJsonString());
    }

    [Fact]
    public async Task Prices_that_a_table_changes_are_told_apart()
    {
        const string Columns = "supplier,product,width_in,price_foot,margin_in,freight,days\n";
        await In("materials", Columns + "Dunlin,Matte,18,4.00,0.25,6,4\nDunlin,Gloss,18,4.50,0.25,6,4\n");
        var (_, report) = await In(
            "materials",
            Columns + "Dunlin,Matte,18,4.20,0.25,6,4\nDunlin,Gloss,18,4.50,0.25,7,4\n"
        );
        Assert.Equal(2, report.GetProperty("changed").GetInt32());
        var price = Assert.Single(report.GetProperty("prices").EnumerateArray());
        Assert.Equal(
            ("Dunlin Matte", "a foot", 4.00m, 4.20m),
            (
                price.GetProperty("thing").GetString(),
                price.GetProperty("what").GetString(),
                price.GetProperty("before").GetDecimal(),
                price.GetProperty("now").GetDecimal()
            )
        );
    }

    [Fact]
    public async Task How_a_style_is_bought_goes_out_and_comes_in_and_a_table_without_it_leaves_it()
    {
        const string Head = "name,supplier,garment,fabric,weight_gsm,heat_ceiling_f,price,freight,days,colours,sizes";
        const string Row = "Weir 170,Dunlin,zip hoodie,100 cotton,300,330,14,12,2,Navy #2b3b5e dark,S; M";
        var (status, report) = await In(
            "styles",
            $"{Head},thickness,migration,features,tiers,free_freight,pack_of,cut_off,code_price,code_until\n{Row},middle,high,tear-away "
                + "label; pocket,24: 13.10; over 500: 12.90,350,6,14:00,12.50,2027-01-31\n"
        );
        Assert.True(status == 200, report.ToString());
        async Task<JsonElement> Weir() =>
            (await shop.Get("/api/styles"))
                .EnumerateArray()
                .Select(s => s.GetProperty("value"))
                .Single(s => s.GetProperty("name").GetString() == "Weir 170");
        var weir = await Weir();
        Assert.Equal(
            ("zip-hoodie", "high", 2),
            (
                weir.GetProperty("kind").GetString(),
                weir.GetProperty("cloth").GetProperty("migration").GetString(),
                weir.GetProperty("cloth").GetProperty("features").GetArrayLength()
            )
        );
        Assert.Equal(
            (24, 500m, 6, "14:00:00"),
            (
                weir.GetProperty("buying").GetProperty("tiers")[0].GetProperty("fromPieces").GetInt32(),
                weir.GetProperty("buying").GetProperty("tiers")[1].GetProperty("fromValue").GetDecimal(),
                weir.GetProperty("buying").GetProperty("packOf").GetInt32(),
                weir.GetProperty("buying").GetProperty("cutOff").GetString()
            )
        );
        Assert.Contains(
            "middle,high,tear-away-label; pocket,24: 13.1; over 500: 12.9,350,6,14:00,12.5,2027-01-31",
            await Out("styles"),
            StringComparison.Ordinal
        );
        // what is said of its cloth elsewhere stays; without a thickness it lies as its kind does
        await In("styles", $"{Head},origin\n{Row},Skerry\n");
        await In("styles", $"{Head},features\n{Row},pocket\n");
        var cloth = (await Weir()).GetProperty("cloth");
        Assert.Equal(
            ("Skerry", JsonValueKind.Null),
            (cloth.GetProperty("origin").GetString(), cloth.GetProperty("thickness").ValueKind)
        );
        await In("styles", $"{Head}\n{Row.Replace(",14,12,", ",15,12,", StringComparison.Ordinal)}\n");
        Assert.Equal(
            (15m, 6),
            (
                (await Weir()).GetProperty("unitPrice").GetDecimal(),
                (await Weir()).GetProperty("buying").GetProperty("packOf").GetInt32()
            )
        );
        foreach (
            var (bad, said) in new[]
            {
                ("tiers\n" + Row + ",24 for 3", "Row 2, tiers"),
                ("cut_off\n" + Row + ",late", "Row 2, cut_off"),
                ("code_until\n" + Row + ",soon", "Row 2, code_until"),
                ("migration\n" + Row + ",2", "Row 2, migration"),
                ("tiers\n" + Row + ",24: 15.10", "is not below the list price"),
                ("code_price\n" + Row + ",3", "has no last day"),
                ("pack_of\n" + Row + ",0", "Packs of 0"),
            }
        )
        {
            (status, report) = await In("styles", $"{Head},{bad}\n");
            Assert.Equal(400, status);
            Assert.Contains(said, report.GetRawText(), StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task The_simulated_feed_is_a_table_like_any_other_and_says_what_it_lacks()
    {
        var feed = await shop.Get("/api/feed");
        Assert.True(feed.GetProperty("simulated").GetBoolean());
        var (status, look) = await Sent(
            HttpMethod.Post,
            "/api/csv/styles/look",
            Encoding.UTF8.GetBytes(feed.GetProperty("table").GetString()!)
        );
        Assert.True(status == 200, look.ToString());
        Assert.Empty(look.GetProperty("problems").EnumerateArray());
        Assert.Equal(8, look.GetProperty("report").GetProperty("added").GetInt32());
        var stock = feed.GetProperty("stock").EnumerateArray().Select(s => s.GetProperty("pieces").GetInt32()).ToList();
        Assert.Contains(0, stock);
        Assert.Contains(stock, s => s > 0);
        Assert.Equal(
            feed.GetProperty("table").GetString(),
            (await shop.Get("/api/feed")).GetProperty("table").GetString()
        );
    }
}
