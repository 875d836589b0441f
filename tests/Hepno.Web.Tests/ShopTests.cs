using System.Text.RegularExpressions;
using System.Xml.Linq;

namespace Hepno.Web.Tests;

public class ShopTests(Shop shop) : IClassFixture<Shop>
{
    [Fact]
    public async Task The_demo_shop_hangs_six_orders_on_six_stations_one_of_them_late()
    {
        var line = await shop.Get("/api/line");
        var counts = line.GetProperty("stations")
            .EnumerateArray()
            .ToDictionary(s => s.GetProperty("station").GetString()!, s => s.GetProperty("pegs").GetArrayLength());
        foreach (var station in new[] { "ask", "compare", "quote", "gather", "press", "learn" })
        {
            Assert.True(counts[station] >= 1, station);
        }
        Assert.Contains("late", line.GetRawText(), StringComparison.Ordinal);
        Assert.Equal(
            2,
            (await shop.Get("/api/orders/demo-201/learned"))
                .GetProperty("lines")[0]
                .GetProperty("held")
                .GetProperty("spoiled")
                .EnumerateArray()
                .Sum(s => s.GetProperty("pieces").GetInt32())
        );
    }

    [Fact]
    public async Task A_sent_quote_keeps_its_figures_when_prices_move()
    {
        var before = (await shop.Get("/api/orders/demo-202/quote")).GetRawText();
        var numbers = await shop.Get("/api/numbers");
        var dearer = numbers
            .GetProperty("value")
            .GetRawText()
            .Replace("\"wage\":18,", "\"wage\":29,", StringComparison.Ordinal);
        Assert.Equal(
            200,
            (
                await shop.Send(
                    HttpMethod.Put,
                    "/api/numbers",
                    dearer,
                    numbers
                        .GetProperty("version")
                        .GetInt64()
                        .ToString(System.Globalization.CultureInfo.InvariantCulture)
                )
            ).Status
        );
        Assert.Equal(before, (await shop.Get("/api/orders/demo-202/quote")).GetRawText());
        await shop.Send(HttpMethod.Post, "/api/undo");
    }

    [Fact]
    public async Task Another_quantity_is_compared_without_changing_the_order()
    {
        var at72 = await shop.Get("/api/orders/demo-205/compare?quantity=72");
        Assert.Equal(72, at72.GetProperty("pieces").GetInt32());
        Assert.Equal(36, at72.GetProperty("askedPieces").GetInt32());
        var fold = at72.GetProperty("folds")
            .EnumerateArray()
            .Single(f => f.GetProperty("methodId").GetString() == "sublimation");
        Assert.Contains(
            "polyester",
            fold.GetProperty("reasons")[0].GetProperty("wouldWork").GetString()!,
            StringComparison.Ordinal
        );
        foreach (var band in at72.GetProperty("bands").EnumerateArray())
        {
            Assert.Equal(
                band.GetProperty("costShown").GetDecimal(),
                band.GetProperty("strata").EnumerateArray().Sum(s => s.GetProperty("shown").GetDecimal())
            );
        }
    }

    [Fact]
    public async Task The_same_comparison_needs_no_stored_order()
    {
        var ask = (await shop.Get("/api/orders/demo-205")).GetProperty("ask");
        var body = Journey.Body(ask.GetRawText());
        var (status, loose) = await shop.Send(HttpMethod.Post, "/api/compute/compare", body);
        Assert.Equal(200, status);
        var kept = await shop.Get("/api/orders/demo-205/compare");
        Assert.Equal(
            kept.GetProperty("bands")[0].GetProperty("cost").GetProperty("value").GetDecimal(),
            loose.GetProperty("bands")[0].GetProperty("cost").GetProperty("value").GetDecimal()
        );
    }

    [Fact]
    public async Task Changes_are_streamed_as_hints()
    {
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        await using var stream = await shop.CreateClient().GetStreamAsync("/api/changes", stop.Token);
        using var reader = new StreamReader(stream);
        await reader.ReadLineAsync(stop.Token);
        await shop.Send(HttpMethod.Put, "/api/customers/streamed", """{"name":"Streamed","contact":""}""");
        string? line;
        do
        {
            line = await reader.ReadLineAsync(stop.Token);
        } while (line is not null && !line.Contains("streamed", StringComparison.Ordinal));
        Assert.Contains("\"kind\":\"customer\"", line, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Logs_hold_routes_and_no_names()
    {
        await shop.Get("/api/customers/find?text=Rowing");
        await shop.Get("/api/orders/demo-205");
        await using var file = new FileStream(
            Path.Combine(shop.Folder, "logs", "hepno.jsonl"),
            FileMode.Open,
            FileAccess.Read,
            FileShare.ReadWrite
        );
        using var reader = new StreamReader(file);
        var log = await reader.ReadToEndAsync();
        Assert.Contains("/api/orders/{id}", log, StringComparison.Ordinal);
        Assert.DoesNotContain("Rowing", log, StringComparison.Ordinal);
        Assert.DoesNotContain("demo-205", log, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_api_document_is_the_committed_one()
    {
        var served = await shop.CreateClient().GetStringAsync("/openapi/v1.json");
        var kept = await File.ReadAllTextAsync(Path.Combine(Tree.Root, "src/hepno-ui/src/api/openapi.json"));
        Assert.True(served == kept, "The API document has changed: run ./hepno api and look at the difference.");
        foreach (Match path in Regex.Matches(served, "\"operationId\": \"([^\"]+)\""))
        {
            Assert.NotEmpty(path.Groups[1].Value);
        }
    }

    [Theory]
    [InlineData("Hepno.Core", "", "NodaTime")]
    [InlineData("Hepno.Store", "Hepno.Core", "Microsoft.Data.Sqlite")]
    [InlineData(
        "Hepno.Formats",
        "Hepno.Core",
        "CsvHelper PDFsharp QRCoder SkiaSharp SkiaSharp.NativeAssets.Linux.NoDependencies Svg.Skia System.IO.Hashing ZXing.Net"
    )]
    [InlineData(
        "Hepno.Web",
        "Hepno.Core Hepno.Formats Hepno.Store",
        "Microsoft.AspNetCore.OpenApi NodaTime Serilog.AspNetCore"
    )]
    public void Arrows_point_inward_and_every_project_has_its_own_packages(
        string project,
        string references,
        string packages
    )
    {
        var xml = XDocument.Load(Path.Combine(Tree.Root, "src", project, $"{project}.csproj"));
        string Names(string element) =>
            string.Join(
                ' ',
                xml.Descendants(element)
                    .Select(e => Path.GetFileNameWithoutExtension(e.Attribute("Include")!.Value))
                    .Order(StringComparer.Ordinal)
            );
        Assert.Equal(references, Names("ProjectReference"));
        Assert.Equal(
            packages,
            string.Join(
                ' ',
                xml.Descendants("PackageReference")
                    .Select(e => e.Attribute("Include")!.Value)
                    .Order(StringComparer.Ordinal)
            )
        );
    }

    [Theory]
    [InlineData("System.IO")]
    [InlineData("UtcNow")]
    [InlineData("SystemClock")]
    [InlineData("new Random")]
    [InlineData("Microsoft.")]
    [InlineData("File.")]
    public void The_core_has_no_clock_no_chance_and_no_files(string forbidden) =>
        Assert.All(
            Directory
                .EnumerateFiles(Path.Combine(Tree.Root, "src", "Hepno.Core"), "*.cs", SearchOption.AllDirectories)
                .Where(f => !f.Contains("/obj/", StringComparison.Ordinal)),
            file => Assert.DoesNotContain(forbidden, File.ReadAllText(file), StringComparison.Ordinal)
        );
}
