using Hepno.Core.Measures;
using Hepno.Core.Quoting;
using Hepno.Core.Recipes;
using Hepno.Store;
using Hepno.Web.Held;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Hepno.Web.Views;

/// <summary>A picture an artwork has had.</summary>
/// <param name="Since">Since when, as shown.</param>
/// <param name="WidthPx">Pixels across.</param>
/// <param name="HeightPx">Pixels down.</param>
/// <param name="Colours">Its flat colours, or empty for gradients.</param>
/// <param name="Now">True for the one that is printed.</param>
internal sealed record DesignVersion(string Since, int WidthPx, int HeightPx, IReadOnlyList<string> Colours, bool Now);

/// <summary>A time it was pressed.</summary>
/// <param name="OrderId">In which order.</param>
/// <param name="Code">Its number.</param>
/// <param name="When">When pressing began, as shown.</param>
/// <param name="Where">Which place, how large, how far from the seam.</param>
/// <param name="On">On which garment.</param>
/// <param name="With">With which product.</param>
/// <param name="Settings">Heat, seconds, pressure, peel.</param>
/// <param name="Good">Pieces good.</param>
/// <param name="Spoiled">Pieces spoiled, of the whole line.</param>
/// <param name="Reasons">Why, most often first.</param>
internal sealed record PressedWith(
    OrderId OrderId,
    string Code,
    string When,
    string Where,
    string On,
    string With,
    string Settings,
    int Good,
    int Spoiled,
    IReadOnlyList<string> Reasons
);

/// <summary>What the shop remembers of an artwork (docs/trade 15.5): a repeat order stays with what came out
/// well.</summary>
/// <param name="Versions">Its pictures, the newest first.</param>
/// <param name="Pressed">When and how it was pressed, the newest first.</param>
internal sealed record DesignMemory(IReadOnlyList<DesignVersion> Versions, IReadOnlyList<PressedWith> Pressed)
{
    private const int MostPressed = 12;

    public static DesignMemory Read(SqliteConnection c, OpenShop shop, DesignId id)
    {
        var book = shop.Book(c);
        var n = book.Numbers;
        var f = n.Format;
        string Day(Instant utc) => Shown.DayAndYear(WallClock.Day(utc, n.Identity.TimeZone), f);
        var states = Aggregates.Designs.States(c, id);
        var pictures = states.Where((s, i) => i == 0 || states[i - 1].Value.Hash != s.Value.Hash).ToList();
        var versions = pictures
            .Select(
                (s, i) =>
                    new DesignVersion(
                        Day(s.From),
                        s.Value.Report.WidthPx,
                        s.Value.Report.HeightPx,
                        s.Value.Report.Colours.LooksGradient
                            ? []
                            : [.. s.Value.Report.Colours.Spots.Where(x => !x.Stray).Select(x => x.Hex)],
                        i == pictures.Count - 1
                    )
            )
            .Reverse()
            .ToList();
        var pressed = OrderStore
            .OfDesign(c, id)
            .Where(o => o.Value.Facts.Pressing.StartedAt is not null)
            .OrderByDescending(o => o.Value.Facts.Pressing.StartedAt)
            .Take(MostPressed)
            .SelectMany(o => Pressings(shop.Case(c, o.Value.Id, book), id, Day, f));
        return new(versions, [.. pressed]);
    }

    private static IEnumerable<PressedWith> Pressings(
        OrderCase c,
        DesignId designId,
        Func<Instant, string> day,
        FigureFormat f
    )
    {
        foreach (var line in c.Frozen?.Lines ?? [])
        {
            var asked = c.Frozen!.AskOf(line);
            var mine = line
                .Band.Decorations.Where(d =>
                    asked.Placements.Any(p => p.Id == d.Placement.Id && p.DesignId == designId)
                )
                .ToList();
            var tally = c.Run?.Sizes.Where(s => s.LineId == line.LineId).ToList() ?? [];
            var reasons = Core
                .Runs.RunReplay.OfLine(c.RunLines, line.LineId, c.Events)
                .Where(e => e.Verdict == Core.Runs.RunVerdict.Spoiled && e.Reason is not null)
                .GroupBy(e => e.Reason!)
                .OrderByDescending(g => g.Count())
                .Select(g => g.Key)
                .ToList();
            foreach (var d in mine)
            {
                var place = d.Placement.At();
                yield return new(
                    c.Order.Id,
                    c.Order.Code,
                    day(c.Order.Facts.Pressing.StartedAt!.Value),
                    Where: $"{place.Name} {Shown.Size(d.Placement.WidthIn, d.Placement.HeightIn, f)}, "
                        + $"{Shown.Length(place.FromSeamIn, f)} {place.WhereOn(line.Style.Kind)}",
                    $"{line.Style.Name}, {line.Colourway.Name.ToLowerInvariant()}",
                    With: line.Band.Made,
                    Settings(d.Recipe, f),
                    tally.Sum(t => t.Good),
                    Spoiled: tally.Sum(t => t.Spoiled),
                    reasons
                );
            }
        }
    }

    private static string Settings(Recipe r, FigureFormat f) =>
        $"{Shown.Temperature(r.TemperatureF, f)}, {r.DwellSeconds:0} s, {r.Pressure}, "
        + $"{r.Peel.ToString().ToLowerInvariant()} "
        + $"peel{(r.SecondPressSeconds > 0 ? $", {r.SecondPressSeconds:0} s again" : "")}";
}
