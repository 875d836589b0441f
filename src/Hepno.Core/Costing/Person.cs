using Hepno.Core.Measures;
using NodaTime;

namespace Hepno.Core.Costing;

/// <summary>One who works in the shop.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">Name, as called across the room.</param>
/// <param name="Wage">Money an hour, before what the shop pays on top.</param>
/// <param name="OnCostsShare">What the shop pays on top of the wage, as a share of it.</param>
/// <param name="Week">Hours of each weekday, Sunday first; seven of them.</param>
/// <param name="LunchFrom">When lunch begins, or null for none.</param>
/// <param name="LunchMinutes">How long it is.</param>
/// <param name="DaysOff">Days this person is away.</param>
public sealed record Person(
    PersonId Id,
    string Name,
    decimal Wage,
    Share OnCostsShare,
    IReadOnlyList<DayHours> Week,
    LocalTime? LunchFrom,
    int LunchMinutes,
    IReadOnlyList<LocalDate> DaysOff
)
{
    private const int LongestName = 60;

    /// <summary>Money an hour with on-costs.</summary>
    public decimal LabourRate() => Wage * OnCostsShare.OnTop;

    /// <summary>Hours a week, lunch left out.</summary>
    public double HoursAWeek() =>
        Week.Where(d => d.Open is not null)
            .Sum(d => d.Close!.Value.HoursSince(d.Open!.Value) - (Lunch(d) is { } l ? l.To.HoursSince(l.From) : 0));

    /// <summary>When this person works on a day: stretches before and after lunch; none on a day off.</summary>
    public IReadOnlyList<(LocalDateTime From, LocalDateTime To)> On(LocalDate day)
    {
        var hours = Week[day.Weekday()];
        if (hours is not { Open: { } open, Close: { } close } || DaysOff.Contains(day))
        {
            return [];
        }
        return Lunch(hours) is { } lunch
            ?
            [
                .. new[] { (day.At(open), day.At(lunch.From)), (day.At(lunch.To), day.At(close)) }.Where(s =>
                    s.Item2 > s.Item1
                ),
            ]
            : [(day.At(open), day.At(close))];
    }

    /// <summary>What the owner must put right.</summary>
    /// <param name="where">Where it stands.</param>
    public IEnumerable<Problem> Problems(string where)
    {
        if (Name.Trim().Length is 0 or > LongestName)
        {
            yield return new(
                "name",
                $"A name of {Name.Trim().Length} characters.",
                Where: $"{where}.name",
                $"Type 1 to {LongestName}."
            );
        }
        if (Wage is < 0 or > 10_000)
        {
            yield return new(
                "range",
                $"{Name}: a wage of {Wage:0.00} is outside 0 to 10,000.",
                Where: $"{where}.wage",
                "Type what an hour is paid."
            );
        }
        if (OnCostsShare.Part is < 0 or > 2)
        {
            yield return new(
                "range",
                $"{Name}: on-costs of {OnCostsShare.Percent:0.##}% are outside 0 to 200%.",
                Where: $"{where}.onCostsShare",
                "Type what you pay on top, as a share of the wage."
            );
        }
        if (LunchMinutes is < 0 or > 240)
        {
            yield return new(
                "range",
                $"{Name}: a lunch of {LunchMinutes} minutes is outside 0 to 240.",
                Where: $"{where}.lunchMinutes",
                "30 is usual."
            );
        }
        if (Week.Count != 7 || Week.Any(d => (d.Open is null) != (d.Close is null) || d.Close <= d.Open))
        {
            yield return new(
                "hours",
                $"{Name}: the hours of a day cannot be read.",
                Where: $"{where}.week",
                "Give seven days, each with both hours, closing after opening, or none."
            );
        }
    }

    private (LocalTime From, LocalTime To)? Lunch(DayHours d) =>
        LunchFrom is { } from && LunchMinutes > 0 && from > d.Open && from.PlusMinutes(LunchMinutes) < d.Close
            ? (from, from.PlusMinutes(LunchMinutes))
            : null;
}
