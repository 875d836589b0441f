using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>
/// Lays more copies than are laid whole: a pattern of some hundred is laid once and repeated, along a roll one after
/// the other, on sheets sheet by sheet; what is left over is laid after it.
/// The waste between two patterns is that of one uneven end in some hundred copies; how far the whole is over the floor
/// is said as for any layout.
/// </summary>
internal static class RepeatedLay
{
    // copies of a pattern; on sheets more, while they all go on one
    private const int Usual = 240;

    // rows of one design hold so many side by side at most before an uneven end matters little
    private const int Rows = 24;

    /// <summary>Where every copy lies, and the layings tried.</summary>
    /// <param name="ground">What they are laid on.</param>
    /// <param name="designs">What is laid; each fits, none is in a group.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried for each pattern.</param>
    /// <param name="go">Told what the last pattern came to; false ends its search.</param>
    public static (IReadOnlyList<GangPlaced> Placed, int Steps) Lay(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int seed,
        int steps,
        Func<int, double, bool>? go
    )
    {
        var run = new Run(ground, seed, steps, go);
        var left = designs.ToDictionary(d => d.Id, d => d.Copies);
        List<GangDesign> Left() => [.. designs.Where(d => left[d.Id] > 0).Select(d => d with { Copies = left[d.Id] })];
        while (left.Values.Sum() > GangNest.MostCopies)
        {
            var pattern = ground.LengthIn is null ? OfRoll(run, Left()) : OfSheets(run, Left());
            var copies = pattern.Placed.CountBy(p => p.DesignId).ToDictionary();
            var times = copies.Min(c => left[c.Key] / c.Value);
            for (var i = 0; i < times; i++)
            {
                run.Put(pattern);
            }
            foreach (var (id, count) in copies)
            {
                left[id] -= count * times;
            }
        }
        if (Left() is { Count: > 0 } rest)
        {
            run.Put(run.Whole(rest, Budget(steps, rest.Sum(d => d.Copies))));
        }
        return (run.Placed, run.Steps);
    }

    // a laying of many copies takes as the square of their number: the rest takes no more than a pattern does
    private static int Budget(int steps, int copies) => (int)(steps * Math.Min(1, Math.Pow((double)Usual / copies, 2)));

    // of patterns of nearly as many copies the one that takes least length for what it holds: some end in a full row
    private static Pattern OfRoll(Run run, IReadOnlyList<GangDesign> left)
    {
        var best = Enumerable
            .Range(1, Rows)
            .Select(row => Usual - (Usual % row))
            .Distinct()
            .Select(copies => Share(left, copies))
            .MinBy(designs => run.Whole(designs, GangNest.OnePass).Pitch / designs.Sum(d => d.AreaIn2 * d.Copies))!;
        return run.Whole(best, run.StepsEach);
    }

    // full sheets alone are repeated: the last one is laid anew with what is left
    private static Pattern OfSheets(Run run, IReadOnlyList<GangDesign> left)
    {
        for (var copies = Usual; copies < GangNest.MostCopies; copies *= 2)
        {
            var pattern = run.Whole(Share(left, copies), run.StepsEach);
            if (pattern.Sheets > 1)
            {
                return pattern with
                {
                    Placed = [.. pattern.Placed.Where(p => p.Sheet < pattern.Sheets - 1)],
                    Sheets = pattern.Sheets - 1,
                };
            }
        }
        return Filled(run, left);
    }

    // so much goes on a sheet that a pattern is repeated along it
    private static Pattern Filled(Run run, IReadOnlyList<GangDesign> left)
    {
        var strip = OfRoll(run.OnRoll(), left);
        var along = (int)Math.Floor((run.Usable + 1e-9) / strip.Pitch);
        return strip with
        {
            Placed =
            [
                .. Enumerable
                    .Range(0, along)
                    .SelectMany(i => strip.Placed.Select(p => p with { Y = p.Y + (i * strip.Pitch) })),
            ],
        };
    }

    // so many copies in the mix of all, by the largest remainder
    private static List<GangDesign> Share(IReadOnlyList<GangDesign> left, int copies)
    {
        var all = left.Sum(d => d.Copies);
        var shares = Money.Shown([.. left.Select(d => (decimal)d.Copies * Math.Min(copies, all) / all)], 0);
        return [.. left.Select((d, i) => d with { Copies = (int)shares[i] }).Where(d => d.Copies > 0)];
    }

    /// <summary>Copies laid as one.</summary>
    /// <param name="Placed">Where they lie, from the margin on.</param>
    /// <param name="Sheets">On how many sheets; 1 on a roll.</param>
    /// <param name="Pitch">On a roll, how far on the next begins, in.</param>
    private sealed record Pattern(IReadOnlyList<GangPlaced> Placed, int Sheets, double Pitch);

    /// <summary>What is laid so far.</summary>
    private sealed class Run(GangGround ground, int seed, int steps, Func<int, double, bool>? go)
    {
        private readonly List<GangPlaced> _placed = [];
        private int _sheet;
        private double _along;

        public IReadOnlyList<GangPlaced> Placed => _placed;

        public int StepsEach => steps;

        public int Steps { get; private set; }

        /// <summary>Length of a sheet between its margins, a gap added.</summary>
        public double Usable => ground.LengthIn!.Value - (2 * ground.MarginIn) + ground.GapIn;

        public Run OnRoll() => new(ground with { LengthIn = null }, seed, steps, go);

        public Pattern Whole(IReadOnlyList<GangDesign> designs, int budget)
        {
            var found = GangNest.Lay(ground, designs, seed, budget, go);
            Steps += found.Steps;
            return new(found.Placed, found.Sheets, found.UsedLengthIn - (2 * ground.MarginIn) + ground.GapIn);
        }

        public void Put(Pattern p)
        {
            _placed.AddRange(p.Placed.Select(x => x with { Sheet = x.Sheet + _sheet, Y = x.Y + _along }));
            if (ground.LengthIn is null)
            {
                _along += p.Pitch;
            }
            else
            {
                _sheet += p.Sheets;
            }
        }
    }
}
