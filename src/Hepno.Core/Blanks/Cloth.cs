namespace Hepno.Core.Blanks;

/// <summary>How thick a garment lies on the platen.</summary>
public enum Thickness
{
    /// <summary>Single jersey, a tee.</summary>
    Thin,

    /// <summary>A sweatshirt, a tote.</summary>
    Middle,

    /// <summary>A lined jacket, a cap's front.</summary>
    Thick,
}

/// <summary>Whether the cloth's own dye rises through a print under heat.</summary>
public enum Migration
{
    /// <summary>Not known: judged by its polyester, its colour and the heat.</summary>
    ByCloth,

    /// <summary>The maker says it does not.</summary>
    None,

    /// <summary>It does: it was seen, or the maker warns of it.</summary>
    High,
}

/// <summary>What a garment has that a print must mind.</summary>
public enum Feature
{
    /// <summary>A hood.</summary>
    Hood,

    /// <summary>A zip.</summary>
    Zip,

    /// <summary>A pocket on the chest.</summary>
    Pocket,

    /// <summary>Metal eyelets.</summary>
    Grommets,

    /// <summary>A label that tears away.</summary>
    TearAwayLabel,

    /// <summary>Cloth that stretches.</summary>
    Stretch,

    /// <summary>A coat against rain or wind.</summary>
    Coated,
}

/// <summary>What else is known of a style's cloth and make.</summary>
/// <param name="Thickness">How thick it lies; null to go by the kind of garment.</param>
/// <param name="Migration">Whether its dye rises.</param>
/// <param name="Features">What a print must mind; may be empty.</param>
/// <param name="Origin">Where it is made, as its label says; empty while not known.</param>
public sealed record Cloth(
    Thickness? Thickness,
    Migration Migration,
    IReadOnlyList<Feature> Features,
    string Origin = ""
)
{
    /// <summary>A cloth of which nothing is known.</summary>
    public static Cloth Plain { get; } = new(null, Migration.ByCloth, []);
}
