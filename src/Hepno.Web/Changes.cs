using Hepno.Store;

namespace Hepno.Web;

internal static class Changes
{
    public static void MapChanges(this IEndpointRouteBuilder api) =>
        api.MapGet("/changes", Stream).WithName("changes").WithTags("changes").Produces(200, contentType: "text/event-stream");

    private static async Task Stream(HttpContext context, Db db, IHostApplicationLifetime life)
    {
        using var end = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
        context.Response.ContentType = "text/event-stream";
        try
        {
            var last = db.Read(ChangeStore.Last);
            await context.Response.WriteAsync($"id: {last}\ndata: {{}}\n\n", end.Token);
            await context.Response.Body.FlushAsync(end.Token);
            while (true)
            {
                await Task.Delay(TimeSpan.FromSeconds(15), end.Token);
                await context.Response.WriteAsync(": still here\n\n", end.Token);
                await context.Response.Body.FlushAsync(end.Token);
            }
        }
        catch (OperationCanceledException)
        {
            // the page or the program goes away: the stream ends
        }
    }
}
