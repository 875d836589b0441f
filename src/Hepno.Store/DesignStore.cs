using Hepno.Core.Artwork;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>Artworks. What was measured on one follows from its file and is kept as it was found.</summary>
internal static class DesignStore
{
    public static Aggregate<Design> Aggregate() => new("artwork", "artwork", Load, d => d.Id.Text, Write);

    private static List<Versioned<Design>> Load(SqliteConnection connection, string? id) =>
        connection.Query(
            $"SELECT * FROM artwork WHERE {Rows.Only(id, "id")} ORDER BY name",
            r => new Versioned<Design>(
                new(
                    r.Id<DesignId>("id"),
                    r.Text("name"),
                    Kind: r.Text("kind"),
                    r.Text("hash"),
                    r.Long("bytes"),
                    r.Real("width_in"),
                    KnownDocuments.MeasuredArtwork.Read(r.Text("report")),
                    new(
                        r.Text("whose"),
                        SaidBy: r.Text("said_by"),
                        r.DayOrNull("said_on"),
                        r.Text("proof"),
                        r.Word<RightsKind>("rights_kind"),
                        r.DayOrNull("rights_until"),
                        r.IntOrNull("rights_seats"),
                        r.Flag("rights_sold")
                    )
                )
                {
                    CameAs = r.TextOrNull("came_as"),
                    NextTime = r.Text("next_time"),
                },
                r.Long("version")
            ),
            ("@id", id)
        );

    private static void Write(SqliteConnection connection, Design d, long version) =>
        connection.Put(
            "artwork",
            1,
            ("id", d.Id),
            ("version", version),
            ("name", d.Name),
            ("kind", d.Kind),
            ("hash", d.Hash),
            ("bytes", d.Bytes),
            ("width_in", d.WidthIn),
            ("report", KnownDocuments.MeasuredArtwork.Written(d.Report)),
            ("came_as", d.CameAs),
            ("whose", d.Rights.Whose),
            ("said_by", d.Rights.SaidBy),
            ("said_on", d.Rights.SaidOn),
            ("proof", d.Rights.Proof),
            ("rights_kind", d.Rights.Kind),
            ("rights_until", d.Rights.Until),
            ("rights_seats", d.Rights.Seats),
            ("rights_sold", d.Rights.SoldGoods),
            ("next_time", d.NextTime)
        );
}
