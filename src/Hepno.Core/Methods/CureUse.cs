using Hepno.Core.Materials;

namespace Hepno.Core.Methods;

/// <summary>What film prints take, for the levels of what makes them.</summary>
/// <param name="ColourMl">Colour ink, ml.</param>
/// <param name="WhiteMl">White ink, ml.</param>
/// <param name="FilmIn">Film, in of the roll.</param>
/// <param name="PowderG">Powder, g.</param>
public sealed record CureUse(double ColourMl, double WhiteMl, double FilmIn, double PowderG)
{
    /// <summary>Nothing.</summary>
    public static CureUse None { get; } = new(0, WhiteMl: 0, 0, PowderG: 0);

    /// <summary>Both together.</summary>
    public static CureUse operator +(CureUse a, CureUse b) =>
        new(
            a.ColourMl + b.ColourMl,
            WhiteMl: a.WhiteMl + b.WhiteMl,
            a.FilmIn + b.FilmIn,
            PowderG: a.PowderG + b.PowderG
        );

    /// <summary>What was taken of one supply, in its unit; 0 for what a film printer has not.</summary>
    public double Amount(Supply supply) =>
        supply switch
        {
            Supply.ColourInk => ColourMl,
            Supply.WhiteInk => WhiteMl,
            Supply.Film => FilmIn,
            Supply.Powder => PowderG,
            _ => 0,
        };
}
