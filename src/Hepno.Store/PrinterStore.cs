using Hepno.Core.Materials;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Own printers with what they take.</summary>
internal static class PrinterStore
{
    public static Aggregate<FilmPrinter> Film() =>
        new("film-printer", "film_printer", LoadFilmPrinter, p => p.Id.Text, WriteFilmPrinter);

    private static List<Versioned<FilmPrinter>> LoadFilmPrinter(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM film_printer WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<FilmPrinter>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("roll_width_in"),
                    GapIn: r.Real("gap_in"),
                    r.Real("speed_in2_minute"),
                    ColourMlPerIn2: r.Real("colour_ml_in2"),
                    r.Money("colour_ml_micros"),
                    r.Real("white_ml_in2"),
                    r.Money("white_ml_micros"),
                    r.Flag("white_on_light"),
                    r.Money("film_in2_micros"),
                    r.Real("powder_g_in2"),
                    r.Money("powder_g_micros"),
                    r.Real("cleaning_ml_day"),
                    r.Money("cleaning_ml_micros"),
                    r.Real("prints_day"),
                    r.Word<FilmCure>("cure"),
                    r.Equipment(),
                    r.Text("cautions")
                )
                {
                    CureF = r.Real("cure_f"),
                },
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void WriteFilmPrinter(SqliteConnection connection, FilmPrinter p, long version) =>
        connection.Put(
            "film_printer",
            1,
            [
                ("id", p.Id),
                ("version", version),
                ("name", p.Name),
                ("roll_width_in", p.RollWidthIn),
                ("gap_in", p.GapIn),
                ("speed_in2_minute", p.SpeedIn2PerMinute),
                ("colour_ml_in2", p.ColourMlPerIn2),
                ("colour_ml_micros", p.ColourPricePerMl),
                ("white_ml_in2", p.WhiteMlPerIn2),
                ("white_ml_micros", p.WhitePricePerMl),
                ("white_on_light", p.WhiteOnLight),
                ("film_in2_micros", p.FilmPricePerIn2),
                ("powder_g_in2", p.PowderGPerIn2),
                ("powder_g_micros", p.PowderPricePerG),
                ("cleaning_ml_day", p.CleaningMlPerDay),
                ("cleaning_ml_micros", p.CleaningPricePerMl),
                ("prints_day", p.PrintsPerDay),
                ("cure", p.Cure),
                ("cure_f", p.CureF),
                .. EquipmentColumns.Of(p.Equipment),
                ("cautions", p.Cautions),
            ]
        );

    public static Aggregate<DyePrinter> Dye() =>
        new("dye-printer", "dye_printer", LoadDyePrinter, p => p.Id.Text, WriteDyePrinter);

    private static List<Versioned<DyePrinter>> LoadDyePrinter(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM dye_printer WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<DyePrinter>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("speed_in2_minute"),
                    InkMlPerIn2: r.Real("ink_ml_in2"),
                    r.Money("ink_ml_micros"),
                    r.Real("sheet_width_in"),
                    r.Real("sheet_height_in"),
                    r.Real("sheet_margin_in"),
                    r.Money("sheet_micros"),
                    r.Real("tape_in_print"),
                    r.Money("tape_in_micros"),
                    ProtectionPrice: r.Money("protection_micros"),
                    r.Equipment(),
                    r.Text("cautions")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void WriteDyePrinter(SqliteConnection connection, DyePrinter p, long version) =>
        connection.Put(
            "dye_printer",
            1,
            [
                ("id", p.Id),
                ("version", version),
                ("name", p.Name),
                ("speed_in2_minute", p.SpeedIn2PerMinute),
                ("ink_ml_in2", p.InkMlPerIn2),
                ("ink_ml_micros", p.InkPricePerMl),
                ("sheet_width_in", p.SheetWidthIn),
                ("sheet_height_in", p.SheetHeightIn),
                ("sheet_margin_in", p.SheetMarginIn),
                ("sheet_micros", p.SheetPrice),
                ("tape_in_print", p.TapeInPerPrint),
                ("tape_in_micros", p.TapePricePerIn),
                ("protection_micros", p.ProtectionPrice),
                .. EquipmentColumns.Of(p.Equipment),
                ("cautions", p.Cautions),
            ]
        );

    public static Aggregate<PaperPrinter> Paper() =>
        new("paper-printer", "paper_printer", LoadPaperPrinter, p => p.Id.Text, WritePaperPrinter);

    private static List<Versioned<PaperPrinter>> LoadPaperPrinter(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM paper_printer WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<PaperPrinter>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("speed_in2_minute"),
                    WidestIn: r.Real("widest_in"),
                    r.Real("ink_ml_in2"),
                    r.Money("ink_ml_micros"),
                    r.Equipment(),
                    r.Text("cautions")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void WritePaperPrinter(SqliteConnection connection, PaperPrinter p, long version) =>
        connection.Put(
            "paper_printer",
            1,
            [
                ("id", p.Id),
                ("version", version),
                ("name", p.Name),
                ("speed_in2_minute", p.SpeedIn2PerMinute),
                ("widest_in", p.WidestIn),
                ("ink_ml_in2", p.InkMlPerIn2),
                ("ink_ml_micros", p.InkPricePerMl),
                .. EquipmentColumns.Of(p.Equipment),
                ("cautions", p.Cautions),
            ]
        );

    public static Aggregate<GarmentPrinter> Garment() =>
        new("garment-printer", "garment_printer", LoadGarmentPrinter, p => p.Id.Text, WriteGarmentPrinter);

    private static List<Versioned<GarmentPrinter>> LoadGarmentPrinter(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM garment_printer WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<GarmentPrinter>(
                new(
                    r.Id<ThingId>("id"),
                    Name: r.Text("name"),
                    r.Real("speed_in2_minute"),
                    MostWidthIn: r.Real("most_width_in"),
                    r.Real("most_height_in"),
                    ColourMlPerIn2: r.Real("colour_ml_in2"),
                    r.Money("colour_ml_micros"),
                    r.Real("white_ml_in2"),
                    r.Money("white_ml_micros"),
                    r.Real("pretreat_ml_in2"),
                    r.Money("pretreat_ml_micros"),
                    r.Equipment(),
                    r.Text("cautions")
                ),
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void WriteGarmentPrinter(SqliteConnection connection, GarmentPrinter p, long version) =>
        connection.Put(
            "garment_printer",
            1,
            [
                ("id", p.Id),
                ("version", version),
                ("name", p.Name),
                ("speed_in2_minute", p.SpeedIn2PerMinute),
                ("most_width_in", p.MostWidthIn),
                ("most_height_in", p.MostHeightIn),
                ("colour_ml_in2", p.ColourMlPerIn2),
                ("colour_ml_micros", p.ColourPricePerMl),
                ("white_ml_in2", p.WhiteMlPerIn2),
                ("white_ml_micros", p.WhitePricePerMl),
                ("pretreat_ml_in2", p.PretreatMlPerIn2),
                ("pretreat_ml_micros", p.PretreatPricePerMl),
                .. EquipmentColumns.Of(p.Equipment),
                ("cautions", p.Cautions),
            ]
        );
}
