using System.Text.RegularExpressions;

namespace Hepno.Core.Blanks;

/// <summary>Sizes that take the same print.</summary>
public enum SizeGroup
{
    /// <summary>Months: newborn to 24M.</summary>
    Infant,

    /// <summary>2T to 6T.</summary>
    Toddler,

    /// <summary>YXS to YXL.</summary>
    Youth,

    /// <summary>XS to M, and every size whose name says nothing else.</summary>
    Small,

    /// <summary>L and XL.</summary>
    Large,

    /// <summary>2XL and up.</summary>
    Extended,

    /// <summary>Made in one size.</summary>
    One,
}

/// <summary>Tells a size's group by its name.</summary>
public static partial class SizeGroups
{
    /// <summary>The group a size belongs to, by the way the trade writes sizes: 18M, 3T, YL, M, XL, 3XL.</summary>
    public static SizeGroup Of(string size) =>
        size switch
        {
            // as sizes are nearly always written: every print of every quantity asks for them
            "XS" or "S" or "M" => SizeGroup.Small,
            "L" or "XL" => SizeGroup.Large,
            "2XL" or "3XL" or "4XL" or "5XL" => SizeGroup.Extended,
            "YXS" or "YS" or "YM" or "YL" or "YXL" => SizeGroup.Youth,
            _ => Read(Bare(size)),
        };

    private static SizeGroup Read(string name)
    {
        return name switch
        {
            "ONE SIZE" => SizeGroup.One,
            "L" or "XL" => SizeGroup.Large,
            _ when Months().IsMatch(name) => SizeGroup.Infant,
            _ when Toddlers().IsMatch(name) => SizeGroup.Toddler,
            _ when Youths().IsMatch(name) => SizeGroup.Youth,
            _ when Extended().IsMatch(name) => SizeGroup.Extended,
            _ => SizeGroup.Small,
        };
    }

    /// <summary>A size's name as it is compared: "Youth M" is YM.</summary>
    internal static string Bare(string size) =>
        size.Trim().ToUpperInvariant().Replace("YOUTH ", "Y", StringComparison.Ordinal);

    [GeneratedRegex("^(NB|(\\d{1,2}-)?\\d{1,2}M)$")]
    private static partial Regex Months();

    [GeneratedRegex("^[2-6]T$")]
    private static partial Regex Toddlers();

    [GeneratedRegex("^Y(XS|S|M|L|XL)$")]
    private static partial Regex Youths();

    [GeneratedRegex("^[2-9]XL$")]
    private static partial Regex Extended();
}
