using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>White cloth by the roll that takes dye: what garments are cut and sewn from.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who sells it.</param>
/// <param name="Product">Which cloth.</param>
/// <param name="PolyesterPercent">How much of it is polyester, 0 to 100: dye takes to nothing else.</param>
/// <param name="WeightGsm">Weight, g/m².</param>
/// <param name="WidthIn">Width that can be used, in.</param>
/// <param name="PricePerFoot">Money for a foot of length.</param>
/// <param name="StepIn">Sold by lengths of so much, in: 36 for the yard.</param>
/// <param name="ShrinkShare">Length it loses in the heat of the calender, 0 to 1: so much more is bought.</param>
/// <param name="FreightPerOrder">Freight of an order of it.</param>
/// <param name="LeadDays">Working days until it is here.</param>
public sealed record RollCloth(
    ThingId Id,
    string Supplier,
    string Product,
    double PolyesterPercent,
    double WeightGsm,
    double WidthIn,
    decimal PricePerFoot,
    double StepIn,
    double ShrinkShare,
    decimal FreightPerOrder,
    int LeadDays
) : IThing
{
    /// <summary>Length bought for a length that is cut: what the heat takes on top, rounded up to whole steps,
    /// in.</summary>
    public double Billed(double usedIn) => Math.Ceiling((usedIn * (1 + ShrinkShare) / StepIn) - 1e-9) * StepIn;

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(
                Supplier,
                field: "supplier",
                "The cloth's supplier",
                help: "Type who sells it: it stands on the list of what to buy."
            ),
            .. Ranges.Named(Product, field: "product", "The cloth", help: "Type what you order it by."),
            .. Ranges.Outside(
                (
                    PolyesterPercent,
                    65,
                    100,
                    "polyesterPercent",
                    "Polyester",
                    "Dye takes to polyester alone: 65% at least, 95% for strong colours."
                ),
                (WeightGsm, 30, 800, "weightGsm", "A weight", "Grams a square metre."),
                (WidthIn, 10, 200, "widthIn", "A width", "What can be used between the selvedges."),
                ((double)PricePerFoot, 0.0001, 1000, "pricePerFoot", "A foot of cloth", "A yard's price ÷ 3."),
                (StepIn, 0.5, 400, "stepIn", "A step it is sold by", "36 in for the yard."),
                (
                    ShrinkShare,
                    0,
                    0.3,
                    "shrinkShare",
                    "Shrinking in the heat",
                    "Calender a yard and measure it again: 3% is usual."
                ),
                ((double)FreightPerOrder, 0, 1000, "freightPerOrder", "Freight", "0 or more."),
                (LeadDays, 0, 120, "leadDays", "A number of days", "0 where it lies in the shop.")
            ),
        ];
}
