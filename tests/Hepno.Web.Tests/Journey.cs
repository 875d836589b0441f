using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Takes one order along the line through the API, as a device does.</summary>
public sealed class Journey(Shop shop, string id, string method = "dtf-bought")
{
    public static readonly string[] Stations =
    [
        "ask",
        "compare",
        "layout",
        "quote",
        "gather",
        "press",
        "send",
        "learn",
        "closed",
    ];

    private const string Placement =
        """{"id":"f","place":"front","widthIn":9,"heightIn":8,"coveragePercent":50,"colours":2,"gradient":false,"thinnestLinePt":5}""";

    private const string Sleeve =
        """{"id":"c","place":"left-sleeve","widthIn":3,"heightIn":2,"coveragePercent":40,"colours":1,"gradient":false,"thinnestLinePt":6}""";

    public string Id => id;

    public async Task<JsonElement> Order() => await shop.Get($"/api/orders/{id}");

    public async Task<string> Station() => (await Order()).GetProperty("station").GetString()!;

    /// <summary>Does a deed with the version that stands.</summary>
    public async Task<(int Status, JsonElement Body)> Deed(
        string deed,
        string? json = null,
        HttpMethod? method = null
    ) =>
        await shop.Send(
            method ?? HttpMethod.Post,
            $"/api/orders/{id}/{deed}",
            json,
            (await Order()).GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );

    /// <summary>A deed that must be taken.</summary>
    public async Task Done(string deed, string? json = null, HttpMethod? method = null)
    {
        var (status, body) = await Deed(deed, json, method);
        Assert.True(status == 200, $"{deed}: {status} {body}");
    }

    /// <summary>Keeps an ask of four pieces for a customer of its own, complete but for what is left out; with a mark
    /// on the sleeve too where it is wanted.</summary>
    public async Task Ask(bool complete = true, bool sleeve = false)
    {
        await shop.Send(
            HttpMethod.Put,
            $"/api/customers/{id}",
            $$"""{"name":"Person {{id}}","contact":"{{id}}@example.test"}"""
        );
        var due = Shop.DaysOn(40);
        var json = $$"""
            {"customerId":"{{id}}","lines":[{"id":"1","styleId":"brae","colourwayId":"black",
            "sizes":[{"size":"M","pieces":3},{"size":"L","pieces":1}],
            "placements":[{{(complete ? Placement : "")}}{{(sleeve ? $",{Sleeve}" : "")}}],"mark":null}],
            "dueDate":"{{due}}","dueTime":null,"details":{"note":"ring the bell"} }
            """;
        var (status, body) = await shop.Send(HttpMethod.Put, $"/api/orders/{id}", json);
        Assert.True(status == 200, body.ToString());
    }

    /// <summary>An ask as read, as it is sent again: what only the answer has is left out, and some fields are
    /// changed.</summary>
    public static string Body(string ask, params (string Field, object Value)[] changes)
    {
        var body = JsonNode.Parse(ask)!.AsObject();
        body.Remove("pieces");
        body.Remove("dueAt");
        foreach (var line in body["lines"]!.AsArray())
        {
            line!.AsObject().Remove("pieces");
            foreach (var placement in line["placements"]!.AsArray())
            {
                placement!.AsObject().Remove("areaIn2");
            }
        }
        foreach (var (field, value) in changes)
        {
            body[field] = JsonSerializer.SerializeToNode(value);
        }
        return body.ToJsonString();
    }

    /// <summary>Goes as far as a station, each deed one call.</summary>
    public async Task To(string station)
    {
        var steps = new Func<Task>[]
        {
            () => Ask(),
            () => Done("choose", $$"""{"methodId":"{{method}}"}"""),
            () => Done("lay-out"),
            () => Done("send"),
            Gathered,
            Pressing,
            Handing,
            () => Done("close"),
        };
        if (station == "ask")
        {
            await Ask(complete: false);
            return;
        }
        foreach (var step in steps.Take(Array.IndexOf(Stations, station)))
        {
            await step();
        }
        Assert.Equal(station, await Station());
    }

    /// <summary>A verdict on a piece.</summary>
    public async Task<(int Status, JsonElement Body)> Verdict(
        string eventId,
        int piece,
        string size,
        string verdict = "good",
        int attempt = 1,
        string? reason = null,
        string? takesBack = null,
        int pass = 1
    ) =>
        await shop.Send(
            HttpMethod.Put,
            $"/api/runs/{id}/events/{eventId}",
            JsonSerializer.Serialize(
                new
                {
                    pieceNo = piece,
                    attempt,
                    pass,
                    size,
                    verdict,
                    reason,
                    takesBack,
                    secondsOnPiece = 60.0,
                }
            )
        );

    /// <summary>Yes, deposit and everything here.</summary>
    public async Task Gathered()
    {
        await Done("approve", """{"by":"Mrs Tern"}""");
        var deposit = (await shop.Get($"/api/orders/{id}/quote"))
            .GetProperty("quote")
            .GetProperty("deposit")
            .GetDecimal();
        await Done(
            "deposit",
            $$"""{"amount":{{deposit.ToString(CultureInfo.InvariantCulture)}},"overrideReason":null}"""
        );
        foreach (
            var item in (await Order())
                .GetProperty("facts")
                .GetProperty("gathering")
                .GetProperty("items")
                .EnumerateArray()
                .Select(i => i.GetProperty("id").GetString())
                .ToList()
        )
        {
            await Done($"items/{item}", """{"done":true}""", HttpMethod.Put);
        }
    }

    /// <summary>The run begun, every piece good.</summary>
    public async Task Pressing()
    {
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, $"/api/runs/{id}/start")).Status);
        foreach (var (piece, size) in new[] { (1, "M"), (2, "M"), (3, "M"), (4, "L") })
        {
            Assert.Equal(200, (await Verdict($"{id}-event-{piece}", piece, size)).Status);
        }
    }

    /// <summary>Counted and handed over.</summary>
    public async Task Handing()
    {
        await Done(
            "count",
            """{"sizes":[{"lineId":"1","size":"M","pieces":3},{"lineId":"1","size":"L","pieces":1}]}"""
        );
        await Done("hand-over", """{"to":"Mr Tallow"}""");
    }
}
