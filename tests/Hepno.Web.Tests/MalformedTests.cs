using System.Net.Http.Headers;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Xunit.Abstractions;

namespace Hepno.Web.Tests;

/// <summary>Calls out of the API document with what nobody should send: each is refused in words, none is a fault, and
/// a refused one leaves nothing behind.</summary>
public class MalformedTests(Shop shop, ITestOutputHelper output) : IClassFixture<Shop>
{
    private const int Seed = 20261129;

    // each operation some three times; with --long about a hundred times
    private static int Calls => Environment.GetEnvironmentVariable("HEPNO_LONG") is { Length: > 0 } ? 20_000 : 640;

    [Fact]
    public async Task No_call_is_a_fault_and_a_refused_one_leaves_nothing_behind()
    {
        using var client = shop.CreateClient();
        var document = JsonNode.Parse(await client.GetStringAsync("/openapi/v1.json"))!;
        var answers = new List<JsonNode>();
        foreach (
            var path in (string[])
                [
                    "/api/orders",
                    "/api/orders/demo-202",
                    "/api/orders/demo-205",
                    "/api/styles",
                    "/api/presses",
                    "/api/recipes",
                    "/api/numbers",
                    "/api/films",
                    "/api/vinyls",
                    "/api/screens",
                    "/api/film-printers",
                    "/api/customers",
                    "/api/runs/demo-202",
                    "/api/artwork",
                    "/api/upkeep",
                    "/api/supplies",
                    "/api/orders/demo-205/lines/1/layout",
                ]
        )
        {
            answers.Add(JsonNode.Parse(await client.GetStringAsync(path))!);
        }
        var calls = new MalformedCalls(document, answers, Seed);
        await using var look = new SqliteConnection(
            $"Data Source={Path.Combine(shop.Folder, "hepno.db")};Mode=ReadOnly;Pooling=False"
        );
        await look.OpenAsync();
        var wrong = new List<string>();
        var counts = new SortedDictionary<int, int>();
        for (var turn = 0; turn < Calls; turn++)
        {
            var call = calls.Next(turn);
            var before = Written(look);
            var (status, text) = await Send(client, call);
            counts[status] = counts.GetValueOrDefault(status) + 1;
            if (status >= 500)
            {
                wrong.Add($"{turn}: {status} {call.Method} {call.Path} {Body(call)}");
            }
            // an address with a zero in it is refused before it reaches the program
            else if (
                status >= 400
                && !call.Path.Contains("%00", StringComparison.Ordinal)
                && Lacks(text) is { Length: > 0 } lacks
            )
            {
                wrong.Add($"{turn}: {status} {call.Method} {call.Path} {lacks} {Body(call)}");
            }
            if (status >= 400 && Written(look) != before)
            {
                wrong.Add($"{turn}: {status} {call.Method} {call.Path} was refused and kept {Body(call)}");
            }
        }
        output.WriteLine(
            $"seed {Seed}, {Calls} calls of {calls.Operations} operations: "
                + $"{string.Join(", ", counts.Select(c => $"{c.Key} × {c.Value}"))}"
        );
        Assert.True(wrong.Count == 0, $"{wrong.Count} of {Calls}:\n{string.Join('\n', wrong.Take(60))}");
    }

    // every write says a change; what is refused says none
    private static long Written(SqliteConnection look)
    {
        using var command = look.CreateCommand();
        command.CommandText =
            "SELECT (SELECT coalesce(max(seq), 0) FROM change) * 1000000 + (SELECT count(*) FROM history)";
        return (long)command.ExecuteScalar()!;
    }

    private static string Lacks(string text)
    {
        try
        {
            var problems = JsonDocument.Parse(text).RootElement.GetProperty("problems");
            if (problems.GetArrayLength() == 0)
            {
                return "without a problem";
            }
            bool Has(JsonElement problem, string part) => problem.GetProperty(part).GetString()!.Trim().Length > 0;
            if (!problems.EnumerateArray().All(p => Has(p, "sentence") && Has(p, "remedy")))
            {
                return "without words";
            }
            string[] inside = ["System.", "Exception"];
            return inside.Any(w => text.Contains(w, StringComparison.Ordinal)) ? "in the program's words" : "";
        }
        catch (Exception unread) when (unread is JsonException or KeyNotFoundException)
        {
            return "unreadable";
        }
    }

    private static string Body(Malformed call) =>
        call.Body is null ? ""
        : System.Text.Encoding.UTF8.GetString(call.Body) is var text && text.Length > 700 ? text[..700]
        : text;

    private static async Task<(int Status, string Text)> Send(HttpClient client, Malformed call)
    {
        var address = new Uri(
            client.BaseAddress!.GetLeftPart(UriPartial.Authority) + call.Path,
            new UriCreationOptions { DangerousDisablePathAndQueryCanonicalization = true }
        );
        using var request = new HttpRequestMessage(new(call.Method), address);
        if (call.Body is not null)
        {
            request.Content = new ByteArrayContent(call.Body);
            request.Content.Headers.ContentType = call.MediaType is null
                ? null
                : MediaTypeHeaderValue.Parse(call.MediaType);
        }
        if (call.IfMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", call.IfMatch);
        }
        using var answer = await client.SendAsync(request);
        return ((int)answer.StatusCode, await answer.Content.ReadAsStringAsync());
    }
}
