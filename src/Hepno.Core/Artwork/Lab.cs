using System.Globalization;

namespace Hepno.Core.Artwork;

/// <summary>A colour by how the eye orders it: lightness 0 to 100, red against green, yellow against blue (CIE 1976,
/// D65).</summary>
public readonly record struct Lab(double L, double A, double B)
{
    /// <summary>Of 8-bit sRGB values.</summary>
    public static Lab Of(double r, double g, double b)
    {
        var (x, y, z) = (Linear(r), Linear(g), Linear(b));
        var fx = Root(((0.4124564 * x) + (0.3575761 * y) + (0.1804375 * z)) / 0.95047);
        var fy = Root((0.2126729 * x) + (0.7151522 * y) + (0.0721750 * z));
        var fz = Root(((0.0193339 * x) + (0.1191920 * y) + (0.9503041 * z)) / 1.08883);
        return new((116 * fy) - 16, A: 500 * (fx - fy), 200 * (fy - fz));
    }

    /// <summary>Of "#rrggbb".</summary>
    public static Lab Of(string hex) => Of(Part(hex, 1), Part(hex, 3), Part(hex, 5));

    /// <summary>How different two colours look (ΔE 1976): under 3 hardly, over 20 plainly.</summary>
    public double DistanceTo(Lab other) =>
        Math.Sqrt(((L - other.L) * (L - other.L)) + ((A - other.A) * (A - other.A)) + ((B - other.B) * (B - other.B)));

    private static int Part(string hex, int at) =>
        int.Parse(hex.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture);

    private static double Linear(double v) =>
        v / 255 is var c && c <= 0.04045 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);

    private static double Root(double t) => t > 0.008856 ? Math.Cbrt(t) : (7.787 * t) + (16 / 116.0);
}
