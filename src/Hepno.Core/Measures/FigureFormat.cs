namespace Hepno.Core.Measures;

/// <summary>How the shop writes its figures. Data, not a culture: the owner sets every part.</summary>
/// <param name="Sign">Currency sign, up to 4 letters.</param>
/// <param name="SignAfter">True to write the sign after the amount.</param>
/// <param name="DecimalMark">Between units and minor units.</param>
/// <param name="GroupMark">Between thousands.</param>
/// <param name="MinorDigits">Decimals of the currency, 0 to 3.</param>
/// <param name="DayFirst">True for 12 Jun, false for Jun 12.</param>
/// <param name="TwelveHours">True for 2:00 pm, false for 14:00.</param>
/// <param name="Metric">True for cm, false for inches.</param>
/// <param name="Celsius">True for °C first, false for °F first.</param>
public sealed record FigureFormat(
    string Sign,
    bool SignAfter,
    string DecimalMark,
    string GroupMark,
    int MinorDigits,
    bool DayFirst,
    bool TwelveHours,
    bool Metric,
    bool Celsius
)
{
    /// <summary>Code of the language of day and month names, a key of <see cref="DayNames.All"/>.</summary>
    public string Language { get; init; } = DayNames.English;

    /// <summary>The starting values of a new shop.</summary>
    public static FigureFormat Default { get; } =
        new("$", false, ".", GroupMark: ",", 2, true, TwelveHours: false, false, Celsius: false);
}
