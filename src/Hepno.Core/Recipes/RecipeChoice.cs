using Hepno.Core.Blanks;

namespace Hepno.Core.Recipes;

/// <summary>Finds the recipe for a product on a blank.</summary>
public static class RecipeChoice
{
    /// <summary>Which recipe fabric a style's cloth counts as: polyester when more than half of it is.</summary>
    public static RecipeFabric FabricOf(Style style) => style.PercentOf(Fibre.Polyester) > 50 ? RecipeFabric.Polyester : RecipeFabric.Cotton;

    /// <summary>The best-sourced recipe of a product for a style's cloth, newest first among equals, or null when the shop has none.</summary>
    public static Recipe? For(string productId, Style style, IReadOnlyList<Recipe> recipes) => recipes
        .Where(r => r.ProductId == productId && r.Fabric == FabricOf(style))
        .OrderBy(r => r.Source).ThenByDescending(r => r.AsOf)
        .FirstOrDefault();
}
