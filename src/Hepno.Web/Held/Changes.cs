using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Wire;

namespace Hepno.Web.Held;

/// <summary>The stream of hints that something changed; screens fetch again what they show.</summary>
internal static class Changes
{
    private const int MostMissed = 500;

    public static void MapChanges(this IEndpointRouteBuilder api) =>
        api.MapGet("/changes", Stream)
            .WithName("changes")
            .WithTags("changes")
            .Produces(200, contentType: "text/event-stream")
            .OpenTo(Caller.Press);

    /// <summary>Server-sent events from Last-Event-ID on: <c>{seq, kind, id, version}</c> each, or <c>reload</c> after
    /// too many.</summary>
    internal static async Task Stream(HttpContext context, OpenShop shop, IHostApplicationLifetime life)
    {
        using var end = CancellationTokenSource.CreateLinkedTokenSource(
            context.RequestAborted,
            life.ApplicationStopping
        );
        context.Response.ContentType = "text/event-stream";
        try
        {
            var last =
                long.TryParse(context.Request.Headers["Last-Event-ID"], out var from)
                || long.TryParse(context.Request.Query["since"], out from)
                    ? from
                    : shop.Db.Read(ChangeStore.Last);
            await context.Response.WriteAsync($": open\nid: {last}\ndata: {{}}\n\n", end.Token);
            await context.Response.Body.FlushAsync(end.Token);
            while (true)
            {
                var next = shop.Db.NextWrite;
                if (Admission.CallerOf(context, shop.Db) == Caller.Stranger)
                {
                    return; // shut out while it listened
                }
                var changes = shop.Db.Read(c => ChangeStore.Since(c, last, MostMissed + 1));
                if (changes.Count > MostMissed)
                {
                    await context.Response.WriteAsync("event: reload\ndata: {}\n\n", end.Token);
                    return;
                }
                foreach (var change in changes)
                {
                    await context.Response.WriteAsync(
                        $"id: {change.Seq}\ndata: {System.Text.Json.JsonSerializer.Serialize(change, Json.Exact)}\n\n",
                        end.Token
                    );
                    last = change.Seq;
                }
                if (
                    changes.Count == 0
                    && await Task.WhenAny(next, Task.Delay(TimeSpan.FromSeconds(15), end.Token)) != next
                )
                {
                    end.Token.ThrowIfCancellationRequested();
                    await context.Response.WriteAsync(": still here\n\n", end.Token);
                }
                await context.Response.Body.FlushAsync(end.Token);
            }
        }
        catch (OperationCanceledException)
        {
            // the page or the program goes away: the stream ends
        }
    }
}
