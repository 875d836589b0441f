namespace Hepno.Core.PressFloor;

/// <summary>What is the narrow place on the floor.</summary>
public enum NarrowPlace
{
    /// <summary>The hands: they are busy nearly all the time.</summary>
    Hands,

    /// <summary>The press.</summary>
    Press,

    /// <summary>The rack: pieces wait to be laid on it.</summary>
    Rack,

    /// <summary>Waiting: each piece is waited for before the next is begun.</summary>
    Waiting,
}

/// <summary>A change to the floor and what it would take off.</summary>
/// <param name="Code">Stable word.</param>
/// <param name="What">What is changed, on screen.</param>
/// <param name="SecondsAPiece">Seconds less for each piece; 0 when it does nothing.</param>
/// <param name="SecondsInAll">Seconds less in all.</param>
/// <param name="Note">Why it does nothing, or what it costs besides money; may be empty.</param>
public sealed record FloorChange(string Code, string What, double SecondsAPiece, double SecondsInAll, string Note);

/// <summary>Says what holds a job up, and what would help most.</summary>
public static class FloorHelp
{
    private const double NearlyAll = 0.93;

    // 20 s from the opening on a cold plate, 4 of which go by while it is lifted off
    private const double OnColdPlate = 16;

    /// <summary>The narrow place of a job as it was found.</summary>
    public static NarrowPlace NarrowOf(FloorJob job, FloorResult found)
    {
        if (job.Policy == FloorPolicy.OneAtATime)
        {
            return NarrowPlace.Waiting;
        }
        if (found.LargestRack >= job.RackPlaces && found.HandsShare < NearlyAll && found.PressShare < NearlyAll)
        {
            return NarrowPlace.Rack;
        }
        return found.HandsShare >= found.PressShare ? NarrowPlace.Hands : NarrowPlace.Press;
    }

    /// <summary>The narrow place in a sentence.</summary>
    public static string Said(NarrowPlace place) =>
        place switch
        {
            NarrowPlace.Hands => "your hands are the narrow place",
            NarrowPlace.Press => "the press is the narrow place",
            NarrowPlace.Rack => "the rack is the narrow place",
            _ => "waiting for each piece is what takes the time",
        };

    /// <summary>Changes tried one at a time, what helps most first; those that do nothing last, with why.</summary>
    public static IReadOnlyList<FloorChange> Changes(FloorJob job, FloorResult found)
    {
        var why = Said(NarrowOf(job, found));
        return
        [
            .. Tried(job)
                .Select(t =>
                {
                    // a twentieth of a second a piece is not worth a word
                    var saved = found.MakespanSeconds - PressFloorSimulation.Run(t.Job).MakespanSeconds;
                    return saved / job.Pieces < 0.05
                        ? new FloorChange(t.Code, t.What, 0, SecondsInAll: 0, why)
                        : new FloorChange(t.Code, t.What, saved / job.Pieces, SecondsInAll: saved, t.Note);
                })
                .OrderByDescending(c => c.SecondsInAll),
        ];
    }

    private static IEnumerable<(string Code, string What, string Note, FloorJob Job)> Tried(FloorJob job)
    {
        if (job.Policy == FloorPolicy.OneAtATime)
        {
            yield return ("stream", "press the next while one cools", "", job with { Policy = FloorPolicy.Stream });
        }
        if (job.Presses.Any(p => !p.LoadsBeside))
        {
            var beside = job with { Presses = [.. job.Presses.Select(p => p with { LoadsBeside = true })] };
            yield return ("second-lower", "a second lower platen", "", beside);
        }
        if (job.Presses.Any(p => !p.OpensItself))
        {
            var itself = job with { Presses = [.. job.Presses.Select(p => p with { OpensItself = true })] };
            yield return ("auto-open", "a press that opens itself", "", itself);
        }
        var another = job with { Presses = [.. job.Presses, job.Presses[0] with { Name = "another" }] };
        yield return ("press", "another press like it", "", another);
        yield return ("hands", "somebody beside you", "", job with { Operators = job.Operators + 1 });
        if (job.Chain.Any(s => s.Code == "second-press"))
        {
            yield return (
                "no-second",
                "no second press",
                "what it does for the washes is lost",
                job with
                {
                    Passes = [.. job.Passes.Select(p => p with { Steps = WithoutSecond(p.Steps) })],
                }
            );
        }
        if (job.Chain.Any(s => s.Code == "cool" && s.Seconds > OnColdPlate))
        {
            yield return (
                "cold-plate",
                "a cold plate",
                "",
                job with
                {
                    Passes = [.. job.Passes.Select(p => p with { Steps = [.. p.Steps.Select(Cooled)] })],
                }
            );
        }
    }

    private static WorkStep Cooled(WorkStep step) =>
        step.Code == "cool" && step.Seconds > OnColdPlate ? step with { Seconds = OnColdPlate } : step;

    private static IReadOnlyList<WorkStep> WithoutSecond(IReadOnlyList<WorkStep> steps)
    {
        var at = steps.ToList().FindIndex(s => s.Code == "second-press");
        if (at < 0)
        {
            return steps;
        }
        var from = at;
        while (from > 0 && steps[from].Code != "reload")
        {
            from--;
        }
        // re-load, cover, close, press, open, lift off
        return [.. steps.Take(from), .. steps.Skip(at + 3)];
    }
}
