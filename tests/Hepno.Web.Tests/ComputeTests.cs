namespace Hepno.Web.Tests;

/// <summary>Computations that keep nothing.</summary>
public class ComputeTests(Shop shop) : IClassFixture<Shop>
{
    private const string Week = """
        [{"open":null,"close":null},{"open":"09:00","close":"17:00"},{"open":"09:00","close":"17:00"},
        {"open":"09:00","close":"17:00"},{"open":"09:00","close":"17:00"},{"open":"09:00","close":"17:00"},
        {"open":null,"close":null}]
        """;

    private static string Schedule(string works, string week = Week) =>
        $$"""{"from":"2026-06-01T09:00:00","week":{{week}},"works":[{{works}}]}""";

    private static string Work(string id, int pieces, string due, double width = 9) =>
        $$"""
            {"id":"{{id}}","pieces":{{pieces}},"minutesPerPiece":2,"temperatureF":300,"readyAt":"2026-06-01T09:00:00",
            "dueAt":"{{due}}","tailMinutes":10,"widthIn":{{width}},"heightIn":9}
            """;

    [Fact]
    public async Task Rows_on_a_roll_take_the_shorter_way_round()
    {
        // 9.5 x 4.5 with margins: two across along 19.5, or turned four across; 10 boxes are 5 rows of 4.5 or 3 rows of
        // 9.5
        var (status, rows) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/rows",
            """{"widthIn":9,"heightIn":4,"marginIn":0.25,"rollWidthIn":19.5,"count":10}"""
        );
        Assert.Equal(200, status);
        Assert.Equal(
            (2, 5, 22.5),
            (
                rows.GetProperty("across").GetInt32(),
                rows.GetProperty("rows").GetInt32(),
                rows.GetProperty("lengthIn").GetDouble()
            )
        );
    }

    private const string Tee = """
        "before":[{"code":"thread","seconds":10,"hands":true,"press":true},{"code":"lint","seconds":5,"hands":true,
        "press":true},{"code":"close","seconds":2,"hands":true,"press":true},{"code":"pre-press","seconds":5,
        "hands":false,"press":true},{"code":"open","seconds":2,"hands":true,"press":true}],
        "after":[{"code":"inspect","seconds":6,"hands":true,"press":false}],
        "passes":[{"name":"front","temperatureF":310,"slackSeconds":2,"peelWindowSeconds":3,
        "steps":[{"code":"position","seconds":12,"hands":true,"press":true},{"code":"close","seconds":2,"hands":true,
        "press":true},{"code":"press","seconds":15,"hands":false,"press":true},{"code":"open","seconds":2,
        "hands":true,"press":true},{"code":"peel","seconds":4,"hands":true,"press":true},{"code":"unload","seconds":4,
        "hands":true,"press":true}]}]
        """;

    [Fact]
    public async Task A_floor_is_simulated_without_anything_kept()
    {
        var (status, view) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/press-floor",
            $$"""{"pieces":20,{{Tee}},"presses":[{"name":"Gannet"}],"firstPiece":false,"trace":true}"""
        );
        Assert.Equal(200, status);
        Assert.Equal(
            (63.0, 49.0, 63.0),
            (
                view.GetProperty("steadySeconds").GetDouble(),
                view.GetProperty("handsSecondsAPiece").GetDouble(),
                view.GetProperty("heldSecondsAPiece").GetDouble()
            )
        );
        Assert.Equal("press", view.GetProperty("narrow").GetString());
        Assert.Contains(view.GetProperty("found").GetProperty("trace").EnumerateArray(), e =>
            e.GetProperty("code").GetString() == "peel"
        );
        var changes = view.GetProperty("changes")
            .EnumerateArray()
            .ToDictionary(c => c.GetProperty("code").GetString()!, c => c.GetProperty("secondsAPiece").GetDouble());
        Assert.True(changes["second-lower"] > 5);
        // somebody beside you saves nothing but the last inspection: the press is held all the time
        Assert.True(changes["hands"] < 1);
        var (_, alone) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/press-floor",
            $$"""{"pieces":20,{{Tee}},"presses":[{"name":"Gannet"}],"firstPiece":false,"policy":"one-at-a-time"}"""
        );
        Assert.Equal(
            (20 * 69.0, "waiting"),
            (
                alone.GetProperty("found").GetProperty("makespanSeconds").GetDouble(),
                alone.GetProperty("narrow").GetString()
            )
        );
    }

    [Fact]
    public async Task The_earlier_due_is_placed_first_and_what_is_late_says_by_how_much()
    {
        var (status, plan) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/schedule",
            Schedule(
                $"{Work("later", 60, "2026-06-03T17:00:00")},{Work("sooner", 60, "2026-06-01T10:00:00")},{Work("wide", 1, "2026-06-03T17:00:00", 30)}"
            )
        );
        Assert.Equal(200, status);
        var placed = plan.EnumerateArray().ToDictionary(p => p.GetProperty("work").GetProperty("orderId").GetString()!);
        string Start(string id) => placed[id].GetProperty("parts")[0].GetProperty("start").GetString()!;
        Assert.True(string.CompareOrdinal(Start("sooner"), Start("later")) < 0);
        Assert.True(placed["sooner"].GetProperty("lateMinutes").GetDouble() > 60);
        Assert.Equal("there are not enough open hours left", placed["sooner"].GetProperty("why").GetString());
        Assert.Equal("no press can take it", placed["wide"].GetProperty("why").GetString());
    }

    [Theory]
    [InlineData(
        "rows",
        """{"widthIn":0,"heightIn":4,"marginIn":0.25,"rollWidthIn":19.5,"count":10}""",
        "0 in is outside 0.05 to 40."
    )]
    [InlineData(
        "rows",
        """{"widthIn":30,"heightIn":25,"marginIn":0.25,"rollWidthIn":19.5,"count":10}""",
        "wider than the roll"
    )]
    [InlineData(
        "press-floor",
        $$"""{"pieces":0,{{Tee}},"presses":[{"name":"a"}]}""",
        "0 pieces is outside 1 to 10000."
    )]
    [InlineData("press-floor", $$"""{"pieces":1,{{Tee}},"presses":[]}""", "0 presses is outside 1 to 6.")]
    [InlineData(
        "press-floor",
        $$"""{"pieces":1,{{Tee}},"presses":[{"name":"a"}],"searchSteps":30000}""",
        "30000 runs is outside 0 to 20000."
    )]
    [InlineData(
        "press-floor",
        """
            {"pieces":1,"before":[],"after":[],"presses":[{"name":"a"}],"passes":[{"name":"front","temperatureF":310,
            "slackSeconds":2,"peelWindowSeconds":null,"steps":[{"code":"a","seconds":-1,"hands":true,"press":true}]}]}
            """,
        "-1 s is outside"
    )]
    [InlineData(
        "press-floor",
        """
            {"pieces":1,"before":[],"after":[],"presses":[{"name":"a"}],"passes":[{"name":"front","temperatureF":310,
            "slackSeconds":2,"peelWindowSeconds":null,"steps":[{"code":"press","seconds":9,"hands":false,
            "press":true}]}]}
            """,
        "stands between no closing and opening"
    )]
    [InlineData("size-run", """{"styleId":"brae","text":"S 4, M x"}""", "is not a size of this style.")]
    [InlineData("size-run", """{"styleId":"none","text":"S 4"}""", "There is no style \"none\"")]
    public async Task Absurd_inputs_are_refused_by_name(string what, string json, string sentence)
    {
        var (status, body) = await shop.Send(HttpMethod.Post, $"/api/compute/{what}", json);
        Assert.True(status is 400 or 404);
        Assert.Contains(
            sentence,
            body.GetProperty("problems")[0].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task A_week_without_an_open_day_and_hours_the_wrong_way_round_are_refused()
    {
        var closed = string.Join(',', Enumerable.Repeat("""{"open":null,"close":null}""", 7));
        Assert.Equal(
            400,
            (await shop.Send(HttpMethod.Post, "/api/compute/schedule", Schedule("", $"[{closed}]"))).Status
        );
        Assert.Contains(
            "week[1]",
            (
                await shop.Send(
                    HttpMethod.Post,
                    "/api/compute/schedule",
                    Schedule("", Week.Replace("\"close\":\"17:00\"", "\"close\":\"08:00\"", StringComparison.Ordinal))
                )
            ).Body.GetRawText(),
            StringComparison.Ordinal
        );
    }
}
