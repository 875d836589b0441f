using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Pieces of vinyl: offered where they save film, used before the roll, spoken for by one order
/// alone.</summary>
public class RemnantTests(Shop shop) : IClassFixture<Shop>
{
    private const string Choose = """{"methodId":"htv"}""";

    private async Task<Journey> Cut(string id)
    {
        var journey = new Journey(shop, id);
        await journey.Ask();
        await journey.Done("choose", Choose);
        return journey;
    }

    private async Task<JsonElement> Vinyl(string id) =>
        (await shop.Get($"/api/orders/{id}/layout?line=1")).GetProperty("vinyl");

    private async Task<decimal> Prints(string id) =>
        (await shop.Get($"/api/orders/{id}/layout?line=1")).GetProperty("prints").GetProperty("value").GetDecimal();

    private static string Use(string placement, string piece, int layer = 0) =>
        $$"""{"placementId":"{{placement}}","layer":{{layer}},"remnantId":"{{piece}}"}""";

    [Fact]
    public async Task A_piece_is_offered_used_gathered_and_free_again()
    {
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            "/api/remnants/bit",
            """{"vinylId":"tidewell","colour":"navy","widthIn":19,"lengthIn":30,"since":"2026-03-01","from":"T-190"}"""
        );
        Assert.True(status == 200, said.ToString());
        Assert.Equal(
            (400, "colour"),
            await Refused(
                "/api/remnants/none",
                """{"vinylId":"tidewell","colour":" ","widthIn":19,"lengthIn":30,"since":"2026-03-01"}"""
            )
        );
        var first = await Cut("cut-1");
        var before = await Prints("cut-1");
        var colour = (await Vinyl("cut-1")).GetProperty("colours")[0];
        var (placement, offer) = (colour.GetProperty("placementId").GetString()!, colour.GetProperty("offers")[0]);
        Assert.Equal("bit", offer.GetProperty("remnantId").GetString());
        Assert.True(offer.GetProperty("cuts").GetInt32() > 0);
        Assert.StartsWith("navy, ", offer.GetProperty("text").GetString(), StringComparison.Ordinal);

        Assert.Equal(404, (await first.Deed("lines/1/layout/remnant", Use("none", "bit"))).Status);
        Assert.Equal(400, (await first.Deed("lines/1/layout/remnant", Use(placement, "bit", 9))).Status);
        Assert.Equal(409, (await first.Deed("lines/1/layout/remnant", Use(placement, "gone"))).Status);
        await first.Done("lines/1/layout/remnant", Use(placement, "bit"));
        Assert.Equal(before - offer.GetProperty("saves").GetDecimal(), await Prints("cut-1"), 6);
        Assert.StartsWith(
            "navy, ",
            (await Vinyl("cut-1")).GetProperty("colours")[0].GetProperty("used").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal("bit", (await shop.Get("/api/remnant-uses"))[0].GetProperty("remnantId").GetString());

        // another order cannot have it, nor one that is not cut from vinyl
        var second = await Cut("cut-2");
        Assert.Empty((await Vinyl("cut-2")).GetProperty("colours").EnumerateArray());
        Assert.Equal(409, (await second.Deed("lines/1/layout/remnant", Use(placement, "bit"))).Status);
        await second.Done("choose", """{"methodId":"dtf-bought"}""");
        Assert.Equal(409, (await second.Deed("lines/1/layout/remnant", Use(placement, ""))).Status);

        // a line made otherwise by now uses none
        await first.Done("choose", """{"methodId":"dtf-bought"}""");
        Assert.Empty((await shop.Get("/api/remnant-uses")).EnumerateArray());
        await first.Done("choose", Choose);
        await first.Done("lines/1/layout/remnant", Use(placement, ""));
        Assert.Equal(before, await Prints("cut-1"));
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/undo")).Status);
        foreach (
            var (deed, json) in new[]
            {
                ("lay-out", null),
                ("send", null),
                ("approve", """{"by":"Ada"}"""),
                ("deposit", """{"amount":0,"overrideReason":"known"}"""),
            }
        )
        {
            await first.Done(deed, json);
        }
        Assert.Contains(
            (await first.Order()).GetProperty("facts").GetProperty("gathering").GetProperty("items").EnumerateArray(),
            i =>
                i.GetProperty("text")
                    .GetString()!
                    .StartsWith("From the Shelf: the piece of vinyl", StringComparison.Ordinal)
        );
        Assert.Equal(409, (await first.Deed("lines/1/layout/remnant", Use(placement, ""))).Status);
    }

    private async Task<(int, string?)> Refused(string at, string json)
    {
        var (status, said) = await shop.Send(HttpMethod.Put, at, json);
        return (status, said.GetProperty("problems")[0].GetProperty("where").GetString());
    }
}
