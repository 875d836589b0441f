using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Tables out and in: what went out comes in as it was, a wrong cell keeps everything out and is
/// named.</summary>
public class CsvTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<string> Out(string kind) => await shop.CreateClient().GetStringAsync($"/api/csv/{kind}");

    private Task<(int Status, JsonElement Body)> In(string kind, string text) =>
        shop.Send(HttpMethod.Put, $"/api/csv/{kind}", text, type: "text/csv");

    [Theory]
    [InlineData("customers", 8)]
    [InlineData("styles", 14)]
    [InlineData("materials", 2)]
    [InlineData("prices", 2)]
    [InlineData("screens", 1)]
    public async Task What_goes_out_comes_in_unchanged(string kind, int things)
    {
        var table = await Out(kind);
        var (status, report) = await In(kind, table);
        Assert.True(status == 200, report.ToString());
        Assert.Equal(
            (0, 0, things),
            (
                report.GetProperty("added").GetInt32(),
                report.GetProperty("changed").GetInt32(),
                report.GetProperty("same").GetInt32()
            )
        );
        Assert.Equal(table, await Out(kind));
    }

    [Fact]
    public async Task A_new_row_is_added_a_known_name_is_changed_and_semicolons_with_a_decimal_comma_are_read()
    {
        var (status, report) = await In(
            "materials",
            "Supplier;Product;Width in;Price foot;Margin in;Freight;Days\r\nTidewell;Smooth "
                + "vinyl;19,5;3,30;0,25;7,50;2\r\nDunlin;Glitter vinyl;18;5,10;0,25;6;4\r\n"
        );
        Assert.True(status == 200, report.ToString());
        Assert.Equal((1, 1), (report.GetProperty("added").GetInt32(), report.GetProperty("changed").GetInt32()));
        Assert.Contains(
            "tidewell,Tidewell,Smooth vinyl,19.5,3.3,0.25,7.5,2",
            await Out("materials"),
            StringComparison.Ordinal
        );
        await In(
            "materials",
            "supplier,product,width_in,price_foot,margin_in,freight,days\nTidewell,Smooth vinyl,19.5,3.10,0.25,7.50,2\n"
        );
    }

    [Fact]
    public async Task A_dearer_style_keeps_what_lies_in_the_shop_and_shows_its_prices_with_their_days()
    {
        var styles = await shop.Get("/api/styles");
        var loft = styles.EnumerateArray().Single(s => s.GetProperty("value").GetProperty("id").GetString() == "loft");
        var body = System.Text.Json.Nodes.JsonNode.Parse(loft.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["onHand"] = System.Text.Json.Nodes.JsonNode.Parse("""[{"colourwayId":"oat","size":"M","pieces":7}]""");
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/styles/loft",
                    body.ToJsonString(),
                    loft.GetProperty("version").GetInt64().ToString(System.Globalization.CultureInfo.InvariantCulture)
                )
            ).Status
        );
        var table = (await Out("styles")).Replace(",9.8,", ",10.4,", StringComparison.Ordinal);
        Assert.Equal(1, (await In("styles", table)).Body.GetProperty("changed").GetInt32());
        var now = (await shop.Get("/api/styles"))
            .EnumerateArray()
            .Single(s => s.GetProperty("value").GetProperty("id").GetString() == "loft")
            .GetProperty("value");
        Assert.Equal(
            (10.4m, 7),
            (now.GetProperty("unitPrice").GetDecimal(), now.GetProperty("onHand")[0].GetProperty("pieces").GetInt32())
        );
        var prices = (await shop.Get("/api/styles/loft/prices"))[0].GetProperty("steps").EnumerateArray().ToList();
        Assert.Equal([9.8m, 10.4m], prices.Select(p => p.GetProperty("price").GetDecimal()));
        Assert.Equal([false, true], prices.Select(p => p.GetProperty("now").GetBoolean()));
        var counted = (
            await shop.Send(
                HttpMethod.Put,
                "/api/styles/loft",
                body.ToJsonString().Replace("\"pieces\":7", "\"pieces\":-2", StringComparison.Ordinal),
                "3"
            )
        ).Body.GetRawText();
        Assert.Contains("on hand cannot be kept", counted, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_same_price_with_more_zeros_is_the_same()
    {
        var table = (await Out("styles")).Replace("+1.8;", "+1.80;", StringComparison.Ordinal);
        Assert.Contains("+1.80;", table, StringComparison.Ordinal);
        Assert.Equal(0, (await In("styles", table)).Body.GetProperty("changed").GetInt32());
    }

    [Theory]
    [InlineData("customers", "", "The file is empty.")]
    [InlineData("customers", "who,what\nA,B\n", "The column name is missing")]
    [InlineData("customers", "name,contact\nGood,x\n,y\n", "Row 3: The customer has no name.")]
    [InlineData(
        "materials",
        "supplier,product,width_in,price_foot,margin_in,freight,days\nDunlin,X,wide,5,0.25,6,4\n",
        "Row 2, width_in: \"wide\" cannot be read."
    )]
    [InlineData(
        "screens",
        "supplier,product,formula,set_up,counts_white,least_sheets,freight,days,sheet,width_in,height_in,colours,"
            + "from,price\nB,S,wet peel,18,yes,15,9,4,A,9,9,1,1,2\n",
        "Row 2, formula: \"wet peel\" cannot be read."
    )]
    [InlineData(
        "styles",
        "name,supplier,garment,fabric,weight_gsm,heat_ceiling_f,price,freight,days,colours,sizes\nN,M,kilt,100 cotton,150,330,3,1,1,Navy #2b3b5e dark,S; M\n",
        "\"kilt\" cannot be read."
    )]
    [InlineData(
        "styles",
        "name,supplier,garment,fabric,weight_gsm,heat_ceiling_f,price,freight,days,colours,sizes\nN,M,tee,90 cotton,150,330,3,1,1,Navy #2b3b5e dark,S; M\n",
        "Row 2: The fabric adds up to 90%, not 100%."
    )]
    public async Task A_wrong_table_is_named_by_row_and_column_and_nothing_of_it_is_kept(
        string kind,
        string table,
        string sentence
    )
    {
        var before = await Out(kind);
        var (status, body) = await In(kind, table);
        Assert.Equal(400, status);
        Assert.Contains(
            sentence,
            body.GetProperty("problems")[0].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
        Assert.Equal(before, await Out(kind));
    }

    [Fact]
    public async Task A_cell_that_a_spreadsheet_would_run_is_written_as_text()
    {
        Assert.Equal(200, (await In("customers", "id,name,contact,address\nformula,=1+1,x,\n")).Status);
        Assert.DoesNotContain("formula,=1+1", await Out("customers"), StringComparison.Ordinal);
        Assert.Equal(404, (await In("kites", "name\nA\n")).Status);
    }

    [Fact]
    public async Task A_learned_setting_is_offered_taken_and_taken_back()
    {
        var view = await shop.Get("/api/learning");
        var offer = view.GetProperty("offer");
        Assert.Contains(offer.GetProperty("effects").EnumerateArray(), e =>
            e.GetProperty("code").GetString() == "T-203"
            && e.GetProperty("sent").GetBoolean()
            && e.GetProperty("costThen").GetDecimal() > e.GetProperty("cost").GetDecimal()
        );
        var version = view.GetProperty("version")
            .GetInt64()
            .ToString(System.Globalization.CultureInfo.InvariantCulture);
        string Body(double value) =>
            JsonSerializer.Serialize(
                new
                {
                    key = offer.GetProperty("key").GetString(),
                    methodId = offer.GetProperty("methodId").GetString(),
                    value,
                }
            );
        Assert.Equal(409, (await shop.Send(HttpMethod.Post, "/api/learning/take", Body(0.4), version)).Status);
        var sent = (await shop.Get("/api/orders/demo-203/quote")).GetRawText();
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/learning/take",
                    Body(offer.GetProperty("value").GetDouble()),
                    version
                )
            ).Status
        );
        Assert.Equal(sent, (await shop.Get("/api/orders/demo-203/quote")).GetRawText());
        Assert.NotEqual(offer.GetRawText(), (await shop.Get("/api/learning")).GetProperty("offer").GetRawText());
        await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Equal(
            offer.GetProperty("sentence").GetString(),
            (await shop.Get("/api/learning")).GetProperty("offer").GetProperty("sentence").GetString()
        );
    }
}
