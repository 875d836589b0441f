using Hepno.Core.Blanks;
using Hepno.Core.Ids;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

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
) : IThing, IKept<OutsidePrinter>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<OutsidePrinter> Described { get; } =
        new("outside-printer", noun: "outside-printers", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new(
                "printer",
                Many: "Screen printers, sent out to",
                Add: "Add a printer",
                "No screen printer: add one to see from which quantity on sending out costs less."
            ),
            Fields = new FieldList<OutsidePrinter>()
                .Named(x => x.Supplier, "Who prints", help: "Type who it is: it stands on the list of what to send.")
                .Money(
                    x => x.SetUpPerScreen,
                    "A screen, once",
                    Unit.None,
                    (0, 10_000),
                    "Type what a screen costs once.",
                    priceOf: "a screen"
                )
                .Money(
                    x => x.RepeatPerScreen,
                    "A screen it still keeps",
                    Unit.None,
                    (0, 10_000),
                    "What it asks for a screen it still has; nothing where it asks the same again.",
                    priceOf: "a screen again",
                    mayBeEmpty: true
                )
                .Number(
                    x => x.KeepsMonths,
                    "Months it keeps screens",
                    Unit.None,
                    12,
                    (0, 120),
                    "12 is usual; 0 for not at all."
                )
                .Number(
                    x => x.LeastPieces,
                    "Fewest pieces of a design",
                    Unit.None,
                    24,
                    (1, 10_000),
                    "1 where it prints any number."
                )
                .Number(x => x.SpareShare, "May spoil", Unit.Share, 0.02, (0, 0.5), "2% is usual.")
                .Money(x => x.FreightThere, "Freight there", Unit.None, (0, 10_000), "0 or more.")
                .Money(x => x.FreightBack, "Freight back", Unit.None, (0, 10_000), "0 or more.")
                .Number(
                    x => x.LeadDays,
                    "Working days, from the blanks there",
                    Unit.None,
                    7,
                    (0, 120),
                    "Working days from the blanks there to the pieces here."
                )
                .Number(x => x.MostWidthIn, "Widest print", Unit.In, 14, (1, 60), "The widest it prints.")
                .Number(x => x.MostHeightIn, "Tallest print", Unit.In, 16, (1, 60), "The tallest it prints.")
                .Rows(
                    x => x.Prices,
                    "Prices of a print, a line for each number of screens: 2: 24 2.90, 72 1.80",
                    new RowForm(
                        [
                            new("colours", FieldShape.Number),
                            new("breaks", FieldShape.Rows) { Rows = RowForm.PriceBreaks },
                        ],
                        "2: 24 2.90, 72 1.80"
                    )
                    {
                        CellBreak = ": ",
                    },
                    lines: 5
                )
                .Rows(
                    x => x.Blanks,
                    "Prints on garments of its own, a line each: Tee 3.60. Leave it empty where it prints on ours",
                    new RowForm(
                        [
                            new("kind", FieldShape.Choice) { Options = GarmentNouns.Options },
                            new("price", FieldShape.Number),
                        ],
                        "Tee 3.60"
                    )
                    {
                        CellBreak = " ",
                    },
                    lines: 2
                ),
            Rules = x => x.InRows(),
            AtPrices = (x, levels) =>
                x with
                {
                    SetUpPerScreen = x.SetUpPerScreen * levels.SentOut,
                    RepeatPerScreen = x.RepeatPerScreen * levels.SentOut,
                    Blanks = [.. x.Blanks.Select(b => b with { Price = b.Price * levels.SentOut })],
                    Prices = [.. x.Prices.Select(p => p.Times(levels.SentOut))],
                    FreightThere = x.FreightThere * levels.SentOut,
                    FreightBack = x.FreightBack * levels.SentOut,
                },
            Order = ListedBy.Text<OutsidePrinter>(x => x.Supplier),
            FurtherPrices = x =>
                [
                    .. x.Blanks.Select(b => ($"its {GarmentNouns.For(b.Kind, 1)}", b.Price)),
                    .. x.Prices.SelectMany(c => c.Breaks.Select(b => ($"in {c.Colours} from {b.From}", b.Price))),
                ],
        };

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

    /// <inheritdoc cref="ThingKind{T}.Problems"/>
    public IEnumerable<Problem> Problems() => Described.Problems(this);

    /// <summary>What is wrong in its rows.</summary>
    private IEnumerable<Problem> InRows() =>
        [
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
        ];
}
