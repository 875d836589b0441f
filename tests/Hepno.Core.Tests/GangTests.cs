using CsCheck;
using Hepno.Core.Gang;

namespace Hepno.Core.Tests;

/// <summary>Gang layouts: sound by a check that knows nothing of how they were made, near their floor, and everything
/// that cannot be said in a sentence.</summary>
public class GangTests
{
    private static readonly GangGround Film = new(22, null, 0.25, 0.125);

    private static readonly Gen<GangGround> Grounds = Gen.Select(
            Gen.Double[8, 24],
            Gen.Double[0, 0.5],
            Gen.Double[0, 0.5],
            Gen.Double[8, 30],
            Gen.Bool
        )
        .Select((w, g, m, l, roll) => new GangGround(w, roll ? null : l, g, m));

    private static readonly Gen<GangDesign[]> Designs = Gen.Select(
            Gen.Double[0.5, 7],
            Gen.Double[0.5, 7],
            Gen.Int[1, 6],
            Gen.Bool,
            Gen.Int[0, 5]
        )
        .Select((w, h, n, turn, group) => (w, h, n, turn, group))
        .Array[1, 7]
        .Select(all =>
            all.Select((d, i) => new GangDesign($"d{i}", d.w, d.h, d.n, d.turn, d.group == 0 ? "g" : "")).ToArray()
        );

    private static List<GangDesign> Laid(GangFound found, IEnumerable<GangDesign> designs) =>
        [.. designs.Where(d => found.Placed.Any(p => p.DesignId == d.Id))];

    [Fact]
    public void Five_thousand_random_layouts_are_sound_never_under_their_floor_and_leave_out_only_what_does_not_fit() =>
        Gen.Select(Grounds, Designs)
            .Sample(
                (ground, designs) =>
                {
                    var found = GangNest.Lay(ground, designs, 1, 40);
                    var laid = Laid(found, designs);
                    Assert.Empty(GangCheck.Faults(ground, laid, found.Placed));
                    Assert.Equal(designs.Length == laid.Count, found.LeftOut.Count == 0);
                    if (laid.Count == 0)
                    {
                        return;
                    }
                    Assert.InRange(found.FloorSheets, 1, found.Sheets);
                    Assert.InRange(found.Utilisation, 0, 1 + 1e-9);
                    if (ground.LengthIn is null)
                    {
                        Assert.InRange(found.FloorLengthIn, 0, found.UsedLengthIn + 1e-6);
                        Assert.Equal(
                            found.UsedLengthIn,
                            found.Placed.Max(p => p.Y + p.HeightIn) + ground.MarginIn,
                            1e-6
                        );
                    }
                },
                iter: 1000
            );

    [Fact]
    public void A_thousand_spoiled_layouts_are_refused()
    {
        var refused = 0;
        Gen.Select(Grounds, Designs, Gen.Int[0, 4], Gen.Int[0, 999])
            .Sample(
                (ground, designs, kind, pick) =>
                {
                    var found = GangNest.Lay(ground, designs, 1, 0);
                    var (laid, placed) = (Laid(found, designs), found.Placed.ToList());
                    if (placed.Count < 2)
                    {
                        return;
                    }
                    var i = pick % placed.Count;
                    var p = placed[i];
                    switch (kind)
                    {
                        case 0:
                            // drop a copy
                            placed.RemoveAt(i);
                            break;
                        case 1:
                            // laid a thousandth too far over the edge
                            placed[i] = p with { X = ground.MarginIn - 1e-3 };
                            break;
                        case 2:
                            // two lie on one another
                            placed[i] = placed[(i + 1) % placed.Count] with
                            {
                                DesignId = p.DesignId,
                                WidthIn = p.WidthIn,
                                HeightIn = p.HeightIn,
                                Turned = p.Turned,
                            };
                            break;
                        case 3:
                            // turned without its extents, or against its leave
                            if (
                                laid.First(d => d.Id == p.DesignId) is { MayTurn: true } d
                                && Math.Abs(d.WidthIn - d.HeightIn) < 0.01
                            )
                            {
                                return;
                            }
                            placed[i] = p with { Turned = !p.Turned };
                            break;
                        default:
                            // a thousandth into the gap of its neighbour, where it has one exactly a gap away and
                            // beside it by more than rounding
                            if (
                                placed.FindIndex(o =>
                                    o != p
                                    && o.Sheet == p.Sheet
                                    && Math.Abs(o.X - (p.X + p.WidthIn + ground.GapIn)) < 1e-9
                                    && Math.Min(p.Y + p.HeightIn, o.Y + o.HeightIn) - Math.Max(p.Y, o.Y) > 1e-3
                                )
                                    is var near
                                && near < 0
                            )
                            {
                                return;
                            }
                            placed[near] = placed[near] with { X = placed[near].X - 1e-3 };
                            break;
                    }
                    Assert.NotEmpty(GangCheck.Faults(ground, laid, placed));
                    Interlocked.Increment(ref refused);
                },
                iter: 2500
            );
        Assert.True(refused >= 1000, $"{refused} were spoiled");
    }

    // rows of one print that may not turn are the least there is; where it may, no laying goes under what is said
    [Fact]
    public void The_floor_of_one_print_is_exact_in_rows_and_never_above_a_laying() =>
        Gen.Select(Gen.Double[1, 14], Gen.Double[1, 14], Gen.Int[1, 60], Gen.Bool)
            .Sample(
                (w, h, copies, turns) =>
                {
                    var ground = new GangGround(22, null, 0.25, 0.125);
                    var found = GangNest.Lay(ground, [new("d", w, h, copies, turns)], 1, GangNest.OnePass);
                    Assert.True(found.FloorLengthIn <= found.UsedLengthIn + 1e-6);
                    if (!turns)
                    {
                        Assert.Equal(found.FloorLengthIn, found.UsedLengthIn, 1e-3);
                    }
                },
                iter: 300
            );

    [Theory]
    // two across turned: 3 take two rows of 10; a mixed row of 10 and 11 fits and helps nothing
    [InlineData(10, 11, 3, 22, 20)]
    [InlineData(10, 11, 4, 22, 20)]
    [InlineData(10, 11, 5, 22, 30)]
    // one and one side by side: three rows of the longer would be 21, a column of each is 18
    [InlineData(9, 6, 5, 15, 18)]
    public void The_floor_of_one_print_that_may_turn(double w, double h, int copies, double wide, double length)
    {
        var found = GangNest.Lay(new(wide, null, 0, 0), [new("d", w, h, copies)], 1, 200);
        Assert.Equal(length, found.UsedLengthIn, 1e-6);
        Assert.Equal(length, found.FloorLengthIn, 1e-2);
    }

    [Theory]
    [InlineData(16, 12.75, 0, 0)]
    [InlineData(25, 16, 0.25, 0.125)]
    [InlineData(49, 23.5, 0.25, 0.25)]
    [InlineData(73, 22, 0, 0.5)]
    public void Boxes_cut_from_a_full_strip_go_back_into_little_more(int count, double width, double gap, double margin)
    {
        // cut with the gap between them, so that the strip's length is the least
        var (cut, length) = Cut(count, width - (2 * margin) + gap, 1.4 * width, gap);
        GangDesign[] designs = [.. cut.Select((c, i) => new GangDesign($"d{i}", c.W, c.H, 1))];
        var ground = new GangGround(width, null, gap, margin);
        var found = GangNest.Lay(ground, designs, 1, 1500);
        Assert.Empty(GangCheck.Faults(ground, designs, found.Placed));
        var best = length - gap + (2 * margin);
        Assert.InRange(found.UsedLengthIn, best - 1e-6, best * 1.07);
        Assert.True(found.FloorLengthIn <= best + 1e-6);
        // more steps never lose what fewer found, and the same steps give the same layout
        Assert.Equal(found.Placed, GangNest.Lay(ground, designs, 1, 1500).Placed);
        Assert.True(GangNest.Lay(ground, designs, 1, GangNest.OnePass).UsedLengthIn >= found.UsedLengthIn - 1e-9);
    }

    [Fact]
    public void A_longer_search_with_the_same_seed_never_ends_worse() =>
        Gen.Select(Grounds, Designs, Gen.Int[30, 900], Gen.Int[1, 900], Gen.Int[1, 9])
            .Sample(
                (ground, designs, few, more, seed) =>
                {
                    GangDesign[] mixed = [.. designs.Select(d => d with { Group = "", Copies = d.Copies * 2 })];
                    var (shorter, longer) = (
                        GangNest.Lay(ground, mixed, seed, few),
                        GangNest.Lay(ground, mixed, seed, few + more)
                    );
                    Assert.True(
                        (longer.Sheets, longer.UsedLengthIn - 1e-9).CompareTo((shorter.Sheets, shorter.UsedLengthIn))
                            <= 0
                            || (longer.Sheets == shorter.Sheets && ground.LengthIn is not null),
                        $"{few} and {more} steps: {shorter.UsedLengthIn} and {longer.UsedLengthIn}"
                    );
                },
                iter: 300
            );

    // guillotine cuts, always through the largest
    private static (List<(double W, double H)> Boxes, double Length) Cut(
        int count,
        double width,
        double length,
        double gap
    )
    {
        var random = new Random(count);
        List<(double W, double H)> boxes = [(width, length)];
        while (boxes.Count < count)
        {
            var b = boxes.MaxBy(x => x.W * x.H);
            boxes.Remove(b);
            var share = 0.3 + (0.4 * random.NextDouble());
            boxes.AddRange(
                b.W > b.H
                    ? [(b.W * share, b.H), (b.W * (1 - share), b.H)]
                    : [(b.W, b.H * share), (b.W, b.H * (1 - share))]
            );
        }
        return ([.. boxes.Select(b => (b.W - gap, b.H - gap))], length);
    }

    // two of the 11 × 12 or three of which at least two are 10.5 × 13 go on a sheet: 11 sheets of three, the other 13
    // of the first in 7
    [Fact]
    public void The_floor_of_sheets_counts_what_really_goes_on_one()
    {
        var found = GangNest.Lay(
            new(22, 24, 0.25, 0.125),
            [
                new("a", 11, 12, 24),
                new("b", 10.5, 13, 22),
                new("c", 2.5, 11, 23),
                new("d", 3, 4, 11),
                new("e", 3.5, 2, 21),
            ],
            1,
            2000
        );
        Assert.Equal((18, 18), (found.Sheets, found.FloorSheets));
    }

    // what was laid before comes again under the names of now; what was left out is said by them
    [Fact]
    public void Layouts_remembered_are_those_that_would_be_laid()
    {
        var memo = new LayoutMemo();
        GangGround roll = new(22, null, 0.25, 0.125);
        GangDesign[] first = [new("a", 9, 8, 14), new("b", 3, 3, 9)];
        GangDesign[] again = [new("front", 9, 8, 14), new("sleeve", 3, 3, 9)];
        Assert.Equal(GangNest.Lay(roll, first, 1, GangNest.OnePass).Placed, memo.Lay(roll, first).Placed);
        var named = memo.Lay(roll, again);
        Assert.Equal(GangNest.Lay(roll, again, 1, GangNest.OnePass).Placed, named.Placed);
        Assert.Empty(GangCheck.Faults(roll, again, named.Placed));
        Assert.Equal("a", memo.LayNameless(roll, again).Placed[0].DesignId);
        Assert.NotEqual(named.UsedLengthIn, memo.Lay(roll, [again[0] with { Copies = 15 }, again[1]]).UsedLengthIn);
        foreach (var name in new[] { "banner", "flag" })
        {
            Assert.StartsWith(
                name,
                Assert.Single(memo.Lay(roll, [new(name, 30, 30, 1), again[1]]).LeftOut).Sentence,
                StringComparison.Ordinal
            );
        }
    }

    // a mix as a shop lays it, 29 sheets by area, 31 by what is larger than an eighth of a sheet: with the next smaller
    // print and more patience no 31 hold it
    [Fact]
    public void A_layout_of_more_than_one_sheet_over_the_floor_is_looked_at_again()
    {
        (double W, double H, int Copies)[] mix =
        [
            (10.5, 13, 1),
            (13, 9, 64),
            (9, 11, 30),
            (10, 7, 16),
            (8, 8, 21),
            (7, 5, 22),
            (4, 4, 24),
            (4, 3, 22),
            (3, 3, 14),
            (3, 1.5, 8),
        ];
        GangDesign[] designs = [.. mix.Select((d, i) => new GangDesign($"d{i}", d.W, d.H, d.Copies))];
        GangPlaced[] apart =
        [
            .. designs
                .SelectMany(d => Enumerable.Repeat(d, d.Copies))
                .Select((d, sheet) => new GangPlaced(d.Id, sheet, 0.125, 0.125, d.WidthIn, d.HeightIn, false)),
        ];
        Assert.Equal(32, GangNest.Found(new(22, 24, 0.25, 0.125), designs, apart, 0).FloorSheets);
        // held against a layout of 32 the first look is enough to say so near
        var near = GangNest.Found(
            new(22, 24, 0.25, 0.125),
            designs,
            [.. apart.Select((p, i) => p with { Sheet = i % 32 })],
            0
        );
        Assert.Equal((32, 31), (near.Sheets, near.FloorSheets));
    }

    [Fact]
    public void Sheets_cut_up_without_rest_are_never_under_their_floor() =>
        Gen.Select(Gen.Int[1, 4], Gen.Double[0.3, 0.7].Array[4, 26])
            .Sample(
                (sheets, cuts) =>
                {
                    List<(double W, double H)> boxes = [.. Enumerable.Repeat((20.0, 24.0), sheets)];
                    foreach (var cut in cuts)
                    {
                        var b = boxes.MaxBy(x => x.W * x.H);
                        boxes.Remove(b);
                        boxes.AddRange(
                            b.W > b.H
                                ? [(b.W * cut, b.H), (b.W * (1 - cut), b.H)]
                                : [(b.W, b.H * cut), (b.W, b.H * (1 - cut))]
                        );
                    }
                    GangDesign[] designs = [.. boxes.Select((b, i) => new GangDesign($"{i}", b.W, b.H, 1))];
                    var found = GangNest.Lay(new(20, 24, 0, 0), designs, 1, 200);
                    Assert.InRange(found.FloorSheets, 1, sheets);
                    Assert.Empty(GangCheck.Faults(new(20, 24, 0, 0), designs, found.Placed));
                },
                iter: 300
            );

    [Fact]
    public void A_group_stays_together_in_one_orientation_on_one_sheet()
    {
        GangDesign[] designs = [new("a", 4, 3, 5, true, "crew"), new("b", 2, 2, 4, true, "crew"), new("c", 6, 5, 8)];
        var ground = new GangGround(12, 16, 0.25, 0.25);
        var found = GangNest.Lay(ground, designs, 1, 500);
        Assert.Empty(GangCheck.Faults(ground, designs, found.Placed));
        var crew = found.Placed.Where(p => p.DesignId is "a" or "b").ToList();
        Assert.Single(crew.Select(p => (p.Sheet, p.Turned)).Distinct());
        // the block is as good as full: nothing else lies in it
        var (left, right, top, bottom) = (
            crew.Min(p => p.X),
            crew.Max(p => p.X + p.WidthIn),
            crew.Min(p => p.Y),
            crew.Max(p => p.Y + p.HeightIn)
        );
        Assert.DoesNotContain(found.Placed.Except(crew), p =>
            p.Sheet == crew[0].Sheet && p.X < right && left < p.X + p.WidthIn && p.Y < bottom && top < p.Y + p.HeightIn
        );
    }

    [Fact]
    public void What_does_not_go_on_is_said_and_everything_else_is_laid()
    {
        var found = GangNest.Lay(
            Film,
            [new("wide", 23, 22, 1), new("tall", 30, 4, 2, MayTurn: false), new("mark", 3, 3, 6)],
            1,
            50
        );
        Assert.Equal(6, found.Placed.Count);
        Assert.Equal(["wide", "tall"], found.LeftOut.Select(p => p.Where));
        Assert.Equal(
            "wide of 23 × 22 in does not go on 22 in with its margins, either way round.",
            found.LeftOut[0].Sentence
        );
        Assert.EndsWith("without turning.", found.LeftOut[1].Sentence, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(22, 0, 1, "designs[0].copies")]
    [InlineData(22, 100_000, 1, "designs[0].copies,designs")]
    [InlineData(22, 1, 30, "gapIn")]
    [InlineData(double.NaN, 1, 0.25, "widthIn")]
    public void What_cannot_be_laid_at_all_is_refused(double width, int copies, double gap, string where) =>
        Assert.Equal(
            where,
            string.Join(
                ',',
                GangProblems.Of(new(width, null, gap, 0.125), [new("a", 3, 3, copies)]).Select(p => p.Where)
            )
        );

    [Theory]
    [InlineData(22, 4, 6, 20, 24)]
    [InlineData(22, 10, 3, 7, 10)]
    [InlineData(10, 7, 4, 2, 7)]
    public void Copies_of_one_design_lie_the_way_round_that_is_shorter(
        double width,
        double w,
        double h,
        int copies,
        double length
    )
    {
        var found = GangNest.Lay(new(width, null, 0, 0), [new("a", w, h, copies)], 1, 200);
        Assert.Equal(length, found.UsedLengthIn, 1e-9);
        // and never turned where it must not be
        GangDesign[] upright = [new("a", w, h, copies, MayTurn: false)];
        Assert.Empty(
            GangCheck.Faults(
                new(width, null, 0, 0),
                upright,
                GangNest.Lay(new(width, null, 0, 0), upright, 1, 200).Placed
            )
        );
    }

    [Fact]
    public void A_search_can_be_stopped_and_keeps_its_best()
    {
        GangDesign[] designs =
        [
            .. Enumerable.Range(0, 40).Select(i => new GangDesign($"d{i}", 1.5 + (i % 7 * 0.9), 2 + (i % 5 * 0.7), 1)),
        ];
        var told = new List<double>();
        var found = GangNest.Lay(Film, designs, 1, 100_000, (_, length) =>
        {
            told.Add(length);
            return told.Count < 20;
        });
        Assert.Equal(20, told.Count);
        Assert.True(found.Steps < 5000);
        Assert.True(told.Zip(told.Skip(1)).All(x => x.Second <= x.First + 1e-9));
        Assert.Empty(GangCheck.Faults(Film, designs, found.Placed));
    }

    [Fact]
    public void A_group_lies_as_any_layout_may()
    {
        // four of 10 x 11 fit a sheet two by two, not one above the other
        var four = GangNest.Lay(new(22, 24, 0.25, 0.125), [new("d", 10, 11, 4, true, "g")], 1, GangNest.OnePass);
        Assert.Equal((4, 1, 0), (four.Placed.Count, four.Sheets, four.LeftOut.Count));
        // as a block over the whole roll a group takes hardly more than without one
        GangDesign[] many =
        [
            new("a", 10, 9.75, 6, true, "g"),
            new("b", 5, 5, 12, true, "g"),
            new("c", 3, 2, 6, true, "g"),
        ];
        var (grouped, free) = (
            GangNest.Lay(Film, many, 1, 200),
            GangNest.Lay(Film, [.. many.Select(d => d with { Group = "" })], 1, 200)
        );
        Assert.Empty(GangCheck.Faults(Film, many, grouped.Placed));
        Assert.InRange(grouped.UsedLengthIn, grouped.FloorLengthIn, free.UsedLengthIn * 1.1);
    }

    [Fact]
    public void The_floor_of_groups_is_one_and_groups_stay_together() =>
        Gen.Select(Grounds, Designs)
            .Where((_, designs) => designs.Any(d => d.Group.Length > 0))
            .Sample(
                (ground, designs) =>
                {
                    var (grouped, free) = (
                        GangNest.Lay(ground, designs, 1, 0),
                        GangNest.Lay(ground, [.. designs.Select(d => d with { Group = "" })], 1, 400)
                    );
                    if (grouped.LeftOut.Count > 0 || free.LeftOut.Count > 0)
                    {
                        return;
                    }
                    Assert.InRange(grouped.FloorLengthIn, 0, free.UsedLengthIn + 1e-6);
                    Assert.InRange(grouped.FloorSheets, 1, free.Sheets);
                    var group = designs.Where(d => d.Group.Length > 0).Select(d => d.Id).ToHashSet();
                    var mine = grouped.Placed.Where(p => group.Contains(p.DesignId)).ToList();
                    Assert.Single(mine.Select(p => p.Sheet).Distinct());
                    var (left, top, right, bottom) = (
                        mine.Min(p => p.X),
                        mine.Min(p => p.Y),
                        mine.Max(p => p.X + p.WidthIn),
                        mine.Max(p => p.Y + p.HeightIn)
                    );
                    // nothing else lies within the block
                    Assert.DoesNotContain(
                        grouped.Placed.Where(p => !group.Contains(p.DesignId) && p.Sheet == mine[0].Sheet),
                        p =>
                            p.X < right - 1e-6
                            && left < p.X + p.WidthIn - 1e-6
                            && p.Y < bottom - 1e-6
                            && top < p.Y + p.HeightIn - 1e-6
                    );
                },
                iter: 300
            );
}
