using Hepno.Core.Orders;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Places of a print: the usual ones with the shop's figures, and its own.</summary>
internal static class PlaceStore
{
    public static Aggregate<Place> Aggregate() => new("place", "place", Load, p => p.Id, Write);

    private static List<Versioned<Place>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM place WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<Place>(Read(r), r.Long("version")),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, Place p, long version) =>
        connection.Put(
            "place",
            1,
            ("id", p.Id),
            ("version", version),
            ("name", p.Name),
            ("like_place", p.Like),
            ("retired", p.Retired),
            ("height_in", p.HeightLimitIn),
            ("small_in", p.Widths.Small),
            ("large_in", p.Widths.Large),
            ("extended_in", p.Widths.Extended),
            ("youth_in", p.Widths.Youth),
            ("toddler_in", p.Widths.Toddler),
            ("infant_in", p.Widths.Infant),
            ("from_seam_in", p.FromSeamIn),
            ("from_seam_youth_in", p.FromSeamYouthIn),
            ("from_seam_infant_in", p.FromSeamInfantIn),
            ("aside_in", p.AsideIn)
        );

    /// <summary>The shop's places, read once for what is read beside them.</summary>
    public static PlaceBook Book(SqliteConnection connection) => new(connection.Query("SELECT * FROM place", Read));

    // seam and opening are those of the usual place it is or lies like
    private static Place Read(Rows.Row r) =>
        Places.Find(r.TextOrNull("like_place") ?? r.Text("id"))! with
        {
            Id = r.Text("id"),
            Name = r.Text("name"),
            Widths = new(
                r.Real("small_in"),
                Large: r.Real("large_in"),
                r.Real("extended_in"),
                Youth: r.Real("youth_in"),
                r.Real("toddler_in"),
                Infant: r.Real("infant_in")
            ),
            HeightLimitIn = r.Real("height_in"),
            FromSeamIn = r.Real("from_seam_in"),
            FromSeamYouthIn = r.RealOrNull("from_seam_youth_in"),
            FromSeamInfantIn = r.RealOrNull("from_seam_infant_in"),
            AsideIn = r.Real("aside_in"),
            Like = r.TextOrNull("like_place"),
            Retired = r.Flag("retired"),
        };
}
