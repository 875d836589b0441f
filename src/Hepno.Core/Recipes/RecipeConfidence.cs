using Hepno.Core.Blanks;

namespace Hepno.Core.Recipes;

/// <summary>How far a recipe can be relied on for a cloth, weakest first.</summary>
public enum Confidence
{
    /// <summary>Tested here and not like this.</summary>
    Failed,

    /// <summary>Assumed, not tested: spot-test first.</summary>
    Guess,

    /// <summary>The maker's word or learned from runs, not tested on this cloth.</summary>
    Word,

    /// <summary>Tested here, not washed often yet.</summary>
    Tested,

    /// <summary>Tested here and held ten washes or more.</summary>
    Washed,
}

/// <summary>What own tests make of a recipe (docs/trade 5: its confidence comes from them).</summary>
public static class RecipeConfidence
{
    private const int ManyWashes = 10;

    /// <summary>How far a recipe can be relied on for a blank's colour.</summary>
    public static Confidence Judge(Recipe recipe, Style style, Colourway colour, IReadOnlyList<SpotTest> tests) =>
        SpotTest.Find(recipe, style, colour, tests) switch
        {
            { } test when test.Verdict() == TestVerdict.Failed => Confidence.Failed,
            { } test when test.Verdict() == TestVerdict.Passed => test.Stands() >= ManyWashes
                ? Confidence.Washed
                : Confidence.Tested,
            _ => Untested(recipe),
        };

    /// <summary>How far it can be relied on by its source alone.</summary>
    public static Confidence Untested(Recipe recipe) =>
        recipe.Source switch
        {
            RecipeSource.Assumed => Confidence.Guess,
            RecipeSource.OwnTest => Confidence.Tested,
            _ => Confidence.Word,
        };

    /// <summary>The recipe with the source its own test on this cloth gives it; as it is while none passed.</summary>
    public static Recipe Sourced(Recipe recipe, Style style, Colourway colour, IReadOnlyList<SpotTest> tests) =>
        SpotTest.Find(recipe, style, colour, tests) is { } test && test.Verdict() == TestVerdict.Passed
            ? recipe with
            {
                Source = RecipeSource.OwnTest,
                AsOf = test.Day,
            }
            : recipe;
}
