using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>A device of the shop's own network that was let in.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What the shop calls it.</param>
/// <param name="PairedAt">When (UTC).</param>
/// <param name="ShutOut">True when it may no longer ask for anything.</param>
public sealed record PairedDevice(string Id, string Name, DateTime PairedAt, bool ShutOut);

/// <summary>Devices let in with a code. Only a hash of what they show at the door is kept.</summary>
public static class PairedDeviceStore
{
    private const string Kind = "device";

    public static List<PairedDevice> All(SqliteConnection connection) => connection.Query("SELECT * FROM paired_device ORDER BY paired_at DESC, id", Read);

    /// <summary>Lets a device in.</summary>
    public static void Add(SqliteConnection connection, PairedDevice device, string tokenHash)
    {
        connection.Put("paired_device", 1, ("id", device.Id), ("token_hash", tokenHash), ("name", device.Name), ("paired_at", device.PairedAt), ("shut_out", device.ShutOut));
        ChangeStore.Add(connection, Kind, device.Id, 1, device.PairedAt);
    }

    /// <summary>The device that shows this token, unless it was shut out.</summary>
    public static PairedDevice? Admitted(SqliteConnection connection, string tokenHash) =>
        connection.Query("SELECT * FROM paired_device WHERE token_hash = @hash AND shut_out = 0", Read, ("@hash", tokenHash)).FirstOrDefault();

    /// <summary>Shuts a device out for good; false when there is none of this id.</summary>
    public static bool ShutOut(SqliteConnection connection, string id, DateTime at)
    {
        if (connection.Changed("UPDATE paired_device SET shut_out = 1 WHERE id = @id", ("@id", id)) == 0)
        {
            return false;
        }
        ChangeStore.Add(connection, Kind, id, 2, at);
        return true;
    }

    private static PairedDevice Read(Rows.Row r) => new(r.Text("id"), r.Text("name"), r.Utc("paired_at"), r.Flag("shut_out"));
}
