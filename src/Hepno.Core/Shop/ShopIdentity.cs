using Hepno.Core.Measures;
using Hepno.Core.Things;

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

    /// <summary>Its fields, in the order of its form.</summary>
    public static FieldList<ShopIdentity> Fields { get; } =
        new FieldList<ShopIdentity>()
            .Text(x => x.Name, "Shop")
            .Text(x => x.Address, "Address, on documents")
            .Text(x => x.Contact, "Mail or phone")
            .Choice(x => x.Paper, "Paper", [new("letter", Label: "US Letter"), new("a4", Label: "A4")], Default.Paper)
            .Text(x => x.TimeZone, "Time zone")
            .Part(x => x.Format, Writing(), FigureFormat.Default);

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

    private static FieldList<FigureFormat> Writing() =>
        new FieldList<FigureFormat>()
            .Text(x => x.Sign, "Currency sign")
            .Flag(x => x.SignAfter, "Sign stands", false, "after", no: "before")
            .Choice(
                x => x.DecimalMark,
                "Decimal mark",
                [new(".", Label: "point"), new(",", Label: "comma")],
                FigureFormat.Default.DecimalMark
            )
            .Choice(
                x => x.GroupMark,
                "Thousands mark",
                [new(",", Label: "comma"), new(".", Label: "point"), new(" ", Label: "space"), new("", Label: "none")],
                FigureFormat.Default.GroupMark
            )
            .Number(x => x.MinorDigits, "Decimals", Unit.None, 2, (0, 3), "2 is usual, 0 where there are no cents.")
            .Choice(
                x => x.Language,
                "Days and months in",
                [.. DayNames.All.Select(n => new FieldOption(n.Key, Label: n.Value.Name))],
                DayNames.English
            )
            .Flag(x => x.DayFirst, "Dates", true, "12 Jun", no: "Jun 12")
            .Flag(x => x.TwelveHours, "Hours", false, "2:00 pm", no: "14:00")
            .Flag(x => x.Metric, "Lengths", false, "centimetres", no: "inches")
            .Flag(x => x.Celsius, "Temperatures", false, "°C", no: "°F");
}
