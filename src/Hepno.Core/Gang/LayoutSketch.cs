using System.Globalization;

namespace Hepno.Core.Gang;

/// <summary>Lays the same designs at many counts: few copies one by one, many by the length a copy takes between
/// layings of some hundred. For comparisons over quantities alone; what is bought is laid whole.</summary>
/// <param name="memo">Layouts laid before; null for none.</param>
public sealed class LayoutSketch(LayoutMemo? memo = null)
{
    /// <summary>Up to so many copies are laid as they are.</summary>
    public const int Exact = 120;

    private static readonly int[] Knots = [96, 200, 400];

    private readonly LayoutMemo _laid = memo ?? new();
    private readonly Dictionary<string, double[]> _knots = [];

    /// <summary>A layout whose length and sheets are as long as one laid whole would about be; of many copies only one
    /// is placed, to stand for all: where they lie is not asked here.</summary>
    /// <param name="ground">What it is laid on.</param>
    /// <param name="designs">What is laid.</param>
    public GangFound Lay(GangGround ground, IReadOnlyList<GangDesign> designs)
    {
        var copies = designs.Sum(d => d.Copies);
        if (copies <= Exact)
        {
            return _laid.LayNameless(ground, designs);
        }
        var mix = Key(ground, designs);
        if (!_knots.TryGetValue(mix, out var lengths))
        {
            lengths = _knots[mix] = [
                .. Knots.Select(n =>
                    Total(ground, _laid.LayNameless(ground, Scaled(designs, n))) / Area(Scaled(designs, n))
                ),
            ];
        }
        var total = Between(lengths, copies) * Area(designs);
        if (double.IsInfinity(total))
        {
            return _laid.LayNameless(ground, designs);
        }
        var sheets = ground.LengthIn is { } length ? Math.Max(1, (int)Math.Ceiling((total / length) - 1e-9)) : 1;
        return new(
            [new(designs[0].Id, 0, ground.MarginIn, ground.MarginIn, designs[0].WidthIn, designs[0].HeightIn, false)],
            sheets,
            ground.LengthIn is { } l ? total - ((sheets - 1) * l) : total,
            FloorLengthIn: 0,
            sheets,
            1,
            GangNest.OnePass,
            [],
            Area(designs)
        );
    }

    // length a copy's area takes, straight between the knots, as at the last beyond
    private static double Between(double[] lengths, int copies)
    {
        for (var k = 1; k < Knots.Length; k++)
        {
            if (copies <= Knots[k])
            {
                return lengths[k - 1]
                    + ((lengths[k] - lengths[k - 1]) * (copies - Knots[k - 1]) / (Knots[k] - Knots[k - 1]));
            }
        }
        return lengths[^1];
    }

    private static double Area(IReadOnlyList<GangDesign> designs) => designs.Sum(d => d.AreaIn2 * d.Copies);

    private static List<GangDesign> Scaled(IReadOnlyList<GangDesign> designs, int copies)
    {
        var all = designs.Sum(d => d.Copies);
        return
        [
            .. designs.Select(d => d with { Copies = Math.Max(1, (int)Math.Round((double)d.Copies * copies / all)) }),
        ];
    }

    private static double Total(GangGround ground, GangFound found) =>
        found.LeftOut.Count > 0
            ? double.PositiveInfinity
            : ((found.Sheets - 1) * (ground.LengthIn ?? 0)) + found.UsedLengthIn;

    private static string Key(GangGround ground, IReadOnlyList<GangDesign> designs)
    {
        var each = string.Join('|', designs.Select(d => $"{d.WidthIn:R} {d.HeightIn:R} {d.MayTurn}"));
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{ground.WidthIn:R} {ground.LengthIn:R} {ground.GapIn:R} {ground.MarginIn:R} {each}"
        );
    }
}
