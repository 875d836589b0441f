using System.Collections.Concurrent;
using System.Globalization;
using System.Text;

namespace Hepno.Core.PressFloor;

/// <summary>Remembers what jobs took: a comparison asks for the same job many times, and the answer never
/// changes.</summary>
public sealed class FloorMemo
{
    private const int Most = 5000;
    private readonly ConcurrentDictionary<string, FloorMinutes> _known = new();
    private readonly ConcurrentDictionary<string, (double[] Half, double[] Whole)> _beyond = new();

    /// <summary>What a piece of a job takes.</summary>
    public FloorMinutes Of(FloorJob job, bool handsOnOnly)
    {
        if (_known.Count + _beyond.Count > Most)
        {
            _known.Clear();
            _beyond.Clear();
        }
        // larger jobs all follow from the same two runs
        if (job.Pieces > FloorMinutes.Exact)
        {
            var (half, whole) = _beyond.GetOrAdd(Key(job with { Pieces = 0 }, handsOnOnly), _ =>
                FloorMinutes.Beyond(job, handsOnOnly)
            );
            return FloorMinutes.Reckon(job, half, whole);
        }
        return _known.GetOrAdd(Key(job, handsOnOnly), _ => FloorMinutes.Reckon(job, handsOnOnly));
    }

    private static string Key(FloorJob job, bool handsOnOnly)
    {
        var key = new StringBuilder();
        key.Append(
            CultureInfo.InvariantCulture,
            $"{job.Pieces} {job.Operators} {job.RackPlaces} {job.Policy} {job.FirstPiece} {job.MaxInWork} {handsOnOnly}"
        );
        foreach (var p in job.Presses)
        {
            key.Append(
                CultureInfo.InvariantCulture,
                $"|{p.OpensItself} {p.LoadsBeside} {p.RiseFPerMinute:R} {p.DropFPerMinute:R} {p.AtF:R}"
            );
        }
        foreach (var p in job.Passes)
        {
            key.Append(CultureInfo.InvariantCulture, $"|{p.TemperatureF:R} {p.SlackSeconds:R} {p.PeelWindowSeconds:R}");
            Append(key, p.Steps);
        }
        key.Append('|');
        Append(key, job.Before);
        key.Append('|');
        Append(key, job.After);
        return key.ToString();
    }

    private static void Append(StringBuilder key, IReadOnlyList<WorkStep> steps)
    {
        foreach (var s in steps)
        {
            key.Append(' ')
                .Append(s.Code)
                .Append(s.Hands ? 'h' : ' ')
                .Append(s.Press ? 'p' : ' ')
                .Append(s.ByItself ? 'm' : ' ')
                .Append(s.Seconds.ToString("R", CultureInfo.InvariantCulture));
        }
    }
}
