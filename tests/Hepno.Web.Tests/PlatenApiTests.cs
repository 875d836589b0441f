using System.Globalization;
using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Measuring a press's platen over the API, and what it moves.</summary>
public class PlatenApiTests(Shop shop) : IClassFixture<Shop>
{
    private const string Press = """
        {"name":"Heron","kind":"clamshell","platenWidthIn":16,"platenHeightIn":20,"warmUpMinutes":15,
        "riseFPerMinute":20,"dropFPerMinute":5,"offsetF":null,"equipment":{"priceNew":900,"resale":100,
        "usefulYears":5,"productiveHoursAYear":500,"powerKw":1.5,"dutyShare":0.35,"upkeepPerHour":0.1},
        "cautions":"It burns."}
        """;

    private async Task<JsonElement> Platen(string id) => await shop.Get($"/api/presses/{id}/platen");

    private async Task<(int Status, JsonElement Body)> Map(string id, string json) =>
        await shop.Send(
            HttpMethod.Post,
            $"/api/presses/{id}/maps",
            json,
            (await Platen(id)).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );

    [Fact]
    public async Task A_press_is_added_measured_and_every_heat_near_the_map_has_its_set_point()
    {
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, "/api/presses/heron", Press)).Status);
        var before = await Platen("heron");
        Assert.Equal("not yet measured", before.GetProperty("sentence").GetString());
        Assert.All(before.GetProperty("sets").EnumerateArray(), s =>
            Assert.Equal("", s.GetProperty("setPoint").GetString())
        );

        var (status, said) = await Map(
            "heron",
            """{"day":"2026-11-20","setPointF":320,"pointsF":[305,305,305,305,315,305,305,305,295],"by":"Wren"}"""
        );
        Assert.True(status == 200, said.ToString());
        var platen = await Platen("heron");
        string Set(double recipe, string field) =>
            platen
                .GetProperty("sets")
                .EnumerateArray()
                .Single(s => s.GetProperty("recipeF").GetDouble() == recipe)
                .GetProperty(field)
                .GetString()!;
        // mean 305: fifteen are added; the middle is ten above the mean
        Assert.Equal(("325 °F", "320 °F"), (Set(310, "setPoint"), Set(310, "hottest")));
        Assert.Equal("", Set(390, "setPoint"));
        Assert.DoesNotContain(platen.GetProperty("points").EnumerateArray(), p => p.GetProperty("cold").GetBoolean());
        Assert.Contains(
            "mean 305 °F, 20 °F from coldest to hottest",
            platen.GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
        Assert.True(platen.GetProperty("due").GetString()!.Length > 0);
        var kept = (await shop.Get("/api/presses"))
            .EnumerateArray()
            .Single(p => p.GetProperty("value").GetProperty("id").GetString() == "heron")
            .GetProperty("value");
        Assert.Equal((-15, 1), (kept.GetProperty("offsetF").GetDouble(), kept.GetProperty("maps").GetArrayLength()));

        // a doubtful one is kept and moves nothing; taken back it is gone
        await Map(
            "heron",
            """{"day":"2026-11-21","setPointF":310,"pointsF":[200,200,200,200,200,200,200,200,200],"doubtful":true}"""
        );
        platen = await Platen("heron");
        Assert.Equal("325 °F", Set(310, "setPoint"));
        Assert.Equal(2, platen.GetProperty("history").GetArrayLength());
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
        Assert.Single((await Platen("heron")).GetProperty("history").EnumerateArray());
    }

    [Fact]
    public async Task What_holds_the_platen_off_is_said_with_the_pillow_that_lifts_the_print()
    {
        var journey = new Journey(shop, "polo");
        await journey.Ask();
        var ask = Journey
            .Body((await journey.Order()).GetProperty("ask").GetRawText())
            .Replace("\"brae\"", "\"fell\"", StringComparison.Ordinal)
            .Replace("\"black\"", "\"slate\"", StringComparison.Ordinal)
            .Replace("\"front\"", "\"back\"", StringComparison.Ordinal)
            .Replace("\"widthIn\":9,\"heightIn\":8", "\"widthIn\":5,\"heightIn\":5", StringComparison.Ordinal);
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/orders/polo",
                    ask,
                    (await journey.Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
        await journey.Gathered();
        async Task<string> Under() =>
            (await shop.Get("/api/runs/polo"))
                .GetProperty("lines")[0]
                .GetProperty("passes")[0]
                .GetProperty("under")
                .GetString()!;
        var press = (await shop.Get("/api/runs/polo")).GetProperty("lines")[0].GetProperty("press").GetString();
        Assert.Equal(
            press == "Gannet"
                ? "small pillow under it, for the hood and its seam"
                : "lifted clear of the hood and its seam",
            await Under()
        );
    }

    [Fact]
    public async Task A_press_too_far_off_is_set_aside_by_its_map()
    {
        await shop.Send(
            HttpMethod.Put,
            "/api/presses/stray",
            Press.Replace("Heron", "Stray", StringComparison.Ordinal)
        );
        await Map("stray", """{"day":"2026-11-20","setPointF":320,"pointsF":[299,299,299,299,299,299,299,299,299]}""");
        var kept = (await shop.Get("/api/presses"))
            .EnumerateArray()
            .Single(p => p.GetProperty("value").GetProperty("id").GetString() == "stray")
            .GetProperty("value");
        Assert.Equal(-21, kept.GetProperty("offsetF").GetDouble());
        // a form that left the offset empty does not part it from its map
        var version = (await Platen("stray")).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);
        var body = System.Text.Json.Nodes.JsonNode.Parse(kept.GetRawText())!.AsObject();
        body.Remove("id");
        body["offsetF"] = null;
        var (status, said) = await shop.Send(HttpMethod.Put, "/api/presses/stray", body.ToJsonString(), version);
        Assert.True(status == 200, said.ToString());
        kept = (await shop.Get("/api/presses"))
            .EnumerateArray()
            .Single(p => p.GetProperty("value").GetProperty("id").GetString() == "stray")
            .GetProperty("value");
        Assert.Equal(-21, kept.GetProperty("offsetF").GetDouble());
    }

    [Fact]
    public async Task A_press_found_wrong_lists_what_went_over_it_since_it_was_right()
    {
        // the demo's orders were pressed on it; it was never measured: everything counts
        var pressed = (await Platen("petrel")).GetProperty("pressed");
        var pieces = pressed.GetProperty("pieces").GetInt32();
        Assert.True(pieces >= 18);
        Assert.Equal(
            ("ever", false),
            (pressed.GetProperty("since").GetString(), pressed.GetProperty("setAside").GetBoolean())
        );
        Assert.Contains(pressed.GetProperty("lines").EnumerateArray(), l =>
            l.GetString()!.StartsWith("T-201, Gorse Lane School: 18 of ", StringComparison.Ordinal)
        );
        try
        {
            // found right some days from now, nothing was pressed since; then found wrong, the good check still counts
            await Map(
                "petrel",
                """{"day":"2099-01-05","setPointF":320,"pointsF":[315,315,315,315,315,315,315,315,315]}"""
            );
            Assert.Equal(0, (await Platen("petrel")).GetProperty("pressed").GetProperty("pieces").GetInt32());
            await Map(
                "petrel",
                """{"day":"2099-01-06","setPointF":320,"pointsF":[295,295,295,295,295,295,295,295,295]}"""
            );
            pressed = (await Platen("petrel")).GetProperty("pressed");
            Assert.Equal(
                (0, true),
                (pressed.GetProperty("pieces").GetInt32(), pressed.GetProperty("setAside").GetBoolean())
            );
        }
        finally
        {
            await shop.Send(HttpMethod.Post, "/api/undo", "{}");
            await shop.Send(HttpMethod.Post, "/api/undo", "{}");
        }
        // wrong with no good check before it: all of them are to be looked at
        await Map("petrel", """{"day":"2026-11-20","setPointF":320,"pointsF":[295,295,295,295,295,295,295,295,295]}""");
        pressed = (await Platen("petrel")).GetProperty("pressed");
        await shop.Send(HttpMethod.Post, "/api/undo", "{}");
        Assert.Equal(
            (pieces, true),
            (pressed.GetProperty("pieces").GetInt32(), pressed.GetProperty("setAside").GetBoolean())
        );
    }

    [Theory]
    [InlineData(1000, "2020-01-01")]
    [InlineData(5, "2020-01-01")]
    [InlineData(5, "2099-01-01")]
    public async Task A_sheet_is_worn_by_the_good_pieces_since_it_was_new(int uses, string since)
    {
        var petrel = (await shop.Get("/api/presses"))
            .EnumerateArray()
            .Single(p => p.GetProperty("value").GetProperty("id").GetString() == "petrel");
        var body = System.Text.Json.Nodes.JsonNode.Parse(petrel.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["accessories"] = System.Text.Json.Nodes.JsonNode.Parse(
            $$"""[{"name":"sheet","kind":"cover-sheet","widthIn":16,"heightIn":20,"thicknessIn":0,"uses":{{uses}},"since":"{{since}}"}]"""
        );
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/presses/petrel",
                    body.ToJsonString(),
                    petrel.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                )
            ).Status
        );
        var wear = Assert
            .Single((await Platen("petrel")).GetProperty("wear").EnumerateArray())
            .GetProperty("said")
            .GetString()!;
        await shop.Send(HttpMethod.Post, "/api/undo", "{}");
        var ever = (await Platen("petrel")).GetProperty("pressed").GetProperty("pieces").GetInt32();
        var worn = since.StartsWith("2099", StringComparison.Ordinal) ? 0 : Math.Min(uses, ever);
        Assert.Matches(
            $"^{worn} of {uses} presses since .*{since[..4]}{(worn == uses ? ": due for a new one" : "")}$",
            wear
        );
    }

    [Fact]
    public async Task What_was_pressed_since_a_day_is_counted_from_the_shops_own_midnight()
    {
        async Task<int> SinceToday()
        {
            await Map(
                "petrel",
                $$"""{"day":"{{Shop.DaysOn(0)}}","setPointF":320,"pointsF":[315,315,315,315,315,315,315,315,315]}"""
            );
            var pieces = (await Platen("petrel")).GetProperty("pressed").GetProperty("pieces").GetInt32();
            await shop.Send(HttpMethod.Post, "/api/undo", "{}");
            return pieces;
        }
        Assert.True(await SinceToday() > 0);
        await shop.KeepsTheClockOf("Pacific/Honolulu");
        Assert.Equal(0, await SinceToday());
        await shop.Send(HttpMethod.Post, "/api/undo", "{}");
    }

    [Theory]
    [InlineData("""{"day":"2026-11-20","setPointF":320,"pointsF":[1,2,3]}""", "pointsF")]
    [InlineData("""{"day":"2026-11-20","setPointF":20,"pointsF":[305,305,305,305,305,305,305,305,305]}""", "setPointF")]
    [InlineData(
        """{"day":"2026-11-20","setPointF":320,"pointsF":[305,305,305,305,3050,305,305,305,305]}""",
        "pointsF[4]"
    )]
    public async Task What_is_no_map_is_refused_by_field(string json, string where)
    {
        var (status, said) = await Map("gannet", json);
        Assert.Equal(400, status);
        Assert.Contains(said.GetProperty("problems").EnumerateArray(), p =>
            p.GetProperty("where").GetString() == where
        );
    }

    [Fact]
    public async Task The_simulated_thermometer_says_that_it_is_one_and_reads_the_same_twice()
    {
        var first = await shop.Get("/api/presses/gannet/thermometer?point=4&setPointF=310");
        Assert.True(first.GetProperty("simulated").GetBoolean());
        Assert.InRange(first.GetProperty("readingF").GetDouble(), 285, 335);
        Assert.Equal(
            first.GetProperty("readingF").GetDouble(),
            (await shop.Get("/api/presses/gannet/thermometer?point=4&setPointF=310"))
                .GetProperty("readingF")
                .GetDouble()
        );
        Assert.Equal(
            400,
            (await shop.Send(HttpMethod.Get, "/api/presses/gannet/thermometer?point=9&setPointF=310")).Status
        );
        Assert.Equal(
            400,
            (await shop.Send(HttpMethod.Get, "/api/presses/gannet/thermometer?point=4&setPointF=NaN")).Status
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/presses/none/platen")).Status);
    }

    [Fact]
    public async Task A_noted_dial_is_told_to_the_run_and_to_its_sheet()
    {
        var journey = new Journey(shop, "dialled");
        await journey.To("press");
        var run = await shop.Get("/api/runs/dialled");
        Assert.Equal("", run.GetProperty("lines")[0].GetProperty("passes")[0].GetProperty("dial").GetString());
        var press = (await shop.Get("/api/presses"))
            .EnumerateArray()
            .Single(p =>
                p.GetProperty("value").GetProperty("name").GetString()
                == run.GetProperty("lines")[0].GetProperty("press").GetString()
            );
        var body = System.Text.Json.Nodes.JsonNode.Parse(press.GetProperty("value").GetRawText())!.AsObject();
        body.Remove("id");
        body["dials"] = System.Text.Json.Nodes.JsonNode.Parse(
            """[{"pressure":"medium","thickness":"thin","lower":"","dial":4.5}]"""
        );
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            $"/api/presses/{press.GetProperty("value").GetProperty("id").GetString()}",
            body.ToJsonString(),
            press.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, said.ToString());
        Assert.Equal(
            "4.5",
            (await shop.Get("/api/runs/dialled"))
                .GetProperty("lines")[0]
                .GetProperty("passes")[0]
                .GetProperty("dial")
                .GetString()
        );
        using var sheet = UglyToad.PdfPig.PdfDocument.Open(
            await shop.CreateClient().GetByteArrayAsync("/api/runs/dialled/sheet.pdf")
        );
        Assert.Contains(
            "medium(dial4.5)",
            string.Concat(sheet.GetPages().Select(p => p.Text)).Replace(" ", "", StringComparison.Ordinal),
            StringComparison.Ordinal
        );
    }
}
