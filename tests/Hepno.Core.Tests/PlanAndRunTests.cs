using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

public class PlanTests
{
    private static readonly OpenHours Hours = new(ShopNumbers.Default.Week.Days);
    private static readonly LocalDateTime Monday = new(2026, 6, 1, 9, 0, 0);

    private static PressWork Work(
        string code,
        int pieces,
        double minutes,
        LocalDateTime ready,
        LocalDateTime? due,
        double f = 300
    ) => new(new OrderId(code), "1", code, pieces, minutes, f, ready, "film", due, 5, 3, null, 10, 10);

    private static FloorPlan Floor(LocalDateTime now) => new(now, Hours, [MethodTests.Gannet], []);

    [Fact]
    public void Open_minutes_skip_nights_and_weekends()
    {
        Assert.Equal(new LocalDateTime(2026, 6, 2, 9, 30, 0), Hours.Add(new LocalDateTime(2026, 6, 1, 16, 30, 0), 60));
        Assert.Equal(new LocalDateTime(2026, 6, 8, 9, 0, 0), Hours.Next(new LocalDateTime(2026, 6, 5, 17, 0, 0)));
        Assert.Equal(new LocalDateTime(2026, 6, 8, 12, 0, 0), Hours.Parcel(new LocalDateTime(2026, 6, 5, 10, 0, 0), 1));
    }

    [Fact]
    public void The_first_work_of_a_day_pays_warm_up_and_the_next_a_change_of_heat()
    {
        var plan = PressPlanner.Plan(
            [Work("A", 20, 1, Monday, Monday.PlusHours(4)), Work("B", 20, 1, Monday, Monday.PlusHours(8), 340)],
            Floor(Monday)
        );
        Assert.Equal(Monday.PlusMinutes(15), plan[0].Parts[0].Start);
        Assert.Equal(Monday.PlusMinutes(15 + 20 + 2), plan[1].Parts[0].Start);
    }

    [Fact]
    public void The_earlier_due_goes_first_and_the_late_one_says_by_how_much_and_why()
    {
        var plan = PressPlanner.Plan(
            [Work("B", 200, 1, Monday, Monday.PlusHours(2)), Work("A", 60, 1, Monday, Monday.PlusMinutes(90))],
            Floor(Monday)
        );
        Assert.Equal("A", plan[0].Work.Code);
        Assert.Equal(0, plan[0].LateMinutes);
        Assert.True(plan[1].LateMinutes > 0);
        Assert.Contains("taken by A", plan[1].Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Five_hundred_pieces_go_over_several_days_in_parts_of_ten_or_more()
    {
        var placed = PressPlanner.Plan([Work("A", 500, 2, Monday, null)], Floor(Monday))[0];
        Assert.Equal(500, placed.Parts.Sum(p => p.Pieces));
        Assert.True(placed.Parts.Count > 1);
        Assert.All(placed.Parts, p =>
            Assert.True(
                p.Pieces >= 10 && p.Start.TimeOfDay >= new LocalTime(9, 0) && p.End.TimeOfDay <= new LocalTime(17, 0)
            )
        );
    }

    [Fact]
    public void No_two_parts_overlap_and_none_starts_before_its_goods() =>
        Gen.Select(Gen.Int[1, 120], Gen.Int[0, 40], Gen.Int[0, 3])
            .Array[1, 8]
            .Sample(
                orders =>
                {
                    var works = orders
                        .Select(
                            (o, i) =>
                                Work(
                                    $"T-{i:00}",
                                    o.Item1,
                                    1.3,
                                    Monday.PlusHours(o.Item2),
                                    Monday.PlusHours(10 + (i * 5)),
                                    280 + (20 * o.Item3)
                                )
                        )
                        .ToList();
                    var plan = PressPlanner.Plan(works, Floor(Monday));
                    var parts = plan.SelectMany(p => p.Parts.Select(q => (p.Work, q))).OrderBy(p => p.q.Start).ToList();
                    for (var i = 0; i < parts.Count; i++)
                    {
                        Assert.True(parts[i].q.Start >= parts[i].Work.ReadyAt);
                        Assert.True(i == 0 || parts[i - 1].q.End <= parts[i].q.HeatFrom.PlusMilliseconds(1));
                    }
                    Assert.Equal(works.Sum(w => w.Pieces), parts.Sum(p => p.q.Pieces));
                },
                iter: 200
            );

    [Fact]
    public void The_heat_line_rises_holds_and_cools()
    {
        var line = HeatTrace.Draw(
            MethodTests.Gannet,
            [(new PressPart(Monday, Monday.PlusMinutes(15), Monday.PlusMinutes(60), 45), 300)],
            Monday,
            Monday.PlusHours(8)
        );
        Assert.Equal([70, 300, 300, 70, 70], line.Select(p => p.TemperatureF));
    }
}

public class RunTests
{
    private static readonly SizeCount[] Sizes = [new("S", 2), new("M", 3)];
    private static readonly RunLine[] One = [new("1", Sizes, 1)];

    private static RunEvent Say(
        string id,
        int piece,
        RunVerdict verdict,
        int attempt = 1,
        int pass = 1,
        string? takesBack = null
    ) => new(id, "d", piece, attempt, pass, piece <= 2 ? "S" : "M", verdict, null, takesBack, 60);

    [Fact]
    public void A_spoiled_piece_is_pressed_again()
    {
        var state = RunReplay.After(One, [Say("a", 1, RunVerdict.Good), Say("b", 2, RunVerdict.Spoiled)]);
        Assert.Equal((1, 1), (state.Good, state.Spoiled));
        Assert.Contains(state.Todo, t => t is { PieceNo: 2, Attempt: 2 });
        Assert.Equal(
            2,
            RunReplay
                .After(
                    One,
                    [Say("a", 1, RunVerdict.Good), Say("b", 2, RunVerdict.Spoiled), Say("c", 2, RunVerdict.Good, 2)]
                )
                .Good
        );
    }

    [Fact]
    public void A_second_verdict_is_kept_and_not_counted()
    {
        var state = RunReplay.After(One, [Say("a", 1, RunVerdict.Good), Say("b", 1, RunVerdict.Spoiled)]);
        Assert.Equal((1, 0, 1), (state.Good, state.Spoiled, state.Counted));
        Assert.Equal("b", state.NotCounted.Single().EventId);
    }

    [Fact]
    public void Taking_back_is_an_event_and_lets_the_other_verdict_count()
    {
        var state = RunReplay.After(
            One,
            [
                Say("a", 1, RunVerdict.Good),
                Say("b", 1, RunVerdict.Spoiled),
                Say("c", 1, RunVerdict.TakenBack, takesBack: "a"),
            ]
        );
        Assert.Equal((0, 1), (state.Good, state.Spoiled));
    }

    [Fact]
    public void A_piece_is_good_only_through_all_passes()
    {
        var state = RunReplay.After([new("1", Sizes, 2)], [Say("a", 1, RunVerdict.Good)]);
        Assert.Equal(0, state.Good);
        Assert.Equal(PieceStanding.Between, state.Pieces[0].Standing);
        state = RunReplay.After(
            [new("1", Sizes, 2)],
            [Say("a", 1, RunVerdict.Good), Say("b", 1, RunVerdict.Spoiled, pass: 2)]
        );
        Assert.Equal([1, 2], state.Todo.Where(t => t.PieceNo == 1).Select(t => t.Pass));
        Assert.All(state.Todo.Where(t => t.PieceNo == 1), t => Assert.Equal(2, t.Attempt));
    }

    [Fact]
    public void Lines_are_numbered_through_pressed_one_after_the_other_and_each_has_its_own_passes()
    {
        RunLine[] lines = [new("tees", [new("S", 1), new("M", 1)], 2), new("caps", [new("One size", 2)], 1)];
        var state = RunReplay.After(
            lines,
            [Say("a", 1, RunVerdict.Good), Say("b", 3, RunVerdict.Spoiled), Say("c", 3, RunVerdict.Good, 2)]
        );
        Assert.Equal(
            ["tees 1.2", "tees 2.1", "tees 2.2", "caps 4.1"],
            state.Todo.OrderBy(t => t.PieceNo).Select(t => $"{t.LineId} {t.PieceNo}.{t.Pass}")
        );
        Assert.Equal(["tees", "tees", "tees", "caps"], state.Todo.Select(t => t.LineId));
        // another pair of hands goes through the same lines and passes, the last piece first
        var todo = RunReplay.After(lines, []).Todo;
        Assert.Equal(["1.1", "2.1", "1.2", "2.2", "3.1", "4.1"], todo.Select(t => $"{t.PieceNo}.{t.Pass}"));
        Assert.Equal(
            ["2.1", "1.1", "2.2", "1.2", "4.1", "3.1"],
            todo.OrderBy(t => t.FromEnd).Select(t => $"{t.PieceNo}.{t.Pass}")
        );
        Assert.Equal(
            [("tees", "S", 0, 0), ("tees", "M", 0, 0), ("caps", "One size", 1, 1)],
            state.Sizes.Select(s => (s.LineId, s.Size, s.Good, s.Spoiled))
        );
        Assert.Equal(
            ["b", "c"],
            RunReplay
                .OfLine(
                    lines,
                    "caps",
                    [Say("a", 2, RunVerdict.Good), Say("b", 3, RunVerdict.Spoiled), Say("c", 4, RunVerdict.Good)]
                )
                .Select(e => e.EventId)
        );
    }

    [Fact]
    public void Counted_verdicts_never_exceed_what_stands() =>
        Gen.Select(Gen.Int[1, 5], Gen.Int[1, 3], Gen.Bool)
            .Array[0, 40]
            .Sample(taps =>
            {
                var events = taps.Select(
                        (t, i) => Say($"e{i}", t.Item1, t.Item3 ? RunVerdict.Good : RunVerdict.Spoiled, t.Item2)
                    )
                    .ToList();
                var state = RunReplay.After(One, events);
                Assert.Equal(events.Count, state.Counted + state.NotCounted.Count);
                Assert.Equal(state.Counted, state.Good + state.Spoiled);
                Assert.Equal(5 - state.Good, state.Todo.Count);
            });
}

public class StationTests
{
    private static readonly Instant At = Instant.FromUtc(2026, 6, 1, 10, 0, 0);
    private static readonly Ask Complete = new(
        "c",
        [new("1", "s", "k", [new("M", 3)], [MethodTests.Front()])],
        new LocalDate(2026, 7, 1),
        null
    );

    private static Station Of(Ask ask, OrderFacts facts, bool sent = false, int good = 0) =>
        Stations.Where(new Order("o", 1, ask, facts, At), [], sent, 10m, good).Station;

    [Fact]
    public void An_order_walks_the_line_as_things_happen()
    {
        var facts = OrderFacts.None;
        Assert.Equal(Station.Ask, Of(Complete with { CustomerId = null }, facts));
        Assert.Equal(Station.Compare, Of(Complete, facts));
        // a day need not be asked for: the quote then says when it is ready
        Assert.Equal(Station.Compare, Of(Complete with { DueDate = null }, facts));
        Assert.Equal(
            Station.Layout,
            Of(Complete, facts = facts with { Choice = facts.Choice with { Decisions = [new("1", "htv", At)] } })
        );
        Assert.Equal(Station.Quote, Of(Complete, facts = facts with { Layout = facts.Layout with { At = At } }));
        Assert.Equal(Station.Gather, Of(Complete, facts, sent: true));
        Assert.Equal(
            Station.Gather,
            Of(
                Complete,
                facts = facts with { Gathering = facts.Gathering with { Approval = new("me", At) } },
                sent: true
            )
        );
        Assert.Equal(
            Station.Gather,
            Of(
                Complete,
                facts = facts with
                {
                    Gathering = facts.Gathering with
                    {
                        Deposit = new(10, null, At),
                        Items = [new("i", GatherKind.Buy, "film", "f", 1, "pieces", 1, At.InUtc().LocalDateTime, null)],
                    },
                },
                sent: true
            )
        );
        Assert.Equal(
            Station.Press,
            Of(
                Complete,
                facts = facts with
                {
                    Gathering = facts.Gathering with { Items = [facts.Gathering.Items[0] with { DoneAt = At }] },
                },
                sent: true,
                good: 2
            )
        );
        Assert.Equal(Station.Send, Of(Complete, facts, sent: true, good: 3));
        Assert.Equal(
            Station.Learn,
            Of(
                Complete,
                facts = facts with { Sending = facts.Sending with { HandOver = new("me", At) } },
                sent: true,
                good: 3
            )
        );
        Assert.Equal(
            Station.Closed,
            Of(Complete, facts with { End = facts.End with { ClosedAt = At } }, sent: true, good: 3)
        );
    }
}
