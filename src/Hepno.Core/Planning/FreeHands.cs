using Hepno.Core.Costing;
using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Planning;

/// <summary>Hours of hands for which nothing is planned yet.</summary>
public static class FreeHands
{
    private const int FurthestDays = 120;

    /// <summary>Hours from now until a moment in which somebody works, the shop is open and no press work is planned
    /// for that person.</summary>
    /// <param name="floor">Now, hours, people and what is planned.</param>
    /// <param name="until">Wall clock; what lies more than 120 days ahead is not looked at.</param>
    public static double HoursUntil(FloorPlan floor, LocalDateTime until) =>
        floor.Hands.Sum(p => HoursOf(p, floor, until));

    private static double HoursOf(Person person, FloorPlan floor, LocalDateTime until)
    {
        var busy = floor
            .Placed.SelectMany(w => w.Parts)
            .Where(p => p.PersonId == person.Id)
            .OrderBy(p => p.Start)
            .Select(p => (p.BusyFrom(), p.End))
            .ToList();
        var hours = 0.0;
        for (
            var day = floor.Now.Date;
            day <= floor.Now.Date.PlusDays(FurthestDays) && day.AtMidnight() < until;
            day = day.PlusDays(1)
        )
        {
            if (floor.Hours.On(day) is not { } open)
            {
                continue;
            }
            var (from, to) = (open.Open > floor.Now ? open.Open : floor.Now, open.Close < until ? open.Close : until);
            hours += SlotSearch.Free(person.On(day), busy, (from, to)).Sum(f => f.To.MinutesSince(f.From) / 60);
        }
        return hours;
    }
}
