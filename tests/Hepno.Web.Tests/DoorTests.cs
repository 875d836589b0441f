using System.Net.Http.Json;
using System.Text.Json;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Hepno.Web.Tests;

/// <summary>Every route, document and file, spelled in six ways, asked for by everybody who may stand at the
/// door.</summary>
public class DoorTests(Shop shop) : IClassFixture<Shop>
{
    private const string Outsider = "10.0.0.7";

    // from the one who may least
    private static readonly string[] Callers = ["stranger", "press", "counter", "machine"];

    private static readonly string Table = Path.Combine(Tree.Root, "tests", "cases", "doors.csv");

    private static readonly Dictionary<string, Func<string, string>> Spellings = new()
    {
        ["plain"] = path => path,
        ["case"] = path => path.ToUpperInvariant(),
        ["encoded"] = path =>
            string.Concat(
                path.Select(
                    (c, i) => i > 0 && path[i - 1] == '/' && char.IsAsciiLetter(c) ? $"%{(int)c:x2}" : c.ToString()
                )
            ),
        ["doubled"] = path => path.Replace("/", "//", StringComparison.Ordinal),
        ["trailing"] = path => path + "/",
        ["dots"] = path => $"/x/..{path.Replace("/", "/./", StringComparison.Ordinal)}",
    };

    private HttpClient Outside =>
        new(new SocketsHttpHandler { UseCookies = false }) { BaseAddress = shop.CreateClient().BaseAddress };

    // every way to call a route of the program; the app's own page answers what is none
    private List<string> Routes()
    {
        shop.CreateClient().Dispose();
        return
        [
            .. shop
                .Services.GetRequiredService<EndpointDataSource>()
                .Endpoints.OfType<RouteEndpoint>()
                .Where(e => e.RoutePattern.RawText != "{*path:nonfile}")
                .SelectMany(e =>
                    (e.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? ["GET"]).Select(m =>
                        $"{m},/{e.RoutePattern.RawText!.TrimStart('/')}"
                    )
                )
                .Order(StringComparer.Ordinal),
        ];
    }

    private static string Address(string route) =>
        System.Text.RegularExpressions.Regex.Replace(route, @"\{\*?\*?([A-Za-z]+)[^}]*\}", m =>
            (m.Groups[1].Value, route) switch
            {
                ("id", var r)
                    when r.StartsWith("/api/orders", StringComparison.Ordinal)
                        || r.StartsWith("/api/runs", StringComparison.Ordinal) => "demo-202",
                ("documentName", _) => "v1",
                ("line", _) => "1",
                ("kind", _) => "styles",
                _ => "none",
            }
        );

    private static async Task<(int Status, bool IsPage)> Call(
        HttpClient client,
        string method,
        string path,
        string? from,
        string? cookie
    )
    {
        var address = new Uri(
            client.BaseAddress!.GetLeftPart(UriPartial.Authority) + path,
            new UriCreationOptions { DangerousDisablePathAndQueryCanonicalization = true }
        );
        using var request = new HttpRequestMessage(new(method), address);
        if (from is not null)
        {
            request.Headers.Add("Test-From", from);
        }
        if (cookie is not null)
        {
            request.Headers.Add("Cookie", cookie);
        }
        using var answer = await client.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
        return ((int)answer.StatusCode, answer.Content.Headers.ContentType?.MediaType == "text/html");
    }

    private async Task<(string Id, string Cookie)> LetIn(string role)
    {
        var code = (await shop.Send(HttpMethod.Post, "/api/devices/code", $$"""{"role":"{{role}}"}"""))
            .Body.GetProperty("code")
            .GetString()!;
        using var client = Outside;
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/devices/pair")
        {
            Content = JsonContent.Create(new { code, name = role }),
        };
        request.Headers.Add("Test-From", Outsider);
        using var answer = await client.SendAsync(request);
        var cookie = answer.Headers.GetValues("Set-Cookie").Single();
        return (
            (await answer.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("id").GetString()!,
            cookie[..cookie.IndexOf(';', StringComparison.Ordinal)]
        );
    }

    [Fact]
    public void Every_route_stands_in_the_table_of_who_may_call_it() =>
        Assert.Equal(Routes(), File.ReadAllLines(Table).Skip(1).Select(l => l[..l.LastIndexOf(',')]));

    [Fact]
    public async Task However_a_route_is_spelled_nobody_gets_more_than_the_table_says()
    {
        var (shutOutId, shutOut) = await LetIn("counter");
        await shop.Send(HttpMethod.Delete, $"/api/devices/{shutOutId}");
        var who = new (string Name, int May, string? Cookie)[]
        {
            ("stranger", 0, null),
            ("shut out", 0, shutOut),
            ("press", 1, (await LetIn("press")).Cookie),
            ("counter", 2, (await LetIn("counter")).Cookie),
        };
        using var client = Outside;
        var wrong = new List<string>();
        foreach (var line in (await File.ReadAllLinesAsync(Table)).Skip(1))
        {
            var cells = line.Split(',');
            var least = Array.IndexOf(Callers, cells[2]);
            foreach (var (name, may, cookie) in who)
            {
                foreach (var (spelling, spell) in Spellings)
                {
                    var (status, isPage) = await Call(client, cells[0], spell(Address(cells[1])), Outsider, cookie);
                    // what is spelled so that it means nothing is answered with the app's own page, or not at all
                    var fits =
                        may >= least ? spelling != "plain" || status is not (401 or 403)
                        : may == 0 ? status is 401 or 400 || (status == 200 && isPage)
                        : status is 403 or 404 or 405 or 400 || (status == 200 && isPage);
                    if (!fits)
                    {
                        wrong.Add($"{name}: {cells[0]} {spell(Address(cells[1]))} answered {status}");
                    }
                }
            }
        }
        Assert.Empty(wrong);
    }

    [Fact]
    public async Task A_stranger_sees_the_programs_own_files_and_nothing_of_the_shops_folder()
    {
        using var client = Outside;
        var root = shop.Services.GetRequiredService<IWebHostEnvironment>().WebRootPath;
        var own = Directory
            .EnumerateFiles(root, "*", SearchOption.AllDirectories)
            .Select(f => "/" + Path.GetRelativePath(root, f))
            .ToList();
        Assert.NotEmpty(own);
        foreach (
            var path in own.Concat(
                Directory
                    .EnumerateFiles(shop.Folder, "*", SearchOption.AllDirectories)
                    .Select(f => "/" + Path.GetRelativePath(shop.Folder, f))
            )
        )
        {
            foreach (var (spelling, spell) in Spellings)
            {
                var (status, isPage) = await Call(client, "GET", spell(path), Outsider, null);
                var isOwn = own.Contains(path) && spelling is "plain" or "encoded" or "dots";
                Assert.True(status == 401 || (status == 200 && (isOwn || isPage)), $"{spell(path)}: {status}");
            }
        }
        Assert.Equal(401, (await Call(client, "GET", "/..%2f..%2fhepno.db", Outsider, null)).Status);
        Assert.Equal(401, (await Call(client, "POST", "/index.html", Outsider, null)).Status);
    }

    [Theory]
    [InlineData("Sec-Fetch-Site", "same-site")]
    [InlineData("Sec-Fetch-Site", "cross-site")]
    [InlineData("Sec-Fetch-Site", "Cross-Site")]
    [InlineData("Sec-Fetch-Site", "same-origin, cross-site")]
    [InlineData("Sec-Fetch-Site", "")]
    [InlineData("Origin", "null")]
    [InlineData("Origin", "HTTP://127.0.0.1")]
    public async Task A_change_that_another_page_asks_for_is_refused(string header, string value)
    {
        var (status, _) = await shop.Send(
            HttpMethod.Put,
            "/api/customers/door-site",
            """{"name":"A","contact":""}""",
            more: r => r.Headers.TryAddWithoutValidation(header, value)
        );
        Assert.Equal(403, status);
        Assert.DoesNotContain("door-site", (await shop.Get("/api/customers")).GetRawText(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/API/line")]
    [InlineData("/api/orders/none")]
    [InlineData("/openapi/v1.json")]
    public async Task Nothing_of_the_shop_may_be_kept_by_a_browser_however_its_address_is_spelled(string path)
    {
        using var answer = await shop.CreateClient().GetAsync(path);
        Assert.True(answer.Headers.CacheControl!.NoStore);
    }

    [Fact]
    public async Task A_tablet_at_the_press_works_there_and_neither_exports_the_shop_nor_erases_a_customer()
    {
        var (id, cookie) = await LetIn("press");
        using var client = Outside;
        async Task<int> Ask(string method, string path) => (await Call(client, method, path, Outsider, cookie)).Status;
        foreach (
            var works in new[]
            {
                "/api/line",
                "/api/press-day",
                "/api/press-day.pdf",
                "/api/gather",
                "/api/orders/demo-202",
                "/api/presses",
                "/api/recipes",
                "/api/orders/demo-201/sending",
            }
        )
        {
            Assert.Equal(200, await Ask("GET", works));
        }
        foreach (
            var (method, path) in new[]
            {
                ("GET", "/api/archive"),
                ("PUT", "/api/archive"),
                ("GET", "/api/customers"),
                ("POST", "/api/customers/rowing/erase"),
                ("GET", "/api/customers/rowing/export"),
                ("GET", "/api/csv/customers"),
                ("PUT", "/api/numbers"),
                ("POST", "/api/orders/demo-205/send"),
            }
        )
        {
            Assert.Equal(403, await Ask(method, path));
        }
        // no price and no profit on its slip
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/orders/demo-205");
        request.Headers.Add("Test-From", Outsider);
        request.Headers.Add("Cookie", cookie);
        using var answer = await client.SendAsync(request);
        var slip = (await answer.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("slip");
        Assert.Equal(
            ["Pieces", "Due"],
            slip.GetProperty("rows").EnumerateArray().Select(r => r.GetProperty("label").GetString()!)
        );
        Assert.Equal("", slip.GetProperty("hero").GetString());
        Assert.Equal("the counter", slip.GetProperty("action").GetProperty("waits").GetString());
        Assert.Equal(
            200,
            (await shop.Send(HttpMethod.Put, $"/api/devices/{id}/role", """{"role":"counter"}""")).Status
        );
        Assert.Equal(200, await Ask("GET", "/api/archive"));
        Assert.Equal(403, await Ask("POST", "/api/devices/code"));
        Assert.Equal(404, (await shop.Send(HttpMethod.Put, "/api/devices/none/role", """{"role":"press"}""")).Status);
    }
}
