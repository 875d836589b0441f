using Hepno.Core.Blanks;
using Hepno.Core.Orders;

namespace Hepno.Core.Runs;

/// <summary>One line of an order, as it is pressed.</summary>
/// <param name="LineId">Which line.</param>
/// <param name="Sizes">Its size run.</param>
/// <param name="Passes">Decorations a piece goes through, 1 or more.</param>
public sealed record RunLine(LineId LineId, IReadOnlyList<SizeCount> Sizes, int Passes)
{
    /// <summary>Names and numbers, a piece each in the order of the list; none when all are alike.</summary>
    public IReadOnlyList<OwnPiece> Names { get; init; } = [];

    /// <summary>What the n-th piece of a size has of its own, from 0; empty for nothing.</summary>
    public string SaysOf(string size, int nth) =>
        Names.Where(n => n.Size == size).Skip(nth).FirstOrDefault()?.Says() ?? "";

    /// <summary>Pieces of the line.</summary>
    public int Pieces => SizeRun.Total(Sizes);
}

/// <summary>Where one piece stands.</summary>
public enum PieceStanding
{
    /// <summary>Still to be pressed.</summary>
    Waiting,

    /// <summary>Through some passes, not all.</summary>
    Between,

    /// <summary>Good.</summary>
    Good,
}

/// <summary>One piece of a run.</summary>
/// <param name="LineId">Its line.</param>
/// <param name="PieceNo">From 1, through all lines.</param>
/// <param name="Size">Its size.</param>
/// <param name="Standing">Where it stands.</param>
/// <param name="Attempt">The blank now in hand, from 1.</param>
/// <param name="Passes">Passes the blank in hand has come through.</param>
/// <param name="Says">Its own name and number; empty for none.</param>
public sealed record PieceState(
    LineId LineId,
    int PieceNo,
    string Size,
    PieceStanding Standing,
    int Attempt,
    int Passes,
    string Says = ""
);

/// <summary>Something still to be pressed.</summary>
/// <param name="LineId">Its line.</param>
/// <param name="PieceNo">Piece.</param>
/// <param name="Attempt">Which blank of it.</param>
/// <param name="Pass">Which decoration, from 1.</param>
/// <param name="Size">Size.</param>
/// <param name="Says">Its own name and number; empty for none.</param>
/// <param name="FromEnd">Its place, from 0, for another pair of hands: they begin at the far end of each pass.</param>
public sealed record RunTask(
    LineId LineId,
    int PieceNo,
    int Attempt,
    int Pass,
    string Size,
    string Says = "",
    int FromEnd = 0
);

/// <summary>Good and spoiled pieces of a size.</summary>
/// <param name="LineId">Line.</param>
/// <param name="Size">Size.</param>
/// <param name="Needed">Pieces of the order.</param>
/// <param name="Good">Good so far.</param>
/// <param name="Spoiled">Spoiled so far.</param>
public sealed record SizeTally(LineId LineId, string Size, int Needed, int Good, int Spoiled);

/// <summary>What a run's events come to.</summary>
/// <param name="Good">Pieces through all passes.</param>
/// <param name="Spoiled">Blanks spoiled.</param>
/// <param name="Counted">Verdicts that count.</param>
/// <param name="Sizes">By line and size, in the order's own order.</param>
/// <param name="Pieces">Every piece.</param>
/// <param name="Todo">What is still to press, in order.</param>
/// <param name="NotCounted">Verdicts kept but not counted: a second one for the same piece.</param>
/// <param name="Last">The newest counted verdict, or null.</param>
/// <param name="Events">Events taken in; they only accrue, so of two states the one of more events is the newer.</param>
public sealed record RunState(
    int Good,
    int Spoiled,
    int Counted,
    IReadOnlyList<SizeTally> Sizes,
    IReadOnlyList<PieceState> Pieces,
    IReadOnlyList<RunTask> Todo,
    IReadOnlyList<RunEvent> NotCounted,
    RunEvent? Last,
    int Events
);

/// <summary>The one place that turns a run's events into counts; counts are never stored (docs/trade 12).</summary>
public static class RunReplay
{
    /// <summary>Plays the events again in the order the server took them.</summary>
    /// <param name="lines">The order's lines; pieces are numbered through them from 1.</param>
    /// <param name="events">Events, oldest first.</param>
    public static RunState After(IReadOnlyList<RunLine> lines, IReadOnlyList<RunEvent> events)
    {
        var takenBack = events.Where(e => e.Verdict == RunVerdict.TakenBack).Select(e => e.TakesBack).ToHashSet();
        var standing = events.Where(e => e.Verdict != RunVerdict.TakenBack && !takenBack.Contains(e.EventId)).ToList();
        var first = new Dictionary<(int, int, int), RunEvent>();
        foreach (var e in standing)
        {
            first.TryAdd((e.PieceNo, e.Attempt, e.Pass), e);
        }
        var counted = new HashSet<RunEvent>(ReferenceEqualityComparer.Instance);
        var pieces = new List<PieceState>();
        var todo = new List<RunTask>();
        var tallies = new List<SizeTally>();
        var number = 0;
        foreach (var line in lines)
        {
            var left = new List<RunTask>();
            foreach (var size in line.Sizes.Where(s => s.Pieces > 0))
            {
                var (good, spoiled) = (0, 0);
                for (var n = 0; n < size.Pieces; n++)
                {
                    number++;
                    var (attempt, pass) = (1, 0);
                    while (pass < line.Passes && first.TryGetValue((number, attempt, pass + 1), out var e))
                    {
                        counted.Add(e);
                        if (e.Verdict == RunVerdict.Good)
                        {
                            pass++;
                            continue;
                        }
                        spoiled++;
                        (attempt, pass) = (attempt + 1, 0);
                    }
                    good += pass == line.Passes ? 1 : 0;
                    var says = line.SaysOf(size.Size, n);
                    pieces.Add(new(line.LineId, number, size.Size, Standing(pass, line.Passes), attempt, pass, says));
                    for (var p = pass + 1; p <= line.Passes; p++)
                    {
                        left.Add(new(line.LineId, number, attempt, p, size.Size, says));
                    }
                }
                tallies.Add(new(line.LineId, size.Size, size.Pieces, good, spoiled));
            }
            // a line is pressed through before the next: its garment, its settings and its transfers lie ready together
            todo.AddRange(InOrder(left, todo.Count));
        }
        return new(
            tallies.Sum(t => t.Good),
            Spoiled: tallies.Sum(t => t.Spoiled),
            counted.Count,
            tallies,
            pieces,
            todo,
            [.. standing.Where(e => !counted.Contains(e))],
            standing.LastOrDefault(counted.Contains),
            events.Count
        );
    }

    private static IEnumerable<RunTask> InOrder(List<RunTask> left, int before)
    {
        var byPass = left.OrderBy(t => t.Pass).ThenBy(t => t.Attempt);
        var far = byPass.ThenByDescending(t => t.PieceNo).Select((t, i) => (t, i)).ToDictionary(x => x.t, x => x.i);
        return byPass.ThenBy(t => t.PieceNo).Select(t => t with { FromEnd = before + far[t] });
    }

    /// <summary>Events of one line's pieces.</summary>
    public static IReadOnlyList<RunEvent> OfLine(
        IReadOnlyList<RunLine> lines,
        LineId lineId,
        IReadOnlyList<RunEvent> events
    )
    {
        var from = 1;
        foreach (var line in lines)
        {
            if (line.LineId == lineId)
            {
                var end = from + line.Pieces;
                return [.. events.Where(e => e.PieceNo >= from && e.PieceNo < end)];
            }
            from += line.Pieces;
        }
        return [];
    }

    private static PieceStanding Standing(int pass, int passes)
    {
        if (pass == passes)
        {
            return PieceStanding.Good;
        }
        return pass > 0 ? PieceStanding.Between : PieceStanding.Waiting;
    }
}
