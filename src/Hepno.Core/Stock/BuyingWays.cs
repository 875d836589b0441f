using Hepno.Core.Blanks;
using Hepno.Core.Costing;
using Hepno.Core.Measures;
using Hepno.Core.Methods;
using Hepno.Core.Orders;
using Hepno.Core.Planning;

namespace Hepno.Core.Stock;

/// <summary>One way to have the blanks of a line.</summary>
/// <param name="Code">stock, need, tier, free-freight or elsewhere.</param>
/// <param name="What">In a few words.</param>
/// <param name="Supplier">From whom; empty when nothing is bought.</param>
/// <param name="Bought">Pieces bought by size.</param>
/// <param name="Left">Pieces bought and not needed.</param>
/// <param name="Cost">Money paid now, opened to its parts.</param>
/// <param name="Arrives">When they are here, wall clock.</param>
public sealed record BuyingWay(string Code, string What, string Supplier, IReadOnlyList<SizeCount> Bought, int Left, Figure Cost, DateTime Arrives);

/// <summary>Compares ways to have the blanks of a line: from what lies here, as needed, up to a price tier or free freight, or the same model from another supplier (docs/trade.md 10, 21.5).</summary>
public static class BuyingWays
{
    private const double MostMore = 0.5;

    /// <summary>All ways, the least money first.</summary>
    /// <param name="ask">The line with the rest of its order.</param>
    /// <param name="book">The shelf.</param>
    /// <param name="floor">Now and the open hours.</param>
    public static IReadOnlyList<BuyingWay> Of(AskInHand ask, ShopBook book, FloorPlan floor)
    {
        if (ask.Theirs)
        {
            return [];
        }
        var ways = new List<BuyingWay> { Way("need", "as needed", ask, ask.Sizes, floor) };
        var rest = ask.Sizes.Select(s => s with { Pieces = Math.Max(0, s.Pieces - ask.Style.OnHandOf(ask.Colourway.Id, s.Size)) }).ToList();
        var lying = ask.Pieces - SizeRun.Total(rest);
        if (lying > 0)
        {
            ways.Add(Way("stock", rest.Sum(r => r.Pieces) == 0 ? $"all {lying} from the shelf" : $"{lying} from the shelf, the rest bought", ask, rest, floor));
        }
        ways.AddRange(Further(ask).Select(x => Way(x.Code, x.What, ask, More(ask.Sizes, x.More), floor)));
        ways.AddRange(book.Styles.Where(s => !s.Retired && s.Id != ask.Style.Id && s.Supplier != ask.Style.Supplier && s.Name.Equals(ask.Style.Name, StringComparison.OrdinalIgnoreCase))
            .Where(s => ask.Sizes.All(z => s.Sizes.Any(k => k.Name == z.Size)))
            .Select(s => (Style: s, Colour: s.Colourways.FirstOrDefault(c => c.Name.Equals(ask.Colourway.Name, StringComparison.OrdinalIgnoreCase)))).Where(x => x.Colour is not null)
            .Select(x => Way("elsewhere", $"from {x.Style.Supplier}", ask with { Style = x.Style, Colourway = x.Colour! }, ask.Sizes, floor)));
        return [.. ways.OrderBy(w => w.Cost.Value).ThenBy(w => w.Arrives)];
    }

    // a few pieces more that reach a lower price or free freight; half as many again is not a few
    private static IEnumerable<(string Code, string What, int More)> Further(AskInHand ask)
    {
        var buying = ask.Style.Buying ?? Buying.Plain;
        int Pieces(decimal value) => (int)Math.Ceiling((value - ask.ValueOfSupplier) / ask.Style.UnitPrice);
        var further = buying.Tiers.Select(t => (Code: "tier", What: $"the price {t.From()}", More: t.FromPieces > 0 ? t.FromPieces - ask.PiecesOfStyle : Pieces(t.FromValue)));
        if (buying.FreeFreightFrom is { } free && ask.Style.FreightPerOrder > 0)
        {
            further = further.Append(("free-freight", $"free freight from {free:0.##}", Pieces(free)));
        }
        return further.Where(f => f.More > 0 && f.More <= Math.Max(3, ask.PiecesOfStyle * MostMore)).Select(f => (f.Code, $"{f.More} more: {f.What}", f.More));
    }

    // the spare ones are of the size the run has most of: it is asked for again soonest
    private static List<SizeCount> More(IReadOnlyList<SizeCount> sizes, int more)
    {
        var most = sizes.MaxBy(s => s.Pieces)!;
        return [.. sizes.Select(s => s == most ? s with { Pieces = s.Pieces + more } : s)];
    }

    private static BuyingWay Way(string code, string what, AskInHand ask, IReadOnlyList<SizeCount> need, FloorPlan floor)
    {
        var pack = (ask.Style.Buying ?? Buying.Plain).PackOf;
        var bought = need.Where(s => s.Pieces > 0).Select(s => s with { Pieces = (s.Pieces + pack - 1) / pack * pack }).ToList();
        var total = SizeRun.Total(bought);
        var left = total - (code == "stock" ? SizeRun.Total(need) : ask.Pieces);
        if (total == 0)
        {
            return new(code, what, "", [], 0, Figure.Input("blanks", "Blanks", 0, FigureUnit.Money, "they lie here"), floor.Now);
        }
        var landed = LandedBlank.Of(ask with { Sizes = bought });
        return new(code, left > 0 && pack > 1 ? $"{what}, in packs of {pack}" : what, ask.Style.Supplier, bought, left,
            Figure.Of("blanks", "Blanks", landed.Value * total, "landed blank × pieces", landed, Figure.Input("pieces", "Pieces", total, FigureUnit.Count, pack > 1 ? $"in packs of {pack}" : "bought")),
            floor.Hours.Parcel(floor.Now, ask.Style.LeadDays, ask.Style.Buying?.CutOff));
    }
}
