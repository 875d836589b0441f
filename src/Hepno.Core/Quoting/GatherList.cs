using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Purchasing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Quoting;

/// <summary>What must be here, or done, before an order is pressed.</summary>
public static class GatherList
{
    /// <summary>How the identity of a test piece begins; what follows is its placement.</summary>
    public const string TestItem = "test-";

    /// <summary>What a line needs: its blanks, what is bought and sent out, what lies here, test pieces, what is prepared.</summary>
    /// <param name="c">An order whose quote is sent.</param>
    /// <param name="line">The line as quoted.</param>
    /// <param name="hours">When the shop is open.</param>
    /// <param name="wall">Now, the shop's wall clock.</param>
    /// <param name="f">How figures are written.</param>
    /// <param name="book">Shelf, floor and numbers of today.</param>
    public static IReadOnlyList<GatherItem> Items(
        OrderCase c,
        FrozenLine line,
        OpenHours hours,
        DateTime wall,
        FigureFormat f,
        ShopBook book
    )
    {
        var q = c.Frozen!;
        var asked = q.AskOf(line);
        var sizes = BlanksToBuy.Count(asked.Sizes, line.Band.Decorations);
        var (pieces, here) = (
            SizeRun.Total(sizes),
            hours.Parcel(wall, asked.Theirs ? 1 : line.Style.LeadDays, asked.Theirs ? null : line.Style.Buying?.CutOff)
        );
        var (id, bySize) = (
            q.Lines.Count == 1 ? "blanks" : $"blanks-{line.LineId}",
            string.Join(", ", sizes.Select(s => $"{s.Size} {s.Pieces}"))
        );
        var habits = q.Numbers.Floor.Habits;
        double Minutes(DecorationPlan d) =>
            WorkSteps.Attended(habits.Apart(d.Preparation)) * d.Prints(asked.Pieces) / 60;
        GatherItem Prepared(DecorationPlan d, DateTime from) =>
            new(
                $"prepare-{d.Placement.Id}",
                GatherKind.Prepare,
                $"{d.Prepare}, {d.Prints(asked.Pieces)} × {d.Placement.At().Name.ToLowerInvariant()}: {Shown.Duration(Minutes(d) * 60)} of hands",
                "",
                d.Prints(asked.Pieces),
                "prints",
                0,
                hours.Add(from, Minutes(d)),
                null
            );
        List<GatherItem> items =
        [
            asked.Theirs
                ? new(
                    id,
                    GatherKind.Buy,
                    $"Their own {GarmentNouns.For(line.Style.Kind, asked.Pieces)}, brought: {bySize}",
                    c.Customer?.Name ?? "the customer",
                    pieces,
                    "pieces",
                    0,
                    here,
                    null
                )
                : new(
                    id,
                    GatherKind.Buy,
                    $"{c.LineOf(line.LineId).What}{(pieces > asked.Pieces ? $", and {pieces - asked.Pieces} that may be spoiled" : "")}: {bySize}",
                    line.Style.Supplier,
                    pieces,
                    "pieces",
                    LandedBlank.Reckon(q.InHand(line) with { Sizes = sizes }).Value * pieces,
                    here,
                    null
                ),
            // what is sent out, or ordered, is sent before it comes back
            .. line
                .Band.Decorations.Where(d => d.IsPreparedFirst() && habits.Apart(d.Preparation).Any())
                .Select(d => Prepared(d, d.BringsBlank ? wall : here)),
            .. line
                .Band.Decorations.SelectMany(d => d.Purchases)
                .Where(p => p.Supplier.Length > 0)
                .Select(p => new GatherItem(
                    p.Code,
                    GatherKind.Buy,
                    p.Unit == "in" ? $"{p.Text}, {Shown.Length(p.Quantity, f)}" : p.Text,
                    p.Supplier,
                    p.Quantity,
                    p.Unit,
                    p.Cost.Value,
                    hours.Parcel(wall, p.LeadDays),
                    null
                )),
        ];
        if (line.Band.Decorations.Any(d => d.BringsBlank))
        {
            items.RemoveAt(0);
        }
        items.AddRange(
            c.Order.Facts.Layout.Drawer.Where(d =>
                    d.LineId == line.LineId && line.Band.Decorations.Any(x => x.Recipe.ProductId == d.FilmId)
                )
                .Select(d => new GatherItem(
                    $"drawer-{d.Key}",
                    GatherKind.Prepare,
                    $"From the drawer: {d.Count} × {asked.Placements.FirstOrDefault(p => d.Key == p.Id || d.Key.StartsWith($"{p.Id} ", StringComparison.Ordinal))?.At().Name.ToLowerInvariant() ?? "print"}",
                    "",
                    d.Count,
                    "transfers",
                    0,
                    wall,
                    null
                ))
        );
        items.AddRange(
            c.Order.Facts.Layout.Remnants.Where(r =>
                    r.LineId == line.LineId && DecorationMethods.Uses(line.Band.MethodId, Htv.Key)
                )
                .Select(r => new GatherItem(
                    $"piece-{r.PlacementId}-{r.Layer + 1}",
                    GatherKind.Prepare,
                    $"From the Shelf: the piece of vinyl {Shown.Size(r.WidthIn, r.LengthIn, f)} for the {Htv.ColourName(r.Layer)}",
                    "",
                    1,
                    "pieces",
                    0,
                    wall,
                    null
                ))
        );
        // what is waited for goes by the shop's numbers of today, what is prepared apart by those the quote was made with
        items.AddRange(
            line.Band.Decorations.Where(d => book.Numbers.Floor.Habits.TestFirst && !IsTested(d, line, book))
                .Select(d => new GatherItem(
                    $"{TestItem}{d.Placement.Id}",
                    GatherKind.Prepare,
                    $"Test piece: {book.ProductName(d.Recipe.ProductId)} on {line.Style.Name}, pressed and looked at before the run",
                    "",
                    1,
                    "pieces",
                    0,
                    hours.Add(wall, book.Numbers.Floor.TestMinutes),
                    null
                ))
        );
        DateTime From(IEnumerable<DecorationPlan> of) =>
            of.SelectMany(d => d.Purchases).Where(p => p.Supplier.Length > 0).Select(p => p.LeadDays).ToList()
                is { Count: > 0 } days
                ? hours.Parcel(wall, days.Max())
                : wall;
        var prepared = line
            .Band.Decorations.Where(d => !d.IsPreparedFirst() && habits.Apart(d.Preparation).Any())
            .ToList();
        // what comes on one layout is prepared as one, once it is here; what is printed here is printed and cured print by print
        if (
            prepared.Count > 0
            && line.Band.Decorations.Any(d => d.Purchases.Any(p => p.Laid is not null && p.Supplier.Length > 0))
        )
        {
            var minutes = prepared.Sum(Minutes);
            items.Add(
                new(
                    $"prepare-{prepared[0].Placement.Id}",
                    GatherKind.Prepare,
                    $"{prepared[0].Prepare}, {prepared.Sum(d => d.Bought)} prints: {Shown.Duration(minutes * 60)} of hands",
                    "",
                    prepared.Sum(d => d.Bought),
                    "prints",
                    0,
                    hours.Add(From(line.Band.Decorations), minutes),
                    null
                )
            );
            return items;
        }
        items.AddRange(prepared.Select(d => Prepared(d, From([d]))));
        return items;
    }

    /// <summary>An assumed recipe is not tested until a test of it on this cloth passed; a better source needs none.</summary>
    public static bool IsTested(DecorationPlan d, FrozenLine line, ShopBook book) =>
        d.Recipe.Source != RecipeSource.Assumed
        || SpotTest.Find(d.Recipe, line.Style, line.Colourway, book.Tests ?? [])?.Verdict() == TestVerdict.Passed;
}
