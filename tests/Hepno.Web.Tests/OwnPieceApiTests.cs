using System.Text.Json;
using System.Text.Json.Nodes;
using UglyToad.PdfPig;

namespace Hepno.Web.Tests;

/// <summary>Personalised pieces from the list to the press, over the API.</summary>
public class OwnPieceApiTests(Shop shop) : IClassFixture<Shop>
{
    private const string List =
        """[{"size":"M","name":"FENNER","number":"7"},{"size":"M","name":"ASH","number":"07"},{"size":"2XL","name":"OAKES","number":"12"}]""";

    private async Task<JsonElement> Saved(
        string id,
        string names = List,
        string own = "name-and-number",
        int status = 200
    )
    {
        var (got, body) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{id}",
            $$"""
            {"customerId":"rowing","dueDate":"{{Shop.DaysOn(
                30
            )}}","dueTime":null,"details":null,"lines":[{"id":"1","styleId":"hollin","colourwayId":"navy",
            "sizes":[{"size":"M","pieces":2},{"size":"2XL","pieces":1}],"mark":null,"names":{{names}},
             "placements":[{"id":"crest","place":"left-chest","widthIn":3.5,"heightIn":3.5,"coveragePercent":50,
             "colours":2,"gradient":false,"thinnestLinePt":5},
              {"id":"own","place":"back","widthIn":11,"heightIn":9,"coveragePercent":40,"colours":1,
              "gradient":false,"thinnestLinePt":14,"bySize":true,"own":"{{own}}"}]}]}
            """
        );
        Assert.True(got == status, body.ToString());
        return got == 200 ? await shop.Get($"/api/orders/{id}") : body;
    }

    [Fact]
    public async Task A_named_order_goes_through_to_the_press_with_every_name()
    {
        var order = await Saved("named");
        Assert.Equal(3, order.GetProperty("ask").GetProperty("lines")[0].GetProperty("names").GetArrayLength());
        var journey = new Journey(shop, "named");
        await journey.Done("choose", """{"methodId":"dtf-bought","lineId":"1"}""");
        await journey.Done("lay-out");
        var quote = await shop.CreateClient().GetByteArrayAsync("/api/orders/named/quote.pdf");
        Assert.Contains("eachpieceitsownnameandnumber", Text(quote), StringComparison.Ordinal);
        await journey.Done("send");
        await journey.Gathered();
        var run = await shop.Get("/api/runs/named");
        Assert.Equal(
            ["FENNER 7", "ASH 07", "OAKES 12"],
            run.GetProperty("state")
                .GetProperty("pieces")
                .EnumerateArray()
                .Select(p => p.GetProperty("says").GetString())
        );
        var back = run.GetProperty("lines")[0]
            .GetProperty("passes")
            .EnumerateArray()
            .Single(p => p.GetProperty("own").GetBoolean());
        Assert.Equal("4 in below the collar seam", back.GetProperty("onSizes")[0].GetProperty("where").GetString());
        Assert.All(new[] { "FENNER7", "ASH07", "2XLOAKES12" }, s =>
            Assert.Contains(
                s,
                Text(shop.CreateClient().GetByteArrayAsync("/api/runs/named/sheet.pdf").Result),
                StringComparison.Ordinal
            )
        );
        Assert.Equal(
            "line,size,name,number\r\n1,M,FENNER,7\r\n1,M,ASH,07\r\n1,2XL,OAKES,12\r\n",
            await shop.CreateClient().GetStringAsync("/api/orders/named/names.csv")
        );
    }

    [Fact]
    public async Task A_list_that_is_not_the_runs_blocks_and_slips_are_pointed_out()
    {
        var order = await Saved(
            "short",
            """[{"size":"M","name":"ASH","number":"7"},{"size":"M","name":"OAKES","number":"7"}]"""
        );
        var line = order.GetProperty("lines")[0];
        Assert.Equal(
            "2XL: 1 piece is asked for, 0 are on the list.",
            line.GetProperty("problems")[0].GetProperty("sentence").GetString()
        );
        Assert.Equal("Number 7 stands twice: ASH, OAKES.", line.GetProperty("notices")[0].GetString());
        Assert.Equal("ask", order.GetProperty("station").GetString());
        var (status, _) = await shop.Send(
            HttpMethod.Post,
            "/api/orders/short/choose",
            """{"methodId":"htv"}""",
            order.GetProperty("version").ToString()
        );
        Assert.Equal(409, status);
    }

    [Theory]
    [InlineData("""[{"size":"M","name":"","number":""}]""", "Row 1 of the names")]
    [InlineData("""[{"size":"M","name":"A","number":"7b"}]""", "Row 1 of the names")]
    [InlineData("""[{"size":"M","name":"ABCDEFGHIJKLMNOPQRSTUVWXYZABCDE","number":"7"}]""", "Row 1 of the names")]
    public async Task A_piece_that_cannot_be_printed_is_not_kept(string names, string sentence) =>
        Assert.StartsWith(
            sentence,
            (await Saved("refused", names, status: 400)).GetProperty("problems")[0].GetProperty("sentence").GetString(),
            StringComparison.Ordinal
        );

    [Fact]
    public async Task A_pasted_list_is_read_with_its_sizes_counted_or_refused_row_by_row()
    {
        var (status, read) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/names",
            new JsonObject
            {
                ["styleId"] = "hollin",
                ["text"] = "size\tname\tnumber\nM\tASH\t7\nxxl\tOAKES\t12\nM\tBO\t1",
            }.ToJsonString()
        );
        Assert.Equal(200, status);
        Assert.Equal(
            ["M", "2XL"],
            read.GetProperty("sizes").EnumerateArray().Select(s => s.GetProperty("size").GetString())
        );
        (status, read) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/names",
            new JsonObject { ["styleId"] = "hollin", ["text"] = "M, ASH, 7\nQ, BO, 1\nL" }.ToJsonString()
        );
        Assert.Equal(400, status);
        Assert.Equal(
            ["Row 2: no size in \"Q, BO, 1\".", "Row 3: L has neither name nor number."],
            read.GetProperty("problems").EnumerateArray().Select(p => p.GetProperty("sentence").GetString())
        );
        (status, read) = await shop.Send(
            HttpMethod.Post,
            "/api/compute/names",
            new JsonObject { ["styleId"] = "hollin", ["text"] = new string('x', 200_001) }.ToJsonString()
        );
        Assert.Equal(400, status);
        Assert.Equal(
            404,
            (await shop.Send(HttpMethod.Post, "/api/compute/names", """{"styleId":"none","text":"M, A, 1"}""")).Status
        );
    }

    [Fact]
    public async Task Taking_back_brings_the_list_again()
    {
        var order = await Saved("undone");
        var body = JsonNode.Parse(Journey.Body(order.GetProperty("ask").GetRawText()))!.AsObject();
        body["lines"]![0]!["names"] = null;
        body["lines"]![0]!["placements"]![1]!["own"] = "none";
        var (status, said) = await shop.Send(
            HttpMethod.Put,
            "/api/orders/undone",
            body.ToJsonString(),
            order.GetProperty("version").ToString()
        );
        Assert.True(status == 200, said.ToString());
        Assert.Equal(
            0,
            (await shop.Get("/api/orders/undone"))
                .GetProperty("ask")
                .GetProperty("lines")[0]
                .GetProperty("names")
                .GetArrayLength()
        );
        (status, said) = await shop.Send(HttpMethod.Post, "/api/undo", "{}");
        Assert.True(status == 200, said.ToString());
        Assert.Equal(
            3,
            (await shop.Get("/api/orders/undone"))
                .GetProperty("ask")
                .GetProperty("lines")[0]
                .GetProperty("names")
                .GetArrayLength()
        );
    }

    [Fact]
    public async Task Placement_sheets_have_a_page_for_every_print_and_size_that_lies_alike()
    {
        await Saved("placed");
        using (
            var pdf = PdfDocument.Open(await shop.CreateClient().GetByteArrayAsync("/api/orders/placed/placement.pdf"))
        )
        {
            // the chest print hangs further out on 2XL; the back is the same on both but for its names
            Assert.Equal(4, pdf.NumberOfPages);
            Assert.Contains(
                "itsmiddle4infromthegarment's",
                Text(await shop.CreateClient().GetByteArrayAsync("/api/orders/placed/placement.pdf")),
                StringComparison.Ordinal
            );
        }
        await new Journey(shop, "bare").Ask(complete: false);
        var (status, body) = await shop.Send(HttpMethod.Get, "/api/orders/bare/placement.pdf");
        Assert.True(status == 409, body.ToString());
        Assert.Equal(404, (await shop.Send(HttpMethod.Get, "/api/orders/none/placement.pdf")).Status);
    }

    private static string Text(byte[] pdf)
    {
        using var document = PdfDocument.Open(pdf);
        return string.Concat(document.GetPages().Select(p => p.Text))
            .Replace(" ", "", StringComparison.Ordinal)
            .Replace("\u00a0", "", StringComparison.Ordinal);
    }
}
