using CsCheck;
using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Planning;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Two presses and two people with hours, lunch and days off.</summary>
public class PeoplePlanTests
{
    private static readonly LocalDateTime Monday = new(2026, 6, 1, 9, 0, 0);
    private static readonly IReadOnlyList<DayHours> Nine = ShopNumbers.Default.Week.Days;
    private static readonly Person Wren = new("w", "Wren", 18, new(0.1m), Nine, new(12, 0), 60, []);
    private static readonly Person Ines = new(
        "i",
        "Ines",
        14,
        default,
        [.. Nine.Select(d => d.Open is null ? d : new DayHours(new(10, 0), new(14, 0)))],
        null,
        0,
        [new(2026, 6, 2)]
    );

    private static FloorPlan Floor(params IReadOnlyList<Person> people) =>
        new(
            Monday,
            new OpenHours(Nine),
            [
                MethodTests.Gannet,
                MethodTests.Gannet with
                {
                    Id = "p",
                    Name = "Petrel",
                    Lowers = [new("sleeve", 4, 12)],
                },
                MethodTests.Gannet with
                {
                    Id = "c",
                    Name = "Puffin",
                    Kind = "cap",
                },
            ],
            [],
            people
        );

    private static PressWork Work(
        string code,
        int pieces,
        double minutes = 1,
        GarmentKind kind = GarmentKind.Tee,
        Moved? moved = null,
        LocalDateTime? due = null,
        double f = 300,
        IReadOnlyList<PressPass>? passes = null
    ) =>
        new(new OrderId(code), "1", code, pieces, minutes, f, Monday, "film", due, 5, 3, null, 4, 2)
        {
            Kind = kind,
            Moved = moved,
            Passes = passes,
        };

    [Fact]
    public void One_pair_of_hands_presses_on_one_press_at_a_time_and_two_pairs_on_two()
    {
        var alone = PressPlanner.Plan([Work("A", 60), Work("B", 60)], Floor(Wren));
        Assert.True(alone[1].Parts[0].Start >= alone[0].Parts[^1].End);
        var both = PressPlanner.Plan([Work("A", 100), Work("B", 60)], Floor(Wren, Ines));
        Assert.Equal(("g", "w"), (both[0].PressId, both[0].Parts[0].PersonId));
        Assert.Equal(("p", "i"), (both[1].PressId, both[1].Parts[0].PersonId));
        // she comes at ten and sets the dial first
        Assert.Equal(
            (Monday.PlusHours(1), Monday.PlusHours(1).PlusMinutes(2)),
            (both[1].Parts[0].SetUpFrom, both[1].Parts[0].Start)
        );
    }

    [Fact]
    public void Work_stops_for_lunch_and_the_platen_stays_hot()
    {
        var parts = PressPlanner.Plan([Work("A", 300)], Floor(Wren))[0].Parts;
        Assert.Equal(
            [
                (Monday.PlusMinutes(15), Monday.PlusHours(3), 165),
                (Monday.PlusHours(4), Monday.PlusHours(4).PlusMinutes(135), 135),
            ],
            parts.Select(p => (p.Start, p.End, p.Pieces))
        );
        Assert.Equal(parts[1].Start, parts[1].HeatFrom);
    }

    [Fact]
    public void A_day_off_and_a_short_day_are_kept()
    {
        var parts = PressPlanner.Plan([Work("A", 400)], Floor(Ines))[0].Parts;
        Assert.Equal([new(2026, 6, 1), new(2026, 6, 3)], parts.Select(p => p.Start.Date));
        Assert.All(parts, p =>
            Assert.True(p.Start.TimeOfDay >= new LocalTime(10, 0) && p.End.TimeOfDay <= new LocalTime(14, 0))
        );
    }

    [Fact]
    public void Caps_go_onto_the_cap_press_and_nothing_else_does()
    {
        var plan = PressPlanner.Plan([Work("caps", 20, kind: GarmentKind.Cap), Work("tees", 20)], Floor(Wren));
        Assert.Equal("c", plan.Single(p => p.Work.Code == "caps").PressId);
        Assert.NotEqual("c", plan.Single(p => p.Work.Code == "tees").PressId);
        Assert.Equal(
            "no press can take it",
            PressPlanner
                .Plan([Work("caps", 20, kind: GarmentKind.Cap)], Floor(Wren) with { Presses = [MethodTests.Gannet] })[0]
                .Why
        );
    }

    [Fact]
    public void What_the_owner_moved_stands_there_and_the_rest_goes_round_it()
    {
        var moved = new Moved("p", Monday.PlusHours(5));
        var plan = PressPlanner
            .Plan(
                [Work("A", 30, moved: moved, due: Monday.PlusHours(1)), Work("B", 300, due: Monday.PlusHours(9))],
                Floor(Wren)
            )
            .ToDictionary(p => p.Work.Code);
        Assert.Equal(("p", Monday.PlusHours(5)), (plan["A"].PressId, plan["A"].Parts[0].Start));
        Assert.True(plan["A"].LateMinutes > 0);
        Assert.All(plan["B"].Parts, b =>
            Assert.True(b.End <= plan["A"].Parts[0].Start || b.Start >= plan["A"].Parts[0].End)
        );
        Assert.Equal(300, plan["B"].Parts.Sum(p => p.Pieces));
    }

    [Fact]
    public void No_press_and_no_hands_are_ever_at_two_things() =>
        Gen.Select(Gen.Int[1, 150], Gen.Int[0, 3], Gen.Int[0, 2], Gen.Int[0, 30])
            .Array[1, 9]
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
                                    o.Item3 == 0 ? GarmentKind.Cap : GarmentKind.Tee,
                                    o.Item4 > 24 && o.Item3 > 0 ? new Moved("p", Monday.PlusHours(o.Item4)) : null,
                                    Monday.PlusHours(8 + i),
                                    280 + (20 * o.Item2),
                                    o.Item4 % 3 == 0 ? [new(4, 2, null, "firm"), new(3, 2, 6.5, "light")] : null
                                )
                        )
                        .ToList();
                    var placed = PressPlanner.Plan(works, Floor(Wren, Ines));
                    var parts = placed
                        .SelectMany(p =>
                            p.Parts.Select(q => (p.PressId, q.PersonId, Start: q.SetUpFrom ?? q.Start, q.End, q.Pieces))
                        )
                        .ToList();
                    Assert.Equal(works.Sum(w => w.Pieces), parts.Sum(p => p.Pieces));
                    foreach (var same in parts.GroupBy(p => p.PressId.Text).Concat(parts.GroupBy(p => p.PersonId.Text)))
                    {
                        var inTime = same.OrderBy(p => p.Start).ToList();
                        Assert.All(inTime.Zip(inTime.Skip(1)), x =>
                            Assert.True(x.First.End <= x.Second.Start.PlusMilliseconds(1))
                        );
                    }
                    foreach (var p in parts)
                    {
                        var person = p.PersonId == "w" ? Wren : Ines;
                        Assert.Contains(person.On(p.Start.Date), s =>
                            s.From <= p.Start && s.To >= p.End.PlusMilliseconds(-1)
                        );
                    }
                },
                iter: 200
            );

    [Fact]
    public void An_hour_of_hands_is_wages_with_on_costs_and_fixed_costs_over_productive_hours()
    {
        // Wren 5 × 7 h at 19.80, Ines 5 × 4 h at 14.00: (35 × 19.80 + 20 × 14) / 55 = 17.6909
        var n = ShopNumbers.Default with
        {
            Week = ShopNumbers.Default.Week with { People = [Wren, Ines] },
            Rates = ShopNumbers.Default.Rates with { FixedCosts = [new("Rent", 700), new("Insurance", 158)] },
        };
        Assert.Equal(17.6909m, Math.Round(HourRate.Labour(n.Rates, n.Week).Value, 4));
        // 55 h × 52 ÷ 12 × 0.6 = 143 h: 858 / 143 = 6.00
        Assert.Equal(6.0m, Math.Round(HourRate.Overhead(n.Rates, n.Week).Value, 6));
        // what is kept of them, to a millionth
        Assert.Equal((17.690909m, 6.0m), (n.Settled().Rates.Wage, n.Settled().Rates.OverheadPerHour));
        Assert.Equal(ShopNumbers.Default.Rates, ShopNumbers.Default.Settled().Rates);
        Assert.Contains((n with { Week = n.Week with { People = [Wren with { Wage = -1 }] } }).Problems(), p =>
            p.Where == "week.people[0].wage"
        );
        Assert.Contains((n with { Prices = n.Prices with { TierSteps = [12, 6] } }).Problems(), p =>
            p.Where == "prices.tierSteps"
        );
    }
}
