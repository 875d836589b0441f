using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>What a device of the shop's network may do.</summary>
public enum DeviceRole
{
    /// <summary>What is done at the press: run, day, recipes, receiving, counting.</summary>
    Press,

    /// <summary>Everything that is not done at the machine itself.</summary>
    Counter,
}

/// <summary>A device of the shop's own network that was let in.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">What the shop calls it.</param>
/// <param name="PairedAt">When (UTC).</param>
/// <param name="ShutOut">True when it may no longer ask for anything.</param>
/// <param name="Role">What it may do.</param>
/// <param name="RoleTold">False while its owner was not told what it may do: it was let in before there were
/// roles.</param>
public sealed record PairedDevice(
    string Id,
    string Name,
    Instant PairedAt,
    bool ShutOut,
    DeviceRole Role,
    bool RoleTold = true
);

/// <summary>Devices let in with a code. Only a hash of what they show at the door is kept.</summary>
public static class PairedDeviceStore
{
    private const string Kind = "device";

    public static List<PairedDevice> All(SqliteConnection connection) =>
        connection.Query("SELECT * FROM paired_device ORDER BY paired_at DESC, id", Read);

    /// <summary>Lets a device in.</summary>
    public static void Add(SqliteConnection connection, PairedDevice device, string tokenHash)
    {
        connection.Put(
            "paired_device",
            1,
            ("id", device.Id),
            ("token_hash", tokenHash),
            ("name", device.Name),
            ("paired_at", device.PairedAt),
            ("shut_out", device.ShutOut),
            ("role", device.Role),
            ("role_told", device.RoleTold)
        );
        ChangeStore.Add(connection, Kind, device.Id, 1, device.PairedAt);
    }

    /// <summary>The device that shows this token, unless it was shut out.</summary>
    public static PairedDevice? Admitted(SqliteConnection connection, string tokenHash) =>
        connection
            .Query("SELECT * FROM paired_device WHERE token_hash = @hash AND shut_out = 0", Read, ("@hash", tokenHash))
            .FirstOrDefault();

    /// <summary>Devices that got their role without their owner's word.</summary>
    public static List<PairedDevice> Untold(SqliteConnection connection) =>
        connection.Query(
            "SELECT * FROM paired_device WHERE role_told = 0 AND shut_out = 0 ORDER BY paired_at, id",
            Read
        );

    /// <summary>Says what a device may do; false when there is none of this id.</summary>
    public static bool SetRole(SqliteConnection connection, string id, DeviceRole role, Instant at) =>
        Change(
            connection,
            "UPDATE paired_device SET role = @role, role_told = 1 WHERE id = @id",
            id,
            at,
            ("@role", role),
            ("@id", id)
        );

    /// <summary>Shuts a device out for good; false when there is none of this id.</summary>
    public static bool ShutOut(SqliteConnection connection, string id, Instant at) =>
        Change(connection, "UPDATE paired_device SET shut_out = 1 WHERE id = @id", id, at, ("@id", id));

    private static bool Change(
        SqliteConnection connection,
        string sql,
        string id,
        Instant at,
        params ReadOnlySpan<(string, object?)> values
    )
    {
        if (connection.Changed(sql, values) == 0)
        {
            return false;
        }
        ChangeStore.Add(connection, Kind, id, 2, at);
        return true;
    }

    private static PairedDevice Read(Rows.Row r) =>
        new(
            r.Text("id"),
            Name: r.Text("name"),
            r.Utc("paired_at"),
            r.Flag("shut_out"),
            r.Word<DeviceRole>("role"),
            r.Flag("role_told")
        );
}
