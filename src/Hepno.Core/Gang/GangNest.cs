using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>Designs laid on a roll or on sheets of one size.</summary>
/// <param name="Placed">Where every copy lies; on sheets in the order of their sheets.</param>
/// <param name="Sheets">Sheets begun; 1 on a roll.</param>
/// <param name="UsedLengthIn">Length used, margins in it, in; of the last sheet where there are several.</param>
/// <param name="FloorLengthIn">No layout on a roll can be shorter, in; 0 on sheets, and on several set lengths, whose
/// number counts.</param>
/// <param name="FloorSheets">No layout can have fewer sheets; 1 on a roll.</param>
/// <param name="Utilisation">Share of the used ground that is covered by designs, 0 to 1.</param>
/// <param name="Steps">Layings tried.</param>
/// <param name="LeftOut">What does not go on it at all, with the reason; everything else is laid.</param>
/// <param name="CoveredIn2">Ground that is covered by designs, in².</param>
public sealed record GangFound(
    IReadOnlyList<GangPlaced> Placed,
    int Sheets,
    double UsedLengthIn,
    double FloorLengthIn,
    int FloorSheets,
    double Utilisation,
    int Steps,
    IReadOnlyList<Problem> LeftOut,
    double CoveredIn2
)
{
    /// <summary>How far over the floor it is, in length on a roll, in sheets otherwise: 0.02 for 2 % over what nothing
    /// can be under; 0 for nothing laid.</summary>
    public double OverFloor =>
        Placed.Count == 0 ? 0 : ((FloorLengthIn > 0 ? UsedLengthIn / FloorLengthIn : (double)Sheets / FloorSheets) - 1);
}

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
            var (repeated, tried) = RepeatedLay.Lay(
                ground,
                [.. designs.Where(d => units.Any(u => u.Name == d.Id))],
                seed,
                steps,
                go
            );
            var sheets = repeated.Max(p => p.Sheet) + 1;
            return Found(
                ground,
                designs,
                repeated,
                repeated.Where(p => p.Sheet == sheets - 1).Max(p => p.Y + p.HeightIn) + ground.MarginIn,
                sheets,
                ground.LengthIn is null ? Used(floor, ground) : 0,
                floorSheets,
                tried,
                leftOut
            );
        }
        floorSheets =
            byPatterns && ground.LengthIn is not null
                ? SheetPatterns.Floor(width, length, alone, floorSheets, sheets: 0)
                : floorSheets;
        var found = ground.LengthIn is null
            ? StripSearch.Roll(
                width,
                boxes,
                seed,
                steps,
                floor,
                go is null ? null : (s, best) => go(s, Used(best, ground))
            )
            : SheetSearch.Sheets(width, length, boxes, seed, steps, floorSheets, go);
        // what goes on one that is sold shorter is made shorter
        var shorten = ground.IsCutShorter && found.Sheets == 1;
        if (
            shorten
            && StripSearch.Roll(
                width,
                boxes,
                seed,
                steps,
                floor,
                go is null ? null : (s, best) => go(s, Used(best, ground))
            )
                is var strip
            && strip.Length <= length
            && strip.Length < found.Length
        )
        {
            found = strip;
        }
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
        return Found(
            ground,
            designs,
            placed,
            Used(found.Length, ground),
            found.Sheets,
            ground.LengthIn is null || shorten ? Used(floor, ground) : 0,
            floorSheets,
            found.Steps,
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
        var used = placed.Where(p => p.Sheet == sheets - 1).Max(p => p.Y + p.HeightIn) + ground.MarginIn;
        if (designs.Any(d => d.Cover < 1))
        {
            // what boxes need says nothing of outlines: only what they enclose has to go on it
            var (covered, across) = (
                designs.Sum(d => d.AreaIn2 * d.Cover * d.Copies),
                ground.WidthIn - (2 * ground.MarginIn)
            );
            return ground.LengthIn is { } sheet
                ? Found(
                    ground,
                    designs,
                    placed,
                    used,
                    sheets,
                    0,
                    Math.Max(1, (int)Math.Ceiling((covered / across / (sheet - (2 * ground.MarginIn))) - 1e-9)),
                    steps,
                    []
                )
                : Found(
                    ground,
                    designs,
                    placed,
                    used,
                    sheets,
                    (covered / across) + (2 * ground.MarginIn),
                    1,
                    steps,
                    []
                );
        }
        Skyline.Box[] boxes = [.. Boxes(GangUnit.Alone(designs), ground)];
        var width = ground.WidthIn - (2 * ground.MarginIn) + ground.GapIn;
        if (ground.LengthIn is null || (ground.IsCutShorter && sheets == 1))
        {
            return Found(
                ground,
                designs,
                placed,
                used,
                sheets,
                Used(GangFloor.Length(width, boxes), ground),
                1,
                steps,
                []
            );
        }
        var length = ground.LengthIn.Value - (2 * ground.MarginIn) + ground.GapIn;
        var floor = GangFloor.Sheets(width, length, boxes);
        return Found(
            ground,
            designs,
            placed,
            used,
            sheets,
            0,
            sheets > floor ? SheetPatterns.Floor(width, length, boxes, floor, sheets) : floor,
            steps,
            []
        );
    }

    private static GangFound Found(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        IReadOnlyList<GangPlaced> placed,
        double used,
        int sheets,
        double floor,
        int floorSheets,
        int steps,
        IReadOnlyList<Problem> leftOut
    )
    {
        var covers = designs.Where(d => d.Cover < 1).ToDictionary(d => d.Id, d => d.Cover);
        var covered = placed.Sum(p => p.WidthIn * p.HeightIn * covers.GetValueOrDefault(p.DesignId, 1));
        return new(
            placed,
            sheets,
            used,
            FloorLengthIn: floor,
            floorSheets,
            covered / (ground.WidthIn * (((sheets - 1) * (ground.LengthIn ?? 0)) + used)),
            steps,
            leftOut,
            covered
        );
    }

    /// <summary>What cannot be laid at all.</summary>
    /// <param name="ground">What it would lie on.</param>
    /// <param name="designs">What is to be laid.</param>
    /// <param name="most">Most copies; up to <see cref="MostInAll"/> where a pattern may be repeated.</param>
    public static IEnumerable<Problem> Problems(
        GangGround ground,
        IReadOnlyList<GangDesign> designs,
        int most = MostCopies
    )
    {
        if (ground.WidthIn is not (> 0 and <= 200) || ground.LengthIn is not (null or (> 0 and <= 10_000)))
        {
            yield return new(
                "range",
                $"A width of {ground.WidthIn:0.##} in is outside 0 to 200, or a length outside 0 to 10,000.",
                Where: "widthIn",
                "Type what the film or sheet measures."
            );
        }
        if (
            ground.GapIn is not (>= 0)
            || ground.MarginIn is not (>= 0)
            || ground.GapIn >= ground.WidthIn
            || 2 * ground.MarginIn >= ground.WidthIn
            || (ground.LengthIn is { } l && (2 * ground.MarginIn >= l || ground.GapIn >= l))
        )
        {
            yield return new(
                "gap",
                $"A gap of {ground.GapIn:0.###} in and a margin of {ground.MarginIn:0.###} in leave nothing of "
                    + $"{ground.WidthIn:0.##} in.",
                Where: "gapIn",
                "A quarter of an inch is usual for both."
            );
        }
        if (designs.Count == 0)
        {
            yield return new("empty", "There is nothing to lay.", Where: "designs", "Add a design.");
        }
        foreach (var (d, i) in designs.Select((d, i) => (d, i)))
        {
            if (d.WidthIn is not (> 0 and <= 200) || d.HeightIn is not (> 0 and <= 200))
            {
                yield return new(
                    "range",
                    $"{d.Id} of {d.WidthIn:0.##} × {d.HeightIn:0.##} in is outside 0 to 200.",
                    Where: $"designs[{i}]",
                    "Type its printed size."
                );
            }
            if (d.Copies < 1 || d.Copies > most)
            {
                yield return new(
                    "range",
                    $"{d.Copies} copies of {d.Id} is outside 1 to {most}.",
                    Where: $"designs[{i}].copies",
                    "Lay large numbers as several layouts."
                );
            }
            if (designs.Take(i).Any(o => o.Id == d.Id))
            {
                yield return new(
                    "twice",
                    $"\"{d.Id}\" stands twice.",
                    Where: $"designs[{i}].id",
                    "Give each design a name of its own, with its copies."
                );
            }
        }
        var copies = designs.Sum(d => (long)Math.Max(0, d.Copies));
        if (copies > most)
        {
            yield return new("many", $"{copies} copies in one layout.", Where: "designs", $"At most {most}.");
        }
        else if (copies > MostCopies && designs.Any(d => d.Group.Length > 0))
        {
            yield return new(
                "many",
                $"{copies} copies in one layout, with groups in it.",
                Where: "designs",
                $"At most {MostCopies} with groups: lay the groups by themselves."
            );
        }
    }

    private static IEnumerable<Skyline.Box> Boxes(IEnumerable<GangUnit> units, GangGround ground) =>
        units.Select(u => new Skyline.Box(u.WidthIn + ground.GapIn, u.HeightIn + ground.GapIn, u.MayTurn, u.Kind));

    private static double Used(double length, GangGround ground) => length - ground.GapIn + (2 * ground.MarginIn);
}
