using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>Other ways offered beside a quote, price breaks taken, what steps took, prices through time, the language
/// of dates.</summary>
public class OfferTests(Shop shop) : IClassFixture<Shop>
{
    private static readonly string Due = Shop.DaysOn(30);

    private async Task<Journey> Asked(string id, int pieces)
    {
        var (status, answer) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{id}",
            $$"""
            {"customerId":"rowing","lines":[{"id":"1","styleId":"hollin","colourwayId":"navy","sizes":[{"size":"M","pieces":{{pieces}}}],"mark":null,
             "placements":[{"id":"p","place":"front","widthIn":9,"heightIn":8,"coveragePercent":50,"colours":2,
             "gradient":false,"thinnestLinePt":5}]}],"dueDate":"{{Due}}","dueTime":null,"details":null}
            """
        );
        Assert.True(status == 200, answer.ToString());
        return new Journey(shop, id);
    }

    private async Task Numbers(Action<JsonObject> change)
    {
        var kept = await shop.Get("/api/numbers");
        var n = JsonNode.Parse(kept.GetProperty("value").GetRawText())!.AsObject();
        change(n);
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            n.ToJsonString(),
            kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, body.ToString());
    }

    [Fact]
    public async Task A_way_offered_beside_the_quote_stands_on_its_paper_with_the_comparisons_figures()
    {
        var journey = await Asked("offer-1", 36);
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        Assert.Equal(
            JsonValueKind.Null,
            (await shop.Get("/api/orders/offer-1/quote"))
                .GetProperty("quote")
                .GetProperty("document")
                .GetProperty("others")
                .ValueKind
        );
        await journey.Done("offer", """{"methodId":"htv","offered":true}""");
        var band = (await shop.Get("/api/orders/offer-1/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "htv");
        var others = (await shop.Get("/api/orders/offer-1/quote"))
            .GetProperty("quote")
            .GetProperty("document")
            .GetProperty("others")
            .EnumerateArray()
            .ToList();
        Assert.Equal([true, false], others.Select(o => o.GetProperty("quoted").GetBoolean()));
        Assert.Equal(
            band.GetProperty("outcome").GetProperty("price").GetDecimal(),
            decimal.Parse(others[1].GetProperty("each").GetString()!, CultureInfo.InvariantCulture)
        );
        Assert.Equal(
            36 * band.GetProperty("outcome").GetProperty("price").GetDecimal(),
            decimal.Parse(others[1].GetProperty("inAll").GetString()!, CultureInfo.InvariantCulture)
        );
        await journey.Done("send");
        using (var pdf = PdfDocument.Open(await shop.CreateClient().GetByteArrayAsync("/api/orders/offer-1/quote.pdf")))
        {
            var text = string.Concat(pdf.GetPages().Select(p => p.Text)).Replace(" ", "", StringComparison.Ordinal);
            Assert.All(others, o =>
                Assert.Contains(o.GetProperty("inAll").GetString()!, text, StringComparison.Ordinal)
            );
            Assert.Contains("Ormadeanotherway", text, StringComparison.Ordinal);
        }
        var (status, refused) = await journey.Deed("offer", """{"methodId":"htv","offered":true}""");
        Assert.Equal((409, "not-there"), (status, refused.GetProperty("problems")[0].GetProperty("code").GetString()));
    }

    [Fact]
    public async Task A_way_that_cannot_do_it_is_not_offered_and_an_offer_is_taken_back()
    {
        var journey = await Asked("offer-2", 12);
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        // cotton and navy: no dye would show
        var (status, refused) = await journey.Deed("offer", """{"methodId":"sublimation","offered":true}""");
        Assert.Equal(
            (409, "method-unfit"),
            (status, refused.GetProperty("problems")[0].GetProperty("code").GetString())
        );
        Assert.Equal(404, (await journey.Deed("offer", """{"methodId":"kite","offered":true}""")).Status);
        await journey.Done("offer", """{"methodId":"htv","offered":true}""");
        await journey.Done("offer", """{"methodId":"htv","offered":false}""");
        Assert.Empty(
            (await journey.Order()).GetProperty("facts").GetProperty("choice").GetProperty("offered").EnumerateArray()
        );
    }

    [Fact]
    public async Task A_price_break_is_taken_and_its_pieces_are_given_by_the_shops_rule()
    {
        // 54 prints by somebody else: from 60 on they cost a fifth
        var printer = (await shop.Get("/api/outside-printers"))[0];
        var body = JsonNode.Parse(printer.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["blanks"] = null;
        body["setUpPerScreen"] = 10;
        foreach (var price in body["prices"]!.AsArray())
        {
            price!["breaks"] = JsonNode.Parse("""[{"from":1,"price":10},{"from":60,"price":2}]""");
        }
        var id = printer.GetProperty("value").GetProperty("id").GetString();
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    $"/api/outside-printers/{id}",
                    body.ToJsonString(),
                    printer.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture),
                    more: r => r.Headers.Add("Hepno-Sure", "true")
                )
            ).Status
        );
        var prices = (await shop.Get($"/api/outside-printers/{id}/prices")).EnumerateArray().ToList();
        Assert.Contains(prices, p =>
            p.GetProperty("steps").GetArrayLength() == 2
            && p.GetProperty("steps")[1].GetProperty("price").GetDecimal() == 10
            && p.GetProperty("steps")[1].GetProperty("now").GetBoolean()
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/outside-printers/none/prices")).Status);

        await Numbers(n => n["prices"]!["inversion"] = "give-piece");
        var journey = await Asked("larger", 54);
        async Task<JsonElement> Sent() =>
            (await shop.Get("/api/orders/larger/compare"))
                .GetProperty("bands")
                .EnumerateArray()
                .Single(b => b.GetProperty("methodId").GetString() == "screen-out");
        var band = await Sent();
        var pieces = band.GetProperty("cliff").GetProperty("pieces").GetInt32();
        var total = band.GetProperty("cliff").GetProperty("total").GetDecimal();
        Assert.InRange(pieces, 55, 60);
        Assert.True(band.GetProperty("total").GetDecimal() <= total);
        Assert.Equal(409, (await journey.Deed("larger", $$"""{"pieces":{{pieces}}}""")).Status);
        await journey.Done("choose", """{"methodId":"screen-out"}""");
        Assert.Equal(
            "no-break",
            (await journey.Deed("larger", $$"""{"pieces":{{pieces + 3}}}"""))
                .Body.GetProperty("problems")[0]
                .GetProperty("code")
                .GetString()
        );
        await journey.Done("larger", $$"""{"pieces":{{pieces}}}""");
        var line = (await journey.Order()).GetProperty("ask").GetProperty("lines")[0];
        Assert.Equal(
            (pieces, pieces - 54),
            (line.GetProperty("pieces").GetInt32(), line.GetProperty("given").GetInt32())
        );
        Assert.Equal(
            (total, JsonValueKind.Null),
            ((await Sent()).GetProperty("total").GetDecimal(), (await Sent()).GetProperty("cliff").ValueKind)
        );
        await journey.Done("lay-out");
        Assert.Contains(
            $"54 asked for, {pieces - 54} given",
            (await shop.Get("/api/orders/larger/quote")).GetRawText(),
            StringComparison.Ordinal
        );

        // another quantity gives none; all of them cannot be given
        var order = await journey.Order();
        var ask = Journey.Body(order.GetProperty("ask").GetRawText());
        string Version(JsonElement o) => o.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/larger",
                    ask.Replace($"\"given\":{pieces - 54}", "\"given\":900", StringComparison.Ordinal),
                    Version(order)
                )
            ).Status
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/larger",
                    ask.Replace(
                        $"\"size\":\"M\",\"pieces\":{pieces}",
                        "\"size\":\"M\",\"pieces\":20",
                        StringComparison.Ordinal
                    ),
                    Version(order)
                )
            ).Status
        );
        Assert.Equal(
            0,
            (await journey.Order()).GetProperty("ask").GetProperty("lines")[0].GetProperty("given").GetInt32()
        );
    }

    [Fact]
    public async Task What_steps_took_is_kept_with_the_verdict_and_stands_beside_the_standards()
    {
        var steps = (await shop.Get("/api/learning")).GetProperty("steps").EnumerateArray().ToList();
        Assert.Equal(
            ["lay", "press", "peel", "again"],
            steps
                .Where(s => s.GetProperty("methodId").GetString() == "dtf-bought")
                .Select(s => s.GetProperty("step").GetString())
        );
        Assert.All(steps, s =>
            Assert.True(
                s.GetProperty("standard").GetDouble() > 0
                    && s.GetProperty("recorded").GetDouble() > 0
                    && s.GetProperty("timings").GetInt32() > 10
            )
        );
        var run = (await shop.Get("/api/line"))
            .GetProperty("stations")
            .EnumerateArray()
            .Single(s => s.GetProperty("station").GetString() == "press")
            .GetProperty("pegs")[0]
            .GetProperty("id")
            .GetString();
        var todo = (await shop.Get($"/api/runs/{run}")).GetProperty("state").GetProperty("todo")[0];
        string Event(string laps) =>
            $$"""
                {"pieceNo":{{todo.GetProperty("pieceNo")}},"attempt":{{todo.GetProperty("attempt")}},
                "pass":{{todo.GetProperty("pass")}},"size":"{{todo.GetProperty("size").GetString()}}","verdict":"good",
                "reason":null,"takesBack":null,"secondsOnPiece":80,"laps":{{laps}}}
                """;
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    $"/api/runs/{run}/events/lap-event-1",
                    Event("""[{"step":"dance","seconds":4}]""")
                )
            ).Status
        );
        var (status, state) = await shop.Send(
            HttpMethod.Put,
            $"/api/runs/{run}/events/lap-event-1",
            Event("""[{"step":"lay","seconds":31.5},{"step":"press","seconds":16}]""")
        );
        Assert.True(status == 200, state.ToString());
        Assert.Equal(
            [("lay", 31.5), ("press", 16)],
            state
                .GetProperty("last")
                .GetProperty("laps")
                .EnumerateArray()
                .Select(l => (l.GetProperty("step").GetString(), l.GetProperty("seconds").GetDouble()))
        );
    }

    [Fact]
    public async Task Days_and_months_are_written_in_the_shops_language()
    {
        string[] german = ["So", "Mo", "Di", "Mi", "Do", "Fr", "Sa"];
        await Numbers(n => n["identity"]!["format"]!["language"] = "de");
        var line = await shop.Get("/api/line");
        Assert.Contains(line.GetProperty("now").GetString()!.Split(' ')[0], german);
        var kept = await shop.Get("/api/numbers");
        var (status, refused) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            kept.GetProperty("value")
                .GetRawText()
                .Replace("\"language\":\"de\"", "\"language\":\"xx\"", StringComparison.Ordinal),
            kept.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.Equal(
            (400, "identity.format.language"),
            (status, refused.GetProperty("problems")[0].GetProperty("where").GetString())
        );
        await Numbers(n => n["identity"]!["format"]!["language"] = "en");
    }
}
