using System.Text.Json;
using Hepno.Core.Things;

namespace Hepno.Core.Blanks;

/// <summary>One side of a garment as it lies flat, in inches: x from its middle line towards the wearer's left on the
/// front, y downwards from the collar or the top edge.</summary>
/// <param name="Path">Its cloth, an SVG path.</param>
/// <param name="Seams">Seams, zips, pockets, the hood's drop: an SVG path of lines.</param>
/// <param name="Anchors">For each place on this side the point its distance is measured from: on the seam, above or
/// below the print's middle.</param>
/// <param name="Cloth">For each place on this side the cloth it has: its width between the seams, its length from that
/// point to the next edge, in.</param>
/// <param name="Straps">Handles, strings and ties: an SVG path of lines; null for none.</param>
public sealed record OutlineSide(
    string Path,
    string Seams,
    IReadOnlyDictionary<string, IReadOnlyList<double>> Anchors,
    IReadOnlyDictionary<string, IReadOnlyList<double>> Cloth,
    string? Straps = null
);

/// <summary>A kind of garment drawn at true scale. The screens read the same file, outlines.json.</summary>
/// <param name="Size">The size it is drawn in; other sizes are this one made larger or smaller.</param>
/// <param name="Box">What encloses it: left, top, width, height, in.</param>
/// <param name="Front">Its front.</param>
/// <param name="Back">Its back.</param>
public sealed record Outline(string Size, IReadOnlyList<double> Box, OutlineSide Front, OutlineSide Back)
{
    private static readonly JsonSerializerOptions Options = new() { PropertyNameCaseInsensitive = true };

    private static readonly Dictionary<string, Outline> All = Read();

    /// <summary>The outline of a kind of garment.</summary>
    public static Outline For(GarmentKind kind) => All[Words.Of(kind)];

    private static Dictionary<string, Outline> Read()
    {
        using var file = typeof(Outline).Assembly.GetManifestResourceStream("outlines.json")!;
        return JsonSerializer.Deserialize<Dictionary<string, Outline>>(file, Options)!;
    }
}
