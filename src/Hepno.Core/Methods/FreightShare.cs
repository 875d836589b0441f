using Hepno.Core.Measures;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Freight of what is bought for an order, shared by its decorations (docs/trade 2).</summary>
internal static class FreightShare
{
    /// <summary>The code of its figure in a decoration's material.</summary>
    public const string Code = "freight-share";

    /// <summary>A decoration's part of it.</summary>
    /// <param name="label">Freight of what.</param>
    /// <param name="anOrder">Freight of an order, money.</param>
    /// <param name="source">Where that stands.</param>
    /// <param name="ask">The line whose decorations share it.</param>
    public static Figure Reckon(string label, decimal anOrder, string source, AskInHand ask)
    {
        var decorations = ask.Pieces * ask.Placements.Count;
        return Figure.Of(
            Code,
            label,
            anOrder / decorations,
            "freight ÷ decorations",
            Figure.Input("freight", "Freight an order", anOrder, FigureUnit.Money, source),
            Figure.Input("decorations", "Decorations", decorations, FigureUnit.Count, "the ask")
        );
    }
}
