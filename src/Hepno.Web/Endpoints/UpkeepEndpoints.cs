using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Shop;
using Hepno.Store;
using Hepno.Web.Entry;
using Hepno.Web.Held;
using Hepno.Web.Views;
using Hepno.Web.Wire;
using NodaTime;

namespace Hepno.Web.Endpoints;

/// <summary>It was done.</summary>
internal sealed record UpkeepDoneBody(string TaskId, LocalDate Day, string By, string Note);

/// <summary>A task as the Floor shows it.</summary>
/// <param name="TaskId">Which.</param>
/// <param name="Name">What is done.</param>
/// <param name="When">How often, and when it was done last, in words.</param>
/// <param name="Due">True when it is due.</param>
/// <param name="Late">True when its day is past.</param>
internal sealed record UpkeepTaskView(string TaskId, string Name, string When, bool Due, bool Late);

/// <summary>A machine's upkeep.</summary>
/// <param name="MachineId">Which machine.</param>
/// <param name="Version">Version of its upkeep; 0 while it has none.</param>
/// <param name="Tasks">What it wants.</param>
/// <param name="Usual">What is usual for its kind, offered while it has none.</param>
/// <param name="AnHour">What tending costs for an hour of the machine, opened; null while there is nothing to
/// do.</param>
/// <param name="Log">What was done lately, in words, newest first.</param>
internal sealed record UpkeepView(
    ThingId MachineId,
    long Version,
    IReadOnlyList<UpkeepTaskView> Tasks,
    IReadOnlyList<UpkeepTask> Usual,
    Figure? AnHour,
    IReadOnlyList<string> Log
);

/// <summary>Tending machines: what is due, and that it was done.</summary>
internal static class UpkeepEndpoints
{
    private const int LogShown = 8;

    public static void MapUpkeep(this IEndpointRouteBuilder api)
    {
        var upkeep = api.MapGroup("/upkeep").WithTags("upkeep");
        upkeep.MapGet("view", View).WithName("upkeepView").OpenTo(Caller.Press);
        upkeep.MapPost("{id}/done", Done).WithName("upkeepDone").OpenTo(Caller.Press);
    }

    /// <summary>Every machine's upkeep: what is due, what was done, what it costs an hour.</summary>
    internal static IReadOnlyList<UpkeepView> View(OpenShop shop) =>
        shop.Db.Read(c =>
        {
            var book = shop.Book(c);
            var (n, today) = (book.Numbers, shop.Clock.Today(book.Numbers.Identity.TimeZone));
            var kept = Aggregates.Of<MachineUpkeep>().All(c).ToDictionary(u => u.Value.Id);
            return book.Machines()
                .Select(m =>
                {
                    var u = kept.GetValueOrDefault(m.Id);
                    return u is null
                        ? new UpkeepView(m.Id, 0, [], m.UsualUpkeep, null, [])
                        : new UpkeepView(
                            m.Id,
                            u.Version,
                            [.. u.Value.Tasks.Select(t => Task(u.Value, t, today, n))],
                            [],
                            u.Value.Tasks.Count == 0
                                ? null
                                : u.Value.PerHour(n.Rates.Wage, n.Week.OpenDays(), m.Equipment.ProductiveHoursAYear),
                            [.. u.Value.Done.Reverse().Take(LogShown).Select(d => Line(d, u.Value.Tasks, n.Format))]
                        );
                })
                .ToList();
        });

    private static string Line(UpkeepDone d, IReadOnlyList<UpkeepTask> tasks, FigureFormat f)
    {
        var what = tasks.FirstOrDefault(t => t.Id == d.TaskId)?.Name ?? "something no longer done";
        var by = d.By.Length > 0 ? $", {d.By}" : "";
        var note = d.Note.Length > 0 ? $". {d.Note}" : "";
        return $"{Shown.Day(d.Day, f)}: {what}{by}{note}";
    }

    /// <summary>Notes that a task was done.</summary>
    internal static Written Done(string id, UpkeepDoneBody body, OpenShop shop, HttpRequest request)
    {
        var seen = request.Seen();
        return shop.Db.Write(c =>
        {
            var kept = Aggregates.Of<MachineUpkeep>().Get(c, id) ?? throw RefusedException.NoSuch("upkeep", id);
            if (kept.Value.Tasks.All(t => t.Id != body.TaskId))
            {
                throw RefusedException.NoSuch("task", body.TaskId);
            }
            var then = kept.Value with
            {
                Done =
                [
                    .. kept.Value.Done,
                    new UpkeepDone(body.TaskId, body.Day, body.By.Trim(), Note: body.Note.Trim()),
                ],
            };
            RefusedException.IfAny(then.Problems());
            return new Written(
                id,
                Aggregates.Of<MachineUpkeep>().Put(c, then, seen, request.Deed(shop.Clock, "upkeep done"))
            );
        });
    }

    private static UpkeepTaskView Task(MachineUpkeep u, UpkeepTask t, LocalDate today, ShopNumbers n)
    {
        var next = u.Next(t, today, n.Week.Days);
        var often = t.Every switch
        {
            UpkeepEvery.Day => "every day",
            UpkeepEvery.Week => "every week",
            UpkeepEvery.Month => "every month",
            _ => "as needed",
        };
        var last = next.Last is { } day ? $"done {Shown.Day(day, n.Format)}" : "never done";
        var due = u.DueBy(today, n.Week.Days).Any(d => d.Task == t);
        return new(
            t.Id,
            t.Name,
            $"{often}, {Shown.Number(t.Minutes, 0, n.Format)} min; "
                + $"{last}{(due || t.Every == UpkeepEvery.AsNeeded ? "" : $", next {Shown.Day(next.On, n.Format)}")}",
            due,
            due && next.Last is not null && next.On < today
        );
    }
}
