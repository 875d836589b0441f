using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Store;

/// <summary>What the shop says of its copies, and what was seen of them.</summary>
/// <param name="SecondFolder">Another folder that gets copies too, or null.</param>
/// <param name="TrialAt">When one was last put back aside as a trial (UTC), or null.</param>
/// <param name="TrialWell">Whether that went well.</param>
/// <param name="TrialSaid">What came of it, in words.</param>
/// <param name="HistoryMonths">Months that earlier states of orders are kept; 0 for ever.</param>
public sealed record CopySettings(
    string? SecondFolder,
    Instant? TrialAt,
    bool TrialWell,
    string TrialSaid,
    int HistoryMonths
);

/// <summary>Settings of copies. They are the machine's rather than the shop's, so they have no version and no
/// undo.</summary>
public static class CopyingStore
{
    public static CopySettings Get(SqliteConnection connection) =>
        connection.Query("SELECT * FROM copying", r => new CopySettings(
            r.TextOrNull("second_folder"),
            r.UtcOrNull("trial_at"),
            r.Flag("trial_well"),
            r.Text("trial_said"),
            r.Int("history_months")
        ))[0];

    public static void Put(SqliteConnection connection, CopySettings settings) =>
        connection.Execute(
            "UPDATE copying SET second_folder = @folder, trial_at = @at, trial_well = @well, trial_said = @said, "
                + "history_months = @months",
            ("@folder", settings.SecondFolder),
            ("@at", settings.TrialAt),
            ("@well", settings.TrialWell),
            ("@said", settings.TrialSaid),
            ("@months", settings.HistoryMonths)
        );
}
