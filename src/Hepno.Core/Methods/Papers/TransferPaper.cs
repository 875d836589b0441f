using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IKept<TransferPaper>, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<TransferPaper> Described { get; } =
        new("paper", noun: "papers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new("paper", Many: "Transfer paper", Add: "Add a paper", "No transfer paper yet."),
            Fields = new FieldList<TransferPaper>()
                .Named(x => x.Supplier, "Supplier", help: "It stands on the list of what to buy.", word: "supplier")
                .Named(x => x.Product, "Paper", help: "Type what is on the box.")
                .Choice(
                    x => x.Kind,
                    "For",
                    PaperKind.Light,
                    [(PaperKind.Light, "white and pale cloth"), (PaperKind.Opaque, "any cloth, opaque")]
                )
                .Number(x => x.SheetWidthIn, "Sheet width", Unit.In, 8.5, (1, 64), "Measure a sheet.")
                .Number(x => x.SheetHeightIn, "Sheet height", Unit.In, 11, (1, 64), "Measure a sheet.")
                .Number(
                    x => x.MarginIn,
                    "Not printable round it",
                    Unit.In,
                    0.25,
                    help: "The printer's manual says how much."
                )
                .Number(
                    x => x.MarksIn,
                    "The cutter's marks take",
                    Unit.In,
                    0.6,
                    help: "The cutter's manual says how much its marks take."
                )
                .Number(x => x.BleedIn, "Bleed", Unit.In, 0.0625, (0, 0.5), "A sixteenth of an inch is usual.")
                .Money(
                    x => x.SheetPrice,
                    "A sheet",
                    Unit.None,
                    (0.0001, 100),
                    "Price of a pack ÷ its sheets.",
                    priceOf: "a sheet"
                )
                .Money(x => x.FreightPerOrder, "Freight an order", Unit.None, (0, 1000), "0 or more.")
                .Number(x => x.LeadDays, "Working days", Unit.None, 2, (0, 120), "0 where it lies in the shop."),
            Rules = x => x.Edges(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    SheetPrice = x.SheetPrice * levels.Film,
                    FreightPerOrder = x.FreightPerOrder * levels.Film,
                },
            Order = ListedBy.Text<TransferPaper>(x => x.Product),
        };

    /// <summary>What can be printed and cut out of a sheet.</summary>
    /// <param name="byCutter">True where a cutter cuts it out by its marks; false for scissors.</param>
    public PrintAndCut Region(bool byCutter)
    {
        var edge = Math.Max(MarginIn, byCutter ? MarksIn : 0);
        return new(SheetWidthIn, SheetHeightIn, LeftIn: edge, edge, edge, edge, BleedIn);
    }

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"{Supplier} {Product}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    private IEnumerable<Problem> Edges() =>
        Ranges.Outside(
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
            )
        );
}
