using System.Globalization;

namespace Hepno.Core.Blanks;

/// <summary>How much larger or smaller a size lies flat than the size its outline is drawn in (assumed: by customary
/// chest widths).</summary>
public static class GarmentScale
{
    private const double StepExtended = 0.07;
    private const double StepToddler = 0.03;

    /// <summary>A size of a kind of garment against its outline.</summary>
    public static double For(GarmentKind kind, string size) => AgainstM(size) / AgainstM(Outline.For(kind).Size);

    /// <summary>A size lying flat, arms and all, in: what is printed all over covers it.</summary>
    public static (double WidthIn, double HeightIn) Flat(GarmentKind kind, string size) =>
        (Outline.For(kind).Box[2] * For(kind, size), Outline.For(kind).Box[3] * For(kind, size));

    private static double AgainstM(string size)
    {
        var name = SizeGroups.Bare(size);
        double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
        return (SizeGroups.Of(size), name) switch
        {
            (SizeGroup.Infant, "NB") => 0.36,
            (SizeGroup.Infant, _) => 0.36
                + (Math.Min(24, Number(name[(name.IndexOf('-', StringComparison.Ordinal) + 1)..^1])) * 0.14 / 24),
            (SizeGroup.Toddler, _) => 0.52 + ((Number(name[..1]) - 2) * StepToddler),
            (SizeGroup.Youth, _) => name switch
            {
                "YXS" => 0.66,
                "YS" => 0.7,
                "YM" => 0.76,
                "YL" => 0.82,
                _ => 0.88,
            },
            (SizeGroup.Extended, _) => 1.14 + ((Number(name[..1]) - 1) * StepExtended),
            (SizeGroup.Large, "L") => 1.07,
            (SizeGroup.Large, _) => 1.14,
            (_, "XS") => 0.88,
            (_, "S") => 0.94,
            _ => 1,
        };
    }
}
