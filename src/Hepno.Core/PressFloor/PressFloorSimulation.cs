namespace Hepno.Core.PressFloor;

/// <summary>Finds how the pieces of a job go over the floor quickest.</summary>
public static class PressFloorSimulation
{
    /// <summary>Up to this many pieces every arrangement is run whole; beyond, the arrangements are told apart by two shorter runs
    /// each.</summary>
    private const int Sample = 12;

    /// <summary>Runs a search makes for a plan that somebody looks at: a tenth of a second for eight pieces.</summary>
    public const int UsualSearch = 4000;

    // arrangements that are looked at longer, of those that begin best
    private const int Promising = 16;

    // rules that finish what the search began
    private const int Finishing = 6;

    /// <summary>The quickest arrangement found: which presses and hands, in which order.</summary>
    /// <param name="job">A job without problems.</param>
    /// <param name="searchSteps">Further orders tried by a search; 0 for the usual rules alone.</param>
    /// <param name="trace">True to keep every event.</param>
    /// <param name="rules">How many of the usual rules are tried; all of them find a little more with several presses
    /// or hands.</param>
    public static FloorResult Run(FloorJob job, int searchSteps = 0, bool trace = false, int rules = int.MaxValue)
    {
        var found = Found(job, searchSteps, trace, rules);
        var hand = ByHand(job);
        if (
            !job.Presses.Any(p => p.OpensItself)
            || found.MakespanSeconds <= Bound(hand, [.. Enumerable.Range(0, job.Presses.Count)], job.Operators)
        )
        {
            return found;
        }
        var byHand = Found(hand, searchSteps, trace, rules);
        if (byHand.MakespanSeconds >= found.MakespanSeconds - 1e-6)
        {
            return found;
        }
        // what must be peeled at once can wait closed for its hands, for as long as its slack: there the press is set
        // to be opened
        return job.Passes.Any(p => p.PeelWindowSeconds is not null)
            ? byHand with
            {
                OpenedByHand = true,
            }
            : OpeningItself(job, byHand);
    }

    // an order made for opening by hand, kept where the presses do it: every piece is open no later than it was, and
    // the hands wait meanwhile
    private static FloorResult OpeningItself(FloorJob job, FloorResult byHand)
    {
        double Opening(IEnumerable<WorkStep> steps) =>
            byHand.Pieces * steps.Where(s => s.Code == "open").Sum(s => s.Seconds);
        List<FloorPart> parts =
        [
            .. byHand.Parts.Select(
                (p, i) =>
                    p with
                    {
                        HandsOnSeconds =
                            p.HandsOnSeconds - Opening(i < job.Passes.Count ? job.Passes[i].Steps : job.Before),
                    }
            ),
        ];
        return byHand with
        {
            HandsOnSeconds = parts.Sum(p => p.HandsOnSeconds),
            Parts = parts,
            OverDwellLargest = 0,
            OverDwellSum = 0,
            Trace = [.. byHand.Trace.Where(e => e.Code != "open")],
        };
    }

    private static FloorResult Found(FloorJob job, int searchSteps, bool trace, int rules)
    {
        var chain = new FloorChain(job);
        Arrangement? best = null;
        // most presses and hands first: what the fewer cannot reach need not be run, and what they reach as well they
        // get
        foreach (var use in Uses(job))
        {
            foreach (var operators in Operators(job))
            {
                if (best is not null && Bound(job, use, operators) > best.Makespan + 1e-6)
                {
                    continue;
                }
                var arrangement = Quickest(job, chain, use, operators, searchSteps, rules);
                if (arrangement is not null && (best is null || arrangement.Makespan <= best.Makespan + 1e-6))
                {
                    best = arrangement;
                }
            }
        }
        if (best is null && job.Policy == FloorPolicy.Stream)
        {
            // slacks and windows so narrow that nothing can run beside anything: piece by piece it always can
            return Found(job with { Policy = FloorPolicy.OneAtATime }, 0, trace, int.MaxValue);
        }
        return best is null
            ? throw new InvalidOperationException(
                "No order finishes the pieces: a rule of the floor leaves one behind."
            )
            : Result(job, best, trace ? best.Run(job, chain, job.Pieces, true)! : best.Ran!);
    }

    /// <summary>Seconds a further piece takes once the floor runs evenly: (M(500) - M(200)) / 300. A press that opens
    /// itself can be run in the order of one that is opened by hand, so the quicker of the two counts.</summary>
    public static double SteadySeconds(FloorJob job) =>
        job.Presses.Any(p => p.OpensItself) ? Math.Min(Further(job), Further(ByHand(job))) : Further(job);

    private static double Further(FloorJob job) =>
        (Run(job with { Pieces = 500 }).MakespanSeconds - Run(job with { Pieces = 200 }).MakespanSeconds) / 300;

    private static FloorJob ByHand(FloorJob job) =>
        job with
        {
            Presses = [.. job.Presses.Select(p => p with { OpensItself = false })],
        };

    /// <summary>What nobody pressing a second too long would cost: seconds more in all.</summary>
    public static double ZeroOverDwellCosts(FloorJob job, FloorResult found) =>
        Math.Max(
            0,
            Run(job with { Passes = [.. job.Passes.Select(p => p with { SlackSeconds = 0 })] }).MakespanSeconds
                - found.MakespanSeconds
        );

    // nobody is quicker than their hands, nor their presses
    private static double Bound(FloorJob job, int[] use, int operators)
    {
        var lowers = use.Sum(p => job.Presses[p].LoadsBeside ? 2 : 1);
        // a press that opens itself saves the opening, hands and press alike
        var steps = job.Chain.Where(s => s.Code != "open" || !use.Any(p => job.Presses[p].OpensItself)).ToList();
        return job.Pieces
            * Math.Max(steps.Where(s => s.Hands).Sum(s => s.Seconds) / operators, WorkSteps.PressHeld(steps) / lowers);
    }

    // equal presses count by number alone
    private static List<int[]> Uses(FloorJob job)
    {
        if (job.Policy == FloorPolicy.OneAtATime)
        {
            return [.. Enumerable.Range(0, job.Presses.Count).Select(i => new[] { i })];
        }
        var uses = new List<int[]>();
        var seen = new HashSet<string>();
        foreach (
            var mask in Enumerable
                .Range(1, (1 << job.Presses.Count) - 1)
                .OrderByDescending(m => System.Numerics.BitOperations.PopCount((uint)m))
                .ThenBy(m => m)
        )
        {
            int[] use = [.. Enumerable.Range(0, job.Presses.Count).Where(i => (mask & (1 << i)) != 0)];
            if (
                seen.Add(
                    string.Join(
                        "|",
                        use.Select(i => (job.Presses[i] with { Name = "" }).ToString()).Order(StringComparer.Ordinal)
                    )
                )
            )
            {
                uses.Add(use);
            }
        }
        return uses;
    }

    private static IEnumerable<int> Operators(FloorJob job) =>
        job.Policy == FloorPolicy.OneAtATime ? [1] : Enumerable.Range(1, job.Operators).Reverse();

    private static Arrangement? Quickest(
        FloorJob job,
        FloorChain chain,
        int[] use,
        int operators,
        int searchSteps,
        int rules
    )
    {
        var arrangements = Rules(job, chain, rules).Select(rule => new Arrangement(rule, use, operators)).ToList();
        if (job.Pieces > 2 * Sample)
        {
            // two short runs tell what a further piece takes; only the most promising arrangement is run whole
            double After(Arrangement w, int pieces) => w.Run(job, chain, pieces)?.Makespan ?? double.PositiveInfinity;
            // each by itself, side by side: in their order again whichever core is done first
            arrangements =
            [
                arrangements
                    .AsParallel()
                    .AsOrdered()
                    .Select(w => (Arrangement: w, Short: After(w, Sample)))
                    .ToList()
                    .OrderBy(x => x.Short)
                    .Take(Promising)
                    .ToList()
                    .AsParallel()
                    .AsOrdered()
                    .Select(x => (x.Arrangement, x.Short, Long: After(x.Arrangement, 2 * Sample)))
                    .ToList()
                    .MinBy(x => x.Long + ((x.Long - x.Short) / Sample * (job.Pieces - (2 * Sample))))
                    .Arrangement,
            ];
        }
        else if (job.Policy == FloorPolicy.Stream && rules >= FloorRule.Orders.Count)
        {
            // an order made for one piece more, that piece left out, is an order too: so more pieces never take less
            arrangements.AddRange([.. arrangements.Select(w => w with { LeaveOut = true })]);
        }
        List<Arrangement> ran =
        [
            .. arrangements
                .Select(w => w with { Ran = w.Run(job, chain, job.Pieces) })
                .Where(w => w.Ran is not null)
                .OrderBy(w => w.Makespan),
        ];
        if (ran.Count == 0 || searchSteps == 0)
        {
            return ran.FirstOrDefault();
        }
        return OrderSearch.Improve(
            ran[0],
            searchSteps,
            [.. ran.Where(w => !w.LeaveOut).Select(w => w.Rule).Take(Finishing)],
            arrangement => arrangement.Run(job, chain, job.Pieces)
        );
    }

    private static IEnumerable<FloorRule> Rules(FloorJob job, FloorChain chain, int rules)
    {
        if (job.Policy == FloorPolicy.OneAtATime)
        {
            return [FloorRule.Orders[0]];
        }
        bool[] batches = chain.Second.Any(s => s) ? [false, true] : [false];
        bool[] placements = job.Passes.Count > 1 ? [false, true] : [false];
        bool[] awaits = job.Presses.Any(p => p.OpensItself) ? [false, true] : [false];
        return from order in FloorRule.Orders.Take(rules)
            from batch in batches
            from byPlacement in placements
            from awaited in awaits
            select order with
            {
                Batch = batch,
                ByPlacement = byPlacement,
                AwaitsOpen = awaited,
            };
    }

    private static FloorResult Result(FloorJob job, Arrangement arrangement, FloorRun run)
    {
        FloorPart Part(string name, int i) =>
            new(name, run.HandsOnByPart[i], AttendedSeconds: run.HandsByPart[i], run.HeldByPart[i]);
        return new(
            job.Pieces,
            run.Makespan,
            HandsOnSeconds: run.HandsOnByPart.Sum(),
            run.HandsByPart.Sum(),
            HeldSeconds: run.HeldByPart.Sum(),
            [.. job.Passes.Select((p, i) => Part(p.Name, i)), Part("", job.Passes.Count)],
            run.OverDwellLargest,
            run.OverDwellSum,
            run.LargestRack,
            arrangement.Use,
            arrangement.Operators,
            job.Passes.Count > 1 && !run.PlacementsMixed,
            Batch: job.Chain.Any(s => s.Code == "second-press") && !run.SecondsMixed,
            run.Trace
        );
    }
}
