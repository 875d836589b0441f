using Hepno.Core.Blanks;

namespace Hepno.Core.Gang;

/// <summary>Parts a garment is sewn from, by kind and size (assumed: a plain cut, seam allowance and bleed in it; the
/// shop's own pattern decides).</summary>
public static class SewingPattern
{
    // as they lie in M, the length along the grain, in
    private static readonly PatternPart[] Tee =
    [
        new("front", 21, 29.5, 1),
        new("back", 21, 29.5, 1),
        new("sleeve", 15, 9.5, 2),
        new("neckband", 18, 2.5, 1),
    ];

    /// <summary>Kinds of garments there is a pattern for.</summary>
    public static IReadOnlyList<GarmentKind> Kinds { get; } = [GarmentKind.Tee];

    /// <summary>The parts of one garment of a size, larger and smaller as the garment is; null where there is no
    /// pattern for its kind.</summary>
    public static IReadOnlyList<PatternPart>? For(GarmentKind kind, string size)
    {
        if (!Kinds.Contains(kind))
        {
            return null;
        }
        var scale = GarmentScale.For(kind, size);
        return
        [
            .. Tee.Select(p =>
                p with
                {
                    Name = $"{p.Name} {size}",
                    WidthIn = p.WidthIn * scale,
                    HeightIn = p.HeightIn * scale,
                }
            ),
        ];
    }
}
