using System.Globalization;
using Hepno.Core.Blanks;
using Hepno.Core.Recipes;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Presses.</summary>
internal static class PressStore
{
    public static Aggregate<Press> Aggregate() => new("press", "press", Load, p => p.Id.Text, Write);

    private static List<Versioned<Press>> Load(SqliteConnection connection, string? id)
    {
        var lowers = Lowers(connection, id);
        var maps = Maps(connection, id);
        var dials = Dials(connection, id);
        var accessories = Accessories(connection, id);
        return connection.Query(
            $"SELECT * FROM press WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<Press>(
                new(
                    r.Id<PressId>("id"),
                    r.Text("name"),
                    Kind: r.Text("kind"),
                    r.Real("platen_width_in"),
                    r.Real("platen_height_in"),
                    WarmUpMinutes: r.Real("warm_up_minutes"),
                    r.Real("rise_f"),
                    DropFPerMinute: r.Real("drop_f"),
                    r.RealOrNull("offset_f"),
                    r.Equipment(),
                    r.Text("cautions")
                )
                {
                    Lowers = [.. lowers[r.Text("id")]],
                    Maps = [.. maps[r.Text("id")]],
                    Dials = [.. dials[r.Text("id")]],
                    LoadsBeside = r.Flag("loads_beside"),
                    Accessories = [.. accessories[r.Text("id")]],
                    ColdBelowF = r.Real("cold_below_f"),
                },
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, LowerPlaten> Lowers(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM press_lower WHERE {Rows.Only(id, "press_id")} ORDER BY press_id, position",
                r =>
                    (
                        Of: r.Text("press_id"),
                        Value: new LowerPlaten(r.Text("name"), r.Real("width_in"), r.Real("height_in"))
                    ),
                ("@id", id)
            )
            .ToLookup(l => l.Of, l => l.Value);

    private static ILookup<string, PlatenMap> Maps(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM press_map WHERE {Rows.Only(id, "press_id")} ORDER BY press_id, position",
                r =>
                    (
                        Of: r.Text("press_id"),
                        Value: new PlatenMap(
                            r.Day("day"),
                            r.Real("set_f"),
                            [.. r.Text("points").Split(' ').Select(p => double.Parse(p, CultureInfo.InvariantCulture))],
                            r.Flag("doubtful"),
                            r.Text("by_whom")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(l => l.Of, l => l.Value);

    private static ILookup<string, DialReading> Dials(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM press_dial WHERE {Rows.Only(id, "press_id")} ORDER BY press_id, position",
                r =>
                    (
                        Of: r.Text("press_id"),
                        Value: new DialReading(
                            r.Text("pressure"),
                            r.Word<Thickness>("thickness"),
                            r.Text("lower"),
                            r.Real("dial"),
                            r.Text("pillow")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(l => l.Of, l => l.Value);

    private static ILookup<string, Accessory> Accessories(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM press_accessory WHERE {Rows.Only(id, "press_id")} ORDER BY press_id, position",
                r =>
                    (
                        Of: r.Text("press_id"),
                        Value: new Accessory(
                            r.Text("name"),
                            r.Word<AccessoryKind>("kind"),
                            r.Real("width_in"),
                            r.Real("height_in"),
                            ThicknessIn: r.Real("thickness_in"),
                            r.Int("uses"),
                            r.Day("since")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(a => a.Of, a => a.Value);

    private static void Write(SqliteConnection connection, Press p, long version)
    {
        connection.Put(
            "press",
            1,
            [
                ("id", p.Id),
                ("version", version),
                ("name", p.Name),
                ("kind", p.Kind),
                ("platen_width_in", p.PlatenWidthIn),
                ("platen_height_in", p.PlatenHeightIn),
                ("warm_up_minutes", p.WarmUpMinutes),
                ("rise_f", p.RiseFPerMinute),
                ("drop_f", p.DropFPerMinute),
                ("offset_f", p.OffsetF),
                .. EquipmentColumns.Of(p.Equipment),
                ("cautions", p.Cautions),
                ("loads_beside", p.LoadsBeside),
                ("cold_below_f", p.ColdBelowF),
            ]
        );
        connection.Replace("press_map", "press_id", p.Id, p.Maps, m =>
            [
                ("day", m.Day),
                ("set_f", m.SetPointF),
                ("points", string.Join(' ', m.PointsF.Select(x => x.ToString("R", CultureInfo.InvariantCulture)))),
                ("doubtful", m.Doubtful),
                ("by_whom", m.By),
            ]
        );
        connection.Replace("press_dial", "press_id", p.Id, p.Dials, d =>
            [
                ("pressure", d.Pressure),
                ("thickness", d.Thickness),
                ("lower", d.Lower),
                ("dial", d.Dial),
                ("pillow", d.Pillow),
            ]
        );
        connection.Replace("press_accessory", "press_id", p.Id, p.Accessories, a =>
            [
                ("name", a.Name),
                ("kind", a.Kind),
                ("width_in", a.WidthIn),
                ("height_in", a.HeightIn),
                ("thickness_in", a.ThicknessIn),
                ("uses", a.Uses),
                ("since", a.Since),
            ]
        );
        connection.Replace("press_lower", "press_id", p.Id, p.Lowers, l =>
            [("name", l.Name), ("width_in", l.WidthIn), ("height_in", l.HeightIn)]
        );
    }
}
