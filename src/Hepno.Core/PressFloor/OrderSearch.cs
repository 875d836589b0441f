namespace Hepno.Core.PressFloor;

/// <summary>
/// Looks for a better order than the rules' own: decision by decision it tries every possible thing and waiting, lets
/// each usual rule finish from there, and goes on from the few that end best. Bounded by runs; the same input and bound
/// give the same order.
/// </summary>
internal static class OrderSearch
{
    private const int Width = 6;

    /// <summary>The best arrangement found.</summary>
    /// <param name="start">Where it begins; it has run.</param>
    /// <param name="steps">Runs it may make.</param>
    /// <param name="rules">Rules that finish what was begun.</param>
    /// <param name="run">Runs a arrangement; null when it cannot finish.</param>
    public static Arrangement Improve(
        Arrangement start,
        int steps,
        IReadOnlyList<FloorRule> rules,
        Func<Arrangement, FloorRun?> run
    )
    {
        var best = start;
        List<byte[]> kept =
        [
            [],
        ];
        // a beginning is judged by its best ending: remembered, since a longer beginning often has the same one
        while (steps > 0 && kept.Count > 0)
        {
            var next = new List<(byte[] Genes, double Weight)>();
            foreach (var genes in kept)
            {
                var possible = 2;
                for (byte pass = 0; pass < possible && steps > 0; pass++)
                {
                    byte[] tried = [.. genes, pass];
                    var weight = double.PositiveInfinity;
                    foreach (var rule in rules)
                    {
                        steps--;
                        if (run(start with { Rule = rule, Genes = tried, LeaveOut = false }) is not { } ran)
                        {
                            continue;
                        }
                        possible = Math.Max(possible, ran.PossibleAtLast + 1);
                        // of two orders that end together the one whose pieces are through earlier is the better start
                        weight = Math.Min(weight, ran.Makespan + (0.02 * ran.MeanFinish));
                        best =
                            ran.Makespan < best.Makespan - 1e-6
                                ? start with
                                {
                                    Rule = rule,
                                    Genes = tried,
                                    LeaveOut = false,
                                    Ran = ran,
                                }
                                : best;
                        if (ran.Decisions <= tried.Length)
                        {
                            weight = double.PositiveInfinity;
                        }
                    }
                    if (!double.IsPositiveInfinity(weight))
                    {
                        next.Add((tried, weight));
                    }
                }
            }
            kept = [.. next.OrderBy(n => n.Weight).Take(Width).Select(n => n.Genes)];
        }
        return best;
    }
}
