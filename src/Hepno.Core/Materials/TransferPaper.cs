using Hepno.Core.Gang;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>For which garments a transfer paper is made.</summary>
public enum PaperKind
{
    /// <summary>White and pale ones: printed mirrored, nothing under the colour.</summary>
    Light,

    /// <summary>Any: opaque, printed right-reading and cut out.</summary>
    Opaque,
}

/// <summary>Coated paper for desktop inkjet printers; recipes of it are kept under its identity.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Product">Which paper.</param>
/// <param name="Kind">For which garments.</param>
/// <param name="SheetWidthIn">Width of a sheet, in.</param>
/// <param name="SheetHeightIn">Height of a sheet, in.</param>
/// <param name="MarginIn">Not printable on all four sides, in.</param>
/// <param name="MarksIn">Taken by the cutter's marks on all four sides, in; where a cutter cuts it out.</param>
/// <param name="BleedIn">Printed past each outline, in; also what is kept between two prints on each side.</param>
/// <param name="SheetPrice">Money for a sheet.</param>
/// <param name="FreightPerOrder">Freight of an order of it.</param>
/// <param name="LeadDays">Working days until it is here.</param>
public sealed record TransferPaper(
    ThingId Id,
    string Supplier,
    string Product,
    PaperKind Kind,
    double SheetWidthIn,
    double SheetHeightIn,
    double MarginIn,
    double MarksIn,
    double BleedIn,
    decimal SheetPrice,
    decimal FreightPerOrder,
    int LeadDays
) : IThing
{
    /// <summary>What can be printed and cut out of a sheet.</summary>
    /// <param name="byCutter">True where a cutter cuts it out by its marks; false for scissors.</param>
    public PrintAndCut Region(bool byCutter)
    {
        var edge = Math.Max(MarginIn, byCutter ? MarksIn : 0);
        return new(SheetWidthIn, SheetHeightIn, LeftIn: edge, edge, edge, edge, BleedIn);
    }

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(
                Supplier,
                field: "supplier",
                "The paper's supplier",
                help: "Type who sells it: it stands on the list of what to buy."
            ),
            .. Ranges.Named(Product, field: "product", "The paper", help: "Type what is on the box."),
            .. Ranges.Outside(
                (SheetWidthIn, 1, 64, "sheetWidthIn", "A sheet's width", "Measure a sheet."),
                (SheetHeightIn, 1, 64, "sheetHeightIn", "A sheet's height", "Measure a sheet."),
                (
                    MarginIn,
                    0,
                    Math.Min(SheetWidthIn, SheetHeightIn) * 0.4,
                    "marginIn",
                    "An unprintable edge",
                    "The printer's manual says how much."
                ),
                (
                    MarksIn,
                    0,
                    Math.Min(SheetWidthIn, SheetHeightIn) * 0.4,
                    "marksIn",
                    "What marks take",
                    "The cutter's manual says how much its marks take."
                ),
                (BleedIn, 0, 0.5, "bleedIn", "A bleed", "A sixteenth of an inch is usual."),
                ((double)SheetPrice, 0.0001, 100, "sheetPrice", "A sheet", "Price of a pack ÷ its sheets."),
                ((double)FreightPerOrder, 0, 1000, "freightPerOrder", "Freight", "0 or more."),
                (LeadDays, 0, 120, "leadDays", "A number of days", "0 where it lies in the shop.")
            ),
        ];
}
