namespace Hepno.Core.Gang;

/// <summary>Whether designs go on one sheet.</summary>
internal enum Fits
{
    /// <summary>Here is how.</summary>
    Yes,

    /// <summary>It is proved that they do not.</summary>
    No,

    /// <summary>Neither was found within the steps.</summary>
    Unknown,
}

/// <summary>Decides whether some copies go on one sheet: by the usual laying, by the floor, and for few copies by
/// trying everything.</summary>
internal static class SheetFit
{
    /// <summary>Up to this many copies everything is tried.</summary>
    private const int Few = 12;

    private const int QuickSteps = 400;

    // sides that hardly ever add up alike make so many cells that trying everything is out of reach
    private const long MostCells = 100_000;

    /// <summary>Decides, with the layout where it is yes.</summary>
    /// <param name="ground">The sheet; it has a length.</param>
    /// <param name="designs">Designs with the copies wanted on it, 1 or more each.</param>
    /// <param name="steps">Things tried at most where everything is tried.</param>
    public static (Fits Answer, IReadOnlyList<GangPlaced> Placed) Answer(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int steps
    )
    {
        var quick = GangNest.LayPlainly(ground, designs, 1, QuickSteps);
        if (quick is { Sheets: 1, LeftOut.Count: 0 })
        {
            return (Fits.Yes, quick.Placed);
        }
        if (quick.LeftOut.Count > 0 || quick.FloorSheets > 1)
        {
            return (Fits.No, []);
        }
        return designs.Sum(d => d.Copies) > Few || designs.Any(d => d.Group.Length > 0)
            ? (Fits.Unknown, [])
            : Trial.Answer(ground, designs, steps);
    }

    /// <summary>
    /// Every way to lay them, cell by cell from the beginning: edges of a layout pushed together lie on sums of widths
    /// and of heights, so the sheet falls into cells that are
    /// wholly covered or free. The first undecided cell is a box's corner or stays free; no more may stay free than the
    /// sheet has to spare.
    /// </summary>
    private sealed class Trial
    {
        private const double Eps = 1e-9;
        private readonly GangGround _ground;
        private readonly IReadOnlyList<GangDesign> _designs;
        private readonly double[] _x;
        private readonly double[] _y;
        private readonly bool[,] _taken;
        private readonly int[] _left;
        private readonly Stack<GangPlaced> _placed = new();
        private readonly double _spare;
        private int _steps;

        private Trial(
            GangGround ground,
            IReadOnlyList<GangDesign> designs,
            int steps,
            double width,
            double length,
            double[] x,
            double[] y
        )
        {
            (_ground, _designs, _steps, _x, _y) = (ground, designs, steps, x, y);
            _taken = new bool[_x.Length - 1, _y.Length - 1];
            _left = [.. designs.Select(d => d.Copies)];
            _spare =
                (width * length)
                - designs.Sum(d => d.Copies * (d.WidthIn + ground.GapIn) * (d.HeightIn + ground.GapIn));
        }

        public static (Fits Answer, IReadOnlyList<GangPlaced> Placed) Answer(
            GangGround ground,
            IReadOnlyList<GangDesign> designs,
            int steps
        )
        {
            var (width, length) = (
                ground.WidthIn - (2 * ground.MarginIn) + ground.GapIn,
                ground.LengthIn!.Value - (2 * ground.MarginIn) + ground.GapIn
            );
            var x = Sums(designs, ground.GapIn, width, d => d.MayTurn ? [d.WidthIn, d.HeightIn] : [d.WidthIn]);
            var y = x is null
                ? null
                : Sums(designs, ground.GapIn, length, d => d.MayTurn ? [d.WidthIn, d.HeightIn] : [d.HeightIn]);
            return x is null || y is null || (long)x.Length * y.Length > MostCells
                ? (Fits.Unknown, [])
                : new Trial(ground, designs, steps, width, length, x, y).Decide();
        }

        private (Fits Answer, IReadOnlyList<GangPlaced> Placed) Decide()
        {
            var found = _spare >= -Eps && Try(0, 0, _spare);
            return found ? (Fits.Yes, [.. _placed.Reverse()]) : (_steps > 0 ? Fits.No : Fits.Unknown, []);
        }

        // where edges may lie: sums of sides with their gap, and the far edge; null where there are too many
        private static double[]? Sums(
            IReadOnlyList<GangDesign> designs,
            double gap,
            double most,
            Func<GangDesign, double[]> sides
        )
        {
            var sums = new List<double> { 0 };
            foreach (var d in designs)
            {
                for (var copy = 0; copy < d.Copies; copy++)
                {
                    if (sums.Count > MostCells)
                    {
                        return null;
                    }
                    sums =
                    [
                        .. sums.Concat(sides(d).SelectMany(s => sums.Select(x => x + s + gap)))
                            .Where(x => x <= most + Eps)
                            .Order(),
                    ];
                    sums = [.. sums.Where((x, i) => i == 0 || x > sums[i - 1] + Eps)];
                }
            }
            return sums[^1] < most - Eps ? [.. sums, most] : [.. sums];
        }

        private bool Try(int column, int row, double spare)
        {
            if (_left.All(n => n == 0))
            {
                return true;
            }
            while (row < _y.Length - 1 && _taken[column, row])
            {
                (column, row) = column + 1 < _x.Length - 1 ? (column + 1, row) : (0, row + 1);
            }
            if (row >= _y.Length - 1 || --_steps <= 0)
            {
                return false;
            }
            for (var d = 0; d < _designs.Count; d++)
            {
                foreach (
                    var turned in _designs[d].MayTurn && Math.Abs(_designs[d].WidthIn - _designs[d].HeightIn) > Eps
                        ? new[] { false, true }
                        : [false]
                )
                {
                    if (_left[d] > 0 && Put(d, turned, column, row, spare))
                    {
                        return true;
                    }
                }
            }
            // or it stays free
            var cell = (_x[column + 1] - _x[column]) * (_y[row + 1] - _y[row]);
            return cell <= spare + Eps && Next(column, row, spare - cell);
        }

        private bool Next(int column, int row, double spare) =>
            column + 1 < _x.Length - 1
                ? Try(column + 1, row, spare)
                : row + 1 < _y.Length - 1 && Try(0, row + 1, spare);

        private bool Put(int d, bool turned, int column, int row, double spare)
        {
            var design = _designs[d];
            var (w, h) = turned ? (design.HeightIn, design.WidthIn) : (design.WidthIn, design.HeightIn);
            var (right, bottom) = (Edge(_x, _x[column] + w + _ground.GapIn), Edge(_y, _y[row] + h + _ground.GapIn));
            if (right < 0 || bottom < 0 || !Free(column, row, right, bottom))
            {
                return false;
            }
            Mark(column, row, right, bottom, true);
            _left[d]--;
            _placed.Push(new(design.Id, 0, _ground.MarginIn + _x[column], _ground.MarginIn + _y[row], w, h, turned));
            if (Try(column, row, spare))
            {
                return true;
            }
            _placed.Pop();
            _left[d]++;
            Mark(column, row, right, bottom, false);
            return false;
        }

        private static int Edge(double[] edges, double at)
        {
            var i = Array.BinarySearch(edges, at);
            i = i >= 0 ? i : ~i;
            // rounding may put it just beside its edge
            if (i < edges.Length && Math.Abs(edges[i] - at) < 1e-7)
            {
                return i;
            }
            return i > 0 && Math.Abs(edges[i - 1] - at) < 1e-7 ? i - 1 : -1;
        }

        private bool Free(int left, int top, int right, int bottom)
        {
            for (var c = left; c < right; c++)
            {
                for (var r = top; r < bottom; r++)
                {
                    if (_taken[c, r])
                    {
                        return false;
                    }
                }
            }
            return true;
        }

        private void Mark(int left, int top, int right, int bottom, bool taken)
        {
            for (var c = left; c < right; c++)
            {
                for (var r = top; r < bottom; r++)
                {
                    _taken[c, r] = taken;
                }
            }
        }
    }
}
