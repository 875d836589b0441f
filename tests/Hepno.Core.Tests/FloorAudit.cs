using Hepno.Core.PressFloor;

namespace Hepno.Core.Tests;

/// <summary>Looks a trace of the floor over by itself, knowing nothing of how it was made.</summary>
internal static class FloorAudit
{
    private static readonly string[] Down = ["close", "press", "pre-press", "second-press", "open"];

    /// <summary>What in the trace breaks a limit of the job.</summary>
    public static IEnumerable<string> Faults(FloorJob job, FloorResult ran)
    {
        job = ran.OpenedByHand
            ? job with
            {
                Presses = [.. job.Presses.Select(p => p with { OpensItself = false })],
            }
            : job;
        var chain = job.Chain.ToList();
        var hands = ran.Trace.Where(e => e.Lane == "hands").ToList();
        foreach (
            var fault in Overlaps(hands, job.Operators)
                .Concat(
                    Overlaps(
                        [
                            .. ran.Trace.Where(e =>
                                e.Lane == "press"
                                && e.Code != "heat"
                                && (!job.Presses[e.Index].LoadsBeside || Down.Contains(e.Code))
                            ),
                        ],
                        job.Presses.Count
                    )
                )
        )
        {
            yield return fault;
        }
        for (var piece = 0; piece < job.Pieces; piece++)
        {
            var mine = hands.Where(e => e.Piece == piece && e.Code != "judge").OrderBy(e => e.From).ToList();
            var wanted = chain
                .Where(s => s.Hands)
                .Select(s => s.Code)
                .Where(c => c != "open" || mine.Any(m => m.Code == "open"))
                .ToList();
            if (!mine.Select(e => e.Code).SequenceEqual(wanted))
            {
                yield return $"piece {piece}: {string.Join(' ', mine.Select(e => e.Code))}";
            }
        }
        foreach (var dwell in ran.Trace.Where(e => e.Code is "press" or "pre-press" or "second-press"))
        {
            var opening = hands
                .Where(e => e.Piece == dwell.Piece && e.Code == "open" && e.From >= dwell.Until - 1e-6)
                .MinBy(e => e.From);
            var slack = job.Passes[0].SlackSeconds;
            if (opening is not null && opening.From > dwell.Until + slack + 1e-6)
            {
                yield return $"piece {dwell.Piece}: {dwell.Code} opened {opening.From - dwell.Until:0.##} s late";
            }
            var peel = hands
                .Where(e => e.Piece == dwell.Piece && e.Code == "peel" && e.From >= dwell.Until)
                .MinBy(e => e.From);
            if (dwell.Code == "press" && peel is not null && job.Passes[0].PeelWindowSeconds is { } window)
            {
                var opened = opening?.Until ?? dwell.Until;
                var cooled = ran
                    .Trace.FirstOrDefault(e =>
                        e.Lane == "rack" && e.Piece == dwell.Piece && e.From >= dwell.Until - 1e-6
                    )
                    ?.From
                    is null
                    ? 0
                    : chain
                        .SkipWhile(s => s.Code != "press")
                        .Skip(2)
                        .TakeWhile(s => s.Code != "peel")
                        .Sum(s => s.Seconds);
                if (peel.From > opened + cooled + window + 1e-6)
                {
                    yield return $"piece {dwell.Piece}: peeled {peel.From - opened - cooled:0.##} s after it might";
                }
            }
        }
        // a place is taken from unloading to peeling
        var places = ran
            .Trace.Where(e => e.Lane == "rack")
            .SelectMany(e =>
                new[]
                {
                    (
                        At: hands.Last(h => h.Piece == e.Piece && h.Code == "unload" && h.Until <= e.Until + 1e-6).From,
                        Change: 1
                    ),
                    (At: e.Until, Change: -1),
                }
            )
            .OrderBy(x => x.At)
            .ThenBy(x => x.Change);
        var on = 0;
        foreach (var (at, change) in places)
        {
            on += change;
            if (on > job.RackPlaces)
            {
                yield return $"{on} on a rack of {job.RackPlaces} at {at:0.##} s";
            }
        }
    }

    private static IEnumerable<string> Overlaps(IReadOnlyList<FloorEvent> events, int lanes)
    {
        for (var lane = 0; lane < lanes; lane++)
        {
            var mine = events.Where(e => e.Index == lane).OrderBy(e => e.From).ThenBy(e => e.Until).ToList();
            for (var i = 1; i < mine.Count; i++)
            {
                if (mine[i].From < mine[i - 1].Until - 1e-6)
                {
                    yield return $"{mine[i].Lane} {lane} at {mine[i].From:0.##} s: {mine[i - 1].Code} of {mine[i - 1].Piece} "
                        + $"and {mine[i].Code} of {mine[i].Piece}";
                }
            }
        }
    }
}
