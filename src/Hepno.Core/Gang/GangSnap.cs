namespace Hepno.Core.Gang;

/// <summary>Where a copy that is moved by hand comes to lie: pulled to the edges, to a gap's distance from others and
/// flush with them, when it is near.</summary>
public static class GangSnap
{
    /// <summary>The place it snaps to.</summary>
    /// <param name="ground">What it lies on.</param>
    /// <param name="others">Everything else there.</param>
    /// <param name="moved">The copy where the hand holds it.</param>
    /// <param name="reachIn">Pulled from no farther, in.</param>
    public static GangPlaced To(GangGround ground, IReadOnlyList<GangPlaced> others, GangPlaced moved, double reachIn)
    {
        var on = others.Where(o => o.Sheet == moved.Sheet).ToList();
        // only what lies beside it pulls it across, only what lies along it pulls it along
        bool Beside(GangPlaced o) =>
            o.Y < moved.Y + moved.HeightIn + ground.GapIn + reachIn
            && moved.Y < o.Y + o.HeightIn + ground.GapIn + reachIn;
        bool Along(GangPlaced o) =>
            o.X < moved.X + moved.WidthIn + ground.GapIn + reachIn
            && moved.X < o.X + o.WidthIn + ground.GapIn + reachIn;
        var (mostX, mostY) = (
            ground.WidthIn - ground.MarginIn - moved.WidthIn,
            ground.LengthIn - ground.MarginIn - moved.HeightIn
        );
        IEnumerable<double> across =
        [
            ground.MarginIn,
            mostX,
            .. on.Where(Beside)
                .SelectMany(o => new[] { o.X + o.WidthIn + ground.GapIn, o.X - ground.GapIn - moved.WidthIn }),
            .. on.Where(Along).SelectMany(o => new[] { o.X, o.X + o.WidthIn - moved.WidthIn }),
        ];
        IEnumerable<double> along =
        [
            ground.MarginIn,
            .. mostY is { } end ? new[] { end } : [],
            .. on.Where(Along)
                .SelectMany(o => new[] { o.Y + o.HeightIn + ground.GapIn, o.Y - ground.GapIn - moved.HeightIn }),
            .. on.Where(Beside).SelectMany(o => new[] { o.Y, o.Y + o.HeightIn - moved.HeightIn }),
        ];
        var (x, y) = (Near(moved.X, across, reachIn), Near(moved.Y, along, reachIn));
        return moved with
        {
            X = Math.Clamp(x, ground.MarginIn, Math.Max(ground.MarginIn, mostX)),
            Y = Math.Clamp(y, ground.MarginIn, Math.Max(ground.MarginIn, mostY ?? double.MaxValue)),
        };
    }

    private static double Near(double at, IEnumerable<double> lines, double reach) =>
        lines
            .Select(l => (Line: l, Off: Math.Abs(l - at)))
            .Where(l => l.Off <= reach)
            .OrderBy(l => l.Off)
            .Select(l => l.Line)
            .DefaultIfEmpty(at)
            .First();
}
