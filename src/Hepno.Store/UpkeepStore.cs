using Hepno.Core.Costing;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What machines want done, and the log of what was done.</summary>
internal static class UpkeepStore
{
    public static Aggregate<MachineUpkeep> Aggregate() => new("upkeep", "upkeep", Load, u => u.Id.Text, Write);

    private static List<Versioned<MachineUpkeep>> Load(SqliteConnection connection, string? id)
    {
        var tasks = Tasks(connection, id);
        var done = Done(connection, id);
        return connection.Query(
            $"SELECT * FROM upkeep WHERE {Rows.Only(id, "id")} ORDER BY id",
            r => new Versioned<MachineUpkeep>(
                new(r.Id<ThingId>("id"), [.. tasks[r.Text("id")]], [.. done[r.Text("id")]]),
                r.Long("version")
            ),
            ("@id", id)
        );
    }

    private static ILookup<string, UpkeepTask> Tasks(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM upkeep_task WHERE {Rows.Only(id, "upkeep_id")} ORDER BY upkeep_id, position",
                r =>
                    (
                        Of: r.Text("upkeep_id"),
                        Value: new UpkeepTask(
                            r.Text("task_id"),
                            Name: r.Text("name"),
                            r.Word<UpkeepEvery>("every"),
                            r.Real("minutes"),
                            r.Money("cost_micros"),
                            r.Real("times_a_year")
                        )
                    ),
                ("@id", id)
            )
            .ToLookup(t => t.Of, t => t.Value);

    private static ILookup<string, UpkeepDone> Done(SqliteConnection connection, string? id) =>
        connection
            .Query(
                $"SELECT * FROM upkeep_done WHERE {Rows.Only(id, "upkeep_id")} ORDER BY upkeep_id, position",
                r =>
                    (
                        Of: r.Text("upkeep_id"),
                        Value: new UpkeepDone(r.Text("task_id"), r.Day("day"), r.Text("by_whom"), Note: r.Text("note"))
                    ),
                ("@id", id)
            )
            .ToLookup(d => d.Of, d => d.Value);

    private static void Write(SqliteConnection connection, MachineUpkeep u, long version)
    {
        connection.Put("upkeep", 1, ("id", u.Id), ("version", version));
        connection.Replace("upkeep_task", "upkeep_id", u.Id, u.Tasks, t =>
            [
                ("task_id", t.Id),
                ("name", t.Name),
                ("every", t.Every),
                ("minutes", t.Minutes),
                ("cost_micros", t.Cost),
                ("times_a_year", t.TimesAYear),
            ]
        );
        connection.Replace("upkeep_done", "upkeep_id", u.Id, u.Done, d =>
            [("task_id", d.TaskId), ("day", d.Day), ("by_whom", d.By), ("note", d.Note)]
        );
    }
}
