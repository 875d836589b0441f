using Hepno.Core.Learning;
using Hepno.Core.Orders;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>How orders end that are not handed over, and what their quotes teach.</summary>
public class EndingTests
{
    private static readonly Instant Now = Instant.FromUtc(2026, 11, 29, 10, 0, 0);

    private static readonly AskLine Said = new("l", "brae", "black", [new("M", 4)], []) { Mark = null };

    private static readonly AskLine Empty = new("l", null, null, [], []) { Mark = null };

    private static Order Of(AskLine line, OrderFacts facts, string note = "") =>
        new("o", 205, new(null, [line], null, null) { Details = new() { Note = note } }, facts, Now);

    private static OrderFacts Facts(string stage) =>
        stage switch
        {
            "asked" => OrderFacts.None,
            "said yes" => OrderFacts.None with
            {
                Gathering = OrderFacts.None.Gathering with { Approval = new("Mrs Tern", Now) },
            },
            "handed over" => OrderFacts.None with
            {
                Gathering = OrderFacts.None.Gathering with { Approval = new("Mrs Tern", Now) },
                Sending = OrderFacts.None.Sending with { HandOver = new("Mrs Tern", Now) },
            },
            _ => OrderFacts.None with
            {
                End = OrderFacts.None.End with
                {
                    ClosedAt = Now,
                    Ending = new(EndKind.Lost, "too dear", "", null, 0, Now),
                },
            },
        };

    [Theory]
    [InlineData("asked", "declined lost")]
    [InlineData("said yes", "cancelled")]
    [InlineData("handed over", "")]
    [InlineData("lost", "")]
    public void What_an_order_can_come_to_follows_from_where_it_stands(string stage, string can)
    {
        var order = Of(Said, Facts(stage));
        Assert.Equal(
            can,
            string.Join(" ", Enum.GetValues<EndKind>().Where(k => Ending.Hindrance(k, order) is null))
                .ToLowerInvariant()
        );
        Assert.All(Enum.GetValues<EndKind>().Select(k => Ending.Hindrance(k, order)), no =>
            Assert.True(no is null || (no.Sentence.Length > 0 && no.Remedy.Length > 0))
        );
    }

    [Fact]
    public void Only_an_ask_that_says_nothing_is_thrown_away()
    {
        Assert.Null(Ending.Hindrance(EndKind.ThrownAway, Of(Empty, OrderFacts.None)));
        Assert.NotNull(Ending.Hindrance(EndKind.Lost, Of(Empty, OrderFacts.None)));
        Assert.NotNull(Ending.Hindrance(EndKind.ThrownAway, Of(Empty, OrderFacts.None, "rings again on Monday")));
        Assert.NotNull(
            Ending.Hindrance(
                EndKind.ThrownAway,
                Of(Empty, OrderFacts.None with { Attached = [new("a", "photo.png", "0", 1, Now)] })
            )
        );
        Assert.NotNull(
            Ending.Hindrance(EndKind.ThrownAway, Of(Empty with { Names = [new("M", "ADA", "10")] }, OrderFacts.None))
        );
    }

    [Theory]
    [InlineData(EndKind.Lost, "", "", null, 0, "why")]
    [InlineData(EndKind.Declined, "no time", "Fulmar", null, 0, "toWhom")]
    [InlineData(EndKind.Declined, "no time", "", 12.0, 0, "theirPrice")]
    [InlineData(EndKind.Lost, "too dear", "", -1.0, 0, "theirPrice")]
    [InlineData(EndKind.Lost, "too dear", "", null, 5, "settled")]
    [InlineData(EndKind.Cancelled, "called off", "", null, 1_000_001, "settled")]
    [InlineData(EndKind.ThrownAway, "", "", null, 0, "")]
    [InlineData(EndKind.Lost, "too dear", "Fulmar", 0.0, 0, "")]
    [InlineData(EndKind.Cancelled, "called off", "", null, -40, "")]
    public void What_cannot_be_kept_of_it_is_refused_by_field(
        EndKind kind,
        string why,
        string toWhom,
        double? theirPrice,
        int settled,
        string where
    ) =>
        Assert.Equal(
            where,
            string.Join(
                " ",
                new Ending(kind, why, toWhom, (decimal?)theirPrice, settled, Now).Problems().Select(p => p.Where)
            )
        );

    [Fact]
    public void A_cancelled_order_tells_what_was_bought_what_comes_still_and_what_is_paid()
    {
        static GatherItem Item(string id, GatherKind kind, decimal cost, bool here) =>
            new(
                id,
                kind,
                id,
                kind == GatherKind.Buy ? "Ferrow" : "",
                1,
                "pieces",
                cost,
                Now.InUtc().LocalDateTime,
                here ? Now : null
            );
        var facts = OrderFacts.None with
        {
            Gathering = OrderFacts.None.Gathering with
            {
                Deposit = new(50, null, Now),
                Items =
                [
                    Item("blanks", GatherKind.Buy, 84.2m, true),
                    Item("film", GatherKind.Buy, 31, false),
                    Item("cut", GatherKind.Prepare, 6.3m, true),
                    Item("weed", GatherKind.Prepare, 4, false),
                ],
            },
            Sending = OrderFacts.None.Sending with { Parts = [new("Mrs Tern", Now, 12.5m, [])] },
        };
        var bill = CancelledBill.Reckon(facts);
        Assert.Equal((90.5m, 31m, 62.5m, 28m), (bill.Spent.Value, bill.OnTheWay.Value, bill.Paid.Value, bill.Left));
        Assert.Equal(["Ferrow", "our own work"], bill.Spent.Parts.Select(p => p.Source));
        Assert.Equal(
            (0, 0),
            (CancelledBill.Reckon(OrderFacts.None).Left, CancelledBill.Reckon(OrderFacts.None).Spent.Parts.Count)
        );
    }

    [Fact]
    public void Won_and_lost_are_counted_by_way_with_the_price_in_the_middle()
    {
        QuotedOutcome[] quotes =
        [
            new("htv", 9, null),
            new("htv", 11, null),
            new("htv", 30, EndKind.Cancelled),
            new("htv", 14, EndKind.Lost),
            new("htv", 16, EndKind.Lost),
            new("htv", 99, EndKind.Declined),
            new("dtf", 8, EndKind.Lost),
        ];
        var ways = WonAndLost.Count(quotes);
        // 9, 11 and 30 were won: 11 is in the middle; of 14 and 16 the mean
        Assert.Equal([new("htv", 3, 2, 1, 11m, 15m), new("dtf", 0, 1, 0, null, 8m)], ways);
        Assert.Equal([0.6, 0], ways.Select(w => w.WonShare));
        Assert.Null(WonAndLost.Count([new("dtf", 8, EndKind.Declined)])[0].WonShare);
    }
}
