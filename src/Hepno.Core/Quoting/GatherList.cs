using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;
using Hepno.Core.PressFloor;
using Hepno.Core.Purchasing;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Quoting;

/// <summary>What must be here, or done, before an order is pressed.</summary>
public static class GatherList
{
    /// <summary>How the identity of a test piece begins; what follows is its placement.</summary>
    public const string TestItem = "test-";

    /// <summary>What a line needs: its blanks, what is bought and sent out, what lies here, test pieces, what is
    /// prepared.</summary>
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
        LocalDateTime wall,
        FigureFormat f,
        ShopBook book
    ) => new OfLine(c, line, hours, wall, f, book).Items();

    /// <summary>An assumed recipe is not tested until a test of it on this cloth passed; a better source needs
    /// none.</summary>
    public static bool IsTested(DecorationPlan d, FrozenLine line, ShopBook book) =>
        d.Recipe.Source != RecipeSource.Assumed
        || SpotTest.Find(d.Recipe, line.Style, line.Colourway, book.Of<SpotTest>())?.Verdict() == TestVerdict.Passed;

    /// <summary>One line, and what its items are made from.</summary>
    private sealed class OfLine(
        OrderCase c,
        FrozenLine line,
        OpenHours hours,
        LocalDateTime wall,
        FigureFormat f,
        ShopBook book
    )
    {
        private readonly AskLine asked = c.Frozen!.AskOf(line);
        private readonly IReadOnlyList<DecorationPlan> plans = line.Band.Decorations;

        // what is waited for goes by the shop's numbers of today, what is prepared apart by those the quote was made
        // with
        private readonly FloorHabits habits = c.Frozen!.Numbers.Floor.Habits;

        public IReadOnlyList<GatherItem> Items() =>
            [
                .. plans.Any(d => d.BringsBlank) ? [] : new[] { Blanks() },
                .. SentOut(),
                .. Bought(),
                .. FromDrawer(),
                .. FromPieces(),
                .. TestPieces(),
                .. Prepared(),
            ];

        private LocalDateTime BlanksHere() =>
            hours.Parcel(wall, asked.Theirs ? 1 : line.Style.LeadDays, asked.Theirs ? null : line.Style.Buying?.CutOff);

        private GatherItem Blanks()
        {
            var sizes = BlanksToBuy.Count(asked.Sizes, plans);
            var pieces = SizeRun.Total(sizes);
            var bySize = string.Join(", ", sizes.Select(s => $"{s.Size} {s.Pieces}"));
            var more = pieces > asked.Pieces ? $", and {pieces - asked.Pieces} that may be spoiled" : "";
            var (text, supplier, cost) = asked.Theirs
                ? (
                    $"Their own {GarmentNouns.For(line.Style.Kind, asked.Pieces)}, brought",
                    c.Customer?.Name ?? "the customer",
                    0
                )
                : (
                    $"{c.LineOf(line.LineId).What}{more}",
                    line.Style.Supplier,
                    LandedBlank.Reckon(c.Frozen!.InHand(line) with { Sizes = sizes }).Value * pieces
                );
            return new(
                c.Frozen!.Lines.Count == 1 ? "blanks" : $"blanks-{line.LineId}",
                GatherKind.Buy,
                $"{text}: {bySize}",
                supplier,
                pieces,
                "pieces",
                cost,
                BlanksHere(),
                null
            );
        }

        // what is sent out, or ordered, is sent before it comes back
        private IEnumerable<GatherItem> SentOut() =>
            plans
                .Where(d => d.IsPreparedFirst() && habits.Apart(d.Preparation).Any())
                .Select(d => Prepared(d, d.BringsBlank ? wall : BlanksHere()));

        private IEnumerable<GatherItem> Bought() =>
            plans
                .SelectMany(d => d.Purchases)
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
                ));

        private IEnumerable<GatherItem> FromDrawer() =>
            c
                .Order.Facts.Layout.Drawer.Where(d =>
                    d.LineId == line.LineId && plans.Any(x => x.Recipe.ProductId == d.FilmId)
                )
                .Select(d =>
                    Lying($"drawer-{d.Key}", $"From the drawer: {d.Count} × {PlaceOf(d.Key)}", d.Count, "transfers")
                );

        private string PlaceOf(string key) =>
            asked
                .Placements.FirstOrDefault(p =>
                    new PlacementId(key) == p.Id || key.StartsWith($"{p.Id} ", StringComparison.Ordinal)
                )
                ?.At()
                .Name.ToLowerInvariant()
            ?? "print";

        private IEnumerable<GatherItem> FromPieces() =>
            c
                .Order.Facts.Layout.Remnants.Where(r =>
                    r.LineId == line.LineId && DecorationMethods.Uses(line.Band.MethodId, m => m.UsesPieces)
                )
                .Select(r =>
                    Lying(
                        $"piece-{r.PlacementId}-{r.Layer + 1}",
                        $"From the Shelf: the piece of vinyl {Shown.Size(r.WidthIn, r.LengthIn, f)} for the "
                            + $"{VinylLayer.NameOf(r.Layer)}",
                        1,
                        "pieces"
                    )
                );

        private GatherItem Lying(string id, string text, int count, string unit) =>
            new(id, GatherKind.Prepare, text, "", count, unit, 0, wall, null);

        private IEnumerable<GatherItem> TestPieces() =>
            plans
                .Where(d => book.Numbers.Floor.Habits.TestFirst && !IsTested(d, line, book))
                .Select(d => new GatherItem(
                    $"{TestItem}{d.Placement.Id}",
                    GatherKind.Prepare,
                    $"Test piece: {book.ProductName(d.Recipe.ProductId)} on {line.Style.Name}, pressed and "
                        + "looked at before the run",
                    Supplier: "",
                    1,
                    "pieces",
                    0,
                    hours.Add(wall, book.Numbers.Floor.TestMinutes),
                    null
                ));

        private IEnumerable<GatherItem> Prepared()
        {
            var prepared = plans.Where(d => !d.IsPreparedFirst() && habits.Apart(d.Preparation).Any()).ToList();
            // what comes on one layout is prepared as one, once it is here; what is printed here is printed and cured
            // print by print
            return
                prepared.Count > 0 && plans.Any(d => d.Purchases.Any(p => p.Laid is not null && p.Supplier.Length > 0))
                ? [AsOne(prepared)]
                : prepared.Select(d => Prepared(d, From([d])));
        }

        private GatherItem AsOne(List<DecorationPlan> prepared) =>
            Prepared(prepared[0], prepared.Sum(d => d.Bought), "prints", prepared.Sum(Minutes), From(plans));

        private GatherItem Prepared(DecorationPlan d, LocalDateTime from) =>
            Prepared(d, d.Prints(asked.Pieces), $"× {d.Placement.At().Name.ToLowerInvariant()}", Minutes(d), from);

        private GatherItem Prepared(DecorationPlan d, int prints, string what, double minutes, LocalDateTime from) =>
            new(
                $"prepare-{d.Placement.Id}",
                GatherKind.Prepare,
                $"{d.Prepare}, {prints} {what}: {Shown.Duration(minutes * 60)} of hands",
                Supplier: "",
                prints,
                "prints",
                0,
                hours.Add(from, minutes),
                null
            );

        private double Minutes(DecorationPlan d) =>
            WorkSteps.Attended(habits.Apart(d.Preparation)) * d.Prints(asked.Pieces) / 60;

        private LocalDateTime From(IEnumerable<DecorationPlan> of) =>
            of.SelectMany(d => d.Purchases).Where(p => p.Supplier.Length > 0).Select(p => p.LeadDays).ToList()
                is { Count: > 0 } days
                ? hours.Parcel(wall, days.Max())
                : wall;
    }
}
