using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Methods;
using Hepno.Core.Orders;

namespace Hepno.Core.Curing;

/// <summary>What prints take out of a film printer, for its levels.</summary>
/// <param name="ColourMl">Colour ink, ml.</param>
/// <param name="WhiteMl">White ink, ml.</param>
/// <param name="FilmIn">Film, in of the roll.</param>
/// <param name="PowderG">Powder, g.</param>
public sealed record CureUse(double ColourMl, double WhiteMl, double FilmIn, double PowderG)
{
    /// <summary>Nothing.</summary>
    public static CureUse None { get; } = new(0, WhiteMl: 0, 0, PowderG: 0);

    /// <summary>What prints of one place take: painted area × the printer's ml and g an in² (docs/trade 2), film by
    /// rows; nothing of the roll for a print that does not go on it.</summary>
    /// <param name="print">The placement, at its largest size.</param>
    /// <param name="printer">The printer.</param>
    /// <param name="white">True when white lies under all of it.</param>
    /// <param name="count">Prints, 1 or more.</param>
    public static CureUse Reckon(Placement print, FilmPrinter printer, bool white, int count)
    {
        var painted = print.AreaIn2 * print.CoveragePercent / 100 * count;
        var film = RollRows.Lay(print.WidthIn, print.HeightIn, printer.GapIn / 2, printer.RollWidthIn, count)?.LengthIn
            ?? 0;
        return new(
            painted * printer.ColourMlPerIn2,
            WhiteMl: white ? painted * printer.WhiteMlPerIn2 : 0,
            film,
            PowderG: painted * printer.PowderGPerIn2
        );
    }

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
