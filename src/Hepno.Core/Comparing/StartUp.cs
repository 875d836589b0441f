using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Shop;

namespace Hepno.Core.Comparing;

/// <summary>What it takes to begin with one way.</summary>
/// <param name="MethodId">Which way.</param>
/// <param name="Name">On screen.</param>
/// <param name="Items">What it takes.</param>
/// <param name="Total">For a shop that has nothing.</param>
/// <param name="StillToBuy">For this one.</param>
public sealed record StartUpBudget(
    MethodId MethodId,
    string Name,
    IReadOnlyList<StartUpItem> Items,
    Figure Total,
    Figure StillToBuy
);

/// <summary>Start-up budgets by way. Machines the shop has are at its own price; what it has not is assumed, in the
/// shop's money, and to be asked for before it is believed.</summary>
public static class StartUp
{
    /// <summary>The budget of every way, the least first.</summary>
    public static IReadOnlyList<StartUpBudget> Budgets(ShopBook book) =>
        [.. DecorationMethods.All.Select(m => Budget(m, m.StartUp(book))).OrderBy(b => b.Total.Value)];

    private static StartUpBudget Budget(IDecorationMethod method, IReadOnlyList<StartUpItem> items) =>
        new(
            method.Id,
            method.Name,
            items,
            Figure.Sum("start-up", "To begin with it", [.. items.Select(i => i.Price)]),
            Figure.Sum("still-to-buy", "Still to buy", [.. items.Where(i => !i.IsThere).Select(i => i.Price)])
        );
}
