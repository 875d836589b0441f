using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Something a shop needs before its first piece by a way.</summary>
/// <param name="Price">Its price with where it comes from: the shop's own Floor, or assumed.</param>
/// <param name="IsThere">True where the shop has it.</param>
public sealed record StartUpItem(Figure Price, bool IsThere)
{
    private const string Assumed = "assumed: ask for a price";

    /// <summary>A machine: the first the shop has, at its own price; else at an assumed one.</summary>
    /// <param name="code">Its code.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="price">Assumed, in the shop's money.</param>
    /// <param name="there">Those the shop has.</param>
    public static StartUpItem Machine(string code, string name, decimal price, IReadOnlyList<IMachine> there) =>
        there.Count > 0
            ? new(
                Figure.Input(
                    code,
                    $"{name}: {there[0].Name}",
                    there[0].Equipment.PriceNew,
                    FigureUnit.Money,
                    $"Floor: {there[0].Name}"
                ),
                true
            )
            : Thing(code, name, price);

    /// <summary>Something that no shop lists: at an assumed price.</summary>
    public static StartUpItem Thing(string code, string name, decimal price) =>
        new(Figure.Input(code, name, price, FigureUnit.Money, Assumed), false);

    /// <summary>What every way that is pressed needs.</summary>
    public static IReadOnlyList<StartUpItem> Pressed(ShopBook book) =>
        [
            Machine("press", "A heat press", 480, book.Presses),
            Thing("thermometer", "A surface thermometer", 35),
            Thing("covers", "Covers, lint roller, gloves", 40),
        ];
}
