using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>A piece stitched on the sleeve and pressed on the front, along the whole line.</summary>
public sealed class MixedApiTests(Shop shop) : IClassFixture<Shop>
{
    private const string Mix = "dtf-bought@f+embroidery@c";

    // a line has one layout: the other film's is bought as first laid
    [Fact]
    public async Task A_mix_of_two_films_is_laid_out_and_sent()
    {
        var journey = new Journey(shop, "two-films");
        await journey.Ask(sleeve: true);
        await journey.Done("choose", """{"methodId":"dtf-bought@f+dtf-made@c"}""");
        await journey.Done("lay-out");
        await journey.Done("send");
    }

    [Fact]
    public async Task A_mix_goes_from_ask_to_closed()
    {
        var journey = new Journey(shop, "mixed");
        await journey.Ask(sleeve: true);
        var compared = await shop.Get($"/api/orders/mixed/compare?mix={Uri.EscapeDataString(Mix)}");
        Assert.Equal(
            ["Front", "Left sleeve"],
            compared.GetProperty("ways").EnumerateArray().Select(w => w.GetProperty("place").GetString())
        );
        var band = compared
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == Mix);
        Assert.NotEmpty(band.GetProperty("mixing").EnumerateArray());
        await journey.Done("choose", JsonSerializer.Serialize(new { methodId = Mix, why = "The club wants thread." }));
        Assert.Contains(
            "Film + stitching at $",
            (await journey.Order())
                .GetProperty("facts")
                .GetProperty("choice")
                .GetProperty("decisions")[0]
                .GetProperty("why")
                .GetString(),
            StringComparison.Ordinal
        );

        // only the front is laid on film
        var layout = await shop.Get("/api/orders/mixed/lines/1/layout");
        Assert.Equal(
            "f",
            Assert
                .Single(layout.GetProperty("designs").EnumerateArray(), d => d.GetProperty("needed").GetInt32() > 0)
                .GetProperty("key")
                .GetString()
        );
        await journey.Done("lay-out");
        await journey.Done("send");
        Assert.StartsWith(
            "%PDF",
            (await shop.CreateClient().GetStringAsync("/api/orders/mixed/quote.pdf"))[..4],
            StringComparison.Ordinal
        );
        await journey.Gathered();

        var line = (await shop.Get("/api/runs/mixed")).GetProperty("lines")[0];
        Assert.Contains(line.GetProperty("press").GetString(), (string[])["Gannet", "Petrel"]);
        var passes = line.GetProperty("passes").EnumerateArray().ToList();
        Assert.Equal(
            [("left sleeve", "Stitch", "Bittern"), ("front", "", "")],
            passes.Select(p =>
                (p.GetProperty("place").GetString(), p.GetProperty("work").GetString(), p.GetProperty("at").GetString())
            )
        );
        // the shirt is pre-pressed where it comes to the press
        Assert.Equal([0, 5], passes.Select(p => (int)p.GetProperty("prePressSeconds").GetDouble()));
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/runs/mixed/start")).Status);
        foreach (var (piece, size) in new[] { (1, "M"), (2, "M"), (3, "M"), (4, "L") })
        {
            foreach (var pass in new[] { 1, 2 })
            {
                Assert.Equal(200, (await journey.Verdict($"mixed-{piece}-{pass}", piece, size, pass: pass)).Status);
            }
        }
        await journey.Handing();
        await journey.Done("close");
        // each pass is learned under its own way
        var learned = (await shop.Get("/api/learning"))
            .GetProperty("spoilage")
            .EnumerateArray()
            .Select(s =>
                (
                    s.GetProperty("methodId").GetString(),
                    s.GetProperty("place").GetString(),
                    s.GetProperty("attempts").GetInt32()
                )
            )
            .ToList();
        Assert.Contains(("embroidery", "Left sleeve", 4), learned);
        Assert.Contains(learned, l => l.Item1 == "dtf-bought" && l.Item2 == "Front" && l.Item3 >= 4);
        Assert.DoesNotContain(learned, l => l.Item1!.Contains('@', StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("htv@f", 400, "mix")]
    [InlineData("painted@f+htv@c", 400, "mix")]
    public async Task What_is_no_mix_is_refused(string mix, int status, string where)
    {
        var journey = new Journey(shop, $"no-mix-{mix.Length}");
        await journey.Ask(sleeve: true);
        var (got, body) = await shop.Send(
            HttpMethod.Get,
            $"/api/orders/{journey.Id}/compare?mix={Uri.EscapeDataString(mix)}"
        );
        Assert.Equal((status, where), (got, body.GetProperty("problems")[0].GetProperty("where").GetString()));
        Assert.Equal(404, (await journey.Deed("choose", JsonSerializer.Serialize(new { methodId = mix }))).Status);
    }

    [Fact]
    public async Task A_mix_whose_print_is_gone_cannot_be_chosen()
    {
        var journey = new Journey(shop, "mix-gone");
        await journey.Ask();
        var (status, body) = await journey.Deed("choose", JsonSerializer.Serialize(new { methodId = Mix }));
        Assert.Equal((409, "method-unfit"), (status, body.GetProperty("problems")[0].GetProperty("code").GetString()));
        Assert.Contains(
            "is gone",
            body.GetProperty("problems")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Stitches_of_a_file_are_kept_with_the_print_and_an_order_of_two_lines_is_weighed_whole()
    {
        var journey = new Journey(shop, "stitched-file");
        await journey.Ask();
        Assert.Equal(JsonValueKind.Null, (await shop.Get("/api/orders/stitched-file/ways")).ValueKind);
        var ask = Journey.Body((await journey.Order()).GetProperty("ask").GetRawText());
        var two = JsonNode.Parse(ask)!;
        two["lines"]![0]!["placements"]![0]!["stitches"] = 9000;
        var second = two["lines"]![0]!.DeepClone();
        second["id"] = "2";
        second["placements"]![0]!["id"] = "g";
        two["lines"]!.AsArray().Add(second);
        Assert.Equal(200, (await journey.Deed("", two.ToJsonString(), HttpMethod.Put)).Status);
        Assert.Equal(
            9000,
            (await journey.Order())
                .GetProperty("ask")
                .GetProperty("lines")[0]
                .GetProperty("placements")[0]
                .GetProperty("stitches")
                .GetInt32()
        );
        var ways = await shop.Get("/api/orders/stitched-file/ways");
        Assert.Equal(2, ways.GetProperty("each").GetArrayLength());
        Assert.NotEmpty(ways.GetProperty("oneId").GetString()!);
        two["lines"]![0]!["placements"]![0]!["stitches"] = 5;
        var (status, body) = await journey.Deed("", two.ToJsonString(), HttpMethod.Put);
        Assert.Equal(
            (400, "lines[0].placements[0].stitches"),
            (status, body.GetProperty("problems")[0].GetProperty("where").GetString())
        );
    }

    [Fact]
    public async Task A_print_lies_on_another_from_the_ask_to_the_run()
    {
        var journey = new Journey(shop, "layered", "dtf-bought");
        await journey.Ask();
        async Task<(int Status, JsonElement Body)> Layer(string? on, string place)
        {
            var order = await journey.Order();
            var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!;
            var placements = body["lines"]![0]!["placements"]!.AsArray();
            var upper = JsonNode.Parse(placements[0]!.ToJsonString())!.AsObject();
            (upper["id"], upper["place"], upper["widthIn"], upper["heightIn"], upper["onTopOf"]) = (
                "top",
                place,
                3,
                2,
                on
            );
            while (placements.Count > 1)
            {
                placements.RemoveAt(1);
            }
            placements.Add(upper);
            return await shop.Send(
                HttpMethod.Put,
                "/api/orders/layered",
                body.ToJsonString(),
                order.GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
            );
        }
        Assert.Equal(
            "lines[0].placements",
            (await Layer(null, "front")).Body.GetProperty("problems")[0].GetProperty("where").GetString()
        );
        Assert.Equal(
            "lines[0].placements[1].onTopOf",
            (await Layer("gone", "front")).Body.GetProperty("problems")[0].GetProperty("where").GetString()
        );
        Assert.Equal(200, (await Layer("f", "front")).Status);
        var asked = await journey.Order();
        Assert.Equal(
            "f",
            asked
                .GetProperty("ask")
                .GetProperty("lines")[0]
                .GetProperty("placements")[1]
                .GetProperty("onTopOf")
                .GetString()
        );
        // 9 × 8 hangs 3 below the seam; what lies on it is 2 tall
        Assert.Equal(
            6,
            asked
                .GetProperty("lines")[0]
                .GetProperty("prints")
                .EnumerateArray()
                .Single(p => p.GetProperty("placementId").GetString() == "top")
                .GetProperty("fromSeamIn")
                .GetDouble(),
            9
        );
        var film = (await shop.Get("/api/orders/layered/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "dtf-bought");
        Assert.Contains(film.GetProperty("verdict").GetProperty("reasons").EnumerateArray(), r =>
            r.GetProperty("code").GetString() == "knock-out"
        );
        foreach (var deed in new[] { "lay-out", "send" }.Prepend("choose"))
        {
            await journey.Done(deed, deed == "choose" ? """{"methodId":"dtf-bought"}""" : null);
        }
        await journey.Gathered();
        Assert.Equal(200, (await shop.Send(HttpMethod.Post, "/api/runs/layered/start")).Status);
        var passes = (await shop.Get("/api/runs/layered")).GetProperty("lines")[0].GetProperty("passes");
        Assert.Equal(
            "in the middle of the print beneath",
            passes[1].GetProperty("onSizes")[0].GetProperty("where").GetString()
        );
    }
}
