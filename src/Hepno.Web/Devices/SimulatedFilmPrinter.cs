using System.Collections.Concurrent;
using NodaTime;

namespace Hepno.Web.Devices;

/// <summary>Film printers that ship with the program and say that they are made up: jobs print one after the other at
/// the printer's speed. The queue is forgotten when the program ends. They go by the machine's own clock.</summary>
internal sealed class SimulatedFilmPrinter(TimeProvider time) : IFilmPrinterReadout
{
    // a real minute of printing is a second here, so that it can be tried out
    private const double Faster = 60;

    private readonly ConcurrentDictionary<ThingId, IReadOnlyList<Job>> queues = new();

    /// <inheritdoc/>
    public void Send(ThingId printerId, double in2PerMinute, IReadOnlyList<PrintJob> jobs) =>
        queues.AddOrUpdate(
            printerId,
            _ => After([], in2PerMinute, jobs),
            (_, before) => After(before, in2PerMinute, jobs)
        );

    /// <inheritdoc/>
    public FilmPrinterReadout Read(ThingId printerId)
    {
        var (now, jobs) = (Now, queues.GetValueOrDefault(printerId, []));
        return new(
            true,
            [
                .. jobs.Select(j => new QueuedJob(
                    j.Print,
                    Math.Clamp((now - j.From).TotalMinutes / Math.Max(1e-9, j.Minutes), 0, 1)
                )),
            ],
            jobs.Count == 0 ? 0 : Math.Max(0, (jobs[^1].Ends() - now).TotalMinutes)
        );
    }

    /// <inheritdoc/>
    public void Clear(ThingId printerId) => queues.TryRemove(printerId, out _);

    private Instant Now => Instant.FromDateTimeOffset(time.GetUtcNow());

    private List<Job> After(IReadOnlyList<Job> before, double in2PerMinute, IReadOnlyList<PrintJob> jobs)
    {
        List<Job> all = [.. before];
        var from = before.Count > 0 && before[^1].Ends() is var end && end > Now ? end : Now;
        foreach (var job in jobs)
        {
            var minutes = job.AreaIn2 / in2PerMinute / Faster;
            all.Add(new(job, from, minutes));
            from = all[^1].Ends();
        }
        return all;
    }

    private sealed record Job(PrintJob Print, Instant From, double Minutes)
    {
        public Instant Ends() => From + Duration.FromMinutes(Minutes);
    }
}
