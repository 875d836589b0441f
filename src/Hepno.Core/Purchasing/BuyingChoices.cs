using Hepno.Core.Blanks;
using Hepno.Core.Measures;
using Hepno.Core.Planning;
using Hepno.Core.Shop;
using NodaTime;

namespace Hepno.Core.Purchasing;

/// <summary>One choice of how to have the blanks of a line.</summary>
/// <param name="Code">stock, need, tier, free-freight or elsewhere.</param>
/// <param name="What">In a few words.</param>
/// <param name="Supplier">From whom; empty when nothing is bought.</param>
/// <param name="Bought">Pieces bought by size.</param>
/// <param name="Left">Pieces bought and not needed.</param>
/// <param name="Cost">Money paid now, opened to its parts.</param>
/// <param name="Arrives">When they are here, wall clock.</param>
public sealed record BuyingChoice(
    string Code,
    string What,
    string Supplier,
    IReadOnlyList<SizeCount> Bought,
    int Left,
    Figure Cost,
    LocalDateTime Arrives
);

/// <summary>Compares how to have the blanks of a line: from what lies here, as needed, up to a price tier or free
/// freight, or the same model from another supplier (docs/trade 10).</summary>
public static class BuyingChoices
{
    private const double MostMore = 0.5;

    /// <summary>All choices, the least money first.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="book">The shelf.</param>
    /// <param name="floor">Now and the open hours.</param>
    public static IReadOnlyList<BuyingChoice> All(AskInHand ask, ShopBook book, FloorPlan floor)
    {
        if (ask.Theirs)
        {
            return [];
        }
        var choices = new List<BuyingChoice> { Choice("need", "as needed", ask, ask.Sizes, floor) };
        var rest = ask
            .Sizes.Select(s => s with { Pieces = Math.Max(0, s.Pieces - ask.Style.OnHandOf(ask.Colourway.Id, s.Size)) })
            .ToList();
        var lying = ask.Pieces - SizeRun.Total(rest);
        if (lying > 0)
        {
            choices.Add(
                Choice(
                    "stock",
                    rest.Sum(r => r.Pieces) == 0
                        ? $"all {lying} from the shelf"
                        : $"{lying} from the shelf, the rest bought",
                    ask,
                    rest,
                    floor
                )
            );
        }
        choices.AddRange(
            Further(ask)
                .Where(x => x.More.Count > 0)
                .Select(x => Choice(x.Code, $"{Said(x.More, ask)}: {x.What}", With(ask, x.More), ask, x.More, floor))
        );
        choices.AddRange(
            book.Of<Style>()
                .Where(s =>
                    !s.Retired
                    && s.Id != ask.Style.Id
                    && s.Supplier != ask.Style.Supplier
                    && s.Name.Equals(ask.Style.Name, StringComparison.OrdinalIgnoreCase)
                )
                .Where(s => ask.Sizes.All(z => s.Sizes.Any(k => k.Name == z.Size)))
                .Select(s =>
                    (
                        Style: s,
                        Colour: s.Colourways.FirstOrDefault(c =>
                            c.Name.Equals(ask.Colourway.Name, StringComparison.OrdinalIgnoreCase)
                        )
                    )
                )
                .Where(x => x.Colour is not null)
                .Select(x =>
                    Choice(
                        "elsewhere",
                        $"from {x.Style.Supplier}",
                        ask with
                        {
                            Style = x.Style,
                            Colourway = x.Colour!,
                        },
                        ask.Sizes,
                        floor
                    )
                )
        );
        return [.. choices.OrderBy(w => w.Cost.Value).ThenBy(w => w.Arrives)];
    }

    // a few pieces more that reach a lower price or free freight; half as many again is not a few
    private static IEnumerable<(string Code, string What, IReadOnlyList<FurtherPiece> More)> Further(AskInHand ask)
    {
        var (buying, most) = (ask.Style.Buying ?? Buying.Plain, (int)Math.Max(3, ask.PiecesOfStyle * MostMore));
        foreach (var t in buying.Tiers)
        {
            var further = Offered(ask, l => l.Style.UnitPrice);
            var missing = t.FromPieces - ask.PiecesOfStyle;
            yield return (
                "tier",
                $"the price {t.From()}",
                t.FromPieces == 0 ? Reaching(t.FromValue, SupplierInvoice.BeforeTiers(ask), further, most)
                : missing >= 1 && missing <= most
                    ? [.. Enumerable.Repeat(further.Where(p => p.Line == 0).MinBy(p => p.Costs)!, missing)]
                : []
            );
        }
        if (buying.FreeFreightFrom is { } free && ask.Style.FreightPerOrder > 0)
        {
            yield return (
                "free-freight",
                $"free freight from {free:0.##}",
                Reaching(free, SupplierInvoice.AfterTiers(ask), Offered(ask, l => SupplierInvoice.Price(l).Price), most)
            );
        }
    }

    // a few dear pieces may be half as much money again: that is not a few either
    private static IReadOnlyList<FurtherPiece> Reaching(
        decimal value,
        decimal goods,
        IReadOnlyList<FurtherPiece> offered,
        int most
    ) => value > goods && value <= goods * (1 + (decimal)MostMore) ? FewestMore.Find(value - goods, offered, most) : [];

    // every size of every style of the order that comes from there; of sizes that cost the same the one most are wanted
    // of first: it is asked for again soonest
    private static IReadOnlyList<FurtherPiece> Offered(AskInHand ask, Func<AskInHand, decimal> price) =>
        [
            .. ask
                .Order.Select((l, i) => (Line: SupplierInvoice.Whole(ask, i), i))
                .Where(l => !l.Line.Theirs && l.Line.Style.Supplier == ask.Style.Supplier)
                .SelectMany(l =>
                    l.Line.Style.Sizes.OrderByDescending(z =>
                            l.Line.Sizes.Where(s => s.Size == z.Name).Sum(s => s.Pieces)
                        )
                        .Select(z => new FurtherPiece(
                            l.i,
                            z.Name,
                            SupplierInvoice.AtList(ask) ? l.Line.Style.UnitPrice : price(l.Line) + z.Surcharge,
                            Costs: SupplierInvoice.Price(l.Line).Price + z.Surcharge
                        ))
                ),
        ];

    private static string Said(IReadOnlyList<FurtherPiece> more, AskInHand ask) =>
        string.Join(
            " and ",
            more.GroupBy(p => (p.Line, p.Size))
                .Select(g =>
                    $"{g.Count()} more {(g.Key.Line == 0 ? "" : $"{ask.Order[g.Key.Line].Style.Name} ")}{g.Key.Size}"
                )
        );

    private static AskInHand With(AskInHand ask, IReadOnlyList<FurtherPiece> more)
    {
        AskInHand Grown(int line) =>
            ask.Order[line] is var l
                ? l with
                {
                    Sizes =
                    [
                        .. l
                            .Sizes.Select(s => s.Size)
                            .Union(more.Where(p => p.Line == line).Select(p => p.Size))
                            .Select(z => new SizeCount(
                                z,
                                l.Sizes.Where(s => s.Size == z).Sum(s => s.Pieces)
                                    + more.Count(p => p.Line == line && p.Size == z)
                            )),
                    ],
                }
                : l;
        return Grown(0) with { Others = [.. Enumerable.Range(1, ask.Order.Count - 1).Select(Grown)] };
    }

    private static BuyingChoice Choice(
        string code,
        string what,
        AskInHand ask,
        IReadOnlyList<SizeCount> need,
        FloorPlan floor
    ) => Choice(code, what, ask with { Sizes = need }, ask, [], floor);

    // bought is the line as it is bought, and the order with it; what of that is of other lines is paid with it
    private static BuyingChoice Choice(
        string code,
        string what,
        AskInHand bought,
        AskInHand ask,
        IReadOnlyList<FurtherPiece> more,
        FloorPlan floor
    )
    {
        var pack = (ask.Style.Buying ?? Buying.Plain).PackOf;
        var sizes = bought
            .Sizes.Where(s => s.Pieces > 0)
            .Select(s => s with { Pieces = (s.Pieces + pack - 1) / pack * pack })
            .ToList();
        var total = SizeRun.Total(sizes);
        if (total == 0)
        {
            return new(
                code,
                what,
                "",
                [],
                0,
                Figure.Input("blanks", "Blanks", 0, FigureUnit.Money, "they lie here"),
                floor.Now
            );
        }
        var landed = LandedBlank.Reckon(bought with { Sizes = sizes });
        List<Figure> parts =
        [
            Figure.Of(
                "own",
                "Blanks of this line",
                landed.Value * total,
                "landed blank × pieces",
                landed,
                Figure.Input("pieces", "Pieces", total, FigureUnit.Count, pack > 1 ? $"in packs of {pack}" : "bought")
            ),
            .. more.Where(p => p.Line > 0)
                .GroupBy(p => p)
                .Select(g =>
                    Figure.Of(
                        $"more-{g.Key.Line}-{g.Key.Size}",
                        label: $"{ask.Order[g.Key.Line].Style.Name} {g.Key.Size}",
                        g.Count() * g.Key.Costs,
                        "pieces × price",
                        Figure.Input("pieces", "Pieces", g.Count(), FigureUnit.Count, what),
                        Figure.Input(
                            "price",
                            "A piece",
                            g.Key.Costs,
                            FigureUnit.Money,
                            $"Shelf: {ask.Order[g.Key.Line].Style.Name}"
                        )
                    )
                ),
        ];
        var left = total + more.Count(p => p.Line > 0) - (code == "stock" ? SizeRun.Total(bought.Sizes) : ask.Pieces);
        return new(
            code,
            left > 0 && pack > 1 ? $"{what}, in packs of {pack}" : what,
            ask.Style.Supplier,
            sizes,
            left,
            parts.Count == 1
                ? parts[0] with
                {
                    Code = "blanks",
                    Label = "Blanks",
                }
                : Figure.Sum("blanks", "Blanks", parts),
            floor.Hours.Parcel(floor.Now, ask.Style.LeadDays, ask.Style.Buying?.CutOff)
        );
    }
}
