using System.Text.Json;
using System.Text.Json.Nodes;
using Hepno.Core.Pricing;
using Hepno.Core.Sending;
using Hepno.Core.Shop;
using Hepno.Store.Documents;

namespace Hepno.Store.Tests;

/// <summary>The shop's numbers as documents keep them: every form they were ever written in is read.</summary>
public class NumbersLiftTests
{
    private static Document<ShopNumbers> Numbers => Aggregates.Numbers.Document;

    // one long list until the release of November 2026, in the two spellings it was kept in
    [Theory]
    [InlineData("numbers-1-history.json")]
    [InlineData("numbers-1-quote.json")]
    public void The_long_list_of_before_is_read_with_everything_in_it(string file)
    {
        var list = File.ReadAllText(Where(file));
        var n = Numbers.Read(list);
        Assert.Equal(("Tern & Tallow", "letter"), (n.Identity.Name, n.Identity.Paper));
        Assert.Equal(
            (0.029m, 0.30m, FeeBase.Everything, 0.08m),
            (n.Fees.Share.Part, n.Fees.Fixed, n.Fees.Base, n.Fees.TaxShare.Part)
        );
        Assert.Equal((2, 4, 0.6), (n.Week.People.Count, n.Rates.FixedCosts.Count, n.Rates.ProductiveShare));
        Assert.Equal((0.35m, 0.25m), (n.Prices.Retail.MarginShare.Part, n.Prices.Wholesale.MarginShare.Part));
        Assert.Equal(
            (0.5m, 14, 3, 4),
            (n.Terms.DepositShare.Part, n.Terms.ValidityDays, n.Floor.SwapMinutes, n.Packing.ParcelMinutes)
        );
        Assert.Empty(n.Problems());
        // every figure of the list stands somewhere in the parts; what it had not is a starting value
        var parts = Figures(JsonNode.Parse(Numbers.Written(n))!);
        Assert.All(Figures(JsonNode.Parse(list)!), figure => Assert.True(parts.Remove(figure), figure));
    }

    [Fact]
    public void What_a_list_had_not_yet_was_its_starting_value_and_wholesale_without_a_policy_had_retails()
    {
        var list = JsonNode.Parse(File.ReadAllText(Where("numbers-1-quote.json")))!.AsObject();
        foreach (var later in list.Select(f => f.Key).SkipWhile(k => k != "wholesale").ToList())
        {
            list[later] = null;
        }
        list["retail"]!["marginShare"] = 0.41m;
        list.Remove("unattended");
        var n = Numbers.Read(list.ToJsonString());
        Assert.Equal((0.41m, 0.41m), (n.Prices.Retail.MarginShare.Part, n.Prices.Wholesale.MarginShare.Part));
        Assert.Equal((Packaging.Default, PriceRules.UsualSteps), (n.Packing.Packagings, n.Prices.TierSteps), Same);
        Assert.Equal((1, 0), (n.Floor.HandsFactor, n.Floor.Unattended.Count));
    }

    [Fact]
    public void A_list_that_lost_what_it_always_had_is_damaged_not_old()
    {
        var list = JsonNode.Parse(File.ReadAllText(Where("numbers-1-quote.json")))!.AsObject();
        list.Remove("wage");
        Assert.Contains(
            "'wage'",
            Assert.Throws<JsonException>(() => Numbers.Read(list.ToJsonString())).Message,
            StringComparison.Ordinal
        );
    }

    private static bool Same(
        (IReadOnlyList<Packaging>, IReadOnlyList<int>) a,
        (IReadOnlyList<Packaging>, IReadOnlyList<int>) b
    ) => a.Item1.SequenceEqual(b.Item1) && a.Item2.SequenceEqual(b.Item2);

    // texts and numbers anywhere, without their places, words as history and as quotes spell them alike; nothing is
    // said of what is empty
    private static List<string> Figures(JsonNode node) =>
        [
            .. node switch
            {
                JsonObject o => o.SelectMany(f => f.Value is null ? [] : Figures(f.Value)),
                JsonArray a => a.SelectMany(x => x is null ? [] : Figures(x)),
                _ => [node.ToJsonString().ToLowerInvariant().Replace("-", "", StringComparison.Ordinal)],
            },
        ];

    private static string Where(string file) => Tree.Case("documents", file);
}
