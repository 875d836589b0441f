using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Shop;

namespace Hepno.Core.Purchasing;

/// <summary>What a blank costs here, freight included, averaged over the size run.</summary>
public static class LandedBlank
{
    /// <summary>(unit price × pieces + surcharges + freight) ÷ pieces; the price is the tier's that the whole order
    /// reaches, and freight is shared by the supplier's pieces of it, or none from the value the supplier sends
    /// free.</summary>
    /// <param name="ask">The line with the rest of its order, at least one piece.</param>
    /// <param name="counted">Where its number of pieces comes from.</param>
    public static Figure Reckon(AskInHand ask, string counted = "the ask")
    {
        if (ask.Theirs)
        {
            return Figure.Input("blank", "Blank", 0, FigureUnit.Money, "the customer brings it");
        }
        var (style, buying) = (ask.Style, ask.Style.Buying ?? Buying.Plain);
        var source = $"Shelf: {style.Name}";
        var (price, why) = SupplierInvoice.Price(ask);
        var unit = Figure.Input(
            "unit",
            style.Name,
            price,
            FigureUnit.Money,
            price == style.UnitPrice ? source : $"{source}, {why}"
        );
        var surcharges = ask.AsBaseSizes
            ? []
            : ask
                .Sizes.Select(s => (s, Each: style.SurchargeOf(s.Size)))
                .Where(s => s.Each > 0)
                .Select(s =>
                    Figure.Of(
                        $"surcharge-{s.s.Size}",
                        label: s.s.Size,
                        s.Each * s.s.Pieces / ask.Pieces,
                        "pieces × surcharge ÷ all pieces",
                        Figure.Input("pieces", "Pieces", s.s.Pieces, FigureUnit.Count, counted),
                        Figure.Input("surcharge", "Surcharge", s.Each, FigureUnit.Money, source)
                    )
                )
                .ToList();
        var sharing = ask.PiecesOfSupplier;
        var freight =
            buying.FreeFreightFrom is { } free && SupplierInvoice.AfterTiers(ask) is var goods && goods >= free
                ? Figure.Of(
                    "freight",
                    "Freight",
                    0,
                    "free from an order's value",
                    Figure.Input(
                        "goods",
                        "Goods of the order",
                        goods,
                        FigureUnit.Money,
                        $"{(SupplierInvoice.AtList(ask) ? "at list prices" : "as invoiced")}, {style.Supplier}"
                    ),
                    Figure.Input("free-from", "Free from", free, FigureUnit.Money, source)
                )
                : Figure.Of(
                    "freight",
                    "Freight",
                    style.FreightPerOrder / sharing,
                    "freight ÷ pieces",
                    Figure.Input("freight-order", "Freight an order", style.FreightPerOrder, FigureUnit.Money, source),
                    Figure.Input(
                        "pieces",
                        "Pieces",
                        sharing,
                        FigureUnit.Count,
                        sharing == ask.Pieces ? counted : $"all from {style.Supplier}"
                    )
                );
        return Figure.Sum("blank", "Blank", [unit, .. surcharges, freight]);
    }
}
