using Hepno.Core.Sending;

namespace Hepno.Core.Quoting;

/// <summary>What an order still has to be paid.</summary>
public static class OrderBalance
{
    /// <summary>What is paid with what is counted now, and what with the rest.</summary>
    /// <param name="c">An order whose quote is sent.</param>
    public static PartBalance Reckon(OrderCase c)
    {
        var q = c.Frozen!;
        var facts = c.Order.Facts;
        var paid = (facts.Gathering.Deposit?.Amount ?? 0) + facts.Sending.Parts.Sum(p => p.Taken);
        if (c.Customer is { AccountDays: > 0 })
        {
            // on account nothing is taken with the pieces
            return new(0, Later: q.Total - paid);
        }
        var delivered = q.Lines.Sum(l =>
            l.Goods
            * (
                facts
                    .Sending.Counted.Concat(facts.Sending.Parts.SelectMany(p => p.Pieces))
                    .Where(x => x.LineId == l.LineId)
                    .Sum(x => x.Pieces)
            )
            / q.AskOf(l).Pieces
        );
        return PartBalance.Reckon(q.Total, paid, q.Goods, delivered, q.Numbers.Format.MinorDigits);
    }
}
