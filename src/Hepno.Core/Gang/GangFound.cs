using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>Designs laid on a roll or on sheets of one size.</summary>
/// <param name="Placed">Where every copy lies; on sheets in the order of their sheets.</param>
/// <param name="Sheets">Sheets begun; 1 on a roll.</param>
/// <param name="UsedLengthIn">Length used, margins in it, in; of the last sheet where there are several.</param>
/// <param name="FloorLengthIn">No layout on a roll can be shorter, in; 0 on sheets, and on several set lengths, whose
/// number counts.</param>
/// <param name="FloorSheets">No layout can have fewer sheets; 1 on a roll.</param>
/// <param name="Utilisation">Share of the used ground that is covered by designs, 0 to 1.</param>
/// <param name="Steps">Layings tried.</param>
/// <param name="LeftOut">What does not go on it at all, with the reason; everything else is laid.</param>
/// <param name="CoveredIn2">Ground that is covered by designs, in².</param>
public sealed record GangFound(
    IReadOnlyList<GangPlaced> Placed,
    int Sheets,
    double UsedLengthIn,
    double FloorLengthIn,
    int FloorSheets,
    double Utilisation,
    int Steps,
    IReadOnlyList<Problem> LeftOut,
    double CoveredIn2
)
{
    /// <summary>How far over the floor it is, in length on a roll, in sheets otherwise: 0.02 for 2 % over what nothing
    /// can be under; 0 for nothing laid.</summary>
    public double OverFloor =>
        Placed.Count == 0 ? 0 : ((FloorLengthIn > 0 ? UsedLengthIn / FloorLengthIn : (double)Sheets / FloorSheets) - 1);

    /// <summary>What was laid, with its use worked out.</summary>
    internal static GangFound Laid(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyList<GangPlaced> placed,
        double used,
        int sheets,
        double floor,
        int floorSheets,
        int steps,
        IReadOnlyList<Problem> leftOut
    )
    {
        var covers = designs.Where(d => d.Cover < 1).ToDictionary(d => d.Id, d => d.Cover);
        var covered = placed.Sum(p => p.WidthIn * p.HeightIn * covers.GetValueOrDefault(p.DesignId, 1));
        return new(
            placed,
            sheets,
            used,
            FloorLengthIn: floor,
            floorSheets,
            covered / (ground.WidthIn * (((sheets - 1) * (ground.LengthIn ?? 0)) + used)),
            steps,
            leftOut,
            covered
        );
    }
}
