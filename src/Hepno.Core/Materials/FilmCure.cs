namespace Hepno.Core.Materials;

/// <summary>Where own film is cured.</summary>
public enum FilmCure
{
    /// <summary>In an oven beside the press.</summary>
    Oven,

    /// <summary>Under the hovering platen: the press is taken, and set again afterwards.</summary>
    HoverPress,
}
