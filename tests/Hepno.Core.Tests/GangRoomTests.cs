using CsCheck;
using Hepno.Core.Gang;

namespace Hepno.Core.Tests;

/// <summary>Layouts by hand: room that is found, copies round pinned ones, and where a moved one snaps to.</summary>
public class GangRoomTests
{
    private static readonly GangGround Film = new(22, null, 0.5, 0.25);

    private static readonly Gen<(GangGround Ground, GangDesign[] Designs)> Cases = Gen.Select(
            Gen.Double[8, 24],
            Gen.Double[0, 0.6],
            Gen.Double[0, 0.5],
            Gen.Bool,
            Gen.Select(Gen.Double[0.5, 6], Gen.Double[0.5, 6], Gen.Int[1, 6], Gen.Bool).Array[1, 5]
        )
        .Select(
            (w, gap, margin, roll, all) =>
                (
                    new GangGround(w, roll ? null : 16, gap, margin),
                    all.Select((d, i) => new GangDesign($"d{i}", d.Item1, d.Item2, d.Item3, d.Item4)).ToArray()
                )
        );

    private static double End(IReadOnlyList<GangPlaced> all) =>
        all.Where(p => p.Sheet == all.Max(q => q.Sheet)).Max(p => p.Y + p.HeightIn);

    private static GangPlaced At(string id, double x, double y, double w, double h, bool turned = false) =>
        new(id, 0, x, y, w, h, turned);

    [Fact]
    public void What_fills_the_room_is_sound_goes_no_further_and_leaves_no_room_for_another() =>
        Cases.Sample(
            (ground, designs) =>
            {
                var found = GangNest.Lay(ground, designs, 1, GangNest.OnePass);
                if (found.LeftOut.Count > 0 || found.Placed.Count == 0)
                {
                    return;
                }
                var length = ground.LengthIn ?? found.UsedLengthIn + 3;
                var more = GangRoom.Fill(ground, found.Placed, designs[0], found.Sheets, length, 500);
                GangPlaced[] all = [.. found.Placed, .. more];
                Assert.Empty(
                    GangCheck.Faults(
                        ground,
                        [.. designs.Select((d, i) => i == 0 ? d with { Copies = d.Copies + more.Count } : d)],
                        all
                    )
                );
                Assert.True(more.All(p => p.Y + p.HeightIn + ground.MarginIn <= length + 1e-6));
                // so many were wanted at most
                Assert.All(Enumerable.Range(0, more.Count == 500 ? 0 : found.Sheets), sheet =>
                    Assert.Null(GangRoom.For(ground, sheet, all, designs[0], length))
                );
            },
            iter: 400
        );

    [Fact]
    public void Pinned_copies_stay_and_everything_else_is_laid_round_them() =>
        Gen.Select(Cases, Gen.Int[0, 50], Gen.Double[0, 20])
            .Sample(
                (c, pick, y) =>
                {
                    var (ground, designs) = c;
                    var found = GangNest.Lay(ground, designs, 1, GangNest.OnePass);
                    if (found.LeftOut.Count > 0 || found.Placed.Count == 0)
                    {
                        return;
                    }
                    var pinned = found.Placed[pick % found.Placed.Count];
                    pinned = ground.LengthIn is null ? pinned with { Y = ground.MarginIn + y } : pinned;
                    var (all, _) = PinnedSearch.Around(ground, [pinned], designs);
                    var (searched, steps) = PinnedSearch.Around(ground, [pinned], designs, 1, 300);
                    Assert.Equal(pinned, searched[0]);
                    Assert.Empty(GangCheck.Faults(ground, designs, searched));
                    Assert.InRange(steps, 1, 300);
                    // never worse than the usual orders, and the same again
                    Assert.True(
                        (searched.Max(p => p.Sheet), End(searched)).CompareTo((all.Max(p => p.Sheet), End(all) + 1e-9))
                            <= 0
                    );
                    Assert.Equal(searched, PinnedSearch.Around(ground, [pinned], designs, 1, 300).Placed);
                },
                iter: 400
            );

    [Fact]
    public void A_search_round_a_pinned_copy_gets_shorter()
    {
        GangDesign[] designs =
        [
            new("a", 11, 12, 6),
            new("b", 10, 7, 9),
            new("c", 4, 3, 20),
            new("d", 9, 3, 8),
            new("e", 3.5, 2, 14),
        ];
        var pinned = new GangPlaced("a", 0, 5, 20, 11, 12, false);
        var usual = End(PinnedSearch.Around(Film, [pinned], designs).Placed);
        Assert.True(End(PinnedSearch.Around(Film, [pinned], designs, 1, 60_000).Placed) < usual - 1);
    }

    [Fact]
    public void There_is_no_room_for_what_is_wider_than_the_film_or_past_the_length()
    {
        Assert.Null(GangRoom.For(Film, 0, [], new("wide", 22, 30, 1), double.PositiveInfinity));
        Assert.NotNull(GangRoom.For(Film, 0, [], new("wide", 21.5, 30, 1), 30.5));
        Assert.Null(GangRoom.For(Film, 0, [], new("wide", 21.5, 30, 1), 30.4));
        // turned it goes
        Assert.True(GangRoom.For(Film, 0, [], new("long", 30, 4, 1), double.PositiveInfinity)!.Turned);
        Assert.Null(GangRoom.For(Film, 0, [], new("long", 30, 4, 1, MayTurn: false), double.PositiveInfinity));
    }

    [Theory]
    [InlineData(0.4, 0.4, 0.25, 0.25)] // the corner, an edge on both sides
    [InlineData(10.6, 0.3, 10.75, 0.25)] // a gap from the neighbour: 0.25 + 10 + 0.5
    [InlineData(0.3, 8.6, 0.25, 8.75)] // a gap under it: 0.25 + 8 + 0.5
    [InlineData(18.9, 0.4, 18.75, 0.25)] // the right edge: 22 - 0.25 - 3
    [InlineData(14, 20, 14, 20)] // nothing near
    [InlineData(-4, -4, 0.25, 0.25)] // never over the edge
    public void A_moved_copy_snaps_to_edges_gaps_and_neighbours(double x, double y, double atX, double atY)
    {
        var at = GangSnap.To(Film, [At("front", 0.25, 0.25, 10, 8)], At("mark", x, y, 3, 3), 0.3);
        Assert.Equal((atX, atY), (Math.Round(at.X, 6), Math.Round(at.Y, 6)));
    }

    [Fact]
    public void Without_reach_a_copy_lies_where_the_hand_put_it()
    {
        var at = GangSnap.To(
            Film with
            {
                LengthIn = 30,
            },
            [At("front", 0.25, 0.25, 10, 8)],
            At("mark", 10.9, 8.6, 3, 3),
            0
        );
        Assert.Equal((10.9, 8.6), (at.X, at.Y));
        Assert.Equal(26.75, GangSnap.To(Film with { LengthIn = 30 }, [], At("mark", 1, 40, 3, 3), 0).Y);
    }
}
