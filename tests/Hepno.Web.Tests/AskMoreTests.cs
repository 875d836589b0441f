using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Tests;
using Hepno.Formats;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>Orders as they come: the customer's own garments, several days, files, templates, and what an artwork
/// remembers.</summary>
public class AskMoreTests(Shop shop) : IClassFixture<Shop>
{
    private static JsonObject Line(string id, bool theirs = false, string? due = null, string? design = null) =>
        JsonNode
            .Parse(
                $$"""
                {"id":"{{id}}","styleId":"brae","colourwayId":"black","sizes":[{"size":"M","pieces":12}],"mark":null,"theirs":{{(
                    theirs ? "true" : "false"
                )}},"dueDate":{{(due is null ? "null" : $"\"{due}\"")}},
                 "placements":[{"id":"p{{id}}","place":"front","widthIn":9,"heightIn":6,"coveragePercent":50,
                 "colours":2,"gradient":false,"thinnestLinePt":5,"designId":{{(
                    design is null ? "null" : $"\"{design}\""
                )}}}]}
                """
            )!
            .AsObject();

    private async Task<(int Status, JsonElement Body)> Put(string id, string? due, params JsonObject[] lines)
    {
        var body = new JsonObject
        {
            ["customerId"] = "choir",
            ["lines"] = new JsonArray([.. lines]),
            ["dueDate"] = due,
            ["dueTime"] = null,
            ["details"] = null,
        };
        return await shop.Send(HttpMethod.Put, $"/api/orders/{id}", body.ToJsonString());
    }

    private async Task<Journey> Asked(string id, params JsonObject[] lines)
    {
        var (status, body) = await Put(id, Shop.DaysOn(30), lines);
        Assert.True(status == 200, body.ToString());
        return new Journey(shop, id);
    }

    private async Task<JsonElement> Film(string id, string line = "1") =>
        (await shop.Get($"/api/orders/{id}/compare?line={line}"))
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "dtf-bought");

    private static decimal Stratum(JsonElement band, string code) =>
        band.GetProperty("cost")
            .GetProperty("parts")
            .EnumerateArray()
            .Single(p => p.GetProperty("code").GetString() == code)
            .GetProperty("value")
            .GetDecimal();

    [Fact]
    public async Task Their_own_garments_cost_nothing_none_is_bought_and_somebody_takes_the_risk()
    {
        await Asked("ours", Line("1"));
        var journey = await Asked("theirs", Line("1", theirs: true));
        var (ours, theirs) = (await Film("ours"), await Film("theirs"));
        Assert.Equal(0m, Stratum(theirs, "blank"));
        Assert.True(Stratum(theirs, "spoilage") < Stratum(ours, "spoilage"));
        Assert.Contains(theirs.GetProperty("verdict").GetProperty("reasons").EnumerateArray(), r =>
            r.GetProperty("code").GetString() == "theirs"
        );
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        var layout = await shop.Get("/api/orders/theirs/layout");
        Assert.Empty(layout.GetProperty("choices").EnumerateArray());
        Assert.StartsWith(
            "Their own garments, none to spare",
            layout.GetProperty("spares").GetString(),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "spoiled pieces: the customer's own garments, none to spare",
            theirs.GetProperty("leavesOut").EnumerateArray().Select(l => l.GetString())
        );
        await journey.Done("lay-out");
        await journey.Done("send");
        using (var pdf = PdfDocument.Open(await shop.CreateClient().GetByteArrayAsync("/api/orders/theirs/quote.pdf")))
        {
            var text = string.Concat(pdf.GetPages().Select(p => p.Text)).Replace(" ", "", StringComparison.Ordinal);
            Assert.Contains("Yourowntees,black", text, StringComparison.Ordinal);
            Assert.Contains("cannotreplaceonethatisspoiled", text, StringComparison.Ordinal);
            Assert.DoesNotContain("Wereplaceanypiece", text, StringComparison.Ordinal);
        }
        await journey.Gathered();
        var order = await journey.Order();
        Assert.StartsWith(
            "Their own tees, brought: M 12",
            order.GetProperty("facts").GetProperty("gathering").GetProperty("items")[0].GetProperty("text").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal("gather", order.GetProperty("station").GetString());
        Assert.Contains(order.GetProperty("slip").GetProperty("missing").EnumerateArray(), m =>
            m.GetProperty("text").GetString() == "Their word for 12 own garments, or a spot test"
        );
        Assert.Equal(
            400,
            (await journey.Deed("risk", """{"lineId":"1","acceptedBy":" ","spotTested":false}""")).Status
        );
        Assert.Equal(
            404,
            (await journey.Deed("risk", """{"lineId":"9","acceptedBy":"Isaura","spotTested":false}""")).Status
        );
        await journey.Done("risk", """{"lineId":"1","acceptedBy":"Isaura, by letter","spotTested":false}""");
        Assert.Equal("press", await journey.Station());
        await journey.Done("risk", """{"lineId":"1","acceptedBy":"","spotTested":true}""");
        Assert.Single(
            (await journey.Order()).GetProperty("facts").GetProperty("gathering").GetProperty("risks").EnumerateArray()
        );
        await new Journey(shop, "ours").Done("choose", """{"methodId":"dtf-bought"}""");
        Assert.Equal(
            409,
            (
                await new Journey(shop, "ours").Deed("risk", """{"lineId":"1","acceptedBy":"x","spotTested":false}""")
            ).Status
        );
    }

    [Fact]
    public async Task A_charge_for_their_own_garments_stands_on_top_of_the_price()
    {
        await Asked("charged", Line("1", theirs: true));
        var before = (await Film("charged")).GetProperty("outcome").GetProperty("price").GetDecimal();
        var numbers = await shop.Get("/api/numbers");
        var body = JsonNode.Parse(numbers.GetProperty("value").GetRawText())!.AsObject();
        body["prices"]!["theirsPerPiece"] = 1.5;
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            body.ToJsonString(),
            numbers.GetProperty("version").ToString()
        );
        Assert.True(status == 200, said.ToString());
        var band = await Film("charged");
        Assert.Equal(before + 1.5m, band.GetProperty("outcome").GetProperty("price").GetDecimal());
        Assert.Contains(
            "more for a garment of their own",
            band.GetProperty("priceHow").GetString(),
            StringComparison.Ordinal
        );
        body["prices"]!["theirsPerPiece"] = -1;
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    body.ToJsonString(),
                    said.GetProperty("version").ToString()
                )
            ).Status
        );
        body["prices"]!["theirsPerPiece"] = 0;
        await shop.Send(HttpMethod.Put, "/api/numbers", body.ToJsonString(), said.GetProperty("version").ToString());
    }

    [Fact]
    public async Task A_line_may_be_wanted_earlier_and_is_late_by_its_own_day()
    {
        await Asked("two-days", Line("1", due: Shop.DaysOn(1)), Line("2"));
        var early = await Film("two-days", "1");
        var later = await Film("two-days", "2");
        Assert.True(early.GetProperty("lateMinutes").GetDouble() > 0);
        Assert.Equal(0, later.GetProperty("lateMinutes").GetDouble());
        foreach (
            var (due, line, code) in new[]
            {
                (Shop.DaysOn(30), Shop.DaysOn(31), "later-than-order"),
                (null, Shop.DaysOn(5), "day-alone"),
                (Shop.DaysOn(30), Shop.DaysOn(-2), "past-due"),
            }
        )
        {
            var (status, body) = await Put("wrong-days", due, Line("1", due: line), Line("2"));
            Assert.Equal(400, status);
            Assert.Contains(body.GetProperty("problems").EnumerateArray(), p =>
                p.GetProperty("code").GetString() == code
            );
        }
    }

    private async Task<(int Status, JsonElement Body)> File(string order, string id, string name, byte[] bytes)
    {
        var version = (await shop.Get($"/api/orders/{order}")).GetProperty("version").ToString();
        using var request = new HttpRequestMessage(
            HttpMethod.Put,
            $"/api/orders/{order}/attachments/{id}?name={Uri.EscapeDataString(name)}"
        )
        {
            Content = new ByteArrayContent(bytes),
        };
        request.Content.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        request.Headers.Add("Hepno-Device", "tests");
        using var answer = await shop.CreateClient().SendAsync(request);
        return ((int)answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
    }

    [Fact]
    public async Task Files_hang_on_an_order_come_back_as_downloads_and_can_be_taken_off_and_back()
    {
        await Asked("filed", Line("1"));
        var html = Encoding.UTF8.GetBytes("<script>alert(1)</script>");
        Assert.Equal(200, (await File("filed", "letter", "C:\\letters\\their letter.html", html)).Status);
        var answer = await shop.CreateClient().GetAsync("/api/orders/filed/attachments/letter");
        Assert.Equal(
            ("application/octet-stream", "attachment"),
            (answer.Content.Headers.ContentType!.MediaType, answer.Content.Headers.ContentDisposition!.DispositionType)
        );
        Assert.Equal("their letter.html", answer.Content.Headers.ContentDisposition.FileName!.Trim('"'));
        Assert.Equal(html, await answer.Content.ReadAsByteArrayAsync());
        Assert.Equal(["nosniff"], answer.Headers.GetValues("X-Content-Type-Options"));
        Assert.Equal(
            "empty",
            (await File("filed", "nothing", "a.txt", []))
                .Body.GetProperty("problems")[0]
                .GetProperty("code")
                .GetString()
        );
        Assert.Equal(
            "name",
            (await File("filed", "nameless", " ", html)).Body.GetProperty("problems")[0].GetProperty("code").GetString()
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/orders/filed/attachments/none")).Status);
        var journey = new Journey(shop, "filed");
        await journey.Done("attachments/letter", null, HttpMethod.Delete);
        Assert.Empty((await journey.Order()).GetProperty("facts").GetProperty("attached").EnumerateArray());
        Assert.Equal(404, (await journey.Deed("attachments/letter", null, HttpMethod.Delete)).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
        Assert.Equal(
            "their letter.html",
            (await journey.Order()).GetProperty("facts").GetProperty("attached")[0].GetProperty("name").GetString()
        );
        for (var n = 1; n < 20; n++)
        {
            Assert.Equal(200, (await File("filed", $"f{n}", $"{n}.txt", [1, 2, (byte)n])).Status);
        }
        Assert.Equal(
            "many",
            (await File("filed", "last", "last.txt", [1]))
                .Body.GetProperty("problems")[0]
                .GetProperty("code")
                .GetString()
        );
    }

    [Fact]
    public async Task A_template_keeps_what_is_asked_often_and_begins_an_empty_ask()
    {
        await Asked("often", Line("1", due: Shop.DaysOn(4)));
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/templates/choir-tee",
                    """{"name":" The choir's tee ","orderId":"often"}"""
                )
            ).Status
        );
        var kept = (await shop.Get("/api/templates"))
            .EnumerateArray()
            .Single(t => t.GetProperty("id").GetString() == "choir-tee");
        Assert.Equal(
            ("The choir's tee", "12 × Brae 180, front"),
            (kept.GetProperty("name").GetString(), kept.GetProperty("what")[0].GetString())
        );
        await shop.Send(
            HttpMethod.Put,
            "/api/orders/fresh",
            """
            {"customerId":null,"lines":[{"id":"1","styleId":null,"colourwayId":null,"sizes":[],"placements":[],
            "mark":null}],"dueDate":null,"dueTime":null,"details":null}
            """
        );
        var (status, said) = await shop.Send(
            HttpMethod.Post,
            "/api/orders/fresh/begin",
            """{"templateId":"choir-tee"}""",
            "1"
        );
        Assert.True(status == 200, said.ToString());
        var line = (await shop.Get("/api/orders/fresh")).GetProperty("ask").GetProperty("lines")[0];
        Assert.Equal(
            (12, JsonValueKind.Null),
            (line.GetProperty("pieces").GetInt32(), line.GetProperty("dueDate").ValueKind)
        );
        Assert.Equal(
            409,
            (await shop.Send(HttpMethod.Post, "/api/orders/fresh/begin", """{"templateId":"choir-tee"}""", "2")).Status
        );
        Assert.Equal(
            400,
            (await shop.Send(HttpMethod.Put, "/api/templates/bare", """{"name":"","orderId":"often"}""")).Status
        );
        Assert.Equal(
            404,
            (await shop.Send(HttpMethod.Put, "/api/templates/bare", """{"name":"x","orderId":"none"}""")).Status
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/templates/choir-tee/retire",
                    null,
                    kept.GetProperty("version").ToString()
                )
            ).Status
        );
        Assert.DoesNotContain((await shop.Get("/api/templates")).EnumerateArray(), t =>
            t.GetProperty("id").GetString() == "choir-tee"
        );
    }

    [Fact]
    public async Task An_artwork_remembers_its_pictures_what_it_was_pressed_with_and_what_to_do_next_time()
    {
        async Task Picture(int side, string? ifMatch)
        {
            using var request = new HttpRequestMessage(HttpMethod.Put, "/api/artwork/crest/file?name=Crest&widthIn=9")
            {
                Content = new ByteArrayContent(
                    PngPicture.Write(new Drawn(side, side).Box(20, 20, side - 40, side - 40, (180, 30, 30)).Raster)
                ),
            };
            request.Content.Headers.ContentType = new("image/png");
            request.Headers.Add("Hepno-Device", "tests");
            if (ifMatch is not null)
            {
                request.Headers.TryAddWithoutValidation("If-Match", $"\"{ifMatch}\"");
            }
            Assert.Equal(200, (int)(await shop.CreateClient().SendAsync(request)).StatusCode);
        }
        await Picture(1200, null);
        await Picture(1500, "1");
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/artwork/crest",
                    """{"name":"Crest","rights":{"whose":"","saidBy":"","saidOn":null,"proof":""},"nextTime":"thicker outline"}""",
                    "2"
                )
            ).Status
        );
        Assert.Equal("thicker outline", (await shop.Get("/api/artwork/crest")).GetProperty("nextTime").GetString());
        var memory = await shop.Get("/api/artwork/crest/memory");
        Assert.Equal(
            [1500, 1200],
            memory.GetProperty("versions").EnumerateArray().Select(v => v.GetProperty("widthPx").GetInt32())
        );
        Assert.Empty(memory.GetProperty("pressed").EnumerateArray());
        var journey = await Asked("remembered", Line("1", design: "crest"));
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        await journey.Gathered();
        await shop.Send(HttpMethod.Post, "/api/runs/remembered/start");
        await journey.Verdict("remembered-1", 1, "M", "spoiled", reason: "crooked");
        await journey.Verdict("remembered-2", 1, "M", attempt: 2);
        var pressed = Assert.Single(
            (await shop.Get("/api/artwork/crest/memory")).GetProperty("pressed").EnumerateArray()
        );
        Assert.Equal(
            (1, 1, "crooked"),
            (
                pressed.GetProperty("good").GetInt32(),
                pressed.GetProperty("spoiled").GetInt32(),
                pressed.GetProperty("reasons")[0].GetString()
            )
        );
        Assert.Equal("Brae 180, black", pressed.GetProperty("on").GetString());
        Assert.Equal("310 °F, 15 s, medium, cold peel, 8 s again", pressed.GetProperty("settings").GetString());
        Assert.StartsWith("Front 9 ×", pressed.GetProperty("where").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_odd_price_is_asked_about_and_kept_once_the_owner_says_so()
    {
        const string Roll =
            """{"supplier":"Dunlin","product":"Odd vinyl","usableWidthIn":18,"pricePerFoot":41,"weedingMarginIn":0.25,"freightPerOrder":6,"leadDays":3}""";
        var (status, said) = await shop.Send(HttpMethod.Put, "/api/vinyls/odd", Roll);
        Assert.Equal((400, "doubt"), (status, said.GetProperty("problems")[0].GetProperty("code").GetString()));
        Assert.Contains(
            "whole roll",
            said.GetProperty("problems")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        (status, said) = await shop.Send(HttpMethod.Put, "/api/vinyls/odd", Roll, more: r =>
            r.Headers.Add("Hepno-Sure", "true")
        );
        Assert.True(status == 200, said.ToString());
        Assert.Equal(
            JsonValueKind.Null,
            (await shop.Get("/api/artwork/nothing/progress")).GetProperty("share").ValueKind
        );
    }

    [Fact]
    public async Task Who_is_forgotten_takes_printed_names_files_and_who_took_the_risk_along()
    {
        await shop.Send(
            HttpMethod.Put,
            "/api/customers/gone",
            """{"name":"Gone Person","contact":"","address":"","taxExempt":"","accountDays":0}"""
        );
        var line = Line("1", theirs: true);
        line["sizes"] = JsonNode.Parse("""[{"size":"M","pieces":1}]""");
        line["names"] = JsonNode.Parse("""[{"size":"M","name":"SECRET","number":"7"}]""");
        line["placements"]![0]!["own"] = "name-and-number";
        var body = new JsonObject
        {
            ["customerId"] = "gone",
            ["lines"] = new JsonArray(line),
            ["dueDate"] = Shop.DaysOn(30),
            ["dueTime"] = null,
            ["details"] = null,
        };
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/orders/gone-1", body.ToJsonString())).Status);
        var journey = new Journey(shop, "gone-1");
        await File("gone-1", "letter", "secret letter.txt", [7, 7, 7, 1]);
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        await journey.Gathered();
        await journey.Done("risk", """{"lineId":"1","acceptedBy":"Secret Signer","spotTested":false}""");
        await shop.Send(HttpMethod.Post, "/api/runs/gone-1/start");
        await journey.Verdict("gone-event-1", 1, "M");
        await journey.Done("count", """{"sizes":[{"lineId":"1","size":"M","pieces":1}]}""");
        await journey.Done("hand-over", """{"to":"Secret Taker"}""");
        await journey.Done("close");
        var files = Directory.GetFiles(Path.Combine(shop.Folder, "files"), "*", SearchOption.AllDirectories).Length;
        var (status, said) = await shop.Send(HttpMethod.Post, "/api/customers/gone/erase", null, "1");
        Assert.True(status == 200, said.ToString());
        var left =
            (await journey.Order()).GetRawText()
            + (await shop.Get("/api/orders/gone-1/quote")).GetRawText()
            + await shop.CreateClient().GetStringAsync("/api/orders/gone-1/names.csv");
        Assert.DoesNotContain("secret", left, StringComparison.OrdinalIgnoreCase);
        Assert.Equal(
            files - 1,
            Directory.GetFiles(Path.Combine(shop.Folder, "files"), "*", SearchOption.AllDirectories).Length
        );
    }
}
