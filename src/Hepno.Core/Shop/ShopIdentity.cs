using Hepno.Core.Measures;

namespace Hepno.Core.Shop;

/// <summary>Who the shop is on its documents, and how it writes.</summary>
/// <param name="Name">On documents.</param>
/// <param name="Address">On documents.</param>
/// <param name="Contact">Mail or phone, on documents.</param>
/// <param name="Format">How figures are written.</param>
/// <param name="Paper">letter or a4.</param>
/// <param name="TimeZone">Zone name, for example Europe/London.</param>
public sealed record ShopIdentity(
    string Name,
    string Address,
    string Contact,
    FigureFormat Format,
    string Paper,
    string TimeZone
)
{
    /// <summary>Starting values of a new shop; each is the owner's to change.</summary>
    public static ShopIdentity Default { get; } =
        new("My shop", Address: "", "", FigureFormat.Default, "letter", TimeZone: "UTC");

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Paper is not ("letter" or "a4"))
        {
            yield return new(
                "unknown-word",
                $"\"{Paper}\" is not a paper Hepno prints on.",
                Where: "paper",
                "Use letter or a4."
            );
        }
        if (
            Format.MinorDigits is < 0 or > 3
            || Format.Sign.Length > 4
            || Format.DecimalMark.Length != 1
            || Format.GroupMark.Length > 1
            || Format.DecimalMark == Format.GroupMark
        )
        {
            yield return new(
                "format",
                "Amounts cannot be written this way.",
                Where: "format",
                "One decimal mark, at most one other mark for thousands, 0 to 3 decimals."
            );
        }
        if (!DayNames.All.ContainsKey(Format.Language))
        {
            yield return new(
                "unknown-word",
                $"\"{Format.Language}\" is not a language Hepno writes dates in.",
                Where: "format.language",
                $"Use one of {string.Join(", ", DayNames.All.Keys)}."
            );
        }
    }
}
