using Hepno.Core.Blanks;

namespace Hepno.Core.Orders;

/// <summary>A placement as it is made for some of the sizes.</summary>
/// <param name="Print">The placement at that size: width, height and thinnest line scaled together.</param>
/// <param name="Sizes">For which pieces.</param>
public sealed record SizedPrint(Placement Print, IReadOnlyList<SizeCount> Sizes)
{
    /// <summary>Pieces of all its sizes.</summary>
    public int Pieces => SizeRun.Total(Sizes);
}

/// <summary>Which sizes of a print a run needs.</summary>
public static class SizedPrints
{
    /// <summary>One print for each width that the sizes of the run take, smallest first; one alone where the placement
    /// is the same on all.</summary>
    /// <param name="p">The placement as asked; its place is known.</param>
    /// <param name="sizes">The run, at least one piece.</param>
    /// <param name="names">Names and numbers, for a placement where each piece has its own.</param>
    public static IReadOnlyList<SizedPrint> Of(
        Placement p,
        IReadOnlyList<SizeCount> sizes,
        IReadOnlyList<OwnPiece>? names = null
    )
    {
        var taken = sizes.All(s => s.Pieces > 0) ? sizes : [.. sizes.Where(s => s.Pieces > 0)];
        if (p.Place == NeckLabel.PlaceId)
        {
            // a label says its size: the wrong one is a return, so each is a print of its own
            return [.. taken.Select(s => new SizedPrint(p.BySize ? Scaled(p, ScaleOn(p, s.Size)) : p, [s]))];
        }
        if (!p.BySize)
        {
            return [new(p.Own == OwnText.None ? p : Fitted(p, taken, names), taken)];
        }
        return
        [
            .. taken
                .GroupBy(s => ScaleOn(p, s.Size))
                .OrderBy(g => g.Key)
                .Select(g => new SizedPrint(Fitted(Scaled(p, g.Key), [.. g], names), [.. g])),
        ];
    }

    /// <summary>The placement on one size.</summary>
    public static Placement On(Placement p, string size) => p.BySize ? Scaled(p, ScaleOn(p, size)) : p;

    // how much smaller it is made so that this size takes it
    private static double ScaleOn(Placement p, string size)
    {
        var place = p.At();
        return Math.Min(1, Math.Min(place.WidthOn(size) / p.WidthIn, place.HeightOn(size) / p.HeightIn));
    }

    private static Placement Scaled(Placement p, double scale) =>
        scale >= 1
            ? p
            : p with
            {
                WidthIn = p.WidthIn * scale,
                HeightIn = p.HeightIn * scale,
                ThinnestLinePt = p.ThinnestLinePt * scale,
                Stitches = p.Stitches is { } stitches ? (int)Math.Round(stitches * scale * scale) : null,
            };

    // the box holds the widest text of these sizes; a wider one is pressed together to fit
    private static Placement Fitted(Placement p, IReadOnlyList<SizeCount> sizes, IReadOnlyList<OwnPiece>? names)
    {
        var mine = p.Own == OwnText.None ? [] : (names ?? []).Where(n => sizes.Any(s => s.Size == n.Size)).ToList();
        return mine.Count == 0
            ? p
            : p with
            {
                WidthIn = Math.Min(p.WidthIn, mine.Max(n => n.WidthIn(p.Own, p.HeightIn))),
            };
    }
}
