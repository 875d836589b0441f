using Hepno.Core.Gang;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Pricing;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>Quantities from one to another in which the same way leads.</summary>
/// <param name="From">First quantity.</param>
/// <param name="To">Last quantity.</param>
/// <param name="MethodId">Which way; empty where none can.</param>
public sealed record RibbonStretch(int From, int To, MethodId MethodId);

/// <summary>A quantity at which another way becomes the cheapest, or the best for the shop.</summary>
/// <param name="Pieces">From here on.</param>
/// <param name="From">What was before; empty where nothing could.</param>
/// <param name="To">What is now.</param>
/// <param name="Sentence">In words.</param>
public sealed record Crossing(int Pieces, MethodId From, MethodId To, string Sentence);

/// <summary>Quantities in which two ways cost within 3 in 100 of one another: time and feel decide (docs/trade
/// 8).</summary>
/// <param name="From">First quantity.</param>
/// <param name="To">Last quantity.</param>
/// <param name="MethodId">The cheapest.</param>
/// <param name="OtherId">The other.</param>
public sealed record CloseStretch(int From, int To, MethodId MethodId, MethodId OtherId);

/// <summary>What a piece costs by one way at every quantity.</summary>
/// <param name="MethodId">Which way.</param>
/// <param name="Name">On screen.</param>
/// <param name="Costs">Money a piece at 1, 2, 3 ...; null where it cannot.</param>
/// <param name="From">Least quantity it does; null for none.</param>
/// <param name="WhyNot">Why it does not do less, or nothing at all; empty where it does one.</param>
public sealed record RibbonLine(
    MethodId MethodId,
    string Name,
    IReadOnlyList<decimal?> Costs,
    int? From,
    string WhyNot
);

/// <summary>The cheapest way at every quantity, and where the answer changes.</summary>
/// <param name="Most">Largest quantity looked at.</param>
/// <param name="Lines">Every way that can at some quantity.</param>
/// <param name="Cheapest">Stretches of the cheapest way that can.</param>
/// <param name="Best">Stretches of what is best for the shop: a plain yes first, then what leaves most at one price
/// inside the customer's mark, hands beyond the free ones paid for at their worth.</param>
/// <param name="Close">Where two are within 3 in 100.</param>
/// <param name="Crossings">Where the cheapest changes; alternations of a few pieces are left out.</param>
/// <param name="Overtakings">Where the best for the shop changes; alternations of a few pieces are left out.</param>
/// <param name="Assumes">What is assumed beside the full computation.</param>
public sealed record QuantityRibbon(
    int Most,
    IReadOnlyList<RibbonLine> Lines,
    IReadOnlyList<RibbonStretch> Cheapest,
    IReadOnlyList<RibbonStretch> Best,
    IReadOnlyList<CloseStretch> Close,
    IReadOnlyList<Crossing> Crossings,
    IReadOnlyList<Crossing> Overtakings,
    IReadOnlyList<string> Assumes
)
{
    /// <summary>Quantities looked at by default.</summary>
    public const int UsualMost = 500;

    // a change for fewer pieces than this is an alternation, not an answer
    private const int Alternation = 3;

    // prints to a piece's one, spares among them, at most
    private const double WithSpares = 1.2;

    /// <summary>Reckons every way at every quantity: exact price steps, layouts laid about, minutes simulated up to 24
    /// pieces and beyond by steady state and end effect.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="mark">The most the customer would pay a piece.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <param name="worth">What hours of hands are worth; null for nothing beyond their wage.</param>
    /// <param name="most">Largest quantity, 1 or more.</param>
    public static QuantityRibbon Reckon(
        AskInHand ask,
        decimal? mark,
        ShopBook book,
        WorthOfHands? worth = null,
        int most = UsualMost
    )
    {
        var sketched = ask with { Sketch = new LayoutSketch(book.Layouts), Laid = null };
        var asks = Enumerable.Range(1, most).Select(sketched.At).ToList();
        var ways = RibbonWay.All(ask, asks, book).Select(w => w.WithKept(ask, book)).ToList();
        var able = ways.Where(w => w.At.Any(p => p.Can)).ToList();
        var lines = able.Select(w => new RibbonLine(
                w.Method.Id,
                w.Method.Name,
                [.. w.At.Select(p => p.Can ? p.Cost : (decimal?)null)],
                w.At.TakeWhile(p => !p.Can).Count() + 1,
                w.At[0].Can ? "" : w.At[0].WhyNot
            ))
            .ToList();
        var held = Enumerable.Range(0, most).Select(i => RibbonWay.HeldAt(i, able)).ToList();
        var cheapest = held.Select(h => h.OrderBy(x => x.At.Cost).Select(x => x.Id).FirstOrDefault("")).ToList();
        var best = held.Select(
                (h, i) => BestAt(h, i + 1, mark, LineCost.Fees(asks[i], book), worth ?? WorthOfHands.Nothing)
            )
            .ToList();
        var (cheap, better) = (Stretches(cheapest), Stretches([.. best.Select(b => b.Id)]));
        // what the comparison at that count may not say to the cent is said as it is
        string About(int pieces) =>
            pieces > RibbonPoint.Every || (pieces * ask.Placements.Count * WithSpares) > LayoutSketch.Exact
                ? "about "
                : "";
        return new(
            most,
            lines,
            cheap,
            better,
            Nearly(held),
            Crossed(cheap, lines, About, book.Numbers.Format),
            Overtaken(better, lines, best, About, book.Numbers.Format),
            [
                "prices at their real steps, tiers and least numbers",
                $"layouts of more than {LayoutSketch.Exact} prints by the length a print takes, not laid one by one",
                $"minutes of more than {PressFloor.FloorMinutes.Exact} pieces by what a further piece takes",
                $"beyond {RibbonPoint.Every} pieces every {RibbonPoint.Apart / 2}th quantity, and those between "
                    + "nearer and nearer wherever a price steps",
                .. ask.Placements.Count > 1
                    ?
                    [
                        $"mixes of ways are looked for at {string.Join(", ", RibbonWay.LookedForAt(ask, most))} "
                            + $"pieces, and count where they cost over {Advice.CloseShare:0%} less than any single way "
                            + "of as good a verdict",
                    ]
                    : Array.Empty<string>(),
                "the day it is wanted is looked at for the count in hand alone",
            ]
        );
    }

    // what is left by each at a quantity, and by the best of them; its key is empty where none fits
    private static (MethodId Id, IReadOnlyDictionary<MethodId, (decimal Left, VerdictKind Kind)> Of) BestAt(
        IReadOnlyList<(MethodId Id, RibbonPoint At)> able,
        int pieces,
        decimal? mark,
        FeeTerms fees,
        WorthOfHands worth
    )
    {
        var fitting = able.Where(a => mark is null || a.At.Price <= mark).ToList();
        if (fitting.Count == 0)
        {
            return ("", new Dictionary<MethodId, (decimal, VerdictKind)>());
        }
        var price = mark ?? fitting.GroupBy(a => a.At.Kind).MinBy(g => g.Key)!.Min(a => a.At.Price);
        decimal Left(RibbonPoint at) =>
            worth.Left(pieces * (price - at.Cost - fees.On(price)), hours: pieces * at.Hours);
        return (
            Leading.Best(fitting, a => new(Left(a.At), pieces * a.At.Cost, null, a.At.Kind)).Id,
            fitting.ToDictionary(a => a.Id, a => (Left(a.At), a.At.Kind))
        );
    }

    private static List<RibbonStretch> Stretches(List<MethodId> at)
    {
        var stretches = new List<RibbonStretch>();
        for (var i = 0; i < at.Count; i++)
        {
            if (stretches.Count > 0 && stretches[^1].MethodId == at[i])
            {
                stretches[^1] = stretches[^1] with { To = i + 1 };
            }
            else
            {
                stretches.Add(new(i + 1, i + 1, at[i]));
            }
        }
        return stretches;
    }

    private static List<CloseStretch> Nearly(List<IReadOnlyList<(MethodId Id, RibbonPoint At)>> held)
    {
        var close = new List<CloseStretch>();
        for (var i = 0; i < held.Count; i++)
        {
            var two = held[i].OrderBy(w => w.At.Cost).Take(2).ToList();
            if (two.Count < 2 || two[1].At.Cost > two[0].At.Cost * Advice.CloseShare.OnTop)
            {
                continue;
            }
            var (one, other) = (two[0].Id, two[1].Id);
            // which of the two is a penny cheaper does not matter here
            if (
                close.Count > 0
                && close[^1].To == i
                && (
                    (close[^1].MethodId == one && close[^1].OtherId == other)
                    || (close[^1].MethodId == other && close[^1].OtherId == one)
                )
            )
            {
                close[^1] = close[^1] with { To = i + 1 };
            }
            else
            {
                close.Add(new(i + 1, i + 1, one, other));
            }
        }
        return close;
    }

    // alternations of a few pieces left out
    private static IEnumerable<(RibbonStretch Before, RibbonStretch Now)> Changes(List<RibbonStretch> stretches)
    {
        var lasting = stretches.Where((s, i) => s.To - s.From >= Alternation || i == stretches.Count - 1).ToList();
        return lasting
            .Zip(lasting.Skip(1))
            .Where(x => x.First.MethodId != x.Second.MethodId && !x.Second.MethodId.IsNone);
    }

    private static List<Crossing> Overtaken(
        List<RibbonStretch> stretches,
        List<RibbonLine> lines,
        List<(MethodId Id, IReadOnlyDictionary<MethodId, (decimal Left, VerdictKind Kind)> Of)> best,
        Func<int, string> about,
        FigureFormat f
    )
    {
        string Said(RibbonStretch before, RibbonStretch now)
        {
            var of = best[now.From - 1].Of;
            string Leaves(MethodId id) =>
                $"{Shown.Money(of[id].Left, f)} in all{(of[id].Kind == VerdictKind.WithCare ? ", with care" : "")}";
            string Name(MethodId id) => lines.First(l => l.MethodId == id).Name.ToLowerInvariant();
            // what led before may not fit any more
            var against = of.ContainsKey(before.MethodId) ? $"; {Name(before.MethodId)} {Leaves(before.MethodId)}" : "";
            return $"from {now.From} on {Name(now.MethodId)} is better for us: it leaves "
                + $"{about(now.From)}{Leaves(now.MethodId)}{against}";
        }
        return
        [
            .. Changes(stretches)
                .Where(c => !c.Before.MethodId.IsNone)
                .Select(c => new Crossing(c.Now.From, c.Before.MethodId, c.Now.MethodId, Said(c.Before, c.Now))),
        ];
    }

    private static List<Crossing> Crossed(
        List<RibbonStretch> stretches,
        List<RibbonLine> lines,
        Func<int, string> about,
        FigureFormat f
    )
    {
        var crossings = new List<Crossing>();
        foreach (var (before, now) in Changes(stretches))
        {
            var (a, b) = (
                lines.FirstOrDefault(l => l.MethodId == before.MethodId),
                lines.First(l => l.MethodId == now.MethodId)
            );
            var cost = about(now.From) + Shown.Money(b.Costs[now.From - 1]!.Value, f);
            crossings.Add(
                new(
                    now.From,
                    before.MethodId,
                    now.MethodId,
                    a is null
                        ? $"from {now.From} on {b.Name.ToLowerInvariant()} can, at {cost} a piece"
                        : $"from {now.From} on {b.Name.ToLowerInvariant()} costs less than "
                            + $"{a.Name.ToLowerInvariant()}: {cost} a piece"
                )
            );
        }
        return crossings;
    }
}
