using System.Diagnostics;
using System.Text.Json;
using System.Text.RegularExpressions;
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
            BadHttpRequestException bad => (bad.StatusCode, [await Unreadable(bad, httpContext.Request)], null),
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

    private static async Task<Problem> Unreadable(BadHttpRequestException bad, HttpRequest request)
    {
        switch (bad.StatusCode)
        {
            case 413:
                return new(
                    "too-large",
                    "That is more than 1 MB: Hepno does not take it.",
                    Where: "",
                    "Send less at once."
                );
            case 415:
                return new(
                    "media-type",
                    "This content type is not taken here.",
                    Where: "",
                    "Send JSON (application/json), or the kind of file the API document names for this call."
                );
            default:
                break;
        }
        if (bad.InnerException is not JsonException json)
        {
            var name = ParameterName().Match(bad.Message) is { Success: true } m ? m.Groups[1].Value : "";
            return name.Length > 0
                ? new(
                    "unreadable",
                    $"\"{name}\" in the address cannot be read.",
                    Where: name,
                    "Look at its value again."
                )
                : new("unreadable", "The body is empty or cannot be read.", Where: "", "Send JSON.");
        }
        var path = (json.Path ?? "$").TrimStart('$').TrimStart('.');
        if (json is UnfitJsonException unfit)
        {
            var field = path.Length == 0 || unfit.Field.StartsWith('[') ? path + unfit.Field : $"{path}.{unfit.Field}";
            return new("unfit", $"\"{field}\" {unfit.What}.", Where: field, unfit.Remedy);
        }
        if (Including().Match(json.Message) is { Success: true } missing)
        {
            var names = Quoted().Matches(missing.Groups[1].Value).Select(q => q.Groups[1].Value).ToList();
            var parent = path.Length == 0 ? "" : $"{path}.";
            return new(
                "missing-field",
                $"Missing: {string.Join(", ", names.Select(n => parent + n))}.",
                Where: parent + names[0],
                "Send every field; null where nothing is said."
            );
        }
        if (Unmapped().Match(json.Message) is { Success: true } unknown)
        {
            return new(
                "unknown-field",
                $"\"{unknown.Groups[1].Value}\" is not a field here.",
                Where: path,
                "Look at the API document for the names."
            );
        }
        if (path.Length == 0 || json.InnerException is JsonException)
        {
            return new(
                "malformed",
                "This is not JSON that can be read.",
                Where: "",
                "Look for a missing bracket, comma or quote."
            );
        }
        var typed = await Edge.Typed(request, path);
        return new(
            "unreadable-field",
            typed.Length == 0 ? $"\"{path}\" cannot be read." : $"\"{path}\" cannot be {typed}.",
            Where: path,
            "Look at its kind: a whole number, a number, text, a date like 2026-06-12, the shop's clock like "
                + "2026-06-12T14:00, or one of the words of the API document."
        );
    }

    [GeneratedRegex("including: (.+?)\\.?$", RegexOptions.Singleline)]
    private static partial Regex Including();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();

    [GeneratedRegex("The JSON property '([^']+)' could not be mapped")]
    private static partial Regex Unmapped();

    [GeneratedRegex("parameter \"\\S+ (\\w+)\"")]
    private static partial Regex ParameterName();

    [LoggerMessage(Level = LogLevel.Error, Message = "Fault {Id}")]
    private partial void LogFault(Exception exception, string id);
}
