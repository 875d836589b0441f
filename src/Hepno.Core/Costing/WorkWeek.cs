using Hepno.Core.Measures;
using Hepno.Core.Things;

namespace Hepno.Core.Costing;

/// <summary>When the shop is open, and who works there.</summary>
/// <param name="Days">Opening hours, Sunday first; seven of them.</param>
/// <param name="People">Who works here; empty for the owner alone, within the open hours.</param>
public sealed record WorkWeek(IReadOnlyList<DayHours> Days, IReadOnlyList<Person> People)
{
    /// <summary>Monday to Friday from nine to five, the owner alone.</summary>
    public static WorkWeek Default { get; } =
        new([new(null, null), .. Enumerable.Repeat(new DayHours(new(9, 0), new(17, 0)), 5), new(null, null)], []);

    /// <summary>Its fields, in the order of its form; people have a board of their own.</summary>
    public static FieldList<WorkWeek> Fields { get; } = new FieldList<WorkWeek>().Week(x => x.Days, none: "closed");

    /// <summary>Who works here: the people, or the owner alone within the open hours.</summary>
    /// <param name="wage">Money for an hour of the owner.</param>
    public IReadOnlyList<Person> Hands(decimal wage) =>
        People.Count > 0 ? People : [new Person("owner", "", wage, default, Days, null, 0, [])];

    /// <summary>Hours of hands a week: the people's, or the open hours where nobody is named.</summary>
    public double HoursAWeek() =>
        People.Count > 0
            ? People.Sum(p => p.HoursAWeek())
            : Days.Where(d => d.Open is not null).Sum(d => d.Close!.Value.HoursSince(d.Open!.Value));

    /// <summary>Days a week on which the shop is open.</summary>
    public int OpenDays() => Days.Count(d => d.Open is not null);

    /// <summary>What the owner must put right.</summary>
    public IEnumerable<Problem> Problems()
    {
        foreach (var problem in People.SelectMany((p, i) => p.Problems($"people[{i}]")))
        {
            yield return problem;
        }
        if (Days.Count != 7 || Days.All(d => d.Open is null))
        {
            yield return new("hours", "The shop is never open.", Where: "days", "Give at least one day its hours.");
        }
        foreach (var day in Days.Where(d => (d.Open is null) != (d.Close is null) || d.Close <= d.Open))
        {
            yield return new(
                "hours",
                $"A day cannot open at {day.Open:HH:mm} and close at {day.Close:HH:mm}.",
                Where: "days",
                "Give both hours, closing after opening, or none."
            );
        }
    }
}
