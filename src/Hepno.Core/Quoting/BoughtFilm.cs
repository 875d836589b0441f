using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Quoting;

/// <summary>What is bought of film for a line as it is laid now: its quote stands, its film may still be laid better,
/// or bought together with another order's, until it is here.</summary>
public static class BoughtFilm
{
    private const string Id = "film-layout-";

    /// <summary>The item of a line's film among what is gathered, or null.</summary>
    public static GatherItem? ItemOf(OrderFacts facts, AskLine line) =>
        line.Placements.Count == 0
            ? null
            : facts.Gathering.Items.FirstOrDefault(i => i.Id == Id + line.Placements[0].Id);

    /// <summary>True while a line's film can still be laid otherwise: before the quote is sent, and then until it is
    /// here, or printed.</summary>
    public static bool IsOpen(OrderCase c, AskLine line) =>
        c.Standing.Station < Station.Gather
        || (
            c.Standing.Station == Station.Gather
            && (
                IsUnprinted(c, line)
                || (
                    c.Order.Facts.JoinedOf(line.Id) is null
                    && (
                        ItemOf(c.Order.Facts, line) is { DoneAt: null }
                        || (c.Order.Facts.Gathering.Items.Count == 0 && c.Order.Facts.LayoutOf(line.Id) is not null)
                    )
                )
            )
        );

    // what is printed here is not ordered: its item is the work of printing it
    private static bool IsUnprinted(OrderCase c, AskLine line) =>
        c.LineOf(line.Id)
            .Frozen?.Band.Decorations.SelectMany(d => d.Purchases)
            .Any(p => p.Laid is not null && p.Supplier.Length == 0) == true
        && !c.Order.Facts.Gathering.Items.Any(i =>
            i.DoneAt is not null && i.Kind == GatherKind.Prepare && line.Placements.Any(p => i.Id == $"prepare-{p.Id}")
        );

    /// <summary>The item as the layout has it: how long, and the order's own part of what it costs.</summary>
    public static GatherItem Item(GatherItem item, LineLayout layout, FilmGround on, string film, FigureFormat f)
    {
        var bill = on.Bill(layout.Found(on.Ground))!;
        var prints = layout.Designs.Sum(d => d.Needed + d.Extra);
        var roll = on.Roll is null
            ? ""
            : $", {Shown.Roll(bill.BilledIn, f)} of the {Shown.Length(on.Ground.WidthIn, f)} roll";
        var together = layout.Designs.Any(d => !d.For.IsNone) ? ", with another order's" : "";
        return item with
        {
            Text = $"{prints} prints on {film}{roll}{together}",
            Quantity = on.Roll is null ? bill.Sheets : bill.BilledIn,
            Cost = SharedFilm.CostOf(layout, on, ""),
        };
    }
}
