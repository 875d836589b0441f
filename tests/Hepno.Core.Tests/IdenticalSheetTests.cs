using System.Numerics;
using Hepno.Core.Gang;
using Hepno.Core.Measures;

namespace Hepno.Core.Tests;

/// <summary>Sheets that are all alike, held against trying everything.</summary>
public class IdenticalSheetTests
{
    private static readonly PriceBreak[] Breaks = [new(1, 3m), new(4, 2.5m), new(9, 1.8m)];

    private static IdenticalDesign Design(
        string id,
        double w,
        double h,
        int copies,
        bool turn = true,
        params string[] inks
    ) => new(new(id, w, h, copies, turn), inks);

    [Fact]
    public void Two_hundred_small_cases_cost_what_trying_everything_finds()
    {
        for (var seed = 1; seed <= 200; seed++)
        {
            var random = new Random(seed);
            // up to three designs in ten copies
            var kinds = 1 + random.Next(3);
            var (w, h) = (4 + random.Next(5), 4 + random.Next(5));
            IdenticalDesign[] designs =
            [
                .. Enumerable
                    .Range(0, kinds)
                    .Select(i =>
                        Design(
                            $"d{i}",
                            1 + random.Next(4),
                            1 + random.Next(4),
                            1 + random.Next(10 / kinds),
                            random.Next(3) > 0,
                            random.Next(2) == 0 ? "red" : "gold"
                        )
                    ),
            ];
            var prices = new IdenticalPrices(Breaks, random.Next(4), random.Next(3));
            var plan = IdenticalSheets.Cheapest(new(w, h, 0, 0), designs, prices)!;
            var everything = Partings(designs).Min(parts => parts.Sum(block => Everything(w, h, block, prices)));
            Assert.True(everything == plan.Cost.Value, $"seed {seed}: {plan.Cost.Value} against {everything}");
            Assert.True(plan.Proved, $"seed {seed}");
            Assert.Equal(plan.Least, plan.Cost.Value);
            Assert.All(plan.Layouts, l =>
                Assert.Empty(
                    GangCheck.Faults(
                        new(w, h, 0, 0),
                        [
                            .. l.PerSheet.Select(c =>
                                designs.First(d => d.Design.Id == c.DesignId).Design with
                                {
                                    Copies = c.Copies,
                                }
                            ),
                        ],
                        l.Placed
                    )
                )
            );
            Assert.All(plan.Layouts.SelectMany(l => l.PerSheet.Select(c => (l, c))), x =>
                Assert.True(x.c.Copies * x.l.Needed >= x.c.Needed)
            );
        }
    }

    private static List<IdenticalDesign[][]> Partings(IdenticalDesign[] d) =>
        d.Length switch
        {
            1 =>
            [
                [
                    [d[0]],
                ],
            ],
            2 =>
            [
                [
                    [d[0], d[1]],
                ],
                [
                    [d[0]],
                    [d[1]],
                ],
            ],
            _ =>
            [
                [d],
                [
                    [d[0], d[1]],
                    [d[2]],
                ],
                [
                    [d[0], d[2]],
                    [d[1]],
                ],
                [
                    [d[1], d[2]],
                    [d[0]],
                ],
                [
                    [d[0]],
                    [d[1]],
                    [d[2]],
                ],
            ],
        };

    // every count of each design on a sheet; the cheapest that goes on
    private static decimal Everything(int w, int h, IdenticalDesign[] block, IdenticalPrices prices)
    {
        var best = 1_000_000m;
        void Count(int i, int[] on)
        {
            if (i < block.Length)
            {
                for (on[i] = 1; on[i] <= block[i].Design.Copies; on[i]++)
                {
                    Count(i + 1, on);
                }
                return;
            }
            var sheets = block.Select((d, k) => (d.Design.Copies + on[k] - 1) / on[k]).Max();
            // buying more than needed may cost less
            var money =
                Enumerable.Range(sheets, 12).Min(n => n * Breaks.Last(b => b.From <= n).Price)
                + prices.SetUp
                + (prices.Ink * block.SelectMany(d => d.Inks).Distinct().Count());
            if (money < best && Goes(w, h, block.SelectMany((d, k) => Enumerable.Repeat(d.Design, on[k])).ToList()))
            {
                best = money;
            }
        }
        Count(0, new int[block.Length]);
        return best;
    }

    // cells of one square inch in one word
    private static bool Goes(int w, int h, List<GangDesign> left)
    {
        var all = (w * h) == 64 ? ulong.MaxValue : (1UL << (w * h)) - 1;
        bool Try(ulong taken, int spare, List<GangDesign> rest)
        {
            if (rest.Count == 0)
            {
                return true;
            }
            var free = all & ~taken;
            if (free == 0)
            {
                return false;
            }
            var (cell, x) = (BitOperations.TrailingZeroCount(free), BitOperations.TrailingZeroCount(free) % w);
            foreach (var d in rest.DistinctBy(d => d.Id))
            {
                foreach (
                    var (bw, bh) in d.MayTurn
                        ? new[] { ((int)d.WidthIn, (int)d.HeightIn), ((int)d.HeightIn, (int)d.WidthIn) }
                        : [((int)d.WidthIn, (int)d.HeightIn)]
                )
                {
                    var mask = 0UL;
                    for (var r = 0; r < bh; r++)
                    {
                        for (var c = 0; c < bw; c++)
                        {
                            mask |= cell + (r * w) + c < 64 ? 1UL << (cell + (r * w) + c) : 0;
                        }
                    }
                    if (
                        x + bw <= w
                        && (cell / w) + bh <= h
                        && (mask & taken) == 0
                        && Try(taken | mask, spare, [.. rest.Where((o, i) => i != rest.IndexOf(d))])
                    )
                    {
                        return true;
                    }
                }
            }
            return spare > 0 && Try(taken | (1UL << cell), spare - 1, rest);
        }
        var area = left.Sum(d => (int)(d.WidthIn * d.HeightIn));
        return area <= w * h && Try(0, (w * h) - area, left);
    }

    [Fact]
    public void Area_alone_is_too_optimistic()
    {
        // two of 3 × 4 in are 24 of 25 in² and do not go on 5 × 5 in
        var plan = IdenticalSheets.Cheapest(new(5, 5, 0, 0), [Design("a", 3, 4, 2)], new(Breaks, 0, 0))!;
        Assert.Equal(
            (1, 2, 6m, true),
            (plan.Layouts[0].PerSheet[0].Copies, plan.Layouts[0].Needed, plan.Cost.Value, plan.Proved)
        );
    }

    [Fact]
    public void Designs_part_where_set_up_is_cheap_and_share_where_it_is_dear()
    {
        IdenticalDesign[] designs = [Design("many", 4, 4, 40, true, "red"), Design("few", 4, 4, 2, true, "gold")];
        int Layouts(decimal setUp) =>
            IdenticalSheets.Cheapest(new(8, 8, 0, 0), designs, new([new(1, 5m)], setUp, 0))!.Layouts.Count;
        // four on a sheet: 10 + 1 sheets apart, or three and one together: 14
        Assert.Equal((2, 1), (Layouts(10m), Layouts(20m)));
    }

    [Fact]
    public void More_sheets_than_needed_are_bought_where_the_break_makes_them_cheaper()
    {
        var plan = IdenticalSheets.Cheapest(
            new(4, 4, 0, 0),
            [Design("a", 4, 4, 7)],
            new([new(1, 3m), new(9, 1.8m)], 0, 0)
        )!;
        Assert.Equal((7, 9, 16.2m), (plan.Layouts[0].Needed, plan.Layouts[0].Bought, plan.Cost.Value));
        Assert.Null(IdenticalSheets.Cheapest(new(4, 4, 0, 0), [Design("a", 5, 4, 7)], new(Breaks, 0, 0)));
    }
}
