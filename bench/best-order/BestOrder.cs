using Google.OrTools.Sat;
using Hepno.Core.PressFloor;

/// <summary>A job as a constraint model: whole seconds, the same slack, windows and rack as the simulation.</summary>
internal static class BestOrder
{
    public static (long Best, long Bound) Solve(FloorJob job, int horizon)
    {
        var model = new CpModel();
        var steps = job.Chain.ToList();
        var presses = job.Presses.Count;
        var opensItself = job.Presses[0].OpensItself;
        var pass = job
            .Before.Select(_ => 0)
            .Concat(job.Passes.SelectMany((p, i) => p.Steps.Select(_ => i)))
            .Concat(job.After.Select(_ => 0))
            .ToArray();
        List<IntervalVar> hands = [];
        var held = Enumerable.Range(0, presses).Select(_ => new List<IntervalVar>()).ToArray();
        List<IntervalVar> rack = [];
        var end = model.NewIntVar(0, horizon, "end");
        IntVar? firstBefore = null;
        for (var piece = 0; piece < job.Pieces; piece++)
        {
            var starts = new IntVar[steps.Count];
            for (var i = 0; i < steps.Count; i++)
            {
                starts[i] = model.NewIntVar(0, horizon, $"s{piece}-{i}");
            }
            long Seconds(int i) => opensItself && Opens(steps, i) ? 0 : (long)steps[i].Seconds;
            for (var i = 0; i < steps.Count; i++)
            {
                if (steps[i].Hands && Seconds(i) > 0)
                {
                    hands.Add(model.NewFixedSizeIntervalVar(starts[i], Seconds(i), $"h{piece}-{i}"));
                }
                if (i == 0)
                {
                    continue;
                }
                var slack = (long)job.Passes[pass[i]].SlackSeconds;
                var cool = steps[i - 1] is { Hands: false, Press: false };
                if (cool)
                {
                    // counted from the opening
                    var open = i - 1;
                    while (!Opens(steps, open))
                    {
                        open--;
                    }
                    var after = (long)steps[(open + 1)..i].Sum(s => s.Seconds);
                    model.Add(starts[i] >= starts[open] + Seconds(open) + after);
                    model.Add(starts[i] >= starts[i - 2] + Seconds(i - 2));
                    if (job.Passes[pass[i]].PeelWindowSeconds is { } window)
                    {
                        model.Add(starts[i] <= starts[open] + Seconds(open) + after + (long)window);
                    }
                    var away = model.NewIntVar(0, horizon, $"rack{piece}-{i}");
                    rack.Add(model.NewIntervalVar(starts[i - 2], away, starts[i], $"r{piece}-{i}"));
                    continue;
                }
                model.Add(starts[i] >= starts[i - 1] + Seconds(i - 1));
                if (FloorDwell(steps[i]))
                {
                    model.Add(starts[i] == starts[i - 1] + Seconds(i - 1));
                }
                if (Opens(steps, i))
                {
                    model.Add(starts[i] <= starts[i - 1] + Seconds(i - 1) + (opensItself ? 0 : slack));
                }
                if (Opens(steps, i - 1) && steps[i].Code == "peel" && job.Passes[pass[i]].PeelWindowSeconds is { } hot)
                {
                    model.Add(starts[i] <= starts[i - 1] + Seconds(i - 1) + (long)hot);
                }
            }
            // each stay on a press
            for (var i = 0; i < steps.Count; i++)
            {
                if (
                    !steps[i].Press
                    || !(
                        i == 0
                        || !steps[i - 1].Press
                        || steps[i - 1].Code == "unload"
                        || (steps[i].Code == "thread" && i > 0)
                    )
                )
                {
                    continue;
                }
                var last = i;
                while (last + 1 < steps.Count && steps[last + 1].Press && steps[last].Code != "unload")
                {
                    last++;
                }
                var on = Enumerable.Range(0, presses).Select(p => model.NewBoolVar($"on{piece}-{i}-{p}")).ToArray();
                model.AddExactlyOne(on);
                var size = model.NewIntVar(0, horizon, $"size{piece}-{i}");
                var until = model.NewIntVar(0, horizon, $"until{piece}-{i}");
                model.Add(until == starts[last] + Seconds(last));
                for (var p = 0; p < presses; p++)
                {
                    held[p].Add(model.NewOptionalIntervalVar(starts[i], size, until, on[p], $"p{piece}-{i}-{p}"));
                }
            }
            model.Add(end >= starts[^1] + (long)steps[^1].Seconds);
            if (firstBefore is not null)
            {
                model.Add(starts[0] >= firstBefore);
            }
            firstBefore = starts[0];
        }
        var working = model.AddCumulative(job.Operators);
        foreach (var h in hands)
        {
            working.AddDemand(h, 1);
        }
        foreach (var p in held)
        {
            model.AddNoOverlap(p);
        }
        var cooling = model.AddCumulative(job.RackPlaces);
        foreach (var r in rack)
        {
            cooling.AddDemand(r, 1);
        }
        model.Minimize(end);
        var solver = new CpSolver
        {
            StringParameters = "num_workers:2,max_deterministic_time:20,random_seed:1,max_time_in_seconds:30",
        };
        var status = solver.Solve(model);
        return status is CpSolverStatus.Optimal or CpSolverStatus.Feasible
            ? ((long)solver.ObjectiveValue, (long)Math.Ceiling(solver.BestObjectiveBound - 1e-6))
            : (-1, -1);
    }

    private static bool FloorDwell(WorkStep s) => s is { Hands: false, Press: true, ByItself: false };

    private static bool Opens(List<WorkStep> steps, int i) => i > 0 && FloorDwell(steps[i - 1]);
}
