using System.Globalization;
using System.Text.Json;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What migrations call of the program. Never changed: a migration gives the same for ever.</summary>
internal static class MigrationFunctions
{
    /// <summary>Makes them known to a connection.</summary>
    public static void AddTo(SqliteConnection connection)
    {
        connection.CreateFunction<string, byte[]>(Packing.SqlName, Packing.Pack, isDeterministic: true);
        connection.CreateFunction<double?, string?>("exact", Exact, isDeterministic: true);
        connection.CreateFunction<long?, string?>("money", Money, isDeterministic: true);
        connection.CreateFunction<string, string>("word", JsonNamingPolicy.KebabCaseLower.ConvertName, true);
    }

    // the shortest text that is read as the same number
    private static string? Exact(double? number) => number is { } x ? JsonSerializer.Serialize(x) : null;

    private static string? Money(long? micros) =>
        micros is { } m ? (m / 1_000_000m).ToString("0.######", CultureInfo.InvariantCulture) : null;
}
