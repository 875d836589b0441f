namespace Hepno.Core.Gang;

/// <summary>A part of a garment that is cut from cloth.</summary>
/// <param name="Name">What it is, with its size: "front M".</param>
/// <param name="WidthIn">Width across the grain, in.</param>
/// <param name="HeightIn">Length along the grain, in.</param>
/// <param name="Count">How many of it the run needs.</param>
public sealed record PatternPart(string Name, double WidthIn, double HeightIn, int Count);

/// <summary>Parts of a run laid for cutting: on the cloth, and on the paper they are printed on when that is another
/// width (docs/trade 2). Parts follow the grain: they lie upright or upside down, never across.</summary>
/// <param name="OnFabric">Where they lie on the cloth; its used length is what is bought and calendered.</param>
/// <param name="OnPaper">Where they lie on the paper; its used length is what is printed.</param>
public sealed record Marker(GangFound OnFabric, GangFound OnPaper)
{
    /// <summary>Lays the parts; a part wider than the cloth or paper is among what is left out there.</summary>
    /// <param name="parts">Parts of the run.</param>
    /// <param name="fabricWidthIn">Width of the cloth that can be used, in.</param>
    /// <param name="paperWidthIn">Width of the paper that can be printed, in.</param>
    /// <param name="gapIn">Between parts, in.</param>
    /// <param name="steps">Layings tried for each.</param>
    public static Marker Lay(
        IReadOnlyList<PatternPart> parts,
        double fabricWidthIn,
        double paperWidthIn,
        double gapIn,
        int steps
    )
    {
        // by 180 degrees a box is the same box: nothing turns
        List<GangDesign> designs =
        [
            .. parts.Select(p => new GangDesign(p.Name, p.WidthIn, p.HeightIn, p.Count, MayTurn: false)),
        ];
        var onFabric = GangNest.Lay(new(fabricWidthIn, null, gapIn, 0), designs, 1, steps);
        return new(
            onFabric,
            Math.Abs(fabricWidthIn - paperWidthIn) < 1e-9
                ? onFabric
                : GangNest.Lay(new(paperWidthIn, null, gapIn, 0), designs, 1, steps)
        );
    }
}
