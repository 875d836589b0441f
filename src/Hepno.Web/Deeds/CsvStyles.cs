using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Things;
using Hepno.Formats;
using NodaTime;

namespace Hepno.Web.Deeds;

/// <summary>Styles as rows of a table.</summary>
internal static class CsvStyles
{
    public static string[] Row(Style s) =>
        [
            s.Id.Text,
            s.Name,
            s.Supplier,
            Words.Of(s.Kind),
            string.Join("; ", s.Fabric.Select(f => $"{CsvCells.Say(f.Percent)} {Words.Of(f.Fibre)}")),
            CsvCells.Say(s.WeightGsm),
            CsvCells.Say(s.HeatCeilingF),
            CsvCells.Say(s.UnitPrice),
            CsvCells.Say(s.FreightPerOrder),
            CsvCells.Say(s.LeadDays),
            string.Join("; ", s.Colourways.Select(x => $"{x.Name} {x.Hex} {Words.Of(x.Class)}")),
            string.Join("; ", s.Sizes.Select(z => z.Surcharge > 0 ? $"{z.Name} +{CsvCells.Say(z.Surcharge)}" : z.Name)),
            s.Cloth?.Thickness is { } thick ? Words.Of(thick) : "",
            s.Cloth is { } m ? Words.Of(m.Migration) : "",
            string.Join("; ", (s.Cloth?.Features ?? []).Select(f => Words.Of(f))),
            string.Join(
                "; ",
                (s.Buying?.Tiers ?? []).Select(t =>
                    t.FromPieces > 0
                        ? $"{t.FromPieces}: {CsvCells.Say(t.Price)}"
                        : $"over {CsvCells.Say(t.FromValue)}: {CsvCells.Say(t.Price)}"
                )
            ),
            s.Buying?.FreeFreightFrom is { } free ? CsvCells.Say(free) : "",
            s.Buying is { } b ? CsvCells.Say(b.PackOf) : "",
            s.Buying?.CutOff?.ToString("HH:mm", CultureInfo.InvariantCulture) ?? "",
            s.Buying?.CodePrice is { } code ? CsvCells.Say(code) : "",
            s.Buying?.CodeUntil?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "",
            s.Cloth?.Origin ?? "",
        ];

    public static Style Read(CsvCells r)
    {
        var fabric = r.List("fabric")
            .Select(x =>
                (
                    Parts: x.Replace("%", "", StringComparison.Ordinal)
                        .Split(' ', 2, StringSplitOptions.RemoveEmptyEntries),
                    x
                )
            )
            .Select(x =>
                x.Parts.Length == 2
                && double.TryParse(x.Parts[0], CultureInfo.InvariantCulture, out var percent)
                && Enum.TryParse<Fibre>(x.Parts[1], true, out var fibre)
                    ? new FabricShare(fibre, percent)
                    : r.Wrong<FabricShare>("fabric", x.x, like: "55 cotton; 45 polyester")
            )
            .OfType<FabricShare>()
            .ToList();
        var colours = r.List("colours")
            .Select(x =>
            {
                var parts = x.Split(' ', StringSplitOptions.RemoveEmptyEntries);
                return parts.Length >= 3 && Enum.TryParse<ColourClass>(parts[^1], true, out var shade)
                    ? new Colourway(
                        new ColourwayId(string.Join('-', parts[..^2]).ToLowerInvariant()),
                        Name: string.Join(' ', parts[..^2]),
                        parts[^2].ToLowerInvariant(),
                        shade
                    )
                    : r.Wrong<Colourway>("colours", x, like: "Navy #2b3b5e dark");
            })
            .OfType<Colourway>()
            .ToList();
        var sizes = r.List("sizes")
            .Select(x =>
            {
                var parts = x.Split('+', 2, StringSplitOptions.TrimEntries);
                if (parts.Length == 1)
                {
                    return new StyleSize(parts[0], 0);
                }
                return decimal.TryParse(parts[1], NumberStyles.Number, CultureInfo.InvariantCulture, out var more)
                    ? new StyleSize(parts[0], CsvCells.Plain(more))
                    : r.Wrong<StyleSize>("sizes", x, like: "S; M; 2XL +1.80");
            })
            .OfType<StyleSize>()
            .ToList();
        return new(
            new StyleId(r.Text("id")),
            r.Text("name"),
            Supplier: r.Text("supplier"),
            Worded<GarmentKind>(r, "garment"),
            fabric,
            r.Real("weight_gsm"),
            HeatCeilingF: r.Real("heat_ceiling_f"),
            r.Money("price"),
            FreightPerOrder: r.Money("freight"),
            (int)r.Real("days"),
            colours,
            sizes,
            false
        )
        {
            Cloth = ClothOf(r),
            Buying = BuyingOf(r),
        };
    }

    /// <summary>What the table does not carry stays as it is: what lies in the shop, the identity of a colour, and
    /// columns the file has not.</summary>
    public static Style With(Style read, string id, Style? before) =>
        before is null
            ? read with
            {
                Id = new StyleId(id),
            }
            : read with
            {
                Id = new StyleId(id),
                OnHand = before.OnHand,
                Cloth = read.Cloth is { Origin.Length: 0 } cloth
                    ? cloth with
                    {
                        Origin = before.Cloth?.Origin ?? "",
                    }
                    : read.Cloth ?? before.Cloth,
                Buying = read.Buying is { } buys
                    ? buys with
                    {
                        ValueAtList = before.Buying?.ValueAtList ?? false,
                    }
                    : before.Buying,
                Colourways =
                [
                    .. read.Colourways.Select(c =>
                        before.Colourways.FirstOrDefault(b => b.Name.Equals(c.Name, StringComparison.OrdinalIgnoreCase))
                            is { } b
                            ? c with
                            {
                                Id = b.Id,
                            }
                            : c
                    ),
                ],
            };

    private static Cloth? ClothOf(CsvCells r) =>
        CsvColumns.OfCloth.All(c => r.Text(c).Length == 0)
            ? null
            : new(
                r.Text("thickness").Length == 0 ? null : Worded<Thickness>(r, "thickness"),
                r.Text("migration").Length == 0 ? Migration.ByCloth : Worded<Migration>(r, "migration"),
                [.. r.List("features").Select(f => Worded<Feature>(r, "features", f))],
                r.Text("origin")
            );

    private static Buying? BuyingOf(CsvCells r)
    {
        if (CsvColumns.OfBuying.All(c => r.Text(c).Length == 0))
        {
            return null;
        }
        var tiers = r.List("tiers")
            .Select(x =>
            {
                var parts = x.Split(':', StringSplitOptions.TrimEntries);
                var byValue = parts[0].StartsWith("over ", StringComparison.OrdinalIgnoreCase);
                return
                    parts.Length == 2
                    && decimal.TryParse(
                        byValue ? parts[0][5..] : parts[0],
                        NumberStyles.Number,
                        CultureInfo.InvariantCulture,
                        out var from
                    )
                    && decimal.TryParse(parts[1], NumberStyles.Number, CultureInfo.InvariantCulture, out var price)
                    && (byValue || from == decimal.Truncate(from))
                    ? new PriceTier(
                        byValue ? 0 : (int)from,
                        byValue ? CsvCells.Plain(from) : 0,
                        Price: CsvCells.Plain(price)
                    )
                    : r.Wrong<PriceTier>("tiers", x, like: "24: 3.10; over 250: 2.95");
            })
            .OfType<PriceTier>()
            .ToList();
        decimal? Money(string column) => r.Text(column).Length == 0 ? null : r.Money(column);
        LocalTime? cutOff;
        if (r.Text("cut_off") is not { Length: > 0 } hour)
        {
            cutOff = null;
        }
        else if (TimeOnly.TryParse(hour, CultureInfo.InvariantCulture, out var at))
        {
            cutOff = LocalTime.FromTimeOnly(at);
        }
        else
        {
            cutOff = r.Wrong<LocalTime>("cut_off", hour, like: "14:00");
        }

        LocalDate? until;
        if (r.Text("code_until") is not { Length: > 0 } day)
        {
            until = null;
        }
        else if (DateOnly.TryParseExact(day, "yyyy-MM-dd", out var on))
        {
            until = LocalDate.FromDateOnly(on);
        }
        else
        {
            until = r.Wrong<LocalDate>("code_until", day, like: "2026-12-31");
        }

        return new(
            tiers,
            Money("free_freight"),
            r.Text("pack_of").Length == 0 ? 1 : (int)r.Real("pack_of"),
            cutOff,
            Money("code_price"),
            until
        );
    }

    // "zip hoodie", "zip-hoodie" and "ZipHoodie" are the same word
    private static T Worded<T>(CsvCells r, string column, string? said = null)
        where T : struct, Enum
    {
        var word = said ?? r.Text(column);
        var bare = word.Replace("-", "", StringComparison.Ordinal).Replace(" ", "", StringComparison.Ordinal);
        return
            bare.Length > 0
            && !char.IsAsciiDigit(bare[0])
            && Enum.TryParse<T>(bare, true, out var value)
            && Enum.IsDefined(value)
            ? value
            : r.Wrong<T>(column, word, like: string.Join(", ", Enum.GetValues<T>().Select(Words.Of)));
    }
}
