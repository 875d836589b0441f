using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Orders;

namespace Hepno.Core.Methods;

/// <summary>What film is made with here: its prints are powdered, cured in batches, and called back with their
/// batch.</summary>
public interface IFilmMaker : IRecipeProduct
{
    /// <summary>The shop's name for it.</summary>
    string Name { get; }

    /// <summary>Heat its powder is cured at, by its sheet, °F.</summary>
    double CureF { get; }

    /// <summary>What prints of one place take out of it.</summary>
    /// <param name="print">The placement, at its largest size.</param>
    /// <param name="colourway">The cloth they are for: it decides whether white is under them.</param>
    /// <param name="count">Prints, 1 or more.</param>
    CureUse Use(Placement print, Colourway colourway, int count);
}
