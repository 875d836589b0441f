using System.Net;
using System.Text.Json;
using System.Text.Json.Serialization;
using Hepno.Core.Planning;
using Hepno.Solver;
using Hepno.Store;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.StaticFiles;
using NodaTime;
using Serilog;
using Serilog.Events;
using Serilog.Formatting.Compact;

namespace Hepno.Web;

internal static class Shell
{
    public static async Task<int> RunAsync(string[] args)
    {
        var app = Build(args);
        var port = app.Configuration["Hepno:Port"] ?? "5080";
        try
        {
            await app.RunAsync();
            return 0;
        }
        catch (IOException taken) when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
        {
            await Console.Error.WriteLineAsync($"Port {port} is taken: choose another with --port, or --port 0 for any free one.");
            return 2;
        }
    }

    private static WebApplication Build(string[] args)
    {
        // "--lan --port 0" would read as lan = "--port"; and a bare key would also be read from the environment (PORT, DATA, HOST)
        args = [.. args.Select(a => a == "--lan" ? "--lan=true" : a)];
        var builder = WebApplication.CreateBuilder(args);
        builder.Configuration.AddCommandLine(args, new Dictionary<string, string>
        {
            ["--port"] = "Hepno:Port",
            ["--data"] = "Hepno:Data",
            ["--host"] = "Hepno:Host",
            ["--lan"] = "Hepno:Lan",
        });
        var data = builder.Configuration["Hepno:Data"] ?? Path.Combine(Path.GetTempPath(), "hepno-bare");
        Directory.CreateDirectory(data, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        builder.Services.AddSerilog((_, log) => log
            .MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft.AspNetCore", LogEventLevel.Warning)
            .MinimumLevel.Override("Microsoft.Hosting.Lifetime", LogEventLevel.Warning)
            .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
            .WriteTo.Console(formatProvider: System.Globalization.CultureInfo.InvariantCulture)
            .WriteTo.File(new CompactJsonFormatter(), Path.Combine(data, "logs", "hepno.jsonl"), fileSizeLimitBytes: 10_000_000, rollOnFileSizeLimit: true, retainedFileCountLimit: 5),
            preserveStaticLogger: true);
        builder.Services.Configure<HostOptions>(o => o.ShutdownTimeout = TimeSpan.FromSeconds(2));
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            var json = o.SerializerOptions;
            json.NumberHandling = JsonNumberHandling.Strict;
            json.RespectNullableAnnotations = true;
            json.RespectRequiredConstructorParameters = true;
            json.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
            json.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        });
        builder.Services.AddProblemDetails();
        builder.Services.AddResponseCompression(o => o.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "application/problem+json", "image/svg+xml"]);
        builder.Services.AddExceptionHandler<Refusals>();
        builder.Services.AddOpenApi("v1", o => o.AddDocumentTransformer((document, _, _) =>
        {
            document.Servers?.Clear();
            document.Info.Title = "Hepno";
            return Task.CompletedTask;
        }));
        builder.Services.AddSingleton<IClock>(SystemClock.Instance);
        builder.Services.AddSingleton<IPlanSearch, CpSatSearch>();
        builder.Services.AddSingleton(_ => new Db(data));
        builder.Services.AddHostedService<OpenStore>();
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = 1_000_000;
            k.Listen(IPAddress.Loopback, builder.Configuration.GetValue("Hepno:Port", 5080));
        });

        var app = builder.Build();
        app.UseMiddleware<Door>();
        app.UseResponseCompression();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseDefaultFiles();
        var files = new StaticFileOptions { OnPrepareResponse = Cache };
        app.UseStaticFiles(files);
        app.MapOpenApi();
        app.MapGet("/healthz", () => TypedResults.Ok()).ExcludeFromDescription();
        var api = app.MapGroup("/api");
        foreach (var status in new[] { 400, 404, 409, 413, 415, 428 })
        {
            api.ProducesProblem(status);
        }
        api.MapPlans();
        api.MapChanges();
        app.MapFallback("/api/{**rest}", () => TypedResults.Problem(statusCode: 404))
            .WithMetadata(new HttpMethodMetadata(["GET", "HEAD"]))
            .ExcludeFromDescription();
        app.MapFallbackToFile("index.html", files);
        app.Lifetime.ApplicationStarted.Register(() =>
        {
            var address = app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()?.Addresses.FirstOrDefault();
            Console.Out.WriteLine($"Hepno is ready at {address}");
        });
        return app;
    }

    private static void Cache(StaticFileResponseContext context) =>
        context.Context.Response.Headers.CacheControl = context.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal)
            ? "public, max-age=31536000, immutable"
            : "no-cache";
}

internal sealed class OpenStore(Db db) : IHostedService
{
    public Task StartAsync(CancellationToken cancellationToken)
    {
        db.Migrate();
        return Task.CompletedTask;
    }

    public Task StopAsync(CancellationToken cancellationToken) => Task.CompletedTask;
}
