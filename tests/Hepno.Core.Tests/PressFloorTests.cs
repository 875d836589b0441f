using System.Globalization;
using CsCheck;
using Hepno.Core.PressFloor;

namespace Hepno.Core.Tests;

/// <summary>The press floor: the worked example, bounds, and the best order there is.</summary>
public class PressFloorTests
{
    private static WorkStep Hands(string code, double seconds, bool press = true) =>
        new(code, code, seconds, true, press);

    private static readonly WorkStep[] Before =
    [
        Hands("thread", 10),
        Hands("lint", 5),
        Hands("close", 2),
        new("pre-press", "pre-press", 5, false, true),
        Hands("open", 2),
    ];
    private static readonly WorkStep[] Pressed =
    [
        Hands("position", 12),
        Hands("close", 2),
        new("press", "press", 15, false, true),
        Hands("open", 2),
    ];
    private static readonly WorkStep[] Hot = [.. Pressed, Hands("peel", 4), Hands("unload", 4)];
    private static readonly WorkStep[] Cold =
    [
        .. Pressed,
        Hands("unload", 4),
        new("cool", "cool", 56, false, false),
        Hands("peel", 4, false),
    ];

    private static FloorJob Example(bool hot, double slack = 2, int presses = 1, int pieces = 30) =>
        new(
            pieces,
            Before,
            [new("front", 310, slack, hot ? 3 : null, hot ? Hot : Cold)],
            [Hands("inspect", 6, false)],
            [.. Enumerable.Range(0, presses).Select(i => new FloorPress($"press {i + 1}"))]
        )
        {
            FirstPiece = false,
        };

    [Theory]
    [InlineData(true, 63, 69, 63)]
    [InlineData(false, 59, 125, 59)]
    public void Example_nine_on_one_press(bool hot, double held, double chain, double stream)
    {
        var job = Example(hot);
        Assert.Equal((held, chain, 49), (job.PressSeconds, job.ChainSeconds, job.HandsSeconds));
        Assert.Equal(stream, PressFloorSimulation.SteadySeconds(job), 6);
        Assert.Equal(
            30 * chain,
            PressFloorSimulation.Run(job with { Policy = FloorPolicy.OneAtATime }).MakespanSeconds,
            6
        );
    }

    [Fact]
    public void Example_nine_on_two_presses()
    {
        Assert.InRange(PressFloorSimulation.SteadySeconds(Example(false, presses: 2)), 49, 50);
        Assert.InRange(PressFloorSimulation.SteadySeconds(Example(false, presses: 2) with { MaxInWork = 8 }), 49, 50);
        Assert.InRange(PressFloorSimulation.SteadySeconds(Example(false, 0, 2)), 49, 59);
        var ran = PressFloorSimulation.Run(Example(false, presses: 2), trace: true);
        Assert.True(ran.OverDwellLargest <= 2);
        Assert.Empty(FloorAudit.Faults(Example(false, presses: 2), ran));
    }

    [Fact]
    public void The_first_piece_goes_alone_and_is_judged()
    {
        var job = Example(false, pieces: 10) with { FirstPiece = true };
        var ran = PressFloorSimulation.Run(job, trace: true);
        var judged = ran.Trace.Single(e => e.Lane == "hands" && e.Code == "judge");
        Assert.Equal(60, judged.Until - judged.From);
        Assert.All(ran.Trace.Where(e => e.Piece > 0), e => Assert.True(e.From >= judged.Until));
        // one at a time the judging is all there is to it
        var plain = PressFloorSimulation
            .Run(job with { FirstPiece = false, Policy = FloorPolicy.OneAtATime })
            .MakespanSeconds;
        Assert.Equal(
            plain + 60,
            PressFloorSimulation.Run(job with { Policy = FloorPolicy.OneAtATime }).MakespanSeconds,
            6
        );
    }

    [Fact]
    public void Two_heats_on_one_press_are_pressed_one_placement_after_the_other()
    {
        var job = Example(false, pieces: 12) with
        {
            Passes = [new("front", 310, 2, null, Cold), new("sleeve", 275, 2, null, [Hands("thread", 15), .. Cold])],
        };
        var ran = PressFloorSimulation.Run(job, trace: true);
        Assert.True(ran.ByPlacement);
        // down once: 35 °F at 5 °F a minute
        var heat = Assert.Single(ran.Trace, e => e.Code == "heat");
        Assert.Equal(420, heat.Until - heat.From, 6);
        // a second press that stands at the other heat saves the change and more
        var two = job with { Presses = [new("press 1", AtF: 310), new("press 2", AtF: 275)] };
        Assert.True(PressFloorSimulation.Run(two).MakespanSeconds < ran.MakespanSeconds - 300);
        // piece by piece it would be changed down and up again for each
        Assert.True(ran.MakespanSeconds < 12 * (420 + 105));
    }

    [Fact]
    public void Loading_beside_takes_laying_off_the_press()
    {
        var one = PressFloorSimulation.SteadySeconds(Example(false));
        var beside = PressFloorSimulation.SteadySeconds(
            Example(false) with
            {
                Presses = [new("press", LoadsBeside: true)],
            }
        );
        // hands are then the narrow place: 49 of them a piece
        Assert.Equal(59, one, 6);
        Assert.InRange(beside, 49, 51);
        var auto = PressFloorSimulation.Run(Example(false) with { Presses = [new("press", OpensItself: true)] });
        Assert.Equal(0, auto.OverDwellSum);
    }

    // by hand 59: a press holds a piece 55 s where nobody opens it
    [Fact]
    public void Example_nine_on_a_press_that_opens_itself() =>
        Assert.InRange(
            PressFloorSimulation.SteadySeconds(Example(false) with { Presses = [new("press", OpensItself: true)] }),
            55,
            56.5
        );

    [Fact]
    public void A_press_that_opens_itself_is_never_slower_than_the_same_by_hand() =>
        Jobs.Sample(
            job =>
            {
                FloorJob By(bool itself) =>
                    job with
                    {
                        Presses = [.. job.Presses.Select(p => p with { OpensItself = itself })],
                    };
                var (itself, byHand) = (PressFloorSimulation.Run(By(true)), PressFloorSimulation.Run(By(false)));
                Assert.True(itself.MakespanSeconds <= byHand.MakespanSeconds + 1e-6);
                // only a peel in its window makes it worth the hand
                Assert.True(!itself.OpenedByHand || job.Passes.Any(p => p.PeelWindowSeconds is not null));
            },
            iter: 2000
        );

    [Fact]
    public void Running_evenly_it_is_not_slower_either() =>
        Jobs.Sample(
            job =>
            {
                double By(bool itself) =>
                    PressFloorSimulation.SteadySeconds(
                        job with
                        {
                            Presses = [.. job.Presses.Select(p => p with { OpensItself = itself })],
                        }
                    );
                Assert.InRange(By(true), 0, By(false) + 1e-9);
            },
            iter: 60
        );

    [Fact]
    public void No_over_dwell_at_all_has_its_price()
    {
        var job = Example(false, presses: 2, pieces: 20);
        var found = PressFloorSimulation.Run(job);
        Assert.InRange(found.OverDwellSum, 0.5, double.MaxValue);
        var none = PressFloorSimulation.Run(Example(false, 0, 2, 20));
        Assert.Equal(0, none.OverDwellSum);
        Assert.Equal(
            none.MakespanSeconds - found.MakespanSeconds,
            PressFloorSimulation.ZeroOverDwellCosts(job, found),
            6
        );
        Assert.True(none.MakespanSeconds > found.MakespanSeconds);
    }

    [Theory]
    [InlineData(1, 1)]
    [InlineData(2, 1)]
    [InlineData(2, 2)]
    public void The_narrowest_window_and_no_slack_still_get_an_order(int presses, int rack)
    {
        // warm after 8 s, to be peeled that very second
        WorkStep[] warm =
        [
            .. Pressed,
            Hands("unload", 4),
            new("cool", "cool", 4, false, false),
            Hands("peel", 4, false),
        ];
        var job = Example(true, 0, presses, 6) with { RackPlaces = rack, Passes = [new("front", 310, 0, 0, warm)] };
        Assert.Empty(FloorAudit.Faults(job, PressFloorSimulation.Run(job, trace: true)));
    }

    [Fact]
    public void Hands_on_of_the_parts_is_just_their_steps()
    {
        var job = Example(false, pieces: 10);
        var ran = PressFloorSimulation.Run(job);
        // thread 10, lint 5, close and open 4, inspect 6; position 12, close and open 4, lift off 4, peel 4
        Assert.Equal((240, 250), (ran.Parts[0].HandsOnSeconds, ran.Parts[1].HandsOnSeconds));
        Assert.Equal(10 * job.HandsSeconds, ran.HandsOnSeconds, 6);
    }

    private static readonly Gen<FloorJob> Jobs = Gen.Select(
        Gen.Int[1, 100_000],
        Gen.Int[1, 5],
        Gen.Bool,
        Gen.Bool,
        (seed, pieces, beside, first) =>
        {
            var job = (FloorCase.Drawn(seed) with { Pieces = pieces }).Job();
            return job with
            {
                FirstPiece = first,
                Presses = beside ? [.. job.Presses.Select(p => p with { LoadsBeside = true })] : job.Presses,
            };
        }
    );

    [Fact]
    public void Bounds_hold_and_more_never_makes_it_slower()
    {
        Jobs.Sample(
            job =>
            {
                var ran = PressFloorSimulation.Run(job, trace: true);
                var lowers = job.Presses.Sum(p => p.LoadsBeside ? 2 : 1);
                var hands = job
                    .Chain.Where(s => s.Hands && !(s.Code == "open" && job.Presses[0].OpensItself))
                    .Sum(s => s.Seconds);
                Assert.True(ran.MakespanSeconds >= (job.Pieces * hands / job.Operators) - 1e-6, "hands");
                var held = job.Presses[0].OpensItself
                    ? job.Chain.Where(s => s.Press && s.Code != "open").Sum(s => s.Seconds)
                    : job.PressSeconds;
                Assert.True(ran.MakespanSeconds >= (job.Pieces * held / lowers) - 1e-6, "presses");
                Assert.Empty(FloorAudit.Faults(job, ran));
                Assert.True(
                    PressFloorSimulation.Run(job with { Operators = job.Operators + 1 }).MakespanSeconds
                        <= ran.MakespanSeconds + 1e-6,
                    "one more operator"
                );
                Assert.True(
                    PressFloorSimulation.Run(job with { Presses = [.. job.Presses, new("another")] }).MakespanSeconds
                        <= ran.MakespanSeconds + 1e-6,
                    "one more press"
                );
                Assert.True(
                    PressFloorSimulation.Run(job with { Pieces = job.Pieces + 1 }).MakespanSeconds
                        >= ran.MakespanSeconds - 1e-6,
                    "one more piece"
                );
            },
            iter: 1000
        );
    }

    [Fact]
    public void Against_the_best_order_a_solver_finds()
    {
        var shares = Cases
            .Rows("press-floor-best.csv")
            .Select(row =>
            {
                var job = FloorCase.Read(row).Job();
                var ran = PressFloorSimulation.Run(job, PressFloorSimulation.UsualSearch, trace: true);
                Assert.Empty(FloorAudit.Faults(job, ran));
                Assert.True(
                    ran.MakespanSeconds >= double.Parse(row[13], CultureInfo.InvariantCulture),
                    "under what the solver proved"
                );
                return ran.MakespanSeconds / double.Parse(row[12], CultureInfo.InvariantCulture);
            })
            .ToList();
        Assert.Equal(50, shares.Count);
        Assert.InRange(shares.Average(), 0.98, 1.02);
        Assert.InRange(shares.Max(), 0.98, 1.05);
    }
}
