using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>Orders of several lines, sent by the carrier, from the ask to the papers.</summary>
public class LinesTests(Shop shop) : IClassFixture<Shop>
{
    private static readonly string Due = Shop.DaysOn(30);

    private static string Bare(string s) =>
        s.Replace(" ", "", StringComparison.Ordinal).Replace("\u00a0", "", StringComparison.Ordinal);

    private static JsonObject Line(
        int n,
        string style,
        string colour,
        int pieces,
        string size = "M",
        double width = 9
    ) =>
        JsonNode
            .Parse(
                $$"""
                {"id":"{{n}}","styleId":"{{style}}","colourwayId":"{{colour}}","sizes":[{"size":"{{size}}","pieces":{{pieces}}}],"mark":null,
                 "placements":[{"id":"p{{n}}","place":"front","widthIn":{{width.ToString(
                    CultureInfo.InvariantCulture
                )}},"heightIn":6,"coveragePercent":50,"colours":2,"gradient":false,"thinnestLinePt":5}]}
                """
            )!
            .AsObject();

    private async Task<Journey> Asked(string id, IEnumerable<JsonObject> lines, string shipping = "null")
    {
        var body = new JsonObject
        {
            ["customerId"] = "rowing",
            ["lines"] = new JsonArray([.. lines]),
            ["dueDate"] = Due,
            ["dueTime"] = null,
            ["details"] = null,
            ["shipping"] = JsonNode.Parse(shipping),
        };
        var (status, answer) = await shop.Send(HttpMethod.Put, $"/api/orders/{id}", body.ToJsonString());
        Assert.True(status == 200, answer.ToString());
        return new Journey(shop, id);
    }

    private async Task<JsonElement> Quoted(Journey journey, int lines)
    {
        for (var n = 1; n <= lines; n++)
        {
            await journey.Done("choose", $$"""{"methodId":"dtf-bought","lineId":"{{n}}"}""");
        }
        await journey.Done("lay-out");
        return (await shop.Get($"/api/orders/{journey.Id}/quote")).GetProperty("quote");
    }

    private async Task<(string Text, int Pages)> Read(string path)
    {
        using var pdf = PdfDocument.Open(await shop.CreateClient().GetByteArrayAsync(path));
        return (Bare(string.Concat(pdf.GetPages().Select(p => p.Text))), pdf.NumberOfPages);
    }

    [Theory]
    [InlineData(1, "null")]
    [InlineData(3, """{"zone":"country","inThePrice":false}""")]
    [InlineData(12, """{"zone":"near","inThePrice":true}""")]
    [InlineData(60, "null")]
    public async Task Every_figure_of_a_quotes_paper_is_the_apis_and_the_total_is_the_sum_of_its_lines(
        int lines,
        string shipping
    )
    {
        var id = $"papers-{lines}";
        var journey = await Asked(
            id,
            Enumerable
                .Range(1, lines)
                .Select(n =>
                    Line(n, n % 2 == 0 ? "brae" : "hollin", n % 2 == 0 ? "black" : "navy", 3 + n, width: 5 + (n % 5))
                ),
            shipping
        );
        var quote = await Quoted(journey, lines);
        await journey.Done("send");
        var goods = quote.GetProperty("lines").EnumerateArray().Sum(l => l.GetProperty("goods").GetDecimal());
        decimal Of(string name) => quote.GetProperty(name).GetDecimal();
        Assert.Equal(goods, Of("goods"));
        Assert.Equal(goods + Of("postage") + Of("tax"), Of("total"));
        Assert.Equal(lines == 3, Of("postage") > 0);
        var (text, pages) = await Read($"/api/orders/{id}/quote.pdf");
        Assert.True(lines < 12 ? pages == 1 : pages > 1);
        var document = quote.GetProperty("document");
        var printed = document
            .GetProperty("lines")
            .EnumerateArray()
            .SelectMany(l => new[] { "what", "pieces", "each", "amount" }.Select(f => l.GetProperty(f).GetString()!))
            .Concat(
                document
                    .GetProperty("totals")
                    .EnumerateArray()
                    .Concat(document.GetProperty("heads").EnumerateArray())
                    .Select(t => t.GetProperty("value").GetString()!)
            )
            .Concat(document.GetProperty("columns").EnumerateArray().Select(c => c.GetProperty("value").GetString()!));
        Assert.All(printed, p => Assert.Contains(Bare(p), text, StringComparison.Ordinal));
        Assert.Equal(
            goods,
            document
                .GetProperty("lines")
                .EnumerateArray()
                .Sum(l =>
                    decimal.Parse(
                        l.GetProperty("amount").GetString()!,
                        NumberStyles.Number,
                        CultureInfo.InvariantCulture
                    )
                )
        );

        await journey.Done("approve", """{"by":"Mara Fell"}""");
        var (confirmed, _) = await Read($"/api/orders/{id}/confirmation.pdf");
        Assert.Contains("Orderconfirmation", confirmed, StringComparison.Ordinal);
        Assert.Contains("MaraFellsaidyes", confirmed, StringComparison.Ordinal);
        Assert.All(
            document.GetProperty("totals").EnumerateArray().Take(document.GetProperty("totalIndex").GetInt32() + 1),
            t => Assert.Contains(Bare(t.GetProperty("value").GetString()!), confirmed, StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task What_an_order_pays_once_is_shared_by_its_lines()
    {
        async Task<decimal> Cost(string id) =>
            (await shop.Get($"/api/orders/{id}/compare?line=1"))
                .GetProperty("bands")
                .EnumerateArray()
                .Single(b => b.GetProperty("methodId").GetString() == "dtf-bought")
                .GetProperty("cost")
                .GetProperty("value")
                .GetDecimal();
        await Asked("alone", [Line(1, "brae", "black", 10)]);
        await Asked("beside", [Line(1, "brae", "black", 10), Line(2, "hollin", "navy", 30)]);
        // 30 pieces more from the same mill: 25 order minutes, the card's fixed part and 12.00 of freight go over 40
        // pieces instead of 10
        var rates = (await shop.Get("/api/numbers")).GetProperty("value").GetProperty("rates");
        var hour = rates.GetProperty("wage").GetDecimal() + rates.GetProperty("overheadPerHour").GetDecimal();
        var once = (25m / 60 * hour) + 0.60m + 12m;
        var spoilage = (await Cost("alone")) - (await Cost("beside")) - ((once / 10) - (once / 40));
        // the dearer blank is also ruined now and then
        Assert.InRange(spoilage, 0m, 0.02m);
    }

    [Fact]
    public async Task Lines_are_run_counted_and_learned_apart()
    {
        var journey = await Asked("two-lines", [Line(1, "brae", "black", 2), Line(2, "hollin", "navy", 1, "L")]);
        await Quoted(journey, 2);
        await journey.Done("send");
        await journey.Gathered();
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/runs/two-lines/start")).Status);
        Assert.Equal(400, (await journey.Verdict("event-four", 4, "L")).Status);
        foreach (var (piece, size) in new[] { (1, "M"), (2, "M") })
        {
            await journey.Verdict($"two-event-{piece}", piece, size);
        }
        var state = (await journey.Verdict("two-event-3", 3, "L", "spoiled", reason: "lint")).Body;
        Assert.Equal(
            ["1 M 2 0", "2 L 0 1"],
            state
                .GetProperty("sizes")
                .EnumerateArray()
                .Select(s =>
                    $"{s.GetProperty("lineId").GetString()} {s.GetProperty("size").GetString()} "
                    + $"{s.GetProperty("good").GetInt32()} {s.GetProperty("spoiled").GetInt32()}"
                )
        );
        await journey.Verdict("two-event-3b", 3, "L", attempt: 2);
        Assert.Contains(
            "is not in this order",
            (await journey.Deed("count", """{"sizes":[{"lineId":"1","size":"L","pieces":1}]}""")).Body.GetRawText(),
            StringComparison.Ordinal
        );
        await journey.Done(
            "count",
            """{"sizes":[{"lineId":"1","size":"M","pieces":2},{"lineId":"2","size":"L","pieces":1}]}"""
        );
        var (slip, _) = await Read("/api/orders/two-lines/packing-slip.pdf");
        Assert.Contains("2blacktees", slip, StringComparison.Ordinal);
        Assert.Contains("1navytee", slip, StringComparison.Ordinal);
        Assert.Contains("Pieces3", slip, StringComparison.Ordinal);
        await journey.Done("hand-over", """{"to":"Mara"}""");
        var learned = await shop.Get("/api/orders/two-lines/learned");
        var lines = learned.GetProperty("lines").EnumerateArray().ToList();
        Assert.Equal([0, 1], lines.Select(l => l.GetProperty("held").GetProperty("spoiled").GetArrayLength()));
        Assert.Equal(
            learned.GetProperty("earned").GetProperty("value").GetDecimal(),
            lines.Sum(l => l.GetProperty("held").GetProperty("earned").GetProperty("value").GetDecimal()),
            9
        );
    }

    [Fact]
    public async Task A_part_is_delivered_and_both_balances_come_to_the_total()
    {
        var journey = await Asked("in-parts", [Line(1, "brae", "black", 5)]);
        await Quoted(journey, 1);
        await journey.Done("send");
        await journey.Gathered();
        await shop.Send(HttpMethod.Post, "/api/runs/in-parts/start");
        foreach (var piece in new[] { 1, 2, 3 })
        {
            await journey.Verdict($"part-event-{piece}", piece, "M");
        }
        string Counted(int n) => $$"""{"sizes":[{"lineId":"1","size":"M","pieces":{{n}}}]}""";
        Assert.Contains(
            "4 of M is outside 0 to 3.",
            (await journey.Deed("count", Counted(4))).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "Nothing of",
            (await journey.Deed("deliver-part", """{"to":"Mara"}""")).Body.GetRawText(),
            StringComparison.Ordinal
        );
        await journey.Done("count", Counted(3));
        var quote = (await shop.Get("/api/orders/in-parts/quote")).GetProperty("quote");
        var (total, deposit) = (quote.GetProperty("total").GetDecimal(), quote.GetProperty("deposit").GetDecimal());
        var balance = (await shop.Get("/api/orders/in-parts/sending")).GetProperty("balance");
        Assert.Equal(decimal.Round(total * 3 / 5, 2) - deposit, balance.GetProperty("now").GetDecimal());
        Assert.Equal(
            total - deposit,
            balance.GetProperty("now").GetDecimal() + balance.GetProperty("later").GetDecimal()
        );
        await journey.Done("deliver-part", """{"to":"Mara"}""");
        Assert.Equal("press", await journey.Station());
        foreach (var piece in new[] { 4, 5 })
        {
            await journey.Verdict($"part-event-{piece}", piece, "M");
        }
        Assert.Equal(
            "2 of 2 pieces to count",
            (await journey.Order()).GetProperty("slip").GetProperty("missing")[0].GetProperty("text").GetString()
        );
        await journey.Done("count", Counted(2));
        Assert.Contains(
            "That is the whole order",
            (await journey.Deed("deliver-part", """{"to":"Mara"}"""))
                .Body.GetRawText()
                .Replace("that is the whole order", "That is the whole order", StringComparison.Ordinal),
            StringComparison.Ordinal
        );
        var last = await shop.Get("/api/orders/in-parts/sending");
        Assert.Equal(
            (balance.GetProperty("later").GetDecimal(), 0m),
            (
                last.GetProperty("balance").GetProperty("now").GetDecimal(),
                last.GetProperty("balance").GetProperty("later").GetDecimal()
            )
        );
        await journey.Done("hand-over", """{"to":"Mara"}""");
        Assert.Equal("learn", await journey.Station());
    }

    [Fact]
    public async Task A_parcel_has_its_label_its_card_and_a_message_that_waits_for_the_count()
    {
        var journey = await Asked(
            "parcelled",
            [Line(1, "fell", "slate", 14)],
            """{"zone":"near","inThePrice":false}"""
        );
        Assert.Equal(409, (await shop.Send(HttpMethod.Get, "/api/orders/parcelled/sending")).Status);
        await Quoted(journey, 1);
        await journey.Done("send");
        var sending = await shop.Get("/api/orders/parcelled/sending");
        // 14 hoodies are 42 folded tees and 7.4 kg: one large box; three small ones would do too
        Assert.Equal(
            ["1 × Large box", "3 × Small box", "11 × Mailer"],
            sending
                .GetProperty("choices")
                .EnumerateArray()
                .Select(w =>
                    $"{w.GetProperty("parcels").GetInt32()} × "
                    + $"{w.GetProperty("packaging").GetProperty("name").GetString()}"
                )
        );
        Assert.Equal("14 pieces still to count", sending.GetProperty("waits").GetString());
        Assert.Contains("Mara Fell, your order", sending.GetProperty("message").GetString()!, StringComparison.Ordinal);
        var (label, pages) = await Read("/api/orders/parcelled/label.pdf");
        Assert.Equal(1, pages);
        Assert.Contains("2SlipRoad", label, StringComparison.Ordinal);
        Assert.Contains("parcel1of1", label, StringComparison.Ordinal);
        var (card, _) = await Read("/api/orders/parcelled/care-card.pdf");
        Assert.Contains("Neverironontheprint.", card, StringComparison.Ordinal);
        Assert.Contains(
            "needs no label",
            (await shop.Send(HttpMethod.Get, "/api/orders/demo-202/label.pdf")).Body.GetRawText(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Two_devices_change_two_lines_and_both_changes_are_kept()
    {
        var journey = await Asked("merged", [Line(1, "brae", "black", 2), Line(2, "hollin", "navy", 1)]);
        async Task<JsonObject> Body() =>
            JsonNode.Parse(Journey.Body((await journey.Order()).GetProperty("ask").GetRawText()))!.AsObject();
        var (mine, theirs) = (await Body(), await Body());
        theirs["lines"]![1]!["mark"] = 14;
        mine["lines"]![0]!["sizes"]![0]!["pieces"] = 9;
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/orders/merged", theirs.ToJsonString(), "1")).Status);
        var (status, answer) = await shop.Send(HttpMethod.Put, "/api/orders/merged", mine.ToJsonString(), "1");
        Assert.Equal((409, 0), (status, answer.GetProperty("collide").GetArrayLength()));
        Assert.Equal(
            200,
            (
                await shop.Send(HttpMethod.Put, "/api/orders/merged", answer.GetProperty("merged").GetRawText(), "2")
            ).Status
        );
        var kept = (await journey.Order()).GetProperty("ask").GetProperty("lines");
        Assert.Equal(
            (9, 14m),
            (kept[0].GetProperty("sizes")[0].GetProperty("pieces").GetInt32(), kept[1].GetProperty("mark").GetDecimal())
        );
        var (again, colliding) = await shop.Send(
            HttpMethod.Put,
            "/api/orders/merged",
            theirs
                .ToJsonString()
                .Replace(":14,", ":15,", StringComparison.Ordinal)
                .Replace("14}", "15}", StringComparison.Ordinal),
            "1"
        );
        Assert.Equal((409, "mark"), (again, colliding.GetProperty("collide")[0].GetString()));
    }

    [Fact]
    public async Task Too_heavy_for_every_parcel_is_said_before_it_is_quoted()
    {
        var journey = await Asked(
            "too-heavy",
            [Line(1, "fell", "slate", 1)],
            """{"zone":"abroad","inThePrice":false}"""
        );
        var numbers = await shop.Get("/api/numbers");
        var before = numbers.GetProperty("value").GetRawText();
        var version = numbers.GetProperty("version").GetInt64();
        var light = JsonNode.Parse(before)!.AsObject();
        light["packing"]!["packagings"] = JsonNode.Parse(
            """[{"name":"Crate","mostTees":900,"mostGrams":90000,"ownGrams":20000,"price":1}]"""
        );
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/numbers", light.ToJsonString(), $"{version}")).Status);
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        Assert.Contains(
            "Nothing the shop packs in carries",
            (await journey.Deed("lay-out")).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/numbers", before, $"{version + 1}")).Status);
        await journey.Done("lay-out");
    }

    [Fact]
    public async Task A_batch_that_is_not_planned_or_does_not_fit_is_not_moved()
    {
        string Move(string press) => $$"""{"lineId":"1","pressId":"{{press}}","from":"{{Due}}T10:00:00"}""";
        Assert.Contains(
            "is not on the press day",
            (await new Journey(shop, "demo-204").Deed("move", Move("gannet"))).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "is being pressed",
            (await new Journey(shop, "demo-202").Deed("move", Move("gannet"))).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "Puffin does not take sweatshirts.",
            (await new Journey(shop, "demo-210").Deed("move", Move("puffin"))).Body.GetRawText(),
            StringComparison.Ordinal
        );
        Assert.Equal(404, (await new Journey(shop, "demo-210").Deed("move", Move("none"))).Status);
        var (status, moved) = await new Journey(shop, "demo-210").Deed("move", Move("petrel"));
        Assert.Equal(200, status);
        Assert.Contains(moved.GetProperty("changes").EnumerateArray(), c =>
            c.GetString()!.StartsWith("T-210 ready", StringComparison.Ordinal)
            && c.GetString()!.EndsWith("late.", StringComparison.Ordinal)
        );
        Assert.Equal(
            200,
            (
                await new Journey(shop, "demo-210").Deed(
                    "move",
                    Move("petrel").Replace("\"petrel\"", "null", StringComparison.Ordinal)
                )
            ).Status
        );
    }
}
