using Hepno.Formats;
using Hepno.Web.Wire;

namespace Hepno.Web.Deeds;

/// <summary>A column of a table that is brought in.</summary>
/// <param name="Name">Hepno's name for it.</param>
/// <param name="Needed">True when a table must have it.</param>
/// <param name="Theirs">The file's own column taken for it, or null.</param>
internal sealed record CsvColumn(string Name, bool Needed, string? Theirs);

/// <summary>The columns of each table, and what other programs and suppliers call them.</summary>
internal static class CsvColumns
{
    public static readonly string[] Customers = ["id", "name", "contact", "address"];
    public static readonly string[] Vinyls =
    [
        "id",
        "supplier",
        "product",
        "width_in",
        "price_foot",
        "margin_in",
        "freight",
        "days",
    ];
    public static readonly string[] Styles =
    [
        "id",
        "name",
        "supplier",
        "garment",
        "fabric",
        "weight_gsm",
        "heat_ceiling_f",
        "price",
        "freight",
        "days",
        "colours",
        "sizes",
    ];
    public static readonly string[] OfCloth = ["thickness", "migration", "features", "origin"];
    public static readonly string[] OfBuying =
    [
        "tiers",
        "free_freight",
        "pack_of",
        "cut_off",
        "code_price",
        "code_until",
    ];

    // the last of them came later: a table written before it keeps its columns where they were
    public static readonly string[] StylesToo = [.. OfCloth[..^1], .. OfBuying, OfCloth[^1]];

    private static readonly Dictionary<string, string[]> Synonyms = new()
    {
        ["name"] = ["style", "model", "title", "item", "customer", "customer_name", "full_name"],
        ["supplier"] = ["vendor", "brand", "maker", "source"],
        ["product"] = ["item", "name", "article"],
        ["contact"] = ["email", "e-mail", "phone", "telephone"],
        ["address"] = ["street", "postal_address"],
        ["garment"] = ["type", "kind", "category"],
        ["fabric"] = ["material", "composition", "fibre", "fiber", "content"],
        ["weight_gsm"] = ["weight", "gsm", "g/m2", "g/m²", "grams"],
        ["heat_ceiling_f"] = ["max_temp", "heat_ceiling", "max_heat_f", "max_temperature"],
        ["price"] = ["net_price", "net", "unit_price", "cost", "list_price", "wholesale", "each", "your_price"],
        ["price_foot"] = ["price_per_foot", "per_foot", "price"],
        ["freight"] = ["shipping", "delivery", "postage", "carriage"],
        ["days"] = ["lead_days", "lead_time", "delivery_days", "working_days"],
        ["colours"] = ["colors", "colour", "color", "shades"],
        ["sizes"] = ["size_range", "size_run"],
        ["width_in"] = ["width", "usable_width"],
        ["height_in"] = ["height", "length"],
        ["margin_in"] = ["margin", "weeding_margin"],
        ["from"] = ["quantity", "qty", "min_qty", "from_qty", "break"],
        ["size"] = ["size_class", "sheet"],
        ["origin"] = ["made_in", "country_of_origin"],
        ["tiers"] = ["price_breaks", "quantity_prices"],
        ["free_freight"] = ["free_shipping_from", "carriage_paid"],
        ["pack_of"] = ["pack", "pack_size", "case"],
    };

    /// <summary>The columns of a kind; those that may be left out come last.</summary>
    public static (IReadOnlyList<string> Needed, IReadOnlyList<string> Optional) For(string kind) =>
        kind switch
        {
            "customers" => (["name"], [.. Customers.Where(x => x != "name")]),
            "styles" => (Styles[1..], ["id", .. StylesToo]),
            "materials" => (Vinyls[1..], ["id"]),
            "prices" => (CsvPrices.FilmColumns[1..], ["id"]),
            "screens" => (CsvPrices.ScreenColumns[1..], ["id"]),
            _ => throw RefusedException.NoSuch("table", id: kind),
        };

    /// <summary>Which of the file's columns stands for each of a kind's: as said, else the same name, else a word
    /// others use for it. No column of the file stands for two.</summary>
    /// <param name="kind">Which table.</param>
    /// <param name="head">The file's columns.</param>
    /// <param name="said">What the owner said: Hepno's name to the file's; an empty one means none.</param>
    public static IReadOnlyList<CsvColumn> Match(
        string kind,
        IReadOnlyList<string> head,
        IReadOnlyDictionary<string, string> said
    )
    {
        var (needed, optional) = For(kind);
        var left = head.Where(h => !said.Values.Any(v => CsvTable.Key(v) == CsvTable.Key(h))).ToList();
        var found = new Dictionary<string, string?>();
        foreach (var (name, theirs) in said.Where(s => needed.Contains(s.Key) || optional.Contains(s.Key)))
        {
            found[name] = head.FirstOrDefault(h => CsvTable.Key(h) == CsvTable.Key(theirs));
        }
        foreach (
            var words in new Func<string, string[]>[] { name => [name], name => Synonyms.GetValueOrDefault(name, []) }
        )
        {
            foreach (var name in needed.Concat(optional).Where(n => !found.ContainsKey(n)).ToList())
            {
                if (
                    words(name)
                        .Select(w => left.FirstOrDefault(h => CsvTable.Key(h) == w))
                        .FirstOrDefault(h => h is not null) is
                    { } theirs
                )
                {
                    found[name] = theirs;
                    left.Remove(theirs);
                }
            }
        }
        return
        [
            .. needed.Select(n => new CsvColumn(n, true, found.GetValueOrDefault(n))),
            .. optional.Select(n => new CsvColumn(n, false, found.GetValueOrDefault(n))),
        ];
    }
}
