using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>A line's way within an order.</summary>
/// <param name="Line">Which line, from 0 in the order asked.</param>
/// <param name="MethodId">Its way.</param>
/// <param name="Name">On screen.</param>
/// <param name="Total">Cost of all its pieces.</param>
public sealed record LineWay(int Line, MethodId MethodId, string Name, decimal Total);

/// <summary>Ways of a whole order: each line by its own best, or one way for all of them, which shares a supplier's
/// freight and one heat.</summary>
/// <param name="Each">Each line by its best: a plain yes before one with care, then the least cost.</param>
/// <param name="EachTotal">What that costs in all, freight of one supplier counted once.</param>
/// <param name="OneId">The best single way for all lines; empty where none can do all.</param>
/// <param name="OneTotal">What it costs in all, its freight counted once; 0 where none can.</param>
/// <param name="Sentences">What is won and lost by mixing or by not mixing.</param>
public sealed record OrderWays(
    IReadOnlyList<LineWay> Each,
    decimal EachTotal,
    MethodId OneId,
    decimal OneTotal,
    IReadOnlyList<string> Sentences
)
{
    /// <summary>The ways of an order; null for an order of one line, or where a line can be done by none.</summary>
    /// <param name="lines">Its complete lines, each with the others beside it.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    public static OrderWays? Find(IReadOnlyList<AskInHand> lines, ShopBook book)
    {
        if (lines.Count < 2)
        {
            return null;
        }
        var able = lines
            .Select(l =>
                DecorationMethods
                    .All.Select(m => (Method: m, Answer: m.Answer(l, book)))
                    .Where(x => x.Answer.Decorations.Count > 0)
                    .Select(x => new Way(
                        x.Method,
                        x.Answer.Verdict.Kind,
                        x.Answer.Decorations,
                        LineCost.Reckon(l, x.Answer.Decorations, book).Cost.Value * l.Pieces
                    ))
                    .OrderBy(w => w.Kind)
                    .ThenBy(w => w.Total)
                    .ToList()
            )
            .ToList();
        if (able.Any(a => a.Count == 0))
        {
            return null;
        }
        var each = able.Select(a => a[0]).ToList();
        var one = DecorationMethods
            .All.Select(m => able.Select(a => a.FirstOrDefault(w => w.Method.Id == m.Id)).ToList())
            .Where(ways => ways.All(w => w is not null))
            .Select(ways => ways.Select(w => w!).ToList())
            .OrderBy(ways => ways.Max(w => w.Kind))
            .ThenBy(Total)
            .FirstOrDefault();
        return new(
            [.. each.Select((w, i) => new LineWay(i, w.Method.Id, w.Method.Name, w.Total))],
            Total(each),
            one?[0].Method.Id ?? "",
            one is null ? 0 : Total(one),
            [.. Said(each, one, book)]
        );
    }

    private static decimal Total(List<Way> ways) => ways.Sum(w => w.Total) - Shared(ways);

    // each line was reckoned with its supplier's freight alone: of one supplier it is paid once
    private static decimal Shared(List<Way> ways) =>
        ways.SelectMany(w => Freight(w).DistinctBy(f => f.Source))
            .GroupBy(f => f.Source)
            .Sum(g => g.Sum(f => f.Value) - g.Max(f => f.Value));

    private static IEnumerable<Figure> Freight(Way way) =>
        way
            .Decorations.Select(d => d.FreightShare)
            .OfType<Figure>()
            .SelectMany(p => p.Parts)
            .Where(p => p.Code == "freight");

    private static IEnumerable<string> Said(List<Way> each, List<Way>? one, ShopBook book)
    {
        var f = book.Numbers.Format;
        var names = each.Select(w => w.Method.Name.ToLowerInvariant()).Distinct().ToList();
        yield return $"each line its best way ({string.Join(" + ", names)}) costs {Shown.Money(Total(each), f)} in all";
        if (one is null)
        {
            yield return "no single way can do every line";
            yield break;
        }
        if (names.Count == 1)
        {
            yield return "the same way is the best for every line";
            yield break;
        }
        var difference = Total(one) - Total(each);
        var care =
            one.Max(w => w.Kind) == VerdictKind.WithCare && each.All(w => w.Kind == VerdictKind.Yes)
                ? ", with care"
                : "";
        yield return $"{one[0].Method.Name.ToLowerInvariant()} for all lines costs {Shown.Money(Math.Abs(difference), f)} "
            + $"{(difference > 0 ? "more" : "less")}{care}";
        if (Shared(one) > 0)
        {
            yield return $"it saves {Shown.Money(Shared(one), f)} of freight, paid once";
        }
        var (heats, oneHeats) = (Heats(each), Heats(one));
        if (heats > oneHeats)
        {
            yield return $"mixed, the press is set {heats - oneHeats} {(heats - oneHeats == 1 ? "time" : "times")} more";
        }
    }

    private static int Heats(List<Way> ways) =>
        ways.SelectMany(w => w.Decorations)
            .Where(d => d.BenchId.IsNone)
            .Select(d => d.Recipe.TemperatureF)
            .Distinct()
            .Count();

    private sealed record Way(
        IDecorationMethod Method,
        VerdictKind Kind,
        IReadOnlyList<DecorationPlan> Decorations,
        decimal Total
    );
}
