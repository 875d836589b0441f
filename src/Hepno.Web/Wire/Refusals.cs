using System.Diagnostics;
using Hepno.Core.Measures;
using Hepno.Store;
using Microsoft.AspNetCore.Diagnostics;

namespace Hepno.Web.Wire;

/// <summary>Every refusal as problem details in the owner's words; never a .NET type name, never a bare 500.</summary>
internal sealed partial class Refusals(ILogger<Refusals> log, Db db) : IExceptionHandler
{
    private const int NoSpace = 28;

    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        var (status, problems, more) = exception switch
        {
            RefusedException refused => (refused.Status, refused.Problems, refused.More),
            StaleException stale => (
                409,
                [
                    new Problem(
                        "stale",
                        "This was changed on another device in the meantime.",
                        Where: "",
                        "Look at the change, then do it again."
                    ),
                ],
                new Dictionary<string, object?> { ["version"] = stale.Stands }
            ),
            BadHttpRequestException bad => (
                bad.StatusCode,
                [await UnreadableBody.Problem(bad, httpContext.Request)],
                null
            ),
            OverflowException => (
                400,
                [
                    new Problem(
                        "overflow",
                        "These figures are too large to be reckoned with together.",
                        Where: "",
                        "Look for one with too many digits."
                    ),
                ],
                null
            ),
            _ when DataTrouble.Of(exception, db.Folder) is { } trouble => (
                507,
                [new Problem(trouble.Code, trouble.Sentence, "", trouble.Remedy)],
                null
            ),
            _ => (500, (IReadOnlyList<Problem>)[], (IDictionary<string, object?>?)null),
        };
        if (status == 500)
        {
            var id = Activity.Current?.TraceId.ToString() ?? httpContext.TraceIdentifier;
            LogFault(exception, id);
            problems =
            [
                new Problem(
                    "fault",
                    $"Hepno made a mistake. It is written down under {id}.",
                    Where: "",
                    "What you typed is still here. Try again; nothing was half saved."
                ),
            ];
        }
        await Refuse(status, problems, more).ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>Whether a file could not be written for want of room.</summary>
    public static bool OfFullDisk(IOException exception) => exception.HResult == NoSpace;

    /// <summary>Problem details for problems.</summary>
    public static IResult Refuse(int status, IReadOnlyList<Problem> problems, IDictionary<string, object?>? more = null)
    {
        var extensions = new Dictionary<string, object?>(more ?? new Dictionary<string, object?>())
        {
            ["problems"] = problems,
        };
        return TypedResults.Problem(
            statusCode: status,
            title: problems[0].Sentence,
            detail: problems[0].Remedy,
            extensions: extensions
        );
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Fault {Id}")]
    private partial void LogFault(Exception exception, string id);
}
