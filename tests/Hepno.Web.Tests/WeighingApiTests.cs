namespace Hepno.Web.Tests;

/// <summary>Make or buy, start-up budgets and a launch through the API.</summary>
public sealed class WeighingApiTests(Shop shop) : IClassFixture<Shop>
{
    [Fact]
    public async Task What_it_begins_with_can_be_weighed()
    {
        var start = (await shop.Get("/api/make-or-buy")).GetProperty("case");
        Assert.True(start.GetProperty("printsAMonth").GetDouble() > 0);
        var (status, found) = await shop.Send(HttpMethod.Post, "/api/compute/make-or-buy", start.GetRawText());
        Assert.Equal(200, status);
        Assert.NotEmpty(found.GetProperty("sentence").GetString()!);
        Assert.Equal("to-pay-back", found.GetProperty("toPayBack").GetProperty("code").GetString());
    }

    [Theory]
    [InlineData(
        """{"machinePrice":-1,"printsAMonth":1,"boughtEach":1,"madeEach":1,"minutesEach":1,"wage":1}""",
        "machinePrice"
    )]
    [InlineData(
        """{"machinePrice":1,"printsAMonth":1,"boughtEach":1,"madeEach":1,"minutesEach":9999,"wage":1}""",
        "minutesEach"
    )]
    public async Task An_absurd_figure_is_refused_by_its_field(string body, string where)
    {
        var (status, problem) = await shop.Send(HttpMethod.Post, "/api/compute/make-or-buy", body);
        Assert.Equal((400, where), (status, problem.GetProperty("problems")[0].GetProperty("where").GetString()));
    }

    [Fact]
    public async Task Start_up_budgets_know_the_shops_own_machines()
    {
        var film = (await shop.Get("/api/start-up"))
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "dtf-made");
        Assert.Contains(film.GetProperty("items").EnumerateArray(), i =>
            i.GetProperty("isThere").GetBoolean()
            && i.GetProperty("price").GetProperty("label").GetString() == "A film printer: Skua"
        );
        Assert.True(
            film.GetProperty("stillToBuy").GetProperty("value").GetDecimal()
                < film.GetProperty("total").GetProperty("value").GetDecimal()
        );
    }

    [Fact]
    public async Task A_launch_is_of_a_way_that_can()
    {
        await new Journey(shop, "launch").Ask();
        var launch = await shop.Get("/api/orders/launch/launch?method=dtf-bought");
        Assert.True(
            launch.GetProperty("lostPlain").GetProperty("value").GetDecimal()
                < launch.GetProperty("tied").GetProperty("value").GetDecimal()
        );
        Assert.Equal((409, "method"), await Refused("launch/launch?method=sublimation"));
        Assert.Equal(404, (await Refused("launch/launch?method=painted")).Item1);
        await new Journey(shop, "unsaid").Ask(complete: false);
        Assert.Equal(409, (await Refused("unsaid/launch?method=dtf-bought")).Item1);
    }

    private async Task<(int, string?)> Refused(string call)
    {
        var (status, body) = await shop.Send(HttpMethod.Get, $"/api/orders/{call}");
        return (
            status,
            body.GetProperty("problems")
                .EnumerateArray()
                .Select(p => p.GetProperty("where").GetString())
                .FirstOrDefault()
        );
    }
}
