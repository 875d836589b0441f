using System.Globalization;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Learning;
using Hepno.Store;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using NodaTime.Text;

namespace Hepno.Web.Tests;

/// <summary>The program on real Kestrel with a real database in a folder of its own, filled with the demo
/// shop.</summary>
public sealed class Shop : WebApplicationFactory<Program>
{
    /// <summary>Where the shop's clock begins: a Tuesday morning, so that no test hangs on the hour it is run
    /// at.</summary>
    private static readonly Instant Begins = Instant.FromUtc(2026, 3, 10, 9, 30, 0);

    private readonly bool demo;

    public Shop()
        : this(true) { }

    internal Shop(bool demo)
    {
        this.demo = demo;
        UseKestrel();
    }

    /// <summary>The day some days from the shop's today, as 2026-03-10.</summary>
    public static string DaysOn(int days) => LocalDatePattern.Iso.Format(Begins.InUtc().Date.PlusDays(days));

    public string Folder { get; } = Directory.CreateTempSubdirectory("hepno-web-").FullName;

    /// <summary>Moves the shop to another zone.</summary>
    public async Task KeepsTheClockOf(string zone)
    {
        var numbers = await Get("/api/numbers");
        var body = JsonNode.Parse(numbers.GetProperty("value").GetRawText())!;
        body["identity"]!["timeZone"] = zone;
        var (status, said) = await Send(
            HttpMethod.Put,
            "/api/numbers",
            body.ToJsonString(),
            numbers.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        Assert.True(status == 200, said.ToString());
    }

    /// <summary>Waits until what past orders taught is kept: what hours earned is known from then on, and answers stay
    /// as they are.</summary>
    public async Task HasLearned()
    {
        await using var connection = new SqliteConnection($"Data Source={Path.Combine(Folder, "hepno.db")}");
        await connection.OpenAsync();
        while (LearnedStore.Missing(connection, ShopLearning.Rule, 1).Count > 0)
        {
            await Task.Delay(50);
        }
    }

    public async Task<JsonElement> Get(string path) => await CreateClient().GetFromJsonAsync<JsonElement>(path);

    /// <summary>Sends and answers with status and body.</summary>
    public async Task<(int Status, JsonElement Body)> Send(
        HttpMethod method,
        string path,
        string? json = null,
        string? ifMatch = null,
        string? type = "application/json",
        Action<HttpRequestMessage>? more = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (json is not null)
        {
            request.Content = new StringContent(json, Encoding.UTF8);
            request.Content.Headers.ContentType = type is null ? null : new(type);
        }
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{ifMatch}\"");
        }
        request.Headers.Add("Hepno-Device", "tests");
        more?.Invoke(request);
        using var answer = await CreateClient().SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? default : JsonDocument.Parse(text).RootElement.Clone());
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        builder.UseSetting("Hepno:Data", Folder);
        builder.UseSetting("Hepno:Port", "0");
        builder.UseSetting("Hepno:From", InstantPattern.ExtendedIso.Format(Begins));
        builder.UseSetting("Hepno:Demo", demo ? "true" : "false");
        builder.ConfigureTestServices(s => s.AddSingleton<IStartupFilter, FromElsewhere>());
    }

    /// <summary>Lets a test call as a device of the shop's network: the header names its address.</summary>
    private sealed class FromElsewhere : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
            app =>
            {
                app.Use(
                    (context, rest) =>
                    {
                        if (context.Request.Headers["Test-From"] is [{ } from])
                        {
                            context.Connection.RemoteIpAddress = System.Net.IPAddress.Parse(from);
                        }
                        return rest(context);
                    }
                );
                next(app);
            };
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && Directory.Exists(Folder))
        {
            Directory.Delete(Folder, recursive: true);
        }
    }
}
