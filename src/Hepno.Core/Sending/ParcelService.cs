using Hepno.Core.Ids;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Sending;

/// <summary>Who takes the shop's parcels, with the rates it asks.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">Its name.</param>
/// <param name="Zones">Zones, nearest first.</param>
public sealed record ParcelService(ThingId Id, string Name, IReadOnlyList<RateZone> Zones)
    : IThing,
        IKept<ParcelService>
{
    private const int MostDays = 60;

    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<ParcelService> Described { get; } =
        new("parcel-service", noun: "parcel-services", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new(
                "parcel service",
                Many: "Parcel services",
                Add: "Add a parcel service",
                "No rates of your own: postage is by a simulated table that ships with the program, and says so."
            ),
            Fields = new FieldList<ParcelService>()
                .Named(x => x.Name, "Who takes parcels", help: "It stands beside every postage.")
                .Rows(
                    x => x.Zones,
                    "Zones, nearest first, a line each: name; working days; up to grams price, grams price; "
                        + "key, made of the name",
                    new RowForm(
                        [
                            new("name", FieldShape.Text),
                            new("days", FieldShape.Number),
                            new("steps", FieldShape.Rows) { Rows = Steps },
                            new("id", FieldShape.Text) { MayBeLeftOut = true },
                        ],
                        "Near; 1; 250 4.20, 1000 6.00"
                    )
                    {
                        CellBreak = "; ",
                    },
                    lines: 5,
                    start: CarrierRates.Usual.Zones
                ),
            Rules = x => x.InZones(),
            Settled = x => x with { Zones = [.. x.Zones.Select(z => z.Settled())] },
            Order = ListedBy.Text<ParcelService>(x => x.Name),
            FurtherPrices = x =>
                x.Zones.SelectMany(z => z.Steps.Select(s => ($"{z.Name}, up to {s.MostGrams:#,0} g", s.Price))),
        };

    private static RowForm Steps =>
        new([new("mostGrams", FieldShape.Number), new("price", FieldShape.Number)], "250 4.20, 1000 6.00")
        {
            CellBreak = " ",
            RowBreak = ", ",
        };

    private IEnumerable<Problem> InZones()
    {
        if (Zones.Count == 0)
        {
            yield return new(
                "empty",
                $"{Name} has no zone.",
                Where: "zones",
                "Type one: Near; 1; 250 4.20, 1000 6.00."
            );
        }
        foreach (var (zone, i) in Zones.Select((z, i) => (z, i)))
        {
            if (zone.Id.Length == 0 || Zones.Take(i).Any(z => z.Id == zone.Id))
            {
                yield return new(
                    "twice",
                    $"The zone {zone.Name} has no name, or one that stands before.",
                    Where: $"zones[{i}].name",
                    "Give each zone a name of its own: orders are sent by it."
                );
            }
            if (zone.Days is < 0 or > MostDays)
            {
                yield return new(
                    "range",
                    $"{zone.Name}: {zone.Days} days on the way is outside 0 to {MostDays}.",
                    Where: $"zones[{i}].days",
                    "Working days until it is there."
                );
            }
            if (!zone.Ascends())
            {
                yield return new(
                    "price",
                    $"{zone.Name} has no price, one below 0, or weights that do not rise.",
                    Where: $"zones[{i}].steps",
                    "Type them lightest first: 250 4.20, 1000 6.00."
                );
            }
        }
    }
}
