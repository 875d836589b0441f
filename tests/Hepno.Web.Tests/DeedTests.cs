using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>What is done to an order on its way, and what is refused where.</summary>
public class DeedTests(Shop shop) : IClassFixture<Shop>
{
    private async Task<Journey> At(string station, string id)
    {
        var journey = new Journey(shop, id);
        await journey.To(station);
        return journey;
    }

    [Theory]
    [InlineData("ask", "choose", """{"methodId":"dtf-bought"}""", "cannot choose a method yet")]
    [InlineData("compare", "lay-out", null, "No method is chosen yet.")]
    [InlineData("compare", "send", null, "cannot be quoted yet: A method, chosen")]
    [InlineData("compare", "choose", """{"methodId":"sublimation"}""", "Dye sublimation: 0% polyester")]
    [InlineData("compare", "choose", """{"methodId":"nothing"}""", "There is no method \"nothing\"")]
    [InlineData("layout", "approve", """{"by":"A"}""", "cannot take the yes there")]
    [InlineData("gather", "send", null, "is already sent")]
    [InlineData("gather", "choose", """{"methodId":"htv"}""", "is sent: it cannot choose a method now")]
    [InlineData("gather", "approve", """{"by":"  "}""", "Who said yes is not said.")]
    [InlineData("gather", "deposit", """{"amount":-1,"overrideReason":null}""", "is outside 0 to")]
    [InlineData("gather", "deposit", """{"amount":0,"overrideReason":null}""", "is less than the")]
    [InlineData("gather", "count", """{"sizes":[]}""", "cannot count there")]
    [InlineData("press", "withdraw", null, "is already being made")]
    [InlineData("press", "hand-over", """{"to":"A"}""", "cannot hand it over there")]
    [InlineData(
        "send",
        "count",
        """{"sizes":[{"lineId":"1","size":"4XL","pieces":1}]}""",
        "\"4XL\" is not in this order."
    )]
    [InlineData("send", "count", """{"sizes":[{"lineId":"1","size":"M","pieces":9}]}""", "9 of M is outside 0 to 3.")]
    [InlineData("send", "hand-over", """{"to":"A"}""", "0 of 4 pieces are counted.")]
    [InlineData("send", "close", null, "cannot close it there")]
    [InlineData("closed", "take-back", null, "cannot take the hand-over back there")]
    public async Task A_deed_out_of_place_is_refused_and_changes_nothing(
        string station,
        string deed,
        string? json,
        string sentence
    )
    {
        var journey = await At(
            station,
            $"refuse-{station}-{deed}-{Math.Abs((json ?? "").GetHashCode(StringComparison.Ordinal))}"
        );
        var before = (await journey.Order()).GetRawText();
        var (status, body) = await journey.Deed(deed, json);
        Assert.True(status is 400 or 404 or 409, $"{status}");
        Assert.Contains(
            sentence,
            body.GetProperty("problems")[0].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
        Assert.Equal(before, (await journey.Order()).GetRawText());
    }

    [Fact]
    public async Task A_changed_ask_needs_its_sent_quote_withdrawn_first()
    {
        var journey = await At("gather", "withdrawn");
        var ask = """
            {"customerId":"withdrawn","lines":[{"id":"1","styleId":"brae","colourwayId":"black",
            "sizes":[{"size":"M","pieces":5}],"placements":[],"mark":null}],"dueDate":null,"dueTime":null,
            "details":null}
            """;
        Assert.Contains(
            "its ask stands as quoted",
            (await shop.Send(HttpMethod.Put, "/api/orders/withdrawn", ask, "4")).Body.GetRawText(),
            StringComparison.Ordinal
        );
        await journey.Done("approve", """{"by":"Mrs Tern"}""");
        await journey.Done("withdraw");
        Assert.Equal("quote", await journey.Station());
        Assert.Equal(
            JsonValueKind.Null,
            (await journey.Order()).GetProperty("facts").GetProperty("gathering").GetProperty("approval").ValueKind
        );
        await journey.Done("send");
        Assert.Equal("gather", await journey.Station());
    }

    [Fact]
    public async Task The_order_goes_on_without_its_deposit_only_for_a_reason()
    {
        var journey = await At("gather", "no-deposit");
        await journey.Done("approve", """{"by":"Mrs Tern"}""");
        Assert.Empty(
            (await journey.Order()).GetProperty("facts").GetProperty("gathering").GetProperty("items").EnumerateArray()
        );
        await journey.Done("deposit", """{"amount":0,"overrideReason":"an old friend"}""");
        var facts = (await journey.Order()).GetProperty("facts");
        Assert.Equal(
            "an old friend",
            facts.GetProperty("gathering").GetProperty("deposit").GetProperty("overrideReason").GetString()
        );
        Assert.Equal(
            ["blanks", "film-layout-f", "prepare-f"],
            facts
                .GetProperty("gathering")
                .GetProperty("items")
                .EnumerateArray()
                .Select(i => i.GetProperty("id").GetString()!)
        );
        Assert.Equal(404, (await journey.Deed("items/none", """{"done":true}""", HttpMethod.Put)).Status);
    }

    [Fact]
    public async Task A_hand_over_that_did_not_happen_is_taken_back_and_a_tick_can_be_undone()
    {
        var journey = await At("learn", "taken-back");
        await journey.Done("take-back");
        Assert.Equal("send", await journey.Station());
        await journey.Done("hand-over", """{"to":"Mr Tallow"}""");
        await journey.Done("close");
        Assert.Equal("closed", await journey.Station());
        Assert.DoesNotContain("taken-back", (await shop.Get("/api/line")).GetRawText(), StringComparison.Ordinal);
        Assert.Equal(
            "Taken back: closed.",
            (await shop.Send(HttpMethod.Post, "/api/undo")).Body.GetProperty("said").GetString()
        );
        Assert.Equal("learn", await journey.Station());
        var history = (await shop.Get("/api/orders/taken-back/history"))
            .EnumerateArray()
            .Select(h => h.GetProperty("deed").GetString())
            .ToList();
        Assert.Equal("undo: closed", history[0]);
        Assert.Equal("new ask", history[^1]);
    }

    [Fact]
    public async Task Verdicts_count_once_and_only_inside_the_run()
    {
        var journey = await At("press", "verdicts");
        Assert.Equal(409, (await journey.Verdict("too-early-1", 1, "M")).Status);
        await shop.Send(HttpMethod.Post, "/api/runs/verdicts/start");
        Assert.Equal(1, (await journey.Verdict("verdict-0001", 1, "M")).Body.GetProperty("good").GetInt32());
        Assert.Equal(1, (await journey.Verdict("verdict-0001", 1, "M")).Body.GetProperty("good").GetInt32());
        Assert.Equal(
            0,
            (await journey.Verdict("verdict-0002", 1, "M", "taken-back", takesBack: "verdict-0001"))
                .Body.GetProperty("good")
                .GetInt32()
        );
        Assert.Equal(
            1,
            (await journey.Verdict("verdict-0003", 1, "M", "spoiled", reason: "crooked"))
                .Body.GetProperty("spoiled")
                .GetInt32()
        );
        Assert.Equal(400, (await journey.Verdict("verdict-0004", 5, "M")).Status);
        Assert.Equal(400, (await journey.Verdict("short", 1, "M")).Status);
        Assert.Equal(400, (await journey.Verdict("verdict-0005", 0, "M")).Status);
    }

    [Fact]
    public async Task A_customer_gets_everything_and_is_forgotten_once_no_order_is_open()
    {
        var journey = await At("learn", "forgotten");
        var version = "1";
        Assert.Contains(
            "still has T-",
            (await shop.Send(HttpMethod.Post, "/api/customers/forgotten/erase", null, version)).Body.GetRawText(),
            StringComparison.Ordinal
        );
        await journey.Done("close");
        var export = (await shop.Get("/api/customers/forgotten/export")).GetRawText();
        foreach (
            var known in new[]
            {
                "Person forgotten",
                "forgotten@example.test",
                "Mrs Tern",
                "Mr Tallow",
                "ring the bell",
            }
        )
        {
            Assert.Contains(known, export, StringComparison.Ordinal);
        }
        var total = (await shop.Get("/api/orders/forgotten/quote"))
            .GetProperty("quote")
            .GetProperty("total")
            .GetDecimal();
        Assert.Equal(428, (await shop.Send(HttpMethod.Post, "/api/customers/forgotten/erase")).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/customers/forgotten/erase", null, version)).Status);
        var after =
            (await shop.Get("/api/customers/forgotten/export")).GetRawText()
            + (await journey.Order()).GetRawText()
            + (await shop.Get("/api/orders/forgotten/quote")).GetRawText();
        using var pdf = PdfDocument.Open(
            await shop.CreateClient().GetByteArrayAsync("/api/orders/forgotten/quote.pdf")
        );
        after += string.Join(' ', pdf.GetPages().Select(p => p.Text));
        foreach (
            var known in new[]
            {
                "Person forgotten",
                "forgotten@example.test",
                "Mrs Tern",
                "Mr Tallow",
                "ring the bell",
            }
        )
        {
            Assert.DoesNotContain(known, after, StringComparison.Ordinal);
        }
        Assert.Equal(
            total,
            (await shop.Get("/api/orders/forgotten/quote")).GetProperty("quote").GetProperty("total").GetDecimal()
        );
        await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Empty((await shop.Get("/api/customers/find?text=Person%20forgotten")).EnumerateArray());
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/customers/none/export")).Status);
    }

    [Fact]
    public async Task A_packing_slip_holds_what_was_counted()
    {
        await At("learn", "slip-read");
        using var pdf = PdfDocument.Open(
            await shop.CreateClient().GetByteArrayAsync("/api/orders/slip-read/packing-slip.pdf")
        );
        var words = string.Join(' ', pdf.GetPage(1).GetWords().Select(w => w.Text));
        Assert.Contains("Person slip-read", words, StringComparison.Ordinal);
        Assert.Contains("M 3", words, StringComparison.Ordinal);
        Assert.Contains("Pieces 4", words, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_press_set_aside_leaves_the_order_without_a_place_and_says_so()
    {
        await At("press", "set-aside");
        var presses = (await shop.Get("/api/presses")).EnumerateArray().ToList();
        async Task Keep(JsonElement press, double? offset, long later)
        {
            var value = JsonNode.Parse(press.GetProperty("value").GetRawText())!.AsObject();
            var id = value["id"]!.GetValue<string>();
            value.Remove("id");
            value["offsetF"] = offset ?? value["offsetF"]?.GetValue<double>();
            Assert.Equal(
                200,
                (
                    await shop.Send(
                        HttpMethod.Put,
                        $"/api/presses/{id}",
                        value.ToJsonString(),
                        $"{press.GetProperty("version").GetInt64() + later}"
                    )
                ).Status
            );
        }
        foreach (var press in presses)
        {
            await Keep(press, -30, 0);
        }
        Assert.Equal("3 set aside", (await shop.Get("/api/line")).GetProperty("floor").GetString());
        Assert.Contains(
            "no press can take it",
            (await shop.Get("/api/press-day")).GetProperty("tray").GetRawText(),
            StringComparison.Ordinal
        );
        foreach (var press in presses)
        {
            await Keep(press, null, 1);
        }
    }

    [Fact]
    public async Task A_price_can_be_said_until_the_quote_is_sent_and_left_to_the_policy_again()
    {
        var journey = await At("layout", "said-price");
        async Task<(decimal Each, string How, int Tiers)> Now()
        {
            var quote = (await shop.Get("/api/orders/said-price/quote")).GetProperty("quote");
            return (
                quote
                    .GetProperty("lines")[0]
                    .GetProperty("band")
                    .GetProperty("outcome")
                    .GetProperty("price")
                    .GetDecimal(),
                quote.GetProperty("lines")[0].GetProperty("band").GetProperty("priceHow").GetString()!,
                quote.GetProperty("document").GetProperty("tiers").GetArrayLength()
            );
        }
        var policy = await Now();
        Assert.Contains("35% margin", policy.How, StringComparison.Ordinal);
        Assert.Equal(400, (await journey.Deed("price", """{"each":0}""")).Status);
        await journey.Done("price", """{"each":3.5}""");
        Assert.Equal((3.5m, "a typed price, under cost and fees, under the least charge of $40.00", 0), await Now());
        await journey.Done("price", """{"each":null}""");
        Assert.Equal(policy, await Now());
        await journey.Done("price", """{"each":44}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        Assert.Equal(
            44m * 4,
            (await shop.Get("/api/orders/said-price/quote")).GetProperty("quote").GetProperty("goods").GetDecimal()
        );
        Assert.Equal(409, (await journey.Deed("price", """{"each":40}""")).Status);
    }

    [Fact]
    public async Task Wholesale_is_priced_by_its_own_policy()
    {
        await At("compare", "sold-on");
        async Task<decimal> Price() =>
            (await shop.Get("/api/orders/sold-on/compare?quantity=200"))
                .GetProperty("bands")[0]
                .GetProperty("outcome")
                .GetProperty("price")
                .GetDecimal();
        var retail = await Price();
        var order = (await shop.Get("/api/orders/sold-on")).GetProperty("ask").GetRawText();
        var ask = Journey.Body(order, ("channel", "wholesale"));
        var (status, body) = await shop.Send(HttpMethod.Put, "/api/orders/sold-on", ask, "1");
        Assert.True(status == 200, body.ToString());
        Assert.True(await Price() < retail);
    }

    [Fact]
    public async Task Six_placements_are_kept_quoted_and_run_and_a_seventh_is_refused()
    {
        string[] places = ["left-chest", "back", "left-sleeve", "right-sleeve", "nape", "front"];
        string Ask(IEnumerable<string> at) =>
            JsonSerializer.Serialize(
                new
                {
                    customerId = "choir",
                    lines = new[]
                    {
                        new
                        {
                            id = "1",
                            styleId = "brae",
                            colourwayId = "sand",
                            sizes = new[] { new { size = "M", pieces = 10 } },
                            mark = (decimal?)null,
                            placements = at.Select(
                                (p, i) =>
                                    new
                                    {
                                        id = $"p{i}",
                                        place = p,
                                        widthIn = 2.5,
                                        heightIn = 1.4,
                                        coveragePercent = 60,
                                        colours = 1,
                                        gradient = false,
                                        thinnestLinePt = 6,
                                    }
                            ),
                        },
                    },
                    dueDate = Shop.DaysOn(40),
                    dueTime = (string?)null,
                    details = (object?)null,
                }
            );
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/orders/six-prints", Ask(places))).Status);
        var refused = await shop.Send(HttpMethod.Put, "/api/orders/seven-prints", Ask([.. places, "front"]));
        Assert.Equal(400, refused.Status);
        Assert.Contains("7 placements", refused.Body.GetRawText(), StringComparison.Ordinal);
        var journey = new Journey(shop, "six-prints");
        await journey.Done("choose", """{"methodId":"dtf-made"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        await journey.Gathered();
        Assert.Equal(
            6,
            (await shop.Get("/api/runs/six-prints")).GetProperty("lines")[0].GetProperty("passes").GetArrayLength()
        );
        Assert.Equal(
            60,
            (await shop.Get("/api/runs/six-prints")).GetProperty("state").GetProperty("todo").GetArrayLength()
        );
    }

    [Fact]
    public async Task A_way_that_cannot_do_it_any_more_is_not_taken_again_but_told()
    {
        using var own = new Shop();
        await new Journey(own, "again-3").To("learn");
        var style = (await own.Get("/api/styles"))
            .EnumerateArray()
            .First(s => s.GetProperty("value").GetProperty("id").GetString() == "brae");
        var body = JsonNode.Parse(style.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        foreach (
            var black in body["colourways"]!.AsArray().Where(k => k!["id"]!.GetValue<string>() == "black").ToList()
        )
        {
            body["colourways"]!.AsArray().Remove(black);
        }
        var (kept, said) = await own.Send(
            HttpMethod.Put,
            "/api/styles/brae",
            body.ToJsonString(),
            style.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(kept == 200, said.ToString());
        Assert.Equal(
            200,
            (await own.Send(HttpMethod.Post, "/api/orders/again-3/again", """{"id":"again-4"}""")).Status
        );
        var again = await own.Get("/api/orders/again-4");
        Assert.Equal("ask", again.GetProperty("station").GetString());
        Assert.Matches(
            @"^Last time, in T-\d+ of 10 Mar 2026: film, bought in, at \$\d+\.\d\d a piece$",
            again.GetProperty("lines")[0].GetProperty("last").GetProperty("said").GetString()
        );
    }

    [Fact]
    public async Task A_quote_is_sent_though_nobody_asked_for_a_day()
    {
        var journey = new Journey(shop, "no-day");
        await journey.Ask();
        var order = await journey.Order();
        var ask = Journey.Body(order.GetProperty("ask").GetRawText(), ("dueDate", null!));
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/orders/no-day", ask, "1")).Status);
        Assert.Equal("compare", await journey.Station());
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        var due = (await journey.Order())
            .GetProperty("slip")
            .GetProperty("rows")
            .EnumerateArray()
            .First(r => r.GetProperty("label").GetString() == "Due");
        Assert.Equal("no day", due.GetProperty("figure").GetString());
        Assert.StartsWith("ready ", due.GetProperty("note").GetString(), StringComparison.Ordinal);
        await journey.Done("send");
        await journey.Gathered();
        Assert.Equal("press", await journey.Station());
        Assert.Equal(200, (await shop.Send(HttpMethod.Get, "/api/press-day")).Status);
    }

    [Fact]
    public async Task The_same_again_is_a_new_order_without_its_date_and_the_record_says_what_it_earned()
    {
        var journey = await At("learn", "again-1");
        Assert.Equal(404, (await shop.Send(HttpMethod.Post, "/api/orders/none/again", """{"id":"again-2"}""")).Status);
        Assert.Equal(400, (await shop.Send(HttpMethod.Post, "/api/orders/again-1/again", """{"id":""}""")).Status);
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Post, "/api/orders/again-1/again", """{"id":"again-2"}""")).Status
        );
        var twice = await shop.Send(HttpMethod.Post, "/api/orders/again-1/again", """{"id":"again-2"}""");
        Assert.Equal(1, twice.Body.GetProperty("version").GetInt64());
        var (old, made) = (
            (await journey.Order()).GetProperty("ask"),
            (await shop.Get("/api/orders/again-2")).GetProperty("ask")
        );
        Assert.Equal(JsonValueKind.Null, made.GetProperty("dueDate").ValueKind);
        Assert.Equal(old.GetProperty("lines").GetRawText(), made.GetProperty("lines").GetRawText());

        // made as last time, so next is what to buy; at which price is the owner's to say
        var again = await shop.Get("/api/orders/again-2");
        var (was, now) = (
            (await journey.Order()).GetProperty("facts").GetProperty("choice").GetProperty("decisions")[0],
            again.GetProperty("facts").GetProperty("choice").GetProperty("decisions")[0]
        );
        Assert.Equal("layout", again.GetProperty("station").GetString());
        Assert.Equal(was.GetProperty("methodId").GetString(), now.GetProperty("methodId").GetString());
        Assert.Equal(JsonValueKind.Null, now.GetProperty("typedPrice").ValueKind);
        var sold = (await shop.Get("/api/orders/again-1/quote"))
            .GetProperty("quote")
            .GetProperty("lines")[0]
            .GetProperty("band")
            .GetProperty("outcome")
            .GetProperty("price")
            .GetDecimal();
        Assert.Equal(sold, again.GetProperty("lines")[0].GetProperty("last").GetProperty("each").GetDecimal());

        var record = await shop.Get("/api/customers/again-1/record");
        var orders = record.GetProperty("orders");
        Assert.Equal(["again-2", "again-1"], orders.EnumerateArray().Select(o => o.GetProperty("id").GetString()!));
        Assert.Equal(
            ["", "4 black tees"],
            new[] { orders[0].GetProperty("earned").GetString()!, orders[1].GetProperty("what").GetString()! }
        );
        var held = (await shop.Get("/api/orders/again-1/learned"))
            .GetProperty("earned")
            .GetProperty("value")
            .GetDecimal();
        Assert.Equal(held, record.GetProperty("earned").GetProperty("value").GetDecimal());
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/customers/none/record")).Status);
    }
}
