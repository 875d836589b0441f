using Hepno.Core.Measures;

namespace Hepno.Core.Orders;

/// <summary>What each piece has of its own at a placement.</summary>
public enum OwnText
{
    /// <summary>Nothing: the same artwork on all.</summary>
    None,

    /// <summary>A name.</summary>
    Name,

    /// <summary>A number.</summary>
    Number,

    /// <summary>A name over a number.</summary>
    NameAndNumber,
}

/// <summary>One personalised piece.</summary>
/// <param name="Size">Its size.</param>
/// <param name="Name">Its name; empty for none.</param>
/// <param name="Number">Its number as written, leading zeros kept; empty for none.</param>
public sealed record OwnPiece(string Size, string Name, string Number)
{
    /// <summary>Letters are as wide as this share of their height, their spacing with them (assumed).</summary>
    private const double LetterWidth = 0.72;

    /// <summary>Of a name over a number, the name takes this share of the height.</summary>
    private const double NameShare = 0.25;

    /// <summary>What is printed, as it is said: "FENNER 7".</summary>
    public string Says() => string.Join(' ', new[] { Name, Number }.Where(t => t.Length > 0));

    /// <summary>Most letters of a name.</summary>
    public const int LongestName = 30;

    /// <summary>Most digits of a number.</summary>
    public const int LongestNumber = 4;

    /// <summary>What of it cannot be printed, or null.</summary>
    /// <param name="row">Its row, as the owner finds it: "Row 3".</param>
    /// <param name="where">Its field.</param>
    public Problem? Problem(string row, string where)
    {
        if (Name.Length > LongestName)
        {
            return new(
                "too-long",
                $"{row}: a name of {Name.Length} letters.",
                Where: $"{where}.name",
                $"At most {LongestName}."
            );
        }
        if (Number.Length > LongestNumber || !Number.All(char.IsAsciiDigit))
        {
            return new(
                "number",
                $"{row}: \"{Number}\" is not a number to print.",
                Where: $"{where}.number",
                $"At most {LongestNumber} digits."
            );
        }
        return Says().Length == 0
            ? new(
                "bare",
                $"{row}: {Size} has neither name nor number.",
                where,
                "Give it one, or put plain pieces on a line of their own."
            )
            : null;
    }

    /// <summary>True when it has what a placement prints.</summary>
    public bool Has(OwnText own) =>
        (own is OwnText.None or OwnText.Number || Name.Length > 0)
        && (own is OwnText.None or OwnText.Name || Number.Length > 0);

    /// <summary>Width of its text in a box of a height, in, before it is pressed together to fit.</summary>
    public double WidthIn(OwnText own, double heightIn) =>
        own switch
        {
            OwnText.Name => Name.Length * LetterWidth * heightIn,
            OwnText.Number => Number.Length * LetterWidth * heightIn,
            _ => Math.Max(
                Name.Length * LetterWidth * heightIn * NameShare,
                Number.Length * LetterWidth * heightIn * (1 - NameShare)
            ),
        };
}
