using Hepno.Core.Gang;
using Hepno.Core.Materials;
using Hepno.Core.Measures;

namespace Hepno.Web.Views;

/// <summary>Searches a line a better layout, and fills what is paid for.</summary>
internal static class LineSearch
{
    /// <summary>Sheets and length that are paid for, or would be with one more step.</summary>
    public static (int Sheets, double LengthIn) Filled(FilmGround on, LineLayout layout, bool nextStep, FigureFormat f)
    {
        var now = LayoutFigures.Reckon(on, layout.Found(on.Ground), layout.FoundNeeded(on.Ground));
        var next = nextStep ? LayoutRooms.Next(on, now, f) : null;
        return (
            Math.Max(1, now.Bought) + (next is not null && on.Roll is null ? 1 : 0),
            on.DrawnOn(now.Sheets).LengthIn ?? next?.BilledIn ?? now.BilledIn
        );
    }

    /// <summary>A search that begins from a layout: the better of what it finds and what is there; pinned copies
    /// stay.</summary>
    public static LineLayout Searched(LineOnFilm l, LineLayout start, int seed, int steps, Func<int, double, bool> go)
    {
        LineLayout found;
        if (start.Copies.Any(c => c.Pinned))
        {
            found = Around(l, start, seed, steps, go);
        }
        else if (l.Shapes(start.Designs) is { } shapes)
        {
            found = ByOutline(l, start, shapes, seed, steps, go);
        }
        else
        {
            found = Boxes(l, start, seed, steps, go);
        }

        return LineLayouts.Faults(l, start).Count > 0 || IsShorter(l, found, start)
            ? found
            : start with
            {
                Seed = seed,
                Steps = found.Steps,
            };
    }

    private static LineLayout Boxes(LineOnFilm l, LineLayout start, int seed, int steps, Func<int, double, bool> go) =>
        LineLayouts.Laid(l.Line.Asked.Id, l.Film, l.On, l.Prints, steps, seed, go, start.Designs);

    private static LineLayout ByOutline(
        LineOnFilm l,
        LineLayout start,
        GangShapes shapes,
        int seed,
        int steps,
        Func<int, double, bool> go
    )
    {
        var (placed, took) = OutlineSearch.Lay(
            l.On.Ground,
            [.. start.Designs.Select(d => d.Laid())],
            shapes,
            seed,
            steps,
            go
        );
        return start with { Copies = LineLayouts.Copies(placed), Seed = seed, Steps = took };
    }

    private static bool IsShorter(LineOnFilm l, LineLayout a, LineLayout b)
    {
        var (now, before) = (a.Found(l.On.Ground), b.Found(l.On.Ground));
        return (now.Sheets, now.UsedLengthIn).CompareTo((before.Sheets, before.UsedLengthIn)) < 0;
    }

    private static LineLayout Around(LineOnFilm l, LineLayout start, int seed, int steps, Func<int, double, bool> go)
    {
        var pinned = start.Copies.Where(c => c.Pinned).ToList();
        var placed = (start with { Copies = pinned }).Placed();
        var (around, took) = PinnedSearch.Around(
            l.On.Ground,
            placed,
            [.. start.Designs.Select(d => d.Laid())],
            seed,
            steps,
            go,
            l.Shapes(start.Designs)
        );
        return start with
        {
            Copies = [.. pinned, .. LineLayouts.Copies(around.Skip(placed.Count))],
            Seed = seed,
            Steps = took,
        };
    }
}
