namespace Hepno.Core.Gang;

/// <summary>Finds room for a copy among outlines: at some places across it is let down towards the beginning as far as
/// nothing is in its way, past what lies before.</summary>
internal static class OutlineRoom
{
    private const double Eps = 1e-7;

    // as finely as a hand lays it; beside each copy that lies there it is tried exactly too
    private const double AcrossIn = 0.25;

    /// <summary>The first room one way round, nearest the beginning, then leftmost; null where there is none.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="sheet">On which sheet.</param>
    /// <param name="on">What lies there.</param>
    /// <param name="design">What is to be laid.</param>
    /// <param name="turned">Turned by a quarter.</param>
    /// <param name="length">The copy ends before this, margin in it, in.</param>
    /// <param name="from">Not looked for before this, in.</param>
    /// <param name="shapes">What everything takes.</param>
    public static GangPlaced? Way(
        GangGround ground,
        int sheet,
        IReadOnlyList<GangPlaced> on,
        GangDesign design,
        bool turned,
        double length,
        double from,
        GangShapes shapes
    )
    {
        var (w, h) = turned ? (design.HeightIn, design.WidthIn) : (design.WidthIn, design.HeightIn);
        var (left, right, last, first) = (
            ground.MarginIn,
            ground.WidthIn - ground.MarginIn - w,
            length - ground.MarginIn - h,
            Math.Max(ground.MarginIn, from)
        );
        if (right < left - Eps || last < first - Eps)
        {
            return null;
        }
        var search = new Search(
            [.. on.Where(p => p.Y + p.HeightIn + ground.GapIn > first + Eps).OrderBy(p => p.Y)],
            shapes,
            shapes.Parts(new(design.Id, sheet, 0, 0, w, h, turned)),
            w,
            h,
            ground.GapIn,
            first,
            last
        );
        // across in even steps first: what lies farther than the best of those is not looked at beside
        search.Try(
            Enumerable
                .Range(0, (int)((right - left) / AcrossIn) + 1)
                .Select(i => left + (i * AcrossIn))
                .Append(Math.Max(left, right))
        );
        search.Try([.. search.Edges().Where(x => x >= left - Eps && x <= right + Eps).Order().Distinct()]);
        return search.Y > last + Eps ? null : new(design.Id, sheet, search.X, search.Y, w, h, turned);
    }

    private static double Lowest(List<(double From, double To)> barred, double first)
    {
        barred.Sort();
        var y = first;
        foreach (var (from, to) in barred)
        {
            if (from >= y - Eps)
            {
                break;
            }
            y = to > y + Eps ? to : y;
        }
        return y;
    }

    private sealed class Search(
        GangPlaced[] near,
        GangShapes shapes,
        IReadOnlyList<GangPlaced> mine,
        double w,
        double h,
        double gap,
        double first,
        double last
    )
    {
        private readonly IReadOnlyList<GangPlaced>?[] parts = new IReadOnlyList<GangPlaced>?[near.Length];
        private readonly List<(double From, double To)> barred = [];

        public double Y { get; private set; } = last + (2 * Eps);

        public double X { get; private set; }

        public void Try(IEnumerable<double> across)
        {
            foreach (var x in across)
            {
                Bar(x);
                var y = Lowest(barred, first);
                (Y, X) = y < Y - Eps || (y <= Y + Eps && y <= last + Eps && x < X) ? (y, x) : (Y, X);
            }
        }

        // beside and flush with each copy a better place could be near
        public IEnumerable<double> Edges() =>
            near.TakeWhile(p => p.Y - h - gap < Y)
                .SelectMany(p => new[] { p.X, p.X + p.WidthIn + gap, p.X - gap - w, p.X + p.WidthIn - w });

        // where along it would be too near something, looked at only as far as a better place could lie
        private void Bar(double x)
        {
            barred.Clear();
            for (var i = 0; i < near.Length && near[i].Y - h - gap < Y; i++)
            {
                if (near[i].X >= x + w + gap - Eps || near[i].X + near[i].WidthIn <= x - gap + Eps)
                {
                    continue;
                }
                foreach (var o in parts[i] ??= shapes.Parts(near[i]))
                {
                    foreach (var m in mine)
                    {
                        var (from, to) = (o.Y - gap - m.Y - m.HeightIn, o.Y + o.HeightIn + gap - m.Y);
                        if (
                            o.X < x + m.X + m.WidthIn + gap - Eps
                            && o.X + o.WidthIn > x + m.X - gap + Eps
                            && to > first + Eps
                        )
                        {
                            barred.Add((from, to));
                        }
                    }
                }
            }
        }
    }
}
