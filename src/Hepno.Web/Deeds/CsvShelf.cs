using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Things;
using Hepno.Formats;
using Hepno.Store;
using Hepno.Web.Wire;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Deeds;

/// <summary>A price that a table changes.</summary>
/// <param name="Thing">Of which thing.</param>
/// <param name="What">Which of its prices.</param>
/// <param name="Before">What it was; null where there was none.</param>
/// <param name="Now">What it is; null where it is gone.</param>
internal sealed record PriceChange(string Thing, string What, decimal? Before, decimal? Now);

/// <summary>What a table brought.</summary>
/// <param name="Added">New things.</param>
/// <param name="Changed">Things that were there and are now otherwise.</param>
/// <param name="Same">Things that were there as they are.</param>
/// <param name="Prices">Prices that are now otherwise, of things that were there; at most 200.</param>
/// <param name="MorePrices">Further prices that are now otherwise.</param>
internal sealed record CsvReport(int Added, int Changed, int Same, IReadOnlyList<PriceChange> Prices, int MorePrices);

/// <summary>Customers, styles, materials and prices as tables: out, and in whole or not at all.</summary>
internal static class CsvShelf
{
    private const int MostPrices = 200;

    public static IReadOnlyList<string> Kinds { get; } = ["customers", "styles", "materials", "prices", "screens"];

    /// <summary>A kind of thing as a table.</summary>
    public static string Out(SqliteConnection c, string kind) =>
        kind switch
        {
            "customers" => CsvTable.Write(
                CsvColumns.Customers,
                Aggregates
                    .Customers.All(c)
                    .Select(v => v.Value)
                    .Select(x => new[] { x.Id.Text, x.Name, x.Contact, x.Address })
            ),
            "styles" => CsvTable.Write(
                [.. CsvColumns.Styles, .. CsvColumns.StylesToo],
                Aggregates.Styles.All(c).Select(v => v.Value).Where(s => !s.Retired).Select(CsvStyles.Row)
            ),
            "materials" => CsvTable.Write(
                CsvColumns.Vinyls,
                Aggregates
                    .Of<VinylFilm>()
                    .All(c)
                    .Select(v => v.Value)
                    .Select(x =>
                        new[]
                        {
                            x.Id.Text,
                            x.Supplier,
                            x.Product,
                            CsvCells.Say(x.UsableWidthIn),
                            CsvCells.Say(x.PricePerFoot),
                            CsvCells.Say(x.WeedingMarginIn),
                            CsvCells.Say(x.FreightPerOrder),
                            CsvCells.Say(x.LeadDays),
                        }
                    )
            ),
            "prices" => CsvTable.Write(
                CsvPrices.FilmColumns,
                Aggregates.Of<TransferPriceList>().All(c).SelectMany(v => CsvPrices.Rows(v.Value))
            ),
            "screens" => CsvTable.Write(
                CsvPrices.ScreenColumns,
                Aggregates.Of<ScreenTransferList>().All(c).SelectMany(v => CsvPrices.Rows(v.Value))
            ),
            _ => throw RefusedException.NoSuch("table", id: kind),
        };

    /// <summary>Brings a table in: every row, or none when one cannot be kept.</summary>
    /// <param name="c">Connection.</param>
    /// <param name="kind">Which table.</param>
    /// <param name="text">The file's text.</param>
    /// <param name="columns">Which of the file's columns stands for which.</param>
    /// <param name="deed">Who does it; null only looks what it would bring.</param>
    public static CsvReport In(
        SqliteConnection c,
        string kind,
        string text,
        IReadOnlyList<CsvColumn> columns,
        Deed? deed
    )
    {
        var called = columns.Where(x => x.Theirs is not null).ToDictionary(x => x.Name, x => x.Theirs!);
        IReadOnlyList<CsvRow> Rows() => CsvTable.Read(text, CsvColumns.For(kind).Needed, called);
        try
        {
            return kind switch
            {
                "customers" => Keep(c, Core.Orders.Customer.Described, Each(Rows(), Customer), x => x.Name, With, deed),
                // the same model may come from two suppliers
                "styles" => Keep(
                    c,
                    Style.Described,
                    Each(Rows(), CsvStyles.Read),
                    x => $"{x.Name}, {x.Supplier}",
                    CsvStyles.With,
                    deed
                ),
                "materials" => Keep(
                    c,
                    VinylFilm.Described,
                    Each(Rows(), Vinyl),
                    x => $"{x.Supplier} {x.Product}",
                    With,
                    deed
                ),
                "prices" => Keep(
                    c,
                    TransferPriceList.Described,
                    CsvPrices.Films(Rows()),
                    x => $"{x.Supplier} {x.Product}",
                    With,
                    deed
                ),
                "screens" => Keep(
                    c,
                    ScreenTransferList.Described,
                    CsvPrices.Screens(Rows()),
                    x => $"{x.Supplier} {x.Product}",
                    (x, id, _) => x with { Id = new ThingId(id) },
                    deed
                ),
                _ => throw RefusedException.NoSuch("table", id: kind),
            };
        }
        catch (NotATableException not)
        {
            throw new RefusedException(
                400,
                "not-a-table",
                not.Message,
                remedy: "Say which column stands for which, or take the table out first and keep its head: "
                    + $"{string.Join(", ", CsvColumns.For(kind).Needed)}."
            );
        }
    }

    private static CsvReport Keep<T>(
        SqliteConnection c,
        ThingKind<T> kind,
        List<(int Row, T Value, List<Problem> Problems)> read,
        Func<T, string> nameOf,
        Func<T, string, T?, T> with,
        Deed? deed
    )
        where T : class
    {
        RefusedException.IfAny(
            read.SelectMany(r =>
                r.Problems.Count > 0
                    ? r.Problems
                    : kind.Problems(r.Value)
                        .Select(p =>
                            p with
                            {
                                Where = $"row {r.Row}, {p.Where}",
                                Sentence = $"Row {r.Row}: {p.Sentence}",
                            }
                        )
            )
        );
        var aggregate = Aggregates.Of(kind);
        var here = aggregate.All(c);
        var byId = here.ToDictionary(h => kind.IdOf(h.Value));
        var byName = here.GroupBy(h => nameOf(h.Value), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.First(), StringComparer.OrdinalIgnoreCase);
        var (added, changed, same) = (0, 0, 0);
        var changes = new List<PriceChange>();
        foreach (var (row, value, _) in read)
        {
            var id = kind.IdOf(value);
            var before = id.Length > 0 ? byId.GetValueOrDefault(id) : byName.GetValueOrDefault(nameOf(value));
            var kept = with(
                value,
                before is null
                    ? id.Length > 0
                        ? id
                        : Guid.NewGuid().ToString("N")
                    : kind.IdOf(before.Value),
                before?.Value
            );
            if (
                before is not null
                && System.Text.Json.JsonSerializer.Serialize(before.Value, Json.Exact)
                    == System.Text.Json.JsonSerializer.Serialize(kept, Json.Exact)
            )
            {
                same++;
                continue;
            }
            if (deed is not null)
            {
                aggregate.Put(c, kept, before?.Version ?? 0, deed);
            }
            (added, changed) = before is null ? (added + 1, changed) : (added, changed + 1);
            changes.AddRange(
                before is null
                    ? []
                    : Differ(
                        nameOf(kept),
                        [.. kind.Prices(before.Value).DistinctBy(p => p.What)],
                        [.. kind.Prices(kept).DistinctBy(p => p.What)]
                    )
            );
        }
        return new(added, changed, same, [.. changes.Take(MostPrices)], Math.Max(0, changes.Count - MostPrices));
    }

    private static IEnumerable<PriceChange> Differ(
        string thing,
        IReadOnlyList<(string What, decimal Price)> before,
        IReadOnlyList<(string What, decimal Price)> now
    ) =>
        before
            .Select(b => b.What)
            .Union(now.Select(n => n.What))
            .Select(what => new PriceChange(
                thing,
                what,
                before.Where(b => b.What == what).Select(b => (decimal?)b.Price).FirstOrDefault(),
                Now: now.Where(n => n.What == what).Select(n => (decimal?)n.Price).FirstOrDefault()
            ))
            .Where(p => p.Before != p.Now);

    private static List<(int, T, List<Problem>)> Each<T>(IReadOnlyList<CsvRow> rows, Func<CsvCells, T> read) =>
        [
            .. rows.Select(r =>
            {
                var cells = new CsvCells(r);
                return (r.Number, read(cells), cells.Problems);
            }),
        ];

    // what the table does not have stays as it is kept: a field added later is not lost by a table of before
    private static Customer With(Customer read, string id, Customer? before) =>
        before is null
            ? read with
            {
                Id = new CustomerId(id),
            }
            : before with
            {
                Name = read.Name,
                Contact = read.Contact,
                Address = read.Address,
            };

    private static VinylFilm With(VinylFilm read, string id, VinylFilm? before) =>
        before is null
            ? read with
            {
                Id = new ThingId(id),
            }
            : before with
            {
                Supplier = read.Supplier,
                Product = read.Product,
                UsableWidthIn = read.UsableWidthIn,
                PricePerFoot = read.PricePerFoot,
                WeedingMarginIn = read.WeedingMarginIn,
                FreightPerOrder = read.FreightPerOrder,
                LeadDays = read.LeadDays,
            };

    private static TransferPriceList With(TransferPriceList read, string id, TransferPriceList? before) =>
        before is null
            ? read with
            {
                Id = new ThingId(id),
            }
            : before with
            {
                Supplier = read.Supplier,
                Product = read.Product,
                Sizes = read.Sizes,
                FreightPerOrder = read.FreightPerOrder,
                LeadDays = read.LeadDays,
            };

    private static Customer Customer(CsvCells r) =>
        new(new CustomerId(r.Text("id")), r.Text("name"), Contact: r.Text("contact"), r.Text("address"));

    private static VinylFilm Vinyl(CsvCells r) =>
        new(
            new ThingId(r.Text("id")),
            Supplier: r.Text("supplier"),
            r.Text("product"),
            r.Real("width_in"),
            r.Money("price_foot"),
            r.Real("margin_in"),
            r.Money("freight"),
            (int)r.Real("days")
        );
}
