namespace Hepno.Web.Tests;

/// <summary>A machine out of use: every promise moves, and what is drawn says why.</summary>
public class DowntimeApiTests(Shop shop) : IClassFixture<Shop>
{
    private static string Out(string machine, string from, string until, string calledOff = "false") =>
        $$"""{"machineId":"{{machine}}","from":"{{from}}","until":"{{until}}","why":"heating element","calledOff":{{calledOff}}}""";

    private async Task<string> Today() => (await shop.Get("/api/line")).GetProperty("today").GetString()!;

    // the soonest of the ways that go over a press
    private async Task<string> Promised(IEnumerable<string> presses) =>
        (await shop.Get("/api/orders/demo-205/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .Select(b => b.GetProperty("promise"))
            .Where(p => presses.Contains(p.GetProperty("pressName").GetString()))
            .Select(p => p.GetProperty("at").GetString()!)
            .Min(StringComparer.Ordinal)!;

    [Fact]
    public async Task Every_press_out_of_use_moves_every_promise_and_back_again()
    {
        var kept = (await shop.Get("/api/presses")).EnumerateArray().Select(p => p.GetProperty("value")).ToList();
        var presses = kept.ConvertAll(p => p.GetProperty("id").GetString()!);
        var names = kept.ConvertAll(p => p.GetProperty("name").GetString()!);
        var (today, before) = (DateOnly.Parse(await Today(), null), await Promised(names));
        var until = today.AddDays(20);
        foreach (var press in presses)
        {
            var (status, answer) = await shop.Send(
                HttpMethod.Put,
                $"/api/downtimes/out-{press}",
                Out(press, $"{today:yyyy-MM-dd}", $"{until:yyyy-MM-dd}")
            );
            Assert.True(status == 200, answer.GetRawText());
        }
        Assert.True(string.CompareOrdinal(await Promised(names), $"{until.AddDays(1):yyyy-MM-dd}") > 0);
        var day = await shop.Get("/api/press-day");
        Assert.All(
            day.GetProperty("lanes")
                .EnumerateArray()
                .Where(l => presses.Contains(l.GetProperty("pressId").GetString()!)),
            l =>
            {
                Assert.StartsWith("out of use through", l.GetProperty("out").GetString(), StringComparison.Ordinal);
                Assert.EndsWith(": heating element", l.GetProperty("out").GetString(), StringComparison.Ordinal);
            }
        );
        Assert.True(day.GetProperty("lateCount").GetInt32() > 0);
        foreach (var press in presses)
        {
            var (status, _) = await shop.Send(
                HttpMethod.Put,
                $"/api/downtimes/out-{press}",
                Out(press, $"{today:yyyy-MM-dd}", $"{until:yyyy-MM-dd}", calledOff: "true"),
                "1"
            );
            Assert.Equal(200, status);
        }
        Assert.Equal(before, await Promised(names));
    }

    [Theory]
    [InlineData("nothing", "2026-06-01", "2026-06-05", "machineId", "Machine: the Floor has no machine \"nothing\".")]
    [InlineData("", "2026-06-01", "2026-06-05", "machineId", "There are ")]
    [InlineData("gannet", "2026-06-05", "2026-06-01", "until", "cannot be.")]
    [InlineData("gannet", "2026-06-31", "2026-06-01", "from", "2026-06-31")]
    [InlineData("gannet", "", "2026-06-01", "from", "")]
    public async Task What_cannot_be_is_refused_in_words(
        string machine,
        string from,
        string until,
        string where,
        string said
    )
    {
        var (status, answer) = await shop.Send(HttpMethod.Put, "/api/downtimes/odd", Out(machine, from, until));
        Assert.Equal(400, status);
        var problem = answer.GetProperty("problems")[0];
        Assert.Equal(where, problem.GetProperty("where").GetString());
        Assert.Contains(
            said,
            $"{problem.GetProperty("sentence").GetString()} {problem.GetProperty("remedy").GetString()}",
            StringComparison.Ordinal
        );
        Assert.DoesNotContain((await shop.Get("/api/downtimes")).EnumerateArray(), d =>
            d.GetProperty("value").GetProperty("id").GetString() == "odd"
        );
    }

    [Fact]
    public async Task Machines_are_listed_by_name_whatever_their_kind()
    {
        var names = (await shop.Get("/api/machines")).EnumerateArray().Select(m => m.GetProperty("name").GetString()!);
        Assert.Empty(new[] { "Skua", "Plover", "Scissorbill" }.Except(names));
    }
}
