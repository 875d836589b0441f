namespace Hepno.Web.Tests;

/// <summary>A customer who pays no sales tax, and one who pays later.</summary>
public class CustomerTermsTests(Shop shop) : IClassFixture<Shop>
{
    private static readonly string Due = Shop.DaysOn(30);

    private async Task<Journey> Quoted(string id, string customer)
    {
        Assert.Equal(200, (await shop.Send(HttpMethod.Put, $"/api/customers/{id}", customer)).Status);
        var (status, answer) = await shop.Send(
            HttpMethod.Put,
            $"/api/orders/{id}",
            $$"""
            {"customerId":"{{id}}","lines":[{"id":"1","styleId":"hollin","colourwayId":"navy","sizes":[{"size":"M","pieces":20}],"mark":null,
             "placements":[{"id":"p","place":"front","widthIn":9,"heightIn":8,"coveragePercent":50,"colours":2,
             "gradient":false,"thinnestLinePt":5}]}],"dueDate":"{{Due}}","dueTime":null,"details":null}
            """
        );
        Assert.True(status == 200, answer.ToString());
        var journey = new Journey(shop, id);
        await journey.Done("choose", """{"methodId":"dtf-bought"}""");
        await journey.Done("lay-out");
        return journey;
    }

    [Fact]
    public async Task Who_is_exempt_pays_no_tax_and_the_paper_says_what_proves_it()
    {
        await Quoted("exempt", """{"name":"Tide Mill Museum","contact":"","taxExempt":"certificate 4471"}""");
        var quote = (await shop.Get("/api/orders/exempt/quote")).GetProperty("quote");
        Assert.Equal(
            (0m, quote.GetProperty("goods").GetDecimal()),
            (quote.GetProperty("tax").GetDecimal(), quote.GetProperty("total").GetDecimal())
        );
        Assert.Contains(
            "No sales tax is charged: certificate 4471, as you told us.",
            quote.GetRawText(),
            StringComparison.Ordinal
        );
        // the comparison and the quote name the same price
        var band = (await shop.Get("/api/orders/exempt/compare"))
            .GetProperty("bands")
            .EnumerateArray()
            .Single(b => b.GetProperty("methodId").GetString() == "dtf-bought");
        Assert.Equal(band.GetProperty("total").GetDecimal(), quote.GetProperty("goods").GetDecimal());
    }

    [Fact]
    public async Task Who_has_an_account_pays_no_deposit_and_nothing_with_the_pieces()
    {
        var journey = await Quoted("account", """{"name":"Harbour Office","contact":"Odo","accountDays":30}""");
        await journey.Done("send");
        var quote = (await shop.Get("/api/orders/account/quote")).GetProperty("quote");
        Assert.Equal(0m, quote.GetProperty("deposit").GetDecimal());
        Assert.True(quote.GetProperty("tax").GetDecimal() > 0);
        Assert.Contains("Paid within 30 days of the invoice.", quote.GetRawText(), StringComparison.Ordinal);
        await journey.Done("approve", """{"by":"Odo"}""");
        Assert.DoesNotContain(
            "deposit",
            (await journey.Order()).GetProperty("slip").GetProperty("missing").GetRawText(),
            StringComparison.OrdinalIgnoreCase
        );
        var sending = await shop.Get("/api/orders/account/sending");
        Assert.Contains(
            "goes on your account, 30 days",
            sending.GetProperty("message").GetString()!,
            StringComparison.Ordinal
        );
        Assert.Equal(0m, sending.GetProperty("balance").GetProperty("now").GetDecimal());
    }

    [Theory]
    [InlineData("""{"name":"A","contact":"","accountDays":900}""", "accountDays")]
    [InlineData("""{"name":"A","contact":"","accountDays":-1}""", "accountDays")]
    public async Task Terms_that_cannot_be_are_refused(string body, string field) =>
        Assert.Equal(
            field,
            (await shop.Send(HttpMethod.Put, "/api/customers/odd-terms", body))
                .Body.GetProperty("problems")[0]
                .GetProperty("where")
                .GetString()
        );
}
