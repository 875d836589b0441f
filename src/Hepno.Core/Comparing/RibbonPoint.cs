using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>One way at one quantity.</summary>
/// <param name="Can">Whether it can.</param>
/// <param name="Cost">Money a piece.</param>
/// <param name="Price">Price a piece by the shop's rules.</param>
/// <param name="Kind">Its verdict.</param>
/// <param name="Hours">Hands a piece, h.</param>
/// <param name="WhyNot">Why it cannot; empty where it can.</param>
internal sealed record RibbonPoint(
    bool Can,
    decimal Cost,
    decimal Price,
    VerdictKind Kind,
    decimal Hours,
    string WhyNot
)
{
    /// <summary>Up to here every quantity is reckoned.</summary>
    public const int Every = 60;

    /// <summary>Beyond, so far apart, and nearer wherever the total does not go straight between.</summary>
    public const int Apart = 16;

    // a total that is off the straight by more than this has a price step in it
    private const decimal Straight = 0.002m;

    // a way that can at none of these cannot at all: what more pieces allow stays allowed up to what a sheet or a
    // printer holds
    private static readonly int[] Looked = [1, 6, 12, 24, 48, 96, 150, 300, 500];

    /// <summary>One way at 1, 2, 3 ... pieces.</summary>
    /// <param name="asks">The line at each quantity.</param>
    /// <param name="answer">What the way answers for each of them, from 0.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static IReadOnlyList<RibbonPoint> Along(
        IReadOnlyList<AskInHand> asks,
        Func<int, MethodAnswer> answer,
        ShopBook book
    )
    {
        var points = new RibbonPoint?[asks.Count];
        RibbonPoint At(int i) => points[i] ??= Reckon(asks[i], answer(i), book);
        if (Looked.Where(q => q <= asks.Count).Append(asks.Count).All(q => !At(q - 1).Can))
        {
            return [.. asks.Select(_ => points[0]!)];
        }
        for (var i = 0; i < asks.Count && i < Every; i++)
        {
            At(i);
        }
        for (var from = Every - 1; from < asks.Count - 1; from += Apart)
        {
            Fill(from, Math.Min(from + Apart, asks.Count - 1));
        }
        return points!;

        // straight between two quantities where the one in the middle lies on the line, else looked at in halves
        void Fill(int from, int to)
        {
            var (a, b, middle) = (At(from), At(to), (from + to) / 2);
            if (to - from < 2)
            {
                return;
            }
            var straight = OnTheLine(from, a, to, b, middle, At(middle));
            for (var i = from + 1; straight && i < to; i++)
            {
                points[i] ??= a.Can ? Between(from, a, to, b, i) : a;
            }
            if (!straight)
            {
                Fill(from, middle);
                Fill(middle, to);
            }
        }
    }

    /// <summary>What a way's answer comes to.</summary>
    public static RibbonPoint Reckon(AskInHand at, MethodAnswer answer, ShopBook book)
    {
        if (answer.Decorations.Count == 0)
        {
            return new(false, 0, Price: 0, VerdictKind.No, 1, answer.Verdict.Reasons[0].Sentence);
        }
        var cost = LineCost.Reckon(at, answer.Decorations, book);
        return new(
            true,
            cost.Cost.Value,
            Price: LinePrice.Reckon(at, answer.Decorations, cost, book, null).Each,
            answer.Verdict.Kind,
            cost.HandsSeconds.Value / 3600,
            ""
        );
    }

    private static bool OnTheLine(int from, RibbonPoint a, int to, RibbonPoint b, int middle, RibbonPoint m)
    {
        if (a.Can != b.Can || a.Can != m.Can || a.Kind != b.Kind || a.Kind != m.Kind)
        {
            return false;
        }
        return !a.Can || Math.Abs(m.Cost - Between(from, a, to, b, middle).Cost) <= Straight * m.Cost;
    }

    // totals go straight from one to the next; a piece's part of what is paid once falls with the quantity
    private static RibbonPoint Between(int k, RibbonPoint a, int next, RibbonPoint b, int i)
    {
        decimal Each(Func<RibbonPoint, decimal> of) =>
            (((k + 1) * of(a) * (next - i)) + ((next + 1) * of(b) * (i - k))) / (next - k) / (i + 1);
        return a with { Cost = Each(p => p.Cost), Price = Each(p => p.Price), Hours = Each(p => p.Hours) };
    }
}
