using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>Lays different designs together on film, a roll or sheets (docs/trade 7). The same designs, seed and steps
/// give the same layout.</summary>
public static class GangNest
{
    /// <summary>Most copies that are laid whole, and moved by hand.</summary>
    public const int MostCopies = 1000;

    /// <summary>Most copies of one layout: more than are laid whole are a pattern repeated.</summary>
    public const int MostInAll = 20_000;

    // so many comparisons of boxes are about two seconds on one core
    private const double UsualWork = 3e8;

    /// <summary>Steps of a search that somebody waits for, about two seconds on one core.</summary>
    /// <param name="copies">Copies laid.</param>
    public static int UsualSteps(int copies) =>
        (int)Math.Clamp(UsualWork / Math.Max(1, (double)copies * copies), 300, 1_000_000);

    /// <summary>Steps without a search: only the usual orders, for comparisons over many quantities.</summary>
    public const int OnePass = 0;

    /// <summary>Lays designs on a roll or on as many sheets as they need.</summary>
    /// <param name="ground">What they are laid on: a roll where it has no length.</param>
    /// <param name="designs">What is laid.</param>
    /// <param name="seed">Where chance begins.</param>
    /// <param name="steps">Layings tried; <see cref="OnePass"/> for the usual orders alone.</param>
    /// <param name="go">Told the length or the sheets so far after some steps; false ends the search, the best is
    /// kept.</param>
    public static GangFound Lay(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int seed,
        int steps,
        Func<int, double, bool>? go = null
    ) => Lay(ground, designs, seed, steps, steps > OnePass, go);

    /// <summary>Laid with the floor that is known without trying out what goes on a sheet: that trying-out lays
    /// too.</summary>
    internal static GangFound LayPlainly(GangGround ground, IReadOnlyList<GangDesign> designs, int seed, int steps) =>
        Lay(ground, designs, seed, steps, false, null);

    private static GangFound Lay(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int seed,
        int steps,
        bool byPatterns,
        Func<int, double, bool>? go
    )
    {
        var blocks = GroupBlocks.Best(ground, designs, chosen =>
            LaidBy(ground, designs, chosen, seed, OnePass, false, null)
        );
        return LaidBy(ground, designs, blocks, seed, steps, byPatterns, go);
    }

    private static GangFound LaidBy(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyDictionary<string, GangUnit> blocks,
        int seed,
        int steps,
        bool byPatterns,
        Func<int, double, bool>? go
    )
    {
        var (width, length) = (
            ground.WidthIn - (2 * ground.MarginIn) + ground.GapIn,
            ground.LengthIn is { } l ? l - (2 * ground.MarginIn) + ground.GapIn : double.PositiveInfinity
        );
        var units = GangUnit.Units(designs, name => blocks[name]).ToList();
        var leftOut = units
            .Where(u => !u.Fits(width, length, ground.GapIn))
            .Select(u => u.TooLarge(ground))
            .Distinct()
            .ToList();
        units = [.. units.Where(u => u.Fits(width, length, ground.GapIn))];
        if (units.Count == 0)
        {
            return new([], 0, 0, FloorLengthIn: 0, 0, 0, 0, leftOut, 0);
        }
        Skyline.Box[] boxes = [.. Boxes(units, ground)];
        // a group may lie in another block: only what its copies need is a floor
        var alone =
            blocks.Count == 0
                ? boxes
                :
                [
                    .. Boxes(
                        GangUnit.Alone([.. designs.Where(d => units.Any(u => u.Parts.Any(p => p.DesignId == d.Id)))]),
                        ground
                    ),
                ];
        var floor = GangFloor.Length(width, alone);
        var floorSheets = ground.LengthIn is null ? 1 : GangFloor.Sheets(width, length, alone);
        if (units.Count > MostCopies)
        {
            return Repeated(ground, designs, units, seed, steps, floor, floorSheets, go, leftOut);
        }
        floorSheets =
            byPatterns && ground.LengthIn is not null
                ? SheetPatterns.Floor(width, length, alone, floorSheets, sheets: 0)
                : floorSheets;
        var found = Search(ground, (width, length), boxes, seed, steps, (floor, floorSheets), go);
        floorSheets =
            byPatterns && found.Sheets > floorSheets
                ? SheetPatterns.Floor(width, length, alone, floorSheets, found.Sheets)
                : floorSheets;
        var placed = units
            .SelectMany((u, i) => u.Placed(found.At[i], ground))
            .OrderBy(p => p.Sheet)
            .ThenBy(p => p.Y)
            .ThenBy(p => p.X)
            .ToList();
        return GangFound.Laid(
            ground,
            designs,
            placed,
            Used(found.Length, ground),
            found.Sheets,
            ground.LengthIn is null || (ground.IsCutShorter && found.Sheets == 1) ? Used(floor, ground) : 0,
            floorSheets,
            found.Steps,
            leftOut
        );
    }

    private static StripSearch.Found Search(
        GangGround ground,
        (double Width, double Length) inside,
        Skyline.Box[] boxes,
        int seed,
        int steps,
        (double Length, int Sheets) floor,
        Func<int, double, bool>? go
    )
    {
        StripSearch.Found Strip() =>
            StripSearch.Roll(
                inside.Width,
                boxes,
                seed,
                steps,
                floor.Length,
                go is null ? null : (s, best) => go(s, Used(best, ground))
            );
        if (ground.LengthIn is null)
        {
            return Strip();
        }
        var found = SheetSearch.Sheets(inside.Width, inside.Length, boxes, seed, steps, floor.Sheets, go);
        // what goes on one that is sold shorter is made shorter
        return
            ground.IsCutShorter
            && found.Sheets == 1
            && Strip() is var strip
            && strip.Length <= inside.Length
            && strip.Length < found.Length
            ? strip
            : found;
    }

    private static GangFound Repeated(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyList<GangUnit> units,
        int seed,
        int steps,
        double floor,
        int floorSheets,
        Func<int, double, bool>? go,
        IReadOnlyList<Problem> leftOut
    )
    {
        var (repeated, tried) = RepeatedLay.Lay(
            ground,
            [.. designs.Where(d => units.Any(u => u.Name == d.Id))],
            seed,
            steps,
            go
        );
        var sheets = repeated.Max(p => p.Sheet) + 1;
        return GangFound.Laid(
            ground,
            designs,
            repeated,
            UsedOf(repeated, sheets, ground),
            sheets,
            ground.LengthIn is null ? Used(floor, ground) : 0,
            floorSheets,
            tried,
            leftOut
        );
    }

    /// <summary>A layout made by hand or kept from before, with its length, floor and use worked out; it is not checked
    /// here (<see cref="GangCheck"/>).</summary>
    /// <param name="ground">What it lies on.</param>
    /// <param name="designs">What was to be laid.</param>
    /// <param name="placed">Where every copy lies.</param>
    /// <param name="steps">Layings tried for it.</param>
    public static GangFound Found(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyList<GangPlaced> placed,
        int steps
    )
    {
        if (placed.Count == 0)
        {
            return new([], 0, 0, FloorLengthIn: 0, 0, 0, steps, [], 0);
        }
        var sheets = placed.Max(p => p.Sheet) + 1;
        var (floor, floorSheets) = Floor(ground, designs, sheets);
        return GangFound.Laid(
            ground,
            designs,
            placed,
            UsedOf(placed, sheets, ground),
            sheets,
            floor,
            floorSheets,
            steps,
            []
        );
    }

    // the length and the sheets no layout of these designs goes below
    private static (double LengthIn, int Sheets) Floor(GangGround ground, IReadOnlyList<GangDesign> designs, int sheets)
    {
        var across = ground.WidthIn - (2 * ground.MarginIn);
        if (designs.Any(d => d.Cover < 1))
        {
            // what boxes need says nothing of outlines: only what they enclose has to go on it
            var least = designs.Sum(d => d.AreaIn2 * d.Cover * d.Copies) / across;
            return ground.LengthIn is { } sheet
                ? (0, Math.Max(1, (int)Math.Ceiling((least / (sheet - (2 * ground.MarginIn))) - 1e-9)))
                : (least + (2 * ground.MarginIn), 1);
        }
        Skyline.Box[] boxes = [.. Boxes(GangUnit.Alone(designs), ground)];
        var width = across + ground.GapIn;
        if (ground.LengthIn is null || (ground.IsCutShorter && sheets == 1))
        {
            return (Used(GangFloor.Length(width, boxes), ground), 1);
        }
        var length = ground.LengthIn.Value - (2 * ground.MarginIn) + ground.GapIn;
        var floor = GangFloor.Sheets(width, length, boxes);
        return (0, sheets > floor ? SheetPatterns.Floor(width, length, boxes, floor, sheets) : floor);
    }

    private static double UsedOf(IReadOnlyList<GangPlaced> placed, int sheets, GangGround ground) =>
        placed.Where(p => p.Sheet == sheets - 1).Max(p => p.Y + p.HeightIn) + ground.MarginIn;

    private static IEnumerable<Skyline.Box> Boxes(IEnumerable<GangUnit> units, GangGround ground) =>
        units.Select(u => new Skyline.Box(u.WidthIn + ground.GapIn, u.HeightIn + ground.GapIn, u.MayTurn, u.Kind));

    private static double Used(double length, GangGround ground) => length - ground.GapIn + (2 * ground.MarginIn);
}
