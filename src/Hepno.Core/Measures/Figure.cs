namespace Hepno.Core.Measures;

/// <summary>What a figure counts.</summary>
public enum FigureUnit
{
    /// <summary>The shop's currency.</summary>
    Money,

    /// <summary>Money for each hour.</summary>
    MoneyAnHour,

    /// <summary>Seconds.</summary>
    Seconds,

    /// <summary>Pieces, transfers or other things that are counted.</summary>
    Count,

    /// <summary>Inches.</summary>
    Inches,

    /// <summary>A share, 0.05 for five in a hundred.</summary>
    Share,

    /// <summary>Square inches.</summary>
    SquareInches,
}

/// <summary>A computed figure that can be opened down to its inputs: the explanation is the computation, not a text
/// beside it.</summary>
/// <param name="Code">Stable word for programs.</param>
/// <param name="Label">What it is, on screen.</param>
/// <param name="Value">The exact value, never rounded.</param>
/// <param name="Unit">What it counts.</param>
/// <param name="How">How it follows from its parts ("sum", "price × pieces"); empty for an input.</param>
/// <param name="Source">For an input: where it comes from ("Numbers: wage"); empty for a computed figure.</param>
/// <param name="Parts">What it is made of; empty for an input, and for a figure that only names one standing beside it
/// (no parts and no source: open that one by its code).</param>
public sealed record Figure(
    string Code,
    string Label,
    decimal Value,
    FigureUnit Unit,
    string How,
    string Source,
    IReadOnlyList<Figure> Parts
)
{
    /// <summary>An input with its source.</summary>
    public static Figure Input(string code, string label, decimal value, FigureUnit unit, string source) =>
        new(code, label, value, unit, "", source, []);

    /// <summary>An input given as a physical quantity.</summary>
    public static Figure Input(string code, string label, double value, FigureUnit unit, string source) =>
        Input(code, label, (decimal)value, unit, source);

    /// <summary>An input given as a whole number.</summary>
    public static Figure Input(string code, string label, int value, FigureUnit unit, string source) =>
        Input(code, label, (decimal)value, unit, source);

    /// <summary>Money that is the sum of its parts.</summary>
    public static Figure Sum(string code, string label, params IReadOnlyList<Figure> parts) =>
        new(code, label, parts.Sum(p => p.Value), FigureUnit.Money, "sum", Source: "", parts);

    /// <summary>Money that follows from its parts by the rule said in <paramref name="how"/>.</summary>
    public static Figure Of(string code, string label, decimal value, string how, params IReadOnlyList<Figure> parts) =>
        new(code, label, value, FigureUnit.Money, how, "", parts);

    /// <summary>The figure as named inside another one when it is opened where it stands itself: without its parts and
    /// without a source.</summary>
    public Figure Named() => this with { Parts = [], Source = "" };

    /// <summary>Money for seconds at a rate an hour.</summary>
    public static Figure Time(
        string code,
        string label,
        double seconds,
        string timeSource,
        decimal rate,
        string rateSource
    ) =>
        Of(
            code,
            label,
            Money.Times(seconds / 3600, rate),
            "time × rate",
            Input("time", "time", seconds, FigureUnit.Seconds, timeSource),
            Input("rate", "rate", rate, FigureUnit.MoneyAnHour, rateSource)
        );
}
