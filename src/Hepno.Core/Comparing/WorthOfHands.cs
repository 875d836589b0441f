using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Planning;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Comparing;

/// <summary>What all pieces of a line leave by one way when every way is sold at the same price.</summary>
/// <param name="Pieces">How many.</param>
/// <param name="Profit">Of all of them, wages paid.</param>
/// <param name="Hours">Hands of all of them, h.</param>
/// <param name="Left">Profit less what hands beyond the free would earn otherwise, opened to its parts.</param>
public sealed record LeftInAll(int Pieces, decimal Profit, decimal Hours, Figure Left);

/// <summary>What an hour of hands is worth for an order beyond its wage: what it would otherwise earn here, once the
/// free hands are used up (docs/trade 8).</summary>
/// <param name="AnHour">Money beyond the wage for an hour that counts.</param>
/// <param name="Free">Hours that count nothing; null for all of them.</param>
/// <param name="Source">Where the worth of an hour comes from.</param>
/// <param name="FreeSource">Which hours count nothing, in words.</param>
public sealed record WorthOfHands(decimal AnHour, decimal? Free, string Source, string FreeSource)
{
    /// <summary>Hours of hands that the assumption is worth against what orders handed over have earned.</summary>
    public const decimal AssumedHours = 20;

    private const decimal Half = 0.5m;

    /// <summary>No hour counts anything.</summary>
    public static WorthOfHands Nothing { get; } = new(0, Free: null, "", FreeSource: "");

    /// <summary>What hours are worth for a line.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="dueAt">When it is wanted, wall clock; null when no date was said, and there is all the time it
    /// takes.</param>
    /// <param name="book">Its numbers say how: by the plan, always, or a typed sum.</param>
    /// <param name="floor">What is already planned, the order's other lines among it.</param>
    public static WorthOfHands Reckon(AskInHand ask, LocalDateTime? dueAt, ShopBook book, FloorPlan floor)
    {
        var n = book.Numbers;
        if (n.Rates.HandsWorth == HandsWorth.Typed)
        {
            return new(
                n.Rates.HandsWorthAnHour,
                0,
                "Numbers: worth of an hour",
                FreeSource: "every hour counts: a sum is typed"
            );
        }
        var (anHour, source) = Otherwise(book, n.Prices.PolicyFor(ask.Channel));
        if (n.Rates.HandsWorth == HandsWorth.Always)
        {
            return new(anHour, 0, source, "every hour counts: Numbers say always");
        }
        // in whole half hours, so that a minute later the answer is the same
        return dueAt is { } due && anHour > 0
            ? new(
                anHour,
                Math.Floor((decimal)FreeHands.HoursUntil(floor, due) / Half) * Half,
                source,
                $"free hands until {Shown.Moment(due, n.Format)}, by the plan"
            )
            : new(anHour, null, source, dueAt is null ? "no date was said" : "nothing is known to earn otherwise");
    }

    /// <summary>Hours of an order that count.</summary>
    public decimal Beyond(decimal hours) => Free is { } free ? Math.Max(0, hours - free) : 0;

    /// <summary>What pieces leave when their hours are paid for at their worth.</summary>
    /// <param name="profit">Of all of them, wages paid.</param>
    /// <param name="hours">Their hands, h.</param>
    public decimal Left(decimal profit, decimal hours) => profit - (Beyond(hours) * AnHour);

    /// <summary>What pieces leave, opened to its parts.</summary>
    /// <param name="pieces">How many.</param>
    /// <param name="profitEach">Profit of one at the price it is weighed at.</param>
    /// <param name="handsEach">Hands of one, s.</param>
    public LeftInAll Left(int pieces, Figure profitEach, Figure handsEach)
    {
        Figure InAll(Figure each, string code, string label) =>
            new(
                code,
                label,
                each.Value * pieces,
                each.Unit,
                "a piece × pieces",
                Source: "",
                [each, Figure.Input("pieces", "Pieces", pieces, FigureUnit.Count, "the ask")]
            );
        var (profit, hands) = (
            InAll(profitEach, "profit-all", "Profit of all pieces"),
            InAll(handsEach, "hands-all", "Hands of all pieces")
        );
        var hours = hands.Value / 3600;
        Figure[] counted = Free is { } free
            ? [Figure.Input("free", "Free hands", free * 3600, FigureUnit.Seconds, FreeSource)]
            : [];
        var beyond = new Figure(
            "beyond",
            "Hands beyond the free",
            Beyond(hours) * 3600,
            FigureUnit.Seconds,
            Free is null ? FreeSource : "hands − free, at least 0",
            Source: "",
            [hands, .. counted]
        );
        var worth = Figure.Of(
            "hands-worth",
            "What they would earn otherwise",
            Beyond(hours) * AnHour,
            "hours × worth",
            beyond,
            Figure.Input("worth-an-hour", "Worth of an hour", AnHour, FigureUnit.MoneyAnHour, Source)
        );
        return new(
            pieces,
            profit.Value,
            hours,
            Figure.Of(
                "left",
                "Left in all",
                Left(profit.Value, hours),
                "profit − what hands beyond the free would earn otherwise",
                profit,
                worth
            )
        );
    }

    // what orders earned here weighs more the more hours of it there are; before, the hourly policy, else nothing
    private static (decimal AnHour, string Source) Otherwise(ShopBook book, PricePolicy policy)
    {
        var assumed = policy.Kind == PolicyKind.Hourly ? policy.PerHour : 0;
        var learned = Math.Max(0, ((AssumedHours * assumed) + book.Earned.Profit) / (AssumedHours + book.Earned.Hours));
        return book.Earned.Hours == 0
            ? (assumed, assumed > 0 ? "Numbers: price policy" : "no order is handed over yet")
            : (
                learned,
                $"{Shown.Number((double)book.Earned.Hours, 1, book.Numbers.Format)} h of orders handed over, and "
                    + $"{AssumedHours:0} h at {Shown.AnHour(assumed, book.Numbers.Format)}"
            );
    }
}
