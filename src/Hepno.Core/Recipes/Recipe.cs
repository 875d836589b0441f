using Hepno.Core.Measures;

namespace Hepno.Core.Recipes;

/// <summary>When the carrier is peeled.</summary>
public enum Peel
{
    /// <summary>At once, on the press.</summary>
    Hot,

    /// <summary>After some seconds, still warm.</summary>
    Warm,

    /// <summary>After cooling on the rack.</summary>
    Cold,
}

/// <summary>Where a recipe's figures come from, weakest last.</summary>
public enum RecipeSource
{
    /// <summary>Our own test on this cloth.</summary>
    OwnTest,

    /// <summary>The maker's sheet.</summary>
    Maker,

    /// <summary>A family's starting value: spot-test first.</summary>
    Assumed,
}

/// <summary>Which cloth a recipe is for.</summary>
public enum RecipeFabric
{
    /// <summary>Half cotton or more.</summary>
    Cotton,

    /// <summary>More than half polyester.</summary>
    Polyester,
}

/// <summary>How one product is pressed on one fabric. Keyed by product and fabric, never by method.</summary>
/// <param name="Id">Identity.</param>
/// <param name="ProductId">The film or vinyl it is for.</param>
/// <param name="Revision">The maker's revision, as printed on the sheet.</param>
/// <param name="Fabric">Which cloth.</param>
/// <param name="TemperatureF">What the cloth should get, °F, as stated.</param>
/// <param name="DwellSeconds">Press time, s.</param>
/// <param name="DwellSlackSeconds">How much longer does no harm, s.</param>
/// <param name="Pressure">light, medium, firm or heavy.</param>
/// <param name="PrePressSeconds">Bare garment first, s.</param>
/// <param name="Peel">When to peel.</param>
/// <param name="PeelAfterSeconds">Seconds from opening to peeling; 0 for hot.</param>
/// <param name="SecondPressSeconds">After peeling, under a cover; 0 for none.</param>
/// <param name="Side">Which side up, mirrored or not, in the operator's words.</param>
/// <param name="Source">Where the figures come from.</param>
/// <param name="AsOf">Date of the sheet or the test.</param>
/// <param name="Caution">What may go wrong, in the operator's words; empty for none.</param>
public sealed record Recipe(string Id, string ProductId, string Revision, RecipeFabric Fabric, double TemperatureF, double DwellSeconds, double DwellSlackSeconds, string Pressure,
    double PrePressSeconds, Peel Peel, double PeelAfterSeconds, double SecondPressSeconds, string Side, RecipeSource Source, DateOnly AsOf, string Caution)
{
    /// <summary>Words a pressure may be.</summary>
    public static IReadOnlyList<string> Pressures { get; } = ["light", "medium", "firm", "heavy"];

    /// <summary>What the owner must put right before the recipe can be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (TemperatureF is < 200 or > 450)
        {
            yield return new("absurd", $"{TemperatureF:0} °F is outside 200 to 450, where transfers are pressed.", "temperatureF", "Look at the maker's sheet again.");
        }
        if (DwellSeconds is < 2 or > 240)
        {
            yield return new("absurd", $"{DwellSeconds:0.#} s under the press is outside 2 to 240.", "dwellSeconds", "Look at the maker's sheet again.");
        }
        if (DwellSlackSeconds is < 0 or > 30)
        {
            yield return new("range", $"A slack of {DwellSlackSeconds:0.#} s is outside 0 to 30.", "dwellSlackSeconds", "3 s is usual.");
        }
        if (!Pressures.Contains(Pressure))
        {
            yield return new("unknown-word", $"\"{Pressure}\" is not a pressure.", "pressure", $"Use {string.Join(", ", Pressures)}.");
        }
        if (PrePressSeconds is < 0 or > 60 || SecondPressSeconds is < 0 or > 60)
        {
            yield return new("range", "Pre-press and second press are 0 to 60 s.", "prePressSeconds", "5 s is usual for a pre-press.");
        }
        if (PeelAfterSeconds is < 0 or > 900 || (Peel == Peel.Hot && PeelAfterSeconds > 0))
        {
            yield return new("range", $"Peeling {Peel.ToString().ToLowerInvariant()} after {PeelAfterSeconds:0} s cannot be.", "peelAfterSeconds", "Hot is 0 s; warm about 8; cold about 60.");
        }
    }
}
