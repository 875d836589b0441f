using Hepno.Core.Measures;

namespace Hepno.Core.Sending;

/// <summary>What is paid with a part delivery, and what with the rest.</summary>
/// <param name="Now">To take with this part.</param>
/// <param name="Later">Left for the rest.</param>
public sealed record PartBalance(decimal Now, decimal Later)
{
    /// <summary>The deposit is used on the first part; all parts together come to the total, to the cent.</summary>
    /// <param name="total">Total of the order, tax and postage included.</param>
    /// <param name="paid">Deposit and what was taken with earlier parts.</param>
    /// <param name="goods">Goods of the whole order.</param>
    /// <param name="delivered">Goods of everything delivered once this part is, 0 to <paramref name="goods"/>.</param>
    /// <param name="minorDigits">Decimals of the currency.</param>
    public static PartBalance Reckon(decimal total, decimal paid, decimal goods, decimal delivered, int minorDigits)
    {
        var due = delivered >= goods || goods == 0 ? total : Money.Charged(total * delivered / goods, minorDigits);
        var now = Math.Max(0, due - paid);
        return new(now, total - Math.Max(paid, due));
    }
}
