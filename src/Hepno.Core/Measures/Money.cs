namespace Hepno.Core.Measures;

/// <summary>The only doors between physical quantities (<see cref="double"/>) and money (<see cref="decimal"/>), and
/// the only roundings of money.</summary>
public static class Money
{
    private const double Limit = 1e12;

    /// <summary>A physical quantity times a price per unit of it; never rounded.</summary>
    /// <param name="quantity">Hours, inches, pieces and so on.</param>
    /// <param name="price">Money per one of them.</param>
    /// <exception cref="ArgumentOutOfRangeException">The quantity is not a number, infinite or beyond 1e12.</exception>
    public static decimal Times(double quantity, decimal price)
    {
        if (!double.IsFinite(quantity) || Math.Abs(quantity) > Limit)
        {
            throw new ArgumentOutOfRangeException(
                nameof(quantity),
                quantity,
                "Not a quantity that money can be multiplied by."
            );
        }
        return (decimal)quantity * price;
    }

    /// <summary>What is charged: rounded to the currency's minor unit, half away from zero.</summary>
    public static decimal Charged(decimal amount, int minorDigits) =>
        Math.Round(amount, minorDigits, MidpointRounding.AwayFromZero);

    /// <summary>Rounds a price up to the shop's step (0.25 makes 14.81 into 15.00).</summary>
    /// <param name="price">Any price, 0 or more.</param>
    /// <param name="step">The step; 0 or less leaves the price as it is.</param>
    public static decimal UpTo(decimal price, decimal step) => step <= 0 ? price : Math.Ceiling(price / step) * step;

    /// <summary>Rounds parts for show so that they add up to their rounded total (largest remainder).</summary>
    /// <param name="parts">Exact parts.</param>
    /// <param name="digits">Decimals to show.</param>
    /// <returns>As many rounded parts, in the same order, whose sum is the exact total rounded once.</returns>
    public static IReadOnlyList<decimal> Shown(IReadOnlyList<decimal> parts, int digits)
    {
        var unit = 1m;
        for (var i = 0; i < digits; i++)
        {
            unit /= 10;
        }
        var total = Charged(parts.Sum(), digits);
        var floors = parts.Select(p => Math.Floor(p / unit) * unit).ToArray();
        var missing = (int)((total - floors.Sum()) / unit);
        var byRemainder = Enumerable.Range(0, parts.Count).OrderByDescending(i => parts[i] - floors[i]).ThenBy(i => i);
        foreach (var i in byRemainder.Take(missing))
        {
            floors[i] += unit;
        }
        return floors;
    }
}
