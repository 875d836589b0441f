using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IThing, IKept<RollCloth>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<RollCloth> Described { get; } =
        new("cloth", noun: "cloths", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new(
                "cloth",
                Many: "Cloth by the roll, for cut and sew",
                Add: "Add a cloth",
                "No cloth by the roll."
            ),
            Fields = new FieldList<RollCloth>()
                .Named(x => x.Supplier, "Supplier", help: "It stands on the list of what to buy.", word: "supplier")
                .Named(x => x.Product, "Cloth", help: "Type what you order it by.")
                .Number(
                    x => x.PolyesterPercent,
                    "Polyester",
                    Unit.Percent,
                    100,
                    (65, 100),
                    "Dye takes to polyester alone: 65% at least, 95% for strong colours."
                )
                .Number(x => x.WeightGsm, "Weight", Unit.Gsm, 150, (30, 800), "Grams a square metre.")
                .Number(
                    x => x.WidthIn,
                    "Width that can be used",
                    Unit.In,
                    60,
                    (10, 200),
                    "What can be used between the selvedges."
                )
                .Money(
                    x => x.PricePerFoot,
                    "A foot of length",
                    Unit.None,
                    (0.0001, 1000),
                    "A yard's price ÷ 3.",
                    priceOf: "a foot"
                )
                .Number(x => x.StepIn, "Sold in steps of", Unit.In, 36, (0.5, 400), "36 in for the yard.")
                .Number(
                    x => x.ShrinkShare,
                    "Shrinks in the heat",
                    Unit.Share,
                    0.03,
                    (0, 0.3),
                    "Calender a yard and measure it again: 3% is usual."
                )
                .Money(x => x.FreightPerOrder, "Freight an order", Unit.None, (0, 1000), "0 or more.")
                .Number(x => x.LeadDays, "Working days", Unit.None, 3, (0, 120), "0 where it lies in the shop."),
            AtPrices = (x, levels) =>
                x with
                {
                    PricePerFoot = x.PricePerFoot * levels.Blank,
                    FreightPerOrder = x.FreightPerOrder * levels.Blank,
                },
            Order = ListedBy.Text<RollCloth>(x => x.Product),
        };

    /// <summary>Length bought for a length that is cut: what the heat takes on top, rounded up to whole steps,
    /// in.</summary>
    public double Billed(double usedIn) => Math.Ceiling((usedIn * (1 + ShrinkShare) / StepIn) - 1e-9) * StepIn;

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
