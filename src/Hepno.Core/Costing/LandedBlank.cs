using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Costing;

/// <summary>What a blank costs here, freight included, averaged over the size run.</summary>
public static class LandedBlank
{
    /// <summary>(unit price × pieces + surcharges + freight) ÷ pieces.</summary>
    /// <param name="style">The blank.</param>
    /// <param name="sizes">Pieces by size, at least one piece.</param>
    /// <param name="sharing">Pieces that share the freight, other lines from this supplier included; null for these alone.</param>
    public static Figure Of(Style style, IReadOnlyList<SizeCount> sizes, int? sharing = null)
    {
        var source = $"Shelf: {style.Name}";
        var pieces = SizeRun.Total(sizes);
        var freightOver = sharing ?? pieces;
        var surcharges = sizes.Select(s => (s, Each: style.Sizes.FirstOrDefault(z => z.Name == s.Size)?.Surcharge ?? 0)).Where(s => s.Each > 0)
            .Select(s => Figure.Of($"surcharge-{s.s.Size}", s.s.Size, s.Each * s.s.Pieces / pieces, "pieces × surcharge ÷ all pieces",
                Figure.Input("pieces", "Pieces", s.s.Pieces, FigureUnit.Count, "the ask"), Figure.Input("surcharge", "Surcharge", s.Each, FigureUnit.Money, source))).ToList();
        return Figure.Sum("blank", "Blank",
            [Figure.Input("unit", style.Name, style.UnitPrice, FigureUnit.Money, source), .. surcharges,
             Figure.Of("freight", "Freight", style.FreightPerOrder / freightOver, "freight ÷ pieces", Figure.Input("freight-order", "Freight an order", style.FreightPerOrder, FigureUnit.Money, source), Figure.Input("pieces", "Pieces", freightOver, FigureUnit.Count, freightOver == pieces ? "the ask" : $"all from {style.Supplier}"))]);
    }
}
