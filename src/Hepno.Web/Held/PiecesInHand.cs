namespace Hepno.Web.Held;

/// <summary>Which pieces of a run are in whose hands, so that no two devices are offered the same one. In memory alone:
/// after a restart each device says again what it has.</summary>
/// <param name="time">The clock it is measured by.</param>
public sealed class PiecesInHand(TimeProvider time)
{
    /// <summary>How long a device that says nothing keeps what it has: its battery may be empty.</summary>
    public static readonly TimeSpan Lasts = TimeSpan.FromMinutes(2);

    private readonly Lock door = new();
    private readonly Dictionary<(string Run, string Piece), (string Device, long Since)> held = [];

    /// <summary>Gives a device pieces in place of those it had before.</summary>
    /// <param name="run">Of which run.</param>
    /// <param name="device">Which device.</param>
    /// <param name="pieces">Piece, attempt and pass of each: "3.1.1"; none lets go of all.</param>
    /// <returns>The pieces of the run that another device has: none of them is given.</returns>
    public IReadOnlyList<string> Take(string run, string device, IReadOnlyList<string> pieces)
    {
        lock (door)
        {
            foreach (var (key, by) in held.ToList())
            {
                if (time.GetElapsedTime(by.Since) > Lasts || (key.Run == run && by.Device == device))
                {
                    held.Remove(key);
                }
            }
            foreach (var piece in pieces)
            {
                held.TryAdd((run, piece), (device, time.GetTimestamp()));
            }
            return [.. held.Where(h => h.Key.Run == run && h.Value.Device != device).Select(h => h.Key.Piece)];
        }
    }
}
