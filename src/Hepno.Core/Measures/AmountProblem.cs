namespace Hepno.Core.Measures;

/// <summary>The sentences of settings that are amounts or shares outside what can be kept.</summary>
public static class AmountProblem
{
    /// <summary>Amounts of money outside 0 to 100,000.</summary>
    /// <param name="settings">Each with its field and how a sentence begins with it.</param>
    public static IEnumerable<Problem> In(params (decimal Value, string Field, string What)[] settings) =>
        settings
            .Where(s => s.Value is < 0 or > 100_000)
            .Select(s => new Problem(
                "range",
                $"{s.What} of {s.Value:0.00} is outside 0 to 100,000.",
                Where: s.Field,
                "Type 0 or more."
            ));

    /// <summary>Shares outside 0 to 1.</summary>
    /// <param name="settings">Each with its field and how a sentence begins with it.</param>
    public static IEnumerable<Problem> InShares(params (Share Value, string Field, string What)[] settings) =>
        settings
            .Where(s => s.Value.Part is < 0 or > 1)
            .Select(s => new Problem(
                "range",
                $"{s.What} of {s.Value.Percent:0.##}% is outside 0 to 100%.",
                Where: s.Field,
                "Type a share between 0 and 100%."
            ));
}
