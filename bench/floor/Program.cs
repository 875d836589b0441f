// How long 500 pieces with three placements take to be simulated on two presses, and what memory that takes. Usage: ./hepno bench floor
using System.Diagnostics;
using Hepno.Core.Blanks;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;

var recipe = new Recipe(
    "r",
    "film",
    "",
    RecipeFabric.Cotton,
    310,
    15,
    3,
    "medium",
    5,
    Peel.Cold,
    60,
    8,
    "",
    RecipeSource.Maker,
    default,
    ""
);
var standards = StepStandards.Default;
var job = new FloorJob(
    500,
    standards.Before(GarmentKind.Tee, 5),
    [
        .. Enumerable
            .Range(0, 3)
            .Select(i => new FloorPass($"print {i + 1}", 310, 3, null, standards.Transfer(recipe, i == 0 ? 0 : 15))),
    ],
    [standards.After[0]],
    [new("one"), new("two")]
);
const int Runs = 60;
const int Warm = 20;
var took = new List<double>();
var largest = 0L;
for (var i = 0; i < Runs; i++)
{
    var before = GC.GetTotalAllocatedBytes(true);
    var clock = Stopwatch.StartNew();
    PressFloorSimulation.Run(job);
    if (i >= Warm)
    {
        took.Add(clock.Elapsed.TotalMilliseconds);
        largest = Math.Max(largest, GC.GetTotalAllocatedBytes(true) - before);
    }
}
took.Sort();
Console.WriteLine(
    $"500 pieces, 3 placements, 2 presses: p50 {took[took.Count / 2]:0.0} ms, p95 {took[took.Count * 95 / 100]:0.0} ms; {largest / 1e6:0.0} MB allocated for one, all told"
);
