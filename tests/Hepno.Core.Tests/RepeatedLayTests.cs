using CsCheck;
using Hepno.Core.Gang;

namespace Hepno.Core.Tests;

/// <summary>More copies than are laid whole: a pattern repeated, sound and near its floor.</summary>
public class RepeatedLayTests
{
    private static readonly GangGround Roll = new(22, null, 0.25, 0.125);

    private static readonly Gen<GangDesign[]> Mixes = Gen.Select(
            Gen.Double[1, 10],
            Gen.Double[1, 10],
            Gen.Int[300, 900],
            Gen.Bool
        )
        .Select((w, h, n, turn) => (w, h, n, turn))
        .Array[2, 5]
        .Select(all => all.Select((d, i) => new GangDesign($"d{i}", d.w, d.h, d.n, d.turn)).ToArray());

    [Theory]
    [InlineData(5000, 10, 11)] // two side by side: 2,500 rows of 11.25
    [InlineData(20_000, 3.5, 3.5)]
    [InlineData(1001, 9, 8)]
    public void One_design_lies_in_full_rows(int copies, double width, double height)
    {
        GangDesign[] designs = [new("d", width, height, copies)];
        var found = GangNest.Lay(Roll, designs, 1, GangNest.UsualSteps(copies));
        Assert.Equal(copies, found.Placed.Count);
        Assert.Empty(GangCheck.Faults(Roll, designs, found.Placed));
        var rows =
            Math.Ceiling(copies / Math.Floor((22 - 0.25 + 0.25) / (Math.Min(width, height) + 0.25)))
            * (Math.Max(width, height) + 0.25);
        Assert.InRange(found.UsedLengthIn, found.FloorLengthIn, rows + 0.25);
    }

    [Fact]
    public void One_copy_more_than_are_laid_whole_takes_hardly_more() =>
        Gen.Select(Gen.Double[2, 12], Gen.Double[2, 12])
            .Sample(
                (w, h) =>
                {
                    double Length(int copies) =>
                        GangNest.Lay(Roll, [new("d", w, h, copies)], 1, GangNest.OnePass).UsedLengthIn;
                    var (before, after) = (Length(GangNest.MostCopies), Length(GangNest.MostCopies + 1));
                    Assert.InRange(after, before * 0.97, (before * 1.01) + Math.Max(w, h) + 1);
                },
                iter: 12
            );

    [Fact]
    public void Mixes_on_a_roll_and_on_sheets_are_sound_and_near_their_floor() =>
        Gen.Select(
                Mixes,
                Gen.OneOf(Gen.Const((double?)null), Gen.Double[24, 60].Select(l => (double?)l), Gen.Const((double?)600))
            )
            .Sample(
                (designs, length) =>
                {
                    var ground = Roll with { LengthIn = length };
                    var found = GangNest.Lay(ground, designs, 1, GangNest.OnePass);
                    Assert.Empty(found.LeftOut);
                    Assert.Empty(GangCheck.Faults(ground, designs, found.Placed));
                    // the last of a few long sheets may be nearly empty
                    Assert.True(
                        length is null ? found.OverFloor < 0.35 : found.Sheets <= (found.FloorSheets * 1.35) + 1,
                        $"{found.Sheets} sheets, {found.OverFloor:P0} over"
                    );
                },
                iter: 12
            );

    [Fact]
    public void Tiny_prints_fill_a_long_sheet()
    {
        // some 2,500 labels go on a sheet of 22 x 60: a pattern of 240 alone on each would take nine times as many
        GangDesign[] designs = [new("label", 1, 0.25, 12_000)];
        var ground = Roll with { LengthIn = 60 };
        var found = GangNest.Lay(ground, designs, 1, GangNest.OnePass);
        Assert.Empty(GangCheck.Faults(ground, designs, found.Placed));
        Assert.InRange(found.Sheets, found.FloorSheets, (found.FloorSheets * 1.15) + 1);
    }

    [Fact]
    public void What_is_too_large_is_left_out_and_groups_and_too_many_are_refused()
    {
        var found = GangNest.Lay(Roll, [new("d", 3, 3, 1500), new("wide", 30, 30, 1)], 1, GangNest.OnePass);
        Assert.Equal((1500, "wide"), (found.Placed.Count, Assert.Single(found.LeftOut).Where));
        Assert.Equal(
            "many",
            Assert
                .Single(GangProblems.Of(Roll, [new("d", 3, 3, 1500), new("g", 3, 3, 2, true, "g")], GangNest.MostInAll))
                .Code
        );
        Assert.Contains(
            "range",
            GangProblems.Of(Roll, [new("d", 3, 3, 20_001)], GangNest.MostInAll).Select(p => p.Code)
        );
        Assert.Empty(GangProblems.Of(Roll, [new("d", 3, 3, 20_000)], GangNest.MostInAll));
    }
}
