using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>Which way can do a placement by itself, and at what cost.</summary>
/// <param name="PlacementId">Which placement.</param>
/// <param name="Place">Its place's name.</param>
/// <param name="Ways">Keys of methods that can, the best first: a plain yes before one with care, then the least
/// cost.</param>
/// <param name="Cheapest">The one of the least cost, whatever care it needs; empty where none can.</param>
public sealed record PlacementWays(
    PlacementId PlacementId,
    string Place,
    IReadOnlyList<MethodId> Ways,
    MethodId Cheapest
);

/// <summary>Finds the best combinations of ways for a line with several placements.</summary>
public static class Mixes
{
    // the best two ways of each placement and its cheapest are combined; of more than three placements, one at a time
    // leaves the best
    private const int PerPlacement = 2;
    private const int AllCombined = 3;

    /// <summary>What each placement could be done by alone; empty for a line of one placement.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="found">What was answered for it already.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static IReadOnlyList<PlacementWays> Ways(AskInHand ask, PartAnswers found, ShopBook book) =>
        ask.Placements.Count < 2
            ? []
            :
            [
                .. ask
                    .Placements.Select(p => (Print: p, Able: Able(ask with { Placements = [p] }, found, book)))
                    .Select(x => new PlacementWays(
                        x.Print.Id,
                        x.Print.At().Name,
                        [.. x.Able.OrderBy(w => w.Kind).ThenBy(w => w.Cost).Select(w => w.Id)],
                        x.Able.OrderBy(w => w.Cost).Select(w => w.Id).FirstOrDefault()
                    )),
            ];

    /// <summary>The mixes worth a look, at most two: a plain yes where no single way is, and one that costs less than
    /// every single way of its verdict, by more than makes no difference: two feels on one piece are not worth
    /// less.</summary>
    /// <param name="ask">The line.</param>
    /// <param name="ways">What each placement could be done by.</param>
    /// <param name="alone">Verdict and cost of the single ways that can.</param>
    /// <param name="found">What was answered for it already.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static IReadOnlyList<Mixed> Best(
        AskInHand ask,
        IReadOnlyList<PlacementWays> ways,
        IReadOnlyList<(VerdictKind Kind, decimal Cost)> alone,
        PartAnswers found,
        ShopBook book
    )
    {
        var won = Combined(ways)
            .Select(m => (Mix: m, Answer: found.Answer(m, ask)))
            .Where(x => x.Answer.Decorations.Count > 0)
            .Select(x =>
                (x.Mix, x.Answer.Verdict.Kind, Cost: LineCost.Reckon(ask, x.Answer.Decorations, book).Cost.Value)
            )
            .Where(x => IsWorth(x.Kind, x.Cost, alone))
            .ToList();
        return won.Count == 0
            ? []
            :
            [
                .. new[]
                {
                    won.OrderBy(x => x.Kind).ThenBy(x => x.Cost).First().Mix,
                    won.MinBy(x => x.Cost).Mix,
                }.Distinct(),
            ];
    }

    /// <summary>True where a mix is worth its two feels: every single way of as good a verdict costs more, by more than
    /// makes no difference.</summary>
    /// <param name="kind">The mix's verdict.</param>
    /// <param name="cost">What a piece costs by it.</param>
    /// <param name="alone">Verdict and cost of the single ways that can.</param>
    internal static bool IsWorth(VerdictKind kind, decimal cost, IEnumerable<(VerdictKind Kind, decimal Cost)> alone) =>
        !alone.Any(s => s.Kind <= kind && s.Cost <= cost * Advice.CloseShare.OnTop);

    /// <summary>What is won and lost by a mix, against the cheapest single way of the comparison.</summary>
    /// <param name="mix">A band; of a single way nothing is said.</param>
    /// <param name="all">All bands.</param>
    /// <param name="f">How figures are written.</param>
    public static IReadOnlyList<string> Mixing(Band mix, IReadOnlyList<Band> all, FigureFormat f)
    {
        if (Mixed.Find(mix.MethodId) is not { } mixed)
        {
            return [];
        }
        var single = all.Where(b => Mixed.Find(b.MethodId) is null).MinBy(b => b.Cost.Value);
        List<string> said =
        [
            single is null ? "no single way can do all of it"
            : mix.CostShown <= single.CostShown
                ? $"costs {Shown.Money(single.CostShown - mix.CostShown, f)} a piece less than "
                    + $"{single.Name.ToLowerInvariant()} for all of it"
            : $"costs {Shown.Money(mix.CostShown - single.CostShown, f)} a piece more than "
                + $"{single.Name.ToLowerInvariant()} for all of it",
        ];
        int Suppliers(Band b) =>
            b
                .Decorations.SelectMany(d => d.Purchases)
                .Select(p => p.Supplier)
                .Where(s => s.Length > 0)
                .Distinct()
                .Count();
        if (Suppliers(mix) > 1)
        {
            said.Add($"waits for {Suppliers(mix)} suppliers");
        }
        var heats = mix
            .Decorations.Where(d => d.Recipe.IsPressed())
            .Select(d => d.Recipe.TemperatureF)
            .Distinct()
            .Order()
            .ToList();
        if (heats.Count > 1)
        {
            said.Add(
                $"the press goes from {Shown.Temperature(heats[0], f)} to {Shown.Temperature(heats[^1], f)} "
                    + "between prints"
            );
        }
        var places = mix.Decorations.Select(d => d.BenchId).Distinct().Count();
        if (places > 1)
        {
            said.Add($"every piece is handled at {places} places of work, one after the other");
        }
        if (single?.Promise is { } one && mix.Promise is { } two && one.At != two.At)
        {
            said.Add(
                $"ready {Shown.Moment(two.At, f)}; {single.Name.ToLowerInvariant()} alone {Shown.Moment(one.At, f)}"
            );
        }
        List<string> feels = [.. mixed.Ways.Select(m => m.Character.Feel).Distinct()];
        said.Add($"two feels on one piece: {(feels is [var same] ? $"{same} both" : string.Join(", ", feels))}");
        return said;
    }

    private static List<(MethodId Id, VerdictKind Kind, decimal Cost)> Able(
        AskInHand alone,
        PartAnswers found,
        ShopBook book
    ) =>
        [
            .. DecorationMethods
                .All.Select(m => (m.Id, Answer: found.Answer(m, alone)))
                .Where(x => x.Answer.Decorations.Count > 0 && !x.Answer.Decorations.Any(d => d.IsOnTheirBlank()))
                .Select(x =>
                    (x.Id, x.Answer.Verdict.Kind, LineCost.Reckon(alone, x.Answer.Decorations, book).Cost.Value)
                ),
        ];

    private static IEnumerable<MethodId> Tried(PlacementWays w) =>
        w.Ways.Take(PerPlacement).Append(w.Cheapest).Distinct();

    private static IEnumerable<Mixed> Combined(IReadOnlyList<PlacementWays> ways)
    {
        if (ways.Count == 0 || ways.Any(w => w.Ways.Count == 0))
        {
            yield break;
        }
        IEnumerable<IReadOnlyList<MethodId>> all =
            ways.Count <= AllCombined
                ? ways.Aggregate(
                    (IEnumerable<IReadOnlyList<MethodId>>)
                        [
                            [],
                        ],
                    (some, w) => some.SelectMany(s => Tried(w).Select(id => (IReadOnlyList<MethodId>)[.. s, id]))
                )
                : ways.SelectMany(
                    (w, i) =>
                        Tried(w)
                            .Select(id => (IReadOnlyList<MethodId>)[.. ways.Select((o, k) => k == i ? id : o.Ways[0])])
                );
        foreach (var chosen in all.DistinctBy(c => string.Join(' ', c)).Where(c => c.Distinct().Count() > 1))
        {
            yield return new([.. ways.Select((w, i) => (w.PlacementId, DecorationMethods.Find(chosen[i])!))]);
        }
    }
}
