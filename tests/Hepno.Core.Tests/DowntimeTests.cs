using CsCheck;
using Hepno.Core.Planning;
using Hepno.Core.Recipes;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>What waits for a machine that is out of use waits for its return, and says so.</summary>
public class DowntimeTests
{
    private static readonly Press Gannet = MethodTests.Gannet;
    private static readonly Press Second = MethodTests.Gannet with { Id = "second", Name = "Second" };

    // a Monday, open 9 to 17 on working days
    private static readonly LocalDateTime Now = new(2026, 6, 1, 9, 0, 0);
    private static readonly OpenHours Hours = new(MethodTests.Book.Numbers.Week.Days);

    private static Downtime Out(string machine, int from, int until) =>
        new("d", new(machine), Now.Date.PlusDays(from), Now.Date.PlusDays(until), "", CalledOff: false);

    private static PressWork Work(int pieces, LocalDateTime? due = null) =>
        new("o", "1", "T-1", pieces, 1, 300, Now, "film", due, 0, 0, null, 10, 10);

    private static FloorPlan Floor(IReadOnlyList<Press> presses, params Downtime[] downtimes) =>
        new(Now, Hours, presses, []) { Machines = Machines([], downtimes) };

    private static MachineHours Machines(IReadOnlyList<ThingId> unattended, params Downtime[] downtimes) =>
        MachineHours.Empty(Hours, Now, unattended) with
        {
            Downtimes = downtimes,
        };

    private static (LocalDateTime At, string Cause) Printed(MachineHours machines, double hours)
    {
        var (_, at, cause) = machines.With([new(new("skua", "Skua"), hours * 60, false)], Now);
        return (at, cause);
    }

    [Fact]
    public void A_printer_that_is_out_prints_when_it_is_back_and_one_that_is_done_before_is_not_moved()
    {
        // out from today through Wednesday: three hours on Thursday
        Assert.Equal(
            (new LocalDateTime(2026, 6, 4, 12, 0, 0), "Skua, 3 h of work, out of use through Wed 3 Jun"),
            Printed(Machines([], Out("skua", 0, 2)), 3)
        );
        // six hours on Monday, out on Tuesday only: done before
        Assert.Equal((Now.PlusHours(6), "Skua, 6 h of work"), Printed(Machines([], Out("skua", 1, 1)), 6));
        // ten hours: eight on Monday, two on Wednesday
        Assert.Equal(new LocalDateTime(2026, 6, 3, 11, 0, 0), Printed(Machines([], Out("skua", 1, 1)), 10).At);
        // called off: it prints today
        Assert.Equal(Now.PlusHours(6), Printed(Machines([], Out("skua", 0, 2) with { CalledOff = true }), 6).At);
        // another machine's days, and days that are over
        Assert.Equal(Now.PlusHours(6), Printed(Machines([], Out("plover", 0, 9), Out("skua", -9, -1)), 6).At);
    }

    [Fact]
    public void Day_and_night_stops_for_the_days_out_and_one_stretch_after_another_is_waited_for()
    {
        // 15 hours to midnight, then out through Wednesday: five more on Thursday
        Assert.Equal(new LocalDateTime(2026, 6, 4, 5, 0, 0), Printed(Machines(["skua"], Out("skua", 1, 2)), 20).At);
        Assert.Equal(
            new LocalDateTime(2026, 6, 4, 5, 0, 0),
            Printed(Machines(["skua"], Out("skua", 0, 1), Out("skua", 2, 2)), 5).At
        );
        // two years, and two more, end to end: longer than a calendar is looked through
        Assert.Equal(
            Now.Date.PlusDays(1400),
            Printed(Machines([], Out("skua", 0, 700), Out("skua", 701, 1399)), 1).At.Date
        );
        Assert.Equal(Now.Date.PlusDays(1400), Printed(Machines(["skua"], Out("skua", 0, 1399)), 1).At.Date);
    }

    [Fact]
    public void A_press_that_is_out_leaves_its_work_to_another_or_has_it_wait_and_says_why_it_is_late()
    {
        var other = PressPlanner.Plan([Work(60)], Floor([Gannet, Second], Out(Gannet.Id.Text, 0, 4)))[0];
        Assert.Equal(("second", Now.Date), (other.PressId.Text, other.Parts[0].Start.Date));
        var late = PressPlanner.Plan([Work(60, Now.PlusDays(1))], Floor([Gannet], Out(Gannet.Id.Text, 0, 4)))[0];
        Assert.Equal(new LocalDate(2026, 6, 8), late.Parts[0].Start.Date);
        Assert.Equal("Gannet is out of use through Fri 5 Jun", late.Why);
        Assert.True(late.LateMinutes > 0);
        // behind another order too: it is the press that both wait for
        var second = Work(60, Now.PlusDays(1)) with { Code = "T-2", OrderId = "o2" };
        Assert.All(
            PressPlanner.Plan([Work(60, Now.PlusDays(1)), second], Floor([Gannet], Out(Gannet.Id.Text, 0, 4))),
            p => Assert.Equal("Gannet is out of use through Fri 5 Jun", p.Why)
        );
        // what is not done before it is out goes on when it is back
        var parts = PressPlanner.Plan([Work(600)], Floor([Gannet], Out(Gannet.Id.Text, 1, 2)))[0].Parts;
        Assert.Equal([Now.Date, new LocalDate(2026, 6, 4)], parts.Select(p => p.Start.Date));
        Assert.Equal(600, parts.Sum(p => p.Pieces));
    }

    [Fact]
    public void A_press_out_longer_than_is_planned_for_says_so_and_what_has_begun_stays()
    {
        var none = PressPlanner.Plan([Work(60)], Floor([Gannet], Out(Gannet.Id.Text, 0, 200)))[0];
        Assert.Equal(("", "Gannet is out of use through Fri 18 Dec"), (none.PressId.Text, none.Why));
        Assert.Null(PressPlanner.PromiseFor(Work(60), Floor([Gannet], Out(Gannet.Id.Text, 0, 200))));
        var begun = Work(60) with { StartedAt = Now.PlusHours(-1) };
        Assert.Equal(
            Now.PlusHours(-1),
            PressPlanner.Plan([begun], Floor([Gannet], Out(Gannet.Id.Text, 0, 4)))[0].Parts[0].Start
        );
    }

    [Fact]
    public void A_place_of_work_is_out_with_its_machine()
    {
        var bench = Press.Bench("heron", "Heron", Gannet.Equipment, "");
        var stitched = Work(20) with { BenchId = "heron" };
        Assert.Equal(Now.Date, PressPlanner.Plan([stitched], Floor([Gannet, bench]))[0].Parts[0].Start.Date);
        Assert.Equal(
            new LocalDate(2026, 6, 3),
            PressPlanner.Plan([stitched], Floor([Gannet, bench], Out("heron", 0, 1)))[0].Parts[0].Start.Date
        );
    }

    [Fact]
    public void Nothing_is_planned_on_a_day_out_and_everything_is_done()
    {
        var stretch = Gen.Select(Gen.Int[-3, 20], Gen.Int[0, 6], Gen.Bool);
        Gen.Select(stretch.List[0, 5], Gen.Int[1, 700].List[1, 6])
            .Sample(
                (stretches, works) =>
                {
                    Downtime[] downtimes =
                    [
                        .. stretches.Select(s => Out(s.Item3 ? Gannet.Id.Text : "second", s.Item1, s.Item1 + s.Item2)),
                    ];
                    var placed = PressPlanner.Plan(
                        [.. works.Select((n, i) => Work(n) with { Code = $"T-{i}", OrderId = new($"o{i}") })],
                        Floor([Gannet, Second], downtimes)
                    );
                    Assert.Equal(works.Order(), placed.Select(p => p.Parts.Sum(x => x.Pieces)).Order());
                    Assert.All(placed.SelectMany(p => p.Parts.Select(x => (p.PressId, x))), part =>
                        Assert.DoesNotContain(downtimes, d =>
                            d.MachineId.Text == part.PressId.Text
                            && d.From <= part.x.End.Date
                            && d.Until >= part.x.Start.Date
                        )
                    );
                },
                iter: 200
            );
    }

    [Theory]
    [InlineData("2026-06-05", "2026-06-04", "until")]
    [InlineData("2026-06-05", "2028-06-07", "until")]
    [InlineData("1999-12-31", "2026-06-04", "from")]
    [InlineData("2026-06-05", "9999-12-31", "until")]
    public void Days_that_cannot_be_are_refused(string from, string until, string where) =>
        Assert.Equal(
            where,
            Assert
                .Single(
                    Downtime.Described.Problems(
                        new("d", "gannet", Times.Day(from), Times.Day(until), "", CalledOff: false)
                    )
                )
                .Where
        );
}
