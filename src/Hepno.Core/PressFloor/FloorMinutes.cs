namespace Hepno.Core.PressFloor;

/// <summary>What one piece of a job takes when all are pressed: the minutes of prices and plans.</summary>
/// <param name="Pieces">Pieces of the job.</param>
/// <param name="PrepAttended">Charged hands of threading, pre-pressing and inspecting, s a piece.</param>
/// <param name="PrepHeld">Press held for them, s a piece.</param>
/// <param name="Attended">Charged hands of each pass, s a piece.</param>
/// <param name="Held">Press held by each pass, s a piece.</param>
/// <param name="MakespanSeconds">All pieces, first touch to last, s.</param>
/// <param name="Source">Where it comes from, in words.</param>
public sealed record FloorMinutes(
    int Pieces,
    double PrepAttended,
    double PrepHeld,
    IReadOnlyList<double> Attended,
    IReadOnlyList<double> Held,
    double MakespanSeconds,
    string Source
)
{
    /// <summary>Up to this many pieces the job is simulated whole; beyond, a further piece takes what the last dozen of
    /// these took.</summary>
    public const int Exact = 24;

    // for one press and one pair of hands the first three rules are as quick as all of them
    private const int Rules = 3;

    /// <summary>Charged hands of one piece, s.</summary>
    public double AttendedInAll => PrepAttended + Attended.Sum();

    /// <summary>Seconds from one piece to the next, all in all.</summary>
    public double SecondsAPiece => MakespanSeconds / Pieces;

    /// <summary>Simulates a job.</summary>
    /// <param name="job">A job without problems.</param>
    /// <param name="handsOnOnly">True to charge busy hands alone, not the short waits.</param>
    public static FloorMinutes Reckon(FloorJob job, bool handsOnOnly)
    {
        if (job.Pieces <= Exact)
        {
            return Reckon(job.Pieces, Totals(job, handsOnOnly), SourceOf(job));
        }
        var (half, whole) = Beyond(job, handsOnOnly);
        return Reckon(job, half, whole);
    }

    /// <summary>What half of the exact pieces and all of them take: all that any larger number follows from.</summary>
    internal static (double[] Half, double[] Whole) Beyond(FloorJob job, bool handsOnOnly) =>
        (Totals(job with { Pieces = Exact / 2 }, handsOnOnly), Totals(job with { Pieces = Exact }, handsOnOnly));

    /// <summary>A job of more pieces than are simulated, by the steady state and the end effect.</summary>
    internal static FloorMinutes Reckon(FloorJob job, double[] half, double[] whole) =>
        Reckon(
            job.Pieces,
            [.. whole.Select((w, i) => w + ((w - half[i]) / (Exact / 2) * (job.Pieces - Exact)))],
            SourceOf(job)
        );

    private static string SourceOf(FloorJob job) =>
        job.Policy == FloorPolicy.OneAtATime
            ? "the press floor: one at a time"
            : $"the press floor: a stream of {job.Pieces}";

    // makespan, then hands and press of each part in turn
    private static double[] Totals(FloorJob job, bool handsOnOnly)
    {
        var ran = PressFloorSimulation.Run(job, rules: Rules);
        return
        [
            ran.MakespanSeconds,
            .. ran.Parts.SelectMany(p => new[] { handsOnOnly ? p.HandsOnSeconds : p.AttendedSeconds, p.HeldSeconds }),
        ];
    }

    private static FloorMinutes Reckon(int pieces, double[] totals, string source)
    {
        double[] each = [.. totals.Skip(1).Select(t => t / pieces)];
        var passes = (each.Length / 2) - 1;
        return new(
            pieces,
            each[passes * 2],
            PrepHeld: each[(passes * 2) + 1],
            [.. Enumerable.Range(0, passes).Select(i => each[i * 2])],
            [.. Enumerable.Range(0, passes).Select(i => each[(i * 2) + 1])],
            totals[0],
            source
        );
    }
}
