using Hepno.Core.Measures;

namespace Hepno.Core.Shop;

/// <summary>On which terms the shop quotes.</summary>
/// <param name="DepositShare">Share of the total asked before work begins.</param>
/// <param name="ValidityDays">Days a quote stands.</param>
public sealed record QuoteTerms(Share DepositShare, int ValidityDays)
{
    /// <summary>Starting values of a new shop; each is the owner's to change.</summary>
    public static QuoteTerms Default { get; } = new(new(0.5m), 14);

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var problem in AmountProblem.InShares((DepositShare, "depositShare", "A deposit")))
        {
            yield return problem;
        }
        if (ValidityDays is < 1 or > 365)
        {
            yield return new(
                "range",
                $"{ValidityDays} days of validity is outside 1 to 365.",
                Where: "validityDays",
                "14 is usual."
            );
        }
    }
}
