using Hepno.Core.Ids;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Methods;

/// <summary>What a service asks for a design of up to so many stitches.</summary>
/// <param name="MostStitches">The most stitches the price is for.</param>
/// <param name="Price">Money, once for the design.</param>
public sealed record DigitisingPrice(int MostStitches, decimal Price);

/// <summary>A service that turns designs into stitch files, for prices by stitches; caps, whose files are stitched from
/// the middle out, for prices of their own.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Supplier">Who does it.</param>
/// <param name="Flat">Prices of designs for flat cloth, fewest stitches first.</param>
/// <param name="Caps">Prices of designs for caps, fewest stitches first; none where it takes no caps.</param>
public sealed record DigitisingService(
    ThingId Id,
    string Supplier,
    IReadOnlyList<DigitisingPrice> Flat,
    IReadOnlyList<DigitisingPrice> Caps
) : IThing, IKept<DigitisingService>
{
    private const int MostStitches = 1_000_000;

    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<DigitisingService> Described { get; } =
        new("digitising-service", noun: "digitising-services", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Area = ThingArea.Shelf,
            Words = new(
                "digitising service",
                Many: "Digitising services",
                Add: "Add a digitising service",
                "No digitising service: a design costs what its embroidery machine says."
            ),
            Fields = new FieldList<DigitisingService>()
                .Named(x => x.Supplier, "Who digitises", help: "It stands beside the price of every design.")
                .Rows(x => x.Flat, "A design for flat cloth, a line each: up to stitches price", Form, lines: 4)
                .Rows(x => x.Caps, "A design for caps, a line each: up to stitches price", Form, lines: 4),
            Rules = x => x.InRows(),
            Settled = x => x with { Flat = Ascending(x.Flat), Caps = Ascending(x.Caps) },
            AtPrices = (x, levels) =>
                x with
                {
                    Flat = Times(x.Flat, levels.SentOut),
                    Caps = Times(x.Caps, levels.SentOut),
                },
            Order = ListedBy.Text<DigitisingService>(x => x.Supplier),
            FurtherPrices = x =>
                x.Flat.Select(p => (UpTo(p), p.Price)).Concat(x.Caps.Select(p => ($"caps, {UpTo(p)}", p.Price))),
        };

    /// <summary>What a design costs: by the service that asks the least for so many stitches. One that is beyond every
    /// list costs as the dearest of them, never less than the shop's own price; where no service takes its cloth, the
    /// shop's own price.</summary>
    /// <param name="services">The shop's services.</param>
    /// <param name="stitches">Stitches of the design.</param>
    /// <param name="isForCaps">True for a design on a cap.</param>
    /// <param name="own">What it costs without a service, and where that stands.</param>
    /// <param name="f">How figures are written.</param>
    public static (decimal Price, string Source) Asked(
        IReadOnlyList<DigitisingService> services,
        double stitches,
        bool isForCaps,
        (decimal Price, string Source) own,
        FigureFormat f
    )
    {
        var rows = services
            .SelectMany(s => (isForCaps ? s.Caps : s.Flat).Select(row => (s.Supplier, Row: row)))
            .OrderBy(r => r.Row.Price)
            .ToList();
        if (rows.Count == 0)
        {
            return own;
        }
        string Said(string supplier, DigitisingPrice row) =>
            $"Shelf: {supplier}, up to {Shown.Number(row.MostStitches, 0, f)} stitches";
        if (rows.Where(r => r.Row.MostStitches >= stitches).ToList() is [var (supplier, row), ..])
        {
            return (row.Price, Said(supplier, row));
        }
        var (dearest, last) = rows[^1];
        return last.Price >= own.Price ? (last.Price, $"{Said(dearest, last)}; this is more: ask for its price") : own;
    }

    private static RowForm Form =>
        new([new("mostStitches", FieldShape.Number), new("price", FieldShape.Number)], "8000 15") { CellBreak = " " };

    private static string UpTo(DigitisingPrice p) => $"up to {p.MostStitches:#,0} stitches";

    private static IReadOnlyList<DigitisingPrice> Ascending(IReadOnlyList<DigitisingPrice> prices) =>
        [.. prices.OrderBy(p => p.MostStitches)];

    private static IReadOnlyList<DigitisingPrice> Times(IReadOnlyList<DigitisingPrice> prices, decimal factor) =>
        [.. prices.Select(p => p with { Price = p.Price * factor })];

    private IEnumerable<Problem> InRows() =>
        Flat.Count + Caps.Count == 0
            ?
            [
                new(
                    "empty",
                    $"{Supplier} has no price.",
                    Where: "flat",
                    "Type up to how many stitches a design costs how much: 8000 15."
                ),
            ]
            : InRows(Flat, "flat").Concat(InRows(Caps, "caps"));

    private static IEnumerable<Problem> InRows(IReadOnlyList<DigitisingPrice> prices, string field)
    {
        foreach (var (p, i) in prices.Select((p, i) => (p, i)))
        {
            if (prices.Take(i).Any(other => other.MostStitches == p.MostStitches))
            {
                yield return new(
                    "twice",
                    $"Two prices for {UpTo(p)}.",
                    Where: $"{field}[{i}].mostStitches",
                    "Leave one of them out."
                );
            }
            foreach (
                var problem in Ranges.Outside(
                    (p.MostStitches, 1, MostStitches, $"{field}[{i}].mostStitches", "A design", "Count its stitches."),
                    ((double)p.Price, 0, 2000, $"{field}[{i}].price", "A price", "Money once for a design.")
                )
            )
            {
                yield return problem;
            }
        }
    }
}
