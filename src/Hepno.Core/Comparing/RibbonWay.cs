using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>A way along the quantities, single or mixed.</summary>
/// <param name="Method">The way.</param>
/// <param name="At">What it comes to at 1, 2, 3 ... pieces.</param>
internal sealed record RibbonWay(IDecorationMethod Method, IReadOnlyList<RibbonPoint> At)
{
    // mixes that are worth it are looked for at these and at the count in hand: their materials step as those of the
    // single ways do, and between two of these hardly another one wins
    private static readonly int[] MixesAt = [1, 12, 48, 150, 500];

    /// <summary>At how many pieces mixes are looked for.</summary>
    /// <param name="ask">The line at its own count.</param>
    /// <param name="most">Largest quantity.</param>
    public static IReadOnlyList<int> LookedForAt(AskInHand ask, int most) =>
        [.. MixesAt.Append(ask.Pieces).Where(q => q <= most).Distinct().Order()];

    /// <summary>Every single way, and the mixes that are worth a look at some quantity.</summary>
    /// <param name="ask">The line at its own count.</param>
    /// <param name="asks">The line at each quantity.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static IReadOnlyList<RibbonWay> All(AskInHand ask, IReadOnlyList<AskInHand> asks, ShopBook book)
    {
        List<RibbonWay> single =
        [
            .. DecorationMethods.All.Select(m => new RibbonWay(
                m,
                RibbonPoint.Along(asks, i => m.Answer(asks[i], book), book)
            )),
        ];
        if (ask.Placements.Count < 2)
        {
            return single;
        }
        var parts = asks.Select(_ => new PartAnswers(book)).ToList();
        var mixes = LookedForAt(ask, asks.Count)
            .Select(q => q - 1)
            .SelectMany(i => Mixes.Best(asks[i], Mixes.Ways(asks[i], parts[i], book), Alone(i, single), parts[i], book))
            .DistinctBy(m => m.Id)
            .ToList();
        return
        [
            .. single,
            .. mixes.Select(m => new RibbonWay(m, RibbonPoint.Along(asks, i => parts[i].Answer(m, asks[i]), book))),
        ];
    }

    /// <summary>The same way, at the count in hand as its settled layout has it: what is compared and quoted
    /// there.</summary>
    /// <param name="ask">The line at its own count.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public RibbonWay WithKept(AskInHand ask, ShopBook book)
    {
        if (ask.Laid is null || ask.Pieces > At.Count || !At[ask.Pieces - 1].Can)
        {
            return this;
        }
        var answer = Method.Answer(ask, book);
        return answer.Decorations.Any(d => d.Purchases.Any(p => p.Laid is { IsSettled: true }))
            ? this with
            {
                At = [.. At.Select((p, i) => i == ask.Pieces - 1 ? RibbonPoint.Reckon(ask, answer, book) : p)],
            }
            : this;
    }

    /// <summary>The ways that are held against each other at a quantity: single ones that can, and mixes that are worth
    /// it there.</summary>
    /// <param name="i">The quantity, from 0 for one piece.</param>
    /// <param name="all">Every way.</param>
    public static IReadOnlyList<(MethodId Id, RibbonPoint At)> HeldAt(int i, IReadOnlyList<RibbonWay> all)
    {
        var alone = Alone(i, all);
        return
        [
            .. all.Where(w =>
                    w.At[i].Can && (w.Method is not Mixed || Mixes.IsWorth(w.At[i].Kind, w.At[i].Cost, alone))
                )
                .Select(w => (w.Method.Id, w.At[i])),
        ];
    }

    private static List<(VerdictKind Kind, decimal Cost)> Alone(int i, IReadOnlyList<RibbonWay> all) =>
        [.. all.Where(w => w.Method is not Mixed && w.At[i].Can).Select(w => (w.At[i].Kind, w.At[i].Cost))];
}
