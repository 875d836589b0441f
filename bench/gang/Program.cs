// How near layouts come to what is known: strips cut up without rest (the least length is the strip's own), and mixes as shops lay them, beside rows of one height as people lay them by hand.
// Usage: ./hepno bench gang [seconds of one core for each, 2 when left out]
using System.Diagnostics;
using System.Globalization;
using Hepno.Core.Gang;

var seconds = args.Length > 0 ? double.Parse(args[0], CultureInfo.InvariantCulture) : 2;
const decimal Foot = 5.50m;

GangFound Timed(GangGround ground, GangDesign[] designs)
{
    // steps beyond any need: the clock ends it
    var clock = Stopwatch.StartNew();
    var copies = designs.Sum(d => d.Copies);
    return GangNest.Lay(ground, designs, 1, (int)(GangNest.UsualSteps(copies) * seconds / 2), (_, _) =>
        clock.Elapsed.TotalSeconds < seconds
    );
}

var over = new List<double>();
foreach (var count in new[] { 16, 25, 49, 73, 97, 150, 200 })
{
    foreach (var width in new[] { 12.75, 16, 23.5 })
    {
        foreach (var gap in new[] { 0, 0.25 })
        {
            var (designs, ground, best) = Instances.Perfect(
                count,
                width,
                gap,
                pinwheels: (count + (int)width) % 2 == 0
            );
            over.Add((Timed(ground, designs).UsedLengthIn / best) - 1);
        }
    }
}
Console.WriteLine(
    $"cut without rest, {over.Count} strips, {seconds:0.#} s each: mean {over.Average():0.0%}, worst {over.Max():0.0%} over the least"
);

var floors = new List<double>();
var (ours, byHand, practised) = (0m, 0m, 0m);
for (var seed = 1; seed <= 30; seed++)
{
    var designs = Instances.Shop(seed);
    var found = Timed(new(22, null, 0.25, 0.125), designs);
    floors.Add(found.OverFloor);
    ours += (decimal)Math.Ceiling(found.UsedLengthIn / 12) * Foot;
    byHand += (decimal)Math.Ceiling(Instances.RowsByHand(designs, 22, 0.25, 0.125) / 12) * Foot;
    practised += (decimal)Math.Ceiling(Instances.PractisedHand(designs, 22, 0.25, 0.125) / 12) * Foot;
    Console.WriteLine(
        $"  shop {seed, 2}: {designs.Sum(d => d.Copies), 3} copies, {found.UsedLengthIn, 6:0.0} in, {found.OverFloor:0.0%} over the floor"
    );
}
Console.WriteLine(
    $"30 shop mixes: mean {floors.Average():0.0%}, worst {floors.Max():0.0%} over the floor; {ours:0.00} against {byHand:0.00} in rows never turned or mixed, {1 - (ours / byHand):0%} saved; against {practised:0.00} by a practised hand, {1 - (ours / practised):0%} saved"
);

// sheets of one size: how many more than what nothing can be under
var more = new List<int>();
for (var seed = 1; seed <= 30; seed++)
{
    var found = Timed(new(22, 24, 0.25, 0.125), Instances.Shop(seed));
    more.Add(found.Sheets - found.FloorSheets);
    Console.WriteLine(
        $"  sheets {seed, 2}: {found.Placed.Count, 3} copies on {found.Sheets}, floor {found.FloorSheets}"
    );
}
Console.WriteLine(
    $"30 shop mixes on sheets of 22 × 24 in: {more.Count(m => m == 0)} at the floor, {more.Count(m => m == 1)} one over, {more.Count(m => m > 1)} more than one"
);

// what a person waits for: 250 pieces, what is there after a second, and what it took of memory
var large = Instances.Perfect(256, 22, 0.25, pinwheels: false);
var before = GC.GetTotalAllocatedBytes(true);
var watch = Stopwatch.StartNew();
var first = GangNest.Lay(large.Ground, large.Designs, 1, GangNest.UsualSteps(256), (_, _) =>
    watch.Elapsed.TotalSeconds < 1
);
Console.WriteLine(
    $"{large.Designs.Sum(d => d.Copies)} pieces after {watch.Elapsed.TotalSeconds:0.00} s: {(first.UsedLengthIn / large.LeastIn) - 1:0.0%} over the least; {(GC.GetTotalAllocatedBytes(true) - before) / 1e6:0.0} MB allocated, {Environment.WorkingSet / 1e6:0} MB in all"
);
