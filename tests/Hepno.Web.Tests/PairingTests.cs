using System.Net;
using System.Net.Http.Json;
using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Devices of the shop's network: told nothing before the code, let in by it, shut out at the
/// counter.</summary>
public class PairingTests(Shop shop) : IClassFixture<Shop>
{
    // without a jar of its own: each test shows the cookie it was given
    private HttpClient Tablet =>
        new(new SocketsHttpHandler { UseCookies = false }) { BaseAddress = shop.CreateClient().BaseAddress };

    private async Task<HttpResponseMessage> FromTablet(
        HttpMethod method,
        string path,
        object? body = null,
        string? cookie = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        request.Headers.Add("Test-From", "10.0.0.7");
        if (cookie is not null)
        {
            request.Headers.Add("Cookie", cookie);
        }
        request.Content = body is null ? null : JsonContent.Create(body);
        return await Tablet.SendAsync(request);
    }

    private async Task<HttpResponseMessage> Pair(string code, string name = "Tablet at press 1") =>
        await FromTablet(HttpMethod.Post, "/api/devices/pair", new { code, name });

    private async Task<string> NewCode() =>
        (await shop.Send(HttpMethod.Post, "/api/devices/code", """{"role":"counter"}"""))
            .Body.GetProperty("code")
            .GetString()!;

    private static string Another(string code) => code == "000000" ? "000001" : "000000";

    [Theory]
    [InlineData("/api/line")]
    [InlineData("/api/orders/demo-204")]
    [InlineData("/api/changes")]
    [InlineData("/api/devices")]
    [InlineData("/openapi/v1.json")]
    public async Task A_device_that_was_not_let_in_is_told_nothing(string path)
    {
        using var answer = await FromTablet(HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.Unauthorized, answer.StatusCode);
        Assert.Contains(
            "This device has not been let in.",
            await answer.Content.ReadAsStringAsync(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task It_sees_the_page_that_asks_for_the_code()
    {
        using var answer = await FromTablet(HttpMethod.Get, "/healthz");
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
    }

    [Fact]
    public async Task The_code_lets_one_device_in_until_it_is_shut_out_at_the_counter()
    {
        var code = await NewCode();
        Assert.Matches("^[0-9]{6}$", code);
        using var paired = await Pair($"{code[..3]} {code[3..]}");
        Assert.Equal(HttpStatusCode.OK, paired.StatusCode);
        var set = paired.Headers.GetValues("Set-Cookie").Single();
        Assert.Contains("httponly", set, StringComparison.OrdinalIgnoreCase);
        Assert.Contains("samesite=strict", set, StringComparison.OrdinalIgnoreCase);
        var cookie = set[..set.IndexOf(';', StringComparison.Ordinal)];
        var id = (await paired.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("id").GetString();

        using var used = await Pair(code);
        Assert.Equal(HttpStatusCode.Forbidden, used.StatusCode);
        using var line = await FromTablet(HttpMethod.Get, "/api/line", cookie: cookie);
        Assert.Equal(HttpStatusCode.OK, line.StatusCode);
        using var makes = await FromTablet(HttpMethod.Post, "/api/devices/code", cookie: cookie);
        Assert.Equal(HttpStatusCode.Forbidden, makes.StatusCode);
        using var shuts = await FromTablet(HttpMethod.Delete, $"/api/devices/{id}", cookie: cookie);
        Assert.Equal(HttpStatusCode.Forbidden, shuts.StatusCode);

        using var listening = new HttpRequestMessage(HttpMethod.Get, "/api/changes");
        listening.Headers.Add("Test-From", "10.0.0.7");
        listening.Headers.Add("Cookie", cookie);
        using var stream = await Tablet.SendAsync(listening, HttpCompletionOption.ResponseHeadersRead);
        Assert.Equal(HttpStatusCode.OK, stream.StatusCode);
        Assert.Equal(200, (await shop.Send(HttpMethod.Delete, $"/api/devices/{id}")).Status);
        await stream.Content.ReadAsStringAsync().WaitAsync(TimeSpan.FromSeconds(5)); // the open stream ends too
        using var after = await FromTablet(HttpMethod.Get, "/api/line", cookie: cookie);
        Assert.Equal(HttpStatusCode.Unauthorized, after.StatusCode);
        var devices = (await shop.Get("/api/devices")).GetProperty("devices").EnumerateArray();
        Assert.Contains(devices, d =>
            d.GetProperty("id").GetString() == id
            && d.GetProperty("shutOut").GetBoolean()
            && d.GetProperty("name").GetString() == "Tablet at press 1"
        );
    }

    [Fact]
    public async Task Ten_wrong_tries_use_the_code_up()
    {
        var code = await NewCode();
        for (var i = 0; i < 10; i++)
        {
            using var wrong = await Pair(Another(code));
            Assert.Equal(HttpStatusCode.Forbidden, wrong.StatusCode);
        }
        using var right = await Pair(code);
        Assert.Equal(HttpStatusCode.Forbidden, right.StatusCode);
    }

    [Theory]
    [InlineData("", "The device has no name.")]
    [InlineData("0123456789012345678901234567890123456789012345678901234567890", "A name of 61 characters.")]
    public async Task A_device_needs_a_name_and_a_refused_name_keeps_the_code(string name, string sentence)
    {
        var code = await NewCode();
        using var refused = await Pair(code, name);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Contains(sentence, await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        using var named = await Pair(code);
        Assert.Equal(HttpStatusCode.OK, named.StatusCode);
    }

    [Fact]
    public async Task Nobody_is_let_in_while_no_code_is_shown_and_no_stranger_by_a_made_up_cookie()
    {
        using var made = await FromTablet(HttpMethod.Get, "/api/line", cookie: $"hepno-let-in={new string('a', 64)}");
        Assert.Equal(HttpStatusCode.Unauthorized, made.StatusCode);
        Assert.Equal(404, (await shop.Send(HttpMethod.Delete, "/api/devices/none")).Status);
    }
}
