using System.Globalization;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Shelf, Floor and Numbers: what is kept, and each refusal with its field and remedy.</summary>
public class ShelfApiTests(Shop shop) : IClassFixture<Shop>
{
    /// <summary>A noun, one of its things, a field to spoil, its bad value, and what the refusal names.</summary>
    public static TheoryData<string, string, string, string, string> Bad =>
        new()
        {
            { "styles", "brae", "name", "\"\"", "name" },
            { "styles", "brae", "fabric", """[{"fibre":"cotton","percent":90}]""", "fabric" },
            { "styles", "brae", "unitPrice", "-1", "unitPrice" },
            { "styles", "brae", "heatCeilingF", "40", "heatCeilingF" },
            { "styles", "brae", "sizes", "[]", "sizes" },
            { "films", "ferrow", "byLayout", """{"gapIn":9,"marginIn":0,"roll":null,"sheets":[]}""", "byLayout.gapIn" },
            {
                "films",
                "ferrow",
                "byLayout",
                """{"gapIn":0,"marginIn":0,"roll":{"widthIn":22,"stepIn":0,"steps":[],"lengths":[]},"sheets":[]}""",
                "byLayout.roll.steps"
            },
            { "films", "ferrow", "supplier", "\" \"", "product" },
            { "films", "ferrow", "freightPerOrder", "-3", "freightPerOrder" },
            {
                "films",
                "ferrow",
                "sizes",
                """[{"name":"a","widthIn":4,"heightIn":4,"breaks":[{"from":1,"price":0}]}]""",
                "sizes[0].breaks"
            },
            {
                "films",
                "ferrow",
                "sizes",
                """[{"name":"a","widthIn":400,"heightIn":4,"breaks":[{"from":1,"price":1}]}]""",
                "sizes[0].widthIn"
            },
            { "vinyls", "tidewell", "pricePerFoot", "0", "pricePerFoot" },
            { "vinyls", "tidewell", "usableWidthIn", "900", "usableWidthIn" },
            { "vinyls", "tidewell", "weedingMarginIn", "9", "weedingMarginIn" },
            { "screens", "marram", "product", "\"\"", "product" },
            { "screens", "marram", "sheets", "[]", "sheets" },
            {
                "screens",
                "marram",
                "sheets",
                """[{"name":"a","widthIn":5,"heightIn":6,"prices":[]}]""",
                "sheets[0].prices"
            },
            { "screens", "marram", "leastSheets", "0", "setUpPerColour" },
            { "screens", "marram", "leadDays", "999", "freightPerOrder" },
            { "film-printers", "skua", "name", "\"\"", "name" },
            { "film-printers", "skua", "rollWidthIn", "0", "rollWidthIn" },
            { "film-printers", "skua", "printsPerDay", "0", "printsPerDay" },
            { "film-printers", "skua", "colourMlPerIn2", "11", "colourMlPerIn2" },
            { "film-printers", "skua", "powderPricePerG", "-1", "powderPricePerG" },
            { "dye-printers", "plover", "name", "\"\"", "name" },
            { "dye-printers", "plover", "speedIn2PerMinute", "0", "speedIn2PerMinute" },
            { "dye-printers", "plover", "sheetMarginIn", "7", "sheetMarginIn" },
            { "dye-printers", "plover", "tapeInPerPrint", "-1", "tapeInPerPrint" },
            { "presses", "gannet", "name", "\"\"", "name" },
            { "presses", "gannet", "platenWidthIn", "1600", "platenWidthIn" },
            { "presses", "gannet", "warmUpMinutes", "-1", "warmUpMinutes" },
            { "recipes", "film-cotton", "temperatureF", "40", "temperatureF" },
            { "recipes", "film-cotton", "dwellSeconds", "900", "dwellSeconds" },
            { "recipes", "film-cotton", "pressure", "\"hard\"", "pressure" },
            { "recipes", "film-cotton", "peelAfterSeconds", "-1", "peelAfterSeconds" },
            { "cloths", "selvage-interlock", "polyesterPercent", "20", "polyesterPercent" },
            { "cloths", "selvage-interlock", "stepIn", "0", "stepIn" },
            { "calenders", "curlew", "inPerMinute", "0", "inPerMinute" },
            { "calenders", "curlew", "name", "\"\"", "name" },
            { "customers", "choir", "name", "\"\"", "name" },
        };

    private async Task<(JsonObject Body, string Version)> Kept(string noun, string id)
    {
        var all = await shop.Get($"/api/{noun}");
        var kept = all.EnumerateArray().Single(k => k.GetProperty("value").GetProperty("id").GetString() == id);
        var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        return (body, kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture));
    }

    [Theory]
    [MemberData(nameof(Bad))]
    public async Task A_bad_value_is_refused_by_its_field_with_a_remedy_and_nothing_changes(
        string noun,
        string id,
        string field,
        string value,
        string where
    )
    {
        var (body, version) = await Kept(noun, id);
        body[field] = JsonNode.Parse(value);
        var (status, refused) = await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString(), version);
        Assert.Equal(400, status);
        Assert.Contains(refused.GetProperty("problems").EnumerateArray(), p =>
            p.GetProperty("where").GetString() == where
            && p.GetProperty("sentence").GetString()!.Length > 8
            && p.GetProperty("remedy").GetString()!.Length > 3
        );
        Assert.Equal(version, (await Kept(noun, id)).Version);
    }

    [Theory]
    [InlineData("styles", "brae")]
    [InlineData("films", "ferrow")]
    [InlineData("vinyls", "tidewell")]
    [InlineData("screens", "marram")]
    [InlineData("film-printers", "skua")]
    [InlineData("dye-printers", "plover")]
    [InlineData("paper-printers", "dunlin")]
    [InlineData("stitch-machines", "bittern")]
    [InlineData("papers", "linden-opaque")]
    [InlineData("outside-printers", "quayside")]
    [InlineData("pod-services", "sandling")]
    [InlineData("cloths", "selvage-interlock")]
    [InlineData("calenders", "curlew")]
    [InlineData("presses", "gannet")]
    [InlineData("recipes", "film-cotton")]
    public async Task What_is_read_can_be_sent_back_and_a_stale_version_is_answered_with_both(string noun, string id)
    {
        var (body, version) = await Kept(noun, id);
        Assert.Equal(428, (await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString())).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString(), version)).Status);
        var (again, _) = await Kept(noun, id);
        Assert.Equal(body.ToJsonString(), again.ToJsonString());
        var (status, stale) = await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString(), "999");
        Assert.Equal(409, status);
        Assert.True(stale.TryGetProperty("yours", out _) && stale.TryGetProperty("theirs", out _));
    }

    [Theory]
    [InlineData("stitch-machines", "bittern", "reachedShare", "0.7")]
    [InlineData("stitch-machines", "bittern", "colourChangeSeconds", "12")]
    [InlineData("vinyls", "tidewell", "finish", "\"glitter\"")]
    [InlineData("films", "ferrow", "soldBelow", "true")]
    public async Task A_figure_that_is_typed_is_kept(string noun, string id, string field, string value)
    {
        var (body, version) = await Kept(noun, id);
        Assert.NotEqual(value, body[field]!.ToJsonString());
        body[field] = JsonNode.Parse(value);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/{noun}/{id}", body.ToJsonString(), version)).Status);
        var (again, _) = await Kept(noun, id);
        Assert.Equal(body.ToJsonString(), again.ToJsonString());
        await shop.Send(HttpMethod.Post, "/api/undo");
    }

    [Fact]
    public async Task A_price_changed_on_the_shelf_is_in_the_next_comparison()
    {
        async Task<decimal> Price(string method) =>
            (await shop.Get("/api/orders/demo-205/compare"))
                .GetProperty("bands")
                .EnumerateArray()
                .Single(b => b.GetProperty("methodId").GetString() == method)
                .GetProperty("costShown")
                .GetDecimal();
        var before = await Price("dtf-bought");
        var (body, version) = await Kept("films", "ferrow");
        body["freightPerOrder"] = 45;
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/films/ferrow", body.ToJsonString(), version)).Status);
        // 36 dollars more over 36 pieces, and a little spoilage
        Assert.InRange(await Price("dtf-bought") - before, 1.00m, 1.10m);
        await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Equal(before, await Price("dtf-bought"));
    }
}
