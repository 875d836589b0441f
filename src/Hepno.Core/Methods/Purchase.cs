using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;

namespace Hepno.Core.Methods;

/// <summary>Something to buy for one decoration of the order, with the drawing it follows from.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Text">What it is.</param>
/// <param name="Supplier">From whom; empty for what lies in the shop.</param>
/// <param name="LeadDays">Working days until it is here.</param>
/// <param name="Quantity">How many or how long.</param>
/// <param name="Unit">transfers, sheets or in.</param>
/// <param name="Cost">Money, opened to its parts.</param>
/// <param name="Rows">For a roll: the rows as they are cut or printed; else null.</param>
/// <param name="SizeClass">For a bought transfer: the size class or sheet bought; else null.</param>
public sealed record Purchase(
    string Code,
    string Text,
    string Supplier,
    int LeadDays,
    double Quantity,
    string Unit,
    Figure Cost,
    RollRows? Rows,
    TransferSize? SizeClass
)
{
    /// <summary>For own paper: the prints on a sheet; else null.</summary>
    public SheetGrid? Grid { get; init; }

    /// <summary>Which print of the placement it is for, on which sizes; null in quotes of before, and for a layout
    /// of all prints.</summary>
    public SizedPrint? For { get; init; }

    /// <summary>For film bought with a layout: the layout; else null.</summary>
    public LaidPurchase? Laid { get; init; }

    /// <summary>For one colour of vinyl: the colour as measured; else empty.</summary>
    public string Hex { get; init; } = "";

    /// <summary>Why it is cut as it is; may be empty.</summary>
    public string Note { get; init; } = "";

    /// <summary>For vinyl: of which roll on the Shelf; else empty.</summary>
    public ThingId MaterialId { get; init; }

    /// <summary>For vinyl: which of the print's colours, from 0.</summary>
    public int Layer { get; init; }

    /// <summary>For work sent out: its price breaks, by pieces; else null.</summary>
    public IReadOnlyList<PriceBreak>? Breaks { get; init; }

    /// <summary>For a print larger than a sheet: the sheets of one side; else null.</summary>
    public Tiles? Tiles { get; init; }

    /// <summary>For cloth that is cut and sewn: where its parts lie; else null.</summary>
    public RunMarkers? Markers { get; init; }
}
