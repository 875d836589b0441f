using System.Net;
using Hepno.Core.Quoting;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Background;
using Hepno.Web.Demo;
using Hepno.Web.Devices;
using Hepno.Web.Endpoints;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Wire;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.StaticFiles;
using Serilog;
using Serilog.Events;
using Serilog.Formatting.Compact;

namespace Hepno.Web.Host;

/// <summary>Builds and runs the host.</summary>
internal static class Shell
{
    public static string DefaultData =>
        Path.Combine(
            Environment.GetEnvironmentVariable("XDG_DATA_HOME") is { Length: > 0 } home
                ? home
                : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), ".local", "share"),
            "hepno"
        );

    public static async Task<int> RunAsync(string[] args)
    {
        try
        {
            var app = Build(args);
            var port = app.Configuration["Hepno:Port"] ?? "5080";
            try
            {
                await app.RunAsync();
                return 0;
            }
            catch (IOException taken)
                when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
            {
                await Console.Error.WriteLineAsync(
                    $"Port {port} is taken: choose another with --port, or --port 0 for any free one."
                );
                return 2;
            }
        }
        catch (IOException full) when (Refusals.OfFullDisk(full))
        {
            // the log's last lines cannot be written when it ends; everything that was answered is in the database
            await Console.Error.WriteLineAsync("The disk is full: the last lines of the log are lost, nothing else.");
            return 0;
        }
        catch (Exception refused) when (refused is NewerDataException or DataInUseException or DataTroubleException)
        {
            await Console.Error.WriteLineAsync(refused.Message);
            return 2;
        }
        catch (Exception refused) when (refused is IOException or UnauthorizedAccessException)
        {
            await Console.Error.WriteLineAsync(
                DataTrouble.Of(refused, DataOf(args))?.Message
                    ?? (
                        Directory.Exists(DataOf(args))
                            ? refused.Message
                            : $"The folder {DataOf(args)} cannot be made or reached. Name another with --data."
                    )
            );
            return 2;
        }
    }

    private static string DataOf(string[] args) =>
        Array.IndexOf(args, "--data") is >= 0 and var i && i + 1 < args.Length ? args[i + 1] : DefaultData;

    private static WebApplication Build(string[] args)
    {
        // "--demo --port 0" would read as demo = "--port"; and a bare key would also be read from the environment
        // (PORT, DATA, HOST)
        args = [.. args.Select(a => a is "--demo" or "--lan" ? $"{a}=true" : a)];
        var builder = WebApplication.CreateBuilder(args);
        builder.Configuration.AddCommandLine(
            args,
            new Dictionary<string, string>
            {
                ["--port"] = "Hepno:Port",
                ["--data"] = "Hepno:Data",
                ["--host"] = "Hepno:Host",
                ["--now"] = "Hepno:Now",
                ["--from"] = "Hepno:From",
                ["--demo"] = "Hepno:Demo",
                ["--lan"] = "Hepno:Lan",
            }
        );
        var data = builder.Configuration["Hepno:Data"] ?? DefaultData;
        Directory.CreateDirectory(data, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        var reach = new Listening(builder.Configuration, data);
        builder.Services.AddSingleton(reach);
        Services(builder, data);
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = Edge.LargestBody;
            var port = builder.Configuration.GetValue("Hepno:Port", 5080);
            foreach (var address in reach.Private.Prepend(IPAddress.Loopback))
            {
                k.Listen(address, port);
            }
        });
        var app = builder.Build();
        Pipeline(app);
        app.Lifetime.ApplicationStarted.Register(() => _ = Ready(app, reach));
        return app;
    }

    // the first call takes more than a second, while all calls are made ready: it is the program's own, so that nobody
    // waits for it
    private static async Task Ready(WebApplication app, Listening reach)
    {
        var server = app.Services.GetRequiredService<IServer>();
        var address = server.Features.Get<IServerAddressesFeature>()?.Addresses.FirstOrDefault();
        try
        {
            using var own = new HttpClient();
            using var answer = await own.GetAsync(new Uri($"{address}/healthz"), app.Lifetime.ApplicationStopping);
        }
        catch (Exception ended) when (ended is HttpRequestException or OperationCanceledException)
        {
            return;
        }
        await Console.Out.WriteLineAsync($"Hepno is ready at {address}");
        if (reach.Lan)
        {
            await Console.Out.WriteLineAsync(OnTheLan([.. DeviceEndpoints.Urls(server)]));
        }
    }

    private static string OnTheLan(IReadOnlyList<string> urls) =>
        urls.Count == 0
            ? "This machine has no address on a private network: other devices cannot reach it."
            : $"Other devices of the shop find it at {string.Join(" or ", urls)}\n{QrCode.Terminal(urls[0])}Let "
                + "each in once: Numbers, Let a device in. Never forward this port to the internet.";

    private static void Services(WebApplicationBuilder builder, string data)
    {
        builder.Services.AddSerilog(
            (_, log) =>
                log
                    .MinimumLevel.Information()
                    .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
                    .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics", LogEventLevel.Fatal)
                    .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
                    .WriteTo.Console(
                        restrictedToMinimumLevel: LogEventLevel.Warning,
                        formatProvider: System.Globalization.CultureInfo.InvariantCulture
                    )
                    .WriteTo.File(
                        new CompactJsonFormatter(),
                        Path.Combine(data, "logs", "hepno.jsonl"),
                        fileSizeLimitBytes: 10_000_000,
                        rollOnFileSizeLimit: true,
                        retainedFileCountLimit: 5
                    ),
            preserveStaticLogger: true
        );
        builder.Services.Configure<HostOptions>(o => o.ShutdownTimeout = TimeSpan.FromSeconds(2));
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            Json.Configured(o.SerializerOptions).UnmappedMemberHandling = System
                .Text
                .Json
                .Serialization
                .JsonUnmappedMemberHandling
                .Disallow;
            o.SerializerOptions.Converters.Add(new Json.SixDecimals());
            Json.WithoutPlaces(o.SerializerOptions);
            EdgeJson.Hold(o.SerializerOptions);
            TypedThings.Added(o.SerializerOptions);
        });
        builder.Services.AddProblemDetails();
        builder.Services.AddResponseCompression(o =>
        {
            o.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "application/problem+json", "image/svg+xml"];
            // gzip alone: measured on a comparison it is half the time and half the bytes of the other at its fastest
            o.Providers.Add<GzipCompressionProvider>();
        });
        builder.Services.AddExceptionHandler<Refusals>();
        builder.Services.AddOpenApi("v1", ApiDocument.Describe);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton<ShopClock>();
        builder.Services.AddSingleton<PiecesInHand>();
        builder.Services.AddSingleton<Pairing>();
        builder.Services.AddSingleton<AppFiles>();
        builder.Services.AddSingleton(_ => new Db(data));
        builder.Services.AddSingleton<OpenShop>();
        builder.Services.AddSingleton<LayoutSearches>();
        builder.Services.AddSingleton<Recosting>();
        builder.Services.AddSingleton<Copying>();
        builder.Services.AddSingleton<IPressReadout, SimulatedPress>();
        builder.Services.AddSingleton<IFilmPrinterReadout, SimulatedFilmPrinter>();
        builder.Services.AddHostedService<OpenStore>();
        builder.Services.AddHostedService<DailyCopies>();
        builder.Services.AddHostedService<LearningKeeper>();
    }

    private static void Pipeline(WebApplication app)
    {
        app.UseMiddleware<Door>();
        app.UseRouting();
        app.UseSerilogRequestLogging(o => Logged(o, app));
        app.UseResponseCompression();
        app.UseExceptionHandler();
        app.UseStatusCodePages(Unanswered);
        app.UseMiddleware<Admission>();
        app.Use(Edge.AtHand);
        app.UseDefaultFiles();
        var files = new StaticFileOptions { OnPrepareResponse = Cache };
        app.UseStaticFiles(files);
        app.MapOpenApi();
        app.MapGet("/healthz", () => TypedResults.Ok()).ExcludeFromDescription().OpenTo(Caller.Stranger);
        var api = app.MapGroup("/api").Guarded();
        foreach (var status in new[] { 400, 404, 409, 413, 415, 428 })
        {
            api.ProducesProblem(status);
        }
        Map(api);
        app.MapFallback("/api/{**rest}", () =>
                Refusals.Refuse(
                    404,
                    [
                        new(
                            "status-404",
                            "There is nothing at this address.",
                            Where: "",
                            "Look at the API document for what there is."
                        ),
                    ]
                )
            )
            .WithMetadata(new HttpMethodMetadata(["GET", "HEAD"]))
            .ExcludeFromDescription()
            .OpenTo(Caller.Press);
        app.MapFallbackToFile("index.html", files).OpenTo(Caller.Stranger);
    }

    private static void Logged(Serilog.AspNetCore.RequestLoggingOptions o, WebApplication app)
    {
        // the route, never the address: names and ids typed into an address stay out of the log
        o.Logger = app.Services.GetRequiredService<Serilog.ILogger>();
        o.MessageTemplate = "{RequestMethod} {Route} {StatusCode} {Elapsed:0.0} ms";
        o.GetMessageTemplateProperties = (http, _, elapsed, status) =>
            [
                new("RequestMethod", new ScalarValue(http.Request.Method)),
                new(
                    "Route",
                    new ScalarValue(
                        (
                            (http.Features.Get<IExceptionHandlerFeature>()?.Endpoint ?? http.GetEndpoint())
                            as RouteEndpoint
                        )
                            ?.RoutePattern
                            .RawText
                            ?? "none"
                    )
                ),
                new("StatusCode", new ScalarValue(status)),
                new("Elapsed", new ScalarValue(elapsed)),
            ];
    }

    private static Task Unanswered(StatusCodeContext context)
    {
        var status = context.HttpContext.Response.StatusCode;
        var (sentence, remedy) = status switch
        {
            404 => ("There is nothing at this address.", "Look at the API document for what there is."),
            405 => (
                $"{context.HttpContext.Request.Method} is not taken at this address.",
                "Look at the API document for what is."
            ),
            413 => ("That is more than 1 MB: Hepno does not take it.", "Send less at once."),
            415 => (
                "This content type is not taken here.",
                "Send JSON (application/json), or the kind of file the API document names for this call."
            ),
            _ => ("This was refused.", "Look at the call again."),
        };
        return Refusals
            .Refuse(status, [new($"status-{status}", sentence, "", remedy)])
            .ExecuteAsync(context.HttpContext);
    }

    private static void Map(RouteGroupBuilder api)
    {
        api.MapFloor();
        api.MapOrders();
        api.MapEndings();
        api.MapRuns();
        api.MapShop();
        api.MapCompute();
        api.MapWeighing();
        api.MapArchive();
        api.MapCopies();
        api.MapCsv();
        api.MapArtwork();
        api.MapArtworkLooks();
        api.MapTemplates();
        api.MapPlaces();
        api.MapPressChecks();
        api.MapSpotTests();
        api.MapUpkeep();
        api.MapSupplies();
        api.MapCures();
        api.MapLayouts();
        api.MapLineLayouts();
        api.MapLayoutFiles();
        api.MapChanges();
        api.MapDevices();
    }

    private static void Cache(StaticFileResponseContext context) =>
        context.Context.Response.Headers.CacheControl = context.Context.Request.Path.StartsWithSegments(
            "/assets",
            StringComparison.Ordinal
        )
            ? "public, max-age=31536000, immutable"
            : "no-cache";
}

/// <summary>Opens the data before listening and, for the demo, fills it after.</summary>
internal sealed class OpenStore(
    Db db,
    OpenShop shop,
    ShopClock clock,
    IConfiguration configuration,
    IHostApplicationLifetime life
) : IHostedService
{
    public Task StartAsync(CancellationToken cancellationToken)
    {
        db.Open(clock.Utc);
        _ = Task.Run(ReadAhead, cancellationToken);
        if (configuration.GetValue("Hepno:Demo", false))
        {
            life.ApplicationStarted.Register(() => DemoData.Fill(shop));
        }
        return Task.CompletedTask;
    }

    public Task StopAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    // the open orders and their plan take a second to read the first time: done while the calls are made ready, so that
    // the first screen need not wait for it
    private void ReadAhead()
    {
        try
        {
            db.Read(c =>
            {
                var book = shop.Book(c);
                return ShopFloor.Plan(shop.Open(c, book), book, clock.Wall(book.Numbers.Identity.TimeZone));
            });
        }
        catch (Exception met) when (met is not OutOfMemoryException)
        {
            // whoever asks for the line meets it again, and is answered in words
        }
    }
}
