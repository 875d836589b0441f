namespace Hepno.Web;

internal sealed class Door(RequestDelegate next, IConfiguration configuration)
{
    private readonly string[] hosts = ["127.0.0.1", "localhost", "[::1]", .. (configuration["Hepno:Host"] ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries)];

    public async Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        context.Response.OnStarting(static state =>
        {
            var context = (HttpContext)state;
            var headers = context.Response.Headers;
            headers.ContentSecurityPolicy = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
            headers.XContentTypeOptions = "nosniff";
            headers["Referrer-Policy"] = "no-referrer";
            if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
            {
                headers.CacheControl = "no-store";
            }
            return Task.CompletedTask;
        }, context);
        var refused = Refuse(request);
        if (refused is null)
        {
            await next(context);
            return;
        }
        await TypedResults.Problem(statusCode: refused).ExecuteAsync(context);
    }

    private int? Refuse(HttpRequest request)
    {
        if (!hosts.Contains(request.Host.Host, StringComparer.OrdinalIgnoreCase))
        {
            return 400;
        }
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            return null;
        }
        var origin = request.Headers.Origin;
        if ((origin.Count > 0 && origin != $"{request.Scheme}://{request.Host}") || request.Headers["Sec-Fetch-Site"] == "cross-site")
        {
            return 403;
        }
        return request.HasFormContentType || request.ContentType?.StartsWith("text/plain", StringComparison.OrdinalIgnoreCase) == true ? 415 : null;
    }
}
