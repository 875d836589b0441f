using Hepno.Core.Artwork;
using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;
using Hepno.Core.Shop;

namespace Hepno.Core.Methods;

/// <summary>Screen-printed transfers bought by sheet, colours and count, one design a sheet.</summary>
public sealed class ScreenTransfer : IDecorationMethod
{
    private const string Key = "screen-transfer";
    private const double FailurePrior = 0.015;
    private const double StretchyPercent = 5;

    /// <inheritdoc/>
    public MethodId Id => Key;

    /// <inheritdoc/>
    public string Name => "Screened transfers";

    /// <inheritdoc/>
    public string Said => "a screen-printed transfer in flat colours";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <inheritdoc/>
    public bool HasEdge => true;

    /// <inheritdoc/>
    public int Order => 40;

    /// <inheritdoc/>
    public PrintCharacter Character { get; } =
        new(
            "soft to firm",
            Wear: "long; the wrong formula cracks",
            "cracks unless its formula is for stretch",
            Look: "flat colours, solid"
        );

    /// <inheritdoc/>
    public IReadOnlyList<StartUpItem> StartUp(ShopBook book) =>
        [.. StartUpItem.Pressed(book), StartUpItem.Thing("stock", "A first order, to try it", 120)];

    /// <inheritdoc/>
    public MethodAnswer OnCloth(AskInHand ask, ShopBook book)
    {
        return book.Of<ScreenTransferList>().Count == 0
            ? MethodAnswer.No(
                new Reason(
                    "no-prices",
                    VerdictKind.No,
                    "no screened transfers on the Shelf",
                    WouldWork: "a supplier's price list, entered on the Shelf"
                )
            )
            : MethodAnswer.BestOf(
                [
                    .. book.Of<ScreenTransferList>()
                        .Select(list => Answer(ask, book, list) with { Of = $"{list.Product}, {list.Supplier}" }),
                ],
                ask
            );
    }

    /// <summary>Colours the supplier counts: the design's, and the white base where it is counted and needed.</summary>
    public static int ColoursCounted(Placement p, ScreenTransferList list, Colourway colour) =>
        p.Colours + (list.CountsWhite && colour.Class is ColourClass.Mid or ColourClass.Dark ? 1 : 0);

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, ScreenTransferList list)
    {
        var f = book.Numbers.Format;
        var recipe = book.RecipeFor(list.Id, ask);
        List<Reason> reasons =
        [
            .. ask.Prints.SelectMany(p => OnSheet(p, list, ask.Colourway, f)),
            .. Verdicts.Artwork(ask, ask.Prints, PrintHold.Screened, f),
            .. HeatVerdicts.Of(ask, recipe, book, list.Product),
            .. Verdicts.Platen(ask.Prints, book.PressesFor(ask.Style.Kind)),
            .. Verdicts.Make(ask),
            .. Stretches(ask.Style, list),
        ];
        var verdict = Verdict.From(reasons);
        return verdict.Kind == VerdictKind.No
            ? new(verdict, "", [])
            : new(
                verdict,
                $"{list.Product}, {list.Supplier}",
                [
                    .. ask.Placements.Select(
                        (p, i) =>
                            DecorationPlan.Of(ask, p, book.Numbers.Floor.Standards(), sized =>
                                Decoration(ask, sized, i, list, recipe!, book, f)
                            )
                    ),
                ]
            );
    }

    private static IEnumerable<Reason> OnSheet(Placement p, ScreenTransferList list, Colourway colour, FigureFormat f)
    {
        var place = p.At().Name;
        var colours = ColoursCounted(p, list, colour);
        if (p.Own != OwnText.None)
        {
            yield return Verdicts.OneDesignAScreen(place);
        }
        else if (p.Gradient)
        {
            yield return Verdicts.FlatColours(place);
        }
        else if (colours > list.MostColours())
        {
            yield return new(
                "colours",
                VerdictKind.No,
                $"{place} has {p.Colours} colours{(colours > p.Colours ? " and a white base" : "")}; "
                    + $"{list.Supplier} prints at most {list.MostColours()}",
                WouldWork: $"{list.MostColours() - (colours - p.Colours)} colours or fewer"
            );
        }
        else if (list.Smallest(p.WidthIn, p.HeightIn, colours) is null)
        {
            var largest = list.Sheets.MaxBy(s => s.WidthIn * s.HeightIn)!;
            yield return new(
                "sheet-size",
                VerdictKind.No,
                $"{place} {Shown.Size(p.WidthIn, p.HeightIn, f)}; {list.Supplier}'s largest sheet is "
                    + Shown.Size(largest.WidthIn, largest.HeightIn, f),
                WouldWork: "a smaller print, or another supplier's list"
            );
        }
    }

    private static IEnumerable<Reason> Stretches(Style style, ScreenTransferList list)
    {
        var elastane = style.PercentOf(Fibre.Elastane);
        if ((elastane > StretchyPercent || style.Has(Feature.Stretch)) && list.Formula != ScreenFormula.Stretch)
        {
            yield return new(
                "stretch",
                VerdictKind.WithCare,
                $"{(elastane > 0 ? $"{elastane:0}% elastane" : $"{style.Name} stretches")}: this print may crack",
                WouldWork: "a stretch formula"
            );
        }
    }

    private static DecorationPlan Decoration(
        AskInHand ask,
        SizedPrint sized,
        int index,
        ScreenTransferList list,
        Recipe recipe,
        ShopBook book,
        FigureFormat f
    )
    {
        var failure = SpoilageChance.Reckon(Key, FailurePrior, ask, book);
        var steps = book.Numbers.Floor.Standards();
        var p = sized.Print;
        var place = p.At().Name;
        var source = $"Shelf: {list.Supplier}";
        var colours = ColoursCounted(p, list, ask.Colourway);
        var (sheet, prices) = list.Smallest(p.WidthIn, p.HeightIn, colours)!.Value;
        var (wanted, spares) = DecorationPlan.Needed(sized, SpareChance.In(book, failure));
        var need = Math.Max(wanted, list.LeastSheets);
        var (bought, held) = PriceBreaks.Cheapest(prices.Breaks, need);
        var price = Figure.Input(
            "sheet-price",
            $"{sheet.Name}, {Counted(colours)}, from {held.From}",
            held.Price,
            FigureUnit.Money,
            source
        );
        var material = Figure.Sum(
            "material",
            $"{place} transfer",
            price,
            FreightShare.Reckon("Transfer freight", list.FreightPerOrder, source, ask)
        );
        var setUp = SetUp(p, colours, list);
        var sheets = Figure.Of(
            "sheets",
            "Sheets",
            bought * held.Price,
            "sheets × price",
            Figure.Input("count", "Sheets", bought, FigureUnit.Count, WhySheets(bought, need, spares, list)),
            price
        );
        var purchase = new Purchase(
            $"screen-{p.Id}",
            Text: $"{bought} sheets {sheet.Name}, {place.ToLowerInvariant()} {Shown.Size(p.WidthIn, p.HeightIn, f)}, "
                + Counted(colours),
            list.Supplier,
            list.LeadDays,
            bought,
            "sheets",
            Figure.Sum("buy", place, sheets, setUp),
            null,
            new TransferSize(sheet.Name, sheet.WidthIn, sheet.HeightIn, prices.Breaks)
        );
        return new(
            p,
            material,
            bought,
            failure,
            recipe,
            steps.Transfer(recipe, index == 0 ? 0 : steps.Rethread(p.Seam(), ask.Style.Kind)),
            [],
            [purchase],
            setUp,
            Prepare: "",
            BenchId: default
        );
    }

    private static string Counted(int colours) => $"{colours} {(colours == 1 ? "colour" : "colours")}";

    private static Figure SetUp(Placement p, int colours, ScreenTransferList list) =>
        Figure.Of(
            "set-up",
            $"{p.At().Name} set-up",
            colours * list.SetUpPerColour,
            "colours × set-up",
            Figure.Input(
                "colours",
                "Colours",
                colours,
                FigureUnit.Count,
                colours > p.Colours ? "the ask, and a white base" : "the ask"
            ),
            Figure.Input("each", "A colour", list.SetUpPerColour, FigureUnit.Money, $"Shelf: {list.Supplier}")
        );

    private static string WhySheets(int bought, int need, string spares, ScreenTransferList list)
    {
        if (bought > need)
        {
            return $"{need} are needed; {bought} cost less in all";
        }
        return need == list.LeastSheets ? $"{list.Supplier} prints no fewer" : spares;
    }
}
