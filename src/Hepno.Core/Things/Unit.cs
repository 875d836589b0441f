namespace Hepno.Core.Things;

/// <summary>What a number of a thing is in.</summary>
/// <param name="Word">As it is read after the name of what is measured; empty where the name says it.</param>
/// <param name="ShownTimes">Shown as so many times what is kept.</param>
public sealed record Unit(string Word, double ShownTimes = 1)
{
    /// <summary>A number of things, or a price its name says all of.</summary>
    public static Unit None { get; } = new("");

    /// <summary>Inches.</summary>
    public static Unit In { get; } = new("in");

    /// <summary>Square inches a minute.</summary>
    public static Unit In2PerMinute { get; } = new("in² a minute");

    /// <summary>Degrees, °F.</summary>
    public static Unit F { get; } = new("°F");

    /// <summary>Seconds.</summary>
    public static Unit Seconds { get; } = new("s");

    /// <summary>A share, kept as 0 to 1 and shown in percent.</summary>
    public static Unit Share { get; } = new("%", ShownTimes: 100);

    /// <summary>Of a hundred.</summary>
    public static Unit Percent { get; } = new("%");

    /// <summary>Grams a square metre.</summary>
    public static Unit Gsm { get; } = new("g/m²");

    /// <summary>Kilowatts.</summary>
    public static Unit Kw { get; } = new("kW");

    /// <summary>Millilitres a painted square inch.</summary>
    public static Unit MlPerIn2 { get; } = new("ml an in²");

    /// <summary>Grams a painted square inch.</summary>
    public static Unit GPerIn2 { get; } = new("g an in²");

    /// <summary>Money for something.</summary>
    /// <param name="what">For what: "a ml".</param>
    public static Unit MoneyFor(string what) => new(what);
}
