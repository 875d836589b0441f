using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>No document ever states a total that differs from the sum of its lines by a cent: orders and rules drawn by
/// a seed.</summary>
public class DocumentTests(Shop shop) : IClassFixture<Shop>
{
    private const int Seed = 20_261_125;
    private const int Draws = 24;

    [Fact]
    public async Task Every_total_is_the_sum_of_what_stands_above_it()
    {
        var random = new Random(Seed);
        T One<T>(params T[] of) => of[random.Next(of.Length)];
        var due = Shop.DaysOn(60);
        for (var draw = 0; draw < Draws; draw++)
        {
            var numbers = await shop.Get("/api/numbers");
            var n = JsonNode.Parse(numbers.GetProperty("value").GetRawText())!.AsObject();
            n["fees"]!["taxShare"] = One(0, 0.0825, 0.19, 0.0775);
            n["prices"]!["roundingStep"] = One(0, 0.05, 0.25);
            n["prices"]!["sizePricing"] = One("averaged", "surcharged");
            n["terms"]!["depositShare"] = One(0, 0.5, 0.333);
            n["prices"]!["minimumCharge"] = One(0, 40, 250);
            Assert.Equal(
                200,
                (
                    await shop.Send(
                        HttpMethod.Put,
                        "/api/numbers",
                        n.ToJsonString(),
                        numbers.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
                    )
                ).Status
            );
            var count = random.Next(1, 5);
            var lines = Enumerable
                .Range(1, count)
                .Select(i => new
                {
                    id = $"{i}",
                    styleId = "hollin",
                    colourwayId = One("navy", "white", "sage"),
                    mark = (decimal?)null,
                    sizes = new[]
                    {
                        new { size = "M", pieces = random.Next(1, 60) },
                        new { size = One("2XL", "3XL"), pieces = random.Next(1, 9) },
                    },
                    placements = new[]
                    {
                        new
                        {
                            id = $"p{i}",
                            place = "front",
                            widthIn = 3 + random.Next(7),
                            heightIn = 4,
                            coveragePercent = 50,
                            colours = 2,
                            gradient = false,
                            thinnestLinePt = 5,
                        },
                    },
                })
                .ToList();
            var id = $"drawn-{draw}";
            object? shipping = One<object?>(
                null,
                new { zone = "country", inThePrice = false },
                new { zone = "near", inThePrice = true }
            );
            var (status, body) = await shop.Send(
                HttpMethod.Put,
                $"/api/orders/{id}",
                JsonSerializer.Serialize(
                    new
                    {
                        customerId = "rowing",
                        lines,
                        dueDate = due,
                        dueTime = (string?)null,
                        details = (object?)null,
                        shipping,
                    }
                )
            );
            Assert.True(status == 200, body.ToString());
            var journey = new Journey(shop, id);
            foreach (var line in lines)
            {
                await journey.Done(
                    "choose",
                    $$"""{"methodId":"{{One("dtf-bought", "dtf-made")}}","lineId":"{{line.id}}"}"""
                );
            }
            Assert.True(AddsUp((await shop.Get($"/api/orders/{id}/quote")).GetProperty("quote")), $"draw {draw}");
        }
    }

    private static bool AddsUp(JsonElement quote)
    {
        static decimal Read(JsonElement text) =>
            decimal.Parse(text.GetString()!.Trim('$'), NumberStyles.Number, CultureInfo.InvariantCulture);
        var document = quote.GetProperty("document");
        var printed = document
            .GetProperty("lines")
            .EnumerateArray()
            .Sum(l =>
                Read(l.GetProperty("amount"))
                + l.GetProperty("extras").EnumerateArray().Sum(x => Read(x.GetProperty("amount")))
            );
        var each = document
            .GetProperty("lines")
            .EnumerateArray()
            .All(l =>
                Read(l.GetProperty("each")) * Read(l.GetProperty("pieces")) == Read(l.GetProperty("amount"))
                && l.GetProperty("extras")
                    .EnumerateArray()
                    .All(x =>
                        Read(x.GetProperty("each")) * Read(x.GetProperty("pieces")) == Read(x.GetProperty("amount"))
                    )
            );
        var totals = document.GetProperty("totals").EnumerateArray().ToList();
        var total = document.GetProperty("totalIndex").GetInt32();
        return each
            && printed == Read(totals[0].GetProperty("value"))
            && totals.Take(total).Sum(t => Read(t.GetProperty("value"))) == Read(totals[total].GetProperty("value"))
            && Read(totals[total].GetProperty("value")) == quote.GetProperty("total").GetDecimal()
            && printed == quote.GetProperty("goods").GetDecimal();
    }
}
