using Hepno.Store;
using Microsoft.Data.Sqlite;

namespace Hepno.Web.Views;

/// <summary>Something the owner must know wherever they are.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="Sentence">What it is.</param>
/// <param name="Remedy">What would settle it.</param>
public sealed record Notice(string Code, string Sentence, string Remedy)
{
    /// <summary>All that stand now, the gravest first.</summary>
    internal static IReadOnlyList<Notice> All(SqliteConnection connection) => [.. Roles(connection)];

    private static IEnumerable<Notice> Roles(SqliteConnection connection)
    {
        var untold = PairedDeviceStore.Untold(connection);
        if (untold.Count > 0)
        {
            yield return new("device-roles", $"{string.Join(", ", untold.Select(d => d.Name))} may now do what is done at the press alone.", "Say under Numbers, Devices, which of them are for the counter.");
        }
    }
}
