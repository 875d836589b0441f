using Hepno.Core.Measures;
using Hepno.Core.Things;
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

    /// <summary>Their fields, in the order of the form.</summary>
    public static FieldList<Person> Fields { get; } =
        new FieldList<Person>()
            .Named(x => x.Name, "Name", help: "Type 1 to 60 characters.")
            .AtMost(LongestName, "name")
            .Money(x => x.Wage, "Wage", Unit.MoneyFor("an hour"), (0, 10_000), "Type what an hour is paid.")
            .Share(x => x.OnCostsShare, "On-costs", (0, 2), "Type what you pay on top, as a share of the wage.")
            .Shaped(x => x.LunchFrom, "Lunch from", FieldShape.Time)
            .Number(x => x.LunchMinutes, "Lunch, minutes", Unit.None, 30, (0, 240), "30 is usual.")
            .Week(x => x.Week, none: "away")
            .Shaped(x => x.DaysOff, "Days off, like 2026-12-24", FieldShape.Days);

    /// <summary>Somebody new, as the form begins: in the shop's hours and at its wage.</summary>
    public static Person New(decimal wage, WorkWeek week) =>
        new(default, Name: "", wage, default, week.Days, new(12, 30), 30, []);

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
        foreach (var problem in Fields.Problems(this, "person"))
        {
            yield return problem with
            {
                Sentence = Name.Trim().Length == 0 ? problem.Sentence : $"{Name}: {problem.Sentence}",
                Where = $"{where}.{problem.Where}",
            };
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
