using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>The next step of a roll, or one sheet more, than a layout buys.</summary>
/// <param name="LengthIn">Length it would be, in; 0 for sheets.</param>
/// <param name="Units">Steps or sheets then.</param>
/// <param name="Cost">Money then, opened.</param>
public sealed record FilmStep(double LengthIn, int Units, Figure Cost)
{
    /// <summary>What comes after a bill; null for set lengths and one's own roll, which have no steps.</summary>
    /// <param name="on">What is bought.</param>
    /// <param name="billedIn">Length billed now, in; not looked at for sheets.</param>
    /// <param name="sheets">Sheets bought now; not looked at for a roll.</param>
    /// <param name="f">How figures are written.</param>
    public static FilmStep? After(FilmGround on, double billedIn, int sheets, FigureFormat f)
    {
        if (on.Roll is { Lengths: not null } or { IsOwn: true })
        {
            return null;
        }
        var (units, breaks) = on.Roll is { } roll
            ? ((int)Math.Round(billedIn / roll.StepIn) + 1, roll.Steps)
            : (sheets + 1, on.Sheets);
        var at = PriceBreaks.At(breaks, units);
        var length = on.Roll is { } r ? units * r.StepIn : 0;
        return new(
            length,
            units,
            Figure.Of(
                "next",
                on.Roll is null ? $"{units} sheets" : Shown.Roll(length, f),
                units * at.Price,
                on.Roll is null ? "sheets × a sheet" : "steps × a step",
                Figure.Input("units", on.Roll is null ? "Sheets" : "Steps", units, FigureUnit.Count, "one more"),
                Figure.Input("price", $"One from {at.From}", at.Price, FigureUnit.Money, "the price list")
            )
        );
    }
}
