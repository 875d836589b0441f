using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Formats;
using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>What a table brought.</summary>
/// <param name="Added">New things.</param>
/// <param name="Changed">Things that were there and are now otherwise.</param>
/// <param name="Same">Things that were there as they are.</param>
internal sealed record CsvReport(int Added, int Changed, int Same);

/// <summary>Customers, styles, materials and prices as tables: out, and in whole or not at all.</summary>
internal static class CsvShelf
{
    private static readonly string[] CustomerColumns = ["id", "name", "contact", "address"];
    private static readonly string[] StyleColumns = ["id", "name", "supplier", "garment", "fabric", "weight_gsm", "heat_ceiling_f", "price", "freight", "days", "colours", "sizes"];
    private static readonly string[] VinylColumns = ["id", "supplier", "product", "width_in", "price_foot", "margin_in", "freight", "days"];

    public static IReadOnlyList<string> Kinds { get; } = ["customers", "styles", "materials", "prices", "screens"];

    /// <summary>A kind of thing as a table.</summary>
    public static string Out(SqliteConnection c, string kind) => kind switch
    {
        "customers" => CsvTable.Write(CustomerColumns, Aggregates.Customers.All(c).Select(v => v.Value).Select(x => new[] { x.Id, x.Name, x.Contact, x.Address })),
        "styles" => CsvTable.Write(StyleColumns, Aggregates.Styles.All(c).Select(v => v.Value).Where(s => !s.Retired).Select(s => new[]
        {
            s.Id, s.Name, s.Supplier, s.Kind.ToString().ToLowerInvariant(), string.Join("; ", s.Fabric.Select(f => $"{CsvCells.Say(f.Percent)} {f.Fibre.ToString().ToLowerInvariant()}")), CsvCells.Say(s.WeightGsm), CsvCells.Say(s.HeatCeilingF), CsvCells.Say(s.UnitPrice), CsvCells.Say(s.FreightPerOrder), CsvCells.Say(s.LeadDays),
            string.Join("; ", s.Colourways.Select(x => $"{x.Name} {x.Hex} {x.Class.ToString().ToLowerInvariant()}")), string.Join("; ", s.Sizes.Select(z => z.Surcharge > 0 ? $"{z.Name} +{CsvCells.Say(z.Surcharge)}" : z.Name)),
        })),
        "materials" => CsvTable.Write(VinylColumns, Aggregates.Vinyls.All(c).Select(v => v.Value).Select(x => new[] { x.Id, x.Supplier, x.Product, CsvCells.Say(x.UsableWidthIn), CsvCells.Say(x.PricePerFoot), CsvCells.Say(x.WeedingMarginIn), CsvCells.Say(x.FreightPerOrder), CsvCells.Say(x.LeadDays) })),
        "prices" => CsvTable.Write(CsvPrices.FilmColumns, Aggregates.Films.All(c).SelectMany(v => CsvPrices.Rows(v.Value))),
        "screens" => CsvTable.Write(CsvPrices.ScreenColumns, Aggregates.Screens.All(c).SelectMany(v => CsvPrices.Rows(v.Value))),
        _ => throw RefusedException.NoSuch("table", kind),
    };

    /// <summary>Brings a table in: every row, or none when one cannot be kept.</summary>
    public static CsvReport In(SqliteConnection c, string kind, string text, Deed deed)
    {
        try
        {
            return kind switch
            {
                "customers" => Keep(c, Aggregates.Customers, Each(CsvTable.Read(text, ["name"]), Customer), x => x.Id, x => x.Name, (x, id, before) => x with { Id = id, TaxExempt = before?.TaxExempt ?? "", AccountDays = before?.AccountDays ?? 0 }, Named, deed),
                "styles" => Keep(c, Aggregates.Styles, Each(CsvTable.Read(text, StyleColumns[1..]), Style), x => x.Id, x => x.Name, Style, x => x.Problems(), deed),
                "materials" => Keep(c, Aggregates.Vinyls, Each(CsvTable.Read(text, VinylColumns[1..]), Vinyl), x => x.Id, x => $"{x.Supplier} {x.Product}", (x, id, _) => x with { Id = id }, x => x.Problems(), deed),
                "prices" => Keep(c, Aggregates.Films, CsvPrices.Films(CsvTable.Read(text, CsvPrices.FilmColumns[1..])), x => x.Id, x => $"{x.Supplier} {x.Product}", (x, id, _) => x with { Id = id }, x => x.Problems(), deed),
                "screens" => Keep(c, Aggregates.Screens, CsvPrices.Screens(CsvTable.Read(text, CsvPrices.ScreenColumns[1..])), x => x.Id, x => $"{x.Supplier} {x.Product}", (x, id, _) => x with { Id = id }, x => x.Problems(), deed),
                _ => throw RefusedException.NoSuch("table", kind),
            };
        }
        catch (NotATableException not)
        {
            throw new RefusedException(400, "not-a-table", not.Message, $"Take the table out first and keep its head: {string.Join(", ", kind switch { "customers" => CustomerColumns, "styles" => StyleColumns, "materials" => VinylColumns, "screens" => CsvPrices.ScreenColumns, _ => CsvPrices.FilmColumns })}.");
        }
    }

    private static CsvReport Keep<T>(SqliteConnection c, Aggregate<T> aggregate, List<(int Row, T Value, List<Problem> Problems)> read, Func<T, string> idOf, Func<T, string> nameOf, Func<T, string, T?, T> with, Func<T, IEnumerable<Problem>> problems, Deed deed)
        where T : class
    {
        RefusedException.IfAny(read.SelectMany(r => r.Problems.Count > 0 ? r.Problems : problems(r.Value).Select(p => p with { Where = $"row {r.Row}, {p.Where}", Sentence = $"Row {r.Row}: {p.Sentence}" })));
        var here = aggregate.All(c);
        var byId = here.ToDictionary(h => idOf(h.Value));
        var byName = here.GroupBy(h => nameOf(h.Value), StringComparer.OrdinalIgnoreCase).ToDictionary(g => g.Key, g => g.First(), StringComparer.OrdinalIgnoreCase);
        var (added, changed, same) = (0, 0, 0);
        foreach (var (row, value, _) in read)
        {
            var id = idOf(value);
            var before = id.Length > 0 ? byId.GetValueOrDefault(id) : byName.GetValueOrDefault(nameOf(value));
            var kept = with(value, before is null ? id.Length > 0 ? id : Guid.NewGuid().ToString("N") : idOf(before.Value), before?.Value);
            if (before is not null && System.Text.Json.JsonSerializer.Serialize(before.Value, Json.Frozen) == System.Text.Json.JsonSerializer.Serialize(kept, Json.Frozen))
            {
                same++;
                continue;
            }
            aggregate.Put(c, kept, before?.Version ?? 0, deed);
            (added, changed) = before is null ? (added + 1, changed) : (added, changed + 1);
        }
        return new(added, changed, same);
    }

    private static List<(int, T, List<Problem>)> Each<T>(IReadOnlyList<CsvRow> rows, Func<CsvCells, T> read) => [.. rows.Select(r =>
    {
        var cells = new CsvCells(r);
        return (r.Number, read(cells), cells.Problems);
    })];

    private static Customer Customer(CsvCells r) => new(r.Text("id"), r.Text("name"), r.Text("contact"), r.Text("address"));

    private static IEnumerable<Problem> Named(Customer x) => x.Name.Length is 0 or > 200 ? [new("empty", x.Name.Length == 0 ? "The customer has no name." : $"A name of {x.Name.Length} characters.", "name", "Type a name of at most 200 characters.")] : [];

    private static VinylFilm Vinyl(CsvCells r) => new(r.Text("id"), r.Text("supplier"), r.Text("product"), r.Real("width_in"), r.Money("price_foot"), r.Real("margin_in"), r.Money("freight"), (int)r.Real("days"));

    // what the table does not carry stays as it is: what lies in the shop, and the identity of a colour
    private static Style Style(Style read, string id, Style? before) => before is null ? read with { Id = id } : read with
    {
        Id = id,
        OnHand = before.OnHand,
        Colourways = [.. read.Colourways.Select(c => before.Colourways.FirstOrDefault(b => b.Name.Equals(c.Name, StringComparison.OrdinalIgnoreCase)) is { } b ? c with { Id = b.Id } : c)],
    };

    private static Style Style(CsvCells r)
    {
        var fabric = r.List("fabric").Select(x => (Parts: x.Replace("%", "", StringComparison.Ordinal).Split(' ', 2, StringSplitOptions.RemoveEmptyEntries), x)).Select(x =>
            x.Parts.Length == 2 && double.TryParse(x.Parts[0], CultureInfo.InvariantCulture, out var percent) && Enum.TryParse<Fibre>(x.Parts[1], true, out var fibre) ? new FabricShare(fibre, percent) : r.Wrong<FabricShare>("fabric", x.x, "55 cotton; 45 polyester")).OfType<FabricShare>().ToList();
        var colours = r.List("colours").Select(x =>
        {
            var parts = x.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            return parts.Length >= 3 && Enum.TryParse<ColourClass>(parts[^1], true, out var shade) ? new Colourway(string.Join('-', parts[..^2]).ToLowerInvariant(), string.Join(' ', parts[..^2]), parts[^2].ToLowerInvariant(), shade) : r.Wrong<Colourway>("colours", x, "Navy #2b3b5e dark");
        }).OfType<Colourway>().ToList();
        var sizes = r.List("sizes").Select(x =>
        {
            var parts = x.Split('+', 2, StringSplitOptions.TrimEntries);
            return parts.Length == 1 ? new StyleSize(parts[0], 0) : decimal.TryParse(parts[1], NumberStyles.Number, CultureInfo.InvariantCulture, out var more) ? new StyleSize(parts[0], CsvCells.Plain(more)) : r.Wrong<StyleSize>("sizes", x, "S; M; 2XL +1.80");
        }).OfType<StyleSize>().ToList();
        var kind = Enum.TryParse<GarmentKind>(r.Text("garment"), true, out var k) ? k : (GarmentKind)(-1);
        if (!Enum.IsDefined(kind))
        {
            r.Wrong<Style>("garment", r.Text("garment"), string.Join(", ", Enum.GetNames<GarmentKind>()).ToLowerInvariant());
        }
        return new(r.Text("id"), r.Text("name"), r.Text("supplier"), kind, fabric, r.Real("weight_gsm"), r.Real("heat_ceiling_f"), r.Money("price"), r.Money("freight"), (int)r.Real("days"), colours, sizes, false);
    }
}
