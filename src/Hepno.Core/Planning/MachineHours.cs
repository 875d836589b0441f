using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>A machine that prints, cuts or calenders while the operator is elsewhere.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The shop's name for it.</param>
public sealed record Machine(ThingId Id, string Name);

/// <summary>What a machine does by itself for a line.</summary>
/// <param name="Machine">Which.</param>
/// <param name="Minutes">How long it runs.</param>
/// <param name="OnCloth">True where it works on the garment, and so begins when that is here.</param>
public sealed record MachineWork(Machine Machine, double Minutes, bool OnCloth);

/// <summary>Until when the shop's machines are busy: each one's queue is one line of work, in the hours it runs
/// (docs/trade 11).</summary>
/// <param name="Hours">Open hours: in them a machine runs that somebody looks after.</param>
/// <param name="Now">Wall clock.</param>
/// <param name="Unattended">Machines that run day and night.</param>
/// <param name="FreeAt">When each is free, by its identity; those not named are free now.</param>
public sealed record MachineHours(
    OpenHours Hours,
    LocalDateTime Now,
    IReadOnlyList<ThingId> Unattended,
    IReadOnlyDictionary<ThingId, LocalDateTime> FreeAt
)
{
    // what takes longer is never done, and what waits longer waits no matter for what: a calendar ends somewhere
    private const double MostMinutes = 1_000_000;
    private const int FurthestYears = 20;

    /// <summary>Days on which machines are out of use, presses and places of work among them.</summary>
    public IReadOnlyList<Downtime> Downtimes { get; init; } = [];

    /// <summary>Nothing waits for any machine.</summary>
    public static MachineHours Empty(OpenHours hours, LocalDateTime now, IReadOnlyList<ThingId>? unattended = null) =>
        new(hours, now, unattended ?? [], new Dictionary<ThingId, LocalDateTime>());

    /// <summary>The queue with a line's work put last.</summary>
    /// <param name="works">What machines do for it.</param>
    /// <param name="arrivesAt">When its garments are here.</param>
    public (MachineHours Then, LocalDateTime ReadyAt, string Cause) With(
        IReadOnlyList<MachineWork> works,
        LocalDateTime arrivesAt
    )
    {
        var free = new Dictionary<ThingId, LocalDateTime>(FreeAt);
        var (ready, cause) = (Now, "");
        foreach (var work in works.Where(w => w.Minutes > 0))
        {
            var begins = LocalDateTime.Max(
                free.GetValueOrDefault(work.Machine.Id, Now),
                work.OnCloth ? arrivesAt : Now
            );
            var minutes = Math.Min(work.Minutes, MostMinutes);
            var hours = Hours.Without(Downtime.Of(Downtimes, work.Machine.Id));
            LocalDateTime ends;
            if (begins > Now.PlusYears(FurthestYears))
            {
                ends = begins;
            }
            else if (Unattended.Contains(work.Machine.Id))
            {
                ends = hours.AddDayAndNight(begins, minutes);
            }
            else
            {
                ends = hours.Add(begins, minutes);
            }

            free[work.Machine.Id] = ends;
            if (ends > ready)
            {
                (ready, cause) = (
                    ends,
                    $"{work.Machine.Name}, {minutes / 60:0.#} h of work{hours.OutSaid(begins, ends)}"
                );
            }
        }
        return (this with { FreeAt = free }, ready, cause);
    }
}
