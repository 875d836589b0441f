using Hepno.Core.Blanks;
using Hepno.Core.Materials;
using Hepno.Core.Measures;
using Hepno.Core.Orders;
using Hepno.Core.Recipes;

namespace Hepno.Core.Methods;

/// <summary>Screen printing sent out: the shop's blanks go to a printer and come back printed.</summary>
public sealed class ScreenOut : IDecorationMethod
{
    private const string Key = "screen-out";
    private const double FailurePrior = 0.02;
    private const double LeastLinePt = 1;

    /// <inheritdoc/>
    public string Id => Key;

    /// <inheritdoc/>
    public string Name => "Screens, sent out";

    /// <inheritdoc/>
    public string Said => "a soft screen print in flat colours";

    /// <inheritdoc/>
    public double SpoilageAssumed => FailurePrior;

    /// <summary>Screens of a print: its colours, and a white base on mid and dark cloth (DOMAIN 5).</summary>
    public static int Screens(Placement p, Colourway colour) => p.Colours + (colour.Class is ColourClass.Mid or ColourClass.Dark ? 1 : 0);

    /// <inheritdoc/>
    public MethodAnswer Answer(AskInHand ask, ShopBook book) => book.OutsidePrinters.Count == 0
        ? MethodAnswer.No(new Reason("no-printer", VerdictKind.No, "no screen printer on the Shelf", "a printer's price list, entered on the Shelf"))
        : MethodAnswer.BestOf([.. book.OutsidePrinters.Select(printer => Answer(ask, book, printer))], ask.Pieces);

    private static MethodAnswer Answer(AskInHand ask, ShopBook book, OutsidePrinter printer)
    {
        List<Reason> reasons = [];
        if (ask.Style.Kind is GarmentKind.Cap or GarmentKind.Socks)
        {
            reasons.Add(new("flat-only", VerdictKind.No, $"{GarmentNouns.Of(ask.Style.Kind, 2)} do not lie flat under a screen", "stitching, or a transfer"));
        }
        // a print that is smaller on smaller sizes is a design of its own: it has its own screens and its own least number
        foreach (var p in ask.Placements.SelectMany(p => SizedPrints.Of(p, ask.Sizes, ask.Names)))
        {
            var (place, screens) = (Places.Find(p.Print.Place)!.Name, Screens(p.Print, ask.Colourway));
            if (p.Print.Own != OwnText.None)
            {
                reasons.Add(new("own-text", VerdictKind.No, $"{place}: each piece has its own name, and a screen prints one design", "vinyl or film for the names, on a line of their own"));
            }
            else if (p.Print.Gradient)
            {
                reasons.Add(new("gradient", VerdictKind.No, $"{place} has gradients; screens print flat colours", "flat spot colours, or a film"));
            }
            else if (screens > printer.MostScreens())
            {
                reasons.Add(new("colours", VerdictKind.No, $"{place} has {p.Print.Colours} colours{(screens > p.Print.Colours ? " and a white base" : "")}; {printer.Supplier} prints at most {printer.MostScreens()}", $"{printer.MostScreens() - (screens - p.Print.Colours)} colours or fewer"));
            }
            if (p.Pieces < printer.LeastPieces)
            {
                reasons.Add(new("minimum", VerdictKind.No, $"{p.Pieces} pieces of {place.ToLowerInvariant()}; {printer.Supplier} prints {printer.LeastPieces} or more of a design", $"{printer.LeastPieces} pieces or more"));
            }
        }
        reasons.AddRange(Verdicts.Largest(ask.Prints, printer.MostWidthIn, printer.MostHeightIn, printer.Supplier, book.Numbers.Format));
        reasons.AddRange(Verdicts.ThinLines(ask.Prints, LeastLinePt, "a screen"));
        reasons.AddRange(Verdicts.Make(ask));
        reasons.AddRange(Verdicts.Coated(ask, "ink may not hold on the coat"));
        var verdict = Verdict.Of(reasons);
        return verdict.Kind == VerdictKind.No ? new(verdict, "", []) : new(verdict, $"{printer.Supplier} prints it, {ask.Placements.Sum(p => Screens(p, ask.Colourway))} screens", [.. ask.Placements.Select(p => DecorationPlan.Of(ask, p, book.Numbers.Standards(), sized => Decoration(ask, sized, printer, book)))]);
    }

    private static DecorationPlan Decoration(AskInHand ask, SizedPrint sized, OutsidePrinter printer, ShopBook book)
    {
        var (p, source, steps) = (sized.Print, $"Shelf: {printer.Supplier}", book.Numbers.Standards());
        var (place, screens) = (Places.Find(p.Place)!.Name, Screens(p, ask.Colourway));
        var printed = (int)Math.Ceiling((sized.Pieces * (1 + printer.SpareShare)) - 1e-9);
        var held = PriceBreaks.At(printer.Prices.Where(x => x.Colours >= screens).MinBy(x => x.Colours)!.Breaks, printed);
        var price = Figure.Input("print-price", $"{screens} {(screens == 1 ? "screen" : "screens")}, from {held.From}", held.Price, FigureUnit.Money, source);
        var decorations = ask.Pieces * ask.Placements.Count;
        var material = Figure.Sum("material", $"{place} print", price, Figure.Of("freight-share", "Freight there and back", (printer.FreightThere + printer.FreightBack) / decorations, "both ways ÷ decorations",
            Figure.Input("there", "There", printer.FreightThere, FigureUnit.Money, source), Figure.Input("back", "Back", printer.FreightBack, FigureUnit.Money, source), Figure.Input("decorations", "Decorations", decorations, FigureUnit.Count, "the ask")));
        var setUp = Figure.Of("set-up", $"{place} screens", screens * printer.SetUpPerScreen, "screens × set-up", Figure.Input("screens", "Screens", screens, FigureUnit.Count, screens > p.Colours ? "the ask, and a white base" : "the ask"), Figure.Input("each", "A screen", printer.SetUpPerScreen, FigureUnit.Money, source));
        // the blanks come here first and go on to the printer
        var days = (ask.Theirs ? 1 : ask.Style.LeadDays) + printer.LeadDays;
        var purchase = new Purchase($"sent-out-{p.Id}", $"{printed} printed, {place.ToLowerInvariant()} {Shown.Size(p.WidthIn, p.HeightIn, book.Numbers.Format)}, {screens} {(screens == 1 ? "screen" : "screens")}: send them the blanks", printer.Supplier, days, printed, "prints",
            Figure.Sum("buy", place, Figure.Of("prints", "Prints", printed * held.Price, "prints × price", Figure.Input("count", "Prints", printed, FigureUnit.Count, $"{sized.Pieces} and {printer.SpareShare:0.#%} it may spoil"), price), setUp), null, null, Breaks: printer.Prices.Where(x => x.Colours >= screens).MinBy(x => x.Colours)!.Breaks);
        return new(p, material, printed, SpoilageChance.Of(Key, FailurePrior, ask, book), Recipe.NoHeat(printer.Id, "right-reading, printed elsewhere", "Count sizes and look at the first of each before the rest goes on."), steps.CameBack, [steps.SentOut], [purchase], setUp, "Count the blanks out and send them", ShopBook.Table.Id);
    }
}
