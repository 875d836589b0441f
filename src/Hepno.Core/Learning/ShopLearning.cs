using Hepno.Core.Methods;
using Hepno.Core.Runs;

namespace Hepno.Core.Learning;

/// <summary>What the shop recorded of one line that was handed over.</summary>
/// <param name="Methods">Method of each pass, in the order of pressing.</param>
/// <param name="Places">Where each pass prints, in the order of pressing.</param>
/// <param name="StandardSeconds">Hands at the press for one start, all passes, by the standards.</param>
/// <param name="Events">Its events.</param>
/// <param name="Laps">Standard seconds of each lap, by pass.</param>
/// <param name="Finishing">Passes that finish what an earlier one began, from 1: what they spoil is its way's, what
/// they do not is no attempt of its own; null for none.</param>
public sealed record LineRecorded(
    IReadOnlyList<MethodId> Methods,
    IReadOnlyList<string> Places,
    double StandardSeconds,
    IReadOnlyList<RunEvent> Events,
    IReadOnlyList<IReadOnlyDictionary<string, double>> Laps,
    IReadOnlyList<int>? Finishing = null
);

/// <summary>Seconds of one step of one method.</summary>
/// <param name="MethodId">Method.</param>
/// <param name="Step">lay, press, peel or again.</param>
/// <param name="Standard">By the standards, s a piece.</param>
/// <param name="Recorded">Mean as recorded, s a piece.</param>
/// <param name="Timings">Pieces it rests on.</param>
public sealed record StepLearned(MethodId MethodId, string Step, double Standard, double Recorded, int Timings)
{
    /// <summary>The method's name on screen.</summary>
    public string Method => DecorationMethods.Find(MethodId)?.Name ?? MethodId.Text;
}

/// <summary>Seconds of hands at one print of one method.</summary>
/// <param name="MethodId">Method.</param>
/// <param name="Place">Where.</param>
/// <param name="Standard">By the standards, s.</param>
/// <param name="Recorded">Mean as recorded, s.</param>
/// <param name="Timings">How many.</param>
public sealed record SecondsLearned(MethodId MethodId, string Place, double Standard, double Recorded, int Timings)
{
    /// <summary>The method's name on screen.</summary>
    public string Method => DecorationMethods.Find(MethodId)?.Name ?? MethodId.Text;
}

/// <summary>Spoiled attempts at one print of one method.</summary>
/// <param name="MethodId">Method.</param>
/// <param name="Place">Where.</param>
/// <param name="Spoiled">Spoiled.</param>
/// <param name="Attempts">Of so many.</param>
public sealed record SpoiledLearned(MethodId MethodId, string Place, int Spoiled, int Attempts)
{
    /// <summary>The method's name on screen.</summary>
    public string Method => DecorationMethods.Find(MethodId)?.Name ?? MethodId.Text;
}

/// <summary>A setting that the record would change.</summary>
/// <param name="Key">"hands", or "spoilage" of a method.</param>
/// <param name="MethodId">Method; empty for hands.</param>
/// <param name="Now">As it is set.</param>
/// <param name="Learned">As the record has it, the assumption weighed in.</param>
/// <param name="Seen">Pieces it rests on.</param>
public sealed record Candidate(string Key, MethodId MethodId, double Now, double Learned, int Seen);

/// <summary>Standards and spoilage over everything the shop recorded (docs/trade 14).</summary>
public static class ShopLearning
{
    private const int LeastSeen = 10;
    private const double LongestObservation = 3;

    /// <summary>The rule by which an order's record is read: another number, and what was kept of every order is read
    /// anew.</summary>
    public const int Rule = 3;

    /// <summary>What some lines taught, each thing once.</summary>
    public static IReadOnlyList<LearnedPart> Parts(IReadOnlyList<LineRecorded> lines) =>
        LearnedPart.Sum(lines.SelectMany(l => Hands(l).Concat(Steps(l)).Concat(Attempts(l))));

    /// <summary>Hands by method and place, most timed first.</summary>
    public static IReadOnlyList<SecondsLearned> Seconds(IReadOnlyList<LearnedPart> parts) =>
        [
            .. parts
                .Where(p => p.Kind == LearnedKind.Hands)
                .Select(p => new SecondsLearned(
                    p.MethodId,
                    p.What,
                    p.Standard / p.Seen,
                    Recorded: p.Recorded / p.Seen,
                    p.Seen
                ))
                .OrderByDescending(s => s.Timings),
        ];

    /// <summary>Seconds by method and step, in the order of pressing; good pieces only, since a spoiled one ends early,
    /// and only where the platen's closing was told.</summary>
    public static IReadOnlyList<StepLearned> Steps(IReadOnlyList<LearnedPart> parts) =>
        [
            .. parts
                .Where(p => p.Kind == LearnedKind.Step)
                .Select(p => new StepLearned(
                    p.MethodId,
                    p.What,
                    p.Standard / p.Seen,
                    Recorded: p.Recorded / p.Seen,
                    p.Seen
                ))
                .OrderBy(s => s.MethodId.Text, StringComparer.Ordinal)
                .ThenBy(s => StepLap.Steps.ToList().IndexOf(s.Step)),
        ];

    /// <summary>Spoilage by method and place, most attempts first.</summary>
    public static IReadOnlyList<SpoiledLearned> Spoilage(IReadOnlyList<LearnedPart> parts) =>
        [
            .. parts
                .Where(p => p.Kind == LearnedKind.Spoilage)
                .Select(p => new SpoiledLearned(p.MethodId, p.What, p.Spoiled, p.Seen))
                .OrderByDescending(s => s.Attempts),
        ];

    /// <summary>Settings the record would change, each weighed against what was assumed; only those with enough behind
    /// them.</summary>
    /// <param name="parts">What everything handed over taught.</param>
    /// <param name="handsNow">Factor on the standards now.</param>
    /// <param name="spoilage">Assumed and present share of each method.</param>
    public static IReadOnlyList<Candidate> Candidates(
        IReadOnlyList<LearnedPart> parts,
        double handsNow,
        IReadOnlyDictionary<MethodId, (double Assumed, double Now)> spoilage
    )
    {
        var found = new List<Candidate>();
        var seconds = Seconds(parts);
        var timings = seconds.Sum(s => s.Timings);
        if (timings >= LeastSeen)
        {
            var (standard, recorded) = (
                seconds.Sum(s => s.Standard * s.Timings) / timings,
                seconds.Sum(s => s.Recorded * s.Timings) / timings
            );
            found.Add(
                new(
                    "hands",
                    "",
                    handsNow,
                    Math.Round(Learned.StandardSeconds(standard, observedMeanSeconds: recorded, timings) / standard, 3),
                    timings
                )
            );
        }
        foreach (
            var method in Spoilage(parts)
                .GroupBy(s => s.MethodId)
                .Where(g => g.Sum(s => s.Attempts) >= LeastSeen && spoilage.ContainsKey(g.Key))
        )
        {
            var (assumed, now) = spoilage[method.Key];
            found.Add(
                new(
                    "spoilage",
                    method.Key,
                    now,
                    Math.Round(
                        Learned.SpoiledShare(assumed, method.Sum(s => s.Spoiled), pieces: method.Sum(s => s.Attempts)),
                        4
                    ),
                    method.Sum(s => s.Attempts)
                )
            );
        }
        return [.. found.Where(c => Math.Abs(c.Learned - c.Now) > 0.0005)];
    }

    private static IEnumerable<LearnedPart> Hands(LineRecorded l) =>
        Standing(l.Events)
            .Where(e => e.Pass <= l.Places.Count)
            .Select(e =>
                Timed(
                    LearnedKind.Hands,
                    l.Methods[e.Pass - 1],
                    l.Places[e.Pass - 1],
                    l.StandardSeconds / l.Places.Count,
                    e.SecondsOnPiece
                )
            );

    private static IEnumerable<LearnedPart> Steps(LineRecorded l) =>
        Standing(l.Events)
            .Where(e =>
                e.Verdict == RunVerdict.Good && e.Laps.Any(x => x.Step == StepLap.Press) && e.Pass <= l.Laps.Count
            )
            .SelectMany(e =>
                l.Laps[e.Pass - 1]
                    .Select(standard =>
                        Timed(
                            LearnedKind.Step,
                            l.Methods[e.Pass - 1],
                            standard.Key,
                            standard.Value,
                            e.Laps.Where(x => x.Step == standard.Key).Sum(x => x.Seconds)
                        )
                    )
            );

    // what finishes is no attempt of its own
    private static IEnumerable<LearnedPart> Attempts(LineRecorded l) =>
        Standing(l.Events)
            .Where(e => e.Pass <= l.Places.Count)
            .Select(e => new LearnedPart(
                LearnedKind.Spoilage,
                l.Methods[e.Pass - 1],
                l.Places[e.Pass - 1],
                0,
                Recorded: 0,
                l.Finishing?.Contains(e.Pass) == true ? 0 : 1,
                Spoiled: e.Verdict == RunVerdict.Spoiled ? 1 : 0
            ));

    private static LearnedPart Timed(
        LearnedKind kind,
        MethodId methodId,
        string what,
        double standard,
        double recorded
    ) => new(kind, methodId, what, standard, Math.Min(recorded, LongestObservation * standard), 1, Spoiled: 0);

    private static IEnumerable<RunEvent> Standing(IReadOnlyList<RunEvent> events)
    {
        var takenBack = events.Where(e => e.TakesBack is not null).Select(e => e.TakesBack).ToHashSet();
        return events.Where(e => e.Verdict != RunVerdict.TakenBack && !takenBack.Contains(e.EventId));
    }
}
