using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Hepno.Web.Tests;

/// <summary>Twelve asks at the demo shop's prices: what is recommended, what must be refused and why
/// (tests/cases/twelve.csv); and work without heat taken along the whole line.</summary>
public sealed class TwelveTests(Shop shop) : IClassFixture<Shop>
{
    public static TheoryData<string> Cases => [.. Rows.Skip(1).Select(r => r[0])];

    private static string[][] Rows { get; } =
    [.. File.ReadAllLines(Path.Combine(Tree.Root, "tests", "cases", "twelve.csv")).Select(l => l.Split(','))];

    [Theory]
    [MemberData(nameof(Cases))]
    public async Task What_is_recommended_and_what_is_refused(string called)
    {
        var row = Rows.First(r => r[0] == called);
        string At(string column) => row[Array.IndexOf(Rows[0], column)];
        var comparison = await Compare(row, At);
        List<JsonElement> bands = [.. comparison.GetProperty("bands").EnumerateArray()],
            folds = [.. comparison.GetProperty("folds").EnumerateArray()];
        var advised = comparison.GetProperty("advice").GetProperty("methodId").GetString();
        Assert.Contains(advised, At("recommended").Split(' '));
        Assert.Equal(advised, bands[0].GetProperty("methodId").GetString());
        foreach (var refused in At("refused").Split(' ').Select(x => x.Split(':')))
        {
            var fold = folds.Single(f => f.GetProperty("methodId").GetString() == refused[0]);
            var reason = fold.GetProperty("reasons")
                .EnumerateArray()
                .FirstOrDefault(r => r.GetProperty("code").GetString() == refused[1]);
            Assert.True(reason.ValueKind == JsonValueKind.Object, $"{refused[0]}: {fold}");
            Assert.NotEmpty(reason.GetProperty("wouldWork").GetString()!);
        }
        // a plain yes is never passed over for one with care, and what cannot is never a band
        Assert.False(
            bands[0].GetProperty("verdict").GetProperty("kind").GetString() == "with-care"
                && bands.Any(b =>
                    b.GetProperty("fits").GetBoolean()
                    && b.GetProperty("verdict").GetProperty("kind").GetString() == "yes"
                )
        );
        Assert.Empty(
            bands
                .Select(b => b.GetProperty("methodId").GetString())
                .Intersect(folds.Select(f => f.GetProperty("methodId").GetString()))
        );
    }

    [Theory]
    [InlineData("twenty coated nylon jackets", "coated")]
    [InlineData("six of their own shirts of unknown cloth", "theirs")]
    public async Task Nothing_is_a_plain_yes_where_nobody_can_know(string called, string care)
    {
        var row = Rows.First(r => r[0] == called);
        var comparison = await Compare(row, column => row[Array.IndexOf(Rows[0], column)]);
        Assert.All(comparison.GetProperty("bands").EnumerateArray(), b =>
            Assert.Contains(b.GetProperty("verdict").GetProperty("reasons").EnumerateArray(), r =>
                r.GetProperty("code").GetString() == care
            )
        );
    }

    [Theory]
    [InlineData("embroidery", "Stitch", "Bittern")]
    [InlineData("screen-out", "Count", "the table")]
    [InlineData("pod-out", "Count", "the table")]
    [InlineData("digital-transfer", "", "Gannet or Petrel")]
    public async Task Every_further_method_goes_along_the_whole_line(string method, string work, string where)
    {
        var few = await shop.Get("/api/outside-printers");
        var printer = JsonNode.Parse(few[0].GetProperty("value").GetRawText())!.AsObject();
        printer.Remove("id");
        printer["leastPieces"] = 1;
        await shop.Send(
            HttpMethod.Put,
            "/api/outside-printers/quayside",
            printer.ToJsonString(),
            few[0].GetProperty("version").GetInt64().ToString(CultureInfo.InvariantCulture)
        );
        var journey = new Journey(shop, $"along-{method}", method);
        await journey.To("press");
        var listed = (await journey.Order())
            .GetProperty("facts")
            .GetProperty("gathering")
            .GetProperty("items")
            .EnumerateArray()
            .ToList();
        var items = listed.Select(i => i.GetProperty("id").GetString()!).ToList();
        Assert.Equal(method != "pod-out", items.Contains("blanks"));
        if (method is "screen-out" or "pod-out")
        {
            // what is sent out, or ordered, stands before it comes back; one blank more may be spoiled there
            var back = method == "screen-out" ? "sent-out-f" : "on-demand-f";
            Assert.Equal(method == "screen-out" ? ["blanks", "prepare-f", back] : ["prepare-f", back], items);
            Assert.Equal(
                items,
                listed
                    .OrderBy(i => i.GetProperty("expected").GetString(), StringComparer.Ordinal)
                    .Select(i => i.GetProperty("id").GetString())
            );
            Assert.Equal(method == "screen-out" ? 5 : 4, listed[0].GetProperty("quantity").GetInt32());
            var laid = await shop.Get($"/api/orders/{journey.Id}/layout");
            Assert.Equal(
                method == "screen-out",
                laid.GetProperty("spares")
                    .GetString()!
                    .StartsWith("1 of them may be spoiled where they are sent: ", StringComparison.Ordinal)
            );
        }
        var run = await shop.Get($"/api/runs/{journey.Id}");
        var pass = run.GetProperty("lines")[0].GetProperty("passes")[0];
        Assert.Equal(work, pass.GetProperty("work").GetString());
        // which of two presses is free sooner is the plan's to say
        Assert.Contains(run.GetProperty("lines")[0].GetProperty("press").GetString(), where.Split(" or "));
        Assert.Equal(work.Length > 0, pass.GetProperty("temperature").GetString()!.Length == 0);
        Assert.StartsWith(
            "%PDF",
            (await shop.CreateClient().GetStringAsync($"/api/runs/{journey.Id}/sheet.pdf"))[..4],
            StringComparison.Ordinal
        );
        await journey.Pressing();
        await journey.Handing();
        await journey.Done("close");
        Assert.Equal("closed", await journey.Station());
    }

    [Fact]
    public async Task A_choice_keeps_against_what_and_why()
    {
        var journey = new Journey(shop, "why-kept");
        await journey.Ask();
        await journey.Done("choose", """{"methodId":"dtf-bought","why":"They know its feel."}""");
        var why = (await journey.Order())
            .GetProperty("facts")
            .GetProperty("choice")
            .GetProperty("decisions")[0]
            .GetProperty("why")
            .GetString()!;
        Assert.StartsWith("Film, bought in at $", why, StringComparison.Ordinal);
        Assert.Contains(" against ", why, StringComparison.Ordinal);
        Assert.EndsWith("They know its feel.", why, StringComparison.Ordinal);
        var (status, body) = await journey.Deed(
            "choose",
            JsonSerializer.Serialize(new { methodId = "htv", why = new string('x', 301) })
        );
        Assert.Equal((400, "why"), (status, body.GetProperty("problems")[0].GetProperty("where").GetString()));
    }

    private async Task<JsonElement> Compare(string[] row, Func<string, string> at)
    {
        double Number(string column) => double.Parse(at(column), CultureInfo.InvariantCulture);
        var sizes = at("sizes")
            .Replace("One size", "One_size", StringComparison.Ordinal)
            .Split(' ')
            .Chunk(2)
            .Select(p => (Size: p[0].Replace('_', ' '), Pieces: int.Parse(p[1], CultureInfo.InvariantCulture)))
            .ToList();
        var ask = new
        {
            customerId = (string?)null,
            dueDate = Shop.DaysOn((int)Number("days")),
            dueTime = "16:00:00",
            details = (object?)null,
            lines = new[]
            {
                new
                {
                    id = "1",
                    styleId = at("style"),
                    colourwayId = at("colour"),
                    mark = (decimal?)null,
                    theirs = at("theirs") == "yes",
                    sizes = sizes.Select(s => new { size = s.Size, pieces = s.Pieces }),
                    placements = new[]
                    {
                        new
                        {
                            id = "p",
                            place = at("place"),
                            widthIn = Number("width_in"),
                            heightIn = Number("height_in"),
                            coveragePercent = Number("coverage"),
                            colours = (int)Number("colours"),
                            gradient = at("gradient") == "yes",
                            thinnestLinePt = Number("line_pt"),
                            own = at("own"),
                        },
                    },
                    names = at("own") == "none"
                        ? null
                        : sizes.SelectMany(s =>
                            Enumerable
                                .Range(1, s.Pieces)
                                .Select(i => new
                                {
                                    size = s.Size,
                                    name = "",
                                    number = i.ToString(CultureInfo.InvariantCulture),
                                })
                        ),
                },
            },
        };
        var (status, body) = await shop.Send(HttpMethod.Post, "/api/compute/compare", JsonSerializer.Serialize(ask));
        Assert.True(status == 200, $"{row[0]}: {body}");
        return body;
    }
}
