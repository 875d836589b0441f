using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Recipes;
using Hepno.Core.Things;

namespace Hepno.Core.Materials;

/// <summary>A cutter for vinyl.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
/// <param name="CutWidthIn">Widest cut, in.</param>
/// <param name="SpeedIn2PerMinute">Box area cut a minute, in².</param>
/// <param name="Equipment">What an hour of it costs, blades in its upkeep.</param>
/// <param name="Cautions">What its manual warns of.</param>
public sealed record Cutter(
    ThingId Id,
    string Name,
    double CutWidthIn,
    double SpeedIn2PerMinute,
    EquipmentHour Equipment,
    string Cautions
) : IKept<Cutter>, IMachine
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<Cutter> Described { get; } =
        new("cutter", noun: "cutters", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Floor,
            Words = new("cutter", Many: "Cutters", Add: "Add a cutter", "No cutter: layered vinyl stays folded."),
            Fields = new FieldList<Cutter>()
                .Named(x => x.Name, "Name", help: "Give it a name you would call across the room.")
                .Number(x => x.CutWidthIn, "Widest cut", Unit.In, 20, (0.01, 120), "Type its widest cut.")
                .Number(
                    x => x.SpeedIn2PerMinute,
                    "Cuts",
                    Unit.In2PerMinute,
                    60,
                    (0.01, 5000),
                    "Time one cut and divide."
                )
                .Part(
                    x => x.Equipment,
                    EquipmentHour.Fields,
                    new EquipmentHour(0, Resale: 0, 4, ProductiveHoursAYear: 700, 0.1, DutyShare: 0.5, 0.4m)
                )
                .Text(
                    x => x.Cautions,
                    "Cautions of its manual",
                    start: "The blade is sharper than it looks: hands off while it runs. The maker’s manual decides.",
                    lines: 2
                ),
            Rules = x => x.Equipment.Problems(),
            IsReadAtPress = true,
            Order = ListedBy.Text<Cutter>(x => x.Name),
        };

    /// <inheritdoc/>
    IReadOnlyList<UpkeepTask> IMachine.UsualUpkeep =>
        [
            new("strip", "Look at cutting strip and blade", UpkeepEvery.Week, 3, 0),
            new("blade", "New blade", UpkeepEvery.AsNeeded, 5, 9, 6),
        ];

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);
}
