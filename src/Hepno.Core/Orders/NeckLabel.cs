using System.Globalization;
using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>The printed neck label of one size: what a torn-out label said (docs/trade 15.7). What the law there wants
/// is the owner's to decide.</summary>
/// <param name="Size">Its size.</param>
/// <param name="Pieces">How many are needed.</param>
/// <param name="Lines">What stands on it, a line a line.</param>
public sealed record NeckLabel(string Size, int Pieces, IReadOnlyList<string> Lines)
{
    /// <summary>Key of its place.</summary>
    public const string PlaceId = "neck-label";

    /// <summary>Labels of a line, size by size; none where it has no neck label.</summary>
    /// <param name="line">The line.</param>
    /// <param name="style">Its garment.</param>
    /// <param name="maker">The shop's name.</param>
    /// <param name="care">How to look after it.</param>
    public static IReadOnlyList<NeckLabel> Labels(AskLine line, Style style, string maker, string care)
    {
        if (line.Placements.All(p => p.Place != PlaceId))
        {
            return [];
        }
        var fibre = string.Join(
            " ",
            style.Fabric.Select(x =>
                $"{x.Percent.ToString("0.#", CultureInfo.InvariantCulture)}% {x.Fibre.ToString().ToLowerInvariant()}"
            )
        );
        var origin = style.Cloth?.Origin is { Length: > 0 } from ? $"Made in {from}" : null;
        return
        [
            .. line
                .Sizes.Where(s => s.Pieces > 0)
                .Select(s => new NeckLabel(
                    s.Size,
                    s.Pieces,
                    [.. new[] { s.Size, fibre, origin, care, maker }.OfType<string>()]
                )),
        ];
    }

    /// <summary>What a label ought to say and the shelf does not know.</summary>
    public static IEnumerable<string> Lacking(AskLine line, Style style)
    {
        if (line.Placements.Any(p => p.Place == PlaceId) && style.Cloth?.Origin is not { Length: > 0 })
        {
            yield return $"The neck label does not say where {style.Name} is made: the Shelf does not know it. Look at the "
                + "sewn label before it is torn out.";
        }
    }
}
