// The best order of small jobs on the press floor, found by a constraint solver: writes tests/cases/press-floor-best.csv, against which the simulation is held.
// Usage: dotnet run -c Release --project bench/best-order [CASES] > tests/cases/press-floor-best.csv
using Hepno.Core.PressFloor;
using Hepno.Core.Tests;

var cases = args.Length > 0 ? int.Parse(args[0]) : 50;
Console.WriteLine($"{FloorCase.Columns},best,bound");
for (var seed = 1; seed <= cases; seed++)
{
    var drawn = FloorCase.Drawn(seed);
    var job = drawn.Job();
    var hint = PressFloorSimulation.Run(job, 2000).MakespanSeconds;
    var (best, bound) = BestOrder.Solve(job, (int)Math.Ceiling(hint));
    Console.WriteLine($"{drawn.Row()},{best},{bound}");
    Console.Error.WriteLine($"{seed}: found {hint}, best {best}, bound {bound}");
}
