namespace Hepno.Core.Materials;

/// <summary>How a vinyl looks and feels, beside its colour.</summary>
public enum VinylFinish
{
    /// <summary>Smooth: what is meant where nothing is said.</summary>
    Plain,

    /// <summary>Smooth too, pressed cooler, and goes along with cloth that stretches.</summary>
    Stretch,

    /// <summary>Like felt.</summary>
    Flock,

    /// <summary>Rough, with glitter in it.</summary>
    Glitter,

    /// <summary>Rises under the heat.</summary>
    Puff,

    /// <summary>Throws light back.</summary>
    Reflective,

    /// <summary>Like metal.</summary>
    Metallic,

    /// <summary>Glows in the dark.</summary>
    Glowing,
}

/// <summary>What finishes are called and which stands in for which.</summary>
public static class VinylFinishes
{
    /// <summary>The finish in words.</summary>
    public static string Named(this VinylFinish finish) =>
        finish switch
        {
            VinylFinish.Stretch => "low-heat stretch",
            VinylFinish.Glowing => "glowing in the dark",
            _ => finish.ToString().ToLowerInvariant(),
        };

    /// <summary>True where nobody takes it for plain.</summary>
    public static bool IsSpecial(this VinylFinish finish) => finish is not (VinylFinish.Plain or VinylFinish.Stretch);

    /// <summary>True where a roll of this finish does what is wanted: smooth ones stand in for each other, a special
    /// one only for itself.</summary>
    public static bool Serves(this VinylFinish finish, VinylFinish wanted) =>
        finish == wanted || (!finish.IsSpecial() && wanted == VinylFinish.Plain);

    /// <summary>True where it is too thick to be cut as fine as smooth vinyl.</summary>
    public static bool IsCoarse(this VinylFinish finish) =>
        finish is VinylFinish.Flock or VinylFinish.Glitter or VinylFinish.Puff;
}
