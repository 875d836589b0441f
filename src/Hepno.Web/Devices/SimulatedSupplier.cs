using Hepno.Core.Measures;
using Hepno.Formats;
using NodaTime;

namespace Hepno.Web.Devices;

/// <summary>Pieces a supplier has of a colour and size.</summary>
internal sealed record SupplierStock(string Style, string Colour, string Size, int Pieces);

/// <summary>What a supplier's feed says on a day.</summary>
/// <param name="Supplier">Whose.</param>
/// <param name="Simulated">Always true: it ships with the program and stands in for a real one.</param>
/// <param name="AsOf">The day.</param>
/// <param name="Table">Its catalogue, a table of styles under the supplier's own column names.</param>
/// <param name="Stock">What it has, by colour and size; 0 is out of stock.</param>
internal sealed record SupplierFeed(
    string Supplier,
    bool Simulated,
    LocalDate AsOf,
    string Table,
    IReadOnlyList<SupplierStock> Stock
);

/// <summary>A made-up wholesaler with a catalogue, prices that change on Mondays, and sizes that run out: a stand-in
/// for a real feed. What it says follows from the day alone.</summary>
internal static class SimulatedSupplier
{
    /// <summary>Its name.</summary>
    public const string Name = "Sandling Wholesale";

    private static readonly string[] Head =
    [
        "Style",
        "Brand",
        "Type",
        "Composition",
        "GSM",
        "Max heat F",
        "Net price",
        "Carriage",
        "Lead time",
        "Colors",
        "Size range",
        "Price breaks",
        "Carriage paid",
        "Pack",
    ];

    private static readonly Model[] Models =
    [
        new(
            "Hollin 150",
            "tee",
            "55 cotton; 45 polyester",
            150,
            Heat: 330,
            3.10m,
            "Navy #2b3b5e dark; White #fcfaf5 white; Sage #a9b69d mid",
            Sizes: "XS; S; M; L; XL; 2XL +1.60; 3XL +2.90",
            "72: 2.85; over 400: 2.70"
        ),
        new(
            "Brae 180",
            "tee",
            "100 cotton",
            180,
            Heat: 380,
            4.35m,
            "Black #22252b dark; Sand #d6c59b pale",
            Sizes: "S; M; L; XL; 2XL +1.70",
            "72: 4.05"
        ),
        new(
            "Loft 240",
            "sweatshirt",
            "70 cotton; 30 polyester",
            240,
            Heat: 340,
            9.20m,
            "Oat #dfd3bb pale; Ink #22293a dark",
            Sizes: "S; M; L; XL; 2XL +2.10",
            ""
        ),
        new(
            "Sound 210",
            "long-sleeve",
            "100 cotton",
            210,
            Heat: 370,
            6.80m,
            "Chalk #f3efe4 white; Slate #4a5b68 dark",
            Sizes: "S; M; L; XL",
            "36: 6.40"
        ),
        new(
            "Tiller 320",
            "zip-hoodie",
            "80 cotton; 20 polyester",
            320,
            Heat: 340,
            16.90m,
            "Ink #22293a dark",
            Sizes: "S; M; L; XL; 2XL +2.40",
            ""
        ),
        new(
            "Spray 130",
            "tank",
            "60 cotton; 40 polyester",
            130,
            Heat: 330,
            3.90m,
            "White #fcfaf5 white; Coral #e08e79 mid",
            Sizes: "XS; S; M; L",
            "48: 3.60"
        ),
        new(
            "Buoy bodysuit",
            "bodysuit",
            "100 cotton",
            190,
            Heat: 360,
            4.60m,
            "White #fcfaf5 white",
            Sizes: "3-6M; 6M; 12M; 18M",
            "24: 4.20"
        ),
        new(
            "Ferry polo",
            "polo",
            "50 cotton; 50 polyester",
            200,
            Heat: 330,
            8.10m,
            "Navy #2b3b5e dark; White #fcfaf5 white",
            Sizes: "S; M; L; XL; 2XL +2.00",
            ""
        ),
    ];

    /// <summary>What the feed says on a day.</summary>
    public static SupplierFeed On(LocalDate day) =>
        new(
            Name,
            true,
            day,
            CsvTable.Write(
                Head,
                Models.Select(m =>
                    new[]
                    {
                        m.Name,
                        Name,
                        m.Kind,
                        m.Cloth,
                        CsvCells.Say(m.Gsm),
                        CsvCells.Say(m.Heat),
                        CsvCells.Say(PriceOn(m, day)),
                        "8.5",
                        "2",
                        m.Colours,
                        m.Sizes,
                        m.Tiers,
                        "350",
                        "1",
                    }
                )
            ),
            [
                .. Models.SelectMany(m =>
                    Each(m.Colours)
                        .SelectMany(c =>
                            Each(m.Sizes)
                                .Select(z => new SupplierStock(m.Name, Colour: c, z, StockOn(m.Name, c, z, day)))
                        )
                ),
            ]
        );

    /// <summary>What it has of a colour and size; null when it does not sell it.</summary>
    public static int? StockOf(string style, string colour, string size, LocalDate day) =>
        Models.FirstOrDefault(m => m.Name.Equals(style, StringComparison.OrdinalIgnoreCase)) is { } m
        && Each(m.Colours).Contains(colour)
        && Each(m.Sizes).Contains(size)
            ? StockOn(m.Name, colour, size, day)
            : null;

    // a price moves by up to six in a hundred, anew each Monday
    private static decimal PriceOn(Model m, LocalDate day) =>
        decimal.Round(m.Price * (100 + (Dice.Seed($"{m.Name} {day.Monday():yyyy-MM-dd}") % 13) - 6) / 100, 2);

    // one in nine is out
    private static int StockOn(string style, string colour, string size, LocalDate day) =>
        Dice.Seed($"{style} {colour} {size} {day:yyyy-MM-dd}") is var n && n % 9 == 0 ? 0 : 12 + (n % 240);

    private static IEnumerable<string> Each(string list) =>
        list.Split(';', StringSplitOptions.TrimEntries).Select(x => x.Split(" #")[0].Split(" +")[0]);

    private sealed record Model(
        string Name,
        string Kind,
        string Cloth,
        int Gsm,
        int Heat,
        decimal Price,
        string Colours,
        string Sizes,
        string Tiers
    );
}
