using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Shop;

/// <summary>On which terms the shop quotes.</summary>
/// <param name="DepositShare">Share of the total asked before work begins.</param>
/// <param name="ValidityDays">Days a quote stands.</param>
public sealed record QuoteTerms(Share DepositShare, int ValidityDays)
{
    /// <summary>Starting values of a new shop; each is the owner's to change.</summary>
    public static QuoteTerms Default { get; } = new(new(0.5m), 14);

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<QuoteTerms> Fields { get; } =
        new FieldList<QuoteTerms>()
            .Share(x => x.DepositShare, "Deposit", (0, 1))
            .Number(x => x.ValidityDays, "Quote stands, days", Unit.None, 14, (1, 365), "14 is usual.");

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems() => Fields.Problems(this, "shop");
}
