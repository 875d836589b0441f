using Hepno.Core.Things;

namespace Hepno.Core.Recipes;

/// <summary>What lies between the platen and the print.</summary>
public enum Cover
{
    /// <summary>Nothing: the carrier is its own cover.</summary>
    None,

    /// <summary>A cover sheet that is used again and again.</summary>
    Sheet,

    /// <summary>A release sheet.</summary>
    ReleaseSheet,

    /// <summary>Parchment.</summary>
    Parchment,

    /// <summary>Paper for one press, above and below.</summary>
    SingleUse,
}

/// <summary>Covers in words.</summary>
public static class CoverWords
{
    /// <summary>What may lie there, as it is chosen: nothing is not among them.</summary>
    public static IReadOnlyList<FieldOption> Options { get; } =
    [.. Enum.GetValues<Cover>().Where(c => c != Cover.None).Select(c => new FieldOption(Words.Of(c), Label: For(c)))];

    /// <summary>On screen and on sheets.</summary>
    public static string For(Cover cover) =>
        cover switch
        {
            Cover.Sheet => "Cover sheet",
            Cover.ReleaseSheet => "Release sheet",
            Cover.Parchment => "Parchment",
            Cover.SingleUse => "Single-use paper",
            _ => "No cover",
        };
}
