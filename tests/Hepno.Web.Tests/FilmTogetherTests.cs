using System.Globalization;
using System.Text.Json;

namespace Hepno.Web.Tests;

/// <summary>Film of waiting orders bought as one: what it saves each, doing it, and buying apart again.</summary>
public class FilmTogetherTests(Shop shop) : IClassFixture<Shop>
{
    private const string Ground = "\"filmId\":\"ferrow\",\"on\":\"roll\"";

    private static string At(string id) => $"/api/orders/{id}/lines/1/layout";

    private async Task<Journey> Waiting(string id, bool listed = true)
    {
        var journey = new Journey(shop, id);
        await journey.To("gather");
        foreach (
            var (deed, json) in listed
                ? new[] { ("approve", """{"by":"Ada"}"""), ("deposit", """{"amount":0,"overrideReason":"known"}""") }
                : []
        )
        {
            await journey.Done(deed, json);
        }
        return journey;
    }

    private async Task<JsonElement?> Offer(string id, string other)
    {
        var view = await shop.Get(At(id));
        return view.GetProperty("joins")
            .EnumerateArray()
            .Where(j => j.GetProperty("orderId").GetString() == other)
            .Cast<JsonElement?>()
            .FirstOrDefault();
    }

    private static async Task<JsonElement> Film(Journey journey) =>
        (await journey.Order())
            .GetProperty("facts")
            .GetProperty("gathering")
            .GetProperty("items")
            .EnumerateArray()
            .Single(i => i.GetProperty("id").GetString() == "film-layout-f");

    private static decimal Money(JsonElement of, string field) => of.GetProperty(field).GetDecimal();

    [Fact]
    public async Task Two_orders_film_is_bought_as_one_each_bears_its_part_and_apart_again_it_is_as_before()
    {
        var (a, b) = (await Waiting("tog-a"), await Waiting("tog-b", listed: false));
        // the other has not said yes: it is offered, and what it waits for is named
        Assert.Contains(
            "the customer's yes",
            (await Offer("tog-a", "tog-b"))!.Value.GetProperty("waits").GetString(),
            StringComparison.Ordinal
        );
        Assert.Equal(409, (await a.Deed("lines/1/layout/join", """{"orderId":"tog-b","lineId":"1"}""")).Status);
        await b.Done("approve", """{"by":"Odo"}""");
        await b.Done("deposit", """{"amount":0,"overrideReason":"known"}""");
        var offer = (await Offer("tog-a", "tog-b"))!.Value;
        Assert.Equal("", offer.GetProperty("waits").GetString());
        var saves = offer.GetProperty("saves").GetProperty("value").GetDecimal();
        // one freight of 9.00 less, and never more film
        Assert.True(saves >= 9m);
        Assert.Equal(saves, Money(offer, "mine") + Money(offer, "theirs"), 6);
        Assert.Equal(Money(offer, "apart") - Money(offer, "asOne"), saves, 6);

        var (mine, theirs) = (await Film(a), await Film(b));
        await a.Done("lines/1/layout/join", """{"orderId":"tog-b","lineId":"1"}""");
        var joined = await shop.Get(At("tog-a"));
        Assert.Equal(10, joined.GetProperty("copies").GetArrayLength());
        var other = (await b.Order()).GetProperty("code").GetString();
        Assert.Equal(other, joined.GetProperty("together")[0].GetString());
        Assert.Contains(joined.GetProperty("designs").EnumerateArray(), d =>
            d.GetProperty("name").GetString() == $"{other} front"
        );
        var cost = joined.GetProperty("figures").GetProperty("cost").GetProperty("value").GetDecimal();
        Assert.Equal(Money(offer, "asOne") - 9m, cost, 6);
        // equal prints: half each, and both halves together are the roll
        Assert.Equal((cost / 2, cost / 2), (Money(await Film(a), "cost"), Money(await Film(b), "cost")));
        Assert.Contains(
            ", on the film of T-",
            (await Film(b)).GetProperty("text").GetString(),
            StringComparison.Ordinal
        );
        var lying = await shop.Get(At("tog-b"));
        Assert.True(lying.GetProperty("isLocked").GetBoolean());
        Assert.StartsWith("T-", lying.GetProperty("joinedTo").GetString(), StringComparison.Ordinal);
        Assert.Equal(
            409,
            (
                await b.Deed(
                    "lines/1/layout",
                    $$"""{{{Ground}},"copies":{{lying.GetProperty("copies").GetRawText()}}}""",
                    HttpMethod.Put
                )
            ).Status
        );
        Assert.Equal(409, (await b.Deed("withdraw")).Status);
        Assert.Equal(409, (await a.Deed("lines/1/layout/join", """{"orderId":"tog-b","lineId":"1"}""")).Status);
        Assert.Contains(
            $"{other} front",
            await shop.CreateClient().GetStringAsync($"{At("tog-a")}/layout.csv"),
            StringComparison.Ordinal
        );

        await a.Done("lines/1/layout/part");
        Assert.Equal(
            (Money(mine, "cost"), Money(theirs, "cost")),
            (Money(await Film(a), "cost"), Money(await Film(b), "cost"))
        );
        Assert.Equal(409, (await a.Deed("lines/1/layout/part")).Status);
        Assert.False((await shop.Get(At("tog-b"))).GetProperty("isLocked").GetBoolean());
    }

    [Fact]
    public async Task Until_the_film_is_here_it_may_be_laid_otherwise_and_what_is_bought_follows()
    {
        var journey = await Waiting("late");
        var view = await shop.Get(At("late"));
        Assert.False(view.GetProperty("isLocked").GetBoolean());
        var quoted = (await shop.Get("/api/orders/late/quote"))
            .GetProperty("quote")
            .GetProperty("lines")[0]
            .GetProperty("band")
            .GetProperty("costShown")
            .GetDecimal();
        var before = Money(await Film(journey), "cost");
        var later = view.GetProperty("copies")
            .GetRawText()
            .Replace(
                "\"y\":0.25",
                $"\"y\":{(view.GetProperty("figures").GetProperty("billedIn").GetDouble() + 3).ToString(CultureInfo.InvariantCulture)}",
                StringComparison.Ordinal
            );
        await journey.Done("lines/1/layout", $$"""{{{Ground}},"copies":{{later}}}""", HttpMethod.Put);
        Assert.True(Money(await Film(journey), "cost") > before);
        // the quote stands as it was sent
        Assert.Equal(
            quoted,
            (await shop.Get("/api/orders/late/quote"))
                .GetProperty("quote")
                .GetProperty("lines")[0]
                .GetProperty("band")
                .GetProperty("costShown")
                .GetDecimal()
        );
        await journey.Done("items/film-layout-f", """{"done":true}""", HttpMethod.Put);
        Assert.True((await shop.Get(At("late"))).GetProperty("isLocked").GetBoolean());
        Assert.Equal(
            409,
            (await journey.Deed("lines/1/layout", $$"""{{{Ground}},"copies":{{later}}}""", HttpMethod.Put)).Status
        );
    }
}
