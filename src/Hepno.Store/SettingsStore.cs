using Hepno.Core.Shop;
using Hepno.Store.Documents;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>The shop's numbers: one row, and the lists that hang on it.</summary>
internal static class SettingsStore
{
    /// <summary>The zone of the shop's clock; UTC in a database without a shop.</summary>
    public static string TimeZone(SqliteConnection connection) =>
        connection.Query("SELECT time_zone FROM settings", r => r.Text("time_zone")).FirstOrDefault("UTC");

    public static Aggregate<ShopNumbers> Aggregate() =>
        new("numbers", "settings", (connection, _) => Read(connection), _ => "1", Write, new(NumbersLift.Lift));

    private static List<Versioned<ShopNumbers>> Read(SqliteConnection connection)
    {
        var lists = SettingsLists.Read(connection);
        return connection.Query("SELECT * FROM settings", r => new Versioned<ShopNumbers>(
            SettingsRow.Read(r, lists),
            r.Long("version")
        ));
    }

    private static void Write(SqliteConnection connection, ShopNumbers numbers, long version)
    {
        connection.Put("settings", 1, [("id", 1), ("version", version), .. SettingsRow.Columns(numbers)]);
        SettingsLists.From(numbers).Write(connection);
    }
}
