using Hepno.Web.Wire;

namespace Hepno.Web.Entry;

/// <summary>One middleware before everything: who may ask, from where, and the headers on every answer.</summary>
internal sealed class Door(RequestDelegate next, Listening reach)
{
    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; "
        + "base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public async Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        // in OnStarting, because the exception handler clears what was set before
        context.Response.OnStarting(
            static state =>
            {
                var context = (HttpContext)state;
                var headers = context.Response.Headers;
                headers.ContentSecurityPolicy = Policy;
                headers.XContentTypeOptions = "nosniff";
                headers["Referrer-Policy"] = "no-referrer";
                // only the program's own files say that they may be kept
                if (headers.CacheControl.Count == 0)
                {
                    headers.CacheControl = "no-store";
                }
                return Task.CompletedTask;
            },
            context
        );
        if (Refuse(request) is { } refused)
        {
            await Refusals
                .Refuse(refused.Status, [new(refused.Code, refused.Sentence, "", refused.Remedy)])
                .ExecuteAsync(context);
            return;
        }
        await next(context);
    }

    private (int Status, string Code, string Sentence, string Remedy)? Refuse(HttpRequest request)
    {
        if (!reach.AnswersTo(request.Host.Host))
        {
            return (
                400,
                "host",
                "Hepno does not answer to the name "
                    + $"\"{(request.Host.Host.Length > 60 ? request.Host.Host[..60] : request.Host.Host)}\".",
                "Use 127.0.0.1, or start it with --host and the name."
            );
        }
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            return null;
        }
        var (origin, site) = (request.Headers.Origin, request.Headers["Sec-Fetch-Site"]);
        // a browser says one of four words; whatever else stands there was not put there by one
        if (
            (origin.Count > 0 && origin != $"{request.Scheme}://{request.Host}")
            || (site.Count > 0 && site != "same-origin" && site != "none")
        )
        {
            return (403, "origin", "Another site asked for this: refused.", "Open Hepno itself and do it there.");
        }
        return
            request.HasFormContentType
            || request.ContentType?.StartsWith("text/plain", StringComparison.OrdinalIgnoreCase) == true
            ? (415, "media-type", "Forms and plain text are not taken here.", "Send JSON (application/json).")
            : null;
    }
}
