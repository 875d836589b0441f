using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Sending;

/// <summary>What the shop packs in, and what packing takes.</summary>
/// <param name="Packagings">Mailers and boxes, 1 to 12.</param>
/// <param name="PerPiece">Bag, label and card for one piece, money.</param>
/// <param name="ParcelMinutes">Hands to pack, label and hand one parcel to the carrier.</param>
public sealed record PackingRules(IReadOnlyList<Packaging> Packagings, decimal PerPiece, double ParcelMinutes)
{
    /// <summary>Starting values of a new shop (assumed); each is the owner's to change.</summary>
    public static PackingRules Default { get; } = new(Packaging.Default, 0.22m, 4);

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<PackingRules> Fields { get; } =
        new FieldList<PackingRules>()
            .Rows(
                x => x.Packagings,
                "Mailers and boxes, a line each: name, folded tees, grams it carries, own grams, price",
                new RowForm(
                    [
                        new("name", FieldShape.Text),
                        new("mostTees", FieldShape.Number),
                        new("mostGrams", FieldShape.Number),
                        new("ownGrams", FieldShape.Number),
                        new("price", FieldShape.Number),
                    ],
                    "Mailer, 4, 1000, 25, 0.35"
                ),
                lines: 4
            )
            .Amount(x => x.PerPiece, "Bag, label, card", Unit.MoneyFor("a piece"))
            .Number(x => x.ParcelMinutes, "Minutes a parcel", Unit.None, 4, (0, 1440), "4 is usual.");

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var problem in Fields.Problems(this, "shop"))
        {
            yield return problem;
        }
        if (Packagings.Count is 0 or > 12)
        {
            yield return new(
                "packagings",
                $"{Packagings.Count} mailers and boxes.",
                Where: "packagings",
                "Keep 1 to 12."
            );
        }
        foreach (var problem in Packagings.SelectMany((p, i) => p.Problems($"packagings[{i}]")))
        {
            yield return problem;
        }
    }
}
