using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Everything that is refused: the right status, a sentence that names the field, and nothing kept.</summary>
public class RefusalTests(Shop shop) : IClassFixture<Shop>
{
    private const string Front =
        """{"id":"f","place":"front","widthIn":9,"heightIn":8,"coveragePercent":50,"colours":2,"gradient":false,"thinnestLinePt":5}""";

    private static string Ask(
        string sizes = """[{"size":"M","pieces":4}]""",
        string placements = $"[{Front}]",
        string due = "null",
        string style = "\"brae\"",
        string colour = "\"black\"",
        string mark = "null",
        string customer = "null",
        string note = "\"\""
    ) =>
        $$"""
            {"customerId":{{customer}},"lines":[{"id":"1","styleId":{{style}},"colourwayId":{{colour}},
            "sizes":{{sizes}},"placements":{{placements}},"mark":{{mark}}}],"dueDate":{{due}},"dueTime":null,
            "details":{"note":{{note}} } }
            """;

    public static TheoryData<string, string, string> BadAsks =>
        new()
        {
            { "unknown size", Ask(sizes: """[{"size":"9XL","pieces":4}]"""), "\"9XL\" is not a size of Brae 180." },
            { "negative", Ask(sizes: """[{"size":"M","pieces":-4}]"""), "-4 pieces of M is outside 1 to 2000." },
            {
                "huge",
                Ask(sizes: """[{"size":"M","pieces":2000},{"size":"S","pieces":1}]"""),
                "2001 pieces is more than one line can hold."
            },
            {
                "fractional",
                Ask(sizes: """[{"size":"M","pieces":4.5}]"""),
                "\"lines[0].sizes[0].pieces\" cannot be 4.5."
            },
            {
                "number as text",
                Ask(sizes: """[{"size":"M","pieces":"4"}]"""),
                "\"lines[0].sizes[0].pieces\" cannot be \"4\"."
            },
            { "past due", Ask(due: "\"2001-01-05\""), "Fri 5 Jan 12:00 is past." },
            {
                "larger than the garment",
                Ask(placements: $"[{Front.Replace("9,\"h", "300,\"h", StringComparison.Ordinal)}]"),
                "Front: a width of 300 in is larger than the garment."
            },
            {
                "no width",
                Ask(placements: $"[{Front.Replace("9,\"h", "0,\"h", StringComparison.Ordinal)}]"),
                "Front: a width of 0 in is not above 0."
            },
            {
                "unknown place",
                Ask(placements: $"[{Front.Replace("front", "knee", StringComparison.Ordinal)}]"),
                "\"knee\" is not a place on a garment."
            },
            { "same place twice", Ask(placements: $"[{Front},{Front}]"), "Front stands twice." },
            {
                "unknown style",
                Ask(style: "\"nothing\"", colour: "null"),
                "There is no style \"nothing\" on the Shelf."
            },
            { "unknown customer", Ask(customer: "\"nobody\""), "There is no customer \"nobody\"." },
            { "mark", Ask(mark: "-1"), "A mark of -1.00 a piece is outside 0 to 100,000." },
            { "long note", Ask(note: $"\"{new string('x', 2001)}\""), "The note has 2001 characters." },
            {
                "unknown field",
                Ask().Replace("\"mark\"", "\"budget\"", StringComparison.Ordinal),
                "\"budget\" is not a field here."
            },
            { "one missing", """{"customerId":null,"lines":[],"dueDate":null,"dueTime":null}""", "Missing: details." },
            { "two missing", """{"customerId":null,"lines":[],"dueDate":null}""", "Missing: dueTime, details." },
            { "nested missing", Ask(sizes: """[{"size":"M"}]"""), "Missing: lines[0].sizes[0].pieces." },
            { "null list", Ask(sizes: "null"), "\"lines[0].sizes\" cannot be null." },
            { "hole in a list", Ask(sizes: """[{"size":"M","pieces":4},null]"""), "\"lines[0].sizes[1]\" is nothing." },
            {
                "control character",
                Ask(sizes: """[{"size":"M\u0007","pieces":4}]"""),
                "\"lines[0].sizes[0].size\" holds the control character 0007."
            },
            { "null character", Ask(note: "\"a\\u0000b\""), "\"details.note\" holds the control character 0000." },
            { "half a letter", Ask(note: "\"\\ud800\""), "\"details.note\" cannot be \"\\ud800\"." },
            {
                "beyond reckoning",
                Ask(placements: $"[{Front.Replace("9,\"h", "1e300,\"h", StringComparison.Ordinal)}]"),
                "\"lines[0].placements[0].widthIn\" is 1e300."
            },
            { "no day of a shop", Ask(due: "\"9999-12-31\""), "\"dueDate\" is 9999-12-31." },
            {
                "no line",
                """{"customerId":null,"lines":[],"dueDate":null,"dueTime":null,"details":null}""",
                "0 lines."
            },
            {
                "no such zone",
                Ask()
                    .Replace(
                        "\"dueTime\":null",
                        "\"dueTime\":null,\"shipping\":{\"zone\":\"moon\",\"inThePrice\":false}",
                        StringComparison.Ordinal
                    ),
                "There is no zone \"moon\"."
            },
            { "malformed", "{\"customerId\":", "This is not JSON that can be read." },
            { "empty body", "", "The body is empty or cannot be read." },
        };

    [Theory]
    [MemberData(nameof(BadAsks))]
    public async Task A_bad_ask_is_refused_in_a_sentence_and_not_kept(string what, string json, string sentence)
    {
        var id = "bad-" + what.Replace(' ', '-');
        var (status, body) = await shop.Send(HttpMethod.Put, $"/api/orders/{id}", json);
        Assert.Equal(400, status);
        var problem = body.GetProperty("problems")[0];
        Assert.Equal(sentence, problem.GetProperty("sentence").GetString());
        Assert.NotEmpty(problem.GetProperty("remedy").GetString()!);
        Assert.DoesNotContain("System.", body.GetRawText(), StringComparison.Ordinal);
        Assert.DoesNotContain("Hepno.", body.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, $"/api/orders/{id}")).Status);
    }

    [Theory]
    [InlineData("GET", "/api/orders/none", null, "application/json", 404)]
    [InlineData("GET", "/api/nothing", null, "application/json", 404)]
    [InlineData("POST", "/api/orders/demo-204/send", null, "application/json", 428)]
    [InlineData("DELETE", "/api/line", null, "application/json", 405)]
    [InlineData("PUT", "/api/customers/x", "name=a", "application/x-www-form-urlencoded", 415)]
    [InlineData("PUT", "/api/customers/x", "{}", "text/plain", 415)]
    [InlineData("PUT", "/api/customers/x", "<a/>", "application/xml", 415)]
    [InlineData("GET", "/api/orders/demo-205/compare?quantity=0", null, "application/json", 400)]
    [InlineData("GET", "/api/orders/demo-205/compare?quantity=many", null, "application/json", 400)]
    [InlineData("GET", "/api/orders/demo-206/compare", null, "application/json", 409)]
    [InlineData("GET", "/api/orders/demo-203/packing-slip.pdf", null, "application/json", 409)]
    [InlineData("GET", "/api/runs/demo-204", null, "application/json", 409)]
    [InlineData("PUT", "/api/vinyls/x", "", "application/json", 400)]
    [InlineData("PUT", "/api/vinyls/x", "null", "application/json", 400)]
    [InlineData("PUT", "/api/customers/a%07b", """{"name":"A","contact":""}""", "application/json", 400)]
    [InlineData("PUT", "/api/customers/%20", """{"name":"A","contact":""}""", "application/json", 400)]
    [InlineData("PUT", "/api/customers/%E2%80%AE", """{"name":"A","contact":""}""", "application/json", 400)]
    [InlineData("GET", "/api/press-day?day=9999-12-31", null, "application/json", 400)]
    [InlineData("GET", "/api/orders/demo-205/ribbon?line=%07", null, "application/json", 400)]
    public async Task The_right_status_with_a_sentence(
        string method,
        string path,
        string? json,
        string type,
        int expected
    )
    {
        var (status, body) = await shop.Send(new HttpMethod(method), path, json, type: type);
        Assert.Equal(expected, status);
        Assert.NotEmpty(body.GetProperty("problems")[0].GetProperty("sentence").GetString()!);
    }

    [Fact]
    public async Task A_body_of_ten_megabytes_is_413()
    {
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/customers/x",
            $$"""{"name":"{{new string('x', 10_000_000)}}","contact":""}""",
            more: r => r.Headers.ExpectContinue = true
        );
        Assert.Equal(413, status);
        Assert.Contains("1 MB", body.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_door_answers_only_to_its_names_and_its_own_pages()
    {
        var json = """{"name":"A","contact":""}""";
        Assert.Equal(
            400,
            (await shop.Send(HttpMethod.Get, "/api/line", more: r => r.Headers.Host = "evil.example")).Status
        );
        Assert.Equal(
            403,
            (
                await shop.Send(HttpMethod.Put, "/api/customers/door", json, more: r =>
                    r.Headers.Add("Origin", "http://evil.example")
                )
            ).Status
        );
        Assert.Equal(
            403,
            (
                await shop.Send(HttpMethod.Put, "/api/customers/door", json, more: r =>
                    r.Headers.Add("Sec-Fetch-Site", "cross-site")
                )
            ).Status
        );
        Assert.DoesNotContain("door", (await shop.Get("/api/customers")).GetRawText(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/line")]
    [InlineData("/api/orders/none")]
    [InlineData("/healthz")]
    public async Task Every_answer_carries_the_headers(string path)
    {
        using var answer = await shop.CreateClient().GetAsync(path);
        Assert.Contains(
            "default-src 'self'",
            answer.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
        Assert.Equal("nosniff", answer.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.Equal("no-referrer", answer.Headers.GetValues("Referrer-Policy").Single());
        Assert.True(!path.StartsWith("/api", StringComparison.Ordinal) || answer.Headers.CacheControl!.NoStore);
        Assert.False(answer.Headers.Contains("Server"));
    }

    [Fact]
    public async Task A_style_in_use_stays_on_the_shelf()
    {
        var (status, body) = await shop.Send(HttpMethod.Delete, "/api/styles/brae", ifMatch: "1");
        Assert.Equal(409, status);
        Assert.Contains("Brae 180 is in use by T-201, T-202", body.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Margin_and_fees_that_leave_nothing_are_refused()
    {
        var numbers = await shop.Get("/api/numbers");
        var json = numbers
            .GetProperty("value")
            .GetRawText()
            .Replace("\"marginShare\":0.35", "\"marginShare\":0.98", StringComparison.Ordinal);
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            json,
            numbers.GetProperty("version").GetInt64().ToString(System.Globalization.CultureInfo.InvariantCulture)
        );
        Assert.Equal(400, status);
        Assert.Contains("nothing is left for the cost", body.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Numbers_changed_on_two_devices_come_back_merged_in_the_shape_they_were_sent()
    {
        var kept = await shop.Get("/api/numbers");
        var version = kept.GetProperty("version").ToString();
        string With(string section, string field, int value)
        {
            var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
            body[section]![field] = value;
            return body.ToJsonString();
        }
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Put, "/api/numbers", With("rates", "orderMinutes", 26), version)).Status
        );
        var (status, stale) = await shop.Send(
            HttpMethod.Put,
            "/api/numbers",
            With("terms", "validityDays", 21),
            version
        );
        Assert.Equal((409, 0), (status, stale.GetProperty("collide").GetArrayLength()));
        var merged = stale.GetProperty("merged");
        Assert.Equal(
            (26, 21),
            (
                merged.GetProperty("rates").GetProperty("orderMinutes").GetInt32(),
                merged.GetProperty("terms").GetProperty("validityDays").GetInt32()
            )
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    merged.GetRawText(),
                    stale.GetProperty("version").ToString()
                )
            ).Status
        );
    }

    // a section left out or a word that is nothing is never taken for the starting value
    [Theory]
    [InlineData("terms", null)]
    [InlineData("identity", "format")]
    public async Task Numbers_that_lack_a_part_are_refused_by_it(string section, string? part)
    {
        var kept = await shop.Get("/api/numbers");
        var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!.AsObject();
        (part is null ? body : body[section]!.AsObject()).Remove(part ?? section);
        var version = kept.GetProperty("version").ToString();
        var (status, refused) = await shop.Send(HttpMethod.Put, "/api/numbers", body.ToJsonString(), version);
        Assert.Equal(400, status);
        Assert.Contains(part ?? section, refused.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(version, (await shop.Get("/api/numbers")).GetProperty("version").ToString());
    }

    [Theory]
    [InlineData(null, 400)]
    [InlineData("xx", 400)]
    [InlineData("fr", 200)]
    public async Task A_language_is_one_hepno_writes_dates_in_and_a_blank_may_part_thousands(
        string? language,
        int status
    )
    {
        var kept = await shop.Get("/api/numbers");
        var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
        var format = body["identity"]!["format"]!;
        (format["language"], format["groupMark"], body["identity"]!["name"]) = (language, " ", " Tern & Tallow ");
        var version = kept.GetProperty("version").ToString();
        var (answered, refused) = await shop.Send(HttpMethod.Put, "/api/numbers", body.ToJsonString(), version);
        Assert.True(status == answered, refused.GetRawText());
        var now = (await shop.Get("/api/numbers")).GetProperty("value").GetProperty("identity");
        if (status == 200)
        {
            Assert.Equal(" ", now.GetProperty("format").GetProperty("groupMark").GetString());
            Assert.Equal("Tern & Tallow", now.GetProperty("name").GetString());
            await shop.Send(HttpMethod.Post, "/api/undo");
        }
        else
        {
            Assert.Contains("anguage", refused.GetRawText(), StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task What_two_devices_made_different_is_named_by_its_way_down()
    {
        var kept = await shop.Get("/api/numbers");
        var version = kept.GetProperty("version").ToString();
        string At(decimal item, int days)
        {
            var body = JsonNode.Parse(kept.GetProperty("value").GetRawText())!;
            (body["packing"]!["perPiece"], body["terms"]!["validityDays"]) = (item, days);
            return body.ToJsonString();
        }
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/numbers", At(0.31m, 14), version)).Status);
        var (status, stale) = await shop.Send(HttpMethod.Put, "/api/numbers", At(0.29m, 21), version);
        Assert.Equal((409, "stale"), (status, stale.GetProperty("problems")[0].GetProperty("code").GetString()));
        Assert.Equal(
            ["packing.perPiece", "terms.validityDays"],
            stale.GetProperty("differ").EnumerateArray().Select(d => d.GetString()!).Order()
        );
        await shop.Send(HttpMethod.Post, "/api/undo");
    }

    [Fact]
    public async Task A_stale_change_answers_with_both_versions_and_what_can_be_merged()
    {
        const string Id = "two-devices";
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask())).Status);
        Assert.Equal(428, (await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(mark: "20"))).Status);
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(mark: "20"), "1")).Status);
        var (status, body) = await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(note: "\"blue bags\""), "1");
        Assert.Equal(409, status);
        Assert.Empty(body.GetProperty("collide").EnumerateArray());
        Assert.Equal(20, body.GetProperty("merged").GetProperty("lines")[0].GetProperty("mark").GetDecimal());
        Assert.Equal("blue bags", body.GetProperty("merged").GetProperty("details").GetProperty("note").GetString());
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", body.GetProperty("merged").GetRawText(), "2")).Status
        );
        var (again, colliding) = await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(mark: "25"), "1");
        Assert.Equal(409, again);
        Assert.Equal("mark", colliding.GetProperty("collide")[0].GetString());
        Assert.Equal(
            409,
            (await shop.Send(HttpMethod.Post, $"/api/orders/{Id}/choose", """{"methodId":"dtf-bought"}""", "1")).Status
        );
    }

    [Fact]
    public async Task A_resend_is_the_same_order_and_undo_puts_back()
    {
        const string Id = "sent-twice";
        var first = await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask());
        Assert.Equal(
            first.Body.GetRawText(),
            (await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask())).Body.GetRawText()
        );
        await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(mark: "20"), "1");
        await shop.Send(HttpMethod.Put, $"/api/orders/{Id}", Ask(mark: "30"), "2");
        void Mine(HttpRequestMessage r)
        {
            r.Headers.Remove("Hepno-Device");
            r.Headers.Add("Hepno-Device", "undo-tests");
        }
        Assert.Contains(
            "Nothing to take back",
            (await shop.Send(HttpMethod.Post, "/api/undo", more: Mine)).Body.GetRawText(),
            StringComparison.Ordinal
        );
        async Task<JsonElement> Mark() =>
            (await shop.Get($"/api/orders/{Id}")).GetProperty("ask").GetProperty("lines")[0].GetProperty("mark");
        await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Equal(20, (await Mark()).GetDecimal());
        await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Equal(JsonValueKind.Null, (await Mark()).ValueKind);
        Assert.Equal(5, (await shop.Get($"/api/orders/{Id}")).GetProperty("version").GetInt64());
    }
}
