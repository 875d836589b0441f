using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>What several kinds of things are looked at for before they are kept.</summary>
internal static class Ranges
{
    /// <summary>Values that are no number or lie outside their range.</summary>
    /// <param name="values">Each with its least and most, its field, what it is, and what to do.</param>
    public static IEnumerable<Problem> Outside(
        params IReadOnlyList<(double Value, double Least, double Most, string Field, string What, string Help)> values
    ) =>
        values
            .Where(v => !(v.Value >= v.Least && v.Value <= v.Most))
            .Select(v => new Problem(
                "range",
                $"{v.What} of {v.Value:0.####} is outside {v.Least:0.##} to {v.Most:#,0.##}.",
                Where: v.Field,
                v.Help
            ));

    /// <summary>A thing without a name.</summary>
    public static IEnumerable<Problem> Named(string name, string field, string what, string help)
    {
        if (string.IsNullOrWhiteSpace(name))
        {
            yield return new("empty", $"{what} has no name.", Where: field, help);
        }
    }

    /// <summary>Breaks without a price above 0 from 1 on.</summary>
    public static IEnumerable<Problem> Priced(IReadOnlyList<PriceBreak> breaks, string field, string what)
    {
        if (breaks.Count == 0 || breaks.Any(b => b.Price <= 0 || b.From < 1))
        {
            yield return new(
                "price",
                $"{what} has a price that is not above 0.",
                Where: field,
                "Type the price of one, from 1 on."
            );
        }
    }
}
