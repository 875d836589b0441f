using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Recipes;

namespace Hepno.Core.PressFloor;

/// <summary>Seconds each step takes until the shop has learned its own (DOMAIN 9, "assumed").</summary>
public static class StepStandards
{
    /// <summary>Pull the garment onto the platen.</summary>
    public static double Thread(GarmentKind kind) => kind switch { GarmentKind.Hoodie => 20, GarmentKind.Tote => 8, GarmentKind.Cap => 12, _ => 10 };

    /// <summary>Steps before the first decoration of a piece: thread, lint-roll, pre-press.</summary>
    public static IReadOnlyList<WorkStep> Before(GarmentKind kind, double prePressSeconds)
    {
        List<WorkStep> steps = [new("thread", "Thread", Thread(kind), true, true), new("lint", "Lint-roll", 5, true, true)];
        if (prePressSeconds > 0)
        {
            steps.AddRange([new("close", "Close", 2, true, true), new("pre-press", "Pre-press", prePressSeconds, false, true), new("open", "Open", 2, true, true)]);
        }
        return steps;
    }

    /// <summary>Steps after the last decoration of a piece: inspect, fold and bag.</summary>
    public static IReadOnlyList<WorkStep> After { get; } = [new("inspect", "Inspect", 6, true, false), new("fold", "Fold and bag", 20, true, false)];

    /// <summary>Position, press and peel one transfer, with its second press.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else 0.</param>
    public static IReadOnlyList<WorkStep> Transfer(Recipe recipe, double rethreadSeconds)
    {
        var steps = Laid(rethreadSeconds, 12);
        steps.AddRange(Pressed(recipe.DwellSeconds));
        steps.AddRange(Peeled(recipe.Peel, recipe.PeelAfterSeconds));
        steps.AddRange(Second(recipe));
        return steps;
    }

    /// <summary>Lay and press vinyl layer by layer; lower layers get a short tack press.</summary>
    /// <param name="recipe">How the last layer is pressed.</param>
    /// <param name="layers">Layers, 1 or more.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else 0.</param>
    public static IReadOnlyList<WorkStep> Layers(Recipe recipe, int layers, double rethreadSeconds)
    {
        const double TackSeconds = 3;
        var steps = new List<WorkStep>();
        for (var layer = 1; layer <= layers; layer++)
        {
            var last = layer == layers;
            steps.AddRange(layer == 1 ? Laid(rethreadSeconds, 12) : Laid(0, 12 + 8));
            steps.AddRange(Pressed(last ? recipe.DwellSeconds : TackSeconds));
            steps.AddRange(Peeled(recipe.Peel, recipe.PeelAfterSeconds));
            if (!last)
            {
                steps.Add(new("reload", "Re-load", 7, true, true));
            }
        }
        steps.AddRange(Second(recipe));
        return steps;
    }

    /// <summary>Weed one layer of one piece: 20 s + 0.8 s for each in² times how fine it is.</summary>
    /// <param name="areaIn2">Cut area, in².</param>
    /// <param name="thinnestLinePt">Thinnest line: under 6 pt counts as fine (3), under 12 as text (2), else plain (1).</param>
    public static WorkStep Weed(double areaIn2, double thinnestLinePt) => new("weed", "Weed", 20 + (0.8 * areaIn2 * (thinnestLinePt < 6 ? 3 : thinnestLinePt < 12 ? 2 : 1)), true, false);

    /// <summary>Position, tape down, press and lift one dye print; its paper comes off hot.</summary>
    /// <param name="recipe">How it is pressed.</param>
    /// <param name="rethreadSeconds">Seconds to thread again when it is not the piece's first decoration, else 0.</param>
    public static IReadOnlyList<WorkStep> Taped(Recipe recipe, double rethreadSeconds) =>
        [.. Laid(rethreadSeconds, 12), new("tape", "Tape down", 15, true, true), new("cover", "Cover", 3, true, true), .. Pressed(recipe.DwellSeconds), .. Peeled(recipe.Peel, recipe.PeelAfterSeconds), .. Second(recipe)];

    /// <summary>A machine's printing of one piece's box, by itself.</summary>
    /// <param name="boxIn2">Printed box, in².</param>
    /// <param name="in2PerMinute">Speed, in² a minute.</param>
    public static WorkStep Print(double boxIn2, double in2PerMinute) => new("print", "Print", boxIn2 / in2PerMinute * 60, false, false, true);

    /// <summary>Powder, cure and cut one own film print apart.</summary>
    /// <param name="cure">Where it is cured.</param>
    /// <param name="prints">Prints that share setting the press again after hovering.</param>
    public static IReadOnlyList<WorkStep> PowderAndCure(FilmCure cure, int prints) => cure == FilmCure.Oven
        ? [new("powder", "Powder", 20, true, false), new("cure", "Cure in the oven", 60, false, false, true), CutApart]
        : [new("powder", "Powder", 20, true, false), new("cure", "Cure under the hovering press", 180, false, true, true), new("re-set", "Set the press for it and back", 2 * 300.0 / prints, false, true, true), CutApart];

    /// <summary>Cut one print out of its sheet or roll.</summary>
    public static WorkStep CutApart { get; } = new("cut-apart", "Cut apart", 6, true, false);

    private static List<WorkStep> Laid(double rethreadSeconds, double positionSeconds)
    {
        var steps = new List<WorkStep>();
        if (rethreadSeconds > 0)
        {
            steps.Add(new("thread", "Thread again", rethreadSeconds, true, true));
        }
        steps.Add(new("position", "Position", positionSeconds, true, true));
        return steps;
    }

    private static IEnumerable<WorkStep> Pressed(double dwellSeconds) =>
        [new("close", "Close", 2, true, true), new("press", "Press", dwellSeconds, false, true), new("open", "Open", 2, true, true)];

    // cooling starts when the press opens, so unloading is part of it
    private static IEnumerable<WorkStep> Peeled(Peel peel, double afterSeconds) => peel == Peel.Hot
        ? [new("peel", "Peel", 4, true, true), new("unload", "Lift off", 4, true, true)]
        : [new("unload", "Lift off", 4, true, true), new("cool", "Cool on the rack", Math.Max(0, afterSeconds - 4), false, false), new("peel", "Peel", 4, true, false)];

    private static IEnumerable<WorkStep> Second(Recipe recipe) => recipe.SecondPressSeconds <= 0 ? [] :
        [new("reload", "Re-load", 7, true, true), new("cover", "Cover", 3, true, true), .. Pressed(recipe.SecondPressSeconds).Select(s => s.Code == "press" ? s with { Code = "second-press", Label = "Second press" } : s), new("unload", "Lift off", 4, true, true)];
}
