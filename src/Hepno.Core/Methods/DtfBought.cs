using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.PressFloor;
using Hepno.Core.Recipes;
using Hepno.Core.Stock;

namespace Hepno.Core.Methods;

/// <summary>Full-colour film transfers bought by size class.</summary>
public sealed class DtfBought : IDecorationMethod
{
    private const double LeastLinePt = 1;
    private const string Key = "dtf-bought";
    private const double FailurePrior = 0.015;

    /// <inheritdoc/>
    public string Id => Key;

    /// <inheritdoc/>
    public string Name => "Film, bought in";

    /// <inheritdoc/>
    public string Said => "a thin film print in full colour";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public MethodAnswer Answer(AskInHand ask, ShopBook book)
    {
        return book.Films.Count == 0 ? MethodAnswer.No(new Reason("no-prices", VerdictKind.No, "no film prices on the Shelf", "a supplier's price list, entered on the Shelf"))
            : MethodAnswer.BestOf([.. book.Films.Select(list => Answer(ask, book, list))], ask.Pieces);
    }

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, TransferPriceList list)
    {
        var f = book.Numbers.Format;
        var recipe = RecipeChoice.For(list.Id, ask.Style, book.Recipes);
        List<Reason> reasons =
        [
            .. Verdicts.ThinLines(ask.Placements, LeastLinePt, "film"),
            .. Verdicts.Heat(recipe, ask.Style, ask.Colourway, book.PressesFor(ask.Style.Kind), list.Product, f),
            .. Verdicts.Platen(ask.Placements, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.SoftEdges(ask.Placements, ask.Colourway),
        ];
        foreach (var p in ask.Placements.Where(p => list.SmallestHolding(p.WidthIn, p.HeightIn) is null))
        {
            var largest = list.Sizes.MaxBy(s => s.WidthIn * s.HeightIn)!;
            reasons.Add(new("size-class", VerdictKind.No, $"{Places.Find(p.Place)!.Name} {Shown.Size(p.WidthIn, p.HeightIn, f)}; {list.Supplier}'s largest is {Shown.Size(largest.WidthIn, largest.HeightIn, f)}", "a smaller print, or another supplier's list"));
        }
        var verdict = Verdict.Of(reasons);
        if (verdict.Kind == VerdictKind.No)
        {
            return new(verdict, "", []);
        }
        var failure = book.Numbers.SpoilageOf(Key, FailurePrior) + (ask.Style.PercentOf(Fibre.Nylon) + ask.Style.PercentOf(Fibre.Elastane) > 5 ? 0.01 : 0);
        var boughtEach = Overage.Pooled(ask.Pieces, failure, 0.95);
        var byClass = ask.Placements.GroupBy(p => list.SmallestHolding(p.WidthIn, p.HeightIn)!.Name).ToDictionary(g => g.Key, g => g.Count() * boughtEach);
        var freightEach = list.FreightPerOrder / (ask.Pieces * ask.Placements.Count);
        var source = $"Shelf: {list.Supplier}";
        var decorations = ask.Placements.Select((p, i) =>
        {
            var place = Places.Find(p.Place)!.Name;
            var size = list.SmallestHolding(p.WidthIn, p.HeightIn)!;
            var held = PriceBreaks.At(size.Breaks, byClass[size.Name]);
            var price = Figure.Input("transfer-price", $"{size.Name}, from {held.From}", held.Price, FigureUnit.Money, source);
            var material = Figure.Sum("material", $"{place} transfer", price, Figure.Of("freight-share", "Film freight", freightEach, "freight ÷ decorations",
                Figure.Input("freight", "Freight an order", list.FreightPerOrder, FigureUnit.Money, source), Figure.Input("decorations", "Decorations", ask.Pieces * ask.Placements.Count, FigureUnit.Count, "the ask")));
            var purchase = new Purchase($"film-{p.Id}", $"{boughtEach} transfers {size.Name}, {place.ToLowerInvariant()} {Shown.Size(p.WidthIn, p.HeightIn, f)}", list.Supplier, list.LeadDays, boughtEach, "transfers",
                Figure.Of("buy", place, Money.Times(boughtEach, held.Price), "transfers × price", Figure.Input("count", "Transfers", boughtEach, FigureUnit.Count, $"{ask.Pieces} and spares that suffice 95 times in 100"), price), null, size);
            return new DecorationPlan(p, material, boughtEach, failure, recipe!, StepStandards.Transfer(recipe!, i == 0 ? 0 : Rethread(p, ask.Style.Kind)), [], [purchase]);
        }).ToList();
        return new(verdict, $"{list.Product} by size, {list.Supplier}", decorations);
    }

    /// <summary>Seconds to thread again for a further placement.</summary>
    internal static double Rethread(Placement placement, GarmentKind kind) => placement.Place.EndsWith("sleeve", StringComparison.Ordinal) ? 15 : StepStandards.Thread(kind);
}
