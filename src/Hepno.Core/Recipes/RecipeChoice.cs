using Hepno.Core.Blanks;

namespace Hepno.Core.Recipes;

/// <summary>Finds the recipe for a product on a blank.</summary>
public static class RecipeChoice
{
    /// <summary>Which recipe fabric a style's cloth counts as: polyester when more than half of it is, or nylon, which
    /// takes no more heat (docs/trade 3: the low-heat variant first).</summary>
    public static RecipeFabric FabricOf(Style style) =>
        style.PercentOf(Fibre.Polyester) + style.PercentOf(Fibre.Nylon) > 50
            ? RecipeFabric.Polyester
            : RecipeFabric.Cotton;

    /// <summary>The recipe of a product that can be relied on most for a blank's colour, best-sourced and newest first
    /// among equals, or null when the shop has none; with the source its own test gives it.</summary>
    public static Recipe? For(
        ThingId productId,
        Style style,
        Colourway colour,
        IReadOnlyList<Recipe> recipes,
        IReadOnlyList<SpotTest> tests
    ) =>
        recipes
            .Where(r => r.ProductId == productId && r.Fabric == FabricOf(style))
            .OrderByDescending(r => RecipeConfidence.Judge(r, style, colour, tests))
            .ThenBy(r => r.Source)
            .ThenByDescending(r => r.AsOf)
            .Select(r => RecipeConfidence.Sourced(r, style, colour, tests))
            .FirstOrDefault();
}
