using System.Globalization;

namespace Hepno.Core.Measures;

/// <summary>A part of a whole, 0.25 for a quarter.</summary>
/// <remarks>Money times a share is money; neither is taken where the other is wanted.</remarks>
/// <param name="Part">Of 1.</param>
public readonly record struct Share(decimal Part) : IFormattable
{
    /// <summary>In hundredths: 25 for a quarter.</summary>
    public decimal Percent => Part * 100;

    /// <summary>What is left of the whole, of 1.</summary>
    public decimal Rest => 1 - Part;

    /// <summary>The whole with it on top, of 1.</summary>
    public decimal OnTop => 1 + Part;

    /// <summary>Two parts of one whole.</summary>
    public static Share operator +(Share one, Share other) => new(one.Part + other.Part);

    /// <summary>So much of an amount.</summary>
    public static decimal operator *(Share share, decimal amount) => share.Part * amount;

    /// <summary>So much of an amount.</summary>
    public static decimal operator *(decimal amount, Share share) => amount * share.Part;

    /// <summary>Written as its part is: <c>0%</c> makes it 25%.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) => Part.ToString(format, formatProvider);

    /// <inheritdoc/>
    public override string ToString() => ToString(null, CultureInfo.InvariantCulture);
}
