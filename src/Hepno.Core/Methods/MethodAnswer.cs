using Hepno.Core.Purchasing;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>What a method answers to an ask.</summary>
/// <param name="Verdict">Whether it can.</param>
/// <param name="Made">A few words on how, for the band.</param>
/// <param name="Decorations">How, or empty when it cannot.</param>
public sealed record MethodAnswer(Verdict Verdict, string Made, IReadOnlyList<DecorationPlan> Decorations)
{
    /// <summary>Of which price list, product or machine, in words; empty where there is one way to do it.</summary>
    public string Of { get; init; } = "";

    /// <summary>Price lists, products and machines the shop has that cannot do it, with why: nothing is passed over in
    /// silence.</summary>
    public IReadOnlyList<Reason> NotUsed { get; init; } = [];

    /// <summary>It cannot, and why.</summary>
    public static MethodAnswer No(params IReadOnlyList<Reason> reasons) => new(Verdict.From(reasons), "", []);

    /// <summary>The best of one method's answers with different products or machines: what the owner has laid out, as
    /// long as the line needs the same prints; else a plain yes before one with care, then the least money for material
    /// and set-ups; when none can, the first one's reasons.</summary>
    /// <param name="answers">At least one.</param>
    /// <param name="ask">The line: where one brings its blanks, the others bear the line's own.</param>
    public static MethodAnswer BestOf(IReadOnlyList<MethodAnswer> answers, AskInHand ask)
    {
        if (answers is [var only])
        {
            return only;
        }
        var able = answers.Where(a => a.Decorations.Count > 0).ToList();
        static bool Brings(MethodAnswer a) => a.Decorations.Any(d => d.BringsBlank);
        var blank = able.Any(Brings) && !able.All(Brings) ? LandedBlank.Reckon(ask).Value : 0;
        // what is bought beyond the need is paid too: fifty at 2.00 are no bargain for twelve pieces
        decimal Money(DecorationPlan d) =>
            (d.Material.Value * ask.Pieces)
            + (Math.Max(0, d.Bought - ask.Pieces) * d.OneMore.Value)
            + (d.SetUp?.Value ?? 0);
        var best = able.OrderByDescending(a =>
                a.Decorations.Any(d => d.Purchases.Any(p => p.Laid is { IsSettled: true }))
            )
            .ThenBy(a => a.Verdict.Kind)
            .ThenBy(a => ((Brings(a) ? 0 : blank) * ask.Pieces) + a.Decorations.Sum(Money))
            .FirstOrDefault()
            ?? answers[0];
        return best with { NotUsed = PassedOver(answers, best) };
    }

    // a list is passed over where it can do it in no way; what the answer says itself is not said again for each
    private static IReadOnlyList<Reason> PassedOver(IReadOnlyList<MethodAnswer> answers, MethodAnswer best) =>
        [
            .. answers
                .GroupBy(a => a.Of)
                .Where(of => of.Key.Length > 0 && of.Key != best.Of && of.All(a => a.Decorations.Count == 0))
                .Select(of => (of.Key, Why: of.First().Verdict.Reasons.First(r => r.Kind == VerdictKind.No)))
                .Where(x => best.Verdict.Reasons.All(r => r.Sentence != x.Why.Sentence))
                .Select(x => x.Why with { Sentence = $"{x.Key}: {x.Why.Sentence}" }),
        ];
}
