using Hepno.Core.Blanks;
using Hepno.Core.Comparing;
using Hepno.Core.Learning;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Runs;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Tests;

/// <summary>Standards and spoilage over everything recorded, by hand.</summary>
public class ShopLearningTests
{
    private static RunEvent Said(int piece, int pass, RunVerdict verdict, double seconds, string? takesBack = null) =>
        new($"e{piece}-{pass}-{verdict}", "d", piece, 1, pass, "M", verdict, null, takesBack, seconds);

    private static LineRecorded Line(double seconds, int good, int spoiled) =>
        new(
            ["dtf-bought", "dtf-bought"],
            ["Front", "Left sleeve"],
            120,
            [
                .. Enumerable
                    .Range(1, good)
                    .SelectMany(p =>
                        new[] { Said(p, 1, RunVerdict.Good, seconds), Said(p, 2, RunVerdict.Good, seconds) }
                    ),
                .. Enumerable.Range(good + 1, spoiled).Select(p => Said(p, 1, RunVerdict.Spoiled, seconds)),
            ],
            []
        );

    private static readonly Dictionary<MethodId, (double, double)> Set = new() { ["dtf-bought"] = (0.015, 0.015) };

    [Fact]
    public void Seconds_and_spoilage_stand_by_method_and_place()
    {
        var lines = new[] { Line(66, 10, 2) };
        Assert.Equal(
            [("Front", 60.0, 66.0, 12), ("Left sleeve", 60.0, 66.0, 10)],
            ShopLearning.Seconds(ShopLearning.Parts(lines)).Select(s => (s.Place, s.Standard, s.Recorded, s.Timings))
        );
        Assert.Equal(
            [("Front", 2, 12), ("Left sleeve", 0, 10)],
            ShopLearning.Spoilage(ShopLearning.Parts(lines)).Select(s => (s.Place, s.Spoiled, s.Attempts))
        );
    }

    [Fact]
    public void Steps_stand_beside_their_standards_where_the_screen_saw_them()
    {
        var recipe = MethodTests.Book.Of<Recipe>()[0];
        var steps = (WorkStep[])
            [
                .. StepStandards.Default.Before(GarmentKind.Tee, 5),
                .. StepStandards.Default.Transfer(
                    recipe with
                    {
                        DwellSeconds = 15,
                        Peel = Peel.Cold,
                        PeelAfterSeconds = 60,
                        SecondPressSeconds = 8,
                    },
                    0
                ),
                .. StepStandards.Default.After.Take(1),
            ];
        // thread 10, lint 5, pre-press 2 + 5 + 2, position 12; 2 + 15 + 2; lift 4, peel 4, re-load 7, cover 3, lift 4,
        // look 6; 2 + 8 + 2
        var standards = LapStandards.Seconds(steps);
        Assert.Equal([36.0, 19, 28, 12], StepLap.Steps.Select(s => standards[s]));
        RunEvent Timed(int piece, double lay, RunVerdict verdict = RunVerdict.Good) =>
            Said(piece, 1, verdict, 90) with
            {
                Laps =
                [
                    new(StepLap.Lay, lay),
                    new(StepLap.Press, 19),
                    new(StepLap.Peel, 10),
                    new(StepLap.Peel, 14),
                    new(StepLap.Again, 12),
                ],
            };
        var line = new LineRecorded(
            ["htv"],
            ["Front"],
            95,
            [
                Timed(1, 40),
                Timed(2, 50),
                Timed(3, 3600),
                Timed(4, 99, RunVerdict.Spoiled),
                Said(5, 1, RunVerdict.Good, 60),
                Said(6, 1, RunVerdict.Good, 60) with
                {
                    Laps = [new(StepLap.Peel, 60)],
                },
            ],
            [standards]
        );
        // a wait of an hour counts as three times the standard: (40 + 50 + 108) / 3
        Assert.Equal(
            [("lay", 36, 66, 3), ("press", 19, 19, 3), ("peel", 28, 24, 3), ("again", 12, 12, 3)],
            ShopLearning.Steps(ShopLearning.Parts([line])).Select(s => (s.Step, s.Standard, s.Recorded, s.Timings))
        );
    }

    // two stitched, one of them spoiled under the finishing press: one of two, not one of four
    [Fact]
    public void A_finishing_pass_spoils_for_its_way_and_is_no_attempt_of_its_own()
    {
        var line = new LineRecorded(
            ["applique", "applique"],
            ["Front", "Front"],
            60,
            [
                Said(1, 1, RunVerdict.Good, 30),
                Said(2, 1, RunVerdict.Good, 30),
                Said(1, 2, RunVerdict.Good, 30),
                Said(2, 2, RunVerdict.Spoiled, 30),
            ],
            [],
            [2]
        );
        Assert.Equal(
            new SpoiledLearned("applique", "Front", 1, 2),
            Assert.Single(ShopLearning.Spoilage(ShopLearning.Parts([line])))
        );
    }

    [Fact]
    public void A_candidate_weighs_the_assumption_in()
    {
        var found = ShopLearning.Candidates(ShopLearning.Parts([Line(66, 10, 2)]), 1, Set).ToDictionary(c => c.Key);
        // (20 × 60 + 22 × 66) / 42 = 63.143 of 60; (30 × 0.015 + 2) / (30 + 22) = 0.0471
        Assert.Equal((1.052, 22), (found["hands"].Learned, found["hands"].Seen));
        Assert.Equal((0.0471, 22), (found["spoilage"].Learned, found["spoilage"].Seen));
    }

    [Fact]
    public void Too_few_a_wait_and_what_is_taken_back_teach_nothing()
    {
        Assert.Empty(ShopLearning.Candidates(ShopLearning.Parts([Line(66, 2, 1)]), 1, Set));
        // one wait of an hour counts as three times the standard
        Assert.Equal(180, ShopLearning.Seconds(ShopLearning.Parts([Line(3600, 1, 0)]))[0].Recorded);
        var line = Line(60, 6, 0);
        Assert.Equal(
            11,
            ShopLearning
                .Seconds(
                    ShopLearning.Parts([
                        line with
                        {
                            Events = [.. line.Events, Said(1, 1, RunVerdict.TakenBack, 0, "e1-1-Good")],
                        },
                    ])
                )
                .Sum(s => s.Timings)
        );
        Assert.DoesNotContain(ShopLearning.Candidates(ShopLearning.Parts([Line(60, 400, 0)]), 1, Set), c =>
            c.Key == "hands"
        );
    }

    [Fact]
    public void What_is_learned_moves_cost_and_spares()
    {
        var ask = MethodTests.Ask(40);
        Comparison With(ShopNumbers n) =>
            Comparer.Compare(
                ask,
                null,
                null,
                null,
                MethodTests.Book with
                {
                    Numbers = n,
                },
                new Planning.FloorPlan(
                    new LocalDateTime(2026, 6, 1, 10, 0, 0),
                    new Planning.OpenHours(n.Week.Days),
                    MethodTests.Book.Presses,
                    []
                )
            );
        Band Film(ShopNumbers n) => With(n).Bands.Single(b => b.MethodId == "dtf-bought");
        var (plain, slow, spoils) = (
            Film(ShopNumbers.Default),
            Film(ShopNumbers.Default with { Floor = ShopNumbers.Default.Floor with { HandsFactor = 1.2 } }),
            Film(
                ShopNumbers.Default with
                {
                    Rates = ShopNumbers.Default.Rates with { Spoilage = [new("dtf-bought", 0.08)] },
                }
            )
        );
        Assert.True(slow.Cost.Value > plain.Cost.Value && spoils.Cost.Value > plain.Cost.Value);
        Assert.True(slow.Hands.Value < plain.Hands.Value * 1.2m);
        Assert.Equal(
            (plain.Decorations[0].Bought, 0.015),
            (slow.Decorations[0].Bought, plain.Decorations[0].FailureChance)
        );
        Assert.True(spoils.Decorations[0].Bought > plain.Decorations[0].Bought);
        Assert.Contains(
            (
                ShopNumbers.Default with
                {
                    Rates = ShopNumbers.Default.Rates with { Spoilage = [new("htv", 0.7)] },
                }
            ).Problems(),
            p => p.Where == "rates.spoilage"
        );
    }

    [Fact]
    public void What_two_orders_taught_added_is_what_both_taught()
    {
        LineRecorded[] lines = [Line(66, 10, 2), Line(50, 7, 1)];
        Assert.Equal(
            ShopLearning.Parts(lines),
            LearnedPart.Sum(ShopLearning.Parts([lines[0]]).Concat(ShopLearning.Parts([lines[1]])))
        );
    }
}
