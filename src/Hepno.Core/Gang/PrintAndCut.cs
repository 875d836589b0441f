using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>A sheet that is printed and then cut along its prints: a cutter finds them by marks, and only what lies
/// inside the marks can be cut.</summary>
/// <param name="SheetWidthIn">Width of the sheet, in.</param>
/// <param name="SheetLengthIn">Its length, in.</param>
/// <param name="LeftIn">Taken by marks at the left, in.</param>
/// <param name="TopIn">Taken by marks at the top, in.</param>
/// <param name="RightIn">Taken by marks at the right, in.</param>
/// <param name="BottomIn">Taken by marks at the bottom, in.</param>
/// <param name="BleedIn">Printed past each outline, so that a cut a little off shows no white, in.</param>
public sealed record PrintAndCut(
    double SheetWidthIn,
    double SheetLengthIn,
    double LeftIn,
    double TopIn,
    double RightIn,
    double BottomIn,
    double BleedIn
)
{
    /// <summary>What lies inside the marks.</summary>
    public GangGround Inside() =>
        new(SheetWidthIn - LeftIn - RightIn, SheetLengthIn - TopIn - BottomIn, 2 * BleedIn, BleedIn);

    /// <summary>Lays prints inside the marks, bleed between and round them; places are from the sheet's own
    /// corner.</summary>
    /// <param name="designs">What is printed, as it is cut out.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried.</param>
    public GangFound Lay(IReadOnlyList<GangDesign> designs, int seed, int steps)
    {
        var found = GangNest.Lay(Inside(), designs, seed, steps);
        return found with
        {
            Placed = [.. found.Placed.Select(p => p with { X = p.X + LeftIn, Y = p.Y + TopIn })],
            Utilisation =
                found.Sheets == 0
                    ? 0
                    : found.Placed.Sum(p => p.WidthIn * p.HeightIn) / (SheetWidthIn * SheetLengthIn * found.Sheets),
        };
    }

    /// <summary>What leaves nothing to print on.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (
            LeftIn < 0
            || TopIn < 0
            || RightIn < 0
            || BottomIn < 0
            || Inside() is { WidthIn: <= 0 } or { LengthIn: <= 0 }
        )
        {
            yield return new(
                "range",
                $"Marks of {LeftIn:0.##}, {TopIn:0.##}, {RightIn:0.##} and {BottomIn:0.##} in leave nothing of "
                    + $"{SheetWidthIn:0.##} × {SheetLengthIn:0.##} in.",
                Where: "marks",
                "The cutter's manual says how much its marks take."
            );
        }
        if (BleedIn is not (>= 0 and <= 1))
        {
            yield return new(
                "range",
                $"A bleed of {BleedIn:0.###} in is outside 0 to 1.",
                Where: "bleedIn",
                "A sixteenth of an inch is usual."
            );
        }
    }
}
