using Hepno.Core.Shop;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The shop's numbers: one document beside the things.</summary>
internal static class SettingsStore
{
    private const string Kind = "numbers";

    /// <summary>The zone of the shop's clock; UTC in a database without a shop.</summary>
    public static string TimeZone(SqliteConnection connection) =>
        connection
            .Query(
                "SELECT json_extract(document, '$.identity.timeZone') AS zone FROM thing WHERE kind = @kind",
                r => r.Text("zone"),
                ("@kind", Kind)
            )
            .FirstOrDefault("UTC");

    public static Aggregate<ShopNumbers> Aggregate() =>
        ThingStore.Aggregate<ShopNumbers>(Kind, new(NumbersLift.Lift), _ => "1", (_, _) => 0);
}
