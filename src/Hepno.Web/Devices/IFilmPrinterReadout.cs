using Hepno.Core.Methods;

namespace Hepno.Web.Devices;

/// <summary>Prints sent to a printer.</summary>
/// <param name="Of">Whose they are: order, line and placement.</param>
/// <param name="Prints">How many.</param>
/// <param name="Name">As its queue shows it.</param>
/// <param name="AreaIn2">Printed box area of all of them, in².</param>
/// <param name="Use">What all of them take.</param>
internal sealed record PrintJob(
    (OrderId Order, LineId Line, PlacementId Placement) Of,
    int Prints,
    string Name,
    double AreaIn2,
    CureUse Use
);

/// <summary>A job with how much of it is printed.</summary>
/// <param name="Job">Which.</param>
/// <param name="Done">Share printed, 0 to 1.</param>
internal sealed record QueuedJob(PrintJob Job, double Done);

/// <summary>What a film printer says of itself.</summary>
/// <param name="Simulated">True for the stand-in that ships with the program.</param>
/// <param name="Queue">What was sent, in order; finished jobs stay until they are cleared.</param>
/// <param name="MinutesLeft">Until the queue is printed, min of the clock.</param>
internal sealed record FilmPrinterReadout(bool Simulated, IReadOnlyList<QueuedJob> Queue, double MinutesLeft)
{
    /// <summary>What the printed part of the queue took.</summary>
    public CureUse Used() =>
        Queue.Aggregate(CureUse.None, (sum, q) =>
            sum
            + new CureUse(
                q.Job.Use.ColourMl * q.Done,
                WhiteMl: q.Job.Use.WhiteMl * q.Done,
                q.Job.Use.FilmIn * q.Done,
                PowderG: q.Job.Use.PowderG * q.Done
            )
        );
}

/// <summary>A film printer that can be asked; a real one would stand behind the same interface.</summary>
internal interface IFilmPrinterReadout
{
    /// <summary>Most jobs of a queue, finished ones too.</summary>
    const int MostJobs = 200;

    /// <summary>Sends jobs to the end of the queue.</summary>
    /// <param name="printerId">Which printer.</param>
    /// <param name="in2PerMinute">Its speed, in² a minute.</param>
    /// <param name="jobs">What to print.</param>
    void Send(ThingId printerId, double in2PerMinute, IReadOnlyList<PrintJob> jobs);

    /// <summary>Reads it.</summary>
    FilmPrinterReadout Read(ThingId printerId);

    /// <summary>Stops it and empties its queue.</summary>
    void Clear(ThingId printerId);
}
