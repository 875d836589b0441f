namespace Hepno.Core.Gang;

/// <summary>Looks for the order of boxes that fills a strip or sheets best. Counted in steps: the same boxes, seed and
/// steps give the same layout on any machine.</summary>
internal static class StripSearch
{
    // a laying that wastes this much more is still gone on from at first, as a share of a mean box
    private const double Warm = 0.1;
    private const double Cold = 0.0005;

    // how far towards the floor the next goal lies; nearer after each goal that was not reached
    private const double Bold = 0.7;

    // steps for the first goal, and how many times as many for each after it: what a goal is given does not depend on
    // how many steps there are in all, so that a longer search does all that a shorter one did and goes on
    private const double FirstGoal = 200;
    private const double Longer = 1.1;

    /// <summary>The shortest strip found.</summary>
    /// <param name="width">Width of the strip.</param>
    /// <param name="boxes">What is laid; each fits.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried.</param>
    /// <param name="floor">Nothing is shorter: found, it ends.</param>
    /// <param name="go">Told the best length after some steps; false ends it, the best is kept.</param>
    public static Found Roll(
        double width,
        Skyline.Box[] boxes,
        int seed,
        int steps,
        double floor,
        Func<int, double, bool>? go = null
    )
    {
        var skyline = new Skyline(width, boxes);
        var (best, order) = Begin(skyline, boxes, 1, double.PositiveInfinity);
        var walk = new Walk(skyline, boxes, seed);
        var (used, near, planned) = (Begun, Bold, FirstGoal);
        while (used < steps && best.Length > floor + 1e-6)
        {
            // a goal hardly under what is there is not worth steps: the floor itself is tried, then bold ones again
            var goal = floor + ((best.Length - floor) * near);
            (goal, near) = best.Length - goal < 1e-4 ? (floor, Bold) : (goal, near);
            var (took, found) = walk.Towards(order, 1, goal, (int)planned, steps - used, step =>
                go?.Invoke(used + step, best.Length) ?? true
            );
            used += Math.Abs(took);
            planned *= Longer;
            if (found is not null)
            {
                (best, order, near) = (new(skyline.Length, 1, [.. skyline.At], used), found, Bold);
            }
            else
            {
                near = 1 - ((1 - near) / 1.7);
            }
            if (took < 0)
            {
                break;
            }
        }
        return best with { Steps = used };
    }

    // no single order is safe: tall, wide, large, long-sided and round ones are begun with, upright, turned, lying and
    // standing
    internal const int Begun = 24;

    /// <summary>The best of the usual orders, on a strip or on sheets.</summary>
    internal static (Found Found, int[] Order) Begin(Skyline skyline, Skyline.Box[] boxes, int sheets, double ceiling)
    {
        var kinds = Enumerable
            .Range(0, boxes.Length)
            .GroupBy(i => boxes[i].Kind)
            .OrderBy(g => g.Key)
            .Select(g => g.ToArray())
            .ToList();
        int[] By(Func<Skyline.Box, double> key) =>
            [.. kinds.OrderByDescending(k => key(boxes[k[0]])).SelectMany(k => k)];
        int[][] orders =
        [
            By(b => b.H),
            By(b => b.W),
            By(b => b.W * b.H),
            By(b => Math.Max(b.W, b.H)),
            By(b => Math.Min(b.W, b.H)),
            By(b => b.W + b.H),
        ];
        Func<Skyline.Box, bool>[] turns = [_ => false, _ => true, b => b.H > b.W, b => b.W > b.H];
        (Found Found, int[] Order)? best = null;
        var tried = new List<int[]>();
        foreach (
            var order in turns.SelectMany(turn =>
                orders.Select(o => o.Select(i => Skyline.Entry(i, boxes[i].MayTurn && turn(boxes[i]))).ToArray())
            )
        )
        {
            // few designs come in the same order by several measures
            if (tried.Any(t => t.AsSpan().SequenceEqual(order)))
            {
                continue;
            }
            tried.Add(order);
            skyline.Lay(order, sheets, ceiling, double.PositiveInfinity);
            if (
                best is null
                || (skyline.Sheets, skyline.Length).CompareTo((best.Value.Found.Sheets, best.Value.Found.Length)) < 0
            )
            {
                best = (new(skyline.Length, skyline.Sheets, [.. skyline.At], Begun), order);
            }
        }
        return best!.Value;
    }

    /// <summary>A layout found.</summary>
    /// <param name="Length">Length on the last sheet.</param>
    /// <param name="Sheets">Sheets begun.</param>
    /// <param name="At">Where each box lies.</param>
    /// <param name="Steps">Layings tried.</param>
    internal sealed record Found(double Length, int Sheets, Skyline.Spot[] At, int Steps);

    /// <summary>A walk through orders: two change places, one moves, or one is turned; a worse one is taken while it is
    /// warm.</summary>
    private sealed class Walk(Skyline skyline, Skyline.Box[] boxes, int seed)
    {
        private readonly Chance _chance = new(seed);
        private readonly double _mean = boxes.Average(b => b.W * b.H);

        /// <summary>Walks until everything goes on the sheets: how many steps it took, negative when it was told to
        /// stop; and the order that did it, or null.</summary>
        /// <param name="from">The order it begins with.</param>
        /// <param name="sheets">Sheets there are.</param>
        /// <param name="ceiling">How long they are.</param>
        /// <param name="planned">Steps it cools over.</param>
        /// <param name="left">Steps there are: fewer end it while it is warm.</param>
        /// <param name="go">Told how far it is; false stops it.</param>
        public (int Took, int[]? Order) Towards(
            int[] from,
            int sheets,
            double ceiling,
            int planned,
            int left,
            Func<int, bool> go
        )
        {
            var steps = Math.Min(planned, left);
            var current = (int[])from.Clone();
            var value = skyline.Lay(current, sheets, ceiling, double.PositiveInfinity);
            for (var step = 1; step <= steps; step++)
            {
                var change = Drawn(current);
                change.Do(current);
                var heat = _mean * Warm * Math.Pow(Cold / Warm, (double)step / planned);
                // the dice are cast first: a laying that could not be taken is given up early
                var limit = value - (heat * Math.Log(1 - _chance.Share()));
                var found = skyline.Lay(current, sheets, ceiling, limit);
                if (skyline.LeftOver == 0)
                {
                    return (step, current);
                }
                if (found < limit)
                {
                    value = found;
                }
                else
                {
                    change.Undo(current);
                }
                if (step % 8 == 0 && !go(step))
                {
                    return (-step, null);
                }
            }
            return (steps, null);
        }

        private Change Drawn(int[] order)
        {
            var (i, j, kind) = (_chance.Below(order.Length), _chance.Below(order.Length), _chance.Below(8));
            // equal boxes that change places change nothing
            return boxes[order[i] >> 1].MayTurn && (kind == 0 || boxes[order[i] >> 1].Kind == boxes[order[j] >> 1].Kind)
                ? new(i, i, false)
                : new(i, j, kind < 3);
        }
    }

    /// <summary>One change to an order: at one place the box is turned; otherwise it moves to the other place, or the
    /// two change places.</summary>
    private readonly record struct Change(int I, int J, bool Moves)
    {
        public void Do(int[] order) => Make(order, I, J);

        public void Undo(int[] order) => Make(order, Moves ? J : I, Moves ? I : J);

        private void Make(int[] order, int from, int to)
        {
            if (I == J)
            {
                order[I] ^= 1;
            }
            else if (!Moves)
            {
                (order[from], order[to]) = (order[to], order[from]);
            }
            else
            {
                var moved = order[from];
                Array.Copy(order, from < to ? from + 1 : to, order, from < to ? from : to + 1, Math.Abs(from - to));
                order[to] = moved;
            }
        }
    }
}
