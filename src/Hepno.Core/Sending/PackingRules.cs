using Hepno.Core.Measures;

namespace Hepno.Core.Sending;

/// <summary>What the shop packs in, and what packing takes.</summary>
/// <param name="Packagings">Mailers and boxes, 1 to 12.</param>
/// <param name="PerPiece">Bag, label and card for one piece, money.</param>
/// <param name="ParcelMinutes">Hands to pack, label and hand one parcel to the carrier.</param>
public sealed record PackingRules(IReadOnlyList<Packaging> Packagings, decimal PerPiece, double ParcelMinutes)
{
    /// <summary>Starting values of a new shop (assumed); each is the owner's to change.</summary>
    public static PackingRules Default { get; } = new(Packaging.Default, 0.22m, 4);

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var problem in AmountProblem.In((PerPiece, "packingPerPiece", "Packing")))
        {
            yield return problem;
        }
        if (ParcelMinutes is not (>= 0 and <= 1440))
        {
            yield return new(
                "range",
                $"{ParcelMinutes:0.##} minutes a parcel is outside 0 to 1,440.",
                Where: "parcelMinutes",
                "4 is usual."
            );
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
