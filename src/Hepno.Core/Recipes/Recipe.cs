using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

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

    /// <summary>What the shop's own runs showed.</summary>
    Learned,

    /// <summary>A family's starting value: spot-test first.</summary>
    Assumed,
}

/// <summary>Which cloth a recipe is for.</summary>
public enum RecipeFabric
{
    /// <summary>Half cotton or more.</summary>
    Cotton,

    /// <summary>More than half polyester or nylon.</summary>
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
public sealed record Recipe(
    RecipeId Id,
    ThingId ProductId,
    string Revision,
    RecipeFabric Fabric,
    double TemperatureF,
    double DwellSeconds,
    double DwellSlackSeconds,
    string Pressure,
    double PrePressSeconds,
    Peel Peel,
    double PeelAfterSeconds,
    double SecondPressSeconds,
    string Side,
    RecipeSource Source,
    LocalDate AsOf,
    string Caution
) : IKept<Recipe>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Recipe> Described { get; } =
        new("recipe", noun: "recipes", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            Order = ListedBy.Text<Recipe>(x => x.ProductId.Text).Then((a, b) => a.Fabric.CompareTo(b.Fabric)),
        };

    /// <summary>What lies on it at the first press.</summary>
    public Cover Cover { get; init; } = Cover.None;

    /// <summary>True when the product forbids a second press.</summary>
    public bool NeverAgain { get; init; }

    /// <summary>How long after it may be peeled it must be off, s; null for the usual of its
    /// peel.</summary>
    public double? PeelWindowSeconds { get; init; }

    /// <summary>Figures that come from elsewhere than the rest.</summary>
    public IReadOnlyList<RecipeParameter> Parameters { get; init; } = [];

    /// <summary>Stands for a day where a recipe has none: no sheet, no test.</summary>
    public static readonly LocalDate NoDay = new(1, 1, 1);

    /// <summary>Words a pressure may be.</summary>
    public static IReadOnlyList<string> Pressures { get; } = ["light", "medium", "firm", "heavy"];

    /// <summary>What stands where no heat is used: work that is stitched, or done by others.</summary>
    /// <param name="productId">The machine, or who does it.</param>
    /// <param name="side">How the artwork is given, in words.</param>
    /// <param name="caution">What may go wrong; empty for none.</param>
    public static Recipe NoHeat(ThingId productId, string side, string caution) =>
        new(
            new RecipeId($"no-heat-{productId}"),
            productId,
            "",
            RecipeFabric.Cotton,
            Press.RoomF,
            DwellSeconds: 0,
            0,
            "light",
            0,
            Peel.Cold,
            0,
            SecondPressSeconds: 0,
            side,
            RecipeSource.Maker,
            NoDay,
            caution
        );

    /// <summary>False where no press is used.</summary>
    public bool IsPressed() => DwellSeconds > 0;

    /// <summary>How long after it may be peeled the carrier must be off: 3 s hot, 15 s warm, no limit cold (docs/trade
    /// 5) unless the maker says; s.</summary>
    public double? Window() =>
        PeelWindowSeconds
        ?? Peel switch
        {
            Peel.Hot => 3,
            Peel.Warm => 15,
            _ => null,
        };

    /// <summary>Where one of its figures comes from: as said for it, else as the recipe.</summary>
    public RecipeParameter From(string parameter) =>
        Parameters.FirstOrDefault(p => p.Name == parameter) ?? new(parameter, Source, AsOf, "");

    /// <summary>What the owner must put right before the recipe can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [.. OfHeat(), .. OfFurtherPressesAndPeel(), .. OfParameters(), .. OfPeelWindow()];

    private IEnumerable<Problem> OfHeat()
    {
        if (TemperatureF is < 200 or > 450)
        {
            yield return new(
                "absurd",
                $"{TemperatureF:0} °F is outside 200 to 450, where transfers are pressed.",
                Where: "temperatureF",
                "Look at the maker's sheet again."
            );
        }
        if (DwellSeconds is < 2 or > 240)
        {
            yield return new(
                "absurd",
                $"{DwellSeconds:0.#} s under the press is outside 2 to 240.",
                Where: "dwellSeconds",
                "Look at the maker's sheet again."
            );
        }
        if (DwellSlackSeconds is < 0 or > 30)
        {
            yield return new(
                "range",
                $"A slack of {DwellSlackSeconds:0.#} s is outside 0 to 30.",
                Where: "dwellSlackSeconds",
                "3 s is usual."
            );
        }
        if (!Pressures.Contains(Pressure))
        {
            yield return new(
                "unknown-word",
                $"\"{Pressure}\" is not a pressure.",
                Where: "pressure",
                $"Use {string.Join(", ", Pressures)}."
            );
        }
    }

    private IEnumerable<Problem> OfFurtherPressesAndPeel()
    {
        if (PrePressSeconds is < 0 or > 60 || SecondPressSeconds is < 0 or > 60)
        {
            yield return new(
                "range",
                "Pre-press and second press are 0 to 60 s.",
                Where: "prePressSeconds",
                "5 s is usual for a pre-press."
            );
        }
        if (PeelAfterSeconds is < 0 or > 900 || (Peel == Peel.Hot && PeelAfterSeconds > 0))
        {
            yield return new(
                "range",
                $"Peeling {Peel.ToString().ToLowerInvariant()} after {PeelAfterSeconds:0} s cannot be.",
                Where: "peelAfterSeconds",
                "Hot is 0 s; warm about 8; cold about 60."
            );
        }
        if (NeverAgain && SecondPressSeconds > 0)
        {
            yield return new(
                "second",
                $"The product forbids a second press, and {SecondPressSeconds:0} s of one are set.",
                Where: "secondPressSeconds",
                "0 s, or a product that allows it."
            );
        }
    }

    private IEnumerable<Problem> OfParameters()
    {
        foreach (var (parameter, i) in Parameters.Select((p, i) => (p, i)))
        {
            if (!RecipeParameter.Names.Contains(parameter.Name))
            {
                yield return new(
                    "unknown-word",
                    $"\"{parameter.Name}\" is not a figure of a recipe.",
                    Where: $"parameters[{i}].name",
                    $"Use one of {string.Join(", ", RecipeParameter.Names)}."
                );
            }
            if (Parameters.Take(i).Any(p => p.Name == parameter.Name))
            {
                yield return new(
                    "twice",
                    $"{parameter.Name} stands twice.",
                    Where: $"parameters[{i}].name",
                    "Keep the newer one."
                );
            }
            if (parameter.Note.Length > 200)
            {
                yield return new(
                    "too-long",
                    $"A note of {parameter.Note.Length} characters on {parameter.Name}.",
                    Where: $"parameters[{i}].note",
                    "At most 200."
                );
            }
        }
    }

    private IEnumerable<Problem> OfPeelWindow()
    {
        if (PeelWindowSeconds is not (null or (>= 0 and <= 600)))
        {
            yield return new(
                "range",
                $"A peel window of {PeelWindowSeconds:0.#} s is outside 0 to 600.",
                Where: "peelWindowSeconds",
                "Leave it empty for the usual: 3 s hot, 15 s warm."
            );
        }
    }
}
