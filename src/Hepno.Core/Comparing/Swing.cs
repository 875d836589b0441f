using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>What one input alone does to the cost of a piece.</summary>
/// <param name="Input">Which.</param>
/// <param name="Name">On screen.</param>
/// <param name="Now">Money a piece as it is.</param>
/// <param name="Low">Money a piece with it at its low level.</param>
/// <param name="High">With it at its high level.</param>
/// <param name="Levels">The two levels in words.</param>
public sealed record Swing(WhatIfInput Input, string Name, decimal Now, decimal Low, decimal High, string Levels)
{
    private const double Fifth = 0.2;
    private const double MostSpoiled = 0.06;

    /// <summary>Every input that moves a way's cost, one at a time, the strongest first: a fifth less and more,
    /// spoilage from none to six in a hundred (docs/trade 15.1).</summary>
    /// <param name="method">The way.</param>
    /// <param name="ask">The line.</param>
    /// <param name="book">The shop's shelf, floor and numbers.</param>
    /// <returns>Empty where the way cannot do it.</returns>
    public static IReadOnlyList<Swing> Reckon(IDecorationMethod method, AskInHand ask, ShopBook book)
    {
        var plans = method.Answer(ask, book).Decorations;
        if (plans.Count == 0)
        {
            return [];
        }
        var now = LineCost.Reckon(ask, plans, book).Cost.Value;
        decimal At(WhatIf tried) =>
            tried.Of(ask) is var line
            && tried.Of(book) is var then
            && method.Answer(line, then).Decorations is { Count: > 0 } decorations
                ? LineCost.Reckon(line, decorations, then).Cost.Value
                : now;
        return
        [
            .. Enum.GetValues<WhatIfInput>()
                .Select(i =>
                    i == WhatIfInput.Spoilage
                        ? new Swing(
                            i,
                            WhatIf.NameOf(i),
                            now,
                            LineCost.Reckon(ask, plans, book, 0).Cost.Value,
                            High: LineCost.Reckon(ask, plans, book, MostSpoiled).Cost.Value,
                            "0 to 6 in 100"
                        )
                        : new Swing(
                            i,
                            WhatIf.NameOf(i),
                            now,
                            At(WhatIf.Only(i, 1 - Fifth)),
                            High: At(WhatIf.Only(i, 1 + Fifth)),
                            "a fifth less to a fifth more"
                        )
                )
                .Where(s => s.High != s.Low)
                .OrderByDescending(s => Math.Abs(s.High - s.Low)),
        ];
    }
}
