using Hepno.Store.Copies;
using Microsoft.Data.Sqlite;

namespace Hepno.Store;

/// <summary>What is wrong with a data folder, each in its own sentence.</summary>
public static class DataTrouble
{
    private const int Busy = 5;
    private const int Locked = 6;
    private const int ReadOnly = 8;
    private const int DiskError = 10;
    private const int Damaged = 11;
    private const int Full = 13;
    private const int CannotOpen = 14;
    private const int NotADatabase = 26;
    private const int NoSpace = 28;
    private const int ReadOnlySystem = 30;

    /// <summary>What a failure means for the owner, or null when it is none of the data's.</summary>
    /// <param name="trouble">The failure.</param>
    /// <param name="folder">The data folder.</param>
    public static DataTroubleException? Of(Exception trouble, string folder) =>
        trouble switch
        {
            DataTroubleException said => said,
            SqliteException { SqliteErrorCode: Damaged or NotADatabase } => new(
                "damaged",
                $"The data in {folder} is damaged.",
                remedy: "Put the last good copy back: ./hepno restore and the name of a folder in backups. What is there "
                    + "now is kept."
            ),
            SqliteException { SqliteErrorCode: Busy or Locked } => new(
                "busy",
                $"Another program holds the data in {folder}.",
                remedy: "Close it, and do it again."
            ),
            SqliteException { SqliteErrorCode: Full } => FullDisk(),
            SqliteException { SqliteErrorCode: DiskError } => HasRoom(folder)
                ? new(
                    "disk-error",
                    $"The disk of {folder} cannot be read or written.",
                    remedy: "Look at the disk, and copy the folder to another one."
                )
                : FullDisk(),
            SqliteException { SqliteErrorCode: ReadOnly or CannotOpen } or UnauthorizedAccessException => Unwritable(
                folder
            ),
            IOException { HResult: NoSpace } => FullDisk(),
            IOException { HResult: ReadOnlySystem } => Unwritable(folder),
            _ => null,
        };

    /// <summary>The data file is not there, and copies of it are.</summary>
    internal static DataTroubleException Gone(string folder, ListedCopy copy) =>
        new(
            "gone",
            $"There is no shop in {folder}, but there are copies of one: the last, {copy.Name}, holds "
                + $"{copy.Manifest!.Data.Orders} orders.",
            remedy: $"Put it back: ./hepno restore {Path.Combine(folder, "backups", copy.Name)} --data {folder}. For a "
                + "new shop name another folder with --data."
        );

    /// <summary>The data file was taken away while it was open.</summary>
    internal static DataTroubleException Moved(string path) =>
        new(
            "moved",
            $"{path} was removed or replaced while Hepno ran: this was not kept.",
            remedy: "Stop Hepno, put the file or the last good copy back, and start it again."
        );

    /// <summary>Whether a file can be made in a folder.</summary>
    internal static bool CanWrite(string folder)
    {
        var probe = Path.Combine(folder, $".hepno-{Guid.NewGuid():N}");
        try
        {
            File.Create(probe).Dispose();
            File.Delete(probe);
            return true;
        }
        catch (Exception refused) when (refused is IOException or UnauthorizedAccessException)
        {
            return false;
        }
    }

    private static bool HasRoom(string folder) =>
        new DriveInfo(Path.GetFullPath(folder)).AvailableFreeSpace > 1_000_000;

    private static DataTroubleException FullDisk() =>
        new(
            "disk-full",
            "The disk is full: nothing more can be kept.",
            remedy: "Free some space. Reading goes on, and what is on the screen stays there."
        );

    private static DataTroubleException Unwritable(string folder) =>
        new(
            "read-only",
            $"The folder {folder} cannot be written.",
            remedy: "Look at whose it is and whether its disk may be written, or name another with --data."
        );
}
