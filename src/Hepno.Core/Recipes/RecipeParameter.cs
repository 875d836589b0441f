using NodaTime;

namespace Hepno.Core.Recipes;

/// <summary>One figure of a recipe that comes from elsewhere than the rest of it.</summary>
/// <param name="Name">Which: one of <see cref="Names"/>.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="AsOf">Since when.</param>
/// <param name="Note">What was seen; may be empty.</param>
public sealed record RecipeParameter(string Name, RecipeSource Source, LocalDate AsOf, string Note = "")
{
    /// <summary>Figures that may have a source of their own.</summary>
    public static IReadOnlyList<string> Names { get; } =
    ["temperature", "dwell", "slack", "pressure", "pre-press", "peel", "second press", "cover", "side"];
}
