using System.Globalization;
using System.Text.RegularExpressions;

namespace Hepno.Formats;

/// <summary>Where a drawing's transform takes a point: (a x + c y + e, b x + d y + f). In doubles: a roll is long, and
/// a gap is checked to a thousandth of a thousandth.</summary>
internal readonly partial record struct SvgTransform(double A, double B, double C, double D, double E, double F)
{
    private const double Level = 1e-6;

    /// <summary>Everything stays where it is.</summary>
    public static readonly SvgTransform None = new(1, 0, 0, 1, 0, 0);

    /// <summary>Moved.</summary>
    public static SvgTransform By(double x, double y) => new(1, 0, 0, 1, x, y);

    /// <summary>What a transform attribute says; nothing for none.</summary>
    /// <exception cref="NotATableException">It cannot be read.</exception>
    public static SvgTransform Of(string? text)
    {
        var all = None;
        var rest = text ?? "";
        foreach (Match m in Call().Matches(rest))
        {
            var n = m.Groups[2]
                .Value.Split([' ', ',', '\t', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries)
                .Select(v =>
                    double.TryParse(v, NumberStyles.Float, CultureInfo.InvariantCulture, out var d) ? d : double.NaN
                )
                .ToArray();
            all = all.After(
                n.All(double.IsFinite) && Step(m.Groups[1].Value, n) is { } step ? step : throw Unread(text)
            );
        }
        return Call().Replace(rest, "").Trim(' ', ',', '\t', '\n', '\r').Length == 0 ? all : throw Unread(text);
    }

    /// <summary>This one after an inner one.</summary>
    public SvgTransform After(SvgTransform inner) =>
        new(
            (A * inner.A) + (C * inner.B),
            (B * inner.A) + (D * inner.B),
            (A * inner.C) + (C * inner.D),
            (B * inner.C) + (D * inner.D),
            (A * inner.E) + (C * inner.F) + E,
            (B * inner.E) + (D * inner.F) + F
        );

    /// <summary>True where boxes stay upright boxes, or are turned by a quarter.</summary>
    public bool KeepsBoxes => (Small(B) && Small(C)) || IsQuarter;

    /// <summary>True where what was across comes to lie along.</summary>
    public bool IsQuarter => Small(A) && Small(D);

    /// <summary>True where what is read from left to right comes to be read from right to left.</summary>
    public bool TurnsOver => (A * D) - (B * C) < 0;

    /// <summary>The box a box becomes.</summary>
    public (double X, double Y, double Width, double Height) Box(double x, double y, double w, double h)
    {
        var (px, py, qx, qy) = (
            (A * x) + (C * y) + E,
            (B * x) + (D * y) + F,
            (A * (x + w)) + (C * (y + h)) + E,
            (B * (x + w)) + (D * (y + h)) + F
        );
        return (Math.Min(px, qx), Math.Min(py, qy), Math.Abs(qx - px), Math.Abs(qy - py));
    }

    // beside how much the whole enlarges
    private bool Small(double value) =>
        Math.Abs(value) <= Level * (Math.Abs(A) + Math.Abs(B) + Math.Abs(C) + Math.Abs(D));

    private static SvgTransform? Step(string name, double[] n) =>
        (name, n.Length) switch
        {
            ("matrix", 6) => new(n[0], n[1], n[2], n[3], n[4], n[5]),
            ("translate", 1) => By(n[0], 0),
            ("translate", 2) => By(n[0], n[1]),
            ("scale", 1) => new(n[0], 0, 0, n[0], 0, 0),
            ("scale", 2) => new(n[0], 0, 0, n[1], 0, 0),
            ("rotate", 1) => Turned(n[0]),
            ("rotate", 3) => By(n[1], n[2]).After(Turned(n[0])).After(By(-n[1], -n[2])),
            ("skewX", 1) => new(1, 0, Math.Tan(n[0] * Math.PI / 180), 1, 0, 0),
            ("skewY", 1) => new(1, Math.Tan(n[0] * Math.PI / 180), 0, 1, 0, 0),
            _ => null,
        };

    // quarter turns exactly
    private static SvgTransform Turned(double degrees) =>
        (((degrees % 360) + 360) % 360) switch
        {
            0 => None,
            90 => new(0, 1, -1, 0, 0, 0),
            180 => new(-1, 0, 0, -1, 0, 0),
            270 => new(0, -1, 1, 0, 0, 0),
            var d => new(
                Math.Cos(d * Math.PI / 180),
                Math.Sin(d * Math.PI / 180),
                -Math.Sin(d * Math.PI / 180),
                Math.Cos(d * Math.PI / 180),
                0,
                0
            ),
        };

    private static NotATableException Unread(string? text) =>
        new($"The transform \"{text}\" of the drawing cannot be read.");

    [GeneratedRegex(@"([A-Za-z]+)\s*\(([^()]*)\)")]
    private static partial Regex Call();
}
