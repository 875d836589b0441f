using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;

namespace Hepno.Web;

internal sealed class Refusals : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        if (exception is not BadHttpRequestException bad)
        {
            return false;
        }
        var where = (bad.InnerException as JsonException)?.Path;
        await TypedResults.Problem(statusCode: bad.StatusCode, title: where is null ? "This cannot be read." : "This field cannot be read.",
            extensions: new Dictionary<string, object?> { ["where"] = where }).ExecuteAsync(httpContext);
        return true;
    }
}
