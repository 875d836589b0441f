using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Artwork;

/// <summary>Where the right to print an artwork comes from.</summary>
public enum RightsKind
{
    /// <summary>Nobody asked yet.</summary>
    Unsaid,

    /// <summary>The shop drew it.</summary>
    Ours,

    /// <summary>The customer owns it.</summary>
    Customers,

    /// <summary>A licence for a stock graphic.</summary>
    StockLicence,

    /// <summary>A licence for a font.</summary>
    FontLicence,

    /// <summary>The mark of a club, a school or a company.</summary>
    ClubMark,

    /// <summary>A famous face, a character, a known brand.</summary>
    FamousOne,
}

/// <summary>Whose an artwork is and who said so: Hepno writes it down and reminds, the owner decides.</summary>
/// <param name="Whose">The owner of the rights, in the customer's words; empty while nobody asked.</param>
/// <param name="SaidBy">Who said so.</param>
/// <param name="SaidOn">When, local date; null while nobody said.</param>
/// <param name="Proof">What proves it: a letter, a licence's number; empty for a word alone.</param>
/// <param name="Kind">Where the right comes from.</param>
/// <param name="Until">A licence's last day, or null for none.</param>
/// <param name="Seats">Computers a licence is for, or null.</param>
/// <param name="SoldGoods">True when a licence covers goods that are sold.</param>
public sealed record Rights(
    string Whose,
    string SaidBy,
    LocalDate? SaidOn,
    string Proof,
    RightsKind Kind = RightsKind.Unsaid,
    LocalDate? Until = null,
    int? Seats = null,
    bool SoldGoods = false
)
{
    private const int SoonDays = 30;

    /// <summary>Nothing said yet.</summary>
    public static Rights Unsaid { get; } = new("", SaidBy: "", null, "");

    /// <summary>What speaks against printing it, the worst first (docs/trade 15.8): reminders, never a
    /// certainty.</summary>
    /// <param name="today">The day it is looked at.</param>
    /// <param name="f">How days are written.</param>
    public IEnumerable<DesignFault> Doubts(LocalDate today, FigureFormat f)
    {
        DesignFault Doubt(FaultKind kind, string sentence, string remedy) => new("rights", kind, sentence, remedy, []);
        if (Kind == RightsKind.FamousOne && Proof.Length == 0)
        {
            yield return Doubt(
                FaultKind.Bad,
                "a famous face, character or brand, and no written permission",
                "refuse it, even when only the customer asked; with its owner's letter, write that down"
            );
        }
        if (Kind is RightsKind.StockLicence or RightsKind.FontLicence)
        {
            if (Until < today)
            {
                yield return Doubt(
                    FaultKind.Bad,
                    $"the licence ended on {Shown.DayAndYear(Until.Value, f)}",
                    "renew it before it is printed again"
                );
            }
            else if (Until < today.PlusDays(SoonDays))
            {
                yield return Doubt(
                    FaultKind.Caution,
                    $"the licence ends on {Shown.DayAndYear(Until!.Value, f)}",
                    "press before that day, or renew it"
                );
            }
            if (!SoldGoods)
            {
                yield return Doubt(
                    FaultKind.Caution,
                    "nobody wrote down that the licence covers goods that are sold",
                    "read it: many cover own use alone"
                );
            }
        }
        if (Kind == RightsKind.ClubMark && (SaidBy.Length == 0 || Proof.Length == 0))
        {
            yield return Doubt(
                FaultKind.Caution,
                "a mark of a club, school or company, and nobody's written yes",
                "ask who may give it, and write down their letter"
            );
        }
    }
}
