using Hepno.Core.Blanks;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Blanks with their fabric, colours and sizes.</summary>
public static class StyleStore
{
    internal static Aggregate<Style> Aggregate() => new("style", "style", Load, s => s.Id.Text, Write);

    private static List<Versioned<Style>> Load(SqliteConnection connection, string? id)
    {
        var fabric = Fabric(connection, id);
        var colours = Colours(connection, id);
        var sizes = Sizes(connection, id);
        var lying = Lying(connection, id);
        var tiers = Tiers(connection, id);
        return connection.Query(
            $"SELECT * FROM style WHERE {Rows.Only(id, "id")} ORDER BY name",
            r =>
            {
                var of = r.Text("id");
                return new Versioned<Style>(
                    new(
                        new StyleId(of),
                        r.Text("name"),
                        Supplier: r.Text("supplier"),
                        r.Word<GarmentKind>("kind"),
                        [.. fabric[of]],
                        r.Real("weight_gsm"),
                        HeatCeilingF: r.Real("heat_ceiling_f"),
                        r.Money("unit_price_micros"),
                        FreightPerOrder: r.Money("freight_micros"),
                        r.Int("lead_days"),
                        [.. colours[of]],
                        [.. sizes[of]],
                        r.Flag("retired")
                    )
                    {
                        OnHand = [.. lying[of]],
                        Cloth = ClothOf(r),
                        Buying = r.Flag("buys")
                            ? new Buying(
                                [.. tiers[of]],
                                r.MoneyOrNull("free_freight_micros"),
                                r.Int("pack_of"),
                                r.TimeOrNull("cut_off"),
                                r.MoneyOrNull("code_price_micros"),
                                r.DayOrNull("code_until"),
                                r.Flag("value_at_list")
                            )
                            : null,
                    },
                    r.Long("version")
                );
            },
            ("@id", id)
        );
    }

    private static ILookup<string, FabricShare> Fabric(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM style_fabric WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position",
                r => (Of: r.Text("style_id"), Value: new FabricShare(r.Word<Fibre>("fibre"), r.Real("percent"))),
                ("@id", id)
            )
            .ToLookup(f => f.Of, f => f.Value);

    private static ILookup<string, Colourway> Colours(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM style_colourway WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position",
                r =>
                    (
                        Of: r.Text("style_id"),
                        Value: new Colourway(
                            r.Id<ColourwayId>("id"),
                            Name: r.Text("name"),
                            r.Text("hex"),
                            r.Word<ColourClass>("class")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(f => f.Of, f => f.Value);

    private static ILookup<string, StyleSize> Sizes(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM style_size WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position",
                r => (Of: r.Text("style_id"), Value: new StyleSize(r.Text("name"), r.Money("surcharge_micros"))),
                ("@id", id)
            )
            .ToLookup(f => f.Of, f => f.Value);

    private static ILookup<string, OnHand> Lying(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM style_on_hand WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position",
                r =>
                    (
                        Of: r.Text("style_id"),
                        Value: new OnHand(r.Id<ColourwayId>("colourway_id"), Size: r.Text("size"), r.Int("pieces"))
                    ),
                ("@id", id)
            )
            .ToLookup(f => f.Of, f => f.Value);

    private static ILookup<string, PriceTier> Tiers(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM style_tier WHERE {Rows.Only(id, "style_id")} ORDER BY style_id, position",
                r =>
                    (
                        Of: r.Text("style_id"),
                        Value: new PriceTier(
                            r.Int("from_pieces"),
                            r.Money("from_value_micros"),
                            Price: r.Money("price_micros")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(f => f.Of, f => f.Value);

    private static void Write(SqliteConnection connection, Style s, long version)
    {
        connection.Put(
            "style",
            1,
            ("id", s.Id),
            ("version", version),
            ("name", s.Name),
            ("supplier", s.Supplier),
            ("kind", s.Kind),
            ("weight_gsm", s.WeightGsm),
            ("heat_ceiling_f", s.HeatCeilingF),
            ("unit_price_micros", s.UnitPrice),
            ("freight_micros", s.FreightPerOrder),
            ("lead_days", s.LeadDays),
            ("retired", s.Retired),
            ("thickness", s.Cloth?.Thickness),
            ("migration", s.Cloth?.Migration ?? Migration.ByCloth),
            ("features", string.Join(' ', s.Cloth?.Features ?? [])),
            ("origin", s.Cloth?.Origin ?? ""),
            ("buys", s.Buying is not null),
            ("free_freight_micros", s.Buying?.FreeFreightFrom),
            ("pack_of", s.Buying?.PackOf ?? 1),
            ("cut_off", s.Buying?.CutOff),
            ("code_price_micros", s.Buying?.CodePrice),
            ("code_until", s.Buying?.CodeUntil),
            ("value_at_list", s.Buying?.ValueAtList ?? false)
        );
        connection.Replace("style_tier", "style_id", s.Id, s.Buying?.Tiers ?? [], t =>
            [("from_pieces", t.FromPieces), ("from_value_micros", t.FromValue), ("price_micros", t.Price)]
        );
        connection.Replace("style_fabric", "style_id", s.Id, s.Fabric, f =>
            [("fibre", f.Fibre), ("percent", f.Percent)]
        );
        connection.Replace("style_colourway", "style_id", s.Id, s.Colourways, c =>
            [("id", c.Id), ("name", c.Name), ("hex", c.Hex), ("class", c.Class)]
        );
        connection.Replace("style_size", "style_id", s.Id, s.Sizes, z =>
            [("name", z.Name), ("surcharge_micros", z.Surcharge)]
        );
        connection.Replace("style_on_hand", "style_id", s.Id, s.OnHand, o =>
            [("colourway_id", o.ColourwayId), ("size", o.Size), ("pieces", o.Pieces)]
        );
    }

    // a cloth of which nothing is said is none
    private static Cloth? ClothOf(Rows.Row r)
    {
        var cloth = new Cloth(
            r.TextOrNull("thickness") is null ? null : r.Word<Thickness>("thickness"),
            r.Word<Migration>("migration"),
            [.. r.Text("features").Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Enum.Parse<Feature>)],
            r.Text("origin")
        );
        return cloth.Features.Count == 0 && cloth with { Features = Cloth.Plain.Features } == Cloth.Plain
            ? null
            : cloth;
    }

    /// <summary>Numbers of the orders that use a style and are not closed.</summary>
    public static List<int> OpenOrdersOf(SqliteConnection connection, StyleId styleId) =>
        connection.Query(
            "SELECT number FROM orders WHERE closed_at IS NULL AND id IN (SELECT order_id FROM order_line WHERE "
                + "style_id = @id) ORDER BY number",
            r => r.Int("number"),
            ("@id", styleId)
        );
}
