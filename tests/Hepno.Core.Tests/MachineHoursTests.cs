using Hepno.Core.Comparing;
using Hepno.Core.Methods;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>A machine's queue is one line of work, and promises wait for it.</summary>
public class MachineHoursTests
{
    private static readonly Machine Skua = new("skua", "Skua");
    private static readonly Machine Knife = new("knife", "Knife");

    // a Monday, open 9 to 17
    private static readonly LocalDateTime Now = new(2026, 6, 1, 9, 0, 0);
    private static readonly OpenHours Hours = new(MethodTests.Book.Numbers.Week.Days);

    private static MachineHours Empty(params ThingId[] unattended) => MachineHours.Empty(Hours, Now, unattended);

    [Fact]
    public void A_machine_runs_in_the_open_hours_or_day_and_night()
    {
        // 82 hours are ten days of eight and two: Monday in two weeks, at 11
        Assert.Equal(new LocalDateTime(2026, 6, 15, 11, 0, 0), Empty().With([new(Skua, 82 * 60, false)], Now).ReadyAt);
        Assert.Equal(Now.PlusHours(82), Empty("skua").With([new(Skua, 82 * 60, false)], Now).ReadyAt);
        Assert.Equal("Skua, 82 h of work", Empty().With([new(Skua, 82 * 60, false)], Now).Cause);
        // nothing to do is nothing to wait for
        Assert.Equal(
            (Now, ""),
            (Empty().With([], Now.PlusDays(3)).ReadyAt, Empty().With([new(Skua, 0, true)], Now.PlusDays(3)).Cause)
        );
        // longer than any calendar, and a queue of a thousand such
        Assert.True(Empty().With([new(Skua, 1e12, false)], Now).ReadyAt > Now.PlusYears(1));
        Assert.True(
            Empty().With([.. Enumerable.Repeat(new MachineWork(Skua, 1e12, false), 1000)], Now).ReadyAt
                < Now.PlusYears(30)
        );
    }

    [Fact]
    public void What_waits_for_the_same_machine_follows_one_after_the_other_and_another_machine_runs_beside()
    {
        var (queue, first, _) = Empty().With([new(Skua, 180, false)], Now);
        Assert.Equal(Now.PlusHours(3), first);
        Assert.Equal(Now.PlusHours(5), queue.With([new(Skua, 120, false)], Now).ReadyAt);
        Assert.Equal(Now.PlusHours(2), queue.With([new(Knife, 120, false)], Now).ReadyAt);
        Assert.Equal(
            Now.PlusHours(6),
            queue.With([new(Skua, 120, false), new(Skua, 60, false), new(Knife, 60, false)], Now).ReadyAt
        );
        // what is printed on the cloth begins when that is here
        Assert.Equal(
            new LocalDateTime(2026, 6, 3, 14, 0, 0),
            queue.With([new(Skua, 120, true)], new(2026, 6, 3, 12, 0, 0)).ReadyAt
        );
    }

    // 288 backs of 10 × 14 in at 11 in² a minute are 61 hours of printing: eight working days, and not under three
    [Fact]
    public void A_promise_waits_for_the_printer_and_says_so()
    {
        var book = MethodTests
            .Book.With<FilmPrinter>([CureTests.Skua])
            .With<Recipe>([
                .. MethodTests.Book.Of<Recipe>(),
                MethodTests.FilmOnCotton with
                {
                    Id = "own",
                    ProductId = "skua",
                },
            ]);
        var ask = MethodTests.Ask(288, MethodTests.Front(10, 14, 8) with { Place = "back", Gradient = true });
        FloorPlan floor = new(Now, Hours, [.. book.Presses, .. book.Benches()], []);
        Band Film(FloorPlan at) =>
            Comparer.Compare(ask, null, null, null, book, at, curve: false).Bands.Single(b => b.MethodId == "dtf-made");
        var alone = Film(floor);
        var work = Assert.Single(alone.Decorations).MachineWork(288)!;
        Assert.InRange(work.Minutes / 60, 61, 70);
        Assert.True(alone.Promise!.At > Now.PlusDays(9));
        Assert.Equal($"{work.Machine.Name}, {work.Minutes / 60:0.#} h of work", alone.Promise.ArrivesCause);
        // behind another order of the same machine it is later by that much; day and night it is sooner
        var behind = Film(floor with { Machines = floor.Machines.With([work], Now).Then });
        Assert.True(behind.Promise!.At > alone.Promise.At.PlusDays(8));
        Assert.True(
            Film(floor with { Machines = MachineHours.Empty(Hours, Now, [work.Machine.Id]) }).Promise!.At
                < alone.Promise.At.PlusDays(-3)
        );
    }

    // promised for Thursday 14:00 to a yes on Monday 1 June; closed on Saturdays and Sundays
    [Theory]
    [InlineData("2026-06-01", "2026-06-04 14:00")]
    [InlineData("2026-06-02", "2026-06-05 14:00")]
    [InlineData("2026-06-03", "2026-06-08 14:00")]
    [InlineData("2026-06-06", "2026-06-10 14:00")]
    [InlineData("2026-06-08", "2026-06-11 14:00")]
    [InlineData("2026-05-20", "2026-06-04 14:00")]
    public void A_later_yes_moves_the_promise_by_as_many_working_days(string yes, string promised) =>
        Assert.Equal(Times.Wall(promised), Hours.Moved(new(2026, 6, 4, 14, 0, 0), new(2026, 6, 1), Times.Day(yes)));

    [Fact]
    public void Late_is_also_what_comes_after_the_promise()
    {
        var work = new PressWork("", "", "T-1", 10, 1, 310, Now, "", Now.PlusDays(10), 0, 0, null, 5, 5);
        FloorPlan floor = new(Now, Hours, MethodTests.Book.Presses, []);
        Assert.Equal(0, PressPlanner.Plan([work], floor)[0].LateMinutes);
        var ready = PressPlanner.Plan([work], floor)[0].ReadyAt;
        Assert.Equal(
            30,
            PressPlanner.Plan([work with { PromisedAt = ready.PlusMinutes(-30) }], floor)[0].LateMinutes,
            6
        );
        Assert.Equal(0, PressPlanner.Plan([work with { PromisedAt = ready }], floor)[0].LateMinutes);
    }
}
