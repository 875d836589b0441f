using Hepno.Core.Gang;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>Two orders' prints on one layout, against each on its own (docs/trade 7).</summary>
/// <param name="Apart">Both bought apart, freight with each.</param>
/// <param name="AsOne">Both on one layout, one freight.</param>
/// <param name="Saves">What that saves in all, opened.</param>
/// <param name="Mine">Of it, the order's whose layout it is.</param>
/// <param name="Theirs">Of it, the other's.</param>
public sealed record SharedFilm(Figure Apart, Figure AsOne, Figure Saves, decimal Mine, decimal Theirs)
{
    /// <summary>What buying as one saves, shared as film and freight are: by area. Null where one of the three cannot
    /// be billed.</summary>
    /// <param name="on">What they lie on.</param>
    /// <param name="film">The price list.</param>
    /// <param name="mine">The first order's layout, and what the order is called.</param>
    /// <param name="theirs">The other's; on the joined layout its designs are for it.</param>
    /// <param name="joined">Both laid together.</param>
    /// <param name="theirId">The other order.</param>
    public static SharedFilm? Reckon(
        FilmGround on,
        TransferPriceList film,
        (LineLayout Layout, string Code) mine,
        (LineLayout Layout, string Code) theirs,
        LineLayout joined,
        OrderId theirId
    )
    {
        if (
            Bill(on, mine.Layout) is not { } my
            || Bill(on, theirs.Layout) is not { } their
            || Bill(on, joined) is not { } both
        )
        {
            return null;
        }
        var freight = Figure.Input(
            "freight",
            "Freight",
            film.FreightPerOrder,
            FigureUnit.Money,
            $"Shelf: {film.Supplier}"
        );
        var apart = Figure.Sum(
            "apart",
            "Apart",
            my with
            {
                Code = "mine",
                Label = mine.Code,
            },
            freight,
            their with
            {
                Code = "theirs",
                Label = theirs.Code,
            },
            freight with
            {
                Code = "freight-2",
            }
        );
        var one = Figure.Sum("as-one", "As one", both, freight);
        var saves = Figure.Of("saves", "Saved", apart.Value - one.Value, "apart − as one", apart, one);
        var theirSaving = their.Value + freight.Value - (one.Value * PartOf(joined, theirId));
        return new(apart, one, saves, saves.Value - theirSaving, Theirs: theirSaving);
    }

    /// <summary>Money of a layout that one order bears: its area's part; extra copies count as theirs who laid
    /// them.</summary>
    /// <param name="layout">A layout with something on it.</param>
    /// <param name="on">What it lies on.</param>
    /// <param name="forOrder">The other order, or empty for the one whose layout it is.</param>
    public static decimal CostOf(LineLayout layout, FilmGround on, OrderId forOrder) =>
        Bill(on, layout)!.Value * PartOf(layout, forOrder);

    private static Figure? Bill(FilmGround on, LineLayout layout) => on.Bill(layout.Found(on.Ground))?.Cost;

    private static decimal PartOf(LineLayout layout, OrderId forOrder)
    {
        static double Area(IEnumerable<LaidDesign> designs) =>
            designs.Sum(d => d.WidthIn * d.HeightIn * (d.Needed + d.Extra));
        return (decimal)(Area(layout.Designs.Where(d => d.For == forOrder)) / Area(layout.Designs));
    }
}
