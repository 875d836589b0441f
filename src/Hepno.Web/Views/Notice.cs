using Hepno.Core.Measures;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Something the owner must know wherever they are.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Sentence">What it is.</param>
/// <param name="Remedy">What would settle it.</param>
public sealed record Notice(string Code, string Sentence, string Remedy)
{
    /// <summary>All that stand now, the gravest first.</summary>
    internal static IReadOnlyList<Notice> All(SqliteConnection connection, Copying copying, ShopNumbers numbers) =>
        [.. Copies(connection, copying, numbers), .. Roles(connection)];

    private static IEnumerable<Notice> Copies(SqliteConnection connection, Copying copying, ShopNumbers n)
    {
        string Since(CopyTrouble t) => Shown.Moment(WallClock.Local(t.Since, n.Identity.TimeZone), n.Format);
        if (copying.Trouble is { } trouble)
        {
            yield return new(
                "no-copy",
                $"No good copy of the shop's data since {Since(trouble)}: {trouble.Why}",
                trouble.Remedy
            );
        }
        if (copying.SecondTrouble is { } second)
        {
            yield return new(
                "no-second-copy",
                $"No copy in the second folder since {Since(second)}: {second.Why}",
                second.Remedy
            );
        }
        if (copying.Last is { Lost.Count: > 0 and var lost })
        {
            yield return new(
                "lost-files",
                $"{lost} pictures or attachments that the shop kept are gone or damaged.",
                Remedy: "The rest is copied. Send them again where they are missed, or put an older copy back."
            );
        }
        if (CopyingStore.Get(connection) is { TrialWell: false } settings)
        {
            yield return new(
                "trial",
                settings.TrialSaid,
                Remedy: "Another is made at once; make one yourself under Numbers, Copies, and check it."
            );
        }
    }

    private static IEnumerable<Notice> Roles(SqliteConnection connection)
    {
        var untold = PairedDeviceStore.Untold(connection);
        if (untold.Count > 0)
        {
            yield return new(
                "device-roles",
                $"{string.Join(", ", untold.Select(d => d.Name))} may now do what is done at the press alone.",
                Remedy: "Say under Numbers, Devices, which of them are for the counter."
            );
        }
    }
}
