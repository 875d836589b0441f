namespace Hepno.Core.Gang;

/// <summary>What the designs of a layout take of the ground: their own outlines where they have one and are laid by it,
/// else their boxes (docs/trade 7).</summary>
/// <param name="outlines">Outlines by design; the others are boxes.</param>
public sealed class GangShapes(IReadOnlyDictionary<string, IReadOnlyList<OutlinePart>> outlines)
{
    /// <summary>Every design is its box.</summary>
    public static readonly GangShapes Boxes = new(new Dictionary<string, IReadOnlyList<OutlinePart>>());

    /// <summary>What a copy takes, as it lies: one box, or the parts of its outline. Turned, the top of the picture
    /// lies to the right.</summary>
    public IReadOnlyList<GangPlaced> Parts(GangPlaced copy) =>
        !outlines.TryGetValue(copy.DesignId, out var parts)
            ? [copy]
            :
            [
                .. parts.Select(p =>
                    copy.Turned
                        ? copy with
                        {
                            X = copy.X + ((1 - p.Y - p.Height) * copy.WidthIn),
                            Y = copy.Y + (p.X * copy.HeightIn),
                            WidthIn = p.Height * copy.WidthIn,
                            HeightIn = p.Width * copy.HeightIn,
                        }
                        : copy with
                        {
                            X = copy.X + (p.X * copy.WidthIn),
                            Y = copy.Y + (p.Y * copy.HeightIn),
                            WidthIn = p.Width * copy.WidthIn,
                            HeightIn = p.Height * copy.HeightIn,
                        }
                ),
            ];

    /// <summary>True when a design is laid by an outline of its own.</summary>
    public bool HasOutline(string designId) => outlines.ContainsKey(designId);

    /// <summary>By how much two copies on one sheet lie nearer than a gap, in; 0 or less where they do not.</summary>
    public double Lack(double gap, GangPlaced a, GangPlaced b)
    {
        var others = Parts(b);
        return Parts(a).Max(p => others.Max(o => GangCheck.Lack(gap, p, o)));
    }
}
