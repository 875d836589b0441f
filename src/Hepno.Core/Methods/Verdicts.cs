using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;

namespace Hepno.Core.Methods;

/// <summary>Rules of feasibility that several methods share (DOMAIN 6); each says the input that decided.</summary>
internal static class Verdicts
{
    /// <summary>Above this, dark polyester lets its own dye rise through the print, °F.</summary>
    private const double MigrationF = 275;

    /// <summary>Lines thinner than the method holds.</summary>
    public static IEnumerable<Reason> ThinLines(IEnumerable<Placement> placements, double leastPt, string method)
    {
        foreach (var p in placements.Where(p => p.ThinnestLinePt < leastPt))
        {
            var grow = p.WidthIn * leastPt / p.ThinnestLinePt;
            yield return new("thin-line", VerdictKind.No, $"{Places.Find(p.Place)!.Name}: a line of {p.ThinnestLinePt:0.##} pt; {method} holds {leastPt:0.##} pt", $"lines of {leastPt:0.##} pt, or the artwork {grow:0.#} in wide");
        }
    }

    /// <summary>The recipe against the cloth: heat ceiling, dye migration, source of the recipe.</summary>
    public static IEnumerable<Reason> Heat(Recipe? recipe, Style style, Colourway colour, IReadOnlyList<Press> presses, string product, FigureFormat f)
    {
        if (recipe is null)
        {
            yield return new("no-recipe", VerdictKind.No, $"no recipe for {product} on {RecipeChoice.FabricOf(style).ToString().ToLowerInvariant()}", "the maker's sheet, entered on the Floor");
            yield break;
        }
        if (presses.Count == 0)
        {
            yield return new("no-press", VerdictKind.No, style.Kind == GarmentKind.Cap ? "no cap press on the Floor" : "no press on the Floor", style.Kind == GarmentKind.Cap ? "a press of the kind cap, added on the Floor" : "a press, added on the Floor");
            yield break;
        }
        if (presses.All(p => p.IsSetAside()))
        {
            yield return new("press-set-aside", VerdictKind.No, $"{presses[0].Name} is off by {Math.Abs(presses[0].OffsetF!.Value):0} °F and set aside", "the press mended and measured again");
        }
        if (recipe.TemperatureF > style.HeatCeilingF)
        {
            yield return new("heat-ceiling", VerdictKind.No, $"{product} wants {Shown.Temperature(recipe.TemperatureF, f)}; {style.Name} takes {Shown.Temperature(style.HeatCeilingF, f)}", $"a product pressed at {Shown.Temperature(style.HeatCeilingF, f)} or less");
        }
        else if (style.PercentOf(Fibre.Polyester) >= 35 && colour.Class == ColourClass.Dark && recipe.TemperatureF > MigrationF)
        {
            yield return new("dye-migration", VerdictKind.WithCare, $"{colour.Name} with {style.PercentOf(Fibre.Polyester):0}% polyester may bleed at {Shown.Temperature(recipe.TemperatureF, f)}", "spot-test it, and look again after a day");
        }
        if (recipe.Source == RecipeSource.Assumed)
        {
            yield return new("spot-test", VerdictKind.WithCare, $"the recipe for {product} is assumed", "spot-test first");
        }
    }

    /// <summary>A gradient's soft edge shows white under film on mid and dark cloth.</summary>
    public static IEnumerable<Reason> SoftEdges(IEnumerable<Placement> placements, Colourway colour) => placements
        .Where(p => p.Gradient && colour.Class is ColourClass.Dark or ColourClass.Mid)
        .Select(p => new Reason("soft-edge", VerdictKind.WithCare, $"{Places.Find(p.Place)!.Name}: a gradient on {colour.Name} may show a white edge", "cut soft edges hard before printing"));

    /// <summary>The print against the platen.</summary>
    public static IEnumerable<Reason> Platen(IEnumerable<Placement> placements, IReadOnlyList<Press> presses)
    {
        foreach (var p in placements)
        {
            if (presses.Count > 0 && !presses.Any(m => (p.WidthIn <= m.PlatenWidthIn && p.HeightIn <= m.PlatenHeightIn) || (p.HeightIn <= m.PlatenWidthIn && p.WidthIn <= m.PlatenHeightIn)))
            {
                var largest = presses.MaxBy(m => m.PlatenWidthIn * m.PlatenHeightIn)!;
                yield return new("platen", VerdictKind.No, $"{Places.Find(p.Place)!.Name} {p.WidthIn:0.##} × {p.HeightIn:0.##} in; the platen of {largest.Name} is {largest.PlatenWidthIn:0.##} × {largest.PlatenHeightIn:0.##} in", "a larger press, or a smaller print");
            }
        }
    }
}
