using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Shop;

/// <summary>A line of an ask looked up in the shop's book.</summary>
/// <param name="Style">Its garment, or null.</param>
/// <param name="Colourway">Its colour, or null.</param>
/// <param name="Problems">What in it blocks comparing.</param>
/// <param name="InHand">The complete line with the order's other complete lines; null while something is
/// missing.</param>
public sealed record LineLookedUp(
    Style? Style,
    Colourway? Colourway,
    IReadOnlyList<Problem> Problems,
    AskInHand? InHand
);

/// <summary>Looks an ask's lines up in the shop's book.</summary>
public static class AsksInHand
{
    /// <summary>Every line of the ask, in its order.</summary>
    /// <param name="ask">What is asked.</param>
    /// <param name="book">The shelf.</param>
    /// <param name="facts">Layouts settled for its lines and transfers used from the drawer; null for none.</param>
    /// <param name="made">What its artwork was made of before; null for nothing.</param>
    /// <param name="artworks">What was measured on its pictures; null for none.</param>
    public static IReadOnlyList<LineLookedUp> Of(
        Ask ask,
        ShopBook book,
        OrderFacts? facts = null,
        IReadOnlyList<Stock.MadeBefore>? made = null,
        IReadOnlyDictionary<DesignId, ArtworkReport>? artworks = null
    )
    {
        var alone = ask
            .Lines.Select((line, i) => Alone(ask, line, i, book, facts))
            .Select(l =>
                l.InHand is null
                    ? l
                    : l with
                    {
                        InHand = l.InHand with { Made = made ?? [], Artworks = artworks ?? l.InHand.Artworks },
                    }
            )
            .ToList();
        return
        [
            .. alone.Select(l =>
                l.InHand is null
                    ? l
                    : l with
                    {
                        InHand = l.InHand with
                        {
                            Others =
                            [
                                .. alone
                                    .Where(o => !ReferenceEquals(o, l) && o.InHand is not null)
                                    .Select(o => o.InHand!),
                            ],
                            Shipping = ask.Shipping,
                        },
                    }
            ),
        ];
    }

    private static LineLookedUp Alone(Ask ask, AskLine line, int index, ShopBook book, OrderFacts? facts)
    {
        var style = book.Of<Style>().FirstOrDefault(s => s.Id == line.StyleId);
        var colour = style?.Colourways.FirstOrDefault(c => c.Id == line.ColourwayId);
        var problems = style is null
            ? []
            : line
                .Placements.SelectMany(
                    (p, i) =>
                        PlacementRules.Blocks(p, $"lines[{index}].placements[{i}]", line.Sizes, style.Kind, book.Places)
                )
                .Concat(OwnPieces.Blocks(line, $"lines[{index}]"))
                .ToList();
        var complete =
            style is not null
            && colour is not null
            && line.Pieces > 0
            && line.Placements.Count > 0
            && problems.Count == 0;
        return new(
            style,
            colour,
            problems,
            complete
                ? new AskInHand(style!, colour!, line.Sizes, line.Placements, ask.Channel)
                {
                    Names = line.Names,
                    BuyBy = book.BuyBy,
                    Theirs = line.Theirs,
                    Laid = facts?.LayoutOf(line.Id),
                    Drawer = Some(facts?.Layout.Drawer.Where(d => d.LineId == line.Id)),
                    Remnants = Some(facts?.Layout.Remnants.Where(r => r.LineId == line.Id)),
                }
                : null
        );
    }

    // none is always the same none: two asks are compared as they stand
    private static T[] Some<T>(IEnumerable<T>? all) => all?.ToArray() ?? [];
}
