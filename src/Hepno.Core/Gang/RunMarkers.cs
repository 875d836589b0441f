using Hepno.Core.Blanks;

namespace Hepno.Core.Gang;

/// <summary>A marker that is printed and cut several times.</summary>
/// <param name="Marker">Where its parts lie.</param>
/// <param name="Sizes">Garments of each size in it.</param>
/// <param name="Times">How often.</param>
public sealed record MarkerTimes(Marker Marker, IReadOnlyList<SizeCount> Sizes, int Times);

/// <summary>The markers of a run of garments: the same one again and again, and one more for what is left. A marker as
/// long as the whole run could be neither laid nor handled.</summary>
/// <param name="Each">The markers.</param>
/// <param name="FabricWidthIn">Width of cloth they lie on, in.</param>
/// <param name="PaperWidthIn">Width of paper, in.</param>
/// <param name="PartsIn2">Area of all parts, their boxes, in².</param>
/// <param name="OutlineIn">Length cut round them, their boxes', in.</param>
public sealed record RunMarkers(
    IReadOnlyList<MarkerTimes> Each,
    double FabricWidthIn,
    double PaperWidthIn,
    double PartsIn2,
    double OutlineIn
)
{
    /// <summary>Garments of one marker at most.</summary>
    public const int MostGarments = 24;

    /// <summary>Between parts, in.</summary>
    public const double GapIn = 0.25;

    /// <summary>Cloth of all markers, in.</summary>
    public double FabricIn => Each.Sum(m => m.Marker.OnFabric.UsedLengthIn * m.Times);

    /// <summary>Paper of all markers, in.</summary>
    public double PaperIn => Each.Sum(m => m.Marker.OnPaper.UsedLengthIn * m.Times);

    /// <summary>A part that is wider than cloth or paper, in words; null where all lie.</summary>
    public string? LeftOut =>
        Each.SelectMany(m => m.Marker.OnFabric.LeftOut.Concat(m.Marker.OnPaper.LeftOut))
            .Select(p => p.Sentence)
            .FirstOrDefault();

    /// <summary>Lays a run; null where there is no pattern for its kind.</summary>
    /// <param name="kind">Of garment.</param>
    /// <param name="garments">How many of each size are made; at least one in all.</param>
    /// <param name="fabricWidthIn">Width of the cloth that can be used, in.</param>
    /// <param name="paperWidthIn">Width of the paper that can be printed, in.</param>
    /// <param name="steps">Layings tried for each marker.</param>
    public static RunMarkers? Find(
        GarmentKind kind,
        IReadOnlyList<SizeCount> garments,
        double fabricWidthIn,
        double paperWidthIn,
        int steps
    )
    {
        List<SizeCount> run = [.. garments.Where(g => g.Pieces > 0)];
        if (run.Any(g => SewingPattern.For(kind, g.Size) is null))
        {
            return null;
        }
        IEnumerable<PatternPart> Parts(IEnumerable<SizeCount> of) =>
            of.SelectMany(s => SewingPattern.For(kind, s.Size)!.Select(p => p with { Count = p.Count * s.Pieces }));
        MarkerTimes Lay(List<SizeCount> of, int times) =>
            new(Marker.Lay([.. Parts(of)], fabricWidthIn, paperWidthIn, GapIn, steps), of, times);
        var times = (int)Math.Ceiling(SizeRun.Total(run) / (double)MostGarments);
        List<SizeCount> again = [.. run.Select(s => s with { Pieces = s.Pieces / times }).Where(s => s.Pieces > 0)];
        List<SizeCount> rest = [.. run.Select(s => s with { Pieces = s.Pieces % times }).Where(s => s.Pieces > 0)];
        List<MarkerTimes> each = [];
        if (again.Count > 0)
        {
            each.Add(Lay(again, times));
        }
        if (rest.Count > 0)
        {
            each.Add(Lay(rest, 1));
        }
        var parts = Parts(run).ToList();
        return new(
            each,
            fabricWidthIn,
            paperWidthIn,
            parts.Sum(p => p.WidthIn * p.HeightIn * p.Count),
            OutlineIn: parts.Sum(p => 2 * (p.WidthIn + p.HeightIn) * p.Count)
        );
    }
}
