using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>What is said of an order beside its lines: on the customer's papers, on the run sheet, and found.</summary>
public class OrderDetailsTests(Shop shop) : IClassFixture<Shop>
{
    private static readonly string[] TheirPapers = ["quote.pdf", "confirmation.pdf", "packing-slip.pdf"];

    private async Task<(int Status, JsonElement Body)> Say(
        Journey journey,
        string theirNumber,
        string note = "ring the bell"
    )
    {
        var order = await journey.Order();
        return await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{journey.Id}",
            Journey.Body(order.GetProperty("ask").GetRawText(), ("details", new { theirNumber, note })),
            order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
    }

    private async Task<string> Words(string paper)
    {
        using var pdf = PdfDocument.Open(await shop.CreateClient().GetByteArrayAsync($"/api/{paper}"));
        return string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
    }

    private async Task<List<string?>> Found(string text) =>
        [
            .. (await shop.Get($"/api/orders?find={Uri.EscapeDataString(text)}"))
                .EnumerateArray()
                .Select(o => o.GetProperty("id").GetString()),
        ];

    [Fact]
    public async Task Their_number_stands_on_every_paper_and_finds_the_order()
    {
        var journey = new Journey(shop, "numbered");
        await journey.Ask();
        var (status, body) = await Say(journey, "  BÖ-2026/117 ");
        Assert.True(status == 200, body.ToString());
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        await journey.Gathered();
        await journey.Pressing();
        await journey.Handing();
        foreach (var paper in TheirPapers)
        {
            var words = await Words($"orders/numbered/{paper}");
            Assert.Contains("Your order number BÖ-2026/117", words, StringComparison.Ordinal);
            Assert.DoesNotContain("ring the bell", words, StringComparison.Ordinal);
        }
        var sheet = await Words("runs/numbered/sheet.pdf");
        Assert.Contains("Their order number: BÖ-2026/117 ring the bell", sheet, StringComparison.Ordinal);
        foreach (var typed in new[] { "BÖ-2026/117", "bo-2026", " 117", "2026/1" })
        {
            Assert.Equal(["numbered"], await Found(typed));
        }
        var found = (await shop.Get("/api/orders?find=bo-2026"))[0];
        Assert.Equal("BÖ-2026/117", found.GetProperty("knownBy").GetString());
    }

    [Fact]
    public async Task It_may_come_with_their_yes_when_nothing_else_of_the_ask_changes_any_more()
    {
        var journey = new Journey(shop, "late-number");
        await journey.To("gather");
        var before = (await shop.Get("/api/orders/late-number/quote")).GetProperty("quote").GetRawText();
        var (status, body) = await Say(journey, "778-LATE");
        Assert.True(status == 200, body.ToString());
        Assert.Equal("gather", await journey.Station());
        await journey.Gathered();
        Assert.Contains("778-LATE", await Words("orders/late-number/confirmation.pdf"), StringComparison.Ordinal);
        Assert.Equal(before, (await shop.Get("/api/orders/late-number/quote")).GetProperty("quote").GetRawText());
        Assert.DoesNotContain("778-LATE", await Words("orders/late-number/quote.pdf"), StringComparison.Ordinal);
        Assert.Equal(["late-number"], await Found("778"));

        var order = await journey.Order();
        var other = Journey.Body(
            order.GetProperty("ask").GetRawText(),
            ("details", new { theirNumber = "9", note = "" }),
            ("dueDate", Shop.DaysOn(50))
        );
        var version = order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);
        (status, body) = await shop.Send(HttpMethod.Put, "/api/orders/late-number", other, version);
        Assert.Equal(409, status);
        Assert.Contains("its ask stands as quoted", body.ToString(), StringComparison.Ordinal);
        Assert.Equal(
            "778-LATE",
            (await journey.Order()).GetProperty("ask").GetProperty("details").GetProperty("theirNumber").GetString()
        );
    }

    [Fact]
    public async Task It_moves_nothing_that_was_laid_out_though_the_film_is_sold_otherwise_since()
    {
        var journey = new Journey(shop, "laid-out");
        await journey.To("gather");
        var film = (await shop.Get("/api/films"))
            .EnumerateArray()
            .Single(f => f.GetProperty("value").GetProperty("id").GetString() == "ferrow");
        var narrow = JsonNode.Parse(film.GetProperty("value").GetRawText())!;
        narrow["byLayout"] = null;
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/films/ferrow",
            narrow.ToJsonString(),
            film.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, body.ToString());
        var before = (await journey.Order()).GetProperty("facts").GetProperty("layout").GetRawText();
        (status, body) = await Say(journey, "OTHER-FILM");
        Assert.True(status == 200, body.ToString());
        Assert.Equal("gather", await journey.Station());
        Assert.Equal(before, (await journey.Order()).GetProperty("facts").GetProperty("layout").GetRawText());
        await shop.Send(HttpMethod.Post, "/api/undo");
        await shop.Send(HttpMethod.Post, "/api/undo");
    }

    [Fact]
    public async Task Of_digits_our_number_comes_before_theirs()
    {
        await new Journey(shop, "theirs").Ask();
        var ours = (await new Journey(shop, "theirs").Order()).GetProperty("code").GetString()![2..];
        await new Journey(shop, "later").Ask();
        var (status, body) = await Say(new Journey(shop, "later"), ours);
        Assert.True(status == 200, body.ToString());
        Assert.Equal(["theirs", "later"], await Found(ours));
        Assert.Equal(["theirs"], await Found($"T-{ours}"));
    }

    [Fact]
    public async Task One_that_is_too_long_is_refused_by_name_and_nothing_is_kept()
    {
        var journey = new Journey(shop, "long-number");
        await journey.Ask();
        var (status, body) = await Say(journey, new string('9', 61));
        Assert.Equal(400, status);
        var problem = body.GetProperty("problems")[0];
        Assert.Equal("The customer's order number has 61 characters.", problem.GetProperty("sentence").GetString());
        Assert.Equal("details.theirNumber", problem.GetProperty("where").GetString());
        Assert.Equal(
            "",
            (await journey.Order()).GetProperty("ask").GetProperty("details").GetProperty("theirNumber").GetString()
        );
    }

    [Fact]
    public async Task Its_form_is_described()
    {
        var fields = JsonNode.Parse((await shop.Get("/api/order-details")).GetRawText())!.AsArray();
        Assert.Equal(
            ["theirNumber Their order number 60 1", "note Anything else 2000 3"],
            fields.Select(f => $"{f!["key"]} {f["label"]} {f["longest"]} {f["lines"]}")
        );
    }
}
