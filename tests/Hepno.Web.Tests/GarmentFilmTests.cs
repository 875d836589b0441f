using System.Globalization;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Film made on a garment printer, from the ask until it is handed over.</summary>
public class GarmentFilmTests(Shop shop) : IClassFixture<Shop>
{
    private const string Printer = """
        {"name":"Dotterel","speedIn2PerMinute":40,"mostWidthIn":14,"mostHeightIn":16,"colourMlPerIn2":0.012,
        "colourPricePerMl":0.18,"whiteMlPerIn2":0.03,"whitePricePerMl":0.16,"pretreatMlPerIn2":0.1,
        "pretreatPricePerMl":0.02,"equipment":{"priceNew":12000,"resale":2000,"usefulYears":5,
        "productiveHoursAYear":500,"powerKw":0.3,"dutyShare":0.5,"upkeepPerHour":0.2},"cautions":""}
        """;

    private const string Film = """
        {"name":"Small sheets","sheetWidthIn":10,"sheetHeightIn":12,"edgeIn":0.5,"gapIn":0.25,"sheetPrice":0.9,
        "colourMlPerIn2":0.012,"whiteMlPerIn2":0.03,"whiteOnLight":true,"colourIn2PerMinute":20,
        "whiteIn2PerMinute":12,"loadSeconds":30,"feedBackSeconds":40,"powderGPerIn2":0.018,"powderPricePerG":0.03,
        "cleanUpMinutes":10,"cure":"hover-press","cureF":250,"cautions":"Powder is fine dust."}
        """;

    private async Task Keep(string path, string body)
    {
        var (status, said) = await shop.Send(HttpMethod.Put, path, body);
        Assert.True(status == 200, said.ToString());
    }

    private async Task<int> Waiting(string order) =>
        (await shop.Get("/api/cures/waiting?printerId=small-sheets"))
            .EnumerateArray()
            .Where(w => w.GetProperty("orderId").GetString() == order)
            .Sum(w => w.GetProperty("prints").GetInt32());

    [Fact]
    public async Task An_order_goes_from_the_ask_to_what_was_learned()
    {
        await Keep("/api/garment-printers/dotterel", Printer);
        await Keep("/api/garment-films/small-sheets", Film);
        var known = (await shop.Get("/api/recipes"))
            .EnumerateArray()
            .Select(r => r.GetProperty("value"))
            .First(r => r.GetProperty("fabric").GetString() == "cotton");
        var recipe = JsonNode.Parse(known.GetRawText())!.AsObject();
        (recipe["id"], recipe["productId"]) = ("small-cotton", "small-sheets");
        await Keep("/api/recipes/small-cotton", recipe.ToJsonString());
        var product = (await shop.Get("/api/recipe-products"))
            .EnumerateArray()
            .Single(p => p.GetProperty("id").GetString() == "small-sheets");
        Assert.Equal("film Small sheets", product.GetProperty("name").GetString());
        Assert.True(product.GetProperty("isCuredHere").GetBoolean());

        var order = new Journey(shop, "small-film", "film-garment-printer");
        await order.To("gather");
        await order.Gathered();
        var waiting = await Waiting("small-film");
        Assert.True(waiting >= 4);
        await Keep(
            "/api/cures/small-cure",
            $$"""
            {"printerId":"small-sheets","stationId":"","temperatureF":250,"minutes":3,"by":"Wren","sign":"glossy",
            "before":"holds","after":"holds","prints":[{"orderId":"small-film","lineId":"1","placementId":"f",
            "prints":{{waiting.ToString(CultureInfo.InvariantCulture)}},"whiteOnly":false}]}
            """
        );
        Assert.Equal(0, await Waiting("small-film"));
        var recalled = await shop.Get("/api/cures/small-cure/recall");
        Assert.NotEmpty(recalled.GetProperty("lines").EnumerateArray());
        await order.Pressing();
        await order.Handing();
        Assert.Equal("learn", await order.Station());
        await order.Done("close");
        Assert.Contains(
            "Film, on the garment printer",
            (await shop.Get("/api/learning")).GetRawText(),
            StringComparison.Ordinal
        );
    }
}
