using Hepno.Core.Measures;

namespace Hepno.Core.Gang;

/// <summary>A design for sheets that are all alike.</summary>
/// <param name="Design">The design; its copies are those needed in all.</param>
/// <param name="Inks">Its custom inks; the same ink on one layout is paid once.</param>
public sealed record IdenticalDesign(GangDesign Design, IReadOnlyList<string> Inks);

/// <summary>What sheets that are all alike cost.</summary>
/// <param name="Breaks">Price of a sheet, all-units.</param>
/// <param name="SetUp">Money for each layout, however many sheets.</param>
/// <param name="Ink">Money for each custom ink of a layout.</param>
public sealed record IdenticalPrices(IReadOnlyList<PriceBreak> Breaks, decimal SetUp, decimal Ink);

/// <summary>Copies of one design on a sheet.</summary>
public sealed record CopiesOnSheet(string DesignId, int Copies, int Needed);

/// <summary>One layout and how many sheets of it.</summary>
/// <param name="PerSheet">Copies on each sheet.</param>
/// <param name="Needed">Sheets until everything is there.</param>
/// <param name="Bought">Sheets bought: more where a price break makes that cheaper.</param>
/// <param name="Placed">Where each copy lies.</param>
/// <param name="Cost">Money, opened.</param>
public sealed record IdenticalLayout(
    IReadOnlyList<CopiesOnSheet> PerSheet,
    int Needed,
    int Bought,
    IReadOnlyList<GangPlaced> Placed,
    Figure Cost
);

/// <summary>The cheapest way to have designs on sheets that are all alike, or in a few such layouts.</summary>
/// <param name="Layouts">One layout, or several where that costs less.</param>
/// <param name="Cost">Money in all.</param>
/// <param name="Least">Money nothing can be under: the same where it is proved.</param>
/// <param name="Proved">True when nothing cheaper exists.</param>
public sealed record IdenticalPlan(IReadOnlyList<IdenticalLayout> Layouts, Figure Cost, decimal Least, bool Proved);

/// <summary>
/// Chooses how many copies of each design go on a sheet and how many sheets are bought (docs/trade 7). N sheets need
/// the needed copies over N, rounded up, on each; more sheets need no
/// more on each, and cost no less, so the fewest sheets whose copies go on one are the cheapest. Area alone is too
/// optimistic: that they go on is shown by a layout. Up to four designs every way to part them into layouts is tried.
/// </summary>
public static class IdenticalSheets
{
    private const int Parted = 4;

    /// <summary>Things tried at most for one sheet where everything is tried.</summary>
    public const int UsualSteps = 400_000;

    /// <summary>The cheapest plan; null when a design does not go on a sheet at all.</summary>
    /// <param name="ground">The sheet; it has a length.</param>
    /// <param name="designs">At least one.</param>
    /// <param name="prices">What it costs.</param>
    /// <param name="steps">Things tried for one sheet.</param>
    public static IdenticalPlan? Cheapest(
        GangGround ground,
        IReadOnlyList<IdenticalDesign> designs,
        IdenticalPrices prices,
        int steps = UsualSteps
    )
    {
        var known = new Dictionary<string, (IdenticalLayout Layout, decimal Least)?>();
        (IdenticalLayout Layout, decimal Least)? Block(IReadOnlyList<IdenticalDesign> block)
        {
            var key = string.Join('\n', block.Select(d => d.Design.Id));
            return known.TryGetValue(key, out var found) ? found : known[key] = Layout(ground, block, prices, steps);
        }
        IdenticalPlan? best = null;
        var least = decimal.MaxValue;
        foreach (
            var parts in designs.Count <= Parted
                ? Partings(designs)
                :
                [
                    [designs],
                    [.. designs.Select(d => new[] { d })],
                ]
        )
        {
            var layouts = parts.Select(Block).ToList();
            if (layouts.Any(l => l is null))
            {
                continue;
            }
            least = Math.Min(least, layouts.Sum(l => l!.Value.Least));
            var cost = Figure.Sum(
                "identical",
                "Sheets, set-ups and inks",
                [
                    .. layouts.Select(
                        (l, i) => l!.Value.Layout.Cost with { Code = $"layout-{i + 1}", Label = $"Layout {i + 1}" }
                    ),
                ]
            );
            best =
                best is null
                || cost.Value < best.Cost.Value
                || (cost.Value == best.Cost.Value && layouts.Count < best.Layouts.Count)
                    ? new([.. layouts.Select(l => l!.Value.Layout)], cost, 0, false)
                    : best;
        }
        return best is null
            ? null
            : best with
            {
                Least = least,
                Proved = designs.Count <= Parted && least >= best.Cost.Value,
            };
    }

    // the fewest sheets whose copies go on one, and the money of the fewest that are not proved not to
    private static (IdenticalLayout Layout, decimal Least)? Layout(
        GangGround ground,
        IReadOnlyList<IdenticalDesign> block,
        IdenticalPrices prices,
        int steps
    )
    {
        var most = block.Max(d => d.Design.Copies);
        decimal? least = null;
        int[] last = [];
        for (var n = 1; n <= most; n++)
        {
            int[] copies = [.. block.Select(d => (d.Design.Copies + n - 1) / n)];
            if (copies.SequenceEqual(last))
            {
                continue;
            }
            last = copies;
            var (answer, placed) = SheetFit.Answer(
                ground,
                [.. block.Select((d, i) => d.Design with { Copies = copies[i] })],
                steps
            );
            if (answer != Fits.No)
            {
                least ??= Cost(block, n, prices).Cost.Value;
            }
            if (answer == Fits.Yes)
            {
                var (bought, cost) = Cost(block, n, prices);
                return (
                    new(
                        [.. block.Select((d, i) => new CopiesOnSheet(d.Design.Id, copies[i], Needed: d.Design.Copies))],
                        n,
                        bought,
                        placed,
                        cost
                    ),
                    least!.Value
                );
            }
        }
        return null;
    }

    private static (int Bought, Figure Cost) Cost(
        IReadOnlyList<IdenticalDesign> block,
        int needed,
        IdenticalPrices prices
    )
    {
        var (bought, at) = PriceBreaks.Cheapest(prices.Breaks, needed);
        var inks = block.SelectMany(d => d.Inks).Distinct(StringComparer.OrdinalIgnoreCase).Count();
        List<Figure> parts =
        [
            Figure.Of(
                "sheets",
                "Sheets",
                bought * at.Price,
                "sheets × a sheet",
                Figure.Input(
                    "count",
                    bought > needed ? $"Sheets, {needed} needed" : "Sheets",
                    bought,
                    FigureUnit.Count,
                    bought > needed ? "more cost less from the next break" : "the layout"
                ),
                Figure.Input("price", $"A sheet from {at.From}", at.Price, FigureUnit.Money, "the price list")
            ),
        ];
        if (prices.SetUp > 0)
        {
            parts.Add(Figure.Input("set-up", "Set-up", prices.SetUp, FigureUnit.Money, "the price list"));
        }
        if (inks > 0 && prices.Ink > 0)
        {
            parts.Add(
                Figure.Of(
                    "inks",
                    "Custom inks",
                    inks * prices.Ink,
                    "inks × an ink",
                    Figure.Input("inks", "Inks", inks, FigureUnit.Count, "the designs"),
                    Figure.Input("ink", "An ink", prices.Ink, FigureUnit.Money, "the price list")
                )
            );
        }
        return (bought, Figure.Sum("layout", "Layout", parts));
    }

    // every way to part a few designs into layouts
    private static IEnumerable<IReadOnlyList<IReadOnlyList<IdenticalDesign>>> Partings(
        IReadOnlyList<IdenticalDesign> designs
    )
    {
        if (designs.Count == 0)
        {
            yield return [];
            yield break;
        }
        var first = designs[0];
        foreach (var rest in Partings([.. designs.Skip(1)]))
        {
            yield return
            [
                [first],
                .. rest,
            ];
            for (var i = 0; i < rest.Count; i++)
            {
                var joined = i;
                yield return
                [
                    .. rest.Select(
                        (block, k) => k == joined ? (IReadOnlyList<IdenticalDesign>)[first, .. block] : block
                    ),
                ];
            }
        }
    }
}
