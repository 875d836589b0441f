namespace Hepno.Core.Measures;

/// <summary>Exact conversions. The core computes in inches, seconds and degrees Fahrenheit.</summary>
public static class Units
{
    /// <summary>Centimetres in an inch, by definition.</summary>
    public const double CmPerInch = 2.54;

    /// <summary>Millimetres in an inch, by definition.</summary>
    public const double MmPerInch = 25.4;

    /// <summary>Inches in a foot.</summary>
    public const double InchesPerFoot = 12;

    /// <summary>Degrees Fahrenheit as degrees Celsius.</summary>
    public static double FahrenheitToCelsius(double fahrenheit) => (fahrenheit - 32) * 5 / 9;

    /// <summary>Degrees Celsius as degrees Fahrenheit.</summary>
    public static double CelsiusToFahrenheit(double celsius) => celsius * 9 / 5 + 32;
}
