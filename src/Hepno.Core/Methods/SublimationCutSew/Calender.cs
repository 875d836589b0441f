using Hepno.Core.Costing;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>A heated drum that presses printed paper onto cloth by the roll, with the printer that prints the paper
/// (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="PaperWidthIn">Width of the paper that can be printed, in.</param>
/// <param name="PaperPricePerFoot">Money for a foot of paper, its protection paper in it.</param>
/// <param name="PrintIn2PerMinute">Printed area a minute, in².</param>
/// <param name="InkMlPerIn2">Ink on a painted in², all channels, ml.</param>
/// <param name="InkPricePerMl">Money for a ml.</param>
/// <param name="InPerMinute">Length of cloth through the drum a minute, in.</param>
/// <param name="NotionsPerPiece">Money for thread, neck tape and label of a garment.</param>
/// <param name="Equipment">What an hour of drum and printer costs.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record Calender(
    ThingId Id,
    string Name,
    double PaperWidthIn,
    decimal PaperPricePerFoot,
    double PrintIn2PerMinute,
    double InkMlPerIn2,
    decimal InkPricePerMl,
    double InPerMinute,
    decimal NotionsPerPiece,
    EquipmentHour Equipment,
    string Cautions
) : IKept<Calender>, IMachine, IRecipeProduct
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Calender> Described { get; } =
        new("calender", noun: "calenders", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new(
                "calender",
                Many: "Calenders, for cut and sew",
                Add: "Add a calender",
                "No calender: cut and sew stays folded."
            ),
            Fields = new FieldList<Calender>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(
                    x => x.PrintIn2PerMinute,
                    "Its printer prints",
                    Unit.In2PerMinute,
                    900,
                    (1, 100_000),
                    "Time a yard and divide."
                )
                .Number(
                    x => x.PaperWidthIn,
                    "Paper that can be printed",
                    new("in wide"),
                    61,
                    (6, 200),
                    "What its printer prints across."
                )
                .Money(
                    x => x.PaperPricePerFoot,
                    "Paper",
                    Unit.MoneyFor("a foot"),
                    (0, 100),
                    "A roll's price ÷ its feet.",
                    priceOf: "paper, a foot"
                )
                .Number(x => x.InkMlPerIn2, "Ink", Unit.MlPerIn2, 0.009, (0, 1), "Ml on a painted in².")
                .Money(
                    x => x.InkPricePerMl,
                    "Ink",
                    Unit.MoneyFor("a ml"),
                    (0, 100),
                    "A bottle's price ÷ its ml.",
                    priceOf: "ink, a ml"
                )
                .Number(
                    x => x.InPerMinute,
                    "Cloth through the drum",
                    new("in a minute"),
                    30,
                    (0.5, 2000),
                    "Inches of cloth a minute."
                )
                .Money(
                    x => x.NotionsPerPiece,
                    "Thread, neck tape and label",
                    Unit.MoneyFor("a garment"),
                    (0, 100),
                    "Money a garment.",
                    priceOf: "thread, tape and label"
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 8, ProductiveHoursAYear: 700, 5.5, DutyShare: 0.6, 0.2m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual",
                    start: "Hot drum: no loose sleeves, hands on the feed table. Dye fumes: extraction on. "
                        + "The maker’s manual decides.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            AtPrices = (x, levels) =>
                x with
                {
                    InkPricePerMl = x.InkPricePerMl * levels.Ink,
                    PaperPricePerFoot = x.PaperPricePerFoot * levels.Film,
                },
            Order = ListedBy.Text<Calender>(x => x.Name),
        };

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("felt", "Look at felt and drum, wipe both cold", UpkeepEvery.Week, 10, 0),
            new("nozzles", "Nozzle check of its printer", UpkeepEvery.Day, 2, 0.05m),
        ];

    /// <inheritdoc/>
    Press? IMachine.Workbench => Recipes.Workbench.Sewing;

    /// <inheritdoc/>
    string IRecipeProduct.ProductName => $"cloth of {Name}";

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
