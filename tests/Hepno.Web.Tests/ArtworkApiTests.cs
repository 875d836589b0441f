using System.Globalization;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Tests;
using Hepno.Formats;
using SkiaSharp;

namespace Hepno.Web.Tests;

/// <summary>Pictures through the API: taken in, measured, looked at, mended; and what is no picture refused in a
/// sentence.</summary>
public class ArtworkApiTests(Shop shop) : IClassFixture<Shop>
{
    private static readonly string Due = Shop.DaysOn(30);

    // two discs in two colours and a line of 0.6 pt at 10 in wide
    private static byte[] Png() =>
        PngPicture.Write(
            new Drawn(1500, 900)
                .Fill((x, y) => ((x - 400) * (x - 400)) + ((y - 400) * (y - 400)) < 380 * 380, (200, 40, 30))
                .Fill((x, y) => ((x - 1100) * (x - 1100)) + ((y - 400) * (y - 400)) < 390 * 390, (240, 200, 40))
                .Stroke(20.3, 850.4, 1460, 0.6 / 72 * 147, 0, (200, 40, 30))
                .Raster
        );

    private static byte[] Jpeg()
    {
        var raster = new Drawn(600, 600)
            .Box(0, 0, 600, 600, (255, 255, 255))
            .Box(150, 150, 300, 300, (180, 30, 30))
            .Raster;
        using var image = SKImage.FromPixelCopy(
            new SKImageInfo(600, 600, SKColorType.Rgba8888, SKAlphaType.Unpremul),
            raster.Rgba
        );
        using var data = image.Encode(SKEncodedImageFormat.Jpeg, 95);
        return data.ToArray();
    }

    private async Task<(int Status, JsonElement Body)> File(
        string id,
        byte[] file,
        string type = "image/png",
        string query = "?name=Crest&widthIn=10",
        string? ifMatch = null
    )
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, $"/api/artwork/{id}/file{query}")
        {
            Content = new ByteArrayContent(file),
        };
        request.Content.Headers.ContentType = new MediaTypeHeaderValue(type);
        request.Headers.Add("Hepno-Device", "art-tests");
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{ifMatch}\"");
        }
        using var answer = await shop.CreateClient().SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, JsonDocument.Parse(text).RootElement.Clone());
    }

    // the check sum of a PNG's chunk
    private static byte[] Crc(ReadOnlySpan<byte> chunk)
    {
        var crc = 0xffffffffu;
        foreach (var b in chunk)
        {
            crc ^= b;
            for (var bit = 0; bit < 8; bit++)
            {
                crc = (crc & 1) == 1 ? (crc >> 1) ^ 0xedb88320u : crc >> 1;
            }
        }
        crc = ~crc;
        return [(byte)(crc >> 24), (byte)(crc >> 16), (byte)(crc >> 8), (byte)crc];
    }

    private static string Version(JsonElement thing) =>
        thing.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture);

    [Fact]
    public async Task A_picture_describes_its_placement_and_its_faults_are_marked()
    {
        var (status, design) = await File("crest", Png());
        Assert.True(status == 200, design.ToString());
        Assert.Equal(
            (1500, 900, "Crest"),
            (
                design.GetProperty("widthPx").GetInt32(),
                design.GetProperty("heightPx").GetInt32(),
                design.GetProperty("name").GetString()
            )
        );
        var kept = await shop.Send(
            HttpMethod.Put,
            "/api/orders/arted",
            $$"""
            {"customerId":"rowing","lines":[{"id":"1","styleId":"hollin","colourwayId":"navy","sizes":[{"size":"M","pieces":12}],"mark":null,
             "placements":[{"id":"p","place":"front","widthIn":10,"heightIn":1,"coveragePercent":1,"colours":20,
             "gradient":true,"thinnestLinePt":50,"designId":"crest"}]}],"dueDate":"{{Due}}","dueTime":null,
             "details":null}
            """
        );
        Assert.True(kept.Status == 200, kept.Body.ToString());
        var placement = (await shop.Get("/api/orders/arted"))
            .GetProperty("ask")
            .GetProperty("lines")[0]
            .GetProperty("placements")[0];
        Assert.Equal(
            (2, false),
            (placement.GetProperty("colours").GetInt32(), placement.GetProperty("gradient").GetBoolean())
        );
        Assert.InRange(placement.GetProperty("thinnestLinePt").GetDouble(), 0.5, 0.7);
        Assert.InRange(placement.GetProperty("heightIn").GetDouble(), 5.5, 5.9);
        Assert.InRange(placement.GetProperty("coveragePercent").GetDouble(), 70, 80);

        // a width that cannot be is refused with the same words when it is looked at and when it is sent
        foreach (
            var (code, refused) in new[]
            {
                await shop.Send(HttpMethod.Get, "/api/artwork/crest/look?widthIn=-3"),
                await File("crest-3", Png(), query: "?name=Crest&widthIn=-3"),
            }
        )
        {
            var problem = refused.GetProperty("problems")[0];
            Assert.Equal(
                (400, "widthIn", "Say how wide it is printed."),
                (code, problem.GetProperty("where").GetString(), problem.GetProperty("remedy").GetString())
            );
        }

        var look = await shop.Get("/api/artwork/crest/look?widthIn=10&styleId=hollin&colourwayId=navy");
        var faults = look.GetProperty("faults").EnumerateArray().ToDictionary(f => f.GetProperty("code").GetString()!);
        Assert.Equal(
            ["bad", "caution"],
            new[] { "resolution", "thin-line" }.Select(c => faults[c].GetProperty("kind").GetString())
        );
        Assert.Contains(
            "film, a screen and vinyl lose it",
            faults["thin-line"].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
        Assert.InRange(faults["thin-line"].GetProperty("marks")[0].GetProperty("top").GetInt32(), 835, 855);
        // at a width where the line is an honest point, only the pixels are still too few
        Assert.DoesNotContain(
            (await shop.Get("/api/artwork/crest/look?widthIn=18")).GetProperty("faults").EnumerateArray(),
            f => f.GetProperty("code").GetString() == "thin-line"
        );
        using var picture = await shop.CreateClient().GetAsync("/api/artwork/crest/picture.png?side=300");
        var bytes = await picture.Content.ReadAsByteArrayAsync();
        Assert.Equal((300, 180), (PictureFile.Look(bytes).Width, PictureFile.Look(bytes).Height));
    }

    [Fact]
    public async Task A_code_too_small_is_refused_by_every_way_and_one_that_holds_is_scanned_at_the_press()
    {
        var code = QrCode.Of("https://ternandtallow.example/boat");
        var drawing =
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {code.Size} {code.Size}\"><path d=\"M0 "
            + $"0h{code.Size}v{code.Size}h-{code.Size}z\" fill=\"#fff\"/><path d=\"{code.Path}\"/></svg>";
        var (status, design) = await File(
            "boat-code",
            Encoding.UTF8.GetBytes(drawing),
            "image/svg+xml",
            "?name=Boat%20code&widthIn=3"
        );
        Assert.True(status == 200, design.ToString());
        var order = new Journey(shop, "coded");
        await order.Ask();
        async Task Wide(double inches)
        {
            var kept = await order.Order();
            var ask = JsonNode.Parse(Journey.Body(kept.GetProperty("ask").GetRawText()))!;
            var print = ask["lines"]![0]!["placements"]![0]!;
            (print["designId"], print["widthIn"]) = ("boat-code", inches);
            print.AsObject().Remove("cuts");
            var (put, body) = await shop.Send(HttpMethod.Put, "/api/orders/coded", ask.ToJsonString(), Version(kept));
            Assert.True(put == 200, body.ToString());
        }
        // 0.25 mm at 0.4 in, and 1.6 mm at 2.6 in
        await Wide(0.4);
        var compared = await shop.Get("/api/orders/coded/compare");
        Assert.Empty(compared.GetProperty("bands").EnumerateArray());
        Assert.Contains(
            "keeps them apart",
            compared
                .GetProperty("folds")
                .EnumerateArray()
                .First(x => x.GetProperty("methodId").GetString() == "dtf-bought")
                .GetRawText(),
            StringComparison.Ordinal
        );
        await Wide(2.6);
        await order.Done("choose", """{"methodId":"dtf-bought"}""");
        await order.Done("lay-out");
        await order.Done("send");
        await order.Gathered();
        var pass = (await shop.Get("/api/runs/coded")).GetProperty("lines")[0].GetProperty("passes")[0];
        Assert.Contains(
            "scan the code with a telephone",
            pass.GetProperty("checks").EnumerateArray().Select(x => x.GetString())
        );
        using var sheet = await shop.CreateClient().GetAsync("/api/runs/coded/sheet.pdf");
        Assert.Equal(200, (int)sheet.StatusCode);
    }

    [Fact]
    public async Task A_white_ground_is_knocked_out_and_taken_back_and_the_ask_follows()
    {
        var (_, design) = await File("wave", Jpeg(), "image/jpeg", "?name=Wave&widthIn=4");
        Assert.Equal("#ffffff", design.GetProperty("ground").GetString());
        await shop.Send(
            HttpMethod.Put,
            "/api/orders/waved",
            $$"""
            {"customerId":"rowing","lines":[{"id":"1","styleId":"hollin","colourwayId":"navy","sizes":[{"size":"M","pieces":12}],"mark":null,
             "placements":[{"id":"p","place":"front","widthIn":4,"heightIn":4,"coveragePercent":1,"colours":1,
             "gradient":false,"thinnestLinePt":5,"designId":"wave"}]}],"dueDate":"{{Due}}","dueTime":null,
             "details":null}
            """
        );
        async Task<double> Painted() =>
            (await shop.Get("/api/orders/waved"))
                .GetProperty("ask")
                .GetProperty("lines")[0]
                .GetProperty("placements")[0]
                .GetProperty("coveragePercent")
                .GetDouble();
        Assert.Equal(100, await Painted());
        Assert.Contains((await shop.Get("/api/artwork/wave/look")).GetProperty("faults").EnumerateArray(), f =>
            f.GetProperty("code").GetString() == "ground"
        );
        var (status, cut) = await shop.Send(HttpMethod.Post, "/api/artwork/wave/knock-out", ifMatch: Version(design));
        Assert.True(status == 200, cut.ToString());
        var now = await shop.Get("/api/artwork/wave");
        Assert.True(now.GetProperty("mended").GetBoolean());
        Assert.InRange(now.GetProperty("box").GetProperty("width").GetInt32(), 298, 304);
        Assert.Equal(JsonValueKind.Null, now.GetProperty("ground").ValueKind);
        // the box is the square alone now, and it is full
        Assert.InRange(await Painted(), 98, 100);
        Assert.Equal(
            "no-ground",
            (await shop.Send(HttpMethod.Post, "/api/artwork/wave/knock-out", ifMatch: Version(now)))
                .Body.GetProperty("problems")[0]
                .GetProperty("code")
                .GetString()
        );
        Assert.Equal(409, (await shop.Send(HttpMethod.Post, "/api/artwork/wave/knock-out", ifMatch: "1")).Status);
        var (_, undone) = await shop.Send(HttpMethod.Post, "/api/undo");
        Assert.Contains("ground knocked out", undone.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(
            (false, 100),
            ((await shop.Get("/api/artwork/wave")).GetProperty("mended").GetBoolean(), await Painted())
        );
    }

    [Fact]
    public async Task Whose_it_is_is_written_down_and_an_unknown_artwork_is_refused()
    {
        var (_, design) = await File("owned", Png());
        var (status, body) = await shop.Send(
            HttpMethod.Put,
            "/api/artwork/owned",
            """{"name":"Club crest","rights":{"whose":"the club","saidBy":"Mara Fell","saidOn":"2026-05-04","proof":"a letter is asked for"}}""",
            Version(design)
        );
        Assert.True(status == 200, body.ToString());
        var now = await shop.Get("/api/artwork/owned");
        Assert.Equal(
            ("Club crest", "the club"),
            (now.GetProperty("name").GetString(), now.GetProperty("rights").GetProperty("whose").GetString())
        );
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/artwork/owned",
                    """{"name":" ","rights":{"whose":"","saidBy":"","saidOn":null,"proof":""}}""",
                    Version(now)
                )
            ).Status
        );
        // another picture keeps what was said of it
        Assert.Equal(
            "the club",
            (await File("owned", Jpeg(), "image/jpeg", ifMatch: Version(now)))
                .Body.GetProperty("rights")
                .GetProperty("whose")
                .GetString()
        );
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/artwork/none")).Status);
        Assert.Contains((await shop.Get("/api/artwork")).EnumerateArray(), d =>
            d.GetProperty("id").GetString() == "owned"
        );
    }

    [Fact]
    public async Task What_is_no_picture_says_what_it_is()
    {
        async Task<string> Refused(byte[] file, string query = "?widthIn=10")
        {
            var (status, body) = await File($"bad-{Guid.NewGuid():N}", file, query: query);
            Assert.Equal(400, status);
            return body.GetProperty("problems")[0].GetProperty("sentence").GetString()!;
        }
        Assert.Equal("The file is empty.", await Refused([]));
        Assert.Equal("The file is a PDF, whatever it is called.", await Refused(Encoding.ASCII.GetBytes("%PDF-1.7\n")));
        Assert.Equal("The file is a GIF, whatever it is called.", await Refused(Encoding.ASCII.GetBytes("GIF89a....")));
        Assert.StartsWith(
            "The file is no PNG, JPEG or SVG",
            await Refused(Encoding.ASCII.GetBytes("hello there")),
            StringComparison.Ordinal
        );
        Assert.Equal(
            "Nothing in the picture is painted: it is all clear.",
            await Refused(PngPicture.Write(new(40, 40, new byte[6400])))
        );
        var png = Png();
        Assert.Equal("The picture ends before all of it is there.", await Refused(png[..(png.Length / 2)]));
        Assert.Equal("A print width of 300 in is outside 0 to 40.", await Refused(png, "?widthIn=300"));
        // a header that promises 20,000 × 20,000 pixels is refused before anything is decoded
        var bomb = png.ToArray();
        foreach (var at in new[] { 16, 20 })
        {
            (bomb[at], bomb[at + 1], bomb[at + 2], bomb[at + 3]) = (0, 0, 0x4e, 0x20);
        }
        Crc(bomb.AsSpan(12, 17)).CopyTo(bomb, 29);
        Assert.Contains("20000 × 20000 pixels", await Refused(bomb), StringComparison.Ordinal);
        Assert.Equal(
            415,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/artwork/form/file?widthIn=10",
                    "a=b",
                    type: "application/x-www-form-urlencoded"
                )
            ).Status
        );
    }

    [Fact]
    public async Task A_drawing_that_never_ends_is_refused_and_stops_computing_and_others_go_on()
    {
        // forty thousand times the whole page, each in a gradient of its own
        var endless = Encoding.UTF8.GetBytes(
            """<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><defs><linearGradient id="l">"""
                + """<stop offset="0" stop-color="#f00"/><stop offset="1" stop-color="#00f" stop-opacity=".5"/>"""
                + """</linearGradient><rect id="r" width="100" height="100" fill="url(#l)"/></defs>"""
                + $"""{string.Concat(Enumerable.Repeat("<use href=\"#r\"/>", 20_000))}</svg>"""
        );
        var refused = File("endless", endless, "image/svg+xml");
        var (taken, _) = await File("beside", Png());
        Assert.Equal(200, taken);
        Assert.False(refused.IsCompleted);
        var (status, body) = await refused;
        Assert.Equal(400, status);
        Assert.StartsWith(
            "The drawing takes",
            body.GetProperty("problems")[0].GetProperty("sentence").GetString()!,
            StringComparison.Ordinal
        );
        // tests beside this one draw too, none of them for as long as a drawing may take
        var drawing = System.Diagnostics.Process.GetProcessesByName("dotnet").Select(p => p.Id).Where(Draws).ToList();
        for (var wait = 0; drawing.Exists(Draws) && wait < 300; wait++)
        {
            await Task.Delay(100);
        }
        Assert.DoesNotContain(drawing, Draws);
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/artwork/endless")).Status);
    }

    private static bool Draws(int process)
    {
        try
        {
            return System
                .IO.File.ReadAllText($"/proc/{process}/cmdline")
                .Contains("Hepno.Web.dll\0draw\0", StringComparison.Ordinal);
        }
        catch (IOException)
        {
            // it ended meanwhile
            return false;
        }
    }

    [Fact]
    public async Task Measuring_is_stopped_at_once_and_nothing_of_it_is_kept()
    {
        var slow = Encoding.UTF8.GetBytes(
            """<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><defs>"""
                + """<circle id="r" cx="50" cy="50" r="50" opacity=".9"/></defs>"""
                + $"""{string.Concat(Enumerable.Repeat("<use href=\"#r\"/>", 20_000))}</svg>"""
        );
        var sent = File("stopped", slow, "image/svg+xml");
        while ((await shop.Get("/api/artwork/stopped/progress")).GetProperty("share").ValueKind == JsonValueKind.Null)
        {
            await Task.Delay(20);
        }
        Assert.Equal(204, (await shop.Send(HttpMethod.Delete, "/api/artwork/stopped/progress")).Status);
        var (status, body) = await sent;
        Assert.Equal(409, status);
        Assert.Contains("Measuring was stopped", body.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/artwork/stopped")).Status);
        Assert.Equal(404, (await shop.Send(HttpMethod.Delete, "/api/artwork/stopped/progress")).Status);
    }

    [Fact]
    public async Task A_link_becomes_a_code_that_reads_back_and_says_how_small_it_may_be()
    {
        var (status, made) = await shop.Send(
            HttpMethod.Post,
            "/api/artwork/linked/code",
            """{"text":"https://ternandtallow.example/boat"}"""
        );
        Assert.True(status == 200, made.ToString());
        Assert.Equal("https://ternandtallow.example/boat", made.GetProperty("design").GetProperty("code").GetString());
        var (film, screened) = (
            made.GetProperty("smallestFilmIn").GetDouble(),
            made.GetProperty("smallestScreenedIn").GetDouble()
        );
        Assert.Equal(1.2 / 0.5, screened / film, 1e-6);
        async Task<List<string>> Faults(double widthIn) =>
            [
                .. (
                    await shop.Get(
                        $"/api/artwork/linked/look?styleId=hollin&colourwayId=navy&widthIn={widthIn.ToString(CultureInfo.InvariantCulture)}"
                    )
                )
                    .GetProperty("faults")
                    .EnumerateArray()
                    .Select(f => f.GetProperty("code").GetString()!),
            ];
        Assert.DoesNotContain("code-small", await Faults(screened * 1.02));
        Assert.Contains("code-small", await Faults(film * 0.9));
        Assert.DoesNotContain("ground", await Faults(3));
        Assert.Equal(400, (await shop.Send(HttpMethod.Post, "/api/artwork/linked-2/code", """{"text":"  "}""")).Status);
    }

    [Fact]
    public async Task One_measured_print_sets_the_printers_ink_and_the_estimate_follows()
    {
        var (_, design) = await File(
            "inked",
            PngPicture.Write(new Drawn(400, 400).Box(0, 0, 400, 400, (0, 255, 255)).Raster)
        );
        Assert.Equal("inked", design.GetProperty("id").GetString());
        var printer = (await shop.Get("/api/film-printers"))[0];
        var id = printer.GetProperty("value").GetProperty("id").GetString();
        // ten prints of 10 x 10 in, all painted: 1,000 in2 took 9 ml of colour and 12 of white
        async Task<(int Status, JsonElement Body)> Measured(string body) =>
            await shop.Send(
                HttpMethod.Post,
                $"/api/film-printers/{id}/calibrate",
                body,
                Version((await shop.Get("/api/film-printers"))[0])
            );
        var (status, said) = await Measured(
            """{"designId":"inked","widthIn":10,"prints":10,"colourMl":9,"whiteMl":12}"""
        );
        Assert.True(status == 200, said.ToString());
        var now = (await shop.Get("/api/film-printers"))[0].GetProperty("value");
        Assert.Equal(
            (0.009, 0.012),
            (
                Math.Round(now.GetProperty("colourMlPerIn2").GetDouble(), 6),
                Math.Round(now.GetProperty("whiteMlPerIn2").GetDouble(), 6)
            )
        );
        var ink = (await shop.Get("/api/artwork/inked/look?widthIn=5&styleId=brae&colourwayId=black")).GetProperty(
            "ink"
        );
        Assert.Equal(
            (0.225, 0d, 0.3),
            (
                Math.Round(ink.GetProperty("cyan").GetDouble(), 6),
                ink.GetProperty("black").GetDouble(),
                Math.Round(ink.GetProperty("white").GetDouble(), 6)
            )
        );
        foreach (
            var (bad, field) in new[]
            {
                ("\"widthIn\":0", "widthIn"),
                ("\"prints\":0", "prints"),
                ("\"colourMl\":0", "colourMl"),
                ("\"whiteMl\":-1", "whiteMl"),
            }
        )
        {
            var body = """{"designId":"inked","widthIn":10,"prints":10,"colourMl":9,"whiteMl":12}""";
            var name = bad.Split(':')[0];
            (status, said) = await Measured(System.Text.RegularExpressions.Regex.Replace(body, $"{name}:\\d+", bad));
            Assert.Equal((400, field), (status, said.GetProperty("problems")[0].GetProperty("where").GetString()));
        }
        Assert.Equal(
            404,
            (await Measured("""{"designId":"none","widthIn":10,"prints":10,"colourMl":9,"whiteMl":12}""")).Status
        );
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo", "{}")).Status);
    }

    [Fact]
    public async Task A_licence_that_ended_speaks_against_printing_and_a_code_is_read_as_each_way_blurs_it()
    {
        var (_, design) = await File("licensed", Png());
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            "/api/artwork/licensed",
            """
            {"name":"Crest","rights":{"whose":"a library","saidBy":"Isaura","saidOn":null,"proof":"no. 7",
            "kind":"stock-licence","until":"2020-01-31","seats":2,"soldGoods":true}}
            """,
            Version(design)
        );
        Assert.True(status == 200, said.ToString());
        var worst = (await shop.Get("/api/artwork/licensed/look?widthIn=10")).GetProperty("faults")[0];
        Assert.Equal(("rights", "bad"), (worst.GetProperty("code").GetString(), worst.GetProperty("kind").GetString()));
        Assert.Equal(
            2,
            (await shop.Get("/api/artwork/licensed")).GetProperty("rights").GetProperty("seats").GetInt32()
        );
        Assert.Equal(
            400,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/artwork/licensed",
                    """{"name":"Crest","rights":{"whose":"","saidBy":"","saidOn":null,"proof":"","seats":0}}""",
                    Version(await shop.Get("/api/artwork/licensed"))
                )
            ).Status
        );
        await shop.Send(
            HttpMethod.Post,
            "/api/artwork/linked/code",
            """{"text":"https://ternandtallow.example/boat"}"""
        );
        async Task<string> Reads(string width) =>
            string.Concat(
                (await shop.Get($"/api/artwork/linked/look?widthIn={width}"))
                    .GetProperty("codeReads")
                    .EnumerateArray()
                    .Select(r => r.GetProperty("reads").GetBoolean() ? '1' : '0')
            );
        Assert.Equal("111", await Reads("3"));
        Assert.Equal("110", await Reads("0.5"));
        Assert.Equal("000", await Reads("0.1"));
    }

    [Fact]
    public async Task Two_hundred_damaged_files_break_nothing_and_leave_nothing_behind()
    {
        var chance = new Random(7);
        byte[][] good =
        [
            PngPicture.Write(new Drawn(120, 90).Box(10, 10, 80, 60, (200, 40, 30)).Stroke(5, 80, 100, 2, 10).Raster),
            Jpeg(),
        ];
        for (var n = 0; n < 200; n++)
        {
            var file = good[n % 2].ToArray();
            for (var hits = chance.Next(1, 30); hits > 0; hits--)
            {
                file[chance.Next(file.Length)] = (byte)chance.Next(256);
            }
            file = n % 5 == 0 ? file[..chance.Next(1, file.Length)] : file;
            var (status, body) = await File($"fuzz-{n}", file);
            Assert.True(status is 200 or 400, $"{n}: {status} {body}");
        }
        Assert.Empty(Directory.EnumerateFiles(Path.Combine(shop.Folder, "tmp")));
    }
}
