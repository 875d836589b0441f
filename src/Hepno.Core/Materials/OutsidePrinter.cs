using Hepno.Core.Blanks;
using Hepno.Core.Ids;
using Hepno.Core.Measures;

namespace Hepno.Core.Materials;

/// <summary>A garment that who prints has of its own.</summary>
/// <param name="Kind">Which garment.</param>
/// <param name="Price">A blank one.</param>
public sealed record OwnBlank(GarmentKind Kind, decimal Price);

/// <summary>A screen printer that work is sent out to, with the shop's blanks (docs/trade 2).</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who prints.</param>
/// <param name="SetUpPerScreen">Once for each screen of a design.</param>
/// <param name="Prices">Price of a print, by screens, by how many pieces of the design are printed.</param>
/// <param name="LeastPieces">Fewest pieces of a design.</param>
/// <param name="SpareShare">What it may spoil without paying for it, 0 to 1: printed on top of what is wanted.</param>
/// <param name="FreightThere">Freight of an order to it.</param>
/// <param name="FreightBack">Freight of an order back.</param>
/// <param name="LeadDays">Working days from the blanks' arrival there to the pieces' arrival here.</param>
/// <param name="MostWidthIn">Widest print, in.</param>
/// <param name="MostHeightIn">Tallest print, in.</param>
public sealed record OutsidePrinter(
    ThingId Id,
    string Supplier,
    decimal SetUpPerScreen,
    IReadOnlyList<ColourPrices> Prices,
    int LeastPieces,
    double SpareShare,
    decimal FreightThere,
    decimal FreightBack,
    int LeadDays,
    double MostWidthIn,
    double MostHeightIn
) : IThing
{
    /// <summary>For a screen it still keeps; null where it asks the same again.</summary>
    public decimal? RepeatPerScreen { get; init; }

    /// <summary>Months it keeps a screen after it was last used; 0 for not at all.</summary>
    public int KeepsMonths { get; init; } = 12;

    /// <summary>Garments of its own that it prints on instead of the shop's, each with its price; none where it
    /// prints on the shop's.</summary>
    public IReadOnlyList<OwnBlank> Blanks { get; init; } = [];

    /// <summary>What it asks for a blank of its own; null where it prints on the shop's, or has none of that
    /// kind.</summary>
    public decimal? BlankOf(GarmentKind kind) => Blanks.FirstOrDefault(b => b.Kind == kind)?.Price;

    /// <summary>True where it prints on garments of its own.</summary>
    public bool HasOwnBlanks() => Blanks is { Count: > 0 };

    /// <summary>Most screens it offers.</summary>
    public int MostScreens() => Prices.Max(p => p.Colours);

    /// <summary>What the owner must put right before it can be kept.</summary>
    public IEnumerable<Problem> Problems() =>
        [
            .. Ranges.Named(
                Supplier,
                field: "supplier",
                "The printer",
                help: "Type who it is: it stands on the list of what to send."
            ),
            .. Prices.Count == 0
                ?
                [
                    new Problem(
                        "empty",
                        $"{Supplier} has no price.",
                        Where: "prices",
                        "Type what a print costs in one screen, for example 1: 24 2.10, 72 1.40."
                    ),
                ]
                : Array.Empty<Problem>(),
            .. Prices.SelectMany(
                (p, i) =>
                    Ranges
                        .Priced(p.Breaks, $"prices[{i}].breaks", what: $"{p.Colours} screens")
                        .Concat(
                            Ranges.Outside(
                                (p.Colours, 1, 12, $"prices[{i}].colours", "A number of screens", "1 to 12.")
                            )
                        )
            ),
            .. Blanks
                .Where(b => b.Price <= 0)
                .Select(b => new Problem(
                    "price",
                    $"{Supplier}: a {GarmentNouns.For(b.Kind, 1)} at {b.Price:0.00} is not above 0.",
                    Where: "blanks",
                    "Type what a blank of its own costs."
                )),
            .. Blanks
                .GroupBy(b => b.Kind)
                .Where(g => g.Count() > 1)
                .Select(g => new Problem(
                    "twice",
                    $"{Supplier}: {GarmentNouns.For(g.Key, 2)} stand twice.",
                    Where: "blanks",
                    "Keep one price."
                )),
            .. Ranges.Outside(
                ((double)SetUpPerScreen, 0, 10_000, "setUpPerScreen", "A set-up", "Type what a screen costs once."),
                (LeastPieces, 1, 10_000, "leastPieces", "A least number", "1 where it prints any number."),
                (SpareShare, 0, 0.5, "spareShare", "An allowance for spoiled ones", "2% is usual."),
                ((double)FreightThere, 0, 10_000, "freightThere", "Freight there", "0 or more."),
                ((double)FreightBack, 0, 10_000, "freightBack", "Freight back", "0 or more."),
                (
                    (double)(RepeatPerScreen ?? 0),
                    0,
                    10_000,
                    "repeatPerScreen",
                    "A repeated screen",
                    "What it asks for a screen it still has; nothing where it asks the same again."
                ),
                (KeepsMonths, 0, 120, "keepsMonths", "Months it keeps screens", "12 is usual; 0 for not at all."),
                (
                    LeadDays,
                    0,
                    120,
                    "leadDays",
                    "A number of days",
                    "Working days from the blanks there to the pieces here."
                ),
                (MostWidthIn, 1, 60, "mostWidthIn", "A width", "The widest it prints."),
                (MostHeightIn, 1, 60, "mostHeightIn", "A height", "The tallest it prints.")
            ),
        ];
}
