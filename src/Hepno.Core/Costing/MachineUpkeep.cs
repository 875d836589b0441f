using Hepno.Core.Measures;
using Hepno.Core.Things;
using NodaTime;

namespace Hepno.Core.Costing;

/// <summary>How often a machine is tended.</summary>
public enum UpkeepEvery
{
    /// <summary>Every open day.</summary>
    Day,

    /// <summary>Every week.</summary>
    Week,

    /// <summary>Every month.</summary>
    Month,

    /// <summary>When it needs it, so many times a year.</summary>
    AsNeeded,
}

/// <summary>One thing a machine wants done.</summary>
/// <param name="Id">Identity within the machine.</param>
/// <param name="Name">What is done.</param>
/// <param name="Every">How often.</param>
/// <param name="Minutes">Hands each time, min.</param>
/// <param name="Cost">Money each time: ink, pads, a blade.</param>
/// <param name="TimesAYear">For what is done as needed: how often a year; 0 for the others.</param>
public sealed record UpkeepTask(
    string Id,
    string Name,
    UpkeepEvery Every,
    double Minutes,
    decimal Cost,
    double TimesAYear = 0
);

/// <summary>It was done.</summary>
/// <param name="TaskId">Which task.</param>
/// <param name="Day">When.</param>
/// <param name="By">Who; may be empty.</param>
/// <param name="Note">What was found; may be empty.</param>
public sealed record UpkeepDone(string TaskId, LocalDate Day, string By, string Note);

/// <summary>A task that is due.</summary>
/// <param name="Task">Which.</param>
/// <param name="On">The day it is due, an open one.</param>
/// <param name="Last">When it was done last; null for never.</param>
public sealed record UpkeepDue(UpkeepTask Task, LocalDate On, LocalDate? Last);

/// <summary>What a machine wants done, and what was done.</summary>
/// <param name="Id">The machine: a press, printer or cutter.</param>
/// <param name="Tasks">What it wants.</param>
/// <param name="Done">The log, oldest first.</param>
public sealed record MachineUpkeep(ThingId Id, IReadOnlyList<UpkeepTask> Tasks, IReadOnlyList<UpkeepDone> Done)
    : IKept<MachineUpkeep>
{
    /// <summary>What it is as a kind of thing the shop keeps.</summary>
    public static ThingKind<MachineUpkeep> Described { get; } =
        new("upkeep", noun: "upkeep", x => x.Id.Text, (x, id) => x with { Id = new(id) })
        {
            Rules = x => x.Problems(),
            IsReadAtPress = true,
            Order = ListedBy.Text<MachineUpkeep>(x => x.Id.Text),
        };

    private const int WeeksAYear = 52;
    private const int MonthDays = 30;
    private const int WeekDays = 7;

    /// <summary>What is due by a day, the longest due first. What was never done is due at once; a closed day passes it
    /// on to the next open one.</summary>
    /// <param name="today">The day.</param>
    /// <param name="week">Open hours, Sunday first.</param>
    public IReadOnlyList<UpkeepDue> DueBy(LocalDate today, IReadOnlyList<DayHours> week) =>
        [
            .. Tasks
                .Where(t => t.Every != UpkeepEvery.AsNeeded)
                .Select(t => Next(t, today, week))
                .Where(d => d.On <= today)
                .OrderBy(d => d.On),
        ];

    /// <summary>When a task is due next.</summary>
    public UpkeepDue Next(UpkeepTask task, LocalDate today, IReadOnlyList<DayHours> week)
    {
        var last = Done.Where(d => d.TaskId == task.Id).Select(d => (LocalDate?)d.Day).Max();
        var on = last is { } day
            ? day.PlusDays(
                task.Every switch
                {
                    UpkeepEvery.Day => 1,
                    UpkeepEvery.Week => WeekDays,
                    _ => MonthDays,
                }
            )
            : today;
        for (var i = 0; i < WeekDays && week[on.Weekday()].Open is null; i++)
        {
            on = on.PlusDays(1);
        }
        return new(task, on, last);
    }

    /// <summary>Its hands and money for each productive hour of the machine, opened to its tasks.</summary>
    /// <param name="wage">Money for an hour of hands.</param>
    /// <param name="openDaysAWeek">Days a week on which it is tended.</param>
    /// <param name="productiveHoursAYear">Hours the machine is held a year.</param>
    public Figure PerHour(decimal wage, int openDaysAWeek, double productiveHoursAYear)
    {
        var openDays = openDaysAWeek * WeeksAYear;
        double Times(UpkeepTask t) =>
            t.Every switch
            {
                UpkeepEvery.Day => openDays,
                UpkeepEvery.Week => WeeksAYear,
                UpkeepEvery.Month => 12,
                _ => t.TimesAYear,
            };
        var year = Figure.Sum(
            "tending-year",
            "Tending a year",
            [
                .. Tasks.Select(t =>
                    Figure.Of(
                        $"tend-{t.Id}",
                        label: t.Name,
                        Money.Times(Times(t), (Money.Times(t.Minutes, wage) / 60) + t.Cost),
                        "times × (minutes × wage + cost)",
                        Figure.Input("times", "Times a year", Times(t), FigureUnit.Count, "Floor: upkeep"),
                        Figure.Input("time", "time", t.Minutes * 60, FigureUnit.Seconds, "Floor: upkeep"),
                        Figure.Input("wage", "Wage", wage, FigureUnit.MoneyAnHour, "Numbers: wage"),
                        Figure.Input("cost", "Cost each time", t.Cost, FigureUnit.Money, "Floor: upkeep")
                    )
                ),
            ]
        );
        return Figure.Of(
            "tending",
            "Tending",
            year.Value / (decimal)productiveHoursAYear,
            "a year ÷ hours a year",
            year,
            Figure.Input("hours", "Hours a year", productiveHoursAYear, FigureUnit.Count, "Floor: the machine")
        );
    }

    /// <summary>What cannot be kept.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (Tasks.Count > 40)
        {
            yield return new("many", $"{Tasks.Count} tasks for one machine.", Where: "tasks", "At most 40.");
        }
        foreach (var (task, i) in Tasks.Select((t, i) => (t, i)))
        {
            if (task.Name.Trim().Length is 0 or > 100 || Tasks.Take(i).Any(t => t.Id == task.Id))
            {
                yield return new(
                    "name",
                    task.Name.Trim().Length == 0
                        ? "A task has no name."
                        : $"\"{task.Name}\" cannot be told from another task.",
                    Where: $"tasks[{i}].name",
                    "Say what is done, in at most 100 letters."
                );
            }
            if (
                task.Minutes is not (>= 0 and <= 480)
                || task.Cost is < 0 or > 100_000
                || task.TimesAYear is not (>= 0 and <= 5000)
            )
            {
                yield return new(
                    "range",
                    $"{task.Name}: {task.Minutes:0.##} minutes, {task.Cost:0.00}, {task.TimesAYear:0.##} times a "
                        + "year cannot be.",
                    Where: $"tasks[{i}]",
                    "0 to 480 minutes, a cost of 0 or more, up to 5,000 times."
                );
            }
        }
        foreach (
            var (done, i) in Done.Select((d, i) => (d, i)).Where(x => x.d.By.Length > 100 || x.d.Note.Length > 500)
        )
        {
            yield return new(
                "too-long",
                "A name of over 100 or a note of over 500 characters.",
                Where: $"done[{i}].note",
                "Say it shorter."
            );
        }
    }
}
