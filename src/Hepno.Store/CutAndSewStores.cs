using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Cloth by the roll.</summary>
internal static class ClothStore
{
    public static Aggregate<RollCloth> Aggregate() => new("cloth", "cloth", Load, x => x.Id.Text, Write);

    private static List<Versioned<RollCloth>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM cloth WHERE {Rows.Only(id, "id")} ORDER BY product",
            r => new Versioned<RollCloth>(
                new(
                    r.Id<ThingId>("id"),
                    Supplier: r.Text("supplier"),
                    r.Text("product"),
                    r.Real("polyester_percent"),
                    WeightGsm: r.Real("weight_gsm"),
                    r.Real("width_in"),
                    r.Money("foot_micros"),
                    r.Real("step_in"),
                    ShrinkShare: r.Real("shrink_share"),
                    r.Money("freight_micros"),
                    r.Int("lead_days")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, RollCloth x, long version) =>
        connection.Put(
            "cloth",
            1,
            ("id", x.Id),
            ("version", version),
            ("supplier", x.Supplier),
            ("product", x.Product),
            ("polyester_percent", x.PolyesterPercent),
            ("weight_gsm", x.WeightGsm),
            ("width_in", x.WidthIn),
            ("foot_micros", x.PricePerFoot),
            ("step_in", x.StepIn),
            ("shrink_share", x.ShrinkShare),
            ("freight_micros", x.FreightPerOrder),
            ("lead_days", x.LeadDays)
        );
}

/// <summary>Calenders with their roll printers.</summary>
internal static class CalenderStore
{
    public static Aggregate<Calender> Aggregate() => new("calender", "calender", Load, x => x.Id.Text, Write);

    private static List<Versioned<Calender>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM calender WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<Calender>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("paper_width_in"),
                    r.Money("paper_foot_micros"),
                    r.Real("print_in2_minute"),
                    InkMlPerIn2: r.Real("ink_ml_in2"),
                    r.Money("ink_ml_micros"),
                    r.Real("in_minute"),
                    r.Money("notions_micros"),
                    r.Equipment(),
                    r.Text("cautions")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, Calender x, long version) =>
        connection.Put(
            "calender",
            1,
            [
                ("id", x.Id),
                ("version", version),
                ("name", x.Name),
                ("paper_width_in", x.PaperWidthIn),
                ("paper_foot_micros", x.PaperPricePerFoot),
                ("print_in2_minute", x.PrintIn2PerMinute),
                ("ink_ml_in2", x.InkMlPerIn2),
                ("ink_ml_micros", x.InkPricePerMl),
                ("in_minute", x.InPerMinute),
                ("notions_micros", x.NotionsPerPiece),
                .. EquipmentColumns.Of(x.Equipment),
                ("cautions", x.Cautions),
            ]
        );
}
