using Hepno.Core.Sending;

namespace Hepno.Core.Quoting;

/// <summary>What an order still has to be paid.</summary>
public static class OrderBalance
{
    /// <summary>What is left to pay of all of it; below 0 what was paid too much.</summary>
    /// <param name="c">An order whose quote is sent.</param>
    public static decimal Left(OrderCase c) => c.Frozen!.Total - Paid(c);

    private static decimal Paid(OrderCase c) =>
        (c.Order.Facts.Gathering.Deposit?.Amount ?? 0) + c.Order.Facts.Sending.Parts.Sum(p => p.Taken);

    /// <summary>What is paid with what is counted now, and what with the rest.</summary>
    /// <param name="c">An order whose quote is sent.</param>
    public static PartBalance Reckon(OrderCase c)
    {
        var q = c.Frozen!;
        var facts = c.Order.Facts;
        if (c.Customer is { AccountDays: > 0 })
        {
            // on account nothing is taken with the pieces
            return new(0, Later: Left(c));
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
        return PartBalance.Reckon(q.Total, Paid(c), q.Goods, delivered, q.Numbers.Format.MinorDigits);
    }
}
